/**
 * What somebody saw at a source, and for how long it is news. A source has water or has none; a report moves the chance
 * by Bayes, and the chance goes back to that of the month as the report ages: exact for a two-state chain with a
 * constant month. Likelihoods and times are judgement [L]; form [H].
 */
import { clamp } from "../units/constants.ts";
import type { ReportWord, Source } from "../plan/schema.ts";

/** P(said so | water), P(said so | none): ratios, one report a day and source. */
const LIKELIHOODS: Readonly<Record<ReportWord, readonly [water: number, none: number]>> = {
  flowing: [0.93, 0.04],
  trickle: [0.85, 0.1],
  dry: [0.05, 0.94],
};

/** Days in which what is known fades to 1/e; half of it after a trickle. A tap's report never fades. */
export const TAU_DAYS: Readonly<Record<Source["kind"], number>> = {
  creek: 25,
  spring: 60,
  lake: 120,
  tank: 8,
  cache: 8,
  snow: 10,
  tap: Infinity,
};
const TRICKLE_FADES = 0.5;

/** A report of another year is none of this one: it counts into the month's chance, which is worth so many years [L]. */
const OLD_DAYS = 300;
const PRIOR_YEARS = 4;

export interface Report {
  /** Day number since 1970-01-01. */
  day: number;
  said: ReportWord;
}

export interface ReportInput {
  /** The chance of the month, by day number. */
  prior: (day: number) => number;
  /** In order of their days, none after `day`. */
  reports: readonly Report[];
  day: number;
  tauDays: number;
}

/** Chance of water on a day, 0 to 1. */
export function reportedChance({ prior: month, reports, day, tauDays }: ReportInput): number {
  const old = reports.filter((report) => day - report.day > OLD_DAYS);
  const wet = old.filter(({ said }) => said !== "dry").length;
  const prior = (then: number): number => clamp((month(then) * PRIOR_YEARS + wet) / (PRIOR_YEARS + old.length), 0, 1);
  let chance: number | undefined;
  let at = day;
  let tau = tauDays;
  for (const report of reports) {
    if (day - report.day > OLD_DAYS) continue;
    const before = chance === undefined ? prior(report.day) : faded(chance, prior, at, report.day, tau);
    const [water, none] = LIKELIHOODS[report.said];
    const both = before * water + (1 - before) * none;
    chance = (before * water) / both;
    at = report.day;
    const own = report.said === "trickle" ? tauDays * TRICKLE_FADES : tauDays;
    // What a report could not turn to its side of the month's chance fades no slower than it did.
    const unturned = report.said === "dry" ? chance > prior(at) : report.said === "flowing" && chance < prior(at);
    tau = unturned ? Math.min(tau, own) : own;
  }
  return chance === undefined ? prior(day) : faded(chance, prior, at, day, tau);
}

function faded(chance: number, prior: (day: number) => number, from: number, to: number, tauDays: number): number {
  return clamp(prior(to) + (chance - prior(from)) * Math.exp((from - to) / tauDays), 0, 1);
}

/**
 * The chance that all of several sources are dry, where droughts are common to them: a part c of the distance from
 * independent to all alike [L].
 */
const COMMON = 0.3;

export function allDry(chances: readonly number[]): number {
  const dry = chances.map((chance) => 1 - chance);
  return (1 - COMMON) * dry.reduce((all, q) => all * q, 1) + COMMON * Math.min(1, ...dry);
}
