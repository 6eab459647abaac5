/** The season's figures taken apart are those that are given elsewhere. */
import { expect, test } from "vitest";
import { planOf, stationOf, trackNorth } from "../../test/fixtures.ts";
import { computePlan } from "../session/session.ts";
import { legConditions } from "./legs.ts";
import { seasonWhys, type SeasonFigure } from "./why.ts";

const tracks = [trackNorth({ lengthM: 60_000, heightM: (m) => 1500 + 900 * Math.sin((Math.PI * m) / 60_000) })];
const LOW = [-8, -7, -4, -1, 3, 7, 11, 10, 6, 1, -4, -7];
const station = { ...stationOf(0, 0), heightM: 1500, lowC: LOW, highC: LOW.map((c) => c + 14) };
const of = (startDate: string, climate: Record<string, unknown> = {}) => {
  const plan = planOf({
    trip: { name: "t", startDate },
    climate: { stations: [station], ...climate },
    stretches: [{ id: "f", name: "Cold fork", kind: "ford", fromM: 20_000, toM: 20_100 }],
  });
  const result = computePlan(plan, tracks);
  const whys = seasonWhys(plan, result, 0);
  const tree = (figure: SeasonFigure) => whys.find((why) => why.figure === figure)?.tree;
  return { plan, result, row: legConditions(plan, result)[0]!, tree };
};

test("night, snow, wet days, sun and ford are the figures of the table and the lane", () => {
  const { result, row, tree } = of("2027-05-01");
  expect(tree("night")!.value).toBe(row.coldNightC);
  expect(tree("snow")!.value).toBeCloseTo(row.snowM / 1000, 9);
  expect(tree("snow")!.parts[0]!.source).toBe("snow-degree-day");
  // Chances that change from day to day follow each other: the chain's mean lags a little.
  expect(tree("wet")!.value).toBeCloseTo(row.wetMean, 2);
  expect(tree("wet")!.parts).toHaveLength(row.days);
  expect(tree("sun")!.value).toBeCloseTo(row.uvIndex, 9);
  expect(tree("ford")).toMatchObject({ value: result.fords[0]!.flow, name: "Cold fork" });
});

test("no snow, nothing to tell of it; the coldest of all nights has a part of its own", () => {
  expect(of("2027-08-10").tree("snow")).toBeUndefined();
  const all = of("2027-05-01", { nightBy: "coldest-of-all" });
  const night = all.tree("night")!;
  expect(night.parts.map(({ code }) => code)).toEqual(["cold-night", "all-nights", "clear-tail"]);
  expect(night.value).toBe(all.result.legs[0]!.kitNightC);
  expect(night.value).toBeLessThan(all.row.coldNightC);
});

test("legs that are not there have no whys", () => {
  const { plan, result } = of("2027-05-01");
  expect(seasonWhys(plan, result, 7)).toEqual([]);
});
