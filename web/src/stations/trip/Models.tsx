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
import { dayMonth, fixed, quantity } from "../../units/quantity.ts";
import { Panel } from "../../ui/Panel.tsx";
import { Progress } from "../../ui/Progress.tsx";
import { Table, type Column } from "../../ui/Table.tsx";
import { changeHiker, useHiker } from "../../ui/HikerFields.tsx";
import { LeavingStops } from "./LeavingStops.tsx";
import { Measured } from "./Measured.tsx";
import { replacedBy } from "./measuredFields.ts";
import { useComparison, type Comparison } from "./useComparison.ts";

const QUESTIONS = Object.keys(models) as Question[];
const COUNT = QUESTIONS.reduce((sum, question) => sum + models[question].all.length, 0);

interface Figure {
  name: string;
  show: (figures: SchoolFigures, units: Units) => string;
}

const HEAVIEST: Figure = {
  name: "Heaviest pack",
  show: (row, units) => `${quantity("mass", row.heaviestKg, units)}, leg ${row.heaviestLeg + 1}`,
};
const KCAL: Figure = { name: "kcal per day", show: (row) => fixed(row.kcalPerDay, 0) };
const FOOD: Figure = { name: "Food, all legs", show: (row, units) => quantity("mass", row.foodKg, units) };
const BODY: Figure = {
  name: "Body weight at the finish",
  show: (row, units) => quantity("mass", row.finishBodyKg, units),
};

const TEXT: Record<Question, { title: string; note: string; columns: Figure[] }> = {
  time: {
    title: "Walking time",
    note: "Speed by slope, before load, ground, heat and darkness. Your pace in percent comes on top, except with a measured pace.",
    columns: [
      { name: "Walking days", show: (row) => fixed(row.walkDays, 0) },
      { name: "Finish", show: (row) => dayMonth(row.finishDate) },
      FOOD,
      HEAVIEST,
    ],
  },
  effort: {
    title: "Effort of walking",
    note: "Power while walking with the load, including your resting metabolism.",
    columns: [KCAL, FOOD, BODY, HEAVIEST],
  },
  resting: { title: "Resting metabolism", note: "For the hours you don’t walk.", columns: [KCAL, FOOD, HEAVIEST] },
  water: {
    title: "Water while walking",
    note: "What you drink while walking; dry camps, reserve and the most you should drink are the same for all models. Any source may be dry today.",
    columns: [
      { name: "Drunk per hour", show: (row, units) => `${quantity("volume", row.litresPerHour, units, 2)}` },
      { name: "Largest water carry", show: (row, units) => quantity("volume", row.largestCarryL, units) },
      HEAVIEST,
    ],
  },
  bodyMass: {
    title: "Body weight over the hike",
    note: "Weight you lose with a calorie deficit; a lighter body burns less. An estimate, not a diagnosis: weigh yourself in town.",
    columns: [BODY, KCAL, FOOD],
  },
  fuel: {
    title: "Stove and fuel",
    note: "The same boils with every system. Never use a stove in a closed tent; fire bans come first.",
    columns: [{ name: "Fuel used", show: (row, units) => quantity("mass", row.fuelKg, units, 2) }, HEAVIEST],
  },
};

