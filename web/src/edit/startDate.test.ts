import { logDaySchema } from "@gepack/core";
import { describe, expect, test } from "vitest";
import { keepsItsWord, openPlanWith, planNow, settled } from "../../test/openedPlan.ts";
import { planWith, someone } from "../../test/plans.ts";
import { answered, useAsking } from "./asking.ts";
import { startOn } from "./startDate.ts";

const log = [logDaySchema.parse({ id: "log-2027-05-01", date: "2027-05-01", trackM: 12_000 })];
const plan = planWith({ hikers: [someone], trip: { name: "T", startDate: "2027-05-01" }, log });

describe("the first day", () => {
  test("after a logged day it is asked about, and moved by yes alone", async () => {
    await openPlanWith(plan);
    startOn(planNow(), "2027-05-04");
    const { question } = useAsking.getState();
    expect(question!.text).toMatch(/^1 logged day is before/);
    await settled();
    expect(planNow().trip.startDate).toBe("2027-05-01");
    question!.onYes();
    answered();
    await settled();
    expect(planNow().trip.startDate).toBe("2027-05-04");
    expect(planNow().log).toHaveLength(1);
    await keepsItsWord();
  });

  test("earlier, or the same day, it is moved at once", async () => {
    await openPlanWith(plan);
    startOn(planNow(), "2027-04-20");
    expect(useAsking.getState().question).toBeUndefined();
    await settled();
    expect(planNow().trip.startDate).toBe("2027-04-20");
  });
});
