/**
 * Spans for the pieces that may move, so that every demand is met with the least carried and posted: pieces that
 * share a demand are solved together and exactly (`spells.ts`), the others apart, and the costs add, since every move
 * has a price of its own. Exact for the legs and dates of the result it is given: what is carried changes them.
 */
import { waiting } from "../kit/decisions.ts";
import { walkEnds } from "../plan/ids.ts";
import type { Piece, Plan, Span, Stop } from "../plan/schema.ts";
import type { TripFigures } from "../result/result.ts";
import { openDuring, postOpening } from "../stops/openings.ts";
import { stopFigures } from "../stops/stays.ts";
import { dayNumber } from "../units/day.ts";
import { offers } from "../walk/halts.ts";
import { MOST_EXTRA_K } from "../warmth/night.ts";
import { serves, usesOf } from "./cover.ts";
import type { Demand, DemandKind } from "./demands.ts";
import { leastSpells, MOST_TOGETHER, spellsCost, type SpellProblem } from "./spells.ts";

export interface SwapReason {
  /** Legs of one spell, the last inclusive. */
  fromLeg: number;
  toLeg: number;
  /** What of it would not be met without the piece, the first of a kind. */
  needed: Pick<Demand, "kind" | "legIndex" | "who" | "amount">[];
  /** Legs on which nothing would be missing: it stays because posting it would cost more, or no post is open. */
  bridged: number[];
}

export interface PieceSwap {
  pieceId: string;
  spans: Span[];
  /** By leg, as it is and as it would be. */
  now: boolean[];
  then: boolean[];
  reasons: SwapReason[];
}

export interface Swaps {
  /** Pieces whose spans would be others. */
  changes: PieceSwap[];
  /** Of all pieces that may move: carried and posted, as it is and as it would be. */
  nowKgKm: number;
  thenKgKm: number;
  /** Of posting, in the plan's money. */
  nowMoney: number;
  thenMoney: number;
  /** What no choice of these pieces meets. */
  unmet: Pick<Demand, "kind" | "legIndex" | "who" | "amount">[];
  /** False where so many pieces hang together that some had to stay as they are. */
  proven: boolean;
}

/** Good only for what comes and goes. What is worn, shared rain gear, light or papers stay unless the hiker says so. */
const MOVING: readonly DemandKind[] = [
  "night",
  "pad",
  "warm-layer",
  "sun",
  "heat",
  "traction",
  "axe",
  "snowshoes",
  "insects",
  "animals",
  "food-store",
  "water",
];
const NEVER: readonly Piece["role"][] = ["pack", "shelter", "shoes", "stove"];

/** `visited` are the stops where somebody comes who brings and takes. */
function isMovable(piece: Piece, uses: ReadonlySet<DemandKind>, visited: ReadonlySet<string>): boolean {
  if (piece.movable !== undefined) return piece.movable && uses.size > 0;
  const fixed = NEVER.includes(piece.role) || piece.wear !== "packed";
  // What is bought along the trail and thrown away after has no home to go to; whoever comes for one takes it there.
  const passing = piece.spans.some(
    ({ begins, ends, fromStopId, toStopId }) =>
      begins === "bought" ||
      ends === "discarded" ||
      (begins === "handed-over" && !visited.has(fromStopId)) ||
      (ends === "handed-over" && !visited.has(toStopId)),
  );
  if (piece.role === "bottle" && (piece.capacityL ?? 0) < LARGE_L) return false;
  return (
    !fixed &&
    !passing &&
    [...uses].some((kind) => MOVING.includes(kind)) &&
    ![...uses].some((kind) => FIXED.includes(kind))
  );
}
/** From smaller ones one drinks; larger ones are for what is carried far. */
const LARGE_L = 2;
// prettier-ignore
const FIXED: readonly DemandKind[] = ["rain", "wind", "light", "papers", "shelter", "ford", "navigation", "power", "space"];

interface Mover {
  piece: Piece;
  /** In the plan's kit. */
  at: number;
  uses: ReadonlySet<DemandKind>;
}

