import { describe, expect, test } from "vitest";
import { FOUR_FIGURES, relative } from "../../test/published.ts";
import { pandolfRawW } from "../models/effort.ts";
import {
  powderIndex,
  sinkings,
  snowFactor,
  snowSpeedKmh,
  speedFactors,
  SURFACE_FACTORS,
  surfaceIndex,
} from "./surfaces.ts";
import { monthDayIndex, seasonHolds } from "./terrain.ts";

describe("surfaces", () => {
  const eta = (id: string): number => SURFACE_FACTORS.find((row) => row.id === id)!.terrainFactor;

  test("Soule & Goldman 1972: road, dirt, brush, bog, sand", () => {
    const ids = ["road", "trail", "light-brush", "heavy-brush", "bog", "sand"];
    expect(ids.map(eta)).toEqual([1.0, 1.1, 1.2, 1.5, 1.8, 2.1]);
  });

  // Footprint cm, factor, watts for 70 + 20 kg at 0.8 m/s on the level by Pandolf.
  test.each([
    [0, 1.3, 232.0],
    [5, 1.71, 267.4],
    [15, 2.53, 338.3],
    [25, 3.35, 409.1],
    [35, 4.17, 480.0],
  ])("snow, footprint %i cm: factor %f, %f W", (cm, factor, watts) => {
    expect(snowFactor(cm)).toBeCloseTo(factor, 9);
    expect(relative(pandolfRawW(70, 20, 0.8, 0, snowFactor(cm)), watts)).toBeLessThan(FOUR_FIGURES);
  });

  test("firm snow is a footprint of 5 cm, soft of 20", () => {
    expect([eta("firm-snow"), eta("soft-snow")]).toEqual([snowFactor(5), snowFactor(20)]);
  });

  // At 330.6 W, 75 kg with 15 kg, worked out apart.
  test.each([
    [0, 3.95],
    [5, 3.44],
    [10, 3.09],
    [12, 2.98],
    [20, 2.62],
    [30, 2.32],
    [35, 2.2],
    [45, 2.01],
  ])("who sinks in %i cm walks %f km/h at the effort of 4.5 on a trail", (cm, kmh) => {
    expect(snowSpeedKmh(cm)).toBeCloseTo(kmh, 2);
    expect(pandolfRawW(75, 15, snowSpeedKmh(cm) / 3.6, 0, snowFactor(cm))).toBeCloseTo(330.6, 0);
  });

  test("powder is as deep as it lies, 35 cm at most; snowshoes and skis sink in less and are faster", () => {
    expect([1, 12, 30, 200].map((cm) => sinkings("foot")[powderIndex(cm)])).toEqual([5, 10, 30, 35]);
    const deep = powderIndex(200);
    expect(sinkings("snowshoes")[deep]).toBeCloseTo(12.25, 9);
    expect(sinkings("skis")[deep]).toBeCloseTo(10.5, 9);
    const speeds = (["foot", "snowshoes", "skis"] as const).map((on) => speedFactors({}, on)[deep]!);
    // Beyond 30 cm nobody keeps the effort up: 2.20 × 0.6 of 4.5 km/h.
    expect(speeds[0]).toBeCloseTo((2.2 * 0.6) / 4.5, 3);
    expect(speeds[1]).toBeCloseTo(2.97 / 4.5, 2);
    expect(speeds).toEqual([...speeds].sort((a, b) => a - b));
  });

  test("an own speed on soft snow is one in powder too, in proportion", () => {
    const told = speedFactors({ "soft-snow": 0.291 }, "foot");
    const table = speedFactors({}, "foot");
    const soft = surfaceIndex("soft-snow");
    expect(told[powderIndex(35)]! / table[powderIndex(35)]!).toBeCloseTo(0.291 / table[soft]!, 9);
  });

  test("an own speed factor replaces the table's, all others stay", () => {
    const own = speedFactors({ bog: 0.4 }, "foot");
    for (const [i, row] of SURFACE_FACTORS.entries()) expect(own[i]).toBe(row.id === "bog" ? 0.4 : row.speedFactor);
  });

  test("an unnamed surface is plain trail, and plain trail costs no time", () => {
    expect(SURFACE_FACTORS[surfaceIndex(undefined)]).toMatchObject({ id: "trail", speedFactor: 1 });
  });
});

test.each([
  ["10-01", "06-30", "2027-12-31", true],
  ["10-01", "06-30", "2027-06-30", true],
  ["10-01", "06-30", "2027-07-01", false],
  ["05-01", "05-31", "2027-05-31", true],
  ["05-01", "05-31", "2027-04-30", false],
])("season %s to %s on %s: %s", (from, to, iso, holds) => {
  expect(seasonHolds(monthDayIndex(from), monthDayIndex(to), monthDayIndex(iso.slice(5)))).toBe(holds);
});
