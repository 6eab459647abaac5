/** The one x-scale: the Line and every lane of every station use it, so that they agree to the pixel. */
import { useMemo } from "react";
import type { PlanResult } from "@gepack/core";
import { useSelection } from "../store/selection.ts";
import { useWidth } from "../ui/useWidth.ts";

export const GUTTER_PX = 220;
const RIGHT_PX = 20;
const SMALL_PX = 720;
const SMALL_GUTTER_PX = 12;

/** Metres in walking order → pixels from the left edge of the window. */
export interface LineScale {
  (metres: number): number;
  invert: (px: number) => number;
  leftPx: number;
  rightPx: number;
}

export function gutterPx(widthPx: number): number {
  return widthPx < SMALL_PX ? SMALL_GUTTER_PX : GUTTER_PX;
}

export function lineScale([fromM, toM]: readonly [number, number], widthPx: number): LineScale {
  const leftPx = gutterPx(widthPx);
  const rightPx = Math.max(widthPx - RIGHT_PX, leftPx + 50);
  const pxPerM = (rightPx - leftPx) / Math.max(1, toM - fromM);
  return Object.assign((metres: number) => leftPx + (metres - fromM) * pxPerM, {
    invert: (px: number) => fromM + (px - leftPx) / pxPerM,
    leftPx,
    rightPx,
  });
}

/** What the Line shows: the whole trail, or a leg with its neighbours. */
export function lineDomain({ legs, profile }: PlanResult, zoomLeg: number | undefined): readonly [number, number] {
  const leg = zoomLeg === undefined ? undefined : legs[zoomLeg];
  if (!leg) return [0, profile.lengthM];
  return [legs[leg.index - 1]?.fromM ?? leg.fromM, legs[leg.index + 1]?.toM ?? leg.toM];
}

export interface LineFrame {
  x: LineScale;
  widthPx: number;
  domain: readonly [number, number];
}

/** The scale as it stands for this window and zoom. */
export function useLine(result: PlanResult): LineFrame {
  const widthPx = useWidth();
  const zoomLeg = useSelection((state) => state.zoomLeg);
  const [fromM, toM] = lineDomain(result, zoomLeg);
  return useMemo(() => {
    const domain = [fromM, toM] as const;
    return { x: lineScale(domain, widthPx), widthPx, domain };
  }, [fromM, toM, widthPx]);
}
