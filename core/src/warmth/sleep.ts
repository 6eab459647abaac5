/** What a hiker sleeps in on a leg, from the pieces that are carried: the bag, what is worn in it, the pads. */
import type { Hiker } from "../plan/schema.ts";
import type { PieceFacts } from "../kit/kit.ts";

export interface SleepKit {
  /** The warmest bag's rating for this sleeper; undefined without a bag. */
  bagC: number | undefined;
  /** Kelvin that liners, covers and clothes add, as stated for each. */
  extraK: number;
  /** Pads in series add. */
  padR: number;
}

export interface SleepInput {
  pieces: readonly PieceFacts[];
  /** Who carries piece p on leg l at [p · legs + l]; −1 for nobody. */
  carrier: Int8Array;
  legCount: number;
  hikers: readonly Pick<Hiker, "id" | "sleeper">[];
}

/** By leg, then by hiker. Pieces serve their owner, or all where they are shared, whoever carries them. */
export function sleepKits({ pieces, carrier, legCount, hikers }: SleepInput): SleepKit[][] {
  return Array.from({ length: legCount }, (_, leg) =>
    hikers.map(({ id, sleeper }) => {
      const kit: SleepKit = { bagC: undefined, extraK: 0, padR: 0 };
      for (const [p, piece] of pieces.entries()) {
        if (carrier[p * legCount + leg]! < 0 || !(piece.shared || piece.ownerId === id)) continue;
        if (piece.role === "bag") {
          const { comfortC, limitC } = piece;
          const rating = sleeper === "warm" ? (limitC ?? comfortC) : (comfortC ?? limitC);
          if (rating !== undefined) kit.bagC = Math.min(kit.bagC ?? Infinity, rating);
        } else kit.extraK += piece.warmthK ?? 0;
        if (piece.role === "pad") kit.padR += piece.padR ?? 0;
      }
      return kit;
    }),
  );
}
