/** Stops: where to buy and where to walk past, how food comes to each, and the best sets of them. */
import { lazy, Suspense, useDeferredValue, useMemo, useState, type KeyboardEvent } from "react";
import { figuresOf, stopFigures, type SearchEnd, type StopFigures } from "@gepack/core";
import { chooseStop } from "../../edit/stops.ts";
import { useLine } from "../../line/scale.ts";
import { select, useSelection } from "../../store/selection.ts";
import { useLooked } from "../../ui/useLooked.ts";
import { CheckList } from "../../ui/CheckList.tsx";
import { Fold } from "../../ui/Fold.tsx";
import { Empty } from "../../ui/Panel.tsx";
import { Progress } from "../../ui/Progress.tsx";
import { checkStation, distinct } from "../../words/checks/index.ts";
import { counted } from "../../words/counted.ts";
import { sayIn, type Say } from "../../words/say.ts";
import { LIMIT_WORDS } from "../../words/stops.ts";
import type { ScreenProps } from "../Screen.tsx";
import { SetPanel } from "./SetPanel.tsx";
import { SetRows } from "./SetRows.tsx";
import { SeveralStops } from "./SeveralStops.tsx";
import { StopLane } from "./StopLane.tsx";
import { StopPanel } from "./StopPanel.tsx";
import { StopTable } from "./StopTable.tsx";
import { useSearch, type NamedSet } from "./useSearch.ts";
import { Weighed } from "./Weighed.tsx";

const FrontierChart = lazy(() => import("./FrontierChart.tsx"));

/** Checks of a door that is closed when one comes. */
const SHUT_CODES: readonly string[] = ["stop-out-of-season", "post-out-of-season", "shop-shut", "counter-shut"];

export default function Stops({ plan, result: newest }: ScreenProps) {
  const result = useDeferredValue(newest);
  const line = useLine(result);
  const say = sayIn(plan);
  const { legIndex } = useSelection();
  const [chosenId, setChosenId] = useState<string>();
  const [set, setSet] = useState<NamedSet>();
  const search = useSearch(plan);
  const figures = useMemo(() => stopFigures(plan, result), [plan, result]);
  const now = useMemo(() => figuresOf(plan, result), [plan, result]);
  const checks = result.checks.filter((check) => checkStation(check) === "stops" || SHUT_CODES.includes(check.code));
  const shut = useMemo(
    () =>
      new Set(
        result.checks.flatMap((check) =>
          SHUT_CODES.includes(check.code) && check.severity !== "note" && "stopId" in check ? [check.stopId] : [],
        ),
      ),
    [result],
  );
  const stop =
    plan.stops.find(({ id }) => id === chosenId) ??
    plan.stops.find(({ id }) => id === result.legs[legIndex]?.fromStopId) ??
    plan.stops[0];
  const choose = (id: string): void => {
    setChosenId(id);
    const leg = result.legs.find(({ fromStopId }) => fromStopId === id);
    if (leg) select({ legIndex: leg.index });
  };
  useLooked("stops", ({ id }) => choose(id));
  /** One key uses or passes the chosen stop. */
  const onKey = (event: KeyboardEvent): void => {
    if (event.key !== "u" || event.ctrlKey || event.metaKey || !stop) return;
    if (event.target instanceof HTMLElement && event.target.matches("input, select, textarea")) return;
    event.preventDefault();
    chooseStop(stop, !stop.use);
  };
  const chosenSet = set && search.sets.find((one) => sameSet(one, set));
  const shown = chosenSet ?? search.sets.find(({ names }) => names.includes("balanced")) ?? search.sets[0];
  return (
    <div className="bg-sheet pb-6" onKeyDown={onKey}>
      <StopLane plan={plan} result={result} line={line} shut={shut} chosen={stop?.id} onChoose={choose} />
      <SetRows plan={plan} now={now} sets={search.sets} chosen={chosenSet} line={line} onChoose={setSet} />
      <div className="flex flex-wrap items-center gap-3 border-y border-rule px-[18px] py-1.5 text-sm">
        <button className="btn btn-strong" disabled={search.fraction !== undefined} onClick={search.run}>
          Find the best set
        </button>
        {search.fraction !== undefined && (
          <Progress label="Searching for sets" fraction={search.fraction} onStop={search.stop} />
        )}
        <span className="text-muted" data-testid="search-says">
          {search.end ? endWords(search.end, search.candidates.length, say) : askWords(plan.resupply.mostFoodDays, say)}
        </span>
      </div>
      <div className="px-[18px]">
        <Fold
          className="border-b border-rule py-2"
          titleClass="text-sm font-semibold"
          title="Limits, weighting and food prices"
        >
          <Weighed plan={plan} />
        </Fold>
        {plan.stops.length > 1 && (
          <Fold
            className="border-b border-rule py-2"
            titleClass="text-sm font-semibold"
            title="Edit several stops at once"
          >
            <SeveralStops plan={plan} />
          </Fold>
        )}
      </div>
      {shown && search.sets.length > 0 && (
        <div className="grid grid-cols-1 gap-x-8 gap-y-4 border-b border-rule px-[18px] py-3 min-[1000px]:grid-cols-[minmax(0,5fr)_minmax(0,6fr)]">
          <Suspense fallback={<div className="h-[250px]" />}>
            <FrontierChart sets={search.sets} now={now} chosen={shown} units={plan.trip.units} onChoose={setSet} />
          </Suspense>
          <SetPanel plan={plan} set={shown} now={now} candidates={search.candidates} />
        </div>
      )}
      <div className="grid grid-cols-1 gap-x-6 px-[18px] py-3 min-[1000px]:grid-cols-[minmax(0,1fr)_310px]">
        <section aria-label="Stops" className="min-w-0">
          {plan.stops.length > 0 && plan.stops.every(({ use }) => !use) && (
            <p className="mt-0 mb-2 max-w-[76ch] text-sm" data-testid="none-used">
              {counted(plan.stops.length, "stop is skipped", "stops are skipped")}: you carry all food from the start.
              Tick the stops you’ll use and say what they offer, one by one or several at once. That decides what you
              buy, eat or have mailed there.
            </p>
          )}
          {plan.stops.length === 0 ? (
            <Empty>No stops yet. Add them in Trail, or import a file with places.</Empty>
          ) : (
            <StopTable plan={plan} result={result} figures={figures} shut={shut} chosen={stop?.id} onChoose={choose} />
          )}
          <p className="mt-2 text-xs text-muted">
            Press U to use or skip the selected stop. Times are local solar time.
          </p>
          <div className="mt-3">
            <CheckList checks={distinct(checks, plan)} plan={plan} result={result} withPlace />
          </div>
        </section>
        {stop && <StopPanel plan={plan} stop={stop} figures={stayAt(figures, stop.id)} />}
      </div>
    </div>
  );
}

