/** Sheets written one after the other, with a breath between them: how far it is, and all of them once they are there. */
import { useEffect, useState } from "react";
import type { Plan, PlanResult } from "@gepack/core";
import { paperSheets, type PaperChoice } from "./document.ts";

interface Written {
  /** Those of the last choice that was written to its end, or stopped. */
  sheets: readonly string[];
  /** 0 to 1, of the choice that is being written. */
  fraction: number;
  done: boolean;
}

/** So long the page may stand still. */
const BREATH_MS = 30;
const NOTHING: Written = { sheets: [], fraction: 0, done: false };

export function usePaperSheets(plan: Plan, result: PlanResult, choice: PaperChoice): Written & { stop: () => void } {
  const [written, setWritten] = useState<Written>(NOTHING);
  const [stopped, setStopped] = useState<PaperChoice>();
  const isStopped = stopped === choice;
  useEffect(() => {
    if (isStopped) return;
    let isOver = false;
    const sheets: string[] = [];
    const write = async (): Promise<void> => {
      let began = performance.now();
      for (const { html, of } of paperSheets(plan, result, choice)) {
        sheets.push(html);
        if (performance.now() - began < BREATH_MS) continue;
        const fraction = sheets.length / of;
        setWritten((before) => ({ ...before, fraction, done: false }));
        await new Promise((resolve) => setTimeout(resolve));
        if (isOver) return;
        began = performance.now();
      }
      setWritten({ sheets, fraction: 1, done: true });
    };
    void write();
    return () => {
      isOver = true;
    };
  }, [plan, result, choice, isStopped]);
  return { ...written, done: written.done || isStopped, stop: () => setStopped(choice) };
}
