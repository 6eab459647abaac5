/** Words of foods and menus. */
import type { Food, Limit, Meal, Supplier } from "@gepack/core";

export const MEAL_WORDS: Readonly<Record<Meal, string>> = {
  breakfast: "Breakfast",
  way: "On the way",
  dinner: "Dinner",
  drinks: "Drinks",
};

export const EATEN_WORDS: Readonly<Record<Food["eaten"], string>> = {
  cold: "as it is",
  soaked: "soaked cold",
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
  way: "enough to eat on the way",
  dinner: "enough for dinner",
  fat: "the share of fat",
  volume: "what the canister holds",
  price: "the money",
  water: "cooking water",
  boils: "what is boiled",
  kinds: "the number of kinds",
  portions: "how much of one food in a day",
};

export const LEAST_WORDS = { mass: "Least mass", money: "Least money", cooking: "Least cooking" } as const;
