/** Everything one hiker uses up on a block of legs: energy, food, water and fuel, from the days walked. */
import type { MassState } from "../models/bodyMass.ts";
import { heatFactor } from "../models/water.ts";
import { walkedOf } from "../track/place.ts";
import { monthOfDay } from "../units/day.ts";
import { CAMP_REACH_M, trusted, type PlacedSource } from "../walk/camps.ts";
import type { PartConditions } from "../walk/conditions.ts";
import type { Ground } from "../walk/ground.ts";
import type { Halt } from "../walk/halts.ts";
import type { Block, DayPart, Walk } from "../walk/walk.ts";
import { dayEnergy, partWalkKcal, type DayEnergy } from "./energy.ts";
import { appetite, foodKg, partMeals, type PartMeals, type PartOfDay } from "./food.ts";
import { boilGrams, containerOf, cooked, legFuel, meltGramsPerL, type Burnt, type LegFuel } from "./fuel.ts";
import { restingKcalPerDay, type HikerNeeds } from "./needs.ts";
import { carryLitres, drunkLitres, isIce, mostLitres, type Carry, type WaterPoint } from "./water.ts";

export interface PartSupply {
  meals: PartMeals;
  /** Eaten out of the bag, kilograms: before setting out, on the way, at camp (rest days there too). */
  breakfastKg: number;
  dayKg: number;
  dinnerKg: number;
  fuelKg: number;
  /** The night after it has no trusted water at hand. */
  dry: boolean;
}

export interface LegFood {
  /** Need over the leg's carried meals, before appetite and planned shortfall. */
  needKcal: number;
  menuKcal: number;
  eatenKg: number;
  reserveKg: number;
  startKg: number;
  /** Carried meals in whole days of need. */
  mealDays: number;
}

/**
 * What a hiker takes from one block into the next. Kept round: an edit that moves a body by a milligram
 * leaves the blocks after it as they are, and the figures that are told (0.1 kg) never show the rounding.
 */
export interface SupplyState extends MassState {
  /** Fuel left in the open container, grams. */
  openFuelG: number;
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
  /** Litres drunk from the block's start to each node of the trail's ground. */
  drinkL: Float64Array;
  after: SupplyState;
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
  /** By leg of the block. */
  wornKg: readonly number[];
  before: SupplyState;
  /** Working array with an element for each node. */
  drinkL: Float64Array;
}

/** Grain of the state, see `SupplyState`: ten grams of body, a gram of fuel, a kilocalorie. */
const GRAIN = { massKg: 0.01, fuelG: 1, energyKcal: 1 } as const;
const grained = (value: number, grain: number): number => Math.round(value / grain) * grain;

export function provision(input: ProvisionInput): HikerSupply {
  const { walk, block, needs, before, ground } = input;
  const legCount = block.endLeg - block.firstLeg;
  const supply: Omit<HikerSupply, "carries" | "drinkL" | "after"> = {
    energies: [],
    parts: [],
    food: Array.from({ length: legCount }, () => ({
      needKcal: 0,
      menuKcal: 0,
      eatenKg: 0,
      reserveKg: 0,
      startKg: 0,
      mealDays: 0,
    })),
    fuel: [],
    body: [],
  };
  const tally = new Tally(input, supply, { bodyKg: before.bodyKg, fatKg: before.fatKg });
  // A block begins where its stop's night was, or at home.
  let breakfastInTown = block.firstLeg === 0 || ground.halts[block.firstLeg]!.feeds;
  for (let first = 0; first < walk.parts.length;) {
    let end = first + 1;
    while (end < walk.parts.length && walk.parts[end]!.day === walk.parts[first]!.day) end++;
    breakfastInTown = tally.day(first, end, breakfastInTown);
    first = end;
  }
  for (const need of supply.food) {
    const dayKg = need.mealDays > 0 ? need.eatenKg / Math.max(1, need.mealDays) : 0;
    need.reserveKg = Math.max(need.eatenKg * needs.food.reserveFraction, dayKg * needs.food.reserveDays);
    need.startKg = need.eatenKg + need.reserveKg;
  }
  const { slope, loadKg } = input;
  const drinkL = drunkLitres({ ground, needs, slope, walk, loadKg, bodyKg: before.bodyKg, into: input.drinkL });
  const water = waterCarries(input, drinkL);
  for (let p = 0; p < supply.parts.length; p++) supply.parts[p]!.dry = water.dry[p]!;
  tally.melt(water.carries);
  let openG = before.openFuelG;
  const container = containerOf(needs.schools.fuel, needs.stove);
  for (let leg = 0; leg < legCount; leg++) {
    const burn = legFuel(container, tally.burnt[leg]!, openG);
    supply.fuel.push(burn);
    openG = burn.endG;
  }
  const { energies, parts, food, fuel, body } = supply;
  return {
    energies,
    parts,
    food,
    fuel,
    body,
    carries: water.carries,
    drinkL,
    after: {
      bodyKg: grained(tally.mass.bodyKg, GRAIN.massKg),
      fatKg: grained(tally.mass.fatKg, GRAIN.massKg),
      openFuelG: grained(openG, GRAIN.fuelG),
      deficitKcal: grained(before.deficitKcal + tally.deficitKcal, GRAIN.energyKcal),
    },
  };
}

