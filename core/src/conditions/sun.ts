/** The strongest noon of a leg: one answer for its table, its check and its Why. */
import { clearNoonUv } from "../models/ultraviolet.ts";
import type { DayResult, LegResult } from "../result/result.ts";
import type { Profile } from "../track/profile.ts";
import { dayNumber, dayOfYear } from "../units/day.ts";

/** A leg with less snow under foot is not one over snow. */
export const LEAST_SNOW_M = 1000;

export interface Noon {
  /** Ultraviolet index under a clear sky: the clear day is the one that burns. */
  uv: number;
  latDeg: number;
  yearDay: number;
  heightM: number;
  onSnow: boolean;
}

/** `days` are those of the leg, one at least. */
export function strongestNoon({ snowM }: LegResult, days: readonly DayResult[], profile: Profile): Noon {
  const onSnow = snowM >= LEAST_SNOW_M;
  const noons = days.map(({ date, fromNode, toNode }): Noon => {
    const node = (fromNode + toNode) >> 1;
    const latDeg = profile.latDeg[node]!;
    const yearDay = dayOfYear(dayNumber(date)!);
    const heightM = profile.hasHeights ? profile.heightM[node]! : 0;
    return { uv: clearNoonUv(latDeg, yearDay, heightM, onSnow), latDeg, yearDay, heightM, onSnow };
  });
  return noons.reduce((a, b) => (b.uv > a.uv ? b : a));
}
