/** Jobs on the opened trail that take long, or that few ask for: comparisons, searches, odds, levers, the season’s plane. */
import {
  bankLegs,
  buildPlane,
  compareMenus,
  compareSchools,
  fillBag,
  hikeOf,
  MOST_SWAP_ROUNDS,
  pullLevers,
  reserveOdds,
  searchStops,
  simulateInParts,
  stopChoices,
  swapRounds,
  sweepStarts,
  switchOffs,
  tellVariant,
  TRIED_RESERVES,
  trustOf,
  waysThere,
  weighKits,
  type Filled,
  type FillLimits,
  type Goal,
  type Hike,
  type Impossible,
  type KitVariant,
  type LeverTarget,
  type Odds,
  type Plan,
  type Plane,
  type PlanePlan,
  type PlanResult,
  type Portion,
  type Profile,
  type Question,
  type SchoolFigures,
  type VariantTold,
} from "@gepack/core";
import type { JobControl } from "./control.ts";
import type { Opened } from "./opened.ts";

/** Hours, start and rest days. */
const WAYS = 3;

/** How far a simulation is; with the last step its answer. */
export interface OddsStep {
  done: number;
  odds?: Odds;
}

/** A document, the trail it is on by its key, and what else is asked. */
type OnTrail<Asked = unknown> = Asked & { plan: Plan; key: string };

const outOf = (all: number) => (_: unknown, count: number) => count / Math.max(1, all);

export type Runs = ReturnType<typeof createRuns>;

