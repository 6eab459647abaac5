import { readAdvice } from "@gepack/core";
import { describe, expect, test } from "vitest";
import { keepsItsWord, openPlanWith, planNow, settled } from "../../test/openedPlan.ts";
import { planWith, someone } from "../../test/plans.ts";
import { dropAdvice, takeAdvice } from "./advice.ts";

const piece = (id: string, name: string) => ({
  id,
  name,
  group: "Other",
  massG: 500,
  ownerId: "a",
  carrierId: "a",
  spans: [],
});
const plan = planWith({
  hikers: [someone],
  kit: [piece("chair", "Chair"), piece("pot", "Pot")].map((one) => ({
    ...one,
    ownerId: someone.id,
    carrierId: someone.id,
  })),
});
const marks = (said: string, remark: string) =>
  readAdvice(
    JSON.stringify({
      format: "gepack-advice",
      version: 1,
      from: "Ines",
      on: "2027-03-01",
      marks: [{ id: "chair", name: "Chair", said, remark }],
    }),
  ).value!;

describe("marks of a friend on the kit", () => {
  test("lie beside the piece; a second file of the same friend takes the place of the first", async () => {
    await openPlanWith(plan);
    await takeAdvice(marks("home", "too heavy"));
    await takeAdvice(marks("keep", "on reflection"));
    await settled();
    expect(planNow().kit[0]!.advice).toEqual([
      { from: "Ines", said: "keep", remark: "on reflection", on: "2027-03-01" },
    ]);
    expect(planNow().kit[1]!.advice).toBeUndefined();
    await keepsItsWord();
  });

  test("are cleared in one step", async () => {
    await openPlanWith(plan);
    await takeAdvice(marks("home", ""));
    await dropAdvice(1);
    await settled();
    expect(planNow().kit.every((one) => one.advice === undefined)).toBe(true);
    await keepsItsWord();
  });
});
