/** A friend’s marks, laid beside the pieces in one step. */
import { advisedPieces, type AdviceFile } from "@gepack/core";
import { edit } from "../store/document.ts";
import { counted } from "../words/counted.ts";

/** So many a piece holds; the oldest goes. */
const MOST = 20;

export function takeAdvice(advice: AdviceFile): Promise<boolean> {
  const from = advice.from.trim() || "A friend";
  return edit(`Marks of ${from}`, ({ kit }) => {
    for (const { mark, pieceId } of advisedPieces(kit, advice)) {
      const piece = kit.find(({ id }) => id === pieceId);
      if (!piece) continue;
      // The same friend’s newer word takes the place of the older.
      const others = (piece.advice ?? []).filter((one) => one.from !== from);
      const said = mark.said ?? "keep";
      piece.advice = [...others, { from, said, remark: mark.remark, on: advice.on }].slice(-MOST);
    }
  });
}

export function dropAdvice(count: number): Promise<boolean> {
  return edit(`Remove ${counted(count, "mark")}`, ({ kit }) => {
    for (const piece of kit) delete piece.advice;
  });
}
