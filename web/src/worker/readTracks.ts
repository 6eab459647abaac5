/** Track files into one trail: read piece by piece, joined in the order that their ends give, and measured. */
import {
  buildProfile,
  guessSea,
  mendTracks,
  refused,
  tooLong,
  type Mended,
  type MendedTrack,
  type Problem,
  type Reading,
  type SeaWord,
  type SortedKind,
  type TrackFile,
} from "@gepack/core";
import type { JobControl } from "./control.ts";

export interface NamedFile {
  file: Blob;
  /** Without its ending. */
  name: string;
}

export interface TrackFiles extends NamedFile {
  trackId: string;
  /** Further files of the same trail. */
  more?: readonly NamedFile[];
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

export const MAX_FILE_BYTES = 150_000_000;
const CHUNK_BYTES = 1_000_000;
const OUTLINE_STEPS = 400;
/** What tells the encoding and the format stands in these. */
const HEAD_BYTES = 4000;

export async function readTracks(
  files: readonly NamedFile[],
  trackId: string,
  control: JobControl,
): Promise<Reading<TrackPreview>> {
  const { arrangeTrack, joinTracks, sortWaypoint } = await import("./readers.ts");
  const found: TrackFile[] = [];
  const problems: Problem[] = [];
  for (const [i, one] of files.entries()) {
    // Of several files the one that was at fault is named.
    const named = (problem: Problem): Problem =>
      files.length === 1 ? problem : { ...problem, place: `${one.name}, ${problem.place}` };
    const reading = await readFile(one, trackId, control, (fraction) => (i + fraction) / files.length);
    problems.push(...reading.problems.map(named));
    if (!reading.value) return { value: undefined, problems: reading.problems.map(named) };
    found.push(reading.value);
  }
  const { track, asRecorded, pieces, turned, longestGapM } = arrangeTrack(joinTracks(found.map((one) => one.track)));
  if (!asRecorded)
    problems.push({
      severity: "caution",
      place: "file",
      sentence: `The ${pieces} tracks did not follow each other; they were put in order by their ends, ${turned} of them turned round, and the longest gap left is ${(longestGapM / 1000).toFixed(1)} km. Look at the profile before you use it.`,
    });
  const waypoints = found.flatMap((one) => one.waypoints);
  const mended = mendTracks([track]);
  const refusal = tooLong(mended);
  if (refusal !== undefined) return refused("file", refusal);
  const file: TrackFile = { track, waypoints, from: found[0]!.from };
  return { value: previewOf(file, mended, waypoints.map(sortWaypoint)), problems };
}

/** One file, whatever its format. */
async function readFile(
  { file, name }: NamedFile,
  trackId: string,
  { progress, breathe }: JobControl,
  share: (fraction: number) => number,
): Promise<Reading<TrackFile>> {
  if (file.size > MAX_FILE_BYTES)
    return refused(
      "file",
      `The file is ${Math.round(file.size / 1e6)} MB; up to ${MAX_FILE_BYTES / 1e6} MB is read. Thin the track to a point every 10 m or split it.`,
    );
  const { encodingOf, isPacked, trackReaderFor, unpacker } = await import("./readers.ts");
  const head = new Uint8Array(await file.slice(0, HEAD_BYTES).arrayBuffer());
  const encoding = encodingOf(head);
  const [decoder, text] = [decoderOf(encoding), decoderOf(encoding)];
  if (!decoder || !text)
    return refused("file", `The file is written in ${encoding}, which is not read here. Save it as UTF-8.`);
  const packed = isPacked(head) ? unpacker() : undefined;
  // What comes out of a packed file is not known before its first piece is there.
  let reader = packed ? undefined : trackReaderFor(decoder.decode(head, { stream: true }), trackId, name);
  for (let at = 0; at < file.size && !reader?.failed(); at += CHUNK_BYTES) {
    const bytes = new Uint8Array(await file.slice(at, at + CHUNK_BYTES).arrayBuffer());
    const last = at + CHUNK_BYTES >= file.size;
    packed?.push(bytes, last);
    const refusal = packed?.problem();
    if (refusal !== undefined) return refused("file", refusal);
    const piece = packed ? packed.take() : text.decode(bytes, { stream: !last });
    if (piece !== "") (reader ??= trackReaderFor(piece, trackId, name)).write(piece);
    progress(share(Math.min(1, (at + CHUNK_BYTES) / file.size)), reader?.pointCount() ?? 0);
    await breathe();
  }
  return (reader ?? trackReaderFor("", trackId, name)).close();
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
