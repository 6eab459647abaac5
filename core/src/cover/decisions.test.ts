import { expect, test } from "vitest";
import { pieceOf, planOf, sourceOf, stationOf, stopOf, trackNorth } from "../../test/fixtures.ts";
import { computePlan } from "../index.ts";
import { dayNumber } from "../units/day.ts";
import { decisionsOf } from "./decisions.ts";

const tracks = [trackNorth({ lengthM: 120_000 })];
const post = { services: ["post", "shop-full", "bed"], nights: 1 };
const made = (decisions: object, sendDays: number) =>
  planOf({
    stops: [stopOf("a", 40_000, post), stopOf("b", 80_000, post)],
    sources: [sourceOf("w", 60_000)],
    climate: { stations: [stationOf(2, 14)] },
    stretches: [{ id: "s", name: "s", fromM: 85_000, toM: 95_000, kind: "snow", surface: "firm-snow" }],
    kit: [
      pieceOf("spikes", 350, { spans: [{ fromStopId: "b", toStopId: "@finish", begins: "posted" }] }),
      pieceOf("poles", 500, { spans: [{ fromStopId: "a", toStopId: "b", begins: "bought", ends: "sent-home" }] }),
      pieceOf("shoes", 800, { wear: "worn", role: "shoes" }),
    ],
    kitRules: { sendDays },
    decisions: [{ id: "h", name: "if the reports speak of ice", ...decisions }],
  });
const decide = (decisions: object, sendDays = 5) => {
  const plan = made(decisions, sendDays);
  const result = computePlan(plan, tracks);
  return { legs: result.legs, ...decisionsOf(plan, result)[0]! };
};

test("to be decided before the first of the pieces has to be posted, or on the day of the stop", () => {
  const sent = decide({ pieceIds: ["spikes"] });
  expect(sent.legIndex).toBe(2);
  expect(dayNumber(sent.legs[2]!.startDate)! - dayNumber(sent.decideBy!)!).toBe(5);
  const bought = decide({ pieceIds: ["spikes"], otherwiseIds: ["poles"] }, 1);
  expect(bought).toMatchObject({ legIndex: 1, decideBy: bought.legs[1]!.startDate, takenG: -150 });
  expect(decide({ pieceIds: ["shoes"] })).toMatchObject({ legIndex: 0, decideBy: "2027-05-01", takenG: 800 });
  expect(decide({ pieceIds: [] })).toMatchObject({ legIndex: undefined, decideBy: undefined, takenG: 0 });
});

test("what the figures say is that of the legs of its pieces, and follows the limit", () => {
  const snow = (limit: number) => decide({ pieceIds: ["spikes"], condition: { of: "snow-over", limit } }).found!;
  expect(snow(5).have).toBeCloseTo(10, 1);
  expect([snow(5).isSo, snow(15).isSo]).toEqual([true, false]);
  expect(decide({ pieceIds: ["poles"], condition: { of: "snow-over", limit: 0 } }).found).toMatchObject({
    have: 0,
    isSo: false,
  });
  const cold = decide({ pieceIds: ["spikes"], condition: { of: "night-below", limit: 0 } });
  expect(cold.found!.have).toBe(cold.legs[2]!.coldNightC);
  expect(cold.found!.isSo).toBe(cold.legs[2]!.coldNightC < 0);
  const dry = decide({ pieceIds: ["poles"], condition: { of: "carry-over", limit: 0.1 } });
  expect(dry.found!.have).toBe(Math.max(...dry.legs[1]!.hikers[0]!.carries.map(({ litres }) => litres)));
  expect(dry.found!.isSo).toBe(true);
  expect(decide({ pieceIds: [], condition: { of: "snow-over", limit: 0 } }).found).toBeUndefined();
});

test("rain and wind are those of the days of its legs; a forecast that covers them is used, and counted", () => {
  const spikes = (condition: object, more: object = {}) => {
    const plan = { ...made({ pieceIds: ["spikes"], condition }, 5), ...more };
    const result = computePlan(plan, tracks);
    return { days: result.days.filter(({ legIndex }) => legIndex === 2), found: decisionsOf(plan, result)[0]!.found! };
  };
  const wet = spikes({ of: "wet-over", limit: 0.1 });
  expect(wet.found.have).toBeCloseTo(
    wet.days.reduce((sum, { wetChance }) => sum + wetChance, 0),
    9,
  );
  expect(wet.found).toMatchObject({ isSo: wet.found.have > 0.1, forecastDays: 0, days: wet.days.length });
  expect(spikes({ of: "wet-over", limit: wet.days.length }).found.isSo).toBe(false);
  const wind = spikes({ of: "wind-over", limit: 0 });
  expect(wind.found.have).toBe(Math.max(...wind.days.map(({ windMps }) => windMps)));
  const date = wet.days[0]!.date;
  const { climate } = made({ pieceIds: ["spikes"] }, 5);
  const forecasts = [
    {
      id: "f",
      name: "F",
      issued: date,
      fromM: 80_000,
      toM: 120_000,
      heightM: 100,
      days: [{ date, lowC: 2, highC: 14, wetChance: 1 }],
    },
  ];
  const told = spikes({ of: "wet-over", limit: 0.1 }, { climate: { ...climate, forecasts } });
  expect(told.found.forecastDays).toBe(1);
  expect(told.found.have).toBeGreaterThan(wet.found.have);
});
