/** Where every piece is on a day: in whose pack, at home, in the post or a box, or with nobody any more. */
import type { Plan } from "../plan/schema.ts";
import type { TripFigures } from "../result/result.ts";

export type Whereabouts =
  | { place: "pack"; hikerId: string }
  | { place: "home" }
  /** Sent ahead, or to be posted there. */
  | { place: "waits"; stopId: string }
  | { place: "not-bought"; stopId: string }
  | { place: "handed-over"; stopId: string }
  | { place: "thrown-away"; stopId: string };

/** Of the leg that is walked on a day; what changes at a stop is in the pack of the leg that leaves it. */
export function legOn({ legs }: Pick<TripFigures, "legs">, date: string): number {
  return Math.max(
    0,
    legs.findLastIndex(({ startDate }) => startDate <= date),
  );
}

/** In the order of the plan's kit. */
export function whereabouts(plan: Plan, result: TripFigures, legIndex: number): Whereabouts[] {
  const { legs, carrier } = result;
  return plan.kit.map((piece, p): Whereabouts => {
    const on = (leg: number): boolean => carrier[p * legs.length + leg]! >= 0;
    if (piece.spans.length === 0 && plan.bounce?.pieceIds.includes(piece.id)) {
      const opened = legs.find(({ index, toStopId }) => index >= legIndex && plan.bounce?.stopIds.includes(toStopId));
      return opened ? { place: "waits", stopId: opened.toStopId } : { place: "home" };
    }
    if (on(legIndex)) return { place: "pack", hikerId: plan.hikers[carrier[p * legs.length + legIndex]!]!.id };
    const last = legs.findLast(({ index }) => index < legIndex && on(index));
    const next = legs.find(({ index }) => index > legIndex && on(index));
    const ended = last && piece.spans.find(({ toStopId }) => toStopId === last.toStopId)?.ends;
    const begins = next && piece.spans.find(({ fromStopId }) => fromStopId === next.fromStopId)?.begins;
    if (last && next && ended === "sent-forward") return { place: "waits", stopId: next.fromStopId };
    if (next && begins === "bought") return { place: "not-bought", stopId: next.fromStopId };
    if (last && ended === "handed-over") return { place: "handed-over", stopId: last.toStopId };
    if (last && ended === "discarded") return { place: "thrown-away", stopId: last.toStopId };
    return { place: "home" };
  });
}

/** What changes in the packs at one stop. */
export interface StopSwaps {
  /** Of the leg that leaves it; that of the one after the last at the finish. */
  legIndex: number;
  stopId: string;
  comes: string[];
  goes: string[];
  /** Of all packs together. */
  changeG: number;
}

/** Stops at which something comes or goes, in walking order. */
export function swapsByStop(plan: Plan, { legs, carrier }: TripFigures): StopSwaps[] {
  return legs.slice(1).flatMap(({ index, fromStopId }) => {
    const on = (p: number, leg: number): boolean => carrier[p * legs.length + leg]! >= 0;
    const comes = plan.kit.filter((_, p) => on(p, index) && !on(p, index - 1));
    const goes = plan.kit.filter((_, p) => !on(p, index) && on(p, index - 1));
    if (comes.length + goes.length === 0) return [];
    const grams = (list: typeof comes): number => list.reduce((sum, { massG, quantity }) => sum + massG * quantity, 0);
    return [
      {
        legIndex: index,
        stopId: fromStopId,
        comes: comes.map(({ id }) => id),
        goes: goes.map(({ id }) => id),
        changeG: grams(comes) - grams(goes),
      },
    ];
  });
}
