/**
 * Fuel per boil from the heat that goes into water and pot.
 *
 * E = m·4.19·(Tb − T0) + pot·0.897·(Tb − T0) kJ, pot 150 g aluminium; Tb from pressure at height
 * (ISA, Antoine). Lower heating values from standard enthalpies; planning efficiencies for a lid and
 * still air; a fifth on top for wind, spill and priming. Field efficiencies vary by half either way:
 * a measured figure of one's own replaces the model.
 */
import type { Hiker } from "../plan/schema.ts";

interface FuelSystem {
  lowerHeatingMJPerKg: number;
  efficiency: number;
}

const SYSTEMS: Record<Exclude<Hiker["stove"]["fuel"], "none">, FuelSystem> = {
  "gas-canister": { lowerHeatingMJPerKg: 45.73, efficiency: 0.5 },
  "gas-heat-exchanger": { lowerHeatingMJPerKg: 45.73, efficiency: 0.65 },
  alcohol: { lowerHeatingMJPerKg: 24.98, efficiency: 0.45 },
  tablets: { lowerHeatingMJPerKg: 28.08, efficiency: 0.35 },
};

const WATER_KJ_PER_KG_K = 4.19;
const POT_KG = 0.15;
const ALUMINIUM_KJ_PER_KG_K = 0.897;
const SOURCE_WATER_C = 10;
export const FIELD_MARGIN = 1.2;

/** Boiling point of water, °C, by height in metres: ISA pressure, Antoine inverted; 0 to 6,000 m. */
export function boilingPointC(heightM: number): number {
  const pascal = 101_325 * (1 - 2.25577e-5 * Math.max(-500, Math.min(9000, heightM))) ** 5.25588;
  return 1730.63 / (8.07131 - Math.log10(pascal / 133.322)) - 233.426;
}

/** Grams for one boil in still air, without the field margin. */
export function boilGrams(fuel: Hiker["stove"]["fuel"], volumeL: number, heightM: number): number {
  if (fuel === "none") return 0;
  const system = SYSTEMS[fuel];
  const riseK = boilingPointC(heightM) - SOURCE_WATER_C;
  const heatKJ = (volumeL * WATER_KJ_PER_KG_K + POT_KG * ALUMINIUM_KJ_PER_KG_K) * riseK;
  return heatKJ / (system.lowerHeatingMJPerKg * system.efficiency);
}

/** Grams to plan for one boil at a height. */
export function plannedBoilGrams(hiker: Hiker, heightM: number): number {
  const { stove } = hiker;
  if (stove.fuel === "none") return 0;
  return stove.gramsPerBoil ?? boilGrams(stove.fuel, stove.boilL, heightM) * FIELD_MARGIN;
}
