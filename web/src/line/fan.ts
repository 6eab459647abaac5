/** Arrivals at the ends of the legs against the plan: days early and late between which eight hikes of ten are. */
import { dayNumber, type Odds, type PlanResult } from "@gepack/core";
import { toPx } from "../units/quantity.ts";

export interface FanPoint {
  metres: number;
  /** Of the planned day. */
  day: number;
  early: number;
  late: number;
}

export function fanOf(odds: Odds, { legs }: Pick<PlanResult, "legs">): FanPoint[] {
  const [first] = legs;
  const points: FanPoint[] = first
    ? [{ metres: first.fromM, day: dayNumber(first.startDate)!, early: 0, late: 0 }]
    : [];
  for (const leg of legs) {
    const legOdds = odds.legs[leg.index];
    if (!legOdds) continue;
    const day = dayNumber(leg.endDate)!;
    points.push({
      metres: leg.toM,
      day,
      early: Math.max(0, day - dayNumber(legOdds.arrives[0])!),
      late: Math.max(0, dayNumber(legOdds.arrives[2])! - day),
    });
  }
  return points;
}

/** There along the early days, and back along the late ones. */
export function fanEdge(
  points: readonly FanPoint[],
  x: (metres: number) => number,
  y: (day: number) => number,
): string {
  const at = (metres: number, day: number): string => `${toPx(x(metres))},${toPx(y(day))}`;
  return [
    ...points.map(({ metres, day, early }) => at(metres, day - early)),
    ...points.toReversed().map(({ metres, day, late }) => at(metres, day + late)),
  ].join(" ");
}
