import { expect, test } from "vitest";
import { chanceWords } from "./odds.ts";

test.each([
  [0, 1000, 0.0038, "< 1 in 260"],
  [0, 100, 0.037, "< 1 in 27"],
  [1, 1000, 0.0056, "1 in 1000"],
  [14, 1000, 0.023, "1 in 71"],
  [15, 1000, 0.025, "2 in 100"],
  [94, 1000, 0.11, "9 in 100"],
  [990, 1000, 0.995, "almost always"],
])("%i of %i hikes is said as people read it", (found, runs, high, words) => {
  expect(chanceWords({ found, runs, low: 0, high })).toBe(words);
});
