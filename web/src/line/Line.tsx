/** The Line: the trail in one strip, on every station. The pack by substance above, height below, legs, water, dates. */
import { memo, useMemo, useRef } from "react";
import { ticks } from "d3-array";
import { isWalked, KG_PER_LB, nodeOf, nodesOn, type Plan, type PlanResult } from "@gepack/core";
import { select, useSelection } from "../store/selection.ts";
import { dayMonth, figure, toPx, unitSymbol } from "../units/quantity.ts";
import { counted } from "../words/counted.ts";
import { stopName } from "../words/names.ts";
import { sayIn } from "../words/say.ts";
import { ArrivalFan } from "./ArrivalFan.tsx";
import { Axis } from "./Axis.tsx";
import { AXIS_Y, DATES_Y, HEIGHT, LEGS, LOAD, loadY, TITLE_Y, topKg, TOTAL_PX, WATER_Y } from "./geometry.ts";
import { Hover } from "./Hover.tsx";
import { LegBlocks } from "./LegBlocks.tsx";
import { LineCanvas } from "./LineCanvas.tsx";
import { gutterPx, useLine, type LineFrame, type LineScale } from "./scale.ts";
import { PointPicker } from "./PointPicker.tsx";
import { SNOW_PX, SnowStrip } from "./SnowStrip.tsx";
import { packStack } from "./stack.ts";
import { Walked } from "./Walked.tsx";

interface Props {
  plan: Plan;
  result: PlanResult;
}

export const Line = memo(function Line({ plan, result }: Props) {
  const legIndex = useSelection((state) => state.legIndex);
  const hikerIndex = useSelection((state) => state.hikerIndex);
  const zoomed = useSelection((state) => state.zoomLeg !== undefined);
  const over = useRef<HTMLDivElement>(null);
  const frame = useLine(result);
  const { x, widthPx, domain } = frame;
  const hiker = plan.hikers[hikerIndex]!;
  const leg = result.legs[legIndex]!;
  const stack = useMemo(() => {
    const { cellM } = result.profile;
    const [fromNode, toNode] = domain.map((metres) => Math.round(metres / cellM)) as [number, number];
    return packStack(result, hikerIndex, [fromNode, toNode], Math.max(1, Math.round(x.rightPx - x.leftPx)));
  }, [result, hikerIndex, domain, x]);
  const top = topKg(stack.peakKg, hiker.packComfortKg);
  const left = Math.max(x(leg.fromM), x.leftPx);
  const right = Math.min(x(leg.toM), x.rightPx);
  return (
    <section ref={over} aria-label="The Line" className="relative border-b border-rule bg-sheet" data-testid="line">
      <svg className="absolute top-0 left-0 block" width={widthPx} height={TOTAL_PX} aria-hidden="true">
        <defs>
          <pattern id="dry-hatch" width="6" height="6" patternUnits="userSpaceOnUse" patternTransform="rotate(45)">
            <line x1="0" y1="0" x2="0" y2="6" stroke="var(--food)" strokeWidth="1.4" opacity="0.55" />
          </pattern>
        </defs>
        <Tints plan={plan} result={result} frame={frame} />
      </svg>
      <LineCanvas result={result} frame={frame} stack={stack} top={top} />
      <svg
        width={widthPx}
        height={TOTAL_PX}
        className="relative block font-[family-name:var(--font-figure)]"
        role="group"
        aria-label="The Line: pack weight by type, elevation, legs and water along the trail"
      >
        <defs>
          <clipPath id="line-field">
            <rect x={x.leftPx - 2} y="0" width={x.rightPx - x.leftPx + 4} height={TOTAL_PX} />
          </clipPath>
        </defs>
        <SnowStrip result={result} x={x} />
        <Weights x={x} top={top} comfortKg={hiker.packComfortKg} plan={plan} />
        <g clipPath="url(#line-field)">
          <LegBlocks plan={plan} result={result} legIndex={legIndex} x={x} />
          <WaterTicks plan={plan} result={result} x={x} />
          <Walked plan={plan} result={result} x={x} />
          <ArrivalFan plan={plan} result={result} x={x} />
        </g>
        {right > left && (
          <rect
            x={left}
            y={LOAD.top - 4}
            width={Math.max(2, right - left)}
            height={LEGS.top + LEGS.height - LOAD.top + 4}
            fill="none"
            stroke="var(--pine)"
            strokeWidth="1.5"
            pointerEvents="none"
          />
        )}
        <Axis plan={plan} result={result} frame={frame} zoomed={zoomed} />
        <text
          x={Math.max(gutterPx(widthPx), Math.min(left, widthPx - 280))}
          y={TITLE_Y}
          fontSize="13"
          fontWeight="700"
          fill="var(--pine)"
        >
          {leg.index + 1}. {stopName(plan, leg.fromStopId)} → {stopName(plan, leg.toStopId)}
        </text>
        {gutterPx(widthPx) > 100 && <Gutter plan={plan} result={result} peakKg={stack.peakKg} />}
      </svg>
      <PointPicker frame={frame} />
      <Hover over={over} plan={plan} result={result} hikerIndex={hikerIndex} frame={frame} />
      <button
        className="btn absolute top-[2px] right-[8px] min-h-[22px]! px-2! py-0! text-xs!"
        title={zoomed ? "Show the whole trail (0)" : "Show this leg and its neighbours (+)"}
        onClick={() => select({ zoomLeg: zoomed ? undefined : legIndex })}
      >
        {zoomed ? "Whole trail" : "Zoom to leg"}
      </button>
    </section>
  );
});

