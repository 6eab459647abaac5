/** Fuel by leg: boils, grams, and what it is carried in. Containers are bought, or posted, at the stops. */
import { simmerGramsPerMin, type CanSize, type FuelSchool } from "../models/fuel.ts";
import { CAN_SIZES } from "../plan/ids.ts";
import type { StoveSettings } from "../plan/schema.ts";

/** Grams to plan for one boil at a height, by a stove and the way it is used; of melted snow where there is no other. */
export function boilGrams(school: FuelSchool, stove: StoveSettings, heightM: number, snow = false): number {
  const { boilL, waterC, windExposure } = stove;
  return school.gramsPerBoil({ volumeL: boilL, startC: waterC, heightM, windExposure, snow });
}

/** Grams to keep the pot boiling through the dinners and breakfasts of so many half days. */
export function simmerGrams(school: FuelSchool, stove: StoveSettings, halfDays: number): number {
  return (stove.simmerMinPerDay / 2) * halfDays * simmerGramsPerMin(school, stove.fuel, stove.windExposure);
}

/** Grams to melt a litre for drinking and bring it to the boil, which is what makes it safe. */
export function meltGramsPerL(school: FuelSchool, { waterC, windExposure }: StoveSettings, heightM: number): number {
  return school.gramsPerBoil({ volumeL: 1, startC: waterC, heightM, windExposure, snow: true });
}

/** What fuel comes in: `exact` is filled by need into the first size, the rest is bought whole, in any of them. */
export interface Container {
  sizes: readonly CanSize[];
  exact: boolean;
  /** Part-full ones are left behind where new ones alone are lighter. */
  exchange: boolean;
}

/** The hiker's own container size, over the school's and those that are sold. */
export function containerOf({ container, otherSizes }: FuelSchool, stove: StoveSettings): Container {
  const { exact, ...usual } = container;
  const { containerNetG: netG = usual.netG, containerEmptyG: emptyG = usual.emptyG, exchange } = stove;
  const isOwn = stove.containerNetG !== undefined || stove.containerEmptyG !== undefined;
  if (exact || isOwn || !otherSizes) return { sizes: [{ netG, emptyG }], exact, exchange };
  const { small, large } = otherSizes;
  const all = { small, middle: usual, large };
  const sizes = CAN_SIZES.filter((size) => stove.sizes.includes(size)).map((size) => all[size]);
  return { sizes: sizes.length > 0 ? sizes : [usual], exact, exchange };
}

/** Fuel in the pack: its grams, and how many of each size it is in. */
export interface FuelLeft {
  fuelG: number;
  cans: readonly number[];
}

export const NO_FUEL_LEFT: FuelLeft = { fuelG: 0, cans: [] };

export interface LegFuel {
  /** Dinners and breakfasts out of the bag. */
  halfDays: number;
  boils: number;
  /** To keep it boiling, grams. */
  simmerG: number;
  /** Litres of snow melted for drinking, and the grams they take. */
  meltL: number;
  meltG: number;
  /** Hours in camp that melting takes. */
  meltH: number;
  /** Burnt on the leg, melting included, grams. */
  needG: number;
  /** For the legs after it, where the stops between sell none, grams. */
  laterG: number;
  gramsPerBoil: number;
  /** Left from the leg before: in the open container, and in full ones that were carried past. */
  openG: number;
  /** Full containers added at the stop, and how many of each size. */
  bought: number;
  boughtOf: { netG: number; count: number }[];
  /** Left behind at the stop, part-full, grams. */
  leftBehindG: number;
  /** Containers in the pack on leaving, and what they weigh empty. */
  containers: number;
  containerKg: number;
  /** Fuel in them on leaving. */
  startKg: number;
  /** Left on arriving, grams, and what it is in. */
  endG: number;
  endCans: readonly number[];
  /** The open container alone was enough. */
  openLasts: boolean;
}

/** Beside the boil itself [L]. */
export const MELT_H_PER_L = 4 / 60;
/** Less than this is a container taken as empty. */
const EMPTY_G = 3;
/** Of exact fuel this much is taken beyond the need. */
const EXACT_RESERVE = 0.1;

/** What a leg burns: dinners and breakfasts, boils and their grams, and litres melted and theirs. */
export interface Burnt {
  halfDays: number;
  boils: number;
  boilG: number;
  /** To keep it boiling. */
  simmerG: number;
  meltL: number;
  meltG: number;
}

/** Cooking alone. */
export function cooked(boils: number, boilG: number): Burnt {
  return { halfDays: 0, boils, boilG, simmerG: 0, meltL: 0, meltG: 0 };
}

/** Both on one stove. */
export function burntTogether(a: Burnt, b: Burnt): Burnt {
  return {
    // Dinner is one dinner.
    halfDays: Math.max(a.halfDays, b.halfDays),
    boils: a.boils + b.boils,
    boilG: a.boilG + b.boilG,
    simmerG: a.simmerG + b.simmerG,
    meltL: a.meltL + b.meltL,
    meltG: a.meltG + b.meltG,
  };
}

export function burntG({ boilG, simmerG, meltG }: Burnt): number {
  return boilG + simmerG + meltG;
}

/** What else a leg has to bring, grams, and whether the stop it leaves sells any. */
export interface FuelStop {
  laterG: number;
  sold: boolean;
}

