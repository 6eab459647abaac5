/**
 * The jobs a worker can do, by name: one protocol for all of them. A job gets its arguments, says how far it
 * is, and stops where it is asked to; it answers once, with plain data.
 */
import {
  buildProfile,
  compareSchools,
  computePlan,
  guessSea,
  locate,
  mendTracks,
  refused,
  Session,
  simulatedStations,
  tooLong,
  type ClimateStation,
  type TrackFile,
  type Located,
  type Mended,
  type MendedTrack,
  type Plan,
  type PlanFile,
  type Profile,
  type Question,
  type Reading,
  type SchoolFigures,
  type SeaWord,
  type SortedKind,
  type TrackPoints,
} from "@gepack/core";
import { toWire, type WireResult } from "./wire.ts";

/** What a running job may say and ask. */
export interface JobControl {
  /** How far it is, 0 to 1, and something worth showing meanwhile. */
  progress: (fraction: number, detail?: unknown) => void;
  /** Lets other messages in; throws `JobStopped` when the job is to stop. */
  breathe: () => Promise<void>;
}

/** The trail a session computes on, by a key of the page's. */
export interface Trail {
  key: string;
  /** Either is enough; a profile spares the mending, tracks can be walked both ways. */
  tracks?: readonly TrackPoints[];
  profile?: Profile;
}

/** Parts of the document that changed since the worker was last told; the first time all of them. */
export type PlanParts = Partial<Plan>;

export interface ComputeAnswer {
  result: WireResult;
  profileId: number;
  profile: Profile | undefined;
}

/** What a track looks like before it is taken. */
export interface TrackPreview {
  file: TrackFile;
  points: number;
  lengthM: number;
  climbM: number;
  rawClimbM: number;
  highestM: number;
  lowestM: number;
  hasHeights: boolean;
  mended: Mended;
  /** What each waypoint of the file is, by its own words; several where it is several things. */
  sorted: SortedKind[][];
  /** How far the sea may be, from the heights alone. */
  seaGuess: SeaWord;
  /** Heights at even steps, for a small drawing. */
  outlineM: Float32Array;
}

const MAX_FILE_BYTES = 150_000_000;
const CHUNK_BYTES = 1_000_000;
const OUTLINE_STEPS = 400;
/** What tells the encoding and the format stands in these. */
const HEAD_BYTES = 4000;

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
    setTrail({ key, tracks, profile }: Trail): void {
      trailKey = key;
      plan = undefined;
      if (tracks) session.setTracks(tracks);
      if (profile) session.setProfile(profile);
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
      if (!session.hasTrail(now.trip.direction)) return "no-trail";
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
      if (key !== trailKey || !session.hasTrail(given.trip.direction)) return "no-trail";
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

    async readTrack(
      { file, name, trackId }: { file: Blob; name: string; trackId: string },
      { progress, breathe }: JobControl,
    ): Promise<Reading<TrackPreview>> {
      if (file.size > MAX_FILE_BYTES)
        return refused(
          "file",
          `The file is ${Math.round(file.size / 1e6)} MB; up to ${MAX_FILE_BYTES / 1e6} MB is read. Thin the track to a point every 10 m or split it.`,
        );
      const { arrangeTrack, encodingOf, isPacked, sortWaypoint, trackReaderFor, unpacker } =
        await import("./readers.ts");
      const head = new Uint8Array(await file.slice(0, HEAD_BYTES).arrayBuffer());
      const encoding = encodingOf(head);
      const decoder = decoderOf(encoding);
      if (!decoder)
        return refused("file", `The file is written in ${encoding}, which is not read here. Save it as UTF-8.`);
      const packed = isPacked(head) ? unpacker() : undefined;
      // What comes out of a packed file is not known before its first piece is there.
      let reader = packed ? undefined : trackReaderFor(decoder.decode(head, { stream: true }), trackId, name);
      const text = decoderOf(encoding)!;
      for (let at = 0; at < file.size && !reader?.failed(); at += CHUNK_BYTES) {
        const bytes = new Uint8Array(await file.slice(at, at + CHUNK_BYTES).arrayBuffer());
        const last = at + CHUNK_BYTES >= file.size;
        packed?.push(bytes, last);
        const refusal = packed?.problem();
        if (refusal !== undefined) return refused("file", refusal);
        const piece = packed ? packed.take() : text.decode(bytes, { stream: !last });
        if (piece !== "") (reader ??= trackReaderFor(piece, trackId, name)).write(piece);
        progress(Math.min(1, (at + CHUNK_BYTES) / file.size), reader?.pointCount() ?? 0);
        await breathe();
      }
      const { value, problems } = (reader ?? trackReaderFor("", trackId, name)).close();
      if (!value) return { value, problems };
      const { track, asRecorded, pieces, turned, longestGapM } = arrangeTrack(value.track);
      value.track = track;
      if (!asRecorded)
        problems.push({
          severity: "caution",
          place: "file",
          sentence: `The file’s ${pieces} tracks did not follow each other; they were put in order by their ends, ${turned} of them turned round, and the longest gap left is ${(longestGapM / 1000).toFixed(1)} km. Look at the profile before you use it.`,
        });
      const mended = mendTracks([value.track]);
      const refusal = tooLong(mended);
      if (refusal !== undefined) return refused("file", refusal);
      return { value: previewOf(value, mended, value.waypoints.map(sortWaypoint)), problems };
    },

    /** Where places lie on a track that is not the plan's yet. */
    locateOn({ track, places }: { track: TrackPoints; places: { lonDeg: number; latDeg: number }[] }): Located[] {
      const profile = buildProfile(mendTracks([track]), false);
      return places.map((place) => locate(profile, place.lonDeg, place.latDeg));
    },

    /** Weather stations along a track, from latitude, height and the distance of the sea. */
    simulateOn({ track, sea }: { track: TrackPoints; sea: SeaWord }): ClimateStation[] {
      return simulatedStations(buildProfile(mendTracks([track]), false), sea);
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

function decoderOf(encoding: string): TextDecoder | undefined {
  try {
    return new TextDecoder(encoding);
  } catch {
    return undefined;
  }
}

function previewOf(file: TrackFile, mended: MendedTrack, sorted: SortedKind[][]): TrackPreview {
  const profile = buildProfile(mended, false);
  const outlineM = Float32Array.from(
    { length: OUTLINE_STEPS + 1 },
    (_, i) => profile.heightM[Math.round((i / OUTLINE_STEPS) * profile.cellCount)]!,
  );
  return {
    file,
    points: file.track.lonDeg.length,
    lengthM: profile.lengthM,
    climbM: profile.totalClimbM,
    rawClimbM: profile.rawClimbM,
    highestM: profile.highestM,
    lowestM: profile.lowestM,
    hasHeights: profile.hasHeights,
    mended: mended.mended,
    sorted,
    seaGuess: guessSea(profile),
    outlineM,
  };
}

export type Jobs = ReturnType<typeof createJobs>;
export type JobName = keyof Jobs;
export type JobArgs<Name extends JobName> = Parameters<Jobs[Name]>[0];
export type JobAnswer<Name extends JobName> = Awaited<ReturnType<Jobs[Name]>>;
