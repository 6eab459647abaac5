/**
 * An edit as data: what differs between two documents, addressed so that it can be made on a third one. Rows of a list
 * are found by what names them (an id, else another field that no two of them share), never by their place. So the same
 * changes are shown, stored, undone, redone, and sent to another tab whose document is a little different.
 *
 * `applyChanges(a, changesBetween(a, b)).value` is `b`; on another document, what has no place is told in `dropped`.
 */
export type Step = string | { by: string; is: string };

export type Change =
  | { op: "set"; path: Step[]; value: unknown; was?: unknown }
  | { op: "unset"; path: Step[]; was?: unknown }
  /** A row, behind the one named; first where none is. */
  | { op: "insert"; path: Step[]; by: string; row: Row; after?: string }
  | { op: "remove"; path: Step[]; by: string; row: Row; after?: string }
  | { op: "order"; path: Step[]; by: string; keys: string[] };

type Row = Record<string, unknown>;

export interface Applied<T> {
  value: T;
  /** Changes whose place is gone. */
  dropped: Change[];
  /** Fields that another edit had changed meanwhile: this one, the later, stands. */
  overwritten: Change[];
}

/** Fields that may name a row, alone or together: the first that are texts in each and the same in no two. */
const NAMES = [
  "id",
  "foodId",
  "sourceId",
  "pieceId",
  "planId",
  "kind fromStopId",
  "fromStopId",
  "date",
  "what",
] as const;

const nameIn = (row: Row, by: string): string =>
  by.includes(" ")
    ? by
        .split(" ")
        .map((key) => String(row[key]))
        .join(" ")
    : (row[by] as string);

export function changesBetween(before: unknown, after: unknown): Change[] {
  const changes: Change[] = [];
  compare(before, after, [], changes);
  return changes;
}

function compare(before: unknown, after: unknown, path: Step[], into: Change[]): void {
  if (Object.is(before, after)) return;
  if (isRecord(before) && isRecord(after)) return compareRecords(before, after, path, into);
  const by = Array.isArray(before) && Array.isArray(after) ? nameOf(before, after) : undefined;
  if (by !== undefined) return compareRows(before as Row[], after as Row[], by, path, into);
  if (!isEqual(before, after)) into.push({ op: "set", path, value: after, was: before });
}

function compareRecords(before: Row, after: Row, path: Step[], into: Change[]): void {
  for (const key of Object.keys(before))
    if (after[key] === undefined && before[key] !== undefined)
      into.push({ op: "unset", path: [...path, key], was: before[key] });
  for (const key of Object.keys(after)) {
    if (after[key] === undefined) continue;
    if (before[key] === undefined) into.push({ op: "set", path: [...path, key], value: after[key] });
    else compare(before[key], after[key], [...path, key], into);
  }
}

/** Removals first, then changes, then rows that came, each behind the one it stands behind, then another order. */
function compareRows(before: Row[], after: Row[], by: string, path: Step[], into: Change[]): void {
  const keyOf = (row: Row): string => nameIn(row, by);
  const [old, now] = [before, after].map((rows) => new Map(rows.map((row) => [keyOf(row), row])));
  const behind = (rows: Row[], i: number): { after?: string } => (i === 0 ? {} : { after: keyOf(rows[i - 1]!) });
  // From the end, so that undone in turn each finds the row it stood behind.
  for (let i = before.length - 1; i >= 0; i--)
    if (!now!.has(keyOf(before[i]!))) into.push({ op: "remove", path, by, row: before[i]!, ...behind(before, i) });
  for (const row of before) {
    const next = now!.get(keyOf(row));
    if (next) compare(row, next, [...path, { by, is: keyOf(row) }], into);
  }
  const stayed = before.map(keyOf).filter((key) => now!.has(key));
  const reached = [...stayed];
  after.forEach((row, i) => {
    if (old!.has(keyOf(row))) return;
    into.push({ op: "insert", path, by, row, ...behind(after, i) });
    reached.splice(i === 0 ? 0 : reached.indexOf(keyOf(after[i - 1]!)) + 1, 0, keyOf(row));
  });
  const keys = after.map(keyOf);
  if (!isEqual(reached, keys)) into.push({ op: "order", path, by, keys });
}

