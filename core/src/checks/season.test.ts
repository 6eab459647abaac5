/** Checks of the season: seasons of stops, forecasts that tell nothing, cold rain, sun, ticks, years. */
import { describe, expect, test } from "vitest";
import { planOf, sourceOf, stationOf, stopOf, trackNorth } from "../../test/fixtures.ts";
import { computePlan, type Check, type CheckCode } from "../index.ts";

const tracks = [trackNorth({ lengthM: 80_000 })];
const checksOf = (over: Record<string, unknown>): Check[] => computePlan(planOf(over), tracks).checks;
const found = <C extends CheckCode>(checks: Check[], code: C) =>
  checks.filter((check): check is Extract<Check, { code: C }> => check.code === code);
const mild = { climate: { stations: [stationOf(8, 18)] } };

describe("stops and their seasons", () => {
  const stop = (over: Record<string, unknown>) => ({ ...mild, stops: [stopOf("m", 40_000, over)] });
  const shop = { services: ["shop-full", "bed", "post"] };

  test("closed when one comes: a blocker with the day it opens and how long that is", () => {
    const [check] = found(checksOf(stop({ ...shop, openFrom: "05-15", openTo: "09-30" })), "stop-out-of-season");
    expect(check).toMatchObject({ severity: "blocker", legIndex: 0, stop: "m", opens: "2027-05-15" });
    const days = (Date.parse("2027-05-15") - Date.parse(check!.day)) / 86_400_000;
    expect(check!.wait).toBe(days);
  });

  test("open, or open over the new year: nothing to say; the next year's opening is found", () => {
    expect(found(checksOf(stop({ ...shop, openFrom: "04-15", openTo: "09-30" })), "stop-out-of-season")).toEqual([]);
    expect(found(checksOf(stop({ ...shop, openFrom: "11-01", openTo: "06-01" })), "stop-out-of-season")).toEqual([]);
    const [late] = found(checksOf(stop({ ...shop, openFrom: "01-10", openTo: "04-20" })), "stop-out-of-season");
    expect(late!.opens).toBe("2028-01-10");
  });

  test("a closed post matters where something is posted, or nothing else brings food", () => {
    const closed = { postFrom: "05-15", postTo: "10-31" };
    expect(found(checksOf(stop({ ...shop, ...closed })), "post-out-of-season")).toEqual([]);
    // A house that is closed is given as one, not as its post as well.
    const shut = checksOf(stop({ services: ["post"], openFrom: "05-15", openTo: "10-31" }));
    expect(found(shut, "stop-out-of-season")).toHaveLength(1);
    expect(found(shut, "post-out-of-season")).toEqual([]);
    const alone = checksOf(stop({ services: ["post"], ...closed }));
    expect(found(alone, "post-out-of-season")).toMatchObject([{ severity: "caution", opens: "2027-05-15" }]);
    const sent = {
      ...stop({ ...shop, ...closed }),
      kit: [
        {
          id: "bag",
          name: "bag",
          massG: 900,
          ownerId: "a",
          carrierId: "a",
          spans: [{ fromStopId: "m", toStopId: "@finish", begins: "posted" }],
        },
      ],
    };
    expect(found(checksOf(sent), "post-out-of-season")).toHaveLength(1);
  });
});

describe("what is known", () => {
  const forecast = (issued: string, dates: string[]) => ({
    climate: {
      ...mild.climate,
      forecasts: [
        {
          id: "f",
          name: "week",
          fromM: 0,
          toM: 80_000,
          heightM: 100,
          issued,
          days: dates.map((date) => ({ date, lowC: 3 })),
        },
      ],
    },
  });
  test.each([
    ["outside", "2027-04-01", ["2027-04-02", "2027-05-02"], 1],
    ["before", "2027-05-03", ["2027-05-01", "2027-05-02", "2027-05-03"], 2],
    ["old", "2027-04-20", ["2027-05-01"], 1],
  ])("a forecast's days that lie %s are told", (why, issued, dates, days) => {
    expect(found(checksOf(forecast(issued, dates)), "forecast-unused")).toContainEqual(
      expect.objectContaining({ why, days, forecast: "week" }),
    );
  });
  test("one that is fit says nothing", () => {
    expect(found(checksOf(forecast("2027-05-01", ["2027-05-02"])), "forecast-unused")).toEqual([]);
  });

  test("a reading far above the trail is asked about", () => {
    const reading = (heightM: number) => ({
      climate: { ...mild.climate, readings: [{ id: "r", date: "2027-05-01", trackM: 0, heightM, lowC: 2 }] },
    });
    expect(found(checksOf(reading(900)), "reading-height")).toMatchObject([{ have: 900, limit: 100 }]);
    expect(found(checksOf(reading(300)), "reading-height")).toEqual([]);
  });
});

