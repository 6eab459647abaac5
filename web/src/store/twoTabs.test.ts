/** Two tabs on one plan, each a store of its own on one database: whatever both do at once, they end with one document. */
import "fake-indexeddb/auto";
import { type Plan } from "@gepack/core";
import type { Draft } from "immer";
import { afterEach, beforeAll, expect, test, vi } from "vitest";
import { runs } from "../../../core/test/arbitraryPlan.ts";
import { seededRandom } from "../../../demo/generate/random.ts";
import { InProcessWorker } from "../../test/inProcessWorker.ts";
import { pieceOf, planWith, someone, straightTrack } from "../../test/plans.ts";
import { db } from "../data/db.ts";
import { storePlan } from "../data/plans.ts";

interface Tab {
  edit: typeof import("./document.ts").edit;
  undoRedo: typeof import("./document.ts").undoRedo;
  plan: () => Plan;
  isBusy: () => boolean;
  open: (id: string) => void;
}

/** A tab's page, as far as the store asks for one. */
function page(): void {
  const listens = { addEventListener: () => {} };
  vi.stubGlobal("window", {
    ...listens,
    location: { href: "http://localhost/", search: "" },
    history: { replaceState: () => {} },
  });
  vi.stubGlobal("document", { ...listens, activeElement: null });
  vi.stubGlobal("navigator", { storage: undefined });
  vi.stubGlobal("Worker", InProcessWorker);
}

async function openTab(): Promise<Tab> {
  vi.resetModules();
  const { begin } = await import("./opening.ts");
  const { edit, undoRedo } = await import("./document.ts");
  const { latestPlan, isBusy } = await import("./liveDocument.ts");
  const { selectPlan } = await import("./selection.ts");
  begin();
  return { edit, undoRedo, plan: () => latestPlan()!, isBusy, open: selectPlan };
}

const base = (id: string): Plan =>
  planWith({
    id,
    hikers: [someone],
    stops: [{ id: "one", name: "One", trackM: 10_000 }],
    sources: [{ id: "w", name: "Well", trackM: 5000 }],
    kit: [pieceOf("tent"), pieceOf("tarp")],
  });

type Uniform = () => number;
const oneOf = <T>(rows: readonly T[], uniform: Uniform): T | undefined => rows[Math.floor(uniform() * rows.length)];

/** Rows that were added, and those that anybody removed: by list and id. */
interface Told {
  added: Set<string>;
  removed: Set<string>;
}

/** Lists of every kind: with ids that refer and are referred to, within a row, within a part. */
const LISTS = {
  kit: (plan: Draft<Plan>) => plan.kit,
  reports: (plan: Draft<Plan>) => plan.sources[0]!.reports,
  postage: (plan: Draft<Plan>) => plan.resupply.postage,
  ramp: (plan: Draft<Plan>) => plan.hikers[0]!.pace.ramp,
} as const;

function rowFor(list: keyof typeof LISTS, id: string, n: number): object {
  switch (list) {
    case "kit":
      return planWith({ kit: [pieceOf(id, { name: `Piece ${n}` })] }).kit[0]!;
    case "reports":
      return { id, date: "2027-05-01", said: "dry", note: "" };
    case "postage":
      return { id, toKg: 1 + n, price: n };
    case "ramp":
      return { id, tripDay: n, hoursH: 6 };
  }
}

/** One random edit of a tab, made on what it shows. */
function randomEdit(tab: Tab, mark: string, n: number, uniform: Uniform, told: Told): Promise<unknown> {
  const which = uniform();
  const list = oneOf(Object.keys(LISTS) as (keyof typeof LISTS)[], uniform)!;
  if (which < 0.4) {
    const id = `${mark}${n}`;
    if (list === "ramp" && LISTS.ramp(tab.plan() as Draft<Plan>).length > 5) return Promise.resolve();
    if (list === "postage" && LISTS.postage(tab.plan() as Draft<Plan>).length > 12) return Promise.resolve();
    told.added.add(`${list} ${id}`);
    return tab.edit(`Add ${id}`, (draft) => void LISTS[list](draft).push(rowFor(list, id, n) as never));
  }
  const row = oneOf<{ id: string }>(LISTS[list](tab.plan() as Draft<Plan>), uniform);
  if (which < 0.55) {
    if (!row) return Promise.resolve();
    told.removed.add(`${list} ${row.id}`);
    return tab.edit(`Remove ${row.id}`, (draft) => {
      const rows = LISTS[list](draft) as { id: string }[];
      const at = rows.findIndex(({ id }) => id === row.id);
      if (at >= 0) rows.splice(at, 1);
    });
  }
  if (which < 0.8)
    return tab.edit("Change", (draft) => {
      const piece = oneOf(draft.kit, uniform);
      if (piece) Object.assign(piece, uniform() < 0.5 ? { massG: n } : { name: `${mark} ${n}` });
      const [report] = draft.sources[0]!.reports;
      if (report) report.note = `${mark} ${n}`;
    });
  return tab.edit("Move", (draft) => {
    draft.kit.push(...draft.kit.splice(0, 1));
    draft.trip.name = `${mark} ${n}`;
  });
}

