/**
 * The calculation as the page sees it: one worker holds the plan and answers every edit, a second one, with
 * a session of its own, does what takes long (comparisons, files), so that the first keeps answering. Of
 * plans that come faster than answers only the newest is computed.
 */
import { RELOAD } from "../words/cautions.ts";
import type {
  BankLegs,
  FoundSwaps,
  KitVariant,
  WeighedKit,
  Hike,
  FirstChoice,
  LeverTarget,
  PulledRow,
  ReserveOdds,
  Trust,
  VariantReport,
  Plan,
  PlanResult,
  Profile,
  Question,
  SchoolFigures,
  SearchEvent,
  StartFigures,
  StopChoice,
  SwitchedOff,
  TrackPoints,
  Goal,
  MenuOnHike,
  FinishOption,
} from "@gepack/core";
import { startWorker, type CoreWorker, type JobOptions } from "./client.ts";
import { fromWire } from "./wire.ts";
import type { JobAnswer, JobArgs, OddsStep, PlanParts } from "./jobs.ts";

/** A trail to compute on: measured already, or available as tracks, which are fetched only when needed. */
export interface TrailSource {
  key: string;
  profile: Profile | undefined;
  /** That the profile was measured on. */
  route?: Plan["route"];
  tracks: () => Promise<readonly TrackPoints[]>;
}

export interface CalculatorWatch {
  /** The worker had to be started again; what was asked is asked again. */
  onRestart: () => void;
  /** A trail was measured. */
  onProfile: (trailKey: string, profile: Profile) => void;
}

export interface Calculator {
  setTrail: (trail: TrailSource) => void;
  /** Undefined when a newer plan was given meanwhile. */
  compute: (plan: Plan) => Promise<PlanResult | undefined>;
  compareSchools: (
    request: { plan: Plan; hikerId: string; questions: readonly Question[] },
    onFigures: (figures: SchoolFigures) => void,
    signal: AbortSignal,
  ) => Promise<void>;
  sweepStarts: (
    request: { plan: Plan; dates: readonly string[] },
    onFigures: (figures: StartFigures) => void,
    signal: AbortSignal,
  ) => Promise<void>;
  compareMenus: (
    request: { plan: Plan; hikerId: string },
    onFigures: (figures: MenuOnHike) => void,
    signal: AbortSignal,
  ) => Promise<void>;
  bankLegs: (request: { plan: Plan }, onRow: (row: BankLegs) => void, signal: AbortSignal) => Promise<void>;
  weighKits: (
    request: { plan: Plan; variants: readonly KitVariant[] },
    onRow: (row: WeighedKit) => void,
    signal: AbortSignal,
  ) => Promise<void>;
  searchSwaps: (request: { plan: Plan }, onFound: (found: FoundSwaps) => void, signal: AbortSignal) => Promise<void>;
  switchOffs: (request: { plan: Plan }, onStep: (step: SwitchedOff) => void, signal: AbortSignal) => Promise<void>;
  finishOptions: (
    request: { plan: Plan; goal: Goal },
    onFigures: (option: FinishOption) => void,
    signal: AbortSignal,
  ) => Promise<void>;
  searchStops: (request: { plan: Plan }, onEvent: (event: SearchEvent) => void, signal: AbortSignal) => Promise<void>;
  stopChoices: (
    request: { plan: Plan; stopId: string },
    onChoice: (choice: StopChoice) => void,
    signal: AbortSignal,
  ) => Promise<void>;
  readPast: (args: JobArgs<"readPast">, options: JobOptions) => Promise<JobAnswer<"readPast">>;
  simulate: (
    request: { plan: Plan; who: number; runs: number },
    onStep: (step: OddsStep) => void,
    signal: AbortSignal,
  ) => Promise<void>;
  tellHikes: (
    request: { plan: Plan; who: number; runs: number; numbers: readonly number[] },
    onHike: (hike: Hike) => void,
    signal: AbortSignal,
  ) => Promise<void>;
  trustOf: (
    request: { plan: Plan; who: number },
    onStep: (step: { done: number; trust?: Trust[] }) => void,
    signal: AbortSignal,
  ) => Promise<void>;
  pullLevers: (
    request: { plan: Plan; who: number; target: LeverTarget; legIndex: number },
    onRow: (row: PulledRow) => void,
    signal: AbortSignal,
  ) => Promise<void>;
  firstChoices: (
    request: { plan: Plan; who: number },
    onChoice: (choice: FirstChoice) => void,
    signal: AbortSignal,
  ) => Promise<void>;
  tellVariants: (
    request: { plan: Plan; plans: readonly Plan[]; who: number },
    onReport: (report: VariantReport) => void,
    signal: AbortSignal,
  ) => Promise<void>;
  reserveOdds: (
    request: { plan: Plan; who: number },
    onReserve: (reserve: ReserveOdds) => void,
    signal: AbortSignal,
  ) => Promise<void>;
  learnFrom: (args: JobArgs<"learnFrom">) => Promise<JobAnswer<"learnFrom">>;
  readDays: (args: JobArgs<"readDays">, options: JobOptions) => Promise<JobAnswer<"readDays">>;
  readTrack: (args: JobArgs<"readTrack">, options: JobOptions) => Promise<JobAnswer<"readTrack">>;
  arrange: (args: JobArgs<"arrange">) => Promise<JobAnswer<"arrange">>;
  layTable: (args: JobArgs<"layTable">) => Promise<JobAnswer<"layTable">>;
  sortPlaces: (args: JobArgs<"sortPlaces">) => Promise<JobAnswer<"sortPlaces">>;
  locateOn: (args: JobArgs<"locateOn">) => Promise<JobAnswer<"locateOn">>;
  simulateOn: (args: JobArgs<"simulateOn">) => Promise<JobAnswer<"simulateOn">>;
  readFoods: (args: JobArgs<"readFoods">) => Promise<JobAnswer<"readFoods">>;
  readKit: (args: JobArgs<"readKit">) => Promise<JobAnswer<"readKit">>;
  fillBag: (args: JobArgs<"fillBag">) => Promise<JobAnswer<"fillBag">>;
  plane: (args: JobArgs<"plane">) => Promise<JobAnswer<"plane">>;
  readPlan: (args: JobArgs<"readPlan">) => Promise<JobAnswer<"readPlan">>;
  readStored: (args: JobArgs<"readStored">) => Promise<JobAnswer<"readStored">>;
}

