/** Every day's need as a line, what the menu brings as a bar, on the Line's scale. */
import { memo } from "react";
import { walkedOf, type PlanResult } from "@gepack/core";
import type { LineFrame } from "../../line/scale.ts";
import { select } from "../../store/selection.ts";
import { Lane } from "../../ui/Lanes.tsx";
import type { DayFood } from "./days.ts";

interface Props {
  days: readonly DayFood[];
  result: PlanResult;
  line: LineFrame;
  legIndex: number;
  top: string;
}

const HEIGHT_PX = 56;

export const NeedLane = memo(function NeedLane({ days, result: { profile, legs }, line, legIndex, top }: Props) {
  const { x, widthPx } = line;
  const mostKcal = Math.max(1, ...days.map(({ needKcal, menuKcal }) => Math.max(needKcal, menuKcal)));
  const y = (kcal: number): number => HEIGHT_PX - 2 - (kcal / mostKcal) * (HEIGHT_PX - 8);
  const title = (
    <>
      Menu vs. energy need
      <span className="block text-xs font-normal text-muted">line: burned, bar: eaten;</span>
      <span className="block text-xs font-normal text-muted">up to {top}</span>
    </>
  );
  return (
    <Lane title={title} widthPx={widthPx} heightPx={HEIGHT_PX}>
      <svg aria-hidden="true" className="absolute inset-0 size-full overflow-hidden" height={HEIGHT_PX}>
        {days.map((day) => {
          const from = x(walkedOf(profile, day.fromNode));
          const width = Math.max(1, x(walkedOf(profile, day.toNode)) - from - 1);
          return (
            <g key={day.index} onClick={() => select({ legIndex: day.legIndex })}>
              <rect
                x={from}
                width={width}
                y={y(day.menuKcal)}
                height={HEIGHT_PX - y(day.menuKcal)}
                fill="var(--food)"
                opacity={day.legIndex === legIndex ? 1 : 0.5}
              />
              <line
                x1={from}
                x2={from + width}
                y1={y(day.needKcal)}
                y2={y(day.needKcal)}
                stroke="var(--ink)"
                strokeWidth={2}
              />
            </g>
          );
        })}
      </svg>
      <span className="sr-only">{legs.length} legs; each leg’s figures are shown with its menu.</span>
    </Lane>
  );
});
