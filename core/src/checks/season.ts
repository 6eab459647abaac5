/** The season at the dates of passage: snow under foot, wet cold, sun; and how well it is known. */
import { LEAST_SNOW_M, strongestNoon } from "../conditions/sun.ts";
import { DEEP_SNOW_M } from "../cover/demands.ts";
import { minutesToRedden } from "../models/ultraviolet.ts";
import { heatLossW, WET_COLD_C } from "../models/wetCold.ts";
import { nodeOf } from "../track/place.ts";
import { dayNumber } from "../units/day.ts";
import { defineCheck } from "./check.ts";

const deepSnow = defineCheck({
  code: "deep-snow",
  units: { have: "m" },
  *find({ result }) {
    for (const { index, deepSnowM } of result.legs)
      if (deepSnowM >= DEEP_SNOW_M) yield { severity: "caution", legIndex: index, have: deepSnowM };
  },
});

const snowUnderfoot = defineCheck({
  code: "snow-underfoot",
  units: { have: "m", soft: "m", late: "m" },
  *find({ result }) {
    for (const { index, snowM, softSnowM, lateSnowM } of result.legs)
      if (snowM + lateSnowM >= LEAST_SNOW_M)
        yield { severity: "caution", legIndex: index, have: snowM, soft: softSnowM, late: snowM + lateSnowM };
  },
});

/** Shell and a layer under it, dry. */
const WALKING_CLO = 1.5;
/** Fewer wet days in the cold than this are bad luck. */
const LEAST_WET_DAYS = 0.5;

/** Told once, for the leg that has most of it. */
const wetCold = defineCheck({
  code: "wet-cold",
  units: { have: "C", days: "days", wind: "m/s", legs: "count", loss: "W" },
  *find({ result: { days } }) {
    // A day once, as its last part has it.
    const cold = days.filter(({ night, lowC, highC }) => night !== "none" && (lowC + highC) / 2 <= WET_COLD_C);
    const wetDays = cold.reduce((sum, { wetChance }) => sum + wetChance, 0);
    if (wetDays < LEAST_WET_DAYS) return;
    const byLeg = new Map<number, number>();
    for (const { legIndex, wetChance } of cold) byLeg.set(legIndex, (byLeg.get(legIndex) ?? 0) + wetChance);
    const [legIndex] = [...byLeg].reduce((a, b) => (b[1] > a[1] ? b : a));
    const there = cold.filter((day) => day.legIndex === legIndex);
    const have = Math.min(...there.map(({ lowC, highC }) => (lowC + highC) / 2));
    const wind = Math.max(...cold.map(({ windMps }) => windMps));
    const loss = heatLossW(have, wind, WALKING_CLO, true);
    yield { severity: "caution", legIndex, have, days: wetDays, wind, legs: byLeg.size, loss };
  },
});

/** Extreme by the words of the index; over snow, which doubles it from below, what is very strong elsewhere. */
const STRONG_UV = { ground: 11, snow: 8 } as const;

/** Told once, where the noon sun is strongest. */
const sunStrong = defineCheck({
  code: "sun-strong",
  units: { have: "count", over: "name", reddens: "min" },
  *find({ result: { days, legs, profile } }) {
    const noons = legs.map((leg) => {
      const own = days.filter(({ legIndex }) => legIndex === leg.index);
      return { legIndex: leg.index, ...strongestNoon(leg, own, profile) };
    });
    const { legIndex, uv: have, onSnow } = noons.reduce((a, b) => (b.uv > a.uv ? b : a));
    const over = onSnow ? "snow" : "ground";
    if (have >= STRONG_UV[over]) yield { severity: "note", legIndex, have, over, reddens: minutesToRedden(have) };
  },
});

/** Nothing that far back tells much of a day. */
const OLD_FORECAST_DAYS = 10;

const forecastUnused = defineCheck({
  code: "forecast-unused",
  units: { forecast: "name", why: "name", days: "count" },
  *find({ plan, result }) {
    const first = dayNumber(plan.trip.startDate)!;
    const last = dayNumber(result.finishDate)!;
    for (const { name, issued, days } of plan.climate.forecasts) {
      const lead = (date: string): number => dayNumber(date)! - dayNumber(issued)!;
      const found = {
        outside: days.filter(({ date }) => dayNumber(date)! < first || dayNumber(date)! > last).length,
        before: days.filter(({ date }) => lead(date) < 0).length,
        old: days.filter(({ date }) => lead(date) > OLD_FORECAST_DAYS).length,
      };
      for (const why of ["before", "outside", "old"] as const)
        if (found[why] > 0) yield { severity: "note", forecast: name, why, days: found[why] };
    }
  },
});

/** A thermometer read so much above or below the trail was not on it. */
const OFF_HEIGHT_M = 500;

const readingHeight = defineCheck({
  code: "reading-height",
  units: { day: "date", have: "m", limit: "m" },
  *find({ plan, result: { profile } }) {
    if (!profile.hasHeights) return;
    for (const { date, trackM, heightM } of plan.climate.readings) {
      const limit = profile.heightM[nodeOf(profile, { trackM })]!;
      if (Math.abs(heightM - limit) > OFF_HEIGHT_M) yield { severity: "note", day: date, have: heightM, limit };
    }
  },
});

/** Without rain nobody knows how much snow falls: that of the latitude stands in. */
const rainAssumed = defineCheck({
  code: "rain-assumed",
  units: { have: "count" },
  *find({ plan }) {
    const { stations, snowBy } = plan.climate;
    const without = stations.filter(({ precipMm }) => precipMm === undefined).length;
    if (snowBy === "degree-day" && without > 0) yield { severity: "note", have: without };
  },
});

export const seasonChecks = [
  snowUnderfoot,
  deepSnow,
  wetCold,
  sunStrong,
  rainAssumed,
  forecastUnused,
  readingHeight,
] as const;
