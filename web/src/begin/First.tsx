/** The first plan of a trip of your own: the answer, what was assumed for it, what decides the pack, and three choices. */
import { useEffect } from "react";
import { bestChoices, makeLever, packTotals, type FirstChoice, type Plan, type PlanResult } from "@gepack/core";
import { edit } from "../store/document.ts";
import { calculator } from "../store/trail.ts";
import { searchOf, useSelection } from "../store/selection.ts";
import { stationOf } from "../stations/registry.ts";
import { PlanGate } from "../ui/PlanGate.tsx";
import { Progress } from "../ui/Progress.tsx";
import { checkMark } from "../words/checks/index.ts";
import { counted } from "../words/counted.ts";
import { leverWords } from "../words/levers.ts";
import { stopName } from "../words/names.ts";
import { sayIn } from "../words/say.ts";
import { figure } from "../units/quantity.ts";
import { usePlanRun } from "../worker/useLongRun.ts";
import { assumptionsOf } from "./assumptions.ts";

export default function First() {
  return <PlanGate>{(plan, result) => <FirstPlan plan={plan} result={result} />}</PlanGate>;
}

interface Props {
  plan: Plan;
  result: PlanResult;
}

function FirstPlan({ plan, result }: Props) {
  const say = sayIn(plan);
  const selection = useSelection();
  const who = Math.min(selection.hikerIndex, plan.hikers.length - 1);
  const search = searchOf(selection);
  const { legs, profile, walkDays, zeroDays } = result;
  const lightest = Math.min(...legs.map((leg) => leg.hikers[who]!.heaviestKg));
  const heaviest = packTotals(plan, result).hikers[who]!.heaviestKg;
  const days = Math.round(walkDays + zeroDays);
  return (
    <div className="px-[18px] py-4">
      <h2 className="m-0 text-[34px] leading-tight font-extrabold max-[560px]:text-[26px]" data-testid="first-answer">
        {counted(days, "day")}, packs of {figure("mass", lightest, plan.trip.units, 0)} to {say.kg(heaviest, 0)}
      </h2>
      <p className="mt-0 mb-4 text-lg text-muted">
        {say.distance(profile.lengthM)} in {counted(legs.length, "leg")},{" "}
        {say.distance(profile.lengthM / Math.max(1, walkDays))} per hiking day
      </p>
      <div className="grid grid-cols-2 gap-x-7 gap-y-5 max-[900px]:grid-cols-1">
        <Assumed plan={plan} result={result} who={who} search={search} />
        <div>
          <Decides plan={plan} result={result} who={who} />
          <Choices plan={plan} result={result} who={who} />
        </div>
      </div>
      <div className="sticky bottom-0 mt-5 flex flex-wrap items-center gap-3 border-t-2 border-pine bg-paper py-3">
        <span className="flex-1 text-sm text-muted">
          You can change every line later, on its page. Land managers and local rules come first.
        </span>
        <button className="btn" onClick={() => window.print()}>
          Print this page
        </button>
        <a className="btn btn-strong no-underline" href={`/${search}`}>
          Show my plan
        </a>
      </div>
    </div>
  );
}

function Assumed({ plan, result, who, search }: Props & { who: number; search: string }) {
  const lines = assumptionsOf(plan, result, who);
  const open = lines.filter(({ tag }) => tag).length;
  return (
    <section aria-label="What we assumed">
      <h3 className="m-0 border-b border-rule pb-1 text-base font-bold">
        What we assumed{" "}
        <span className="text-sm font-normal text-muted">
          {lines.length} lines; {open} you can settle
        </span>
      </h3>
      <ul className="m-0 list-none p-0 text-sm" data-testid="assumptions">
        {lines.map(({ id, label, words, tag, station, action }) => (
          <li key={id} className="flex flex-wrap items-baseline gap-x-3 border-b border-rule py-1">
            <b className="w-[64px]">{label}</b>
            <span className="min-w-[180px] flex-1">{words}</span>
            {tag && <span className="rounded border border-caution px-1.5 text-xs text-caution">{tag}</span>}
            <a className="text-pine" href={stationOf(station).href + search}>
              {action}
            </a>
          </li>
        ))}
      </ul>
    </section>
  );
}

