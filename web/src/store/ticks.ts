/** What is ticked off on lists, by list and line: kept on this device beside the plan, and no part of it. */
import { create } from "zustand";
import { useEffect } from "react";
import { readSetting, writeSetting } from "../data/plans.ts";

interface Ticks {
  planId: string | undefined;
  done: ReadonlySet<string>;
}

const useStore = create<Ticks>(() => ({ planId: undefined, done: new Set() }));
const settingOf = (planId: string): string => `ticks ${planId}`;

async function read(planId: string): Promise<void> {
  useStore.setState({ planId, done: new Set() });
  let kept: unknown;
  try {
    kept = JSON.parse((await readSetting(settingOf(planId))) ?? "[]");
  } catch {
    // What cannot be read is not ticked.
  }
  if (useStore.getState().planId !== planId || !Array.isArray(kept)) return;
  const { done } = useStore.getState();
  useStore.setState({ done: new Set([...kept.filter((key) => typeof key === "string"), ...done]) });
}

export interface TickList {
  isTicked: (key: string) => boolean;
  tick: (key: string, done: boolean) => void;
  /** All of those of which the key starts so. */
  clear: (beginning: string) => void;
}

export function useTicks(planId: string): TickList {
  const { done, planId: storedPlanId } = useStore();
  useEffect(() => {
    if (useStore.getState().planId !== planId) void read(planId);
  }, [planId]);
  const keep = (next: ReadonlySet<string>): void => {
    useStore.setState({ done: next });
    void writeSetting(settingOf(planId), JSON.stringify([...next])).catch(() => {});
  };
  return {
    isTicked: (key) => storedPlanId === planId && done.has(key),
    tick: (key, isDone) => keep(isDone ? new Set([...done, key]) : new Set([...done].filter((other) => other !== key))),
    clear: (beginning) => keep(new Set([...done].filter((key) => !key.startsWith(beginning)))),
  };
}
