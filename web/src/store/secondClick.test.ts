/** Which click is the one before again. */
import { afterEach, beforeEach, expect, test, vi } from "vitest";
import { forgetClick, markEdit, refuseSecond } from "./secondClick.ts";

class Target {
  constructor(readonly free = false) {}
  closest(): Target | null {
    return this.free ? this : null;
  }
}

interface Given {
  x?: number;
  byKeys?: boolean;
  target?: Target;
  edits?: boolean;
}

/** Clicks, and says whether it went through; the page edits where it is meant to. */
function click({ x = 100, byKeys = false, target = new Target(), edits = true }: Given = {}): boolean {
  let isRefused = false;
  const event = {
    timeStamp: performance.now(),
    detail: byKeys ? 0 : 1,
    clientX: byKeys ? 0 : x,
    clientY: 50,
    target,
    preventDefault: () => {},
    stopImmediatePropagation: () => void (isRefused = true),
  };
  refuseSecond(event as never);
  if (!isRefused && edits) markEdit();
  return !isRefused;
}

/** Each test begins after all that was before. */
let beginsMs = 0;
beforeEach(() => {
  vi.stubGlobal("Element", Target);
  vi.useFakeTimers({ toFake: ["performance"] });
  vi.advanceTimersByTime((beginsMs += 60_000));
});
afterEach(() => vi.useRealTimers());

test.each([0, 150, 300, 700])("a second click after %i ms edits nothing, by pointer and by keys", (ms) => {
  for (const byKeys of [false, true]) {
    vi.advanceTimersByTime(5000);
    expect(click({ byKeys })).toBe(true);
    vi.advanceTimersByTime(ms);
    expect(click({ byKeys })).toBe(false);
    vi.advanceTimersByTime(ms);
    expect(click({ byKeys })).toBe(false);
  }
});

test("a click a while later, or elsewhere, is one of its own", () => {
  click();
  vi.advanceTimersByTime(800);
  expect(click()).toBe(true);
  expect(click({ x: 140 })).toBe(true);
});

test("after a click that edited nothing the next goes through, however soon", () => {
  expect(click({ edits: false })).toBe(true);
  expect(click({ edits: false })).toBe(true);
});

test("what an edit has brought under the pointer is not pressed; ticks, fields and steppers are free", () => {
  click();
  expect(click({ target: new Target() })).toBe(false);
  expect(click({ target: new Target(true) })).toBe(true);
});

test("an edit that begins after a wait still belongs to its click", () => {
  click({ edits: false });
  vi.advanceTimersByTime(400);
  markEdit();
  vi.advanceTimersByTime(200);
  expect(click()).toBe(false);
});

test("Enter again after something was typed is a line of its own", () => {
  expect(click({ byKeys: true })).toBe(true);
  forgetClick();
  expect(click({ byKeys: true })).toBe(true);
});

test("a key that is held down presses once", () => {
  expect(click({ byKeys: true })).toBe(true);
  for (let i = 0; i < 50; i++) {
    vi.advanceTimersByTime(33);
    expect(click({ byKeys: true })).toBe(false);
  }
});