/** The heaviest pack by what is in it. */
function Decides({ plan, result, who }: Props & { who: number }) {
  const say = sayIn(plan);
  const leg = result.legs.reduce((a, b) => (b.hikers[who]!.startKg > a.hikers[who]!.startKg ? b : a));
  const row = leg.hikers[who]!;
  const parts = [
    { id: "kit", name: "gear", kg: row.kit.baseKg + row.kit.consumableKg },
    { id: "food", name: "food", kg: row.food.startKg },
    { id: "water", name: "water", kg: row.startWaterKg },
    { id: "fuel", name: "fuel", kg: row.fuel.startKg + row.fuel.containerKg },
  ].filter(({ kg }) => kg > 0.05);
  const comfortKg = plan.hikers[who]!.packComfortKg;
  const scaleKg = Math.max(row.startKg, comfortKg) * 1.04;
  const most = parts.reduce((a, b) => (b.kg > a.kg ? b : a));
  return (
    <section aria-label="What decides your pack" className="mb-5">
      <h3 className="m-0 mb-1 text-base font-bold">
        What decides your pack{" "}
        <span className="text-sm font-normal text-muted">
          {say.kg(row.startKg)} leaving {stopName(plan, leg.fromStopId)}, leg {leg.index + 1}
        </span>
      </h3>
      <div className="relative mb-1 h-[22px]" aria-hidden="true">
        <div className="flex h-full">
          {parts.map(({ id, kg }) => (
            <div key={id} style={{ width: `${(100 * kg) / scaleKg}%`, background: `var(--${id})` }} />
          ))}
        </div>
        <div
          className="absolute -top-[3px] -bottom-[3px] w-[2px] bg-danger"
          style={{ left: `${(100 * comfortKg) / scaleKg}%` }}
        />
      </div>
      <p className="m-0 flex flex-wrap gap-x-4 text-sm">
        {parts.map(({ id, name, kg }) => (
          <span key={id}>
            <i className="mr-1 inline-block h-[10px] w-[10px]" style={{ background: `var(--${id})` }} />
            {name} {say.kg(kg)}
          </span>
        ))}
        <span className="text-danger">comfortable {say.kg(comfortKg)}</span>
      </p>
      <p className="m-0 text-sm text-muted">
        {say.distance(leg.distanceM)} without resupply, {say.days(leg.dayCount)}: {most.name} decides.
      </p>
    </section>
  );
}

function Choices({ plan, result, who }: Props & { who: number }) {
  const say = sayIn(plan);
  const { rows, fraction, start, stop } = usePlanRun<FirstChoice>(plan);
  useEffect(
    () =>
      start(
        () => EXPECTED,
        (now, onRow, signal) => calculator().firstChoices({ plan: now, who }, onRow, signal),
      ),
    [plan, who], // eslint-disable-line react-hooks/exhaustive-deps
  );
  const best = bestChoices(rows);
  const longest = result.legs.reduce((a, b) => (b.dayCount > a.dayCount ? b : a));
  return (
    <section aria-label="Choices that change most">
      <h3 className="m-0 border-b border-rule pb-1 text-base font-bold">Choices that change most</h3>
      {fraction !== undefined && <Progress label="Trying choices" fraction={fraction} onStop={stop} />}
      {fraction === undefined && best.length === 0 && (
        <p className="my-2 text-sm text-muted">
          {longest.dayCount > MANY_DAYS
            ? `No place with food is listed for ${say.distance(longest.distanceM)} on leg ${longest.index + 1}. Add the towns there in Trail: paste a table or import a file.`
            : "No single stop or source lightens a pack by much. Legs, What helps tries all else."}
        </p>
      )}
      <ol className="m-0 list-none p-0" data-testid="first-choices">
        {best.map(({ lever, legIndex, beforeKg, afterKg, breaks, dry }) => (
          <li
            key={JSON.stringify(lever)}
            className="flex flex-wrap items-center gap-x-4 gap-y-1 border-b border-rule py-2"
          >
            <span className="min-w-[200px] flex-1">
              <b>
                {dry
                  ? `${say.distance(dry.toM - dry.fromM)} without water, ${say.distance(dry.fromM)} to ${say.distance(dry.toM)}`
                  : questionOf(plan, lever)}
              </b>
              <span className="block text-sm text-muted">{reasonOf(plan, lever)}</span>
            </span>
            <span className="figure text-right text-sm">
              {say.kg(beforeKg)} → <b>{say.kg(afterKg)}</b>
              <span className="block text-muted">
                leg {legIndex + 1}
                {breaks.length > 0 && `; new: ${breaks.map(checkMark).join(", ")}`}
              </span>
            </span>
            <button
              className="btn"
              onClick={() =>
                void edit(leverWords(plan, lever), (draft) => makeLever(draft as Plan, plan.hikers[who]!.id, lever))
              }
            >
              {BUTTONS[lever.kind]}
            </button>
          </li>
        ))}
      </ol>
    </section>
  );
}

/** Nobody carries food for more days. */
const MANY_DAYS = 10;
/** So many choices come, about: for the bar that shows how far it is. */
const EXPECTED = 6;
const BUTTONS: Partial<Record<FirstChoice["lever"]["kind"], string>> = {
  use: "Use this stop",
  "shop-at": "Buy food there",
  "mail-to": "Mail food there",
  "assume-water": "Assume water",
};

function questionOf(plan: Plan, lever: FirstChoice["lever"]): string {
  if (lever.kind === "shop-at") return `Does ${stopName(plan, lever.stopId)} have a shop?`;
  if (lever.kind === "mail-to") return `Could you mail food to ${stopName(plan, lever.stopId)}?`;
  return `${leverWords(plan, lever)}?`;
}

function reasonOf(plan: Plan, lever: FirstChoice["lever"]): string {
  if (lever.kind === "assume-water")
    return `Count on ${counted(lever.places.length, "source")} in between? Marked as assumed: find out before you go.`;
  const note = "stopId" in lever ? plan.stops.find(({ id }) => id === lever.stopId)?.note : undefined;
  return note ? `Your note says “${note.slice(0, MOST_NOTE)}”. The leg splits in 2.` : "The leg splits in 2.";
}

const MOST_NOTE = 100;
