/** The worker that holds the Session, reads files and never blocks the page. */
import {
  buildProfile,
  compareSchools,
  gpxReader,
  locate,
  mendTracks,
  readPlanFile,
  refused,
  Session,
  type GpxFile,
  type Located,
  type Mended,
  type Plan,
  type PlanFile,
  type PlanResult,
  type Profile,
  type Question,
  type Reading,
  type SchoolFigures,
  type TrackPoints,
} from "@gepack/core";
import { expose } from "comlink";

/** A result without the profile, which travels only when it changed. */
export interface ComputeAnswer {
  result: Omit<PlanResult, "profile">;
  profileId: number;
  profile: Profile | undefined;
}

/** What a track looks like before it is taken. */
export interface TrackPreview {
  file: GpxFile;
  points: number;
  lengthM: number;
  climbM: number;
  rawClimbM: number;
  highestM: number;
  lowestM: number;
  hasHeights: boolean;
  mended: Mended;
  /** Heights at even steps, for a small drawing. */
  outlineM: Float32Array;
}

export type Progress = (share: number, points: number) => void;

const MAX_FILE_BYTES = 150_000_000;
const CHUNK_BYTES = 1_000_000;
const OUTLINE_STEPS = 400;

const session = new Session();
let profileSent: Profile | undefined;
let profileId = 0;
let cancelled = false;
let comparison = 0;

const api = {
  setTracks(tracks: TrackPoints[]): void {
    session.setTracks(tracks);
  },

  /** `hasProfile` is the id of the profile the page holds already. */
  compute(plan: Plan, hasProfile: number): ComputeAnswer {
    const { profile, ...result } = session.compute(plan);
    if (profile !== profileSent) {
      profileSent = profile;
      profileId++;
    }
    return { result, profileId, profile: hasProfile === profileId ? undefined : profile };
  },

  /**
   * Every school of the questions, one whole plan each; what is asked meanwhile goes first. A later
   * comparison, or a stop, ends an earlier one.
   */
  async compareSchools(
    plan: Plan,
    hikerId: string,
    questions: readonly Question[],
    onFigures: (figures: SchoolFigures) => void,
  ): Promise<"done" | "cancelled"> {
    const mine = ++comparison;
    for (const question of questions)
      for (const figures of compareSchools(plan, hikerId, question, (other) => session.compute(other))) {
        await new Promise((resolve) => setTimeout(resolve, 0));
        if (mine !== comparison) return "cancelled";
        onFigures(figures);
      }
    return "done";
  },

  stopComparing(): void {
    comparison++;
  },

  async readTrack(
    file: Blob,
    name: string,
    trackId: string,
    onProgress: Progress,
  ): Promise<Reading<TrackPreview> | "cancelled"> {
    cancelled = false;
    if (file.size > MAX_FILE_BYTES)
      return refused(
        "file",
        `The file is ${Math.round(file.size / 1e6)} MB; up to ${MAX_FILE_BYTES / 1e6} MB is read. Thin the track to a point every 10 m or split it.`,
      );
    const reader = gpxReader(trackId, name);
    const decoder = new TextDecoder();
    for (let at = 0; at < file.size && !reader.failed(); at += CHUNK_BYTES) {
      reader.write(decoder.decode(await file.slice(at, at + CHUNK_BYTES).arrayBuffer(), { stream: true }));
      onProgress(Math.min(1, (at + CHUNK_BYTES) / file.size), reader.pointCount());
      await new Promise((resolve) => setTimeout(resolve, 0));
      if (cancelled) return "cancelled";
    }
    reader.write(decoder.decode());
    const { value, problems } = reader.close();
    if (!value) return { value: undefined, problems };
    const mended = mendTracks([value.track]);
    const profile = buildProfile(mended, false);
    const outlineM = Float32Array.from(
      { length: OUTLINE_STEPS + 1 },
      (_, i) => profile.heightM[Math.round((i / OUTLINE_STEPS) * profile.cellCount)]!,
    );
    return {
      value: {
        file: value,
        points: value.track.lonDeg.length,
        lengthM: profile.lengthM,
        climbM: profile.totalClimbM,
        rawClimbM: profile.rawClimbM,
        highestM: profile.highestM,
        lowestM: profile.lowestM,
        hasHeights: profile.hasHeights,
        mended: mended.mended,
        outlineM,
      },
      problems,
    };
  },

  /** Where places lie on a track that is not the plan's yet. */
  locateOn(track: TrackPoints, places: { lonDeg: number; latDeg: number }[]): Located[] {
    const profile = buildProfile(mendTracks([track]), false);
    return places.map((place) => locate(profile, place.lonDeg, place.latDeg));
  },

  cancelReading(): void {
    cancelled = true;
  },

  async readPlan(file: Blob): Promise<Reading<PlanFile>> {
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
    return readPlanFile(data);
  },
};

export type CoreApi = typeof api;

expose(api);