/** Adds up a hiker's days, one after the other: the body that walks them changes on the way. */
class Tally {
  /** By leg of the block. */
  readonly burnt: Burnt[];
  deficitKcal = 0;

  constructor(
    private readonly input: ProvisionInput,
    private readonly supply: Pick<HikerSupply, "energies" | "parts" | "food" | "body">,
    public mass: MassState,
  ) {
    this.burnt = supply.food.map(() => cooked(0, 0));
  }

  /** One calendar day, of one part or of several when a stop is passed through. Answers whether town feeds after it. */
  day(first: number, end: number, breakfastInTown: boolean): boolean {
    const { needs, ground, slope, walk, conditions, block, loadKg } = this.input;
    const { schools, food } = needs;
    const { bodyKg } = this.mass;
    let walkH = 0;
    let walkKcal = 0;
    for (let p = first; p < end; p++) {
      const part = walk.parts[p]!;
      const leg = part.legIndex - block.firstLeg;
      this.supply.body[leg] ??= this.mass;
      walkH += part.walkH;
      const wornKg = this.input.wornKg[leg]!;
      walkKcal +=
        needs.effortFactor *
        partWalkKcal({ ground, effort: schools.effort, slope, walk, part, bodyKg, loadKg, wornKg });
    }
    const { day, legIndex, budgetH } = walk.parts[first]!;
    const { meanC } = conditions[end - 1]!;
    const resting = restingKcalPerDay(needs, bodyKg);
    const energy = dayEnergy(needs, resting, { day, legIndex, walkH, walkKcal, meanC, fullH: budgetH });
    this.supply.energies.push(energy);
    const menuFactor = appetite(food, day - ground.startDay) * (1 - food.shortfallFraction);
    let share = 0;
    let restNeedKcal = 0;
    let walkedBeforeH = 0;
    for (let p = first; p < end; p++) {
      const dinnerInTown = this.feedsAfter(walk.parts[p]!);
      const zeros = dinnerInTown ? 0 : walk.parts[p]!.zeroDays;
      const restDayKcal =
        zeros > 0
          ? zeros * dayEnergy(needs, resting, { day, legIndex, walkH: 0, walkKcal: 0, meanC, fullH: 1 }).totalKcal
          : 0;
      restNeedKcal += restDayKcal;
      const at = { firstOfDay: p === first, breakfastInTown, dinnerInTown, walkedBeforeH, dayWalkH: walkH };
      share += this.part(walk.parts[p]!, at, energy.totalKcal, menuFactor, zeros, restDayKcal);
      walkedBeforeH += walk.parts[p]!.walkH;
    }
    // Of what is eaten out of the bag, so much is missing; in town nobody goes short.
    const missingKcal = (energy.totalKcal * share + restNeedKcal) * (1 - menuFactor);
    this.deficitKcal += missingKcal;
    this.mass = schools.bodyMass.step(this.mass, -missingKcal);
    return this.feedsAfter(walk.parts[end - 1]!);
  }

