/** The figure under the pointer, with its place and date. */
import { dayOfYear, isoOfDay, PLANE_DAYS, type Plan, type Plane, type PlanResult } from "@gepack/core";
import { dayMonth, quantity } from "../../units/quantity.ts";
import { HEIGHT_PX } from "./calendar.ts";
import type { Shown } from "./quantities.ts";

interface ReadOutProps {
  plan: Plan;
  result: PlanResult;
  plane: Plane;
  shown: Shown;
  over: { px: number; y: number };
  day: number;
  metres: number;
}

export function ReadOut({ plan, result: { profile }, plane, shown, over, day, metres }: ReadOutProps) {
  const { units } = plan.trip;
  const column = Math.max(0, Math.min(plane.columns - 1, Math.floor((metres / profile.lengthM) * plane.columns)));
  const value = plane.values[shown.id][column * PLANE_DAYS + dayOfYear(day)]!;
  return (
    <div
      data-testid="readout"
      className="pointer-events-none absolute z-10 rounded border border-rule bg-sheet px-2 py-0.5 text-sm whitespace-nowrap"
      style={{
        left: Math.max(0, Math.min(over.px + 12, window.innerWidth - 230)),
        top: Math.min(over.y + 12, HEIGHT_PX - 30),
      }}
    >
      <b>{shown.say(value, units)}</b> at {quantity("distance", metres, units, 0)} on {dayMonth(isoOfDay(day))}
    </div>
  );
}
