/** Track files into one trail: read piece by piece, joined in the order that their ends give, and measured. */
import {
  arrangeParts,
  buildProfile,
  coarseTrack,
  distanceM,
  encodingOf,
  guessSea,
  isFit,
  isPacked,
  joinPlaces,
  repairTracks,
  partsOfFile,
  proposeChoices,
  refused,
  tooLong,
  trackReaderFor,
  unpacker,
  type CoarseRow,
  type CoarseTrack,
  type Repairs,
  type RepairedTrack,
  type Part,
  type PartChoice,
  type Problem,
  type ReadResult,
  type SeaWord,
  type TrackFile,
  type TrackPoints,
  type Waypoint,
} from "@gepack/core";
import { tooLargeFile } from "../words/cautions.ts";
import { counted } from "../words/counted.ts";
import type { JobControl } from "./control.ts";
import type { NamedFile } from "./namedFile.ts";
import { readTable, type TableText } from "./readTable.ts";

export interface TrackFiles extends NamedFile {
  trackId: string;
  /** Further files of the same trail. */
  more?: readonly NamedFile[];
}

/** One of the tracks that files hold, as it is shown to choose from. */
export interface PartPreview extends Part {
  lengthM: number;
  /** Its shape seen from above: x east and y south by turns, the longer side 0 to 1. */
  shape: Float32Array;
}

/** What the chosen tracks look like as one trail, before it is taken. */
export interface LaidPreview {
  track: TrackPoints;
  alternates: TrackPoints[];
  choices: readonly PartChoice[];
  /** Straight lines that are longer than is joined without asking. */
  gaps: { atM: number; lengthM: number; before: string; after: string }[];
  points: number;
  lengthM: number;
  climbM: number;
  rawClimbM: number;
  highestM: number;
  lowestM: number;
  hasHeights: boolean;
  repairs: Repairs;
  /** How far the sea may be, from the heights alone. */
  seaGuess: SeaWord;
  /** Heights at even steps, for a small drawing. */
  outlineM: Float32Array;
}

/** All that was read; without a track where the files hold places alone. */
export interface TrackPreview extends LaidPreview {
  name: string;
  from: TrackFile["from"];
  /** The day of the first point that has a time. */
  firstDate: string | undefined;
  /** Rows of places by their distance, where a file holds such. */
  table: TableText | undefined;
  parts: PartPreview[];
  waypoints: Waypoint[];
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
): Promise<ReadResult<TrackPreview>> {
  const found: TrackFile[] = [];
  const tables: TableText[] = [];
  const problems: Problem[] = [];
  for (const [i, one] of files.entries()) {
    const table = await readTable(one);
    if (table?.value) {
      tables.push(table.value);
      continue;
    }
    // Of several files the one that was at fault is named.
    const named = (problem: Problem): Problem =>
      files.length === 1 ? problem : { ...problem, place: `${one.name}, ${problem.place}` };
    const reading = table
      ? { value: undefined, problems: table.problems }
      : await readFile(one, `${trackId}-${i}`, control, (fraction) => (i + fraction) / files.length);
    problems.push(...reading.problems.map(named));
    if (!reading.value) return { value: undefined, problems: reading.problems.map(named) };
    found.push(reading.value);
  }
  if (tables.length > 1)
    problems.push({
      severity: "caution",
      place: "file",
      sentence: `There are ${tables.length} tables; ${tables[0]!.name} was read. Import the others one at a time.`,
    });
  const parts = found.flatMap(partsOfFile).map((part): PartPreview => ({ ...part, ...shapeOf(part.track) }));
  const { places: waypoints, again } = joinPlaces(found.map((one) => one.waypoints));
  if (again > 0)
    problems.push({
      severity: "note",
      place: "places",
      sentence: `${counted(again, "place is", "places are")} in more than one file; each is taken once.`,
    });
  const read = {
    // One of several tracks is not named like the whole.
    name: parts.length === 1 && parts[0]!.track.name !== "" ? parts[0]!.track.name : files[0]!.name,
    from: found[0]?.from ?? "track",
    firstDate: found.find(({ firstDate }) => firstDate !== undefined)?.firstDate,
    table: tables[0],
    parts,
    waypoints,
  };
  if (parts.length === 0) return { value: { ...read, ...NO_TRACK }, problems };
  const laid = layParts(parts, proposeChoices(parts), trackId, read.name);
  return typeof laid === "string" ? refused("file", laid) : { value: { ...read, ...laid }, problems };
}

/** A trail of which only a table is known, laid and measured; a sentence where the rows make none. */
export function layTable(rows: readonly CoarseRow[], place: CoarseTrack): LaidPreview | string {
  const track = coarseTrack(rows, place);
  if (!track)
    return "This table doesn’t make a trail: at least two rows must be some distance apart. Check which column is the distance.";
  const repairs = repairTracks([track]);
  return tooLong(repairs) ?? { ...previewOf(track, repairs), alternates: [], choices: [], gaps: [] };
}

/** Longer straight lines are not walked without asking. */
const ASK_FROM_M = 2000;

/** The tracks as they are chosen, measured; a sentence where they make no trail. */
export async function arrange(
  parts: readonly PartPreview[],
  choices: readonly PartChoice[],
  trackId: string,
  name: string,
): Promise<LaidPreview | string> {
  return layParts(parts, choices, trackId, name);
}

