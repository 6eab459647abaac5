/** What the kit gives against what is asked of it: met or not, by which pieces; and what nobody requires. */
import type { Piece, Plan } from "../plan/schema.ts";
import { storeOf } from "../power/power.ts";
import type { TripFigures } from "../result/result.ts";
import { MOST_EXTRA_K } from "../warmth/night.ts";
import type { Demand, DemandKind } from "./demands.ts";
import { givesOf, type Give } from "./gives.ts";

export interface Cover extends Demand {
  /** In the unit of the demand where it is a figure of the kit (`night`, `pad`, `water`, `food-store`, `space`), of `power` Wh that are missing, else pieces. */
  have: number;
  isMet: boolean;
  pieceIds: string[];
}

const SLACK = 0.05;

/** Kinds that a piece meets by what it is good for. */
const BY_GIVE: Partial<Record<DemandKind, Give>> = {
  "warm-layer": "warm-layer",
  rain: "rain",
  wind: "wind",
  heat: "shade",
  sun: "sun",
  traction: "traction",
  axe: "axe",
  snowshoes: "snowshoes",
  ford: "poles",
  insects: "insects",
  animals: "deterrent",
  light: "light",
  navigation: "navigation",
  papers: "papers",
};

/** Kinds that a piece meets by its role. */
const BY_ROLE: Partial<Record<DemandKind, Piece["role"]>> = {
  night: "bag",
  pad: "pad",
  shelter: "shelter",
  "food-store": "hard-canister",
  space: "pack",
  water: "bottle",
};

export function coverOf(plan: Plan, result: TripFigures, demands: readonly Demand[]): Cover[] {
  const meeting = new Map<DemandKind, { piece: Piece; p: number }[]>();
  for (const [p, kinds] of usesOf(plan).entries())
    for (const kind of kinds) meeting.set(kind, [...(meeting.get(kind) ?? []), { piece: plan.kit[p]!, p }]);
  return demands.map((demand) => {
    const { kind, legIndex, who, amount } = demand;
    const row = result.legs[legIndex]!.hikers[who]!;
    const serving = (meeting.get(kind) ?? []).filter(({ piece, p }) => {
      const carrier = result.carrier[p * result.legs.length + legIndex]!;
      // A bottle holds for who carries it, a tent for all who sleep in it.
      const isTheirs = kind === "water" ? carrier === who : serves(piece, plan.hikers[who]!.id) || kind === "shelter";
      return carrier >= 0 && isTheirs;
    });
    const found = (have: number, isMet: boolean): Cover => ({
      ...demand,
      have,
      isMet,
      pieceIds: serving.map(({ piece }) => piece.id),
    });
    switch (kind) {
      case "night": {
        const { bagC, extraK } = row.sleep;
        if (bagC === undefined) return found(0, false);
        const standsC = bagC - Math.min(MOST_EXTRA_K, extraK);
        return found(standsC, demand.byHand || standsC <= amount + SLACK);
      }
      case "pad":
        return found(row.sleep.padR, row.sleep.padR >= amount - SLACK && serving.length > 0);
      case "water":
        return found(row.kit.bottleL, row.kit.bottleL >= amount - SLACK);
      case "space":
        return found(plan.hikers[who]!.packVolumeL, demand.byHand || amount <= plan.hikers[who]!.packVolumeL);
      case "power": {
        const shortWh = (result.power && storeOf(result.power, plan.hikers[who]!.id))?.legs[legIndex]!.shortWh ?? 0;
        return found(shortWh, shortWh <= 0);
      }
      case "food-store":
        return found(row.kit.canisterL, row.kit.canisterL > 0);
      default:
        return found(serving.length, serving.length > 0);
    }
  });
}

/** What is carried and asked for by nobody on so many legs. */
export interface Idle {
  pieceId: string;
  legs: number[];
}

/** Pieces that are only good for what comes and goes: carried on legs on which none of it is needed. */
export function idlePieces(plan: Plan, result: TripFigures, covers: readonly Cover[]): Idle[] {
  const required = new Set(covers.flatMap(({ legIndex, pieceIds }) => pieceIds.map((id) => `${id} ${legIndex}`)));
  const uses = usesOf(plan);
  return plan.kit.flatMap((piece, p) => {
    const kinds = [...uses[p]!];
    if (kinds.length === 0 || kinds.some((kind) => ALWAYS.includes(kind))) return [];
    const legs = result.legs
      .filter(
        ({ index }) => result.carrier[p * result.legs.length + index]! >= 0 && !required.has(`${piece.id} ${index}`),
      )
      .map(({ index }) => index);
    return legs.length > 0 ? [{ pieceId: piece.id, legs }] : [];
  });
}

/** A shell, a light and shelter are no dead weight on a dry leg; nor are bottles and bags, which are weighed elsewhere. */
// prettier-ignore
const ALWAYS: readonly DemandKind[] = [
  "rain", "wind", "light", "shelter", "water", "night", "pad", "papers", "ford", "navigation", "space", "power",
];

/** By piece, the demands that it can meet. */
export function usesOf({ kit }: Pick<Plan, "kit">): ReadonlySet<DemandKind>[] {
  const kinds = (Object.keys(BY_GIVE) as DemandKind[]).concat(Object.keys(BY_ROLE) as DemandKind[]);
  return kit.map((piece) => {
    const gives = givesOf(piece);
    const meets = (kind: DemandKind): boolean =>
      (BY_GIVE[kind] !== undefined && gives.includes(BY_GIVE[kind])) ||
      (BY_ROLE[kind] !== undefined && BY_ROLE[kind] === piece.role) ||
      (kind === "night" && (piece.warmthK ?? 0) > 0);
    return new Set(kinds.filter(meets));
  });
}

/** Does a piece serve this hiker: the own ones, and those that are shared? */
export function serves({ shared, ownerId }: Pick<Piece, "shared" | "ownerId">, hikerId: string): boolean {
  return shared || ownerId === hikerId;
}
