/** Seeded noise for the demo: the same files every time. */
import { uniformFloat64 } from "pure-rand/distribution/uniformFloat64";
import { xoroshiro128plus } from "pure-rand/generator/xoroshiro128plus";

export interface Random {
  uniform(): number;
  normal(): number;
}

export function seededRandom(seed: number): Random {
  const generator = xoroshiro128plus(seed);
  const uniform = (): number => uniformFloat64(generator);
  return {
    uniform,
    normal: () => Math.sqrt(-2 * Math.log(1 - uniform())) * Math.cos(2 * Math.PI * uniform()),
  };
}
