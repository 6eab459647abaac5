/** What is owned, from trip to trip: the pieces of own trips, as they were changed last. */
import { ownedPieces, type Piece } from "@gepack/core";
import { db } from "./db.ts";

/** None where there is no own trip yet, or none can be read. */
export async function kitHere(hikerId: string, spans: Piece["spans"]): Promise<Piece[]> {
  try {
    const stored = await db.plans.orderBy("id").sortBy("updatedAt");
    // Storage is read like a file.
    const own = stored.filter(({ doc }) => (doc as Partial<typeof doc>).trip?.fictional === false);
    return ownedPieces(
      own.map(({ doc }) => doc),
      { hikerId, spans },
    );
  } catch {
    return [];
  }
}
