import type { KeyboardEvent } from "react";
import type { Plan, PlanResult } from "@gepack/core";
import { select } from "../store/selection.ts";
import { stopName } from "../words/names.ts";
import { LEGS } from "./geometry.ts";
import type { LineScale } from "./scale.ts";

interface Props {
  plan: Plan;
  result: PlanResult;
  legIndex: number;
  x: LineScale;
}

/** The legs as numbered blocks: arrows move along them, + or a double click zooms, 0 or Escape goes back. */
export function LegBlocks({ plan, result, legIndex, x }: Props) {
  const keys = (event: KeyboardEvent): void => {
    const by = { ArrowRight: 1, ArrowDown: 1, ArrowLeft: -1, ArrowUp: -1, Home: -Infinity, End: Infinity }[event.key];
    if (by !== undefined) select({ legIndex: Math.max(0, Math.min(result.legs.length - 1, legIndex + by)) });
    else if (event.key === "+" || event.key === "=") select({ zoomLeg: legIndex });
    else if (event.key === "0" || event.key === "Escape") select({ zoomLeg: undefined });
    else return;
    event.preventDefault();
  };
  return (
    <g role="listbox" tabIndex={0} aria-label="Legs" aria-activedescendant={`leg-block-${legIndex}`} onKeyDown={keys}>
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
            onDoubleClick={() => select({ legIndex: leg.index, zoomLeg: leg.index })}
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
