/** Pieces that go from trip to trip: of every piece the last that is known. */
import { pieceSchema } from "../plan/kitSchema.ts";
import type { Piece } from "../plan/schema.ts";

/** A stored trip, read like a file: any part may be of any kind. */
export interface StoredTrip {
  hikers?: unknown;
  kit?: unknown;
}

/** For whom, and where the pieces are carried that went along on the last of the trips. */
export interface OwnedFor {
  hikerId: string;
  spans: Piece["spans"];
}

/**
 * What the first hiker of each trip owns or shares, the oldest trip first. What went along on the last trip goes along
 * again unless its verdict was to leave it at home, all the rest is on the shelf; stops, carriers and spans are those of the other trails, and stay there.
 */
export function ownedPieces(trips: readonly StoredTrip[], { hikerId, spans }: OwnedFor): Piece[] {
  const owned = new Map<string, Piece>();
  let along = new Set<string>();
  for (const { hikers, kit } of trips) {
    const [me] = rowsOf(hikers);
    const pieces = rowsOf(kit).flatMap((row) => pieceSchema.safeParse(row).data ?? []);
    const mine = pieces.filter(({ ownerId, shared }) => shared || ownerId === (me as { id?: unknown } | undefined)?.id);
    if (mine.length > 0)
      along = new Set(mine.filter(({ spans: on, verdict }) => on.length > 0 && verdict !== "home").map(({ id }) => id));
    for (const piece of mine) owned.set(piece.id, piece);
  }
  // A plan takes so many: what goes along first.
  const kept = [...owned.values()]
    .sort((a, b) => Number(along.has(b.id)) - Number(along.has(a.id)))
    .slice(0, MOST_PIECES);
  return kept.map((piece) => ({
    ...piece,
    ownerId: hikerId,
    carrierId: hikerId,
    shared: false,
    spans: along.has(piece.id) ? structuredClone(spans) : [],
  }));
}

const MOST_PIECES = 2000;

const rowsOf = (stored: unknown): unknown[] => (Array.isArray(stored) ? stored : []);
