/** The plan as a simulated hike reads it: by leg, with all that does not change from hike to hike worked out once. */
import { boxesOf } from "../boxes/boxes.ts";
import { seasonOf } from "../conditions/plane.ts";
import { givesOf } from "../cover/gives.ts";
import { LEAST_LIFE_KM, wearKm } from "../cover/wear.ts";
import type { Plan } from "../plan/schema.ts";
import { storeOf, type Store } from "../power/power.ts";
import type { Carry } from "../provision/water.ts";
import type { DayResult, PlanFigures } from "../result/result.ts";
import { climateAt, type Season } from "../season/season.ts";
import { houseOpening, postOpening, type Moment, type Opening } from "../stops/openings.ts";
import type { Service } from "../stops/post.ts";
import { comesByPost, serviceTo, stopFigures, type StopFigures } from "../stops/stays.ts";
import { walkedOf } from "../track/place.ts";
import type { Profile } from "../track/profile.ts";
import { dayNumber } from "../units/day.ts";
import { flowChance, passedTaps, placeSources, type PlacedSource } from "../walk/sources.ts";
import { SOFT_SNOW, speedFactors } from "../walk/surfaces.ts";

/** Coming to a source that is counted on: how long one can do if it is dry, and the water that may be had until then. */
export interface Arrival {
  id: number;
  chance: number;
  /** Drunk on foot until there, and an hour from there on, litres. */
  drunkL: number;
  perHL: number;
  /** Hours that what is over lasts; hours of thirst that harm nobody come on top. */
  overH: number;
  /** Sources after it in their order, the last the next that is counted on. */
  onward: { id: number; chance: number; afterH: number }[];
}

/** A door at the leg's end that is to be open: of the shop or of the counter. */
export interface Door {
  index: number;
  opening: Opening;
  arrives: Moment;
  leaves: Moment;
  /** Its walking day, for an arrival that moves. */
  wakesH: number;
  sleepsH: number;
}

export interface BoxThere {
  index: number;
  service: Service;
  sentDay: number;
  arrivesDay: number;
  holdDays: number;
}

/** Charge until it is least on the leg, Wh. */
export interface Charge {
  usedWh: number;
  overWh: number;
  restWhADay: number;
  /** Filled where the leg ends. */
  filled: boolean;
}

export interface Night {
  day: number;
  meanLowC: number;
  sdK: number;
  wetChance: number;
  /** What a later date brings there, kelvin a day. */
  laterK: number;
  km: number;
  outside: boolean;
  /** Share of the wanted hours that is walked. */
  share: number;
  /** kg eaten and g burnt. */
  eatenKg: number;
  burntG: number;
}

export interface LegTable {
  days: Night[];
  foodSold: boolean;
  fuelSold: boolean;
  startKg: number;
  startG: number;
  restKgADay: number;
  /** Coldest that the sleep kit stands, °C. */
  standsC: number;
  heaviestKg: number;
  /** Drunk on foot on the largest carry, litres. */
  drunkL: number;
  arrivals: Arrival[];
  door: Door | undefined;
  boxes: BoxThere[];
  charge: Charge | undefined;
  /** Days more in a year of much snow and fewer in one of little. */
  lateSnowDays: number;
  littleSnowDays: number;
  /** Luck of the pieces one depends on, and the way. */
  pieces: number[];
  km: number;
  /** Shoes: kilometres of even trail, at the start of the hike, of the leg and at its end. */
  shoes: { index: number; startKm: number; wornKm: number; untilKm: number; meanKm: number }[];
}

