import { describe, expect, test } from "vitest";
import { trackNorth } from "../../test/fixtures.ts";
import { buildProfile } from "../track/profile.ts";
import { repairTracks } from "../track/repair.ts";
import type { TrackPoints } from "../track/points.ts";
import { dayNumber } from "../units/day.ts";
import type { PastWalk } from "../walk/pastWalk.ts";
import { simulatedTracker } from "./simulatedTracker.ts";
import { walkedDays } from "./walkedDays.ts";

const trail = trackNorth({ lengthM: 200_000 });
const profile = buildProfile(repairTracks([trail]), false);
const M_PER_DEG = 111_195;

interface At {
  hour: number;
  km: number;
  /** East of the trail. */
  offKm?: number;
}

/** A record along the trail, hours counted from the local midnight of the first of May 2027. */
function record(rows: readonly At[], on: TrackPoints = trail): PastWalk {
  const zoneS = (on.lonDeg[0]! / 15) * 3600;
  const firstS = dayNumber("2027-05-01")! * 86_400 - zoneS;
  return {
    track: {
      lonDeg: Float64Array.from(rows, ({ offKm = 0, km }) => {
        const lat = on.latDeg[0]! + (km * 1000) / M_PER_DEG;
        return on.lonDeg[0]! + (offKm * 1000) / (M_PER_DEG * Math.cos((lat * Math.PI) / 180));
      }),
      latDeg: Float64Array.from(rows, ({ km }) => on.latDeg[0]! + (km * 1000) / M_PER_DEG),
      heightM: new Float32Array(rows.length),
      segmentStarts: Uint32Array.of(0),
    },
    timesS: Float64Array.from(rows, ({ hour }) => firstS + hour * 3600),
  };
}

/** Three kilometres an hour from eight o'clock, an hour's rest at noon, a position every ten minutes. */
function dayOf(day: number, fromKm: number, hours: number): At[] {
  const rows: At[] = [];
  for (let m = 0; m <= hours * 60 + 60; m += 10) {
    const walked = m <= 240 ? m : Math.max(240, m - 60);
    rows.push({ hour: 24 * day + 8 + m / 60, km: fromKm + (walked / 60) * 3 });
  }
  return rows;
}

describe("days out of a record", () => {
  test("each day's end, hours on the feet and the rest between", () => {
    const { days, awayShare } = walkedDays([record([...dayOf(0, 0, 7), ...dayOf(1, 21, 6)])], profile);
    expect(days.map(({ date }) => date)).toEqual(["2027-05-01", "2027-05-02"]);
    expect(days.map(({ toM }) => toM! / 1000)).toEqual([expect.closeTo(21, 0), expect.closeTo(39, 0)]);
    expect(days.map(({ walkedH }) => walkedH)).toEqual([expect.closeTo(7, 1), expect.closeTo(6, 1)]);
    expect(days.map(({ breakH }) => breakH)).toEqual([expect.closeTo(1, 1), expect.closeTo(1, 1)]);
    expect(awayShare).toBe(0);
  });

  test("after midnight is still the day before, and a file for each day gives the same", () => {
    const late = dayOf(0, 0, 16.5);
    const whole = walkedDays([record([...late, ...dayOf(1, 49.5, 5)])], profile);
    expect(whole.days.map(({ date }) => date)).toEqual(["2027-05-01", "2027-05-02"]);
    expect(walkedDays([record(dayOf(1, 49.5, 5)), record(late)], profile)).toEqual(whole);
  });

  test("one wrong position is left out and moves neither the end nor the hours", () => {
    const rows = [...dayOf(0, 0, 7)];
    const clean = walkedDays([record(rows)], profile).days[0]!;
    for (const at of [0, 12, rows.length - 1]) {
      const wrong = rows.map((row, i) => (i === at ? { ...row, offKm: 40 } : row));
      const [day] = walkedDays([record(wrong)], profile).days;
      expect(day!.flung).toBe(1);
      expect(day!.toM! / 1000).toBeCloseTo(clean.toM! / 1000, -0.5);
      expect(Math.abs(day!.walkedH! - clean.walkedH!)).toBeLessThan(0.4);
    }
  });

  test("a silence is walked at the day's own speed, and the rest of it is rest", () => {
    const silent = dayOf(0, 0, 8).filter(({ hour }) => hour < 13.5 || hour > 16.5);
    const [day] = walkedDays([record(silent)], profile).days;
    expect(day!.silentH).toBeCloseTo(3.33, 1);
    expect(day!.walkedH).toBeCloseTo(8, 1);
  });

  test("leaving the trail for the night: the day ends where it was left, and how far away is told", () => {
    const rows = [...dayOf(0, 0, 6), { hour: 16, km: 18, offKm: 6 }];
    const [day] = walkedDays([record(rows)], profile).days;
    expect(day!.toM! / 1000).toBeCloseTo(18, 0);
    expect(day!.endsOffM).toBeGreaterThan(5000);
  });

  test("a record of another country lies away from the trail with all that it has", () => {
    const other = trackNorth({ lengthM: 50_000 });
    other.lonDeg.fill(20);
    const { awayShare, nearestM, days } = walkedDays([record(dayOf(0, 0, 6), other)], profile);
    expect(awayShare).toBe(1);
    expect(nearestM).toBeGreaterThan(1_000_000);
    expect(days[0]).toMatchObject({ fromM: undefined, toM: undefined });
  });

  test("over the date line no day is lost and none comes twice", () => {
    const east = trackNorth({ lengthM: 200_000 });
    east.lonDeg.fill(179.999);
    const here = buildProfile(repairTracks([east]), false);
    const rows = [...dayOf(0, 0, 7), ...dayOf(1, 21, 7), ...dayOf(2, 42, 7)];
    const walk = record(rows, east);
    // The second half is on the other side.
    walk.track.lonDeg.forEach((_, i, all) => (all[i] = i > rows.length / 2 ? -179.999 : 179.999));
    expect(walkedDays([walk], here).days.map(({ date }) => date)).toEqual(["2027-05-01", "2027-05-02", "2027-05-03"]);
  });

  test("without times there are no days", () => {
    const walk = record(dayOf(0, 0, 5));
    expect(walkedDays([{ ...walk, timesS: walk.timesS.map(() => NaN) }], profile)).toMatchObject({
      days: [],
      isUntimed: true,
    });
  });
});

