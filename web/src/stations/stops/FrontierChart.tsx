/** All sets found, by legs and total carried; a click shows the set under the pointer. */
import {
  CartesianGrid,
  ReferenceDot,
  ResponsiveContainer,
  Scatter,
  ScatterChart,
  Tooltip,
  XAxis,
  YAxis,
} from "recharts";
import type { SetFigures, Units } from "@gepack/core";
import { KG_PER_LB, M_PER_MI } from "@gepack/core";
import { SET_WORDS } from "../../words/stops.ts";
import type { NamedSet } from "./useSearch.ts";

interface Props {
  sets: readonly NamedSet[];
  now: SetFigures;
  chosen: NamedSet | undefined;
  units: Units;
  onChoose: (set: NamedSet) => void;
}

interface Point {
  legs: number;
  carried: number;
  set: NamedSet | undefined;
}

const MARGIN = { top: 14, right: 34, bottom: 4, left: 4 };
const TICK = { fontSize: 12, fill: "var(--muted)" };

export default function FrontierChart({ sets, now, chosen, units, onChoose }: Props) {
  const times = (units.mass === "lb" ? 1 / KG_PER_LB : 1) * (units.distance === "mi" ? 1000 / M_PER_MI : 1) * 0.001;
  const carried = (figures: SetFigures): number => Math.round(figures.kgKm * times * 100) / 100;
  const data = sets.map((set): Point => ({ legs: set.figures.legs.length, carried: carried(set.figures), set }));
  const unit = `thousand ${units.mass}·${units.distance}`;
  return (
    <figure className="m-0" data-testid="frontier">
      <figcaption className="text-sm font-bold">
        All sets found: number of legs vs. total carried <span className="font-normal text-muted">({unit})</span>
      </figcaption>
      <div className="h-[230px]">
        <ResponsiveContainer width="100%" height="100%">
          <ScatterChart margin={MARGIN}>
            <CartesianGrid stroke="var(--rule)" vertical={false} />
            <XAxis
              type="number"
              dataKey="legs"
              name="legs"
              domain={["dataMin - 1", "dataMax + 1"]}
              allowDecimals={false}
              tick={TICK}
            />
            <YAxis type="number" dataKey="carried" name="carried" width={46} domain={["auto", "auto"]} tick={TICK} />
            <Tooltip
              cursor={false}
              isAnimationActive={false}
              content={({ payload }) => {
                const point = payload?.[0]?.payload as Point | undefined;
                if (!point) return null;
                const names = point.set?.names.map((name) => SET_WORDS[name]).join(", ") ?? "";
                return (
                  <div className="rounded border border-rule bg-sheet px-2 py-1 text-xs">
                    {point.legs} legs, {point.carried} {unit}
                    {names !== "" && `: ${names}`}
                  </div>
                );
              }}
            />
            <Scatter
              data={data}
              isAnimationActive={false}
              onClick={(point: unknown) => {
                const { set } = ((point as { payload?: Point }).payload ?? point) as Point;
                if (set) onChoose(set);
              }}
              shape={(props: unknown) => {
                const { cx, cy, payload } = props as { cx: number; cy: number; payload: Point };
                const name = payload.set?.names[0];
                const here = payload.set === chosen && chosen !== undefined;
                return (
                  <g className="cursor-pointer">
                    <circle
                      cx={cx}
                      cy={cy}
                      r={here ? 7 : name ? 5 : 3.5}
                      fill={here ? "var(--caution)" : "var(--pine)"}
                      stroke="var(--sheet)"
                    />
                    {name && (
                      <text x={cx + 9} y={cy - 5} fontSize={12} fill="var(--ink)">
                        {SET_WORDS[name]}
                      </text>
                    )}
                  </g>
                );
              }}
            />
            <ReferenceDot
              x={now.legs.length}
              y={carried(now)}
              shape={(props: unknown) => {
                const { cx, cy } = props as { cx: number; cy: number };
                return (
                  <g>
                    <rect
                      x={cx - 5}
                      y={cy - 5}
                      width={10}
                      height={10}
                      fill="none"
                      stroke="var(--ink)"
                      strokeWidth={2}
                    />
                    <text x={cx} y={cy + 18} fontSize={12} textAnchor="middle" fill="var(--ink)">
                      now
                    </text>
                  </g>
                );
              }}
            />
          </ScatterChart>
        </ResponsiveContainer>
      </div>
    </figure>
  );
}
