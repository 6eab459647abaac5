import { beforeAll, describe, expect, test } from "vitest";
import { calendarDays, computePlan, type Plan, type PlanResult } from "@gepack/core";
import { planWith, straightTrack } from "../../../test/plans.ts";
import { findPlaces, nameAt, namedPlaces, nearestPlaces, nextDate, openCard, waterAhead } from "./today.ts";

let plan: Plan;
let result: PlanResult;
beforeAll(() => {
  plan = planWith({
    trip: { name: "T", startDate: "2027-05-01" },
    stops: [{ id: "mill", name: "Old Mill", trackM: 40_000, services: ["shop-full", "bed"], nights: 1 }],
    sources: [
      { id: "w1", name: "Millbrook", trackM: 12_000 },
      { id: "w2", name: "Pond", trackM: 60_000 },
    ],
    camps: [{ id: "c", name: "Mill meadow", trackM: 38_000 }],
  });
  result = computePlan(plan, [straightTrack()]);
});

describe("what a card begins with", () => {
  test("the first day, as planned; then the day after the last that was kept", () => {
    expect(nextDate(plan)).toBe("2027-05-01");
    const first = openCard(plan, result, "2027-05-01");
    const planned = calendarDays(plan, result)[0]!;
    expect(first.planned).toEqual(planned);
    expect(first.before).toBeUndefined();
    expect(first.card.trackM).toBeCloseTo(planned.toM, 0);
    const kept: Plan = { ...plan, log: [first.card, { ...first.card, id: "b", date: "2027-05-03" }] };
    expect(nextDate(kept)).toBe("2027-05-04");
    expect(openCard(kept, computePlan(kept, [straightTrack()]), "2027-05-01").card).toBe(first.card);
  });

  test("a day that is planned to end at a stop ends there", () => {
    const day = calendarDays(plan, result).find(({ night }) => night === "stop")!;
    expect(openCard(plan, result, day.date).card).toMatchObject({ stopId: "mill", night: "stop" });
  });

  test("a date that the plan does not know begins where the last card ended", () => {
    const { card, planned } = openCard(plan, result, "2028-01-01");
    expect(planned).toBeUndefined();
    expect(card.trackM).toBe(0);
  });
});

test("water ahead: how far it is, and what is in the bottles there by the plan; none at the end", () => {
  const at = (km: number) => waterAhead(result, Math.round((km * 1000) / result.profile.cellM));
  const { carries } = result.legs[0]!.hikers[0]!;
  expect(at(0)).toEqual({ distanceM: expect.closeTo(12_000, -2), litres: [expect.closeTo(carries[0]!.litres, 1)] });
  expect(at(10)!.distanceM).toBeCloseTo(2_000, -2);
  expect(at(10)!.litres[0]).toBeLessThan(at(2)!.litres[0]!);
  expect(waterAhead(result, result.profile.cellCount)).toBeUndefined();
});

describe("places by two letters", () => {
  test("the nearest places to a point stand in walking order", () => {
    const places = namedPlaces(plan, result);
    expect(nearestPlaces(places, 39_500, 2).map(({ name }) => name)).toEqual(["Mill meadow", "Old Mill"]);
    expect(nearestPlaces(places, 0, 1).map(({ name }) => name)).toEqual(["Millbrook"]);
    expect(nearestPlaces([], 0, 2)).toEqual([]);
  });

  test("those that hold them, the nearest to the day's end first; a letter alone finds none", () => {
    const places = namedPlaces(plan, result);
    expect(findPlaces(places, "mi", 39_000, 5).map(({ name }) => name)).toEqual([
      expect.stringMatching(/Mill/),
      expect.stringMatching(/Mill/),
      "Millbrook",
    ]);
    expect(findPlaces(places, "MILL", 12_500, 1).map(({ name }) => name)).toEqual(["Millbrook"]);
    expect(findPlaces(places, "m", 0, 5)).toEqual([]);
    expect(findPlaces(places, "zz", 0, 5)).toEqual([]);
    expect(nameAt(places, 60_100)).toBe("Pond");
    expect(nameAt(places, 61_000)).toBeUndefined();
  });
});
