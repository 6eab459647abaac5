import { ticks } from "d3-array";
import { M_PER_MI, type Plan, type PlanResult } from "@gepack/core";
import { dayMonth, fixed } from "../units/quantity.ts";
import { AXIS_Y, DATES_Y, LEGS } from "./geometry.ts";
import type { LineFrame, LineScale } from "./scale.ts";

interface Props {
  plan: Plan;
  result: PlanResult;
  frame: LineFrame;
  /** Ticks for days where there is room for them. */
  zoomed: boolean;
}

/** Kilometres or miles walked, months or days under them. */
export function Axis({ plan, result, frame: { x, domain }, zoomed }: Props) {
  const perUnit = plan.trip.units.distance === "mi" ? M_PER_MI : 1000;
  const marks = ticks(domain[0] / perUnit, domain[1] / perUnit, x.rightPx < 720 ? 4 : 8);
  const dates = zoomed ? dayStarts(result, x, domain) : monthStarts(result, x);
  return (
    <g fontSize="12" aria-hidden="true">
      {marks.map((tick) => (
        <text
          key={tick}
          x={x(tick * perUnit)}
          y={AXIS_Y}
          fill="var(--muted)"
          textAnchor={tick === 0 ? "start" : "middle"}
        >
          {fixed(tick, tick % 1 === 0 ? 0 : 1)}
        </text>
      ))}
      {zoomed &&
        dates.map(({ px }) => (
          <line key={px} x1={px} x2={px} y1={LEGS.top - 6} y2={LEGS.top} stroke="var(--ink)" strokeWidth="1" />
        ))}
      {dates.map(({ px, text }) =>
        text === "" ? null : (
          <text
            key={px}
            x={px}
            y={DATES_Y}
            fill="var(--pine)"
            fontWeight="600"
            stroke="var(--sheet)"
            strokeWidth="3"
            paintOrder="stroke"
          >
            {text}
          </text>
        ),
      )}
    </g>
  );
}

interface DateMark {
  px: number;
  text: string;
}

const LABEL_PX = 60;

/** The first day of each month that has room for its label. */
function monthStarts(result: PlanResult, x: LineScale): DateMark[] {
  const labels: DateMark[] = [];
  let month = "";
  for (const day of result.days) {
    if (day.date.slice(0, 7) === month) continue;
    month = day.date.slice(0, 7);
    const px = x(day.fromNode * result.profile.cellM);
    if (px - (labels.at(-1)?.px ?? -Infinity) >= LABEL_PX) labels.push({ px, text: dayMonth(day.date) });
  }
  return labels;
}

/** Every day's start, with its date where there is room. */
function dayStarts(result: PlanResult, x: LineScale, [fromM, toM]: readonly [number, number]): DateMark[] {
  const marks: DateMark[] = [];
  let labelled = -Infinity;
  for (const day of result.days) {
    const metres = day.fromNode * result.profile.cellM;
    if (metres < fromM || metres > toM) continue;
    const px = x(metres);
    const room = px - labelled >= LABEL_PX;
    marks.push({ px, text: room ? dayMonth(day.date) : "" });
    if (room) labelled = px;
  }
  return marks;
}
