/** The page's end of the worker: starts it, asks it, and starts another when it dies. */
import type {
  Located,
  Plan,
  PlanFile,
  PlanResult,
  Profile,
  Question,
  Reading,
  SchoolFigures,
  TrackPoints,
} from "@gepack/core";
import { proxy, wrap, type Remote } from "comlink";
import type { CoreApi, Progress, TrackPreview } from "./core.worker.ts";

/** Without an answer for this long the worker counts as dead. */
const PATIENCE_MS = 8000;

export interface CoreClient {
  setTracks(tracks: TrackPoints[]): void;
  /** Only the newest plan is answered; older ones resolve to undefined. */
  compute(plan: Plan): Promise<PlanResult | undefined>;
  /** Figures come one by one; a later call ends an earlier one. */
  compareSchools(
    plan: Plan,
    hikerId: string,
    questions: readonly Question[],
    onFigures: (figures: SchoolFigures) => void,
  ): Promise<"done" | "cancelled">;
  stopComparing(): void;
  readTrack(
    file: Blob,
    name: string,
    trackId: string,
    onProgress: Progress,
  ): Promise<Reading<TrackPreview> | "cancelled">;
  cancelReading(): void;
  locateOn(track: TrackPoints, places: { lonDeg: number; latDeg: number }[]): Promise<Located[]>;
  readPlan(file: Blob): Promise<Reading<PlanFile>>;
}

export function startCore(onRestart: () => void): CoreClient {
  let tracks: TrackPoints[] = [];
  let profile: Profile | undefined;
  let profileId = 0;
  let newest = 0;
  let running: Promise<unknown> = Promise.resolve();
  let worker: Worker;
  let remote: Remote<CoreApi>;
  let failed: (error: Error) => void = () => {};

  const start = (): void => {
    worker = new Worker(new URL("./core.worker.ts", import.meta.url), { type: "module", name: "gepack-core" });
    remote = wrap<CoreApi>(worker);
    worker.onerror = (event) => {
      event.preventDefault();
      failed(new Error("worker"));
    };
    profileId = 0;
    if (tracks.length > 0) void remote.setTracks(tracks);
  };
  start();

  const restart = (): void => {
    worker.terminate();
    start();
    onRestart();
  };

  /** Asks, and on death or silence asks a fresh worker once more. */
  const ask = async <T>(question: () => Promise<T>): Promise<T> => {
    const patient = async (): Promise<T> => {
      let timer: ReturnType<typeof setTimeout>;
      return Promise.race([
        question(),
        new Promise<never>((_, reject) => {
          failed = reject;
          timer = setTimeout(() => reject(new Error("silent")), PATIENCE_MS);
        }),
      ]).finally(() => clearTimeout(timer));
    };
    try {
      return await patient();
    } catch {
      restart();
      return patient();
    }
  };

  return {
    setTracks(next) {
      tracks = next;
      void remote.setTracks(next);
    },
    compute(plan) {
      const mine = ++newest;
      const answer = running.then(async () => {
        if (mine !== newest) return undefined;
        const given = await ask(() => remote.compute(plan, profileId));
        if (given.profile) profile = given.profile as Profile;
        profileId = given.profileId;
        return mine === newest && profile ? ({ ...given.result, profile } as PlanResult) : undefined;
      });
      running = answer.catch(() => {});
      return answer;
    },
    compareSchools: (plan, hikerId, questions, onFigures) =>
      remote.compareSchools(plan, hikerId, questions, proxy(onFigures)),
    stopComparing: () => void remote.stopComparing(),
    readTrack: (file, name, trackId, onProgress) =>
      remote.readTrack(file, name, trackId, proxy(onProgress)) as Promise<Reading<TrackPreview> | "cancelled">,
    locateOn: (track, places) => remote.locateOn(track, places),
    cancelReading: () => void remote.cancelReading(),
    readPlan: (file) => remote.readPlan(file) as Promise<Reading<PlanFile>>,
  };
}
