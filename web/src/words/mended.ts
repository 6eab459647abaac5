/** What had to be mended of a track, a phrase for each kind of fault that it has. */
import type { Mended } from "@gepack/core";
import { counted } from "./counted.ts";

export function mendedWords({
  doubledPoints,
  flungPoints,
  missingHeights,
  spikedHeights,
}: Omit<Mended, "gaps" | "spacingM">): string[] {
  return [
    doubledPoints > 0 && `${counted(doubledPoints, "doubled point")} dropped`,
    flungPoints > 0 && `${counted(flungPoints, "flung point")} dropped`,
    missingHeights > 0 && `${counted(missingHeights, "height")} filled in`,
    spikedHeights > 0 && `${counted(spikedHeights, "spiked height")} smoothed`,
  ].filter((text) => text !== false);
}
