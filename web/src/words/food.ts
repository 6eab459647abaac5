/** Words of foods and menus. */
import type { Food, FoodColumn, Limit, Meal, Supplier } from "@gepack/core";

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

/** What a column of a table of foods may hold. */
export const FOOD_COLUMN_WORDS: Readonly<Record<FoodColumn, string>> = {
  name: "name",
  kcal: "energy, kcal",
  kJ: "energy, kJ",
  total: "energy of all together, kcal",
  quantity: "quantity",
  protein: "protein",
  fat: "fat",
  carbohydrate: "carbohydrate",
  fibre: "fibre",
  sodium: "sodium",
  salt: "salt",
  serving: "serving, g",
  pack: "pack, g",
  price: "price",
  tags: "tags",
  bulk: "bulk, kg/L",
  water: "cooking water",
  minutes: "minutes of boiling",
  eaten: "eaten cold or boiled",
  soak: "hours of soaking",
  keeps: "days it keeps",
  melts: "melts from",
  meal: "meal",
  where: "sold in",
  source: "source",
};
