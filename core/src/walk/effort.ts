/**
 * Metabolic power of walking with a load, in watts, resting part included.
 *
 * Pandolf, Givoni & Goldman 1977, J Appl Physiol 43:577, eq. 1, with W body and L load in kg, V in
 * m/s, G in percent, η the terrain factor:
 *   M = 1.5 W + 2.0 (W + L)(L/W)² + η (W + L)(1.5 V² + 0.35 V G)
 * Validity: V 0 to 2.2 m/s, G ≥ 0, L to 70 kg. Downhill the correction of Santee, Blanchard, Speckman,
 * Gonzalez & Wallace 2003, USARIEM TN03-3, is taken off (it is negative, so it adds):
 *   CF = η [G (W + L) V / 3.5 − (W + L)(G + 6)² / W + (25 − V²)],  G negative
 * Never below standing. Loads are clamped to 70 kg: the load term grows with the cube of the load, and a
 * plan that asks for more than can be carried is told so by a check, not by a number without end.
 * Grades are clamped to −12 … +25 %: beyond, the correction extrapolates steeply.
 */
import { clamp } from "../units/constants.ts";

export const STEEPEST_DOWN_PERCENT = -12;
export const STEEPEST_UP_PERCENT = 25;
export const HEAVIEST_LOAD_KG = 70;

export function pandolfSanteeW(
  bodyKg: number,
  loadKg: number,
  speedMps: number,
  gradePercent: number,
  terrainFactor: number,
): number {
  const grade = clamp(gradePercent, STEEPEST_DOWN_PERCENT, STEEPEST_UP_PERCENT);
  const carriedKg = loadKg < HEAVIEST_LOAD_KG ? loadKg : HEAVIEST_LOAD_KG;
  const totalKg = bodyKg + carriedKg;
  const ratio = carriedKg / bodyKg;
  const standingW = 1.5 * bodyKg + 2 * totalKg * ratio * ratio;
  let powerW = standingW + terrainFactor * totalKg * (1.5 * speedMps * speedMps + 0.35 * speedMps * grade);
  if (grade < 0) {
    const six = grade + 6;
    powerW -=
      terrainFactor *
      ((grade * totalKg * speedMps) / 3.5 - (totalKg * six * six) / bodyKg + (25 - speedMps * speedMps));
  }
  return powerW > standingW ? powerW : standingW;
}
