/**
 * What goes by post and by air. Judgement out of what carriers and aircraft commonly refuse [M to H]; rules of the carrier
 * and of the countries come first, and each piece may say otherwise.
 */
import type { TRAVELS } from "../plan/ids.ts";
import type { Piece } from "../plan/schema.ts";
import { givesOf } from "../cover/gives.ts";

export type Travels = (typeof TRAVELS)[number];

const NEITHER =
  /\b((animal|bear) spray|fuel|gas canister|gas cartridge|lighters?|matches|flares?|white gas|spirit fuel)\b/i;
const CABIN = /\b(power bank|battery|batteries|phone|camera|messenger|head ?lamp|watch|lithium)\b/i;
const HOLD = /\b(knife|knives|axe|poles?|stakes?|pegs|spikes|crampons?|scissors|multi-?tool|trowel|stand)\b/i;

export function travelsOf(piece: Pick<Piece, "name" | "gives" | "role" | "travels">): Travels {
  if (piece.travels) return piece.travels;
  const gives = givesOf(piece);
  if (NEITHER.test(piece.name) || gives.includes("deterrent")) return "neither";
  if (CABIN.test(piece.name)) return "cabin";
  if (HOLD.test(piece.name) || gives.some((give) => give === "axe" || give === "traction")) return "hold";
  return "any";
}

export interface Luggage {
  cabin: Piece[];
  hold: Piece[];
  /** Sent ahead by land where that is allowed, or bought there. */
  neither: Piece[];
}

/** What a hiker has on leaving home for the start: what is worn and all the rest may go anywhere. */
export function luggageOf(pieces: readonly Piece[]): Luggage {
  const of = (kind: Travels): Piece[] => pieces.filter((piece) => travelsOf(piece) === kind);
  return { cabin: of("cabin"), hold: of("hold"), neither: of("neither") };
}
