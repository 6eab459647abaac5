/** Edits of the log: a card kept, dropped, what was learnt taken; each one undoable step. */
import {
  calendarDays,
  placeAt,
  removeRow,
  withFits,
  withShakedown,
  type Fit,
  type LogDay,
  type Plan,
  type PlanResult,
  type Profile,
  type Shakedown,
  type ThermometerReading,
  type WalkedM,
} from "@gepack/core";
import { edit } from "../store/document.ts";
import { dayMonth } from "../units/quantity.ts";

/** What the step is called that saves these days. */
export const labelOf = (cards: readonly LogDay[]): string =>
  cards.length === 1 ? `Log of ${dayMonth(cards[0]!.date)}` : `Log of ${cards.length} days`;

/** A source remembers so many reports. */
const MOST_REPORTS = 400;

/**
 * Keeps a card; of its day there is one. With the first the plan of then is kept beside the log, to be compared with, and what was
 * seen at water is given to its sources as well.
 */
export function keepCards(cards: readonly LogDay[], result: PlanResult): Promise<boolean> {
  return edit(labelOf(cards), (draft, { newId }) => {
    const plan = draft as Plan;
    if (plan.log.length === 0) plan.plannedDays = plannedDays(plan, result);
    for (const card of cards) {
      dropReports(plan, card.date);
      plan.log = [...plan.log.filter(({ id, date }) => id !== card.id && date !== card.date), card];
      for (const { sourceId, said } of card.water) {
        const source = plan.sources.find(({ id }) => id === sourceId);
        if (source)
          source.reports = [...source.reports, { id: newId(), date: card.date, said, note: FROM_LOG }].slice(
            -MOST_REPORTS,
          );
      }
    }
    plan.log.sort((a, b) => a.date.localeCompare(b.date));
  });
}

const FROM_LOG = "from the log";

/** What a card has told the sources is theirs no longer than the card says it. */
function dropReports({ sources }: Plan, day: string): void {
  const isOfCard = ({ date, note }: Plan["sources"][number]["reports"][number]): boolean =>
    date === day && note === FROM_LOG;
  for (const source of sources)
    if (source.reports.some(isOfCard)) source.reports = source.reports.filter((row) => !isOfCard(row));
}

function plannedDays(plan: Plan, result: PlanResult): Plan["plannedDays"] {
  return calendarDays(plan, result)
    .slice(0, 2000)
    .map(({ date, toM, walkH }) => ({ date, toM, walkH: Math.min(48, walkH) }));
}

export function forgetCard({ id, date }: Pick<LogDay, "id" | "date">): Promise<boolean> {
  return edit(`Delete the log of ${dayMonth(date)}`, (draft) => {
    dropReports(draft as Plan, date);
    removeRow(draft as Plan, "log", id);
  });
}

export function takeFits(fits: readonly Fit[], result: PlanResult, label: string): void {
  void edit(label, (draft) => {
    const plan = draft as Plan;
    const { hikers, devices, learned } = withFits(plan, result, fits);
    plan.hikers = hikers;
    plan.devices = devices;
    plan.learned = learned;
  });
}

export function takeShakedown(shakedown: Shakedown): void {
  void edit(`Use figures learnt on ${shakedown.name}`, (draft) => {
    const plan = draft as Plan;
    const { hikers, shakedowns } = withShakedown(plan, shakedown);
    plan.hikers = hikers;
    plan.shakedowns = shakedowns;
  });
}

export function forgetShakedown(planId: string): void {
  void edit("Unlink the earlier trip", (draft) => {
    draft.shakedowns = draft.shakedowns.filter((one) => one.planId !== planId);
  });
}

/** A season takes so many readings: the newest. */
const MOST_READINGS = 500;

export function takeReadings(readings: readonly ThermometerReading[]): void {
  void edit(`Add ${readings.length} temperature readings from the log`, ({ climate }) => {
    climate.readings = [...climate.readings, ...readings].slice(-MOST_READINGS);
  });
}

/** The place so far along the walk, as a card has it. */
export function cardPlace(profile: Profile, walkedM: WalkedM): Pick<LogDay, "trackM" | "alternateId"> {
  const { trackM, alternateId } = placeAt(profile, walkedM);
  return { trackM, ...(alternateId === undefined ? {} : { alternateId }) };
}
