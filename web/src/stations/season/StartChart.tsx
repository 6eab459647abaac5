/** Heaviest pack and ground on snow by the first day; a click takes the day under the pointer. */
import {
  Area,
  CartesianGrid,
  ComposedChart,
  Line,
  ReferenceLine,
  ResponsiveContainer,
  Tooltip,
  XAxis,
  YAxis,
} from "recharts";
import type { StartFigures, Units } from "@gepack/core";
import { dayMonth, figure, unitSymbol } from "../../units/quantity.ts";

interface Props {
  rows: readonly StartFigures[];
  units: Units;
  now: string;
  onTake: (startDate: string) => void;
}

export default function StartChart({ rows, units, now, onTake }: Props) {
  const [mass, distance] = [unitSymbol("mass", units), unitSymbol("distance", units)];
  const data = rows.map(({ startDate, heaviestKg, snowM }) => ({
    startDate,
    heaviest: Number(figure("mass", heaviestKg, units).replaceAll(",", "")),
    snow: Number(figure("distance", snowM, units).replaceAll(",", "")),
  }));
  return (
    <div className="my-2 h-[200px]" data-testid="start-chart">
      <ResponsiveContainer width="100%" height="100%">
        <ComposedChart
          data={data}
          margin={{ top: 8, right: 8, bottom: 0, left: 0 }}
          onClick={({ activeLabel }) => activeLabel !== undefined && onTake(String(activeLabel))}
        >
          <CartesianGrid stroke="var(--rule)" vertical={false} />
          <XAxis
            dataKey="startDate"
            tickFormatter={(iso: string) => dayMonth(iso)}
            minTickGap={40}
            tick={{ fontSize: 12, fill: "var(--muted)" }}
          />
          <YAxis
            yAxisId="mass"
            width={52}
            tick={{ fontSize: 12, fill: "var(--muted)" }}
            domain={["auto", "auto"]}
            unit={` ${mass}`}
          />
          <YAxis
            yAxisId="way"
            orientation="right"
            width={60}
            tick={{ fontSize: 12, fill: "var(--muted)" }}
            unit={` ${distance}`}
          />
          <Tooltip
            labelFormatter={(label) => `Start ${dayMonth(String(label))}`}
            contentStyle={{ background: "var(--sheet)", border: "1px solid var(--rule)", fontSize: 13 }}
            isAnimationActive={false}
          />
          <Area
            yAxisId="way"
            dataKey="snow"
            name={`on snow, ${distance}`}
            stroke="var(--kit)"
            fill="var(--kit)"
            fillOpacity={0.2}
            isAnimationActive={false}
          />
          <Line
            yAxisId="mass"
            dataKey="heaviest"
            name={`heaviest pack, ${mass}`}
            stroke="var(--pine)"
            strokeWidth={2}
            dot={false}
            isAnimationActive={false}
          />
          <ReferenceLine yAxisId="mass" x={now} stroke="var(--ink)" strokeDasharray="3 3" />
        </ComposedChart>
      </ResponsiveContainer>
    </div>
  );
}
