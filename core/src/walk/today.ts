/** The day at hand: its light, its weather, and the hours that are wanted and possible. */
import type { PaceSettings } from "../plan/schema.ts";
import { HIGH_LAPSE_K_PER_M, LOW_LAPSE_K_PER_M } from "../models/cold.ts";
import { firmAfterSunriseH } from "../models/snow.ts";
import { climateAt, skyAt } from "../season/season.ts";
import { BAND_M, snowAt, type Snow } from "../season/snow.ts";
import { walkedOf } from "../track/place.ts";
import type { WalkedM } from "../units/lengths.ts";
import { dayOfYear, monthOfDay } from "../units/day.ts";
import type { Ground } from "./ground.ts";
import { heightSlowPerM } from "./slow.ts";
import { FIRM_SNOW, powderIndex, SOFT_SNOW } from "./surfaces.ts";

/** With less of the ground white than this, what lies is as deep as if so much were. */
const LEAST_COVER = 0.1;

/** In the high-latitude winter there is no light to keep to: so much is walked regardless. */
const LEAST_LIGHT_H = 4;

export interface Today {
  /** Day number since 1970-01-01. */
  day: number;
  yearDay: number;
  month: number;
  sunriseH: number;
  sunsetH: number;
  daylightH: number;
  lightFromH: number;
  lightToH: number;
  startH: number;
  /** Walking hours that are meant for the day, after light and rules; and before what is owed from the days before. */
  budgetH: number;
  fairH: number;
  /** Fraction of speed lost per metre of height above 2,000 m. */
  slowPerM: number;
  /** Day high brought down to sea level, the day's range, and how much of it every quarter of an hour is below. */
  highAtSeaC: number;
  rangeK: number;
  belowHigh: Float64Array;
  /** What snow by the season is at a height and an hour: a crust, slush, or powder by its depth. */
  snowUnderfoot: (heightM: number, clockH: number, cell: number) => number;
}

/** What one block hands on to the next. */
export interface WalkState {
  day: number;
  /** Days walked since the last rest day. */
  walkedDays: number;
  /** The night before was spent at a stop of the plan. */
  fromStop: boolean;
  /** Nights of being used to height. */
  nightsUp: number;
  /** The stop was passed through: the clock when it is left, and the hours of that day that are gone. */
  underWay?: { clockH: number; usedH: number } | undefined;
}

/** Walking hours wanted on the n-th day of the trip, before rules and daylight have their say. */
export function wantedHours(paces: readonly PaceSettings[], tripDay: number): number {
  let hours = Infinity;
  for (const pace of paces) hours = Math.min(hours, rampHours(pace, tripDay));
  return hours;
}

function rampHours(pace: PaceSettings, tripDay: number): number {
  const { ramp } = pace;
  if (ramp.length === 0) {
    const t = pace.rampDays > 0 ? Math.min(1, tripDay / pace.rampDays) : 1;
    return pace.hoursFreshH + (pace.hoursFitH - pace.hoursFreshH) * t;
  }
  const next = ramp.findIndex((stage) => stage.tripDay > tripDay);
  if (next <= 0) return (next === 0 ? ramp[0] : ramp.at(-1))!.hoursH;
  const from = ramp[next - 1]!;
  const to = ramp[next]!;
  return from.hoursH + ((to.hoursH - from.hoursH) * (tripDay - from.tripDay)) / (to.tripDay - from.tripDay);
}

export function beginDay(
  ground: Ground,
  clockPerH: number,
  { day, fromStop, nightsUp }: Pick<WalkState, "day" | "fromStop" | "nightsUp">,
  node: number,
  owedH = 0,
): Today {
  const { profile, rules, paces } = ground;
  const sun = ground.sun.at(day, profile.latDeg[node]!);
  const heightM = profile.heightM[node]!;
  const weather = climateAt(ground.season, walkedOf(profile, node), heightM, day);
  const { cloud } = skyAt(ground.season, walkedOf(profile, node), day);
  let wantedH = ground.ownHours.get(day) ?? wantedHours(paces, day - ground.startDay);
  if (fromStop && rules.neroOutH !== undefined) wantedH = Math.min(wantedH, rules.neroOutH);

  const { depths } = ground.terrain;
  const deepCm = depths ? depthsOf(depths, walkedOf(profile, node), dayOfYear(day)) : () => Infinity;

  const { treeLineM = Infinity } = rules;

  const darkH = rules.darkFraction * wantedH;
  const byClock = Math.max(...paces.map((pace) => pace.startClockH));
  const startH =
    rules.startRule === "sunrise"
      ? Math.min(12, sun.lightFromH)
      : Math.min(12, Math.max(byClock, sun.lightFromH - darkH * clockPerH));
  const morningDarkH = Math.max(0, sun.lightFromH - startH) / clockPerH;
  const lightH = (sun.lightToH - startH) / clockPerH + Math.max(0, darkH - morningDarkH);
  const mostH = Math.min(Math.max(LEAST_LIGHT_H, lightH), (24 - startH) / clockPerH);
  // Hours that are told for a day are those of that day.
  const owesH = ground.ownHours.has(day) ? 0 : owedH;
  return {
    day,
    yearDay: dayOfYear(day),
    month: monthOfDay(day),
    ...sun,
    startH,
    budgetH: Math.min(wantedH + owesH, mostH),
    fairH: Math.min(wantedH, mostH),
    highAtSeaC: weather.highC + heightM * HIGH_LAPSE_K_PER_M,
    rangeK: weather.highC - weather.lowC,
    slowPerM: heightSlowPerM(rules.heightSlowPerKm, nightsUp),
    belowHigh: ground.diurnal.at(sun.sunriseH),
    snowUnderfoot: (atM, clockH, cell) => {
      // What has not thawed since it fell is powder at every hour, however cold the night, but where wind has packed it.
      if (weather.hotDayC - (atM - heightM) * HIGH_LAPSE_K_PER_M <= 0)
        return atM > treeLineM && cell % PACKED_EVERY === 0 ? FIRM_SNOW : powderIndex(deepCm(atM));
      const afterH = firmAfterSunriseH(weather.lowC - (atM - heightM) * LOW_LAPSE_K_PER_M, cloud);
      return afterH > 0 && clockH < sun.sunriseH + afterH ? FIRM_SNOW : SOFT_SNOW;
    },
  };
}

/** Above the tree line every second cell is packed by the wind: half of the ground [L]. */
const PACKED_EVERY = 2;

/** How deep snow lies at a height, where it lies, cm. */
function depthsOf(snow: Snow, walkedM: WalkedM, yearDay: number): (heightM: number) => number {
  const known = new Map<number, number>();
  return (heightM) => {
    const band = Math.round(heightM / BAND_M);
    let depthCm = known.get(band);
    if (depthCm === undefined) {
      const { depthM, cover } = snowAt(snow, walkedM, band * BAND_M, yearDay);
      depthCm = (100 * depthM) / Math.max(LEAST_COVER, cover);
      known.set(band, depthCm);
    }
    return depthCm;
  };
}
