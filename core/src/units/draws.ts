/**
 * Draws that are keyed, not taken in turn: by seed, hike, what is drawn and its place or day. The same hike meets the same
 * weather whatever else a plan is changed by (common random numbers), and no order of computing matters.
 */

/** 0 to 1, ends never reached: a finaliser of 32-bit hashes (Murmur3) over the keys, one after the other. */
export function uniform(seed: number, hike: number, quantity: number, index: number): number {
  let h = seed | 0;
  for (const key of [hike, quantity, index]) {
    h = Math.imul(h ^ key, 0x85ebca6b);
    h = Math.imul(h ^ (h >>> 13), 0xc2b2ae35);
    h ^= h >>> 16;
  }
  h = Math.imul(h ^ (h >>> 15), 0x2c1b3c6d);
  h ^= h >>> 12;
  return ((h >>> 0) + 0.5) / 4294967296;
}

const A = [-39.69683028665376, 220.9460984245205, -275.9285104469687, 138.357751867269, -30.66479806614716, 2.506628277459239]; // prettier-ignore
const B = [-54.47609879822406, 161.5858368580409, -155.6989798598866, 66.80131188771972, -13.28068155288572]; // prettier-ignore
const C = [-0.007784894002430293, -0.3223964580411365, -2.400758277161838, -2.549732539343734, 4.374664141464968, 2.938163982698783]; // prettier-ignore
const D = [0.007784695709041462, 0.3224671290700398, 2.445134137142996, 3.754408661907416]; // prettier-ignore
const TAIL = 0.02425;

/** Inverse of the normal distribution, relative error under 1.15e-9 (Acklam 2003). */
export function normalOf(p: number): number {
  if (p < TAIL) return tail(Math.sqrt(-2 * Math.log(p)));
  if (p > 1 - TAIL) return -tail(Math.sqrt(-2 * Math.log(1 - p)));
  const q = p - 0.5;
  const r = q * q;
  return (polynomial(A, r) * q) / (polynomial(B, r) * r + 1);
}

const tail = (q: number): number => polynomial(C, q) / (polynomial(D, q) * q + 1);

function polynomial(terms: readonly number[], x: number): number {
  let sum = 0;
  for (const term of terms) sum = sum * x + term;
  return sum;
}

export function normal(seed: number, hike: number, quantity: number, index: number): number {
  return normalOf(uniform(seed, hike, quantity, index));
}

/**
 * One draw a hike, evenly spread: half of the hikes in as many equal strata, in a shuffled order, the other half their
 * mirror images.
 */
export function stratified(seed: number, runs: number, quantity: number): Float64Array {
  const half = Math.ceil(runs / 2);
  const order = Array.from({ length: half }, (_, i) => i).sort(
    (a, b) => uniform(seed, a, quantity, -1) - uniform(seed, b, quantity, -1),
  );
  const draws = new Float64Array(runs);
  for (let i = 0; i < runs; i++) {
    const pair = i >> 1;
    const u = (order[pair]! + uniform(seed, pair, quantity, -2)) / half;
    draws[i] = normalOf(Math.min(1 - 1e-12, Math.max(1e-12, i % 2 === 0 ? u : 1 - u)));
  }
  return draws;
}

/** Wilson's interval of a share, 95 %: of none found it still says what there may be. */
export function wilson(found: number, runs: number): { low: number; high: number } {
  const z2 = 1.959964 ** 2;
  const p = found / runs;
  const centre = (p + z2 / (2 * runs)) / (1 + z2 / runs);
  const half = (Math.sqrt(z2) / (1 + z2 / runs)) * Math.sqrt((p * (1 - p)) / runs + z2 / (4 * runs * runs));
  return { low: Math.max(0, centre - half), high: Math.min(1, centre + half) };
}
