import "fake-indexeddb/auto";
import { planSchema, type Plan } from "@gepack/core";
import { beforeEach, describe, expect, test, vi } from "vitest";
import { db } from "./db.ts";
import { change, importPlan, step, storePlan, StorageProblem, tracksOf, watchPlan } from "./plans.ts";

const plan = (id = "p"): Plan =>
  planSchema.parse({
    format: "gepack-plan",
    version: 1,
    id,
    trip: { name: "Test", startDate: "2027-05-01" },
    trackIds: ["t"],
    hikers: [{ id: "a", name: "A", ageY: 30, sex: "male", heightCm: 175, bodyKg: 70 }],
  });
const track = {
  id: "t",
  name: "t",
  lonDeg: new Float64Array([0, 1]),
  latDeg: new Float64Array([0, 1]),
  heightM: new Float32Array([0, NaN]),
  segmentStarts: new Uint32Array([0]),
};
const nameNow = async (id = "p"): Promise<string> => (await db.plans.get(id))!.doc.trip.name;
const rename = (name: string, id = "p") => change(id, `Name ${name}`, (draft) => void (draft.trip.name = name));

beforeEach(async () => {
  await Promise.all(db.tables.map((table) => table.clear()));
  await storePlan(plan(), [track]);
});

describe("undo and redo", () => {
  test("steps go back and forth in order, with their labels", async () => {
    for (const name of ["one", "two", "three"]) await rename(name);
    expect(await step("p", "undo")).toBe("Name three");
    expect(await step("p", "undo")).toBe("Name two");
    expect(await nameNow()).toBe("one");
    expect(await step("p", "redo")).toBe("Name two");
    expect(await nameNow()).toBe("two");
  });

  test("an edit after an undo drops what was undone", async () => {
    await rename("one");
    await rename("two");
    await step("p", "undo");
    await rename("other");
    expect(await step("p", "redo")).toBeUndefined();
    expect(await nameNow()).toBe("other");
    await step("p", "undo");
    expect(await nameNow()).toBe("one");
  });

  test("nothing to undo is no error, and changes nothing", async () => {
    expect(await step("p", "undo")).toBeUndefined();
    expect(await nameNow()).toBe("Test");
  });

  test("an edit that changes nothing leaves no step", async () => {
    await rename("Test");
    expect(await db.history.count()).toBe(0);
  });

  test("each plan has its own steps", async () => {
    await storePlan(plan("q"), []);
    await rename("mine", "q");
    expect(await step("p", "undo")).toBeUndefined();
    expect(await step("q", "undo")).toBe("Name mine");
  });

  test("the oldest steps go when there are more than three hundred", async () => {
    for (let i = 0; i < 305; i++) await rename(`n${i}`);
    expect(await db.history.count()).toBe(300);
    expect(await nameNow()).toBe("n304");
  });
});

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
      (open) => seen.push(open?.doc.trip.name),
      () => seen.push("error"),
    );
    await vi.waitFor(() => expect(seen).toContain("Test"));
    await rename("heard");
    await vi.waitFor(() => expect(seen.at(-1)).toBe("heard"));
    watch.unsubscribe();
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
