/** Legs and days of one settled block. */
import { MELT_H_PER_L } from "../provision/fuel.ts";
import { nightOfKit, type NightLow } from "../models/coldNight.ts";
import { YEAR_DAYS } from "../models/snow.ts";
import type { OnSnow, Plan } from "../plan/schema.ts";
import type { DayEnergy } from "../provision/energy.ts";
import type { SolvedBlock } from "../solve/trip.ts";
import { walkedOf } from "../track/place.ts";
import type { Profile } from "../track/profile.ts";
import type { Climate } from "../season/season.ts";
import { dayOfYear, isoOfDay } from "../units/day.ts";
import type { Halt } from "../walk/halts.ts";
import type { DayPart } from "../walk/walk.ts";
import { FIRM_SNOW, isSnow, sinkings } from "../walk/surfaces.ts";
import type { PlacedPin } from "../walk/pins.ts";
import { BY_THE_HOUR, seasonHolds, type Terrain } from "../walk/terrain.ts";
import { nightWarmth, padNeed } from "../warmth/night.ts";
import type { SleepKit } from "../warmth/sleep.ts";
import type { DayResult, LegEnergy, LegResult } from "./result.ts";

export interface BlockFigures {
  legs: LegResult[];
  days: DayResult[];
}

export interface BlockFigureInput {
  block: SolvedBlock;
  profile: Profile;
  halts: readonly Halt[];
  hikerIds: readonly string[];
  /** Of the whole trail, by leg, then by hiker. */
  sleep: readonly (readonly SleepKit[])[];
  nightBy: Plan["climate"]["nightBy"];
  terrain: Terrain;
  pins: readonly PlacedPin[];
  onSnow: OnSnow;
}

/** Deeper than this nobody walks far without snowshoes or skis. */
const DEEP_CM = 25;

export function blockFigures(input: BlockFigureInput): BlockFigures {
  return { legs: blockLegs(input), days: blockDays(input) };
}

function blockLegs(input: BlockFigureInput): LegResult[] {
  const { block, profile, halts, hikerIds, sleep, nightBy, terrain, onSnow } = input;
  const sinkCm = sinkings(onSnow);
  const energyByDay = block.supplies.map((supply) => new Map(supply.energies.map((energy) => [energy.day, energy])));
  const hoursOfDay = new Map<number, number>();
  for (const { day, walkH } of block.parts) hoursOfDay.set(day, (hoursOfDay.get(day) ?? 0) + walkH);
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
    let snowM = 0;
    let softSnowM = 0;
    let deepSnowM = 0;
    for (let c = from.node; c < to.node; c++) {
      climbM += profile.climbM[c]!;
      descentM += profile.descentM[c]!;
      const surface = block.surface[c - block.fromNode]!;
      if (!isSnow(surface)) continue;
      snowM += profile.cellM;
      if (surface !== FIRM_SNOW) softSnowM += profile.cellM;
      if (sinkCm[surface]! > DEEP_CM) deepSnowM += profile.cellM;
    }
    const camps = rows.filter(({ part }) => part.night === "camp");
    const outside = rows.filter(({ part }) => sleepsOutside(part, halts));
    // A leg without such a night has the weather at its end stand in.
    const nights = outside.length > 0 ? outside : rows.slice(-1);
    const coldest = nights.reduce((a, b) => (b.weather.night.coldNightC < a.weather.night.coldNightC ? b : a));
    const hottest = rows.reduce((a, b) => (b.weather.walking.hotDayC > a.weather.walking.hotDayC ? b : a));
    const onSnow = isSnow(block.surface[Math.max(0, coldest.part.endNode - 1 - block.fromNode)]!);
    const kitNightC = nightOfKit(
      coldest.weather.night.coldNightC,
      nightBy === "coldest-of-all" ? outside.flatMap(({ part, weather }) => sameNights(weather.night, part)) : [],
    );
    const first = rows[0]!.part;
    const last = rows.at(-1)!.part;
    legs.push({
      index,
      fromStopId: from.stopId,
      toStopId: to.stopId,
      foodSold: index === 0 || from.sellsFood,
      fuelSold: index === 0 || from.sellsFuel,
      fromNode: from.node,
      toNode: to.node,
      fromM: walkedOf(profile, from.node),
      toM: walkedOf(profile, to.node),
      distanceM: walkedOf(profile, to.node - from.node),
      offTrailM: from.footM + to.footM,
      climbM,
      descentM,
      snowM,
      softSnowM,
      deepSnowM,
      lateSnowM: profile.cellM * sum(rows.map(({ part }) => lateCells(terrain, part))),
      walkH: sum(rows.map(({ part }) => part.walkH)),
      trailH: sum(rows.map(({ part }) => part.walkH - part.offTrailStartH - part.offTrailEndH - detourHours(part))),
      detourH: sum(rows.map(({ part }) => detourHours(part))),
      dayCount: sum(rows.map(({ part }) => part.walkH / hoursOfDay.get(part.day)!)),
      campNights: sum(camps.map(({ part }) => 1 + part.zeroDays)),
      bedNights: sum(rows.map(({ part }) => (part.night === "bed" ? 1 + part.zeroDays : 0))),
      nightsOutside: sum(outside.map(({ part }) => 1 + part.zeroDays)),
      zeroDays: sum(rows.map(({ part }) => part.zeroDays)),
      startDate: isoOfDay(first.day),
      endDate: isoOfDay(last.day),
      lowC: Math.min(...nights.map(({ weather }) => weather.night.lowC)),
      highC: Math.max(...rows.map(({ weather }) => weather.walking.highC)),
      coldNightC: coldest.weather.night.coldNightC,
      hotDayC: hottest.weather.walking.hotDayC,
      hotHumidity: hottest.weather.sky.humidity,
      coldestLowC: coldest.weather.night.lowC,
      coldestCautiousLowC: coldest.weather.night.coldLowC,
      coldestSdK: coldest.weather.night.lowSdK,
      coldestCampNode: coldest.part.endNode,
      coldestOnSnow: onSnow,
      kitNightC,
      padRNeeded: padNeed(kitNightC, onSnow).r,
      hikers: hikerIds.map((hikerId, h) => {
        const supply = block.supplies[h]!;
        const days = [...new Set(rows.map(({ part }) => part.day))].flatMap((day) => energyByDay[h]!.get(day) ?? []);
        const carries = supply.carries.filter((carry) => carry.legIndex === index);
        const largestCarry = carries.reduce(
          (best, carry, i) => (carry.litres > (carries[best]?.litres ?? -1) ? i : best),
          -1,
        );
        const kitLeg = block.kit[inBlock]![h]!;
        const bed = sleep[index]![h]!;
        const food = supply.food[inBlock]!;
        const { foodKg, waterKg } = block.packs[h]!;
        // Where food and water together take most room.
        let bagL = food.startKg / food.bulkKgPerL - kitLeg.canisterL;
        for (let c = from.node - block.fromNode; c < to.node - block.fromNode; c++)
          bagL = Math.max(bagL, Math.max(0, foodKg[c]! / food.bulkKgPerL - kitLeg.canisterL) + waterKg[c]!);
        return {
          hikerId,
          ...block.loads[h]![inBlock]!,
          kit: kitLeg,
          food,
          fuel: supply.fuel[inBlock]!,
          energy: meanEnergy(days),
          carries,
          largestCarry,
          detours: supply.detours.filter((choice) => choice.legIndex === index),
          volumeL: kitLeg.volumeL + kitLeg.canisterVolumeL + Math.max(0, bagL),
          body: supply.body[inBlock]!,
          sleep: bed,
          warmth: outside.length > 0 ? nightWarmth(bed, kitNightC) : undefined,
        };
      }),
    });
  }
  return legs;
}

