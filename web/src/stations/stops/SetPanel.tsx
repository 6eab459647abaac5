/** One set against the plan as it is: its figures, why every stop is in or out, and a way to take it. */
import type { Flip, Plan, SetFigures } from "@gepack/core";
import { takeStops } from "../../edit/stops.ts";
import { setRow } from "../../edit/rows.ts";
import { Table, type Column } from "../../ui/Table.tsx";
import { ofAll } from "../../words/names.ts";
import { sayIn, type Say } from "../../words/say.ts";
import { BAR_WORDS, FOOD_BY_WORDS } from "../../words/stops.ts";
import { legCount, titleOf } from "./SetRows.tsx";
import type { NamedSet } from "./useSearch.ts";

interface Props {
  plan: Plan;
  set: NamedSet;
  now: SetFigures;
  candidates: readonly string[];
}

/** Smaller changes than this are none. */
const LEAST_KG_KM = 3;

export function SetPanel({ plan, set, now, candidates }: Props) {
  const say = sayIn(plan);
  const { figures, flips, stops } = set;
  const nameOf = (stopId: string): string => plan.stops.find(({ id }) => id === stopId)?.name ?? stopId;
  const taken = sameStops(plan, candidates, set);
  const columns: Column<Flip>[] = [
    { id: "stop", head: "stop", names: true, cell: ({ stopId }) => nameOf(stopId) },
    { id: "is", head: "is", cell: ({ stopId, isIn }) => (isIn ? modeIn(set, stopId) : "skipped") },
    {
      id: "turned",
      head: "reverse the order",
      cell: (flip) => <span className={flip.bar ? "text-caution" : ""}>{flipWords(flip, say)}</span>,
    },
    {
      id: "hold",
      head: <span className="sr-only">Lock</span>,
      cell: ({ stopId, isIn, locked }) => {
        const words = locked ? "Let the search decide" : isIn ? "Always stop here" : "Never stop here";
        return (
          <button
            className="btn min-h-[24px]! px-1.5! py-0! text-xs! whitespace-nowrap"
            aria-label={`${words}: ${nameOf(stopId)}`}
            onClick={() =>
              setRow(
                "stops",
                stopId,
                `${nameOf(stopId)}: ${words.toLowerCase()}`,
                locked ? { locked: false } : { locked: true, use: isIn },
              )
            }
          >
            {words}
          </button>
        );
      },
    },
  ];
  return (
    <section aria-label="This set" className="min-w-0 text-sm">
      <h2 className="m-0 text-lg font-bold">
        {titleOf(set)}: {legCount(figures)}
      </h2>
      <p className="mt-0.5 mb-2" data-testid="set-figures">
        {say.kg(figures.heaviestKg)} at most, {more(figures.heaviestKg - now.heaviestKg, say.kg)};{" "}
        {say.carried(figures.kgKm)} carried{ofAll(plan)}, {more(figures.kgKm - now.kgKm, say.carried)};{" "}
        {say.days(figures.days)}, {more(figures.days - now.days, say.days)}, finish {say.date(figures.finishDate)};{" "}
        {say.money(figures.money)}, {more(figures.money - now.money, say.money)}. It has{" "}
        {count(figures.blockers, "problem")} and {count(figures.cautions, "caution")}; your plan has {figuresOfNow(now)}
        .
      </p>
      <div className="mb-2 flex flex-wrap items-center gap-3">
        <button className="btn btn-strong" disabled={taken} onClick={() => takeStops(titleOf(set), candidates, stops)}>
          {taken ? "This is your plan" : "Use this set"}
        </button>
        <span className="text-muted">One step you can undo.</span>
      </div>
      <div className="max-h-[340px] overflow-auto">
        <Table label="Why each stop is in or out" columns={columns} rows={flips} idOf={({ stopId }) => stopId} />
      </div>
    </section>
  );
}

const figuresOfNow = ({ blockers, cautions }: SetFigures): string => `${blockers} and ${cautions}`;

function modeIn({ stops }: NamedSet, stopId: string): string {
  const one = stops.find((stop) => stop.stopId === stopId)!;
  return `used, ${FOOD_BY_WORDS[one.foodBy]}${one.nights > 1 ? `, ${one.nights} nights` : ""}`;
}

/** `+2 days`, `−1.3 kg`, `as now`. */
function more(by: number, say: (value: number) => string): string {
  const words = say(Math.abs(by));
  if (words === say(0)) return "as now";
  return `${by > 0 ? "+" : "−"}${words}`;
}

const count = (many: number, what: string): string => (many === 1 ? `1 ${what}` : `${many} ${what}s`);

function flipWords({ kgKm, days, money, foodDays, bar, isIn }: Flip, say: Say): string {
  const changes = [
    days === 0 ? "" : more(days, say.days),
    Math.abs(kgKm) < LEAST_KG_KM ? "no change in what you carry" : more(kgKm, say.carried),
    Math.abs(money) < 1 ? "" : more(money, say.money),
  ].filter((part) => part !== "");
  const legs = `${isIn ? "a leg" : "legs"} of ${say.days(Math.round(foodDays * 10) / 10)} of food`;
  return `${changes.join(", ")}; ${legs}${bar ? `: ${BAR_WORDS[bar]}` : ""}`;
}

function sameStops(plan: Plan, candidates: readonly string[], { stops }: NamedSet): boolean {
  const used = new Map(stops.map((one) => [one.stopId, one]));
  return plan.stops
    .filter(({ id }) => candidates.includes(id))
    .every((stop) => stop.use === used.has(stop.id) && (!stop.use || used.get(stop.id)!.nights === stop.nights));
}
