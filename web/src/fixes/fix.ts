/** What would repair a check: a button where the program can do it itself, in one undoable step, else advice. */
import type { Plan, PlanResult } from "@gepack/core";
import type { Draft } from "immer";
import type { Made } from "../store/made.ts";

export interface Action {
  /** What the button says. */
  button: string;
  /** What the step is called in undo. */
  label: string;
  recipe: (draft: Draft<Plan>, made: Made) => void;
}

export interface Advice {
  advice: string;
}

export type Fix = Action | Advice;

/** The plan as it stands, which a repair is worked out from. */
export interface FixContext {
  plan: Plan;
  result: PlanResult;
}

export const advice = (sentence: string): Advice => ({ advice: sentence });

export function isAction(fix: Fix): fix is Action {
  return "recipe" in fix;
}

/** Those that could be worked out: a repair may find nothing to do. */
export function fixes(...found: (Fix | undefined)[]): Fix[] {
  return found.filter((fix) => fix !== undefined);
}
