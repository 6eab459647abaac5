/** What `computePlan` answers: plain data, numbers with their unit in the name. */
import type { KitFault, KitLeg } from "../kit/kit.ts";
import type { LegLoad } from "../load/load.ts";
import type { MassState } from "../models/bodyMass.ts";
import type { Power } from "../power/power.ts";
import type { LegFuel } from "../provision/fuel.ts";
import type { LegFood } from "../provision/provision.ts";
import type { Carry } from "../provision/water.ts";
import type { Profile } from "../track/profile.ts";
import type { Check } from "./check.ts";

/** Means over the leg's days; the five parts add up to `totalKcal`. */
export interface LegEnergy {
  walkKcal: number;
  restKcal: number;
  thermicKcal: number;
  coldKcal: number;
  /** What an own measured day differs from the models'. */
  measuredKcal: number;
  totalKcal: number;
  walkH: number;
}

/** The night of the leg with least warmth to spare. */
export interface LegWarmth {
  marginK: number;
  /** Coldest night in ten at that camp, what the bag is rated for, and what is worn in it. */
  nightC: number;
  bagC: number;
  extraK: number;
  node: number;
}

/** Ids of the schools that the figures come from. */
export interface Schools {
  time: string;
  effort: string;
  resting: string;
  water: string;
  bodyMass: string;
  fuel: string;
}

export interface LegHiker extends LegLoad {
  hikerId: string;
  kit: KitLeg;
  food: LegFood;
  fuel: LegFuel;
  energy: LegEnergy;
  /** All carries of the leg, in order. */
  carries: Carry[];
  /** Index into `carries` of the largest, or −1. */
  largestCarry: number;
  /** Space wanted in the pack at the start of the leg, litres. */
  volumeL: number;
  /** Body on leaving, and deficits added up until then. */
  body: MassState;
  /** Undefined without a camp or a bag. */
  warmth: LegWarmth | undefined;
}

export interface LegResult {
  index: number;
  fromStopId: string;
  toStopId: string;
  fromNode: number;
  toNode: number;
  /** Distances in walking order. */
  fromM: number;
  toM: number;
  distanceM: number;
  /** To and from the stops on foot, not in `distanceM`. */
  offTrailM: number;
  climbM: number;
  descentM: number;
  walkH: number;
  /** Of those, on the trail itself. */
  trailH: number;
  /** Walking days, the unfinished ones as shares of their hours. */
  days: number;
  /** Nights on the trail, between the stops. */
  campNights: number;
  zeroDays: number;
  startDate: string;
  endDate: string;
  /** Coldest mean night and hottest mean day of the leg. */
  lowC: number;
  highC: number;
  /** The coldest night and hottest day to expect in one hike of ten. */
  coldNightC: number;
  hotDayC: number;
  coldestCampNode: number;
  coldestOnSnow: boolean;
  padRNeeded: number;
  hikers: LegHiker[];
}

export interface DayResult {
  date: string;
  legIndex: number;
  fromNode: number;
  toNode: number;
  walkH: number;
  startClockH: number;
  endClockH: number;
  sunriseH: number;
  sunsetH: number;
  daylightH: number;
  budgetH: number;
  forbiddenCamp: boolean;
  night: "camp" | "stop" | "none";
  zeroDays: number;
  /** Whether the night is dry for some hiker. */
  dry: boolean;
  lowC: number;
  highC: number;
  coldNightC: number;
  /** Per hiker, parallel to the plan's. */
  energyKcal: number[];
  /** Kelvin to spare in the bag, per hiker; undefined without a camp or a bag. */
  warmthMarginK: (number | undefined)[];
}

export interface PlanResult {
  legs: LegResult[];
  days: DayResult[];
  /** Pack on every cell, per hiker, parallel to the plan's. */
  loadKg: Float32Array[];
  /** Party's hours, air temperature at that hour, and surface on every cell. */
  cellH: Float32Array;
  cellC: Float32Array;
  surface: Uint8Array;
  /** Per hiker. */
  schools: Schools[];
  /** Per hiker, at the finish. */
  finish: { body: MassState; deficitKcal: number }[];
  /** Undefined without devices. */
  power: Power | undefined;
  profile: Profile;
  checks: Check[];
  carrier: Int8Array;
  kitFaults: KitFault[];
  finishDate: string;
  walkDays: number;
  zeroDays: number;
  rounds: number;
  settled: boolean;
  lastMoveG: number;
}
