/** Other first days worked out beside the page, with progress and stop; kept until the plan is another but for its start. */
import { useMemo, useState } from "react";
import { startsAround, type Plan, type StartFigures } from "@gepack/core";
import { calculator } from "../../store/document.ts";
import { useLongRun } from "../../worker/useLongRun.ts";

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
  const { rows, fraction, start, stop } = useLongRun<StartFigures>();
  /** The plan that they are of. */
  const [of, setOf] = useState<Plan>();
  const run = (): void => {
    const dates = startsAround(plan.trip.startDate, AROUND_DAYS);
    setOf(plan);
    start(dates.length, (onRow, signal) => calculator().sweepStarts({ plan, dates }, onRow, signal));
  };
  const holds = useMemo(() => of !== undefined && isSameButStart(of, plan), [of, plan]);
  const inOrder = useMemo(() => [...rows].sort((a, b) => a.startDate.localeCompare(b.startDate)), [rows]);
  return { rows: holds ? inOrder : NONE, fraction, run, stop };
}

const NONE: readonly StartFigures[] = [];

/** Parts that were not edited are the same objects; the trip is compared field by field. */
function isSameButStart(a: Plan, b: Plan): boolean {
  const fields = (one: object, other: object, but: string): boolean =>
    [...new Set([...Object.keys(one), ...Object.keys(other)])].every(
      (key) => key === but || (one as Record<string, unknown>)[key] === (other as Record<string, unknown>)[key],
    );
  return fields(a, b, "trip") && fields(a.trip, b.trip, "startDate");
}
