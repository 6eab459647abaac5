/** The plane of place and date with the hike's line through it: dragged or moved by keys, it moves the start. */
import { useCallback, useEffect, useMemo, useRef, useState, type KeyboardEvent, type PointerEvent } from "react";
import { dayNumber, isoOfDay, type Plan, type Plane, type PlanResult } from "@gepack/core";
import { useLine } from "../../line/scale.ts";
import { coloursOf } from "../../map/colours.ts";
import { fanEdge, fanOf } from "../../line/fan.ts";
import { useDocument } from "../../store/documentState.ts";
import { useOddsOf } from "../../store/odds.ts";
import { useSelection } from "../../store/selection.ts";
import { useThemeName } from "../../ui/useThemeName.ts";
import { dayMonth, toPx } from "../../units/quantity.ts";
import { MONTHS } from "../../words/months.ts";
import { calendarOf, dayAt, HEIGHT_PX, hikeLine, monthsIn, yOf } from "./calendar.ts";
import { planeImage, snowDots } from "./paint.ts";
import type { Shown } from "./quantities.ts";
import { ReadOut } from "./ReadOut.tsx";
import { Windows } from "./Windows.tsx";

interface Props {
  plan: Plan;
  result: PlanResult;
  plane: Plane | undefined;
  shown: Shown;
  allYear: boolean;
  /** Moves the first day, to one or by so many: keys come faster than answers. */
  onMove: (startDate: string) => void;
  onStep: (byDays: number) => void;
  /** Shows what that would be, for as long as it is dragged. */
  onTry: (startDate: string) => void;
  onLeave: () => void;
}

/** What a month's name takes beside the plane. */
const MONTH_PX = 60;

interface Dragged {
  fromY: number;
  days: number;
  plan: Plan;
  result: PlanResult;
}

