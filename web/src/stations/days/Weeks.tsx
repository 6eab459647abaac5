/** The hike as a calendar: a row a week, from Monday. */
import { dayNumber, isoOfDay, type CalendarDay, type Plan } from "@gepack/core";
import { sayIn } from "../../words/say.ts";
import { NIGHT_WORDS, nightKind } from "../../words/nights.ts";

interface Props {
  plan: Plan;
  days: readonly CalendarDay[];
  chosen: string | undefined;
  onChoose: (date: string) => void;
}

const WEEK_DAYS = ["Mon", "Tue", "Wed", "Thu", "Fri", "Sat", "Sun"];
/** 1970-01-01 was a Thursday. */
const sinceMonday = (day: number): number => (day + 3) % 7;

export function Weeks({ plan, days, chosen, onChoose }: Props) {
  const say = sayIn(plan);
  const byDate = new Map(days.map((day) => [day.date, day]));
  const first = dayNumber(days[0]!.date)!;
  const last = dayNumber(days.at(-1)!.date)!;
  const weeks: number[] = [];
  for (let monday = first - sinceMonday(first); monday <= last; monday += 7) weeks.push(monday);
  return (
    <div className="overflow-x-auto">
      <table className="w-full min-w-[720px] table-fixed border-collapse text-sm" aria-label="Calendar by week">
        <thead>
          <tr className="text-left text-xs text-muted">
            {WEEK_DAYS.map((name) => (
              <th key={name} className="py-1 font-medium">
                {name}
              </th>
            ))}
          </tr>
        </thead>
        <tbody>
          {weeks.map((monday) => (
            <tr key={monday} className="border-t border-rule align-top">
              {WEEK_DAYS.map((name, i) => {
                const date = isoOfDay(monday + i);
                const day = byDate.get(date);
                return (
                  <td key={name} className="p-0">
                    {day && (
                      <button
                        aria-pressed={date === chosen}
                        className={`block h-full min-h-[54px] w-full px-1 py-0.5 text-left leading-tight ${date === chosen ? "bg-pine-wash" : "hover:bg-paper"}`}
                        onClick={() => onChoose(date)}
                      >
                        <span className="text-xs text-muted">{say.date(date)}</span>{" "}
                        <b className="figure">{day.rests ? "rest" : say.distance(day.toM - day.fromM)}</b>
                        <span className={`block text-xs ${day.pinId === undefined ? "" : "font-bold text-caution"}`}>
                          {day.place ?? NIGHT_WORDS[nightKind(day)]}
                        </span>
                      </button>
                    )}
                  </td>
                );
              })}
            </tr>
          ))}
        </tbody>
      </table>
    </div>
  );
}
