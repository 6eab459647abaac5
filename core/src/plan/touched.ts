/**
 * An edited document held against the schema before it is shown or stored: what is stored can be opened again. Only the
 * parts that the edit touched are read; of a list with ids the rows that are new objects.
 */
import { z } from "zod";
import type { Problem } from "../units/problem.ts";
import { referenceProblems } from "./links.ts";
import { shapeProblems } from "./read.ts";
import { planSchema, type Plan } from "./schema.ts";

/** The first reason why `after` may not be kept, where `before` may; undefined where there is none. */
export function refusedIn(before: Plan, after: Plan): Problem | undefined {
  for (const [key, part] of Object.entries(after)) {
    const schema = (planSchema.shape as Record<string, z.ZodType | undefined>)[key];
    if (!schema || part === before[key]) continue;
    const problem = firstProblem(schema, part, before[key], key);
    if (problem) return problem;
  }
  return referenceProblems(after)[0];
}

function firstProblem(schema: z.ZodType, part: unknown, was: unknown, place: string): Problem | undefined {
  const rowSchema = rowOf(schema);
  // A list that is as long as before, or shorter, is in its bounds: its new rows alone are read.
  if (rowSchema && Array.isArray(part) && Array.isArray(was) && part.length <= was.length) {
    const old = new Set<unknown>(was);
    for (const [i, row] of part.entries()) {
      const problem = old.has(row) ? undefined : problemOf(rowSchema, row, `${place}[${i}]`);
      if (problem) return problem;
    }
    return undefined;
  }
  return problemOf(schema, part, place);
}

function problemOf(schema: z.ZodType, value: unknown, place: string): Problem | undefined {
  const parsed = schema.safeParse(value, { reportInput: true });
  const [problem] = parsed.success ? [] : shapeProblems(parsed.error);
  if (!problem) return undefined;
  const inner = problem.place === "file" ? "" : problem.place;
  return { ...problem, place: place + (inner === "" || inner.startsWith("[") ? inner : `.${inner}`) };
}

/** The schema of a list's rows, out of its default; undefined for what is no list. */
function rowOf(schema: z.ZodType): z.ZodType | undefined {
  const inner = schema instanceof z.ZodDefault || schema instanceof z.ZodPrefault ? schema.unwrap() : schema;
  return inner instanceof z.ZodArray ? (inner.element as z.ZodType) : undefined;
}
