/** One piece's bars on the Line's scale, with ends that move by pointer and by arrow keys. */
import { useDraggable } from "@dnd-kit/core";
import type { KeyboardEvent } from "react";
import type { Piece, Plan, Span } from "@gepack/core";
import type { lineScale } from "../line/scale.ts";
import { endAtM, moveSpanEnd, type DragPreview, type SwapPoint } from "../stations/spans.ts";
import { stopName } from "../words/names.ts";
import { SPAN_WORDS } from "../words/spans.ts";

type Scale = ReturnType<typeof lineScale>;

interface Props {
  plan: Plan;
  piece: Piece;
  points: readonly SwapPoint[];
  x: Scale;
  preview: DragPreview | undefined;
}

export function KitLane({ plan, piece, points, x, preview }: Props) {
  return (
    <>
      {piece.spans.map((span, spanIndex) => {
        const moved = preview?.spanIndex === spanIndex ? preview : undefined;
        const at = (end: "from" | "to", stopId: string): number =>
          moved?.end === end ? points[moved.pointIndex]!.atM : endAtM(points, plan, stopId);
        const a = at("from", span.fromStopId);
        const b = at("to", span.toStopId);
        const left = x(Math.min(a, b));
        const width = Math.max(6, x(Math.max(a, b)) - left);
        const whole = Math.abs(b - a) >= points.at(-1)!.atM * 0.999;
        return (
          <div
            key={spanIndex}
            className="absolute top-[3px] h-[17px] max-[719px]:top-[26px] rounded-[2px] text-xs text-on-pine"
            title={describe(plan, span)}
            style={{
              left,
              width,
              background: whole ? "color-mix(in srgb, var(--kit) 45%, var(--sheet))" : "var(--span)",
            }}
          >
            {!whole && width > 150 && (
              <span className="pointer-events-none flex justify-between gap-2 overflow-hidden px-2.5 leading-[17px] font-semibold whitespace-nowrap">
                <span>{spanStop(plan, moved?.end === "from" ? points[moved.pointIndex]!.id : span.fromStopId)}</span>
                <span>{spanStop(plan, moved?.end === "to" ? points[moved.pointIndex]!.id : span.toStopId)}</span>
              </span>
            )}
            <End plan={plan} piece={piece} span={span} spanIndex={spanIndex} end="from" points={points} />
            <End plan={plan} piece={piece} span={span} spanIndex={spanIndex} end="to" points={points} />
          </div>
        );
      })}
    </>
  );
}

function spanStop(plan: Plan, stopId: string): string {
  return stopId.startsWith("@") ? "" : stopName(plan, stopId);
}

function describe(plan: Plan, span: Span): string {
  return `${stopName(plan, span.fromStopId)} (${SPAN_WORDS[span.begins]}) to ${stopName(plan, span.toStopId)} (${SPAN_WORDS[span.ends]})`;
}

function End({
  plan,
  piece,
  span,
  spanIndex,
  end,
  points,
}: {
  plan: Plan;
  piece: Piece;
  span: Span;
  spanIndex: number;
  end: "from" | "to";
  points: readonly SwapPoint[];
}) {
  const stopId = end === "from" ? span.fromStopId : span.toStopId;
  const atM = endAtM(points, plan, stopId);
  const { setNodeRef, listeners } = useDraggable({
    id: `${piece.id}-${spanIndex}-${end}`,
    data: { pieceId: piece.id, spanIndex, end, atM },
  });
  const keys = (event: KeyboardEvent): void => {
    const by = { ArrowLeft: -1, ArrowRight: 1 }[event.key];
    if (by === undefined) return;
    event.preventDefault();
    const exact = points.findIndex((point) => point.id === stopId || Math.abs(point.atM - atM) < 1000);
    const here = exact >= 0 ? exact : points.findIndex((point) => point.atM > atM) - (by > 0 ? 1 : 0);
    void moveSpanEnd(plan, points, piece.id, { spanIndex, end }, Math.max(0, Math.min(points.length - 1, here + by)));
  };
  return (
    <span
      ref={setNodeRef}
      {...listeners}
      role="slider"
      tabIndex={0}
      aria-label={`${piece.name}: ${end === "from" ? "carried from" : "carried until"}`}
      aria-valuetext={stopName(plan, stopId)}
      aria-valuenow={Math.round(atM / 1000)}
      aria-valuemin={0}
      aria-valuemax={Math.round(points.at(-1)!.atM / 1000)}
      onKeyDown={keys}
      className={`absolute inset-y-0 w-2.5 cursor-ew-resize touch-none rounded-[2px] hover:bg-black/25 ${end === "from" ? "left-0" : "right-0"}`}
    />
  );
}
