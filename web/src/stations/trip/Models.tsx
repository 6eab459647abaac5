/** Each question with its schools: what each says for this hike, where it comes from, where it holds. */
import { useMemo } from "react";
import {
  compareFuels,
  models,
  stoveOf,
  type FuelComparison,
  type Hiker,
  type Plan,
  type PlanResult,
  type Question,
  type SchoolFigures,
  type Units,
} from "@gepack/core";
import { edit, useApp } from "../../store/app.ts";
import { dayMonth, fixed, quantity } from "../../units/quantity.ts";
import { LeavingStops } from "./LeavingStops.tsx";
import { Measured } from "./Measured.tsx";
import { replacedBy } from "./measuredFields.ts";
import { useComparison, type Comparison } from "./useComparison.ts";

const QUESTIONS = Object.keys(models) as Question[];
const COUNT = QUESTIONS.reduce((sum, question) => sum + models[question].all.length, 0);

interface Column {
  name: string;
  show: (figures: SchoolFigures, units: Units) => string;
}

const HEAVIEST: Column = {
  name: "Heaviest pack",
  show: (row, units) => `${quantity("mass", row.heaviestKg, units)}, leg ${row.heaviestLeg + 1}`,
};
const KCAL: Column = { name: "kcal a day", show: (row) => fixed(row.kcalPerDay, 0) };
const FOOD: Column = { name: "Food, all legs", show: (row, units) => quantity("mass", row.foodKg, units) };
const BODY: Column = { name: "Body at the finish", show: (row, units) => quantity("mass", row.finishBodyKg, units) };

const TEXT: Record<Question, { title: string; note: string; columns: Column[] }> = {
  time: {
    title: "Walking time",
    note: "How fast on which slope, before load, surface, heat and dark. Your own pace in percent comes on top, but for the measured one.",
    columns: [
      { name: "Walking days", show: (row) => fixed(row.walkDays, 0) },
      { name: "Finish", show: (row) => dayMonth(row.finishDate) },
      FOOD,
      HEAVIEST,
    ],
  },
  effort: {
    title: "Effort of walking",
    note: "Power while walking with the load, resting part included.",
    columns: [KCAL, FOOD, BODY, HEAVIEST],
  },
  resting: { title: "Resting metabolism", note: "For the hours that are not walked.", columns: [KCAL, FOOD, HEAVIEST] },
  water: {
    title: "Water while walking",
    note: "What is drunk on the way; dry camps, reserve and the most to drink are the same for all. Any source may be dry today.",
    columns: [
      { name: "Drunk an hour", show: (row, units) => `${quantity("volume", row.litresPerHour, units, 2)}` },
      { name: "Largest carry", show: (row, units) => quantity("volume", row.largestCarryL, units) },
      HEAVIEST,
    ],
  },
  bodyMass: {
    title: "Body mass over the hike",
    note: "What a shortfall takes off the body; a lighter body burns less. A guess, not a diagnosis: weigh yourself in town.",
    columns: [BODY, KCAL, FOOD],
  },
  fuel: {
    title: "Stove and fuel",
    note: "The same boils by every system. Never in a closed tent; fire bans go first.",
    columns: [{ name: "Fuel burnt", show: (row, units) => quantity("mass", row.fuelKg, units, 2) }, HEAVIEST],
  },
};

export function Models({ plan, result }: { plan: Plan; result: PlanResult }) {
  const hiker = plan.hikers[useApp((state) => state.hikerIndex)]!;
  const comparison = useComparison(plan, hiker.id, QUESTIONS, COUNT);
  return (
    <>
      <div className="flex flex-wrap items-center gap-3">
        <p className="m-0 max-w-[72ch] text-sm text-muted">
          What each school says for this whole hike and {hiker.name}, everything else unchanged. Schools differ by a
          fifth and more, and people by as much again: a measured figure of your own is better than any of them.
        </p>
        <Progress comparison={comparison} />
      </div>
      {QUESTIONS.map((question) => (
        <QuestionTable
          key={question}
          question={question}
          plan={plan}
          result={result}
          hiker={hiker}
          comparison={comparison}
        />
      ))}
    </>
  );
}

function Progress({ comparison }: { comparison: Comparison }) {
  if (comparison.stopped)
    return (
      <button className="btn" onClick={comparison.again}>
        Compare again
      </button>
    );
  if (comparison.missing === 0) return <span className="text-sm text-muted">All compared.</span>;
  return (
    <span className="flex items-center gap-2 text-sm text-muted" role="status">
      <progress max={COUNT} value={COUNT - comparison.missing} aria-label="Schools compared" />
      <button className="btn" onClick={comparison.stop}>
        Stop
      </button>
    </span>
  );
}

