/** What each leg meets at its dates: nights, heat, snow, wet days, light, insects; and the whole hike's extremes. */
import { ONE_IN_TEN } from "../models/cold.ts";
import { coldestOfNightsC } from "../models/coldNight.ts";
import { wetDays } from "../models/rain.ts";
import type { Plan } from "../plan/schema.ts";
import { twilightH } from "../models/light.ts";
import { moonlitHours, OPEN_TRAIL_LUX, SNOW_LUX } from "../models/moon.ts";
import type { DayResult, PlanFigures } from "../result/result.ts";
import type { Profile } from "../track/profile.ts";
import type { FordPassage } from "./fords.ts";
import { insectYear } from "./placeYear.ts";
import { walkedOf } from "../track/place.ts";
import { dayNumber, dayOfYear } from "../units/day.ts";
import { seasonOf, type SeasonFacts } from "./plane.ts";
import { strongestNoon } from "./sun.ts";

export interface LegConditions {
  legIndex: number;
  startDate: string;
  endDate: string;
  /** One night in ten at the coldest camp, and the low that one hike in ten meets on some night of the leg, °C. */
  coldNightC: number;
  coldestOfAllC: number;
  coldHeightM: number;
  hotDayC: number;
  /** On snow, metres walked; of it soft. */
  snowM: number;
  softM: number;
  /** Days, expected wet ones, the chance of none, and the longest spell to expect. */
  days: number;
  wetMean: number;
  noneWetChance: number;
  longestWetDays: number;
  leastDaylightH: number;
  /** Civil twilight at each end of that day; undefined where it lasts all night. */
  twilightH: number | undefined;
  /** Ultraviolet index at noon under a clear sky, at most. */
  uvIndex: number;
  /** Hours of the leg's nights with moon enough to walk an open trail or snow, clouds as usual. */
  moonlitH: number;
  /** 0 to 3. */
  insects: number;
  /** The coldest that every hiker's sleep kit stands on the leg, °C; undefined without nights outside or a bag. */
  standsC: number | undefined;
}

export function legConditions(
  plan: Plan,
  { legs, days, profile }: Pick<PlanFigures, "legs" | "days" | "profile">,
  { season, snow }: SeasonFacts = seasonOf(plan, profile),
): LegConditions[] {
  return legs.map((leg): LegConditions => {
    const own = days.filter(({ legIndex }) => legIndex === leg.index);
    const dates = [...new Set(own.map(({ date }) => date))];
    const chances = dates.map((date) => own.findLast((day) => day.date === date)!.wetChance);
    const wet = wetDays(chances);
    // A rest day is one night more at the same place.
    const nights = own.filter(({ outside }) => outside).flatMap((day) => Array<typeof day>(1 + day.zeroDays).fill(day));
    const sdK = leg.coldestSdK;
    const noon = strongestNoon(leg, own, profile);
    const darkest = own.reduce((a, b) => (b.daylightH < a.daylightH ? b : a));
    const margins = leg.hikers.flatMap(({ warmth }) => (warmth ? [warmth.marginK] : []));
    return {
      legIndex: leg.index,
      startDate: leg.startDate,
      endDate: leg.endDate,
      coldNightC: leg.coldNightC,
      coldestOfAllC: coldestOfNightsC(
        nights.length === 0
          ? [{ meanC: leg.coldestCautiousLowC, sdK }]
          : // The mean that the one-in-ten night is given from.
            nights.map(({ coldNightC, nightSdK }) => ({ meanC: coldNightC + ONE_IN_TEN * nightSdK, sdK: nightSdK })),
      ),
      coldHeightM: profile.heightM[leg.coldestCampNode]!,
      hotDayC: leg.hotDayC,
      snowM: leg.snowM,
      softM: leg.softSnowM,
      days: dates.length,
      wetMean: wet.mean,
      noneWetChance: wet.noneChance,
      longestWetDays: wet.longestMean,
      leastDaylightH: darkest.daylightH,
      twilightH: twilightH(profile.latDeg[darkest.toNode]!, dayOfYear(dayNumber(darkest.date)!)),
      uvIndex: noon.uv,
      moonlitH: own.reduce((hours, day) => hours + moonOf(day, profile, noon.onSnow), 0),
      insects: swarms(own, profile, { season, snow }),
      standsC: margins.length === 0 ? undefined : leg.kitNightC - Math.min(...margins),
    };
  });
}

/** Of a leg, what requires kit and is found from sky and season: the ultraviolet index, insects, its highest ford. */
export interface LegAsks {
  uvIndex: number;
  /** 0 to 3. */
  insects: number;
  /** 1 to 4 at the hour of passage; 0 without a ford. */
  fordClass: number;
}

export function legAsks(
  { legs, days, profile }: Pick<PlanFigures, "legs" | "days" | "profile">,
  fords: readonly FordPassage[],
  facts: SeasonFacts,
): LegAsks[] {
  return legs.map((leg) => {
    const own = days.filter(({ legIndex }) => legIndex === leg.index);
    return {
      uvIndex: strongestNoon(leg, own, profile).uv,
      insects: swarms(own, profile, facts),
      fordClass: fords.reduce((most, ford) => (ford.legIndex === leg.index ? Math.max(most, ford.class) : most), 0),
    };
  });
}

/** A season of insects is longer than a leg: its ends and its middle tell. */
function swarms(days: readonly DayResult[], profile: Profile, facts: SeasonFacts): number {
  const sampled = [days[0]!, days[days.length >> 1]!, days.at(-1)!].map(
    ({ date, toNode }) => insectsAt(toNode, profile, facts)[dayOfYear(dayNumber(date)!)]!,
  );
  return Math.max(...sampled);
}

interface KnownYears {
  profile: Profile;
  snow: SeasonFacts["snow"];
  byNode: Map<number, Float32Array>;
}
const knownYears = new WeakMap<SeasonFacts["season"], KnownYears>();
const MOST_YEARS = 2000;

/** Nights that an edit does not move are of one place and season: its year is worked out once. */
function insectsAt(node: number, profile: Profile, { season, snow }: SeasonFacts): Float32Array {
  let known = knownYears.get(season);
  if (known?.profile !== profile || known.snow !== snow || known.byNode.size >= MOST_YEARS) {
    known = { profile, snow, byNode: new Map() };
    knownYears.set(season, known);
  }
  let year = known.byNode.get(node);
  if (!year) {
    const [heightM, latDeg] = [profile.heightM[node]!, profile.latDeg[node]!];
    year = insectYear({ season, snow }, { walkedM: walkedOf(profile, node), heightM, latDeg });
    known.byNode.set(node, year);
  }
  return year;
}

/** The night after a day, where it is the day's last part. */
function moonOf(
  { date, toNode, night, sunsetH, sunriseH, cloud }: DayResult,
  profile: Profile,
  onSnow: boolean,
): number {
  if (night === "none") return 0;
  const leastLux = onSnow ? SNOW_LUX : OPEN_TRAIL_LUX;
  const place = { lonDeg: profile.lonDeg[toNode]!, latDeg: profile.latDeg[toNode]! };
  return moonlitHours(dayNumber(date)!, place, { sunsetH, nextSunriseH: sunriseH }, { cloud, leastLux });
}
