/** Fuel with what it is in, and the charge of the store by day: on the Line's scale. */
import { memo } from "react";
import { isoOfDay, storeOf, walkedOf, type PlanResult } from "@gepack/core";
import type { LineFrame } from "../../line/scale.ts";
import { packStack } from "../../line/stack.ts";
import { select } from "../../store/selection.ts";
import { Lane } from "../../ui/Lanes.tsx";
import type { Say } from "../../words/say.ts";
import { toPx } from "../../units/quantity.ts";

interface Props {
  result: PlanResult;
  who: number;
  line: LineFrame;
  legIndex: number;
  say: Say;
}

const HEIGHT_PX = 62;

export const PowerLanes = memo(function PowerLanes({ result, who, line, legIndex, say }: Props) {
  const { widthPx, domain, x } = line;
  const { profile } = result;
  const store = result.power && storeOf(result.power, result.legs[0]!.hikers[who]!.hikerId);
  const cells = domain.map((metres) => Math.round(metres / profile.cellM)) as [number, number];
  const pixels = Math.max(1, Math.round(x(domain[1]) - x(domain[0])));
  const fuelKg = packStack(result, who, cells, pixels).fuel;
  const mostKg = Math.max(0.05, ...fuelKg);
  const left = x(domain[0]);
  const y = (share: number): number => HEIGHT_PX - 1 - Math.max(0, share) * (HEIGHT_PX - 12);
  const shape = Array.from(fuelKg, (kg, i) => `${toPx(left + i)},${toPx(y(kg / mostKg))}`).join(" ");
  return (
    <div>
      <Lane
        title={
          <>
            Fuel and containers<span className="block font-normal">up to {say.kg(mostKg, 2)}</span>
          </>
        }
        widthPx={widthPx}
        heightPx={HEIGHT_PX}
      >
        <svg aria-hidden="true" className="absolute inset-0 size-full overflow-hidden" height={HEIGHT_PX}>
          <polygon points={`${left},${HEIGHT_PX} ${shape} ${left + pixels},${HEIGHT_PX}`} fill="var(--fuel)" />
        </svg>
      </Lane>
      {store && (
        <Lane
          title={
            <>
              Battery charge<span className="block font-normal">usable in the cold, by day</span>
            </>
          }
          widthPx={widthPx}
          heightPx={HEIGHT_PX}
        >
          <svg aria-hidden="true" className="absolute inset-0 size-full overflow-hidden" height={HEIGHT_PX}>
            {result.days.map((day, i) => {
              const stood = store.days[i]!;
              const from = x(walkedOf(profile, day.fromNode));
              const width = Math.max(1, x(walkedOf(profile, day.toNode)) - from - 1);
              const top = y(stood.usableFraction);
              return (
                <g key={`${day.date} ${day.fromNode}`} onClick={() => select({ legIndex: day.legIndex })}>
                  <rect
                    x={from}
                    width={width}
                    y={top}
                    height={HEIGHT_PX - top}
                    fill={stood.shortWh > 0 ? "var(--danger)" : "var(--pine)"}
                    opacity={day.legIndex === legIndex ? 1 : 0.5}
                  >
                    <title>{`${say.date(isoOfDay(stood.day))}: ${say.percent(100 * stood.usableFraction)}`}</title>
                  </rect>
                  {stood.shortWh > 0 && (
                    <line x1={from} x2={from + width} y1={y(1)} y2={y(1)} stroke="var(--danger)" strokeWidth={2} />
                  )}
                </g>
              );
            })}
          </svg>
          <span className="sr-only">See “Batteries by leg” for the figures.</span>
        </Lane>
      )}
    </div>
  );
});
