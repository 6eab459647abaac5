/** What the days meet at their dates, on the Line's scale: nights against the kit, heat, snow, rain, light, insects, fords. */
import { memo, useMemo } from "react";
import type { LegConditions, Plan, PlanResult } from "@gepack/core";
import { useLine, type LineScale } from "../../line/scale.ts";
import { select, useSelection } from "../../store/selection.ts";
import { Lane } from "../../ui/Lanes.tsx";
import { sayIn } from "../../words/say.ts";
import { stepsOf, type Step } from "./passage.ts";
import { INSECTS } from "./quantities.ts";
import { toPx } from "../../units/quantity.ts";

interface Props {
  plan: Plan;
  result: PlanResult;
  rows: readonly LegConditions[];
}

const HEIGHT_PX = 34;
const TOP_PX = 5;
/** A label is about so wide, and keeps clear of the edges. */
const LABEL_PX = 78;

export const PassageLanes = memo(function PassageLanes({ plan, result, rows }: Props) {
  const { x, widthPx } = useLine(result);
  const legIndex = useSelection((state) => state.legIndex);
  const say = sayIn(plan);
  const steps = useMemo(() => stepsOf(result, rows), [result, rows]);
  const leg = result.legs[legIndex];
  const lane = (title: string, of: readonly Step[], look: Look) => (
    <Lane title={title} widthPx={widthPx} heightPx={HEIGHT_PX}>
      <StepLane title={title} steps={of} x={x} widthPx={widthPx} look={look} />
    </Lane>
  );
  return (
    <div
      className="relative"
      data-testid="passage-lanes"
      onClick={(event) => {
        const metres = x.invert(event.clientX - event.currentTarget.getBoundingClientRect().left);
        const found = result.legs.find(({ fromM, toM }) => metres >= fromM && metres < toM);
        if (found) select({ legIndex: found.index });
      }}
    >
      {lane("Coldest night in ten", steps.night, {
        colour: "var(--water)",
        tell: "least",
        say: say.C,
        limits: steps.stands,
        limitWord: "what your sleep system handles",
      })}
      {lane("Hottest day in ten", steps.day, { colour: "var(--food)", tell: "most", say: say.C })}
      {lane("On snow", steps.snow, {
        colour: "var(--kit)",
        tell: "most",
        from: 0,
        to: 1,
        say: (v) => say.percent(100 * v),
      })}
      {lane("Chance of a wet day", steps.wet, {
        colour: "var(--water)",
        tell: "most",
        from: 0,
        to: 1,
        say: (v) => say.percent(100 * v),
      })}
      {lane("Daylight", steps.light, { colour: "var(--muted)", tell: "least", from: 0, say: say.hours })}
      {lane("Insects", steps.insects, {
        colour: "var(--food)",
        tell: "most",
        from: 0,
        to: 3,
        say: (v) => INSECTS[Math.round(v)] ?? "",
      })}
      {result.fords.length > 0 && (
        <Lane title="Fords" widthPx={widthPx} heightPx={22}>
          {result.fords.map((ford) => (
            <span
              key={`${ford.fordId} ${ford.atM}`}
              className={`absolute top-[3px] rounded-[2px] px-1 text-xs leading-[16px] font-semibold ${ford.class >= 3 ? "bg-danger text-sheet" : ford.class === 2 ? "bg-caution text-sheet" : "bg-pine-wash"}`}
              style={{ left: x(ford.atM) - 8 }}
              title={`${plan.stretches.find(({ id }) => id === ford.fordId)?.name ?? ""}: ${say.date(ford.date)} at ${say.clock(ford.clockH)}, lowest around ${say.clock(ford.course.lowClockH)}`}
            >
              {ford.class}
            </span>
          ))}
        </Lane>
      )}
      {leg && (
        <div
          aria-hidden="true"
          className="pointer-events-none absolute inset-y-0 border-x border-pine"
          style={{ left: x(leg.fromM), width: Math.max(2, x(leg.toM) - x(leg.fromM)) }}
        />
      )}
    </div>
  );
});

interface Look {
  colour: string;
  /** Which end of the range is given in figures. */
  tell: "least" | "most";
  from?: number;
  to?: number;
  say: (value: number) => string;
  limits?: readonly Step[];
  limitWord?: string;
}

interface StepLaneProps {
  title: string;
  steps: readonly Step[];
  x: LineScale;
  widthPx: number;
  look: Look;
}

function StepLane({ title, steps, x, widthPx, look }: StepLaneProps) {
  const { colour, tell, say, limits = [], limitWord } = look;
  if (steps.length === 0) return null;
  const values = [...steps, ...limits].map(({ value }) => value);
  const from = look.from ?? Math.min(...values);
  const to = look.to ?? Math.max(...values);
  const y = (value: number): number =>
    HEIGHT_PX - 2 - ((value - from) / Math.max(1e-9, to - from)) * (HEIGHT_PX - 2 - TOP_PX);
  const extreme = steps.reduce((a, b) => ((tell === "least" ? b.value < a.value : b.value > a.value) ? b : a));
  const base = y(from);
  const bar = ({ fromM, toM, value }: Step): string =>
    `M${toPx(x(fromM))},${base}V${toPx(y(value))}H${toPx(x(toM))}V${base}Z`;
  const edge = (of: readonly Step[]): string =>
    of
      .map(
        ({ fromM, toM, value }, i) =>
          `${i === 0 || of[i - 1]!.toM !== fromM ? "M" : "L"}${toPx(x(fromM))},${toPx(y(value))}H${toPx(x(toM))}`,
      )
      .join("");
  // Where no gutter names the lane, its figure does.
  const named = x.leftPx < LABEL_PX;
  const labelX = named
    ? x.leftPx + 2
    : Math.min(x.rightPx - LABEL_PX, Math.max(x.leftPx + 2, x((extreme.fromM + extreme.toM) / 2) + 4));
  return (
    <svg width={widthPx} height={HEIGHT_PX} role="img" aria-label={`${title}: ${say(extreme.value)} at ${tell}`}>
      <path
        d={steps
          .filter(({ bad }) => !bad)
          .map(bar)
          .join("")}
        fill={colour}
        fillOpacity="0.25"
      />
      <path
        d={steps
          .filter(({ bad }) => bad)
          .map(bar)
          .join("")}
        fill="var(--danger)"
        fillOpacity="0.3"
      />
      <path d={edge(steps)} fill="none" stroke={colour} strokeWidth="1.3" />
      {limits.length > 0 && (
        <path d={edge(limits)} fill="none" stroke="var(--ink)" strokeWidth="1.2" strokeDasharray="4 2">
          <title>{limitWord}</title>
        </path>
      )}
      <text
        x={labelX}
        y="13"
        className="text-xs font-semibold"
        fill="var(--ink)"
        stroke="var(--sheet)"
        strokeWidth="3"
        paintOrder="stroke"
      >
        {named ? `${title}: ${say(extreme.value)}` : say(extreme.value)}
      </text>
    </svg>
  );
}
