/**
 * Who carries what of the shared pieces, so that the load that is heaviest for its bearer is as light as it can be:
 * exact. Loads are shares of what each can carry; everything of your own, food and water among it, counts.
 * Two carriers: every sum of grams that can be reached (subset sums); more: branch and bound, the heaviest piece first.
 */
import type { Plan } from "../plan/schema.ts";
import type { TripFigures } from "../result/result.ts";

export type ShareBy = "body" | "equal" | "comfort";

export interface Sharing {
  legIndex: number;
  /** Carriers that would change, by piece. */
  changes: { pieceId: string; carrierId: string }[];
  /** Per hiker, leaving the leg's stop, kilograms. */
  nowKg: number[];
  thenKg: number[];
  /** Nothing is lighter for whom it is heaviest; false where there were too many ways to try. */
  proven: boolean;
}

interface SharedPiece {
  pieceId: string;
  massG: number;
  /** Whoever has it now. */
  carrier: number;
}

/** Undefined where there is nobody to share with, or nothing to share on the leg. */
export function shareFairly(plan: Plan, result: TripFigures, legIndex: number, by: ShareBy): Sharing | undefined {
  const { hikers, kit } = plan;
  const leg = result.legs[legIndex]!;
  const shared = kit.flatMap((piece, p): SharedPiece[] => {
    const carrier = result.carrier[p * result.legs.length + legIndex]!;
    if (!piece.shared || carrier < 0 || piece.wear === "worn") return [];
    return [{ pieceId: piece.id, massG: Math.round(piece.massG * piece.quantity), carrier }];
  });
  if (hikers.length < 2 || shared.length === 0) return undefined;
  const nowKg = leg.hikers.map(({ startKg }) => startKg);
  const ownG = nowKg.map((kg, who) => 1000 * kg - sumG(shared.filter(({ carrier }) => carrier === who)));
  const strength = hikers.map(({ bodyKg, packComfortKg }) =>
    by === "equal" ? 1 : by === "body" ? bodyKg : packComfortKg,
  );
  const { carriers, proven } = fairest(shared, ownG, strength);
  const thenKg = ownG.map((own, who) => (own + sumG(shared.filter((_, i) => carriers[i] === who))) / 1000);
  const changes = shared.flatMap(({ pieceId, carrier }, i) =>
    carriers[i] === carrier ? [] : [{ pieceId, carrierId: hikers[carriers[i]!]!.id }],
  );
  return { legIndex, changes, nowKg, thenKg, proven };
}

const sumG = (pieces: readonly SharedPiece[]): number => pieces.reduce((sum, { massG }) => sum + massG, 0);

interface Fairest {
  /** By shared piece. */
  carriers: number[];
  proven: boolean;
}

/** Every gram of it is looked at; more than a ton is tried as for many. */
const MOST_SUMS_G = 1_000_000;

/** Of equal fairness, what changes fewest hands. */
export function fairest(shared: readonly SharedPiece[], ownG: readonly number[], strength: readonly number[]): Fairest {
  return ownG.length === 2 && sumG(shared) <= MOST_SUMS_G
    ? ofTwo(shared, ownG, strength)
    : ofMany(shared, ownG, strength);
}

function ofTwo(shared: readonly SharedPiece[], ownG: readonly number[], strength: readonly number[]): Fairest {
  const totalG = sumG(shared);
  /** Least changes of hands by which the first carries so many grams, after each piece. */
  const least = [Float64Array.from({ length: totalG + 1 }, (_, g) => (g === 0 ? 0 : Infinity))];
  for (const { massG, carrier } of shared) {
    const before = least.at(-1)!;
    least.push(
      before.map((changes, g) => {
        const second = changes + Number(carrier !== 1);
        const first = g >= massG ? before[g - massG]! + Number(carrier !== 0) : Infinity;
        return Math.min(first, second);
      }),
    );
  }
  const burden = (g: number): number => Math.max((ownG[0]! + g) / strength[0]!, (ownG[1]! + totalG - g) / strength[1]!);
  let best = -1;
  for (const [g, changes] of least.at(-1)!.entries()) {
    if (changes === Infinity) continue;
    const better = best < 0 || burden(g) < burden(best) - SAME;
    if (better || (burden(g) < burden(best) + SAME && changes < least.at(-1)![best]!)) best = g;
  }
  const carriers: number[] = [];
  for (let i = shared.length, g = best; i > 0; i--) {
    const { massG, carrier } = shared[i - 1]!;
    const before = least[i - 1]!;
    const bySecond = before[g]! + Number(carrier !== 1);
    const isFirst =
      g >= massG && before[g - massG]! + Number(carrier !== 0) === least[i]![g] && bySecond !== least[i]![g];
    carriers.unshift(isFirst ? 0 : 1);
    if (isFirst) g -= massG;
  }
  return { carriers, proven: true };
}

/** Grams by grams of strength that nobody feels. */
const SAME = 1e-9;
const MOST_TRIED = 300_000;

function ofMany(shared: readonly SharedPiece[], ownG: readonly number[], strength: readonly number[]): Fairest {
  const order = shared.map((_, i) => i).sort((a, b) => shared[b]!.massG - shared[a]!.massG);
  const totalG = sumG(shared) + ownG.reduce((sum, own) => sum + own, 0);
  const floor = totalG / strength.reduce((sum, one) => sum + one, 0);
  const loadG = [...ownG];
  const carriers = shared.map(({ carrier }) => carrier);
  let best = [...carriers];
  const burdenOf = (loads: readonly number[]): number => Math.max(...loads.map((g, who) => g / strength[who]!));
  let bestBurden = burdenOf(ownG.map((own, who) => own + sumG(shared.filter(({ carrier }) => carrier === who))));
  let bestChanges = 0;
  let tried = 0;
  const place = (k: number, changes: number): void => {
    if (tried++ > MOST_TRIED) return;
    const burden = Math.max(floor, burdenOf(loadG));
    if (burden > bestBurden + SAME || (burden > bestBurden - SAME && changes >= bestChanges)) return;
    if (k === order.length) {
      [best, bestBurden, bestChanges] = [[...carriers], burdenOf(loadG), changes];
      return;
    }
    const i = order[k]!;
    const { massG, carrier } = shared[i]!;
    // Whoever has room first, so that good answers come early.
    const turns = ownG.map((_, who) => who).sort((a, b) => loadG[a]! / strength[a]! - loadG[b]! / strength[b]!);
    for (const who of turns) {
      carriers[i] = who;
      loadG[who]! += massG;
      place(k + 1, changes + Number(who !== carrier));
      loadG[who]! -= massG;
    }
  };
  place(0, 0);
  return { carriers: best, proven: tried <= MOST_TRIED };
}
