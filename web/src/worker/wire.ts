/**
 * A result on its way from the worker to the page. Rows by the hundred (water carries, days) travel as
 * columns, and numbers in arrays that are handed over: copying an object a row takes longer than the
 * rows took to compute.
 */
import type { Carry, DayResult, PlanResult } from "@gepack/core";

/** Rows by key: all keys that any of them has. */
export interface Columns<Row extends object> {
  count: number;
  numbers: { [Key in keyof Row]?: Float64Array };
  /** A row without the key leaves a hole. */
  others: { [Key in keyof Row]?: unknown[] };
}

export function toColumns<Row extends object>(rows: readonly Row[]): Columns<Row> {
  const columns: Columns<Row> = { count: rows.length, numbers: {}, others: {} };
  const keys = new Set<keyof Row>();
  for (const row of rows) for (const key in row) keys.add(key);
  for (const key of keys) {
    if (rows.every((row) => typeof row[key] === "number"))
      columns.numbers[key] = Float64Array.from(rows, (row) => row[key] as number);
    else {
      const values: unknown[] = (columns.others[key] = []);
      rows.forEach((row, i) => {
        if (key in row) values[i] = row[key];
      });
    }
  }
  return columns;
}

export function fromColumns<Row extends object>({ count, numbers, others }: Columns<Row>): Row[] {
  const rows = Array.from({ length: count }, () => ({}) as Record<string, unknown>);
  for (const [key, values] of Object.entries<ArrayLike<unknown> | undefined>({ ...numbers, ...others }))
    for (let i = 0; i < count; i++) if (i in values!) rows[i]![key] = values![i];
  return rows as Row[];
}

/** A result without the profile, which travels only when it changed. */
export type WireSource = Omit<PlanResult, "profile">;

/** The same, with its rows as columns; `legs` keep no carries of their own. */
export interface WireResult extends Omit<WireSource, "days"> {
  days: Columns<DayResult>;
  /** Of all legs and hikers, one after the other. */
  carries: Columns<Carry>;
  carryCounts: number[];
}

export function toWire(result: WireSource): WireResult {
  const hikers = result.legs.flatMap((leg) => leg.hikers);
  return {
    ...result,
    days: toColumns(result.days),
    carries: toColumns(hikers.flatMap((hiker) => hiker.carries)),
    carryCounts: hikers.map((hiker) => hiker.carries.length),
    legs: result.legs.map((leg) => ({ ...leg, hikers: leg.hikers.map((hiker) => ({ ...hiker, carries: [] })) })),
  };
}

export function fromWire({ carries, carryCounts, days, ...rest }: WireResult): WireSource {
  const all = fromColumns(carries);
  let at = 0;
  const counts = carryCounts.values();
  for (const hiker of rest.legs.flatMap((leg) => leg.hikers))
    hiker.carries = all.slice(at, (at += counts.next().value ?? 0));
  return { ...rest, days: fromColumns(days) };
}

/** The arrays of a result are made for this answer alone: they are handed over, not copied. */
export function buffersOf({ packs, cellH, cellC, surface, days, carries }: WireResult): Transferable[] {
  const arrays = [
    ...packs.flatMap((pack) => [pack.loadKg, pack.foodKg, pack.waterKg]),
    ...[days.numbers, carries.numbers].flatMap((numbers) => Object.values<Float64Array | undefined>(numbers)),
    cellH,
    cellC,
    surface,
  ];
  return arrays.map((array) => array!.buffer as ArrayBuffer);
}
