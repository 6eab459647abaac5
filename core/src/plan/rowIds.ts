/**
 * Ids for the rows of small lists, which a file may lack: every row is changed by its id, never by its place. An id
 * that is there stays; one that is missing, or there twice, is made from what the row is and where it stands, so that
 * the same file is read the same way twice.
 */

type Part = Record<string, unknown>;

/** Where such lists are: keys from the document on, `*` for every row of a list or every value of a record. */
const PLACES = [
  ["sources", "*", "reports"],
  ["hikers", "*", "pace", "ramp"],
  ["resupply", "postage"],
  ["menus", "*", "meals", "*"],
  ["foods", "*", "parts"],
  ["kitStory"],
] as const;

/** The document with an id in every such row; parts in which nothing lacked stay the very same. */
export function withRowIds(document: Part): Part {
  return PLACES.reduce<Part>((whole, place) => changedAt(whole, place) as Part, document);
}

function changedAt(value: unknown, [key, ...rest]: readonly string[]): unknown {
  if (key === undefined) return Array.isArray(value) ? identified(value) : value;
  if (key === "*" && Array.isArray(value))
    return sameOr(
      value,
      (value as unknown[]).map((row) => changedAt(row, rest)),
    );
  if (!isPart(value)) return value;
  let changed: Part | undefined;
  for (const name of key === "*" ? Object.keys(value) : [key]) {
    const part = value[name] === undefined ? undefined : changedAt(value[name], rest);
    if (part !== value[name]) (changed ??= { ...value })[name] = part;
  }
  return changed ?? value;
}

function identified(rows: unknown[]): unknown[] {
  const taken = new Set<unknown>();
  const twice = new Set<unknown>();
  for (const row of rows) {
    if (!isPart(row) || row["id"] === undefined) continue;
    if (taken.has(row["id"])) twice.add(row);
    taken.add(row["id"]);
  }
  const named = rows.map((row, i) => {
    if (!isPart(row) || (row["id"] !== undefined && !twice.has(row))) return row;
    const base = typeof row["foodId"] === "string" ? row["foodId"] : `row-${i + 1}`;
    let id = base;
    for (let n = 2; taken.has(id); n++) id = `${base.slice(0, MOST_BASE)}-${n}`;
    taken.add(id);
    return { ...row, id };
  });
  return sameOr(rows, named);
}

/** An id has 80 letters at most; the rest is for the number. */
const MOST_BASE = 72;

function sameOr(before: unknown[], after: unknown[]): unknown[] {
  return after.every((row, i) => row === before[i]) ? before : after;
}

const isPart = (value: unknown): value is Part => typeof value === "object" && value !== null && !Array.isArray(value);