describe("cold rain, sun and ticks", () => {
  const wet = (lowC: number, windMps: number, wetDays = 15) => ({
    climate: { stations: [stationOf(lowC, lowC + 8, { windMps, wetDays: Array<number>(12).fill(wetDays) })] },
  });
  test("rain in the cold is told once, with more lost where it blows; warm rain and dry cold are not", () => {
    const [still] = found(checksOf(wet(2, 2)), "wet-cold");
    const [windy] = found(checksOf(wet(2, 6)), "wet-cold");
    expect(still).toMatchObject({ severity: "caution", have: 6, wind: 2 });
    expect(windy!.loss).toBeGreaterThan(still!.loss);
    expect(found(checksOf(wet(12, 6)), "wet-cold")).toEqual([]);
    expect(found(checksOf(wet(2, 6, 0)), "wet-cold")).toEqual([]);
  });

  test("strong sun is told high up in June, over snow in May, and not in December", () => {
    const high = [trackNorth({ lengthM: 80_000, heightM: () => 2500 })];
    const june = planOf({
      climate: { ...mild.climate, snowBy: "by-hand" },
      trip: { name: "t", startDate: "2027-06-15" },
    });
    const [bare] = found(computePlan(june, high).checks, "sun-strong");
    expect(bare).toMatchObject({ severity: "note", over: "ground" });
    expect(bare!.reddens).toBeLessThan(16);
    expect(found(checksOf(mild), "sun-strong")).toEqual([]);
    const snow = [{ id: "x", name: "snow", kind: "snow", surface: "firm-snow", fromM: 0, toM: 80_000 }];
    const [over] = found(checksOf({ ...mild, stretches: snow }), "sun-strong");
    expect(over!.over).toBe("snow");
    expect(over!.have).toBeLessThan(bare!.have);
    expect(found(checksOf({ ...mild, trip: { name: "t", startDate: "2027-12-10" } }), "sun-strong")).toEqual([]);
  });

  test("ticks by warmth, where they are marked", () => {
    const marked = (climate: object, toM = 60_000) => ({
      climate,
      stretches: [{ id: "t", name: "meadows", kind: "ticks", fromM: 20_000, toM }],
    });
    expect(found(checksOf(marked(mild.climate)), "ticks")[0]!.days).toBeGreaterThan(0);
    expect(found(checksOf(marked({ stations: [stationOf(-4, 6)] })), "ticks")).toEqual([]);
  });
});

test("a dry year makes water rarer and carries longer, a wet one the other way; the rain follows", () => {
  const months = Array<number>(12).fill(0.75);
  const sources = [10, 20, 30, 40, 50, 60, 70].map((km) => sourceOf(`w${km}`, km * 1000, { chanceByMonth: months }));
  const of = (wetness: string) => {
    const result = computePlan(planOf({ climate: { ...mild.climate, wetness }, sources }), tracks);
    const carries = result.legs[0]!.hikers[0]!.carries;
    return { longestM: Math.max(...carries.map(({ distanceM }) => distanceM)), wet: result.days[0]!.wetChance };
  };
  const [dry, usual, wet] = [of("dry"), of("usual"), of("wet")];
  expect(dry.longestM).toBeGreaterThan(70_000);
  expect(usual.longestM).toBeLessThan(11_000);
  expect(wet.longestM).toBe(usual.longestM);
  expect(dry.wet / usual.wet).toBeCloseTo(0.75, 6);
  expect(wet.wet / usual.wet).toBeCloseTo(1.25, 6);
});
