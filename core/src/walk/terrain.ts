/** What is underfoot on every cell, summer and winter coat, in walking order. */
import type { Stretch } from "../plan/schema.ts";
import type { Snow, SnowDays } from "../season/snow.ts";
import { nodesOn } from "../track/place.ts";
import type { Profile } from "../track/profile.ts";
import { surfaceIndex } from "./surfaces.ts";

export interface Terrain {
  /** Surface index of every cell without snow. */
  bare: Uint8Array;
  /** Surface index under snow, or `BY_THE_HOUR`, and the days of the year (inclusive) it is; −1 where it never does. */
  snow: Int8Array;
  snowFromDay: Int16Array;
  snowToDay: Int16Array;
  /** How deep it lies, where the season says. */
  depths: Snow | undefined;
}

const CUMULATIVE_DAYS = [0, 31, 60, 91, 121, 152, 182, 213, 244, 274, 305, 335];

/** `MM-DD` as a zero-based day of a leap year. */
export function monthDayIndex(monthDay: string): number {
  const month = Number(monthDay.slice(0, 2));
  const day = Number(monthDay.slice(3, 5));
  return (CUMULATIVE_DAYS[Math.min(12, Math.max(1, month)) - 1] ?? 0) + Math.min(31, Math.max(1, day)) - 1;
}

/** Does a season that may run over the new year hold this day of the year? */
export function seasonHolds(fromDay: number, toDay: number, day: number): boolean {
  return fromDay <= toDay ? day >= fromDay && day <= toDay : day >= fromDay || day <= toDay;
}

/** Does the season of a stretch hold on a day of the year? All year where it names none. */
export function holdsOn(
  { fromMonthDay, toMonthDay }: Pick<Stretch, "fromMonthDay" | "toMonthDay">,
  yearDay: number,
): boolean {
  const from = fromMonthDay === undefined ? 0 : monthDayIndex(fromMonthDay);
  return seasonHolds(from, toMonthDay === undefined ? 365 : monthDayIndex(toMonthDay), yearDay);
}

/** Snow that is firm or soft as the night and the hour make it. */
export const BY_THE_HOUR = 127;

export interface TerrainInput {
  profile: Profile;
  stretches: readonly Stretch[];
  /** By the season; none where stretches alone say where snow is. */
  snow: SnowDays | undefined;
  depths: Snow | undefined;
}

/** Later stretches win over earlier ones, and a stretch over what the season says. */
export function buildTerrain({ profile, stretches, snow, depths }: TerrainInput): Terrain {
  const n = profile.cellCount;
  const terrain: Terrain = {
    bare: new Uint8Array(n),
    snow: new Int8Array(n).fill(-1),
    snowFromDay: new Int16Array(n),
    snowToDay: new Int16Array(n),
    depths,
  };
  if (snow) {
    for (let c = 0; c < n; c++) if (snow.from[c]! >= 0) terrain.snow[c] = BY_THE_HOUR;
    terrain.snowFromDay.set(snow.from);
    terrain.snowToDay.set(snow.to);
  }
  for (const stretch of stretches) {
    for (const [from, to] of nodesOn(profile, stretch)) {
      if (stretch.kind === "surface") terrain.bare.fill(surfaceIndex(stretch.surface), from, to);
      if (stretch.kind !== "snow") continue;
      terrain.snow.fill(surfaceIndex(stretch.surface ?? "firm-snow"), from, to);
      terrain.snowFromDay.fill(stretch.fromMonthDay ? monthDayIndex(stretch.fromMonthDay) : 0, from, to);
      terrain.snowToDay.fill(stretch.toMonthDay ? monthDayIndex(stretch.toMonthDay) : 365, from, to);
    }
  }
  return terrain;
}
