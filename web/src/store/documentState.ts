/** What every screen shows of the opened plan. Plan and result change together: none sees one without the other. */
import type { Plan, PlanResult } from "@gepack/core";
import { create } from "zustand";

export interface DocumentState {
  status: "opening" | "ready" | "failed";
  failure: string | undefined;
  /** The stored plan that cannot be opened, when that is what failed. */
  damaged: { id: string; name: string } | undefined;
  /** Of the first trail, while it is on its way. */
  readBytes: number;
  plan: Plan | undefined;
  result: PlanResult | undefined;
  /** The result before the last edit, and what that edit was: shown beside the new one. */
  before: PlanResult | undefined;
  lastLabel: string | undefined;
  computing: boolean;
  /** False while storage keeps nothing: the plan lives in this page alone. */
  kept: boolean;
  /** An edit is on its way to storage. */
  storing: boolean;
  /** Edits that were taken back: what a field still holds of one is not so. */
  refusals: number;
  undoLabel: string | undefined;
  redoLabel: string | undefined;
  /** A newer Gepack waits for what is half done here. */
  isOutdated: boolean;
}

export const useDocument = create<DocumentState>(() => ({
  status: "opening",
  failure: undefined,
  damaged: undefined,
  readBytes: 0,
  plan: undefined,
  result: undefined,
  before: undefined,
  lastLabel: undefined,
  computing: false,
  kept: true,
  storing: false,
  refusals: 0,
  undoLabel: undefined,
  redoLabel: undefined,
  isOutdated: false,
}));
