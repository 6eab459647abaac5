/** All that a walk needs and that stays the same while the weights settle. */
import type { DayRules, PaceSettings } from "../plan/schema.ts";
import type { EffortSchool } from "../models/effort.ts";
import type { DiurnalTable } from "../season/diurnal.ts";
import type { Season } from "../season/season.ts";
import type { DaylightTable } from "../season/sun.ts";
import type { Profile } from "../track/profile.ts";
import { dayNumber } from "../units/day.ts";
import type { CampGround } from "./camps.ts";
import type { Halt } from "./halts.ts";
import type { Past } from "./past.ts";
import type { PlacedPin } from "./pins.ts";
import { slowdownPerKg } from "./slow.ts";
import { sinkings, speedFactors, terrainFactors } from "./surfaces.ts";
import type { Terrain } from "./terrain.ts";
import type { Workspace } from "./workspace.ts";

/** What follows from a stage before, and is laid under the walk. */
export interface GroundInput {
  profile: Profile;
  terrain: Terrain;
  halts: readonly Halt[];
  /** Day number since 1970-01-01. */
  startDay: number;
  rules: DayRules;
  season: Season;
  camps: CampGround;
  /** In walking order. */
  pins: readonly PlacedPin[];
  past: Past;
  /** Fraction of speed lost per kilogram on every cell. */
  slowPerKg: Float64Array;
  /** By hiker: hours and breaks of a day, hours on every cell without a load, what the effort school keeps of grades. */
  paces: readonly PaceSettings[];
  baseH: readonly Float64Array[];
  /** Hours for a metre of level trail, by hiker. */
  levelHPerM: readonly number[];
  slopes: readonly (Float64Array | undefined)[];
  /** Grade of every cell in percent, as the effort schools want it. */
  gradePercent: Float64Array;
  /** Tables of light and of the day's course that only remember what they once worked out. */
  sun: DaylightTable;
  diurnal: DiurnalTable;
  workspace: Workspace;
}

export interface Ground extends GroundInput {
  /** Time over each surface as a multiple of plain trail's. */
  slowness: Float64Array;
  /** Terrain factor η of each surface, and how far one sinks in, cm. */
  terrainFactors: Float64Array;
  sinkCm: Float64Array;
  /** Hours told for single days, by day number. */
  ownHours: ReadonlyMap<number, number>;
}

export function buildGround(input: GroundInput): Ground {
  const { surfaceSpeed, onSnow } = input.rules;
  return {
    ...input,
    slowness: speedFactors(surfaceSpeed, onSnow).map((factor) => 1 / factor),
    terrainFactors: terrainFactors(onSnow),
    sinkCm: sinkings(onSnow),
    ownHours: new Map(input.rules.ownHours.map(({ date, hoursH }) => [dayNumber(date)!, hoursH])),
  };
}

export function gradePercents({ profile }: { profile: Profile }): Float64Array {
  return profile.gradeFraction.map((grade) => 100 * grade);
}

/** Fraction of speed that a kilogram costs on every cell. */
export function slowPerKg({ profile, loadSlowness }: { profile: Profile; loadSlowness: number }): Float64Array {
  const slow = new Float64Array(profile.cellCount);
  for (let c = 0; c < slow.length; c++) slow[c] = loadSlowness * slowdownPerKg(profile.gradeFraction[c]!);
  return slow;
}

/** What an effort school keeps of every cell's grade; undefined for schools that keep nothing. */
export function effortSlopes({
  profile,
  effort,
}: {
  profile: Profile;
  effort: EffortSchool;
}): Float64Array | undefined {
  const { slope } = effort;
  return slope && profile.gradeFraction.map((grade) => slope(100 * grade));
}
