/** The first day of the trip: moved at once, or asked about where days are logged before it. */
import type { Plan } from "@gepack/core";
import { ask } from "./asking.ts";
import { edit } from "../store/document.ts";
import { dayMonth } from "../units/quantity.ts";
import { counted } from "../words/counted.ts";

export function startOn(plan: Plan, startDate: string): void {
  movingStart(plan, startDate, () =>
    edit(`Start on ${dayMonth(startDate)}`, (draft) => void (draft.trip.startDate = startDate)),
  );
}

/** `move` makes the edit that has the trip start then. */
export function movingStart({ log }: Pick<Plan, "log">, startDate: string, move: () => Promise<boolean>): void {
  const before = log.filter(({ date }) => date < startDate).length;
  if (before === 0) return void move();
  ask({
    title: `Start on ${dayMonth(startDate)}, after days you logged?`,
    text: `${counted(before, "logged day is", "logged days are")} before that date. They stay in your log, but belong to no day of the plan.`,
    button: "Move the start",
    onYes: () => void move(),
  });
}
