/** What leaves a stop by the number of boils until the next, a line for every way to cook: where they cross. */
import {
  CartesianGrid,
  Legend,
  Line,
  LineChart,
  ReferenceLine,
  ResponsiveContainer,
  Tooltip,
  XAxis,
  YAxis,
} from "recharts";
import type { FuelLine, Hiker, Units } from "@gepack/core";
import { figure, unitSymbol } from "../../units/quantity.ts";
import { FUEL_WORDS } from "../../words/power.ts";

interface Props {
  lines: readonly FuelLine[];
  units: Units;
  /** Of the leg that is looked at. */
  boils: number;
}

const STROKES = ["var(--fuel)", "var(--kit)", "var(--food)", "var(--pine)", "var(--water)"];
const DASHES = ["", "6 3", "2 3", "8 3 2 3", "1 4"];
const MARGIN = { top: 8, right: 40, bottom: 4, left: 0 };

export default function SystemChart({ lines, units, boils }: Props) {
  const unit = unitSymbol("smallMass", units);
  const rows = (lines[0]?.leavingG ?? []).map((_, n) => ({
    boils: n,
    ...Object.fromEntries(
      lines.map(({ id, leavingG }) => [id, Number(figure("smallMass", leavingG[n]!, units).replaceAll(",", ""))]),
    ),
  }));
  return (
    <div className="my-2 h-[220px]" data-testid="system-chart">
      <ResponsiveContainer width="100%" height="100%">
        <LineChart data={rows} margin={MARGIN}>
          <CartesianGrid stroke="var(--rule)" vertical={false} />
          <XAxis dataKey="boils" tick={{ fontSize: 12, fill: "var(--muted)" }} unit=" boils" interval={9} />
          <YAxis width={64} tick={{ fontSize: 12, fill: "var(--muted)" }} unit={` ${unit}`} />
          <Tooltip
            labelFormatter={(label) => `${String(label)} boils until the next stop`}
            contentStyle={{ background: "var(--sheet)", border: "1px solid var(--rule)", fontSize: 13 }}
            isAnimationActive={false}
          />
          <Legend wrapperStyle={{ fontSize: 12 }} />
          {lines.map(({ id }, i) => (
            <Line
              key={id}
              dataKey={id}
              type="stepAfter"
              name={`${FUEL_WORDS[id as Hiker["stove"]["fuel"]]}, ${unit}`}
              stroke={STROKES[i % STROKES.length]!}
              strokeDasharray={DASHES[i % DASHES.length]!}
              strokeWidth={2}
              dot={false}
              isAnimationActive={false}
            />
          ))}
          <ReferenceLine x={Math.min(60, Math.round(boils))} stroke="var(--ink)" strokeDasharray="3 3" />
        </LineChart>
      </ResponsiveContainer>
    </div>
  );
}
