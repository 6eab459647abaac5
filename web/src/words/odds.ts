/** Chances as people read them right: so many in a hundred, or one in so many, and never “never”. */
import type { Chance } from "@gepack/core";

export function chanceWords({ found, runs, high }: Chance): string {
  if (found === 0) return `under 1 in ${roundDown(1 / high)}`;
  const share = found / runs;
  if (share < 0.015) return `1 in ${roundDown(1 / share)}`;
  if (share > 0.985) return "nearly every hike";
  return `${Math.round(100 * share)} in 100`;
}

/** One or two digits that count. */
function roundDown(value: number): number {
  const size = 10 ** Math.max(0, Math.floor(Math.log10(value)) - 1);
  return Math.floor(value / size) * size;
}
