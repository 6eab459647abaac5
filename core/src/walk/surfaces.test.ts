import { describe, expect, test } from "vitest";
import { FOUR_FIGURES, relative } from "../../test/published.ts";
import { pandolfRawW } from "../models/effort.ts";
import { snowFactor, speedFactors, SURFACE_FACTORS, surfaceIndex } from "./surfaces.ts";
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

  test("firm snow is a footprint of 4 cm, soft of 20", () => {
    expect([eta("firm-snow"), eta("soft-snow")]).toEqual([snowFactor(4), snowFactor(20)]);
  });

  test("an own speed factor replaces the table's, all others stay", () => {
    const own = speedFactors({ bog: 0.4 });
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
