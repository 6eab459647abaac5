/** What all papers are written from, worked out once. */
import {
  boxesOf,
  buildPantry,
  calendarDays,
  legBags,
  shoppingLists,
  type LegBag,
  type CalendarDay,
  type Hiker,
  type LegResult,
  type Plan,
  type PlannedBox,
  type PlanResult,
  type ShoppingList,
} from "@gepack/core";
import { NIGHT_WORDS, nightKind } from "../words/nights.ts";
import { stopName } from "../words/names.ts";
import { sayIn, type Say } from "../words/say.ts";

export interface PaperFacts {
  plan: Plan;
  result: PlanResult;
  say: Say;
  /** Whose water, load and kit stand on cards and sheets. */
  who: number;
  hiker: Hiker;
  /** Those that are wanted, all unless some are named. */
  legs: readonly LegResult[];
  days: readonly CalendarDay[];
  boxes: readonly PlannedBox[];
  shopping: readonly ShoppingList[];
  /** What the hiker leaves each stop with, where menus say what it is. */
  bags: readonly LegBag[];
}

export interface Wanted {
  who: number;
  /** Indices; all without. */
  legs?: readonly number[] | undefined;
  boxKey?: string | undefined;
}

export function paperFacts(plan: Plan, result: PlanResult, { who, legs, boxKey }: Wanted): PaperFacts {
  const pantry = buildPantry(plan.foods);
  const bags = plan.hikers.map((_, h) => legBags(plan, result, h, pantry));
  const isWanted = (legIndex: number): boolean => legs === undefined || legs.includes(legIndex);
  return {
    plan,
    result,
    say: sayIn(plan),
    who,
    hiker: plan.hikers[who]!,
    legs: result.legs.filter(({ index }) => isWanted(index)),
    days: calendarDays(plan, result).filter(({ legIndex }) => isWanted(legIndex)),
    boxes: boxesOf(plan, result).filter(
      (box) => isWanted(box.legIndex) && (boxKey === undefined || box.key === boxKey),
    ),
    bags: bags[who]!,
    shopping: shoppingLists(bags, plan.foods).filter(({ legIndex }) => isWanted(legIndex)),
  };
}

/** Where a day ends, in words. */
export function placeWords(day: CalendarDay, { plan, result, say }: PaperFacts): string {
  if (day.night === "end") return stopName(plan, result.legs.at(-1)!.toStopId);
  return day.place ?? `${NIGHT_WORDS[nightKind(day)]} at ${say.distance(day.toM)}`;
}
