/** Mends that add or move a piece of kit. */
import { walkEnds, type Piece, type Plan } from "@gepack/core";
import { stopName } from "../words/names.ts";
import { quantity } from "../units/quantity.ts";
import type { Action, Standing } from "./mend.ts";

type NewPiece = Pick<Piece, "name" | "group" | "massG"> & Partial<Piece>;

/** A piece more on one leg: it comes in at the leg's first stop and goes home at its last. */
function pieceOnLeg({ plan, result }: Standing, legIndex: number, hikerId: string, piece: NewPiece): Action {
  const mass = quantity("smallMass", piece.massG, plan.trip.units);
  const where = `leg ${legIndex + 1}`;
  const { firstId, lastId } = walkEnds(plan.trip.direction);
  // Between the parts of a route nothing can be posted: it comes and goes at the stops around.
  const comes = result.legs.findLast(({ index, fromStopId }) => index <= legIndex && !fromStopId.startsWith("@"));
  const goes = result.legs.find(({ index, toStopId }) => index >= legIndex && !toStopId.startsWith("@"));
  return {
    button: `Add ${article(piece.name)} on ${where} (+${mass})`,
    label: `${piece.name} on ${where}`,
    recipe: (draft) =>
      void draft.kit.push({
        id: crypto.randomUUID(),
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
        spans: [
          {
            fromStopId: comes?.fromStopId ?? firstId,
            toStopId: goes?.toStopId ?? lastId,
            begins: comes ? "posted" : "from-home",
            ends: goes ? "sent-home" : "kept",
          },
        ],
      }),
  };
}

const article = (name: string): string =>
  `${/^[aeiou]/i.test(name) ? "an" : "a"} ${name[0]!.toLowerCase()}${name.slice(1)}`;

const BAG_SIZES_L = [1, 2, 3, 4, 6, 8, 10];

/** Water bags weigh about 18 g a litre. */
export function addWaterBag(on: Standing, legIndex: number, hikerId: string, missingL: number): Action {
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

export function addHardCanister(on: Standing, legIndex: number, hikerId: string, foodL: number): Action {
  const capacityL = foodL <= 7.5 ? 7.5 : foodL <= 11.5 ? 11.5 : 14;
  const group = groupOf(on.plan, "hard-canister", "Food");
  const massG = Math.round(95 * capacityL);
  const name = `Hard canister, ${capacityL} L`;
  return pieceOnLeg(on, legIndex, hikerId, {
    name,
    group,
    massG,
    role: "hard-canister",
    capacityL,
    volumeL: capacityL,
  });
}

export function addLiner(on: Standing, legIndex: number, hikerId: string, missingK: number): Action {
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

export function addPad(on: Standing, legIndex: number, hikerId: string, missingR: number): Action {
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

/** A piece that is nowhere for a while is posted to where it comes in, and sent home where it goes. */
export function postAndSendHome({ plan }: Standing, pieceId: string): Action | undefined {
  const piece = plan.kit.find((candidate) => candidate.id === pieceId);
  const { firstId, lastId } = walkEnds(plan.trip.direction);
  if (!piece) return undefined;
  return {
    button: "Post it there and send it home after",
    label: `${piece.name}: posted and sent home`,
    recipe: (draft) => {
      const spans = draft.kit.find((candidate) => candidate.id === pieceId)?.spans ?? [];
      for (const span of spans) {
        if (span.fromStopId !== firstId && span.begins === "from-home") span.begins = "posted";
        if (span.toStopId !== lastId && (span.ends === "kept" || span.ends === "discarded")) span.ends = "sent-home";
      }
    },
  };
}

/** A stop that the plan passes by is used after all. */
export function useStop({ plan }: Pick<Standing, "plan">, stopId: string): Action | undefined {
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
