/** Home: the whole plan as one table, a row a leg, and the Why panel beside it. */
import type { KeyboardEvent } from "react";
import type { Explained, LegResult, Plan, PlanResult } from "@gepack/core";
import { WhyPanel } from "../components/WhyPanel.tsx";
import { select, useApp } from "../store/app.ts";
import { dayMonth, figure, fixed, quantity, unitSymbol } from "../units/quantity.ts";
import { CHECK_MARK } from "../words/checks.ts";
import { stopName } from "../words/names.ts";
import { StationGate } from "./StationGate.tsx";

export default function Legs() {
  return (
    <StationGate>
      {(plan, result) => (
        <div className="grid grid-cols-1 min-[1100px]:grid-cols-[minmax(0,1fr)_356px]">
          <LegTable plan={plan} result={result} />
          <WhyPanel plan={plan} result={result} />
        </div>
      )}
    </StationGate>
  );
}

const HEAD = "px-1.5 py-1.5 text-right text-xs font-medium text-muted whitespace-nowrap";
const CELL = "figure px-1.5 py-[3px] text-right whitespace-nowrap";

function LegTable({ plan, result }: { plan: Plan; result: PlanResult }) {
  const { legIndex, hikerIndex, before } = useApp();
  const units = plan.trip.units;
  const hiker = plan.hikers[hikerIndex]!;
  const scaleKg = Math.max(hiker.packComfortKg * 1.15, ...result.legs.map((leg) => leg.hikers[hikerIndex]!.heaviestKg));
  const keys = (event: KeyboardEvent): void => {
    const by = { ArrowDown: 1, ArrowUp: -1 }[event.key];
    if (by === undefined) return;
    event.preventDefault();
    const next = Math.max(0, Math.min(result.legs.length - 1, legIndex + by));
    select({ legIndex: next });
    document.getElementById(`leg-row-${next}`)?.focus();
  };
  return (
    <div className="relative overflow-x-auto bg-sheet">
      <Key />
      <table className="w-full border-collapse text-sm" onKeyDown={keys}>
        <caption className="sr-only">
          Legs of {plan.trip.name} for {hiker.name}
        </caption>
        <thead>
          <tr className="border-b border-rule bg-paper">
            <th scope="col" className={`${HEAD} pl-[18px] text-left!`} colSpan={2}>
              Leg
            </th>
            <th scope="col" className={HEAD}>
              {unitSymbol("distance", units)}
            </th>
            <th scope="col" className={`${HEAD} max-[560px]:hidden`}>
              climb {unitSymbol("height", units)}
            </th>
            <th scope="col" className={HEAD}>
              days
            </th>
            <th scope="col" className={`${HEAD} max-[560px]:hidden`}>
              leave
            </th>
            <th scope="col" className={`${HEAD} max-[560px]:hidden`}>
              low / high {unitSymbol("temperature", units)}
            </th>
            <th scope="col" className={`${HEAD} max-[860px]:hidden`}>
              kcal/day
            </th>
            <th scope="col" className={`${HEAD} max-[860px]:hidden`}>
              largest carry
            </th>
            <th scope="col" className={`${HEAD} pl-3! text-left! max-[560px]:hidden`}>
              leaving with{" "}
            </th>
            <th scope="col" className={HEAD}>
              {unitSymbol("mass", units)}
            </th>
            <th scope="col" className={`${HEAD} text-left!`}>
              open
            </th>
          </tr>
        </thead>
        <tbody>
          {result.legs.map((leg) => (
            <LegRow
              key={leg.index}
              plan={plan}
              result={result}
              leg={leg}
              was={before?.legs.length === result.legs.length ? before.legs[leg.index] : undefined}
              chosen={leg.index === legIndex}
              hikerIndex={hikerIndex}
              scaleKg={scaleKg}
            />
          ))}
        </tbody>
      </table>
    </div>
  );
}

function Key() {
  return (
    <p className="m-0 border-b border-rule bg-paper px-[18px] py-1 text-xs text-muted max-[560px]:hidden">
      <span className="mr-3">Bars: the pack leaving each stop.</span>
      {(["kit", "food", "water", "fuel"] as const).map((name) => (
        <span key={name} className="mr-3 whitespace-nowrap">
          <span className="mr-1 inline-block size-2.5" style={{ background: `var(--${name})` }} />
          {name === "kit" ? "base" : name}
        </span>
      ))}
      <span className="mr-3">Thin line: its heaviest on the way.</span>
      <span className="text-danger">Red mark: comfort.</span>
    </p>
  );
}

interface RowProps {
  plan: Plan;
  result: PlanResult;
  leg: LegResult;
  was: LegResult | undefined;
  chosen: boolean;
  hikerIndex: number;
  scaleKg: number;
}