function layParts(
  parts: readonly PartPreview[],
  choices: readonly PartChoice[],
  trackId: string,
  name: string,
): LaidPreview | string {
  const { track, alternates, gaps: between } = arrangeParts(parts, choices, trackId);
  const repairs = repairTracks([track]);
  const refusal = tooLong(repairs);
  if (refusal !== undefined) return refusal;
  const nameOf = (index: number): string => parts[index]!.track.name || `track ${index + 1}`;
  const sameLength = (a: number, b: number): boolean => Math.abs(a - b) < 1;
  const named = between.map(({ lengthM, before, after }) => ({
    atM: repairs.repairs.gaps.find((gap) => sameLength(gap.lengthM, lengthM))?.atM ?? 0,
    lengthM,
    before: nameOf(before),
    after: nameOf(after),
  }));
  // A track's own gaps stand among those between tracks: those are given by their names.
  const within = repairs.repairs.gaps
    .filter(({ lengthM }) => !named.some((gap) => sameLength(gap.lengthM, lengthM)))
    .map((gap) => ({ ...gap, before: "", after: "" }));
  return {
    ...previewOf({ ...track, name }, repairs),
    alternates,
    choices,
    gaps: [...named, ...within].filter(({ lengthM }) => lengthM > ASK_FROM_M),
  };
}

const SHAPE_POINTS = 60;

/** Seen from above, flat about its middle. */
function shapeOf({ lonDeg, latDeg }: TrackPoints): Pick<PartPreview, "lengthM" | "shape"> {
  let lengthM = 0;
  for (let i = 1; i < lonDeg.length; i++) lengthM += distanceM(lonDeg[i - 1]!, latDeg[i - 1]!, lonDeg[i]!, latDeg[i]!);
  const count = Math.min(SHAPE_POINTS, lonDeg.length);
  const at = Array.from({ length: count }, (_, k) => Math.round((k * (lonDeg.length - 1)) / (count - 1)));
  const narrow = Math.cos((latDeg[Math.floor(latDeg.length / 2)]! * Math.PI) / 180);
  const first = lonDeg[0]!;
  const x = at.map((i) => (((((lonDeg[i]! - first + 180) % 360) + 360) % 360) - 180) * narrow);
  const y = at.map((i) => -latDeg[i]!);
  const [left, top] = [Math.min(...x), Math.min(...y)];
  const side = Math.max(Math.max(...x) - left, Math.max(...y) - top, 1e-9);
  return { lengthM, shape: Float32Array.from(at.flatMap((_, k) => [(x[k]! - left) / side, (y[k]! - top) / side])) };
}

const NO_TRACK: LaidPreview = {
  track: {
    id: "",
    name: "",
    lonDeg: new Float64Array(),
    latDeg: new Float64Array(),
    heightM: new Float32Array(),
    segmentStarts: new Uint32Array(),
  },
  alternates: [],
  choices: [],
  gaps: [],
  points: 0,
  lengthM: 0,
  climbM: 0,
  rawClimbM: 0,
  highestM: 0,
  lowestM: 0,
  hasHeights: false,
  repairs: {
    doubledPoints: 0,
    flungPoints: 0,
    missingHeights: 0,
    spikedHeights: 0,
    spacingM: 0,
    gaps: [],
    heightless: [],
  },
  seaGuess: "inland",
  outlineM: new Float32Array(),
};

/** One file, whatever its format. */
async function readFile(
  { file, name }: NamedFile,
  trackId: string,
  { progress, breathe }: JobControl,
  share: (fraction: number) => number,
): Promise<ReadResult<TrackFile>> {
  if (file.size > MAX_FILE_BYTES)
    return refused(
      "file",
      `${tooLargeFile(file.size, MAX_FILE_BYTES)} Thin the track to one point per 10 m or split it.`,
    );
  const head = new Uint8Array(await file.slice(0, HEAD_BYTES).arrayBuffer());
  const encoding = encodingOf(head);
  const [decoder, text] = [decoderOf(encoding), decoderOf(encoding)];
  if (!decoder || !text)
    return refused("file", `This file is in ${encoding}, which isn’t supported. Save it as UTF-8.`);
  if (isFit(head)) {
    const { readFit } = await import("./fit.ts");
    return readFit(new Uint8Array(await file.arrayBuffer()), trackId, name);
  }
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

function previewOf(track: TrackPoints, repairs: RepairedTrack): Omit<LaidPreview, "alternates" | "choices" | "gaps"> {
  const profile = buildProfile(repairs, false);
  const outlineM = Float32Array.from(
    { length: OUTLINE_STEPS + 1 },
    (_, i) => profile.heightM[Math.round((i / OUTLINE_STEPS) * profile.cellCount)]!,
  );
  return {
    track,
    points: track.lonDeg.length,
    lengthM: profile.lengthM,
    climbM: profile.totalClimbM,
    rawClimbM: profile.rawClimbM,
    highestM: profile.highestM,
    lowestM: profile.lowestM,
    hasHeights: profile.hasHeights,
    repairs: repairs.repairs,
    seaGuess: guessSea(profile),
    outlineM,
  };
}
