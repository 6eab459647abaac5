/** One of the simulated hikes: what it met, leg by leg, and the plan that it would have wanted. */
import type { Plan } from "../plan/schema.ts";
import type { PlanFigures } from "../result/result.ts";
import { dayNumber, isoOfDay } from "../units/day.ts";
import { flowsOn, prepare, bit, TROUBLES, walkHikes, type HikesOptions, type Trouble } from "./hikes.ts";
import { luckOf } from "./tables.ts";

export interface HikeLeg {
  legIndex: number;
  days: number;
  lateDays: number;
  /** Lost to illness. */
  restDays: number;
  troubles: Trouble[];
  foodLeftKg: number;
  /** Undefined without a night outside. */
  nightK: number | undefined;
}

export interface Hike {
  run: number;
  /** Multiples of the plan's speed and need. */
  pace: number;
  energy: number;
  illDays: number;
  wetDays: number;
  snowYear: "low" | "usual" | "high";
  drySourceIds: string[];
  finish: string;
  legs: HikeLeg[];
}

export function hikeOf(plan: Plan, result: PlanFigures, run: number, options: HikesOptions = {}): Hike {
  const prepared = prepare(plan, result, options);
  const one = walkHikes(prepared, run, run + 1);
  const flows = flowsOn(prepared, run);
  const dry = new Set(
    prepared.does.has("sources")
      ? prepared.tables.flatMap(({ arrivals }) => arrivals.filter((at) => !flows(at)).map(({ id }) => id))
      : [],
  );
  return {
    run,
    pace: one.pace[0]!,
    energy: one.energy[0]!,
    illDays: one.restDays.reduce((a, b) => a + b, 0),
    wetDays: one.wetDays[0]!,
    snowYear: (["low", "usual", "high"] as const)[one.snowYear[0]! + 1]!,
    drySourceIds: plan.sources.filter(({ id }) => dry.has(luckOf(id))).map(({ id }) => id),
    finish: isoOfDay(Math.round(dayNumber(result.finishDate)! + one.lateDays.at(-1)!)),
    legs: result.legs.map(({ index }) => ({
      legIndex: index,
      days: one.days[index]!,
      lateDays: one.lateDays[index]!,
      restDays: one.restDays[index]!,
      troubles: TROUBLES.filter((trouble) => one.troubles[index]! & bit(trouble)),
      foodLeftKg: one.foodLeftKg[index]!,
      nightK: one.nightK[index]! < 90 ? one.nightK[index]! : undefined,
    })),
  };
}

const MOST_NIGHTS = 30;

/**
 * The plan with that hike's own pace and need, its year of snow, its dry sources and, at the next stop after days of
 * illness, as many nights more: what would have had to be carried. Luck of single days is not in it.
 */
export function planOfHike(plan: Plan, result: Pick<PlanFigures, "legs">, hike: Hike, who: number): Plan {
  const clamp = (value: number, least: number, most: number): number => Math.min(most, Math.max(least, value));
  const dry = new Set(hike.drySourceIds);
  const nights = new Map<string, number>();
  for (const { legIndex, restDays } of hike.legs)
    if (restDays > 0) nights.set(result.legs[legIndex]!.toStopId, restDays);
  return {
    ...plan,
    climate: { ...plan.climate, snowYear: hike.snowYear === "usual" ? plan.climate.snowYear : hike.snowYear },
    hikers: plan.hikers.map((hiker, h) => {
      const { pace, food } = hiker;
      const walked = { ...pace, speedFactor: clamp(pace.speedFactor * hike.pace, 0.3, 2) };
      if (h !== who) return { ...hiker, pace: walked };
      const effortFactor = clamp(pace.effortFactor * hike.energy, 0.5, 2);
      const measured = food.measuredKcalPerDay;
      return {
        ...hiker,
        pace: { ...walked, effortFactor },
        food:
          measured === undefined ? food : { ...food, measuredKcalPerDay: clamp(measured * hike.energy, 1000, 10_000) },
      };
    }),
    sources: plan.sources.map((source) => (dry.has(source.id) ? { ...source, counted: false } : source)),
    stops: plan.stops.map((stop) => ({
      ...stop,
      nights: Math.min(MOST_NIGHTS, stop.nights + (nights.get(stop.id) ?? 0)),
    })),
  };
}
