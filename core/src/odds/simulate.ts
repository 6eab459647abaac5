/**
 * A thousand hikes: the plan's own days, longer or shorter, warmer or colder, hungrier or not, with sources that are dry
 * and days lost to illness. What each leg runs short of, nights colder than the kit, and the date of arrival as a range.
 *
 * Laws, all editable defaults: pace lognormal, 0.08 from hike to hike, 0.10 from day to day with r 0.3; energy 0.12 and
 * 0.15, r 0.3; fuel 0.15 and 0.15; lows by the plan's own spread of single nights, r 0.7 from night to night; a source has
 * water by its own chance; a day of every 167 ends in a rest by illness of 2.5 days in the mean [L, M]. A day's hours and
 * what is eaten on it grow alike with a slower pace; the weather of a later day is that of the planned one. Nothing varied
 * is the plan. Not a forecast.
 */
import { sampleRankCorrelation } from "simple-statistics";
import type { Plan } from "../plan/schema.ts";
import type { DayResult, PlanFigures } from "../result/result.ts";
import { dayNumber, isoOfDay } from "../units/day.ts";
import type { Carry } from "../provision/water.ts";
import { flowChance, placeSources, type PlacedSource } from "../walk/sources.ts";
import { normal, stratified, uniform, wilson } from "../units/draws.ts";

export const VARIED = ["pace", "energy", "fuel", "weather", "sources", "illness"] as const;
export type Varied = (typeof VARIED)[number];

export interface OddsOptions {
  runs?: number;
  seed?: number;
  /** All, where nothing is said. */
  varied?: readonly Varied[];
  who?: number;
}

export interface Chance {
  found: number;
  runs: number;
  /** 95 % interval. */
  low: number;
  high: number;
}

export interface LegOdds {
  legIndex: number;
  food: Chance;
  /** Missing at the end of the leg in the worst of ten hikes, kg; less than nothing is over. */
  foodShortKg: number;
  fuel: Chance;
  /** A source that is counted on has no water, and for two hours more than what is carried lasts there is none. */
  water: Chance;
  /** A night colder than what is slept in. */
  cold: Chance;
  /** Days on the leg: one in ten fewer than the first, one in ten more than the last. */
  days: [number, number, number];
}

export interface Odds {
  runs: number;
  legs: LegOdds[];
  /** Short of food on one leg or more. */
  foodSomewhere: Chance;
  /** Arrival: one hike in ten before the first, half before the second, nine in ten before the third. */
  finish: [string, string, string];
  /** Share of the spread of the arrival that goes with each, by squared rank correlation. */
  drivers: { what: Varied; share: number }[];
}

const PACE = { hike: 0.08, day: 0.1, r: 0.3 };
const ENERGY = { hike: 0.12, day: 0.15, r: 0.3 };
const FUEL = { hike: 0.15, day: 0.15, r: 0 };
const NIGHT_R = 0.7;
const ILL_A_DAY = 0.006;
/** Days of rest: one, and a geometric number more. */
const ILL_MORE_DAYS = 1.5;
const MOST_ILL_DAYS = 30;
const KEY = { pace: 1, energy: 2, fuel: 3, night: 4, source: 5, ill: 6, illDays: 7 } as const;

/** Coming to a source that is counted on: how long one can do if it is dry, and the water that may be had until then. */
interface Arrival {
  chance: number;
  id: number;
  /** Hours that what is over lasts, and of thirst that harm nobody. */
  lastsH: number;
  /** Sources after it in their order, the last the next that is counted on: hours away, chance, number. */
  onward: { afterH: number; chance: number; id: number }[];
}

/** A leg as the simulation reads it. */
interface LegTable {
  days: DayResult[];
  /** Parallel to the days: kg eaten and g burnt on each. */
  eatenKg: number[];
  burntG: number[];
  foodSold: boolean;
  fuelSold: boolean;
  startKg: number;
  startG: number;
  restKgADay: number;
  /** Coldest that the sleep kit stands, °C. */
  standsC: number;
  arrivals: Arrival[];
}

