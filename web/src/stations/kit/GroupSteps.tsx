/** Grams of a group along the trail, as a pale step line on the Line's scale. */
import type { PlanResult } from "@gepack/core";
import type { LineFrame } from "../../line/scale.ts";
import { toPx } from "../../units/quantity.ts";

interface Props {
  packedG: Float64Array;
  result: PlanResult;
  frame: LineFrame;
  heightPx: number;
}

export function GroupSteps({ packedG, result, frame: { x, widthPx }, heightPx }: Props) {
  const most = Math.max(1, ...packedG);
  const steps = result.legs.flatMap(({ fromM, toM, index }) => {
    const y = toPx(heightPx - 2 - ((heightPx - 6) * packedG[index]!) / most);
    return [`${toPx(x(fromM))},${y}`, `${toPx(x(toM))},${y}`];
  });
  const [first, last] = [result.legs[0]!, result.legs.at(-1)!];
  return (
    <svg className="absolute inset-0" width={widthPx} height={heightPx} aria-hidden="true">
      <polygon
        points={`${toPx(x(first.fromM))},${heightPx} ${steps.join(" ")} ${toPx(x(last.toM))},${heightPx}`}
        fill="var(--span)"
        opacity="0.22"
      />
    </svg>
  );
}
