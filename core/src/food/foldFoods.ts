/** What is worked out for a mix from its parts, and for a single food from its own row. */
import type { Food } from "../plan/schema.ts";

/** Mixes of mixes of mixes go no deeper: what is below counts for nothing. */
const MOST_DEEP = 50;

/**
 * Each food once, its parts before it, with their grams. A mix that holds itself, directly or in a part of a part, is
 * left out where it does; of a mix without any part that is there nothing is left but its own row.
 */
export function foldFoods<T>(
  foods: readonly Food[],
  single: (food: Food) => T,
  mixed: (food: Food, parts: readonly (readonly [T, number])[]) => T,
): ReadonlyMap<string, T> {
  const rows = new Map(foods.map((food) => [food.id, food]));
  const known = new Map<string, T>();
  const open = new Set<string>();
  const of = (food: Food): T => {
    const found = known.get(food.id);
    if (found !== undefined) return found;
    open.add(food.id);
    const parts = food.parts.flatMap(({ foodId, massG }): [T, number][] => {
      const part = rows.get(foodId);
      return part && !open.has(foodId) && open.size < MOST_DEEP ? [[of(part), massG]] : [];
    });
    open.delete(food.id);
    const value = parts.length > 0 ? mixed(food, parts) : single(food);
    known.set(food.id, value);
    return value;
  };
  for (const food of foods) of(food);
  return known;
}
