import { describe, expect, test } from "vitest";
import { hikerOf, planOf, pieceOf, sourceOf, stationOf, stopOf, trackNorth } from "../../test/fixtures.ts";
import { containerOf } from "../provision/fuel.ts";
import { hikerSchema } from "../plan/schema.ts";
import { compareFuels, compareSchools, computePlan, models, Session, type Question } from "../index.ts";
import { models as registry } from "../models/index.ts";
import { leavingG } from "./fuels.ts";
import { stoveOf, withSchool } from "./schools.ts";

const plan = planOf({
  climate: { stations: [stationOf(4, 27)] },
  stops: [stopOf("m", 70_000)],
  sources: [sourceOf("w", 30_000), sourceOf("v", 95_000)],
  kit: [pieceOf("pack", 6000)],
  hikers: [
    hikerOf({
      food: { shortfallFraction: 0.1 },
      water: { measuredLph: 0.5 },
      stove: { fuel: "gas-canister", gramsPerBoil: 9 },
    }),
  ],
});
const track = [trackNorth({ lengthM: 140_000, heightM: (m) => 900 + 400 * Math.sin(m / 2500) })];
const session = new Session();
session.setTracks(track);
const result = session.compute(plan);

describe("every school on the same hike", () => {
  const figures = (Object.keys(models) as Question[]).flatMap((question) => [
    ...compareSchools(plan, "a", question, (other) => session.compute(other)),
  ]);
  const of = (question: Question, id: string) => figures.find((row) => row.question === question && row.id === id)!;

  test("all of them answer, each question with its ids in order", () => {
    for (const question of Object.keys(models) as Question[])
      expect(figures.filter((row) => row.question === question).map((row) => row.id)).toEqual(models[question].ids);
    for (const row of figures) expect(row.kcalPerDay > 1500 && row.foodKg > 1 && row.heaviestKg > 6).toBe(true);
  });

  test("the choice matters where it should, and nowhere else", () => {
    expect(of("time", "din33466").walkDays).toBeGreaterThan(of("time", "tobler").walkDays);
    expect(of("effort", "minetti").kcalPerDay).not.toBeCloseTo(of("effort", "pandolf-santee").kcalPerDay, 0);
    expect(of("resting", "cunningham-1980").kcalPerDay).toBeGreaterThan(of("resting", "mifflin-st-jeor").kcalPerDay);
    expect(of("bodyMass", "forbes-dynamic").finishBodyKg).toBeLessThan(of("bodyMass", "rule-7700").finishBodyKg);
    expect(of("fuel", "none").fuelKg).toBe(0);
    expect(of("fuel", "alcohol").fuelKg).toBeGreaterThan(of("fuel", "gas-canister").fuelKg);
  });

  test("measured figures would hide the schools, so they are left out of the comparison alone", () => {
    expect(of("water", "per-distance").litresPerHour).not.toBeCloseTo(0.5, 2);
    expect(withSchool(plan, "a", "effort", "lcda").hikers[0]!.water.measuredLph).toBe(0.5);
    expect(plan.hikers[0]!.water.measuredLph).toBe(0.5);
  });

  test("the result names the schools that answered, an unknown one is the default", () => {
    expect(result.schools[0]).toEqual({
      time: "tobler",
      effort: "pandolf-santee",
      resting: "mifflin-st-jeor",
      water: "own-litres",
      bodyMass: "forbes-dynamic",
      fuel: "own-grams",
    });
    const odd = withSchool(plan, "a", "time", "by-broomstick");
    expect(computePlan(odd, track).schools[0]!.time).toBe("tobler");
  });
});

describe("stoves side by side", () => {
  const fuels = compareFuels(plan, result, "a")!;
  const of = (id: string) => fuels.find((row) => row.id === id)!;

  test("every system leaves every stop with its stove, containers and fuel", () => {
    expect(fuels.map((row) => row.id)).toEqual(models.fuel.ids);
    for (const row of fuels) {
      expect(row.startKg).toHaveLength(result.legs.length);
      if (row.id !== "none") expect(Math.min(...row.startKg)).toBeGreaterThan(0);
      expect(row.meanKg).toBeLessThanOrEqual(Math.max(...row.startKg));
    }
    expect(of("none").meanKg).toBe(0);
    expect(of("gas-canister").containers).toBeGreaterThan(0);
  });

  test("alcohol is lighter for few boils and heavier for many; beyond the crossing it stays so", () => {
    const { crossing } = of("alcohol");
    expect(crossing?.heavierBeyond).toBe(true);
    const weigh = (id: string) => {
      const school = registry.fuel.get(id);
      const container = containerOf(school, hikerSchema.parse(hikerOf()).stove);
      const gramsPerBoil = school.gramsPerBoil({
        volumeL: 0.5,
        startC: 10,
        heightM: 900,
        windExposure: 0.2,
        snow: false,
      });
      return (boils: number): number => leavingG({ container, hardwareG: school.hardwareG, gramsPerBoil }, boils);
    };
    const [alcohol, gas] = [weigh("alcohol"), weigh("gas-canister")];
    expect(alcohol(2)).toBeLessThan(gas(2));
    for (let boils = crossing!.boils + 2; boils <= 60; boils++) expect(alcohol(boils)).toBeGreaterThan(gas(boils));
    expect(of("gas-canister").crossing).toBeUndefined();
  });

  test("nobody of that name", () => expect(compareFuels(plan, result, "zz")).toBeUndefined());

  test("another stove forgets what was weighed on the old one; who boiled nothing begins with two", () => {
    expect(stoveOf(plan.hikers[0]!, "alcohol").gramsPerBoil).toBeUndefined();
    const cold = planOf({ hikers: [hikerOf({ stove: { fuel: "none", boilsPerDay: 0, boilL: 0 } })] }).hikers[0]!;
    expect(stoveOf(cold, "tablets")).toMatchObject({ fuel: "tablets", boilsPerDay: 2, boilL: 0.5 });
  });
});
