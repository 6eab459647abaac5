/** Dates as hikers type them: `3 May`, `3.5.`, `3 May 2027`, `2027-05-03`; a year that is left out is the one nearest. */
import { format, isValid, parse, parseISO } from "date-fns";
import { twoReadings } from "./quantity.ts";

const WITH_YEAR = ["yyyy-MM-dd", "d MMM yyyy", "d MMMM yyyy", "d.M.yyyy", "MMM d yyyy", "MMMM d yyyy", "d MMM yy"];
const WITHOUT_YEAR = ["d MMM", "d MMMM", "d.M.", "d.M", "MMM d", "MMMM d"];

/** What was typed; `or` where day and month can be told the other way round as well. */
export type ParsedDate = { iso: string; or?: string } | { error: string };

/** ISO date of typed text, or what is wrong with it. `near` is an ISO date whose year is meant where none is typed. */
export function parseDate(text: string, near: string): ParsedDate {
  const tidy = text
    .trim()
    .replace(/,/g, " ")
    .replace(/\s+/g, " ")
    .replace(/(\d\.) (?=\d)/g, "$1");
  const bad = { error: `“${text.trim().slice(0, 30)}” isn’t a date. Type it as 3 May, 3.5. or 2027-05-03.` };
  const reference = parseISO(near);
  const slashes = /^(\d{1,2})\/(\d{1,2})(?:\/(\d{2}|\d{4}))?$/.exec(tidy);
  if (slashes) {
    const year = slashes[3] === undefined ? near.slice(0, 4) : slashes[3].padStart(4, "20");
    const [iso, or] = [
      ...new Set(
        ["M/d/yyyy", "d/M/yyyy"].flatMap((order) => {
          const date = parse(`${slashes[1]}/${slashes[2]}/${year}`, order, reference);
          return isValid(date) ? [format(date, "yyyy-MM-dd")] : [];
        }),
      ),
    ];
    if (iso === undefined) return bad;
    return inReach(parseISO(iso)) ? { iso, ...(or === undefined ? {} : { or }) } : outOfReach();
  }
  for (const pattern of WITH_YEAR) {
    const date = parse(tidy, pattern, reference);
    if (isValid(date)) return inReach(date) ? { iso: format(date, "yyyy-MM-dd") } : outOfReach();
  }
  for (const pattern of WITHOUT_YEAR) {
    const date = parse(tidy, pattern, reference);
    if (isValid(date)) return { iso: format(date, "yyyy-MM-dd") };
  }
  return bad;
}

/** The same where nobody can be asked: what can be read in two ways is refused. */
export function oneDate(text: string, near: string): { iso: string } | { error: string } {
  const parsed = parseDate(text, near);
  if ("error" in parsed || parsed.or === undefined) return parsed;
  return { error: `${twoReadings(text)} Type it as 3 May, 3.5. or 2027-05-03.` };
}

const inReach = (date: Date): boolean => date.getFullYear() >= 1970 && date.getFullYear() <= 2199;
const outOfReach = (): { error: string } => ({ error: "Use a year from 1970 to 2199." });

/** `3 May 2027` of an ISO date. */
export function longDate(iso: string): string {
  return format(parseISO(iso), "d MMMM yyyy");
}

/** `29 Mar to 2 Aug 2027`: with the year where it is not the present one, and both where a year ends between. */
export function spanWords(fromIso: string, toIso: string, yearNow: number): string {
  const [from, to] = [fromIso, toIso].map((iso) => parseISO(iso));
  if (from!.getFullYear() !== to!.getFullYear())
    return `${format(from!, "d MMM yyyy")} to ${format(to!, "d MMM yyyy")}`;
  const year = from!.getFullYear() === yearNow ? "" : " yyyy";
  return `${format(from!, "d MMM")} to ${format(to!, `d MMM${year}`)}`;
}

/** `Sat 3 May` of an ISO date. */
export function weekdayDate(iso: string): string {
  return format(parseISO(iso), "EEE d MMM");
}

/** From one day of the year to another, inclusive, as MM-DD; neither for all year. */
export type Season = readonly [from: string | undefined, to: string | undefined];

const ALL_YEAR = /^(all (the )?year|always|)$/i;
const BETWEEN = /\s+to\s+|\s*[–—]\s*|\s+-\s+|\s+until\s+/i;

/** `1 Jun to 15 Oct`, also over the new year. */
export function parseSeason(text: string): { value: Season } | { error: string } {
  const tidy = text.trim();
  if (ALL_YEAR.test(tidy)) return { value: [undefined, undefined] };
  const ends = tidy.split(BETWEEN);
  const error = `“${tidy.slice(0, 30)}” isn’t a season. Type it as 1 Jun to 15 Oct, or all year.`;
  if (ends.length !== 2) return { error };
  // Of a leap year, so that 29 February is a day.
  const days = ends.map((end) => oneDate(end, "2028-01-01"));
  const [from, to] = days.map((day) => ("iso" in day ? day.iso.slice(5) : undefined));
  return from === undefined || to === undefined ? { error } : { value: [from, to] };
}

/** `1 Jun to 15 Oct` of a season. */
export function seasonWords([from, to]: Season): string {
  if (from === undefined && to === undefined) return "all year";
  const day = (monthDay: string | undefined, otherwise: string): string =>
    format(parseISO(`2028-${monthDay ?? otherwise}`), "d MMM");
  return `${day(from, "01-01")} to ${day(to, "12-31")}`;
}
