/** What the days meet at their dates as steps along the walk, a lane each. */
import { isSnow, walkedOf, type LegConditions, type PlanResult } from "@gepack/core";

export interface Step {
  fromM: number;
  toM: number;
  value: number;
  /** Drawn in the colour of danger. */
  bad?: boolean;
}

/** By day where it is given by the day, else by leg. */
export function stepsOf({ days, legs, profile, surface }: PlanResult, rows: readonly LegConditions[]) {
  const walked = days.filter(({ fromNode, toNode }) => toNode > fromNode);
  const over = (value: (day: (typeof days)[number]) => number): Step[] =>
    walked.map((day) => ({
      fromM: walkedOf(profile, day.fromNode),
      toM: walkedOf(profile, day.toNode),
      value: value(day),
    }));
  const byLeg = (value: (row: LegConditions) => number | undefined): Step[] =>
    rows.flatMap((row) => {
      const one = value(row);
      const leg = legs[row.legIndex];
      return one === undefined || !leg ? [] : [{ fromM: leg.fromM, toM: leg.toM, value: one }];
    });
  const snowShare = ({ fromNode, toNode }: (typeof days)[number]): number => {
    let snowed = 0;
    for (let c = fromNode; c < toNode; c++) if (isSnow(surface[c]!)) snowed++;
    return snowed / (toNode - fromNode);
  };
  const stands = byLeg(({ standsC }) => standsC);
  const standsAt = (metres: number): number =>
    stands.find(({ fromM, toM }) => metres >= fromM && metres < toM)?.value ?? -Infinity;
  return {
    night: over(({ coldNightC }) => coldNightC).map((step, i) => ({
      ...step,
      bad: walked[i]!.outside && step.value < standsAt(step.fromM),
    })),
    stands,
    day: over(({ hotDayC }) => hotDayC),
    snow: over(snowShare),
    wet: over(({ wetChance }) => wetChance),
    light: over(({ daylightH }) => daylightH),
    insects: byLeg(({ insects }) => insects),
  };
}
