/** Every way to cook side by side on the same camps: what leaves each stop, what is carried on average. */
import { models } from "../models/index.ts";
import type { FuelSchool } from "../models/fuel.ts";
import type { Hiker, Plan, StoveSettings } from "../plan/schema.ts";
import { forLater } from "../provision/ahead.ts";
import {
  boilGrams,
  burntG,
  containerOf,
  legFuel,
  type Burnt,
  type Container,
  cooked,
  meltGramsPerL,
  NO_FUEL_LEFT,
  simmerGrams,
} from "../provision/fuel.ts";
import type { LegResult, PlanFigures } from "../result/result.ts";
import { stoveOf } from "./schools.ts";

type FuelId = Hiker["stove"]["fuel"];

export interface FuelComparison {
  id: string;
  /** Stove, containers and fuel leaving each stop, kilograms. */
  startKg: number[];
  /** Mean over the walking days of the trip. */
  meanKg: number;
  fuelKg: number;
  containers: number;
  /** From this many boils between refills on it is heavier (`true`) or lighter than the hiker's own way; undefined where one always is. */
  crossing: { boils: number; heavierBeyond: boolean } | undefined;
}

const MOST_BOILS = 60;

/** Undefined when nobody is called so. Boils and measured grams as in the comparison of schools. */
export function compareFuels(plan: Plan, result: PlanFigures, hikerId: string): FuelComparison[] | undefined {
  const who = plan.hikers.findIndex((candidate) => candidate.id === hikerId);
  const hiker = plan.hikers[who];
  if (!hiker) return undefined;
  const campM = result.legs.map((leg) => meanCampM(result, leg));
  const cooking = (school: FuelSchool): StoveSettings => stoveOf(hiker, school.id as FuelId);
  const own = models.fuel.find(hiker.stove.fuel) ?? models.fuel.all[0];
  const packed = (school: FuelSchool): Packed => ({
    container: containerOf(school, cooking(school)),
    hardwareG: school.hardwareG,
    gramsPerBoil: boilGrams(school, cooking(school), campM[0] ?? 0),
  });
  return models.fuel.all.map((school) => {
    const stove = cooking(school);
    const container = containerOf(school, stove);
    const burnts = result.legs.map((leg, index): Burnt => {
      const { halfDays, meltL } = leg.hikers[who]!.fuel;
      const boils = school.id === "none" ? 0 : (stove.boilsPerDay / 2) * halfDays;
      return {
        halfDays,
        boils,
        boilG: boils * boilGrams(school, stove, campM[index]!),
        simmerG: simmerGrams(school, stove, boils === 0 ? 0 : halfDays),
        meltL,
        meltG: school.id === "none" ? 0 : meltL * meltGramsPerL(school, stove, campM[index]!),
      };
    });
    const sold = result.legs.map(({ fuelSold }) => fuelSold);
    const laterG = forLater(burnts.map(burntG), sold);
    let left = NO_FUEL_LEFT;
    let fuelG = 0;
    let containers = 0;
    let kgDays = 0;
    let days = 0;
    const startKg = result.legs.map((leg, index) => {
      const burn = legFuel(container, burnts[index]!, left, { laterG: laterG[index]!, sold: sold[index]! });
      const { needG } = burn;
      left = { fuelG: burn.endG, cans: burn.endCans };
      fuelG += needG;
      containers += burn.bought;
      const leavingKg = school.hardwareG / 1000 + burn.containerKg + burn.startKg;
      kgDays += leg.dayCount * (leavingKg - needG / 2000);
      days += leg.dayCount;
      return leavingKg;
    });
    return {
      id: school.id,
      startKg,
      meanKg: days > 0 ? kgDays / days : 0,
      fuelKg: fuelG / 1000,
      containers,
      crossing: school === own ? undefined : crossing(packed(school), packed(own)),
    };
  });
}

function meanCampM(result: PlanFigures, leg: LegResult): number {
  const nights = result.days.filter((day) => day.legIndex === leg.index);
  return nights.reduce((sum, day) => sum + result.profile.heightM[day.toNode]!, 0) / Math.max(1, nights.length);
}

/** A way to cook, ready to be weighed. */
export interface Packed {
  container: Container;
  hardwareG: number;
  gramsPerBoil: number;
}

/** Mass leaving a stop for a number of boils, everything bought there. */
export function leavingG({ container, hardwareG, gramsPerBoil }: Packed, boils: number): number {
  const burn = legFuel(container, cooked(boils, boils * gramsPerBoil));
  return hardwareG + 1000 * (burn.containerKg + burn.startKg);
}

/** Mass leaving a stop by the number of boils until the next, grams, of every way to cook. */
export interface FuelLine {
  id: string;
  /** By boils, from 0 on. */
  leavingG: number[];
}

/** At the height of the leg's camps, everything bought where it starts. */
export function fuelLines(plan: Plan, result: PlanFigures, hikerId: string, legIndex: number): FuelLine[] {
  const hiker = plan.hikers.find(({ id }) => id === hikerId);
  if (!hiker) return [];
  const campM = meanCampM(result, result.legs[legIndex]!);
  return models.fuel.all
    .filter(({ id }) => id !== "none")
    .map((school) => {
      const stove = stoveOf(hiker, school.id as FuelId);
      const container = containerOf(school, stove);
      const packed = { container, hardwareG: school.hardwareG, gramsPerBoil: boilGrams(school, stove, campM) };
      return { id: school.id, leavingG: Array.from({ length: MOST_BOILS + 1 }, (_, boils) => leavingG(packed, boils)) };
    });
}

/** From where on it stays heavier, or lighter: canisters come in steps, so the two may cross more than once. */
function crossing(school: Packed, own: Packed): FuelComparison["crossing"] {
  const heavier = (boils: number): boolean => leavingG(school, boils) > leavingG(own, boils);
  const many = heavier(MOST_BOILS);
  for (let boils = MOST_BOILS - 1; boils >= 1; boils--)
    if (heavier(boils) !== many) return { boils: boils + 1, heavierBeyond: many };
  return undefined;
}
