/** Physical and unit constants. One place, so that a factor is never typed twice. */

/** Thermochemical kilocalorie in joules. */
export const JOULE_PER_KCAL = 4184;
/** Standard gravity in m/s². */
export const GRAVITY_MPS2 = 9.80665;
/** International pound in kilograms (exact). */
export const KG_PER_LB = 0.45359237;
/** International foot in metres (exact). */
export const M_PER_FT = 0.3048;
/** International mile in metres (exact). */
export const M_PER_MI = 1609.344;
/** Inch in millimetres (exact). */
export const MM_PER_INCH = 25.4;
/** US liquid gallon in litres (exact). */
export const L_PER_US_GAL = 3.785411784;

/** Limits `x` to [low, high]. */
export function clamp(x: number, low: number, high: number): number {
  return x < low ? low : x > high ? high : x;
}
