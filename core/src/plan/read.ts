/**
 * Reads a plan document from outside: version first, then shape, then whether its parts fit together.
 * A refused document changes nothing and says where and why.
 */
import { type z } from "zod";
import { type Problem, type Reading, refused } from "../units/problem.ts";
import { migrate } from "./migrate.ts";
import { FINISH_ID, PLAN_FORMAT, PLAN_VERSION, planSchema, START_ID, type Plan } from "./schema.ts";

const MAX_REPORTED = 12;

export function readPlan(data: unknown): Reading<Plan> {
  if (typeof data !== "object" || data === null || Array.isArray(data))
    return refused("file", `A plan is a JSON object with format "${PLAN_FORMAT}"; this is not one.`);
  const { format, version } = data as { format?: unknown; version?: unknown };
  if (format !== PLAN_FORMAT)
    return refused(
      "format",
      `Expected format "${PLAN_FORMAT}", found ${show(format)}. Choose a file that Gepack exported.`,
    );
  if (typeof version !== "number" || !Number.isInteger(version) || version < 1)
    return refused("version", `Expected a whole number from 1 to ${PLAN_VERSION}, found ${show(version)}.`);
  if (version > PLAN_VERSION)
    return refused(
      "version",
      `This plan was written by a newer Gepack (file version ${version}; this one reads up to ${PLAN_VERSION}). Update Gepack, then import it again.`,
    );
  const parsed = planSchema.safeParse(migrate(data as Record<string, unknown>, version));
  if (!parsed.success) return { value: undefined, problems: shapeProblems(parsed.error) };
  const problems = referenceProblems(parsed.data);
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

/** Ids that must exist and must not repeat. */
export function referenceProblems(plan: Plan): Problem[] {
  const problems: Problem[] = [];
  const error = (place: string, sentence: string): void => {
    if (problems.length < MAX_REPORTED) problems.push({ severity: "error", place, sentence });
  };
  for (const part of ["hikers", "stops", "sources", "stretches", "kit", "camps", "devices"] as const) {
    const seen = new Set<string>();
    for (const [i, row] of plan[part].entries()) {
      if (seen.has(row.id))
        error(`${part}[${i}].id`, `The id ${show(row.id)} is used twice among the ${part}; each needs its own.`);
      seen.add(row.id);
    }
  }
  const hikers = new Set(plan.hikers.map((hiker) => hiker.id));
  const stops = new Set(plan.stops.map((stop) => stop.id)).add(START_ID).add(FINISH_ID);
  const needHiker = (place: string, id: string): void => {
    if (!hikers.has(id))
      error(place, `Names the hiker ${show(id)}, who is not in hikers. Allowed: ${[...hikers].map(show).join(", ")}.`);
  };
  for (const [i, piece] of plan.kit.entries()) {
    needHiker(`kit[${i}].ownerId`, piece.ownerId);
    needHiker(`kit[${i}].carrierId`, piece.carrierId);
    for (const [k, span] of piece.spans.entries()) {
      if (span.carrierId !== undefined) needHiker(`kit[${i}].spans[${k}].carrierId`, span.carrierId);
      for (const end of ["fromStopId", "toStopId"] as const)
        if (!stops.has(span[end]))
          error(
            `kit[${i}].spans[${k}].${end}`,
            `${show(piece.name)} changes at the stop ${show(span[end])}, which is not in stops. Use the id of a stop, "${START_ID}" or "${FINISH_ID}".`,
          );
    }
  }
  for (const [i, device] of plan.devices.entries()) needHiker(`devices[${i}].ownerId`, device.ownerId);
  return problems;
}

function show(value: unknown): string {
  const text = JSON.stringify(value) ?? "nothing";
  return text.length > 60 ? `${text.slice(0, 60)}…` : text;
}
