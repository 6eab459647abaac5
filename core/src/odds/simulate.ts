/** A thousand hikes told: what each leg runs short of and how surely that is known, packs, and arrivals as a range. */
import { quantileSorted, sampleRankCorrelation } from "simple-statistics";
import type { Plan } from "../plan/schema.ts";
import type { PlanFigures } from "../result/result.ts";
import { dayNumber, isoOfDay } from "../units/day.ts";
import { wilson } from "../units/draws.ts";
import { bit, prepare, TROUBLES, walkHikes, type HikesOptions, type Trouble, type Varied } from "./hikes.ts";
import { joinHikes, type Hikes } from "./record.ts";

export interface Chance {
  found: number;
  runs: number;
  /** 95 % interval. */
  low: number;
  high: number;
}

/** One hike in ten below the first, half below the second, nine in ten below the third. */
export type Range<Value> = [Value, Value, Value];

export interface LegOdds {
  legIndex: number;
  chances: Record<Trouble, Chance>;
  /** Up to three hikes of each trouble, by number: the worst where that can be said. */
  examples: Partial<Record<Trouble, number[]>>;
  /** Missing at the end of the leg in the worst of ten hikes, kg; less than nothing is over. */
  foodShortKg: number;
  /** The pack at its heaviest, in one hike of ten more. */
  heaviestKg: number;
  days: Range<number>;
  /** At the end of the leg. */
  arrives: Range<string>;
}

export interface Odds {
  runs: number;
  legs: LegOdds[];
  /** On one leg or more. */
  somewhere: Record<Trouble, Chance>;
  /** Of "food": short by a day and more, and at all. */
  short: { aDay: Chance; any: Chance };
  finish: Range<string>;
  /** Days with rain. */
  wetDays: Range<number>;
  /** The heaviest pack of the whole, in one hike of ten more. */
  heaviestKg: number;
  /** Share of the spread of the arrival that goes with each, by squared rank correlation. */
  drivers: { what: Varied; share: number }[];
}

/** Less than this is not short of anything. */
const SCRAP_DAYS = 0.02;

/** All at once; parts of them may be walked apart and told together. */
export function simulate(plan: Plan, result: PlanFigures, options: HikesOptions = {}): Odds {
  return tellOdds(result, walkHikes(prepare(plan, result, options)));
}

/** The same, a part at a time: how much is done, and the answer at the end. */
export function* simulateInParts(
  plan: Plan,
  result: PlanFigures,
  options: HikesOptions & { partRuns: number },
): Generator<{ done: number; odds?: Odds }> {
  const prepared = prepare(plan, result, options);
  const parts: Hikes[] = [];
  for (let from = 0; from < prepared.runs; from += options.partRuns) {
    const to = Math.min(prepared.runs, from + options.partRuns);
    parts.push(walkHikes(prepared, from, to));
    if (to < prepared.runs) yield { done: to / prepared.runs };
  }
  yield { done: 1, odds: tellOdds(result, joinHikes(parts)) };
}

