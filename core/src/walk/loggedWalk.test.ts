import fc from "fast-check";
import { describe, expect, test } from "vitest";
import { arbitraryPlan, runs } from "../../test/arbitraryPlan.ts";
import { planOf, sourceOf, stationOf, stopOf, trackNorth } from "../../test/fixtures.ts";
import { computePlan, logDaySchema, type Plan } from "../index.ts";
import { dayNumber, isoOfDay } from "../units/day.ts";

const tracks = [trackNorth({ lengthM: 200_000 })];
const town = stopOf("town", 80_000, { services: ["shop-full", "post", "bed"], nights: 1 });
const base = {
  stops: [town],
  sources: [10, 40, 79, 120, 160].map((km) => sourceOf(`w${km}`, km * 1000)),
  climate: { stations: [stationOf(6, 16)] },
};
const card = (date: string, km: number, more: Record<string, unknown> = {}) => ({
  id: date, date, trackM: km * 1000, ...more,
}); // prettier-ignore
const walked = (log: unknown[], more: Record<string, unknown> = {}) => {
  const plan = planOf({ ...base, log, ...more });
  const result = computePlan(plan, tracks);
  const { cellM } = result.profile;
  const endKm = (date: string): number | undefined => {
    const day = result.days.findLast((one) => one.date === date);
    return day && Math.round((day.toNode * cellM) / 100) / 10;
  };
  return { plan, result, endKm };
};

describe("days that have been", () => {
  test("end where the log has them, far beyond and far below the hours of the plan", () => {
    const { endKm, result } = walked([card("2027-05-01", 4), card("2027-05-02", 48), card("2027-05-03", 52)]);
    expect([endKm("2027-05-01"), endKm("2027-05-02"), endKm("2027-05-03")]).toEqual([4, 48, 52]);
    expect(result.days.find(({ date }) => date === "2027-05-02")!.walkH).toBeGreaterThan(9);
    expect(result.settled).toBe(true);
  });

  test("a zero is a day at the same place; days without a card lie between those that have one", () => {
    const { endKm, result } = walked([card("2027-05-01", 20), card("2027-05-02", 20), card("2027-05-06", 60)]);
    const first = result.days.find(({ date }) => date === "2027-05-01")!;
    expect(first.zeroDays).toBe(1);
    expect(endKm("2027-05-06")).toBe(60);
    const between = ["2027-05-03", "2027-05-04", "2027-05-05"].map((date) => endKm(date)!);
    expect(between).toEqual([...between].sort((a, b) => a - b));
    expect(between[0]).toBeGreaterThan(20);
    expect(between[2]).toBeLessThan(60);
  });

  test("a town that was passed without a night, and one that was stayed in for three", () => {
    const through = walked([card("2027-05-01", 30), card("2027-05-02", 60), card("2027-05-03", 95)]);
    expect(through.endKm("2027-05-03")).toBe(95);
    expect(through.result.days.filter(({ night }) => night === "stop")).toHaveLength(1);
    const stay = ["2027-05-03", "2027-05-04", "2027-05-05"].map((date) =>
      card(date, 80, { stopId: "town", night: "stop" }),
    );
    const rested = walked([card("2027-05-01", 30), card("2027-05-02", 60), ...stay, card("2027-05-06", 100)]);
    const inTown = rested.result.days.find(({ night }) => night === "stop")!;
    expect([inTown.date, inTown.zeroDays]).toEqual(["2027-05-03", 2]);
    expect(rested.endKm("2027-05-06")).toBe(100);
  });

  test("the rest of the plan goes on from there: later by as much as one is behind", () => {
    const plain = walked([]).result.finishDate;
    const slow = walked([card("2027-05-01", 2), card("2027-05-02", 4), card("2027-05-03", 6)]).result.finishDate;
    expect(dayNumber(slow)! - dayNumber(plain)!).toBeGreaterThanOrEqual(2);
  });

  test("cards before the start, twice on a day, behind the night before, at the start itself", () => {
    const { endKm } = walked([
      card("2027-04-20", 70),
      card("2027-05-01", 30, { id: "first" }),
      card("2027-05-01", 20, { id: "again" }),
      card("2027-05-02", 10),
      card("2027-05-03", 40),
    ]);
    expect(endKm("2027-05-01")).toBe(20);
    expect(endKm("2027-05-03")).toBe(40);
    expect(walked([card("2027-05-01", 0)]).result.legs).toHaveLength(2);
  });
});

