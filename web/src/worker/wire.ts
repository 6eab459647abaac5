/**
 * A result on its way from the worker to the page. Rows by the hundred (water carries, days) travel as
 * columns, and numbers in arrays that are handed over: copying an object a row takes longer than the
 * rows took to compute.
 */
import type { Carry, DayResult, PlanResult } from "@gepack/core";

/** Rows of one shape, by key. */
export interface Columns {
  count: number;
  numbers: Record<string, Float64Array>;
  others: Record<string, unknown[]>;
}

export function toColumns(rows: readonly object[]): Columns {
  const columns: Columns = { count: rows.length, numbers: {}, others: {} };
  for (const key of Object.keys(rows[0] ?? {})) {
    const values = rows.map((row) => (row as Record<string, unknown>)[key]);
    if (values.every((value) => typeof value === "number")) columns.numbers[key] = Float64Array.from(values);
    else columns.others[key] = values;
  }
  return columns;
}

export function fromColumns<Row extends object>({ count, numbers, others }: Columns): Row[] {
  const rows = Array.from({ length: count }, () => ({}) as Record<string, unknown>);
  for (const [key, values] of [...Object.entries(numbers), ...Object.entries(others)])
    for (let i = 0; i < count; i++) rows[i]![key] = values[i];
  return rows as Row[];
}

/** A result without the profile, which travels only when it changed. */
export type WireSource = Omit<PlanResult, "profile">;

/** The same, with its rows as columns; `legs` keep no carries of their own. */
export interface WireResult extends Omit<WireSource, "days"> {
  days: Columns;
  /** Of all legs and hikers, one after the other. */
  carries: Columns;
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
  const all = fromColumns<Carry>(carries);
  let at = 0;
  const counts = carryCounts.values();
  for (const hiker of rest.legs.flatMap((leg) => leg.hikers))
    hiker.carries = all.slice(at, (at += counts.next().value ?? 0));
  return { ...rest, days: fromColumns<DayResult>(days) };
}

/** The arrays of a result are made for this answer alone: they are handed over, not copied. */
export function buffersOf({ packs, cellH, cellC, surface, days, carries }: WireResult): Transferable[] {
  const arrays = [
    ...packs.flatMap((pack) => [pack.loadKg, pack.foodKg, pack.waterKg]),
    ...[days, carries].flatMap((columns) => Object.values(columns.numbers)),
    cellH,
    cellC,
    surface,
  ];
  return arrays.map((array) => array.buffer as ArrayBuffer);
}
