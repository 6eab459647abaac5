/** Pinned nights: they hold where they can, draw the days before them, and wait for their date. */
import fc from "fast-check";
import { describe, expect, test } from "vitest";
import { runs } from "../../test/arbitraryPlan.ts";
import { hikerOf, planOf, stationOf, stopOf, trackNorth } from "../../test/fixtures.ts";
import { computePlan, type DayResult, type PlanResult } from "../index.ts";

const tracks = [trackNorth({ lengthM: 200_000 })];
const even = { pace: { hoursFreshH: 7, hoursFitH: 7, breakFraction: 0.2 } };
const of = (pins: Record<string, unknown>[], over: Record<string, unknown> = {}): PlanResult =>
  computePlan(
    planOf({
      hikers: [hikerOf(even)],
      climate: { stations: [stationOf(6, 16)] },
      pins: pins.map((pin, i) => ({ id: `p${i}`, ...pin })),
      ...over,
    }),
    tracks,
  );
const endsAt = (result: PlanResult, trackM: number): DayResult | undefined =>
  result.days.find(({ toNode, night }) => Math.abs(toNode * result.profile.cellM - trackM) < 60 && night !== "none");
const plain = of([]);
const dayEndM = (result: PlanResult, i: number): number => result.days[i]!.toNode * result.profile.cellM;

test("a pin within the day's hours, or up to three beyond, ends the day; the one before stays near where it was", () => {
  const second = dayEndM(plain, 1);
  for (const aside of [-9000, -3000, 4000, 7000]) {
    const result = of([{ trackM: second + aside }]);
    expect(endsAt(result, second + aside)?.date).toBe(plain.days[1]!.date);
    // Another bag for the leg: some hundreds of metres.
    expect(Math.abs(dayEndM(result, 0) - dayEndM(plain, 0))).toBeLessThan(800);
  }
});

test("a night moved back asks for no longer day before it: that day ends there", () => {
  const second = dayEndM(plain, 1);
  const back = dayEndM(plain, 0) + 5000;
  expect(endsAt(of([{ trackM: back }]), back)?.date).toBe(plain.days[0]!.date);
  expect(endsAt(of([{ trackM: back, overtimeH: 0.5 }]), back)?.date).toBe(plain.days[1]!.date);
  expect(back).toBeLessThan(second);
});

test("a bed booked is a night in a bed, nights more are rest days there", () => {
  const at = dayEndM(plain, 1);
  const day = endsAt(of([{ trackM: at, bed: true, nights: 3 }]), at)!;
  expect(day).toMatchObject({ night: "bed", zeroDays: 2, outside: false });
});

describe("a pin with a date", () => {
  const trackM = dayEndM(plain, 4);
  const planned = plain.days[4]!.date;
  const on = (byDays: number): string => new Date(Date.parse(planned) + byDays * 86_400_000).toISOString().slice(0, 10);

  test.each([0, 1, 2, -1])("%d days later than planned: there on its date", (byDays) => {
    const result = of([{ trackM, date: on(byDays) }]);
    expect(endsAt(result, trackM)?.date).toBe(on(byDays));
    const before = result.days.slice(0, 4 + byDays).map(({ walkH }) => walkH);
    // Spread evenly: no day an hour and a half off their mean.
    const mean = before.reduce((sum, hours) => sum + hours, 0) / before.length;
    for (const hours of before) expect(Math.abs(hours - mean)).toBeLessThan(1.5);
    if (byDays < 0) expect(mean).toBeGreaterThan(7);
    if (byDays > 0) expect(mean).toBeLessThan(7);
  });

  test("who comes long before it waits; three days too early cannot be walked, and is said with the days", () => {
    const waits = endsAt(of([{ trackM, date: on(9) }]), trackM)!;
    expect(waits.zeroDays).toBeGreaterThan(0);
    const arrived = Date.parse(waits.date) / 86_400_000;
    expect(arrived + waits.zeroDays).toBe(Date.parse(on(9)) / 86_400_000);
    // Nobody waits for next year.
    const far = of([{ trackM, date: on(300) }]);
    expect(endsAt(far, trackM)!.zeroDays).toBe(0);
    const early = far.checks.find(({ code }) => code === "pin-missed");
    expect(early).toMatchObject({ why: "early" });
    expect((early as unknown as { days: number }).days).toBeGreaterThan(250);
    const late = of([{ trackM, date: on(-3) }]);
    expect(late.checks.find(({ code }) => code === "pin-missed")).toMatchObject({ why: "late", severity: "caution" });
  });
});

test("pins that cannot hold say why: past, against each other, off the route, forbidden", () => {
  const why = (pins: Record<string, unknown>[], over: Record<string, unknown> = {}): unknown[] =>
    of(pins, over)
      .checks.filter((check) => check.code === "pin-missed")
      .map((check) => (check as unknown as { why: string }).why);
  expect(why([{ trackM: 60_000, date: "2027-04-20" }])).toEqual(["past"]);
  expect(
    why([
      { trackM: 60_000, date: "2027-05-05" },
      { trackM: 90_000, date: "2027-05-04" },
    ]),
  ).toContain("crossed");
  expect(why([{ trackM: 60_000, alternateId: "gone" }])).toEqual(["off-route"]);
  const forbidden = [{ id: "x", name: "park", kind: "rule", rule: "no-camping", fromM: 50_000, toM: 70_000 }];
  expect(why([{ trackM: 60_000 }], { stretches: forbidden })).toEqual(["forbidden"]);
  expect(why([{ trackM: 60_000, bed: true }], { stretches: forbidden })).toEqual([]);
  expect(why([{ trackM: dayEndM(plain, 2) }])).toEqual([]);
});

test("a date at a stop is held when one comes that day, and told otherwise", () => {
  const stops = [stopOf("m", 100_000, { services: ["shop-full", "bed"], nights: 1 })];
  const comes = of([], { stops }).legs[0]!.endDate;
  const why = (date: string): unknown =>
    of([{ trackM: 100_000, date }], { stops }).checks.find(({ code }) => code === "pin-missed");
  expect(why(comes)).toBeUndefined();
  expect(why("2027-05-20")).toMatchObject({ why: "early" });
});

test("own hours of one day", () => {
  const date = plain.days[1]!.date;
  const result = of([], { dayRules: { ownHours: [{ date, hoursH: 3 }] } });
  expect(result.days[1]!.walkH).toBeLessThan(3.2);
  expect(result.days[2]!.walkH).toBeCloseTo(plain.days[2]!.walkH, 0);
});

test("wherever undated pins are, days follow each other, and every pin within a block is a night or told", () => {
  fc.assert(
    fc.property(fc.array(fc.integer({ min: 2_000, max: 198_000 }), { minLength: 1, maxLength: 6 }), (places) => {
      const result = of(places.map((trackM) => ({ trackM })));
      const nights = new Set(result.days.map(({ toNode }) => toNode));
      const unmet = result.checks.filter(({ code }) => code === "pin-missed").length;
      const kept = [...new Set(places.map((m) => Math.round(m / result.profile.cellM)))].filter((n) => nights.has(n));
      expect(kept.length + unmet).toBeGreaterThanOrEqual(new Set(places.map((m) => Math.round(m / 100))).size);
      let node = 0;
      for (const { fromNode, toNode } of result.days) {
        expect(fromNode).toBe(node);
        node = toNode;
      }
      expect(node).toBe(result.profile.cellCount);
    }),
    { numRuns: runs(60), endOnFailure: true },
  );
});
