/** Why a stop is in a set, or out of it: what the set becomes with that one choice turned round, by the quick model. */
import { chainOf, walkChain, type Label, type Weights } from "./labels.ts";
import type { Bar, Limits, Steps } from "./steps.ts";

export interface Flip {
  stopId: string;
  /** It is in the set: left out. */
  isIn: boolean;
  locked: boolean;
  /** More than with the set as it is. */
  kgKm: number;
  days: number;
  money: number;
  /** Most days of food on the legs that the choice makes or undoes. */
  foodDays: number;
  bar: Bar | undefined;
}

const PLAIN: Weights = { kgKm: 1, day: 0, money: 0, stop: 0 };

export function flipsOf(steps: Steps, end: Label, limits: Limits): Flip[] {
  const { nodes } = steps;
  const chain = chainOf(end).map(({ node, by }) => ({ node, by }));
  const flips: Flip[] = [];
  for (let n = 1; n < nodes.length - 1; n++) {
    const { stop, locked, modes } = nodes[n]!;
    if (!stop) continue;
    const isIn = chain.some(({ node }) => node === n);
    const other = isIn
      ? chain.filter(({ node }) => node !== n)
      : [...chain, { node: n, by: modes[0]! }].sort((a, b) => a.node - b.node);
    const { end: turned, bars } = walkChain(steps, other, { weights: PLAIN, limits });
    const near = chainOf(turned).filter(
      ({ node, before }) => before !== undefined && (node === n || before.node === n || (before.node < n && n < node)),
    );
    flips.push({
      stopId: stop.id,
      isIn,
      locked,
      kgKm: turned.kgKm - end.kgKm,
      days: turned.state.state.walk.day - end.state.state.walk.day,
      money: turned.money - end.money,
      foodDays: Math.max(...near.map(({ step }) => step!.arc.foodDays)),
      bar: bars[0]?.bar,
    });
  }
  return flips;
}
