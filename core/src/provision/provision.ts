/** Everything one hiker uses up on a block of legs: energy, food, water and fuel, from the days walked. */
import { NO_FOOD, plusFood } from "../food/figures.ts";
import { DAY_MEALS, dayMenu, menuOn, type DayMenu, type MenuDay } from "../food/menu.ts";
import type { MassState } from "../models/bodyMass.ts";
import { FORBIDDEN_BY_BANS } from "../models/fuel.ts";
import type { FoodSettings } from "../plan/schema.ts";
import { dayOfYear } from "../units/day.ts";
import { isBanned } from "../walk/camps.ts";
import type { DayPart } from "../walk/walk.ts";
import { CAMPS_PER_ZERO, dryCampsAhead, waterCarries } from "./carries.ts";
import { dayEnergy, partWalkKcal } from "./energy.ts";
import { appetite, foodKg, MEAL_SHARES, partMeals, type PartMeals, type PartOfDay } from "./food.ts";
import {
  boilGrams,
  burntG,
  containerOf,
  cooked,
  legFuel,
  burntTogether,
  meltGramsPerL,
  simmerGrams,
  type Burnt,
  type FuelLeft,
} from "./fuel.ts";
import { forLater } from "./ahead.ts";
import { restingKcalPerDay } from "./needs.ts";
import type { CookedFor, HikerSupply, LegFood, PartMenu, ProvisionInput } from "./supply.ts";
import { drunkLitres, type Carry } from "./water.ts";
import { onlyIceAt } from "./waterPoints.ts";

/** Nobody boils less at once. */
const LEAST_BOIL_L = 0.1;

/** Grain of the state, see `SupplyState`: ten grams of body, a gram of fuel, a kilocalorie. */
const GRAIN = { massKg: 0.01, fuelG: 1, energyKcal: 1 } as const;
const grained = (value: number, grain: number): number => Math.round(value / grain) * grain;

export function provision(input: ProvisionInput): HikerSupply {
  const { walk, block, needs, before, ground } = input;
  const legCount = block.endLeg - block.firstLeg;
  const supply: Omit<HikerSupply, "carries" | "detours" | "wanted" | "drinkL" | "after" | "cookedFor"> = {
    energies: [],
    parts: [],
    food: Array.from({ length: legCount }, () => ({
      needKcal: 0,
      wantedKcal: 0,
      menuKcal: 0,
      eatenKg: 0,
      reserveKg: 0,
      forLaterKg: 0,
      startKg: 0,
      mealDays: 0,
      densityFactor: 1,
      bulkKgPerL: needs.food.bulkKgPerL,
      proteinG: needs.menus && 0,
    })),
    fuel: [],
    body: [],
  };
  const tally = new Tally(input, supply, { bodyKg: before.bodyKg, fatKg: before.fatKg });
  // A block starts where its stop's night was, or at home.
  let breakfastInTown = block.firstLeg === 0 || ground.halts[block.firstLeg]!.feeds;
  for (let first = 0; first < walk.parts.length;) {
    let end = first + 1;
    while (end < walk.parts.length && walk.parts[end]!.day === walk.parts[first]!.day) end++;
    breakfastInTown = tally.day(first, end, breakfastInTown);
    first = end;
  }
  const leaves = ground.halts.slice(block.firstLeg, block.endLeg);
  packFood(
    supply.food,
    needs.food,
    leaves.map(({ sellsFood }) => sellsFood),
  );
  const { slope, loadKg } = input;
  const drinkL = drunkLitres({ ground, needs, slope, walk, loadKg, bodyKg: before.bodyKg, into: input.drinkL });
  const water = waterCarries(input, drinkL);
  for (const [p, camp] of water.camps.entries()) Object.assign(supply.parts[p]!, camp);
  for (const [p, { startNode, endNode }] of walk.parts.entries())
    supply.parts[p]!.walkL = drinkL[endNode]! - drinkL[startNode]!;
  tally.melt(water.carries);
  const cookedFor = needs.cooksOn === undefined ? undefined : tally.handOn();
  for (const other of input.cooksFor) tally.cookFor(other);
  let left: FuelLeft = { fuelG: before.openFuelG, cans: before.cans };
  const container = containerOf(needs.schools.fuel, needs.stove);
  const sold = leaves.map(({ sellsFuel }, leg) => sellsFuel || (leg === 0 && block.firstLeg === 0));
  const laterG = forLater(tally.burnt.map(burntG), sold);
  for (let leg = 0; leg < legCount; leg++) {
    const burn = legFuel(container, tally.burnt[leg]!, left, { laterG: laterG[leg]!, sold: sold[leg]! });
    supply.fuel.push(burn);
    left = { fuelG: burn.endG, cans: burn.endCans };
  }
  const { energies, parts, food, fuel, body } = supply;
  return {
    energies,
    parts,
    food,
    fuel,
    body,
    carries: water.carries,
    detours: water.detours,
    wanted: water.wanted,
    drinkL,
    cookedFor,
    after: {
      bodyKg: grained(tally.mass.bodyKg, GRAIN.massKg),
      fatKg: grained(tally.mass.fatKg, GRAIN.massKg),
      openFuelG: grained(left.fuelG, GRAIN.fuelG),
      cans: left.cans,
      deficitKcal: grained(before.deficitKcal + tally.deficitKcal, GRAIN.energyKcal),
    },
  };
}

