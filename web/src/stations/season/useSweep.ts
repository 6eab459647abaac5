/** Other first days worked out beside the page, with progress and stop; kept until the plan is another but for its start. */
import { useEffect, useMemo, useRef, useState } from "react";
import { startsAround, type Plan, type StartFigures } from "@gepack/core";
import { calculator } from "../../store/document.ts";
import { report } from "../../store/notices.ts";
import { JobStopped } from "../../worker/client.ts";

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
  const [rows, setRows] = useState<readonly StartFigures[]>([]);
  /** The plan that they are of. */
  const [of, setOf] = useState<Plan>();
  const [fraction, setFraction] = useState<number>();
  const running = useRef<AbortController>(null);
  useEffect(() => () => running.current?.abort(), []);
  const run = async (): Promise<void> => {
    running.current?.abort();
    const mine = (running.current = new AbortController());
    const dates = startsAround(plan.trip.startDate, AROUND_DAYS);
    const found: StartFigures[] = [];
    setRows([]);
    setOf(plan);
    setFraction(0);
    try {
      await calculator().sweepStarts(
        { plan, dates },
        (row) => {
          if (mine.signal.aborted) return;
          found.push(row);
          setRows([...found].sort((a, b) => a.startDate.localeCompare(b.startDate)));
          setFraction(found.length / dates.length);
        },
        mine.signal,
      );
    } catch (error) {
      if (!(error instanceof JobStopped)) report(error);
    }
    if (running.current === mine) setFraction(undefined);
  };
  const holds = useMemo(() => of !== undefined && isSameButStart(of, plan), [of, plan]);
  return { rows: holds ? rows : NONE, fraction, run: () => void run(), stop: () => running.current?.abort() };
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
