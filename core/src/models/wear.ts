/**
 * How long things last. Shoes by kilometres on even trail with 80 kg of body and pack: Weibull of shape 4, whose
 * spread is 0.28 of its mean; a mean life of 800 km is judgement [L] (500 to 1,000 are given) and your own is better.
 */
import type { Surface } from "../plan/schema.ts";

const SHAPE = 4;
/** Γ(1 + 1/4). */
const GAMMA = 0.9064024770554771;

/** Kilometres of even trail that one of a surface wears like [L]. */
export const SURFACE_WEAR: Readonly<Record<Surface, number>> = {
  road: 0.9,
  trail: 1,
  "light-brush": 1.1,
  "heavy-brush": 1.1,
  scree: 1.6,
  bog: 1,
  sand: 1.1,
  "firm-snow": 1.1,
  "soft-snow": 1.1,
};

/** What a mean life is counted with. */
export const REFERENCE_KG = 80;

const scaleKm = (meanKm: number): number => meanKm / GAMMA;

/** The chance to be worn out within so many kilometres more, of what has done some already. */
export function chanceWornOut(meanKm: number, wornKm: number, moreKm: number): number {
  const scale = scaleKm(meanKm);
  return -Math.expm1((wornKm / scale) ** SHAPE - ((wornKm + moreKm) / scale) ** SHAPE);
}

/** Kilometres from new on, up to which no more than such a chance has been run. */
export function lifeAtChanceKm(meanKm: number, chance: number): number {
  return scaleKm(meanKm) * (-Math.log1p(-chance)) ** (1 / SHAPE);
}

/** What a pair lasts in all that has done some already, by an even draw between 0 and 1. */
export function lifeDrawnKm(meanKm: number, wornKm: number, draw: number): number {
  const scale = scaleKm(meanKm);
  return scale * ((wornKm / scale) ** SHAPE - Math.log(draw)) ** (1 / SHAPE);
}

/**
 * Where to change, by index of the stops: at each change as far on as the limit allows, which is the fewest changes
 * (wear grows: an exchange argument). Where no stop is within the limit it is changed at the next one, past it.
 */
export function changesAt(stopKm: readonly number[], endKm: number, limitKm: number, wornKm = 0): number[] {
  const changes: number[] = [];
  let fromKm = -wornKm;
  for (;;) {
    if (endKm - fromKm <= limitKm) return changes;
    const next = changes.length > 0 ? changes.at(-1)! + 1 : 0;
    const within = stopKm.findLastIndex((km, i) => i >= next && km - fromKm <= limitKm);
    const change = within >= 0 ? within : next;
    if (change >= stopKm.length) return changes;
    changes.push(change);
    fromKm = stopKm[change]!;
  }
}

/** Grams of what is used by the day, for so many days, to last at a normal deviate of certainty. */
export function gramsFor(perDayG: number, days: number, cv: number, z: number): number {
  return perDayG * days * (1 + z * cv);
}
