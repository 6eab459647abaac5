/**
 * The pack of one hiker at every cell of a block, kilograms: base, consumables, food left and wrappers,
 * water carried, fuel left and what it is in. Within a day part food goes evenly; breakfast and dinner go at the camps.
 */
import type { KitLeg } from "../kit/kit.ts";
import type { HikerSupply } from "../provision/supply.ts";
import type { DayPart } from "../walk/walk.ts";
import type { PackArrays } from "../walk/workspace.ts";

/** Kilograms; the parts add up to `startKg`. */
export interface LegLoad {
  startKg: number;
  startWaterKg: number;
  heaviestKg: number;
  heaviestNode: number;
  meanKg: number;
  endKg: number;
}

export interface HikerLoad extends PackArrays {
  /** By leg of the block. */
  legs: LegLoad[];
}

export interface LoadInput {
  /** Fraction of the food's mass that stays in the pack as wrappers until the stop. */
  wrapperFraction: number;
  parts: readonly DayPart[];
  supply: HikerSupply;
  /** By leg of the block. */
  kitLegs: readonly KitLeg[];
  /** Working arrays; on the cells of the block they are filled, elsewhere they hold whatever they held. */
  into: PackArrays;
}

export function hikerLoad({ wrapperFraction, parts, supply, kitLegs, into }: LoadInput): HikerLoad {
  const { loadKg, foodKg: bagKg } = into;
  const waterKg = waterLeft(parts, supply, into.waterKg);
  const legs: LegLoad[] = [];
  const keeps = wrapperFraction;
  let legIndex = -1;
  let foodKg = 0;
  let wrapperKg = 0;
  let fuelKg = 0;
  let fixedKg = 0;
  let sumKg = 0;
  let cells = 0;
  const eat = (kg: number): void => {
    foodKg -= kg;
    wrapperKg += kg * keeps;
  };

  for (const [p, part] of parts.entries()) {
    const supplied = supply.parts[p]!;
    const opensLeg = part.legIndex !== legIndex;
    if (opensLeg) {
      legIndex = part.legIndex;
      const leg = legIndex - parts[0]!.legIndex;
      const kit = kitLegs[leg]!;
      fixedKg = kit.baseKg + kit.consumableKg + supply.fuel[leg]!.containerKg;
      foodKg = supply.food[leg]!.startKg;
      fuelKg = supply.fuel[leg]!.startKg;
      wrapperKg = 0;
      sumKg = 0;
      cells = 0;
      const startWaterKg =
        supply.carries.find((carry) => carry.legIndex === part.legIndex && carry.fromNode === part.startNode)?.litres ??
        0;
      const startKg = fixedKg + foodKg + fuelKg + startWaterKg;
      legs.push({
        startKg,
        startWaterKg,
        heaviestKg: startKg,
        heaviestNode: part.startNode,
        meanKg: startKg,
        endKg: startKg,
      });
    }
    const leg = legs[legs.length - 1]!;
    eat(supplied.breakfastKg);
    const length = Math.max(1, part.endNode - part.startNode);
    const dayPerCell = supplied.dayKg / length;
    const gearKg = fixedKg + fuelKg;
    const fullKg = foodKg + wrapperKg;
    const lossPerCell = dayPerCell * (1 - keeps);
    for (let c = part.startNode; c < part.endNode; c++) {
      const bag = fullKg - lossPerCell * (c - part.startNode);
      const here = gearKg + bag + waterKg[c]!;
      bagKg[c] = bag;
      loadKg[c] = here;
      sumKg += here;
      if (here > leg.heaviestKg) {
        leg.heaviestKg = here;
        leg.heaviestNode = c;
      }
    }
    cells += part.endNode - part.startNode;
    eat(supplied.dayKg);
    leg.endKg =
      fixedKg + fuelKg + foodKg + wrapperKg + (part.endNode > part.startNode ? waterKg[part.endNode - 1]! : 0);
    eat(supplied.dinnerKg);
    fuelKg = Math.max(0, fuelKg - supplied.fuelKg);
    if (cells > 0) leg.meanKg = sumKg / cells;
  }
  return { ...into, legs };
}

/** Water in the pack on every cell, one litre one kilogram; the reserve comes through undrunk. */
function waterLeft(parts: readonly DayPart[], supply: HikerSupply, left: Float64Array): Float64Array {
  const { drinkL } = supply;
  let p = 0;
  for (const carry of supply.carries) {
    while (p + 1 < parts.length && parts[p]!.endNode <= carry.fromNode) p++;
    let usedL = carry.approachL - carry.drunkL;
    let q = p;
    for (let from = carry.fromNode; from < carry.toNode; q++) {
      const to = q + 1 < parts.length ? Math.min(carry.toNode, parts[q]!.endNode) : carry.toNode;
      // Nothing is in use until what was drunk at the source is used up.
      const atZeroL = drinkL[carry.fromNode]! - usedL;
      const { litres } = carry;
      for (let c = from; c < to; c++) {
        const since = drinkL[c]! - atZeroL;
        const here = since > 0 ? litres - since : litres;
        left[c] = here > 0 ? here : 0;
      }
      if (to === parts[q]!.endNode && to < carry.toNode) usedL += supply.parts[q]!.campL;
      from = to;
    }
  }
  return left;
}
