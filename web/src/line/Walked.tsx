/** Where one is by the log: the way behind in ink, along the legs, and a mark at the last evening. */
import { useMemo } from "react";
import { cardsOf, type Plan, type PlanResult } from "@gepack/core";
import { dayMonth } from "../units/quantity.ts";
import { HEIGHT, LEGS, LOAD } from "./geometry.ts";
import type { LineScale } from "./scale.ts";

interface Props {
  plan: Plan;
  result: PlanResult;
  x: LineScale;
}

export function Walked({ plan, result, x }: Props) {
  const last = useMemo(() => (plan.log.length > 0 ? cardsOf(plan, result).at(-1) : undefined), [plan, result]);
  if (!last) return null;
  const px = x(last.toM);
  const isLate = px > x.rightPx - 90;
  return (
    <g data-testid="line-today">
      <title>{`Walked until ${dayMonth(last.card.date)}, from your log`}</title>
      <rect x={x(0)} y={LEGS.top - 3} width={Math.max(1, px - x(0))} height={3} fill="var(--ink)" />
      <line x1={px} x2={px} y1={LOAD.top - 4} y2={LEGS.top + LEGS.height} stroke="var(--ink)" strokeWidth={1.5} />
      <text
        x={isLate ? px - 4 : px + 4}
        y={HEIGHT.top + 10}
        textAnchor={isLate ? "end" : "start"}
        fontSize="12"
        fontWeight="700"
        fill="var(--ink)"
        stroke="var(--sheet)"
        strokeWidth="3"
        paintOrder="stroke"
      >
        {dayMonth(last.card.date)}
      </text>
    </g>
  );
}
