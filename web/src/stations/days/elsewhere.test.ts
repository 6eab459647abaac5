/** Other places for a night: near, before and behind, never at the morning's or where one is. */
import { calendarDays } from "@gepack/core";
import { expect, test } from "vitest";
import { demo } from "../../../test/plans.ts";
import { elsewhere } from "./elsewhere.ts";

const { plan, result } = demo();
const days = calendarDays(plan, result).filter(({ night, rests }) => night === "camp" && !rests);

test("at most eight, in walking order, within reach, some on either side", () => {
  let before = 0;
  let behind = 0;
  for (const day of days) {
    const places = elsewhere(plan, result.profile, day);
    expect(places.length).toBeLessThanOrEqual(8);
    expect(places.map(({ at }) => at)).toEqual(places.map(({ at }) => at).sort((a, b) => a - b));
    for (const { at } of places) {
      expect(at).toBeGreaterThan(day.fromM + 500);
      expect(Math.abs(at - day.toM)).toBeGreaterThan(300);
      expect(Math.abs(at - day.toM)).toBeLessThan(9000);
      if (at < day.toM) before++;
      else behind++;
    }
  }
  expect(Math.min(before, behind)).toBeGreaterThan(50);
});

test("all kinds are told, and what is not walked is not", () => {
  const kinds = new Set(days.flatMap((day) => elsewhere(plan, result.profile, day).map(({ what }) => what)));
  expect([...kinds].sort()).toEqual(["camp", "stop", "water"]);
  const names = days.flatMap((day) => elsewhere(plan, result.profile, day).map(({ name }) => name));
  expect(names).not.toContain("Corrie spring");
});
