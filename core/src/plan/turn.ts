/** The same plan walked the other way: what is on the ground stays there. */
import type { Plan, Span } from "./schema.ts";

/** How a piece that goes so comes, when the walk is turned round, and how one that comes so goes. */
const COMES: Record<Span["ends"], Span["begins"]> = {
  kept: "from-home",
  "sent-home": "posted",
  "sent-forward": "posted",
  "handed-over": "handed-over",
  discarded: "bought",
};
const GOES: Record<Span["begins"], Span["ends"]> = {
  "from-home": "kept",
  posted: "sent-home",
  bought: "sent-home",
  "handed-over": "handed-over",
};

/** A span from its other end: over the same ground, coming where it went. */
export function turnedSpan(span: Span): Span {
  const { fromStopId, toStopId, begins, ends } = span;
  return { ...span, fromStopId: toStopId, toStopId: fromStopId, begins: COMES[ends], ends: GOES[begins] };
}

/** Changes the plan in place. The track and all places along it stay as recorded. */
export function turnRound(plan: Plan): void {
  plan.trip.direction = plan.trip.direction === "forward" ? "reverse" : "forward";
  for (const piece of plan.kit) piece.spans = piece.spans.map(turnedSpan);
}
