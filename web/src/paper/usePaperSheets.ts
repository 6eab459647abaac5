/** Sheets written one after the other, with a breath between them: how far it is, and what is there so far. */
import { useEffect, useState } from "react";
import type { Plan, PlanResult } from "@gepack/core";
import { paperSheets, type PaperChoice } from "./document.ts";

interface Written {
  sheets: readonly string[];
  /** How many there will be; undefined until the first is there. */
  of: number | undefined;
  done: boolean;
}

/** So long the page may stand still. */
const BREATH_MS = 30;
const NOTHING: Written = { sheets: [], of: undefined, done: false };

export function usePaperSheets(plan: Plan, result: PlanResult, choice: PaperChoice): Written & { stop: () => void } {
  const [written, setWritten] = useState<Written>(NOTHING);
  const [stopped, setStopped] = useState<PaperChoice>();
  const isStopped = stopped === choice;
  useEffect(() => {
    if (isStopped) return;
    let isOver = false;
    const write = async (): Promise<void> => {
      const sheets: string[] = [];
      let of = 0;
      let began = performance.now();
      for (const sheet of paperSheets(plan, result, choice)) {
        sheets.push(sheet.html);
        of = sheet.of;
        if (performance.now() - began < BREATH_MS) continue;
        setWritten({ sheets: [...sheets], of, done: false });
        await new Promise((resolve) => setTimeout(resolve));
        if (isOver) return;
        began = performance.now();
      }
      setWritten({ sheets, of, done: true });
    };
    void write();
    return () => {
      isOver = true;
    };
  }, [plan, result, choice, isStopped]);
  return { ...written, done: written.done || isStopped, stop: () => setStopped(choice) };
}
