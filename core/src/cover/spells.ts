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
  /** By leg, whether pieces may come and go where it starts, and the day on which it starts. The first is home. */
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
  /** Nothing costs less; false where there was too much to look through. */
  proven: boolean;
}

/** More pieces than these make more sets than can be looked through. */
export const MOST_TOGETHER = 11;

interface State {
  carried: number;
  /** By piece: the leg at whose beginning it was sent off and is not back yet; −1 where it is carried or free to come. */
  since: readonly number[];
  kgKm: number;
  moves: number;
  before: State | undefined;
}

/** So many states a leg at first, to know what there is to beat; and so many at most after. */
const FIRST_WIDTH = 150;
const MOST_STATES = 8000;
const SAME = 1e-9;

/**
 * Undefined where no choice of moves gives every leg what is allowed on it. First what is still to come is found for
 * every set, as if the post took no time: nothing costs less. Then a narrow look gives an answer, and a wide one with
 * all states that could still beat it proves it, or finds the better one.
 */
export function leastSpells(problem: SpellProblem): Spells | undefined {
  const legs = aheadOf(problem);
  const narrow = walkLegs(problem, legs, Infinity, FIRST_WIDTH);
  if (!narrow) {
    const wide = walkLegs(problem, legs, Infinity, MOST_STATES);
    return wide && spellsOf(wide.best, wide.isWhole);
  }
  if (narrow.isWhole) return spellsOf(narrow.best, true);
  const wide = walkLegs(problem, legs, narrow.best.kgKm + SAME, MOST_STATES);
  const better = wide && isBetter(wide.best, narrow.best) ? wide.best : narrow.best;
  return spellsOf(better, wide === undefined || wide.isWhole);
}

function spellsOf(best: State, proven: boolean): Spells {
  const carried: number[] = [];
  for (let state: State | undefined = best; state; state = state.before) carried.unshift(state.carried);
  return { carried, kgKm: best.kgKm, moves: best.moves, proven };
}

const isBetter = (a: State, b: State): boolean =>
  a.kgKm < b.kgKm - SAME || (a.kgKm < b.kgKm + SAME && a.moves < b.moves);

/** The sets allowed on a leg with what each costs from there on at the least, the cheapest first. */
interface Ahead {
  sets: { carried: number; ownKgKm: number; restKgKm: number }[];
}

function aheadOf({ pieces, legKm, canMove, allowed }: SpellProblem): Ahead[] {
  const count = 1 << pieces.length;
  const massKg = Float64Array.from({ length: count }, (_, set) => sumOver(set, pieces, ({ massKg: kg }) => kg));
  const legs: Ahead[] = [];
  /** From the beginning of the leg after, by what is carried on this one. */
  let after = new Float64Array(count);
  for (let leg = legKm.length - 1; leg >= 0; leg--) {
    const here = new Float64Array(count).fill(Infinity);
    const sets: Ahead["sets"] = [];
    for (let carried = 0; carried < count; carried++) {
      if (after[carried] === Infinity || !allowed(leg, carried)) continue;
      const ownKgKm = massKg[carried]! * legKm[leg]!;
      sets.push({ carried, ownKgKm, restKgKm: after[carried]! });
      here[carried] = ownKgKm + after[carried]!;
    }
    legs.unshift({ sets: sets.sort((x, y) => x.ownKgKm + x.restKgKm - y.ownKgKm - y.restKgKm) });
    // Moves are paid one by one, so that the cheapest way to every set is found a piece at a time.
    if (canMove[leg])
      for (const [p, { moveKgKm }] of pieces.entries())
        for (let set = 0; set < count; set++) {
          const other = set ^ (1 << p);
          if (set & (1 << p)) continue;
          const [without, with_] = [here[set]!, here[other]!];
          here[set] = Math.min(without, with_ + moveKgKm);
          here[other] = Math.min(with_, without + moveKgKm);
        }
    after = here;
  }
  return legs;
}

/** `isWhole` where no state was left out for want of room. */
function walkLegs(
  problem: SpellProblem,
  legs: readonly Ahead[],
  boundKgKm: number,
  width: number,
): { best: State; isWhole: boolean } | undefined {
  const { pieces, canMove, day, awayDays } = problem;
  const home = pieces.map(() => -1);
  let isWhole = true;
  let states: State[] = [];
  for (const [leg, { sets }] of legs.entries()) {
    const next = new Map<string, { state: State; leastKgKm: number }>();
    const offer = (state: State, restKgKm: number): void => {
      const key = `${state.carried} ${state.since.join(" ")}`;
      const known = next.get(key);
      if (!known || isBetter(state, known.state)) next.set(key, { state, leastKgKm: state.kgKm + restKgKm });
    };
    if (leg === 0)
      for (const { carried, ownKgKm, restKgKm } of sets)
        offer({ carried, since: home, kgKm: ownKgKm, moves: 0, before: undefined }, restKgKm);
    for (const from of states) {
      // What has been away long enough is at home again, and free to come.
      const since = from.since.map((sent) => (sent >= 0 && day[leg]! - day[sent]! >= awayDays ? -1 : sent));
      for (const { carried, ownKgKm, restKgKm } of sets) {
        // They come in the order of what they cost at the least.
        if (from.kgKm + ownKgKm + restKgKm > boundKgKm) break;
        const moved = carried ^ from.carried;
        if (moved !== 0 && !canMove[leg]) continue;
        if (moved !== 0 && since.some((sent, p) => sent >= 0 && (carried & moved & (1 << p)) !== 0)) continue;
        const kgKm = from.kgKm + ownKgKm + sumOver(moved, pieces, ({ moveKgKm }) => moveKgKm);
        if (kgKm + restKgKm > boundKgKm) continue;
        const left = moved & ~carried;
        const then = left === 0 || awayDays <= 0 ? since : since.map((sent, p) => (left & (1 << p) ? leg : sent));
        offer({ carried, since: then, kgKm, moves: from.moves + bits(moved), before: from }, restKgKm);
      }
    }
    const found = undominated([...next.values()].sort((a, b) => a.leastKgKm - b.leastKgKm));
    if (found.length > width) isWhole = false;
    states = found.slice(0, width).map(({ state }) => state);
    if (states.length === 0) return undefined;
  }
  return { best: states.reduce((a, b) => (isBetter(b, a) ? b : a)), isWhole };
}

/** Of two that carry the same, the dearer one goes where it has nothing at home sooner. */
function undominated(found: readonly { state: State; leastKgKm: number }[]): { state: State; leastKgKm: number }[] {
  const kept = new Map<number, State[]>();
  return found.filter(({ state }) => {
    const same = kept.get(state.carried) ?? [];
    const isWorse = same.some(
      (other) => !isBetter(state, other) && other.since.every((sent, p) => sent <= state.since[p]!),
    );
    if (!isWorse) kept.set(state.carried, [...same, state]);
    return !isWorse;
  });
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
