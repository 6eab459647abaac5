/** Stretches that hold for a season, as bars on the plane. */
import { dayOfYear, holdsOn, nodesOn, walkedOf, type Plan, type PlanResult } from "@gepack/core";
import { STRETCH_COLOUR } from "../../map/colours.ts";
import { yOf, type Calendar } from "./calendar.ts";

interface WindowsProps {
  plan: Plan;
  result: PlanResult;
  calendar: Calendar;
  x: (metres: number) => number;
}

export function Windows({ plan, result: { profile }, calendar, x }: WindowsProps) {
  return plan.stretches
    .filter(
      (stretch) =>
        (stretch.kind === "rule" ||
          stretch.kind === "insects" ||
          stretch.kind === "snow" ||
          stretch.kind === "hazard") &&
        (stretch.fromMonthDay ?? stretch.toMonthDay) !== undefined,
    )
    .flatMap((stretch) =>
      nodesOn(profile, stretch).flatMap(([from, to], part) =>
        runsOf(calendar, (yearDay) => holdsOn(stretch, yearDay)).map(([firstDay, lastDay]) => {
          const [left, right] = [x(walkedOf(profile, from)), x(walkedOf(profile, to))];
          return (
            <rect
              key={`${stretch.id} ${part} ${firstDay}`}
              x={left}
              width={Math.max(2, right - left)}
              y={yOf(calendar, firstDay)}
              height={yOf(calendar, lastDay) - yOf(calendar, firstDay)}
              fill={STRETCH_COLOUR[stretch.kind]}
              fillOpacity="0.1"
              stroke={STRETCH_COLOUR[stretch.kind]}
              strokeDasharray="3 3"
            >
              <title>{stretch.name}</title>
            </rect>
          );
        }),
      ),
    );
}

/** The runs of days of the calendar on which a season holds. */
function runsOf({ fromDay, toDay }: Calendar, holds: (yearDay: number) => boolean): [number, number][] {
  const runs: [number, number][] = [];
  for (let day = fromDay; day < toDay; day++) {
    if (!holds(dayOfYear(day))) continue;
    const last = runs.at(-1);
    if (last?.[1] === day) last[1] = day + 1;
    else runs.push([day, day + 1]);
  }
  return runs;
}
