/** Edits of the box that is sent on from stop to stop with what is never carried. */
import { walkEnds, type Plan } from "@gepack/core";
import { edit } from "../store/document.ts";

/** What is of use in towns alone, by its name [L]. */
const OF_TOWNS = /charger|town|city|spare shoes|laundry|razor|clippers|laptop|ladeger|netzteil|stadt/i;

/** Opened wherever a night is planned and there is a post; in it what is of use in towns alone. */
export function startBounce(): void {
  void edit("Make a bounce box", (draft) => {
    if (draft.bounce) return;
    const opened = draft.stops.filter(({ use, nights, services }) => use && nights > 0 && services.includes("post"));
    draft.bounce = { pieceIds: [], stopIds: opened.map(({ id }) => id) };
    for (const piece of draft.kit) if (OF_TOWNS.test(piece.name)) putIn(draft as Plan, piece.id);
  });
}

export function dropBounce(): void {
  void edit("Remove the bounce box", (draft) => {
    for (const id of draft.bounce?.pieceIds ?? []) takeOut(draft as Plan, id);
    delete draft.bounce;
  });
}

export function openBounceAt(stopId: string, name: string, isOpened: boolean): void {
  void edit(`Bounce box: ${isOpened ? "open" : "do not open"} at ${name}`, ({ bounce }) => {
    if (!bounce || bounce.stopIds.includes(stopId) === isOpened) return;
    if (isOpened) bounce.stopIds.push(stopId);
    else bounce.stopIds = bounce.stopIds.filter((id) => id !== stopId);
  });
}

export function bouncePiece(pieceId: string, name: string, isIn: boolean): void {
  void edit(`Bounce box: ${name} ${isIn ? "in" : "out"}`, (draft) =>
    isIn ? putIn(draft as Plan, pieceId) : takeOut(draft as Plan, pieceId),
  );
}

function putIn({ kit, bounce }: Plan, pieceId: string): void {
  const piece = kit.find(({ id }) => id === pieceId);
  if (!piece || !bounce) return;
  piece.spans = [];
  if (!bounce.pieceIds.includes(pieceId)) bounce.pieceIds.push(pieceId);
}

/** Carried all the way again; what has been given spans meanwhile keeps them. */
function takeOut({ kit, bounce, trip }: Plan, pieceId: string): void {
  if (!bounce?.pieceIds.includes(pieceId)) return;
  bounce.pieceIds = bounce.pieceIds.filter((id) => id !== pieceId);
  const piece = kit.find(({ id }) => id === pieceId);
  const { firstId, lastId } = walkEnds(trip.direction);
  if (piece?.spans.length === 0)
    piece.spans = [{ fromStopId: firstId, toStopId: lastId, begins: "from-home", ends: "kept" }];
}
