import { Worker } from "node:worker_threads";
import { afterEach, describe, expect, test } from "vitest";
import { openDesk, type Desk, type DeskEnd, type DeskRules } from "./desk.ts";

/** A thread that does what its task says. */
const THREAD = `
  const { parentPort, threadId } = require("node:worker_threads");
  parentPort.on("message", (task) => {
    if (task === "throw") throw new Error("broken");
    if (task === "fill") { const all = []; for (;;) all.push(new Array(1e5).fill(all.length)); }
    if (task === "hang") for (;;);
    parentPort.postMessage(threadId);
  });`;

const NOBODY_LEAVES = new AbortController().signal;
const threads: Worker[] = [];

function desk(rules: Partial<DeskRules> = {}): Desk<string, number> {
  const start = (): Worker => {
    const thread = new Worker(THREAD, { eval: true, resourceLimits: { maxOldGenerationSizeMb: 30 } });
    threads.push(thread);
    return thread;
  };
  return openDesk(start, { threads: 1, queue: 2, deadlineMs: 60_000, ...rules });
}

afterEach(async () => {
  await Promise.all(threads.splice(0).map((thread) => thread.terminate()));
});

const kinds = (ends: DeskEnd<number>[]): string[] => ends.map((end) => end.is);

describe("a desk", () => {
  test("answers one after the other, in the same thread", async () => {
    const { ask } = desk();
    const ends = await Promise.all(["a", "b", "c"].map((task) => ask(task, NOBODY_LEAVES)));
    expect(kinds(ends)).toEqual(["done", "done", "done"]);
    expect(threads).toHaveLength(1);
  });

  test("as many at a time as it has threads; those who find the queue full are turned away at once", async () => {
    const { ask } = desk({ threads: 2, queue: 1 });
    const leave = new AbortController();
    const busy = [ask("hang", leave.signal), ask("hang", leave.signal), ask("a", NOBODY_LEAVES)];
    expect(await ask("b", NOBODY_LEAVES)).toEqual({ is: "full" });
    leave.abort();
    expect(kinds(await Promise.all(busy))).toEqual(["left", "left", "done"]);
    expect(await ask("c", NOBODY_LEAVES)).toMatchObject({ is: "done" });
  });

  test("work that takes too long is stopped with its thread, and the next gets a new one", async () => {
    const { ask } = desk({ deadlineMs: 300 });
    const [late, next] = await Promise.all([ask("hang", NOBODY_LEAVES), ask("a", NOBODY_LEAVES)]);
    expect(late).toEqual({ is: "late" });
    expect(next).toMatchObject({ is: "done" });
    expect(threads).toHaveLength(2);
  });

  test("who leaves while waiting makes room, and is not worked for", async () => {
    const { ask } = desk({ queue: 1 });
    const [first, second] = [new AbortController(), new AbortController()];
    const hanging = ask("hang", first.signal);
    const waiting = ask("a", second.signal);
    second.abort();
    // At once, while the other is still being worked for.
    expect(await waiting).toEqual({ is: "left" });
    const third = ask("b", NOBODY_LEAVES);
    first.abort();
    expect(kinds(await Promise.all([hanging, waiting, third]))).toEqual(["left", "left", "done"]);
    expect(await ask("c", first.signal)).toEqual({ is: "left" });
  });

  test("a thread that dies ends its task alone, and it is known of what", async () => {
    const { ask } = desk();
    const ends = await Promise.all(["throw", "a", "fill"].map((task) => ask(task, NOBODY_LEAVES)));
    expect(ends).toMatchObject([{ is: "died", ofMemory: false }, { is: "done" }, { is: "died", ofMemory: true }]);
    expect(await ask("b", NOBODY_LEAVES)).toMatchObject({ is: "done" });
  });
});
