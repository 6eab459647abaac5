/** Words of the log: what is odd about a card, what is learnt, what is left, what a piece went through. */
import type { CardFault, Fitted, Left, LogDay } from "@gepack/core";
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
  food: "Food eaten",
  fuel: "Fuel burnt",
};

/** What a factor of it means. */
export const FITTED_NOTES: Readonly<Record<Fitted, string>> = {
  pace: "speed on the same ground, of all who walk together",
  hours: "walked a day away from towns",
  food: "of the first hiker, out of the bag",
  fuel: "of the first hiker, by the boil",
};

export const LEFT_WORDS: Readonly<Record<Left["what"], string>> = { food: "Food", fuel: "Fuel", charge: "Charge" };

export function leftFigure(what: Left["what"], value: number, say: Say): string {
  if (what === "food") return say.kg(value);
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