export function simulate(plan: Plan, result: PlanFigures, options: OddsOptions = {}): Odds {
  const { runs = 1000, seed = 1, varied = VARIED, who = 0 } = options;
  const does = new Set(varied);
  const tables = tablesOf(plan, result, who);
  const hikePace = stratified(seed, runs, KEY.pace);
  const hikeEnergy = stratified(seed, runs, KEY.energy);
  const hikeFuel = stratified(seed, runs, KEY.fuel);
  const counts = tables.map(() => ({ food: 0, fuel: 0, water: 0, cold: 0 }));
  const shortKg = tables.map(() => new Float64Array(runs));
  const legDays = tables.map(() => new Float64Array(runs));
  const allDays = new Float64Array(runs);
  const illDays = new Float64Array(runs);
  let shortSomewhere = 0;
  for (let run = 0; run < runs; run++) {
    let [pace, energy, night] = [0, 0, 0];
    let [bagKg, bagG, n] = [0, 0, 0];
    let wasShort = false;
    for (const [l, table] of tables.entries()) {
      if (table.foodSold || l === 0) bagKg = table.startKg;
      if (table.fuelSold || l === 0) bagG = table.startG;
      let [days, isCold] = [0, false];
      for (const [d, day] of table.days.entries()) {
        n++;
        pace = follow(pace, PACE.r, normal(seed, run, KEY.pace, n));
        energy = follow(energy, ENERGY.r, normal(seed, run, KEY.energy, n));
        const fuel = normal(seed, run, KEY.fuel, n);
        night = follow(night, NIGHT_R, normal(seed, run, KEY.night, n));
        // Slower by so much, the same ground takes so much longer.
        const longer = does.has("pace") ? Math.exp(-PACE.hike * hikePace[run]! - PACE.day * pace) : 1;
        const hungrier = does.has("energy") ? Math.exp(ENERGY.hike * hikeEnergy[run]! + ENERGY.day * energy) : 1;
        const thirstier = does.has("fuel") ? Math.exp(FUEL.hike * hikeFuel[run]! + FUEL.day * fuel) : 1;
        const share = day.budgetH > 0 ? day.walkH / day.budgetH : 0;
        let rest = 0;
        if (does.has("illness") && uniform(seed, run, KEY.ill, n) < ILL_A_DAY)
          rest = illnessDays(uniform(seed, run, KEY.illDays, n));
        illDays[run]! += rest;
        days += (longer - 1) * share + rest;
        bagKg -= table.eatenKg[d]! * longer * hungrier + rest * table.restKgADay * hungrier;
        bagG -= table.burntG[d]! * longer * thirstier;
        if (day.outside && does.has("weather") && day.lowC + day.nightSdK * night < table.standsC) isCold = true;
      }
      const flows = ({ id, chance }: { id: number; chance: number }): boolean =>
        uniform(seed, run, KEY.source, id) <= chance;
      const isDry =
        does.has("sources") &&
        table.arrivals.some(
          (arrival) => !flows(arrival) && !arrival.onward.some((next) => next.afterH <= arrival.lastsH && flows(next)),
        );
      const count = counts[l]!;
      const isShort = bagKg < -SCRAP_KG;
      wasShort ||= isShort;
      if (isShort) count.food++;
      if (bagG < -SCRAP_G) count.fuel++;
      if (isDry) count.water++;
      if (isCold) count.cold++;
      shortKg[l]![run] = -bagKg;
      legDays[l]![run] = table.days.length + days;
      allDays[run]! += days;
    }
    if (wasShort) shortSomewhere++;
  }
  const finishDay = dayNumber(result.finishDate)!;
  const at = (share: number): string => isoOfDay(finishDay + Math.round(quantile(allDays, share)));
  return {
    runs,
    foodSomewhere: chanceOf(shortSomewhere, runs),
    legs: tables.map((_, l) => ({
      legIndex: l,
      food: chanceOf(counts[l]!.food, runs),
      foodShortKg: quantile(shortKg[l]!, 0.9),
      fuel: chanceOf(counts[l]!.fuel, runs),
      water: chanceOf(counts[l]!.water, runs),
      cold: chanceOf(counts[l]!.cold, runs),
      days: [quantile(legDays[l]!, 0.1), quantile(legDays[l]!, 0.5), quantile(legDays[l]!, 0.9)],
    })),
    finish: [at(0.1), at(0.5), at(0.9)],
    drivers: (
      [
        ["pace", hikePace],
        ["illness", illDays],
      ] as const
    )
      .filter(([what]) => does.has(what))
      .map(([what, draws]) => ({ what, share: rankCorrelation(draws, allDays) ** 2 })),
  };
}

