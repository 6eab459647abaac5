/** What is ticked off on lists: shopping, packing, boxes, the sheet of a stop. Part of the plan, by list and line. */
import type { Plan } from "@gepack/core";
import { edit } from "../store/document.ts";

export interface TickList {
  isTicked: (key: string) => boolean;
  tick: (key: string, done: boolean) => void;
  /** All of those of which the key starts so. */
  clear: (beginning: string) => void;
}

export function ticksOf({ ticks }: Pick<Plan, "ticks">): TickList {
  const done = new Set(ticks.map(({ id }) => id));
  return {
    isTicked: (key) => done.has(key),
    tick: (key, isDone) =>
      edit(isDone ? "Tick a line" : "Untick a line", (draft) => {
        draft.ticks = draft.ticks.filter(({ id }) => id !== key);
        if (isDone) draft.ticks.push({ id: key });
      }),
    clear: (beginning) =>
      edit("Clear ticks", (draft) => {
        draft.ticks = draft.ticks.filter(({ id }) => !id.startsWith(beginning));
      }),
  };
}
