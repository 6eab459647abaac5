/** What the browser keeps. Documents without bulk, tracks as typed arrays, history as patches. */
import type { PlanChange, Plan, Profile, TrackPoints } from "@gepack/core";
import Dexie, { type EntityTable } from "dexie";

/**
 * Written beside what must not be lost. A browser that finds no room in the middle of its own database may throw the
 * whole of it away; a row over 64 KiB is in a file of its own, which is written first, and where that finds no room
 * nothing of the rest is started. Random, so that it cannot be packed smaller.
 */
export const BALLAST = new Uint8Array(80 * 1024);
for (let from = 0; from < BALLAST.length; from += 40 * 1024)
  crypto.getRandomValues(BALLAST.subarray(from, from + 40 * 1024));

export interface PlanRow {
  id: string;
  doc: Plan;
  ballast?: Uint8Array;
  updatedAt: number;
  /** Grows with every write: whoever has seen a later one need not look at an earlier. */
  revision: number;
}

export interface HistoryRow {
  seq: number;
  planId: string;
  label: string;
  forward: PlanChange[];
  inverse: PlanChange[];
  /** 1 once undone; redone steps go back to 0. */
  undone: 0 | 1;
  /** The note of the write ahead that this step was; see `note.ts`. */
  noteId?: string;
}

export interface SettingRow {
  key: string;
  value: string;
  ballast?: Uint8Array;
}

/** A trail measured once, so that opening a plan does not repair its tracks again. */
export interface ProfileRow {
  /** In the order of keeping. */
  seq: number;
  /** Ids of the tracks, and the direction walked. */
  key: string;
  /** How it was measured; see `PROFILE_VERSION`. */
  version: number;
  profile: Profile;
  ballast?: Uint8Array;
}

/** A file of map tiles, as it was opened. */
export interface BaseMapRow {
  id: string;
  name: string;
  file: Blob;
}

class GepackDatabase extends Dexie {
  plans!: EntityTable<PlanRow, "id">;
  tracks!: EntityTable<TrackPoints, "id">;
  history!: EntityTable<HistoryRow, "seq">;
  settings!: EntityTable<SettingRow, "key">;
  profiles!: EntityTable<ProfileRow, "seq">;
  baseMaps!: EntityTable<BaseMapRow, "id">;

  constructor() {
    // What is said to be kept is on the disk, where the browser can promise it.
    super("gepack", { chromeTransactionDurability: "strict" });
    this.version(1).stores({ plans: "id", tracks: "id", history: "++seq, [planId+undone]", settings: "key" });
    this.version(2).stores({ history: "++seq, [planId+undone], noteId", profiles: "++seq, &key" });
    this.version(3).stores({ baseMaps: "id" });
  }
}

export const db = new GepackDatabase();