/** Makes changes on a document, which stays as it is; parts that nothing changes stay the very same. */
export function applyChanges<T>(document: T, changes: readonly Change[]): Applied<T> {
  const applied: Applied<T> = { value: document, dropped: [], overwritten: [] };
  for (const change of changes) {
    const next = within(applied.value, change.path, (part) => applyTo(part, change, applied as Applied<unknown>));
    if (next === GONE) applied.dropped.push(change);
    else applied.value = next as T;
  }
  return applied;
}

const GONE = Symbol("no such place");
const UNSET = Symbol("unset");

/** The value with the part at the path changed; `GONE` where there is no such part. */
function within(value: unknown, path: readonly Step[], change: (part: unknown) => unknown): unknown {
  const [step, ...rest] = path;
  if (step === undefined) return change(value);
  if (typeof step === "string") {
    if (!isRecord(value)) return GONE;
    const next = within(value[step], rest, change);
    if (next === GONE) return GONE;
    if (next === UNSET) {
      const others = { ...value };
      delete others[step];
      return others;
    }
    return next === value[step] ? value : { ...value, [step]: next };
  }
  const at = Array.isArray(value) ? value.findIndex((row) => isRecord(row) && nameIn(row, step.by) === step.is) : -1;
  if (at < 0) return GONE;
  const next = within((value as unknown[])[at], rest, change);
  return next === GONE ? GONE : (value as unknown[]).with(at, next);
}

function applyTo(part: unknown, change: Change, applied: Applied<unknown>): unknown {
  if (change.op === "set" || change.op === "unset") {
    const value = change.op === "set" ? change.value : UNSET;
    if (!isEqual(part, change.was) && !isEqual(part, change.op === "set" ? value : undefined))
      applied.overwritten.push(change);
    return isEqual(part, value) ? part : value;
  }
  if (!Array.isArray(part)) return GONE;
  const rows = part as Row[];
  const keyOf = (row: Row): string => nameIn(row, change.by);
  switch (change.op) {
    case "insert": {
      // What is there already is not added again; where it is there otherwise, that is told.
      const there = rows.find((row) => keyOf(row) === keyOf(change.row));
      if (there) return isEqual(there, change.row) ? rows : GONE;
      const at = change.after === undefined ? 0 : rows.findIndex((row) => keyOf(row) === change.after) + 1;
      // The row it stood behind is gone: it goes to the end.
      return rows.toSpliced(change.after !== undefined && at === 0 ? rows.length : at, 0, change.row);
    }
    case "remove":
      return rows.some((row) => keyOf(row) === keyOf(change.row))
        ? rows.filter((row) => keyOf(row) !== keyOf(change.row))
        : rows;
    case "order": {
      const place = new Map(change.keys.map((key, i) => [key, i]));
      // Rows that the order does not know stay behind those they stood behind.
      const known = rows
        .filter((row) => place.has(keyOf(row)))
        .sort((a, b) => place.get(keyOf(a))! - place.get(keyOf(b))!);
      let next = 0;
      return rows.map((row) => (place.has(keyOf(row)) ? known[next++]! : row));
    }
  }
}

/** The field that names the rows of both lists; undefined where they are no such lists, and stand or fall as one. */
function nameOf(before: unknown[], after: unknown[]): string | undefined {
  if (before.length + after.length === 0) return undefined;
  return NAMES.find((name) => names(before, name) && names(after, name));
}

function names(rows: unknown[], name: string): boolean {
  const seen = new Set<unknown>();
  const keys = name.split(" ");
  return rows.every(
    (row) =>
      isRecord(row) &&
      keys.every((key) => typeof row[key] === "string") &&
      seen.size < seen.add(nameIn(row, name)).size,
  );
}

function isRecord(value: unknown): value is Row {
  return typeof value === "object" && value !== null && !Array.isArray(value);
}

/** Of plain data, as JSON has it: a key that is undefined is none, and −0 is 0. */
export function isEqual(a: unknown, b: unknown): boolean {
  if (a === b || Object.is(a, b)) return true;
  if (Array.isArray(a) && Array.isArray(b)) return a.length === b.length && a.every((item, i) => isEqual(item, b[i]));
  if (!isRecord(a) || !isRecord(b)) return false;
  const keys = new Set([...Object.keys(a), ...Object.keys(b)]);
  return [...keys].every((key) => isEqual(a[key], b[key]));
}
