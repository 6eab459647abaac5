/** What a box should bring that no list has yet: refills of what runs out before the next, the next pair of shoes, maps. */
import { shoeWear, usedUp } from "../cover/wear.ts";
import type { Plan } from "../plan/schema.ts";
import type { PlanFigures } from "../result/result.ts";
import type { PlannedBox } from "./boxes.ts";

export interface Refill {
  kind: "refill" | "shoes" | "maps";
  /** Of the piece that is refilled or replaced. */
  pieceId: string | undefined;
  grams: number;
  /** Legs that it is for, the last inclusive. */
  fromLeg: number;
  toLeg: number;
}

/** Printed both ways at 1:50,000: a sheet of 5 g shows 16 km [L]. */
const MAP_G_PER_KM = 0.3;

/** By box, in the order of the boxes; a box sent on from a stop brings what it was sent with. */
export function refillsOf(plan: Plan, result: PlanFigures, boxes: readonly PlannedBox[]): Map<string, Refill[]> {
  const fromHome = boxes.filter(({ fromStopId, bounce }) => fromStopId === undefined && !bounce);
  const lastLeg = result.legs.length - 1;
  const worn = shoeWear(plan, result);
  const used = usedUp(plan, result);
  return new Map(
    fromHome.map(({ key, legIndex }, i) => {
      const toLeg = (fromHome[i + 1]?.legIndex ?? lastLeg + 1) - 1;
      const found: Refill[] = [];
      for (const { pieceId, runsOutOnLeg } of used) {
        if (runsOutOnLeg === undefined || runsOutOnLeg < legIndex || runsOutOnLeg > toLeg) continue;
        const piece = plan.kit.find(({ id }) => id === pieceId)!;
        found.push({ kind: "refill", pieceId, grams: piece.massG * piece.quantity, fromLeg: legIndex, toLeg });
      }
      for (const { pieceId, changeAtLegs } of worn)
        if (changeAtLegs.includes(legIndex)) {
          const { massG, quantity } = plan.kit.find(({ id }) => id === pieceId)!;
          found.push({ kind: "shoes", pieceId, grams: massG * quantity, fromLeg: legIndex, toLeg });
        }
      const km = result.legs.slice(legIndex, toLeg + 1).reduce((sum, { distanceM }) => sum + distanceM / 1000, 0);
      found.push({ kind: "maps", pieceId: undefined, grams: MAP_G_PER_KM * km, fromLeg: legIndex, toLeg });
      return [key, found];
    }),
  );
}
