import fc from "fast-check";
import { readFileSync } from "node:fs";
import { describe, expect, test } from "vitest";
import { packTrack, readGpx, unpackTrack, type TrackPoints } from "../index.ts";

const point = fc.record({
  lon: fc.integer({ min: -1_800_000_000, max: 1_800_000_000 }),
  lat: fc.integer({ min: -900_000_000, max: 900_000_000 }),
  height: fc.option(fc.integer({ min: -5000, max: 90_000 }), { nil: undefined }),
});

function trackOf(points: { lon: number; lat: number; height: number | undefined }[], name: string): TrackPoints {
  return {
    id: "t",
    name,
    lonDeg: Float64Array.from(points, (p) => p.lon / 1e7),
    latDeg: Float64Array.from(points, (p) => p.lat / 1e7),
    heightM: Float32Array.from(points, (p) => (p.height === undefined ? NaN : p.height / 10)),
    segmentStarts: Uint32Array.of(0),
  };
}

describe("a packed track", () => {
  test("reads back to the bit, whatever the points and the name", () => {
    fc.assert(
      fc.property(fc.array(point, { minLength: 1, maxLength: 60 }), fc.string({ unit: "grapheme" }), (points, name) => {
        const track = trackOf(points, name);
        expect(unpackTrack(packTrack(track))).toEqual(track);
      }),
    );
  });

  test("the demo's takes less than a fifth of its GPX, and is the same track", () => {
    const text = readFileSync(new URL("../../../demo/corvane.gpx", import.meta.url), "utf8");
    const { track } = readGpx(text, "corvane").value!;
    const packed = packTrack(track);
    expect(packed.length).toBeLessThan(text.length / 5);
    // A height of −0.0 m reads back as 0.
    expect(unpackTrack(packed)).toEqual({ ...track, heightM: track.heightM.map((m) => m + 0) });
  });

  test("more digits than it keeps are refused, not rounded", () => {
    const track = trackOf([{ lon: 10, lat: 10, height: 5 }], "t");
    expect(() => packTrack({ ...track, lonDeg: Float64Array.of(1.23456789123) })).toThrow(/longitude/);
    expect(() => packTrack({ ...track, heightM: Float32Array.of(1.2345) })).toThrow(/tenths/);
  });

  test("other bytes and bytes cut short are refused", () => {
    const packed = packTrack(trackOf([{ lon: 1, lat: 2, height: 3 }], "t"));
    expect(() => unpackTrack(packed.slice(0, -1))).toThrow(/cut short/);
    expect(() => unpackTrack(Uint8Array.of(1, 2, 3))).toThrow(/no packed track/);
  });
});
