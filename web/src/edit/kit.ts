/** Edits of the kit: what is asked of it, spans that a search has found, pieces typed in a line. */
import {
  devicesOfKit,
  listNow,
  pieceOfLine,
  pieceSchema,
  readKitLine,
  removeRow,
  starterKit,
  walkEnds,
  wholeHike,
  withAlternative,
  type DemandKind,
  type PlanDecision,
  type Piece,
  type PieceSwap,
  type Plan,
  type StarterChoice,
} from "@gepack/core";
import type { Draft } from "immer";
import { edit } from "../store/document.ts";
import { mostRows } from "./fields.ts";
import { counted } from "../words/counted.ts";
import { DEMAND_WORDS } from "../words/kit.ts";
import { freshId, type Made } from "../store/made.ts";

/** The hiker's own word on a demand of the leg out of a stop; undefined leaves it to the figures. */
export function setDemand(kind: DemandKind, fromStopId: string, wanted: boolean | undefined): void {
  const word = wanted === undefined ? "automatic" : wanted ? "required" : "not required";
  void edit(`${DEMAND_WORDS[kind]}: ${word}`, ({ kitRules }) => {
    kitRules.demands = kitRules.demands.filter((row) => row.kind !== kind || row.fromStopId !== fromStopId);
    if (wanted !== undefined) kitRules.demands.push({ kind, fromStopId, wanted });
  });
}

/** So many rows the story of the kit holds; older ones go. */
const MOST_STORY = 1000;
/** As the document allows. */
const MOST_WHAT = 300;
const MOST_WHY = 500;
const MOST_LISTS = 40;

function tell(draft: Draft<Plan>, what: string, why: string, { newId, today }: Made): void {
  draft.kitStory.push({ id: newId(), on: today, what: what.slice(0, MOST_WHAT), why: why.slice(0, MOST_WHY) });
  draft.kitStory.splice(0, draft.kitStory.length - MOST_STORY);
}

/** Spans as the search has found them, in one step; why is given in the story of the kit. */
export function takeSwaps(changes: readonly PieceSwap[], label: string, why: string): void {
  void edit(label, (draft, made) => {
    const { kit } = draft;
    tell(draft, label, why, made);
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

/** On all of the distance, from home; what is carried somewhere already stays as it is. */
export function takeAlong(ids: readonly string[], label: string): void {
  void edit(label, (draft) => {
    for (const piece of draft.kit)
      if (ids.includes(piece.id) && piece.spans.length === 0) piece.spans = wholeHike(draft as Plan);
  });
}

/** On the shelf, owned and not on this hike. */
export function leaveAtHome(ids: readonly string[], label: string): void {
  setPieces(ids, label, (piece) => {
    piece.spans = [];
  });
}

/** Changes several pieces in one step. */
export function setPieces(ids: readonly string[], label: string, recipe: (piece: Piece) => void): void {
  void edit(label, ({ kit }) => {
    for (const piece of kit) if (ids.includes(piece.id)) recipe(piece);
  });
}

export function takeAlternative(pieceId: string, otherId: string, label: string, why: string): void {
  void edit(label, (draft, made) => {
    draft.kit = withAlternative((draft as Plan).kit, pieceId, otherId);
    tell(draft, label, why, made);
  });
}

/** The kit as it is, kept to be compared with; of very many the oldest goes. */
export function keepList(name: string): Promise<boolean> {
  return edit(`Save the list “${name}”`, (draft, { newId, today }) => {
    draft.savedLists.splice(0, draft.savedLists.length - MOST_LISTS + 1);
    draft.savedLists.push({ id: newId(), name, on: today, pieces: listNow(draft as Plan) });
  });
}

export function hold(choice: PlanDecision): Promise<boolean> {
  return edit(`Add a decision: ${choice.name}`, ({ decisions }) => void decisions.push(choice));
}

/** With a reason; undefined opens it again. */
export function decide(choice: PlanDecision, taken: boolean | undefined, why: string): void {
  const word = taken === undefined ? "reopened" : taken ? "taken" : "not taken along";
  void edit(`${choice.name}: ${word}`, (draft, made) => {
    const row = draft.decisions.find(({ id }) => id === choice.id);
    if (!row) return;
    if (taken === undefined) delete row.decided;
    else row.decided = { on: made.today, taken, why };
    tell(draft, `${choice.name}: ${word}`, why, made);
  });
}

/** A line as a hiker types it, see `readKitLine`: a piece, or a sentence. */
export function readPieceLine(line: string, plan: Plan, hikerId: string): Piece | string {
  const read = readKitLine(line);
  if (typeof read === "string") return read;
  if (read.massG === undefined || !/[\p{L}\p{N}]/u.test(read.name))
    return "Enter a name and a weight, such as “fleece 241 g” or “fleece 241 g worn”.";
  const { firstId, lastId } = walkEnds(plan.trip.direction);
  const group = plan.kit.find((piece) => piece.name.toLowerCase() === read.name.toLowerCase())?.group ?? "Other";
  return pieceOfLine(read, group, { idOf: freshId, hikerId, fromStopId: firstId, toStopId: lastId });
}

/** Pieces out of a table; where they replace, the kit of those whose they are goes, and what points to it follows. */
/** A list to start with, for one hiker, carried all the way. */
export function listFor(plan: Plan, hikerId: string, choice: StarterChoice): Piece[] {
  const to = { hikerId, spans: wholeHike(plan), idOf: freshId };
  return starterKit(choice, to).map((row) => pieceSchema.parse(row));
}

export function importKit(pieces: readonly Piece[], replaces: boolean): Promise<boolean> {
  return edit(`Import ${counted(pieces.length, "item")}`, (draft) => {
    const owners = new Set(pieces.map(({ ownerId }) => ownerId));
    const gone = replaces ? draft.kit.filter(({ ownerId }) => owners.has(ownerId)).map(({ id }) => id) : [];
    draft.kit.push(...structuredClone(pieces as Piece[]));
    for (const id of gone) removeRow(draft as Plan, "kit", id);
    const room = mostRows("devices") - draft.devices.length;
    draft.devices.push(...devicesOfKit(pieces, draft.devices as Plan["devices"]).slice(0, Math.max(0, room)));
  });
}
