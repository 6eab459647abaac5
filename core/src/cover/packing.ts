/** What rides where in a pack on a leg: litres and kilograms by place, bottom to top, and the order to pack in. */
import { RIDES } from "../plan/ids.ts";
import type { Piece, Plan } from "../plan/schema.ts";
import type { TripFigures } from "../result/result.ts";
import { givesOf } from "./gives.ts";

export type Ride = (typeof RIDES)[number];

export interface Packed {
  /** Undefined for food and water. */
  pieceId: string | undefined;
  what: "piece" | "food" | "food-in-canister" | "water";
  litres: number;
  kg: number;
  ride: Ride;
}

export interface Packing {
  /** As they go in: bottom first, what is wanted first at the top. */
  items: Packed[];
  /** Inside the pack, and what it holds by the hiker. */
  insideL: number;
  packL: number;
}

const INSIDE: readonly Ride[] = ["bottom", "core", "top", "lid"];
export const isInside = (ride: Ride): boolean => INSIDE.includes(ride);
/** A litre of pieces of which nobody says how large they are [L]. */
const KG_PER_L = 0.3;

/** As its owner says; else soft and not wanted before camp at the bottom, heavy near the back, what the day needs on top. */
export function rideOf(piece: Pick<Piece, "name" | "gives" | "role" | "rides" | "wear" | "volumeL">): Ride {
  if (piece.rides) return piece.rides;
  if (piece.wear === "worn") return "body";
  const gives = givesOf(piece);
  switch (piece.role) {
    case "bag":
      return "bottom";
    case "pad":
      return piece.volumeL > 0 ? "core" : "outside";
    case "shelter":
    case "stove":
    case "hard-canister":
      return "core";
    case "bottle":
      return "pockets";
    case "pack":
    case "shoes":
      return "body";
    case "layer":
    case undefined:
      break;
  }
  if (gives.some((give) => give === "axe" || give === "snowshoes" || give === "traction")) return "outside";
  if (gives.some((give) => give === "rain" || give === "wind")) return "top";
  if (gives.includes("warm-layer")) return "top";
  if (gives.some((give) => give === "papers" || give === "light")) return "lid";
  if (gives.some((give) => give === "insects" || give === "sun" || give === "deterrent")) return "pockets";
  return "core";
}

/** One hiker's pack on leaving for a leg: food and water at their fullest. */
export function packingOf(plan: Plan, result: TripFigures, legIndex: number, who: number): Packing {
  const { legs, carrier } = result;
  const row = legs[legIndex]!.hikers[who]!;
  const items: Packed[] = [];
  let canisterL = 0;
  for (const [p, piece] of plan.kit.entries()) {
    if (carrier[p * legs.length + legIndex] !== who) continue;
    if (piece.role === "hard-canister") canisterL += (piece.capacityL ?? 0) * piece.quantity;
    const kg = (piece.massG * piece.quantity) / 1000;
    const ride = rideOf(piece);
    // Bottles are as large as what is in them, which is distinguished.
    const litres = piece.role === "bottle" || ride === "body" ? 0 : litresOf(piece, kg);
    items.push({ pieceId: piece.id, what: "piece", litres, kg, ride });
  }
  const foodL = row.food.startKg / row.food.bulkKgPerL;
  const lockedL = Math.min(foodL, canisterL);
  if (lockedL > 0)
    items.push({
      pieceId: undefined,
      what: "food-in-canister",
      litres: 0,
      kg: (row.food.startKg * lockedL) / foodL,
      ride: "core",
    });
  if (foodL > lockedL)
    items.push({
      pieceId: undefined,
      what: "food",
      litres: foodL - lockedL,
      kg: (row.food.startKg * (foodL - lockedL)) / foodL,
      ride: "core",
    });
  if (row.startWaterKg > 0)
    items.push({ pieceId: undefined, what: "water", litres: row.startWaterKg, kg: row.startWaterKg, ride: "pockets" });
  const insideL = items.reduce((sum, { ride, litres }) => sum + (isInside(ride) ? litres : 0), 0);
  return { items: items.sort(inOrder), insideL, packL: plan.hikers[who]!.packVolumeL };
}

function litresOf({ volumeL, quantity, role }: Piece, kg: number): number {
  if (volumeL > 0) return volumeL * quantity;
  return role === "pad" ? 0 : kg / KG_PER_L;
}

/** By place; in one place the large ones first, small things where there is room between them. */
function inOrder(a: Packed, b: Packed): number {
  return RIDES.indexOf(a.ride) - RIDES.indexOf(b.ride) || b.litres - a.litres || b.kg - a.kg;
}
