import { computePlan } from "@gepack/core";
import { describe, expect, test } from "vitest";
import { pieceOf, planWith, straightTrack } from "../../test/plans.ts";
import { loadY, LOAD, topKg } from "./geometry.ts";
import { GUTTER_PX, gutterPx, lineDomain, lineScale } from "./scale.ts";
import { packStack, peakPerPixel, SUBSTANCES } from "./stack.ts";

describe("the one x-scale", () => {
  test("begins at the gutter, ends before the edge, and reads back what it drew", () => {
    const x = lineScale([0, 2_050_000], 1280);
    expect(x(0)).toBe(GUTTER_PX);
    expect(x(2_050_000)).toBe(1260);
    expect(x(1_025_000)).toBeCloseTo((GUTTER_PX + 1260) / 2, 9);
    expect(x.invert(x(777_777))).toBeCloseTo(777_777, 6);
  });

  test("small screens give the gutter to the trail; the narrowest still has a scale", () => {
    expect(gutterPx(360)).toBeLessThan(20);
    expect(gutterPx(1280)).toBe(GUTTER_PX);
    const x = lineScale([0, 1000], 30);
    expect(x(1000)).toBeGreaterThan(x(0));
    expect(Number.isFinite(lineScale([0, 0], 1280)(0))).toBe(true);
  });
});

const plan = planWith({
  stops: [
    { id: "one", name: "One", trackM: 30_000 },
    { id: "two", name: "Two", trackM: 60_000 },
  ],
  sources: [{ id: "w", name: "Well", trackM: 20_000 }],
  kit: [pieceOf("all", { massG: 7000 }), pieceOf("soap", { massG: 300, wear: "consumable" })],
});
const result = computePlan(plan, [straightTrack()]);

describe("what the Line shows", () => {
  test("the whole trail, or a leg with its neighbours; at the ends there is only one", () => {
    const { lengthM } = result.profile;
    expect(lineDomain(result, undefined)).toEqual([0, lengthM]);
    expect(lineDomain(result, 1)).toEqual([0, lengthM]);
    expect(lineDomain(result, 0)[1]).toBeCloseTo(60_000, -2);
    expect(lineDomain(result, 2)[0]).toBeCloseTo(30_000, -2);
    expect(lineDomain(result, 99)).toEqual([0, lengthM]);
  });

  test("the comfort and the heaviest pack are inside the lane", () => {
    for (const [peakKg, comfortKg] of [
      [9, 15],
      [22, 15],
    ] as const) {
      const top = topKg(peakKg, comfortKg);
      expect(Math.min(loadY(peakKg, top), loadY(comfortKg, top))).toBeGreaterThanOrEqual(LOAD.top);
      expect(loadY(0, top)).toBe(LOAD.bottom);
    }
  });
});

describe("the pack by substance", () => {
  const cells = result.packs[0]!.loadKg.length;

  test("the four add up to the heaviest pack under every pixel", () => {
    const stack = packStack(result, 0, [0, cells], 300);
    const heaviest = peakPerPixel(result.packs[0]!.loadKg, [0, cells], 300);
    for (let px = 0; px < 300; px++)
      expect(SUBSTANCES.reduce((sum, name) => sum + stack[name][px]!, 0)).toBeCloseTo(heaviest[px]!, 6);
    expect(stack.peakKg).toBeCloseTo(Math.max(...heaviest), 9);
  });

  test("kit is what the legs carry, food falls along a leg and is filled up at a stop", () => {
    const stack = packStack(result, 0, [0, cells], cells);
    expect(stack.kit[0]).toBeCloseTo(7.3, 6);
    expect(stack.food[0]).toBeGreaterThan(stack.food[250]!);
    expect(stack.food[320]).toBeGreaterThan(stack.food[280]!);
  });

  test("zoomed, every pixel is of the cells that are shown", () => {
    const whole = packStack(result, 0, [0, cells], cells);
    const part = packStack(result, 0, [300, 400], 100);
    expect([...part.food]).toEqual([...whole.food.slice(300, 400)]);
  });
});

describe("summaries per pixel", () => {
  test("the highest value under a pixel is kept: a short heavy stretch is not lost", () => {
    const load = new Float64Array(1000).fill(9);
    load[503] = 17;
    const peaks = peakPerPixel(load, [0, 1000], 100);
    expect(peaks[50]).toBe(17);
    expect(peaks.filter((kg) => kg === 17)).toHaveLength(1);
  });

  test("fewer values than pixels leave no hole", () => {
    expect([...peakPerPixel([1, 2, 3], [0, 3], 7)].every((value) => value >= 1 && value <= 3)).toBe(true);
  });
});
