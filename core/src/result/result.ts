/** What `computePlan` answers: plain data, numbers with their unit in the name. */
import type { KitFault, KitLeg, KitPlan } from "../kit/kit.ts";
import { padRNeeded } from "../kit/warmth.ts";
import type { LegLoad } from "../load/load.ts";
import type { Settled } from "../load/settle.ts";
import type { Plan } from "../plan/schema.ts";
import type { Carry } from "../provision/water.ts";
import type { DayEnergy } from "../provision/energy.ts";
import type { LegFood, LegFuel } from "../provision/provision.ts";
import type { Profile } from "../track/profile.ts";
import { isoOfDay } from "../units/day.ts";
import type { Halt } from "../walk/halts.ts";
import { SURFACE_FACTORS } from "../walk/surfaces.ts";
import type { Check } from "./check.ts";

/** Means over the leg's days; the four parts add up to `totalKcal`. */
export interface LegEnergy {
  walkKcal: number;
  restKcal: number;
  thermicKcal: number;
  coldKcal: number;
  totalKcal: number;
  walkH: number;
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
  daylightH: number;
  night: "camp" | "stop" | "none";
  zeroDays: number;
  /** Whether the night is dry for some hiker. */
  dry: boolean;
  lowC: number;
  highC: number;
  coldNightC: number;
  /** Per hiker, parallel to the plan's. */
  energyKcal: number[];
}

export interface PlanResult {
  legs: LegResult[];
  days: DayResult[];
  /** Pack on every cell, per hiker, parallel to the plan's. */
  loadKg: Float32Array[];
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

/** Everything but the checks, which read it. */
export function assemble(
  plan: Plan,
  profile: Profile,
  halts: readonly Halt[],
  kit: KitPlan,
  settled: Settled,
): Omit<PlanResult, "checks"> {
  const { walk, conditions, supplies, loads } = settled;
  const energyByDay = supplies.map((supply) => new Map(supply.energies.map((energy) => [energy.day, energy])));
  const legs: LegResult[] = [];
  for (let index = 0; index + 1 < halts.length; index++) {
    const from = halts[index]!;
    const to = halts[index + 1]!;
    const rows = walk.parts.flatMap((part, p) => (part.legIndex === index ? [{ part, weather: conditions[p]! }] : []));
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
    const onSnow = isSnow(walk.surface[Math.max(0, coldest.part.endNode - 1)]!);
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
      days: sum(rows.map(({ part }) => part.walkH / part.budgetH)),
      campNights: camps.length,
      zeroDays: last.zeroDays,
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
        const supply = supplies[h]!;
        const days = [...new Set(rows.map(({ part }) => part.day))].flatMap((day) => energyByDay[h]!.get(day) ?? []);
        const carries = supply.carries.filter((carry) => carry.legIndex === index);
        const largestCarry = carries.reduce(
          (best, carry, i) => (carry.litres > (carries[best]?.litres ?? -1) ? i : best),
          -1,
        );
        const kitLeg = kit.legs[index]![h]!;
        const food = supply.food[index]!;
        const foodL = food.startKg / hiker.food.bulkKgPerL;
        return {
          hikerId: hiker.id,
          ...loads[h]!.legs[index]!,
          kit: kitLeg,
          food,
          fuel: supply.fuel[index]!,
          energy: meanEnergy(days),
          carries,
          largestCarry,
          volumeL: kitLeg.volumeL + kitLeg.canisterVolumeL + Math.max(0, foodL - kitLeg.canisterL),
        };
      }),
    });
  }
  const days: DayResult[] = walk.parts.map((part, p) => ({
    date: isoOfDay(part.day),
    legIndex: part.legIndex,
    fromNode: part.startNode,
    toNode: part.endNode,
    walkH: part.walkH,
    startClockH: part.startClockH,
    endClockH: part.endClockH,
    daylightH: part.daylightH,
    night: part.night,
    zeroDays: part.zeroDays,
    dry: supplies.some((supply) => supply.parts[p]!.dry),
    lowC: conditions[p]!.night.lowC,
    highC: conditions[p]!.walking.highC,
    coldNightC: conditions[p]!.night.coldNightC,
    energyKcal: energyByDay.map((byDay) => byDay.get(part.day)?.totalKcal ?? 0),
  }));
  return {
    legs,
    days,
    loadKg: loads.map((load) => toFloat32(load.loadKg)),
    profile,
    carrier: kit.carrier,
    kitFaults: kit.faults,
    finishDate: days.at(-1)!.date,
    walkDays: new Set(days.map((day) => day.date)).size,
    zeroDays: sum(days.map((day) => day.zeroDays)),
    rounds: settled.rounds,
    settled: settled.settled,
    lastMoveG: settled.lastMoveG,
  };
}

/** Plain loop: several times faster here than the typed array's own conversion. */
function toFloat32(values: Float64Array): Float32Array {
  const out = new Float32Array(values.length);
  for (let i = 0; i < out.length; i++) out[i] = values[i]!;
  return out;
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
    totalKcal: mean((day) => day.totalKcal),
    walkH: mean((day) => day.walkH),
  };
}
