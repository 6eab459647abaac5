/** Several days at once: as they were planned, or as a record of positions has them; nothing is kept until one says so. */
import {
  AWAY_M,
  calendarDays,
  cardsOf,
  dayNumber,
  isoOfDay,
  isWalked,
  logDaySchema,
  nodeOf,
  walkedOf,
  type LogDay,
  type Plan,
  type PlanResult,
  type WalkedDay,
  type WalkedM,
  type WalkedRecord,
} from "@gepack/core";
import { endNear } from "./endPlace.ts";
import { nextDate, openCard, type NamedPlace } from "./today.ts";
import { rounded } from "../../units/quantity.ts";

export interface CatchRow {
  card: LogDay;
  isTaken: boolean;
  /** What the record has to say of it. */
  day: WalkedDay | undefined;
  about: CatchAbout[];
}

/** Why a row is not taken by itself, or what to look at. */
export type CatchAbout = "kept" | "before-start" | "not-over" | "ends-away" | "silent" | "wrong-fixes";

/** Days of a plan are caught up so many at once. */
export const MOST_CATCH_DAYS = 60;

/** From the day after the last card to a date, each as it was planned. */
export function plannedRows(plan: Plan, result: PlanResult, untilDate: string): CatchRow[] {
  const first = dayNumber(nextDate(plan))!;
  const last = Math.min(dayNumber(untilDate)!, first + MOST_CATCH_DAYS - 1);
  const days = calendarDays(plan, result);
  return Array.from({ length: Math.max(0, last - first + 1) }, (_, i): CatchRow => {
    const { card } = openCard(plan, result, isoOfDay(first + i), days);
    return { card, isTaken: true, day: undefined, about: [] };
  });
}

const SILENT_H = 2;

/**
 * A day of a record as a card: what was kept of that day keeps all that a record does not know. A day that is kept
 * already, that is before the start or is not over yet is shown and not taken unasked. Of many the last.
 */
export function recordRows(
  plan: Plan,
  result: PlanResult,
  { days }: WalkedRecord,
  places: readonly NamedPlace[],
  isOver: boolean,
): CatchRow[] {
  const calendar = calendarDays(plan, result);
  const rows = days.flatMap((day, i): CatchRow[] => {
    // A clock that was never set tells days that no trip has.
    if (day.toM === undefined || !logDaySchema.shape.date.safeParse(day.date).success) return [];
    const kept = plan.log.find(({ date }) => date === day.date);
    const base = kept ?? openCard(plan, result, day.date, calendar).card;
    const about: CatchAbout[] = [];
    if (kept) about.push("kept");
    if (day.date < plan.trip.startDate) about.push("before-start");
    if (!isOver && i === days.length - 1) about.push("not-over");
    if (day.endsOffM > AWAY_M) about.push("ends-away");
    if (day.silentH > SILENT_H) about.push("silent");
    if (day.flung > 0) about.push("wrong-fixes");
    const hours = (given: number | undefined): number | undefined =>
      given === undefined ? undefined : rounded(Math.min(24, given), 1);
    const card = withoutBlanks({
      ...base,
      ...endNear(result.profile, places, day.toM),
      walkedH: hours(day.walkedH) ?? base.walkedH,
      breakH: hours(day.breakH) ?? base.breakH,
    });
    return [{ card, day, about, isTaken: !about.some((one) => UNTICKED.has(one)) }];
  });
  return rows.slice(-MOST_CATCH_DAYS);
}

const UNTICKED: ReadonlySet<CatchAbout> = new Set<CatchAbout>(["kept", "before-start", "not-over"]);

export function withoutBlanks(card: LogDay): LogDay {
  return Object.fromEntries(Object.entries(card).filter(([, value]) => value !== undefined)) as LogDay;
}

/** Where each row's day starts and ends along the walk, the row before it told; a row never goes back. */
export function rowDistances(
  plan: Plan,
  result: PlanResult,
  rows: readonly CatchRow[],
): { fromM: WalkedM; toM: WalkedM }[] {
  const { profile } = result;
  const before = cardsOf(plan, result).findLast(({ card }) => card.date < (rows[0]?.card.date ?? ""));
  let fromNode = before?.toNode ?? 0;
  return rows.map(({ card }) => {
    const toNode = Math.max(fromNode, isWalked(profile, card) ? nodeOf(profile, card) : fromNode);
    const walked = { fromM: walkedOf(profile, fromNode), toM: walkedOf(profile, toNode) };
    fromNode = toNode;
    return walked;
  });
}
