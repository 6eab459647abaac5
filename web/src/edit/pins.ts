/** Edits of pinned nights, rest days and single days' hours: each one undoable step. */
import {
  isWalked,
  nodeOf,
  pinSchema,
  placeAt,
  walkedOf,
  type CalendarDay,
  type Pin,
  type Plan,
  type PlanResult,
  type Profile,
  type WalkedM,
} from "@gepack/core";
import { edit } from "../store/document.ts";
import { tell } from "../store/notices.ts";
import { dayMonth } from "../units/quantity.ts";
import { removeRows, setRow } from "./rows.ts";

/** So near a listed place a dragged night ends there. */
const SNAP_M = 700;

const AHEAD_H = 3;
const BACK_H = 0.5;

/** The listed camp or stop near a place on the walk; the place itself where none is. */
export function snapped({ camps, stops, sources }: Plan, profile: Profile, metres: number): WalkedM {
  let best = metres;
  let bestM = SNAP_M;
  for (const row of [...sources, ...camps, ...stops]) {
    if (!isWalked(profile, row)) continue;
    const at = walkedOf(profile, nodeOf(profile, row));
    const away = Math.abs(at - metres);
    // What is slept at goes before water: it comes last.
    if (away <= bestM) [best, bestM] = [at, away];
  }
  return best as WalkedM;
}

/** A day's end moved to another place: pinned there. */
export function moveNight(plan: Plan, profile: Profile, day: CalendarDay, metres: number): void {
  const there = snapped(plan, profile, metres);
  // Moved on, the day may be longer for it; moved back, the day before is not to reach it.
  const at = { ...placeOf(profile, there), overtimeH: there > day.toM ? AHEAD_H : BACK_H };
  const known = plan.pins.find(({ id }) => id === day.pinId);
  void edit(`Move the night of ${dayMonth(day.date)}`, (draft, { newId }) => {
    const pin = draft.pins.find(({ id }) => id === known?.id);
    if (pin) Object.assign(pin, at);
    else draft.pins.push(pinSchema.parse({ id: newId(), ...at }) as never);
  });
}

export function pinNight(profile: Profile, day: CalendarDay, fields: Partial<Pin>, label: string): void {
  const at = placeOf(profile, day.toM);
  void edit(`${label} on ${dayMonth(day.date)}`, (draft, { newId }) => {
    draft.pins.push(pinSchema.parse({ id: newId(), name: day.place ?? "", ...at, ...fields }) as never);
  });
}

function placeOf(profile: Profile, walkedM: WalkedM) {
  const { trackM, ...line } = placeAt(profile, walkedM);
  return { trackM: Math.round(trackM), ...line };
}

export function setPin(pin: Pin, label: string, fields: Partial<Pin>): void {
  setRow("pins", pin.id, `Pin${pin.name === "" ? "" : ` ${pin.name}`}: ${label}`, fields);
}

export function letGo(pin: Pin): void {
  removeRows("pins", [pin.id], `Unpin${pin.name === "" ? "" : ` ${pin.name}`}`);
}

/** A rest day more or less where a day ends: at a stop its nights, else a pin's. */
export function restThere({ legs, profile }: PlanResult, plan: Plan, day: CalendarDay, by: 1 | -1): void {
  const words =
    by > 0 ? `Add a rest day after ${dayMonth(day.date)}` : `Remove the rest day after ${dayMonth(day.date)}`;
  const byRule = (): void => tell("note", "A rule adds this rest day.", "Change it under “Day rules”.");
  if (day.night === "stop") {
    const stopId = legs[day.legIndex]!.toStopId;
    if (by < 0 && (plan.stops.find(({ id }) => id === stopId)?.nights ?? 1) <= 1) return byRule();
    void edit(words, (draft) => {
      const stop = draft.stops.find(({ id }) => id === stopId);
      if (stop) stop.nights = Math.max(1, Math.min(30, stop.nights + by));
    });
    return;
  }
  const pin = plan.pins.find(({ id }) => id === day.pinId);
  if (by < 0 && (pin?.nights ?? 1) <= 1) return byRule();
  if (pin) setPin(pin, by > 0 ? "a rest day" : "no rest day", { nights: Math.max(1, Math.min(30, pin.nights + by)) });
  else pinNight(profile, day, { nights: 2 }, "A rest day");
}

export function setOwnHours(date: string, hoursH: number | undefined): void {
  void edit(`Hours of ${dayMonth(date)}`, (draft) => {
    const rest = draft.dayRules.ownHours.filter((own) => own.date !== date);
    draft.dayRules.ownHours = hoursH === undefined ? rest : [...rest, { date, hoursH }];
  });
}
