/** What an attack tried, how often, and what did not hold. */
export interface Report {
  what: string;
  tried: number;
  failures: string[];
  /** Figures worth telling, not judged. */
  figures?: string;
}

/** How hard to attack: the short form stands in `npm test`. */
export interface Strength {
  seed: number;
  files: number;
  undoRuns: number;
  kills: number;
  tabRounds: number;
  serverRounds: number;
  /** Waiting out the server's time-outs takes half a minute. */
  slowBodies: boolean;
}

const MOST_SHOWN = 20;

export function print({ what, tried, failures, figures }: Report): void {
  const passed = failures.length === 0;
  console.log(`${passed ? "✓" : "✗"} ${what}: ${tried} tried${figures === undefined ? "" : `; ${figures}`}`);
  for (const failure of failures.slice(0, MOST_SHOWN)) console.log(`    ${failure}`);
  if (failures.length > MOST_SHOWN) console.log(`    and ${failures.length - MOST_SHOWN} more`);
}

/** Seeded draws, the same every time. */
export interface Draw {
  /** A whole number from 0 to below `count`. */
  below: (count: number) => number;
  of: <T>(list: readonly T[]) => T;
}

export function drawFrom(uniform: () => number): Draw {
  const below = (count: number): number => Math.floor(uniform() * count);
  return { below, of: (list) => list[below(list.length)]! };
}