function LegRow({ plan, result, leg, was, chosen, hikerIndex, scaleKg }: RowProps) {
  const units = plan.trip.units;
  const row = leg.hikers[hikerIndex]!;
  const hiker = plan.hikers[hikerIndex]!;
  const carry = row.carries[row.largestCarry];
  const ask = (why: Explained) => (): void => select({ legIndex: leg.index, why });
  const checks = result.checks.filter(
    (check) =>
      check.severity !== "note" &&
      check.legIndex === leg.index &&
      (check.hikerId === undefined || check.hikerId === row.hikerId),
  );
  const marks = [...new Map(checks.map((check) => [CHECK_MARK[check.code], check.severity])).entries()];
  const oldKg = was?.hikers[hikerIndex]?.startKg;
  const startText = figure("mass", row.startKg, units);
  const oldText = oldKg === undefined ? startText : figure("mass", oldKg, units);
  return (
    <tr
      id={`leg-row-${leg.index}`}
      tabIndex={chosen ? 0 : -1}
      aria-selected={chosen}
      onClick={() => select({ legIndex: leg.index })}
      className={`cursor-pointer border-b border-rule ${chosen ? "bg-pine-wash" : "hover:bg-paper"}`}
    >
      <td className="w-9 py-[3px] pl-[18px] text-right font-[family-name:var(--font-figure)] font-semibold text-muted">
        {leg.index + 1}
      </td>
      <th
        scope="row"
        className="py-[3px] pr-1 pl-2 text-left font-normal whitespace-nowrap max-[560px]:whitespace-normal"
      >
        <b>{stopName(plan, leg.fromStopId)}</b> <span className="text-muted">to {stopName(plan, leg.toStopId)}</span>
      </th>
      <td className={CELL}>{figure("distance", leg.distanceM, units, 0)}</td>
      <td className={`${CELL} max-[560px]:hidden`}>{figure("height", leg.climbM, units)}</td>
      <td className={CELL}>
        <Ask label="Why so many days" onClick={ask("days")}>
          {fixed(leg.days, 1)}
        </Ask>
      </td>
      <td className={`${CELL} max-[560px]:hidden`}>{dayMonth(leg.startDate)}</td>
      <td className={`${CELL} max-[560px]:hidden`}>
        <Ask label="Warm enough?" onClick={ask("warmth")}>
          {figure("temperature", leg.lowC, units)} / {figure("temperature", leg.highC, units)}
        </Ask>
      </td>
      <td className={`${CELL} max-[860px]:hidden`}>
        <Ask label="Why this energy" onClick={ask("energy")}>
          {fixed(row.energy.totalKcal, 0)}
        </Ask>
      </td>
      <td className={`${CELL} max-[860px]:hidden`}>
        {carry && (
          <Ask label="Why this carry" onClick={ask("carry")}>
            {quantity("volume", carry.litres, units)}, {quantity("distance", carry.distanceM, units, 0)}
          </Ask>
        )}
      </td>
      <td className="w-full min-w-[120px] py-[3px] pl-3 max-[560px]:hidden">
        <LoadBar row={row} comfortKg={hiker.packComfortKg} scaleKg={scaleKg} />
      </td>
      <td className={`${CELL} text-base font-bold`}>
        {oldText !== startText && (
          <s className="mr-1 text-xs font-normal text-muted" aria-label={`was ${oldText}`}>
            {oldText}
          </s>
        )}
        <Ask label="Why this weight" onClick={ask("start")}>
          {startText}
        </Ask>
      </td>
      <td className="py-[3px] pr-3 pl-1 whitespace-nowrap">
        {marks.slice(0, 2).map(([word, severity]) => (
          <span
            key={word}
            className={`mr-1 rounded border px-1 text-xs font-semibold ${severity === "blocker" ? "border-danger text-danger" : "border-caution text-caution"}`}
          >
            {word}
          </span>
        ))}
        {marks.length > 2 && <span className="text-xs text-muted">+{marks.length - 2}</span>}
      </td>
    </tr>
  );
}

function Ask({ label, onClick, children }: { label: string; onClick: () => void; children: React.ReactNode }) {
  return (
    <button
      title={label}
      className="rounded px-0.5 font-[inherit] decoration-dotted underline-offset-3 hover:underline"
      onClick={(event) => {
        event.stopPropagation();
        onClick();
      }}
    >
      {children}
    </button>
  );
}

function LoadBar({
  row,
  comfortKg,
  scaleKg,
}: {
  row: LegResult["hikers"][number];
  comfortKg: number;
  scaleKg: number;
}) {
  const share = (kg: number): string => `${(kg / scaleKg) * 100}%`;
  const parts = [
    ["kit", row.kit.baseKg + row.kit.consumableKg],
    ["food", row.food.startKg],
    ["water", row.startWaterKg],
    ["fuel", row.fuel.startKg + row.fuel.containerKg],
  ] as const;
  return (
    <div className="relative h-[13px] min-w-[110px]" aria-hidden="true">
      <div className="flex h-full">
        {parts.map(([name, kg]) => (
          <div key={name} style={{ width: share(kg), background: `var(--${name})` }} />
        ))}
      </div>
      {/* How far the heaviest point of the leg goes beyond its start: water taken on later. */}
      <div
        className="absolute top-[6px] h-px"
        style={{
          left: share(row.startKg),
          width: share(Math.max(0, row.heaviestKg - row.startKg)),
          background: "var(--water)",
        }}
      />
      <div className="absolute -top-[3px] -bottom-[3px] w-px bg-danger" style={{ left: share(comfortKg) }} />
    </div>
  );
}
