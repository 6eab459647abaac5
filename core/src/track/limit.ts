/** How long a trail may be: what is longer is no walk, and its cells would fill the memory. */
import type { RepairedTrack } from "./repair.ts";

/** Half the way round the earth; the longest marked trails are a fifth of it. */
export const LONGEST_TRAIL_M = 20_000_000;

const km = (metres: number): string => Math.round(metres / 1000).toLocaleString("en");

/** What is wrong with the length, as a sentence; the straight lines over gaps and between tracks count. */
export function tooLong({ alongM }: Pick<RepairedTrack, "alongM">): string | undefined {
  const lengthM = alongM.at(-1) ?? 0;
  if (lengthM <= LONGEST_TRAIL_M) return undefined;
  return `The trail is ${km(lengthM)} km long, with straight lines over gaps; up to ${km(LONGEST_TRAIL_M)} km can be calculated. Check that the file holds one trail, with its points in walking order.`;
}
