/** What the interface calls the ways of stops: how food and people come, doors, names of sets and of what bars them. */
import type { Bar, ChoiceName, FoodBy, SetName, Stop, Units, Weekday } from "@gepack/core";
import { quantity } from "../units/quantity.ts";
import type { Say } from "./say.ts";

export const FOOD_BY_WORDS: Record<FoodBy, string> = {
  buy: "buy there",
  drop: "mail drop",
  bounce: "bounce box",
  ahead: "bought at an earlier stop",
  visitor: "someone brings it",
};

export const ACCESS_WORDS: Record<Stop["access"], string> = {
  foot: "on foot",
  hitch: "hitching",
  shuttle: "by shuttle",
};

export const SET_WORDS: Record<SetName, string> = {
  balanced: "Balanced",
  lightest: "Lightest",
  fewest: "Fewest stops",
  cheapest: "Cheapest",
  fastest: "Fastest",
};

export const CHOICE_WORDS: Record<ChoiceName, string> = {
  "as-it-is": "No change",
  hold: "One more night",
  through: "Resupply and walk on the same day",
  past: "Skip it",
  use: "Use it",
};

export const BAR_WORDS: Record<Bar, string> = {
  "food-days": "too many days of food",
  canister: "the food doesn’t fit the bear canister",
  comfort: "heavier than comfortable",
  pack: "more than the pack holds",
  closed: "closed when you arrive",
  money: "over budget",
};

/** What a limit is called where it had to be dropped. */
export const LIMIT_WORDS: Record<Bar, string> = {
  "food-days": "days of food",
  canister: "bear canister space",
  comfort: "comfort",
  pack: "pack space",
  closed: "closed doors",
  money: "the budget",
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
export function accessWords(stop: Stop, say: Say, units: Units): string {
  const { access, offTrailM, accessClimbM, rideMin, rideBackMin } = stop;
  if (offTrailM === 0) return "on the trail";
  if (access === "foot")
    return `${quantity("distance", offTrailM, units)} on foot${accessClimbM > 0 ? `, ${say.height(accessClimbM)} up` : ""}`;
  const back = rideBackMin === undefined || rideBackMin === rideMin ? "" : `, ${rideBackMin} back`;
  return `${ACCESS_WORDS[access]}, ${rideMin} min${back}`;
}
