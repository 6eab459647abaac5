/** Foods of the plan at hand. */
import type { Food } from "@gepack/core";

export function byId(foods: readonly Food[]): ReadonlyMap<string, Food> {
  return new Map(foods.map((food) => [food.id, food]));
}