export function legFuel(
  container: Container,
  burnt: Burnt,
  carriedOver: FuelLeft = NO_FUEL_LEFT,
  { laterG, sold }: FuelStop = { laterG: 0, sold: true },
): LegFuel {
  const { halfDays, boils, boilG, simmerG, meltL, meltG } = burnt;
  const needG = burntG(burnt);
  const packed = packs(container, needG + laterG, carriedOver, sold);
  const { startG, cans } = packed;
  const leftG = startG - needG;
  const endG = leftG > EMPTY_G || laterG > 0 ? leftG : 0;
  return {
    halfDays,
    boils,
    simmerG,
    meltL,
    meltG,
    meltH: MELT_H_PER_L * meltL,
    needG,
    laterG,
    gramsPerBoil: boils > 0 ? boilG / boils : 0,
    openG: carriedOver.fuelG,
    bought: countOf(packed.bought),
    boughtOf: container.sizes.map(({ netG }, size) => ({ netG, count: packed.bought[size] ?? 0 })),
    leftBehindG: packed.leftBehindG,
    containers: countOf(cans),
    containerKg: emptyG(container.sizes, cans) / 1000,
    startKg: startG / 1000,
    endG,
    endCans: container.exact ? [] : stillHolding(container.sizes, cans, endG),
    openLasts: needG > 0 && (!sold || carriedOver.fuelG >= needG + laterG),
  };
}

interface Packed {
  startG: number;
  /** By size. */
  cans: readonly number[];
  bought: readonly number[];
  leftBehindG: number;
}

function packs({ sizes, exact, exchange }: Container, wantedG: number, carriedOver: FuelLeft, sold: boolean): Packed {
  const { netG } = sizes[0]!;
  if (exact || netG <= 0) {
    // Topped up to the need and a reserve, and what is left stays in the bottle.
    const startG = sold && wantedG > 0 ? Math.max(carriedOver.fuelG, wantedG * (1 + EXACT_RESERVE)) : carriedOver.fuelG;
    const bottles = [netG > 0 ? Math.ceil(startG / netG) : 0];
    return { startG, cans: bottles, bought: bottles, leftBehindG: 0 };
  }
  const asItIs: Packed = { startG: carriedOver.fuelG, cans: carriedOver.cans, bought: [], leftBehindG: 0 };
  if (!sold || carriedOver.fuelG >= wantedG) return asItIs;
  const bought = lightestCans(sizes, wantedG - carriedOver.fuelG);
  const cans = bought.map((count, size) => count + (carriedOver.cans[size] ?? 0));
  const more = { ...asItIs, startG: carriedOver.fuelG + holdG(sizes, bought), cans, bought };
  if (!exchange || carriedOver.fuelG <= 0) return more;
  const anew = lightestCans(sizes, wantedG);
  const alone = { startG: holdG(sizes, anew), cans: anew, bought: anew, leftBehindG: carriedOver.fuelG };
  return alone.startG + emptyG(sizes, anew) < more.startG + emptyG(sizes, cans) ? alone : more;
}

const countOf = (cans: readonly number[]): number => cans.reduce((sum, count) => sum + count, 0);

function holdG(sizes: readonly CanSize[], cans: readonly number[]): number {
  return cans.reduce((sum, count, size) => sum + count * sizes[size]!.netG, 0);
}

function emptyG(sizes: readonly CanSize[], cans: readonly number[]): number {
  return cans.reduce((sum, count, size) => sum + count * sizes[size]!.emptyG, 0);
}

/** Beyond so many grams all but the last of them come in the size that weighs least for what it holds. */
const BULK_G = 5000;

/** Full containers that hold so much, by size: the lightest, and of those the fewest. */
export function lightestCans(sizes: readonly CanSize[], wantedG: number): number[] {
  const none = sizes.map(() => 0);
  if (wantedG <= 0) return none;
  const bulk = sizes.reduce((a, b, i) => (grossOf(b) < grossOf(sizes[a]!) ? i : a), 0);
  const inBulk = Math.max(0, Math.ceil((wantedG - BULK_G) / sizes[bulk]!.netG));
  let best: { massG: number; count: number; cans: number[] } | undefined;
  const tryWith = (size: number, cans: readonly number[], leftG: number): void => {
    const { netG } = sizes[size]!;
    const most = Math.ceil(Math.max(0, leftG) / netG);
    for (let count = most; count >= (size === 0 ? most : 0); count--) {
      const taken = cans.map((others, i) => (i === size ? others + count : others));
      if (size > 0) {
        tryWith(size - 1, taken, leftG - count * netG);
        continue;
      }
      const massG = holdG(sizes, taken) + emptyG(sizes, taken);
      const all = countOf(taken);
      const isLighter = !best || massG < best.massG - 1e-9;
      if (isLighter || (massG < best!.massG + 1e-9 && all < best!.count)) best = { massG, count: all, cans: taken };
    }
  };
  const begun = none.map((_, size) => (size === bulk ? inBulk : 0));
  tryWith(sizes.length - 1, begun, wantedG - inBulk * sizes[bulk]!.netG);
  return best!.cans;
}

/** Carried for a gram of fuel. */
const grossOf = ({ netG, emptyG: empty }: CanSize): number => (netG + empty) / netG;

/** What is left is in as light ones as hold it: the others are empty, and went into the bin. */
function stillHolding(sizes: readonly CanSize[], cans: readonly number[], leftG: number): number[] {
  const left = [...cans];
  const heaviestFirst = sizes.map((_, size) => size).sort((a, b) => sizes[b]!.emptyG - sizes[a]!.emptyG);
  for (const size of heaviestFirst) {
    const spareG = holdG(sizes, left) - leftG + 1e-9;
    left[size] = (left[size] ?? 0) - Math.max(0, Math.min(left[size] ?? 0, Math.floor(spareG / sizes[size]!.netG)));
  }
  return left;
}
