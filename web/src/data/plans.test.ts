import "fake-indexeddb/auto";
import { computePlan, PLAN_VERSION, readPlanFile, type Plan } from "@gepack/core";
import { beforeEach, describe, expect, test, vi } from "vitest";
import { straightTrack } from "../../test/plans.ts";
import { db } from "./db.ts";
import {
  importPlan,
  keepProfile,
  listPlans,
  migrateStored,
  planToOpen,
  rememberOpened,
  removeVariant,
  storeVariant,
  profileOf,
  rawPlan,
  step,
  storePlan,
  StorageProblem,
  tracksOf,
  watchPlan,
} from "./plans.ts";
import { nameNow, plan, rename, storedAlone, track } from "../../test/storedPlan.ts";

beforeEach(storedAlone);

describe("storing", () => {
  test("tracks come back as typed arrays", async () => {
    const [back] = await tracksOf(plan());
    expect(back!.lonDeg).toBeInstanceOf(Float64Array);
    expect([...back!.heightM]).toEqual([0, NaN]);
  });

  test("storing a plan anew forgets its old steps", async () => {
    await rename("old");
    await storePlan(plan(), [track]);
    expect(await step("p", "undo")).toBeUndefined();
  });

  test("a watcher hears of edits", async () => {
    const seen: (string | undefined)[] = [];
    const watch = watchPlan(
      "p",
      (open) => seen.push(open?.doc.trip.name),
      () => seen.push("error"),
    );
    await vi.waitFor(() => expect(seen).toContain("Test"));
    await rename("heard");
    await vi.waitFor(() => expect(seen.at(-1)).toBe("heard"));
    watch.unsubscribe();
  });

  test("many tracks on a full disk are a sentence, too", async () => {
    const refusal = Object.assign(new Error("1 of 1 operations failed. Errors: AbortError: aborted"), {
      name: "BulkError",
    });
    const put = vi.spyOn(db.tracks, "bulkPut").mockRejectedValue(refusal);
    await expect(storePlan(plan("q"), [track])).rejects.toThrow(/because it’s full/);
    put.mockRestore();
  });

  test("a full disk is a sentence, and the document stays", async () => {
    const put = vi
      .spyOn(db.plans, "put")
      .mockRejectedValue(Object.assign(new Error("full"), { name: "QuotaExceededError" }));
    await expect(rename("lost")).rejects.toBeInstanceOf(StorageProblem);
    put.mockRestore();
    expect(await nameNow()).toBe("Test");
    expect(await db.history.count()).toBe(0);
  });
});

describe("importing a file", () => {
  const imported = (): Plan => ({ ...plan(), trip: { ...plan().trip, name: "From the file" } });

  test("a plan that is here already is changed by one step that can be undone", async () => {
    await rename("mine");
    await importPlan(imported(), [track]);
    expect(await nameNow()).toBe("From the file");
    expect(await step("p", "undo")).toBe("Import From the file");
    expect(await nameNow()).toBe("mine");
    expect(await step("p", "undo")).toBe("Name mine");
  });

  test("a plan that is new is simply stored", async () => {
    await importPlan({ ...imported(), id: "fresh" }, [track]);
    expect(await nameNow("fresh")).toBe("From the file");
    expect(await step("fresh", "undo")).toBeUndefined();
  });

  test("the same track is kept, another of the same id does not overwrite it", async () => {
    await importPlan(imported(), [track]);
    expect((await db.plans.get("p"))!.doc.trackIds).toEqual(["t"]);
    const other = { ...track, latDeg: new Float64Array([5, 6]) };
    await importPlan(imported(), [other]);
    const { trackIds } = (await db.plans.get("p"))!.doc;
    expect(trackIds[0]).not.toBe("t");
    expect([...(await db.tracks.get("t"))!.latDeg]).toEqual([0, 1]);
    expect([...(await tracksOf((await db.plans.get("p"))!.doc))[0]!.latDeg]).toEqual([5, 6]);
  });
});

describe("documents of an earlier version", () => {
  const old = (): Plan => {
    const rest: Partial<Plan> = plan("old");
    delete rest.dayRules;
    return { ...rest, version: 1, days: { darkShare: 0.25, sleepAt: "camps" } } as unknown as Plan;
  };

  test("are brought to the present one where they lie, and lose their undo steps", async () => {
    await db.plans.put({ id: "old", doc: old(), updatedAt: 0, revision: 3 });
    await db.settings.put({ key: "ticks old", value: '["buy oats"]' });
    await db.history.add({ planId: "old", label: "Edit", forward: [], inverse: [], undone: 0 });
    expect(await migrateStored()).toMatch(/older than some rules/);
    expect(await migrateStored()).toBeUndefined();
    const { doc, revision } = (await db.plans.get("old"))!;
    expect(doc.version).toBe(PLAN_VERSION);
    expect(doc.dayRules).toMatchObject({ darkFraction: 0.25, sleepAt: "camps" });
    // What was ticked off stood beside the plan until then.
    expect(doc.ticks).toEqual([{ id: "buy oats" }]);
    expect(revision).toBe(4);
    expect(await step("old", "undo")).toBeUndefined();
    expect((await db.plans.get("p"))!.revision).toBe(1);
  });

  test("one that cannot be read stays as it is", async () => {
    const broken = { ...old(), hikers: "nobody" } as unknown as Plan;
    await db.plans.put({ id: "old", doc: broken, updatedAt: 0, revision: 3 });
    await migrateStored();
    expect((await db.plans.get("old"))!.doc).toEqual(broken);
  });
});

