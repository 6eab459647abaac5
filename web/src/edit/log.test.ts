/** Edits of the log: what they leave can be read again, and what a card told its sources goes with the card. */
import { computePlan, logDaySchema, type LogDay, type PlanResult } from "@gepack/core";
import { afterEach, beforeEach, expect, test } from "vitest";
import { keepsItsWord, openPlanWith, planNow } from "../../test/openedPlan.ts";
import { planWith, straightTrack } from "../../test/plans.ts";

let result: PlanResult;

import { forgetCard, keepCards } from "./log.ts";

const card = (date: string, km: number, more: Partial<LogDay> = {}): LogDay =>
  logDaySchema.parse({ id: `log-${date}`, date, trackM: km * 1000, ...more });

beforeEach(async () => {
  const plan = planWith({
    trip: { name: "T", startDate: "2027-05-01" },
    sources: [
      { id: "w", name: "Pond", trackM: 12_000, reports: [{ date: "2027-05-01", said: "dry", note: "a friend" }] },
    ],
  });
  result = computePlan(plan, [straightTrack()]);
  await openPlanWith(plan);
});
afterEach(keepsItsWord);

const shownReports = (): string[] => planNow().sources[0]!.reports.map(({ said, note }) => `${said}, ${note}`);

test("with the first card the plan of then is kept; with later ones it stays; of a day there is one", () => {
  keepCards([card("2027-05-02", 30)], result);
  const planned = planNow().plannedDays;
  expect(planned.length).toBe(new Set(result.days.map(({ date }) => date)).size);
  keepCards([card("2027-05-01", 15), card("2027-05-02", 28)], result);
  expect(planNow().plannedDays).toBe(planned);
  expect(planNow().log.map(({ date, trackM }) => [date, trackM])).toEqual([
    ["2027-05-01", 15_000],
    ["2027-05-02", 28_000],
  ]);
});

test("what was seen at water is told to the source once, taken back with the card, and leaves what others said", () => {
  const seen = (said: "dry" | "flowing") => card("2027-05-01", 15, { water: [{ sourceId: "w", said }] });
  keepCards([seen("flowing")], result);
  keepCards([seen("dry")], result);
  expect(shownReports()).toEqual(["dry, a friend", "dry, from the log"]);
  keepCards([card("2027-05-01", 15)], result);
  expect(shownReports()).toEqual(["dry, a friend"]);
  keepCards([seen("flowing")], result);
  forgetCard(planNow().log[0]!);
  expect(shownReports()).toEqual(["dry, a friend"]);
  expect(planNow().log).toEqual([]);
});
