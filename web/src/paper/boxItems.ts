/** What is in a box, line by line. */
import { buildPantry, legBags, shoppingLists, type Plan, type PlannedBox, type PlanResult } from "@gepack/core";
import { firstName } from "../words/names.ts";

interface On {
  plan: Plan;
  result: PlanResult;
  box: PlannedBox;
}

/** What is in it, with grams; food line by line where menus say what it is. */
export interface BoxItem {
  id: string;
  name: string;
  grams: number;
  own: boolean;
  /** It waits for a decision, and stays out as things stand. */
  waits: boolean;
}

export function itemsOf({ plan, result, box }: On): BoxItem[] {
  const whose = (ownerId: string): string => {
    const owner = plan.hikers.length > 1 && plan.hikers.find(({ id }) => id === ownerId);
    return owner ? `, ${firstName(owner)}` : "";
  };
  const pieces = box.pieces.map(({ id, name, massG, quantity, ownerId, shared }) => ({
    id, name: `${name}${quantity > 1 ? ` ×${quantity}` : ""}${shared ? "" : whose(ownerId)}`, grams: massG * quantity, own: false, waits: false,
  })); // prettier-ignore
  const own = (box.row?.lines ?? []).map(({ id, name, massG }) => ({
    id, name, grams: massG, own: true, waits: !box.lines.some((line) => line.id === id),
  })); // prettier-ignore
  return [...pieces, ...foodItems(plan, result, box), ...own];
}

function foodItems(plan: Plan, result: PlanResult, box: PlannedBox): BoxItem[] {
  if (box.foodG <= 0) return [];
  const pantry = buildPantry(plan.foods);
  const bags = plan.hikers.map((_, who) => legBags(plan, result, who, pantry));
  const list = shoppingLists(bags, plan.foods).find(({ legIndex }) => legIndex === box.legIndex);
  const foods = (list?.box ?? []).map(({ food, massG }) => ({
    id: `food ${food.id}`, name: food.name, grams: massG, own: false, waits: false,
  })); // prettier-ignore
  const rest = box.foodG - foods.reduce((sum, { grams }) => sum + grams, 0);
  return rest > 1
    ? [...foods, { id: "food", name: "Food, by energy density", grams: rest, own: false, waits: false }]
    : foods;
}
