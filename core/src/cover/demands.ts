/**
 * What season, trail and rules ask of the kit, leg by leg and hiker by hiker, as a number with its place. Nights
 * and pads ask what they are judged by; the rest are thresholds by judgement [L], each of which a hiker may set
 * or lift on a leg. A demand that is not there is no promise that it will not come.
 */
import type { LegAsks } from "../conditions/legs.ts";
import { windChillC } from "../models/cold.ts";
import { wetOrNone } from "../models/rain.ts";
import type { DEMANDS } from "../plan/ids.ts";
import type { Plan, Stretch } from "../plan/schema.ts";
import { storeOf } from "../power/power.ts";
import type { DayResult, LegResult, TripFigures } from "../result/result.ts";
import { holdsOn, sleepsIn, touches } from "../result/stretches.ts";
import { isoOfDay } from "../units/day.ts";

export type DemandKind = (typeof DEMANDS)[number];

export interface Demand {
  kind: DemandKind;
  legIndex: number;
  /** Index of the hiker. */
  who: number;
  /**
   * °C of the night (`night`), of the coldest day's mean (`warm-layer`), as wind makes it feel (`wind`), of the hottest
   * day in ten (`heat`); R (`pad`); litres (`water`, `food-store`, `space`); Wh wanted (`power`); expected wet days
   * (`rain`); index (`sun`); level 0 to 3 (`insects`), 1 to 4 (`ford`); metres of snow (`traction`, `axe`), of it soft
   * (`snowshoes`); nights outside (`shelter`, `light`); stretches (`papers`, `animals`, `navigation`).
   */
  amount: number;
  /** Where it is greatest. */
  node: number;
  /** Set by the hiker, whatever the figures say. */
  byHand: boolean;
}

/** Where the coldest night in ten is colder than this, or a day on average, one needs something warm to sit in. */
const EVENING_C = 10;
const COLD_DAY_C = 5;
/** A shell is never left at home where nights get this cold and it may well be wet (science of rain) [L]. */
const WET_NIGHT_C = 10;
const WET_CHANCE = 0.05;
/** Cover up from here on (WHO). */
const SUN_INDEX = 3;
const SNOW_M = 500;
/** Of a leg, soft: more than this is walked on snowshoes. */
const SOFT_SHARE = 0.2;
/** So far nobody wades; and who wants snowshoes or skis for it has them. */
export const DEEP_SNOW_M = 3000;
const INSECT_LEVEL = 2;
/** As wind makes the mean of a day feel: from here on hands and ears want something windproof. */
const WIND_CHILL_C = 0;
/** Above this a walker looks for shade. */
const HOT_DAY_C = 30;
/** Of a ford at the hour of passage: knee-deep and pushing. */
const FORD_CLASS = 2;

export function demandsOf(plan: Plan, result: TripFigures, asks?: readonly LegAsks[]): Demand[] {
  const own = new Map(plan.kitRules.demands.map(({ kind, fromStopId, wanted }) => [`${kind} ${fromStopId}`, wanted]));
  return result.legs.flatMap((leg) => {
    const found = ofLeg(plan, result, leg, asks?.[leg.index]);
    const locked = isLocked(plan, leg, result);
    return plan.hikers.flatMap(({ id: hikerId }, who) => {
      const seen = [...found, ...ofHiker(leg, who, locked), ...ofPower(result, leg, hikerId)];
      const kept = seen.filter(({ kind }) => own.get(`${kind} ${leg.fromStopId}`) !== false);
      const added = plan.kitRules.demands
        .filter(
          ({ kind, fromStopId, wanted }) =>
            wanted && fromStopId === leg.fromStopId && !seen.some((d) => d.kind === kind),
        )
        .map(({ kind }) => ({ kind, amount: 0, node: leg.fromNode, byHand: true }));
      return [...kept, ...added].map((demand) => ({ byHand: false, ...demand, legIndex: leg.index, who }));
    });
  });
}

type Found = Pick<Demand, "kind" | "amount" | "node">;

