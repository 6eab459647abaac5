/**
 * Reads a plan document from outside: version first, then shape, then whether its parts fit together.
 * A refused document changes nothing and says where and why.
 */
import { type z } from "zod";
import { type Problem, type Reading, refused } from "../units/problem.ts";
import { PLAN_FORMAT, PLAN_VERSION } from "./ids.ts";
import { migrate } from "./migrate.ts";
import { mendReferences, quoted, referenceProblems } from "./references.ts";
import { planSchema, type Plan } from "./schema.ts";

const MAX_REPORTED = 12;

export function readPlan(data: unknown): Reading<Plan> {
  if (typeof data !== "object" || data === null || Array.isArray(data))
    return refused("file", `A plan is a JSON object with format "${PLAN_FORMAT}"; this is not one.`);
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
  const parsed = planSchema.safeParse(migrate(data as Record<string, unknown>, version));
  if (!parsed.success) return { value: undefined, problems: shapeProblems(parsed.error) };
  const problems = [...referenceProblems(parsed.data), ...mendReferences(parsed.data)];
  return problems.some((problem) => problem.severity === "error")
    ? { value: undefined, problems }
    : { value: parsed.data, problems };
}

function shapeProblems(error: z.ZodError): Problem[] {
  const problems: Problem[] = error.issues.slice(0, MAX_REPORTED).map((issue) => ({
    severity: "error",
    place: placeOf(issue.path) || "file",
    sentence: `${sentenceOf(issue)}.`,
  }));
  if (error.issues.length > MAX_REPORTED)
    problems.push({
      severity: "error",
      place: "file",
      sentence: `And ${error.issues.length - MAX_REPORTED} more of the kind.`,
    });
  return problems;
}

function sentenceOf(issue: z.core.$ZodIssue): string {
  if (issue.code === "invalid_type" && issue.input === undefined)
    return `This part is missing: expected ${issue.expected}`;
  return issue.message.replace(/\.$/, "");
}

/** `stops[3].trackM` of a path. */
export function placeOf(path: readonly PropertyKey[]): string {
  return path.reduce<string>(
    (text, key) => (typeof key === "number" ? `${text}[${key}]` : text === "" ? String(key) : `${text}.${String(key)}`),
    "",
  );
}