/** One reserve for all legs that live out of the same bag. */
function packFood(legs: LegFood[], settings: FoodSettings, sold: readonly boolean[]): void {
  const eatenLater = forLater(
    legs.map(({ eatenKg }) => eatenKg),
    sold,
  );
  const daysLater = forLater(
    legs.map(({ mealDays }) => mealDays),
    sold,
  );
  let reserveKg = 0;
  for (const [i, leg] of legs.entries()) {
    const eatenKg = leg.eatenKg + eatenLater[i]!;
    const mealDays = leg.mealDays + daysLater[i]!;
    const dayKg = mealDays > 0 ? eatenKg / Math.max(1, mealDays) : 0;
    if (i === 0 || sold[i]) reserveKg = Math.max(eatenKg * settings.reserveFraction, dayKg * settings.reserveDays);
    leg.reserveKg = reserveKg;
    leg.forLaterKg = eatenLater[i]!;
    leg.startKg = eatenKg + reserveKg;
  }
}

/** Adds up a hiker's days, one after the other: the body that walks them changes along the trail. */
class Tally {
  /** By leg of the block. */
  readonly burnt: Burnt[];
  /** Litres eaten, by leg of the block, where menus tell them. */
  private readonly eatenL: number[];
  /** By part of the walk; undefined where nobody asks. */
  private readonly dryCamps: readonly boolean[] | undefined;
  deficitKcal = 0;

