/** Shoes and what is used up by the day, along the plan: how far they are worn, and where the next has to be. */
import { changesAt, chanceWornOut, gramsFor, lifeAtChanceKm, REFERENCE_KG, SURFACE_WEAR } from "../models/wear.ts";
import type { Plan } from "../plan/schema.ts";
import type { LegResult, PlanFigures } from "../result/result.ts";
import { SURFACE_FACTORS } from "../walk/surfaces.ts";
import { REFILL_DAYS } from "../kit/tubes.ts";
import { movingDays } from "./swaps.ts";

/** Nothing is walked in that lasts less. */
export const LEAST_LIFE_KM = 20;

export interface ShoeWear {
  pieceId: string;
  who: number;
  /** First and last leg that it is walked on, and the kilometres of even trail that they wear like. */
  fromLeg: number;
  toLeg: number;
  kmEq: number;
  wornKm: number;
  meanKm: number;
  /** To be worn out before the end of them. */
  chance: number;
  /** Legs at whose beginning the next pair should be there, a counter open, so that the chance stays within the hiker's. */
  changeAtLegs: number[];
}

/** Kilometres of even trail with 80 kg that each leg wears like for a hiker: by surface, body and pack. */
export function wearKm({ legs, profile, surface, packs }: PlanFigures, who: number): number[] {
  const perKm = SURFACE_FACTORS.map(({ id }) => SURFACE_WEAR[id]);
  return legs.map(({ fromNode, toNode, hikers }) => {
    const { bodyKg } = hikers[who]!.body;
    const { loadKg } = packs[who]!;
    let km = 0;
    for (let c = fromNode; c < toNode; c++) km += perKm[surface[c]!]! * ((bodyKg + loadKg[c]!) / REFERENCE_KG);
    return (km * profile.cellM) / 1000;
  });
}

export function shoeWear(plan: Plan, result: PlanFigures): ShoeWear[] {
  const open = movingDays(plan, result);
  const byHiker = plan.hikers.map((_, who) => wearKm(result, who));
  return plan.kit.flatMap((piece, p) => {
    const on = carriedOn(p, result);
    const [first] = on;
    if (piece.role !== "shoes" || first === undefined) return [];
    const who = plan.hikers.findIndex(({ id }) => id === piece.ownerId);
    const km = byHiker[who]!;
    const legs = on.map(({ index }) => index);
    const kmEq = legs.reduce((sum, leg) => sum + km[leg]!, 0);
    const wornKm = piece.wornM / 1000;
    const meanKm = Math.max(LEAST_LIFE_KM, piece.meanLifeM / 1000);
    const limitKm = lifeAtChanceKm(meanKm, plan.kitRules.wearChance);
    const stops = legs.slice(1).filter((leg) => open[leg]);
    const stopKm = stops.map((leg) => legs.filter((one) => one < leg).reduce((sum, one) => sum + km[one]!, 0));
    return [
      {
        pieceId: piece.id,
        who,
        fromLeg: legs[0]!,
        toLeg: legs.at(-1)!,
        kmEq,
        wornKm,
        meanKm,
        chance: chanceWornOut(meanKm, wornKm, kmEq),
        changeAtLegs: changesAt(stopKm, kmEq, limitKm, wornKm).map((i) => stops[i]!),
      },
    ];
  });
}

export interface UsedUp {
  pieceId: string;
  /** Legs at whose beginning it is filled again: at stops that are slept at and sell small goods. */
  refillAtLegs: number[];
  /** Days that it lasts, surely enough, and the leg on which it runs out for all that; undefined where it lasts. */
  lastsDays: number;
  runsOutOnLeg: number | undefined;
  /** Grams that would last. */
  wantedG: number;
  /** What the tube weighs on leaving for each leg that it is carried on. */
  left: { legIndex: number; grams: number }[];
}

/** Use of single days about its mean, and 95 of 100 [L]. */
const USE_CV = 0.3;
const Z_95 = 1.645;

/** What is used by the day: a tube that is full where its spans start, runs down, and is filled again. */
export function usedUp(plan: Plan, result: PlanFigures): UsedUp[] {
  const slept = result.legs.map(
    ({ index, foodSold, fuelSold }) =>
      foodSold && fuelSold && result.days.findLast(({ legIndex }) => legIndex === index - 1)?.night === "stop",
  );
  return plan.kit.flatMap((piece, p) => {
    const { perDayG } = piece;
    const legs = carriedOn(p, result);
    if (perDayG === undefined || perDayG <= 0 || legs.length === 0) return [];
    const emptyG = (piece.emptyG ?? 0) * piece.quantity;
    const haveG = Math.max(0, piece.massG * piece.quantity - emptyG);
    const lastsDays = haveG / (perDayG * (1 + Z_95 * USE_CV));
    let days = 0;
    let allDays = 0;
    let runsOutOnLeg: number | undefined;
    const refillAtLegs: number[] = [];
    const left: UsedUp["left"] = [];
    for (const { index, dayCount, zeroDays } of legs) {
      if (days > 0 && slept[index] && haveG / perDayG - days < REFILL_DAYS) {
        days = 0;
        refillAtLegs.push(index);
      }
      left.push({ legIndex: index, grams: emptyG + Math.max(0, haveG - perDayG * days) });
      days += dayCount + zeroDays;
      allDays += dayCount + zeroDays;
      if (days > lastsDays) runsOutOnLeg ??= index;
    }
    const wantedG = gramsFor(perDayG, allDays, USE_CV, Z_95);
    return [{ pieceId: piece.id, refillAtLegs, lastsDays, runsOutOnLeg, wantedG, left }];
  });
}

function carriedOn(p: number, { legs, carrier }: PlanFigures): LegResult[] {
  return legs.filter(({ index }) => carrier[p * legs.length + index]! >= 0);
}
