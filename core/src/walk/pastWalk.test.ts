import { describe, expect, test } from "vitest";
import { trackNorth } from "../../test/fixtures.ts";
import { models } from "../models/index.ts";
import { toblerMps } from "../models/time.ts";
import { readTrackFile } from "../track/readTrackFile.ts";
import { pastPace, type PastWalk } from "./pastWalk.ts";

const TOBLER = models.time.get("tobler");
const WALKER = { sex: "male" } as const;
const START_S = Date.parse("2026-06-01T07:00:00Z") / 1000;

/** A walk whose every 50 m take what a speed says of their grade, with pauses after some points. */
function walkOf(
  lengthM: number,
  heightM: (alongM: number) => number,
  mps: (gradeFraction: number, point: number) => number,
  pauseS: (point: number) => number = () => 0,
): PastWalk {
  const spacingM = 50;
  const track = trackNorth({ lengthM, spacingM, heightM });
  const timesS = new Float64Array(track.lonDeg.length);
  timesS[0] = START_S;
  for (let i = 1; i < timesS.length; i++) {
    const grade = (heightM(i * spacingM) - heightM((i - 1) * spacingM)) / spacingM;
    timesS[i] = timesS[i - 1]! + spacingM / mps(grade, i) + pauseS(i);
  }
  return { track, timesS };
}

const hills = (m: number): number => 800 + 300 * Math.sin(m / 1500);

describe("one's own pace from a walk", () => {
  test("who walks at 0.8 of the school's speed is told so, with a narrow range", () => {
    const pace = pastPace([walkOf(30_000, hills, (grade) => 0.8 * toblerMps(grade))], TOBLER, WALKER);
    expect(pace.factor!.value).toBeCloseTo(0.8, 2);
    expect(pace.factor!.high - pace.factor!.low).toBeLessThan(0.02);
    expect(pace.distanceM / 30_000).toBeCloseTo(1, 2);
    expect(pace.breakH).toBe(0);
    expect(pace.days).toBe(1);
  });

  test("the range is wide where one hour is not like the other", () => {
    const uneven = walkOf(
      40_000,
      () => 100,
      (_, i) => (Math.floor(i / 80) % 2 === 0 ? 0.9 : 1.5),
    );
    const { factor } = pastPace([uneven], TOBLER, WALKER);
    expect(factor!.low).toBeLessThan(factor!.value * 0.92);
    expect(factor!.high).toBeGreaterThan(factor!.value * 1.08);
  });

  test("speed by slope: the classes hold what was walked in them", () => {
    const saw = (m: number): number => (m % 4000 < 2000 ? (m % 2000) * 0.15 : 300 - (m % 2000) * 0.15);
    const pace = pastPace([walkOf(32_000, saw, (grade) => (grade > 0 ? 0.7 : 1.4))], TOBLER, WALKER);
    const [down, up] = pace.bySlope.filter(({ distanceM }) => distanceM > 10_000);
    expect([down!.fromPercent, down!.toPercent, up!.fromPercent, up!.toPercent]).toEqual([-20, -10, 10, 20]);
    expect(down!.distanceM / down!.walkH / 3600).toBeCloseTo(1.4, 1);
    expect(up!.distanceM / up!.walkH / 3600).toBeCloseTo(0.7, 1);
  });

  test("standing is no walking, a night no break, a ride neither", () => {
    const pauses = (i: number): number => (i === 300 ? 14 * 3600 : i % 40 === 0 ? 900 : 0);
    const pace = pastPace(
      [
        walkOf(
          30_000,
          () => 100,
          (_, i) => (i > 500 ? 12 : 1.2),
          pauses,
        ),
      ],
      TOBLER,
      WALKER,
    );
    expect(pace.days).toBe(2);
    expect(pace.breakH).toBeCloseTo(15 * 0.25, 0);
    expect(pace.leftOutM).toBeGreaterThan(4_500);
    expect(pace.distanceM).toBeLessThan(25_500);
    expect(pace.walkH).toBeCloseTo(pace.distanceM / 1.2 / 3600, 1);
  });

  test("too little to say: an hour's walk, or none at all", () => {
    const hour = pastPace([walkOf(4000, hills, () => 1.2)], TOBLER, WALKER);
    expect([hour.factor, hour.untimed]).toEqual([undefined, false]);
    const { track } = walkOf(4000, hills, () => 1);
    const untimed = { track, timesS: new Float64Array(track.lonDeg.length).fill(NaN) };
    expect(pastPace([untimed], TOBLER, WALKER)).toMatchObject({
      factor: undefined,
      untimed: true,
      distanceM: 0,
      days: 0,
    });
    expect(pastPace([], TOBLER, WALKER).untimed).toBe(true);
  });

  test("several walks count together; clocks that go back and points without a time are stepped over", () => {
    const one = walkOf(12_000, hills, (grade) => 0.7 * toblerMps(grade));
    const odd: PastWalk = { track: one.track, timesS: one.timesS.slice() };
    for (let i = 1; i < odd.timesS.length; i += 2) odd.timesS[i] = NaN;
    odd.timesS[90] = odd.timesS[10]!;
    const pace = pastPace([one, odd], TOBLER, WALKER);
    expect(pace.days).toBe(2);
    expect(pace.factor!.value).toBeCloseTo(0.7, 1);
    // What is between two points with a time is walked, whatever is on it.
    expect(pace.distanceM).toBeGreaterThan(23_000);
  });
});

test("times come out of GPX and TCX where they are asked for, each with its point", () => {
  const gpx = `<gpx version="1.1" xmlns="http://www.topografix.com/GPX/1/1"><trk><trkseg>
    <trkpt lat="40" lon="-150"><ele>1</ele><time>2026-06-01T07:00:00Z</time></trkpt>
    <trkpt lat="40.001" lon="-150"/>
    <trkpt lat="400" lon="-150"><time>2026-06-01T07:01:00Z</time></trkpt>
    <trkpt lat="40.002" lon="-150"><time>2026-06-01T07:02:00Z</time></trkpt></trkseg></trk></gpx>`;
  const tcx = `<TrainingCenterDatabase><Activities><Activity><Lap><Track>
    <Trackpoint><Time>2026-06-01T07:00:00Z</Time><Position><LatitudeDegrees>40</LatitudeDegrees><LongitudeDegrees>-150</LongitudeDegrees></Position></Trackpoint>
    <Trackpoint><Time>2026-06-01T07:02:00Z</Time><Position><LatitudeDegrees>40.002</LatitudeDegrees><LongitudeDegrees>-150</LongitudeDegrees></Position></Trackpoint>
    </Track></Lap></Activity></Activities></TrainingCenterDatabase>`;
  const times = (text: string, keep: boolean) =>
    readTrackFile(new TextEncoder().encode(text), "t", "t", keep).value!.timesS;
  expect([...times(gpx, true)!]).toEqual([START_S, NaN, START_S + 120]);
  expect([...times(tcx, true)!]).toEqual([START_S, START_S + 120]);
  expect(times(gpx, false)).toBeUndefined();
});
