/** The search for sets of stops beside the page, with progress and stop; kept until more than its own choices has changed. */
import { useMemo, useState } from "react";
import { nameSets, type Plan, type SearchEnd, type SetName, type Stop, type StopSet } from "@gepack/core";
import { calculator } from "../../store/trail.ts";
import { usePlanRun } from "../../worker/useLongRun.ts";

export interface NamedSet extends StopSet {
  names: SetName[];
}

export interface StopSearch {
  /** The named ones first, by their number of legs; then what is between. */
  sets: readonly NamedSet[];
  /** Stops that a set may change. */
  candidates: readonly string[];
  end: SearchEnd | undefined;
  fraction: number | undefined;
  run: () => void;
  stop: () => void;
}

type Row = StopSet | { candidates: string[] } | SearchEnd;

export function useSearch(plan: Plan): StopSearch {
  const { rows, of, fraction: running, start, stop } = usePlanRun<Row>(plan, sameButChoices);
  const [fraction, setFraction] = useState(0);
  const run = (): void => {
    setFraction(0);
    start(
      () => Infinity,
      (now, onRow, signal) =>
        calculator().searchStops(
          { plan: now },
          (event) => {
            if (event.kind === "progress") setFraction(event.fraction);
            else if (event.kind === "now") onRow({ candidates: event.candidates });
            else onRow(event.kind === "set" ? event.set : event.end);
          },
          signal,
        ),
    );
  };
  const outcome = useMemo(() => (of ? sortOut(rows, of) : NOTHING), [rows, of]);
  return { ...outcome, fraction: running === undefined ? undefined : fraction, run, stop };
}

const NOTHING = { sets: [], candidates: [], end: undefined } as const;

function sortOut(rows: readonly Row[], { resupply }: Plan) {
  const found = rows.filter((row): row is StopSet => "stops" in row);
  const names = nameSets(found, resupply);
  const sets = found.map((set, i): NamedSet => ({ ...set, names: names[i]! }));
  sets.sort(
    (a, b) => Number(b.names.length > 0) - Number(a.names.length > 0) || a.figures.legs.length - b.figures.legs.length,
  );
  return {
    sets,
    candidates: rows.find((row): row is { candidates: string[] } => "candidates" in row)?.candidates ?? [],
    end: rows.find((row): row is SearchEnd => "walked" in row),
  };
}

/** What a set that is taken changes of a stop is no reason to search again. */
function sameButChoices(a: Plan, b: Plan): boolean {
  const keys = new Set([...Object.keys(a), ...Object.keys(b)]);
  for (const key of keys)
    if (key !== "stops" && (a as Record<string, unknown>)[key] !== (b as Record<string, unknown>)[key]) return false;
  if (a.stops.length !== b.stops.length) return false;
  return a.stops.every((stop, i) => stop === b.stops[i] || sameButChoice(stop, b.stops[i]!));
}

const CHOICE: readonly string[] = ["use", "nights", "foodBy"] satisfies (keyof Stop)[];

function sameButChoice(a: Stop, b: Stop): boolean {
  const rest = (stop: Stop): string =>
    JSON.stringify(stop, (key, value: unknown) => (CHOICE.includes(key) ? undefined : value));
  return rest(a) === rest(b);
}
