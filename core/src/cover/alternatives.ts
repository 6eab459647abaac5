/**
 * Pieces for one purpose beside each other. Bars are shares of the best and worst of those compared, so that comfort,
 * cost and weight can be weighed against each other as the hiker likes: a ranking, not a measurement (judgement [L]).
 */
import { walkEnds } from "../plan/ids.ts";
import type { Piece, Plan } from "../plan/schema.ts";
import { givesOf } from "./gives.ts";

/** What a piece is for: its role, else what it is good for first; nothing where neither is known. */
export function purposeOf(piece: Pick<Piece, "name" | "gives" | "role">): string | undefined {
  return piece.role && piece.role !== "layer" ? piece.role : (givesOf(piece)[0] ?? piece.role);
}

/** Is it on this hike? What has no span stays on the shelf. */
export const isTakenAlong = ({ spans }: Pick<Piece, "spans">): boolean => spans.length > 0;

/** Others of the same purpose and owner that are not on this hike, lightest first. */
export function alternativesTo({ kit }: Pick<Plan, "kit">, piece: Piece): Piece[] {
  const purpose = purposeOf(piece);
  if (purpose === undefined) return [];
  return kit
    .filter(
      (other) =>
        other.id !== piece.id &&
        !isTakenAlong(other) &&
        (other.shared || piece.shared || other.ownerId === piece.ownerId) &&
        purposeOf(other) === purpose,
    )
    .sort((a, b) => a.massG * a.quantity - b.massG * b.quantity);
}

/** The other takes the spans and the carrier of the piece, which goes on the shelf. */
export function withAlternative(kit: readonly Piece[], pieceId: string, otherId: string): Piece[] {
  const piece = kit.find(({ id }) => id === pieceId);
  if (!piece || !kit.some(({ id }) => id === otherId)) return [...kit];
  const { spans, carrierId, shared } = piece;
  return kit.map((row) => {
    if (row.id === pieceId) return { ...row, spans: [] };
    return row.id === otherId
      ? { ...row, spans: spans.map((span) => ({ ...span })), carrierId, shared: shared || row.shared }
      : row;
  });
}

/** All of the hike, from home and kept. */
export function wholeHike({ trip }: Pick<Plan, "trip">): Piece["spans"] {
  const { firstId, lastId } = walkEnds(trip.direction);
  return [{ fromStopId: firstId, toStopId: lastId, begins: "from-home", ends: "kept" }];
}

/** How much comfort, cost and weight count, in any unit. */
export interface RankWeights {
  comfort: number;
  cost: number;
  weight: number;
}

export interface Ranked {
  pieceId: string;
  /** 0 is the worst of those compared, 1 the best; 0.5 where all are alike, or it is not known. */
  comfort: number;
  cost: number;
  weight: number;
  score: number;
}

/** Best first; of equals the lighter, then in the order given. */
export function rankPieces(pieces: readonly Piece[], weights: RankWeights): Ranked[] {
  const bar = (of: (piece: Piece) => number | undefined, moreIsBetter: boolean): ((piece: Piece) => number) => {
    const known = pieces.flatMap((piece) => of(piece) ?? []);
    const [low, high] = [Math.min(...known), Math.max(...known)];
    return (piece) => {
      const value = of(piece);
      if (value === undefined || !(high > low)) return 0.5;
      const share = (value - low) / (high - low);
      return moreIsBetter ? share : 1 - share;
    };
  };
  const comfort = bar((piece) => piece.comfort, true);
  const cost = bar((piece) => piece.price, false);
  const weight = bar(({ massG, quantity }) => massG * quantity, false);
  const total = weights.comfort + weights.cost + weights.weight || 1;
  return pieces
    .map((piece): Ranked => {
      const bars = { comfort: comfort(piece), cost: cost(piece), weight: weight(piece) };
      const sum = bars.comfort * weights.comfort + bars.cost * weights.cost + bars.weight * weights.weight;
      return { pieceId: piece.id, ...bars, score: sum / total };
    })
    .sort((a, b) => b.score - a.score || b.weight - a.weight);
}

/** Grams saved for one of money against another piece; undefined where nothing is paid, or nothing saved. */
export function gramsPerPrice(piece: Piece, against: Piece): number | undefined {
  const saved = against.massG * against.quantity - piece.massG * piece.quantity;
  return piece.price !== undefined && piece.price > 0 && saved > 0 ? saved / piece.price : undefined;
}

/** What is owned and stays at home. */
export const onShelf = ({ kit }: Pick<Plan, "kit">): Piece[] => kit.filter((piece) => !isTakenAlong(piece));
