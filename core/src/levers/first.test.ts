import { describe, expect, test } from "vitest";
import { Session, type Plan } from "../index.ts";
import { hikerOf, planOf, sourceOf, stopOf, trackNorth } from "../../test/fixtures.ts";
import { bestChoices, firstChoices, waterOn, type FirstChoice } from "./first.ts";
import { withLever } from "./lever.ts";

const tracks = [trackNorth({ lengthM: 240_000, heightM: (m) => 300 + 100 * Math.sin(m / 3000) })];
const shop = { services: ["shop-full", "bed"], nights: 1 };
const plan = planOf({
  stops: [
    stopOf("mill", 60_000, shop),
    stopOf("lodge", 150_000, { services: ["bed"], use: false, note: "holds parcels" }),
    stopOf("hall", 162_000, { services: ["shop-small"], use: false }),
    stopOf("kept out", 70_000, { services: ["shop-small"], use: false, locked: true }),
  ],
  sources: [8, 20, 32, 44, 56, 70, 82, 94, 106, 160, 172, 184, 196, 208, 220, 232].map((km) =>
    sourceOf(`w${km}`, km * 1000),
  ),
  hikers: [hikerOf()],
});
const session = new Session();
session.setTracks(tracks);
const jobs = { compute: (then: Plan) => session.compute(then), figures: (then: Plan) => session.figures(then) };
const found = [...firstChoices(plan, 0, jobs)];
const named = (kind: string, stopId?: string): FirstChoice | undefined =>
  found.find(
    ({ lever }) => lever.kind === kind && (stopId === undefined || ("stopId" in lever && lever.stopId === stopId)),
  );

describe("choices that change a first plan most", () => {
  test("a skipped shop is used, a house far from shops gets food by mail, a dry way is asked about", () => {
    expect(named("use", "hall")).toBeDefined();
    expect(named("mail-to", "lodge")).toBeDefined();
    const water = named("assume-water")!;
    // No water from 106 km to the lodge at 150, which has a tap.
    expect(water.dry!.fromM / 1000).toBeCloseTo(106, 0);
    expect(water.dry!.toM / 1000).toBeCloseTo(150, 0);
    expect(JSON.stringify(found)).not.toContain("kept out");
  });

  test("each lightens by what the plan with it says", () => {
    const now = session.compute(plan);
    for (const { lever, legIndex, beforeKg, afterKg } of found) {
      const leg = now.legs[legIndex]!;
      const then = session.figures(withLever(plan, plan.hikers[0]!.id, lever));
      const on = then.legs.filter(({ fromNode, toNode }) => fromNode < leg.toNode && toNode > leg.fromNode);
      expect(beforeKg).toBeCloseTo(leg.hikers[0]!.heaviestKg, 9);
      expect(afterKg).toBeCloseTo(Math.max(...on.map(({ hikers }) => hikers[0]!.heaviestKg)), 9);
      expect(beforeKg - afterKg).toBeGreaterThanOrEqual(0.5);
    }
  });

  test("three are shown, the best first, of one leg one stop and one water", () => {
    const best = bestChoices(found);
    expect(best.length).toBeLessThanOrEqual(3);
    const gains = best.map(({ beforeKg, afterKg }) => beforeKg - afterKg);
    expect(gains).toEqual(gains.toSorted((a, b) => b - a));
    const keys = best.map(({ legIndex, lever }) => `${legIndex} ${lever.kind === "assume-water"}`);
    expect(new Set(keys).size).toBe(keys.length);
  });

  test("assumed water is marked, stands where none is, and is not assumed twice", () => {
    const now = session.compute(plan);
    const dryLeg = named("assume-water")!.legIndex;
    const lever = waterOn(plan, now, dryLeg, 0)!;
    const then = withLever(plan, plan.hikers[0]!.id, lever);
    const assumed = then.sources.filter((source) => source.assumed);
    expect(assumed.length).toBeGreaterThanOrEqual(3);
    for (const { trackM } of assumed) expect(trackM > 106_000 && trackM < 150_000).toBe(true);
    expect(withLever(then, plan.hikers[0]!.id, lever).sources).toHaveLength(then.sources.length);
    expect(plan.sources.some((source) => source.assumed)).toBe(false);
  });
});
