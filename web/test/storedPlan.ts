/** A plan in the real database, in memory, and what tests of storage do to it. */
import "fake-indexeddb/auto";
import { changesBetween, type Plan, type PlanChange } from "@gepack/core";
import { produce, type Draft } from "immer";
import { vi } from "vitest";
import { db } from "../src/data/db.ts";
import { change, storePlan, type Stored } from "../src/data/plans.ts";
import { planWith } from "./plans.ts";

export const plan = (id = "p"): Plan => planWith({ id });
export const track = {
  id: "t",
  name: "t",
  lonDeg: new Float64Array([0, 1]),
  latDeg: new Float64Array([0, 1]),
  heightM: new Float32Array([0, NaN]),
  segmentStarts: new Uint32Array([0]),
};

/** What a browser keeps beside the database, written at once. */
export class Shelf {
  private readonly rows = new Map<string, string>();
  get length(): number {
    return this.rows.size;
  }
  key = (i: number): string | null => [...this.rows.keys()][i] ?? null;
  getItem = (key: string): string | null => this.rows.get(key) ?? null;
  setItem = (key: string, value: string): void => void this.rows.set(key, value);
  removeItem = (key: string): void => void this.rows.delete(key);
}

export const nameNow = async (id = "p"): Promise<string> => (await db.plans.get(id))!.doc.trip.name;
/** What a recipe changes of a document, as an edit hands it on. */
export const changesOf = (doc: Plan, recipe: (draft: Draft<Plan>) => void): PlanChange[] =>
  changesBetween(doc, produce(doc, recipe));
export const rename = async (name: string, id = "p"): Promise<Stored> =>
  change(
    id,
    `Name ${name}`,
    changesOf((await db.plans.get(id))!.doc, (draft) => void (draft.trip.name = name)),
  );

/** Every test begins with one plan stored, and nothing else. */
export async function storedAlone(): Promise<void> {
  vi.stubGlobal("localStorage", new Shelf());
  await Promise.all(db.tables.map((table) => table.clear()));
  await storePlan(plan(), [track]);
}
