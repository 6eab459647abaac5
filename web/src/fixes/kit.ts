/** Fixes that add or move a piece of kit. */
import {
  coverOf,
  demandsOf,
  isTakenAlong,
  serves,
  shoeWear,
  usesOf,
  walkEnds,
  wholeHike,
  type DemandKind,
  type Piece,
  type Plan,
} from "@gepack/core";
import { original } from "immer";
import { withArticle } from "../words/counted.ts";
import { stopName } from "../words/names.ts";
import { quantity } from "../units/quantity.ts";
import type { Action, FixContext } from "./fix.ts";

type NewPiece = Pick<Piece, "name" | "group" | "massG"> & Partial<Piece>;

interface Legs {
  first: number;
  last: number;
}

/** Comes in at the first of the legs' stops and goes home at the last; between the parts of a route nothing is posted. */
function spanOver({ plan, result }: FixContext, { first, last }: Legs): Piece["spans"][number] {
  const { firstId, lastId } = walkEnds(plan.trip.direction);
  const comes = result.legs.findLast(({ index, fromStopId }) => index <= first && !fromStopId.startsWith("@"));
  const goes = result.legs.find(({ index, toStopId }) => index >= last && !toStopId.startsWith("@"));
  return {
    fromStopId: comes?.fromStopId ?? firstId,
    toStopId: goes?.toStopId ?? lastId,
    begins: comes ? "posted" : "from-home",
    ends: goes ? "sent-home" : "kept",
  };
}

const legWords = ({ first, last }: Legs): string =>
  first === last ? `leg ${first + 1}` : `legs ${first + 1} to ${last + 1}`;

/** A pair of shoes as many times as it takes, each bought where the one before is near its end. */
export function nextPairs({ plan, result }: FixContext, pieceId: string): Action | undefined {
  const piece = plan.kit.find(({ id }) => id === pieceId);
  const changes = shoeWear(plan, result).find((worn) => worn.pieceId === pieceId)?.changeAtLegs ?? [];
  const [span] = piece?.spans ?? [];
  if (!piece || !span || piece.spans.length > 1 || changes.length === 0) return undefined;
  const stopIds = changes.map((leg) => result.legs[leg]!.fromStopId);
  const names = stopIds.map((id) => stopName(plan, id));
  return {
    button: `Change them at ${names.join(", ")}`,
    label: `New “${piece.name}”`,
    recipe: (draft, { newId }) => {
      const worn = draft.kit.find(({ id }) => id === pieceId);
      if (!worn) return;
      const { toStopId, ends } = worn.spans[0]!;
      worn.spans[0]!.toStopId = stopIds[0]!;
      worn.spans[0]!.ends = "discarded";
      for (const [i, fromStopId] of stopIds.entries())
        draft.kit.push({
          ...structuredClone(original(worn) ?? worn),
          id: newId(),
          wornM: 0,
          spans: [
            {
              fromStopId,
              toStopId: stopIds[i + 1] ?? toStopId,
              begins: "bought",
              ends: i + 1 < stopIds.length ? "discarded" : ends,
            },
          ],
        });
    },
  };
}

/** A piece more on these legs. */
function pieceOnLegs(on: FixContext, legs: Legs, hikerId: string, piece: NewPiece): Action {
  const mass = quantity("smallMass", piece.massG, on.plan.trip.units);
  const where = legWords(legs);
  return {
    button: `Add ${withArticle(piece.name)} on ${where} (+${mass})`,
    label: `${piece.name} on ${where}`,
    recipe: (draft, { newId }) =>
      void draft.kit.push({
        id: newId(),
        quantity: 1,
        measured: false,
        wear: "packed",
        volumeL: 0,
        ownerId: hikerId,
        carrierId: hikerId,
        shared: false,
        meanLifeM: 800_000,
        wornM: 0,
        ...piece,
        spans: [spanOver(on, legs)],
      }),
  };
}

/** A piece more on one leg: it comes in at the leg's first stop and goes home at its last. */
function pieceOnLeg(on: FixContext, legIndex: number, hikerId: string, piece: NewPiece): Action {
  return pieceOnLegs(on, { first: legIndex, last: legIndex }, hikerId, piece);
}

const BAG_SIZES_L = [1, 2, 3, 4, 6, 8, 10];

/** Water bags weigh about 18 g a litre. */
export function addWaterBag(on: FixContext, legIndex: number, hikerId: string, missingL: number): Action {
  const capacityL = BAG_SIZES_L.find((size) => size >= missingL) ?? Math.ceil(missingL);
  const group = groupOf(on.plan, "bottle", "Water");
  const massG = 18 * capacityL;
  return pieceOnLeg(on, legIndex, hikerId, {
    name: `Water bag, ${capacityL} L`,
    group,
    massG,
    role: "bottle",
    capacityL,
  });
}

export function addHardCanister(on: FixContext, legIndex: number, hikerId: string, foodL: number): Action {
  const capacityL = foodL <= 7.5 ? 7.5 : foodL <= 11.5 ? 11.5 : 14;
  const group = groupOf(on.plan, "hard-canister", "Food");
  const massG = Math.round(95 * capacityL);
  const name = `Bear canister,  ${capacityL} L`;
  return pieceOnLeg(on, legIndex, hikerId, {
    name,
    group,
    massG,
    role: "hard-canister",
    capacityL,
    volumeL: capacityL,
  });
}

export function addLiner(on: FixContext, legIndex: number, hikerId: string, missingK: number): Action {
  const fleece = missingK > 2;
  const name = fleece ? "Fleece liner" : "Silk liner";
  const group = groupOf(on.plan, "bag", "Sleep");
  const warmthK = fleece ? 4 : 2;
  return pieceOnLeg(on, legIndex, hikerId, {
    name,
    group,
    massG: fleece ? 350 : 120,
    warmthK,
    volumeL: fleece ? 2 : 0.5,
  });
}

