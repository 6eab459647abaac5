/** What the interface calls the ways of stops: how food and people come, doors, names of sets and of what bars them. */
import type { Bar, ChoiceName, FoodBy, SetName, Stop, Units, Weekday } from "@gepack/core";
import { quantity } from "../units/quantity.ts";
import type { Say } from "./say.ts";

export const FOOD_BY_WORDS: Record<FoodBy, string> = {
  buy: "bought there",
  drop: "mail drop",
  bounce: "bounce box",
  ahead: "bought ahead",
  visitor: "a visitor",
};

export const ACCESS_WORDS: Record<Stop["access"], string> = {
  foot: "on foot",
  hitch: "by a lift",
  shuttle: "by shuttle",
};

export const SET_WORDS: Record<SetName, string> = {
  balanced: "Balanced",
  lightest: "Lightest",
  fewest: "Fewest",
  cheapest: "Cheapest",
  fastest: "Fastest",
};

export const CHOICE_WORDS: Record<ChoiceName, string> = {
  "as-it-is": "As it is",
  hold: "A night more",
  through: "Buy and walk on the same day",
  past: "Pass it by",
  use: "Use it",
};

export const BAR_WORDS: Record<Bar, string> = {
  "food-days": "too many days of food",
  canister: "the food does not go into the hard canister",
  comfort: "heavier than comfort",
  pack: "more than the pack holds",
  closed: "shut when you come",
  money: "dearer than allowed",
};

/** What a limit is called where it had to be given up. */
export const LIMIT_WORDS: Record<Bar, string> = {
  "food-days": "the days of food",
  canister: "the room in the hard canister",
  comfort: "comfort",
  pack: "the room in the pack",
  closed: "doors that are shut",
  money: "the money",
};

const DAY_WORDS: Record<Weekday, string> = {
  mon: "Mon",
  tue: "Tue",
  wed: "Wed",
  thu: "Thu",
  fri: "Fri",
  sat: "Sat",
  sun: "Sun",
};

export function weekdayWord(day: Weekday): string {
  return DAY_WORDS[day];
}

/** `2.3 km on foot`, `by shuttle, 25 min there and 40 back`. */
export function wayWords(stop: Stop, say: Say, units: Units): string {
  const { access, offTrailM, wayClimbM, rideMin, rideBackMin } = stop;
  if (offTrailM === 0) return "on the trail";
  if (access === "foot")
    return `${quantity("distance", offTrailM, units)} on foot${wayClimbM > 0 ? `, ${say.height(wayClimbM)} up` : ""}`;
  const back = rideBackMin === undefined || rideBackMin === rideMin ? "" : `, ${rideBackMin} back`;
  return `${ACCESS_WORDS[access]}, ${rideMin} min${back}`;
}
