/** How sure the plan is: a thousand hikes simulated, leg by leg what they ran short of, and when they arrived. */
import { useEffect } from "react";
import type { Chance, LegOdds, Odds, Plan } from "@gepack/core";
import { calculator } from "../../store/document.ts";
import { select, useSelection } from "../../store/selection.ts";
import { Progress } from "../../ui/Progress.tsx";
import { Table, type Column } from "../../ui/Table.tsx";
import { chanceWords } from "../../words/odds.ts";
import { stopName } from "../../words/names.ts";
import { sayIn } from "../../words/say.ts";
import { usePlanRun } from "../../worker/useLongRun.ts";
import type { ScreenProps } from "../Screen.tsx";
import { Reserves } from "./Reserves.tsx";

/** A first look, then the answer. */
const STEPS = 2;

export function OddsTable({ plan, result, who }: ScreenProps & { who: number }) {
  const say = sayIn(plan);
  const legIndex = useSelection((state) => state.legIndex);
  const { rows, fraction, start, stop } = usePlanRun<Odds>(plan);
  const odds = rows.at(-1);
  const run = (): void =>
    start(
      () => STEPS,
      (now: Plan, onRow, signal) => calculator().simulate({ plan: now, who }, onRow, signal),
    );
  // The reading is opened to be read; of a plan that was changed it is asked for again.
  useEffect(run, [who]); // eslint-disable-line react-hooks/exhaustive-deps
  const chance = (id: keyof LegOdds, head: string): Column<LegOdds> => ({
    id,
    head,
    right: true,
    cell: (row) => {
      const one = row[id] as Chance;
      return (
        <span
          title={`${one.found} of ${one.runs} hikes; between ${(100 * one.low).toFixed(1)} and ${(100 * one.high).toFixed(1)} in 100`}
          className={one.low > WORTH_A_LOOK ? "font-semibold text-caution" : one.found === 0 ? "text-muted" : ""}
        >
          {chanceWords(one)}
        </span>
      );
    },
  });
  const pace = odds?.drivers.find(({ what }) => what === "pace");
  return (
    <div data-testid="odds">
      <div className="flex flex-wrap items-center gap-3 border-b border-rule px-[18px] py-2 text-sm">
        {fraction !== undefined && <Progress label="Walking a thousand hikes" fraction={fraction} onStop={stop} />}
        {!odds && fraction === undefined && (
          <button className="btn btn-strong" onClick={run}>
            Walk a thousand hikes again
          </button>
        )}
        {odds && (
          <span data-testid="odds-finish">
            {odds.runs} hikes: half arrive by <b>{say.date(odds.finish[1])}</b>, one in ten before{" "}
            {say.date(odds.finish[0])}, one in ten after {say.date(odds.finish[2])}
            {pace && `; ${Math.round(100 * pace.share)} % of that spread is one’s pace`}.
          </span>
        )}
      </div>
      {odds && (
        <Table<LegOdds>
          label="Chances of each leg"
          rows={odds.legs}
          idOf={(row) => String(row.legIndex)}
          chosen={[String(legIndex)]}
          onChoose={(id) => select({ legIndex: Number(id) })}
          columns={[
            {
              id: "leg",
              head: "leg",
              names: true,
              cell: ({ legIndex: index }) => {
                const leg = result.legs[index];
                return (
                  leg && (
                    <>
                      {index + 1}.
                      <span className="max-[560px]:hidden">
                        {" "}
                        {stopName(plan, leg.fromStopId)} to {stopName(plan, leg.toStopId)}
                      </span>
                    </>
                  )
                );
              },
            },
            chance("food", "short of food"),
            {
              id: "more",
              head: "more food for 9 of 10",
              right: true,
              from: 861,
              cell: ({ foodShortKg }) =>
                foodShortKg > 0.005 ? `+${say.g(1000 * foodShortKg)}` : <span className="text-muted">enough</span>,
            },
            chance("fuel", "of fuel"),
            chance("water", "without water"),
            chance("cold", "a night too cold"),
            {
              id: "days",
              head: "days, 8 of 10",
              right: true,
              from: 561,
              cell: ({ days: [few, , many] }) => `${say.number(few, 1)} to ${say.number(many, 1)}`,
            },
          ]}
        />
      )}
      <Reserves plan={plan} who={who} />
      <p className="m-0 max-w-[90ch] px-[18px] py-2 text-xs text-muted">
        Each hike walks the plan’s days slower or faster, hungrier or not, colder or warmer, with sources that are dry
        by their own chance and days lost to illness. Short of food: the reserve is eaten as well. Without water: what
        is carried is gone for two hours before any source has some. The spreads are judgement, and the same hikes meet
        every plan. Not a forecast, and no promise: what is rare happens too. Experimental.
      </p>
    </div>
  );
}

/** Chances of which even the low end is more than this stand out. */
const WORTH_A_LOOK = 0.2;