/**
 * `result` says when and where the legs are walked and what they ask for, `carrier` who carries what as it is now:
 * that of the same result, or, in a later round, that of the plan it began with.
 */
export function searchSwaps(
  plan: Plan,
  result: TripFigures,
  demands: readonly Demand[],
  carrier: Int8Array = result.carrier,
): Swaps {
  const uses = usesOf(plan);
  const waits = waiting(plan);
  const visited = new Set(plan.stops.filter(isVisited).map(({ id }) => id));
  const movers = plan.kit.flatMap((piece, at): Mover[] =>
    isMovable(piece, uses[at]!, visited) && !waits.has(piece.id) ? [{ piece, at, uses: uses[at]! }] : [],
  );
  const groups = together(plan, movers, demands);
  const swaps: Swaps = { changes: [], nowKgKm: 0, thenKgKm: 0, nowMoney: 0, thenMoney: 0, unmet: [], proven: true };
  for (const group of groups) {
    // Beyond what can be looked through, the lightest stay as they are.
    const free = [...group].sort((a, b) => b.piece.massG - a.piece.massG).slice(0, MOST_TOGETHER);
    if (free.length < group.length) swaps.proven = false;
    solve({ plan, result, carrier, demands, uses }, free, swaps);
  }
  return swaps;
}

/** Pieces that can meet a demand of the same hiker hang together, and so do those that hang together with them. */
function together({ hikers }: Plan, movers: readonly Mover[], demands: readonly Demand[]): Mover[][] {
  const required = new Set(demands.map(({ kind, who }) => `${kind} ${who}`));
  const keys = movers.map(({ piece, uses }) =>
    hikers.flatMap(({ id }, who) =>
      [...uses].filter((kind) => meetsFor(piece, kind, id)).map((kind) => `${kind} ${who}`),
    ),
  );
  const groups: { keys: Set<string>; movers: Mover[] }[] = [];
  for (const [i, mover] of movers.entries()) {
    const mine = new Set(keys[i]!.filter((key) => required.has(key)));
    const joined = groups.filter((group) => [...mine].some((key) => group.keys.has(key)));
    const group = { keys: mine, movers: [mover] };
    for (const other of joined) {
      for (const key of other.keys) group.keys.add(key);
      group.movers.unshift(...other.movers);
      groups.splice(groups.indexOf(other), 1);
    }
    groups.push(group);
  }
  return groups.map((group) => group.movers);
}

/** A bottle holds for who carries it; other pieces serve their owner, or all where they are shared. */
function meetsFor(piece: Piece, kind: DemandKind, hikerId: string): boolean {
  return kind === "water" ? piece.carrierId === hikerId : serves(piece, hikerId);
}

interface Given {
  plan: Plan;
  result: TripFigures;
  carrier: Int8Array;
  demands: readonly Demand[];
  uses: readonly ReadonlySet<DemandKind>[];
}