/** The plan along its main trail alone, from its start to its end. */
function straightOn(plan: Plan): Plan {
  const onMain = <T extends { alternateId?: string | undefined }>(rows: readonly T[]): T[] =>
    rows.filter(({ alternateId }) => alternateId === undefined);
  return {
    ...plan,
    trip: { ...plan.trip, direction: "forward" },
    route: { ...plan.route, alternates: [], closures: [], sections: [] },
    stops: onMain(plan.stops),
    sources: onMain(plan.sources),
    stretches: onMain(plan.stretches),
    camps: onMain(plan.camps),
    pins: onMain(plan.pins),
    log: [],
  };
}

test("dry behind me says nothing of the days walked, and dry here is known for the way ahead", () => {
  const log = [card("2027-05-01", 25), card("2027-05-02", 41), card("2027-05-03", 79)];
  const said = (id: string, date: string) => ({
    sources: base.sources.map((row) =>
      row.id === id ? { ...row, reports: [{ id: "r", date, said: "dry", note: "" }] } : row,
    ),
  });
  const carries = (more: Record<string, unknown>) =>
    walked(log, more).result.legs.map(({ hikers }) =>
      hikers[0]!.carries.map(({ fromNode, toNode, litres }) => [fromNode, toNode, litres]),
    );
  const plain = carries({});
  expect(carries(said("w10", "2027-05-01"))).toEqual(plain);
  expect(carries(said("w40", "2027-05-03"))).toEqual(plain);
  // Told before it was passed, it was walked with.
  expect(carries(said("w40", "2027-04-30"))).not.toEqual(plain);
  expect(carries(said("w120", "2027-05-03"))).not.toEqual(plain);
  expect(carries(said("w79", "2027-05-03"))).not.toEqual(plain);
});

test("whatever changes in pace, rules and kit, past days never move", () => {
  let compared = 0;
  fc.assert(
    fc.property(
      arbitraryPlan,
      fc.double({ min: 0.4, max: 1.6, noNaN: true }),
      fc.integer({ min: 1, max: 5 }),
      ({ plan: drawn, tracks: lines }, factor, count) => {
        const plan = straightOn(drawn);
        const planned = computePlan(plan, lines);
        const { cellM } = planned.profile;
        // So many days as they were planned are kept as cards.
        const nights = planned.days.filter(({ night, legIndex }) => night === "camp" && legIndex === 0).slice(0, count);
        const logged: Plan = {
          ...plan,
          log: nights.map(({ date, toNode }) => logDaySchema.parse({ id: date, date, trackM: toNode * cellM })),
        };
        const changed: Plan = {
          ...logged,
          hikers: logged.hikers.map((hiker) => ({
            ...hiker,
            pace: { ...hiker.pace, speedFactor: Math.min(2, Math.max(0.3, hiker.pace.speedFactor * factor)) },
          })),
        };
        const endsOf = (one: Plan): (number | undefined)[] => {
          const { days } = computePlan(one, lines);
          // Whoever comes early waits there.
          return nights.map(({ date }) => days.findLast((day) => day.date <= date)?.toNode);
        };
        const ends = nights.map(({ toNode }) => toNode);
        expect(endsOf(logged)).toEqual(ends);
        expect(endsOf(changed)).toEqual(ends);
        compared += nights.length;
      },
    ),
    { numRuns: runs(40) },
  );
  expect(compared).toBeGreaterThan(10);
});

test("the date of a card is a day, whatever the calendar", () => {
  const leap = Array.from({ length: 4 }, (_, i) => card(isoOfDay(dayNumber("2028-02-27")! + i), 15 * (i + 1)));
  const { endKm } = walked(leap, { trip: { name: "Leap", startDate: "2028-02-27" } });
  expect(["2028-02-28", "2028-02-29", "2028-03-01"].map(endKm)).toEqual([30, 45, 60]);
});
