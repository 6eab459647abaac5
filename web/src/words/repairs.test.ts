import { expect, test } from "vitest";
import { repairWords } from "./repairs.ts";

const NOTHING = { doubledPoints: 0, flungPoints: 0, missingHeights: 0, spikedHeights: 0 };

test("only what was repaired is listed, one in the singular and many in the plural", () => {
  expect(repairWords(NOTHING)).toEqual([]);
  expect(repairWords({ ...NOTHING, doubledPoints: 1, missingHeights: 1234 })).toEqual([
    "1 duplicate point removed",
    "1,234 elevations filled in",
  ]);
  expect(repairWords({ ...NOTHING, flungPoints: 2, spikedHeights: 1 })).toEqual([
    "2 stray points removed",
    "1 elevation spike smoothed",
  ]);
});