function blockDays({ block, halts, hikerIds, sleep, pins }: BlockFigureInput): DayResult[] {
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
      slowPerM: part.slowPerM,
      forbiddenCamp: part.forbiddenCamp,
      night: part.night,
      zeroDays: part.zeroDays,
      pinId: part.night === "none" ? undefined : pins.find(({ node }) => node === part.endNode)?.id,
      dry: block.supplies.some((supply) => supply.parts[p]!.dry),
      dinnerNode: part.dinnerNode,
      lowC: weather.night.lowC,
      highC: weather.walking.highC,
      coldNightC: weather.night.coldNightC,
      hotDayC: weather.walking.hotDayC,
      nightSdK: weather.night.lowSdK,
      wetChance: weather.wetChance,
      windMps: weather.sky.windMps,
      cloud: weather.sky.cloud,
      outside: sleepsOutside(part, halts),
      menus: block.supplies.map((supply) => supply.parts[p]!.menu),
      fuelKg: block.supplies.map((supply) => supply.parts[p]!.fuelKg),
      meltH: block.supplies.map((supply) => MELT_H_PER_L * supply.parts[p]!.meltedL),
      walkL: block.supplies.map((supply) => supply.parts[p]!.walkL),
      energyKcal: energyByDay.map((byDay) => byDay.get(part.day)?.totalKcal ?? 0),
      warmthMarginK: hikerIds.map((_, h) =>
        sleepsOutside(part, halts)
          ? nightWarmth(sleep[part.legIndex]![h]!, weather.night.coldNightC)?.marginK
          : undefined,
      ),
    };
  });
}

/** Melt-out is known to so many days: where it is later, these cells are white still. */
const MELT_LATE_DAYS = 20;

function lateCells({ snow, snowFromDay, snowToDay }: Terrain, { startNode, endNode, day }: DayPart): number {
  const yearDay = dayOfYear(day);
  let cells = 0;
  for (let c = startNode; c < endNode; c++) {
    if (snow[c] !== BY_THE_HOUR || seasonHolds(snowFromDay[c]!, snowToDay[c]!, yearDay)) continue;
    if ((yearDay - snowToDay[c]! + YEAR_DAYS) % YEAR_DAYS <= MELT_LATE_DAYS) cells++;
  }
  return cells;
}

/** A rest day is one night more at the same place. */
function sameNights({ coldLowC, lowSdK }: Climate, { zeroDays }: DayPart): NightLow[] {
  return Array.from({ length: 1 + zeroDays }, () => ({ meanC: coldLowC, sdK: lowSdK }));
}

/** In a tent, or at a stop that offers no bed; the night after the finish is nobody's business. */
function sleepsOutside({ night, legIndex }: DayPart, halts: readonly Halt[]): boolean {
  if (night !== "stop") return night === "camp";
  return legIndex + 2 < halts.length && !halts[legIndex + 1]!.hasBed;
}

const detourHours = ({ detours }: DayPart): number => sum(detours.map(({ walkH }) => walkH));

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
