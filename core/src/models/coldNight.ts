/**
 * The coldest of several nights. Lows are normal about each camp's mean, and follow each other with a day-to-day
 * correlation of 0.6 to 0.8 (0.7 [M]); the chance that any of them is below a limit by exact recursion over a grid.
 * One night in ten is passed on a third of legs of seven nights: who plans for a leg looks at all of its nights.
 */
import { normalBelow } from "./snow.ts";

export const DAY_TO_DAY = 0.7;

export interface NightLow {
  meanC: number;
  sdK: number;
}

const POINTS = 121;
const REACH = 6;
const STEP = (2 * REACH) / (POINTS - 1);
const GRID = Float64Array.from({ length: POINTS }, (_, i) => -REACH + i * STEP);

/** Chance from one point of the grid to another, remembered for the last correlation asked for. */
let kernel: { rho: number; chances: Float64Array } | undefined;
function kernelFor(rho: number): Float64Array {
  if (kernel?.rho === rho) return kernel.chances;
  const spread = Math.sqrt(1 - rho * rho);
  const chances = new Float64Array(POINTS * POINTS);
  for (let y = 0; y < POINTS; y++)
    for (let x = 0; x < POINTS; x++) {
      const z = (GRID[y]! - rho * GRID[x]!) / spread;
      chances[y * POINTS + x] = (Math.exp(-0.5 * z * z) / Math.sqrt(2 * Math.PI) / spread) * STEP;
    }
  kernel = { rho, chances };
  return chances;
}

/** Chance that at least one of the nights is colder than the limit, 0 to 1. */
export function anyNightBelow(limitC: number, nights: readonly NightLow[], rho = DAY_TO_DAY): number {
  const limits = nights.map(({ meanC, sdK }) => (limitC - meanC) / Math.max(0.1, sdK));
  if (limits.length === 0) return 0;
  if (rho <= 0) return 1 - limits.reduce((dry, z) => dry * (1 - normalBelow(z)), 1);
  const chances = kernelFor(rho);
  let density = GRID.map((x) => Math.exp(-0.5 * x * x) / Math.sqrt(2 * Math.PI));
  for (const [n, limit] of limits.entries()) {
    if (n > 0) {
      const next = new Float64Array(POINTS);
      for (let y = 0; y < POINTS; y++) {
        let sum = 0;
        for (let x = 0; x < POINTS; x++) sum += chances[y * POINTS + x]! * density[x]!;
        next[y] = sum;
      }
      density = next;
    }
    for (let i = 0; i < POINTS; i++) {
      // The cell that the limit cuts keeps its part above.
      const above = (GRID[i]! + STEP / 2 - limit) / STEP;
      if (above < 1) density[i] = density[i]! * Math.max(0, above);
    }
  }
  let kept = 0;
  for (const value of density) kept += value * STEP;
  return Math.max(0, 1 - kept);
}

/** The low that is passed on one set of such nights in ten, °C. */
export function coldestOfNightsC(nights: readonly NightLow[], chance = 0.1, rho = DAY_TO_DAY): number {
  const widestK = Math.max(...nights.map(({ sdK }) => sdK));
  let low = Math.min(...nights.map(({ meanC }) => meanC)) - REACH * widestK;
  let high = Math.max(...nights.map(({ meanC }) => meanC)) + REACH * widestK;
  // To some hundredths of a kelvin.
  for (let i = 0; i < 13; i++) {
    const middle = (low + high) / 2;
    if (anyNightBelow(middle, nights, rho) > chance) high = middle;
    else low = middle;
  }
  return (low + high) / 2;
}

/** Clear nights have a longer tail to the cold than the normal law [L]. */
export const CLEAR_TAIL_K = 2;

/** What a sleep kit is judged by: the coldest night in ten, or of all the nights where they are given, with their tail. */
export function nightOfKit(coldNightC: number, nights: readonly NightLow[]): number {
  if (nights.length === 0) return coldNightC;
  return Math.min(coldNightC, coldestOfNightsC(nights) - CLEAR_TAIL_K);
}
