import { expect, test } from "vitest";
import type { Odds, PlanResult } from "@gepack/core";
import { fanEdge, fanOf } from "./fan.ts";

const legs = [
  { index: 0, fromM: 0, toM: 1000, startDate: "2027-05-01", endDate: "2027-05-05" },
  { index: 1, fromM: 1000, toM: 3000, startDate: "2027-05-06", endDate: "2027-05-11" },
] as unknown as PlanResult["legs"];
const odds = {
  legs: [
    { arrives: ["2027-05-04", "2027-05-05", "2027-05-07"] },
    // Even the early ones come later than planned: the fan does not cross the plan's own line.
    { arrives: ["2027-05-12", "2027-05-13", "2027-05-20"] },
  ],
} as unknown as Odds;

test("the fan opens from the start, a day early and two late, and never crosses the plan", () => {
  const [start, first, last] = fanOf(odds, { legs });
  expect(start).toMatchObject({ metres: 0, early: 0, late: 0 });
  expect(first).toMatchObject({ metres: 1000, early: 1, late: 2 });
  expect(last).toMatchObject({ metres: 3000, early: 0, late: 9 });
});

test("its edge goes out along the early days and back along the late ones", () => {
  const flat = fanOf(odds, { legs }).map((point) => ({ ...point, day: 0 }));
  const edge = fanEdge(
    flat,
    (metres) => metres / 1000,
    (day) => day,
  );
  expect(edge).toBe("0.0,0.0 1.0,-1.0 3.0,0.0 3.0,9.0 1.0,2.0 0.0,0.0");
});
