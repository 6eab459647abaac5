/**
 * The made-up ground of the Corvane Traverse: a line on the open ocean's coordinates and a smooth
 * synthetic height above it, so that the true length and climb are known.
 */

export const LENGTH_M = 2_050_000;
const START = { lonDeg: -148.2, latDeg: 38.1 };
const END_LAT_DEG = 51.9;
const STEP_M = 10;
const STEPS = LENGTH_M / STEP_M;
const RAD = Math.PI / 180;

export interface Region {
  id: string;
  name: string;
  fromKm: number;
  toKm: number;
  /** Scale of the hills, metres. */
  hillsM: number;
}

export const REGIONS: readonly Region[] = [
  { id: "dunmere", name: "Dunmere Flats", fromKm: 0, toKm: 200, hillsM: 16 },
  { id: "red-stair", name: "Red Stair", fromKm: 200, toKm: 359, hillsM: 105 },
  { id: "hask", name: "Hask Plateau", fromKm: 359, toKm: 774, hillsM: 62 },
  { id: "ivory", name: "Ivory Range", fromKm: 774, toKm: 1204, hillsM: 190 },
  { id: "sael", name: "Sael Lakes", fromKm: 1204, toKm: 1632, hillsM: 125 },
  { id: "northmoor", name: "Northmoor", fromKm: 1632, toKm: 1890, hillsM: 75 },
  { id: "ferrin", name: "Cape Ferrin", fromKm: 1890, toKm: 2050, hillsM: 85 },
];

/** Mean height of the ground, km → m. */
const BASE: readonly (readonly [number, number])[] = [
  [0, 22],
  [60, 32],
  [130, 45],
  [200, 140],
  [280, 640],
  [359, 930],
  [480, 1230],
  [595, 1450],
  [700, 1600],
  [774, 1750],
  [840, 2300],
  [930, 2760],
  [1010, 3030],
  [1090, 2780],
  [1160, 2200],
  [1204, 1700],
  [1300, 1020],
  [1450, 720],
  [1632, 520],
  [1750, 380],
  [1890, 330],
  [1980, 260],
  [2050, 110],
];

/** Wavelength km, share of the region's hills, phase. */
const WAVES: readonly (readonly [number, number, number])[] = [
  [23.7, 0.85, 0.3],
  [11.3, 0.62, 1.9],
  [6.1, 0.46, 4.4],
  [3.7, 0.3, 2.7],
  [2.3, 0.17, 5.2],
];

function smoothstep(t: number): number {
  return t * t * (3 - 2 * t);
}

function along(table: readonly (readonly [number, number])[], km: number): number {
  for (let i = 0; i + 1 < table.length; i++) {
    const [a, va] = table[i]!;
    const [b, vb] = table[i + 1]!;
    if (km <= b) return va + (vb - va) * smoothstep(Math.max(0, km - a) / (b - a));
  }
  return table.at(-1)![1];
}

/** Hills fade from one region into the next over 20 km, and to nothing at both ports. */
function hillsM(km: number): number {
  let total = 0;
  let weights = 0;
  for (const region of REGIONS) {
    const outside = Math.max(0, region.fromKm - km, km - region.toKm);
    const weight = outside >= 20 ? 0 : smoothstep(1 - outside / 20);
    total += weight * region.hillsM;
    weights += weight;
  }
  const ends = Math.min(1, km / 6, (2050 - km) / 6);
  return (total / weights) * smoothstep(Math.max(0, ends));
}

/** True height above the sea at a true distance. */
export function heightM(m: number): number {
  const km = m / 1000;
  let waves = 0;
  for (const [lengthKm, share, phase] of WAVES)
    waves += share * Math.sin((2 * Math.PI * km) / lengthKm + phase + 0.7 * Math.sin(km / 41));
  return Math.max(1, along(BASE, km) + hillsM(km) * waves);
}

/** Climb of the true ground, every rise counted, at 10 m steps. */
export function trueClimbM(): number {
  let climb = 0;
  for (let i = 1; i <= STEPS; i++) climb += Math.max(0, heightM(i * STEP_M) - heightM((i - 1) * STEP_M));
  return climb;
}

export interface Line {
  lonDeg: Float64Array;
  latDeg: Float64Array;
}

/** A meandering line of exactly the wanted length; its amplitude is set so that it ends where it should. */
export function buildLine(): Line {
  let low = 0.2;
  let high = 1.6;
  for (let i = 0; i < 40; i++) {
    const middle = (low + high) / 2;
    if (meander(middle).latDeg[STEPS]! > END_LAT_DEG) low = middle;
    else high = middle;
  }
  return meander(low);
}

function meander(amplitude: number): Line {
  const lonDeg = new Float64Array(STEPS + 1);
  const latDeg = new Float64Array(STEPS + 1);
  lonDeg[0] = START.lonDeg;
  latDeg[0] = START.latDeg;
  for (let i = 0; i < STEPS; i++) {
    const km = (i * STEP_M) / 1000;
    const heading =
      amplitude *
      (0.8 * Math.sin(km / 61 + 1) +
        0.5 * Math.sin(km / 17.3 + 2) +
        0.4 * Math.sin(km / 4.9) +
        0.3 * Math.sin(km / 1.7 + 4));
    const lat = latDeg[i]! * RAD;
    // WGS-84 radii of curvature, so that a step is a step.
    const w2 = 1 - 0.00669437999014 * Math.sin(lat) ** 2;
    const prime = 6_378_137 / Math.sqrt(w2);
    const meridian = (prime * (1 - 0.00669437999014)) / w2;
    latDeg[i + 1] = latDeg[i]! + (STEP_M * Math.cos(heading)) / meridian / RAD;
    lonDeg[i + 1] = lonDeg[i]! + (STEP_M * Math.sin(heading)) / (prime * Math.cos(lat)) / RAD;
  }
  return { lonDeg, latDeg };
}

export function pointAt(line: Line, m: number): { lonDeg: number; latDeg: number } {
  const x = Math.max(0, Math.min(STEPS, m / STEP_M));
  const i = Math.min(STEPS - 1, Math.floor(x));
  const t = x - i;
  return {
    lonDeg: line.lonDeg[i]! + t * (line.lonDeg[i + 1]! - line.lonDeg[i]!),
    latDeg: line.latDeg[i]! + t * (line.latDeg[i + 1]! - line.latDeg[i]!),
  };
}
