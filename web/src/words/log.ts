/** Words of the log: what is odd about a card, what is learnt, what is left, what a piece went through. */
import type { Against, CardFault, Fitted, Left, LogDay, Piece } from "@gepack/core";
import type { Say } from "./say.ts";

export const FAULT_WORDS: Readonly<Record<CardFault, string>> = {
  "before-start": "before the trip starts: change the start date in Setup, or this day’s date",
  "off-route": "at a place your route leaves out: it doesn’t count towards the hike",
  twice: "another entry for this day is used instead",
  back: "behind the night before: counted as a day with no progress",
  "too-fast": "further than anyone walks in that time: check the place and date",
  "more-food": "more food left than the evening before, with no stop in between",
};

export const FITTED_WORDS: Readonly<Record<Fitted, string>> = {
  pace: "Your pace",
  hours: "Hours per day",
  breaks: "Breaks",
  food: "Food eaten",
  litres: "Water while walking",
  fuel: "Fuel used",
  charge: "Battery used",
};

/** What a factor of it means. */
export const FITTED_NOTES: Readonly<Record<Fitted, string>> = {
  pace: "speed on the same ground, for everyone walking together",
  hours: "walked per day away from towns",
  breaks: "per hour of walking",
  food: "first hiker, from the food bag",
  litres: "first hiker, while walking",
  fuel: "first hiker, per boil",
  charge: "on days without sun or socket",
};

export const LEFT_WORDS: Readonly<Record<Left["what"], string>> = {
  food: "Food",
  fuel: "Fuel",
  charge: "Charge",
  treatment: "Treatment",
};

/** What to do where it is not enough. */
export function shortWords(what: Left["what"], back: string): string {
  if (what === "charge") return "Turn off what you can.";
  if (what === "treatment") return "Boil what it can’t treat, or buy a new one at the stop.";
  return `Eat less of the rest, walk further each day, or go back to the stop ${back} behind you.`;
}

export function leftFigure(what: Left["what"], value: number, say: Say): string {
  if (what === "food") return say.kg(value);
  if (what === "treatment") return say.L(value);
  return what === "fuel" ? say.g(value) : say.Wh(value);
}

export const EVENT_WORDS: Readonly<Record<LogDay["pieces"][number]["what"], string>> = {
  broken: "broken",
  repaired: "repaired",
  bought: "bought",
  sent: "sent",
  swapped: "swapped",
  lost: "lost",
};

export const FELT_WORDS = ["bad", "tired", "OK", "good", "great"] as const;

/** What to look at in a day that is caught up. */
export const CATCH_WORDS = {
  kept: "already saved: tick it to update its place and hours",
  "before-start": "before the trip starts",
  "not-over": "not over yet",
  "ends-away": "the recording ends off the trail: the day ends where you left it",
  silent: "no position for some hours: filled in at the day’s own pace",
  "wrong-fixes": "bad positions were left out",
} as const;

export const VERDICT_WORDS: Readonly<Record<NonNullable<Piece["verdict"]>, string>> = {
  keep: "keep",
  change: "change",
  home: "leave at home",
};

export const AGAINST_WORDS: Readonly<Record<Against, string>> = {
  hours: "hours on your feet",
  eaten: "energy eaten",
  drunk: "water drunk",
  low: "night low",
  food: "food left",
  body: "body weight",
};
