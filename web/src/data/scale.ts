/** The kitchen scale, a simulated stand-in that the server ships with. */
import type { ScaleReading } from "@gepack/core";

/** What it shows so long after a piece was laid on; undefined where nobody answers. */
export async function askScale(name: string, listedG: number, elapsedMs: number): Promise<ScaleReading | undefined> {
  const query = new URLSearchParams({ name, listedG: String(listedG), elapsedMs: String(Math.round(elapsedMs)) });
  const response = await fetch(`/api/scale?${query}`).catch(() => undefined);
  return response?.ok ? ((await response.json()) as ScaleReading) : undefined;
}
