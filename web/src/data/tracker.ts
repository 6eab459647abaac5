/** The satellite tracker, a simulated stand-in that the server ships with: it walks the demo's trail. */
import type { TrackerAnswer } from "@gepack/core";

export interface TrackerQuery {
  /** The morning that it leaves on, and where along the trail. */
  start: string;
  fromM: number;
  /** When its clock began, seconds since 1970, and how fast it runs. */
  begunS: number;
  speed: number;
  /** What is later is given. */
  since: string;
}

/** Undefined where nobody answers. */
export async function askTracker({
  start,
  fromM,
  begunS,
  speed,
  since,
}: TrackerQuery): Promise<TrackerAnswer | undefined> {
  const query = new URLSearchParams({
    start,
    since,
    fromM: String(Math.round(fromM)),
    begun: String(begunS),
    speed: String(speed),
  });
  const response = await fetch(`/api/tracker?${query}`).catch(() => undefined);
  return response?.ok ? ((await response.json()) as TrackerAnswer) : undefined;
}