export function legTables(plan: Plan, result: PlanFigures, who: number): LegTable[] {
  const { legs, days, profile } = result;
  const season = plan.climate.stations.length > 0 ? knownSeason(plan, profile) : undefined;
  const sources = placeSources({
    sources: plan.sources,
    taps: passedTaps(plan.stops),
    stretches: plan.stretches,
    profile,
    wetness: plan.climate.wetness,
  });
  const stops = stopFigures(plan, result);
  const boxes = boxesOf(plan, result);
  const hikerId = plan.hikers[who]!.id;
  const store = result.power && storeOf(result.power, hikerId);
  const shoes = shoesOf(plan, result, who);
  const soft = speedFactors(plan.dayRules.surfaceSpeed, plan.dayRules.onSnow)[SOFT_SNOW]!;
  return legs.map((leg): LegTable => {
    const row = leg.hikers[who]!;
    const own = days.filter(({ legIndex }) => legIndex === leg.index);
    const eaten = sharesOf(own.map(({ energyKcal }) => energyKcal[who]!));
    const burnt = sharesOf(own.map(({ fuelKg }) => fuelKg[who]!));
    const { food, fuel, carries, warmth, largestCarry } = row;
    const nights = own.map((day, d): Night => {
      const number = dayNumber(day.date)!;
      const later = (by: number): number =>
        climateAt(season!, walkedOf(profile, day.toNode), profile.heightM[day.toNode]!, number + by).lowC;
      return {
        day: number,
        meanLowC: day.lowC,
        sdK: day.nightSdK,
        wetChance: day.wetChance,
        laterK: season ? (later(SLOPE_DAYS) - later(-SLOPE_DAYS)) / (2 * SLOPE_DAYS) : 0,
        km: ((day.toNode - day.fromNode) * profile.cellM) / 1000,
        outside: day.outside,
        share: day.budgetH > 0 ? day.walkH / day.budgetH : 0,
        eatenKg: eaten[d]! * food.eatenKg,
        burntG: burnt[d]! * fuel.needG,
      };
    });
    const end = stops.find(({ stop, arrives }) => arrives?.index === leg.index && stop.id === leg.toStopId);
    const budgetH = own.reduce((sum, day) => sum + day.budgetH, 0) / Math.max(1, own.length);
    const snowDays = (metres: number, slower: number): number =>
      leg.distanceM > 0 && budgetH > 0 ? (leg.trailH * Math.min(1, metres / leg.distanceM) * slower) / budgetH : 0;
    return {
      days: nights,
      foodSold: leg.foodSold,
      fuelSold: leg.fuelSold,
      startKg: food.startKg,
      startG: fuel.needG + fuel.endG,
      restKgADay: food.mealDays > 0 ? food.eatenKg / food.mealDays : 0,
      standsC: warmth ? leg.kitNightC - warmth.marginK : -Infinity,
      heaviestKg: row.heaviestKg,
      drunkL: carries[largestCarry]?.walkingL ?? 0,
      arrivals: arrivalsOf(carries, own, sources),
      door: end && doorOf(end, own),
      boxes: boxes.flatMap((box): BoxThere[] => {
        const stop = plan.stops.find(({ id }) => id === box.toStopId);
        // Nothing on the trail hangs on what is never carried.
        if (!stop || box.bounce || box.legIndex !== leg.index + 1) return [];
        const { sentDay, holdDays } = box;
        return [
          {
            index: luckOf(box.key),
            service: serviceTo(stop, plan.resupply),
            sentDay,
            holdDays,
            arrivesDay: lastDay(own),
          },
        ];
      }),
      charge: store && chargeOf(store, leg.index),
      lateSnowDays: snowDays(leg.lateSnowM, 1 / soft - 1),
      littleSnowDays: snowDays(Math.min(leg.snowM, leg.lateSnowM), 1 - soft),
      pieces: plan.kit.flatMap((piece, p) => {
        const carried = result.carrier[p * legs.length + leg.index] === who;
        const depended = piece.role !== undefined && DEPENDED.has(piece.role);
        return carried && (depended || givesOf(piece).includes("light")) ? [luckOf(piece.id)] : [];
      }),
      km: leg.distanceM / 1000,
      shoes: shoes.get(leg.index) ?? [],
    };
  });
}

const seasons = new WeakMap<Profile, { climate: Plan["climate"]; season: Season }>();

/** Plans that are compared have one climate and one trail. */
function knownSeason({ climate }: Plan, profile: Profile): Season {
  const known = seasons.get(profile);
  if (known?.climate === climate) return known.season;
  const { season } = seasonOf({ climate: { ...climate, snowBy: "by-hand" } }, profile);
  seasons.set(profile, { climate, season });
  return season;
}

/** A slope of the season is taken over so many days either side. */
const SLOPE_DAYS = 7;
const DEPENDED: ReadonlySet<string> = new Set(["pack", "shelter", "bag", "pad", "stove"]);

const lastDay = (days: readonly DayResult[]): number => dayNumber(days.at(-1)!.date)!;

function sharesOf(parts: readonly number[]): number[] {
  const sum = parts.reduce((all, part) => all + part, 0);
  return parts.map((part) => (sum > 0 ? part / sum : 1 / parts.length));
}