/** Over the comfort's line its figure needs so much room; without it, it stands under the line. */
const LABEL_ROOM_PX = 13;

/** The scale of the pack, from nothing; the comfort as a dashed line with its figure at the right end. */
function Weights({ x, top, comfortKg, plan }: { x: LineScale; top: number; comfortKg: number; plan: Plan }) {
  const { leftPx: left, rightPx: right } = x;
  const say = sayIn(plan);
  const perUnit = plan.trip.units.mass === "lb" ? KG_PER_LB : 1;
  const marks = ticks(0, top / perUnit, 3).filter((mark) => loadY(mark * perUnit, top) > LOAD.top + 4);
  const roomy = left > 100;
  const comfortY = loadY(comfortKg, top);
  return (
    <g aria-hidden="true" fontSize="12">
      {roomy &&
        marks.map((mark) => (
          <g key={mark}>
            <line
              x1={left - 4}
              x2={left}
              y1={loadY(mark * perUnit, top)}
              y2={loadY(mark * perUnit, top)}
              stroke="var(--muted)"
            />
            <text x={left - 7} y={loadY(mark * perUnit, top) + 4} textAnchor="end" fill="var(--muted)">
              {mark}
            </text>
          </g>
        ))}
      <line
        x1={left}
        x2={right}
        y1={comfortY}
        y2={comfortY}
        stroke="var(--danger)"
        strokeDasharray="4 4"
        strokeWidth="1"
      />
      <text
        x={right}
        y={comfortY - LOAD.top < LABEL_ROOM_PX ? comfortY + LABEL_ROOM_PX - 1 : comfortY - 3}
        textAnchor="end"
        fill="var(--danger)"
        stroke="var(--sheet)"
        strokeWidth="3"
        paintOrder="stroke"
        fontWeight="600"
      >
        comfortable load {say.kg(comfortKg)}
      </text>
    </g>
  );
}