export function PlaneView({ plan: now, result: newest, plane, shown, allYear, onMove, onStep, onTry, onLeave }: Props) {
  const [dragged, setDragged] = useState<Dragged>();
  // What is dragged stays what it was: the trial shows elsewhere.
  const { plan, result } = dragged ?? { plan: now, result: newest };
  const { profile, legs } = result;
  const { startDate } = plan.trip;
  const start = dayNumber(startDate)!;
  const { x, widthPx } = useLine(result);
  // Without a gutter for them the months stand on the plane.
  const narrow = x.leftPx < MONTH_PX;
  const legIndex = useSelection((state) => state.legIndex);
  const before = useDocument((state) => state.before);
  const theme = useThemeName();
  const odds = useOddsOf(plan);
  const canvas = useRef<HTMLCanvasElement>(null);
  const [over, setOver] = useState<{ px: number; y: number }>();
  const calendar = useMemo(
    () => calendarOf(dayNumber(startDate)!, dayNumber(result.finishDate)!, allYear, HEIGHT_PX),
    [startDate, result.finishDate, allYear],
  );
  const columns = plane?.columns ?? 1;
  const columnAt = useCallback(
    (px: number): number => (x.invert(px) / profile.lengthM) * columns,
    [x, profile.lengthM, columns],
  );

  useEffect(() => {
    const element = canvas.current;
    const context = element?.getContext("2d");
    if (!element || !context || !plane) return;
    const scale = window.devicePixelRatio || 1;
    element.width = Math.round(widthPx * scale);
    element.height = Math.round(HEIGHT_PX * scale);
    context.scale(scale, scale);
    const resolve = coloursOf(element.parentElement!);
    const image = planeImage(plane, shown, calendar, resolve);
    const from = columnAt(x.leftPx);
    context.drawImage(
      image,
      from,
      0,
      columnAt(x.rightPx) - from,
      image.height,
      x.leftPx,
      0,
      x.rightPx - x.leftPx,
      HEIGHT_PX,
    );
    if (shown.id !== "snowCover")
      snowDots(context, plane, calendar, columnAt, [x.leftPx, x.rightPx], resolve("var(--sheet)"));
  }, [plane, shown, calendar, x, columnAt, widthPx, theme]);

  const lineOf = (of: PlanResult, byDays: number): string =>
    hikeLine(of)
      .map(([metres, day]) => `${toPx(x(metres))},${toPx(yOf(calendar, day + byDays))}`)
      .join(" ");
  const days = dragged?.days ?? 0;
  const moved = before?.legs[0] !== undefined && before.legs[0].startDate !== startDate && before.profile === profile;
  const leg = legs[legIndex];

  const down = (event: PointerEvent<SVGElement>): void => {
    event.currentTarget.setPointerCapture(event.pointerId);
    setDragged({ fromY: event.nativeEvent.offsetY, days: 0, plan, result });
  };
  const move = (event: PointerEvent<SVGElement>): void => {
    const { offsetX: px, offsetY: y } = event.nativeEvent;
    setOver(px >= x.leftPx && px <= x.rightPx && y >= 0 && y <= HEIGHT_PX ? { px, y } : undefined);
    if (!dragged) return;
    const by = dayAt(calendar, y) - dayAt(calendar, dragged.fromY);
    if (by === dragged.days) return;
    setDragged({ ...dragged, days: by });
    onTry(isoOfDay(start + by));
  };
  const up = (): void => {
    if (dragged) onLeave();
    if (dragged && dragged.days !== 0) onMove(isoOfDay(start + dragged.days));
    setDragged(undefined);
  };
  const keys = (event: KeyboardEvent): void => {
    const step = event.shiftKey ? 7 : 1;
    const by = { ArrowUp: -step, ArrowDown: step }[event.key];
    if (by === undefined) return;
    event.preventDefault();
    onStep(by);
  };
  return (
    <div className="relative" style={{ height: HEIGHT_PX }}>
      <canvas
        ref={canvas}
        aria-hidden="true"
        className="absolute top-0 left-0"
        style={{ width: widthPx, height: HEIGHT_PX }}
      />
      <svg
        width={widthPx}
        height={HEIGHT_PX}
        className="absolute top-0 left-0 cursor-ns-resize touch-none select-none"
        data-testid="plane"
        tabIndex={0}
        role="slider"
        aria-label="Start date: drag the line, or press up and down for a day, with Shift for a week"
        aria-orientation="vertical"
        aria-valuenow={start}
        aria-valuetext={dayMonth(startDate)}
        onPointerDown={down}
        onPointerMove={move}
        onPointerUp={up}
        onPointerCancel={() => {
          onLeave();
          setDragged(undefined);
        }}
        onPointerLeave={() => setOver(undefined)}
        onKeyDown={keys}
      >
        {monthsIn(calendar).map(({ day, month }) => (
          <g key={day} className="text-xs">
            <line
              x1={x.leftPx}
              x2={x.rightPx}
              y1={yOf(calendar, day)}
              y2={yOf(calendar, day)}
              stroke="var(--ink)"
              strokeOpacity="0.18"
            />
            <text
              x={narrow ? x.leftPx + 4 : x.leftPx - 6}
              y={yOf(calendar, day) + (narrow ? -3 : 4)}
              textAnchor={narrow ? "start" : "end"}
              fill={narrow ? "var(--ink)" : "var(--muted)"}
            >
              1 {MONTHS[month]}
            </text>
          </g>
        ))}
        {leg && (
          <rect
            x={x(leg.fromM)}
            width={Math.max(2, x(leg.toM) - x(leg.fromM))}
            y="0"
            height={HEIGHT_PX}
            fill="none"
            stroke="var(--pine)"
            strokeWidth="1.5"
          />
        )}
        <Windows plan={plan} result={result} calendar={calendar} x={x} />
        {moved && (
          <polyline
            points={lineOf(before, 0)}
            fill="none"
            stroke="var(--ink)"
            strokeWidth="1.2"
            strokeDasharray="4 3"
          />
        )}
        {days !== 0 && (
          <polyline
            points={lineOf(result, 0)}
            fill="none"
            stroke="var(--ink)"
            strokeWidth="1.2"
            strokeDasharray="4 3"
          />
        )}
        {odds && days === 0 && (
          <polygon
            data-testid="plane-fan"
            points={fanEdge(
              fanOf(odds, result),
              (metres) => x(metres),
              (day) => yOf(calendar, day),
            )}
            fill="var(--ink)"
            fillOpacity="0.16"
            stroke="var(--ink)"
            strokeOpacity="0.55"
            strokeWidth="1"
          >
            <title>Eight in ten simulated hikes pass within this band</title>
          </polygon>
        )}
        <polyline points={lineOf(result, days)} fill="none" stroke="var(--sheet)" strokeWidth="5" strokeOpacity="0.8" />
        <polyline points={lineOf(result, days)} fill="none" stroke="var(--ink)" strokeWidth="2.5" />
        <circle
          cx={x(0)}
          cy={yOf(calendar, start + days)}
          r="6"
          fill="var(--pine)"
          stroke="var(--sheet)"
          strokeWidth="2"
        />
        {(days !== 0 || moved) && (
          <g transform={`translate(${x(0) + 12}, ${yOf(calendar, start + days) - 12})`}>
            <rect width="150" height="22" rx="3" fill="var(--pine)" />
            <text x="8" y="15" fill="var(--on-pine)" className="text-sm font-bold">
              {dayMonth(isoOfDay(start + days))}, was {dayMonth(days !== 0 ? startDate : before!.legs[0]!.startDate)}
            </text>
          </g>
        )}
      </svg>
      {!plane && (
        <p role="status" className="absolute top-2 m-0 text-sm text-muted" style={{ left: x.leftPx + 12 }}>
          Calculating the season…
        </p>
      )}
      {over && plane && !dragged && (
        <ReadOut
          plan={plan}
          result={result}
          plane={plane}
          shown={shown}
          over={over}
          day={dayAt(calendar, over.y)}
          metres={x.invert(over.px)}
        />
      )}
    </div>
  );
}
