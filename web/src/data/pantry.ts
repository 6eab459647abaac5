/** The pantry that goes from trip to trip: what one starts with, as changed, and with what was added in earlier trips. */
import { readFoods, readMenus, startingFoods, startingMenus, type Food, type Menu } from "@gepack/core";
import { db } from "./db.ts";

export interface PantryHere {
  foods: Food[];
  menus: Menu[];
}

/** Of the same food, that of the trip changed last. Filled bags and the demo's are no pantry of your own. */
export async function pantryHere(): Promise<PantryHere> {
  const foods = new Map(startingFoods().map((food) => [food.id, food]));
  const menus = new Map(startingMenus().map((menu) => [menu.id, menu]));
  try {
    for (const { doc } of await db.plans.orderBy("id").sortBy("updatedAt")) {
      // Storage is read like a file.
      const { trip, foods: stored, menus: eaten } = doc as Partial<typeof doc>;
      if (trip?.fictional !== false) continue;
      for (const food of readFoods(stored)) foods.set(food.id, food);
      for (const menu of readMenus(eaten)) if (!menu.id.startsWith("filled-")) menus.set(menu.id, menu);
    }
  } catch {
    // A trip starts without what cannot be read.
  }
  return { foods: [...foods.values()], menus: [...menus.values()] };
}
