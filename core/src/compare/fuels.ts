/** Every way to cook side by side on the same camps: what leaves each stop, what is carried on average. */
import { models } from "../models/index.ts";
import type { FuelSchool } from "../models/fuel.ts";
import type { Hiker, Plan } from "../plan/schema.ts";
import { containerOf, legFuel } from "../provision/fuel.ts";
import type { LegResult, PlanResult } from "../result/result.ts";

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

const BOILS_PER_DAY = 2;
const BOIL_L = 0.5;
const MOST_BOILS = 60;

/** Undefined when nobody is called so. The hiker who cooks nothing is compared at two boils of half a litre. */
export function compareFuels(plan: Plan, result: PlanResult, hikerId: string): FuelComparison[] | undefined {
  const who = plan.hikers.findIndex((hiker) => hiker.id === hikerId);
  const hiker = plan.hikers[who];
  if (!hiker) return undefined;
  const perDay = hiker.stove.boilsPerDay || BOILS_PER_DAY;
  const volumeL = hiker.stove.boilL || BOIL_L;
  const campM = result.legs.map((leg) => meanCampM(result, leg));
  const grams = (school: FuelSchool, heightM: number): number =>
    school.gramsPerBoil({
      volumeL,
      startC: hiker.stove.waterC,
      heightM,
      windExposure: hiker.stove.windExposure,
      snow: false,
    });
  const own = models.fuel.orDefault(hiker.stove.fuel);
  return models.fuel.all.map((school) => {
    const container = containerOf(ownContainerOnly(hiker, school, own), school);
    let openG = 0;
    let fuelG = 0;
    let containers = 0;
    let kgDays = 0;
    let days = 0;
    const startKg = result.legs.map((leg, index) => {
      const mealDays = leg.hikers[who]!.food.mealDays;
      const boils = school.id === "none" ? 0 : perDay * mealDays;
      const needG = boils * grams(school, campM[index]!);
      const burn = legFuel(container, boils, needG, openG);
      openG = burn.endG;
      fuelG += needG;
      containers += burn.bought;
      const leavingKg = school.hardwareG / 1000 + burn.containerKg + burn.startKg;
      kgDays += leg.days * (leavingKg - needG / 2000);
      days += leg.days;
      return leavingKg;
    });
    return {
      id: school.id,
      startKg,
      meanKg: days > 0 ? kgDays / days : 0,
      fuelKg: fuelG / 1000,
      containers,
      crossing: school === own ? undefined : crossing(school, own, (one) => grams(one, campM[0] ?? 0)),
    };
  });
}

/** Own container sizes belong to the system they were given for. */
function ownContainerOnly(hiker: Hiker, school: FuelSchool, own: FuelSchool): Hiker {
  if (school === own) return hiker;
  return { ...hiker, stove: { ...hiker.stove, containerNetG: undefined, containerEmptyG: undefined } };
}

function meanCampM(result: PlanResult, leg: LegResult): number {
  const nights = result.days.filter((day) => day.legIndex === leg.index);
  return nights.reduce((sum, day) => sum + result.profile.heightM[day.toNode]!, 0) / Math.max(1, nights.length);
}

/** Mass leaving a stop for a number of boils, everything bought there. */
export function leavingG(school: FuelSchool, gramsPerBoil: number, boils: number): number {
  const burn = legFuel(school.container, boils, boils * gramsPerBoil, 0);
  return school.hardwareG + 1000 * (burn.containerKg + burn.startKg);
}

function crossing(
  school: FuelSchool,
  own: FuelSchool,
  grams: (school: FuelSchool) => number,
): FuelComparison["crossing"] {
  const heavier = (boils: number): boolean => leavingG(school, grams(school), boils) > leavingG(own, grams(own), boils);
  const few = heavier(1);
  for (let boils = 2; boils <= MOST_BOILS; boils++) if (heavier(boils) !== few) return { boils, heavierBeyond: !few };
  return undefined;
}
