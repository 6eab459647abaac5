/** Each headline figure once: worked out apart, and the same wherever it is told. */
import { readFileSync } from "node:fs";
import { beforeAll, describe, expect, test } from "vitest";
import { hikerOf, pieceOf, planOf, sourceOf, stationOf, stopOf, trackNorth } from "../../test/fixtures.ts";
import { sweepStarts } from "../compare/starts.ts";
import { compareMenus } from "../compare/menus.ts";
import { figuresOf as schoolFigures } from "../compare/schools.ts";
import { weighKits } from "../cover/figures.ts";
import {
  computePlan,
  readGpx,
  readPlan,
  readPlanFile,
  searchStops,
  Session,
  type Plan,
  type PlanResult,
  type TrackPoints,
} from "../index.ts";
import { pullLevers } from "../levers/pull.ts";
import { tellVariant } from "../variants/compare.ts";
import { packTotals, tripTotals } from "./headline.ts";

describe("worked out apart", () => {
  const plan = planOf({
    stops: [stopOf("town", 40_000, { services: ["shop-full", "bed"], offTrailM: 2000, access: "foot", bedPrice: 30 })],
    sources: [20_000, 60_000].map((m) => sourceOf(`w${m}`, m)),
    climate: { stations: [stationOf(6, 16)] },
    kit: [pieceOf("pack", 7000)],
    hikers: [hikerOf({ id: "a" }), hikerOf({ id: "b", bodyKg: 90 })],
  });
  const result = computePlan(plan, [trackNorth({ lengthM: 80_000 })]);

  test("kilograms times kilometres on the trail and on the way to the town, heaviest, mean, food, water", () => {
    const { hikers, party } = packTotals(plan, result);
    for (const [who, of] of hikers.entries()) {
      const [first, second] = result.legs.map((leg) => leg.hikers[who]!);
      const onTrail = first!.meanKg * 40 + second!.meanKg * 40;
      const toTown = 2 * first!.endKg + 2 * second!.startKg;
      expect(of.kgKm).toBeCloseTo(onTrail + toTown, 1);
      expect(of.meanKg).toBeCloseTo(onTrail / 80, 3);
      expect(of.heaviestKg).toBe(Math.max(first!.heaviestKg, second!.heaviestKg));
      expect(of.foodKg).toBeCloseTo(first!.food.eatenKg + second!.food.eatenKg, 9);
      expect(of.mostWaterL).toBe(Math.max(...[first!, second!].map((row) => row.carries[row.largestCarry]!.litres)));
    }
    expect(party.kgKm).toBeCloseTo(hikers[0]!.kgKm + hikers[1]!.kgKm, 9);
    expect(party.heaviestKg).toBe(Math.max(...hikers.map(({ heaviestKg }) => heaviestKg)));
    expect(party.meanKg).toBeCloseTo((hikers[0]!.meanKg + hikers[1]!.meanKg) / 2, 9);
  });

  test("days from the first to the last", () => {
    const { days, finishDate } = tripTotals(plan, result);
    const dates = result.days.map(({ date }) => date);
    expect(finishDate).toBe(dates.at(-1));
    expect(days).toBe((Date.parse(dates.at(-1)!) - Date.parse(dates[0]!)) / 86_400_000 + 1);
  });
});

const read = (name: string): string => readFileSync(new URL(`../../../demo/${name}`, import.meta.url), "utf8");
const example = (name: string) => readPlanFile(JSON.parse(read(`examples/${name}.gepack.json`))).value!;

describe.each(["demo", "into-the-frost", "two-halves", "towpath"])("%s: one number, wherever it is told", (name) => {
  let plan: Plan;
  let result: PlanResult;
  let tracks: TrackPoints[];
  const session = new Session();
  const compute = (of: Plan): PlanResult => session.compute(of);

  beforeAll(() => {
    ({ plan, tracks } =
      name === "demo"
        ? {
            plan: readPlan(JSON.parse(read("corvane.gepack.json"))).value!,
            tracks: [readGpx(read("corvane.gpx"), "corvane", "corvane").value!.track],
          }
        : example(name));
    session.setTracks(tracks);
    result = compute(plan);
  });

  test("the party's: sets of stops, kits, start days", () => {
    const { party } = packTotals(plan, result);
    const totals = tripTotals(plan, result);
    const told = searchStops(session, plan).next().value as { figures: typeof party & typeof totals };
    expect(told.figures).toMatchObject({ kgKm: party.kgKm, heaviestKg: party.heaviestKg, ...totals });
    const [kit] = weighKits(plan, [{ key: "own" }], compute);
    expect(kit).toMatchObject({ kgKm: party.kgKm, heaviestKg: party.heaviestKg, finishDate: totals.finishDate });
    const [start] = sweepStarts(plan, [plan.trip.startDate], compute);
    expect(start).toMatchObject({ heaviestKg: party.heaviestKg, finishDate: totals.finishDate });
  });

  test("each hiker's: what helps, variants, schools, menus", () => {
    const totals = tripTotals(plan, result);
    for (const [who, hiker] of plan.hikers.entries()) {
      const { heaviestKg, heaviestLeg, meanKg, kgKm, foodKg, fuelKg, mostWaterL } = packTotals(plan, result).hikers[
        who
      ]!;
      const packs = { heaviestKg, meanKg, kgKm };
      const [lever] = pullLevers(plan, { who, target: "kg-km", legIndex: 0 }, { compute, figures: compute });
      expect(lever!.figures).toMatchObject({ ...packs, heaviestLeg, ...totals });
      expect(tellVariant(plan, result, who).figures).toMatchObject({ ...packs, foodKg, ...totals });
      const school = schoolFigures("bodyMass", hiker.schools.bodyMass, hiker.id, plan, result);
      expect(school).toMatchObject({ heaviestKg, heaviestLeg, foodKg, fuelKg, largestCarryL: mostWaterL });
      const { defaultId } = hiker.menus;
      const only = { ...hiker, menus: { defaultId, coldBelowC: 0, legs: [], days: [] } };
      const same = { ...plan, hikers: plan.hikers.map((one) => (one === hiker ? only : one)) } as Plan;
      const computed = compute(same);
      const [menu] = compareMenus(
        { ...plan, menus: plan.menus.filter(({ id }) => id === defaultId) },
        hiker.id,
        () => computed,
      );
      const of = packTotals(same, computed).hikers[who]!;
      if (menu) expect(menu).toMatchObject({ foodKg: of.foodKg, kgKm: of.kgKm, heaviestKg: of.heaviestKg });
    }
  });
});
