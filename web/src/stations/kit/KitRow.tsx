/** One piece: its name and mass in the gutter, its spans on the Line's scale. */
import { memo } from "react";
import type { Piece } from "@gepack/core";
import { setRow } from "../../edit/rows.ts";
import { gutterPx, type LineFrame } from "../../line/scale.ts";
import { FieldNumber } from "../../ui/FieldNumber.tsx";
import { quantity } from "../../units/quantity.ts";
import { ADVICE_WORDS } from "../../words/kit.ts";
import { KitLane } from "./KitLane.tsx";
import type { DragPreview, Places, SwapPoint } from "./spans.ts";

interface RowProps {
  piece: Piece;
  places: Places;
  points: readonly SwapPoint[];
  frame: LineFrame;
  preview: DragPreview | undefined;
  onOpen: (piece: Piece) => void;
  isPicked: boolean;
  /** `to` picks all from the one picked before. */
  onPick: (id: string, to: boolean) => void;
}

/** Drawn again only when the piece or the trail has changed, not with every new result. */
export const KitRow = memo(function KitRow({
  piece,
  places,
  points,
  frame: { x, widthPx },
  preview,
  onOpen,
  isPicked,
  onPick,
}: RowProps) {
  const { units } = places.trip;
  return (
    <div className="relative h-[23px] max-[719px]:h-[48px]" data-piece={piece.name}>
      <div
        className="absolute top-0 left-0 z-[1] flex h-[23px] items-center gap-1 pl-[3px]"
        style={{ width: Math.max(gutterPx(widthPx), 200) - 6 }}
      >
        <input
          type="checkbox"
          className={`m-0 h-3 w-3 ${isPicked ? "" : "opacity-45 focus-visible:opacity-100 hover:opacity-100"}`}
          aria-label={`Select ${piece.name}`}
          checked={isPicked}
          onChange={() => {}}
          onClick={(event) => onPick(piece.id, event.shiftKey)}
        />
        <button
          className="min-w-0 flex-1 truncate text-left text-sm hover:underline"
          title={`Edit ${piece.name}`}
          onClick={() => onOpen(piece)}
        >
          {piece.name}
          {piece.quantity > 1 && ` ×${piece.quantity}`}
          {piece.wear === "worn" && <span className="text-muted"> worn</span>}
          {piece.advice?.map(({ from, said, remark }) => (
            <span key={from} className="text-caution" title={`${from}: ${ADVICE_WORDS[said]}. ${remark}`}>
              {" "}
              {ADVICE_WORDS[said]}?
            </span>
          ))}
        </button>
        <FieldNumber
          bare
          className="w-[60px]"
          path="kit.massG"
          label={`Weight of ${piece.name}`}
          value={piece.massG}
          units={units}
          onCommit={(massG) =>
            setRow("kit", piece.id, `${piece.name}: ${quantity("smallMass", massG, units)}`, { massG })
          }
        />
      </div>
      <KitLane {...{ places, piece, points, x, preview }} />
    </div>
  );
});