export function Models({ plan, result }: { plan: Plan; result: PlanResult }) {
  const hiker = useHiker(plan);
  const comparison = useComparison(plan, hiker.id, QUESTIONS, COUNT);
  return (
    <>
      <div className="flex flex-wrap items-center gap-3">
        <p className="m-0 max-w-[72ch] text-sm text-muted">
          What each model says for this whole hike and {hiker.name}, with everything else unchanged. Models differ by 20
          % and more, and people by as much again. A figure you measured yourself beats any of them.
        </p>
        <Running comparison={comparison} />
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

function Running({ comparison: { stopped, missing, stop, again } }: { comparison: Comparison }) {
  if (stopped)
    return (
      <button className="btn" onClick={again}>
        Compare again
      </button>
    );
  if (missing === 0) return <span className="text-sm text-muted">All compared.</span>;
  return <Progress label="Models compared" fraction={(COUNT - missing) / COUNT} onStop={stop} />;
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
  const fuels = useMemo(
    () => (question === "fuel" ? compareFuels(plan, result, hiker.id) : undefined),
    [question, plan, result, hiker.id],
  );
  const figuresOf = (id: string): SchoolFigures | undefined => comparison.figures.get(`${question}:${id}`);
  const measured = replacedBy(question, hiker);
  const chosen = chosenSchool(question, hiker);
  return (
    <Panel title={title} note={note}>
      <Measured question={question} hiker={hiker} units={units} figures={figuresOf} />
      {measured && (
        <p className="mt-1 mb-1.5 inline-block rounded bg-pine-wash px-2 py-1 text-sm">
          <b>Measured:</b> {measured} The models below are shown without it.
        </p>
      )}
      <div className="relative overflow-x-auto">
        <Table
          label={`Models: ${title}`}
          rows={models[question].all}
          idOf={(school) => school.id}
          chosen={chosen === undefined ? [] : [chosen]}
          columns={[
            nameColumn(question, hiker, chosen),
            ...columns.map(({ name, show }): Column<AnySchool> => ({
              id: name,
              head: name,
              right: true,
              cell: (school) => {
                const row = figuresOf(school.id);
                return row ? show(row, units) : "…";
              },
            })),
            ...(fuels ? [carriedColumn(fuels, units)] : []),
            SOURCE,
          ]}
        />
      </div>
      {fuels && <LeavingStops fuels={fuels} plan={plan} result={result} />}
    </Panel>
  );
}

type AnySchool = (typeof models)[Question]["all"][number];

/** What the document names; undefined where it names none that is known. */
function chosenSchool(question: Question, hiker: Hiker): string | undefined {
  const named = question === "fuel" ? hiker.stove.fuel : hiker.schools[question];
  return models[question].find(named)?.id;
}

function nameColumn(question: Question, hiker: Hiker, chosen: string | undefined): Column<AnySchool> {
  const choose = ({ id, name }: AnySchool): void =>
    changeHiker(hiker)(name, (target) => {
      if (question === "fuel") target.stove = stoveOf(target, id as Hiker["stove"]["fuel"]);
      else target.schools[question] = id;
    });
  return {
    id: "school",
    head: "Model",
    names: true,
    cell: (school) => (
      <label className={`flex min-w-[200px] items-start gap-2 ${school.id === chosen ? "font-bold" : ""}`}>
        <input
          type="radio"
          className="mt-[3px]"
          name={`${question} ${hiker.id}`}
          checked={school.id === chosen}
          onChange={() => choose(school)}
        />
        {school.name}
      </label>
    ),
  };
}

function carriedColumn(fuels: readonly FuelComparison[], units: Units): Column<AnySchool> {
  return {
    id: "carried",
    head: "Stove and fuel carried",
    right: true,
    cell: (school) => {
      const fuel = fuels.find((candidate) => candidate.id === school.id);
      return <span className="whitespace-normal">{fuel ? fuelCarried(fuel, units) : "–"}</span>;
    },
  };
}

const SOURCE: Column<AnySchool> = {
  id: "source",
  head: "Source and valid range",
  wide: true,
  cell: (school) => (
    <span className="inline-block min-w-[260px] text-xs text-muted">
      {school.confidence === "experimental" && <b className="text-caution">Experimental. </b>}
      {school.source}. {school.validity.words}
    </span>
  ),
};

function fuelCarried(fuel: FuelComparison, units: Units): string {
  const crossing = fuel.crossing
    ? `; ${fuel.crossing.heavierBeyond ? "heavier" : "lighter"} than yours from ${fuel.crossing.boils} boils`
    : "";
  return `${quantity("mass", fuel.meanKg, units, 2)} on average${crossing}`;
}
