/** Where a day ended, as it is typed: two letters of a place, or a distance; and what a card has of it. */
import { nodeOf, walkedOf, type LogDay, type Profile, type Units, type WalkedM } from "@gepack/core";
import { cardPlace } from "../../edit/log.ts";
import { parseQuantity, quantity } from "../../units/quantity.ts";
import type { Say } from "../../words/say.ts";
import { AT_PLACE_M, findPlaces, nameAt, type NamedPlace } from "./today.ts";

export type EndFields = Pick<LogDay, "trackM" | "alternateId" | "stopId" | "night">;

/** In the open, unless more is given. */
export function endAt(profile: Profile, alongM: WalkedM, more: Partial<EndFields> = {}): EndFields {
  return { alternateId: undefined, stopId: undefined, night: "camp", ...cardPlace(profile, alongM), ...more };
}

export function endAtPlace(profile: Profile, { alongM, stopId }: Pick<NamedPlace, "alongM" | "stopId">): EndFields {
  return endAt(profile, alongM, stopId === undefined ? {} : { stopId, night: "stop" });
}

/** So far along the walk: at the stop that is there, if one is. */
export function endNear(profile: Profile, places: readonly NamedPlace[], alongM: WalkedM): EndFields {
  const stop = places.find(({ kind, alongM: at }) => kind === "stop" && Math.abs(at - alongM) <= AT_PLACE_M);
  return stop ? endAtPlace(profile, stop) : endAt(profile, alongM);
}

export interface EndContext {
  places: readonly NamedPlace[];
  /** Where it is looked for first. */
  nearM: number;
  /** The evening before: a bare number is walked from here; along the trail where this is not given. */
  fromM?: WalkedM;
  profile: Profile;
  units: Units;
}

/** Nobody walks more in a day: a larger number is a place along the trail [L]. */
const LONGEST_DAY_M = 70_000;
/** `km 214`, `at 214`, `mile 133`: said to be along the trail. */
const ALONG = /^\s*(?:km|at|mile|mi)\b\s*(?=[\d.,])/i;

/** Two letters of a place; a number as the day's distance, or, where it says so or is too long, along the trail. */
export function readEnd(
  typed: string,
  { places, nearM, fromM, profile, units }: EndContext,
): EndFields | { error: string } {
  const [found] = findPlaces(places, typed, nearM, 1);
  if (found) return endAtPlace(profile, found);
  const read = parseQuantity("distance", typed.replace(ALONG, ""), units);
  if ("error" in read) return { error: "Type two letters of a place name, or the distance of the day." };
  const lengthM = profile.cellCount * profile.cellM;
  const isAlong = fromM === undefined || ALONG.test(typed) || read.value > LONGEST_DAY_M;
  const alongM = isAlong ? read.value : fromM + read.value;
  if (alongM < 0 || alongM > lengthM) return { error: `The hike is ${quantity("distance", lengthM, units)} long.` };
  return endNear(profile, places, alongM as WalkedM);
}

interface Said {
  profile: Profile;
  places: readonly NamedPlace[];
  fromM: WalkedM;
  say: Pick<Say, "distance">;
}

/** `12 km today, to km 214`, with the place that is there. */
export function endWords(end: EndFields, { profile, places, fromM, say }: Said): string {
  const toM = walkedOf(profile, nodeOf(profile, end));
  const name = nameAt(places, toM);
  return `${say.distance(Math.max(0, toM - fromM))} today, to ${say.distance(toM)}${name === undefined ? "" : `, ${name}`}`;
}
