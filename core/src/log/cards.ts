/** Cards of the log beside the plan: what each day was, and what the plan has for the same ground and the same day. */
import type { LogDay, Plan } from "../plan/schema.ts";
import type { PlanFigures } from "../result/result.ts";
import { isWalked, nodeOf, walkedOf } from "../track/place.ts";
import type { WalkedM } from "../units/lengths.ts";
import { dayNumber } from "../units/day.ts";

export interface CardFigures {
  card: LogDay;
  day: number;
  tripDay: number;
  /** Days since the card before; 1 where none is missing. */
  sinceDays: number;
  fromNode: number;
  toNode: number;
  /** Along the walk; all of it until the evening is `toM`. */
  fromM: WalkedM;
  toM: WalkedM;
  climbM: number;
  descentM: number;
  /** NaN where the track has no heights. */
  fromHeightM: number;
  toHeightM: number;
  /** Walking hours that the plan's models have for this very ground, and the hours that it needs of such a day. */
  groundH: number;
  wantedH: number;
  /** What the plan has for that date: where it was to end when the log was started; undefined where it had none. */
  plannedToM: number | undefined;
  /** How far ahead of the plan of then, metres and days; less than nothing behind. */
  aheadM: number | undefined;
  aheadDays: number | undefined;
  faults: CardFault[];
}

export type CardFault = "before-start" | "off-route" | "twice" | "back" | "too-fast" | "more-food";

/** Nobody walks so far in an hour with a pack. */
const MOST_KMH = 8;

/** In the order of their days. */
export function cardsOf(plan: Plan, result: PlanFigures): CardFigures[] {
  const { profile, cellH } = result;
  const startDay = dayNumber(plan.trip.startDate)!;
  const cards = [...plan.log].sort((a, b) => a.date.localeCompare(b.date));
  const found: CardFigures[] = [];
  let fromNode = 0;
  let before = startDay - 1;
  let foodKg: number | undefined;
  for (const [i, card] of cards.entries()) {
    const day = dayNumber(card.date)!;
    const faults: CardFault[] = [];
    const isThere = isWalked(profile, card);
    const endNode = isThere ? nodeOf(profile, card) : fromNode;
    if (!isThere) faults.push("off-route");
    if (day < startDay) faults.push("before-start");
    if (cards[i + 1]?.date === card.date) faults.push("twice");
    if (endNode < fromNode) faults.push("back");
    const toNode = Math.max(fromNode, endNode);
    const km = ((toNode - fromNode) * profile.cellM) / 1000;
    const hours = card.walkedH ?? ANY_DAY_H * Math.max(1, day - before);
    if (km > MOST_KMH * hours) faults.push("too-fast");
    if (
      card.foodKg !== undefined &&
      foodKg !== undefined &&
      card.foodKg > foodKg &&
      !restocks(result, fromNode, toNode)
    )
      faults.push("more-food");
    const sum = (values: ArrayLike<number>): number => {
      let total = 0;
      for (let c = fromNode; c < toNode; c++) total += values[c]!;
      return total;
    };
    const toM = walkedOf(profile, toNode);
    const plannedToM = plan.plannedDays.find(({ date }) => date === card.date)?.toM;
    found.push({
      card,
      day,
      tripDay: day - startDay + 1,
      sinceDays: day - before,
      fromNode,
      toNode,
      fromM: walkedOf(profile, fromNode),
      toM,
      climbM: sum(profile.climbM),
      descentM: sum(profile.descentM),
      fromHeightM: profile.hasHeights ? profile.heightM[fromNode]! : NaN,
      toHeightM: profile.hasHeights ? profile.heightM[toNode]! : NaN,
      groundH: sum(cellH),
      wantedH: wantedOn(result, card.date),
      plannedToM,
      aheadM: plannedToM === undefined ? undefined : toM - plannedToM,
      aheadDays: aheadDays(plan, toM, day),
      faults,
    });
    fromNode = toNode;
    before = day;
    foodKg = card.foodKg;
  }
  return found;
}

/** Without hours told, so many may have been walked. */
const ANY_DAY_H = 20;

function restocks({ legs }: PlanFigures, fromNode: number, toNode: number): boolean {
  return legs.some((leg) => leg.fromNode >= fromNode && leg.fromNode <= toNode);
}

function wantedOn({ days }: PlanFigures, date: string): number {
  return days.find((day) => day.date === date)?.budgetH ?? NaN;
}

/** Days between when the plan of then was to be here, and now; between its evenings straight lines. */
function aheadDays({ plannedDays }: Plan, toM: number, day: number): number | undefined {
  const after = plannedDays.findIndex((planned) => planned.toM >= toM);
  if (after < 0) return undefined;
  const to = plannedDays[after]!;
  const from = plannedDays[after - 1];
  const fromM = from?.toM ?? 0;
  const share = to.toM > fromM ? (toM - fromM) / (to.toM - fromM) : 1;
  const toDay = dayNumber(to.date)!;
  const fromDay = from ? dayNumber(from.date)! : toDay - 1;
  return fromDay + share * (toDay - fromDay) - day;
}
