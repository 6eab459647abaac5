/**
 * What is in a hiker's food bag on leaving a stop, food by food: eaten on the leg, eaten on the legs after it where
 * no food comes before them, and the reserve; and where it comes from. Its grams are the plan's own.
 */
import { buildPantry, NO_FOOD, plusFood, type FoodFigures, type Pantry } from "../food/figures.ts";
import { dayMealOf, growsWithNeed } from "../food/menu.ts";
import { partsOfMixes, soldAt, type Supplier } from "../food/mixes.ts";
import { MEALS } from "../plan/ids.ts";
import type { Food, MenuItem, Plan } from "../plan/schema.ts";
import type { PartMenu } from "../provision/supply.ts";
import type { DayResult, LegHiker, TripFigures } from "../result/result.ts";
import { supplierOf } from "../walk/halts.ts";

type PlannedLegs = Pick<TripFigures, "legs" | "days">;

export interface BagItem {
  food: Food;
  /** In the bag on leaving. */
  massG: number;
  /** Of that, in the bag already on arriving: the reserve of the leg before. */
  leftG: number;
  /** Of the rest, sold at the stop, or out of the box; and neither. */
  boughtG: number;
  boxG: number;
  nowhereG: number;
  figures: FoodFigures;
}

export interface LegBag {
  legIndex: number;
  fromStopId: string;
  supplier: Supplier;
  /** Heaviest first. */
  items: BagItem[];
  figures: FoodFigures;
  /** What of it is for the leg's own days. */
  eaten: FoodFigures;
  mealDays: number;
}

/** Grams of every food; foods without any are left out. */
type Grams = Map<string, number>;

/** The menu's items that a part of a day takes, with their grams. */
function itemsOf(plan: Plan, taken: PartMenu, pantry: Pantry, times = 1): Grams {
  const grams: Grams = new Map();
  const menu = plan.menus.find(({ id }) => id === taken.menuId);
  if (!menu) return grams;
  for (const meal of MEALS)
    for (const item of menu.meals[meal]) {
      const massG = item.massG * scaleOf(item, taken, pantry) * (taken[dayMealOf(meal)] + taken.restDays) * times;
      if (massG > 0) add(grams, item.foodId, massG);
    }
  return grams;
}

function scaleOf({ foodId, grows }: MenuItem, { scale }: PartMenu, pantry: Pantry): number {
  const food = pantry.get(foodId);
  if (!food) return 0;
  return growsWithNeed(grows, food) ? scale : 1;
}

function add(grams: Grams, foodId: string, massG: number): void {
  grams.set(foodId, (grams.get(foodId) ?? 0) + massG);
}

function eatenGrams(plan: Plan, days: readonly DayResult[], who: number, row: LegHiker, pantry: Pantry): Grams {
  const grams: Grams = new Map();
  for (const { menus } of days) {
    const taken = menus[who];
    if (!taken) continue;
    for (const [id, massG] of itemsOf(plan, taken, pantry, 1 / row.food.densityFactor)) add(grams, id, massG);
  }
  return grams;
}

