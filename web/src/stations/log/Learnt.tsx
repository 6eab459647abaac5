/** What the log says of the hiker: old to new, how sure, and taken by one step; the past stays as it was. */
import { useMemo } from "react";
import {
  cardsOf,
  fitLog,
  logReadings,
  nightBias,
  withFits,
  type Fit,
  type Plan,
  type PlanResult,
  type WeighedKit,
} from "@gepack/core";
import { takeFits, takeReadings } from "../../edit/log.ts";
import { calculator } from "../../store/trail.ts";
import { Progress } from "../../ui/Progress.tsx";
import { Table } from "../../ui/Table.tsx";
import { FITTED_NOTES, FITTED_WORDS } from "../../words/log.ts";
import { sayIn } from "../../words/say.ts";
import { FromTrip } from "./FromTrip.tsx";
import { usePlanRun } from "../../worker/useLongRun.ts";
import { fixed } from "../../units/quantity.ts";

/** Nearer than this to what the plan has already is no news: another pace alone moves litres by the hour so far. */
const LEAST_NEWS = 0.07;

const percent = (factor: number): string => `${factor >= 1 ? "+" : "−"}${fixed(Math.abs(100 * (factor - 1)), 0)} %`;

export function Learnt({ plan, result }: { plan: Plan; result: PlanResult }) {
  const say = sayIn(plan);
  const fits = useMemo(() => fitLog(plan, result), [plan, result]);
  const { rows, fraction, start, stop } = usePlanRun<WeighedKit>(plan);
  const then = rows[0];
  if (fits.length === 0)
    return (
      <>
        <p className="max-w-[72ch] text-sm text-muted">
          Nothing to learn from yet. Save days with the hours you walked and what food and fuel are left.
        </p>
        <FromTrip plan={plan} />
      </>
    );
  const changed = fits.filter(({ hasChanged }) => hasChanged);
  const takenOf = (fit: Fit): number => plan.learned.find(({ what }) => what === fit.what)?.factor ?? 1;
  const news = fits.filter((fit) => Math.abs(fit.factor / takenOf(fit) - 1) > LEAST_NEWS);
  return (
    <>
      <Table<Fit>
        label="What the log shows"
        rows={fits}
        idOf={({ what }) => what}
        columns={[
          {
            id: "what",
            head: "figure",
            names: true,
            cell: ({ what }) => (
              <>
                {FITTED_WORDS[what]} <span className="text-xs text-muted">{FITTED_NOTES[what]}</span>
              </>
            ),
          },
          { id: "cards", head: "days", right: true, cell: ({ cards }) => cards },
          { id: "was", head: "in the plan", right: true, cell: (fit) => percent(takenOf(fit)) },
          { id: "is", head: "from the log", right: true, cell: ({ factor }) => <b>{percent(factor)}</b> },
          {
            id: "spread",
            head: "90 % range",
            right: true,
            from: 561,
            cell: ({ posterior, spread }) =>
              `${percent(Math.exp(posterior - 1.645 * spread))} and ${percent(Math.exp(posterior + 1.645 * spread))}`,
          },
          {
            id: "sure",
            head: "certainty",
            unseen: true,
            cell: ({ hasChanged }) =>
              hasChanged ? <b className="text-caution">changed</b> : <span className="text-muted">within chance</span>,
          },
        ]}
      />
      <div className="my-2 flex flex-wrap items-center gap-3">
        <button
          className="btn"
          disabled={fraction !== undefined || news.length === 0}
          onClick={() =>
            start(
              () => 1,
              (now, onRow, signal) =>
                calculator().weighKits(
                  { plan: withFits(now, result, fits), variants: [{ key: "learnt" }] },
                  onRow,
                  signal,
                ),
            )
          }
        >
          Effect on the rest of the hike
        </button>
        {fraction !== undefined && <Progress label="Calculating the rest" fraction={fraction} onStop={stop} />}
        {then && (
          <span data-testid="learnt-then">
            Finish on {say.date(then.finishDate)} instead of {say.date(result.finishDate)}; the heaviest pack{" "}
            {say.kg(then.heaviestKg)}.
          </span>
        )}
        <button
          className="btn btn-strong"
          disabled={news.length === 0}
          onClick={() => takeFits(fits, result, "Use all figures from the log")}
        >
          Use all
        </button>
        {changed.length > 0 && changed.length < fits.length && (
          <button className="btn" onClick={() => takeFits(changed, result, "Use the changed figures from the log")}>
            Use the changed ones
          </button>
        )}
      </div>
      <Nights plan={plan} result={result} />
      <FromTrip plan={plan} />
      <p className="m-0 max-w-[72ch] text-xs text-muted">
        Each day is compared with the plan for that exact ground, not just by distance. A few days change little. Past
        days stay as they were, and nothing is counted twice. Experimental: the spreads are our judgement.
      </p>
    </>
  );
}

/** Own lows are a thermometer of the trail: taken, they correct the normals of the weeks to come. */
function Nights({ plan, result }: { plan: Plan; result: PlanResult }) {
  const say = sayIn(plan);
  const cards = cardsOf(plan, result);
  const bias = nightBias(result, cards);
  const fresh = logReadings(plan, result, cards);
  if (!bias) return null;
  return (
    <p className="my-2 flex flex-wrap items-center gap-2 text-sm" data-testid="night-bias">
      <span>
        Your {bias.nights} nights in camp were {say.degrees(Math.abs(bias.meanK))}{" "}
        {bias.meanK >= 0 ? "warmer" : "colder"} than planned on average (± {say.degrees(1.645 * bias.spreadK)}).
      </span>
      <button className="btn" disabled={fresh.length === 0} onClick={() => takeReadings(fresh)}>
        {fresh.length === 0 ? "Already in Season" : "Add to Season as temperature readings"}
      </button>
    </p>
  );
}
