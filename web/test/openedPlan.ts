/**
 * A plan opened in the real store, on a real database in memory, computed by the real jobs: what tests of edits edit.
 * After them `keepsItsWord` holds for whatever they did: what is shown is stored, can be read, and comes undone and
 * done again.
 */
import "fake-indexeddb/auto";
import { PLAN_VERSION, readPlan, type Plan, type TrackPoints } from "@gepack/core";
import { expect, vi } from "vitest";
import { db } from "../src/data/db.ts";
import { step } from "../src/data/plans.ts";
import { takePlan } from "../src/store/document.ts";
import { isBusy, latestPlan } from "../src/store/liveDocument.ts";
import { InProcessWorker } from "./inProcessWorker.ts";
import { straightTrack } from "./plans.ts";

vi.stubGlobal("Worker", InProcessWorker);
vi.stubGlobal("window", { location: { href: "http://localhost/", search: "" }, history: { replaceState: () => {} } });

let first: Plan;

export async function openPlanWith(plan: Plan, tracks: readonly TrackPoints[] = [straightTrack()]): Promise<void> {
  await settled();
  first = plan;
  await takePlan({ plan, tracks: [...tracks] });
}

/** With every edit in it so far. */
export const planNow = (): Plan => latestPlan()!;

/** Every edit has come to its end. */
export async function settled(): Promise<void> {
  while (isBusy()) await new Promise((resolve) => setTimeout(resolve, 1));
}

/** Of the steps that can be undone, oldest first. */
export async function labels(): Promise<string[]> {
  await settled();
  return (await db.history.where({ planId: first.id, undone: 0 }).sortBy("seq")).map(({ label }) => label);
}

const storedPlan = async (): Promise<Plan> => (await db.plans.get(first.id))!.doc;

export async function keepsItsWord(): Promise<void> {
  const steps = (await labels()).length;
  const last = planNow();
  expect(await storedPlan()).toEqual(last);
  expect(readPlan(JSON.parse(JSON.stringify(last)))).toMatchObject({ value: { version: PLAN_VERSION }, problems: [] });
  for (let i = 0; i < steps; i++) await step(first.id, "undo");
  expect(await storedPlan()).toEqual(first);
  for (let i = 0; i < steps; i++) await step(first.id, "redo");
  expect(await storedPlan()).toEqual(last);
}
