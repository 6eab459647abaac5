/** The leaving sheet of a stop: all that one hiker does there, takes along and meets until the next, in one place. */
import { carriedKcal } from "../provision/supply.ts";
import type { RULES, STRETCH_KINDS } from "../plan/ids.ts";
import type { Plan } from "../plan/schema.ts";
import { storeOf, type Power } from "../power/power.ts";
import type { Carry } from "../provision/water.ts";
import type { LegResult, TripFigures } from "../result/result.ts";
import { holdsOn, touches } from "../result/stretches.ts";
import { nodesOn } from "../track/place.ts";
import { isoOfDay } from "../units/day.ts";
import { boxesOf, type PlannedBox } from "./boxes.ts";

export interface SheetPiece {
  pieceId: string;
  name: string;
  grams: number;
  how: string;
}

export interface SheetRule {
  name: string;
  kind: (typeof STRETCH_KINDS)[number];
  rule: (typeof RULES)[number] | undefined;
  fromM: number;
}

export interface LeavingSheet {
  legIndex: number;
  stopId: string;
  leg: LegResult;
  startKg: number;
  comes: SheetPiece[];
  goes: SheetPiece[];
  boxes: PlannedBox[];
  /** What all food in this pack weighs on leaving, and its energy. */
  food: { kg: number; kcal: number; byPost: boolean };
  /** Grams in the open containers on arriving; containers bought, and all fuel on leaving. */
  fuel: { openG: number; bought: number; startG: number; needG: number };
  /** Here and the next places to fill, in order. */
  carries: Carry[];
  /** The first day on which something is missing, and the least left on the leg, as a share. */
  charge: { flatOn: string | undefined; lowestFraction: number } | undefined;
  /** Stretches that start or hold on the leg, in walking order. */
  ahead: SheetRule[];
}

const FILL_UPS = 4;

export function leavingSheet(
  plan: Plan,
  result: TripFigures & { power?: Power | undefined },
  legIndex: number,
  who: number,
): LeavingSheet {
  const leg = result.legs[legIndex]!;
  const row = leg.hikers[who]!;
  const hiker = plan.hikers[who]!;
  const boxes = boxesOf(plan, result).filter((box) => box.legIndex === legIndex);
  const store = result.power && storeOf(result.power, hiker.id);
  const charge = store?.legs[legIndex];
  const at = (index: number, p: number): boolean =>
    index >= 0 && result.carrier[p * result.legs.length + index]! === who;
  const comes: SheetPiece[] = [];
  const goes: SheetPiece[] = [];
  for (const [p, piece] of plan.kit.entries()) {
    const [now, before] = [at(legIndex, p), at(legIndex - 1, p)];
    const grams = piece.massG * piece.quantity;
    if (now && !before && legIndex > 0) {
      const span = piece.spans.find(({ fromStopId }) => fromStopId === leg.fromStopId);
      comes.push({ pieceId: piece.id, name: piece.name, grams, how: span?.begins ?? "handed-over" });
    } else if (!now && before) {
      const span = piece.spans.find(({ toStopId }) => toStopId === leg.fromStopId);
      goes.push({ pieceId: piece.id, name: piece.name, grams, how: span?.ends ?? "handed-over" });
    }
  }
  return {
    legIndex,
    stopId: leg.fromStopId,
    leg,
    startKg: row.startKg,
    comes,
    goes,
    boxes,
    food: { kg: row.food.startKg, kcal: carriedKcal(row.food), byPost: boxes.some(({ foodG }) => foodG > 0) },
    fuel: {
      openG: row.fuel.openG,
      bought: row.fuel.bought,
      startG: 1000 * row.fuel.startKg,
      needG: row.fuel.needG,
    },
    carries: row.carries.filter(({ litres }) => litres > 0).slice(0, FILL_UPS),
    charge: charge && {
      flatOn: charge.flatDay === undefined ? undefined : isoOfDay(charge.flatDay),
      lowestFraction: charge.lowestFraction,
    },
    ahead: rulesAhead(plan, result, leg),
  };
}

/** Stretches that start or hold on a leg, in walking order. */
export function rulesAhead({ stretches }: Plan, result: TripFigures, leg: LegResult): SheetRule[] {
  return stretches
    .filter((stretch) => stretch.kind !== "surface" && touches(stretch, leg, result) && holdsOn(stretch, leg))
    .map((stretch) => {
      const from = nodesOn(result.profile, stretch).find(([a, b]) => a < leg.toNode && b > leg.fromNode)![0];
      return {
        name: stretch.name,
        kind: stretch.kind,
        rule: stretch.rule,
        fromM: Math.max(from, leg.fromNode) * result.profile.cellM,
      };
    })
    .sort((a, b) => a.fromM - b.fromM);
}
