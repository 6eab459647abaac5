/** What luck is drawn by: the key of each draw, and the law that turns it into a factor, a night, a day lost or a year. */
import { PERSISTENCE } from "../models/rain.ts";
import type { OddsLaws } from "../plan/oddsSchema.ts";
import { normal } from "../units/draws.ts";

export const KEY = {
  pace: 1, energy: 2, fuel: 3, night: 4, source: 5, ill: 6, illDays: 7, thirst: 8, charge: 9, wet: 10, drought: 11,
  shut: 12, box: 13, gear: 14, shoes: 15, snow: 16,
} as const; // prettier-ignore

/**
 * What food for the same way answers to a pace and to a need of one's own, elasticities: a slower hiker rests more days and
 * works less hard, and the need is more than the walking. On plans computed anew with either a tenth off, 0.42 to 0.59 and
 * 0.54 to 0.61.
 */
export const FOOD_BY = { pace: 0.5, need: 0.6 } as const;
/** Litres on foot hardly answer to a pace. */
export const WATER_BY_PACE = 0.2;
/** Short by less than this is a lean day, not a hungry one. */
export const SHORT_DAYS = 0.5;
/** After so many resupplies one knows how much one eats. */
export const NOTICED_AFTER = 2;

/** Longer is another hike [L]. */
const MOST_ILL_DAYS = 30;
/** Weather is like that of a place so far away by 1/e, km. */
export const LIKE_KM = 500;
/** A wet day's night is so much milder, and no dry day's colder than by four [M]. */
const WET_MILDER_K = 1.5;
const DRY_COLDER_K = 4;

/** A factor of the person: one of the hike, one of the day, each day like the one before. */
export class Factor {
  private day = 0;
  constructor(
    private readonly key: number,
    private readonly hikeSd: number,
    private readonly daySd: number,
    private readonly like: number,
    private readonly isVaried: boolean,
    private readonly ofHike: Float64Array,
  ) {}

  /** On the n-th day of a hike, the first is 1. */
  on(seed: number, run: number, n: number): number {
    if (!this.isVaried) return 1;
    const draw = normal(seed, run, this.key, n);
    this.day = n === 1 ? draw : follow(this.day, this.like, draw);
    return Math.exp(this.hikeSd * this.ofHike[run]! + this.daySd * this.day);
  }

  ofWhole(run: number): number {
    return this.isVaried ? Math.exp(this.hikeSd * this.ofHike[run]!) : 1;
  }
}

export const follow = (before: number, like: number, draw: number): number =>
  like * before + Math.sqrt(1 - like * like) * draw;

export function illnessDays(u: number, meanDays: number): number {
  const stays = (meanDays - 1) / meanDays;
  return Math.min(MOST_ILL_DAYS, 1 + (stays > 0 ? Math.floor(Math.log(1 - u) / Math.log(stays)) : 0));
}

export function snowYear(u: number, { lowSnowFraction, highSnowFraction }: OddsLaws): number {
  return u < lowSnowFraction ? -1 : u > 1 - highSnowFraction ? 1 : 0;
}

/** A chain with the chance of the day on average: wet days follow wet ones. */
export function wetAfter(chance: number, wasWet: boolean | undefined): number {
  if (wasWet === undefined) return chance;
  return wasWet ? chance + PERSISTENCE * (1 - chance) : chance * (1 - PERSISTENCE);
}

/** Off the mean low: what is wet is milder, what is dry colder, the spread of all together that of the plan. */
export function nightOff(wetChance: number, sdK: number, isWet: boolean, night: number): number {
  const p = Math.min(0.9, wetChance);
  const dryK = Math.min(DRY_COLDER_K, (WET_MILDER_K * p) / (1 - p));
  const wetK = p > 0 ? (dryK * (1 - p)) / p : 0;
  const linked = p * wetK * wetK + (1 - p) * dryK * dryK;
  return (isWet ? wetK : -dryK) + Math.sqrt(Math.max(0.25 * sdK * sdK, sdK * sdK - linked)) * night;
}
