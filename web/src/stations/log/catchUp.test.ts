import { beforeAll, describe, expect, test } from "vitest";
import {
  computePlan,
  isoOfDay,
  logDaySchema,
  type Plan,
  type PlanResult,
  type WalkedDay,
  type WalkedM,
  type WalkedRecord,
} from "@gepack/core";
import { planWith, straightTrack } from "../../../test/plans.ts";
import { MOST_CATCH_DAYS, plannedRows, recordRows, rowDistances } from "./catchUp.ts";
import { endNear, readEnd, endWords, type EndFields } from "./endPlace.ts";
import { sayIn } from "../../words/say.ts";
import { namedPlaces, openCard, type NamedPlace } from "./today.ts";

let plan: Plan;
let result: PlanResult;
let places: NamedPlace[];
beforeAll(() => {
  plan = planWith({
    trip: { name: "T", startDate: "2027-05-01" },
    stops: [{ id: "mill", name: "Old Mill", trackM: 40_000, services: ["shop-full", "bed"], nights: 1 }],
  });
  result = computePlan(plan, [straightTrack()]);
  places = namedPlaces(plan, result);
});

const dayOf = (date: string, toKm: number | undefined, more: Partial<WalkedDay> = {}): WalkedDay => ({
  date,
  fixes: 40,
  flung: 0,
  fromM: 0 as WalkedM,
  toM: toKm === undefined ? undefined : ((toKm * 1000) as WalkedM),
  endsOffM: 10,
  walkedH: 6.04,
  breakH: 1.26,
  silentH: 0,
  ...more,
});
const recordOf = (...days: WalkedDay[]): WalkedRecord => ({
  days,
  awayShare: 0,
  nearestM: 0,
  farthestM: 10,
  isUntimed: false,
});
const rowsOf = (from: Plan, record: WalkedRecord, isOver = true) => recordRows(from, result, record, places, isOver);

describe("days that are caught up", () => {
  test("as planned: each day's own end, in a row, and no more than two months", () => {
    const rows = plannedRows(plan, result, "2027-05-03");
    expect(rows.map(({ card }) => card.date)).toEqual(["2027-05-01", "2027-05-02", "2027-05-03"]);
    const distances = rowDistances(plan, result, rows);
    expect(distances.map(({ toM }) => toM)).toEqual(distances.map(({ toM }) => toM).sort((a, b) => a - b));
    expect(distances[1]!.fromM).toBe(distances[0]!.toM);
    expect(plannedRows(plan, result, "2030-01-01")).toHaveLength(MOST_CATCH_DAYS);
    expect(plannedRows(plan, result, "2020-01-01")).toEqual([]);
  });

  test("as recorded: place and rounded hours; at a stop that is near it is that stop", () => {
    const rows = rowsOf(plan, recordOf(dayOf("2027-05-01", 18), dayOf("2027-05-02", 40.1)));
    expect(rows[0]!.card).toMatchObject({ walkedH: 6, breakH: 1.3, night: "camp" });
    expect(rows[1]!.card).toMatchObject({
      stopId: "mill",
      night: "stop",
      trackM: expect.closeTo(40_000, -2) as number,
    });
    for (const { card, isTaken } of rows) {
      expect(logDaySchema.safeParse(card).success).toBe(true);
      expect(isTaken).toBe(true);
    }
  });

  test("what is kept already keeps all that a record does not know, and is not taken unasked", () => {
    const kept = { ...openCard(plan, result, "2027-05-01").card, notes: "Wind.", foodKg: 3 };
    const [row] = rowsOf({ ...plan, log: [kept] }, recordOf(dayOf("2027-05-01", 12)));
    expect(row).toMatchObject({ isTaken: false, about: ["kept"] });
    expect(row!.card).toMatchObject({ id: kept.id, notes: "Wind.", foodKg: 3, walkedH: 6 });
  });

  test("before the start, not over, away from the trail, silent, wrong: each is said", () => {
    const rows = rowsOf(
      plan,
      recordOf(
        dayOf("2027-04-30", 0),
        dayOf("2027-05-01", 15, { endsOffM: 6000, silentH: 4, flung: 2 }),
        dayOf("2027-05-02", 20),
      ),
      false,
    );
    expect(rows.map(({ about }) => about)).toEqual([
      ["before-start"],
      ["ends-away", "silent", "wrong-fixes"],
      ["not-over"],
    ]);
    expect(rows.map(({ isTaken }) => isTaken)).toEqual([false, true, false]);
  });

  test("days off the trail and days that no trip has are no rows; of very many the last are shown", () => {
    expect(rowsOf(plan, recordOf(dayOf("1620-01-01", 5), dayOf("2027-05-01", undefined)))).toEqual([]);
    const many = Array.from({ length: 400 }, (_, i) => dayOf(isoOfDay(21_000 + i), 5));
    expect(rowsOf(plan, recordOf(...many)).map(({ card }) => card.date)).toEqual(
      many.slice(-MOST_CATCH_DAYS).map(({ date }) => date),
    );
  });
});

test("where a day ended is read as a place or a distance, and told what is allowed", () => {
  const context = { places, nearM: 0, profile: result.profile, units: plan.trip.units };
  expect(readEnd("old", context)).toMatchObject({ stopId: "mill", night: "stop" });
  expect(readEnd("12 km", context)).toMatchObject({ trackM: 12_000, night: "camp" });
  expect(readEnd("-4", context)).toHaveProperty("error");
  expect(readEnd("900 km", context)).toMatchObject({ error: expect.stringMatching(/^The hike is \d/) as string });
  expect(readEnd("?", context)).toMatchObject({ error: expect.stringContaining("two letters") as string });
  // From the evening before a bare number is the day's; said to be along the trail, or too much for a day, it is not.
  const evening = { ...context, fromM: 20_000 as WalkedM };
  expect(readEnd("12", evening)).toMatchObject({ trackM: 32_000 });
  expect(readEnd("km 32", evening)).toMatchObject({ trackM: 32_000 });
  expect(readEnd("75", evening)).toMatchObject({ trackM: 75_000 });
  expect(readEnd("20", evening)).toMatchObject({ stopId: "mill", night: "stop" });
  const said = { profile: result.profile, places, fromM: 20_000 as WalkedM, say: sayIn(plan) };
  expect(endWords(readEnd("12", evening) as EndFields, said)).toMatch(/^12 km today, to 32 km/);
  expect(endNear(result.profile, places, 39_900 as WalkedM)).toMatchObject({ stopId: "mill" });
});
