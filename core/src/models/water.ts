/**
 * Litres drunk in an hour of walking. Four schools, from a field rule by distance to the heat balance.
 * None says what a body needs: people differ by a third to a half either way, and more is not safer.
 */
import { clamp } from "../units/constants.ts";
import { J_PER_ML_OXYGEN } from "./effort.ts";
import { defineSchool, measuredSchool, registryOf, type School } from "./school.ts";
import { breathGPerH, climbingW, sweatLph } from "./sweat.ts";

export interface WaterInput {
  powerW: number;
  speedMps: number;
  temperatureC: number;
  /** Relative, 0 to 1. */
  humidity: number;
  /** Share of full sun on the walker, 0 in shade or at night. */
  sun: number;
  windMps: number;
  bodyKg: number;
  heightCm: number;
  clothing: "light" | "covered";
  loadKg: number;
  gradePercent: number;
  /** The hiker's own rates for cool walking, where the school is a field rule. */
  perKmL?: number | undefined;
  perHourL?: number | undefined;
}

/** A field rule as figures: litres by the kilometre, by the hour, and whether warmth raises them. */
export interface FieldRule {
  perKmL: number;
  perHourL: number;
  byHeat: boolean;
  /** Of the two the larger counts, not their sum. */
  isLarger?: boolean;
}

/** The hiker's own rates for cool walking. */
export interface OwnRates {
  ratePerKmL: number;
  ratePerHourL: number;
}

export interface WaterSchool extends School {
  rateLph: (input: WaterInput) => number;
  /**
   * What the rate grows with: a field rule runs over the cells by its figures, `balance` has to be worked out
   * cell by cell from power and weather.
   */
  kind: "distance" | "hours" | "larger" | "balance";
  /** The rule's figures for a hiker of a body mass; undefined for the balance. */
  rule?: (own: OwnRates, bodyKg: number) => FieldRule;
}

export const PER_KM_L = 0.125;
export const PER_HOUR_L = 0.4;
export const WARM_C = 20;
export const HOT_C = 32;
/** Full sun on a clothed walker, W; order of Nielsen and others 1988. */
export const FULL_SUN_W = 125;

/** Field rule: unchanged to 20 °C, rising evenly, doubled at 32 °C and above. */
export function heatFactor(temperatureC: number): number {
  return 1 + clamp((temperatureC - WARM_C) / (HOT_C - WARM_C), 0, 1);
}

/** Heat made and sweat rise with the body, about by its mass to 0.75 to 1 in hikers' range [M]; 0.75 taken [L]. */
export function bodyFactor(bodyKg: number): number {
  return (bodyKg / RULE_BODY_KG) ** 0.75;
}
/** Whom the field rules were made for. */
const RULE_BODY_KG = 75;

/** Skin diffusion and least urine, 375 and 500 ml a day, in litres an hour; the breath is counted apart. */
const OBLIGATORY_LPH = 0.875 / 24;
/**
 * In cool air the balance requires no sweat at all, in clothes that nobody would wear then. Never less than
 * the water that rest alone requires: adequate intake 2.0 L a day (EFSA 2010, women), over sixteen waking hours.
 */
export const LEAST_LPH = 2 / 16;

function heatBalanceLph(input: WaterInput): number {
  const sweat = sweatLph({
    powerW: input.powerW,
    temperatureC: input.temperatureC,
    humidity: input.humidity,
    windMps: input.windMps,
    solarW: FULL_SUN_W * input.sun,
    bodyKg: input.bodyKg,
    heightCm: input.heightCm,
    clothing: input.clothing,
    climbingW: climbingW(input.bodyKg + input.loadKg, input.speedMps, input.gradePercent),
  });
  const oxygenLPerMin = (input.powerW * 60) / J_PER_ML_OXYGEN / 1000;
  const breath = breathGPerH(oxygenLPerMin, input.temperatureC, input.humidity) / 1000;
  return Math.max(LEAST_LPH, sweat + breath + OBLIGATORY_LPH);
}