/** Of everybody on a leg. */
function ofLeg(plan: Plan, result: TripFigures, leg: LegResult, asks: LegAsks | undefined): Found[] {
  const days = result.days.filter(({ legIndex }) => legIndex === leg.index);
  const found: Found[] = [];
  const add = (kind: DemandKind, amount: number, node = leg.fromNode): void => void found.push({ kind, amount, node });
  if (leg.nightsOutside > 0) {
    add("night", leg.kitNightC, leg.coldestCampNode);
    add("pad", leg.padRNeeded, leg.coldestCampNode);
    add("shelter", leg.nightsOutside, leg.coldestCampNode);
    add("light", leg.nightsOutside, leg.coldestCampNode);
  }
  const coldest = days.reduce((a, b) => (meanC(b) < meanC(a) ? b : a));
  const cool = leg.nightsOutside > 0 && leg.coldNightC < EVENING_C;
  if (cool || meanC(coldest) < COLD_DAY_C) add("warm-layer", meanC(coldest), coldest.toNode);
  const wet = wetOrNone(days.filter((day, i) => day.date !== days[i - 1]?.date).map(({ wetChance }) => wetChance));
  if (leg.coldNightC < WET_NIGHT_C && 1 - wet.noneChance > WET_CHANCE) add("rain", wet.mean);
  const chills = days.map((day) => windChillC(meanC(day), 3.6 * day.windMps) ?? meanC(day));
  const coldestWind = chills.indexOf(Math.min(...chills));
  if (chills[coldestWind]! < WIND_CHILL_C) add("wind", chills[coldestWind]!, days[coldestWind]!.toNode);
  const hottest = days.reduce((a, b) => (b.hotDayC > a.hotDayC ? b : a));
  if (hottest.hotDayC >= HOT_DAY_C) add("heat", hottest.hotDayC, hottest.fromNode);
  if (leg.snowM >= SNOW_M) {
    add("traction", leg.snowM);
    // Of a slope that nobody has told it is not known that it is gentle.
    add("axe", leg.snowM);
    const deepM = plan.dayRules.onSnow === "foot" ? leg.deepSnowM : leg.softSnowM;
    if (deepM >= DEEP_SNOW_M || leg.softSnowM > SOFT_SHARE * leg.distanceM) add("snowshoes", leg.softSnowM);
  }
  if (asks && asks.uvIndex >= SUN_INDEX) add("sun", asks.uvIndex);
  if (asks && asks.fordClass >= FORD_CLASS) add("ford", asks.fordClass);
  const listed = plan.stretches.filter((stretch) => touches(stretch, leg, result) && holdsOn(stretch, leg));
  const count = (is: (stretch: Stretch) => boolean): number => listed.filter(is).length;
  const level = Math.max(asks?.insects ?? 0, count(({ kind }) => kind === "insects") > 0 ? INSECT_LEVEL : 0);
  if (level >= INSECT_LEVEL) add("insects", level);
  for (const [kind, stretches] of [
    ["papers", count(({ rule }) => rule === "permit")],
    ["animals", count((stretch) => stretch.kind === "animals")],
    ["navigation", count((stretch) => stretch.kind === "faint-path")],
  ] as const)
    if (stretches > 0) add(kind, stretches);
  return found;
}

/** Of one hiker: water to carry, space in the pack, and food that rules want locked away. */
function ofHiker(leg: LegResult, who: number, locked: boolean): Found[] {
  const { carries, largestCarry, food, volumeL } = leg.hikers[who]!;
  const carry = carries[largestCarry];
  const found: Found[] = [{ kind: "space", amount: volumeL, node: leg.fromNode }];
  if (carry && carry.litres > 0) found.push({ kind: "water", amount: carry.litres, node: carry.fromNode });
  if (locked) found.push({ kind: "food-store", amount: food.startKg / food.bulkKgPerL, node: leg.fromNode });
  return found;
}

/** What a hiker’s devices want on a leg. */
function ofPower({ power, days }: TripFigures, leg: LegResult, hikerId: string): Found[] {
  const store = power && storeOf(power, hikerId);
  if (!store) return [];
  const amount = store.days.reduce((sum, day) => sum + (day.legIndex === leg.index ? day.usedWh + day.shortWh : 0), 0);
  const { flatDay } = store.legs[leg.index]!;
  const flat = days.find(
    ({ date, legIndex }) => legIndex === leg.index && flatDay !== undefined && date === isoOfDay(flatDay),
  );
  return amount > 0 ? [{ kind: "power", amount, node: flat?.fromNode ?? leg.fromNode }] : [];
}

function isLocked({ stretches }: Plan, leg: LegResult, result: TripFigures): boolean {
  return stretches.some(
    (stretch) =>
      stretch.rule === "hard-canister" &&
      touches(stretch, leg, result) &&
      holdsOn(stretch, leg) &&
      (stretch.appliesTo === "carrying" || sleepsIn(stretch, leg, result)),
  );
}

function meanC({ lowC, highC }: DayResult): number {
  return (lowC + highC) / 2;
}
