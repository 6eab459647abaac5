/** Other first days worked out beside the page, with progress and stop; kept until the plan is another but for its start. */
import { useMemo } from "react";
import { startsAround, type Plan, type StartFigures } from "@gepack/core";
import { calculator } from "../../store/trail.ts";
import { usePlanRun } from "../../worker/useLongRun.ts";

const AROUND_DAYS = 56;

export interface Sweep {
  /** By first day, in order. */
  rows: readonly StartFigures[];
  /** 0 to 1 while it runs. */
  fraction: number | undefined;
  run: () => void;
  stop: () => void;
}

export function useSweep(plan: Plan): Sweep {
  const { rows, fraction, start, stop } = usePlanRun<StartFigures>(plan, isSameButStart);
  const run = (): void => {
    const dates = (now: Plan): string[] => startsAround(now.trip.startDate, AROUND_DAYS);
    start(
      (now) => dates(now).length,
      (now, onRow, signal) => calculator().sweepStarts({ plan: now, dates: dates(now) }, onRow, signal),
    );
  };
  const inOrder = useMemo(() => [...rows].sort((a, b) => a.startDate.localeCompare(b.startDate)), [rows]);
  return { rows: inOrder, fraction, run, stop };
}

/** Parts that were not edited are the same objects; the trip is compared field by field. */
function isSameButStart(a: Plan, b: Plan): boolean {
  const fields = (one: object, other: object, but: string): boolean =>
    [...new Set([...Object.keys(one), ...Object.keys(other)])].every(
      (key) => key === but || (one as Record<string, unknown>)[key] === (other as Record<string, unknown>)[key],
    );
  return fields(a, b, "trip") && fields(a.trip, b.trip, "startDate");
}
