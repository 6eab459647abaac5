/** Does what a plan names exist? Said of a file that is read, and repaired where a name may be missing. */
import type { Problem } from "../units/problem.ts";
import { LISTS, rowsOf, type ListName } from "./lists.ts";
import { REFERENCES, type Reference } from "./references.ts";
import type { Plan } from "./schema.ts";

const MAX_REPORTED = 12;

/** Ids that must exist and must not repeat. */
export function referenceProblems(plan: Plan): Problem[] {
  const problems: Problem[] = [];
  const error = (place: string, sentence: string): void => {
    if (problems.length < MAX_REPORTED) problems.push({ severity: "error", place, sentence });
  };
  for (const name of Object.keys(LISTS) as ListName[]) {
    const seen = new Set<string>();
    for (const [i, row] of rowsOf(plan, name).entries()) {
      if (seen.has(row.id))
        error(`${name}[${i}].id`, `The id ${quoted(row.id)} is used twice among the ${name}; each needs its own.`);
      seen.add(row.id);
    }
  }
  for (const reference of REFERENCES) {
    if (reference.onRemove === "clear") continue;
    const known = knownIds(plan, reference);
    for (const { place, id, holder } of reference.links(plan))
      if (!known.has(id)) error(place, missing(reference, holder, id, known));
  }
  return problems;
}

/** References that may be missing and name what is gone: taken out of the plan, each with a sentence. */
export function repairReferences(plan: Plan): Problem[] {
  const problems: Problem[] = [];
  for (const reference of REFERENCES) {
    if (reference.onRemove !== "clear") continue;
    const known = knownIds(plan, reference);
    for (const { place, id, holder, point } of reference.links(plan)) {
      if (known.has(id)) continue;
      point(undefined);
      const sentence = `${quoted(holder)} referred to ${quoted(id)}, which isn’t in ${reference.to}; the reference was removed.`;
      problems.push({ severity: "caution", place, sentence });
    }
  }
  return problems;
}

function knownIds(plan: Plan, { to, besides }: Reference): ReadonlySet<string> {
  return new Set([...rowsOf(plan, to).map((row) => row.id), ...besides]);
}

function missing({ to, besides }: Reference, holder: string, id: string, known: ReadonlySet<string>): string {
  const allowed =
    known.size <= 8
      ? `Allowed: ${[...known].map(quoted).join(", ")}.`
      : `Use the id of one of them${besides.length > 0 ? `, ${besides.map(quoted).join(" or ")}` : ""}.`;
  return `${quoted(holder)} names ${quoted(id)}, which is not in ${to}. ${allowed}`;
}

/** Text of the file in a sentence, cut where it is long. */
export function quoted(value: unknown): string {
  const text = JSON.stringify(value) ?? "nothing";
  return text.length > 60 ? `${text.slice(0, 60)}…` : text;
}
