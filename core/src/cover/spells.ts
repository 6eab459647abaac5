/**
 * Which pieces are carried on which leg, so that every leg has what it needs and the least is carried and posted:
 * exact, by a dynamic programme over the legs whose state says of every piece whether it is in the pack, at home, or
 * on its way home since which stop (science of swaps: subset-dp). Kilograms × kilometres, money turned into them.
 */

export interface SpellPiece {
  massKg: number;
  /** Of one move, to a stop or away from it, kg·km. */
  moveKgKm: number;
}

export interface SpellProblem {
  pieces: readonly SpellPiece[];
  /** By leg. */
  legKm: readonly number[];
  /** By leg, whether pieces may come and go where it begins, and the day on which it begins. The first is home. */
  canMove: readonly boolean[];
  day: readonly number[];
  /** What was sent home is back no sooner than so many days later. */
  awayDays: number;
  /** May these pieces, a bit for each, be all that is carried on a leg? */
  allowed: (leg: number, carried: number) => boolean;
}

export interface Spells {
  /** By leg, a bit for each piece that is carried. */
  carried: number[];
  kgKm: number;
  moves: number;
}

/** More pieces than these make more states than can be looked through. */
export const MOST_TOGETHER = 12;

interface State {
  carried: number;
  /** By piece: the leg at whose beginning it was sent off and is not back yet; −1 where it is carried or free to come. */
  since: readonly number[];
  kgKm: number;
  moves: number;
  before: State | undefined;
}

/** Undefined where no choice of moves gives every leg what is allowed on it. */
export function leastSpells(problem: SpellProblem): Spells | undefined {
  const { pieces, legKm, canMove, day, awayDays } = problem;
  const sets = 1 << pieces.length;
  const massKg = Float64Array.from({ length: sets }, (_, set) => sumOver(set, pieces, ({ massKg: kg }) => kg));
  let states: State[] = [];
  for (const [leg, km] of legKm.entries()) {
    const sets = allowedOn(problem, leg);
    const next = new Map<string, State>();
    const offer = (state: State): void => {
      const key = `${state.carried} ${state.since.join(" ")}`;
      const known = next.get(key);
      if (!known || state.kgKm < known.kgKm - 1e-9) next.set(key, state);
    };
    if (leg === 0)
      for (const carried of sets)
        offer({ carried, since: pieces.map(() => -1), kgKm: massKg[carried]! * km, moves: 0, before: undefined });
    for (const from of states) {
      // What has been away long enough is at home again, and free to come.
      const since = from.since.map((sent) => (sent >= 0 && day[leg]! - day[sent]! >= awayDays ? -1 : sent));
      for (const carried of sets) {
        const moved = carried ^ from.carried;
        if (moved !== 0 && !canMove[leg]) continue;
        if (pieces.some((_, p) => (carried & moved & (1 << p)) !== 0 && since[p]! >= 0)) continue;
        offer({
          carried,
          since: since.map((sent, p) => ((moved & ~carried & (1 << p)) !== 0 && awayDays > 0 ? leg : sent)),
          kgKm: from.kgKm + massKg[carried]! * km + sumOver(moved, pieces, ({ moveKgKm }) => moveKgKm),
          moves: from.moves + bits(moved),
          before: from,
        });
      }
    }
    states = [...next.values()];
    if (states.length === 0) return undefined;
  }
  const best = states.reduce((a, b) =>
    b.kgKm < a.kgKm - 1e-9 || (b.kgKm < a.kgKm + 1e-9 && b.moves < a.moves) ? b : a,
  );
  const carried: number[] = [];
  for (let state: State | undefined = best; state; state = state.before) carried.unshift(state.carried);
  return { carried, kgKm: best.kgKm, moves: best.moves };
}

/** What the spells cost as they are, moves that are not allowed among them. */
export function spellsCost(
  { pieces, legKm }: Pick<SpellProblem, "pieces" | "legKm">,
  carried: readonly number[],
): number {
  return carried.reduce((sum, set, leg) => {
    const moved = leg === 0 ? 0 : set ^ carried[leg - 1]!;
    return (
      sum +
      sumOver(set, pieces, ({ massKg }) => massKg) * legKm[leg]! +
      sumOver(moved, pieces, ({ moveKgKm }) => moveKgKm)
    );
  }, 0);
}

function allowedOn({ pieces, allowed }: SpellProblem, leg: number): number[] {
  return Array.from({ length: 1 << pieces.length }, (_, set) => set).filter((set) => allowed(leg, set));
}

function sumOver(set: number, pieces: readonly SpellPiece[], of: (piece: SpellPiece) => number): number {
  let sum = 0;
  for (const [p, piece] of pieces.entries()) if (set & (1 << p)) sum += of(piece);
  return sum;
}

function bits(set: number): number {
  let count = 0;
  for (let rest = set; rest; rest &= rest - 1) count++;
  return count;
}
