/** Where the pointer is on the Line: a hair, and in the gutter what is there. It alone is drawn again as it moves. */
import { useEffect, useState, type RefObject } from "react";
import type { Plan, PlanResult } from "@gepack/core";
import { sayIn } from "../words/say.ts";
import { LOAD, TITLE_Y, WATER_Y } from "./geometry.ts";
import { gutterPx, type LineFrame } from "./scale.ts";

interface Props {
  over: RefObject<HTMLElement | null>;
  plan: Plan;
  result: PlanResult;
  hikerIndex: number;
  frame: LineFrame;
}

export function Hover({ over, plan, result, hikerIndex, frame }: Props) {
  const [px, setPx] = useState<number>();
  useEffect(() => {
    const element = over.current;
    if (!element) return;
    const move = (event: PointerEvent): void => setPx(event.clientX);
    const leave = (): void => setPx(undefined);
    element.addEventListener("pointermove", move);
    element.addEventListener("pointerleave", leave);
    return () => {
      element.removeEventListener("pointermove", move);
      element.removeEventListener("pointerleave", leave);
    };
  }, [over]);
  const { x, widthPx, domain } = frame;
  const metres = px === undefined ? undefined : x.invert(px);
  const inside = metres !== undefined && metres >= domain[0] && metres <= domain[1];
  const name = plan.hikers[hikerIndex]!.name;
  return (
    <>
      {inside && (
        <div
          aria-hidden="true"
          className="pointer-events-none absolute w-px bg-muted"
          style={{ left: px, top: LOAD.top - 4, height: WATER_Y + 8 - LOAD.top }}
        />
      )}
      {gutterPx(widthPx) > 100 && (
        <div
          className="pointer-events-none absolute left-[18px] max-w-[196px] truncate font-[family-name:var(--font-figure)] text-xs font-semibold"
          style={{ top: TITLE_Y - 13 }}
        >
          {inside ? readout(plan, result, hikerIndex, metres) : name}
        </div>
      )}
    </>
  );
}

function readout(plan: Plan, result: PlanResult, hikerIndex: number, metres: number): string {
  const say = sayIn(plan);
  const node = Math.round(metres / result.profile.cellM);
  const day = result.days.find((candidate) => candidate.toNode >= node);
  const kg = result.packs[hikerIndex]!.loadKg[Math.min(node, result.profile.cellCount - 1)]!;
  return `${say.distance(metres)}, ${day ? say.date(day.date) : ""}, ${say.kg(kg)}`;
}
