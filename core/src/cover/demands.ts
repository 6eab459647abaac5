/**
 * What season, trail and rules ask of the kit, leg by leg and hiker by hiker, as a number with its place. Nights
 * and pads ask what they are judged by; the rest are thresholds by judgement [L], each of which a hiker may set
 * or lift on a leg. A demand that is not there is no promise that it will not come.
 */
import { wetOrNone } from "../models/rain.ts";
import type { DEMANDS } from "../plan/ids.ts";
import type { Plan } from "../plan/schema.ts";
import type { DayResult, LegResult, TripFigures } from "../result/result.ts";
import { holdsOn, sleepsIn, touches } from "../result/stretches.ts";

export type DemandKind = (typeof DEMANDS)[number];

export interface Demand {
  kind: DemandKind;
  legIndex: number;
  /** Index of the hiker. */
  who: number;
  /**
   * °C of the night (`night`) or of the coldest day's mean (`warm-layer`), R (`pad`), litres (`water`, `food-store`),
   * expected wet days (`rain`), index (`sun`), level 0 to 3 (`insects`), metres of snow (`traction`, `axe`), of it soft
   * (`snowshoes`), nights outside (`shelter`, `light`), stretches (`papers`).
   */
  amount: number;
  /** Where it is greatest. */
  node: number;
  /** Set by the hiker, whatever the figures say. */
  byHand: boolean;
}

/** Figures of a leg that cost more to find than a plan's result holds. */
export interface MoreOfLeg {
  uvIndex: number;
  insects: number;
}

/** Where the coldest night in ten is colder than this, or a day in the mean, one wants something warm to sit in. */
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
const INSECT_LEVEL = 2;

export function demandsOf(plan: Plan, result: TripFigures, more?: readonly MoreOfLeg[]): Demand[] {
  const own = new Map(plan.kitRules.demands.map(({ kind, fromStopId, wanted }) => [`${kind} ${fromStopId}`, wanted]));
  return result.legs.flatMap((leg) => {
    const found = ofLeg(plan, result, leg, more?.[leg.index]);
    const locked = isLocked(plan, leg, result);
    return plan.hikers.flatMap((_, who) => {
      const seen = [...found, ...ofHiker(leg, who, locked)];
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
function ofLeg(plan: Plan, result: TripFigures, leg: LegResult, more: MoreOfLeg | undefined): Found[] {
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
  if (leg.snowM >= SNOW_M) {
    add("traction", leg.snowM);
    // Of a slope that nobody has told it is not known that it is gentle.
    add("axe", leg.snowM);
    if (leg.softSnowM > SOFT_SHARE * leg.distanceM) add("snowshoes", leg.softSnowM);
  }
  if (more && more.uvIndex >= SUN_INDEX) add("sun", more.uvIndex);
  const swarms = plan.stretches.some(
    (stretch) => stretch.kind === "insects" && touches(stretch, leg, result) && holdsOn(stretch, leg),
  );
  const level = Math.max(more?.insects ?? 0, swarms ? INSECT_LEVEL : 0);
  if (level >= INSECT_LEVEL) add("insects", level);
  const permits = plan.stretches
    .filter(({ rule }) => rule === "permit")
    .filter((stretch) => touches(stretch, leg, result) && holdsOn(stretch, leg));
  if (permits.length > 0) add("papers", permits.length);
  return found;
}

/** Of one hiker: water to carry, and food that rules want locked away. */
function ofHiker(leg: LegResult, who: number, locked: boolean): Found[] {
  const { carries, largestCarry, food } = leg.hikers[who]!;
  const carry = carries[largestCarry];
  const found: Found[] = [];
  if (carry && carry.litres > 0) found.push({ kind: "water", amount: carry.litres, node: carry.fromNode });
  if (locked) found.push({ kind: "food-store", amount: food.startKg / food.bulkKgPerL, node: leg.fromNode });
  return found;
}

function isLocked({ stretches }: Plan, leg: LegResult, result: TripFigures): boolean {
  return stretches.some(
    (stretch) =>
      stretch.rule === "hard-canister" &&
      touches(stretch, leg, result) &&
      holdsOn(stretch, leg) &&
      (stretch.heldBy === "carrying" || sleepsIn(stretch, leg, result)),
  );
}

function meanC({ lowC, highC }: DayResult): number {
  return (lowC + highC) / 2;
}
