/** Edits of the log: what they leave can be read again, and what a card told its sources goes with the card. */
import { computePlan, logDaySchema, planSchema, type LogDay, type Plan, type PlanResult } from "@gepack/core";
import { produce, type Draft } from "immer";
import { beforeEach, expect, test, vi } from "vitest";
import { planWith, straightTrack } from "../../test/plans.ts";

let plan: Plan;
let result: PlanResult;

vi.mock("../store/document.ts", () => ({
  edit: (_: string, recipe: (draft: Draft<Plan>) => void): Promise<void> => {
    plan = produce(plan, recipe);
    return Promise.resolve();
  },
}));

const { forgetCard, keepCards } = await import("./log.ts");

const card = (date: string, km: number, more: Partial<LogDay> = {}): LogDay =>
  logDaySchema.parse({ id: `log-${date}`, date, trackM: km * 1000, ...more });

beforeEach(() => {
  plan = planWith({
    trip: { name: "T", startDate: "2027-05-01" },
    sources: [
      { id: "w", name: "Pond", trackM: 12_000, reports: [{ date: "2027-05-01", said: "dry", note: "a friend" }] },
    ],
  });
  result = computePlan(plan, [straightTrack()]);
});

const shownReports = (): string[] => plan.sources[0]!.reports.map(({ said, note }) => `${said}, ${note}`);

test("with the first card the plan of then is kept; with later ones it stays; of a day there is one", () => {
  keepCards([card("2027-05-02", 30)], result);
  const planned = plan.plannedDays;
  expect(planned.length).toBe(new Set(result.days.map(({ date }) => date)).size);
  keepCards([card("2027-05-01", 15), card("2027-05-02", 28)], result);
  expect(plan.plannedDays).toBe(planned);
  expect(plan.log.map(({ date, trackM }) => [date, trackM])).toEqual([
    ["2027-05-01", 15_000],
    ["2027-05-02", 28_000],
  ]);
  expect(planSchema.safeParse(plan).success).toBe(true);
});

test("what was seen at water is told to the source once, taken back with the card, and leaves what others said", () => {
  const seen = (said: "dry" | "flowing") => card("2027-05-01", 15, { water: [{ sourceId: "w", said }] });
  keepCards([seen("flowing")], result);
  keepCards([seen("dry")], result);
  expect(shownReports()).toEqual(["dry, a friend", "dry, from the log"]);
  keepCards([card("2027-05-01", 15)], result);
  expect(shownReports()).toEqual(["dry, a friend"]);
  keepCards([seen("flowing")], result);
  forgetCard(plan.log[0]!);
  expect(shownReports()).toEqual(["dry, a friend"]);
  expect(plan.log).toEqual([]);
});
