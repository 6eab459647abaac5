/** Figures of every school for one hiker, worked out beside the page and again after every edit. */
import { useEffect, useState } from "react";
import type { Plan, Question, SchoolFigures } from "@gepack/core";
import { compareSchoolsOf, stopComparing } from "../../store/app.ts";

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
  const [run, setRun] = useState(0);
  useEffect(() => {
    let left = count;
    let live = true;
    const timer = setTimeout(() => {
      setMissing(count);
      setStopped(false);
      void compareSchoolsOf(plan, hikerId, questions, (row) => {
        if (!live) return;
        setMissing(--left);
        setFigures((known) => new Map(known).set(`${row.question}:${row.id}`, row));
      });
    }, CALM_MS);
    return () => {
      live = false;
      clearTimeout(timer);
      stopComparing();
    };
  }, [plan, hikerId, questions, count, run]);
  return {
    figures,
    missing,
    stopped,
    stop: () => {
      stopComparing();
      setStopped(true);
    },
    again: () => setRun(run + 1),
  };
}
