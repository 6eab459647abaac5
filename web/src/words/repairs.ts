/** What had to be repaired of a track, a phrase for each kind of fault that it has. */
import type { Repairs } from "@gepack/core";
import { counted } from "./counted.ts";

export function repairWords({
  doubledPoints,
  flungPoints,
  missingHeights,
  spikedHeights,
}: Omit<Repairs, "gaps" | "spacingM" | "heightless">): string[] {
  return [
    doubledPoints > 0 && `${counted(doubledPoints, "duplicate point")} removed`,
    flungPoints > 0 && `${counted(flungPoints, "stray point")} removed`,
    missingHeights > 0 && `${counted(missingHeights, "elevation")} filled in`,
    spikedHeights > 0 && `${counted(spikedHeights, "elevation spike")} smoothed`,
  ].filter((text) => text !== false);
}
