/** Many tracks in files: which make the trail, and what becomes of the others. */
import fc from "fast-check";
import { describe, expect, test } from "vitest";
import { runs } from "../../test/arbitraryPlan.ts";
import { trackBeside, trackNorth } from "../../test/fixtures.ts";
import { arrangeParts, partsOfFile, proposeChoices, turnedTrack, type Part } from "./parts.ts";
import type { TrackPoints } from "./points.ts";
import { readTrackFile } from "./readTrackFile.ts";

const whole = trackNorth({ lengthM: 140_000, heightM: (m) => m / 100 });
function slice(track: TrackPoints, fromM: number, toM: number, name = ""): TrackPoints {
  const [from, to] = [fromM / 100, toM / 100 + 1];
  return {
    ...track,
    name,
    lonDeg: track.lonDeg.slice(from, to),
    latDeg: track.latDeg.slice(from, to),
    heightM: track.heightM.slice(from, to),
  };
}
const part = (track: TrackPoints, isBeside = false): Part => ({ track, isBeside });
const rolesOf = (parts: readonly Part[]): string[] => {
  const choices = proposeChoices(parts);
  return parts.map((_, index) => choices.find((choice) => choice.part === index)!.role);
};
const laidOf = (parts: readonly Part[]) => arrangeParts(parts, proposeChoices(parts), "t");

test("fourteen sections in the wrong order and direction become the trail", () => {
  fc.assert(
    fc.property(
      fc.shuffledSubarray(
        Array.from({ length: 14 }, (_, i) => i),
        { minLength: 14 },
      ),
      fc.array(fc.boolean(), { minLength: 14, maxLength: 14 }),
      (order, turned) => {
        const parts = order.map((i) => {
          const track = slice(whole, i * 10_000, (i + 1) * 10_000);
          return part(turned[i] ? turnedTrack(track) : track);
        });
        const { track, gaps, alternates } = laidOf(parts);
        expect(alternates).toEqual([]);
        expect(Math.max(...gaps.map(({ lengthM }) => lengthM))).toBeLessThan(1);
        const lat = [...track.latDeg];
        const rising = lat.every((value, i) => i === 0 || value >= lat[i - 1]!);
        const falling = lat.every((value, i) => i === 0 || value <= lat[i - 1]!);
        expect(rising || falling).toBe(true);
      },
    ),
    { numRuns: runs(100), endOnFailure: true },
  );
});

describe("beside the trail", () => {
  test("a way that leaves and rejoins is an alternate, over one section or over two", () => {
    const beside = part(trackBeside(55_000, 85_000));
    const sections = [0, 70_000].map((from) => part(slice(whole, from, from + 70_000)));
    expect(rolesOf([part(whole), beside])).toEqual(["trail", "alternate"]);
    expect(rolesOf([beside, ...sections])).toEqual(["alternate", "trail", "trail"]);
    expect(rolesOf([part(trackBeside(20_000, 40_000)), ...sections])).toEqual(["alternate", "trail", "trail"]);
  });
  test("the same ground once more, in either direction, is left", () => {
    const back = turnedTrack(slice(whole, 30_000, 60_000));
    expect(rolesOf([part(whole), part(back)])).toEqual(["trail", "left"]);
    expect(rolesOf([part(whole), part(whole)]).sort()).toEqual(["left", "trail"]);
  });
  test("what the file calls an alternate is one, wherever it lies", () => {
    const far = { ...trackBeside(55_000, 85_000), lonDeg: trackBeside(55_000, 85_000).lonDeg.map((lon) => lon + 3) };
    expect(rolesOf([part(whole), part(far, true)])).toEqual(["trail", "alternate"]);
    // With nothing else in it, it is what there is.
    expect(rolesOf([part(far, true)])).toEqual(["trail"]);
  });
  test("a loop in two halves is a loop", () => {
    const halves = [part(slice(whole, 0, 40_000)), part(trackBeside(0, 40_000))];
    expect(rolesOf(halves)).toEqual(["trail", "trail"]);
    const { track, gaps } = laidOf(halves);
    expect(gaps[0]!.lengthM).toBeLessThan(200);
    expect(Math.abs(track.latDeg.at(-1)! - track.latDeg[0]!)).toBeLessThan(0.002);
  });
});

test("a gap between sections is told with what it lies between; choices are laid as they are made", () => {
  const parts = [part(slice(whole, 0, 40_000, "A")), part(slice(whole, 60_000, 90_000, "B"))];
  const { gaps } = laidOf(parts);
  expect(gaps).toHaveLength(1);
  expect(gaps[0]).toMatchObject({ before: 0, after: 1 });
  expect(gaps[0]!.lengthM).toBeCloseTo(20_000, -2);
  const turned = arrangeParts(
    parts,
    [
      { part: 1, role: "trail", turned: true },
      { part: 0, role: "left", turned: false },
    ],
    "t",
  );
  expect(turned.gaps).toEqual([]);
  expect(turned.track.latDeg[0]).toBe(parts[1]!.track.latDeg.at(-1));
  expect(turned.track.heightM[0]).toBe(parts[1]!.track.heightM.at(-1));
});

test("the tracks of a file keep their names, pauses and kind; many are a recorder’s pauses", () => {
  const seg = (from: number, to: number): string =>
    `<trkseg>${Array.from({ length: to - from }, (_, i) => `<trkpt lat="${(from + i) / 100}" lon="0"/>`).join("")}</trkseg>`;
  const read = (body: string) =>
    partsOfFile(readTrackFile(new TextEncoder().encode(`<gpx version="1.1">${body}</gpx>`)).value!);
  const parts = read(
    `<trk><name>South</name>${seg(0, 5)}${seg(6, 9)}</trk><trk><name>Empty</name></trk><trk><name>High way</name><type>alternate</type>${seg(3, 7)}</trk>`,
  );
  expect(parts.map(({ track, isBeside }) => [track.name, isBeside, [...track.segmentStarts]])).toEqual([
    ["South", false, [0, 5]],
    ["High way", true, [0]],
  ]);
  expect(parts[1]!.track.latDeg[0]).toBeCloseTo(0.03, 9);
  expect(read(`<trk>${seg(0, 3)}</trk>`.repeat(61))).toHaveLength(1);
});
