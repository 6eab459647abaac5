/**
 * What was on the screen when the page was left: the figures of a plan, so that it is opened with them while they are
 * computed again. In a database of its own: nothing in it is missed when it is lost, and what must not be lost stays
 * away from it.
 */
import type { PlanResult } from "@gepack/core";
import Dexie, { type EntityTable } from "dexie";

interface ShownRow {
  id: string;
  /** Of the stored plan, and of the program that computed it. */
  revision: number;
  build: string;
  at: number;
  result: PlanResult;
}

class ShownDatabase extends Dexie {
  shown!: EntityTable<ShownRow, "id">;

  constructor() {
    super("gepack-shown", { chromeTransactionDurability: "relaxed" });
    this.version(1).stores({ shown: "id, at" });
  }
}

const db = new ShownDatabase();
/** The names of built files change with what is in them, this your with the calculation's. */
const BUILD = import.meta.url;
const MOST_PLANS = 3;

/** Undefined where nothing of this very plan, by this very program, was kept. */
export async function shownOf(id: string, revision: number): Promise<PlanResult | undefined> {
  if (!import.meta.env.PROD) return undefined;
  const row = await db.shown.get(id).catch(() => undefined);
  if (row?.revision !== revision || row.build !== BUILD) return undefined;
  return isWhole(row.result) ? row.result : undefined;
}

function isWhole({ profile, packs, legs, days, cellH }: PlanResult): boolean {
  const cells = profile.cellCount;
  return (
    legs.length > 0 && days.length > 0 && cellH.length === cells && packs.every((pack) => pack.loadKg.length === cells)
  );
}

export async function keepShown(id: string, revision: number, result: PlanResult): Promise<void> {
  if (!import.meta.env.PROD) return;
  await db.shown.put({ id, revision, build: BUILD, at: Date.now(), result });
  await db.shown.bulkDelete(await db.shown.orderBy("at").reverse().offset(MOST_PLANS).primaryKeys());
}
