/** The made-up demo: its plan, and its track in the packed form that the build makes of the GPX. */
import { unpackTrack, type Plan, type PlanFile } from "@gepack/core";

export async function fetchDemo(): Promise<PlanFile> {
  const [planResponse, trackResponse] = await Promise.all([
    fetch("/demo/corvane.gepack.json"),
    fetch("/demo/corvane.track"),
  ]);
  if (!planResponse.ok || !trackResponse.ok) throw new Error("The demo's files could not be read. Reload the page.");
  const plan = (await planResponse.json()) as Plan;
  const track = unpackTrack(new Uint8Array(await trackResponse.arrayBuffer()));
  return { plan: { ...plan, trackIds: [track.id] }, tracks: [track] };
}