/** Two hundred by itself; fewer where many tests share the time. */
const RUNS = process.env["RUNS"] === undefined ? 200 : runs(20);

let tabs: Tab[];

beforeAll(async () => {
  page();
  vi.stubGlobal("localStorage", undefined);
  await storePlan(base("p0"), [straightTrack(200)]);
  tabs = [await openTab(), await openTab()];
});
afterEach(() => void vi.useRealTimers());

const storedPlan = async (id: string): Promise<Plan | undefined> => (await db.plans.get(id))?.doc;

test("thirty edits in two tabs at once, at random: both show what is stored, and no row is lost that nobody removed", async () => {
  for (let run = 0; run < RUNS; run++) {
    const random = seededRandom(20261201 + run);
    const uniform = (): number => random.uniform();
    const id = `p${run}`;
    await storePlan(base(id), [straightTrack(200)]);
    for (const tab of tabs) tab.open(id);
    for (const tab of tabs) await vi.waitFor(() => expect(tab.plan()?.id).toBe(id), 5000);
    const told: Told = { added: new Set(), removed: new Set() };
    const edits: Promise<unknown>[] = [];
    for (let n = 0; n < 30; n++) {
      const which = uniform() < 0.5 ? 0 : 1;
      edits.push(randomEdit(tabs[which]!, which === 0 ? "a" : "b", n, uniform, told));
      if (uniform() < 0.4) await new Promise((resolve) => setTimeout(resolve, 6 * uniform()));
    }
    await Promise.all(edits);
    await vi.waitFor(
      async () => {
        const stored = await storedPlan(id);
        for (const tab of tabs) {
          expect(tab.isBusy()).toBe(false);
          expect(tab.plan(), `run ${run}`).toEqual(stored);
        }
      },
      { timeout: 8000, interval: 20 },
    );
    const now = (await storedPlan(id))! as Draft<Plan>;
    const there = new Set(
      (Object.keys(LISTS) as (keyof typeof LISTS)[]).flatMap((list) =>
        LISTS[list](now).map((row) => `${list} ${row.id}`),
      ),
    );
    const lost = [...told.added].filter((key) => !there.has(key) && !told.removed.has(key));
    expect(lost, `run ${run}`).toEqual([]);
  }
}, 600_000);

test("each tab has its own plan: what another opens changes nothing under one’s hands", async () => {
  await storePlan(base("mine"), []);
  await storePlan(base("theirs"), []);
  const [mine, theirs] = tabs as [Tab, Tab];
  mine.open("mine");
  theirs.open("theirs");
  for (const tab of tabs) await vi.waitFor(() => expect(["mine", "theirs"]).toContain(tab.plan().id), 5000);
  await vi.waitFor(() => expect([mine.plan().id, theirs.plan().id]).toEqual(["mine", "theirs"]), 5000);
  await theirs.edit("Name", (draft) => void (draft.trip.name = "Theirs"));
  await mine.edit("Name", (draft) => void (draft.trip.name = "Mine"));
  expect([mine.plan().trip.name, theirs.plan().trip.name]).toEqual(["Mine", "Theirs"]);
  expect([(await storedPlan("mine"))!.trip.name, (await storedPlan("theirs"))!.trip.name]).toEqual(["Mine", "Theirs"]);
});

test("a plan that another tab removed stays on the screen; an edit of it is refused with a sentence", async () => {
  await storePlan(base("gone"), []);
  const [mine] = tabs as [Tab, Tab];
  mine.open("gone");
  await vi.waitFor(() => expect(mine.plan().id).toBe("gone"), 5000);
  await db.plans.delete("gone");
  expect(await mine.edit("Name", (draft) => void (draft.trip.name = "Lost"))).toBe(false);
  expect(mine.plan()).toMatchObject({ id: "gone", trip: { name: "Test" } });
});
