/** Food in reserve against the chance of running out: each tried as a plan of its own, one taken in one step. */
import type { Plan, ReserveOdds } from "@gepack/core";
import { editRow } from "../../edit/rows.ts";
import { calculator } from "../../store/trail.ts";
import { Progress } from "../../ui/Progress.tsx";
import { Table } from "../../ui/Table.tsx";
import { firstName } from "../../words/names.ts";
import { chanceWords } from "../../words/odds.ts";
import { sayIn } from "../../words/say.ts";
import { usePlanRun } from "../../worker/useLongRun.ts";

const COUNT = 6;

export function Reserves({ plan, who }: { plan: Plan; who: number }) {
  const say = sayIn(plan);
  const hiker = plan.hikers[who]!;
  const { rows, fraction, start, stop } = usePlanRun<ReserveOdds>(plan);
  const now = rows.find(({ isNow }) => isNow);
  const nameOf = ({ reserveDays, reserveFraction }: ReserveOdds): string =>
    [
      ...(reserveFraction > 0 ? [`${say.number(100 * reserveFraction)} %`] : []),
      ...(reserveDays > 0 || reserveFraction === 0 ? [say.days(reserveDays)] : []),
    ].join(", at least ");
  return (
    <section aria-label="Effect of a larger reserve" className="px-[18px] py-2 text-sm" data-testid="reserves">
      <div className="flex flex-wrap items-center gap-3">
        <button
          className="btn"
          disabled={fraction !== undefined}
          onClick={() =>
            start(
              () => COUNT,
              (basis, onRow, signal) => calculator().reserveOdds({ plan: basis, who }, onRow, signal),
            )
          }
        >
          Effect of a larger reserve
        </button>
        {fraction !== undefined && <Progress label="Trying reserves" fraction={fraction} onStop={stop} />}
      </div>
      {now && (
        <Table<ReserveOdds>
          label="Reserves"
          rows={rows}
          idOf={(row) => `${row.reserveDays} ${row.reserveFraction}`}
          columns={[
            {
              id: "reserve",
              head: "food reserve",
              names: true,
              cell: (row) => `${nameOf(row)}${row.isNow ? ", now" : ""}`,
            },
            {
              id: "worst",
              head: "out of food, worst leg",
              right: true,
              cell: ({ worst }) => `${chanceWords(worst)}, leg ${worst.legIndex + 1}`,
            },
            {
              id: "somewhere",
              head: "anywhere on the hike",
              right: true,
              from: 561,
              cell: ({ somewhere }) => chanceWords(somewhere),
            },
            {
              id: "heaviest",
              head: "heaviest pack",
              right: true,
              cell: ({ heaviestKg, isNow }) =>
                isNow ? say.kg(heaviestKg) : `${say.kg(heaviestKg)}, ${more(heaviestKg - now.heaviestKg, say.g)}`,
            },
            {
              id: "take",
              head: "apply",
              unseen: true,
              cell: ({ isNow, reserveDays, reserveFraction }) =>
                !isNow && (
                  <button
                    className="btn min-h-[24px]! px-2! py-0!"
                    onClick={() =>
                      editRow("hikers", hiker.id, `${firstName(hiker)}: ${say.days(reserveDays)} reserve`, (row) => {
                        Object.assign(row.food, { reserveDays, reserveFraction });
                      })
                    }
                  >
                    Use {say.days(reserveDays)}
                  </button>
                ),
            },
          ]}
        />
      )}
    </section>
  );
}

function more(kg: number, g: (grams: number) => string): string {
  return `${kg < 0 ? "−" : "+"}${g(Math.abs(1000 * kg))}`;
}