/** Whose food or box is there to be fetched; a stop where nothing is wanted of anybody has no door. */
function doorOf({ stop, stay, leaves, foodBy }: StopFigures, days: readonly DayResult[]): Door | undefined {
  if (!leaves?.foodSold || foodBy === "visitor") return undefined;
  const { startClockH, endClockH } = days.at(-1)!;
  return {
    index: luckOf(stop.id),
    opening: comesByPost(foodBy) ? postOpening(stop) : houseOpening(stop),
    arrives: stay.from,
    leaves: stay.to,
    wakesH: startClockH,
    sleepsH: Math.max(endClockH, startClockH + LEAST_DAY_H),
  };
}

const LEAST_DAY_H = 8;

/** A number by the letters of an id: what it is of meets the same luck under every plan. */
export function luckOf(id: string): number {
  let h = 0;
  for (let i = 0; i < id.length; i++) h = (Math.imul(h, 31) + id.charCodeAt(i)) | 0;
  return h;
}

function chargeOf({ days, legs }: Store, legIndex: number): Charge | undefined {
  const own = days.filter((day) => day.legIndex === legIndex);
  const leg = legs[legIndex];
  if (!leg || own.length === 0) return undefined;
  const until = own.findIndex(({ day }) => day >= leg.lowestDay) + 1 || own.length;
  const used = own.slice(0, until).reduce((sum, { usedWh }) => sum + usedWh, 0);
  const all = own.reduce((sum, { usedWh }) => sum + usedWh, 0);
  return {
    usedWh: used,
    overWh: leg.shortWh > 0 ? -leg.shortWh : leg.lowestFraction * leg.capacityWh,
    restWhADay: all / own.length,
    filled: own.at(-1)!.wallWh > 0,
  };
}

function shoesOf(plan: Plan, result: PlanFigures, who: number): Map<number, LegTable["shoes"]> {
  const byLeg = new Map<number, LegTable["shoes"]>();
  const km = wearKm(result, who);
  for (const [p, piece] of plan.kit.entries()) {
    if (piece.role !== "shoes" || piece.ownerId !== plan.hikers[who]!.id) continue;
    const startKm = piece.wornM / 1000;
    let wornKm = startKm;
    for (const { index } of result.legs) {
      if (result.carrier[p * result.legs.length + index]! < 0) continue;
      const untilKm = wornKm + km[index]!;
      const row = {
        index: luckOf(piece.id),
        startKm,
        wornKm,
        untilKm,
        meanKm: Math.max(LEAST_LIFE_KM, piece.meanLifeM / 1000),
      };
      byLeg.set(index, [...(byLeg.get(index) ?? []), row]);
      wornKm = untilKm;
    }
  }
  return byLeg;
}

function arrivalsOf(
  carries: readonly Carry[],
  days: readonly DayResult[],
  sources: readonly PlacedSource[],
): Arrival[] {
  const chanceOn = (source: PlacedSource): number => {
    const day = days.find(({ toNode }) => toNode >= source.node) ?? days.at(-1)!;
    return flowChance(source, dayNumber(day.date)!);
  };
  const numberOf = new Map(sources.map(({ id }) => [id, luckOf(id)]));
  return carries.flatMap((carry, c): Arrival[] => {
    const next = carries[c + 1];
    const here = sources.find(({ id }) => id === carry.toSourceId);
    // The last ends at a stop, where there is water.
    if (!here || !next) return [];
    const perH = next.walkH > 0 ? next.walkingL / next.walkH : 0;
    const spareL = carry.litres - (carry.walkingL + carry.campL - carry.drunkL);
    const span = Math.max(1, next.toNode - next.fromNode);
    const campH = perH > 0 ? next.campL / perH : 0;
    const onward = sources
      .filter(({ node }) => node > carry.toNode && node < next.toNode)
      .map((source) => ({
        id: numberOf.get(source.id)!,
        chance: chanceOn(source),
        afterH: (next.walkH * (source.node - next.fromNode)) / span,
      }));
    const end = sources.find(({ id }) => id === next.toSourceId);
    const last = {
      id: end ? numberOf.get(end.id)! : 0,
      chance: end ? chanceOn(end) : 1,
      afterH: next.walkH + campH,
    };
    const overH = perH > 0 ? Math.max(0, spareL) / perH : Infinity;
    return [
      {
        id: numberOf.get(here.id)!,
        chance: chanceOn(here),
        drunkL: carry.walkingL,
        perHL: perH,
        overH,
        onward: [...onward, last],
      },
    ];
  });
}
