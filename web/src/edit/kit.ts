/** Edits of the kit: what is asked of it, spans that a search has found, pieces typed in a line. */
import {
  guessGives,
  pieceSchema,
  walkEnds,
  type DemandKind,
  type Piece,
  type PieceSwap,
  type Plan,
} from "@gepack/core";
import { edit } from "../store/document.ts";
import { parseQuantity } from "../units/quantity.ts";
import { DEMAND_WORDS } from "../words/kit.ts";

/** The hiker's own word on a demand of the leg out of a stop; undefined leaves it to the figures. */
export function setDemand(kind: DemandKind, fromStopId: string, wanted: boolean | undefined): void {
  const word = wanted === undefined ? "by the figures" : wanted ? "asked for" : "not asked for";
  void edit(`${DEMAND_WORDS[kind]}: ${word}`, ({ kitRules }) => {
    kitRules.demands = kitRules.demands.filter((row) => row.kind !== kind || row.fromStopId !== fromStopId);
    if (wanted !== undefined) kitRules.demands.push({ kind, fromStopId, wanted });
  });
}

/** Spans as the search has found them, in one step. */
export function takeSwaps(changes: readonly PieceSwap[], label: string): void {
  void edit(label, ({ kit }) => {
    for (const { pieceId, spans } of changes) {
      const piece = kit.find(({ id }) => id === pieceId);
      if (piece) piece.spans = structuredClone(spans) as Piece["spans"];
    }
  });
}

/** Others carry these pieces, wherever they are carried, in one step. */
export function takeCarriers(changes: readonly { pieceId: string; carrierId: string }[], label: string): void {
  void edit(label, ({ kit }) => {
    for (const { pieceId, carrierId } of changes) {
      const piece = kit.find(({ id }) => id === pieceId);
      if (!piece) continue;
      piece.carrierId = carrierId;
      for (const span of piece.spans) delete span.carrierId;
    }
  });
}

/** `fleece 241 g worn`, `2 x bottle 38g`, `quilt 1 lb 8 oz`: how many, a name, a mass, and `worn` where it is. */
export function readPieceLine(line: string, plan: Plan, hikerId: string): Piece | string {
  const text = line.trim();
  const counted = /^(\d{1,3})\s*[x×]\s+(.+)$/iu.exec(text);
  const quantity = counted ? Math.max(1, Number(counted[1])) : 1;
  const rest = counted ? counted[2]! : text;
  const worn = /\s+worn$/i.test(rest);
  const words = rest.replace(/\s+worn$/i, "");
  const massAt = /\s(\d[\d.,]*\s*(?:kg|g|oz|lb)(?:\s*\d[\d.,]*\s*oz)?)$/i.exec(words);
  if (!massAt) return "Type a name and a mass, such as “fleece 241 g” or “fleece 241 g worn”.";
  const name = words.slice(0, massAt.index).trim();
  if (name === "") return "Type a name before the mass.";
  const mass = parseQuantity("smallMass", massAt[1]!, plan.trip.units);
  if ("error" in mass || mass.value < 0 || mass.value > 50_000) return `${massAt[1]} is no mass up to 50 kg.`;
  const { firstId, lastId } = walkEnds(plan.trip.direction);
  const gives = guessGives(name);
  return pieceSchema.parse({
    id: crypto.randomUUID(),
    name,
    massG: mass.value,
    quantity,
    group: plan.kit.find((piece) => piece.name.toLowerCase() === name.toLowerCase())?.group ?? "Other",
    wear: worn ? "worn" : "packed",
    ownerId: hikerId,
    carrierId: hikerId,
    ...(gives.length > 0 ? { gives } : {}),
    spans: [{ fromStopId: firstId, toStopId: lastId }],
  });
}