export function tellOdds(result: Pick<PlanFigures, "legs" | "finishDate">, hikes: Hikes): Odds {
  const runs = hikes.to - hikes.from;
  const { legCount } = hikes;
  const ofLeg = (values: ArrayLike<number>, leg: number): Float64Array =>
    Float64Array.from({ length: runs }, (_, run) => values[run * legCount + leg]!);
  const finishDay = dayNumber(result.finishDate)!;
  const legs = result.legs.map(({ index, endDate }): LegOdds => {
    const troubles = ofLeg(hikes.troubles, index);
    const left = ofLeg(hikes.foodLeftKg, index);
    const nightK = ofLeg(hikes.nightK, index);
    const lasts = rangeOf(ofLeg(hikes.days, index), 0);
    const endDay = dayNumber(endDate)!;
    const counted = (trouble: Trouble): Chance => {
      let found = 0;
      for (const set of troubles) if (set & bit(trouble)) found++;
      return chanceOf(found, runs);
    };
    return {
      legIndex: index,
      chances: byTrouble(counted),
      examples: examplesOf(troubles, { food: left, cold: nightK }, hikes.from),
      foodShortKg: -quantile(left, 0.1),
      heaviestKg: quantile(ofLeg(hikes.heaviestKg, index), 0.9),
      days: lasts,
      arrives: datesOf(rangeOf(ofLeg(hikes.lateDays, index), endDay)),
    };
  });
  const late = ofLeg(hikes.lateDays, legCount - 1);
  const illDays = Array.from({ length: runs }, (_, run) =>
    hikes.restDays.subarray(run * legCount, (run + 1) * legCount).reduce((a, b) => a + b, 0),
  );
  const somewhere = (trouble: Trouble): Chance => {
    let found = 0;
    for (let run = 0; run < runs; run++)
      for (let leg = 0; leg < legCount; leg++)
        if (hikes.troubles[run * legCount + leg]! & bit(trouble)) {
          found++;
          break;
        }
    return chanceOf(found, runs);
  };
  const shortBy = (days: number): Chance => {
    let found = 0;
    for (let run = 0; run < runs; run++)
      if (hikes.shortDays.subarray(run * legCount, (run + 1) * legCount).some((short) => short >= days)) found++;
    return chanceOf(found, runs);
  };
  const heaviest = Float64Array.from({ length: runs }, (_, run) =>
    hikes.heaviestKg.subarray(run * legCount, (run + 1) * legCount).reduce((a, b) => Math.max(a, b), 0),
  );
  return {
    runs,
    legs,
    somewhere: byTrouble(somewhere),
    short: { aDay: shortBy(1), any: shortBy(SCRAP_DAYS) },
    finish: datesOf(rangeOf(late, finishDay)),
    wetDays: rangeOf(Float64Array.from(hikes.wetDays), 0),
    heaviestKg: quantile(heaviest, 0.9),
    drivers: (
      [
        ["pace", hikes.pace],
        ["illness", illDays],
        ["snow", hikes.snowYear],
      ] as const
    )
      .map(([what, draws]) => ({ what, share: rankCorrelation([...draws], [...late]) ** 2 }))
      .filter(({ share }) => share > 0),
  };
}

const chanceOf = (found: number, runs: number): Chance => ({ found, runs, ...wilson(found, runs) });

function byTrouble(chanceFor: (trouble: Trouble) => Chance): Record<Trouble, Chance> {
  return Object.fromEntries(TROUBLES.map((trouble) => [trouble, chanceFor(trouble)])) as Record<Trouble, Chance>;
}

const MOST_EXAMPLES = 3;

function examplesOf(
  troubles: Float64Array,
  worstFirst: Partial<Record<Trouble, Float64Array>>,
  fromRun: number,
): LegOdds["examples"] {
  const examples: LegOdds["examples"] = {};
  for (const trouble of TROUBLES) {
    const found: number[] = [];
    for (const [run, set] of troubles.entries()) if (set & bit(trouble)) found.push(run);
    const by = worstFirst[trouble];
    if (by) found.sort((a, b) => by[a]! - by[b]! || a - b);
    if (found.length > 0) examples[trouble] = found.slice(0, MOST_EXAMPLES).map((run) => run + fromRun);
  }
  return examples;
}

function rangeOf(values: Float64Array, added: number): Range<number> {
  const sorted = Float64Array.from(values).sort();
  return [0.1, 0.5, 0.9].map((share) => added + quantileSorted(sorted as never, share)) as Range<number>;
}

const datesOf = (days: Range<number>): Range<string> => days.map((day) => isoOfDay(Math.round(day))) as Range<string>;

const quantile = (values: Float64Array, share: number): number =>
  quantileSorted(Float64Array.from(values).sort() as never, share);

/** Nothing where one of them is the same in every hike. */
function rankCorrelation(a: number[], b: number[]): number {
  const found = sampleRankCorrelation(a, b);
  return Number.isFinite(found) ? found : 0;
}
