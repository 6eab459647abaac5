/** The made-up demo: its plan, and its tracks in the packed form that the build makes of the GPX. */
import { unpackTrack, type Plan, type PlanFile } from "@gepack/core";

export async function fetchDemo(onBytes: (bytes: number) => void): Promise<PlanFile> {
  let readBytes = 0;
  const count = (bytes: number): void => onBytes((readBytes += bytes));
  const [plan, ...tracks] = await Promise.all(
    ["corvane.gepack.json", "corvane.track", "corvane-alternate.track"].map((name) =>
      fetchBytes(`/demo/${name}`, count),
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
  const trip = { ...plan.trip, name: `${plan.trip.name}, 19 days in` };
  return { plan: { ...plan, id: `${plan.id}-walked`, trip, log, plannedDays }, tracks };
}

/** Examples that are files like any other, each with what it shows. */
export const EXAMPLES = {
  "six-lights": {
    file: "six-lights.gepack.json",
    name: "Six lights",
    shows: "420 km of winter coast in six days and nights: dark hours, headlamps, power banks and food in lockers.",
  },
  towpath: {
    file: "towpath.gepack.json",
    name: "The towpath",
    shows:
      "A parent and child, four weeks along a canal: beds every night, closing times, a light pack for small shoulders.",
  },
  pans: {
    file: "pans-and-dunes.gepack.json",
    name: "Pans and dunes",
    shows: "19 days across salt pans with a plant press: water in caches, strong sun, and plans for an empty cache.",
  },
  frost: {
    file: "into-the-frost.gepack.json",
    name: "Into the frost",
    shows: "1,300 km south from August to November: all food mailed, gear swapped as nights get colder.",
  },
  "two-halves": {
    file: "two-halves.gepack.json",
    name: "Two halves",
    shows:
      "A glacier range in the southern summer, walked in two halves: timed fords, food storage, decisions that depend on snow; a friend joins for the second half.",
  },
  halves: {
    file: "flip-flop.gepack.json",
    name: "Tarrow Ridge in two halves",
    shows: "A trail started in the middle: two sections, with a transfer between them.",
  },
  shakedown: {
    file: "shakedown.gepack.json",
    name: "Four-day shakedown",
    shows: "A short hike with its log, which the long one learns from.",
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
    throw new Error("The demo files couldn’t be loaded. Connect to the network and reload the page.");
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
