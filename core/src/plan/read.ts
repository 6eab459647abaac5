/**
 * Reads a plan document from outside: version first, then shape, then whether its parts fit together.
 * A refused document changes nothing and says where and why.
 */
import { type z } from "zod";
import { type Problem, type ReadResult, refused } from "../units/problem.ts";
import { PLAN_FORMAT, PLAN_VERSION } from "./ids.ts";
import { withinLimits, withoutTwins } from "./mend.ts";
import { migrate } from "./migrate.ts";
import { repairReferences, quoted, referenceProblems } from "./links.ts";
import { withRowIds } from "./rowIds.ts";
import { planSchema, type Plan } from "./schema.ts";

const MAX_REPORTED = 12;

/** Before it nights, water, snow and the days to send boxes went by other rules; what a plan sets of them it keeps. */
const MOVED_VERSION = 6;
const MOVED: Problem = {
  severity: "note",
  place: "version",
  sentence:
    "This plan is older than some rules: nights, days, doubtful water, snow and mailing dates may have moved. Your own settings are kept.",
};

export function readPlan(data: unknown): ReadResult<Plan> {
  if (typeof data !== "object" || data === null || Array.isArray(data))
    return refused("file", `A plan file is a JSON object with format "${PLAN_FORMAT}"; this is not one.`);
  const { format, version } = data as { format?: unknown; version?: unknown };
  if (format !== PLAN_FORMAT)
    return refused(
      "format",
      `Expected format "${PLAN_FORMAT}", found ${quoted(format)}. Choose a file that Gepack exported.`,
    );
  if (typeof version !== "number" || !Number.isInteger(version) || version < 1)
    return refused("version", `Expected a whole number from 1 to ${PLAN_VERSION}, found ${quoted(version)}.`);
  if (version > PLAN_VERSION)
    return refused(
      "version",
      `This plan was written by a newer Gepack (file version ${version}; this one reads up to ${PLAN_VERSION}). Update Gepack, then import it again.`,
    );
  const { parsed, told } = parseWithinLimits(withRowIds(migrate(data as Record<string, unknown>, version)));
  if (!parsed.success) return { value: undefined, problems: shapeProblems(parsed.error) };
  const plan = parsed.data;
  const problems = [
    ...(version < MOVED_VERSION ? [MOVED] : []),
    ...told,
    ...withoutTwins(plan),
    ...referenceProblems(plan),
    ...repairReferences(plan),
    ...repairOrder(plan),
  ];
  return problems.some((problem) => problem.severity === "error")
    ? { value: undefined, problems }
    : { value: plan, problems };
}

/** What a limit was broken by may be broken within, too: a list that is cut, and a name in what is left of it. */
const MOST_ROUNDS = 3;

function parseWithinLimits(data: unknown): { parsed: z.ZodSafeParseResult<Plan>; told: Problem[] } {
  const told: Problem[] = [];
  const first = planSchema.safeParse(data, { reportInput: true });
  let parsed = first;
  let document = data;
  for (let round = 0; !parsed.success && round < MOST_ROUNDS; round++) {
    const mended = withinLimits(document, parsed.error.issues, placeOf);
    if (!mended) return { parsed: first, told: [] };
    told.push(...mended.told.slice(0, MAX_REPORTED));
    document = mended.document;
    parsed = planSchema.safeParse(document, { reportInput: true });
  }
  return { parsed, told };
}

export function shapeProblems(error: z.ZodError): Problem[] {
  const problems: Problem[] = error.issues.slice(0, MAX_REPORTED).map((issue) => ({
    severity: "error",
    place: placeOf(issue.path) || "file",
    sentence: `${sentenceOf(issue)}.`,
  }));
  if (error.issues.length > MAX_REPORTED)
    problems.push({
      severity: "error",
      place: "file",
      sentence: `And ${error.issues.length - MAX_REPORTED} more like this.`,
    });
  return problems;
}

/** What Zod calls a kind of value, and what a person does. */
const KINDS: Readonly<Record<string, string>> = {
  string: "a text",
  number: "a number",
  int: "a whole number",
  boolean: "true or false",
  array: "a list",
  object: "an object",
  record: "an object",
};

/** Missing, of the wrong kind, and out of range are distinguished, each with what came. */
export function sentenceOf(issue: z.core.$ZodIssue): string {
  const found = `found ${quoted(issue.input)}`;
  switch (issue.code) {
    case "invalid_type": {
      const kind = KINDS[issue.expected] ?? issue.expected;
      return issue.input === undefined ? `This part is missing: expected ${kind}` : `Expected ${kind}, ${found}`;
    }
    case "too_small":
      return `Expected ${limit("at least", issue.minimum, issue.origin)}, ${foundSize(issue.input)}`;
    case "too_big":
      return `Expected ${limit("at most", issue.maximum, issue.origin)}, ${foundSize(issue.input)}`;
    case "invalid_value":
      return issue.input === undefined
        ? `This part is missing: expected one of ${issue.values.map(quoted).join(", ")}`
        : `Expected one of ${issue.values.map(quoted).join(", ")}, ${found}`;
    case "custom":
    case "invalid_format":
      return `${issue.message.replace(/^e/, "E")}, ${found}`;
    default:
      return issue.message.replace(/\.$/, "");
  }
}

function limit(which: string, size: number | bigint, origin: string): string {
  const what = origin === "string" ? " characters" : origin === "array" ? " entries" : "";
  return `${which} ${size.toString()}${what}`;
}

function foundSize(input: unknown): string {
  if (typeof input === "string" || Array.isArray(input)) return `found ${input.length}`;
  return `found ${quoted(input)}`;
}

/** Stretches whose ends are in the wrong order are turned round, and a wanted finish before the start is said. */
function repairOrder(plan: Plan): Problem[] {
  const problems: Problem[] = [];
  for (const [i, stretch] of plan.stretches.entries()) {
    if (stretch.fromM <= stretch.toM) continue;
    [stretch.fromM, stretch.toM] = [stretch.toM, stretch.fromM];
    problems.push({
      severity: "caution",
      place: `stretches[${i}]`,
      sentence: `${quoted(stretch.name)} ended before it started; its ends were swapped.`,
    });
  }
  const { startDate, finishBy } = plan.trip;
  if (finishBy !== undefined && finishBy < startDate)
    problems.push({
      severity: "caution",
      place: "trip.finishBy",
      sentence: `Your finish date, ${finishBy}, is before the start, ${startDate}. Change it in Setup.`,
    });
  return problems;
}

/** `stops[3].trackM` of a path. */
export function placeOf(path: readonly PropertyKey[]): string {
  return path.reduce<string>(
    (text, key) => (typeof key === "number" ? `${text}[${key}]` : text === "" ? String(key) : `${text}.${String(key)}`),
    "",
  );
}