export function addPad(on: FixContext, legIndex: number, hikerId: string, missingR: number): Action {
  const padR = missingR <= 0.5 ? 0.5 : missingR <= 1.5 ? 1.5 : Math.max(2.5, Math.ceil(2 * missingR) / 2);
  const name = `Foam pad, R ${padR}`;
  const group = groupOf(on.plan, "pad", "Sleep");
  return pieceOnLeg(on, legIndex, hikerId, {
    name,
    group,
    massG: Math.round(160 * padR),
    role: "pad",
    padR,
    volumeL: 4,
  });
}

/** The group in which a hiker keeps such pieces. */
function groupOf(plan: Plan, role: Piece["role"], otherwise: string): string {
  return plan.kit.find((piece) => piece.role === role)?.group ?? otherwise;
}

/** What would meet a demand, as such pieces usually are (judgement [L]). */
const FOR_DEMAND: Partial<Record<DemandKind, NewPiece>> = {
  rain: { name: "Rain jacket", group: "Layers", massG: 220, volumeL: 1, gives: ["rain", "wind"] },
  "warm-layer": { name: "Fleece", group: "Layers", massG: 260, volumeL: 1.8, gives: ["warm-layer"] },
  traction: { name: "Spikes for shoes", group: "Snow", massG: 360, volumeL: 0.8, gives: ["traction"] },
  axe: { name: "Ice axe", group: "Snow", massG: 340, gives: ["axe"] },
  snowshoes: { name: "Snowshoes", group: "Snow", massG: 1800, gives: ["snowshoes"] },
  insects: { name: "Head net", group: "Layers", massG: 25, gives: ["insects"] },
  light: { name: "Headlamp", group: "Small items", massG: 60, gives: ["light"] },
  papers: { name: "Permit papers", group: "Papers", massG: 20, gives: ["papers"] },
};

/** A demand that no piece meets: one from the shelf, one more, or the hiker's word that it is not asked for there. */
export function meetDemand(on: FixContext, kind: DemandKind, hikerId: string): Action[] {
  const { plan, result } = on;
  const who = plan.hikers.findIndex(({ id }) => id === hikerId);
  const open = coverOf(plan, result, demandsOf(plan, result)).filter(
    (cover) => cover.kind === kind && cover.who === who && !cover.isMet,
  );
  const [first] = open;
  if (!first) return [];
  const legs: Legs = { first: first.legIndex, last: open.at(-1)!.legIndex };
  const uses = usesOf(plan);
  const owned = plan.kit.find((piece, p) => !isTakenAlong(piece) && uses[p]!.has(kind) && serves(piece, hikerId));
  const more = FOR_DEMAND[kind];
  const stopIds = open.map(({ legIndex }) => result.legs[legIndex]!.fromStopId);
  const lift: Action = {
    button: `Not required there`,
    label: "Requirement waived",
    recipe: ({ kitRules }) => {
      kitRules.demands = kitRules.demands.filter((row) => row.kind !== kind || !stopIds.includes(row.fromStopId));
      for (const fromStopId of stopIds) kitRules.demands.push({ kind, fromStopId, wanted: false });
    },
  };
  const take: Action[] = owned
    ? [
        {
          button: `Bring ${owned.name} from your shelf on ${legWords(legs)}`,
          label: `${owned.name} on ${legWords(legs)}`,
          recipe: ({ kit }) => {
            const piece = kit.find(({ id }) => id === owned.id);
            if (piece) piece.spans = [spanOver(on, legs)];
          },
        },
      ]
    : more
      ? [pieceOnLegs(on, legs, hikerId, more)]
      : [];
  return [...take, lift];
}

/** A piece of the role that is on the shelf comes along. */
export function takeFromShelf({ plan }: FixContext, role: string, hikerId: string | undefined): Action | undefined {
  const piece = plan.kit.find((one) => one.role === role && !isTakenAlong(one) && serves(one, hikerId ?? ""));
  if (!piece) return undefined;
  return {
    button: `Bring ${piece.name}`,
    label: `${piece.name}: brought along`,
    recipe: ({ kit }) => {
      const row = kit.find(({ id }) => id === piece.id);
      if (row) row.spans = wholeHike(plan);
    },
  };
}

/** A piece that is nowhere for a while is posted to where it comes in, and sent home where it goes. */
export function postAndSendHome({ plan }: FixContext, pieceId: string): Action | undefined {
  const piece = plan.kit.find((candidate) => candidate.id === pieceId);
  const { firstId, lastId } = walkEnds(plan.trip.direction);
  if (!piece) return undefined;
  return {
    button: "Mail it there and send it home afterwards",
    label: `${piece.name}: mailed and sent home`,
    recipe: (draft) => {
      const spans = draft.kit.find((candidate) => candidate.id === pieceId)?.spans ?? [];
      for (const span of spans) {
        if (span.fromStopId !== firstId && span.begins === "from-home") span.begins = "posted";
        if (span.toStopId !== lastId && (span.ends === "kept" || span.ends === "discarded")) span.ends = "sent-home";
      }
    },
  };
}

/** A stop that the plan skips is used after all. */
export function useStop({ plan }: Pick<FixContext, "plan">, stopId: string): Action | undefined {
  const stop = plan.stops.find((candidate) => candidate.id === stopId);
  if (!stop || stop.use) return undefined;
  return {
    button: `Stop at ${stopName(plan, stopId)}`,
    label: `Stop at ${stop.name}`,
    recipe: (draft) => {
      const target = draft.stops.find((candidate) => candidate.id === stopId);
      if (target) target.use = true;
    },
  };
}
