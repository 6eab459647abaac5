/**
 * Litres drunk in an hour of walking. Four schools, from a field rule by distance to the heat balance.
 * None says what a body needs: people differ by a third to a half either way, and more is not safer.
 */
import { clamp } from "../units/constants.ts";
import { J_PER_ML_OXYGEN } from "./effort.ts";
import { outsideOf, registryOf, type School, type Validity } from "./school.ts";
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

export interface WaterSchool extends School<WaterInput, number> {
  rateLph: (input: WaterInput) => number;
  /** What the rate grows with: only `balance` has to be worked out cell by cell from power and weather. */
  kind: "distance" | "hours" | "balance";
  /** Whether warmth above 20 °C raises it. */
  byHeat: boolean;
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

/** Skin diffusion and least urine, 375 and 500 ml a day, in litres an hour; the breath is counted apart. */
const OBLIGATORY_LPH = 0.875 / 24;
/**
 * In cool air the balance asks for no sweat at all, in clothes that nobody would wear then. Never less than
 * the water that rest alone asks for: adequate intake 2.0 L a day (EFSA 2010, women), over sixteen waking hours.
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

function school(
  id: string,
  name: string,
  source: string,
  confidence: WaterSchool["confidence"],
  validity: Validity,
  kind: WaterSchool["kind"],
  byHeat: boolean,
  rateLph: (input: WaterInput) => number,
): WaterSchool {
  return {
    id,
    name,
    source,
    confidence,
    validity,
    kind,
    byHeat,
    rateLph,
    compute: rateLph,
    outside: outsideOf(validity.ranges),
  };
}

const perKm = (input: WaterInput): number => (input.perKmL ?? PER_KM_L) * input.speedMps * 3.6;

export const water = registryOf<WaterSchool>("water", [
  school(
    "heat-and-distance",
    "By distance and heat",
    "Field rule: litres per km, rising from 20 °C, doubled at 32 °C",
    "medium",
    { words: "A rule of thumb; the litres per km are your own setting.", ranges: { temperatureC: [-20, 38] } },
    "distance",
    true,
    (input) => perKm(input) * heatFactor(input.temperatureC),
  ),
  school(
    "per-distance",
    "By distance alone",
    "Field rule: about 1 L per 8 km",
    "medium",
    { words: "Says too little above 25 °C.", ranges: { temperatureC: [-20, 25] } },
    "distance",
    false,
    perKm,
  ),
  school(
    "per-hour-heat",
    "By hours and heat",
    "Field rule: litres per walking hour, rising from 20 °C, doubled at 32 °C",
    "medium",
    { words: "A rule of thumb; slow climbs count in full.", ranges: { temperatureC: [-20, 38] } },
    "hours",
    true,
    (input) => (input.perHourL ?? PER_HOUR_L) * heatFactor(input.temperatureC),
  ),
  school(
    "heat-balance",
    "Sweat from the heat balance",
    "Givoni & Goldman 1972 terms, ISO 7933 efficiency; breath by Mitchell and others 1972",
    "experimental",
    {
      words:
        "Replaces all sweat, in light clothing; constants for covered clothing are assumed. People differ by 30 to 50 %.",
      ranges: { temperatureC: [5, 46], powerW: [100, 700], windMps: [0, 2.5] },
    },
    "balance",
    true,
    heatBalanceLph,
  ),
]);
