/** Where one walks on snow: a strip along the foot of the heights, the taller the more of the ground. */
import { useMemo } from "react";
import { isSnow, type PlanResult } from "@gepack/core";
import { HEIGHT } from "./geometry.ts";
import type { LineScale } from "./scale.ts";
import { rounded } from "../units/quantity.ts";

export const SNOW_PX = 4;
const LEAST_SNOWED = 0.1;
/** A little snow is seen as well. */
const LEAST_PX = 1.5;

export function SnowStrip({ result, x }: { result: PlanResult; x: LineScale }) {
  const path = useMemo(() => {
    const { surface, profile } = result;
    let d = "";
    for (let px = Math.floor(x.leftPx); px < x.rightPx; px++) {
      const from = Math.max(0, Math.round(x.invert(px) / profile.cellM));
      const to = Math.min(profile.cellCount, Math.max(from + 1, Math.round(x.invert(px + 1) / profile.cellM)));
      let snowed = 0;
      for (let c = from; c < to; c++) if (isSnow(surface[c]!)) snowed++;
      const share = snowed / (to - from);
      if (share >= LEAST_SNOWED) d += `M${px},${HEIGHT.bottom}v${-rounded(Math.max(LEAST_PX, SNOW_PX * share), 1)}`;
    }
    return d;
  }, [result, x]);
  return <path d={path} stroke="var(--kit)" strokeWidth="1.2" data-testid="snow-strip" />;
}
