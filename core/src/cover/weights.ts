/** What a hiker's kit weighs on a leg, by group and by the schools of counting a base weight. */
import type { Plan } from "../plan/schema.ts";
import type { LegResult, TripFigures } from "../result/result.ts";

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

/** A pack as hikers tell it: the gear of a leg with so many days' food and so much water. All in kilograms. */
export interface TypicalPack {
  baseKg: number;
  /** Gear that is used up, fuel and its containers, as on leaving. */
  usedUpKg: number;
  foodKg: number;
  waterKg: number;
  totalKg: number;
}

export function typicalPack(
  leg: LegResult,
  who: number,
  { days, litres }: { days: number; litres: number },
): TypicalPack {
  const { kit, fuel, food } = leg.hikers[who]!;
  const foodKg = food.mealDays > 0 ? (days * food.eatenKg) / food.mealDays : 0;
  const usedUpKg = kit.consumableKg + fuel.startKg + fuel.containerKg;
  return { baseKg: kit.baseKg, usedUpKg, foodKg, waterKg: litres, totalKg: kit.baseKg + usedUpKg + foodKg + litres };
}

export interface GroupAlong {
  group: string;
  /** In the hiker's pack on each leg, what is worn left out. */
  packedG: Float64Array;
  /** Worn or carried, somewhere or nowhere: all that is in the list. */
  inAllG: number;
}

/** Groups in the order of the list, with their grams leg by leg. */
export function groupsAlong({ kit, hikers }: Plan, { legs, carrier }: TripFigures, who: number): GroupAlong[] {
  const groups = new Map<string, GroupAlong>();
  const hikerId = hikers[who]!.id;
  for (const [p, { group, massG, quantity, wear, ownerId }] of kit.entries()) {
    const row = groups.get(group) ?? { group, packedG: new Float64Array(legs.length), inAllG: 0 };
    groups.set(group, row);
    if (ownerId === hikerId) row.inAllG += massG * quantity;
    if (wear === "worn") continue;
    for (let i = 0; i < legs.length; i++) if (carrier[p * legs.length + i] === who) row.packedG[i]! += massG * quantity;
  }
  return [...groups.values()];
}
