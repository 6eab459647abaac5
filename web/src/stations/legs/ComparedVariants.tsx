/** Variants side by side where they differ: figures, legs, stops and pieces; and parts of one taken over. */
import { useEffect, useMemo } from "react";
import {
  differencesOf,
  trackIdsOf,
  type Difference,
  type Plan,
  type VariantFigures,
  type VariantPart,
  type VariantReport,
} from "@gepack/core";
import { calculator } from "../../store/trail.ts";
import { takeFrom, variantName } from "../../edit/variants.ts";
import { Progress } from "../../ui/Progress.tsx";
import { ofOne, stopName } from "../../words/names.ts";
import { shareWords } from "../../words/odds.ts";
import { sayIn, type Say } from "../../words/say.ts";
import { FOOD_BY_WORDS } from "../../words/stops.ts";
import { usePlanRun } from "../../worker/useLongRun.ts";

const PARTS: Record<VariantPart, string> = {
  kit: "Kit",
  stops: "Stops",
  menus: "Food and menus",
  days: "Dates and hours",
};

export function ComparedVariants({ plan, others, who }: { plan: Plan; others: readonly Plan[]; who: number }) {
  const say = sayIn(plan);
  const { rows, fraction, start, stop } = usePlanRun<VariantReport>(plan);
  const sameTrail = others.filter((other) => trackIdsOf(other).join() === trackIdsOf(plan).join());
  const ids = sameTrail.map(({ id }) => id).join();
  const plans = useMemo(() => [plan, ...sameTrail], [plan, ids]); // eslint-disable-line react-hooks/exhaustive-deps
  useEffect(
    () =>
      start(
        () => plans.length,
        (now, onRow, signal) =>
          calculator().tellVariants({ plan: now, plans: [now, ...plans.slice(1)], who }, onRow, signal),
      ),
    [plans, who], // eslint-disable-line react-hooks/exhaustive-deps
  );
  const isComplete = rows.length === plans.length;
  const differing = useMemo(() => differencesOf(plans), [plans]);
  return (
    <section aria-label="Variants side by side" className="mt-3 overflow-x-auto">
      {fraction !== undefined && <Progress label="Calculating the variants" fraction={fraction} onStop={stop} />}
      {sameTrail.length < others.length && (
        <p className="m-0 text-muted">A variant on another track isn’t compared: open it to see it.</p>
      )}
      {isComplete && (
        <table className="border-collapse" data-testid="variants-compared">
          <thead>
            <tr className="border-b border-rule text-left">
              <th className="py-1 pr-6 font-normal text-muted">Differences</th>
              {plans.map((one, i) => (
                <th key={one.id} className="py-1 pr-6 text-right">
                  {variantName(one)}
                  {i === 0 && <span className="font-normal text-muted"> (open)</span>}
                </th>
              ))}
            </tr>
          </thead>
          <tbody>
            {figureRows(rows, say, ofOne(plan, who)).map(({ head, cells }) => (
              <DifferenceRow key={head} head={head} cells={cells} />
            ))}
            {legRows(rows, plan, say).map(({ head, cells }) => (
              <DifferenceRow key={head} head={head} cells={cells} />
            ))}
            {differing.map((row) => (
              <DifferenceRow
                key={`${row.part} ${row.id}`}
                head={row.name}
                cells={row.values.map((value) => factWords(row, value, say))}
              />
            ))}
          </tbody>
          <tfoot>
            <tr>
              <td className="py-2 pr-6 align-top text-muted">Copy into the open plan</td>
              <td />
              {plans.slice(1).map((other) => (
                <td key={other.id} className="py-2 pr-6">
                  <span className="flex flex-wrap justify-end gap-1">
                    {(Object.keys(PARTS) as VariantPart[]).map((part) => (
                      <button
                        key={part}
                        className="btn min-h-[24px]! px-2! py-0!"
                        aria-label={`${PARTS[part]} from ${variantName(other)}`}
                        onClick={() => takeFrom(other, part, PARTS[part])}
                      >
                        {PARTS[part]}
                      </button>
                    ))}
                  </span>
                </td>
              ))}
            </tr>
          </tfoot>
        </table>
      )}
    </section>
  );
}

interface Row {
  head: string;
  cells: string[];
}

function DifferenceRow({ head, cells }: Row) {
  return (
    <tr className="border-b border-rule">
      <th className="py-0.5 pr-6 text-left font-normal">{head}</th>
      {cells.map((cell, i) => (
        <td key={i} className={`figure py-0.5 pr-6 text-right ${i > 0 && cell !== cells[0] ? "font-semibold" : ""}`}>
          {cell}
        </td>
      ))}
    </tr>
  );
}

const differ = ({ cells }: Row): boolean => new Set(cells).size > 1;

function figureRows(rows: readonly VariantReport[], say: Say, whose: string): Row[] {
  const figure = (head: string, words: (figures: VariantFigures) => string): Row => ({
    head,
    cells: rows.map(({ figures }) => words(figures)),
  });
  return [
    figure("start date", ({ startDate }) => say.date(startDate)),
    figure("finish", ({ finishDate }) => say.date(finishDate)),
    figure("days", ({ days }) => say.number(days)),
    figure("legs", ({ legs }) => say.number(legs)),
    figure(`heaviest pack${whose}`, ({ heaviestKg }) => say.kg(heaviestKg)),
    figure(`average pack${whose}`, ({ meanKg }) => say.kg(meanKg)),
    figure(`base weight at the start${whose}`, ({ baseKg }) => say.kg(baseKg)),
    figure(`food eaten${whose}`, ({ foodKg }) => say.kg(foodKg)),
    figure(`total carried${whose}`, ({ kgKm }) => say.carried(kgKm)),
    figure("money", ({ money }) => say.money(money)),
    figure("blockers", ({ blockers }) => say.number(blockers)),
    figure("cautions", ({ cautions }) => say.number(cautions)),
    figure("out of food at some point", ({ foodChance }) => shareWords(foodChance)),
    figure("out of water at some point", ({ waterChance }) => shareWords(waterChance)),
    figure("a night too cold", ({ coldChance }) => shareWords(coldChance)),
    figure("finish, 8 of 10", ({ arrives }) => arrives.map(say.date).join(" to ")),
  ].filter(differ);
}

/** Packs leaving for legs that are in all of them, and legs that are not. */
function legRows(rows: readonly VariantReport[], plan: Plan, say: Say): Row[] {
  const key = ({ fromStopId, toStopId }: VariantReport["legs"][number]): string => `${fromStopId} ${toStopId}`;
  const keys = [...new Set(rows.flatMap(({ legs }) => legs.map(key)))];
  return keys
    .map((one): Row => {
      const [from, to] = one.split(" ");
      return {
        head: `${stopName(plan, from!)} to ${stopName(plan, to!)}`,
        cells: rows.map(({ legs }) => {
          const leg = legs.find((candidate) => key(candidate) === one);
          return leg ? `${say.kg(leg.startKg)}, ${say.number(leg.days, 1)} d` : "–";
        }),
      };
    })
    .filter(differ);
}

function factWords({ part }: Difference, value: string | undefined, say: Say): string {
  if (value === undefined) return part === "stop" ? "skipped" : "not carried";
  const [first, ...rest] = value.split(" ");
  if (part === "piece") return say.g(Number(first));
  const nights = Number(first);
  return `${nights === 1 ? "1 night" : `${nights} nights`}, ${FOOD_BY_WORDS[rest[0] as keyof typeof FOOD_BY_WORDS]}`;
}
