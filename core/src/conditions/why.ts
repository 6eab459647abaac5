/** The figures of a leg's season taken apart, as the others are: night, snow, wet days, sun, fords. */
import { leaf, named, product, sum, type Derivation } from "../explain/derivation.ts";
import { explainKitNight } from "../explain/nights.ts";
import { courseAt } from "../models/ford.ts";
import { GROUND_ALBEDO, noonSunSine, SNOW_ALBEDO, uvIndex } from "../models/ultraviolet.ts";
import type { Plan } from "../plan/schema.ts";
import type { DayResult, LegResult } from "../result/result.ts";
import type { PlanResult } from "../session/session.ts";
import type { FordPassage } from "./fords.ts";
import { strongestNoon } from "./sun.ts";

export type SeasonFigure = "night" | "snow" | "wet" | "sun" | "ford";

export interface SeasonWhy {
  figure: SeasonFigure;
  tree: Derivation;
}

/** Of one leg; figures that it does not have are left out. */
export function seasonWhys(plan: Plan, result: PlanResult, legIndex: number): SeasonWhy[] {
  const leg = result.legs[legIndex];
  if (!leg) return [];
  const days = result.days.filter((day) => day.legIndex === legIndex);
  const fords = result.fords.filter((ford) => ford.legIndex === legIndex);
  return [
    { figure: "night", tree: explainKitNight(leg) },
    ...(leg.snowM > 0 ? [{ figure: "snow" as const, tree: whySnow(leg, plan) }] : []),
    { figure: "wet", tree: whyWet(days) },
    { figure: "sun", tree: whySun(leg, days, result) },
    ...fords.map((ford) => ({ figure: "ford" as const, tree: whyFord(ford, plan) })),
  ];
}

function whySnow({ snowM, softSnowM }: LegResult, { climate }: Plan): Derivation {
  const where = climate.snowBy === "degree-day" ? "snow-degree-day" : "snow-by-hand";
  return sum("snow-distance", snowM / 1000, "km", [
    leaf("snow-firm", (snowM - softSnowM) / 1000, "km", where),
    leaf("snow-soft", softSnowM / 1000, "km", "snow-crust"),
  ]);
}

/** A calendar day once, as its last part has it. */
function whyWet(days: readonly DayResult[]): Derivation {
  const last = [...new Map(days.map((day) => [day.date, day])).values()];
  const parts = last.map(({ date, wetChance }) => named(leaf("wet-day", wetChance, "fraction", "wet-days"), date));
  return sum(
    "wet-days",
    parts.reduce((total, { value }) => total + value, 0),
    "days",
    parts,
  );
}

/** The day of the leg with the strongest noon. */
function whySun(leg: LegResult, days: readonly DayResult[], { profile }: PlanResult): Derivation {
  const { uv, latDeg, yearDay, heightM, onSnow } = strongestNoon(leg, days, profile);
  const bare = { sunSine: noonSunSine(latDeg, yearDay), heightM: 0, albedo: GROUND_ALBEDO, cloud: 0 };
  const atSea = uvIndex(bare);
  const up = atSea > 0 ? uvIndex({ ...bare, heightM }) / atSea : 1;
  const back = atSea > 0 ? uvIndex({ ...bare, albedo: onSnow ? SNOW_ALBEDO.old : GROUND_ALBEDO }) / atSea : 1;
  return product("uv", uv, "count", [
    leaf("uv-sea", atSea, "count", "uv-clear"),
    leaf("uv-height", up, "fraction", "uv-height"),
    leaf("uv-ground", back, "fraction", onSnow ? "uv-snow" : "uv-bare"),
  ]);
}

function whyFord({ fordId, flow, index, clockH, course }: FordPassage, plan: Plan): Derivation {
  const byHour = 1 + course.amplitude * courseAt(clockH, course);
  const daily = flow / byHour;
  const tree = product("ford-flow", flow, "fraction", [
    sum("ford-day", daily, "fraction", [
      leaf("ford-melt", index, "fraction", "ford-melt"),
      leaf("ford-base", daily - index, "fraction", "ford-base"),
    ]),
    leaf("ford-hour", byHour, "fraction", "ford-hour"),
  ]);
  return named(tree, plan.stretches.find(({ id }) => id === fordId)?.name ?? "");
}
