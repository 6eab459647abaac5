/** Fords on a plan's way: the day and hour of passage, what is measured and what is not, and the checks they make. */
import { expect, test } from "vitest";
import { planOf, stationOf, trackNorth } from "../../test/fixtures.ts";
import type { Plan } from "../plan/schema.ts";
import { computePlan, type PlanResult } from "../session/session.ts";

const tracks = [trackNorth({ lengthM: 100_000, heightM: (m) => 1200 + 1300 * Math.sin((Math.PI * m) / 100_000) })];
const LOW = [-8, -7, -4, -1, 3, 7, 11, 10, 6, 1, -4, -7];
const RAIN = [110, 95, 95, 65, 45, 25, 12, 12, 25, 50, 100, 110];
const ford = (over: Record<string, unknown> = {}) => ({
  id: "ford",
  name: "Cold fork",
  kind: "ford",
  fromM: 31_950,
  toM: 32_050,
  ...over,
});
const walk = (startDate: string, over: Record<string, unknown> = {}, climate: Record<string, unknown> = {}) => {
  const station = { ...stationOf(0, 0), heightM: 1200, lowC: LOW, highC: LOW.map((c) => c + 14), precipMm: RAIN };
  const plan: Plan = planOf({
    trip: { name: "t", startDate },
    climate: { stations: [station], ...climate },
    stretches: [ford(over)],
  });
  const result: PlanResult = computePlan(plan, tracks);
  return { plan, result, passage: result.fords[0]! };
};
const checkOf = (result: PlanResult) => result.checks.find(({ code }) => code === "ford-high");

test("it is passed on a day of the plan, at an hour between that day's start and end", () => {
  const { result, passage } = walk("2027-05-20");
  const day = result.days.find(({ date }) => date === passage.date)!;
  const cell = Math.round(31_950 / result.profile.cellM);
  expect(day.fromNode).toBeLessThanOrEqual(cell);
  expect(day.toNode).toBeGreaterThan(cell);
  const share = (cell - day.fromNode) / (day.toNode - day.fromNode);
  const even = day.startClockH + share * (day.endClockH - day.startClockH);
  expect(Math.abs(passage.clockH - even)).toBeLessThan(1);
});

test("nothing measured is told as flow and is never easy; at the melt's peak it is dangerous, in autumn caution", () => {
  const [spring, autumn] = [walk("2027-05-15"), walk("2027-09-20")];
  expect(spring.passage.depthM).toBeUndefined();
  expect(spring.passage.index).toBeGreaterThan(0.6);
  expect([spring.passage.class, autumn.passage.class]).toEqual([3, 2]);
  expect(checkOf(spring.result)).toMatchObject({ severity: "caution", ford: "Cold fork", level: 3, depth: 0 });
  expect(checkOf(autumn.result)).toMatchObject({ severity: "note", level: 2 });
});

test("a measured crossing: deeper with more melt, a step in autumn, and then no check", () => {
  const known = { depthM: 0.5, speedMps: 0.9, refMonthDay: "06-20", refClockH: 12 };
  const [spring, autumn] = [walk("2027-05-05", known), walk("2027-09-20", known)];
  expect(spring.passage.depthM).toBeGreaterThan(0.5);
  expect(autumn.passage.depthM).toBeLessThan(0.4);
  expect(spring.passage.class).toBeGreaterThan(autumn.passage.class);
  expect(checkOf(autumn.result)).toBeUndefined();
  expect(checkOf(spring.result)).toMatchObject({ depth: spring.passage.depthM });
});

test("much snow means more water later, ice keeps it high in August, small people are in danger sooner", () => {
  const at = (over: Record<string, unknown>, snowYear: string) => walk("2027-06-20", over, { snowYear }).passage.index;
  expect(at({}, "high")).toBeGreaterThan(at({}, "usual"));
  expect(at({}, "low")).toBeLessThan(at({}, "usual"));
  expect(walk("2027-08-20").passage.index).toBeLessThan(0.1);
  expect(walk("2027-08-20", { glacier: true }).passage.index).toBe(1);
  expect(walk("2027-10-20", { glacier: true }).passage.index).toBeLessThan(0.5);
});

test("where stretches alone say where snow lies, fords still follow the season's melt", () => {
  const { passage } = walk("2027-05-05", {}, { snowBy: "by-hand" });
  expect(passage.index).toBeCloseTo(walk("2027-05-05").passage.index, 1);
});