function Gutter({ plan, result, peakKg }: Props & { peakKg: number }) {
  const say = sayIn(plan);
  const { units } = plan.trip;
  return (
    <g fontSize="12" fill="var(--muted)">
      <text x="18" y={LOAD.top + 8}>
        Pack weight, up to {say.kg(peakKg)}
      </text>
      {(["kit", "food", "water", "fuel"] as const).map((name, i) => (
        <g key={name}>
          <rect
            x={18 + (i % 2) * 62}
            y={LOAD.top + 15 + (i >> 1) * 15}
            width="10"
            height="10"
            fill={`var(--${name})`}
          />
          <text x={32 + (i % 2) * 62} y={LOAD.top + 24 + (i >> 1) * 15}>
            {name}
          </text>
        </g>
      ))}
      {(
        [
          ["cold", "var(--cold)", `nights below ${say.C(COLD_NIGHT_C)} and days below ${say.C(COOL_DAY_C)}`],
          ["hot", "var(--hot)", `one day in ten above ${say.C(HOT_C)}`],
          ["dry", "url(#dry-hatch)", "stretches without water"],
          ["snow", "var(--kit)", "snow underfoot when you pass"],
        ] as const
      ).map(([word, fill, threshold], i) => (
        <g key={word}>
          <title>{threshold}</title>
          <rect
            x={18 + i * 44}
            y={word === "snow" ? LOAD.top + 53 : LOAD.top + 47}
            width="10"
            height={word === "snow" ? SNOW_PX : 10}
            fill={fill}
            stroke="var(--rule)"
          />
          <text x={32 + i * 44} y={LOAD.top + 56}>
            {word}
          </text>
        </g>
      ))}
      <text x="18" y={HEIGHT.top + 24}>
        Elevation, {figure("height", result.profile.lowestM, units)} to {say.height(result.profile.highestM)}
      </text>
      <text x="18" y={LEGS.top + 15}>
        {counted(result.legs.length, "leg")}, {counted(result.walkDays + result.zeroDays, "day")}
      </text>
      <text x="18" y={WATER_Y + 4}>
        Water: counted on, other
      </text>
      <text x="18" y={AXIS_Y}>
        {unitSymbol("distance", units)} walked
      </text>
      <text x="18" y={DATES_Y} fontWeight="600" fill="var(--pine)">
        {dayMonth(plan.trip.startDate)} to {dayMonth(result.finishDate)}
      </text>
    </g>
  );
}

/** Tinted cold: frosty nights and cool days; hot: one day in ten over this. */
const HOT_C = 25;
const COLD_NIGHT_C = -4;
const COOL_DAY_C = 17;

function isCold(leg: PlanResult["legs"][number]): boolean {
  return leg.coldNightC < COLD_NIGHT_C && leg.highC < COOL_DAY_C;
}

function Tints({ plan, result, frame }: Props & { frame: LineFrame }) {
  const { profile } = result;
  const { x } = frame;
  const { leftPx: least, rightPx: most } = x;
  const band = (key: string, fromM: number, toM: number, fill: string) => {
    const from = Math.max(least, x(Math.min(fromM, toM)));
    const to = Math.min(most, x(Math.max(fromM, toM)));
    if (to <= from) return null;
    return (
      <rect
        key={key}
        x={from}
        y={LOAD.top - 4}
        width={Math.max(1, to - from + 0.5)}
        height={HEIGHT.bottom - LOAD.top + 4}
        fill={fill}
      />
    );
  };
  return (
    <g>
      {result.legs.map((leg) => {
        const fill = isCold(leg) ? "var(--cold)" : leg.hotDayC >= HOT_C ? "var(--hot)" : undefined;
        return fill && band(`leg ${leg.index}`, leg.fromM, leg.toM, fill);
      })}
      {plan.stretches
        .filter((stretch) => stretch.kind === "dry")
        .flatMap((stretch) =>
          nodesOn(profile, stretch).map(([from, to], i) =>
            band(`${stretch.id} ${i}`, from * profile.cellM, to * profile.cellM, "url(#dry-hatch)"),
          ),
        )}
    </g>
  );
}

/** All sources as two paths: a tick each, longer where it is counted on. */
function WaterTicks({ plan, result, x }: Props & { x: LineScale }) {
  const { trusted, other } = useMemo(() => {
    const counted = new Set(
      result.legs.flatMap((leg) => leg.hikers[0]!.carries.flatMap((carry) => [carry.fromSourceId, carry.toSourceId])),
    );
    const paths = { trusted: "", other: "" };
    for (const source of plan.sources) {
      if (!isWalked(result.profile, source)) continue;
      const at = toPx(x(nodeOf(result.profile, source) * result.profile.cellM));
      if (counted.has(source.id)) paths.trusted += `M${at} ${WATER_Y - 5}v9`;
      else paths.other += `M${at} ${WATER_Y - 2}v4`;
    }
    return paths;
  }, [plan.sources, result, x]);
  return (
    <g aria-hidden="true" stroke="var(--water)" strokeWidth="1.5" fill="none">
      <path d={trusted} />
      <path d={other} opacity="0.75" />
    </g>
  );
}
