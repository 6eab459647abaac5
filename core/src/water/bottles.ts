/** Bottles that hold what a leg needs, by the least mass. */
import type { Piece, Plan } from "../plan/schema.ts";
import type { TripFigures } from "../result/result.ts";

export interface BottleSet {
  pieceIds: string[];
  massG: number;
  capacityL: number;
}

type Bottle = Pick<Piece, "id" | "massG" | "capacityL" | "quantity">;

/** What no check calls too little. */
const SLACK_L = 0.05;
/** Decilitres: nobody reads a bottle finer. */
const GRAIN_L = 0.1;
const MOST_PIECES = 200;

/** Exact over whole pieces, by decilitres; undefined where all together hold too little. */
export function leastBottles(bottles: readonly Bottle[], litres: number): BottleSet | undefined {
  const wanted = Math.max(0, Math.ceil(litres / GRAIN_L - 1e-6));
  const each = bottles
    .flatMap(({ id, massG, capacityL = 0, quantity }) =>
      Array.from({ length: Math.min(quantity, 20) }, () => ({
        id,
        massG,
        cells: Math.floor(capacityL / GRAIN_L + 1e-6),
      })),
    )
    .filter(({ cells }) => cells > 0)
    .slice(0, MOST_PIECES);
  /** Least grams that hold so many decilitres or more, after each piece. */
  const least = [Float64Array.from({ length: wanted + 1 }, (_, n) => (n === 0 ? 0 : Infinity))];
  for (const { massG, cells } of each) {
    const before = least.at(-1)!;
    least.push(before.map((grams, n) => Math.min(grams, before[Math.max(0, n - cells)]! + massG)));
  }
  const massG = least.at(-1)![wanted]!;
  if (massG === Infinity) return undefined;
  const pieceIds: string[] = [];
  let capacityL = 0;
  for (let i = each.length, n = wanted; i > 0 && n > 0; i--) {
    if (least[i]![n] === least[i - 1]![n]) continue;
    const { id, cells } = each[i - 1]!;
    pieceIds.push(id);
    capacityL += cells * GRAIN_L;
    n = Math.max(0, n - cells);
  }
  return { pieceIds: pieceIds.reverse(), massG, capacityL };
}

/** What a litre of bottles weighs, carried over the whole walk, kilogram kilometres: of those that a hiker has. */
export function litreKgKm(plan: Plan, { profile }: Pick<TripFigures, "profile">, hikerId: string): number | undefined {
  const own = bottlesOf(plan, hikerId);
  const litres = own.reduce((sum, { capacityL = 0, quantity }) => sum + capacityL * quantity, 0);
  const grams = own.reduce((sum, { massG, quantity }) => sum + massG * quantity, 0);
  return litres > 0 ? ((grams / litres / 1000) * profile.lengthM) / 1000 : undefined;
}

export function bottlesOf({ kit }: Pick<Plan, "kit">, hikerId: string): Piece[] {
  return kit.filter(({ role, ownerId, capacityL }) => role === "bottle" && ownerId === hikerId && (capacityL ?? 0) > 0);
}

/** A bottle more or less, by the hike as it is: legs on which the bottles would hold too little. */
export interface BottleLess {
  pieceId: string;
  shortOn: number[];
}

/** For every bottle on some leg in the hiker's pack, the legs that it alone makes the bottles hold enough for. */
export function bottlesLess(plan: Plan, { legs, carrier }: TripFigures, hikerId: string): BottleLess[] {
  const who = plan.hikers.findIndex(({ id }) => id === hikerId);
  return bottlesOf(plan, hikerId).flatMap(({ id: pieceId, capacityL = 0 }) => {
    const p = plan.kit.findIndex(({ id }) => id === pieceId);
    const carriedOn = legs.filter(({ index }) => carrier[p * legs.length + index] === who);
    if (carriedOn.length === 0) return [];
    const shortOn = carriedOn.filter(({ hikers }) => {
      const { kit, carries } = hikers[who]!;
      const most = Math.max(0, ...carries.map(({ litres }) => litres));
      return most <= kit.bottleL + SLACK_L && most > kit.bottleL - capacityL + SLACK_L;
    });
    return [{ pieceId, shortOn: shortOn.map(({ index }) => index) }];
  });
}
