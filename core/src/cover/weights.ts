/** What a hiker's kit weighs on a leg, by group and by the schools of counting a base weight. */
import type { Plan } from "../plan/schema.ts";
import type { TripFigures } from "../result/result.ts";

export interface GroupWeight {
  group: string;
  packedG: number;
  wornG: number;
  consumableG: number;
  pieces: number;
}

export interface KitWeights {
  /** The heaviest first. */
  groups: GroupWeight[];
  /** All in the pack but consumables; and the same without hard canisters, which some do not count. */
  baseG: number;
  withoutFoodStoreG: number;
  /** Bag, pad, shelter and pack. */
  bigFourG: number;
  wornG: number;
  consumableG: number;
  /** Everything on the body and on the back, food, water and fuel of the start among it. */
  skinOutG: number;
}

const BIG_FOUR: readonly unknown[] = ["bag", "pad", "shelter", "pack"];

export function kitWeights(plan: Plan, result: TripFigures, legIndex: number, who: number): KitWeights {
  const { legs, carrier } = result;
  const groups = new Map<string, GroupWeight>();
  let foodStoreG = 0;
  let bigFourG = 0;
  for (const [p, piece] of plan.kit.entries()) {
    if (carrier[p * legs.length + legIndex] !== who) continue;
    const row = groups.get(piece.group) ?? { group: piece.group, packedG: 0, wornG: 0, consumableG: 0, pieces: 0 };
    const grams = piece.massG * piece.quantity;
    if (piece.wear === "worn") row.wornG += grams;
    else if (piece.wear === "consumable") row.consumableG += grams;
    else row.packedG += grams;
    row.pieces += piece.quantity;
    groups.set(piece.group, row);
    if (piece.wear === "worn") continue;
    if (piece.role === "hard-canister") foodStoreG += grams;
    if (BIG_FOUR.includes(piece.role)) bigFourG += grams;
  }
  const rows = [...groups.values()].sort((a, b) => b.packedG + b.consumableG - a.packedG - a.consumableG);
  const sum = (of: (row: GroupWeight) => number): number => rows.reduce((total, row) => total + of(row), 0);
  const wornG = sum((row) => row.wornG);
  const baseG = sum((row) => row.packedG);
  return {
    groups: rows,
    baseG,
    withoutFoodStoreG: baseG - foodStoreG,
    bigFourG,
    wornG,
    consumableG: sum((row) => row.consumableG),
    skinOutG: wornG + 1000 * legs[legIndex]!.hikers[who]!.startKg,
  };
}
