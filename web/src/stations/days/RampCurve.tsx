/** Hours of a day over the hike as a curve; its corners are handles, moved by pointer and by arrow keys. */
import { DndContext, PointerSensor, useDraggable, useSensor, useSensors } from "@dnd-kit/core";
import type { KeyboardEvent } from "react";
import { fixed } from "../../units/quantity.ts";

export interface RampPoint {
  day: number;
  hoursH: number;
}

interface Props {
  label: string;
  points: readonly RampPoint[];
  /** Days of the hike. */
  lengthDays: number;
  /** The first point stays on its day. */
  onMove: (index: number, point: RampPoint) => void;
}

const WIDTH_PX = 340;
const HEIGHT_PX = 96;
const LEFT_PX = 26;
const BOTTOM_PX = 16;
const HANDLE_PX = 11;
const BY_POINTER = { activationConstraint: { distance: 2 } };
/** What a step of an arrow key is. */
const STEP_DAYS = 1;
const STEP_H = 0.1;

export function RampCurve({ label, points, lengthDays, onMove }: Props) {
  const sensors = useSensors(useSensor(PointerSensor, BY_POINTER));
  const lastDay = Math.max(lengthDays, (points.at(-1)?.day ?? 0) + 7);
  const mostH = Math.max(10, ...points.map(({ hoursH }) => Math.ceil(hoursH + 1)));
  const x = (day: number): number => LEFT_PX + (day / lastDay) * (WIDTH_PX - LEFT_PX - HANDLE_PX);
  const y = (hoursH: number): number => (1 - hoursH / mostH) * (HEIGHT_PX - BOTTOM_PX - HANDLE_PX) + HANDLE_PX / 2;
  const perPx = {
    days: lastDay / (WIDTH_PX - LEFT_PX - HANDLE_PX),
    hours: mostH / (HEIGHT_PX - BOTTOM_PX - HANDLE_PX),
  };
  const move = (index: number, byDays: number, byH: number): void => {
    const { day, hoursH } = points[index]!;
    onMove(index, {
      day: index === 0 ? day : Math.max(1, Math.round(day + byDays)),
      hoursH: Math.min(20, Math.max(1, Math.round((hoursH + byH) * 10) / 10)),
    });
  };
  const line = [...points, { day: lastDay, hoursH: points.at(-1)!.hoursH }];
  return (
    <DndContext
      sensors={sensors}
      autoScroll={false}
      onDragEnd={({ active, delta }) => move(Number(active.id), delta.x * perPx.days, -delta.y * perPx.hours)}
    >
      <div
        className="relative max-w-full"
        style={{ width: WIDTH_PX, height: HEIGHT_PX }}
        role="group"
        aria-label={label}
      >
        <svg width={WIDTH_PX} height={HEIGHT_PX} className="absolute inset-0 max-w-full" aria-hidden="true">
          {[0, mostH / 2, mostH].map((hoursH) => (
            <g key={hoursH}>
              <line x1={LEFT_PX} x2={WIDTH_PX} y1={y(hoursH)} y2={y(hoursH)} stroke="var(--rule)" />
              <text x={LEFT_PX - 6} y={y(hoursH) + 4} textAnchor="end" fontSize={12} fill="var(--muted)">
                {fixed(hoursH, 0)}
              </text>
            </g>
          ))}
          <polyline
            points={line.map(({ day, hoursH }) => `${x(day)},${y(hoursH)}`).join(" ")}
            fill="none"
            stroke="var(--pine)"
            strokeWidth={2}
          />
          <text x={LEFT_PX} y={HEIGHT_PX - 2} fontSize={12} fill="var(--muted)">
            hours by day of the hike
          </text>
          <text x={WIDTH_PX - 2} y={HEIGHT_PX - 2} textAnchor="end" fontSize={12} fill="var(--muted)">
            day {fixed(lastDay, 0)}
          </text>
        </svg>
        {points.map((point, i) => (
          <Handle
            key={i}
            index={i}
            point={point}
            label={`${label}, ${i === 0 ? "first day" : `day ${point.day}`}`}
            left={x(point.day) - HANDLE_PX / 2}
            top={y(point.hoursH) - HANDLE_PX / 2}
            onStep={(byDays, byH) => move(i, byDays, byH)}
          />
        ))}
      </div>
    </DndContext>
  );
}

interface HandleProps {
  index: number;
  point: RampPoint;
  label: string;
  left: number;
  top: number;
  onStep: (byDays: number, byH: number) => void;
}

function Handle({ index, point, label, left, top, onStep }: HandleProps) {
  const { setNodeRef, listeners, transform } = useDraggable({ id: String(index) });
  const keys = (event: KeyboardEvent): void => {
    const step = {
      ArrowUp: [0, STEP_H],
      ArrowDown: [0, -STEP_H],
      ArrowLeft: [-STEP_DAYS, 0],
      ArrowRight: [STEP_DAYS, 0],
    }[event.key];
    if (!step) return;
    event.preventDefault();
    const times = event.shiftKey ? 5 : 1;
    onStep(step[0]! * times, step[1]! * times);
  };
  return (
    <span
      ref={setNodeRef}
      {...listeners}
      role="slider"
      tabIndex={0}
      aria-label={label}
      aria-valuenow={point.hoursH}
      aria-valuemin={1}
      aria-valuemax={20}
      aria-valuetext={`${fixed(point.hoursH, 1)} h`}
      title={`day ${point.day}: ${fixed(point.hoursH, 1)} h`}
      onKeyDown={keys}
      className="absolute size-[11px] cursor-move touch-none rounded-full border-2 border-sheet bg-pine"
      style={{ left: left + (transform?.x ?? 0), top: top + (transform?.y ?? 0) }}
    />
  );
}
