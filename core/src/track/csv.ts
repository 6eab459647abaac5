/**
 * Points as a table: a head that names latitude and longitude, and height where it has one; a row a point. Where most
 * rows have a name the rows are places, with all their texts.
 */
import Papa from "papaparse";
import { type ReadResult, refused } from "../units/problem.ts";
import { Collected, type TrackFile } from "./collect.ts";
import { wordsOf } from "./words.ts";

class Refused extends Error {}

const COLUMNS = {
  latDeg: /^(lat|latitude|latdeg|breite|breitengrad|y)\b/i,
  lonDeg: /^(lon|lng|long|longitude|londeg|lange|länge|längengrad|x)\b/i,
  heightM: /^(ele|elev|elevation|alt|altitude|height|heightm|höhe|hohe|z)\b/i,
} as const;

const NAMES = /^(name|title|place|waypoint|label|ort|nom|nombre|nome)$/i;

/** What parts the columns of the head: the commonest of the four. A guess over all rows takes 1,5 for two. */
export function delimiterOf(head: string): string {
  const count = (mark: string): number => head.split(mark).length;
  return [";", "\t", "|", ","].reduce((best, mark) => (count(mark) > count(best) ? mark : best));
}

const MOST_TITLES = 30;

/** The same of a text whose heads may come after titles: of the first line whose mark the next one has too. */
export function delimiterIn(text: string): string {
  const lines = text
    .trimStart()
    .split(/\r\n?|\n/, MOST_TITLES)
    .filter((line) => line.trim() !== "");
  for (const [i, line] of lines.entries()) {
    const mark = delimiterOf(line);
    if (line.includes(mark) && (lines[i + 1] ?? "").includes(mark)) return mark;
  }
  return delimiterOf(lines[0] ?? "");
}

/** Does a first line name both coordinates? */
export function namesCoordinates(line: string): boolean {
  const cells = line.split(delimiterOf(line)).map((cell) => cell.trim().replace(/^"|"$/g, ""));
  return cells.some((cell) => COLUMNS.latDeg.test(cell)) && cells.some((cell) => COLUMNS.lonDeg.test(cell));
}

export function readPointTable(source: string, trackId = "track", fileName = "track"): ReadResult<TrackFile> {
  const head = /^[^\r\n]*/.exec(source)![0];
  const delimiter = delimiterOf(head);
  const { data } = Papa.parse<string[]>(source, { delimiter, skipEmptyLines: true });
  const [names = [], ...rows] = data;
  const column = (name: keyof typeof COLUMNS): number => names.findIndex((cell) => COLUMNS[name].test(cell.trim()));
  const [lat, lon, height] = [column("latDeg"), column("lonDeg"), column("heightM")];
  if (lat < 0 || lon < 0)
    return refused("row 1", "The first row has no latitude and longitude columns: name them lat and lon.");
  const named = names.findIndex((cell) => NAMES.test(cell.trim()));
  const filled = named < 0 ? [] : rows.flatMap((row) => row[named]?.trim() || []);
  const arePlaces = filled.length > rows.length / 2 && new Set(filled).size > filled.length / 2;
  const wordsIn = (row: readonly string[]) =>
    wordsOf(names.map((name, c) => [c === named ? "name" : name, c === lat || c === lon ? "" : row[c]] as const));
  const found = new Collected((sentence) => {
    throw new Refused(sentence);
  });
  // Where columns are parted by another mark, a comma is a decimal sign.
  const number = (cell: string | undefined): string =>
    delimiter === "," ? (cell ?? "") : (cell ?? "").replace(",", ".");
  const degrees = (cell: string | undefined): number => (number(cell).trim() === "" ? NaN : Number(number(cell)));
  try {
    for (const [i, row] of rows.entries())
      if (arePlaces) found.waypoint(degrees(row[lon]), degrees(row[lat]), wordsIn(row), i + 2);
      else
        found.point(found.tracks, degrees(row[lon]), degrees(row[lat]), found.height(number(row[height] ?? "")), i + 2);
    const why = found.tooFew();
    if (why !== undefined) return refused("file", why);
  } catch (error) {
    if (error instanceof Refused) return refused("file", error.message);
    throw error;
  }
  return found.take(trackId, fileName);
}
