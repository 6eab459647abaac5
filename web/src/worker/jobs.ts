/**
 * The jobs a worker can do, by name: one protocol for all of them. A job gets its arguments, says how far it
 * is, and stops where it is asked to; it answers once, with plain data.
 */
import {
  bankLegs,
  buildPlane,
  buildProfile,
  compareMenus,
  compareSchools,
  computePlan,
  fillBag,
  locate,
  mendTracks,
  readFoodTable,
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
  type BankLegs,
  type FoundSwaps,
  type Basis,
  type ClimateStation,
  type Filled,
  type FillLimits,
  type FoodTable,
  type Goal,
  type Hiker,
  type Impossible,
  type WayThere,
  type CoarseRow,
  type CoarseTrack,
  type Located,
  type MenuOnHike,
  type OwnWord,
  type Plane,
  type PlanePlan,
  type PartChoice,
  type Plan,
  type PlanFile,
  type Portion,
  type Profile,
  type Question,
  type Reading,
  type SchoolFigures,
  type SearchEvent,
  type SeaWord,
  type SortedKind,
  type StartFigures,
  type StopChoice,
  type SwitchedOff,
  type TrackPoints,
  type WaypointWords,
} from "@gepack/core";
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
import { readPast, type PastReading } from "./readPast.ts";
import { toWire, type WireResult } from "./wire.ts";

/** Hours, start and rest days. */
const WAYS = 3;

