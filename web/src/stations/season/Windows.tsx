/** What holds for a season, as bars on the plane: stretches where they hold, stops and posts hatched where they are closed. */
import { dayOfYear, holdsOn, isWalked, nodesOn, walkedAt, walkedOf, type Plan, type PlanResult } from "@gepack/core";
import { STRETCH_COLOUR } from "../../map/colours.ts";
import { yOf, type Calendar } from "./calendar.ts";

interface WindowsProps {
  plan: Plan;
  result: PlanResult;
  calendar: Calendar;
  x: (metres: number) => number;
}

const SEASONAL = ["rule", "insects", "snow", "hazard", "ticks"] as const;

export function Windows({ plan, result: { profile }, calendar, x }: WindowsProps) {
  const stretches = plan.stretches
    .filter(
      ({ kind, fromMonthDay, toMonthDay }) =>
        SEASONAL.some((one) => one === kind) && (fromMonthDay ?? toMonthDay) !== undefined,
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
  return (
    <>
      <defs>
        <pattern id="closed-hatch" width="6" height="6" patternUnits="userSpaceOnUse" patternTransform="rotate(45)">
          <rect width="6" height="6" fill="var(--sheet)" fillOpacity="0.75" />
          <line x1="0" y1="0" x2="0" y2="6" stroke="var(--ink)" strokeWidth="2.2" />
        </pattern>
      </defs>
      {stretches}
      <Closures {...{ plan, profile, calendar, x }} />
    </>
  );
}

/** Half the width of a bar in which a house is closed; a post alone is thinner. */
const HOUSE_PX = 5;
const POST_PX = 3;

function Closures({ plan, profile, calendar, x }: Omit<WindowsProps, "result"> & Pick<PlanResult, "profile">) {
  return plan.stops
    .filter((stop) => isWalked(profile, stop))
    .flatMap(({ id, name, use, trackM, alternateId, openFrom, openTo, postFrom, postTo }) => {
      const at = x(walkedAt(profile, trackM, alternateId));
      const bars = [
        { what: name, fromMonthDay: openFrom, toMonthDay: openTo, halfPx: HOUSE_PX },
        { what: `The post office at ${name}`, fromMonthDay: postFrom, toMonthDay: postTo, halfPx: POST_PX },
      ].filter(({ fromMonthDay, toMonthDay }) => (fromMonthDay ?? toMonthDay) !== undefined);
      return bars.flatMap(({ what, halfPx, ...season }) =>
        runsOf(calendar, (yearDay) => !holdsOn(season, yearDay)).map(([firstDay, lastDay]) => (
          <rect
            key={`${id} ${what} ${firstDay}`}
            data-testid="closed"
            x={at - halfPx}
            width={2 * halfPx}
            y={yOf(calendar, firstDay)}
            height={yOf(calendar, lastDay) - yOf(calendar, firstDay)}
            fill="url(#closed-hatch)"
            stroke="var(--ink)"
            strokeWidth={use ? 1.2 : 0.6}
            opacity={use ? 1 : 0.6}
          >
            <title>{`${what} is closed`}</title>
          </rect>
        )),
      );
    });
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
