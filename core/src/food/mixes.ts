/** What holds for a mix because it holds for its parts: where it is available, its tags, what it is bought as. */
import { BOUGHT_IN } from "../plan/ids.ts";
import type { Food } from "../plan/schema.ts";
import { foldFoods } from "./foldFoods.ts";

/** Where food comes from: a shop's shelf, a box, or what one has at home. */
export type Supplier = "smallShop" | "fullShop" | "posted" | "home";

const MOST_SOLD = { smallShop: "shop-small", fullShop: "shop-full", posted: "home", home: "home" } as const;

/**
 * Ids of what is available: a small shop has what small shops have, a full one that and more; the rest comes in a
 * box. A mix is available where all its parts are.
 */
export function soldAt(foods: readonly Food[], supplier: Supplier): ReadonlySet<string> {
  const most = BOUGHT_IN.indexOf(MOST_SOLD[supplier]);
  const sold = foldFoods<boolean>(
    foods,
    ({ boughtIn }) => BOUGHT_IN.indexOf(boughtIn) <= most,
    (_, parts) => parts.every(([isSold]) => isSold),
  );
  return new Set([...sold].flatMap(([id, isSold]) => (isSold ? [id] : [])));
}

/** The tags of every food; a mix has those of all its parts. */
export function tagsOf(foods: readonly Food[]): ReadonlyMap<string, ReadonlySet<string>> {
  return foldFoods<ReadonlySet<string>>(
    foods,
    ({ tags }) => new Set(tags),
    ({ tags }, parts) => new Set([...tags, ...parts.flatMap(([ofPart]) => [...ofPart])]),
  );
}

/** What a gram of every food is bought as: itself, or a mix its parts, by id. */
export function partsOfMixes(foods: readonly Food[]): ReadonlyMap<string, ReadonlyMap<string, number>> {
  return foldFoods<ReadonlyMap<string, number>>(
    foods,
    ({ id }) => new Map([[id, 1]]),
    ({ id }, parts) => {
      const all = parts.reduce((sum, [, massG]) => sum + massG, 0);
      if (all <= 0) return new Map([[id, 1]]);
      const shares = new Map<string, number>();
      for (const [ofPart, massG] of parts)
        for (const [partId, share] of ofPart) shares.set(partId, (shares.get(partId) ?? 0) + (share * massG) / all);
      return shares;
    },
  );
}
