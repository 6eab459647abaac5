/** What the browser keeps. Documents without bulk, tracks as typed arrays, history as patches. */
import type { Plan, TrackPoints } from "@gepack/core";
import Dexie, { type EntityTable } from "dexie";
import type { Patch } from "immer";

export interface PlanRow {
  id: string;
  doc: Plan;
  updatedAt: number;
}

export interface HistoryRow {
  seq: number;
  planId: string;
  label: string;
  forward: Patch[];
  inverse: Patch[];
  /** 1 once undone; redone steps go back to 0. */
  undone: 0 | 1;
}

export interface SettingRow {
  key: string;
  value: string;
}

class GepackDatabase extends Dexie {
  plans!: EntityTable<PlanRow, "id">;
  tracks!: EntityTable<TrackPoints, "id">;
  history!: EntityTable<HistoryRow, "seq">;
  settings!: EntityTable<SettingRow, "key">;

  constructor() {
    super("gepack");
    this.version(1).stores({ plans: "id", tracks: "id", history: "++seq, [planId+undone]", settings: "key" });
  }
}

export const db = new GepackDatabase();