/** Of a stop that is passed twice, the time at which one comes and goes on. */
function stayAt(figures: readonly StopFigures[], stopId: string): StopFigures | undefined {
  const stays = figures.filter(({ stop }) => stop.id === stopId);
  return stays.find(({ arrives, leaves }) => arrives && leaves) ?? stays[0];
}

function sameSet(a: NamedSet, b: NamedSet): boolean {
  return a.stops.length === b.stops.length && a.stops.every(({ stopId }, i) => stopId === b.stops[i]!.stopId);
}

function askWords(mostFoodDays: number, say: Say): string {
  return `Considers every stop with a night; locked stops and those you pass through in a day stay as they are. At most ${say.days(mostFoodDays)} of food.`;
}

function endWords(
  { seen, exact, errorFraction, gapFraction, relaxed }: SearchEnd,
  candidates: number,
  say: Say,
): string {
  const looked = `Tried ${say.number(seen)} combinations of ${say.number(candidates)} stops`;
  const sure = exact
    ? "no better set exists by the quick estimate"
    : "the best by the quick estimate, with similar cases merged";
  const off = `the quick estimate is at most ${say.number(100 * errorFraction, 1)} % off, so a set more than ${say.number(100 * gapFraction, 1)} % better is unlikely; figures shown are from the full plan`;
  return `${relaxed ? `${relaxedWords(relaxed, say)} ` : ""}${looked}: ${sure}; ${off}.`;
}

function relaxedWords({ bars, foodDays }: NonNullable<SearchEnd["relaxed"]>, say: Say): string {
  const days =
    foodDays === undefined ? [] : [`you need to carry at least ${say.days(Math.round(foodDays * 10) / 10)} of food`];
  const given = bars.length === 0 ? [] : [`dropped: ${bars.map((bar) => LIMIT_WORDS[bar]).join(", ")}`];
  return `No set fits your limits; ${[...days, ...given].join("; ")}.`;
}
