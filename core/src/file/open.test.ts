/** What goes out to other programs reads back: the track to the centimetre, places with what they are. */
import { describe, expect, test } from "vitest";
import { hikerOf, planOf, sourceOf, stationOf, stopOf, trackNorth } from "../../test/fixtures.ts";
import { computePlan } from "../session/session.ts";
import { sortWaypoint } from "../places/sortWaypoint.ts";
import { readTrackFile } from "../track/readTrackFile.ts";
import { writeDaysCsv } from "./days.ts";
import { writeGeoJson, writeGpx, writeMileTable } from "./open.ts";
import { placeRows } from "./places.ts";

const tracks = [trackNorth({ lengthM: 60_000, heightM: (m) => 300 + 50 * Math.sin(m / 700) })];
const plan = planOf({
  hikers: [hikerOf({ name: "Ann & Bo" })],
  stops: [stopOf("m", 30_000, { name: "Mill <town>", services: ["shop-small", "bed"], note: 'Say "hello"' })],
  sources: [sourceOf("w", 12_000, { name: "Heron spring" }), sourceOf("t", 45_000, { kind: "tank", reliable: false })],
  camps: [{ id: "c", name: "=Camp", trackM: 20_000 }],
  climate: { stations: [stationOf(8, 18)] },
});
const result = computePlan(plan, tracks);
const bytes = (text: string): Uint8Array => new TextEncoder().encode(text);

test("places stand in walking order, with what one leaves water with", () => {
  const rows = placeRows(plan, result);
  expect(rows.map(({ kind, name }) => `${kind} ${name}`)).toEqual([
    "water Heron spring",
    "camp =Camp",
    "stop Mill <town>",
    "water t",
  ]);
  const carry = result.legs[0]!.hikers[0]!.carries.find(({ fromSourceId }) => fromSourceId === "w")!;
  expect(rows[0]!.fillL).toEqual([carry.litres]);
  expect(rows[2]!.fillL).toEqual([result.legs[1]!.hikers[0]!.carries[0]!.litres]);
  const back = computePlan({ ...plan, trip: { ...plan.trip, direction: "reverse" } }, tracks);
  expect(placeRows(plan, back).map(({ name }) => name)).toEqual(["t", "Mill <town>", "=Camp", "Heron spring"]);
});

describe.each([
  ["GPX", writeGpx],
  ["GeoJSON", writeGeoJson],
])("%s reads back", (_, write) => {
  const { value, problems } = readTrackFile(bytes(write({ plan, result, tracks })));

  test("the track as it was recorded", () => {
    expect(problems).toEqual([]);
    const { track } = value!;
    expect(track.name).toBe("North");
    expect(track.segmentStarts).toEqual(tracks[0]!.segmentStarts);
    for (const key of ["lonDeg", "latDeg"] as const)
      for (const [i, degrees] of tracks[0]![key].entries())
        expect(Math.abs(track[key][i]! - degrees)).toBeLessThan(1e-7);
    expect(track.heightM).toEqual(tracks[0]!.heightM);
  });

  test("places, markup in names kept, and each sorted as what it is", () => {
    expect(value!.waypoints.map(({ name }) => name)).toEqual(["Heron spring", "=Camp", "Mill <town>", "t"]);
    const kinds = value!.waypoints.map((point) => sortWaypoint(point).map(({ kind }) => kind));
    expect(kinds.map((of) => of[0])).toEqual(["water", "camp", "stop", "water"]);
    expect(value!.waypoints[2]!.description).toMatch(/shop-small bed; leave with Ann & Bo \d+\.\d L; Say "hello"/);
    expect(sortWaypoint(value!.waypoints[3]!)[0]).toMatchObject({ water: "tank", seasonal: true });
  });
});

test("the mile table: a row a place, the way to the next, no cell that is a formula", () => {
  const rows = writeMileTable({ plan, result }).split("\r\n");
  expect(rows[0]).toContain('"leave with L, Ann & Bo"');
  expect(rows).toHaveLength(5);
  expect(rows[1]).toMatch(/^12\.0,8\.0,Heron spring,water,spring,\d+,0,,\d\.\d\d$/);
  expect(rows[2]).toContain("'=Camp");
  expect(rows[4]).toMatch(/^45\.0,,t,water,tank seasonal/);
});

test("letters that XML cannot hold are left out", () => {
  const odd = planOf({ stops: [stopOf("m", 30_000, { name: "Mill\u0000 \uD800town 🏕" })] });
  const { value } = readTrackFile(bytes(writeGpx({ plan: odd, result: computePlan(odd, tracks), tracks })));
  expect(value!.waypoints[0]!.name).toBe("Mill town 🏕");
});

test("waypoints tell their height, sign and kind; where no height is known none is written", () => {
  const waypoints = (heights: boolean): string[] => {
    const track = trackNorth({ lengthM: 60_000 });
    if (!heights) track.heightM.fill(NaN);
    const given = { plan, result: computePlan(plan, [track]), tracks: [track] };
    return writeGpx(given).match(/<wpt.*?<\/wpt>/g)!;
  };
  expect(waypoints(true)[0]).toMatch(
    /^<wpt lat="[^"]+" lon="[^"]+"><ele>-?[\d.]+<\/ele><name>.*<sym>\w+<\/sym><type>\w+<\/type><\/wpt>$/,
  );
  expect(waypoints(false).join("")).not.toMatch(/<ele>/);
  const track = trackNorth({ lengthM: 60_000 });
  track.heightM.fill(NaN);
  const [heads, first] = writeDaysCsv(plan, computePlan(plan, [track]))
    .split("\r\n")
    .map((line) => line.split(","));
  for (const head of ["climb m", "descent m", "height m"]) expect(first![heads!.indexOf(head)]).toBe("");
});
