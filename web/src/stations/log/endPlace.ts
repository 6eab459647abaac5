/** Where a day ended, as it is typed: two letters of a place, or a distance; and what a card has of it. */
import { type LogDay, type Profile, type Units, type WalkedM } from "@gepack/core";
import { cardPlace } from "../../edit/log.ts";
import { parseQuantity, quantity } from "../../units/quantity.ts";
import { AT_PLACE_M, findPlaces, type NamedPlace } from "./today.ts";

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
  profile: Profile;
  units: Units;
}

export function readEnd(typed: string, { places, nearM, profile, units }: EndContext): EndFields | { error: string } {
  const [found] = findPlaces(places, typed, nearM, 1);
  if (found) return endAtPlace(profile, found);
  const read = parseQuantity("distance", typed, units);
  if ("error" in read) return { error: "Type two letters of a place name, or your distance along the trail." };
  const lengthM = profile.cellCount * profile.cellM;
  if (read.value < 0 || read.value > lengthM)
    return { error: `The hike is ${quantity("distance", lengthM, units)} long.` };
  return endAt(profile, read.value as WalkedM);
}
