/**
 * Lanes on the Line's own scale, with marks and spans that move by pointer and by arrow keys. The Line's
 * gutter holds their labels; zoomed, what is outside is clipped at it.
 */
import { DndContext, PointerSensor, useDraggable, useSensor, useSensors, type DragEndEvent } from "@dnd-kit/core";
import type { KeyboardEvent, ReactNode } from "react";
import { gutterPx, type LineScale } from "../line/scale.ts";

/** What a draggable mark carries along: whatever its lane needs back when it is dropped, and where it stood. */
export interface MarkData {
  atM: number;
}

interface BoardProps<Data extends MarkData> {
  x: LineScale;
  /** Where a mark was dropped, in metres of walking order. */
  onDrop: (data: Data, metres: number) => void;
  /** While it moves; undefined when it is dropped. */
  onMove?: (move: { data: Data; metres: number } | undefined) => void;
  children: ReactNode;
}

/** One object for all boards: with a new one every mark on them would be drawn again. */
const BY_POINTER = { activationConstraint: { distance: 3 } };

/** A board of lanes on which marks are moved. */
export function LaneBoard<Data extends MarkData>({ x, onDrop, onMove, children }: BoardProps<Data>) {
  const sensors = useSensors(useSensor(PointerSensor, BY_POINTER));
  const read = (event: Pick<DragEndEvent, "active" | "delta">): { data: Data; metres: number } | undefined => {
    const data = event.active.data.current as Data | undefined;
    return data && { data, metres: x.invert(x(data.atM) + event.delta.x) };
  };
  return (
    <DndContext
      sensors={sensors}
      onDragMove={(event) => onMove?.(read(event))}
      onDragCancel={() => onMove?.(undefined)}
      onDragEnd={(event) => {
        const landed = read(event);
        onMove?.(undefined);
        if (landed) onDrop(landed.data, landed.metres);
      }}
      autoScroll={false}
    >
      {children}
    </DndContext>
  );
}

/** One lane: its label in the gutter, what is on it clipped to the Line's width. */
export function Lane({
  title,
  widthPx,
  heightPx,
  children,
}: {
  title: ReactNode;
  widthPx: number;
  heightPx: number;
  children: ReactNode;
}) {
  const gutter = gutterPx(widthPx);
  return (
    <div
      role="group"
      aria-label={typeof title === "string" ? title : undefined}
      className="relative border-t border-rule"
      style={{ height: heightPx }}
    >
      {gutter > 100 && <span className="absolute top-[3px] left-[18px] text-xs text-muted">{title}</span>}
      <LaneField>{children}</LaneField>
    </div>
  );
}

/** The part of a lane that is under the Line. */
export function LaneField({ children }: { children: ReactNode }) {
  return <div className="lane-field absolute inset-0">{children}</div>;
}

interface MarkProps<Data extends MarkData> {
  id: string;
  data: Data;
  label: string;
  /** Where it stands, in words. */
  valueText: string;
  lengthM: number;
  leftPx: number;
  className: string;
  title?: string;
  onKey: (event: KeyboardEvent) => void;
  onClick?: () => void;
}

/** A mark that can be dragged along its lane, and moved by the keys that its lane knows. */
export function Mark<Data extends MarkData>(props: MarkProps<Data>) {
  const { id, data, label, valueText, lengthM, leftPx, className, title, onKey, onClick } = props;
  const { setNodeRef, listeners, transform } = useDraggable({ id, data });
  return (
    <span
      ref={setNodeRef}
      {...listeners}
      role="slider"
      tabIndex={0}
      aria-label={label}
      aria-valuenow={Math.round(data.atM / 100) / 10}
      aria-valuemin={0}
      aria-valuemax={Math.round(lengthM / 1000)}
      aria-valuetext={valueText}
      title={title}
      onKeyDown={onKey}
      onClick={onClick}
      className={`absolute cursor-ew-resize touch-none ${className}`}
      style={{ left: leftPx + (transform?.x ?? 0) }}
    />
  );
}
