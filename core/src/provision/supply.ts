/** What a hiker uses up on a block of legs, and all that it is worked out from. */
import type { MassState } from "../models/bodyMass.ts";
import type { PlacedSource } from "../walk/sources.ts";
import type { PartConditions } from "../walk/conditions.ts";
import type { DetourSources } from "../walk/detours.ts";
import type { Ground } from "../walk/ground.ts";
import type { Block, Walk } from "../walk/walk.ts";
import type { DayEnergy } from "./energy.ts";
import type { PartMeals } from "./food.ts";
import type { Burnt, LegFuel } from "./fuel.ts";
import type { HikerNeeds } from "./needs.ts";
import type { DetourChoice } from "./payingWater.ts";
import type { SnowWater } from "./snowWater.ts";
import type { Carry } from "./water.ts";

export interface PartSupply {
  meals: PartMeals;
  /** What the menu brings out of the bag on it; undefined without one. */
  menu: PartMenu | undefined;
  /** Eaten out of the bag, kilograms: before setting out, along the trail, at camp (rest days there too). */
  breakfastKg: number;
  dayKg: number;
  dinnerKg: number;
  fuelKg: number;
  /** Of snow and ice, beside what is boiled. */
  meltedL: number;
  /** Drunk on foot. */
  walkL: number;
  /** Brought along for the night after it, and whether that is most of what it takes. */
  campL: number;
  dry: boolean;
}

/** A menu's growing items are taken `scale` times; of each meal so much of the whole; rest days are such days over again. */
export interface PartMenu {
  menuId: string;
  scale: number;
  breakfast: number;
  way: number;
  dinner: number;
  restDays: number;
}

export interface LegFood {
  /** Need over the leg's carried meals, before appetite and planned shortfall. */
  needKcal: number;
  /** Of the need, what appetite and the planned shortfall leave to be eaten. */
  wantedKcal: number;
  menuKcal: number;
  eatenKg: number;
  reserveKg: number;
  /** For the legs after it, where the stops between sell none. */
  forLaterKg: number;
  startKg: number;
  /** Carried meals in whole days of need. */
  mealDays: number;
  /** Density as a multiple of the hiker's own: that of where the food comes from. */
  densityFactor: number;
  /** Of what is eaten on it. */
  bulkKgPerL: number;
  /** Of what is eaten on it, by the menus; undefined without any. */
  proteinG: number | undefined;
}

/** What all food in a pack holds on leaving, the reserve in it, kcal. */
export function carriedKcal({ menuKcal, eatenKg, startKg }: LegFood): number {
  return menuKcal * (eatenKg > 0 ? startKg / eatenKg : 1);
}

/**
 * What a hiker takes from one block into the next. Kept round: an edit that moves a body by a milligram
 * leaves the blocks after it as they are, and the figures that are given (0.1 kg) never show the rounding.
 */
export interface SupplyState extends MassState {
  /** Fuel left, grams, and how many containers of each size it is in. */
  openFuelG: number;
  cans: readonly number[];
  /** Deficits added up since the start, kcal. */
  deficitKcal: number;
}

export interface HikerSupply {
  energies: DayEnergy[];
  /** Parallel to the walk's parts. */
  parts: PartSupply[];
  /** By leg of the block. */
  food: LegFood[];
  fuel: LegFuel[];
  /** Body at the start of every leg. */
  body: MassState[];
  carries: Carry[];
  /** Trusted water off the trail, walked to or skipped, and that which pays for this hiker. */
  detours: DetourChoice[];
  wanted: DetourSources;
  /** Litres drunk from the block's start to each node of the trail's ground. */
  drinkL: Float64Array;
  after: SupplyState;
  /** What another burns for this hiker; undefined where the stove is the own one. */
  cookedFor: CookedFor | undefined;
}

/** Cooking that is done on somebody else's stove: by leg of the block, and kilograms by part of the walk. */
export interface CookedFor {
  burnt: readonly Burnt[];
  fuelKg: readonly number[];
  meltedL: readonly number[];
}

export interface ProvisionInput {
  needs: HikerNeeds;
  ground: Ground;
  /** What the hiker's effort school keeps of every cell's grade. */
  slope: Float64Array | undefined;
  block: Block;
  walk: Walk;
  conditions: readonly PartConditions[];
  /** In walking order; those on the block are picked out. */
  sources: readonly PlacedSource[];
  loadKg: Float64Array;
  /** Snow by the way; undefined where none is. */
  snow: SnowWater | undefined;
  /** By leg of the block: worn, and what the bottles hold. */
  wornKg: readonly number[];
  bottleL: readonly number[];
  /** Water off the trail that the party walks to, and the hours that a way of so many metres from a cell takes it. */
  walkedTo: DetourSources;
  detourH: (distanceM: number, cell: number) => number;
  before: SupplyState;
  /** Of those who cook on this hiker's stove. */
  cooksFor: readonly CookedFor[];
  /** Working array with an element for each node. */
  drinkL: Float64Array;
}
