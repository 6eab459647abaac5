import "fake-indexeddb/auto";
import { changesBetween, computePlan, PLAN_VERSION, readPlanFile, type PlanChange, type Plan } from "@gepack/core";
import { produce, type Draft } from "immer";
import { beforeEach, describe, expect, test, vi } from "vitest";
import { planWith, straightTrack } from "../../test/plans.ts";
import { db } from "./db.ts";
import { clearNote, pendingNotes, writeNote } from "./note.ts";
import {
  change,
  importPlan,
  keepProfile,
  listPlans,
  migrateStored,
  openPlan,
  profileOf,
  rawPlan,
  step,
  storeNotes,
  storePlan,
  StorageProblem,
  tracksOf,
  watchPlan,
} from "./plans.ts";

const plan = (id = "p"): Plan => planWith({ id });
const track = {
  id: "t",
  name: "t",
  lonDeg: new Float64Array([0, 1]),
  latDeg: new Float64Array([0, 1]),
  heightM: new Float32Array([0, NaN]),
  segmentStarts: new Uint32Array([0]),
};

/** What a browser keeps beside the database, written at once. */
class Shelf {
  private readonly rows = new Map<string, string>();
  get length(): number {
    return this.rows.size;
  }
  key = (i: number): string | null => [...this.rows.keys()][i] ?? null;
  getItem = (key: string): string | null => this.rows.get(key) ?? null;
  setItem = (key: string, value: string): void => void this.rows.set(key, value);
  removeItem = (key: string): void => void this.rows.delete(key);
}

const nameNow = async (id = "p"): Promise<string> => (await db.plans.get(id))!.doc.trip.name;
/** What a recipe changes of a document, as an edit hands it on. */
const changesOf = (doc: Plan, recipe: (draft: Draft<Plan>) => void): PlanChange[] =>
  changesBetween(doc, produce(doc, recipe));
const rename = async (name: string, id = "p") =>
  change(
    id,
    `Name ${name}`,
    changesOf((await db.plans.get(id))!.doc, (draft) => void (draft.trip.name = name)),
  );

