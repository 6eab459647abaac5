/** The sources that are walked past, on the day that one comes to them: how likely each is, and what was seen last. */
import { isWalked, nodeOf } from "../track/place.ts";
import type { Plan, Source } from "../plan/schema.ts";
import type { TripFigures } from "../result/result.ts";
import { dayNumber } from "../units/day.ts";
import { flowChance, placeSources } from "../walk/sources.ts";

export interface Passage {
  source: Source;
  node: number;
  legIndex: number;
  date: string;
  /** Of water on that day, 0 to 1. */
  chance: number;
  /** The last report by then. */
  seen: Source["reports"][number] | undefined;
}

/** In walking order. */
export function passages(plan: Plan, { profile, days }: Pick<TripFigures, "profile" | "days">): Passage[] {
  const walked = plan.sources.filter((source) => isWalked(profile, source));
  const { wetness } = plan.climate;
  const placed = placeSources({ sources: walked, stretches: plan.stretches, profile, wetness });
  const byId = new Map(walked.map((source) => [source.id, source]));
  let d = 0;
  return placed.flatMap((at): Passage[] => {
    while (d + 1 < days.length && days[d]!.toNode <= at.node) d++;
    const day = days[d];
    const source = byId.get(at.id);
    if (!day || !source) return [];
    const seen = source.reports
      .filter(({ date }) => date <= day.date)
      .reduce<Source["reports"][number] | undefined>((a, b) => (a && a.date > b.date ? a : b), undefined);
    const { date, legIndex } = day;
    const node = nodeOf(profile, source);
    return [{ source, node, legIndex, date, chance: flowChance(at, dayNumber(date)!), seen }];
  });
}
