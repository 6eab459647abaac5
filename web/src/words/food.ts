/** Words of foods and menus. */
import type { Food, Limit, Meal, Supplier } from "@gepack/core";

export const MEAL_WORDS: Readonly<Record<Meal, string>> = {
  breakfast: "Breakfast",
  way: "Lunch and snacks",
  dinner: "Dinner",
  drinks: "Drinks",
};

export const EATEN_WORDS: Readonly<Record<Food["eaten"], string>> = {
  cold: "eaten as is",
  soaked: "cold-soaked",
  boiled: "with boiling water",
};

export const BOUGHT_WORDS: Readonly<Record<Food["boughtIn"], string>> = {
  "shop-small": "any shop",
  "shop-full": "a full shop",
  home: "only from home",
};

export const SUPPLIER_WORDS: Readonly<Record<Supplier, string>> = {
  smallShop: "a small shop",
  fullShop: "a full shop",
  posted: "a box",
  home: "home",
};

/** What holds a bag back. */
export const LIMIT_WORDS: Readonly<Record<Limit, string>> = {
  energy: "the energy",
  protein: "protein",
  sodium: "salt",
  breakfast: "enough for breakfast",
  way: "enough for lunch and snacks",
  dinner: "enough for dinner",
  fat: "the fat limit",
  volume: "bear canister space",
  price: "the cost",
  water: "cooking water",
  boils: "the number of boils",
  kinds: "variety",
  dinners: "kinds of dinner",
  portions: "portions of one food a day",
};

export const LEAST_WORDS = { mass: "Lightest", money: "Cheapest", cooking: "Least cooking" } as const;
