/**
 * Reports on water out of lines of anybody's: a day, the name of a source, a word for what was seen, in any order, with
 * a note in what is left. Line by line: what does not read is said and left out.
 */
import type { ReportWord, Source } from "../plan/schema.ts";
import { dayNumber } from "../units/day.ts";
import { plainName } from "../units/text.ts";
import { onlyFirst, type Problem } from "../units/problem.ts";

const WORDS: readonly (readonly [ReportWord, RegExp])[] = [
  ["dry", /^(dry|none|no water|no|empty|gone|trocken)$/i],
  ["trickle", /^(trickle|trickling|drip|dripping|low|slow|little|seep|weak)$/i],
  ["flowing", /^(flowing|flow|running|good|strong|full|yes|water|ok|wet|fine)$/i],
];
const MONTHS = ["jan", "feb", "mar", "apr", "may", "jun", "jul", "aug", "sep", "oct", "nov", "dec"];
const MOST_LINES = 2000;
const MOST_PROBLEMS = 12;

export interface ReadReport {
  sourceId: string;
  date: string;
  said: ReportWord;
  note: string;
}

export interface ReportReading {
  reports: ReadReport[];
  problems: Problem[];
}

/** `latest` is the last day on which anybody can have seen anything. */
export function readReports(
  rows: readonly (readonly string[])[],
  sources: readonly Pick<Source, "id" | "name">[],
  latest?: string,
): ReportReading {
  const reports: ReadReport[] = [];
  const problems: Problem[] = [];
  const say = (line: number, sentence: string): void => {
    if (problems.length < MOST_PROBLEMS) problems.push({ severity: "error", place: `line ${line + 1}`, sentence });
  };
  const byName = new Map(sources.map(({ id, name }) => [plainName(name), id]));
  if (rows.length > MOST_LINES) say(MOST_LINES, onlyFirst(MOST_LINES));
  for (const [line, row] of rows.slice(0, MOST_LINES).entries()) {
    const cells = row.map((cell) => cell.trim()).filter((cell) => cell !== "");
    if (cells.length === 0 || (line === 0 && cells.every((cell) => dateIn(cell) === undefined))) continue;
    const date = cells.map(dateIn).find((found) => found !== undefined);
    const said = cells.map(wordIn).find((found) => found !== undefined);
    const sourceId = cells.map((cell) => byName.get(plainName(cell))).find((found) => found !== undefined);
    if (date === undefined) say(line, "This line has no date such as 2027-05-02 or 2 May 2027.");
    else if (sourceId === undefined) say(line, `No word here matches a source in your plan: ${cells.join(", ")}.`);
    else if (said === undefined) say(line, "This line needs “flowing”, “trickle” or “dry”.");
    else if (latest !== undefined && date > latest) say(line, `${date} is in the future.`);
    else {
      const rest = cells.filter(
        (cell) => dateIn(cell) === undefined && wordIn(cell) === undefined && !byName.has(plainName(cell)),
      );
      reports.push({ sourceId, date, said, note: rest.join(", ").slice(0, 80) });
    }
  }
  return { reports, problems };
}

function wordIn(cell: string): ReportWord | undefined {
  return WORDS.find(([, pattern]) => pattern.test(cell))?.[0];
}

function dateIn(cell: string): string | undefined {
  const iso = /^(\d{4})-(\d{2})-(\d{2})$/.exec(cell);
  if (iso) return isDay(cell) ? cell : undefined;
  const named = /^(\d{1,2})\.? ([a-z]{3})[a-z]*\.?,? (\d{4})$/i.exec(cell);
  const month = named ? MONTHS.indexOf(named[2]!.toLowerCase()) + 1 : 0;
  if (!named || month === 0) return undefined;
  const text = `${named[3]}-${String(month).padStart(2, "0")}-${named[1]!.padStart(2, "0")}`;
  return isDay(text) ? text : undefined;
}

const isDay = (iso: string): boolean => dayNumber(iso) !== undefined;
