/** Words of the log: what is odd about a card, what is learnt, what is left, what a piece went through. */
import type { Against, CardFault, Fitted, Left, LogDay, Piece } from "@gepack/core";
import type { Say } from "./say.ts";

export const FAULT_WORDS: Readonly<Record<CardFault, string>> = {
  "before-start": "before the first day of the trip: move the start in Trip, or the date of the card",
  "off-route": "at a place that the route leaves out: it counts for nothing of the walk",
  twice: "there is another card of this day, which holds",
  back: "behind the night before: taken for a day on which nothing was gained",
  "too-fast": "further than anybody walks in that time: look at the place and the date",
  "more-food": "more food left than the evening before, and no stop between",
};

export const FITTED_WORDS: Readonly<Record<Fitted, string>> = {
  pace: "Own pace",
  hours: "Hours a day",
  breaks: "Breaks",
  food: "Food eaten",
  litres: "Litres on the way",
  fuel: "Fuel burnt",
  charge: "Charge used",
};

/** What a factor of it means. */
export const FITTED_NOTES: Readonly<Record<Fitted, string>> = {
  pace: "speed on the same ground, of all who walk together",
  hours: "walked a day away from towns",
  breaks: "by the hour of walking",
  food: "of the first hiker, out of the bag",
  litres: "of the first hiker, drunk on foot",
  fuel: "of the first hiker, by the boil",
  charge: "on days without sun and socket",
};

export const LEFT_WORDS: Readonly<Record<Left["what"], string>> = {
  food: "Food",
  fuel: "Fuel",
  charge: "Charge",
  treatment: "Treatment",
};

/** What to do where it is not enough. */
export function shortWords(what: Left["what"], back: string): string {
  if (what === "charge") return "Switch off what can be.";
  if (what === "treatment") return "Boil what it does not last for, or buy a new one at the stop.";
  return `Eat less of the rest, walk further a day, or turn to the stop ${back} behind.`;
}

export function leftFigure(what: Left["what"], value: number, say: Say): string {
  if (what === "food") return say.kg(value);
  if (what === "treatment") return say.L(value);
  return what === "fuel" ? say.g(value) : say.Wh(value);
}

export const EVENT_WORDS: Readonly<Record<LogDay["pieces"][number]["what"], string>> = {
  broken: "broken",
  mended: "mended",
  bought: "bought",
  sent: "sent",
  swapped: "swapped",
  lost: "lost",
};

export const FELT_WORDS = ["poor", "tired", "fair", "good", "fine"] as const;

/** What to look at in a day that is caught up. */
export const CATCH_WORDS = {
  kept: "kept already: tick it to change its place and hours",
  "before-start": "before the first day of the trip",
  "not-over": "not over yet",
  "ends-away": "the record ends away from the trail: the day ends where it left it",
  silent: "no position for some hours: they are walked at the day’s own speed",
  "wrong-fixes": "wrong positions were left out",
} as const;

export const VERDICT_WORDS: Readonly<Record<NonNullable<Piece["verdict"]>, string>> = {
  keep: "keep",
  change: "change",
  home: "leave at home",
};

export const AGAINST_WORDS: Readonly<Record<Against, string>> = {
  hours: "hours on the feet",
  eaten: "energy eaten",
  drunk: "litres drunk",
  low: "low of the night",
  food: "food left",
  body: "own mass",
};
