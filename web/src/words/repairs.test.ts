import { expect, test } from "vitest";
import { repairWords } from "./repairs.ts";

const NOTHING = { doubledPoints: 0, flungPoints: 0, missingHeights: 0, spikedHeights: 0 };

test("only what had to be mended is told, one as one and many as many", () => {
  expect(repairWords(NOTHING)).toEqual([]);
  expect(repairWords({ ...NOTHING, doubledPoints: 1, missingHeights: 1234 })).toEqual([
    "1 doubled point dropped",
    "1,234 heights filled in",
  ]);
  expect(repairWords({ ...NOTHING, flungPoints: 2, spikedHeights: 1 })).toEqual([
    "2 flung points dropped",
    "1 spiked height smoothed",
  ]);
});
