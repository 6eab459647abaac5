/** Water that a file does not tell of, assumed at even steps until somebody knows better. */
import type { SeaWord } from "../season/simulated.ts";

/** Metres from one water to the next where nothing is known: closer in wet country, far apart in dry [L]. */
const EVERY_M: Record<SeaWord, number> = { coast: 6000, near: 8000, inland: 10_000, deep: 12_000 };
/** Between these latitudes, away from the sea, it is dry country more often than not [L]. */
const DRY_DEG = { from: 18, to: 36 } as const;
const DRY_EVERY_M = 16_000;

export function assumedEveryM(latDeg: number, sea: SeaWord): number {
  const isDry =
    Math.abs(latDeg) > DRY_DEG.from && Math.abs(latDeg) < DRY_DEG.to && (sea === "inland" || sea === "deep");
  return isDry ? DRY_EVERY_M : EVERY_M[sea];
}

/** Between two waters: places so far apart at the most, none where the next is near enough. Any metres along a line. */
export function assumedBetween(fromM: number, toM: number, everyM: number): number[] {
  const steps = Math.ceil((toM - fromM) / Math.max(1, everyM));
  return Array.from({ length: Math.max(0, steps - 1) }, (_, i) => fromM + ((i + 1) * (toM - fromM)) / steps);
}
