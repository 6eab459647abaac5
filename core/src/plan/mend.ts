/**
 * A document that breaks a limit or a name, and nothing else, is brought within the schema and told: a list that is too
 * long, a text that is, a name that nobody sees, two rows of one id. Whoever wrote it keeps what they have; what is cut
 * off stays in the file, or comes back by undo.
 */
import type { z } from "zod";
import type { Problem } from "../units/problem.ts";
import { LISTS, type ListName } from "./lists.ts";
import type { Plan } from "./schema.ts";
import { UNSEEN } from "./visible.ts";

type Path = readonly PropertyKey[];
type Part = Record<PropertyKey, unknown>;

/** The document without what the issues complain of, and what was done; undefined where one of them is of another kind. */
export function withinLimits(
  document: unknown,
  issues: readonly z.core.$ZodIssue[],
  placeOf: (path: Path) => string,
): { document: unknown; told: Problem[] } | undefined {
  if (issues.some((issue) => !mendOf(issue))) return undefined;
  const mended = structuredClone(document);
  const told: Problem[] = [];
  for (const issue of issues) {
    const holder = issue.path.slice(0, -1).reduce<unknown>((part, key) => (part as Part | undefined)?.[key], mended);
    const key = issue.path.at(-1);
    const place = placeOf(issue.path);
    // Of what is wrong in two ways one mend is enough.
    if (told.some((problem) => problem.place === place)) continue;
    const mend = mendOf(issue);
    if (key === undefined || typeof holder !== "object" || holder === null || !mend) return undefined;
    (holder as Part)[key] = mend.value;
    told.push({ severity: "caution", place, sentence: mend.sentence });
  }
  return { document: mended, told };
}

const UNNAMED = "Unnamed";

function mendOf(issue: z.core.$ZodIssue): { value: unknown; sentence: string } | undefined {
  const { input } = issue;
  if (issue.code === "too_big" && Array.isArray(input)) {
    const most = Number(issue.maximum);
    return {
      value: input.slice(0, most),
      sentence: `Of ${input.length} entries the first ${most} were taken, the most there can be.`,
    };
  }
  if (typeof input !== "string") return undefined;
  if (issue.code === "too_big") {
    const most = Number(issue.maximum);
    return { value: input.slice(0, most), sentence: `A text of ${input.length} characters was cut to ${most}.` };
  }
  const isUnseen = issue.code === "custom" && issue.message === UNSEEN;
  if (isUnseen || (issue.code === "too_small" && issue.path.at(-1) === "name"))
    return { value: UNNAMED, sentence: `A name that can’t be seen was replaced by “${UNNAMED}”.` };
  return undefined;
}

/** Of rows of one id the first keeps it: the very same again goes, another gets an id of its own. */
export function withoutTwins(plan: Plan): Problem[] {
  const told: Problem[] = [];
  for (const name of Object.keys(LISTS) as ListName[]) {
    const rows = LISTS[name](plan) as { id: string }[];
    const known = new Map(rows.map((row) => [row.id, JSON.stringify(row)] as const).reverse());
    if (known.size === rows.length) continue;
    const seen = new Set<string>();
    const kept = rows.flatMap((row) => {
      if (!seen.has(row.id)) return (seen.add(row.id), [row]);
      if (known.get(row.id) === JSON.stringify(row)) return [];
      let n = 2;
      while (known.has(`${row.id.slice(0, MOST_BASE)}-${n}`) || seen.has(`${row.id.slice(0, MOST_BASE)}-${n}`)) n++;
      const id = `${row.id.slice(0, MOST_BASE)}-${n}`;
      seen.add(id);
      return [{ ...row, id }];
    });
    const twins = rows.length - known.size;
    told.push({
      severity: "caution",
      place: name,
      sentence: `${twins === 1 ? "1 entry" : `${twins} entries`} shared an id with another: copies were left out, others got a new id.`,
    });
    rows.splice(0, rows.length, ...kept);
  }
  return told;
}

const MOST_BASE = 72;