/** The bags of all legs of a hiker; none where no menu says what is in them. */
export function legBags(plan: Plan, { legs, days }: PlannedLegs, who: number, pantry: Pantry): LegBag[] {
  const foods = new Map(plan.foods.map((food) => [food.id, food]));
  const byLeg = legs.map((): DayResult[] => []);
  for (const day of days) byLeg[day.legIndex]!.push(day);
  const eaten = legs.map((leg) => eatenGrams(plan, byLeg[leg.index]!, who, leg.hikers[who]!, pantry));
  let reserve: Grams = new Map();
  const shelves = new Map<Supplier, ReadonlySet<string>>();
  const onShelf = (supplier: Supplier): ReadonlySet<string> => {
    let shelf = shelves.get(supplier);
    if (!shelf) shelves.set(supplier, (shelf = soldAt(plan.foods, supplier)));
    return shelf;
  };
  return legs.flatMap((leg, index): LegBag[] => {
    if (eaten[index]!.size === 0) return [];
    const { food } = leg.hikers[who]!;
    const wanted: Grams = new Map(eaten[index]);
    for (let later = index + 1; later < legs.length && !legs[later]!.foodSold; later++)
      for (const [id, massG] of eaten[later]!) add(wanted, id, massG);
    // The reserve is of what the bag holds.
    const share = food.reserveKg / Math.max(1e-9, food.startKg - food.reserveKg);
    const left = reserve;
    reserve = new Map([...wanted].map(([id, massG]) => [id, massG * share]));
    const supplier = supplierAt(plan, leg.fromStopId);
    const items = [...wanted].flatMap(([id, massG]): BagItem[] => {
      const row = foods.get(id);
      if (!row) return [];
      const inBagG = massG * (1 + share);
      const leftG = leg.foodSold ? Math.min(inBagG, left.get(id) ?? 0) : inBagG;
      const freshG = inBagG - leftG;
      const fresh = (here: boolean): number => (here ? freshG : 0);
      const posted = supplier === "posted" || supplier === "home";
      const sold = !posted && onShelf(supplier).has(id);
      return [
        {
          food: row,
          massG: inBagG,
          leftG,
          boughtG: fresh(sold),
          boxG: fresh(posted),
          nowhereG: fresh(!posted && !sold),
          figures: plusFood(NO_FOOD, pantry.get(id)!, inBagG),
        },
      ];
    });
    items.sort((a, b) => b.massG - a.massG);
    return [
      {
        legIndex: index,
        fromStopId: leg.fromStopId,
        supplier,
        items,
        figures: items.reduce((sum, { figures }) => plusFood(sum, figures), NO_FOOD),
        eaten: [...eaten[index]!].reduce(
          (sum, [id, massG]) => plusFood(sum, pantry.get(id) ?? NO_FOOD, massG),
          NO_FOOD,
        ),
        mealDays: food.mealDays,
      },
    ];
  });
}

/** What is bought at home may come from anywhere. */
export function supplierAt(plan: Pick<Plan, "stops">, stopId: string): Supplier {
  const stop = plan.stops.find(({ id }) => id === stopId);
  return stop ? supplierOf(stop) : "home";
}

export interface ShoppingItem {
  food: Food;
  massG: number;
  /** Whole packs of the shop's; undefined where it is sold by weight. */
  packs: number | undefined;
  price: number;
}

export interface ShoppingList {
  stopId: string;
  legIndex: number;
  /** Made of what is bought there. */
  mixes: { id: string; massG: number }[];
  bought: ShoppingItem[];
  box: ShoppingItem[];
  nowhere: ShoppingItem[];
}

/** For all hikers together: what is bought where each leg starts, mixes by their parts, and what the box there brings. */
export function shoppingLists(bags: readonly (readonly LegBag[])[], foods: readonly Food[]): ShoppingList[] {
  const known = new Map(foods.map((food) => [food.id, food]));
  const boughtAs = partsOfMixes(foods);
  const byLeg = new Map<number, LegBag[]>();
  for (const bag of bags.flat()) byLeg.set(bag.legIndex, [...(byLeg.get(bag.legIndex) ?? []), bag]);
  return [...byLeg.values()]
    .sort((a, b) => a[0]!.legIndex - b[0]!.legIndex)
    .map((all) => {
      const grams = (from: "boughtG" | "boxG" | "nowhereG"): Grams => {
        const sums: Grams = new Map();
        for (const { items } of all) for (const item of items) if (item[from] > 0) add(sums, item.food.id, item[from]);
        return sums;
      };
      const bought: Grams = new Map();
      for (const [id, massG] of grams("boughtG"))
        for (const [partId, share] of boughtAs.get(id)!) add(bought, partId, massG * share);
      return {
        stopId: all[0]!.fromStopId,
        legIndex: all[0]!.legIndex,
        mixes: [...grams("boughtG")].flatMap(([id, massG]) => (known.get(id)!.parts.length > 0 ? [{ id, massG }] : [])),
        bought: listed(bought, known),
        box: listed(grams("boxG"), known),
        nowhere: listed(grams("nowhereG"), known),
      };
    });
}

function listed(grams: Grams, foods: ReadonlyMap<string, Food>): ShoppingItem[] {
  const pantry = buildPantry([...foods.values()]);
  const items = [...grams].flatMap(([id, massG]): ShoppingItem[] => {
    const food = foods.get(id);
    if (!food) return [];
    const packs = food.packG === undefined ? undefined : Math.ceil(massG / food.packG - 1e-9);
    return [{ food, massG, packs, price: massG * pantry.get(id)!.price }];
  });
  return items.sort((a, b) => b.massG - a.massG);
}
