/** What other first days would mean: drawn over eight weeks either way, a row a week, each to be taken. */
import { lazy, Suspense } from "react";
import { dayNumber, type Plan } from "@gepack/core";
import { Progress } from "../../ui/Progress.tsx";
import { quantity } from "../../units/quantity.ts";
import { sayIn } from "../../words/say.ts";
import { useSweep } from "./useSweep.ts";

const StartChart = lazy(() => import("./StartChart.tsx"));

interface Props {
  plan: Plan;
  onTake: (startDate: string) => void;
}

export function BestStart({ plan, onTake }: Props) {
  const { rows, fraction, run, stop } = useSweep(plan);
  const { units, startDate } = plan.trip;
  const say = sayIn(plan);
  const now = dayNumber(startDate)!;
  const weekly = rows.filter((row) => (dayNumber(row.startDate)! - now) % 7 === 0);
  return (
    <section aria-label="Compare start dates" className="my-3 text-sm">
      <div className="flex flex-wrap items-center gap-3">
        <button className="btn" disabled={fraction !== undefined} onClick={run}>
          {rows.length === 0 ? "Compare start dates" : "Compare again"}
        </button>
        {fraction === undefined ? (
          <span className="text-muted">Recalculates the plan for every start date, eight weeks either way.</span>
        ) : (
          <Progress label="Trying other start dates" fraction={fraction} onStop={stop} />
        )}
      </div>
      {rows.length > 1 && (
        <Suspense fallback={<div className="h-[200px]" />}>
          <StartChart rows={rows} units={units} now={startDate} onTake={onTake} />
        </Suspense>
      )}
      {weekly.length > 1 && (
        <div className="overflow-x-auto">
          <table className="border-collapse" aria-label="Start dates by week">
            <thead>
              <tr className="border-b border-rule text-left text-muted">
                {[
                  "start date",
                  "finish",
                  "heaviest pack",
                  "on snow",
                  "coldest night",
                  "hottest day",
                  "without water",
                  "closed",
                  "blockers",
                  "",
                ].map((head) => (
                  <th key={head} className="py-0.5 pr-4 font-normal">
                    {head}
                  </th>
                ))}
              </tr>
            </thead>
            <tbody>
              {weekly.map((row) => (
                <tr
                  key={row.startDate}
                  className={`border-b border-rule ${row.startDate === startDate ? "bg-pine-wash font-bold" : ""}`}
                >
                  <td className="figure py-0.5 pr-4">{say.date(row.startDate)}</td>
                  <td className="figure pr-4">{say.date(row.finishDate)}</td>
                  <td className="figure pr-4">{say.kg(row.heaviestKg)}</td>
                  <td className="figure pr-4">{row.snowM < 100 ? "–" : quantity("distance", row.snowM, units, 0)}</td>
                  <td className="figure pr-4">{say.C(row.coldNightC)}</td>
                  <td className="figure pr-4">{say.C(row.hotDayC)}</td>
                  <td className="figure pr-4">{say.distance(row.longestDryM)}</td>
                  <td className="figure pr-4">{row.closed || "–"}</td>
                  <td className="figure pr-4">{row.blockers}</td>
                  <td>
                    {row.startDate === startDate ? (
                      "now"
                    ) : (
                      <button
                        className="btn min-h-[24px]! px-1.5! py-0! text-xs!"
                        aria-label={`Start on ${say.date(row.startDate)}`}
                        onClick={() => onTake(row.startDate)}
                      >
                        Start on this date
                      </button>
                    )}
                  </td>
                </tr>
              ))}
            </tbody>
          </table>
        </div>
      )}
    </section>
  );
}
