/** Jobs on the opened trail that take long, or that few ask for: comparisons, searches, odds, levers, the season’s plane. */
import {
  bankLegs,
  buildPlane,
  compareMenus,
  compareSchools,
  fillBag,
  firstChoices,
  priceOfVariety,
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
  finishOptions,
  weighKits,
  type BagAnswer,
  type FillLimits,
  type Goal,
  type Hike,
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
  type VariantReport,
} from "@gepack/core";
import type { JobControl } from "./control.ts";
import type { Opened } from "./opened.ts";

/** Hours, start and rest days. */
const FINISH_KINDS = 3;

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
  /** Where no checks are needed. */
  const figures = (other: Plan): Omit<PlanResult, "checks"> => session.figures(other);

  /**
   * A long job on the opened trail: its rows come one by one as detail of the progress. `"no-trail"` requires the
   * trail first. How far it is by a row and the number of rows so far; undefined leaves it where it was.
   */
  const oneByOne = async <Row>(
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

  const variantsOf = function* (plans: readonly Plan[], who: number): Generator<VariantReport> {
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
    compareSchools: (request: OnTrail<{ hikerId: string; questions: readonly Question[] }>, control: JobControl) =>
      oneByOne(
        request,
        control,
        compareMany(request),
        ({ question }) => request.questions.indexOf(question) / request.questions.length,
      ),

    /** The plan with other first days. */
    sweepStarts: (request: OnTrail<{ dates: readonly string[] }>, control: JobControl) =>
      oneByOne(request, control, () => sweepStarts(request.plan, request.dates, compute), outOf(request.dates.length)),

    /** The plan with each menu eaten everywhere. */
    compareMenus: (request: OnTrail<{ hikerId: string }>, control: JobControl) =>
      oneByOne(
        request,
        control,
        () => compareMenus(request.plan, request.hikerId, compute),
        outOf(request.plan.menus.length),
      ),

    /** Each bank left at home; what is missing then. */
    bankLegs: (request: OnTrail, control: JobControl) =>
      oneByOne(
        request,
        control,
        () => bankLegs(request.plan, figures(request.plan), figures),
        outOf(request.plan.devices.length + 1),
      ),

    /** Spans that meet every demand with the least carried; what each round finds. */
    searchSwaps: (request: OnTrail, control: JobControl) =>
      oneByOne(
        request,
        control,
        () => swapRounds(request.plan, compute(request.plan), compute),
        outOf(MOST_SWAP_ROUNDS),
      ),

    /** The plan with each of these kits. */
    weighKits: (request: OnTrail<{ variants: readonly KitVariant[] }>, control: JobControl) =>
      oneByOne(
        request,
        control,
        () => weighKits(request.plan, request.variants, compute),
        outOf(request.variants.length),
      ),

    /** Devices dropped one after the other. */
    switchOffs: (request: OnTrail, control: JobControl) =>
      oneByOne(request, control, () => switchOffs(request.plan, figures), outOf(request.plan.devices.length + 1)),

    /** So many hikes, a tenth at a time: how far it is, and the answer with the last. */
    simulate: (request: OnTrail<{ who: number; runs: number }>, control: JobControl) =>
      oneByOne<OddsStep>(
        request,
        control,
        () =>
          simulateInParts(request.plan, figures(request.plan), { ...request, partRuns: Math.ceil(request.runs / 10) }),
        ({ done }) => done,
      ),

    /** Single hikes of such a simulation. */
    tellHikes: (request: OnTrail<{ who: number; runs: number; numbers: readonly number[] }>, control: JobControl) =>
      oneByOne(
        request,
        control,
        () => hikesOf(request.plan, request.who, request.runs, request.numbers),
        outOf(request.numbers.length),
      ),

    /** What a figure's spread comes from. */
    trustOf: (request: OnTrail<{ who: number }>, control: JobControl) =>
      oneByOne(
        request,
        control,
        () => trustOf(request.plan, figures(request.plan), request.who, figures),
        ({ done }) => done,
      ),

    /** Every single change, and the best in pairs. */
    pullLevers: (request: OnTrail<{ who: number; target: LeverTarget; legIndex: number }>, control: JobControl) =>
      oneByOne(
        request,
        control,
        () => pullLevers(request.plan, request, { compute, figures }),
        ({ fraction }) => fraction,
      ),

    /** What changes a first plan most. */
    firstChoices: (request: OnTrail<{ who: number }>, control: JobControl) =>
      oneByOne(
        request,
        control,
        () => firstChoices(request.plan, request.who, { compute, figures }),
        () => undefined,
      ),

    /** Variants of the trip, one after the other. */
    tellVariants(request: OnTrail<{ plans: readonly Plan[]; who: number }>, control: JobControl) {
      if (!request.plans.every((one) => session.hasTrail(one))) return Promise.resolve("no-trail" as const);
      return oneByOne(request, control, () => variantsOf(request.plans, request.who), outOf(request.plans.length));
    },

    /** Food in reserve against the chance of running out. */
    reserveOdds: (request: OnTrail<{ who: number }>, control: JobControl) =>
      oneByOne(
        request,
        control,
        () => reserveOdds(request.plan, request.who, figures),
        outOf(TRIED_RESERVES.length + 1),
      ),

    /** What it takes to be somewhere by a date. */
    waysThere: (request: OnTrail<{ goal: Goal }>, control: JobControl) =>
      oneByOne(request, control, () => finishOptions(request.plan, request.goal, compute), outOf(FINISH_KINDS)),

    /** Sets of stops, and how far the search is. */
    searchStops: (request: OnTrail, control: JobControl) =>
      oneByOne(
        request,
        control,
        () => searchStops(session, request.plan),
        (event) => (event.kind === "progress" ? event.fraction : undefined),
      ),

    /** What one may do at a stop instead. */
    stopChoices: (request: OnTrail<{ stopId: string }>, control: JobControl) =>
      oneByOne(
        request,
        control,
        () => stopChoices(request.plan, request.stopId, compute),
        () => 0,
      ),

    /** A bag filled within its limits. */
    fillBag({ portions, limits }: { portions: readonly Portion[]; limits: FillLimits }): BagAnswer {
      const answer = fillBag(portions, limits);
      return "impossible" in answer ? answer : { ...answer, varietyG: priceOfVariety({ portions, limits }, answer) };
    },

    /** The season along a walk and through the year. */
    plane({ plan, profile, columns }: { plan: PlanePlan; profile: Profile; columns: number }): Plane {
      return buildPlane(plan, profile, columns);
    },
  };
}
