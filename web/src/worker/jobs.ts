/**
 * The jobs a worker can do, by name: one protocol for all of them. A job gets its arguments, says how far it
 * is, and stops where it is asked to; it answers once, with plain data. What an edit needs is here; what takes
 * long and what reads files comes in chunks of its own when it is first asked for.
 */
import { Session, type Plan, type Profile, type TrackPoints } from "@gepack/core";
import type { FileJobs } from "./fileJobs.ts";
import type { Runs } from "./runs.ts";
import type { Opened } from "./opened.ts";
import { toWire, type WireResult } from "./wire.ts";

export type { JobControl } from "./control.ts";
export type { OddsStep } from "./runs.ts";
export type { LaidPreview, PartPreview, TrackPreview } from "./readTracks.ts";

/** The trail a session computes on, by a key of the page's. */
export interface Trail {
  key: string;
  /** Either is enough; a profile, of this route alone, spares the repair; tracks can be walked all ways. */
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
function createNear(beat?: () => void) {
  const session = new Session(beat);
  let trailKey = "";
  let plan: Plan | undefined;
  let profileSent: Profile | undefined;
  let profileId = 0;

  const whole = (parts: PlanParts): Plan => {
    plan = { ...plan, ...parts } as Plan;
    return plan;
  };
  const opened: Opened = {
    session,
    isOpen: (other, key) => key === trailKey && session.hasTrail(other),
  };

  const jobs = {
    /** Takes a trail; computing on it is needed with its key. */
    setTrail({ key, tracks, profile, route }: Trail): void {
      trailKey = key;
      plan = undefined;
      if (tracks) session.setTracks(tracks);
      if (profile) session.setProfile(profile, route);
    },

    /**
     * The plan computed. `"no-trail"` requires the tracks: this worker has none of that key, or knows only the
     * other direction of them. `"no-plan"` requires the whole document: it has nothing to add the parts to.
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
  };
  return { jobs, opened };
}

const FILE_JOBS = [
  "readPast", "learnFrom", "readDays", "readTrack", "arrange", "layTable", "sortPlaces", "readFoods", "readKit",
  "locateOn", "simulateOn", "readPlan", "readStored",
] as const satisfies readonly (keyof FileJobs)[]; // prettier-ignore

export type Jobs = ReturnType<typeof createNear>["jobs"] & Runs & FileJobs;
export type JobName = keyof Jobs;
export type JobArgs<Name extends JobName> = Parameters<Jobs[Name]>[0];
export type JobAnswer<Name extends JobName> = Awaited<ReturnType<Jobs[Name]>>;

/** Finds a job by its name, and fetches the chunk that it is in. */
export function createJobs(beat?: () => void): (name: JobName) => Promise<Jobs[JobName]> {
  const near = createNear(beat);
  let runs: Promise<Runs> | undefined;
  return async (name) => {
    if (Object.hasOwn(near.jobs, name)) return near.jobs[name as keyof typeof near.jobs];
    const file = FILE_JOBS.find((one) => one === name);
    if (file) return (await import("./fileJobs.ts")).fileJobs[file];
    runs ??= import("./runs.ts").then(({ createRuns }) => createRuns(near.opened));
    return (await runs)[name as keyof Runs];
  };
}
