/** Edits of foods, menus, and of who eats which menu when. */
import {
  menuOfBag,
  pantryFoodOf,
  startingFoods,
  startingMenus,
  type Filled,
  type Food,
  type Hiker,
  type Meal,
  type Menu,
  type MenuItem,
  type Plan,
} from "@gepack/core";
import { edit } from "../store/document.ts";
import { firstName } from "../words/names.ts";
import { addRow, editRow } from "./rows.ts";
import { freshId, type Made } from "../store/made.ts";

/** The pantry and the menus one starts with, for a plan that has none; everybody eats the one that their stove allows. */
export function beginPantry(): void {
  void edit("Food: starter pantry", (draft) => {
    const plan = draft as Plan;
    plan.foods.push(...startingFoods().filter(({ id }) => !plan.foods.some((food) => food.id === id)));
    plan.menus.push(...startingMenus().filter(({ id }) => !plan.menus.some((menu) => menu.id === id)));
    for (const hiker of plan.hikers)
      hiker.menus.defaultId ??= hiker.stove.fuel === "none" ? "menu-soaked" : "menu-cooked";
  });
}

export function addFood(name: string): string {
  const food = pantryFoodOf({ id: `food-${freshId()}`, name, source: "own" });
  void addRow("foods", `Food: add ${name}`, food);
  return food.id;
}

export function editFood(
  { id, name }: Pick<Food, "id" | "name">,
  label: string,
  recipe: (food: Food, made: Made) => void,
): void {
  void editRow("foods", id, `${name}: ${label}`, recipe);
}

export function editMenu(
  { id, name }: Pick<Menu, "id" | "name">,
  label: string,
  recipe: (menu: Menu, made: Made) => void,
): void {
  void editRow("menus", id, `${name}: ${label}`, recipe);
}

export function addItem(menu: Menu, meal: Meal, food: Food): void {
  editMenu(menu, `add ${food.name}`, ({ meals }, { newId }) => {
    const there = meals[meal].find(({ foodId }) => foodId === food.id);
    if (there) there.massG += food.portionG;
    else meals[meal].push({ id: newId(), foodId: food.id, massG: food.portionG, grows: true });
  });
}

export function changeItem(
  menu: Menu,
  meal: Meal,
  itemId: string,
  label: string,
  recipe: (item: MenuItem) => void,
): void {
  editMenu(menu, label, ({ meals }) => {
    const item = meals[meal].find(({ id }) => id === itemId);
    if (item) recipe(item);
  });
}

/** To another meal of the day; what is there already grows by it. */
export function moveItem(menu: Menu, from: Meal, to: Meal, itemId: string, foodName: string): void {
  if (from === to) return;
  editMenu(menu, `move ${foodName}`, ({ meals }) => {
    const item = meals[from].find(({ id }) => id === itemId);
    if (!item) return;
    meals[from] = meals[from].filter((row) => row !== item);
    const there = meals[to].find(({ foodId }) => foodId === item.foodId);
    if (there) there.massG += item.massG;
    else meals[to].push(item);
  });
}

export function removeItem(menu: Menu, meal: Meal, itemId: string, foodName: string): void {
  editMenu(menu, `remove ${foodName}`, ({ meals }) => {
    meals[meal] = meals[meal].filter(({ id }) => id !== itemId);
  });
}

/** Of a mix: what it is made of. */
export function addPart(food: Food, { id, name, portionG }: Food): void {
  editFood(
    food,
    `add ${name}`,
    ({ parts }, { newId }) => void parts.push({ id: newId(), foodId: id, massG: portionG }),
  );
}

export function changePart(food: Food, partId: string, name: string, massG: number): void {
  editFood(food, name, ({ parts }) => {
    const part = parts.find(({ id }) => id === partId);
    if (part) part.massG = massG;
  });
}

export function removePart(food: Food, partId: string, name: string): void {
  editFood(food, `remove ${name}`, (row) => {
    row.parts = row.parts.filter(({ id }) => id !== partId);
  });
}

/** A menu like another, to change. */
export function copyMenu(menu: Menu): string {
  const id = `menu-${freshId()}`;
  void addRow("menus", `Copy menu ${menu.name}`, { ...structuredClone(menu), id, name: `${menu.name} (copy)` });
  return id;
}

export function chooseMenu(hiker: Hiker, label: string, recipe: (menus: Hiker["menus"]) => void): void {
  void editRow("hikers", hiker.id, `${firstName(hiker)}: ${label}`, ({ menus }) => recipe(menus));
}

export function menuForLeg(hiker: Hiker, fromStopId: string, menuId: string | undefined): void {
  chooseMenu(hiker, "menu for the leg", (menus) => {
    menus.legs = menus.legs.filter((row) => row.fromStopId !== fromStopId);
    if (menuId !== undefined) menus.legs.push({ fromStopId, menuId });
  });
}

export function menuForDay(hiker: Hiker, date: string, menuId: string | undefined): void {
  chooseMenu(hiker, `menu for ${date}`, (menus) => {
    menus.days = menus.days.filter((row) => row.date !== date);
    if (menuId !== undefined) menus.days.push({ date, menuId });
  });
}

export interface FilledLeg {
  legIndex: number;
  fromStopId: string;
  /** The bag by its stop, for a name. */
  name: string;
  days: number;
  filled: Filled;
}

/** Filled bags are dropped, and menus chosen for a leg. */
export function usualEverywhere(hiker: Hiker): void {
  void edit(`${firstName(hiker)}: default menu on all legs`, (draft) => {
    const plan = draft as Plan;
    for (const { id, menus } of plan.hikers) if (id === hiker.id) menus.legs = [];
    const isEaten = (menuId: string): boolean =>
      plan.hikers.some(({ menus }) => [...menus.legs, ...menus.days].some((row) => row.menuId === menuId));
    plan.menus = plan.menus.filter(({ id }) => !id.startsWith(filledOf(hiker)) || isEaten(id));
  });
}

const filledOf = ({ id }: Hiker): string => `filled-${id}-`;

/** Filled bags as menus of their legs, all in one step. */
export function takeFilled(hiker: Hiker, legs: readonly FilledLeg[]): void {
  const label =
    legs.length === 1 ? `Fill the food bag for leg ${legs[0]!.legIndex + 1}` : `Fill ${legs.length} food bags`;
  void edit(`${firstName(hiker)}: ${label.toLowerCase()}`, (draft) => {
    const plan = draft as Plan;
    const eater = plan.hikers.find(({ id }) => id === hiker.id);
    if (!eater) return;
    for (const { fromStopId, name, days, filled } of legs) {
      const id = `${filledOf(hiker)}${fromStopId}`.slice(0, 80);
      const menu = menuOfBag(id, name, filled, plan.foods, days);
      const at = plan.menus.findIndex((row) => row.id === id);
      if (at < 0) plan.menus.push(menu);
      else plan.menus[at] = menu;
      eater.menus.legs = [
        ...eater.menus.legs.filter((row) => row.fromStopId !== fromStopId),
        { fromStopId, menuId: id },
      ];
    }
  });
}
