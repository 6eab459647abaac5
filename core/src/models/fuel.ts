/**
 * Stove fuel from the heat that goes into water and pot: E = (m·4.19 + pot·0.897)(Tb − T0) kJ, pot 150 g
 * of aluminium; snow is warmed from −10 °C and melted first. Lower heating values from standard
 * enthalpies of combustion; planning efficiencies with a lid. Field efficiencies vary by half either way.
 */
import { clamp } from "../units/constants.ts";
import { defineSchool, measuredSchool, registryOf, type School } from "./school.ts";

export interface FuelInput {
  volumeL: number;
  startC: number;
  heightM: number;
  /** 0 sheltered and still, 1 open to wind: twice the fuel. */
  windExposure: number;
  /** The water is melted from snow. */
  snow: boolean;
}

export interface FuelSchool extends School {
  gramsPerBoil: (input: FuelInput) => number;
  lowerHeatingMJPerKg: number;
  /** Lowest to highest seen in the field, and what is planned with. */
  efficiency: { low: number; planned: number; high: number };
  /** What the fuel comes in, the usual size: net and empty mass; `exact` is filled by need, `netG` 0 comes in no container. */
  container: CanSize & { exact: boolean };
  /** Of what is bought whole, what else it comes in. */
  otherSizes?: Readonly<Record<"small" | "large", CanSize>>;
  /** Stove, pot and stand. */
  hardwareG: number;
}

/** Grams of fuel, and of what it is in. */
export interface CanSize {
  netG: number;
  emptyG: number;
}

const WATER_KJ_PER_KG_K = 4.19;
const ICE_KJ_PER_KG_K = 2.09;
const FUSION_KJ_PER_KG = 334;
const SNOW_C = -10;
const POT_KG = 0.15;
const ALUMINIUM_KJ_PER_KG_K = 0.897;

/** Air pressure, kPa, International Standard Atmosphere to 11 km. Weather shifts it by about 3 %. */
export function pressureKPa(heightM: number): number {
  return 101.325 * (1 - 2.25577e-5 * clamp(heightM, -500, 9000)) ** 5.25588;
}

const MMHG_PER_KPA = 7.50062;

/** Boiling point of water, °C: Antoine's equation turned round, 1 to 100 °C. */
export function boilingPointC(heightM: number): number {
  return 1730.63 / (8.07131 - Math.log10(pressureKPa(heightM) * MMHG_PER_KPA)) - 233.426;
}

/** Heat into water (and the pot, unless it is left out) until it boils, kJ. */
export function boilHeatKJ(input: Pick<FuelInput, "volumeL" | "startC" | "heightM" | "snow">, withPot = true): number {
  const boilC = boilingPointC(input.heightM);
  const potKJ = withPot ? POT_KG * ALUMINIUM_KJ_PER_KG_K : 0;
  if (input.snow) {
    const perKg = -SNOW_C * ICE_KJ_PER_KG_K + FUSION_KJ_PER_KG + WATER_KJ_PER_KG_K * boilC;
    return input.volumeL * perKg + potKJ * (boilC - SNOW_C);
  }
  return (input.volumeL * WATER_KJ_PER_KG_K + potKJ) * (boilC - input.startC);
}

interface Fuel {
  id: string;
  name: string;
  words: string;
  lowerHeatingMJPerKg: number;
  efficiency: FuelSchool["efficiency"];
  container: FuelSchool["container"];
  otherSizes?: NonNullable<FuelSchool["otherSizes"]>;
  hardwareG: number;
}

/** Threaded canisters as they are sold nearly everywhere; what they weigh empty differs by some grams [L]. */
const CANISTERS = {
  small: { netG: 100, emptyG: 95 },
  middle: { netG: 230, emptyG: 150 },
  large: { netG: 450, emptyG: 210 },
} as const;
const GAS = {
  container: { ...CANISTERS.middle, exact: false },
  otherSizes: { small: CANISTERS.small, large: CANISTERS.large },
} as const;

function burning({ words, ...fuel }: Fuel): FuelSchool {
  return defineSchool({
    ...fuel,
    source: "Enthalpies of combustion (lower heating value); efficiency from field ranges",
    confidence: "medium",
    validity: { words, ranges: IN_THE_FIELD },
    gramsPerBoil: (input: FuelInput) =>
      (boilHeatKJ(input) / (fuel.lowerHeatingMJPerKg * fuel.efficiency.planned)) *
      (1 + clamp(input.windExposure, 0, 1)),
  });
}

/** Heat lost by a pot kept at the boil, W: with a lid in still air, in wind, and without one [L]. */
const SIMMER_LOSS_W = { sheltered: 90, windy: 250 } as const;
/** No burner goes lower and stays alight, W [L]. */
const LEAST_BURNER_W: Readonly<Record<string, number>> = {
  "gas-canister": 600,
  "gas-heat-exchanger": 600,
  alcohol: 350,
  tablets: 350,
  "liquid-fuel": 600,
};

/** Grams a minute to keep a lidded pot just boiling: what it loses by the efficiency, or the least that the burner burns. */
export function simmerGramsPerMin(school: FuelSchool, stoveId: string, windExposure: number): number {
  const lossW = SIMMER_LOSS_W.sheltered + (SIMMER_LOSS_W.windy - SIMMER_LOSS_W.sheltered) * clamp(windExposure, 0, 1);
  const burntW = Math.max(lossW / school.efficiency.planned, LEAST_BURNER_W[stoveId] ?? 0);
  return stoveId === "none" ? 0 : (burntW * 60) / (school.lowerHeatingMJPerKg * 1000);
}

