/**
 * Which pieces are in whose pack on which leg. A piece is always in exactly one place: overlaps and
 * gaps in its spans, and legs without a thing that other legs have, come out as faults.
 *
 * Mass counts for the carrier, use (sleeping, drinking) for the owner, or for all when shared.
 */
import { walkEnds } from "../plan/ids.ts";
import { turnedSpan } from "../plan/turn.ts";
import type { Piece, Plan, Span, Stop } from "../plan/schema.ts";
import { isWalked, nodeOf } from "../track/place.ts";
import type { Profile } from "../track/profile.ts";
import { leftOut } from "./decisions.ts";
import { endReachNodes, haltNode, type Halt } from "../walk/halts.ts";

/** What a plan has to know of a piece: its name and group may change without consequence. */
// prettier-ignore
export type PieceFacts = Pick<
  Piece,
  | "id" | "massG" | "quantity" | "wear" | "volumeL" | "ownerId" | "carrierId" | "shared" | "role" | "capacityL"
  | "comfortC" | "limitC" | "padR" | "warmthK" | "perDayG" | "emptyG" | "spans"
>;

/** What waits for a decision that the plan does not count on is carried nowhere. */
export function kitFacts(plan: Pick<Plan, "kit" | "decisions">): PieceFacts[] {
  const out = leftOut(plan);
  return plan.kit.map((piece) => pieceFacts(out.has(piece.id) ? { ...piece, spans: [] } : piece));
}

export function pieceFacts(piece: Piece): PieceFacts {
  const { id, massG, quantity, wear, volumeL, ownerId, carrierId, shared, role, capacityL, spans } = piece;
  const { comfortC, limitC, padR, warmthK, perDayG, emptyG } = piece;
  // prettier-ignore
  return {
    id, massG, quantity, wear, volumeL, ownerId, carrierId, shared, role, capacityL, comfortC, limitC, padR, warmthK, perDayG, emptyG,
    spans,
  };
}

export interface KitInput {
  pieces: readonly PieceFacts[];
  /** In the plan's order. */
  hikerIds: readonly string[];
  stops: readonly Pick<Stop, "id" | "trackM" | "alternateId">[];
  profile: Profile;
  halts: readonly Halt[];
}

/** All pieces of one kind used by the day, in one pack. */
export interface Tube {
  pieceId: string;
  kgPerDay: number;
  /** What can be used of it; the tube stays. */
  mostKg: number;
}

export interface KitLeg {
  /** All in the pack except consumables. */
  baseKg: number;
  wornKg: number;
  consumableKg: number;
  /** Of the consumables, what is used by the day. */
  tubes: readonly Tube[];
  /** Space the packed pieces take, hard canister and bottles not counted. */
  volumeL: number;
  bottleL: number;
  /** Inside of the hard canisters that this hiker's food goes into; 0 without one. */
  canisterL: number;
  /** Space a hard canister takes whatever is in it. */
  canisterVolumeL: number;
}

interface PieceFault<Kind> {
  kind: Kind;
  pieceId: string;
  legIndex: number;
}

export type KitFault =
  | PieceFault<"piece-twice">
  | PieceFault<"piece-gap">
  | (PieceFault<"stop-gone"> & { stopId: string })
  | (PieceFault<"stop-unused"> & { stopId: string })
  | (PieceFault<"stop-off-route"> & { stopId: string })
  | { kind: "role-gap"; role: "shelter" | "bag" | "pad" | "shoes" | "pack"; hikerId: string; legIndex: number };

export interface KitPlan {
  /** By leg, then by hiker. */
  legs: KitLeg[][];
  /** Index of the hiker who carries piece p on leg l at [p · legs + l]; −1 for nobody. */
  carrier: Int8Array;
  faults: KitFault[];
}

export function buildKit({ pieces, hikerIds, stops, profile, halts }: KitInput): KitPlan {
  const legCount = halts.length - 1;
  const faults: KitFault[] = [];
  const carrier = new Int8Array(pieces.length * legCount).fill(-1);
  const hikerIndex = new Map(hikerIds.map((id, index) => [id, index]));
  const placed = {
    nodeById: stopNodes(stops, profile),
    offRoute: new Set(stops.filter((stop) => !isWalked(profile, stop)).map((stop) => stop.id)),
    haltNodes: new Set(halts.map((halt) => halt.node)),
    profile,
    halts,
  };

  for (const [p, piece] of pieces.entries()) {
    const spans = placedSpans(piece, placed, faults);
    checkContinuity(piece, spans, placed, faults);
    for (const { span, from, to } of spans) {
      const who = hikerIndex.get(span.carrierId ?? piece.carrierId) ?? 0;
      for (let leg = 0; leg < legCount; leg++) {
        const middle = (halts[leg]!.node + halts[leg + 1]!.node) / 2;
        if (middle < from || middle > to) continue;
        const slot = p * legCount + leg;
        if (carrier[slot]! >= 0) faults.push({ kind: "piece-twice", pieceId: piece.id, legIndex: leg });
        carrier[slot] = who;
      }
    }
  }
  const legs = Array.from({ length: legCount }, (_, leg) =>
    hikerIds.map((_, who) => sumLeg(pieces, carrier, legCount, leg, who, hikerIndex)),
  );
  roleGaps(pieces, hikerIds, carrier, legCount, faults);
  return { legs, carrier, faults };
}

/** Node of every stop id a span may name, the two ends included. */
export function stopNodes(stops: KitInput["stops"], profile: Profile): Map<string, number> {
  const nodes = new Map(stops.map((stop) => [stop.id, nodeOf(profile, stop)]));
  const { firstId, lastId } = walkEnds(profile.reversed ? "reverse" : "forward");
  nodes.set(firstId, 0);
  nodes.set(lastId, profile.cellCount);
  return nodes;
}

