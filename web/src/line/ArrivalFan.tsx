/** How early or late one may be along the trail: eight hikes of ten are in the fan, in the row of the dates. */
import type { Odds, Plan, PlanResult } from "@gepack/core";
import { dayMonth } from "../units/quantity.ts";
import { useOddsOf } from "../store/odds.ts";
import { fanEdge, fanOf } from "./fan.ts";
import { DATES_Y } from "./geometry.ts";
import type { LineScale } from "./scale.ts";

const HALF_PX = 9;
/** On a narrower Line the dates of the months need the room. */
const LABEL_FROM_PX = 600;
const MIDDLE_Y = DATES_Y - 4;

export function ArrivalFan({ plan, result, x }: { plan: Plan; result: PlanResult; x: LineScale }) {
  const odds = useOddsOf(plan);
  return odds ? <Fan odds={odds} result={result} x={x} /> : null;
}

function Fan({ odds, result, x }: { odds: Odds; result: PlanResult; x: LineScale }) {
  const points = fanOf(odds, result);
  const most = Math.max(1, ...points.map(({ early, late }) => Math.max(early, late)));
  const level = points.map((point) => ({ ...point, day: 0 }));
  const edge = fanEdge(
    level,
    (metres) => x(metres),
    (days) => MIDDLE_Y + (days / most) * HALF_PX,
  );
  const [first, , last] = odds.finish;
  return (
    <g data-testid="line-fan">
      <title>{`Eight in ten simulated hikes finish between ${dayMonth(first)} and ${dayMonth(last)}`}</title>
      <polygon points={edge} fill="var(--pine)" fillOpacity="0.18" stroke="var(--pine)" strokeOpacity="0.5" />
      {x.rightPx > LABEL_FROM_PX && (
        <text
          x={x.rightPx}
          y={DATES_Y}
          textAnchor="end"
          fontSize="12"
          fontWeight="600"
          fill="var(--pine)"
          stroke="var(--sheet)"
          strokeWidth="3"
          paintOrder="stroke"
        >
          {dayMonth(first)} to {dayMonth(last)}
        </text>
      )}
    </g>
  );
}
