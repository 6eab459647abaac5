import "fake-indexeddb/auto";
import { type Plan } from "@gepack/core";
import { type Draft } from "immer";
import { beforeEach, describe, expect, test, vi } from "vitest";
import { planWith } from "../../test/plans.ts";
import { db } from "./db.ts";
import { clearNote, pendingNotes, writeNote } from "./note.ts";
import { change, step, storeNotes, storePlan } from "./plans.ts";
import { changesOf, nameNow, plan, rename, storedAlone } from "../../test/storedPlan.ts";

beforeEach(storedAlone);

const stopRow = planWith({ stops: [{ id: "s", name: "S", trackM: 100 }] }).stops[0]!;

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
      /Not saved: Edit\. .*at most 6 entries, found 7/,
    ],
    ["a name that nobody sees", (draft) => void (draft.hikers[0]!.name = "\u200b"), /visible name/],
    ["a number out of bounds", (draft) => void (draft.hikers[0]!.bodyKg = 9000), /at most 250, found 9000/],
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
    await expect(change("p", "Other", grown("other"))).rejects.toThrow(/Not saved: Other\. .*at most 6/);
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
