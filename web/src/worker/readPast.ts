/** Recorded walks with times, read whole one after the other: what they say of your pace, or the days they were walked on. */
import {
  models,
  pastPace,
  readTrackFile,
  walkedDays,
  type Hiker,
  type PastPace,
  type PastWalk,
  type Profile,
  type WalkedRecord,
} from "@gepack/core";
import type { JobControl } from "./control.ts";
import type { NamedFile } from "./namedFile.ts";
import { MAX_FILE_BYTES } from "./readTracks.ts";

export interface PastReading {
  pace: PastPace;
  /** Sentences, each with the file's name. */
  problems: string[];
}

export interface DaysReading {
  record: WalkedRecord;
  problems: string[];
}

export async function readPast(
  { files, hiker }: { files: readonly NamedFile[]; hiker: Hiker },
  control: JobControl,
): Promise<PastReading> {
  const { walks, problems } = await readTimed(files, control);
  const { pace, sex, schools } = hiker;
  const walker = { sex, ownFlatKmh: pace.ownFlatKmh, ownClimbMPerH: pace.ownClimbMPerH };
  return { pace: pastPace(walks, models.time.get(schools.time), walker), problems };
}

/** The days of recorded walks on a trail. */
export async function readDays(
  { files, profile }: { files: readonly NamedFile[]; profile: Profile },
  control: JobControl,
): Promise<DaysReading> {
  const { walks, problems } = await readTimed(files, control);
  return { record: walkedDays(walks, profile), problems };
}

async function readTimed(
  files: readonly NamedFile[],
  { progress, breathe }: JobControl,
): Promise<{ walks: PastWalk[]; problems: string[] }> {
  const walks: PastWalk[] = [];
  const problems: string[] = [];
  for (const [i, { file, name }] of files.entries()) {
    progress(i / files.length);
    await breathe();
    if (file.size > MAX_FILE_BYTES) {
      problems.push(`${name}: over ${MAX_FILE_BYTES / 1e6} MB.`);
      continue;
    }
    const { value, problems: found } = readTrackFile(new Uint8Array(await file.arrayBuffer()), "past", name, true);
    if (value?.timesS) walks.push({ track: value.track, timesS: value.timesS });
    else
      problems.push(`${name}: ${found[0]?.sentence ?? "this kind of file tells no times here; use GPX, TCX or FIT."}`);
  }
  return { walks, problems };
}
