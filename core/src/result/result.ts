/** What `computePlan` answers: plain data, numbers with their unit in the name. */
import type { KitFault, KitLeg, KitPlan } from "../kit/kit.ts";
import type { LegLoad } from "../load/load.ts";
import type { SolvedBlock, Trip } from "../load/trip.ts";
import type { MassState } from "../models/bodyMass.ts";
import { padRNeeded, warmthMarginK } from "../models/cold.ts";
import { models } from "../models/index.ts";
import type { Device, Hiker, Plan } from "../plan/schema.ts";
import { powerOf, type Power } from "../power/power.ts";
import type { DayEnergy } from "../provision/energy.ts";
import type { LegFuel } from "../provision/fuel.ts";
import type { LegFood } from "../provision/provision.ts";
import type { Carry } from "../provision/water.ts";
import type { Season } from "../season/season.ts";
import type { Profile } from "../track/profile.ts";
import { isoOfDay } from "../units/day.ts";
import type { PartConditions } from "../walk/conditions.ts";
import type { Halt } from "../walk/halts.ts";
import { SURFACE_FACTORS } from "../walk/surfaces.ts";
import type { DayPart } from "../walk/walk.ts";
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

/** What a block alone says: it follows from the block's own input, and is kept beside it. */
interface BlockResult {
  legs: LegResult[];
  days: DayResult[];
}
export type BlockResults = WeakMap<SolvedBlock, BlockResult>;

/** Everything but the checks, which read it. Blocks that were told before are not told again. */
export function assemble(
  plan: Plan,
  profile: Profile,
  season: Season,
  halts: readonly Halt[],
  kit: KitPlan,
  trip: Trip,
  told: BlockResults,
): Omit<PlanResult, "checks"> {
  const parts = trip.blocks.flatMap((block) => block.parts);
  const conditions = trip.blocks.flatMap((block) => block.conditions);
  const results = trip.blocks.map((block) => {
    const known = told.get(block);
    if (known) return known;
    const result = {
      legs: blockLegs(plan, profile, halts, kit, block),
      days: blockDays(plan, kit, block),
    };
    told.set(block, result);
    return result;
  });
  const legs = results.flatMap((result) => result.legs);
  const days = results.flatMap((result) => result.days);
  const last = trip.blocks.at(-1)!.after;
  return {
    legs,
    days,
    loadKg: plan.hikers.map((_, h) =>
      joined(
        trip.blocks.map((block) => block.loadKg[h]!),
        new Float32Array(profile.cellCount),
      ),
    ),
    cellH: joined(
      trip.blocks.map((block) => block.cellH),
      new Float32Array(profile.cellCount),
    ),
    cellC: joined(
      trip.blocks.map((block) => block.cellC),
      new Float32Array(profile.cellCount),
    ),
    surface: joined(
      trip.blocks.map((block) => block.surface),
      new Uint8Array(profile.cellCount),
    ),
    schools: plan.hikers.map(schoolsOf),
    finish: last.supply.map(({ bodyKg, fatKg, deficitKcal }) => ({ body: { bodyKg, fatKg }, deficitKcal })),
    power: powerOf({ plan, carried: carriedOn(plan, kit), profile, season, halts, parts, conditions }),
    profile,
    carrier: kit.carrier,
    kitFaults: kit.faults,
    finishDate: days.at(-1)!.date,
    walkDays: new Set(days.map((day) => day.date)).size,
    zeroDays: sum(days.map((day) => day.zeroDays)),
    rounds: trip.rounds,
    settled: trip.settled,
    lastMoveG: trip.lastMoveG,
  };
}

/** A device that is a piece of kit works where the piece is carried. */
function carriedOn(plan: Plan, kit: KitPlan): (device: Device, legIndex: number) => boolean {
  const pieceOf = new Map(plan.kit.map((piece, p) => [piece.id, p]));
  const legCount = kit.legs.length;
  return (device, legIndex) => {
    const piece = device.pieceId === undefined ? undefined : pieceOf.get(device.pieceId);
    return piece === undefined || kit.carrier[piece * legCount + legIndex]! >= 0;
  };
}

/** The schools that answered: an id that this version does not know has become the default. */
function schoolsOf({ schools, stove }: Hiker): Schools {
  return {
    time: models.time.orDefault(schools.time).id,
    effort: models.effort.orDefault(schools.effort).id,
    resting: models.resting.orDefault(schools.resting).id,
    water: models.water.orDefault(schools.water).id,
    bodyMass: models.bodyMass.orDefault(schools.bodyMass).id,
    fuel: stove.fuel,
  };
}

