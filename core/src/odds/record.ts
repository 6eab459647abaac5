/** What simulated hikes came to, as arrays: filled by whoever walks them, joined from parts. */

/** Some of the hikes, in the order of their numbers: leg by leg within a hike. */
export interface Hikes {
  runs: number;
  from: number;
  to: number;
  legCount: number;
  /** One bit a trouble, by its place in `TROUBLES`. */
  troubles: Uint16Array;
  /** Food missing at the leg's end, in planned days of it, rations cut short; 0 where it lasts. */
  shortDays: Float32Array;
  /** Left at the leg's end; less than nothing is missing. */
  foodLeftKg: Float32Array;
  eatenKg: Float32Array;
  burntG: Float32Array;
  heaviestKg: Float32Array;
  /** Drunk on foot to where there is water: on the longest way of the leg. */
  wantedL: Float32Array;
  /** Least that a night had over what is slept in, kelvin. */
  nightK: Float32Array;
  /** Days that the leg took, and later than planned at its end. */
  days: Float32Array;
  lateDays: Float32Array;
  /** Lost to illness on it. */
  restDays: Uint16Array;
  /** Of each hike: its own factors, days wet, and snow: −1, 0 or 1. */
  pace: Float32Array;
  energy: Float32Array;
  wetDays: Uint16Array;
  snowYear: Int8Array;
}

export function emptyHikes(runs: number, from: number, to: number, legCount: number): Hikes {
  const count = Math.max(0, to - from);
  const byLeg = (): Float32Array => new Float32Array(count * legCount);
  return {
    runs,
    from,
    to,
    legCount,
    troubles: new Uint16Array(count * legCount),
    shortDays: byLeg(),
    foodLeftKg: byLeg(),
    eatenKg: byLeg(),
    burntG: byLeg(),
    heaviestKg: byLeg(),
    wantedL: byLeg(),
    nightK: byLeg(),
    days: byLeg(),
    lateDays: byLeg(),
    restDays: new Uint16Array(count * legCount),
    pace: new Float32Array(count),
    energy: new Float32Array(count),
    wetDays: new Uint16Array(count),
    snowYear: new Int8Array(count),
  };
}

/** Parts of the hikes as one, in the order of their numbers, whoever walked them. */
export function joinHikes(parts: readonly Hikes[]): Hikes {
  const sorted = [...parts].sort((a, b) => a.from - b.from);
  const [first] = sorted;
  const whole = emptyHikes(first!.runs, first!.from, sorted.at(-1)!.to, first!.legCount);
  for (const part of sorted) {
    const offset = part.from - whole.from;
    for (const key of BY_LEG) whole[key].set(part[key] as never, offset * whole.legCount);
    for (const key of BY_HIKE) whole[key].set(part[key] as never, offset);
  }
  return whole;
}

const BY_LEG = [
  "troubles",
  "shortDays",
  "foodLeftKg",
  "eatenKg",
  "burntG",
  "heaviestKg",
  "wantedL",
  "nightK",
  "days",
  "lateDays",
  "restDays",
] as const;
const BY_HIKE = ["pace", "energy", "wetDays", "snowYear"] as const;