  constructor(
    private readonly input: ProvisionInput,
    private readonly supply: Pick<HikerSupply, "energies" | "parts" | "food" | "body">,
    public mass: MassState,
  ) {
    this.burnt = supply.food.map(() => cooked(0, 0));
    this.eatenL = supply.food.map(() => 0);
    if (input.needs.menus?.dryCamp) this.dryCamps = dryCampsAhead(input);
    const { halts } = input.ground;
    let from = input.block.firstLeg;
    for (const [leg, food] of supply.food.entries()) {
      if (halts[input.block.firstLeg + leg]!.sellsFood) from = input.block.firstLeg + leg;
      food.densityFactor = halts[from]!.foodDensity;
    }
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
    const wanted = appetite(food, day - ground.startDay) * (1 - food.shortfallFraction);
    const menu =
      needs.menus && dayMenu(menuOn(needs.menus, this.menuDay(first, end, meanC)), energy.totalKcal * wanted);
    const menuFactor = menu ? menu.energyKcal / energy.totalKcal : wanted;
    const shares = menu?.shares ?? MEAL_SHARES;
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
      const at = { firstOfDay: p === first, breakfastInTown, dinnerInTown, walkedBeforeH, dayWalkH: walkH, shares };
      const eats = { dayKcal: energy.totalKcal, wanted, menuFactor, menu, zeros, zerosKcal: restDayKcal };
      share += this.part(walk.parts[p]!, at, eats);
      walkedBeforeH += walk.parts[p]!.walkH;
    }
    // Of what is eaten out of the bag, so much is missing; in town nobody goes short.
    const missingKcal = (energy.totalKcal * share + restNeedKcal) * (1 - menuFactor);
    const madeUpKcal = this.madeUpInTown(walk.parts[end - 1]!, missingKcal);
    this.deficitKcal += missingKcal - madeUpKcal;
    this.mass = schools.bodyMass.step(this.mass, madeUpKcal - missingKcal);
    return this.feedsAfter(walk.parts[end - 1]!);
  }

  private menuDay(first: number, end: number, meanC: number): MenuDay {
    const { needs, ground, walk } = this.input;
    const { day, legIndex, startNode } = walk.parts[first]!;
    const forbidden = FORBIDDEN_BY_BANS.includes(needs.stove.fuel);
    return {
      fromStopId: ground.halts[legIndex]!.stopId,
      day,
      meanC,
      noFlame: forbidden && isBanned(ground.camps, startNode, walk.parts[end - 1]!.endNode, dayOfYear(day)),
      dryCamp: this.dryCamps?.[end - 1] ?? false,
    };
  }

  /** Eaten beyond the need in town after a part, until nothing is missing; what is eaten after the finish is nobody's business. */
  private madeUpInTown(part: DayPart, missingKcal: number): number {
    const { needs, before, ground } = this.input;
    const finished = part.night === "stop" && part.legIndex + 2 === ground.halts.length;
    if (finished || !this.feedsAfter(part)) return 0;
    const deficitKcal = before.deficitKcal + this.deficitKcal + missingKcal;
    return Math.max(0, Math.min(deficitKcal, needs.food.townExtraKcal * (1 + part.zeroDays)));
  }

  /** Is the night after a part spent where meals are available? */
  private feedsAfter({ night, legIndex, endNode }: DayPart): boolean {
    const { halts, camps } = this.input.ground;
    if (night === "bed") return camps.beds.get(endNode)?.feeds ?? false;
    return night === "stop" && halts[legIndex + 1]!.feeds;
  }

  /** What is drunk of snow or ice is melted, all of it, and once: what is left over is not. No stove burns nothing. */
  melt(carries: readonly Carry[]): void {
    const { needs, ground, walk, block } = this.input;
    if (needs.stove.fuel === "none") return;
    let p = 0;
    for (const { isIce, fromNode, walkingL, campL, legIndex } of carries) {
      if (!isIce) continue;
      while (p + 1 < walk.parts.length && walk.parts[p]!.endNode <= fromNode) p++;
      const meltedL = walkingL + campL;
      const grams = meltedL * meltGramsPerL(needs.schools.fuel, needs.stove, ground.profile.heightM[fromNode]!);
      const burnt = this.burnt[legIndex - block.firstLeg]!;
      burnt.meltL += meltedL;
      burnt.meltG += grams;
      const part = this.supply.parts[p]!;
      part.fuelKg += grams / 1000;
      part.meltedL += meltedL;
    }
  }

  /** What is cooked on another's stove leaves this hiker's bag. */
  handOn(): CookedFor {
    const { parts } = this.supply;
    const handed = {
      burnt: [...this.burnt],
      fuelKg: parts.map(({ fuelKg }) => fuelKg),
      meltedL: parts.map(({ meltedL }) => meltedL),
    };
    for (const part of parts) Object.assign(part, { fuelKg: 0, meltedL: 0 });
    this.burnt.fill(cooked(0, 0));
    return handed;
  }

  cookFor({ burnt, fuelKg, meltedL }: CookedFor): void {
    for (const [leg, own] of this.burnt.entries()) this.burnt[leg] = burntTogether(own, burnt[leg]!);
    for (const [p, part] of this.supply.parts.entries()) {
      part.fuelKg += fuelKg[p]!;
      part.meltedL += meltedL[p]!;
    }
  }

  /** Answers the share of the day's meals that came out of the bag. */
  private part(part: DayPart, at: PartOfDay, { dayKcal, wanted, menuFactor, menu, zeros, zerosKcal }: Eats): number {
    const { needs, block } = this.input;
    const leg = part.legIndex - block.firstLeg;
    const meals = partMeals(part, at);
    const legFood = this.supply.food[leg]!;
    const share = meals.breakfastFraction + meals.dayFraction + meals.dinnerFraction;
    const needKcal = dayKcal * share + zerosKcal;
    legFood.needKcal += needKcal;
    legFood.wantedKcal += needKcal * wanted;
    legFood.menuKcal += needKcal * menuFactor;
    legFood.mealDays += share + zeros;
    const partMenu = menu && menuOfPart(menu, meals, (zerosKcal * menuFactor) / menu.energyKcal);
    const eaten =
      menu && partMenu
        ? this.byMenu(leg, menu, partMenu)
        : {
            breakfastKg: foodKg(needs.food, dayKcal * meals.breakfastFraction * menuFactor),
            dayKg: foodKg(needs.food, dayKcal * meals.dayFraction * menuFactor),
            dinnerKg: foodKg(needs.food, (dayKcal * meals.dinnerFraction + zerosKcal) * menuFactor),
          };
    const breakfastKg = eaten.breakfastKg / legFood.densityFactor;
    const dayKg = eaten.dayKg / legFood.densityFactor;
    const dinnerKg = eaten.dinnerKg / legFood.densityFactor;
    legFood.eatenKg += breakfastKg + dayKg + dinnerKg;
    const { fuelKg, meltedL } = this.cook(part, meals, zeros, menu && partMenu ? boiledL(menu, partMenu) : undefined);
    this.supply.parts.push({
      meals,
      menu: partMenu,
      fuelKg,
      meltedL,
      campL: 0,
      walkL: 0,
      dry: false,
      breakfastKg,
      dayKg,
      dinnerKg,
    });
    return share;
  }

  /** Kilograms by meal out of a menu, before what the shop makes of them; its litres and protein are added up. */
  private byMenu(
    leg: number,
    { meals }: DayMenu,
    taken: PartMenu,
  ): Record<"breakfastKg" | "dayKg" | "dinnerKg", number> {
    const legFood = this.supply.food[leg]!;
    const all = DAY_MEALS.reduce((sum, meal) => plusFood(sum, meals[meal], taken[meal] + taken.restDays), NO_FOOD);
    this.eatenL[leg]! += all.volumeL;
    legFood.proteinG = (legFood.proteinG ?? 0) + all.proteinG;
    const beforeKg = legFood.eatenKg * legFood.densityFactor;
    const litres = this.eatenL[leg]!;
    if (litres > 0) legFood.bulkKgPerL = (beforeKg + all.massG / 1000) / litres;
    const restG = DAY_MEALS.reduce((sum, meal) => sum + meals[meal].massG, 0) * taken.restDays;
    return {
      breakfastKg: (meals.breakfast.massG * taken.breakfast) / 1000,
      dayKg: (meals.way.massG * taken.way) / 1000,
      dinnerKg: (meals.dinner.massG * taken.dinner + restG) / 1000,
    };
  }

  /** What a part burns, so many boils a dinner and breakfast or what the menu boils, and melts beside it. */
  private cook(
    part: DayPart,
    meals: PartMeals,
    zeros: number,
    litres: number | undefined,
  ): { fuelKg: number; meltedL: number } {
    const { needs, ground, block } = this.input;
    const { schools, stove } = needs;
    const halfDays = Number(meals.breakfastFraction > 0) + Number(meals.dinnerFraction > 0) + 2 * zeros;
    const wanted =
      litres === undefined ? (stove.boilsPerDay / 2) * halfDays : litres / Math.max(stove.boilL, LEAST_BOIL_L);
    const boils = stove.fuel === "none" ? 0 : wanted;
    const heightM = ground.profile.heightM[part.endNode]!;
    const onIce = stove.fuel !== "none" && part.night === "camp" && onlyIceAt(this.input, part);
    const fuelG = boils === 0 ? 0 : boils * boilGrams(schools.fuel, stove, heightM, onIce);
    const simmerG = boils === 0 ? 0 : simmerGrams(schools.fuel, stove, halfDays);
    const burnt = this.burnt[part.legIndex - block.firstLeg]!;
    burnt.halfDays += halfDays;
    burnt.boils += boils;
    burnt.boilG += fuelG;
    burnt.simmerG += simmerG;
    if (!onIce) return { fuelKg: (fuelG + simmerG) / 1000, meltedL: 0 };
    // What the camp drinks beside what is boiled comes out of the pot as well.
    const { dinnerL, nightL, breakfastL } = needs.water;
    const campL = (dinnerL + nightL + breakfastL) * (1 + CAMPS_PER_ZERO * zeros);
    const meltedL = Math.max(0, campL - boils * stove.boilL);
    const meltG = meltedL * meltGramsPerL(schools.fuel, stove, heightM);
    burnt.meltL += meltedL;
    burnt.meltG += meltG;
    return { fuelKg: (fuelG + simmerG + meltG) / 1000, meltedL };
  }
}

/** What a part of a day eats of the day's need. */
interface Eats {
  dayKcal: number;
  /** Of the need, what is to be eaten. */
  wanted: number;
  /** Of the need, what is eaten. */
  menuFactor: number;
  menu: DayMenu | undefined;
  zeros: number;
  /** Need of the rest days after it. */
  zerosKcal: number;
}

/** `restDays` in days of the same menu. */
function menuOfPart({ menuId, scale, shares }: DayMenu, meals: PartMeals, restDays: number): PartMenu {
  const of = (fraction: number, share: number): number => (share > 0 ? fraction / share : 0);
  return {
    menuId,
    scale,
    breakfast: of(meals.breakfastFraction, shares.breakfast),
    way: of(meals.dayFraction, shares.way),
    dinner: of(meals.dinnerFraction, shares.dinner),
    restDays,
  };
}

function boiledL({ meals }: DayMenu, taken: PartMenu): number {
  return DAY_MEALS.reduce((sum, meal) => sum + meals[meal].boiledL * (taken[meal] + taken.restDays), 0);
}