export type { JobControl } from "./control.ts";
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

    /** Every school of the questions, one whole plan each; figures come one by one as detail of the progress. */
    async compareSchools(
      {
        plan: given,
        key,
        hikerId,
        questions,
      }: { plan: Plan; key: string; hikerId: string; questions: readonly Question[] },
      { progress, breathe }: JobControl,
    ): Promise<"done" | "no-trail"> {
      if (key !== trailKey || !session.hasTrail(given)) return "no-trail";
      const runs = questions.map((question) =>
        compareSchools(given, hikerId, question, (other) => session.compute(other)),
      );
      for (const [i, run] of runs.entries())
        for (const figures of run) {
          progress(i / runs.length, figures satisfies SchoolFigures);
          await breathe();
        }
      return "done";
    },

    /** The plan with other first days; figures come one by one as detail of the progress. */
    async sweepStarts(
      { plan: given, key, dates }: { plan: Plan; key: string; dates: readonly string[] },
      { progress, breathe }: JobControl,
    ): Promise<"done" | "no-trail"> {
      if (key !== trailKey || !session.hasTrail(given)) return "no-trail";
      let done = 0;
      for (const figures of sweepStarts(given, dates, (other) => session.compute(other))) {
        progress(++done / dates.length, figures satisfies StartFigures);
        await breathe();
      }
      return "done";
    },

    /** The plan with each menu eaten everywhere; figures come one by one as detail of the progress. */
    async compareMenus(
      { plan: given, key, hikerId }: { plan: Plan; key: string; hikerId: string },
      { progress, breathe }: JobControl,
    ): Promise<"done" | "no-trail"> {
      if (key !== trailKey || !session.hasTrail(given)) return "no-trail";
      let done = 0;
      for (const figures of compareMenus(given, hikerId, (other) => session.compute(other))) {
        progress(++done / given.menus.length, figures satisfies MenuOnHike);
        await breathe();
      }
      return "done";
    },

    /** Each bank left at home; what is missing then comes one by one as detail of the progress. */
    async bankLegs(
      { plan: given, key }: { plan: Plan; key: string },
      { progress, breathe }: JobControl,
    ): Promise<"done" | "no-trail"> {
      if (key !== trailKey || !session.hasTrail(given)) return "no-trail";
      let done = 0;
      for (const row of bankLegs(given, session.compute(given), (other) => session.compute(other))) {
        progress(++done / (given.devices.length + 1), row satisfies BankLegs);
        await breathe();
      }
      return "done";
    },

    /** Spans that meet every demand with the least carried; what each round finds comes as detail of the progress. */
    async searchSwaps(
      { plan: given, key }: { plan: Plan; key: string },
      { progress, breathe }: JobControl,
    ): Promise<"done" | "no-trail"> {
      if (key !== trailKey || !session.hasTrail(given)) return "no-trail";
      let done = 0;
      progress(0);
      await breathe();
      for (const found of swapRounds(given, session.compute(given), (other) => session.compute(other))) {
        progress(++done / MOST_SWAP_ROUNDS, found satisfies FoundSwaps);
        await breathe();
      }
      return "done";
    },

    /** Devices given up one after the other; steps come one by one as detail of the progress. */
    async switchOffs(
      { plan: given, key }: { plan: Plan; key: string },
      { progress, breathe }: JobControl,
    ): Promise<"done" | "no-trail"> {
      if (key !== trailKey || !session.hasTrail(given)) return "no-trail";
      let done = 0;
      for (const step of switchOffs(given, (other) => session.compute(other))) {
        progress(++done / (given.devices.length + 1), step satisfies SwitchedOff);
        await breathe();
      }
      return "done";
    },

    /** What it takes to be somewhere by a date; ways come one by one. */
    async waysThere(
      { plan: given, key, goal }: { plan: Plan; key: string; goal: Goal },
      { progress, breathe }: JobControl,
    ): Promise<"done" | "no-trail"> {
      if (key !== trailKey || !session.hasTrail(given)) return "no-trail";
      let done = 0;
      for (const way of waysThere(given, goal, (other) => session.compute(other))) {
        progress(++done / WAYS, way satisfies WayThere);
        await breathe();
      }
      return "done";
    },

    /** Sets of stops; what the search tells comes as detail of the progress. */
    async searchStops(
      { plan: given, key }: { plan: Plan; key: string },
      { progress, breathe }: JobControl,
    ): Promise<"done" | "no-trail"> {
      if (key !== trailKey || !session.hasTrail(given)) return "no-trail";
      let fraction = 0;
      for (const event of searchStops(session, given)) {
        if (event.kind === "progress") ({ fraction } = event);
        progress(fraction, event satisfies SearchEvent);
        await breathe();
      }
      return "done";
    },

    /** What one may do at a stop instead; choices come one by one. */
    async stopChoices(
      { plan: given, key, stopId }: { plan: Plan; key: string; stopId: string },
      { progress, breathe }: JobControl,
    ): Promise<"done" | "no-trail"> {
      if (key !== trailKey || !session.hasTrail(given)) return "no-trail";
      for (const choice of stopChoices(given, stopId, (other) => session.compute(other))) {
        progress(0, choice satisfies StopChoice);
        await breathe();
      }
      return "done";
    },

    /** One's own pace out of recorded walks. */
    readPast(args: { files: readonly NamedFile[]; hiker: Hiker }, control: JobControl): Promise<PastReading> {
      return readPast(args, control);
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
      const { readTable } = await import("./readTable.ts");
      const table = await readTable({ file, name });
      if (!table?.value)
        return {
          foods: [],
          basis: basis ?? "per-100",
          problems: table?.problems ?? [
            {
              severity: "error",
              place: name,
              sentence: "This is no table: a CSV or a spreadsheet with a line of heads is read.",
            },
          ],
        };
      return readFoodTable(table.value.rows, () => `food-${crypto.randomUUID()}`, basis);
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

    async readPlan({ file }: { file: Blob }): Promise<Reading<PlanFile>> {
      if (file.size === 0) return refused("file", "The file is empty. Choose a plan file that Gepack exported.");
      if (file.size > MAX_FILE_BYTES)
        return refused(
          "file",
          `The file is ${Math.round(file.size / 1e6)} MB; up to ${MAX_FILE_BYTES / 1e6} MB is read.`,
        );
      const text = await file.text();
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
    },

    /** A document from storage, read like one from a file: what is kept may be damaged too. */
    async readStored({ doc }: { doc: unknown }): Promise<Reading<Plan>> {
      const { readPlan } = await import("./readers.ts");
      return readPlan(doc);
    },
  };
}

export type Jobs = ReturnType<typeof createJobs>;
export type JobName = keyof Jobs;
export type JobArgs<Name extends JobName> = Parameters<Jobs[Name]>[0];
export type JobAnswer<Name extends JobName> = Awaited<ReturnType<Jobs[Name]>>;
