import fc from "fast-check";
import geographiclib from "geographiclib-geodesic";
import { describe, expect, test } from "vitest";
import { distanceM } from "./geodesic.ts";

const WGS84 = geographiclib.Geodesic.WGS84;
const exact = (lonA: number, latA: number, lonB: number, latB: number): number =>
  WGS84.Inverse(latA, lonA, latB, lonB).s12!;

describe("distance on the ellipsoid", () => {
  test("one degree of latitude at the equator and at 60° N", () => {
    // Meridian arcs of WGS-84: 110 574.4 m from 0 to 1°, 111 421.9 m from 60 to 61°.
    expect(distanceM(0, 0, 0, 1)).toBeCloseTo(110_574.4, -0.5);
    expect(distanceM(0, 60, 0, 61)).toBeCloseTo(exact(0, 60, 0, 61), -1);
  });

  test("steps up to 60 km agree with Karney's geodesics within 0.05 %", () => {
    const step = fc.double({ min: -0.5, max: 0.5, noNaN: true });
    fc.assert(
      fc.property(
        fc.double({ min: -180, max: 180, noNaN: true }),
        fc.double({ min: -79, max: 79, noNaN: true }),
        step,
        step,
        (lon, lat, dLon, dLat) => {
          const want = exact(lon, lat, lon + dLon, lat + dLat);
          return want < 0.001 || Math.abs(distanceM(lon, lat, lon + dLon, lat + dLat) - want) / want < 5e-4;
        },
      ),
      { numRuns: 2000 },
    );
  });

  test("long jumps stay within 0.5 %, antipodes included", () => {
    const lon = fc.double({ min: -180, max: 180, noNaN: true });
    const lat = fc.double({ min: -90, max: 90, noNaN: true });
    fc.assert(
      fc.property(lon, lat, lon, lat, (lonA, latA, lonB, latB) => {
        const want = exact(lonA, latA, lonB, latB);
        return want < 1 || Math.abs(distanceM(lonA, latA, lonB, latB) - want) / want < 5e-3;
      }),
      { numRuns: 2000 },
    );
  });

  test("across the date line the short way is taken", () => {
    expect(distanceM(179.999, 10, -179.999, 10)).toBeCloseTo(exact(179.999, 10, -179.999, 10), 0);
  });

  test("no distance to itself", () => {
    expect(distanceM(-148, 45, -148, 45)).toBe(0);
  });
});