describe("what is damaged where it lies", () => {
  const damagedRow = { id: "bad", doc: undefined as unknown as Plan, updatedAt: 0, revision: 1 };

  test("a row without a document bars neither the list, nor migrating, nor its own export", async () => {
    await db.plans.put(damagedRow);
    await migrateStored();
    expect(await listPlans()).toContainEqual({ id: "bad", name: "Unnamed plan", updatedAt: 0 });
    expect(JSON.parse(await rawPlan("bad"))).toEqual({ tracks: [] });
  });

  test("the raw export of a plan is a plan file", async () => {
    const { value } = readPlanFile(JSON.parse(await rawPlan("p")));
    expect(value!.plan.trip.name).toBe("Test");
    expect(value!.tracks[0]!.lonDeg).toEqual(track.lonDeg);
  });

  test.each<[string, object]>([
    ["without heights", { heightM: undefined }],
    ["with arrays of two lengths", { latDeg: new Float64Array(1) }],
    ["with a list for an array", { lonDeg: [0, 1] }],
  ])("a track %s is none", async (_, damage) => {
    await db.tracks.put({ ...track, ...damage } as typeof track);
    expect(await tracksOf(plan())).toEqual([]);
  });

  test("a measured trail with arrays of two lengths is measured anew", async () => {
    const { profile } = computePlan(plan(), [straightTrack(50)]);
    await keepProfile("t forward", { ...profile, heightM: new Float64Array(3) });
    expect(await profileOf("t forward")).toBeUndefined();
  });

  test("a tab opens the plan that it names, else the one opened last, else the one changed last", async () => {
    await storePlan(plan("q"), []);
    await db.plans.update("p", { updatedAt: Date.now() + 1000 });
    expect(await planToOpen("q")).toBe("q");
    expect(await planToOpen("gone")).toBe("p");
    await rememberOpened("q");
    expect(await planToOpen("gone")).toBe("q");
    await rememberOpened("gone");
    expect(await planToOpen(undefined)).toBe("p");
    await db.plans.clear();
    expect(await planToOpen("q")).toBeUndefined();
  });

  test("a variant taken away and put back has its undo steps", async () => {
    await rename("one");
    await rename("two");
    await step("p", "undo");
    const gone = await removeVariant("p");
    expect([await db.plans.count(), await db.history.count()]).toEqual([0, 0]);
    await storeVariant(gone!);
    expect(await step("p", "redo")).toBe("Name two");
    expect(await step("p", "undo")).toBe("Name two");
    expect(await step("p", "undo")).toBe("Name one");
    expect(await nameNow()).toBe("Test");
  });

  test("an import that changes nothing makes no step", async () => {
    await importPlan(plan(), [track]);
    expect(await db.history.count()).toBe(0);
  });

  test("a step that fits no more is refused with a sentence, and changes nothing", async () => {
    await rename("one");
    await db.history
      .toCollection()
      .modify({ inverse: [{ op: "set", path: ["kit", { by: "id", is: "nobody" }, "massG"], value: 1 }] });
    await expect(step("p", "undo")).rejects.toBeInstanceOf(StorageProblem);
    expect(await nameNow()).toBe("one");
  });

  test("a plan that a newer version has in hand is not written to by this one", async () => {
    await rename("one");
    await db.plans.update("p", { "doc.version": 99 });
    await expect(rename("two")).rejects.toThrow(/newer version of Gepack/);
    await expect(step("p", "undo")).rejects.toThrow(/newer version of Gepack/);
    expect(await nameNow()).toBe("one");
  });
});

describe("trails that were measured", () => {
  test("come back to the number; of many the oldest go", async () => {
    const { profile } = computePlan(plan(), [straightTrack(50)]);
    await keepProfile("t forward", profile);
    expect(await profileOf("t forward")).toEqual(profile);
    expect(await profileOf("t reverse")).toBeUndefined();
    await keepProfile("t forward", profile);
    expect(await db.profiles.count()).toBe(1);
    for (let i = 0; i < 6; i++) await keepProfile(`other ${i}`, profile);
    expect(await db.profiles.count()).toBeLessThanOrEqual(4);
    expect(await profileOf("other 5")).toBeDefined();
    expect(await profileOf("t forward")).toBeUndefined();
  });

  test("one that was measured otherwise than today is not taken", async () => {
    const { profile } = computePlan(plan(), [straightTrack(50)]);
    await db.profiles.add({ key: "t forward", version: 0, profile });
    expect(await profileOf("t forward")).toBeUndefined();
  });
});