  /** Is the night after a part spent where meals are to be had? */
  private feedsAfter({ night, legIndex }: DayPart): boolean {
    return night === "stop" && this.input.ground.halts[legIndex + 1]!.feeds;
  }

  /** What was taken as snow or ice is melted where it was taken; a stove that is not there burns nothing. */
  melt(carries: readonly Carry[]): void {
    const { needs, ground, walk, block } = this.input;
    if (needs.stove.fuel === "none") return;
    let p = 0;
    for (const { isIce, fromNode, litres, legIndex } of carries) {
      if (!isIce) continue;
      while (p + 1 < walk.parts.length && walk.parts[p]!.endNode <= fromNode) p++;
      const grams = litres * meltGramsPerL(needs.schools.fuel, needs.stove, ground.profile.heightM[fromNode]!);
      const burnt = this.burnt[legIndex - block.firstLeg]!;
      burnt.meltL += litres;
      burnt.meltG += grams;
      this.supply.parts[p]!.fuelKg += grams / 1000;
    }
  }

  /** Is snow or ice all the water at this camp? Water that was carried there is none. */
  private campsOnIce(part: DayPart): boolean {
    const { sources, needs, ground, conditions, walk } = this.input;
    if (part.night !== "camp") return false;
    const { highC } = conditions[walk.parts.indexOf(part)]!.walking;
    const month = monthOfDay(part.day);
    const reach = Math.round(CAMP_REACH_M / ground.profile.cellM);
    let any = false;
    for (let s = firstAfter(sources, part.endNode - reach - 1); s < sources.length; s++) {
      const source = sources[s]!;
      if (source.node > part.endNode + reach) break;
      if (!trusted(source, needs.water, month)) continue;
      if (!isIce(source.kind, highC)) return false;
      any = true;
    }
    return any;
  }

  /** Answers the share of the day's meals that came out of the bag. */
  private part(
    part: DayPart,
    at: PartOfDay,
    dayKcal: number,
    menuFactor: number,
    zeros: number,
    zerosKcal: number,
  ): number {
    const { needs, ground, block } = this.input;
    const { schools, stove } = needs;
    const leg = part.legIndex - block.firstLeg;
    const meals = partMeals(part, at);
    const kilograms = (kcal: number): number => foodKg(needs.food, kcal * menuFactor);
    const share = meals.breakfastFraction + meals.dayFraction + meals.dinnerFraction;
    const needKcal = dayKcal * share + zerosKcal;
    const legFood = this.supply.food[leg]!;
    legFood.needKcal += needKcal;
    legFood.menuKcal += needKcal * menuFactor;
    legFood.eatenKg += kilograms(needKcal);
    legFood.mealDays += share + zeros;

    const halfDays = Number(meals.breakfastFraction > 0) + Number(meals.dinnerFraction > 0) + 2 * zeros;
    const boils = stove.fuel === "none" ? 0 : (stove.boilsPerDay / 2) * halfDays;
    const heightM = ground.profile.heightM[part.endNode]!;
    const fuelG = boils === 0 ? 0 : boils * boilGrams(schools.fuel, stove, heightM, this.campsOnIce(part));
    this.burnt[leg]!.boils += boils;
    this.burnt[leg]!.boilG += fuelG;
    this.supply.parts.push({
      meals,
      fuelKg: fuelG / 1000,
      dry: false,
      breakfastKg: kilograms(dayKcal * meals.breakfastFraction),
      dayKg: kilograms(dayKcal * meals.dayFraction),
      dinnerKg: kilograms(dayKcal * meals.dinnerFraction + zerosKcal),
    });
    return share;
  }
}

/** Meals of a rest day at a dry camp count as a further camp's water each: two for every day. */
export const CAMPS_PER_ZERO = 2;

interface Carries {
  carries: Carry[];
  /** By part of the walk: is the night after it dry? */
  dry: boolean[];
}

