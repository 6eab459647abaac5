/** What is made safe to drink, leg by leg: litres, minutes, doses, and what is left of the filter. */
import {
  boilMinutes,
  chlorineMinutes,
  dioxideMinutes,
  filterMinutes,
  LAMP_MIN_PER_L,
  type Filtered,
} from "../models/treatment.ts";
import { SNOW_ID } from "../plan/ids.ts";
import { rowOf } from "../plan/rowOf.ts";
import type { Hiker, Plan, Source } from "../plan/schema.ts";
import type { LegResult, TripFigures } from "../result/result.ts";
import type { Carry } from "../provision/water.ts";

export type Treatment = Hiker["water"]["treatment"];

export interface TreatedFill extends Filtered {
  litres: number;
  /** Of the water, taken as the mean of the leg's air, never frozen [L]. */
  waterC: number;
  methods: readonly Treatment["method"][];
  /** Of the minutes, those that one stands still for. */
  handsOnMinutes: number;
}

export interface TreatedLeg {
  legIndex: number;
  litres: number;
  /** Of that, what is treated a second way as well. */
  secondL: number;
  minutes: number;
  handsOnMinutes: number;
  flushes: number;
  /** Treated since the start, or since the filter or the drops were new. */
  litresSoFar: number;
  /** New ones are wanted at the stop it leaves, since the old would not last the leg. */
  renewed: boolean;
}

/** Water of a tap, and snow that was brought to the boil, need no treating. */
export function isTreated(carry: Carry, plan: Pick<Plan, "sources">): boolean {
  if (carry.fromSourceId === undefined || carry.fromSourceId === SNOW_ID || carry.isIce) return false;
  const source = sourceOf(carry, plan);
  return source !== undefined && source.kind !== "tap" && source.kind !== "cache";
}

function sourceOf({ fromSourceId }: Carry, { sources }: Pick<Plan, "sources">): Source | undefined {
  return rowOf(sources, fromSourceId);
}

/** The ways that a fill is treated, one after the other: contaminated water both. */
export function methodsFor(
  carry: Carry,
  plan: Pick<Plan, "sources">,
  { method, second }: Treatment,
): Treatment["method"][] {
  const isContaminated = sourceOf(carry, plan)?.contaminated === true && second !== method;
  return (isContaminated ? [method, second] : [method]).filter((one) => one !== "none");
}

/** What is drunk and cooked along the trail from a water; what is in reserve was treated before. */
export function treatFill(
  carry: Carry,
  plan: Pick<Plan, "sources">,
  leg: LegResult,
  treatment: Treatment,
  heightM: number,
): TreatedFill {
  const litres = carry.walkingL + carry.campL;
  const waterC = Math.max(1, (leg.lowC + leg.highC) / 2);
  const methods = methodsFor(carry, plan, treatment);
  const times = methods.map((method) => timeOf(litres, waterC, { ...treatment, method }, heightM));
  const minutes = times.reduce((sum, one) => sum + one.minutes, 0);
  const handsOn = times.reduce((sum, one, i) => sum + (HANDS_ON.includes(methods[i]!) ? one.minutes : 0), 0);
  const flushes = times.reduce((sum, one) => sum + one.flushes, 0);
  return { litres, waterC, methods, minutes, handsOnMinutes: handsOn, flushes };
}

/** While the others work one walks on. */
const HANDS_ON: readonly Treatment["method"][] = ["filter", "lamp", "boil"];

/** Minutes at the water, or until it may be drunk. */
function timeOf(
  litres: number,
  waterC: number,
  { method, flowLpm, murk, target }: Treatment,
  heightM: number,
): Filtered {
  const wait = (minutes: number): Filtered => ({ minutes: litres > 0 ? minutes : 0, flushes: 0 });
  switch (method) {
    case "none":
      return wait(0);
    case "filter":
      return filterMinutes(litres, flowLpm, murk);
    case "dioxide":
      return wait(dioxideMinutes(waterC, target) * (murk === "clear" ? 1 : 2));
    case "chlorine":
      return wait(chlorineMinutes(waterC) * (murk === "clear" ? 1 : 2));
    case "lamp":
      return wait(litres * LAMP_MIN_PER_L);
    case "boil":
      return wait(boilMinutes(heightM));
  }
}

/** Ways that are used up by the litre. */
const USED_UP: readonly Treatment["method"][] = ["filter", "dioxide", "chlorine", "lamp"];

export function isUsedUp(method: Treatment["method"]): boolean {
  return USED_UP.includes(method);
}

/** Litres, time and wear of a hiker's treatment; new ones come at stops only. */
export function treatedLegs(plan: Plan, { legs, profile }: TripFigures, who: number): TreatedLeg[] {
  const { treatment } = plan.hikers[who]!.water;
  let soFar = treatment.usedL;
  return legs.map((leg) => {
    const fills = leg.hikers[who]!.carries.filter((carry) => isTreated(carry, plan)).map((carry) =>
      treatFill(carry, plan, leg, treatment, profile.heightM[carry.fromNode]!),
    );
    const sum = (of: (fill: TreatedFill) => number): number => fills.reduce((all, fill) => all + of(fill), 0);
    const litres = treatment.method === "none" ? 0 : sum((fill) => fill.litres);
    const wears = isUsedUp(treatment.method);
    const renewed = wears && litres > 0 && soFar + litres > treatment.lifeL;
    soFar = (renewed ? 0 : soFar) + litres;
    return {
      legIndex: leg.index,
      litres,
      secondL: sum((fill) => (fill.methods.length > 1 ? fill.litres : 0)),
      minutes: sum((fill) => fill.minutes),
      handsOnMinutes: sum((fill) => fill.handsOnMinutes),
      flushes: sum((fill) => fill.flushes),
      litresSoFar: soFar,
      renewed,
    };
  });
}