function solve({ plan, result, carrier, demands, uses }: Given, movers: readonly Mover[], swaps: Swaps): void {
  const { legs } = result;
  const { kitRules, resupply } = plan;
  const moveMoney = movers.map(
    ({ piece }) => kitRules.movePrice + (kitRules.movePricePerKg * piece.massG * piece.quantity) / 1000,
  );
  const requirements = legs.map((leg) =>
    demands.flatMap((demand) => {
      if (
        demand.legIndex !== leg.index ||
        !movers.some(
          ({ piece, uses: can }) => can.has(demand.kind) && meetsFor(piece, demand.kind, plan.hikers[demand.who]!.id),
        )
      )
        return [];
      const stay = plan.kit.filter(
        (piece, p) =>
          carrier[p * legs.length + leg.index]! >= 0 &&
          uses[p]!.has(demand.kind) &&
          meetsFor(piece, demand.kind, plan.hikers[demand.who]!.id) &&
          !movers.some(({ at }) => at === p),
      );
      const requirement = requirementOf(plan, demand, movers, stay);
      if (!requirement.possible) swaps.unmet.push(demandKey(demand));
      return [requirement];
    }),
  );
  const bitsOf = (set: number): Mover[] => movers.filter((_, m) => (set & (1 << m)) !== 0);
  const problem: SpellProblem = {
    pieces: movers.map(({ piece }, m) => ({
      massKg: (piece.massG * piece.quantity) / 1000,
      moveKgKm: moveMoney[m]! * resupply.moneyKgKm,
    })),
    legKm: legs.map(({ distanceM }) => distanceM / 1000),
    canMove: movingDays(plan, result),
    day: legs.map(({ startDate }) => dayNumber(startDate)!),
    awayDays: kitRules.homeDays + kitRules.sendDays,
    allowed: (leg, set) => {
      const carried = bitsOf(set);
      return requirements[leg]!.every(({ meets }) => meets(carried));
    },
  };
  const now = legs.map(({ index }) =>
    movers.reduce((set, { at }, m) => (carrier[at * legs.length + index]! >= 0 ? set | (1 << m) : set), 0),
  );
  const found = leastSpells(problem);
  const nowKgKm = spellsCost(problem, now);
  swaps.nowKgKm += nowKgKm;
  swaps.thenKgKm += found?.kgKm ?? nowKgKm;
  swaps.nowMoney += moneyOf(now, moveMoney);
  swaps.thenMoney += moneyOf(found?.carried ?? now, moveMoney);
  if (!found) return;
  if (!found.proven) swaps.proven = false;
  for (const [m, { piece }] of movers.entries()) {
    const on = (sets: readonly number[]): boolean[] => sets.map((set) => (set & (1 << m)) !== 0);
    const [isNow, then] = [on(now), on(found.carried)];
    if (isNow.every((carried, leg) => carried === then[leg])) continue;
    const runs = runsOf(then);
    const reasons = runs.map(({ from, to }): SwapReason => {
      const needed: SwapReason["needed"] = [];
      const bridged: number[] = [];
      for (let leg = from; leg <= to; leg++) {
        const without = bitsOf(found.carried[leg]! & ~(1 << m));
        const missing = requirements[leg]!.filter(({ meets }) => !meets(without));
        if (missing.length === 0) bridged.push(leg);
        for (const demand of missing)
          if (!needed.some(({ kind, who }) => kind === demand.kind && who === demand.who))
            needed.push(demandKey(demand));
      }
      return { fromLeg: from, toLeg: to, needed, bridged };
    });
    const spans = runs.map(({ from, to }) => spanOf(plan, result, piece, from, to));
    swaps.changes.push({ pieceId: piece.id, spans, now: isNow, then, reasons });
  }
}

function demandKey({ kind, legIndex, who, amount }: Demand): Pick<Demand, "kind" | "legIndex" | "who" | "amount"> {
  return { kind, legIndex, who, amount };
}

/** What the pieces have to come to; where all of them together do not, as near as they come. */
function requirementOf(plan: Plan, demand: Demand, movers: readonly Mover[], stay: readonly Piece[]) {
  const hiker = plan.hikers[demand.who]!;
  const mine = movers.filter(({ piece, uses }) => uses.has(demand.kind) && meetsFor(piece, demand.kind, hiker.id));
  const ids = new Set(mine.map(({ piece }) => piece.id));
  const value = (carried: readonly Piece[]): number => valueOf(demand.kind, hiker.sleeper, [...stay, ...carried]);
  const all = value(mine.map(({ piece }) => piece));
  const wanted = wantedOf(demand);
  const possible = all >= wanted - SLACK;
  const limit = possible ? wanted : all;
  return {
    ...demand,
    possible,
    meets: (carried: readonly Mover[]): boolean =>
      value(carried.filter(({ piece }) => ids.has(piece.id)).map(({ piece }) => piece)) >= limit - SLACK,
  };
}

const SLACK = 0.05;

/** More is better, in every kind: nights as kelvins below zero. What is needed by hand has no figure: anything will do. */
function wantedOf({ kind, amount, byHand }: Demand): number {
  if (byHand) return kind === "night" ? NO_BAG / 2 : kind === "pad" || kind === "water" ? 2 * SLACK : 1;
  if (kind === "night") return -amount;
  return kind === "pad" || kind === "water" ? amount : 1;
}

