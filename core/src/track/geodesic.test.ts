import fc from "fast-check";
import geographiclib from "geographiclib-geodesic";
import { describe, expect, test } from "vitest";
import { distanceM, interpolate } from "./geodesic.ts";

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

describe("points between two", () => {
  const lon = fc.double({ min: -180, max: 180, noNaN: true });
  const lat = fc.double({ min: -90, max: 90, noNaN: true });

  test("share a long step as Karney's geodesics do, within 0.5 % of it, wherever it lies", () => {
    const fraction = fc.double({ min: 0, max: 1, noNaN: true });
    fc.assert(
      fc.property(lon, lat, lon, lat, fraction, (lonA, latA, lonB, latB, t) => {
        const { s12: wholeM, azi1 } = WGS84.Inverse(latA, lonA, latB, lonB);
        // Nearly opposite places are joined by many shortest ways.
        if (wholeM! > 15_000_000) return;
        const { lat2, lon2 } = WGS84.Direct(latA, lonA, azi1!, t * wholeM!);
        const [lonDeg, latDeg] = interpolate([lonA, latA], [lonB, latB], t);
        expect(exact(lonDeg, latDeg, lon2!, lat2!)).toBeLessThan(0.001 + 0.005 * wholeM!);
      }),
      { numRuns: 2000 },
    );
  });

  test("over the date line and over the pole the short way is taken", () => {
    expect(interpolate([179.995, 10], [-179.995, 10], 0.75)[0]).toBeCloseTo(-179.9975, 9);
    expect(Math.abs(interpolate([179, 10], [-179, 10], 0.5)[0])).toBeCloseTo(180, 9);
    expect(interpolate([0, 89], [180, 89], 0.5)[1]).toBeCloseTo(90, 5);
  });

  test("ends are the ends", () => {
    expect(interpolate([-150, 40], [-150.001, 40.001], 0)).toEqual([-150, 40]);
    expect(interpolate([7, 47], [7, 47], 0.3)[1]).toBeCloseTo(47, 12);
  });
});
