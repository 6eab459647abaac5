/** Figures of every school for one hiker, worked out beside the page and again after every edit. */
import { useEffect, useState } from "react";
import type { Plan, Question, SchoolFigures } from "@gepack/core";
import { calculator } from "../../store/trail.ts";
import { report } from "../../store/notices.ts";
import { JobStopped } from "../../worker/client.ts";

export interface Comparison {
  /** By `question:school`; figures of the plan before stay until the new ones are there. */
  figures: ReadonlyMap<string, SchoolFigures>;
  /** How many are still to come; 0 when all are there. */
  missing: number;
  stopped: boolean;
  stop: () => void;
  again: () => void;
}

/** Edits in quick succession are waited out. */
const CALM_MS = 400;

export function useComparison(plan: Plan, hikerId: string, questions: readonly Question[], count: number): Comparison {
  const [figures, setFigures] = useState<ReadonlyMap<string, SchoolFigures>>(new Map());
  const [missing, setMissing] = useState(count);
  const [stopped, setStopped] = useState(false);
  useEffect(() => {
    // Who stopped it waits for nothing more, edits or not, until they ask again.
    if (stopped) return;
    const running = new AbortController();
    const { signal } = running;
    const timer = setTimeout(() => void compare(), CALM_MS);
    const compare = async (): Promise<void> => {
      let left = count;
      setMissing(count);
      try {
        await calculator().compareSchools(
          { plan, hikerId, questions },
          (row) => {
            if (signal.aborted) return;
            setMissing(--left);
            setFigures((known) => new Map(known).set(`${row.question}:${row.id}`, row));
          },
          signal,
        );
      } catch (error) {
        if (!(error instanceof JobStopped)) report(error);
      }
    };
    return () => {
      clearTimeout(timer);
      running.abort();
    };
  }, [plan, hikerId, questions, count, stopped]);
  return {
    figures,
    missing,
    stopped,
    stop: () => setStopped(true),
    again: () => setStopped(false),
  };
}
