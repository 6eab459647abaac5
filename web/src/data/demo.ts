/** The made-up demo: its plan, and its track in the packed form that the build makes of the GPX. */
import { unpackTrack, type Plan, type PlanFile } from "@gepack/core";

export async function fetchDemo(onBytes: (bytes: number) => void): Promise<PlanFile> {
  let readBytes = 0;
  const told = (bytes: number): void => onBytes((readBytes += bytes));
  const [plan, track] = await Promise.all([
    fetchBytes("/demo/corvane.gepack.json", told),
    fetchBytes("/demo/corvane.track", told),
  ]);
  const document = JSON.parse(new TextDecoder().decode(plan)) as Plan;
  const points = unpackTrack(track);
  return { plan: { ...document, trackIds: [points.id] }, tracks: [points] };
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