/** Less than this is not short of anything. */
const SCRAP_KG = 0.01;
const SCRAP_G = 0.5;

const follow = (before: number, r: number, draw: number): number => r * before + Math.sqrt(1 - r * r) * draw;

const chanceOf = (found: number, runs: number): Chance => ({ found, runs, ...wilson(found, runs) });

function illnessDays(u: number): number {
  const stays = ILL_MORE_DAYS / (1 + ILL_MORE_DAYS);
  return Math.min(MOST_ILL_DAYS, 1 + Math.floor(Math.log(1 - u) / Math.log(stays)));
}

function tablesOf(plan: Plan, result: PlanFigures, who: number): LegTable[] {
  const { legs, days, profile } = result;
  const placed = new Map(
    placeSources({ sources: plan.sources, stretches: plan.stretches, profile, wetness: plan.climate.wetness }).map(
      (source, i) => [source.id, { source, i }],
    ),
  );
  return legs.map((leg) => {
    const own = days.filter(({ legIndex }) => legIndex === leg.index);
    const row = leg.hikers[who]!;
    const share = sharesOf(own.map(({ energyKcal }) => energyKcal[who]!));
    const burnt = sharesOf(own.map(({ fuelKg }) => fuelKg[who]!));
    const { food, fuel, carries, warmth } = row;
    return {
      days: own,
      eatenKg: share.map((part) => part * food.eatenKg),
      burntG: burnt.map((part) => part * fuel.needG),
      foodSold: leg.foodSold,
      fuelSold: leg.fuelSold,
      startKg: food.startKg,
      startG: fuel.needG + fuel.endG,
      restKgADay: food.mealDays > 0 ? food.eatenKg / food.mealDays : 0,
      standsC: warmth ? leg.kitNightC - warmth.marginK : -Infinity,
      arrivals: arrivalsOf(carries, own, [...placed.values()]),
    };
  });
}

/** Without water for so long is thirst and no more [L]. */
const THIRST_H = 2;

function arrivalsOf(
  carries: readonly Carry[],
  days: readonly DayResult[],
  sources: readonly { source: PlacedSource; i: number }[],
): Arrival[] {
  const chanceOn = (source: PlacedSource): number => {
    const day = days.find(({ toNode }) => toNode >= source.node) ?? days.at(-1)!;
    return flowChance(source, dayNumber(day.date)!);
  };
  return carries.flatMap((carry, c): Arrival[] => {
    const next = carries[c + 1];
    const here = sources.find(({ source }) => source.id === carry.toSourceId);
    // The last ends at a stop, where there is water.
    if (!here || !next) return [];
    const perH = next.walkH > 0 ? next.walkingL / next.walkH : 0;
    const spareL = carry.litres - (carry.walkingL + carry.campL - carry.drunkL);
    const span = Math.max(1, next.toNode - next.fromNode);
    const campH = perH > 0 ? next.campL / perH : 0;
    const onward = sources
      .filter(({ source }) => source.node > carry.toNode && source.node < next.toNode)
      .map(({ source, i }) => ({
        afterH: (next.walkH * (source.node - next.fromNode)) / span,
        chance: chanceOn(source),
        id: i,
      }));
    const end = sources.find(({ source }) => source.id === next.toSourceId);
    const last = { afterH: next.walkH + campH, chance: end ? chanceOn(end.source) : 1, id: end?.i ?? -1 };
    return [
      {
        chance: chanceOn(here.source),
        id: here.i,
        lastsH: (perH > 0 ? Math.max(0, spareL) / perH : Infinity) + THIRST_H,
        onward: [...onward, last],
      },
    ];
  });
}

function sharesOf(parts: readonly number[]): number[] {
  const sum = parts.reduce((all, part) => all + part, 0);
  return parts.map((part) => (sum > 0 ? part / sum : 1 / parts.length));
}

function quantile(values: Float64Array, share: number): number {
  const sorted = Float64Array.from(values).sort();
  return sorted[Math.min(sorted.length - 1, Math.floor(share * sorted.length))]!;
}

/** Nothing where one of them is the same in every hike. */
function rankCorrelation(a: Float64Array, b: Float64Array): number {
  const found = sampleRankCorrelation([...a], [...b]);
  return Number.isFinite(found) ? found : 0;
}
