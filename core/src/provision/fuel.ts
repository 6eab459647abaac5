/** Fuel by leg: boils, grams, and what it is carried in. Containers are bought, or posted, at the stops. */
import type { FuelSchool } from "../models/fuel.ts";
import type { StoveSettings } from "../plan/schema.ts";

/** Grams to plan for one boil at a height, by a stove and the way it is used; of melted snow where there is no other. */
export function boilGrams(school: FuelSchool, stove: StoveSettings, heightM: number, snow = false): number {
  const { boilL, waterC, windExposure } = stove;
  return school.gramsPerBoil({ volumeL: boilL, startC: waterC, heightM, windExposure, snow });
}

/** Grams to melt a litre for drinking and bring it to the boil, which is what makes it safe. */
export function meltGramsPerL(school: FuelSchool, { waterC, windExposure }: StoveSettings, heightM: number): number {
  return school.gramsPerBoil({ volumeL: 1, startC: waterC, heightM, windExposure, snow: true });
}

/** What fuel comes in, grams; `exact` is filled by need, the rest is bought whole. */
export interface Container {
  netG: number;
  emptyG: number;
  exact: boolean;
}

/** The hiker's own container sizes, over the school's. */
export function containerOf(school: FuelSchool, stove: StoveSettings): Container {
  return {
    netG: stove.containerNetG ?? school.container.netG,
    emptyG: stove.containerEmptyG ?? school.container.emptyG,
    exact: school.container.exact,
  };
}

export interface LegFuel {
  /** Dinners and breakfasts out of the bag. */
  halfDays: number;
  boils: number;
  /** Litres of snow melted for drinking, and the grams they take. */
  meltL: number;
  meltG: number;
  /** Burnt on the leg, melting included, grams. */
  needG: number;
  /** For the legs after it, where the stops between sell none, grams. */
  laterG: number;
  gramsPerBoil: number;
  /** Left from the leg before: in the open container, and in full ones that were carried past. */
  openG: number;
  /** Full containers added at the stop. */
  bought: number;
  /** Containers in the pack on leaving, and what they weigh empty. */
  containers: number;
  containerKg: number;
  /** Fuel in them on leaving. */
  startKg: number;
  /** Left on arriving, grams. */
  endG: number;
  /** The open container alone was enough. */
  openLasts: boolean;
}

/** Less than this is a container taken for empty. */
const EMPTY_G = 3;
/** Of exact fuel this much is taken beyond the need. */
const EXACT_RESERVE = 0.1;

/** What a leg burns: dinners and breakfasts, boils and their grams, and litres melted and theirs. */
export interface Burnt {
  halfDays: number;
  boils: number;
  boilG: number;
  meltL: number;
  meltG: number;
}

/** Cooking alone. */
export function cooked(boils: number, boilG: number): Burnt {
  return { halfDays: 0, boils, boilG, meltL: 0, meltG: 0 };
}

export function burntG({ boilG, meltG }: Burnt): number {
  return boilG + meltG;
}

/** What else a leg has to bring, grams, and whether the stop it leaves sells any. */
export interface FuelStop {
  laterG: number;
  sold: boolean;
}

export function legFuel(
  container: Container,
  burnt: Burnt,
  openG: number,
  { laterG, sold }: FuelStop = { laterG: 0, sold: true },
): LegFuel {
  const { netG, emptyG, exact } = container;
  const { halfDays, boils, boilG, meltL, meltG } = burnt;
  const needG = burntG(burnt);
  const wantedG = needG + laterG;
  const missingG = sold ? Math.max(0, wantedG - openG) : 0;
  const openLasts = missingG === 0 && needG > 0;
  // Exact fuel is topped up to the need and a reserve, and what is left stays in the bottle; else full ones are added.
  const byNeed = exact || netG <= 0;
  const filledG = sold && wantedG > 0 ? Math.max(openG, wantedG * (1 + EXACT_RESERVE)) : openG;
  const bottles = byNeed && netG > 0 ? Math.ceil(filledG / netG) : 0;
  const bought = byNeed ? bottles : Math.ceil(missingG / netG);
  const startG = byNeed ? filledG : openG + bought * netG;
  const containers = byNeed ? bottles : bought + Math.ceil(openG / netG);
  const leftG = startG - needG;
  return {
    halfDays,
    boils,
    meltL,
    meltG,
    needG,
    laterG,
    gramsPerBoil: boils > 0 ? boilG / boils : 0,
    openG,
    bought,
    containers,
    containerKg: (containers * emptyG) / 1000,
    startKg: startG / 1000,
    endG: leftG > EMPTY_G || laterG > 0 ? leftG : 0,
    openLasts,
  };
}