function waterCarries(input: ProvisionInput, drinkL: Float64Array): Carries {
  const { needs, ground, walk } = input;
  const { profile } = ground;
  const carries: Carry[] = [];
  const dry = walk.parts.map(() => false);
  const points = waterPoints(input);
  const campReach = Math.round(CAMP_REACH_M / profile.cellM);
  let part = 0;
  for (let i = 0; i + 1 < points.length; i++) {
    const from = points[i]!;
    const to = points[i + 1]!;
    if (to.node === from.node) continue;
    while (walk.parts[part]!.endNode <= from.node) part++;
    let dryCamps = 0;
    let campHeat = 1;
    let walkH = 0;
    for (let k = part; k < walk.parts.length && walk.parts[k]!.startNode < to.node; k++) {
      const piece = walk.parts[k]!;
      const within = Math.min(piece.endNode, to.node) - Math.max(piece.startNode, from.node);
      walkH += (piece.walkH * within) / Math.max(1, piece.endNode - piece.startNode);
      const camp = piece.endNode;
      if (piece.night === "camp" && camp - from.node > campReach && to.node - camp > campReach && camp < to.node) {
        const camps = 1 + CAMPS_PER_ZERO * piece.zeroDays;
        campHeat = (campHeat * dryCamps + heatFactor(input.conditions[k]!.eveningC) * camps) / (dryCamps + camps);
        dryCamps += camps;
        dry[k] = true;
      }
    }
    // The way between the water and the trail is walked on this water too, at the thirst of its cell.
    const perM = (cell: number): number => (drinkL[cell + 1]! - drinkL[cell]!) / profile.cellM;
    const approachL = from.offTrailM * perM(from.node);
    const walkingL = drinkL[to.node]! - drinkL[from.node]! + approachL + to.offTrailM * perM(to.node - 1);
    const need = carryLitres(needs.water, walkingL, dryCamps, campHeat);
    carries.push({
      legIndex: walk.parts[part]!.legIndex,
      fromNode: from.node,
      toNode: to.node,
      fromSourceId: from.sourceId,
      toSourceId: to.sourceId,
      isIce: from.isIce,
      distanceM: walkedOf(profile, to.node - from.node) + from.offTrailM + to.offTrailM,
      walkH,
      approachL,
      dryCamps,
      walkingL,
      campL: need.campL,
      campHeat,
      reserveL: need.reserveL,
      drunkL: need.drunkL,
      handL: need.handL,
      litres: need.litres,
      mostL: mostLitres(needs.body.bodyKg, walkH, dryCamps),
    });
  }
  return { carries, dry };
}

/** Stops and the sources this hiker trusts in the month of passage, in walking order, on the block. */
function waterPoints(input: ProvisionInput): WaterPoint[] {
  const { walk, needs, ground, block, sources } = input;
  const { halts } = ground;
  const lastNode = halts[block.endLeg]!.node;
  const points: WaterPoint[] = [];
  let halt = block.firstLeg;
  let part = 0;
  const takeHalts = (before: number): void => {
    while (halt <= block.endLeg && halts[halt]!.node <= before) points.push(tap(halts[halt++]!));
  };
  for (let s = firstAfter(sources, halts[block.firstLeg]!.node); s < sources.length; s++) {
    const source = sources[s]!;
    const { node } = source;
    if (node >= lastNode) break;
    takeHalts(node);
    while (part + 1 < walk.parts.length && walk.parts[part]!.endNode <= node) part++;
    if (points.at(-1)?.node === node) continue;
    if (trusted(source, needs.water, monthOfDay(walk.parts[part]!.day)))
      points.push({
        node,
        sourceId: source.id,
        offTrailM: source.offTrailM,
        isIce: isIce(source.kind, input.conditions[part]!.walking.highC),
      });
  }
  takeHalts(Infinity);
  return points;
}

const tap = (halt: Halt): WaterPoint => ({
  node: halt.node,
  sourceId: undefined,
  offTrailM: halt.footM,
  isIce: false,
});

/** Index of the first source beyond a node. */
function firstAfter(sources: readonly PlacedSource[], node: number): number {
  let low = 0;
  let high = sources.length;
  while (low < high) {
    const middle = (low + high) >> 1;
    if (sources[middle]!.node <= node) low = middle + 1;
    else high = middle;
  }
  return low;
}
