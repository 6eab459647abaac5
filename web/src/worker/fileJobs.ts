/** Jobs that read what comes from outside: tracks, tables, plan files, recorded walks. */
import {
  buildProfile,
  computePlan,
  decoded,
  locate,
  repairTracks,
  readFoodTable,
  readKitLines,
  readKitTable,
  readPlan,
  readPlanFile,
  refused,
  shakedownOf,
  simulatedStations,
  sortWaypoint,
  type ClimateStation,
  type CoarseRow,
  type CoarseTrack,
  type FoodTable,
  type FoodTold,
  type Hiker,
  type KitTable,
  type Located,
  type NewPieces,
  type OwnWord,
  type PartChoice,
  type Plan,
  type PlanFile,
  type Problem,
  type Profile,
  type ReadResult,
  type SeaWord,
  type Shakedown,
  type SortedKind,
  type TrackPoints,
  type WaypointWords,
} from "@gepack/core";
import { tooLargeFile } from "../words/cautions.ts";
import type { JobControl } from "./control.ts";
import type { NamedFile } from "./namedFile.ts";
import { readDays, readPast, type DaysReading, type PastReading } from "./readPast.ts";
import { readTable } from "./readTable.ts";
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
import { textOf } from "./unpack.ts";
import { freshId } from "../store/made.ts";

export type FileJobs = typeof fileJobs;

/** Does a table have a first row of words, as wide as what follows? Its columns are told by hand then. */
function hasHeads([heads = [], ...body]: readonly (readonly string[])[]): boolean {
  if (heads.length < 2 || heads.some((head) => /\d/.test(head))) return false;
  return body.filter((row) => row.length === heads.length).length >= body.length / 2;
}

export const fileJobs = {
  /** Your own pace out of recorded walks. */
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
  readTrack({ file, name, trackId, more = [] }: TrackFiles, control: JobControl): Promise<ReadResult<TrackPreview>> {
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
    return places.map((words) => sortWaypoint(words, own));
  },

  /** Foods out of a table. */
  async readFoods({ file, name, sheet, ...told }: NamedFile & FoodTold & { sheet?: number | undefined }) {
    const table = await tableRows({ file, name });
    if ("problems" in table) {
      const none: FoodTable = {
        foods: [],
        basis: told.basis ?? "per-100",
        heads: [],
        columns: {},
        problems: table.problems,
      };
      return { ...none, sheets: [], sheet: 0 };
    }
    return ofSheets(table.sheets, sheet, (rows) => readFoodTable(rows, () => `food-${freshId()}`, told));
  },

  /** Pieces of kit out of a table, or of lines. */
  async readKit({
    file,
    name,
    columns,
    comma,
    sheet,
    ...made
  }: NamedFile &
    Omit<NewPieces, "idOf"> & {
      columns?: KitTable["columns"] | undefined;
      comma?: boolean | undefined;
      sheet?: number | undefined;
    }): Promise<KitTable & OfSheets> {
    const table = await tableRows({ file, name });
    const isWorkbook = /\.xlsx$/i.test(name);
    const kit = { ...made, idOf: freshId };
    const typed = async (): Promise<string> => decoded(new Uint8Array(await file.arrayBuffer()));
    // What is no table may be lines as people type them, and so may rows that name no columns.
    if ("problems" in table) {
      const list = isWorkbook ? undefined : readKitLines(await typed(), kit);
      const none: KitTable = { heads: [], columns: {}, pieces: [], problems: table.problems };
      return { ...(list && list.pieces.length > 0 ? list : none), sheets: [], sheet: 0 };
    }
    const list = ofSheets(table.sheets, sheet, (rows) => readKitTable(rows, kit, columns, comma));
    const { rows } = table.sheets[list.sheet]!;
    if (columns !== undefined || list.isNamed || hasHeads(rows)) return list;
    const text = isWorkbook ? rows.map((row) => row.join("\t")).join("\n") : await typed();
    return { ...list, ...readKitLines(text, kit), heads: list.heads, columns: list.columns };
  },

  /** Where places are on a track that is not the plan's yet. */
  locateOn({ tracks, places }: { tracks: TrackPoints[]; places: { lonDeg: number; latDeg: number }[] }): Located[] {
    const profile = buildProfile(repairTracks(tracks), false);
    return places.map((place) => locate(profile, place.lonDeg, place.latDeg));
  },

  /** Weather stations along a track, from latitude, height and the distance of the sea. */
  simulateOn({ track, sea }: { track: TrackPoints; sea: SeaWord }): ClimateStation[] {
    return simulatedStations(buildProfile(repairTracks([track]), false), sea);
  },

  readPlan({ file }: { file: Blob }): Promise<ReadResult<PlanFile>> {
    return planFileOf(file);
  },

  /** A document from storage, read like one from a file: what is kept may be damaged too. */
  async readStored({ doc }: { doc: unknown }): Promise<ReadResult<Plan>> {
    return readPlan(doc);
  },
};

/** A plan file, read and computed once. */
async function planFileOf(file: Blob): Promise<ReadResult<PlanFile>> {
  if (file.size === 0) return refused("file", "This file is empty. Choose a plan file exported from Gepack.");
  if (file.size > MAX_FILE_BYTES) return refused("file", tooLargeFile(file.size, MAX_FILE_BYTES));
  const text = await textOf(file, MAX_FILE_BYTES);
  if (text === undefined)
    return refused("file", `Unpacked, this file is over ${MAX_FILE_BYTES / 1e6} MB, or it isn’t gzip.`);
  let data: unknown;
  try {
    data = JSON.parse(text);
  } catch (error) {
    return refused(
      "file",
      `This isn’t a plan file: ${error instanceof Error ? error.message : "no JSON"}. Choose a .gepack.json file exported from Gepack.`,
    );
  }
  const read = readPlanFile(data);
  // What cannot be computed is refused here, before it takes the place of anything.
  if (read.value && read.value.tracks.length > 0) computePlan(read.value.plan, read.value.tracks);
  return read;
}

/** The sheets that there are, and the one that was read. */
export interface OfSheets {
  sheets: string[];
  sheet: number;
}

/** The sheet that is told, else the one that has the most of what is looked for. */
function ofSheets<Table extends { columns: object } & ({ pieces: unknown[] } | { foods: unknown[] })>(
  sheets: readonly Rows[],
  told: number | undefined,
  read: (rows: string[][]) => Table,
): Table & OfSheets {
  const all = sheets.map(({ rows }) => read(rows));
  const worth = (table: Table): number => {
    const { length } = "pieces" in table ? table.pieces : table.foods;
    return length === 0 ? 0 : length + MOST_ROWS * Object.keys(table.columns).length;
  };
  const likeliest = all.reduce((best, table, i) => (worth(table) > worth(all[best]!) ? i : best), 0);
  const sheet = told !== undefined && told < all.length ? told : likeliest;
  return { ...all[sheet]!, sheets: sheets.map(({ name }) => name), sheet };
}

/** A sheet of many rows does not go before one that names more columns. */
const MOST_ROWS = 10_000;

interface Rows {
  name: string;
  rows: string[][];
}

/** The rows of a table, or of each sheet; or why it is none. */
async function tableRows(given: NamedFile): Promise<{ sheets: Rows[] } | { problems: Problem[] }> {
  const table = await readTable(given);
  if (table?.value) return { sheets: table.value.sheets ?? [{ name: given.name, rows: table.value.rows }] };
  const sentence = "This isn’t a table. Use a CSV or a spreadsheet with a header row.";
  return { problems: table?.problems ?? [{ severity: "error", place: given.name, sentence }] };
}
