/** A job whose rows come one by one, with how far it is and a stop; dropped when nobody looks any more. */
import { useEffect, useMemo, useRef, useState } from "react";
import type { Plan } from "@gepack/core";
import { latestPlan } from "../store/liveDocument.ts";
import { report } from "../store/notices.ts";
import { JobStopped } from "./client.ts";

export interface LongRun<Row> {
  rows: readonly Row[];
  /** 0 to 1 while it runs. */
  fraction: number | undefined;
  /** `count` rows are to come. */
  start: (count: number, job: (onRow: (row: Row) => void, signal: AbortSignal) => Promise<void>) => void;
  stop: () => void;
  /** Stopped, and its rows are gone. */
  clear: () => void;
}

export function useLongRun<Row>(): LongRun<Row> {
  const [rows, setRows] = useState<readonly Row[]>([]);
  const [fraction, setFraction] = useState<number>();
  const running = useRef<AbortController>(null);
  useEffect(() => () => running.current?.abort(), []);
  const run: LongRun<Row>["start"] = (count, job) => {
    running.current?.abort();
    const mine = (running.current = new AbortController());
    const found: Row[] = [];
    // Rows come by a channel of their own: the last may come after the end.
    let over = false;
    setRows([]);
    setFraction(0);
    job((row) => {
      if (mine.signal.aborted) return;
      found.push(row);
      setRows([...found]);
      if (!over) setFraction(found.length / count);
    }, mine.signal)
      .catch((error: unknown) => {
        if (!(error instanceof JobStopped)) report(error);
      })
      .finally(() => {
        over = true;
        if (running.current === mine) setFraction(undefined);
      });
  };
  const stop = (): void => running.current?.abort();
  return {
    rows,
    fraction,
    start: run,
    stop,
    clear: () => {
      stop();
      setRows([]);
    },
  };
}

type PlanJob<Row> = (plan: Plan, onRow: (row: Row) => void, signal: AbortSignal) => Promise<void>;

export interface PlanRun<Row> extends Pick<LongRun<Row>, "rows" | "fraction" | "stop" | "clear"> {
  /** The plan that the rows are of, while they hold. */
  of: Plan | undefined;
  start: (count: (plan: Plan) => number, job: PlanJob<Row>) => void;
}

/**
 * A long run over the plan as it is when it starts, an edit of a moment ago in it. Its rows hold while the plan is
 * the same, or the same in all that matters to them.
 */
export function usePlanRun<Row>(plan: Plan, isSame: (of: Plan, now: Plan) => boolean = Object.is): PlanRun<Row> {
  const { rows, fraction, start, stop, clear } = useLongRun<Row>();
  const [of, setOf] = useState<Plan>();
  const holds = useMemo(() => of !== undefined && isSame(of, plan), [of, plan, isSame]);
  return {
    rows: holds ? rows : NO_ROWS,
    of: holds ? of : undefined,
    fraction,
    stop,
    clear,
    start: (count, job) => {
      const now = latestPlan() ?? plan;
      setOf(now);
      start(count(now), (onRow, signal) => job(now, onRow, signal));
    },
  };
}

const NO_ROWS: readonly never[] = [];
