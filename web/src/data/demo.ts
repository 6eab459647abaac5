/** The made-up demo: its plan, and its tracks in the packed form that the build makes of the GPX. */
import { unpackTrack, type Plan, type PlanFile } from "@gepack/core";
import { EXAMPLES, type ExampleId } from "../words/examples.ts";

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
