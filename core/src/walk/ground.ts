/** All that a walk needs and that stays the same while the weights settle. */
import type { DayRules, Hiker, Plan } from "../plan/schema.ts";
import { DiurnalTable } from "../season/diurnal.ts";
import type { Season } from "../season/season.ts";
import type { DaylightTable } from "../season/sun.ts";
import type { Profile } from "../track/profile.ts";
import { Scratch } from "../units/scratch.ts";
import type { CampGround } from "./camps.ts";
import type { Halt } from "./halts.ts";
import { slowdownPerKg } from "./slow.ts";
import { speedFactors } from "./surfaces.ts";
import type { Terrain } from "./terrain.ts";

export interface WalkGround {
  profile: Profile;
  terrain: Terrain;
  halts: readonly Halt[];
  startDay: number;
  hikers: readonly Hiker[];
  rules: DayRules;
  season: Season;
  sun: DaylightTable;
  diurnal: DiurnalTable;
  camps: CampGround;
  /** Each hiker's hours on every cell, plain trail, no load. */
  baseH: readonly Float64Array[];
  /** Share of speed lost per kilogram on every cell. */
  slowPerKg: Float64Array;
  /** Time over each surface as a multiple of plain trail's. */
  slowness: Float64Array;
  scratch: Scratch;
}

export interface GroundInput {
  plan: Plan;
  profile: Profile;
  terrain: Terrain;
  halts: readonly Halt[];
  startDay: number;
  season: Season;
  sun: DaylightTable;
  camps: CampGround;
  baseH: readonly Float64Array[];
}

export function buildGround(input: GroundInput): WalkGround {
  const { plan, profile } = input;
  const slowPerKg = new Float64Array(profile.cellCount);
  for (let c = 0; c < slowPerKg.length; c++)
    slowPerKg[c] = plan.days.loadSlowness * slowdownPerKg(profile.gradeFraction[c]!);
  return {
    profile,
    terrain: input.terrain,
    halts: input.halts,
    startDay: input.startDay,
    hikers: plan.hikers,
    rules: plan.days,
    season: input.season,
    sun: input.sun,
    diurnal: new DiurnalTable(),
    camps: input.camps,
    baseH: input.baseH,
    slowPerKg,
    slowness: speedFactors(plan.days.surfaceSpeed).map((factor) => 1 / factor),
    scratch: new Scratch(),
  };
}
