/** Foods and menus out of something stored: those that are whole, with their defaults. */
import { menuSchema, pantryFoodSchema, type Food, type Menu } from "../plan/pantrySchema.ts";
import { withRowIds } from "../plan/rowIds.ts";

export function readFoods(stored: unknown): Food[] {
  return rowsOf(withRowIds({ foods: stored })["foods"]).flatMap((row) => pantryFoodSchema.safeParse(row).data ?? []);
}

export function readMenus(stored: unknown): Menu[] {
  return rowsOf(withRowIds({ menus: stored })["menus"]).flatMap((row) => menuSchema.safeParse(row).data ?? []);
}

const rowsOf = (stored: unknown): unknown[] => (Array.isArray(stored) ? stored : []);
