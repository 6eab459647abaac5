/** What every leg meets, a row a leg, and the whole hike's extremes as one sentence. */
import type { LegConditions, Plan, PlanResult } from "@gepack/core";
import { select, useSelection } from "../../store/selection.ts";
import { Table, type Column } from "../../ui/Table.tsx";
import { fixed, quantity } from "../../units/quantity.ts";
import { counted } from "../../words/counted.ts";
import { stopName } from "../../words/names.ts";
import { sayIn } from "../../words/say.ts";
import { INSECTS } from "./quantities.ts";

interface Props {
  plan: Plan;
  result: PlanResult;
  rows: readonly LegConditions[];
}

export function Extremes({ plan, result, rows }: Props) {
  const say = sayIn(plan);
  const by = (pick: (row: LegConditions) => number): LegConditions =>
    rows.reduce((a, b) => (pick(b) > pick(a) ? b : a));
  const cold = by((row) => -row.coldNightC);
  const hot = by((row) => row.hotDayC);
  const dark = by((row) => -row.leastDaylightH);
  const snowM = rows.reduce((sum, row) => sum + row.snowM, 0);
  const snowed = rows.find((row) => row.snowM > 0);
  const dryM = Math.max(
    0,
    ...result.legs.flatMap((leg) => leg.hikers.flatMap((hiker) => hiker.carries.map((carry) => carry.distanceM))),
  );
  return (
    <p className="m-0 text-base" data-testid="extremes">
      From <b>{say.C(cold.coldNightC)}</b> at {say.height(cold.coldHeightM)} in leg {cold.legIndex + 1} to{" "}
      <b>{say.C(hot.hotDayC)}</b> in leg {hot.legIndex + 1} (one night and one day in ten);{" "}
      {snowed ? (
        <>
          snow underfoot for <b>{say.distance(snowM)}</b> from {say.date(snowed.startDate)}
        </>
      ) : (
        "no snow underfoot"
      )}
      ; {say.distance(dryM)} without water; at least {say.hours(dark.leastDaylightH)} of daylight.
    </p>
  );
}

export function Conditions({ plan, result, rows }: Props) {
  const say = sayIn(plan);
  const { units } = plan.trip;
  const chosen = useSelection((state) => state.legIndex);
  const columns: Column<LegConditions>[] = [
    {
      id: "leg",
      head: "Leg",
      names: true,
      roomy: true,
      cell: ({ legIndex }) => {
        const leg = result.legs[legIndex]!;
        return `${legIndex + 1} ${stopName(plan, leg.fromStopId)} to ${stopName(plan, leg.toStopId)}`;
      },
    },
    {
      id: "passed",
      head: "when you pass",
      cell: ({ startDate, endDate }) => (
        <span className="whitespace-nowrap">{`${say.date(startDate)} to ${say.date(endDate)}`}</span>
      ),
    },
    {
      id: "night",
      head: "night low, 1 in 10",
      right: true,
      cell: ({ coldNightC, coldHeightM, standsC }) => (
        <span className={standsC !== undefined && coldNightC < standsC ? "font-bold text-danger" : ""}>
          {say.C(coldNightC)} at {say.height(coldHeightM)}
        </span>
      ),
    },
    { id: "coldest", head: "coldest of all nights", right: true, cell: ({ coldestOfAllC }) => say.C(coldestOfAllC) },
    {
      id: "stands",
      head: "your kit handles",
      right: true,
      cell: ({ standsC }) => (standsC === undefined ? "–" : say.C(standsC)),
    },
    { id: "day", head: "day high, 1 in 10", right: true, cell: ({ hotDayC }) => say.C(hotDayC) },
    {
      id: "snow",
      head: "on snow",
      right: true,
      cell: ({ snowM, softM }) =>
        snowM === 0
          ? "–"
          : `${quantity("distance", snowM, units)}${softM > 0 ? `, ${quantity("distance", softM, units)} soft` : ""}`,
    },
    {
      id: "wet",
      head: "wet days",
      right: true,
      cell: ({ wetMean, days, longestWetDays }) => (
        <span title={`longest wet spell ${fixed(longestWetDays, 1)} days on average`}>
          {fixed(wetMean, 1)} of {counted(days, "day")}{" "}
        </span>
      ),
    },
    {
      id: "light",
      head: "light",
      right: true,
      cell: ({ leastDaylightH, twilightH }) => (
        <span
          title={
            twilightH === undefined
              ? "twilight all night"
              : `plus ${Math.round(60 * twilightH)} min of twilight at each end`
          }
        >
          {say.hours(leastDaylightH)}
        </span>
      ),
    },
    {
      id: "moon",
      head: "moonlit",
      right: true,
      from: 861,
      cell: ({ moonlitH }) => (moonlitH === 0 ? "–" : `${moonlitH} h`),
    },
    { id: "uv", head: "UV", right: true, from: 861, cell: ({ uvIndex }) => fixed(uvIndex, 0) },
    {
      id: "insects",
      head: "insects",
      right: true,
      cell: ({ insects }) => INSECTS[Math.round(insects)]!.replace(/ ?insects/, "").replace("no", "none") || "some",
    },
  ];
  return (
    <div className="overflow-x-auto">
      <Table
        label="Conditions by leg"
        columns={columns}
        rows={rows}
        idOf={({ legIndex }) => String(legIndex)}
        chosen={[String(chosen)]}
        onChoose={(id) => select({ legIndex: Number(id) })}
      />
    </div>
  );
}
