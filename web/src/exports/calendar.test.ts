import ICAL from "ical.js";
import { boxesOf, calendarDays, computePlan } from "@gepack/core";
import { beforeAll, describe, expect, test } from "vitest";
import { demo, planWith, straightTrack } from "../../test/plans.ts";
import { calendarOf } from "./calendar.ts";

let trip: ReturnType<typeof demo>;
beforeAll(() => {
  trip = demo();
});

/** As another program reads it. */
const eventsOf = (text: string): ICAL.Event[] =>
  new ICAL.Component(ICAL.parse(text)).getAllSubcomponents("vevent").map((one) => new ICAL.Event(one));

describe("the calendar, read by another reader", () => {
  test("an event a day, two a box, each a whole day with a name of its own", () => {
    const { plan, result } = trip;
    const events = eventsOf(calendarOf(plan, result, ["days", "boxes"]));
    expect(events).toHaveLength(calendarDays(plan, result).length + 2 * boxesOf(plan, result).length);
    expect(new Set(events.map(({ uid }) => uid)).size).toBe(events.length);
    for (const { startDate, endDate } of events) {
      expect(startDate.isDate).toBe(true);
      expect(endDate.subtractDate(startDate).toSeconds()).toBe(86_400);
    }
    const send = events.filter(({ summary }) => summary.startsWith("Mail the box to "));
    for (const { uid, startDate } of send) {
      const there = events.find((event) => event.uid === uid.replace("-send@", "-fetch@"))!;
      expect(startDate.compare(there.startDate)).toBeLessThan(0);
    }
  });

  test("counters on the days at a stop with a box, with their hours or as closed; held nights by name", () => {
    const stops = [
      {
        id: "m", name: "Mill; town, \\ n", trackM: 40_000, services: ["shop-full", "post", "bed"], foodBy: "drop", nights: 2,
        postOpensH: 9, postClosesH: 16.5, postClosedOn: ["sun"],
      },
    ]; // prettier-ignore
    const base = planWith({ stops, trip: { name: "T", startDate: "2027-05-01" } });
    const first = computePlan(base, [straightTrack()]);
    const day = calendarDays(base, first)[0]!;
    const pin = { id: "p", name: "Hut, booked", trackM: day.toM, date: day.date };
    const plan = { ...base, pins: planWith({ pins: [pin] }).pins };
    const text = calendarOf(plan, computePlan(plan, [straightTrack()]));
    for (const line of text.split("\r\n")) expect(new TextEncoder().encode(line).length).toBeLessThanOrEqual(75);
    const events = eventsOf(text);
    const counters = events.filter(({ summary }) => summary.startsWith("Post office at Mill; town, \\ n"));
    expect(counters.length).toBeGreaterThanOrEqual(2);
    for (const { summary, startDate } of counters)
      expect(summary).toContain(startDate.dayOfWeek() === 1 ? "closed" : "09:00 to 16:30");
    expect(events.map(({ summary }) => summary)).toContain("Hut, booked: on the trail");
  });
});

test("a carriage return in a name breaks no line", () => {
  const { plan, result } = trip;
  const named = {
    ...plan,
    trip: { ...plan.trip, name: "Two\rlines" },
    stops: plan.stops.map((stop) => ({ ...stop, name: `${stop.name}\rEND:VEVENT` })),
  };
  const text = calendarOf(named, result);
  expect(text.replaceAll("\r\n", "")).not.toMatch(/[\r\n]/);
  expect(text.match(/^END:VEVENT/gm)).toHaveLength(calendarOf(plan, result).match(/^END:VEVENT/gm)!.length);
});

test("a line has 75 octets at most, whatever letters are in it, and reads back whole", () => {
  const name = `Überm Größten Mühlenöhr ${"ß漢字🏔".repeat(20)}`;
  const stops = [{ id: "m", name, trackM: 40_000, services: ["post", "bed"], foodBy: "drop", nights: 1 }];
  const plan = planWith({ stops, trip: { name: "Größe", startDate: "2027-05-01" } });
  const text = calendarOf(plan, computePlan(plan, [straightTrack()]));
  for (const line of text.split("\r\n")) expect(Buffer.byteLength(line)).toBeLessThanOrEqual(75);
  expect(eventsOf(text).some(({ summary }) => summary.includes(name))).toBe(true);
});

test("of a counter whose hours nobody told none are made up", () => {
  const stops = [{ id: "m", name: "Mill", trackM: 40_000, services: ["post", "bed"], foodBy: "drop", nights: 1 }];
  const plan = planWith({ stops, trip: { name: "T", startDate: "2027-05-01" } });
  const counters = eventsOf(calendarOf(plan, computePlan(plan, [straightTrack()]), ["counters"]));
  expect(counters.length).toBeGreaterThan(0);
  for (const { summary } of counters) expect(summary).toBe("Post office at Mill: opening hours not known");
});
