/** The columns of the legs: a figure that can be asked why stands in one of them. */
import type { Check, Explained, Hiker, LegHiker, LegResult, Plan, PlanResult } from "@gepack/core";
import type { ReactNode } from "react";
import { select } from "../../store/selection.ts";
import type { Column } from "../../ui/Table.tsx";
import { dayMonth, figure, fixed, quantity, unitSymbol } from "../../units/quantity.ts";
import { checkMark } from "../../words/checks/index.ts";
import { stopName } from "../../words/names.ts";
import { LoadBar } from "./LoadBar.tsx";

/** A leg of one hiker, with what it was before the last edit. */
export interface LegRow {
  leg: LegResult;
  row: LegHiker;
  was: LegHiker | undefined;
}

export function legColumns(plan: Plan, result: PlanResult, hiker: Hiker, scaleKg: number): Column<LegRow>[] {
  const { units } = plan.trip;
  return [
    {
      id: "number",
      head: "Leg",
      span: 2,
      cell: ({ leg }) => (
        <span className="figure block w-9 pl-[10px] text-right font-semibold text-muted">{leg.index + 1}</span>
      ),
    },
    {
      id: "leg",
      head: "Leg",
      names: true,
      cell: ({ leg }) => (
        <span className="whitespace-nowrap max-[560px]:whitespace-normal">
          <b>{stopName(plan, leg.fromStopId)}</b> <span className="text-muted">to {stopName(plan, leg.toStopId)}</span>
        </span>
      ),
    },
    {
      id: "distance",
      head: unitSymbol("distance", units),
      right: true,
      cell: ({ leg }) => figure("distance", leg.distanceM, units, 0),
    },
    {
      id: "climb",
      head: `climb ${unitSymbol("height", units)}`,
      right: true,
      from: 561,
      cell: ({ leg }) => figure("height", leg.climbM, units),
    },
    {
      id: "days",
      head: "days",
      right: true,
      cell: ({ leg }) => (
        <Ask leg={leg} why="days" label="Why this many days">
          {fixed(leg.dayCount, 1)}
        </Ask>
      ),
    },
    {
      id: "leave",
      head: "leave",
      right: true,
      from: 561,
      cell: ({ leg }) => dayMonth(leg.startDate),
    },
    {
      id: "temperature",
      head: `low / high ${unitSymbol("temperature", units)}`,
      right: true,
      from: 561,
      cell: ({ leg }) => (
        <Ask leg={leg} why="warmth" label="Warm enough?">
          {figure("temperature", leg.lowC, units)} / {figure("temperature", leg.highC, units)}
        </Ask>
      ),
    },
    {
      id: "energy",
      head: "kcal/day",
      right: true,
      from: 861,
      cell: ({ leg, row }) => (
        <Ask leg={leg} why="energy" label="Why this energy">
          {fixed(row.energy.totalKcal, 0)}
        </Ask>
      ),
    },
    {
      id: "carry",
      head: "water carry",
      right: true,
      from: 861,
      cell: ({ leg, row }) => {
        const carry = row.carries[row.largestCarry];
        return (
          carry && (
            <Ask leg={leg} why="carry" label="Why this carry">
              {quantity("volume", carry.litres, units)}, {quantity("distance", carry.distanceM, units, 0)}
            </Ask>
          )
        );
      },
    },
    {
      id: "bar",
      head: "leaving with",
      from: 561,
      wide: true,
      cell: ({ row }) => <LoadBar row={row} comfortKg={hiker.packComfortKg} scaleKg={scaleKg} />,
    },
    {
      id: "start",
      head: unitSymbol("mass", units),
      right: true,
      cell: ({ leg, row, was }) => {
        const now = figure("mass", row.startKg, units);
        const old = was === undefined ? now : figure("mass", was.startKg, units);
        return (
          <span className="text-base font-bold">
            {old !== now && (
              <s className="mr-1 text-xs font-normal text-muted" aria-label={`was ${old}`}>
                {old}
              </s>
            )}
            <Ask leg={leg} why="start" label="Why this weight">
              {now}
            </Ask>
          </span>
        );
      },
    },
    { id: "open", head: "issues", cell: ({ leg, row }) => <Marks leg={leg} hikerId={row.hikerId} result={result} /> },
  ];
}

/** A figure that answers why when it is asked. */
function Ask({ leg, why, label, children }: { leg: LegResult; why: Explained; label: string; children: ReactNode }) {
  return (
    <button
      title={label}
      className="rounded px-0.5 font-[inherit] decoration-dotted underline-offset-3 hover:underline"
      onClick={(event) => {
        event.stopPropagation();
        select({ legIndex: leg.index, why });
      }}
    >
      {children}
    </button>
  );
}

const MOST_MARKS = 2;

function Marks({ leg, hikerId, result }: { leg: LegResult; hikerId: string; result: PlanResult }) {
  const checks = result.checks.filter(
    (check) =>
      check.severity !== "note" &&
      check.legIndex === leg.index &&
      (check.hikerId === undefined || check.hikerId === hikerId),
  );
  // What blocks comes first, and gives its colour to a word that is said of both.
  const isBlocker = ({ severity }: Check): boolean => severity === "blocker";
  const told = new Map<string, Check["severity"]>();
  for (const check of [...checks.filter(isBlocker), ...checks.filter((one) => !isBlocker(one))]) {
    const word = checkMark(check);
    if (!told.has(word)) told.set(word, check.severity);
  }
  const marks = [...told];
  return (
    <span className="whitespace-nowrap">
      {marks.slice(0, MOST_MARKS).map(([word, severity]) => (
        <span
          key={word}
          data-severity={severity}
          className={`mr-1 rounded border px-1 text-xs font-semibold ${severity === "blocker" ? "border-danger text-danger" : "border-caution text-caution"}`}
        >
          {word}
        </span>
      ))}
      {marks.length > MOST_MARKS && <span className="text-xs text-muted">+{marks.length - MOST_MARKS}</span>}
    </span>
  );
}