export function createRuns({ session, isOpen }: Opened) {
  const compute = (other: Plan): PlanResult => session.compute(other);
  /** Where no checks are asked for. */
  const figures = (other: Plan): Omit<PlanResult, "checks"> => session.figures(other);

  /**
   * A long job on the opened trail: its rows come one by one as detail of the progress. `"no-trail"` asks for the
   * trail first. How far it is by a row and the number of rows so far; undefined leaves it where it was.
   */
  const told = async <Row>(
    { plan: given, key }: OnTrail,
    { progress, breathe }: JobControl,
    rows: () => Iterable<Row>,
    fractionOf: (row: Row, count: number) => number | undefined,
  ): Promise<"done" | "no-trail"> => {
    if (!isOpen(given, key)) return "no-trail";
    let fraction = 0;
    let count = 0;
    progress(0);
    await breathe();
    for (const row of rows()) {
      fraction = fractionOf(row, ++count) ?? fraction;
      progress(fraction, row);
      await breathe();
    }
    return "done";
  };

  const hikesOf = function* (given: Plan, who: number, runs: number, numbers: readonly number[]): Generator<Hike> {
    const result = figures(given);
    for (const run of numbers) yield hikeOf(given, result, run, { runs, who });
  };

  const variantsOf = function* (plans: readonly Plan[], who: number): Generator<VariantTold> {
    for (const one of plans) yield tellVariant(one, compute(one), Math.min(who, one.hikers.length - 1));
  };

  const compareMany = ({
    plan: given,
    hikerId,
    questions,
  }: {
    plan: Plan;
    hikerId: string;
    questions: readonly Question[];
  }) =>
    function* (): Generator<SchoolFigures> {
      for (const question of questions) yield* compareSchools(given, hikerId, question, figures);
    };

  return {
    /** Every school of the questions, one whole plan each. */
    compareSchools: (asked: OnTrail<{ hikerId: string; questions: readonly Question[] }>, control: JobControl) =>
      told(
        asked,
        control,
        compareMany(asked),
        ({ question }) => asked.questions.indexOf(question) / asked.questions.length,
      ),

    /** The plan with other first days. */
    sweepStarts: (asked: OnTrail<{ dates: readonly string[] }>, control: JobControl) =>
      told(asked, control, () => sweepStarts(asked.plan, asked.dates, compute), outOf(asked.dates.length)),

    /** The plan with each menu eaten everywhere. */
    compareMenus: (asked: OnTrail<{ hikerId: string }>, control: JobControl) =>
      told(asked, control, () => compareMenus(asked.plan, asked.hikerId, compute), outOf(asked.plan.menus.length)),

    /** Each bank left at home; what is missing then. */
    bankLegs: (asked: OnTrail, control: JobControl) =>
      told(
        asked,
        control,
        () => bankLegs(asked.plan, figures(asked.plan), figures),
        outOf(asked.plan.devices.length + 1),
      ),

    /** Spans that meet every demand with the least carried; what each round finds. */
    searchSwaps: (asked: OnTrail, control: JobControl) =>
      told(asked, control, () => swapRounds(asked.plan, compute(asked.plan), compute), outOf(MOST_SWAP_ROUNDS)),

    /** The plan with each of these kits. */
    weighKits: (asked: OnTrail<{ variants: readonly KitVariant[] }>, control: JobControl) =>
      told(asked, control, () => weighKits(asked.plan, asked.variants, compute), outOf(asked.variants.length)),

    /** Devices given up one after the other. */
    switchOffs: (asked: OnTrail, control: JobControl) =>
      told(asked, control, () => switchOffs(asked.plan, figures), outOf(asked.plan.devices.length + 1)),

    /** So many hikes, a tenth at a time: how far it is, and the answer with the last. */
    simulate: (asked: OnTrail<{ who: number; runs: number }>, control: JobControl) =>
      told<OddsStep>(
        asked,
        control,
        () => simulateInParts(asked.plan, figures(asked.plan), { ...asked, partRuns: Math.ceil(asked.runs / 10) }),
        ({ done }) => done,
      ),

    /** Single hikes of such a simulation. */
    tellHikes: (asked: OnTrail<{ who: number; runs: number; numbers: readonly number[] }>, control: JobControl) =>
      told(
        asked,
        control,
        () => hikesOf(asked.plan, asked.who, asked.runs, asked.numbers),
        outOf(asked.numbers.length),
      ),

    /** What a figure's spread comes from. */
    trustOf: (asked: OnTrail<{ who: number }>, control: JobControl) =>
      told(
        asked,
        control,
        () => trustOf(asked.plan, figures(asked.plan), asked.who, figures),
        ({ done }) => done,
      ),

    /** Every single change, and the best in pairs. */
    pullLevers: (asked: OnTrail<{ who: number; target: LeverTarget; legIndex: number }>, control: JobControl) =>
      told(
        asked,
        control,
        () => pullLevers(asked.plan, asked, { compute, figures }),
        ({ fraction }) => fraction,
      ),

    /** Variants of the trip, one after the other. */
    tellVariants(asked: OnTrail<{ plans: readonly Plan[]; who: number }>, control: JobControl) {
      if (!asked.plans.every((one) => session.hasTrail(one))) return Promise.resolve("no-trail" as const);
      return told(asked, control, () => variantsOf(asked.plans, asked.who), outOf(asked.plans.length));
    },

    /** Food in reserve against the chance of running out. */
    reserveOdds: (asked: OnTrail<{ who: number }>, control: JobControl) =>
      told(asked, control, () => reserveOdds(asked.plan, asked.who, figures), outOf(TRIED_RESERVES.length + 1)),

    /** What it takes to be somewhere by a date. */
    waysThere: (asked: OnTrail<{ goal: Goal }>, control: JobControl) =>
      told(asked, control, () => waysThere(asked.plan, asked.goal, compute), outOf(WAYS)),

    /** Sets of stops, and how far the search is. */
    searchStops: (asked: OnTrail, control: JobControl) =>
      told(
        asked,
        control,
        () => searchStops(session, asked.plan),
        (event) => (event.kind === "progress" ? event.fraction : undefined),
      ),

    /** What one may do at a stop instead. */
    stopChoices: (asked: OnTrail<{ stopId: string }>, control: JobControl) =>
      told(
        asked,
        control,
        () => stopChoices(asked.plan, asked.stopId, compute),
        () => 0,
      ),

    /** A bag filled within its limits. */
    fillBag({ portions, limits }: { portions: readonly Portion[]; limits: FillLimits }): Filled | Impossible {
      return fillBag(portions, limits);
    },

    /** The season along a walk and through the year. */
    plane({ plan, profile, columns }: { plan: PlanePlan; profile: Profile; columns: number }): Plane {
      return buildPlane(plan, profile, columns);
    },
  };
}
