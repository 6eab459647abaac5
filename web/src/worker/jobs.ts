/**
 * The jobs a worker can do, by name: one protocol for all of them. A job gets its arguments, says how far it
 * is, and stops where it is asked to; it answers once, with plain data.
 */
import {
  type Hike,
  type LeverTarget,
  type Odds,
  type Shakedown,
  type VariantTold,
  hikeOf,
  pullLevers,
  simulateInParts,
  tellVariant,
  trustOf,
  bankLegs,
  buildPlane,
  buildProfile,
  compareMenus,
  compareSchools,
  computePlan,
  reserveOdds,
  shakedownOf,
  TRIED_RESERVES,
  fillBag,
  locate,
  mendTracks,
  readFoodTable,
  readKitTable,
  refused,
  searchStops,
  Session,
  simulatedStations,
  MOST_SWAP_ROUNDS,
  stopChoices,
  swapRounds,
  sweepStarts,
  switchOffs,
  waysThere,
  weighKits,
  type KitTable,
  type KitVariant,
  type NewPieces,
  type Problem,
  type Basis,
  type ClimateStation,
  type Filled,
  type FillLimits,
  type FoodTable,
  type Goal,
  type Hiker,
  type Impossible,
  type CoarseRow,
  type CoarseTrack,
  type Located,
  type OwnWord,
  type Plane,
  type PlanePlan,
  type PartChoice,
  type Plan,
  type PlanFile,
  type PlanResult,
  type Portion,
  type Profile,
  type Question,
  type Reading,
  type SchoolFigures,
  type SeaWord,
  type SortedKind,
  type TrackPoints,
  type WaypointWords,
} from "@gepack/core";
import { textOf } from "./unpack.ts";
import type { JobControl } from "./control.ts";
import {
  arrange,
  layTable,
  MAX_FILE_BYTES,
  readTracks,
  type LaidPreview,
  type PartPreview,
  type TrackFiles,
  type TrackPreview,
} from "./readTracks.ts";
import type { NamedFile } from "./namedFile.ts";
import { readDays, readPast, type DaysReading, type PastReading } from "./readPast.ts";
import { toWire, type WireResult } from "./wire.ts";

/** Hours, start and rest days. */
const WAYS = 3;

export type { JobControl } from "./control.ts";

/** How far a simulation is; with the last step its answer. */
export interface OddsStep {
  done: number;
  odds?: Odds;
}
export type { LaidPreview, PartPreview, TrackPreview } from "./readTracks.ts";

/** The trail a session computes on, by a key of the page's. */
export interface Trail {
  key: string;
  /** Either is enough; a profile, of this route alone, spares the mending; tracks can be walked all ways. */
  tracks?: readonly TrackPoints[];
  profile?: Profile;
  route?: Plan["route"];
}

/** Parts of the document that changed since the worker was last told; the first time all of them. */
export type PlanParts = Partial<Plan>;

export interface ComputeAnswer {
  result: WireResult;
  profileId: number;
  profile: Profile | undefined;
}

/** A document, the trail it is on by its key, and what else is asked. */
type OnTrail<Asked = unknown> = Asked & { plan: Plan; key: string };

const outOf = (all: number) => (_: unknown, count: number) => count / Math.max(1, all);

