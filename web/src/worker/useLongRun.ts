/** A job whose rows come one by one, with how far it is and a stop; given up when nobody looks any more. */
import { useEffect, useRef, useState } from "react";
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
