import { describe, expect, test } from "vitest";
import { assumedBetween, assumedEveryM } from "./assumed.ts";

describe("assumed water", () => {
  test("stands so far apart at the most, evenly, and not where the next is near", () => {
    expect(assumedBetween(0, 30_000, 10_000)).toEqual([10_000, 20_000]);
    expect(assumedBetween(5000, 30_000, 10_000).map(Math.round)).toEqual([13_333, 21_667]);
    expect(assumedBetween(0, 10_000, 10_000)).toEqual([]);
    expect(assumedBetween(20_000, 10_000, 5000)).toEqual([]);
  });

  test("is farther apart in dry country, nearer by the sea, the same north and south", () => {
    expect(assumedEveryM(46, "inland")).toBe(10_000);
    expect(assumedEveryM(33, "inland")).toBe(16_000);
    expect(assumedEveryM(-33, "deep")).toBe(16_000);
    expect(assumedEveryM(33, "coast")).toBe(6000);
    expect(assumedEveryM(2, "inland")).toBe(10_000);
  });
});