type WaterFunctions = Pick<WaterSchool, "rateLph" | "kind" | "rule">;

const perKm = (input: WaterInput): number => (input.perKmL ?? PER_KM_L) * input.speedMps * 3.6;

export const water = registryOf<WaterSchool>("water", [
  defineSchool<WaterFunctions>({
    id: "distance-or-hours",
    name: "By distance or hours, whichever is more",
    source: "Field rules: litres per km or per walking hour, by body weight, rising from 20 °C, doubled at 32 °C",
    confidence: "medium",
    validity: {
      words: "Rules of thumb: on the flat the kilometres count, on slow climbs the hours.",
      ranges: { temperatureC: [-20, 38], bodyKg: [45, 120] },
    },
    kind: "larger",
    rule: ({ ratePerKmL, ratePerHourL }, bodyKg) => ({
      perKmL: ratePerKmL * bodyFactor(bodyKg),
      perHourL: ratePerHourL * bodyFactor(bodyKg),
      byHeat: true,
      isLarger: true,
    }),
    rateLph: (input) =>
      Math.max(perKm(input), input.perHourL ?? PER_HOUR_L) * bodyFactor(input.bodyKg) * heatFactor(input.temperatureC),
  }),
  defineSchool<WaterFunctions>({
    id: "heat-and-distance",
    name: "By distance and heat",
    source: "Field rule: litres per km, rising from 20 °C, doubled at 32 °C",
    confidence: "medium",
    validity: {
      words: "A rule of thumb; you set the litres per km.",
      ranges: { temperatureC: [-20, 38] },
    },
    kind: "distance",
    rule: ({ ratePerKmL }) => ({ perKmL: ratePerKmL, perHourL: 0, byHeat: true }),
    rateLph: (input) => perKm(input) * heatFactor(input.temperatureC),
  }),
  defineSchool<WaterFunctions>({
    id: "per-distance",
    name: "By distance alone",
    source: "Field rule: about 1 L per 8 km",
    confidence: "medium",
    validity: { words: "Too low above 25 °C.", ranges: { temperatureC: [-20, 25] } },
    kind: "distance",
    rule: ({ ratePerKmL }) => ({ perKmL: ratePerKmL, perHourL: 0, byHeat: false }),
    rateLph: perKm,
  }),
  defineSchool<WaterFunctions>({
    id: "per-hour-heat",
    name: "By hours and heat",
    source: "Field rule: litres per walking hour, rising from 20 °C, doubled at 32 °C",
    confidence: "medium",
    validity: { words: "A rule of thumb; slow climbs count in full.", ranges: { temperatureC: [-20, 38] } },
    kind: "hours",
    rule: ({ ratePerHourL }) => ({ perKmL: 0, perHourL: ratePerHourL, byHeat: true }),
    rateLph: (input) => (input.perHourL ?? PER_HOUR_L) * heatFactor(input.temperatureC),
  }),
  defineSchool<WaterFunctions>({
    id: "heat-balance",
    name: "Sweat from the heat balance",
    source: "Givoni & Goldman 1972 terms, ISO 7933 efficiency; breath by Mitchell and others 1972",
    confidence: "experimental",
    validity: {
      words:
        "Replaces all sweat, in light clothing; constants for covered clothing are assumed. People differ by 30 to 50 %.",
      ranges: { temperatureC: [5, 46], powerW: [100, 700], windMps: [0, 2.5] },
    },
    kind: "balance",
    rateLph: heatBalanceLph,
  }),
]);

/** So many litres in every hour of walking, as the hiker has found. */
export function ownWater(litresPerH: number): WaterSchool {
  return measuredSchool<WaterFunctions>("own-litres", "Your measured litres", {
    kind: "hours",
    rule: () => ({ perKmL: 0, perHourL: litresPerH, byHeat: false }),
    rateLph: () => litresPerH,
  });
}
