/** Dates as hikers type them: `3 May`, `3.5.`, `3 May 2027`, `2027-05-03`; a year that is left out is the one nearest. */
import { format, isValid, parse, parseISO } from "date-fns";

const WITH_YEAR = ["yyyy-MM-dd", "d MMM yyyy", "d MMMM yyyy", "d.M.yyyy", "MMM d yyyy", "MMMM d yyyy", "d MMM yy"];
const WITHOUT_YEAR = ["d MMM", "d MMMM", "d.M.", "d.M", "MMM d", "MMMM d"];

/** ISO date of typed text, or what is wrong with it. `near` is an ISO date whose year is meant where none is typed. */
export function parseDate(text: string, near: string): { iso: string } | { error: string } {
  const tidy = text
    .trim()
    .replace(/,/g, " ")
    .replace(/\s+/g, " ")
    .replace(/(\d\.) (?=\d)/g, "$1");
  const bad = { error: `“${text.trim().slice(0, 30)}” is not a day. Type it as 3 May, 3.5. or 2027-05-03.` };
  if (/^\d{1,2}\/\d{1,2}/.test(tidy))
    return { error: "Day and month cannot be told apart with a slash. Type it as 3 May, 3.5. or 2027-05-03." };
  const reference = parseISO(near);
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

const inReach = (date: Date): boolean => date.getFullYear() >= 1970 && date.getFullYear() <= 2199;
const outOfReach = (): { error: string } => ({ error: "Years from 1970 to 2199 are understood." });

/** `3 May 2027` of an ISO date. */
export function longDate(iso: string): string {
  return format(parseISO(iso), "d MMMM yyyy");
}