describe("simulated tracker", () => {
  const startDay = dayNumber("2027-05-01")!;
  const firstS = startDay * 86_400;
  const ask = (sinceH: number, untilH: number) =>
    simulatedTracker({ track: trail, startDay, sinceS: firstS + sinceH * 3600, untilS: firstS + untilH * 3600 });

  test("asked in pieces it tells the same as at once", () => {
    expect([...ask(0, 50).fixes, ...ask(50, 200).fixes]).toEqual(ask(0, 200).fixes);
  });

  test("has gaps and wrong positions, and its days are read in spite of them", () => {
    const long = trackNorth({ lengthM: 900_000, spacingM: 500 });
    const { fixes } = simulatedTracker({ track: long, startDay, sinceS: firstS, untilS: firstS + 720 * 3600 });
    const walk = {
      track: {
        lonDeg: Float64Array.from(fixes, ({ lonDeg }) => lonDeg),
        latDeg: Float64Array.from(fixes, ({ latDeg }) => latDeg),
        heightM: new Float32Array(fixes.length),
        segmentStarts: Uint32Array.of(0),
      },
      timesS: Float64Array.from(fixes, ({ time }) => Date.parse(time) / 1000),
    };
    const { days } = walkedDays([walk], buildProfile(repairTracks([long]), false));
    expect(days.length).toBeGreaterThan(28);
    expect(days.some(({ flung }) => flung > 0)).toBe(true);
    expect(days.some(({ silentH }) => silentH > 3)).toBe(true);
    // The first is the night before it leaves, and the last may have only started.
    for (const [i, { toM, fromM, walkedH }] of days.entries()) {
      if (i === 0 || i === days.length - 1) continue;
      expect(toM!).toBeGreaterThan(days[i - 1]!.toM!);
      expect(toM! - fromM!).toBeGreaterThan(15_000);
      expect(walkedH).toBeGreaterThan(6.5);
      expect(walkedH).toBeLessThan(9.5);
    }
  });

  test("it rests at the end of the trail, and answers of no more than forty days", () => {
    const { fixes, clock } = ask(0, 24 * 400);
    expect(clock).toBe(new Date((firstS + 24 * 400 * 3600) * 1000).toISOString());
    expect(Date.parse(fixes[0]!.time) / 86_400_000).toBeGreaterThanOrEqual(startDay + 359);
    const end = trail.latDeg.at(-1)!;
    expect(fixes.filter(({ latDeg }) => Math.abs(latDeg - end) < 0.01).length).toBeGreaterThan(0.9 * fixes.length);
  });
});