beforeEach(async () => {
  vi.stubGlobal("localStorage", new Shelf());
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

describe("an edit made while another tab was first", () => {
  const stopOf = (id: string) => ({ ...stopRow, id, name: id });
  const doc = async (): Promise<Plan> => (await db.plans.get("p"))!.doc;
  /** Both tabs saw the same document; the second comes to storage after the first. */
  const both = async (mine: (draft: Draft<Plan>) => void, theirs: (draft: Draft<Plan>) => void) => {
    const base = await doc();
    await change("p", "Theirs", changesOf(base, theirs));
    return change("p", "Mine", changesOf(base, mine));
  };

  test("rows added to one list by both are there, and are what was shown", async () => {
    const id = crypto.randomUUID();
    await both(
      (draft) => void draft.stops.push(stopOf(id)),
      (draft) => void draft.stops.push(stopOf("theirs")),
    );
    expect((await doc()).stops.map((stop) => stop.id)).toEqual([id, "theirs"]);
    // The id that was shown is the id that is stored: what comes next finds its row.
    await change(
      "p",
      "Book",
      changesOf(await doc(), (draft) => void (draft.stops.find((stop) => stop.id === id)!.nights = 2)),
    );
    expect((await doc()).stops.find((stop) => stop.id === id)!.nights).toBe(2);
  });

  test("each is undone by itself, and nothing of the other with it", async () => {
    const stored = await both(
      (draft) => void (draft.trip.name = "mine"),
      (draft) => void draft.stops.push(stopOf("theirs")),
    );
    expect(stored).toMatchObject({ dropped: [], overwritten: [] });
    expect(await step("p", "undo")).toBe("Mine");
    expect([await nameNow(), (await doc()).stops.length]).toEqual(["Test", 1]);
    expect(await step("p", "undo")).toBe("Theirs");
    expect(await doc()).toEqual(plan());
  });

  test("a field that both changed is the later one’s, with a message", async () => {
    const { overwritten } = await both(
      (draft) => void (draft.trip.name = "mine"),
      (draft) => void (draft.trip.name = "theirs"),
    );
    expect(await nameNow()).toBe("mine");
    expect(overwritten).toMatchObject([{ path: ["trip", "name"], was: "Test" }]);
  });

  test("what another tab removed gives a message: a part of an edit, or the whole of it", async () => {
    await change(
      "p",
      "Add",
      changesOf(await doc(), (draft) => void draft.stops.push(stopOf("a"))),
    );
    const remove = (draft: Draft<Plan>): void => void draft.stops.splice(0);
    const rest = await both((draft) => {
      draft.trip.name = "mine";
      draft.stops[0]!.nights = 3;
    }, remove);
    expect(rest.dropped).toMatchObject([{ path: ["stops", { is: "a" }, "nights"] }]);
    expect(await nameNow()).toBe("mine");
    await step("p", "undo");
    await step("p", "undo");
    await expect(both((draft) => void (draft.stops[0]!.nights = 3), remove)).rejects.toThrow(/wasn’t saved/);
    await db.plans.delete("p");
    await expect(change("p", "Edit", [{ op: "set", path: ["trip", "name"], value: "x" }])).rejects.toThrow(
      /removed in another tab/,
    );
  });
});

describe("nothing is stored that cannot be opened", () => {
  const doc = async (): Promise<Plan> => (await db.plans.get("p"))!.doc;

  test.each<[string, (draft: Draft<Plan>) => void, RegExp]>([
    [
      "a list over its limit",
      (draft) => void (draft.hikers = Array.from({ length: 7 }, (_, i) => ({ ...draft.hikers[0]!, id: `h${i}` }))),
      /hikers.*6/,
    ],
    ["a name that nobody sees", (draft) => void (draft.hikers[0]!.name = "\u200b"), /visible name/],
    ["a number out of bounds", (draft) => void (draft.hikers[0]!.bodyKg = 9000), /bodyKg/],
  ])("%s is refused, and the document stays", async (_, recipe, words) => {
    const before = await doc();
    await expect(change("p", "Edit", changesOf(before, recipe))).rejects.toThrow(words);
    expect(await doc()).toEqual(before);
    expect(await db.history.count()).toBe(0);
  });

  test("two tabs fill a list beyond its limit: the first is kept, the second is refused with a sentence", async () => {
    const base = await doc();
    const grown = (mark: string) =>
      changesOf(
        base,
        (draft) =>
          void (draft.hikers = [
            ...draft.hikers,
            ...["1", "2", "3"].map((i) => ({ ...draft.hikers[0]!, id: mark + i })),
          ]),
      );
    await change("p", "One", grown("one"));
    await expect(change("p", "Other", grown("other"))).rejects.toThrow(/hikers.*6/);
    expect((await doc()).hikers).toHaveLength(base.hikers.length + 3);
  });
});

describe("the note that is written ahead", () => {
  /** What an edit leaves on the shelf when its tab dies before storage has it. */
  const noteOf = (recipe: (draft: Draft<Plan>) => void, label = "Edit", planId = "p") => {
    return writeNote({ planId, label, changes: changesOf(plan(planId), recipe) });
  };

  test("an edit that a closing tab left is stored on the next opening, as a step of its own", async () => {
    noteOf((draft) => void (draft.trip.name = "left behind"), "Name left behind");
    expect(await storeNotes()).toBe(1);
    expect(await nameNow()).toBe("left behind");
    expect(pendingNotes()).toEqual([]);
    expect(await step("p", "undo")).toBe("Name left behind");
    expect(await nameNow()).toBe("Test");
  });

  test("several in the order in which they were made", async () => {
    for (const name of ["one", "two", "three"]) noteOf((draft) => void (draft.trip.name = name));
    await storeNotes();
    expect(await nameNow()).toBe("three");
  });

  test("what storage had already is not stored twice", async () => {
    const note = noteOf((draft) => void draft.stops.push({ ...stopRow, id: "s" }));
    await change("p", "Add", note.changes, note.id);
    await storeNotes();
    expect((await db.plans.get("p"))!.doc.stops).toHaveLength(1);
    expect(await db.history.count()).toBe(1);
  });

  test("a note that fits no more, reads no more, or belongs to no plan is given up, and the others are kept", async () => {
    noteOf((draft) => void (draft.trip.name = "nobody"), "Edit", "gone");
    localStorage.setItem("gepack.note.0", "{ torn");
    const torn = writeNote({
      planId: "p",
      label: "Torn",
      changes: [{ op: "set", path: ["kit", { by: "id", is: "nobody" }, "massG"], value: 1 }],
    });
    noteOf((draft) => void (draft.trip.name = "kept"));
    await storeNotes();
    expect(await nameNow()).toBe("kept");
    expect(pendingNotes()).toEqual([]);
    clearNote(torn.id);
  });

  test("a full shelf keeps no edit from being made", () => {
    vi.spyOn(localStorage, "setItem").mockImplementation(() => {
      throw Object.assign(new Error("full"), { name: "QuotaExceededError" });
    });
    expect(() => noteOf((draft) => void (draft.trip.name = "x"))).not.toThrow();
    expect(pendingNotes()).toEqual([]);
  });
});

const stopRow = planWith({ stops: [{ id: "s", name: "S", trackM: 100 }] }).stops[0]!;

describe("documents of an earlier version", () => {
  const old = (): Plan => {
    const rest: Partial<Plan> = plan("old");
    delete rest.dayRules;
    return { ...rest, version: 1, days: { darkShare: 0.25, sleepAt: "camps" } } as unknown as Plan;
  };

  test("are brought to the present one where they lie, and lose their undo steps", async () => {
    await db.plans.put({ id: "old", doc: old(), updatedAt: 0, revision: 3 });
    await db.history.add({ planId: "old", label: "Edit", forward: [], inverse: [], undone: 0 });
    await migrateStored();
    const { doc, revision } = (await db.plans.get("old"))!;
    expect(doc.version).toBe(PLAN_VERSION);
    expect(doc.dayRules).toMatchObject({ darkFraction: 0.25, sleepAt: "camps" });
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

  test("where the plan opened last is gone, the one changed last is opened", async () => {
    await storePlan(plan("q"), []);
    await db.plans.update("p", { updatedAt: Date.now() + 1000 });
    await openPlan("gone");
    const opened = await new Promise<string | undefined>((resolve) => {
      const watch = watchPlan(
        (open) => {
          resolve(open?.id);
          setTimeout(() => watch.unsubscribe());
        },
        () => resolve("error"),
      );
    });
    expect(opened).toBe("p");
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
