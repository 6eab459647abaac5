/** The Line: the whole trail in one strip, on every station. Weight above, height below, legs, water, dates. */
import { type KeyboardEvent, type PointerEvent, useMemo, useState } from "react";
import { nodeAt, type Plan, type PlanResult } from "@gepack/core";
import { select, useApp } from "../store/app.ts";
import { dayMonth, figure, quantity, unitSymbol } from "../units/quantity.ts";
import { stopName } from "../words/names.ts";
import { areaPath, linePath, peakPerPixel } from "./paths.ts";
import { gutterPx, lineScale } from "./scale.ts";
import { useWidth } from "./useWidth.ts";

const TITLE_Y = 18;
const LOAD = { top: 26, bottom: 74 };
const HEIGHT = { top: 78, bottom: 128 };
const LEGS = { top: 132, height: 20 };
const WATER_Y = 160;
const AXIS_Y = 178;
const DATES_Y = 194;
const TOTAL_PX = 202;

interface Props {
  plan: Plan;
  result: PlanResult;
}

export function Line({ plan, result }: Props) {
  const width = useWidth();
  const { legIndex, hikerIndex } = useApp();
  const [hoverM, setHoverM] = useState<number>();
  const x = lineScale(result.profile.lengthM, width);
  const hiker = plan.hikers[hikerIndex]!;
  const units = plan.trip.units;
  const leg = result.legs[legIndex]!;
  const drawn = useLanes(result, hikerIndex, width, hiker.packComfortKg);

  const move = (event: PointerEvent): void => {
    const metres = x.invert(event.clientX);
    setHoverM(metres >= 0 && metres <= result.profile.lengthM ? metres : undefined);
  };
  const keys = (event: KeyboardEvent): void => {
    const by = { ArrowRight: 1, ArrowDown: 1, ArrowLeft: -1, ArrowUp: -1, Home: -Infinity, End: Infinity }[event.key];
    if (by === undefined) return;
    event.preventDefault();
    select({ legIndex: Math.max(0, Math.min(result.legs.length - 1, legIndex + by)) });
  };

  return (
    <div className="relative border-b border-rule bg-sheet" data-testid="line">
      <svg
        width={width}
        height={TOTAL_PX}
        className="block font-[family-name:var(--font-figure)]"
        onPointerMove={move}
        onPointerLeave={() => setHoverM(undefined)}
        role="group"
        aria-label="The Line: pack weight, height, legs and water along the trail"
      >
        <defs>
          <pattern id="dry-hatch" width="6" height="6" patternUnits="userSpaceOnUse" patternTransform="rotate(45)">
            <line x1="0" y1="0" x2="0" y2="6" stroke="var(--food)" strokeWidth="1.4" opacity="0.55" />
          </pattern>
        </defs>
        <Tints plan={plan} result={result} x={x} />
        <rect
          x={x(leg.fromM)}
          y={LOAD.top - 4}
          width={Math.max(2, x(leg.toM) - x(leg.fromM))}
          height={LEGS.top - LOAD.top + 4}
          fill="var(--pine-wash)"
          opacity="0.7"
        />
        <path d={drawn.height} fill="var(--ground)" />
        <line
          x1={x(0)}
          x2={x(result.profile.lengthM)}
          y1={drawn.comfortY}
          y2={drawn.comfortY}
          stroke="var(--danger)"
          strokeDasharray="4 4"
          strokeWidth="1"
        />
        <path d={drawn.load} fill="none" stroke="var(--ink)" strokeWidth="1.2" />
        <rect
          x={x(leg.fromM)}
          y={LOAD.top - 4}
          width={Math.max(2, x(leg.toM) - x(leg.fromM))}
          height={LEGS.top + LEGS.height - LOAD.top + 4}
          fill="none"
          stroke="var(--pine)"
          strokeWidth="1.5"
          pointerEvents="none"
        />
        <LegBlocks result={result} plan={plan} legIndex={legIndex} x={x} onKeyDown={keys} />
        <WaterTicks plan={plan} result={result} x={x} />
        <Axis result={result} plan={plan} x={x} />
        <text x={clampText(x(leg.fromM), width)} y={TITLE_Y} fontSize="13" fontWeight="700" fill="var(--pine)">
          {leg.index + 1}. {stopName(plan, leg.fromStopId)} → {stopName(plan, leg.toStopId)}
        </text>
        {hoverM !== undefined && (
          <line
            x1={x(hoverM)}
            x2={x(hoverM)}
            y1={LOAD.top - 4}
            y2={WATER_Y + 4}
            stroke="var(--muted)"
            strokeWidth="1"
            pointerEvents="none"
          />
        )}
        {gutterPx(width) > 100 && (
          <g fontSize="12" fill="var(--muted)">
            <text x="18" y={TITLE_Y} fontWeight="600" fill="var(--ink)">
              {hoverM === undefined ? `${hiker.name}` : readout(plan, result, hikerIndex, hoverM)}
            </text>
            <text x="18" y={LOAD.top + 16}>
              Pack, at most {quantity("mass", drawn.peakKg, units)}
            </text>
            <text x="18" y={LOAD.top + 33} fill="var(--danger)">
              – – comfort {quantity("mass", hiker.packComfortKg, units)}
            </text>
            {(
              [
                ["cold", "var(--cold)"],
                ["hot", "var(--hot)"],
                ["dry", "url(#dry-hatch)"],
              ] as const
            ).map(([word, fill], i) => (
              <g key={word}>
                <rect x={18 + i * 52} y={LOAD.top + 46} width="12" height="11" fill={fill} stroke="var(--rule)" />
                <text x={34 + i * 52} y={LOAD.top + 56}>
                  {word}
                </text>
              </g>
            ))}
            <text x="18" y={HEIGHT.top + 32}>
              Height, {figure("height", result.profile.lowestM, units)} to{" "}
              {quantity("height", result.profile.highestM, units)}
            </text>
            <text x="18" y={LEGS.top + 15}>
              {result.legs.length} legs, {result.walkDays + result.zeroDays} days
            </text>
            <text x="18" y={WATER_Y + 4}>
              Water: trusted, other
            </text>
            <text x="18" y={AXIS_Y}>
              {unitSymbol("distance", units)} walked
            </text>
            <text x="18" y={DATES_Y} fontWeight="600" fill="var(--pine)">
              {dayMonth(plan.trip.startDate)} to {dayMonth(result.finishDate)}
            </text>
          </g>
        )}
      </svg>
    </div>
  );
}

