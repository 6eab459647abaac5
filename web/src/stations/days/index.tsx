/** Days: where one sleeps, when, and what is held on to. */
import { CalendarDays, FileDown, Printer } from "lucide-react";
import { useDeferredValue, useMemo, useState } from "react";
import { ToggleGroup } from "radix-ui";
import { calendarDays, writeDaysCsv } from "@gepack/core";
import { save } from "../../frame/files.ts";
import { report } from "../../store/notices.ts";
import { showPapers } from "../../store/papers.ts";
import { select, useSelection } from "../../store/selection.ts";
import { CheckList } from "../../ui/CheckList.tsx";
import { Fold } from "../../ui/Fold.tsx";
import { checkStation, distinct } from "../../words/checks/index.ts";
import { sayIn } from "../../words/say.ts";
import type { ScreenProps } from "../Screen.tsx";
import { DayPanel } from "./DayPanel.tsx";
import { DaysLane } from "./DaysLane.tsx";
import { DayTable } from "./DayTable.tsx";
import { FinishBy } from "./FinishBy.tsx";
import { Rules } from "./Rules.tsx";
import { Weeks } from "./Weeks.tsx";

const VIEWS = [
  ["table", "Table"],
  ["weeks", "Calendar"],
] as const;

export default function Days({ plan, result: newest }: ScreenProps) {
  const result = useDeferredValue(newest);
  const [view, setView] = useState<string>("table");
  const { legIndex, day: chosenDate } = useSelection();
  const say = sayIn(plan);
  const days = useMemo(() => calendarDays(plan, result), [plan, result]);
  const chosen =
    days.find(({ date }) => date === chosenDate) ?? days.find((day) => day.legIndex === legIndex) ?? days[0]!;
  const choose = (date: string): void => {
    const day = days.find((one) => one.date === date);
    if (day) select({ day: date, legIndex: day.legIndex });
  };
  const calendar = async (): Promise<void> => {
    const { calendarOf } = await import("../../exports/calendar.ts");
    save(calendarOf(plan, result, ["days", "decisions", "nights"]), `${plan.trip.name} days`, "ics", "text/calendar");
  };
  const walked = days.filter(({ rests }) => !rests);
  const longest = walked.reduce((a, b) => (b.walkH > a.walkH ? b : a));
  const rests = days.length - walked.length;
  return (
    <div className="bg-sheet pb-6">
      <DaysLane plan={plan} result={result} days={days} onChoose={({ date }) => choose(date)} />
      <div className="flex flex-wrap items-center gap-3 border-y border-rule px-[18px] py-1.5 text-sm">
        <ToggleGroup.Root
          type="single"
          value={view}
          onValueChange={(next) => next !== "" && setView(next)}
          aria-label="Show days as"
          className="flex overflow-hidden rounded border border-rule"
        >
          {VIEWS.map(([id, name]) => (
            <ToggleGroup.Item
              key={id}
              value={id}
              className="px-3 py-1 text-sm data-[state=on]:bg-pine data-[state=on]:font-bold data-[state=on]:text-on-pine"
            >
              {name}
            </ToggleGroup.Item>
          ))}
        </ToggleGroup.Root>
        <span data-testid="days-summary">
          {walked.length} walking days, {rests === 1 ? "one rest day" : `${rests} rest days`}; longest{" "}
          {say.hours(longest.walkH)} on {say.date(longest.date)}; finish {say.date(days.at(-1)!.date)}.
        </span>
        <span className="flex-1" />
        <button className="btn" onClick={() => showPapers(["day-cards"])}>
          <Printer size={15} aria-hidden="true" /> Day cards
        </button>
        <button className="btn" onClick={() => void calendar().catch(report)}>
          <CalendarDays size={15} aria-hidden="true" /> Calendar file
        </button>
        <button
          className="btn"
          onClick={() => save(writeDaysCsv(plan, result), `${plan.trip.name} days`, "csv", "text/csv")}
        >
          <FileDown size={15} aria-hidden="true" /> CSV
        </button>
      </div>
      <div className="grid grid-cols-1 gap-x-6 px-[18px] py-3 min-[1000px]:grid-cols-[minmax(0,1fr)_310px]">
        <section aria-label="Days" className="min-w-0 min-[1000px]:max-h-[70vh] min-[1000px]:overflow-y-auto">
          {view === "table" ? (
            <DayTable plan={plan} days={days} chosen={chosen.date} onChoose={choose} />
          ) : (
            <Weeks plan={plan} days={days} chosen={chosen.date} onChoose={choose} />
          )}
        </section>
        <DayPanel plan={plan} result={result} day={chosen} />
      </div>
      <div className="grid gap-5 px-[18px]">
        <CheckList
          checks={distinct(
            result.checks.filter((check) => checkStation(check) === "days"),
            plan,
          )}
          plan={plan}
          result={result}
          withPlace
        />
        <FinishBy plan={plan} result={result} />
        <Fold className="border-t border-rule pt-3" titleClass="text-lg font-bold" title="Day rules">
          <div className="grid gap-5 pt-3">
            <Rules plan={plan} lengthDays={days.length} />
          </div>
        </Fold>
      </div>
    </div>
  );
}
