/** Everything one hiker uses up, for all legs: energy, food, water and fuel, from the days walked. */
import type { Hiker, Source } from "../plan/schema.ts";
import type { Profile } from "../track/profile.ts";
import { monthOfDay } from "../units/day.ts";
import type { Halt } from "../walk/halts.ts";
import type { Walk } from "../walk/walk.ts";
import type { PartConditions } from "../walk/conditions.ts";
import { dayEnergy, partWalkKcal, type DayEnergy } from "./energy.ts";
import { appetite, foodKg, partMeals, type PartMeals } from "./food.ts";
import { plannedBoilGrams } from "./fuel.ts";
import { CAMP_REACH_M, carryLitres, heatFactor, mostLitres, trusted, type Carry, type WaterPoint } from "./water.ts";

/** A source with its place in walking order. */
export interface PlacedSource {
  source: Source;
  node: number;
}

export interface PartSupply {
  meals: PartMeals;
  /** Eaten out of the bag, kilograms: before setting out, on the way, at camp. */
  breakfastKg: number;
  dayKg: number;
  dinnerKg: number;
  fuelKg: number;
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

export interface LegFuel {
  boils: number;
  gramsPerBoil: number;
  startKg: number;
}

export interface HikerSupply {
  energies: DayEnergy[];
  /** Parallel to the walk's parts. */
  parts: PartSupply[];
  food: LegFood[];
  fuel: LegFuel[];
  carries: Carry[];
}

export interface ProvisionInput {
  hiker: Hiker;
  profile: Profile;
  walk: Walk;
  halts: readonly Halt[];
  conditions: readonly PartConditions[];
  sources: readonly PlacedSource[];
  startDay: number;
  loadKg: Float64Array;
  /** Metres walked to each node, those in the heat counted more; see `heatMetres`. */
  heatM: Float64Array;
  wornKgByLeg: readonly number[];
}

export function provision(input: ProvisionInput): HikerSupply {
  const { walk, halts } = input;
  const legCount = halts.length - 1;
  const energies: DayEnergy[] = [];
  const parts: PartSupply[] = [];
  const food: LegFood[] = Array.from({ length: legCount }, () => ({
    needKcal: 0,
    menuKcal: 0,
    eatenKg: 0,
    reserveKg: 0,
    startKg: 0,
    mealDays: 0,
  }));
  const fuel: LegFuel[] = Array.from({ length: legCount }, () => ({ boils: 0, gramsPerBoil: 0, startKg: 0 }));

  let sleptAtStop = true;
  for (let first = 0; first < walk.parts.length;) {
    let end = first + 1;
    while (end < walk.parts.length && walk.parts[end]!.day === walk.parts[first]!.day) end++;
    sleptAtStop = provisionDay(input, first, end, sleptAtStop, energies, parts, food, fuel);
    first = end;
  }
  for (const [leg, need] of food.entries()) {
    need.reserveKg = need.eatenKg * input.hiker.food.reserveFraction;
    need.startKg = need.eatenKg + need.reserveKg;
    const burn = fuel[leg]!;
    burn.gramsPerBoil = burn.boils > 0 ? (burn.startKg * 1000) / burn.boils : 0;
  }
  return { energies, parts, food, fuel, carries: waterCarries(input, parts) };
}

/** One calendar day, of one part or of several when a stop is passed through. Answers whether the night is at a stop. */
function provisionDay(
  input: ProvisionInput,
  first: number,
  end: number,
  sleptAtStop: boolean,
  energies: DayEnergy[],
  supplies: PartSupply[],
  food: LegFood[],
  fuel: LegFuel[],
): boolean {
  const { hiker, profile, walk, conditions } = input;
  let walkH = 0;
  let walkKcal = 0;
  for (let p = first; p < end; p++) {
    const part = walk.parts[p]!;
    walkH += part.walkH;
    walkKcal += partWalkKcal(hiker, profile, walk, part, input.loadKg, input.wornKgByLeg[part.legIndex]!);
  }
  const firstPart = walk.parts[first]!;
  const energy = dayEnergy(hiker, firstPart.day, firstPart.legIndex, walkH, walkKcal, conditions[end - 1]!.meanC);
  energies.push(energy);

  const menuFactor = appetite(hiker, firstPart.day - input.startDay) * (1 - hiker.food.shortfallFraction);
  for (let p = first; p < end; p++) {
    const part = walk.parts[p]!;
    const meals = partMeals(part, p === first, sleptAtStop);
    const kilograms = (share: number): number => foodKg(hiker, energy.totalKcal * share * menuFactor);
    const share = meals.breakfastShare + meals.dayShare + meals.dinnerShare;
    const legFood = food[part.legIndex]!;
    legFood.needKcal += energy.totalKcal * share;
    legFood.menuKcal += energy.totalKcal * share * menuFactor;
    legFood.eatenKg += kilograms(share);
    legFood.mealDays += share;

    const boils =
      hiker.stove.fuel === "none"
        ? 0
        : (hiker.stove.boilsPerDay / 2) * (Number(meals.breakfastShare > 0) + Number(meals.dinnerShare > 0));
    const fuelKg = (boils * plannedBoilGrams(hiker, profile.heightM[part.endNode]!)) / 1000;
    const legFuel = fuel[part.legIndex]!;
    legFuel.boils += boils;
    legFuel.startKg += fuelKg;
    supplies.push({
      meals,
      fuelKg,
      dry: false,
      breakfastKg: kilograms(meals.breakfastShare),
      dayKg: kilograms(meals.dayShare),
      dinnerKg: kilograms(meals.dinnerShare),
    });
  }
  return walk.parts[end - 1]!.night === "stop";
}

function waterCarries(input: ProvisionInput, supplies: PartSupply[]): Carry[] {
  const { hiker, profile, walk, halts } = input;
  const { heatM } = input;
  const perHeatM = hiker.water.ratePerKmL / 1000;
  const carries: Carry[] = [];
  const points = waterPoints(input);
  const campReach = Math.round(CAMP_REACH_M / profile.cellM);
  let part = 0;
  for (let i = 0; i + 1 < points.length; i++) {
    const from = points[i]!;
    const to = points[i + 1]!;
    if (to.node === from.node) continue;
    while (walk.parts[part]!.endNode <= from.node) part++;
    const legIndex = walk.parts[part]!.legIndex;
    let dryCamps = 0;
    let walkH = 0;
    let hottestC = -Infinity;
    for (let k = part; k < walk.parts.length && walk.parts[k]!.startNode < to.node; k++) {
      const piece = walk.parts[k]!;
      const within = Math.min(piece.endNode, to.node) - Math.max(piece.startNode, from.node);
      walkH += (piece.walkH * within) / Math.max(1, piece.endNode - piece.startNode);
      const conditions = input.conditions[k]!;
      hottestC = Math.max(hottestC, conditions.walking.highC);
      const camp = piece.endNode;
      if (piece.night === "camp" && camp - from.node > campReach && to.node - camp > campReach && camp < to.node) {
        dryCamps++;
        supplies[k]!.dry = true;
      }
    }
    // The way between a stop and the trail is walked on town water too.
    const perM = perHeatM * heatFactor(hottestC);
    const leavingM = onFootM(halts[legIndex]!, from.node);
    const arrivingM = onFootM(halts[legIndex + 1]!, to.node);
    const approachL = leavingM * perM;
    const walkingL = (heatM[to.node]! - heatM[from.node]!) * perHeatM + approachL + arrivingM * perM;
    const need = carryLitres(hiker, walkingL, dryCamps);
    carries.push({
      legIndex,
      fromNode: from.node,
      toNode: to.node,
      fromSourceId: from.sourceId,
      toSourceId: to.sourceId,
      distanceM: (to.node - from.node) * profile.cellM + leavingM + arrivingM,
      hottestC,
      approachL,
      dryCamps,
      ...need,
      mostL: mostLitres(hiker, walkH, dryCamps),
    });
  }
  return carries;
}

/** Metres walked between the trail and a stop, when the point is that stop. */
function onFootM(halt: Halt, node: number): number {
  return halt.node === node && !halt.byRide ? halt.offTrailM : 0;
}

/** Stops and the sources this hiker trusts in the month of passage, in walking order. */
function waterPoints(input: ProvisionInput): WaterPoint[] {
  const { walk, halts, hiker } = input;
  const points: WaterPoint[] = [];
  let halt = 0;
  let part = 0;
  const takeHalts = (before: number): void => {
    while (halt < halts.length && halts[halt]!.node <= before)
      points.push({ node: halts[halt++]!.node, sourceId: undefined });
  };
  for (const { source, node } of input.sources) {
    takeHalts(node);
    while (part + 1 < walk.parts.length && walk.parts[part]!.endNode <= node) part++;
    if (points.at(-1)?.node === node) continue;
    if (trusted(source, hiker, monthOfDay(walk.parts[part]!.day))) points.push({ node, sourceId: source.id });
  }
  takeHalts(Infinity);
  return points;
}