/** Tinted cold: frosty nights and cool days; hot: one day in ten over this. */
const HOT_C = 25;
const COLD_NIGHT_C = -4;
const COOL_DAY_C = 17;

function isCold(leg: PlanResult["legs"][number]): boolean {
  return leg.coldNightC < COLD_NIGHT_C && leg.highC < COOL_DAY_C;
}

type Scale = ReturnType<typeof lineScale>;

function clampText(px: number, width: number): number {
  return Math.max(12, Math.min(px, width - 260));
}

function useLanes(result: PlanResult, hikerIndex: number, width: number, comfortKg: number) {
  return useMemo(() => {
    const x = lineScale(result.profile.lengthM, width);
    const x0 = x(0);
    const pixels = Math.max(1, Math.round(x(result.profile.lengthM) - x0));
    const load = result.loadKg[hikerIndex]!;
    const loads = peakPerPixel(load, load.length, pixels);
    const heights = peakPerPixel(result.profile.heightM, result.profile.heightM.length, pixels);
    let peakKg = 0;
    for (const kg of loads) if (kg > peakKg) peakKg = kg;
    const topKg = Math.max(peakKg, comfortKg) * 1.05;
    const loadY = (kg: number): number => LOAD.bottom - (kg / topKg) * (LOAD.bottom - LOAD.top);
    const { highestM, lowestM } = result.profile;
    const heightY = (m: number): number =>
      HEIGHT.bottom - 2 - ((m - lowestM) / Math.max(1, highestM - lowestM)) * (HEIGHT.bottom - HEIGHT.top - 2);
    return {
      load: linePath(loads, x0, loadY),
      height: areaPath(heights, x0, HEIGHT.bottom, heightY),
      comfortY: loadY(comfortKg),
      peakKg,
    };
  }, [result, hikerIndex, width, comfortKg]);
}

function readout(plan: Plan, result: PlanResult, hikerIndex: number, metres: number): string {
  const node = Math.round(metres / result.profile.cellM);
  const day = result.days.find((candidate) => candidate.toNode >= node);
  const units = plan.trip.units;
  const kg = result.loadKg[hikerIndex]![Math.min(node, result.profile.cellCount - 1)]!;
  return `${quantity("distance", metres, units, 0)}, ${day ? dayMonth(day.date) : ""}, ${quantity("mass", kg, units)}`;
}