function blockLegs(
  plan: Plan,
  profile: Profile,
  halts: readonly Halt[],
  kit: KitPlan,
  block: SolvedBlock,
): LegResult[] {
  const energyByDay = block.supplies.map((supply) => new Map(supply.energies.map((energy) => [energy.day, energy])));
  const legs: LegResult[] = [];
  for (let index = block.block.firstLeg; index < block.block.endLeg; index++) {
    const inBlock = index - block.block.firstLeg;
    const from = halts[index]!;
    const to = halts[index + 1]!;
    const rows = block.parts.flatMap((part, p) =>
      part.legIndex === index ? [{ part, weather: block.conditions[p]! }] : [],
    );
    let climbM = 0;
    let descentM = 0;
    for (let c = from.node; c < to.node; c++) {
      climbM += profile.climbM[c]!;
      descentM += profile.descentM[c]!;
    }
    const camps = rows.filter(({ part }) => part.night === "camp");
    // A leg walked in a day has no camp; the weather at its end stands in.
    const nights = camps.length > 0 ? camps : rows.slice(-1);
    const coldest = nights.reduce((a, b) => (b.weather.night.coldNightC < a.weather.night.coldNightC ? b : a));
    const onSnow = isSnow(block.surface[Math.max(0, coldest.part.endNode - 1 - block.fromNode)]!);
    const first = rows[0]!.part;
    const last = rows.at(-1)!.part;
    legs.push({
      index,
      fromStopId: from.stopId,
      toStopId: to.stopId,
      fromNode: from.node,
      toNode: to.node,
      fromM: from.node * profile.cellM,
      toM: to.node * profile.cellM,
      distanceM: (to.node - from.node) * profile.cellM,
      offTrailM: (from.byRide ? 0 : from.offTrailM) + (to.byRide ? 0 : to.offTrailM),
      climbM,
      descentM,
      walkH: sum(rows.map(({ part }) => part.walkH)),
      trailH: sum(rows.map(({ part }) => part.walkH - part.offTrailStartH - part.offTrailEndH)),
      days: sum(rows.map(({ part }) => part.walkH / part.budgetH)),
      campNights: sum(camps.map(({ part }) => 1 + part.zeroDays)),
      zeroDays: sum(rows.map(({ part }) => part.zeroDays)),
      startDate: isoOfDay(first.day),
      endDate: isoOfDay(last.day),
      lowC: Math.min(...nights.map(({ weather }) => weather.night.lowC)),
      highC: Math.max(...rows.map(({ weather }) => weather.walking.highC)),
      coldNightC: coldest.weather.night.coldNightC,
      hotDayC: Math.max(...rows.map(({ weather }) => weather.walking.hotDayC)),
      coldestCampNode: coldest.part.endNode,
      coldestOnSnow: onSnow,
      padRNeeded: padRNeeded(coldest.weather.night.coldNightC, onSnow),
      hikers: plan.hikers.map((hiker, h) => {
        const supply = block.supplies[h]!;
        const days = [...new Set(rows.map(({ part }) => part.day))].flatMap((day) => energyByDay[h]!.get(day) ?? []);
        const carries = supply.carries.filter((carry) => carry.legIndex === index);
        const largestCarry = carries.reduce(
          (best, carry, i) => (carry.litres > (carries[best]?.litres ?? -1) ? i : best),
          -1,
        );
        const kitLeg = kit.legs[index]![h]!;
        const food = supply.food[inBlock]!;
        const foodL = food.startKg / hiker.food.bulkKgPerL;
        return {
          hikerId: hiker.id,
          ...block.loads[h]![inBlock]!,
          kit: kitLeg,
          food,
          fuel: supply.fuel[inBlock]!,
          energy: meanEnergy(days),
          carries,
          largestCarry,
          volumeL: kitLeg.volumeL + kitLeg.canisterVolumeL + Math.max(0, foodL - kitLeg.canisterL),
          body: supply.body[inBlock]!,
          warmth: camps.length > 0 ? legWarmth(kitLeg, coldest.part, coldest.weather) : undefined,
        };
      }),
    });
  }
  return legs;
}

function legWarmth(kit: KitLeg, part: DayPart, weather: PartConditions): LegWarmth | undefined {
  if (kit.bagC === undefined) return undefined;
  const nightC = weather.night.coldNightC;
  return {
    marginK: warmthMarginK(nightC, kit.bagC, kit.bagExtraK),
    nightC,
    bagC: kit.bagC,
    extraK: kit.bagExtraK,
    node: part.endNode,
  };
}

function blockDays(plan: Plan, kit: KitPlan, block: SolvedBlock): DayResult[] {
  const energyByDay = block.supplies.map((supply) => new Map(supply.energies.map((energy) => [energy.day, energy])));
  return block.parts.map((part, p) => {
    const weather = block.conditions[p]!;
    return {
      date: isoOfDay(part.day),
      legIndex: part.legIndex,
      fromNode: part.startNode,
      toNode: part.endNode,
      walkH: part.walkH,
      startClockH: part.startClockH,
      endClockH: part.endClockH,
      sunriseH: part.sunriseH,
      sunsetH: part.sunsetH,
      daylightH: part.daylightH,
      budgetH: part.budgetH,
      forbiddenCamp: part.forbiddenCamp,
      night: part.night,
      zeroDays: part.zeroDays,
      dry: block.supplies.some((supply) => supply.parts[p]!.dry),
      lowC: weather.night.lowC,
      highC: weather.walking.highC,
      coldNightC: weather.night.coldNightC,
      energyKcal: energyByDay.map((byDay) => byDay.get(part.day)?.totalKcal ?? 0),
      warmthMarginK: plan.hikers.map((_, h) =>
        part.night === "camp" ? legWarmth(kit.legs[part.legIndex]![h]!, part, weather)?.marginK : undefined,
      ),
    };
  });
}

/** One array after the other: the blocks lie end to end. */
function joined<T extends Float32Array | Uint8Array>(pieces: readonly T[], into: T): T {
  let at = 0;
  for (const piece of pieces) {
    into.set(piece, at);
    at += piece.length;
  }
  return into;
}

function isSnow(surface: number): boolean {
  return SURFACE_FACTORS[surface]!.id.endsWith("snow");
}

function sum(values: readonly number[]): number {
  let total = 0;
  for (const value of values) total += value;
  return total;
}

function meanEnergy(days: readonly DayEnergy[]): LegEnergy {
  const n = Math.max(1, days.length);
  const mean = (pick: (day: DayEnergy) => number): number => sum(days.map(pick)) / n;
  return {
    walkKcal: mean((day) => day.walkKcal),
    restKcal: mean((day) => day.restKcal),
    thermicKcal: mean((day) => day.thermicKcal),
    coldKcal: mean((day) => day.coldKcal),
    measuredKcal: mean((day) => day.measuredKcal),
    totalKcal: mean((day) => day.totalKcal),
    walkH: mean((day) => day.walkH),
  };
}
