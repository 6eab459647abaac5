import { describe, expect, test } from "vitest";
import { dayNumber } from "../units/day.ts";
import {
  arrivalSdDays,
  arrivalSpreadDays,
  chanceOver,
  chanceThere,
  comesWithin,
  meanTransitDays,
  sendingDays,
  workingDaysBetween,
} from "./post.ts";
import { postPlaceOf, simulatedTransit } from "./simulatedPost.ts";

const day = (iso: string): number => dayNumber(iso)!;
const PARCEL = { leastDays: 2, q: 0.35, lostFraction: 0.01 };

// Worked out apart: least days, q, mean, P(T ≤ 3, 4, 5, 7, 10), days for 95 %.
test.each([
  [1, 0.2, 1.5, [0.973, 0.993, 0.998, 1, 1], 3],
  [2, 0.35, 3.077, [0.718, 0.874, 0.946, 0.991, 0.999], 6],
  [3, 0.5, 5, [0.25, 0.5, 0.688, 0.891, 0.98], 9],
  [6, 0.65, 9.714, [0, 0, 0, 0.282, 0.681], 16],
])("a service of at least %i working days, q %f", (leastDays, q, mean, within, for95) => {
  const service = { leastDays, q };
  expect(meanTransitDays(service)).toBeCloseTo(mean, 3);
  expect([3, 4, 5, 7, 10].map((days) => Math.round(1000 * comesWithin(service, days)) / 1000)).toEqual(within);
  expect(comesWithin(service, for95)).toBeGreaterThanOrEqual(0.95);
  expect(comesWithin(service, for95 - 1)).toBeLessThan(0.95);
  expect(comesWithin(service, leastDays - 1)).toBe(0);
});

test("the closed form is the sum of its terms", () => {
  for (const q of [0, 0.2, 0.65]) {
    let sum = 0;
    for (let x = 0; x < 30; x++) {
      sum += (x + 1) * (1 - q) ** 2 * q ** x;
      expect(comesWithin({ leastDays: 4, q }, 4 + x)).toBeCloseTo(sum, 12);
    }
  }
});

test("Sundays do not count", () => {
  expect(workingDaysBetween(day("2027-06-11"), day("2027-06-18"))).toBe(6);
  expect(workingDaysBetween(day("2027-06-12"), day("2027-06-13"))).toBe(0);
  expect(workingDaysBetween(day("2027-06-14"), day("2027-06-12"))).toBe(0);
});

describe("a parcel that is needed on Friday 18 June", () => {
  const fetching = (sent: string, holdDays = 15) => ({ sentDay: day(sent), arrivesDay: day("2027-06-18"), holdDays });

  test("delivery on the day of arrival does not count: sent on the 11th 0.937, a day earlier 0.968", () => {
    expect(chanceThere(PARCEL, fetching("2027-06-11"))).toBeCloseTo(0.937, 3);
    expect(chanceThere(PARCEL, fetching("2027-06-10"))).toBeCloseTo(0.968, 3);
  });

  test("sent too early it has gone back", () => {
    expect(chanceThere(PARCEL, fetching("2027-05-01"))).toBeLessThan(0.01);
    expect(chanceThere(PARCEL, fetching("2027-05-01", 60))).toBeCloseTo(0.99, 3);
  });

  test("the day with the best chance is advised, and those about it that are hardly worse", () => {
    const given = { holdDays: 15, arrival: { plannedDay: day("2027-06-18"), sdDays: 0 } };
    const sending = sendingDays({ ...PARCEL, ...given });
    expect(sending.chance).toBeGreaterThan(0.985);
    expect(sending.fromDay).toBeLessThanOrEqual(sending.day);
    expect(sending.day).toBeLessThanOrEqual(sending.byDay);
    for (let sentDay = sending.day - 20; sentDay < day("2027-06-18"); sentDay++) {
      const chance = chanceOver(PARCEL, { sentDay, holdDays: 15 }, given.arrival);
      expect(chance).toBeLessThanOrEqual(sending.chance + 1e-12);
      if (sentDay >= sending.fromDay && sentDay <= sending.byDay)
        expect(chance).toBeGreaterThanOrEqual(sending.chance - 0.02);
    }
  });
});

// Worked out apart: every day a working day, 1 % lost, held 15 days and 30.
test.each([
  [3, 0.35, 20, 13, 0.989, 0.99],
  [3, 0.35, 50, 12, 0.909, 0.989],
  [3, 0.35, 80, 12, 0.734, 0.966],
  [3, 0.35, 110, 12, 0.589, 0.895],
  [5, 0.5, 80, 15, 0.722, 0.962],
])(
  "least %i days, q %f, planned after %i days: sent %i days before, %f",
  (leastDays, q, walked, before, held15, held30) => {
    const service = { leastDays, q, lostFraction: 0.01, everyDay: true };
    const arrival = { plannedDay: 1000, sdDays: arrivalSdDays(walked) };
    const best = sendingDays({ ...service, arrival, holdDays: 15 });
    expect(best.chance).toBeCloseTo(held15, 3);
    expect(1000 - best.day).toBe(before);
    expect(sendingDays({ ...service, arrival, holdDays: 30 }).chance).toBeCloseTo(held30, 3);
  },
);

test.each([
  [3, 0.35, 14, 0.99],
  [5, 0.5, 14, 0.976],
  [5, 0.5, 10, 0.867],
])("least %i days, q %f, sent when %i days of walking are left: %f", (leastDays, q, left, chance) => {
  const service = { leastDays, q, lostFraction: 0.01, everyDay: true };
  const arrival = { plannedDay: 1000, sdDays: arrivalSdDays(left) };
  expect(chanceOver(service, { sentDay: 1000 - left, holdDays: 15 }, arrival)).toBeCloseTo(chance, 3);
});

test("one is early or late by days that grow with the days walked", () => {
  // 1.645 · √((0.08 · 60)² + 0.01 · 60 · 1.3/0.7) = 8.1 days.
  expect(arrivalSpreadDays(60)).toBe(9);
  expect(arrivalSpreadDays(0)).toBe(0);
  expect(arrivalSpreadDays(5)).toBeLessThan(arrivalSpreadDays(50));
});

test("the simulated post: slower to small places and over long ways, and labelled", () => {
  const days = (to: "town" | "village" | "outpost" | "abroad", distanceKm: number) =>
    simulatedTransit({ to, distanceKm }).leastDays;
  expect([days("town", 0), days("village", 500), days("outpost", 501), days("abroad", 2600)]).toEqual([1, 2, 4, 9]);
  expect(simulatedTransit({ to: "village", distanceKm: 0 })).toMatchObject({ simulated: true, q: 0.35 });
  const place = (services: string[]) => postPlaceOf({ services } as Parameters<typeof postPlaceOf>[0]);
  expect([place(["shop-full"]), place(["shop-small", "post"]), place(["post"])]).toEqual([
    "town",
    "village",
    "outpost",
  ]);
});
