/** One quantity of the log, day by day: the fact in ink, what the plan has for the same ground and day beside it. */
import { useState } from "react";
import { CartesianGrid, Legend, Line, LineChart, ResponsiveContainer, Tooltip, XAxis, YAxis } from "recharts";
import {
  AGAINST,
  againstPlan,
  type Against,
  type CardFigures,
  type Plan,
  type PlanResult,
  type Units,
} from "@gepack/core";
import { Pick } from "../../ui/Pick.tsx";
import { Table } from "../../ui/Table.tsx";
import { figure, type QuantityKind, rounded, unitSymbol } from "../../units/quantity.ts";
import { AGAINST_WORDS } from "../../words/log.ts";

const KINDS: Readonly<Record<Against, QuantityKind | undefined>> = {
  hours: undefined,
  eaten: undefined,
  drunk: "volume",
  low: "temperature",
  food: "mass",
  body: "mass",
};
const MARGIN = { top: 8, right: 16, bottom: 4, left: 0 };

function shown(what: Against, value: number | undefined, units: Units): number | undefined {
  if (value === undefined || !Number.isFinite(value)) return undefined;
  const kind = KINDS[what];
  return kind === undefined
    ? rounded(value, what === "eaten" ? 0 : 1)
    : Number(figure(kind, value, units).replaceAll(",", "").replace("−", "-"));
}

interface Props {
  plan: Plan;
  result: PlanResult;
  cards: readonly CardFigures[];
}

export default function FactChart({ plan, result, cards }: Props) {
  const { units } = plan.trip;
  const [what, setWhat] = useState<Against>("hours");
  const kind = KINDS[what];
  const unit = kind !== undefined ? unitSymbol(kind, units) : what === "eaten" ? "kcal" : "h";
  const rows = againstPlan(plan, result, cards, what).map(({ tripDay, fact, planned }) => ({
    tripDay,
    fact: shown(what, fact, units),
    planned: shown(what, planned, units),
  }));
  return (
    <div className="my-2" data-testid="fact-chart">
      <Pick
        bare
        label="Compare"
        value={what}
        options={AGAINST.map((one) => [one, AGAINST_WORDS[one]] as const)}
        onPick={setWhat}
      />
      {rows.every(({ fact }) => fact === undefined) ? (
        <p className="text-sm text-muted">No entry has this figure yet.</p>
      ) : (
        <div className="relative h-[200px]">
          <ResponsiveContainer width="100%" height="100%">
            <LineChart data={rows} margin={MARGIN}>
              <CartesianGrid stroke="var(--rule)" vertical={false} />
              <XAxis dataKey="tripDay" tick={{ fontSize: 12, fill: "var(--muted)" }} />
              <YAxis
                width={64}
                tick={{ fontSize: 12, fill: "var(--muted)" }}
                unit={` ${unit}`}
                domain={["auto", "auto"]}
              />
              <Tooltip
                labelFormatter={(label) => `Day ${String(label)}`}
                contentStyle={{ background: "var(--sheet)", border: "1px solid var(--rule)", fontSize: 13 }}
                isAnimationActive={false}
              />
              <Legend wrapperStyle={{ fontSize: 12 }} />
              <Line
                dataKey="planned"
                name={`plan, ${unit}`}
                stroke="var(--muted)"
                strokeDasharray="5 4"
                strokeWidth={2}
                dot={false}
                isAnimationActive={false}
              />
              <Line
                dataKey="fact"
                name={`fact, ${unit}`}
                stroke="var(--ink)"
                strokeWidth={2}
                dot={{ r: 2.5, fill: "var(--ink)" }}
                connectNulls
                isAnimationActive={false}
              />
            </LineChart>
          </ResponsiveContainer>
          <div className="sr-only">
            <Table
              label={`${AGAINST_WORDS[what]}, planned and actual by day, ${unit}`}
              rows={rows}
              idOf={({ tripDay }) => String(tripDay)}
              columns={[
                { id: "day", head: "day", names: true, cell: ({ tripDay }) => tripDay },
                { id: "planned", head: "planned", cell: ({ planned }) => planned },
                { id: "fact", head: "actual", cell: ({ fact }) => fact ?? "not recorded" },
              ]}
            />
          </div>
        </div>
      )}
    </div>
  );
}
