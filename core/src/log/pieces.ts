/** What the log says of each piece: days and nights on which it was carried, what happened to it, whether anything asked for it. */
import type { FordPassage } from "../conditions/fords.ts";
import { legAsks } from "../conditions/legs.ts";
import { seasonOf } from "../conditions/plane.ts";
import { coverOf, idlePieces } from "../cover/cover.ts";
import { demandsOf } from "../cover/demands.ts";
import type { LogDay, Plan } from "../plan/schema.ts";
import type { PlanFigures } from "../result/result.ts";
import type { CardFigures } from "./cards.ts";

export interface PieceRecord {
  pieceId: string;
  grams: number;
  days: number;
  /** Outside of a stop. */
  nights: number;
  metres: number;
  events: (LogDay["pieces"][number] & { date: string })[];
  /** Good only for what comes and goes, and nothing of it was asked for on the legs walked. */
  isIdle: boolean;
}

/** Of pieces that were carried on a logged day, or of which the log tells something; the heaviest first. */
export function pieceRecords(
  plan: Plan,
  result: PlanFigures & { fords: readonly FordPassage[] },
  cards: readonly CardFigures[],
): PieceRecord[] {
  const { legs, carrier } = result;
  const asks = legAsks(result, result.fords, seasonOf(plan, result.profile));
  const idle = new Map(
    idlePieces(plan, result, coverOf(plan, result, demandsOf(plan, result, asks))).map((one) => [
      one.pieceId,
      one.legs,
    ]),
  );
  const legOf = ({ fromNode, toNode }: CardFigures): number => {
    const middle = (fromNode + toNode) / 2;
    return Math.max(
      0,
      legs.findIndex((leg) => leg.fromNode <= middle && middle <= leg.toNode),
    );
  };
  const walked = cards.map((figures) => ({ figures, leg: legOf(figures) }));
  return plan.kit
    .flatMap((piece, p): PieceRecord[] => {
      const on = walked.filter(({ leg }) => carrier[p * legs.length + leg]! >= 0);
      const events = cards.flatMap(({ card }) =>
        card.pieces.filter(({ pieceId }) => pieceId === piece.id).map((row) => ({ ...row, date: card.date })),
      );
      if (on.length === 0 && events.length === 0) return [];
      const idleLegs = idle.get(piece.id) ?? [];
      return [
        {
          pieceId: piece.id,
          grams: piece.massG * piece.quantity,
          days: on.length,
          nights: on.filter(({ figures }) => figures.card.night !== "stop").length,
          metres: on.reduce((sum, { figures }) => sum + figures.toM - figures.fromM, 0),
          events,
          isIdle: on.length > 0 && on.every(({ leg }) => idleLegs.includes(leg)),
        },
      ];
    })
    .sort((a, b) => b.grams - a.grams);
}
