/** One piece's bars on the Line's scale, with ends that move by pointer and by arrow keys. */
import type { KeyboardEvent } from "react";
import type { Piece, Span } from "@gepack/core";
import type { LineScale } from "../../line/scale.ts";
import { LaneField, Mark } from "../../ui/Lanes.tsx";
import { stopName } from "../../words/names.ts";
import { SPAN_WORDS } from "../../words/spans.ts";
import { endAtM, moveSpanEnd, type DragPreview, type EndMark, type Places, type SwapPoint } from "./spans.ts";

interface Props {
  places: Places;
  piece: Piece;
  points: readonly SwapPoint[];
  x: LineScale;
  preview: DragPreview | undefined;
}

export function KitLane({ places, piece, points, x, preview }: Props) {
  return (
    <LaneField>
      {piece.spans.map((span, spanIndex) => {
        const moved = preview?.spanIndex === spanIndex ? preview : undefined;
        const at = (end: "from" | "to", stopId: string): number =>
          moved?.end === end ? points[moved.pointIndex]!.atM : endAtM(points, places, stopId);
        const a = at("from", span.fromStopId);
        const b = at("to", span.toStopId);
        const left = x(Math.min(a, b));
        const width = Math.max(6, x(Math.max(a, b)) - left);
        const whole = Math.abs(b - a) >= points.at(-1)!.atM * 0.999;
        return (
          <div
            key={spanIndex}
            className="absolute top-[3px] h-[17px] max-[719px]:top-[26px] rounded-[2px] text-xs text-on-pine"
            title={describe(places, span)}
            style={{
              left,
              width,
              background: whole ? "color-mix(in srgb, var(--kit) 45%, var(--sheet))" : "var(--span)",
            }}
          >
            {!whole && width > 150 && (
              <span className="pointer-events-none flex justify-between gap-2 overflow-hidden px-2.5 leading-[17px] font-semibold whitespace-nowrap">
                <span>{spanStop(places, moved?.end === "from" ? points[moved.pointIndex]!.id : span.fromStopId)}</span>
                <span>{spanStop(places, moved?.end === "to" ? points[moved.pointIndex]!.id : span.toStopId)}</span>
              </span>
            )}
            {(["from", "to"] as const).map((end) => (
              <End
                key={end}
                {...{ places, piece, span, spanIndex, end, points }}
                leftPx={end === "from" ? 0 : width - END_PX}
              />
            ))}
          </div>
        );
      })}
    </LaneField>
  );
}

function spanStop(places: Places, stopId: string): string {
  return stopId.startsWith("@") ? "" : stopName(places, stopId);
}

function describe(places: Places, span: Span): string {
  return `${stopName(places, span.fromStopId)} (${SPAN_WORDS[span.begins]}) to ${stopName(places, span.toStopId)} (${SPAN_WORDS[span.ends]})`;
}

const END_PX = 10;

interface EndProps {
  places: Places;
  piece: Piece;
  span: Span;
  spanIndex: number;
  end: "from" | "to";
  points: readonly SwapPoint[];
  leftPx: number;
}

function End({ places, piece, span, spanIndex, end, points, leftPx }: EndProps) {
  const stopId = end === "from" ? span.fromStopId : span.toStopId;
  const atM = endAtM(points, places, stopId);
  const keys = (event: KeyboardEvent): void => {
    const by = { ArrowLeft: -1, ArrowRight: 1 }[event.key];
    if (by === undefined) return;
    event.preventDefault();
    const exact = points.findIndex((point) => point.id === stopId || Math.abs(point.atM - atM) < 1000);
    const here = exact >= 0 ? exact : points.findIndex((point) => point.atM > atM) - (by > 0 ? 1 : 0);
    moveSpanEnd(places, points, piece, { spanIndex, end }, Math.max(0, Math.min(points.length - 1, here + by)));
  };
  return (
    <Mark<EndMark>
      id={`${piece.id}-${spanIndex}-${end}`}
      data={{ pieceId: piece.id, spanIndex, end, atM }}
      label={`${piece.name}: ${end === "from" ? "carried from" : "carried until"}`}
      valueText={stopName(places, stopId)}
      lengthM={points.at(-1)!.atM}
      leftPx={leftPx}
      onKey={keys}
      className="inset-y-0 w-2.5 rounded-[2px] hover:bg-black/25"
    />
  );
}
