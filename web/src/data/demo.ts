/** The made-up demo: its plan, and its tracks in the packed form that the build makes of the GPX. */
import { unpackTrack, type Plan, type PlanFile } from "@gepack/core";

export async function fetchDemo(onBytes: (bytes: number) => void): Promise<PlanFile> {
  let readBytes = 0;
  const told = (bytes: number): void => onBytes((readBytes += bytes));
  const [plan, ...tracks] = await Promise.all(
    ["corvane.gepack.json", "corvane.track", "corvane-alternate.track"].map((name) =>
      fetchBytes(`/demo/${name}`, told),
    ),
  );
  return { plan: JSON.parse(new TextDecoder().decode(plan)) as Plan, tracks: tracks.map(unpackTrack) };
}

/** The demo nineteen days into its walk, as a trip of its own. */
export async function fetchOnTheTrail(): Promise<PlanFile> {
  const [{ plan, tracks }, bytes] = await Promise.all([
    fetchDemo(() => {}),
    fetchBytes("/demo/on-the-trail.json", () => {}),
  ]);
  const { log, plannedDays } = JSON.parse(new TextDecoder().decode(bytes)) as Pick<Plan, "log" | "plannedDays">;
  const trip = { ...plan.trip, name: `${plan.trip.name}, nineteen days in` };
  return { plan: { ...plan, id: `${plan.id}-walked`, trip, log, plannedDays }, tracks };
}

/** Examples that are files like any other, each with what it shows. */
export const EXAMPLES = {
  "six-lights": {
    file: "six-lights.gepack.json",
    name: "Six lights",
    shows: "420 km of winter coast in six days and nights: hours in the dark, lamps and banks, food in lockers.",
  },
  towpath: {
    file: "towpath.gepack.json",
    name: "The towpath",
    shows:
      "Parent and child, four weeks by a canal: a bed every night, doors that shut, a small load for small shoulders.",
  },
  pans: {
    file: "pans-and-dunes.gepack.json",
    name: "Pans and dunes",
    shows: "Nineteen days over salt pans with a plant press: water in caches, sun, and what if one is empty.",
  },
  frost: {
    file: "into-the-frost.gepack.json",
    name: "Into the frost",
    shows: "1,300 km southward from August to November: all food posted, kit swapped as nights grow cold.",
  },
  "two-halves": {
    file: "two-halves.gepack.json",
    name: "Two halves",
    shows:
      "A glacier range in the southern summer, walked as two halves: fords by the hour, food storage, what waits on the snow; a friend joins for the second.",
  },
  halves: {
    file: "flip-flop.gepack.json",
    name: "Tarrow Ridge in two halves",
    shows: "A trail begun in its middle: two sections, with the way between them.",
  },
  shakedown: {
    file: "shakedown.gepack.json",
    name: "Four days of shakedown",
    shows: "A short walk with its log, from which the long one learns.",
  },
} as const;
export type ExampleId = keyof typeof EXAMPLES;

export async function fetchExample(which: ExampleId): Promise<File> {
  const name = EXAMPLES[which].file;
  const bytes = await fetchBytes(`/demo/${name}`, () => {});
  return new File([bytes as BlobPart], name, { type: "application/json" });
}

async function fetchBytes(url: string, onBytes: (bytes: number) => void): Promise<Uint8Array> {
  const response = await fetch(url).catch(() => undefined);
  if (!response?.ok || !response.body)
    throw new Error("The demo’s files could not be read. Connect to the network and reload the page.");
  const pieces: Uint8Array[] = [];
  const reader = response.body.getReader();
  for (;;) {
    const { done, value } = await reader.read();
    if (done) break;
    pieces.push(value);
    onBytes(value.length);
  }
  return new Uint8Array(await new Blob(pieces as BlobPart[]).arrayBuffer());
}
