/**
 * The camp and water sheet of a leg: its places in walking order with the way to the next water, and the nights
 * that are planned between them. What one holds in the hand at a source: how much from here, and how far.
 */
import type { Plan } from "../plan/schema.ts";
import type { TripFigures } from "../result/result.ts";
import { walkedOf } from "../track/place.ts";
import { placeRows, type PlaceRow } from "./places.ts";

export interface SheetPlace {
  row: PlaceRow;
  /** From where the leg starts. */
  fromStartM: number;
  /** To the next water that is trusted or the leg's end; undefined at the last. */
  toWaterM: number | undefined;
}

export interface SheetNight {
  date: string;
  fromStartM: number;
  /** A bed along the trail, or outside. */
  bed: boolean;
  /** A listed camp that it is spent at. */
  campName: string | undefined;
  heightM: number;
  /** Mean low, and the coldest night to expect in one hike of ten. */
  lowC: number;
  coldNightC: number;
}

export interface LegSheet {
  places: SheetPlace[];
  nights: SheetNight[];
}

/** A night this near to a listed camp is spent there. */
const AT_CAMP_M = 150;

export function legSheet(
  plan: Plan,
  { profile, legs, days }: Pick<TripFigures, "profile" | "legs" | "days">,
  legIndex: number,
): LegSheet {
  const leg = legs[legIndex];
  if (!leg) throw new RangeError(`Leg ${legIndex} of ${legs.length}`);
  const rows = placeRows(plan, { profile, legs }).filter(
    (row) => row.isWalked && row.alongM >= leg.fromM && row.alongM <= leg.toM,
  );
  const waters = rows.filter((row) => row.trusted).map(({ alongM }) => alongM);
  const places = rows.map((row): SheetPlace => {
    const next = waters.find((alongM) => alongM > row.alongM) ?? (row.alongM < leg.toM ? leg.toM : undefined);
    return {
      row,
      fromStartM: row.alongM - leg.fromM,
      toWaterM: next === undefined ? undefined : next - row.alongM,
    };
  });
  const nights = days
    .filter((day) => day.legIndex === legIndex && (day.night === "camp" || day.night === "bed"))
    .map((day): SheetNight => {
      const alongM = walkedOf(profile, day.toNode);
      const camp = rows.find((row) => row.kind === "camp" && Math.abs(row.alongM - alongM) < AT_CAMP_M);
      return {
        date: day.date,
        fromStartM: alongM - leg.fromM,
        bed: day.night === "bed",
        campName: camp?.name,
        heightM: profile.hasHeights ? profile.heightM[day.toNode]! : NaN,
        lowC: day.lowC,
        coldNightC: day.coldNightC,
      };
    });
  return { places, nights };
}
