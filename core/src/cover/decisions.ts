/** What waits to be decided: by when, what it weighs either way, and whether it is so by the plan's own figures. */
import { isTaken } from "../kit/decisions.ts";
import type { PlanDecision, Piece, Plan } from "../plan/schema.ts";
import type { LegResult, TripFigures } from "../result/result.ts";
import { dayNumber, isoOfDay } from "../units/day.ts";

export interface Decision {
  choice: PlanDecision;
  /** Decided, or what the plan counts on until then. */
  taken: boolean;
  /** The last day on which either is still possible, the post on its way; undefined without a piece on the route. */
  decideBy: string | undefined;
  /** Leg on whose first stop the first of the pieces comes. */
  legIndex: number | undefined;
  /** What is carried more when it is taken, grams; less than nothing where it replaces something heavier. */
  takenG: number;
  /** What the figures say now, in the unit of the condition, whether it is so, and how many of its days a forecast covers. */
  found: { have: number; isSo: boolean; forecastDays: number; days: number } | undefined;
}

export function decisionsOf(plan: Plan, result: Pick<TripFigures, "legs" | "days">): Decision[] {
  return plan.decisions.map((choice): Decision => {
    const comes = piecesOf(plan, choice.pieceIds);
    const otherwise = piecesOf(plan, choice.otherwiseIds);
    const begun = [...comes, ...otherwise].flatMap((piece) => beginnings(piece, plan, result.legs));
    const first = begun.sort((a, b) => a.by.localeCompare(b.by))[0];
    return {
      choice,
      taken: isTaken(choice),
      decideBy: first?.by,
      legIndex: first?.legIndex,
      takenG: gramsOf(comes) - gramsOf(otherwise),
      found: foundOf(plan, choice, [...comes, ...otherwise], result),
    };
  });
}

const piecesOf = ({ kit }: Plan, ids: readonly string[]): Piece[] => kit.filter(({ id }) => ids.includes(id));
const gramsOf = (pieces: readonly Piece[]): number =>
  pieces.reduce((sum, { massG, quantity }) => sum + massG * quantity, 0);

/** When it has to be known that a piece comes: before it is posted, or on the day of the stop; all from home before the start. */
function beginnings(
  piece: Piece,
  { kitRules, trip }: Plan,
  legs: readonly LegResult[],
): { legIndex: number; by: string }[] {
  return piece.spans.flatMap((span) => {
    const leg = legOut(legs, span.fromStopId);
    if (!leg) return [];
    if (leg.index === 0) return [{ legIndex: 0, by: trip.startDate }];
    const isSent = span.begins === "posted" || span.begins === "from-home";
    return [{ legIndex: leg.index, by: isoOfDay(dayNumber(leg.startDate)! - (isSent ? kitRules.sendDays : 0)) }];
  });
}

/** The leg out of a stop; out of an end of the walk the first. */
function legOut(legs: readonly LegResult[], stopId: string): LegResult | undefined {
  return legs.find(({ fromStopId }) => fromStopId === stopId) ?? (stopId.startsWith("@") ? legs[0] : undefined);
}

/** Of all legs on which one of the pieces is meant to be. */
function foundOf(
  { climate }: Plan,
  { condition }: PlanDecision,
  pieces: readonly Piece[],
  { legs, days: allDays }: Pick<TripFigures, "legs" | "days">,
): Decision["found"] {
  if (!condition) return undefined;
  const on = legs.filter(({ index }) =>
    pieces.some((piece) =>
      piece.spans.some((span) => {
        const from = legOut(legs, span.fromStopId)?.index ?? 0;
        const last = legs.findIndex(({ toStopId }) => toStopId === span.toStopId);
        return index >= from && index <= (last < 0 ? legs.length - 1 : last);
      }),
    ),
  );
  if (on.length === 0) return undefined;
  const indices = new Set(on.map(({ index }) => index));
  const days = allDays.filter(({ legIndex }) => indices.has(legIndex));
  const told = new Set(climate.forecasts.flatMap((forecast) => forecast.days.map(({ date }) => date)));
  const have = figureOf(condition.of, on, days);
  return {
    have,
    isSo: condition.of === "night-below" ? have < condition.limit : have > condition.limit,
    forecastDays: days.filter(({ date }) => told.has(date)).length,
    days: days.length,
  };
}

/** Degrees, kilometres, litres, wet days to expect, metres per second at the walker. */
function figureOf(
  of: NonNullable<PlanDecision["condition"]>["of"],
  legs: readonly LegResult[],
  days: TripFigures["days"],
): number {
  switch (of) {
    case "night-below":
      return Math.min(...legs.map(({ coldNightC }) => coldNightC));
    case "snow-over":
      return legs.reduce((sum, { snowM }) => sum + snowM, 0) / 1000;
    case "carry-over":
      return Math.max(...legs.flatMap(({ hikers }) => hikers.flatMap(({ carries }) => carries.map((c) => c.litres))));
    case "wet-over":
      return days.reduce((sum, { wetChance }) => sum + wetChance, 0);
    case "wind-over":
      return days.reduce((most, { windMps }) => Math.max(most, windMps), 0);
  }
}