interface PlacedSpan {
  span: Span;
  from: number;
  to: number;
}

/** What places a span on the legs. */
interface Placing {
  nodeById: ReadonlyMap<string, number>;
  offRoute: ReadonlySet<string>;
  haltNodes: ReadonlySet<number>;
  profile: Profile;
  halts: readonly Halt[];
}

function placedSpans(
  piece: PieceFacts,
  { nodeById, offRoute, haltNodes, profile, halts }: Placing,
  faults: KitFault[],
): PlacedSpan[] {
  const legAt = (node: number): number =>
    Math.max(
      0,
      Math.min(
        halts.length - 2,
        halts.findIndex((halt) => halt.node >= node),
      ),
    );
  const nodeFor = (stopId: string, otherwise: number): number => {
    const node = nodeById.get(stopId);
    if (node === undefined) {
      faults.push({ kind: "stop-gone", pieceId: piece.id, legIndex: legAt(otherwise), stopId });
      return otherwise;
    }
    const fault = (kind: "stop-unused" | "stop-off-route"): void =>
      void faults.push({ kind, pieceId: piece.id, legIndex: legAt(node), stopId });
    if (offRoute.has(stopId)) fault("stop-off-route");
    else if (!haltNodes.has(haltNode(profile, node))) fault("stop-unused");
    return node;
  };
  const placed = piece.spans.map((span) => {
    const a = nodeFor(span.fromStopId, 0);
    const b = nodeFor(span.toStopId, profile.cellCount);
    // Told against the way it is walked: the same ground, entered from its other end.
    return a <= b ? { span, from: a, to: b } : { span: turnedSpan(span), from: b, to: a };
  });
  return placed.sort((a, b) => a.from - b.from);
}

function checkContinuity(
  piece: PieceFacts,
  spans: readonly PlacedSpan[],
  { profile, halts }: Placing,
  faults: KitFault[],
): void {
  const reach = endReachNodes(profile);
  const legFrom = (node: number): number => {
    const leg = halts.findLastIndex((halt) => halt.node <= node);
    return Math.max(0, Math.min(halts.length - 2, leg));
  };
  const gap = (node: number): void =>
    void faults.push({ kind: "piece-gap", pieceId: piece.id, legIndex: legFrom(node) });
  const first = spans[0];
  const last = spans.at(-1);
  if (!first || !last) return;
  if (first.from > reach && first.span.begins === "from-home") gap(first.from);
  if (last.to < profile.cellCount - reach && last.span.ends === "kept") gap(last.to);
  for (let i = 0; i + 1 < spans.length; i++) {
    const before = spans[i]!;
    const after = spans[i + 1]!;
    if (after.from <= before.to) continue;
    const { ends } = before.span;
    const { begins } = after.span;
    if (ends === "kept" || begins === "from-home" || (ends === "discarded" && begins !== "bought")) gap(before.to);
  }
}

const NO_TUBES: readonly Tube[] = [];

function tubeOf({ id, massG, emptyG = 0, quantity }: PieceFacts, perDayG: number): Tube {
  return { pieceId: id, kgPerDay: perDayG / 1000, mostKg: (Math.max(0, massG - emptyG) * quantity) / 1000 };
}

function sumLeg(
  pieces: readonly PieceFacts[],
  carrier: Int8Array,
  legCount: number,
  leg: number,
  who: number,
  hikerIndex: ReadonlyMap<string, number>,
): KitLeg {
  const sum: KitLeg = {
    baseKg: 0,
    wornKg: 0,
    consumableKg: 0,
    tubes: NO_TUBES,
    volumeL: 0,
    bottleL: 0,
    canisterL: 0,
    canisterVolumeL: 0,
  };
  for (const [p, piece] of pieces.entries()) {
    const carriedBy = carrier[p * legCount + leg]!;
    if (carriedBy < 0) continue;
    const uses = piece.shared || hikerIndex.get(piece.ownerId) === who;
    const times = piece.quantity;
    if (uses && piece.role === "hard-canister") sum.canisterL += (piece.capacityL ?? 0) * times;
    if (carriedBy !== who) continue;
    const massKg = (piece.massG * times) / 1000;
    if (piece.wear === "worn") sum.wornKg += massKg;
    else if (piece.wear === "consumable") {
      sum.consumableKg += massKg;
      if (piece.perDayG) sum.tubes = [...sum.tubes, tubeOf(piece, piece.perDayG)];
    } else sum.baseKg += massKg;
    if (piece.role === "bottle") sum.bottleL += (piece.capacityL ?? 0) * times;
    else if (piece.role === "hard-canister") sum.canisterVolumeL += piece.volumeL * times;
    else if (piece.wear !== "worn" && piece.role !== "pack") sum.volumeL += piece.volumeL * times;
  }
  return sum;
}

function roleGaps(
  pieces: readonly PieceFacts[],
  hikerIds: readonly string[],
  carrier: Int8Array,
  legCount: number,
  faults: KitFault[],
): void {
  for (const role of ["shelter", "bag", "pad", "shoes", "pack"] as const) {
    const rows = pieces.map((piece, p) => ({ piece, p })).filter(({ piece }) => piece.role === role);
    for (const hikerId of hikerIds) {
      const own = rows.filter(({ piece }) => piece.shared || piece.ownerId === hikerId);
      if (own.length === 0) continue;
      for (let leg = 0; leg < legCount; leg++)
        if (own.every(({ p }) => carrier[p * legCount + leg]! < 0))
          faults.push({ kind: "role-gap", role, hikerId, legIndex: leg });
    }
  }
}
