/** What a computed plan tells, checks apart: plain data, numbers with their unit in the name. */
import type { KitFault, KitLeg } from "../kit/kit.ts";
import type { LegLoad } from "../load/load.ts";
import type { MassState } from "../models/bodyMass.ts";
import type { PackCells } from "../solve/trip.ts";
import type { Power } from "../power/power.ts";
import type { LegFuel } from "../provision/fuel.ts";
import type { LegFood, PartMenu } from "../provision/supply.ts";
import type { DetourChoice } from "../provision/payingWater.ts";
import type { Carry } from "../provision/water.ts";
import type { Profile } from "../track/profile.ts";
import type { WalkedM } from "../units/lengths.ts";
import type { Night } from "../walk/walk.ts";
import type { NightWarmth } from "../warmth/night.ts";
import type { SleepKit } from "../warmth/sleep.ts";

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
  /** Trusted water off the trail, walked to or skipped, and what was weighed for it. */
  detours: DetourChoice[];
  /** Space wanted in the pack where food and water take most of it, litres. */
  volumeL: number;
  /** Body on leaving, and deficits added up until then. */
  body: MassState;
  /** What is slept in on the leg, and how its coldest camp is slept through: undefined without a camp or a bag. */
  sleep: SleepKit;
  warmth: NightWarmth | undefined;
}

export interface LegResult {
  index: number;
  fromStopId: string;
  toStopId: string;
  /** Whether the stop it leaves has food and fuel for it; else they were carried past. */
  foodSold: boolean;
  fuelSold: boolean;
  fromNode: number;
  toNode: number;
  /** Distances in walking order. */
  fromM: WalkedM;
  toM: WalkedM;
  distanceM: number;
  /** To and from the stops on foot, not in `distanceM`. */
  offTrailM: number;
  climbM: number;
  descentM: number;
  /** Walked on snow, and what of it was soft at the hour. */
  snowM: number;
  softSnowM: number;
  /** Sunk into more than 25 cm. */
  deepSnowM: number;
  /** More of it if the snow goes three weeks later than on average. */
  lateSnowM: number;
  walkH: number;
  /** Of those, on the trail itself. */
  trailH: number;
  /** To water off the trail and back. */
  detourH: number;
  /** Days walked, as the calendar counts them; of one on which a stop is walked on through, the share of its hours. */
  dayCount: number;
  /** Nights on the trail, between the stops. */
  campNights: number;
  /** In beds between the stops, where the party sleeps in those it passes. */
  bedNights: number;
  /** Nights outside a bed, those at stops without one among them: what bag, pad and shelter are for. */
  nightsOutside: number;
  zeroDays: number;
  startDate: string;
  endDate: string;
  /** Coldest mean night and hottest mean day of the leg. */
  lowC: number;
  highC: number;
  /** The coldest night and hottest day to expect in one hike of ten. */
  coldNightC: number;
  hotDayC: number;
  /** Afternoon humidity on that day, 0 to 1. */
  hotHumidity: number;
  /** At the coldest camp: mean low, the same by the cautious lapse rates, and the spread of single nights. */
  coldestLowC: number;
  coldestCautiousLowC: number;
  coldestSdK: number;
  coldestCampNode: number;
  coldestOnSnow: boolean;
  /** What bag and pad are judged by: the coldest night in ten, or of all nights. */
  kitNightC: number;
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
  /** Fraction of speed lost per metre of height above 2,000 m. */
  slowPerM: number;
  forbiddenCamp: boolean;
  night: Night;
  zeroDays: number;
  /** The pin that it ends at. */
  pinId: string | undefined;
  /** Whether the night is dry for some hiker. */
  dry: boolean;
  /** Water of the day at which dinner is cooked before such a night. */
  dinnerNode: number | undefined;
  lowC: number;
  highC: number;
  coldNightC: number;
  /** The hottest day in ten. */
  hotDayC: number;
  /** Spread of single nights there. */
  nightSdK: number;
  /** Chance that the day is wet, and the wind at the walker. */
  wetChance: number;
  windMps: number;
  /** 0 to 1. */
  cloud: number;
  /** Per hiker, parallel to the plan's. */
  energyKcal: number[];
  /** What of which menu comes out of the bag, per hiker; undefined without menus. */
  menus: (PartMenu | undefined)[];
  /** Burnt for cooking, per hiker. */
  fuelKg: number[];
  /** What melting snow and ice takes, per hiker. */
  meltH: number[];
  /** Drunk on foot, per hiker, litres. */
  walkL: number[];
  /** The night is spent without a bed: in a tent, or at a stop that offers none. */
  outside: boolean;
  /** Kelvin to spare in the bag, per hiker; undefined without a camp or a bag. */
  warmthMarginK: (number | undefined)[];
}

/** What is known of every cell. */
export interface CellFigures {
  /** The pack on every cell, per hiker, parallel to the plan's. */
  packs: PackCells[];
  /** Party's hours, air temperature at that hour, and surface on every cell. */
  cellH: Float32Array;
  cellC: Float32Array;
  surface: Uint8Array;
}

/** What is given of legs, days and the whole. */
export interface TripFigures {
  legs: LegResult[];
  days: DayResult[];
  /** Per hiker. */
  schools: Schools[];
  /** Per hiker, at the finish. */
  finish: { body: MassState; deficitKcal: number }[];
  /** Undefined without devices. */
  power: Power | undefined;
  profile: Profile;
  carrier: Int8Array;
  kitFaults: KitFault[];
  finishDate: string;
  walkDays: number;
  zeroDays: number;
  rounds: number;
  settled: boolean;
  lastMoveG: number;
}

export interface PlanFigures extends TripFigures, CellFigures {}