/** Without a valve nobody can closed them: most fire bans forbid them. */
export const FORBIDDEN_BY_BANS: readonly string[] = ["alcohol", "tablets"];

const IN_THE_FIELD = { heightM: [0, 5500], volumeL: [0.2, 3] } as const;

export const fuel = registryOf<FuelSchool>("fuel", [
  burning({
    id: "gas-canister",
    name: "Gas, open burner",
    words: "80/20 isobutane and propane. A nearly empty canister stops working about 8 K warmer than a full one.",
    lowerHeatingMJPerKg: 45.73,
    efficiency: { low: 0.4, planned: 0.5, high: 0.6 },
    ...GAS,
    hardwareG: 85,
  }),
  burning({
    id: "gas-heat-exchanger",
    name: "Gas, heat-exchanger pot",
    words: "The pot weighs more and holds better in wind.",
    lowerHeatingMJPerKg: 45.73,
    efficiency: { low: 0.6, planned: 0.65, high: 0.75 },
    ...GAS,
    hardwareG: 370,
  }),
  burning({
    id: "alcohol",
    name: "Alcohol, 95 %",
    words: "Hard to light below about 0 °C; many fire bans forbid it.",
    lowerHeatingMJPerKg: 24.98,
    efficiency: { low: 0.35, planned: 0.45, high: 0.55 },
    container: { netG: 400, emptyG: 25, exact: true },
    hardwareG: 20,
  }),
  burning({
    id: "tablets",
    name: "Solid tablets",
    words: "Slow, sooty, weak in wind.",
    lowerHeatingMJPerKg: 28.08,
    efficiency: { low: 0.25, planned: 0.35, high: 0.45 },
    container: { netG: 0, emptyG: 0, exact: true },
    hardwareG: 12,
  }),
  burning({
    id: "liquid-fuel",
    name: "White gas, pumped",
    words: "Works to about −30 °C; priming not counted.",
    lowerHeatingMJPerKg: 44.5,
    efficiency: { low: 0.4, planned: 0.5, high: 0.6 },
    container: { netG: 600, emptyG: 130, exact: true },
    hardwareG: 320,
  }),
  defineSchool({
    id: "none",
    name: "No stove",
    source: "No fuel is used",
    confidence: "high",
    validity: { words: "Cold meals and cold soaking.", ranges: {} },
    lowerHeatingMJPerKg: 1,
    efficiency: { low: 1, planned: 1, high: 1 },
    container: { netG: 0, emptyG: 0, exact: true },
    hardwareG: 0,
    gramsPerBoil: () => 0,
  }),
]);

/** The grams for a boil of so many litres that a hiker has weighed with a stove of one of the schools. */
export function ownFuel(stove: FuelSchool, gramsPerBoil: number, boilL: number): FuelSchool {
  const { lowerHeatingMJPerKg, efficiency, container, otherSizes, hardwareG } = stove;
  return measuredSchool("own-grams", "Your measured grams", {
    lowerHeatingMJPerKg,
    efficiency,
    container,
    ...(otherSizes ? { otherSizes } : {}),
    hardwareG,
    // What was weighed is a boil of water; of snow it takes as much more as by the heat.
    gramsPerBoil: (input: FuelInput) =>
      input.snow && stove.gramsPerBoil(input) > 0
        ? (gramsPerBoil * stove.gramsPerBoil(input)) / stove.gramsPerBoil({ ...input, volumeL: boilL, snow: false })
        : gramsPerBoil,
  });
}

/** Antoine constants (°C, mmHg) and molar mass of what canisters hold. */
const GASES = {
  propane: { a: 6.80398, b: 803.81, c: 246.99, molar: 44.097 },
  isobutane: { a: 6.74808, b: 882.8, c: 240.0, molar: 58.123 },
  butane: { a: 6.80896, b: 935.86, c: 238.73, molar: 58.123 },
} as const;
export type Gas = keyof typeof GASES;

/** Vapour pressure over a mix given by mass, kPa; Raoult's law. */
export function canisterKPa(massFractions: Partial<Record<Gas, number>>, temperatureC: number): number {
  let moles = 0;
  let pressure = 0;
  for (const [name, fraction] of Object.entries(massFractions) as [Gas, number][]) {
    const { a, b, c, molar } = GASES[name];
    moles += fraction / molar;
    pressure += (fraction / molar) * 10 ** (a - b / (c + temperatureC));
  }
  return moles > 0 ? pressure / moles / MMHG_PER_KPA : 0;
}

/** Overpressure a burner needs before it runs well; assumed. */
export const BURNER_KPA = 50;

/** Liquid temperature at which a canister still gives that much over the air, °C; found by halving. */
export function coldestCanisterC(
  massFractions: Partial<Record<Gas, number>>,
  heightM: number,
  overKPa = BURNER_KPA,
): number {
  const wantedKPa = pressureKPa(heightM) + overKPa;
  let low = -60;
  let high = 40;
  for (let i = 0; i < 60; i++) {
    const middle = (low + high) / 2;
    if (canisterKPa(massFractions, middle) < wantedKPa) low = middle;
    else high = middle;
  }
  return (low + high) / 2;
}
