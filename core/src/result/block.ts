/** Legs and days of one settled block. */
import type { KitLeg, KitPlan } from "../kit/kit.ts";
import type { SolvedBlock } from "../load/trip.ts";
import { padRNeeded, warmthMarginK } from "../models/cold.ts";
import type { Plan } from "../plan/schema.ts";
import type { DayEnergy } from "../provision/energy.ts";
import type { Profile } from "../track/profile.ts";
import { isoOfDay } from "../units/day.ts";
import type { PartConditions } from "../walk/conditions.ts";
import type { Halt } from "../walk/halts.ts";
import { SURFACE_FACTORS } from "../walk/surfaces.ts";
import type { DayPart } from "../walk/walk.ts";
import type { DayResult, LegEnergy, LegResult, LegWarmth } from "./result.ts";

export function blockLegs(
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

export function blockDays(plan: Plan, kit: KitPlan, block: SolvedBlock): DayResult[] {
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

function isSnow(surface: number): boolean {
  return SURFACE_FACTORS[surface]!.id.endsWith("snow");
}

export function sum(values: readonly number[]): number {
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
