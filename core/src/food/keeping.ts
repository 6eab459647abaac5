/**
 * How long food keeps in the pack. Shelf life falls by a factor for every 10 K (Q10; Labuza 1982, "Shelf-life dating of
 * foods", 2 to 3 for most spoilage; 2.5 taken [L]), and is never told longer than twice that at 20 °C.
 */
const Q10 = 2.5;
const REFERENCE_C = 20;
const MOST_TIMES = 2;

/** Days at a mean temperature, of food that keeps so many at 20 °C. */
export function keepsDaysAt(daysAt20: number, meanC: number): number {
  return daysAt20 * Math.min(MOST_TIMES, Q10 ** (-(meanC - REFERENCE_C) / 10));
}
