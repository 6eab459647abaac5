/** Every day a row: how far, how long, when, and where the night is. */
import { memo, useEffect } from "react";
import type { CalendarDay, Plan } from "@gepack/core";
import { Table, type Column } from "../../ui/Table.tsx";
import { fixed, quantity, unitSymbol } from "../../units/quantity.ts";
import { sayIn } from "../../words/say.ts";
import { NIGHT_WORDS, nightKind } from "../../words/nights.ts";

interface Props {
  plan: Plan;
  days: readonly CalendarDay[];
  chosen: string | undefined;
  onChoose: (date: string) => void;
}

/** Less light than this on arriving is worth a mark. */
const LITTLE_LIGHT_H = 0.5;

/** Less melting than this is none that anybody plans for. */
const LEAST_MELT_H = 0.1;

const HEAD_PX = 40;

export const DayTable = memo(function DayTable({ plan, days, chosen, onChoose }: Props) {
  // A day that is chosen elsewhere comes into sight.
  useEffect(() => {
    const row = document.getElementById(`day-${chosen}`);
    const box = row?.closest("section");
    if (!row || !box || box.scrollHeight <= box.clientHeight) return;
    // Within its box alone: the page stays where it is.
    const top = row.getBoundingClientRect().top - box.getBoundingClientRect().top;
    if (top < HEAD_PX || top > box.clientHeight - HEAD_PX) box.scrollTop += top - box.clientHeight / 2;
  }, [chosen]);
  const { units } = plan.trip;
  const say = sayIn(plan);
  const unit = unitSymbol("distance", units);
  const km = (metres: number): string => quantity("distance", metres, units).replace(` ${unit}`, "");
  const columns: Column<CalendarDay>[] = [
    {
      id: "date",
      head: "day",
      names: true,
      cell: ({ date, tripDay }) => (
        <span className="whitespace-nowrap">
          {say.date(date)} <span className="text-xs text-muted">{tripDay}</span>
        </span>
      ),
    },
    { id: "leg", head: "leg", right: true, from: 561, cell: ({ legIndex }) => legIndex + 1 },
    { id: "from", head: `from, ${unit}`, right: true, from: 861, cell: ({ fromM, rests }) => (rests ? "" : km(fromM)) },
    { id: "to", head: `to, ${unit}`, right: true, cell: ({ toM }) => km(toM) },
    { id: "way", head: unit, right: true, cell: ({ fromM, toM, rests }) => (rests ? "rest" : km(toM - fromM)) },
    {
      id: "climb",
      head: "up / down",
      right: true,
      from: 861,
      cell: ({ climbM, descentM, rests }) => (rests ? "" : `${say.height(climbM)} / ${say.height(descentM)}`),
    },
    { id: "hours", head: "hours", right: true, cell: ({ walkH, rests }) => (rests ? "" : fixed(walkH, 1)) },
    {
      id: "clock",
      head: "start – end",
      right: true,
      from: 561,
      cell: ({ leavesH, arrivesH, rests }) => (rests ? "" : `${say.clock(leavesH)} – ${say.clock(arrivesH)}`),
    },
    {
      id: "light",
      head: "daylight left",
      right: true,
      from: 861,
      cell: ({ lightLeftH, rests }) =>
        rests ? (
          ""
        ) : (
          <span className={lightLeftH < LITTLE_LIGHT_H ? "font-bold text-caution" : ""}>
            {lightLeftH < 0 ? "dark" : say.hours(lightLeftH)}
          </span>
        ),
    },
    {
      id: "night",
      head: "night",
      cell: (day) => (
        <span className={day.dry && day.night === "camp" ? "text-caution" : ""}>
          {NIGHT_WORDS[nightKind(day)]}
          {day.meltH >= LEAST_MELT_H && `, ${say.hours(day.meltH)} of melting snow`}
          {day.dinnerM !== undefined && `, dinner at ${km(day.dinnerM)} ${unit}`}
          {day.place !== undefined && ` ${day.night === "stop" ? "" : "by "}${day.place}`}
          {day.pinId !== undefined && <b className="ml-1 rounded bg-caution-wash px-1 text-xs text-caution">pinned</b>}
        </span>
      ),
    },
    { id: "low", head: "low, 1 in 10", right: true, cell: ({ coldNightC }) => say.C(coldNightC) },
  ];
  return (
    <div className="relative overflow-x-auto">
      <Table
        label="Days"
        columns={columns}
        rows={days}
        idOf={({ date }) => date}
        domId={({ date }) => `day-${date}`}
        chosen={chosen === undefined ? [] : [chosen]}
        onChoose={onChoose}
      />
    </div>
  );
});