function Tints({ plan, result, x }: Props & { x: Scale }) {
  const { profile } = result;
  const band = (key: string, fromM: number, toM: number, fill: string) => (
    <rect
      key={key}
      x={x(Math.min(fromM, toM))}
      y={LOAD.top - 4}
      width={Math.max(1, Math.abs(x(toM) - x(fromM)) + 0.5)}
      height={HEIGHT.bottom - LOAD.top + 4}
      fill={fill}
    />
  );
  const at = (trackM: number): number => nodeAt(profile, trackM) * profile.cellM;
  const cold = result.legs.filter(isCold).map((leg) => band(`c${leg.index}`, leg.fromM, leg.toM, "var(--cold)"));
  const hot = result.legs
    .filter((leg) => leg.hotDayC >= HOT_C && !isCold(leg))
    .map((leg) => band(`h${leg.index}`, leg.fromM, leg.toM, "var(--hot)"));
  const dry = plan.stretches
    .filter((stretch) => stretch.kind === "dry")
    .map((stretch) => band(stretch.id, at(stretch.fromM), at(stretch.toM), "url(#dry-hatch)"));
  return <g aria-hidden="true">{[...cold, ...hot, ...dry]}</g>;
}

function LegBlocks({
  plan,
  result,
  legIndex,
  x,
  onKeyDown,
}: Props & { legIndex: number; x: Scale; onKeyDown: (event: KeyboardEvent) => void }) {
  return (
    <g
      role="listbox"
      tabIndex={0}
      aria-label="Legs"
      aria-activedescendant={`leg-block-${legIndex}`}
      onKeyDown={onKeyDown}
    >
      {result.legs.map((leg) => {
        const px = Math.max(1, x(leg.toM) - x(leg.fromM) - 1);
        const chosen = leg.index === legIndex;
        return (
          <g
            key={leg.index}
            id={`leg-block-${leg.index}`}
            role="option"
            aria-selected={chosen}
            aria-label={`Leg ${leg.index + 1}, ${stopName(plan, leg.fromStopId)} to ${stopName(plan, leg.toStopId)}`}
            onClick={() => select({ legIndex: leg.index })}
            className="cursor-pointer"
          >
            <rect
              x={x(leg.fromM) + 0.5}
              y={LEGS.top}
              width={px}
              height={LEGS.height}
              rx="2"
              fill={chosen ? "var(--pine)" : "var(--pine-wash)"}
            />
            {px > 14 && (
              <text
                x={x((leg.fromM + leg.toM) / 2)}
                y={LEGS.top + 14}
                textAnchor="middle"
                fontSize="12"
                fontWeight="600"
                fill={chosen ? "var(--on-pine)" : "var(--ink)"}
              >
                {leg.index + 1}
              </text>
            )}
          </g>
        );
      })}
    </g>
  );
}

function WaterTicks({ plan, result, x }: Props & { x: Scale }) {
  const trusted = new Set(
    result.legs.flatMap((leg) => leg.hikers[0]!.carries.flatMap((carry) => [carry.fromSourceId, carry.toSourceId])),
  );
  return (
    <g aria-hidden="true">
      {plan.sources.map((source) => {
        const px = x(nodeAt(result.profile, source.trackM) * result.profile.cellM);
        const counts = trusted.has(source.id);
        return (
          <rect
            key={source.id}
            x={px - 0.75}
            y={WATER_Y - (counts ? 5 : 2)}
            width="1.5"
            height={counts ? 9 : 4}
            fill="var(--water)"
            opacity={counts ? 1 : 0.75}
          />
        );
      })}
    </g>
  );
}

function Axis({ plan, result, x }: Props & { x: Scale }) {
  const perUnit = plan.trip.units.distance === "mi" ? 1609.344 : 1000;
  const ticks = x
    .copy()
    .domain([0, result.profile.lengthM / perUnit])
    .ticks(x.range()[1]! < 720 ? 4 : 8);
  const months = monthStarts(result, x);
  return (
    <g fontSize="12" aria-hidden="true">
      {ticks.map((tick) => (
        <text
          key={tick}
          x={x(tick * perUnit)}
          y={AXIS_Y}
          fill="var(--muted)"
          textAnchor={tick === 0 ? "start" : "middle"}
        >
          {tick.toLocaleString("en")}
        </text>
      ))}
      {months.map((month) => (
        <text key={month.px} x={month.px} y={DATES_Y} fill="var(--pine)" fontWeight="600">
          {month.text}
        </text>
      ))}
    </g>
  );
}

/** The first day of each month that has room for its label. */
function monthStarts(result: PlanResult, x: Scale): { px: number; text: string }[] {
  const labels: { px: number; text: string }[] = [];
  let month = "";
  for (const day of result.days) {
    if (day.date.slice(0, 7) === month) continue;
    month = day.date.slice(0, 7);
    const px = x(day.fromNode * result.profile.cellM);
    if (px - (labels.at(-1)?.px ?? -Infinity) >= 60) labels.push({ px, text: dayMonth(day.date) });
  }
  return labels;
}