/** A trail is given to a worker at most so often for one answer: then something else is wrong. */
const MOST_TRIES = 4;

export function startCalculator({ onRestart, onProfile }: CalculatorWatch): Calculator {
  let trail: TrailSource | undefined;
  let profile: Profile | undefined;
  let profileId = 0;
  let newest = 0;
  let running: Promise<unknown> = Promise.resolve();
  let report: Plan | undefined;
  const trailOf = { live: "", side: "" };

  const live = startWorker("gepack-live", {
    onRestart: () => {
      trailOf.live = "";
      report = undefined;
      profileId = 0;
      onRestart();
    },
  });
  let sideWorker: CoreWorker | undefined;
  const side = (): CoreWorker =>
    (sideWorker ??= startWorker("gepack-side", { onRestart: () => void (trailOf.side = "") }));

  const giveTrail = async (worker: CoreWorker, whose: "live" | "side", withTracks: boolean): Promise<string> => {
    if (!trail) throw new Error("No trail is open.");
    const { key, route } = trail;
    if (withTracks) await worker.job("setTrail", { key, tracks: await trail.tracks() });
    else if (trailOf[whose] !== key)
      await worker.job(
        "setTrail",
        trail.profile
          ? { key, profile: trail.profile, ...(route ? { route } : {}) }
          : { key, tracks: await trail.tracks() },
      );
    else return key;
    trailOf[whose] = key;
    if (whose === "live") report = undefined;
    return key;
  };

  const ask = async (plan: Plan): Promise<PlanResult> => {
    let withTracks = false;
    for (let tries = 0; tries < MOST_TRIES; tries++) {
      const key = await giveTrail(live, "live", withTracks);
      withTracks = false;
      const answer = await live.job("compute", { parts: changedParts(report, plan), key, hasProfile: profileId });
      if (answer === "no-plan") report = undefined;
      else if (answer === "no-trail") withTracks = true;
      else {
        report = plan;
        if (answer.profile) {
          profile = answer.profile;
          onProfile(key, profile);
        }
        profileId = answer.profileId;
        return { ...fromWire(answer.result), profile: profile! };
      }
    }
    throw new Error(`The trail couldn’t be loaded for the calculation. ${RELOAD}`);
  };

  /** A job on the opened trail whose figures come one by one. */
  const longRun = async <Figures>(
    run: (key: string, options: JobOptions) => Promise<"done" | "no-trail">,
    onFigures: (figures: Figures) => void,
    signal: AbortSignal,
  ): Promise<void> => {
    let withTracks = false;
    for (let tries = 0; tries < MOST_TRIES; tries++) {
      const key = await giveTrail(side(), "side", withTracks);
      // That it has started comes without figures.
      const onProgress: JobOptions["onProgress"] = (_, detail) => detail !== undefined && onFigures(detail as Figures);
      const options: JobOptions = { signal, onProgress };
      if ((await run(key, options)) === "done") return;
      withTracks = true;
    }
  };

  return {
    setTrail(next) {
      trail = next;
    },
    compute(plan) {
      const mine = ++newest;
      const answer = running.then(async () => {
        if (mine !== newest) return undefined;
        const result = await ask(plan);
        return mine === newest ? result : undefined;
      });
      running = answer.catch(() => {});
      return answer;
    },
    compareSchools: (request, onFigures, signal) =>
      longRun((key, options) => side().job("compareSchools", { ...request, key }, options), onFigures, signal),
    sweepStarts: (request, onFigures, signal) =>
      longRun((key, options) => side().job("sweepStarts", { ...request, key }, options), onFigures, signal),
    compareMenus: (request, onFigures, signal) =>
      longRun((key, options) => side().job("compareMenus", { ...request, key }, options), onFigures, signal),
    bankLegs: (request, onRow, signal) =>
      longRun((key, options) => side().job("bankLegs", { ...request, key }, options), onRow, signal),
    weighKits: (request, onRow, signal) =>
      longRun((key, options) => side().job("weighKits", { ...request, key }, options), onRow, signal),
    searchSwaps: (request, onFound, signal) =>
      longRun((key, options) => side().job("searchSwaps", { ...request, key }, options), onFound, signal),
    switchOffs: (request, onStep, signal) =>
      longRun((key, options) => side().job("switchOffs", { ...request, key }, options), onStep, signal),
    finishOptions: (request, onFigures, signal) =>
      longRun((key, options) => side().job("waysThere", { ...request, key }, options), onFigures, signal),
    searchStops: (request, onEvent, signal) =>
      longRun((key, options) => side().job("searchStops", { ...request, key }, options), onEvent, signal),
    stopChoices: (request, onChoice, signal) =>
      longRun((key, options) => side().job("stopChoices", { ...request, key }, options), onChoice, signal),
    readPast: (args, options) => side().job("readPast", args, options),
    simulate: (request, onOdds, signal) =>
      longRun((key, options) => side().job("simulate", { ...request, key }, options), onOdds, signal),
    tellHikes: (request, onHike, signal) =>
      longRun((key, options) => side().job("tellHikes", { ...request, key }, options), onHike, signal),
    trustOf: (request, onStep, signal) =>
      longRun((key, options) => side().job("trustOf", { ...request, key }, options), onStep, signal),
    pullLevers: (request, onRow, signal) =>
      longRun((key, options) => side().job("pullLevers", { ...request, key }, options), onRow, signal),
    firstChoices: (request, onChoice, signal) =>
      longRun((key, options) => side().job("firstChoices", { ...request, key }, options), onChoice, signal),
    tellVariants: (request, onReport, signal) =>
      longRun((key, options) => side().job("tellVariants", { ...request, key }, options), onReport, signal),
    reserveOdds: (request, onReserve, signal) =>
      longRun((key, options) => side().job("reserveOdds", { ...request, key }, options), onReserve, signal),
    learnFrom: (args) => side().job("learnFrom", args),
    readDays: (args, options) => side().job("readDays", args, options),
    readTrack: (args, options) => side().job("readTrack", args, options),
    arrange: (args) => side().job("arrange", args),
    layTable: (args) => side().job("layTable", args),
    sortPlaces: (args) => side().job("sortPlaces", args),
    locateOn: (args) => side().job("locateOn", args),
    simulateOn: (args) => side().job("simulateOn", args),
    readFoods: (args) => side().job("readFoods", args),
    readKit: (args) => side().job("readKit", args),
    fillBag: (args) => side().job("fillBag", args),
    plane: (args) => side().job("plane", args),
    readPlan: (args) => side().job("readPlan", args),
    readStored: (args) => live.job("readStored", args),
  };
}

/** The parts of a document that are not the objects told before; all of it where one is gone. */
function changedParts(before: Plan | undefined, now: Plan): PlanParts {
  if (!before || Object.keys(before).some((key) => !(key in now))) return now;
  return Object.fromEntries(Object.entries(now).filter(([key, part]) => part !== before[key]));
}
