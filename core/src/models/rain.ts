/**
 * Wet days of a stretch of days: a chain of two states whose wet days follow each other more than chance would have
 * it. With the chance p of a wet day and the persistence r, P(wet | dry) = p (1 − r) and P(wet | wet) = r + p (1 − r);
 * r = 0.25 gives the 0.75 p and 0.25 + 0.75 p of Geng, Penning de Vries & Supit 1986, Agric For Meteorol 36:363.
 * Exact, by running over the days: p may change from day to day.
 */
export const PERSISTENCE = 0.25;

export interface WetDays {
  /** Expected number. */
  mean: number;
  /** Chance that no day is wet. */
  noneChance: number;
  /** Chance of at least so many, by number from 0. */
  atLeast: number[];
  /** Expected length of the longest spell, days, and the chance of one at least so long, by length from 0. */
  longestMean: number;
  spellAtLeast: number[];
}

/** `chance` of a wet day for every day, 0 to 1, in order. */
export function wetDays(chance: readonly number[], persistence = PERSISTENCE): WetDays {
  const counts = chain(chance, persistence, (state, wet) => state + (wet ? 1 : 0));
  // The spell at hand and the longest so far, as one number.
  const width = chance.length + 1;
  const spells = chain(chance, persistence, (state, wet) => {
    const run = wet ? (state % width) + 1 : 0;
    return run + width * Math.max(Math.floor(state / width), run);
  });
  const longest = new Map<number, number>();
  for (const [state, p] of spells) {
    const length = Math.floor(state / width);
    longest.set(length, (longest.get(length) ?? 0) + p);
  }
  const atLeast = (of: ReadonlyMap<number, number>): number[] => {
    const tail = Array.from({ length: width }, (_, n) => of.get(n) ?? 0);
    for (let n = width - 2; n >= 0; n--) tail[n] = tail[n]! + tail[n + 1]!;
    return tail;
  };
  const meanOf = (of: ReadonlyMap<number, number>): number => [...of].reduce((sum, [n, p]) => sum + n * p, 0);
  return {
    mean: meanOf(counts),
    noneChance: counts.get(0) ?? 0,
    atLeast: atLeast(counts),
    longestMean: meanOf(longest),
    spellAtLeast: atLeast(longest),
  };
}

/** The number to expect and the chance of none alone: in one pass over the days, however many there are. */
export function wetOrNone(chance: readonly number[], persistence = PERSISTENCE): Pick<WetDays, "mean" | "noneChance"> {
  let mean = 0;
  let noneChance = 1;
  let wet = 0;
  for (const [i, p] of chance.entries()) {
    const afterDry = i === 0 ? p : p * (1 - persistence);
    wet = i === 0 ? p : wet * persistence + afterDry;
    mean += wet;
    noneChance *= 1 - afterDry;
  }
  return { mean, noneChance };
}

/** Chances of the states that the days lead to, from 0. */
function chain(
  chance: readonly number[],
  persistence: number,
  next: (state: number, wet: boolean) => number,
): Map<number, number> {
  let now = { dry: new Map([[0, 1]]), wet: new Map<number, number>() };
  for (const [i, p] of chance.entries()) {
    const then = { dry: new Map<number, number>(), wet: new Map<number, number>() };
    const move = (from: ReadonlyMap<number, number>, wetChance: number): void => {
      for (const [state, mass] of from)
        for (const [to, wet, part] of [
          [then.wet, true, wetChance],
          [then.dry, false, 1 - wetChance],
        ] as const) {
          const reached = next(state, wet);
          to.set(reached, (to.get(reached) ?? 0) + mass * part);
        }
    };
    // Of the day before the first nothing is known.
    move(now.dry, i === 0 ? p : p * (1 - persistence));
    move(now.wet, persistence + p * (1 - persistence));
    now = then;
  }
  const all = new Map(now.dry);
  for (const [state, mass] of now.wet) all.set(state, (all.get(state) ?? 0) + mass);
  return all;
}
