/**
 * What is used by the day weighs less from stop to stop: a tube of 100 g is not 100 g for four months. By block, since
 * days are known where one ends: within it the tube weighs what it did at its beginning, which is the safe side. Where a
 * block begins one has slept at a stop that sells small goods: what is nearly used up is filled again there.
 */
import type { KitLeg, Tube } from "./kit.ts";

/** With less than so many days of it left, a new one is bought or comes by post [L]. */
export const REFILL_DAYS = 10;

export class TubesInUse {
  private readonly usedDays = new Map<string, number>();

  /** The packs of a block's legs as they are by now; the same objects for the same use, so that what follows may rest. */
  packed(rows: readonly (readonly KitLeg[])[]): readonly (readonly KitLeg[])[] {
    for (const { tubes } of rows[0] ?? []) for (const tube of tubes) this.refill(tube);
    return rows.map((row) => {
      const used = row.map(({ tubes }) => tubes.reduce((kg, tube) => kg + this.usedKg(tube), 0));
      return used.some((kg) => kg > 0) ? lighter(row, used) : row;
    });
  }

  /** So many days went by on a block; only what was carried all along it was surely used. */
  pass(rows: readonly (readonly KitLeg[])[], days: number): void {
    const idsOn = (row: readonly KitLeg[]): Set<string> =>
      new Set(row.flatMap(({ tubes }) => tubes.map(({ pieceId }) => pieceId)));
    const [first, ...rest] = rows.map(idsOn);
    for (const id of first ?? [])
      if (rest.every((ids) => ids.has(id))) this.usedDays.set(id, (this.usedDays.get(id) ?? 0) + days);
  }

  private refill(tube: Tube): void {
    const days = this.usedDays.get(tube.pieceId) ?? 0;
    if (days > 0 && tube.mostKg / tube.kgPerDay - days < REFILL_DAYS) this.usedDays.delete(tube.pieceId);
  }

  private usedKg({ pieceId, kgPerDay, mostKg }: Tube): number {
    return Math.min(mostKg, kgPerDay * (this.usedDays.get(pieceId) ?? 0));
  }
}

const known = new WeakMap<readonly KitLeg[], Map<string, readonly KitLeg[]>>();

function lighter(row: readonly KitLeg[], usedKg: readonly number[]): readonly KitLeg[] {
  const answers = known.get(row) ?? new Map<string, readonly KitLeg[]>();
  known.set(row, answers);
  const key = usedKg.join();
  const answer = answers.get(key) ?? row.map((leg, who) => ({ ...leg, consumableKg: leg.consumableKg - usedKg[who]! }));
  answers.set(key, answer);
  return answer;
}
