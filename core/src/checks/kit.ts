/** Pieces of kit: always in exactly one place, and none missing that other legs have. */
import { walkEnds } from "../plan/ids.ts";
import type { KitFault } from "../kit/kit.ts";
import { coverOf } from "../cover/cover.ts";
import { legAsks } from "../conditions/legs.ts";
import { LEAST_LIFE_KM } from "../cover/wear.ts";
import { chanceWornOut, REFERENCE_KG } from "../models/wear.ts";
import { demandsOf, type DemandKind } from "../cover/demands.ts";
import { walkedOf } from "../track/place.ts";
import { defineCheck, type CheckContext, type Severity } from "./check.ts";

type FaultOf<Kind extends KitFault["kind"]> = Extract<KitFault, { kind: Kind }>;

function* faultsOf<Kind extends KitFault["kind"]>({ result }: CheckContext, kind: Kind): Generator<FaultOf<Kind>> {
  for (const fault of result.kitFaults) if (fault.kind === kind) yield fault as FaultOf<Kind>;
}

/** Where a fault of a piece bites, and the piece by id and name. */
function ofPiece({ plan }: CheckContext, fault: { pieceId: string; legIndex: number }) {
  const piece = plan.kit.find((candidate) => candidate.id === fault.pieceId);
  return {
    legIndex: fault.legIndex,
    hikerId: piece?.carrierId,
    pieceId: fault.pieceId,
    piece: piece?.name ?? fault.pieceId,
  };
}

function stopWord({ plan }: CheckContext, stopId: string): string {
  const { firstId, lastId } = walkEnds(plan.trip.direction);
  const ends = new Map([
    [firstId, "the start"],
    [lastId, "the finish"],
  ]);
  return plan.stops.find((candidate) => candidate.id === stopId)?.name ?? ends.get(stopId) ?? stopId;
}

const pieceTwice = defineCheck({
  code: "kit-piece-twice",
  units: { pieceId: "name", piece: "name" },
  *find(context) {
    for (const fault of faultsOf(context, "piece-twice")) yield { severity: "blocker", ...ofPiece(context, fault) };
  },
});

const pieceGap = defineCheck({
  code: "kit-piece-gap",
  units: { pieceId: "name", piece: "name" },
  *find(context) {
    for (const fault of faultsOf(context, "piece-gap")) yield { severity: "blocker", ...ofPiece(context, fault) };
  },
});

const stopGone = defineCheck({
  code: "kit-stop-gone",
  units: { pieceId: "name", piece: "name", stopId: "name", stop: "name" },
  *find(context) {
    for (const fault of faultsOf(context, "stop-gone"))
      yield {
        severity: "blocker",
        ...ofPiece(context, fault),
        stopId: fault.stopId,
        stop: stopWord(context, fault.stopId),
      };
  },
});

const stopUnused = defineCheck({
  code: "kit-stop-unused",
  units: { pieceId: "name", piece: "name", stopId: "name", stop: "name" },
  *find(context) {
    for (const fault of faultsOf(context, "stop-unused"))
      yield {
        severity: "caution",
        ...ofPiece(context, fault),
        stopId: fault.stopId,
        stop: stopWord(context, fault.stopId),
      };
  },
});

const stopOffRoute = defineCheck({
  code: "kit-stop-off-route",
  units: { pieceId: "name", piece: "name", stopId: "name", stop: "name" },
  *find(context) {
    for (const fault of faultsOf(context, "stop-off-route"))
      yield {
        severity: "caution",
        ...ofPiece(context, fault),
        stopId: fault.stopId,
        stop: stopWord(context, fault.stopId),
      };
  },
});

const roleGap = defineCheck({
  code: "kit-role-gap",
  units: { role: "name" },
  *find(context) {
    for (const { role, hikerId, legIndex } of faultsOf(context, "role-gap"))
      yield { severity: "blocker", legIndex, hikerId, role };
  },
});

/** What no check of its own tells. */
const SHOWN: Partial<Record<DemandKind, Severity>> = {
  traction: "caution",
  axe: "caution",
  rain: "caution",
  "warm-layer": "caution",
  snowshoes: "note",
  insects: "note",
  wind: "note",
  heat: "note",
  sun: "note",
  ford: "note",
  animals: "note",
  light: "note",
  navigation: "note",
  papers: "note",
};

/** Shoes that are walked in for longer than they last, but for a chance that the hiker takes. */
const shoesWornOut = defineCheck({
  code: "shoes-worn-out",
  units: { pieceId: "name", piece: "name", have: "m", chance: "%" },
  *find({ plan, result }) {
    for (const [p, { id, name, role, ownerId, wornM, meanLifeM }] of plan.kit.entries()) {
      if (role !== "shoes") continue;
      const who = Math.max(
        0,
        plan.hikers.findIndex((hiker) => hiker.id === ownerId),
      );
      const worn = result.legs.filter(({ index }) => result.carrier[p * result.legs.length + index]! >= 0);
      const km = worn.reduce((sum, { distanceM, hikers }) => {
        const { body, meanKg } = hikers[who]!;
        return sum + (distanceM / 1000) * ((body.bodyKg + meanKg) / REFERENCE_KG);
      }, 0);
      const chance = chanceWornOut(Math.max(LEAST_LIFE_KM, meanLifeM / 1000), wornM / 1000, km);
      if (worn.length > 0 && chance > plan.kitRules.wearChance)
        yield {
          severity: "caution",
          hikerId: ownerId,
          pieceId: id,
          piece: name,
          have: 1000 * km + wornM,
          chance: 100 * chance,
        };
    }
  },
});

/** A demand that no piece meets, once for a hiker: where it starts, and on how many legs. */
const kitUncovered = defineCheck({
  code: "kit-uncovered",
  units: { demand: "name", legs: "count" },
  *find({ plan, result, fords, season, snow }) {
    if (plan.kit.length === 0) return;
    const asks = legAsks(result, fords, { season, snow });
    const open = coverOf(plan, result, demandsOf(plan, result, asks)).filter(({ isMet }) => !isMet);
    for (const [who, { id: hikerId }] of plan.hikers.entries())
      for (const [demand, severity] of Object.entries(SHOWN) as [DemandKind, Severity][]) {
        const mine = open.filter((cover) => cover.who === who && cover.kind === demand);
        const [first] = mine;
        if (!first) continue;
        const atM = walkedOf(result.profile, first.node);
        yield { severity, legIndex: first.legIndex, hikerId, atM, demand, legs: mine.length };
      }
  },
});

export const kitChecks = [
  pieceTwice,
  pieceGap,
  stopGone,
  stopUnused,
  stopOffRoute,
  roleGap,
  shoesWornOut,
  kitUncovered,
] as const;