/** `beat` says that the worker lives, to who waits for it. */
export function createJobs(beat?: () => void) {
  const session = new Session(beat);
  let trailKey = "";
  let plan: Plan | undefined;
  let profileSent: Profile | undefined;
  let profileId = 0;

  const whole = (parts: PlanParts): Plan => {
    plan = { ...plan, ...parts } as Plan;
    return plan;
  };

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
    if (key !== trailKey || !session.hasTrail(given)) return "no-trail";
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
    /** Takes a trail; computing on it is asked for with its key. */
    setTrail({ key, tracks, profile, route }: Trail): void {
      trailKey = key;
      plan = undefined;
      if (tracks) session.setTracks(tracks);
      if (profile) session.setProfile(profile, route);
    },

    /**
     * The plan computed. `"no-trail"` asks for the tracks: this worker has none of that key, or knows only the
     * other direction of them. `"no-plan"` asks for the whole document: it has nothing to add the parts to.
     */
    compute({
      parts,
      key,
      hasProfile,
    }: {
      parts: PlanParts;
      key: string;
      /** Id of the profile the page holds already. */
      hasProfile: number;
    }): ComputeAnswer | "no-trail" | "no-plan" {
      if (!plan && !parts.format) return "no-plan";
      if (key !== trailKey) return "no-trail";
      const now = whole(parts);
      if (!session.hasTrail(now)) return "no-trail";
      const { profile, ...result } = session.compute(now);
      if (profile !== profileSent) {
        profileSent = profile;
        profileId++;
      }
      return { result: toWire(result), profileId, profile: hasProfile === profileId ? undefined : profile };
    },

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

    /** One's own pace out of recorded walks. */
    readPast(args: { files: readonly NamedFile[]; hiker: Hiker }, control: JobControl): Promise<PastReading> {
      return readPast(args, control);
    },

    /** What the log of another trip says, that trip as it is stored. */
    async learnFrom({ file }: { file: Blob }): Promise<Shakedown | undefined> {
      const { value } = await planFileOf(file);
      return value && value.plan.log.length > 0
        ? shakedownOf(value.plan, computePlan(value.plan, value.tracks))
        : undefined;
    },

    /** The days of recorded walks. */
    readDays(args: { files: readonly NamedFile[]; profile: Profile }, control: JobControl): Promise<DaysReading> {
      return readDays(args, control);
    },

    /** One trail from one file or several, in the order that their ends give. */
    readTrack({ file, name, trackId, more = [] }: TrackFiles, control: JobControl): Promise<Reading<TrackPreview>> {
      return readTracks([{ file, name }, ...more], trackId, control);
    },

    /** The tracks of files in another order, or with other ones left out. */
    arrange({
      parts,
      choices,
      trackId,
      name,
    }: {
      parts: readonly PartPreview[];
      choices: readonly PartChoice[];
      trackId: string;
      name: string;
    }): Promise<LaidPreview | string> {
      return arrange(parts, choices, trackId, name);
    },

    /** A trail from the rows of a table alone. */
    layTable({ rows, place }: { rows: readonly CoarseRow[]; place: CoarseTrack }): LaidPreview | string {
      return layTable(rows, place);
    },

    /** What places are, by their own words and those of the hiker. */
    async sortPlaces({
      places,
      own,
    }: {
      places: readonly WaypointWords[];
      own: readonly OwnWord[];
    }): Promise<SortedKind[][]> {
      const { sortWaypoint } = await import("./readers.ts");
      return places.map((words) => sortWaypoint(words, own));
    },

    /** Foods out of a table. */
    async readFoods({ file, name, basis }: NamedFile & { basis?: Basis }): Promise<FoodTable> {
      const table = await tableRows({ file, name });
      if ("problems" in table) return { foods: [], basis: basis ?? "per-100", problems: table.problems };
      return readFoodTable(table.rows, () => `food-${crypto.randomUUID()}`, basis);
    },

    /** Pieces of kit out of a table. */
    async readKit({
      file,
      name,
      columns,
      ...made
    }: NamedFile & Omit<NewPieces, "idOf"> & { columns?: KitTable["columns"] | undefined }): Promise<KitTable> {
      const table = await tableRows({ file, name });
      if ("problems" in table) return { heads: [], columns: {}, pieces: [], problems: table.problems };
      return readKitTable(table.rows, { ...made, idOf: () => crypto.randomUUID() }, columns);
    },

    /** A bag filled within its limits. */
    fillBag({ portions, limits }: { portions: readonly Portion[]; limits: FillLimits }): Filled | Impossible {
      return fillBag(portions, limits);
    },

    /** Where places lie on a track that is not the plan's yet. */
    locateOn({ tracks, places }: { tracks: TrackPoints[]; places: { lonDeg: number; latDeg: number }[] }): Located[] {
      const profile = buildProfile(mendTracks(tracks), false);
      return places.map((place) => locate(profile, place.lonDeg, place.latDeg));
    },

    /** Weather stations along a track, from latitude, height and the distance of the sea. */
    simulateOn({ track, sea }: { track: TrackPoints; sea: SeaWord }): ClimateStation[] {
      return simulatedStations(buildProfile(mendTracks([track]), false), sea);
    },

    /** The season along a walk and through the year. */
    plane({ plan, profile, columns }: { plan: PlanePlan; profile: Profile; columns: number }): Plane {
      return buildPlane(plan, profile, columns);
    },

    readPlan({ file }: { file: Blob }): Promise<Reading<PlanFile>> {
      return planFileOf(file);
    },

    /** A document from storage, read like one from a file: what is kept may be damaged too. */
    async readStored({ doc }: { doc: unknown }): Promise<Reading<Plan>> {
      const { readPlan } = await import("./readers.ts");
      return readPlan(doc);
    },
  };
}

/** A plan file, read and computed once. */
async function planFileOf(file: Blob): Promise<Reading<PlanFile>> {
  if (file.size === 0) return refused("file", "The file is empty. Choose a plan file that Gepack exported.");
  if (file.size > MAX_FILE_BYTES)
    return refused("file", `The file is ${Math.round(file.size / 1e6)} MB; up to ${MAX_FILE_BYTES / 1e6} MB is read.`);
  const text = await textOf(file, MAX_FILE_BYTES);
  if (text === undefined)
    return refused(
      "file",
      `Unpacked, the file is larger than ${MAX_FILE_BYTES / 1e6} MB, or it is packed in a way that is not gzip.`,
    );
  let data: unknown;
  try {
    data = JSON.parse(text);
  } catch (error) {
    return refused(
      "file",
      `This is not a plan file: ${error instanceof Error ? error.message : "no JSON"}. Choose a .gepack.json file that Gepack exported.`,
    );
  }
  const { readPlanFile } = await import("./readers.ts");
  const read = readPlanFile(data);
  // What cannot be computed is refused here, before it takes the place of anything.
  if (read.value && read.value.tracks.length > 0) computePlan(read.value.plan, read.value.tracks);
  return read;
}

/** The rows of a table, its heads first; or why it is none. */
async function tableRows(given: NamedFile): Promise<{ rows: string[][] } | { problems: Problem[] }> {
  const { readTable } = await import("./readTable.ts");
  const table = await readTable(given);
  if (table?.value) return { rows: table.value.rows };
  const sentence = "This is no table: a CSV or a spreadsheet with a line of heads is read.";
  return { problems: table?.problems ?? [{ severity: "error", place: given.name, sentence }] };
}

export type Jobs = ReturnType<typeof createJobs>;
export type JobName = keyof Jobs;
export type JobArgs<Name extends JobName> = Parameters<Jobs[Name]>[0];
export type JobAnswer<Name extends JobName> = Awaited<ReturnType<Jobs[Name]>>;
