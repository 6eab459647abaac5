/** What the four kinds of places have in common for the lanes and the table. */
import {
  campSchema,
  isWalked,
  nearestUsedStop,
  placeAt,
  sourceSchema,
  stopSchema,
  stretchSchema,
  walkedAt,
} from "@gepack/core";
import type { Camp, Placed, Plan, Profile, Source, Stop, Stretch, TrackM, WalkedM } from "@gepack/core";
import { addRows, editRow, removeRows, setFields } from "../../edit/rows.ts";
import { parseQuantity } from "../../units/quantity.ts";
import { freshId } from "../../store/made.ts";

export type PlaceKind = "stops" | "sources" | "camps" | "stretches";
export type Place = Stop | Source | Camp | Stretch;

interface KindWords {
  title: string;
  one: string;
  add: string;
  /** What it is good for, where there is none yet. */
  empty: string;
}

export const KINDS: Record<PlaceKind, KindWords> = {
  stops: {
    title: "Stops",
    one: "stop",
    add: "Add stop",
    empty: "No stops yet. Without stops the whole trail is one leg: add the places where you can resupply.",
  },
  sources: {
    title: "Water",
    one: "source",
    add: "Add source",
    empty: "No water yet. Without sources, all water is carried from stop to stop.",
  },
  camps: {
    title: "Camps",
    one: "camp",
    add: "Add camp",
    empty: "No camps yet. Without listed camps, a day ends at water or when its hours are used up.",
  },
  stretches: {
    title: "Stretches",
    one: "stretch",
    add: "Add stretch",
    empty: "No stretches yet. Use stretches to mark snow, rules or slow ground.",
  },
};

/** Which metre of a place moves: its own, or an end of a stretch. */
export type PlaceEnd = "trackM" | "fromM" | "toM";

/** Where a place starts along its line as recorded. */
export function beginM(place: Place): TrackM {
  return "fromM" in place ? (place as Stretch).fromM : (place as Stop).trackM;
}

const STRETCH_M = 10_000;

/** A new place of a kind at a distance in walking order. */
function newPlace(kind: PlaceKind, profile: Profile, walkedM: WalkedM, name: string): Place {
  const { trackM, ...line } = wholePlace(profile, walkedM);
  const at = { id: freshId(), name, trackM, ...line, ...coordinates(profile, walkedM) };
  switch (kind) {
    case "stops":
      return stopSchema.parse(at);
    case "sources":
      return sourceSchema.parse(at);
    case "camps":
      return campSchema.parse(at);
    case "stretches": {
      const end = wholePlace(profile, Math.min(profile.lengthM, walkedM + STRETCH_M) as WalkedM);
      const toM = end.alternateId === line.alternateId ? end.trackM : trackM;
      const [fromM, lastM] = [Math.min(trackM, toM), Math.max(trackM, toM)];
      return stretchSchema.parse({ id: at.id, name, kind: "surface", surface: "trail", fromM, toM: lastM, ...line });
    }
  }
}

/** The rows are of the kind that they were made for. */
const addPlaces = (kind: PlaceKind, label: string, places: Place[]): void =>
  void addRows(kind, label, places as never[]);

export function addPlace(kind: PlaceKind, plan: Plan, profile: Profile, walkedM: WalkedM): string {
  const one = KINDS[kind].one;
  const name = `${one[0]!.toUpperCase()}${one.slice(1)} ${plan[kind].length + 1}`;
  const place = newPlace(kind, profile, walkedM, name);
  addPlaces(kind, KINDS[kind].add, [place]);
  return place.id;
}

/** Rows of a spreadsheet, name and distance: those that read are added in one step, the others are given. */
export function pastePlaces(
  kind: PlaceKind,
  plan: Plan,
  profile: Profile,
  cells: string[][],
): { added: number; unread: string[] } {
  const unread: string[] = [];
  const places: Place[] = [];
  for (const row of cells) {
    const name = row[0]?.trim() ?? "";
    const parsed = parseQuantity("distance", row[1] ?? "", plan.trip.units);
    if (name === "" || "error" in parsed || parsed.value < 0 || parsed.value > profile.lengthM)
      unread.push(row.join(", "));
    else places.push(newPlace(kind, profile, parsed.value as WalkedM, name.slice(0, 200)));
  }
  if (places.length > 0) addPlaces(kind, `Paste ${places.length} ${KINDS[kind].title.toLowerCase()}`, places);
  return { added: places.length, unread };
}

/** Moves a place to a distance in walking order, kept on the trail. */
export function movePlace(
  kind: PlaceKind,
  id: string,
  name: string,
  end: PlaceEnd,
  profile: Profile,
  metres: number,
): void {
  const walkedM = Math.max(0, Math.min(profile.lengthM, metres)) as WalkedM;
  const { trackM, alternateId } = wholePlace(profile, walkedM);
  const label = `Move ${name}`;
  if (kind === "stretches") {
    editRow("stretches", id, label, (stretch) => {
      // A stretch is on one line: an end of it stays there.
      if (end !== "trackM" && stretch.alternateId === alternateId) stretch[end] = trackM;
    });
    return;
  }
  editRow(kind, id, label, (place) => {
    setFields(place as Placed, { trackM, alternateId });
    Object.assign(place, coordinates(profile, walkedM));
  });
}

/** To the metre. */
function wholePlace(profile: Profile, walkedM: WalkedM): Placed {
  const { trackM, ...line } = placeAt(profile, walkedM);
  return { trackM: Math.round(trackM) as TrackM, ...line };
}

/** Removing a stop hands the spans that changed there to the nearest stop that stays. */
export function removePlaces(kind: PlaceKind, places: readonly Place[]): void {
  const ids = places.map((place) => place.id);
  const label =
    places.length === 1 ? `Remove ${places[0]!.name}` : `Remove ${places.length} ${KINDS[kind].title.toLowerCase()}`;
  removeRows(kind, ids, label, kind === "stops" ? (plan, id) => nearestUsedStop(plan, id) : undefined);
}

export function placeName(kind: PlaceKind, id: string, name: string): void {
  editRow(kind, id, `Name ${name}`, (place: Place) => void (place.name = name));
}

function coordinates(profile: Profile, walkedM: WalkedM): { lonDeg: number; latDeg: number } {
  const node = Math.round(walkedM / profile.cellM);
  return { lonDeg: profile.lonDeg[node]!, latDeg: profile.latDeg[node]! };
}

export function walkedOfPlace(profile: Profile, place: Place): WalkedM {
  return walkedAt(profile, beginM(place), place.alternateId);
}

/** Does the walk pass where a place starts? */
export function isOnWalk(profile: Profile, place: Place): boolean {
  return isWalked(profile, { trackM: beginM(place), alternateId: place.alternateId });
}
