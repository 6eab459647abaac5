import { describe, expect, test } from "vitest";
import { areaPath, linePath, peakPerPixel } from "./paths.ts";
import { GUTTER_PX, gutterPx, lineScale } from "./scale.ts";

describe("the one x-scale", () => {
  test("begins at the gutter, ends before the edge, and is the same for whoever asks", () => {
    const x = lineScale(2_050_000, 1280);
    expect(x(0)).toBe(GUTTER_PX);
    expect(x(2_050_000)).toBe(1260);
    expect(x(1_025_000)).toBeCloseTo((GUTTER_PX + 1260) / 2, 9);
    expect(lineScale(2_050_000, 1280)(777_777)).toBe(x(777_777));
  });

  test("small screens give the gutter to the trail; the narrowest still has a scale", () => {
    expect(gutterPx(360)).toBeLessThan(20);
    expect(gutterPx(1280)).toBe(GUTTER_PX);
    const x = lineScale(1000, 30);
    expect(x(1000)).toBeGreaterThan(x(0));
    expect(Number.isFinite(lineScale(0, 1280)(0))).toBe(true);
  });
});

describe("summaries per pixel", () => {
  test("the highest value under a pixel is kept: a short heavy stretch is not lost", () => {
    const load = new Float64Array(1000).fill(9);
    load[503] = 17;
    const peaks = peakPerPixel(load, load.length, 100);
    expect(peaks[50]).toBe(17);
    expect(peaks.filter((kg) => kg === 17)).toHaveLength(1);
  });

  test("fewer values than pixels leave no hole", () => {
    expect([...peakPerPixel([1, 2, 3], 3, 7)].every((value) => value >= 1 && value <= 3)).toBe(true);
  });

  test("paths start at the left edge and are rounded to a tenth of a pixel", () => {
    expect(linePath(Float64Array.from([1, 2]), 220, (value) => value / 3)).toBe("M220,0.3L221,0.7");
    expect(areaPath(Float64Array.from([1, 2]), 0, 10, (value) => value)).toMatch(/^M0,1L1,2L1,10L0,10Z$/);
  });
});