interface QuestionProps {
  question: Question;
  plan: Plan;
  result: PlanResult;
  hiker: Hiker;
  comparison: Comparison;
}

function QuestionTable({ question, plan, result, hiker, comparison }: QuestionProps) {
  const { title, note, columns } = TEXT[question];
  const units = plan.trip.units;
  const chosen = result.schools[plan.hikers.indexOf(hiker)]![question];
  const change = (label: string, recipe: (hiker: Hiker) => void): void =>
    void edit(`${hiker.name.split(" ")[0]}: ${label}`, (draft) => {
      const target = draft.hikers.find((candidate) => candidate.id === hiker.id);
      if (target) recipe(target as Hiker);
    });
  const choose = (id: string, name: string): void =>
    change(name, (target) => {
      if (question === "fuel") target.stove = stoveOf(target, id as Hiker["stove"]["fuel"]);
      else target.schools[question] = id;
    });
  const fuels = useMemo(
    () => (question === "fuel" ? compareFuels(plan, result, hiker.id) : undefined),
    [question, plan, result, hiker.id],
  );
  const measured = replacedBy(question, hiker);
  const cell = "border-b border-rule py-1.5 pr-4 align-top";
  return (
    <section aria-label={title}>
      <h2 className="m-0 mb-0.5 text-lg font-bold">{title}</h2>
      <p className="mt-0 mb-1.5 max-w-[72ch] text-sm text-muted">{note}</p>
      <Measured
        question={question}
        hiker={hiker}
        units={units}
        figures={(id) => comparison.figures.get(`${question}:${id}`)}
        change={change}
      />
      {measured && (
        <p className="mt-1 mb-1.5 inline-block rounded bg-pine-wash px-2 py-1 text-sm">
          <b>Measured:</b> {measured} The schools below are shown without it.
        </p>
      )}
      <div className="relative overflow-x-auto">
        <table className="w-full border-collapse text-sm">
          <thead>
            <tr className="border-b border-rule text-left text-xs text-muted">
              <th className="py-1 pr-4 font-medium">School</th>
              {columns.map((column) => (
                <th key={column.name} className="py-1 pr-4 text-right font-medium whitespace-nowrap">
                  {column.name}
                </th>
              ))}
              {fuels && <th className="py-1 pr-4 text-right font-medium whitespace-nowrap">Stove and fuel carried</th>}
              <th className="py-1 font-medium">Source and where it holds</th>
            </tr>
          </thead>
          <tbody>
            {models[question].all.map((school) => {
              const row = comparison.figures.get(`${question}:${school.id}`);
              const here = school.id === chosen;
              const fuel = fuels?.find((candidate) => candidate.id === school.id);
              return (
                <tr key={school.id} className={here ? "bg-pine-wash" : ""}>
                  <td className={`${cell} min-w-[200px] pl-1.5`}>
                    <label className={`flex items-start gap-2 ${here ? "font-bold" : ""}`}>
                      <input
                        type="radio"
                        className="mt-[3px] accent-(--pine)"
                        name={`${question} ${hiker.id}`}
                        checked={here}
                        onChange={() => choose(school.id, school.name)}
                      />
                      {school.name}
                    </label>
                  </td>
                  {columns.map((column) => (
                    <td key={column.name} className={`figure ${cell} text-right whitespace-nowrap`}>
                      {row ? column.show(row, units) : "…"}
                    </td>
                  ))}
                  {fuels && <td className={`figure ${cell} text-right`}>{fuel ? fuelCarried(fuel, units) : "–"}</td>}
                  <td className={`${cell} min-w-[260px] text-xs text-muted`}>
                    {school.confidence === "experimental" && <b className="text-caution">Experimental. </b>}
                    {school.source}. {school.validity.words}
                  </td>
                </tr>
              );
            })}
          </tbody>
        </table>
      </div>
      {fuels && <LeavingStops fuels={fuels} plan={plan} result={result} />}
    </section>
  );
}

function fuelCarried(fuel: FuelComparison, units: Units): string {
  const crossing = fuel.crossing
    ? `; ${fuel.crossing.heavierBeyond ? "heavier" : "lighter"} than yours from ${fuel.crossing.boils} boils on`
    : "";
  return `${quantity("mass", fuel.meanKg, units, 2)} on average${crossing}`;
}