/** Nobody is kept warm by a bag that is not there. */
const NO_BAG = -100;

function valueOf(kind: DemandKind, sleeper: "cold" | "warm", pieces: readonly Piece[]): number {
  switch (kind) {
    case "night": {
      const ratings = pieces.flatMap(({ role, comfortC, limitC }) => {
        const rating = sleeper === "warm" ? (limitC ?? comfortC) : (comfortC ?? limitC);
        return role === "bag" && rating !== undefined ? [rating] : [];
      });
      if (ratings.length === 0) return NO_BAG;
      const extraK = pieces.reduce((sum, { role, warmthK = 0 }) => sum + (role === "bag" ? 0 : warmthK), 0);
      return Math.min(MOST_EXTRA_K, extraK) - Math.min(...ratings);
    }
    case "pad":
      return pieces.reduce((sum, { role, padR = 0 }) => sum + (role === "pad" ? padR : 0), 0);
    case "water":
      return pieces.reduce(
        (sum, { role, capacityL = 0, quantity }) => sum + (role === "bottle" ? capacityL * quantity : 0),
        0,
      );
    default:
      return pieces.length;
  }
}

/** By leg, whether pieces can come and go at the stop that it leaves: a visitor is there, or an open counter. The start is home. */
export function movingDays(plan: Plan, result: TripFigures): boolean[] {
  const figures = new Map(stopFigures(plan, result).map((one) => [one.leaves?.index, one]));
  return result.legs.map(({ index }) => {
    if (index === 0) return true;
    const at = figures.get(index);
    if (at === undefined) return false;
    return isVisited(at.stop) || (offers(at.stop, ["post"]) && openDuring(postOpening(at.stop), at.stay));
  });
}

const isVisited = ({ foodBy }: Pick<Stop, "foodBy">): boolean => foodBy === "visitor";

function moneyOf(sets: readonly number[], moveMoney: readonly number[]): number {
  let money = 0;
  for (let leg = 1; leg < sets.length; leg++)
    for (const [m, price] of moveMoney.entries()) if ((sets[leg]! ^ sets[leg - 1]!) & (1 << m)) money += price;
  return money;
}

function runsOf(carried: readonly boolean[]): { from: number; to: number }[] {
  const runs: { from: number; to: number }[] = [];
  for (const [leg, on] of carried.entries()) {
    if (!on) continue;
    const last = runs.at(-1);
    if (last && last.to === leg - 1) last.to = leg;
    else runs.push({ from: leg, to: leg });
  }
  return runs;
}

/** As the piece came and went there before, where it did; else by a visitor or by post, from home and back. */
function spanOf({ trip, stops }: Plan, { legs }: TripFigures, piece: Piece, from: number, to: number): Span {
  const { firstId, lastId } = walkEnds(trip.direction);
  const isFirst = from === 0;
  const isLast = to === legs.length - 1;
  const fromStopId = isFirst ? firstId : legs[from]!.fromStopId;
  const toStopId = isLast ? lastId : legs[to]!.toStopId;
  const begun = piece.spans.find((span) => span.fromStopId === fromStopId);
  const ended = piece.spans.find((span) => span.toStopId === toStopId);
  const comes = (stopId: string): boolean => stops.some((stop) => stop.id === stopId && isVisited(stop));
  return {
    fromStopId,
    toStopId,
    begins: begun?.begins ?? (isFirst ? "from-home" : comes(fromStopId) ? "handed-over" : "posted"),
    ends: ended?.ends ?? (isLast ? "kept" : comes(toStopId) ? "handed-over" : "sent-home"),
    ...(begun?.carrierId === undefined ? {} : { carrierId: begun.carrierId }),
  };
}

/** The plan with these spans taken. */
export function withSwaps(plan: Plan, changes: readonly Pick<PieceSwap, "pieceId" | "spans">[]): Plan {
  const spansOf = new Map(changes.map(({ pieceId, spans }) => [pieceId, spans]));
  return { ...plan, kit: plan.kit.map((piece) => ({ ...piece, spans: spansOf.get(piece.id) ?? piece.spans })) };
}
