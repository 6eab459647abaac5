/** How sure the plan is: a thousand hikes simulated, leg by leg what they ran short of, and when they arrived. */
import { useEffect, useState } from "react";
import { TROUBLES, type LegOdds, type Plan, type Trouble } from "@gepack/core";
import { calculator } from "../../store/trail.ts";
import { keepOdds } from "../../store/odds.ts";
import { select, useSelection } from "../../store/selection.ts";
import { Fold } from "../../ui/Fold.tsx";
import { Progress } from "../../ui/Progress.tsx";
import { Table, type Column } from "../../ui/Table.tsx";
import { stopName } from "../../words/names.ts";
import { chanceWords, intervalWords, TROUBLE_WORDS, VARIED_WORDS } from "../../words/odds.ts";
import { sayIn, type Say } from "../../words/say.ts";
import { usePlanRun } from "../../worker/useLongRun.ts";
import type { OddsStep } from "../../worker/jobs.ts";
import type { ScreenProps } from "../Screen.tsx";
import { Laws } from "./Laws.tsx";
import { Reserves } from "./Reserves.tsx";
import { WentWrong } from "./WentWrong.tsx";

const RUNS = [1000, 10_000] as const;
/** Parts of so many, for a bar that moves. */
const PARTS = 10;
/** Chances of which even the low end is more than this stand out. */
const WORTH_A_LOOK = 0.2;

export function OddsTable({ plan, result, who }: ScreenProps & { who: number }) {
  const say = sayIn(plan);
  const legIndex = useSelection((state) => state.legIndex);
  const [runs, setRuns] = useState<(typeof RUNS)[number]>(RUNS[0]);
  const [trouble, setTrouble] = useState<Trouble>("food");
  const { rows, fraction, start, stop, of } = usePlanRun<OddsStep>(plan);
  const odds = rows.findLast((row) => row.odds)?.odds;
  const walk = (count: number): void =>
    start(
      () => PARTS,
      (now: Plan, onRow, signal) => calculator().simulate({ plan: now, who, runs: count }, onRow, signal),
    );
  // The reading is opened to be read; of a plan that was changed it is needed again, unless the laws were changed.
  useEffect(() => walk(runs), [who, plan.odds, runs]); // eslint-disable-line react-hooks/exhaustive-deps
  useEffect(() => {
    if (odds && of) keepOdds(of, who, odds);
  }, [odds, of, who]);
  const ask = (row: LegOdds, kind: Trouble): void => {
    select({ legIndex: row.legIndex });
    setTrouble(kind);
  };
  const shown = odds ? TROUBLES.filter((one) => odds.somewhere[one].found > 0) : [];
  const leg = result.legs[legIndex];
  const legOdds = odds?.legs[legIndex];
  return (
    <div className="grid grid-cols-1 min-[1100px]:grid-cols-[minmax(0,1fr)_356px]" data-testid="odds">
      <div className="min-w-0 overflow-x-auto">
        <div className="flex flex-wrap items-center gap-3 border-b border-rule px-[18px] py-2 text-sm">
          {fraction !== undefined && (
            <Progress label={`Simulating ${say.number(runs)} hikes`} fraction={fraction} onStop={stop} />
          )}
          {!odds && fraction === undefined && (
            <button className="btn btn-strong" onClick={() => walk(runs)}>
              {runs === RUNS[0] ? "Simulate a thousand hikes again" : "Simulate ten thousand again"}
            </button>
          )}
          {odds && (
            <span data-testid="odds-finish">
              {say.number(odds.runs)} simulated hikes: half finish by <b>{say.date(odds.finish[1])}</b>, one in ten
              before {say.date(odds.finish[0])}, one in ten after {say.date(odds.finish[2])}; in one of ten the heaviest
              pack exceeds {say.kg(odds.heaviestKg)}
              {driversWords(odds.drivers, say)}.
            </span>
          )}
          {odds && fraction === undefined && runs === RUNS[0] && (
            <button className="btn min-h-[24px]! px-2! py-0!" onClick={() => setRuns(RUNS[1])}>
              Simulate ten thousand
            </button>
          )}
        </div>
        {odds && (
          <p className="m-0 px-[18px] pt-2 text-sm" data-testid="odds-food">
            Short of food somewhere, by half a day or more: {chanceWords(odds.somewhere.food)}. By a day or more:{" "}
            {chanceWords(odds.short.aDay)}. At all: {chanceWords(odds.short.any)}.
          </p>
        )}
        {odds && (
          <Table<LegOdds>
            label="Risks by leg"
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
                    <span className="whitespace-nowrap">
                      <b className="figure">{index + 1}</b>
                      <span className="text-muted max-[560px]:hidden"> to {leg && stopName(plan, leg.toStopId)}</span>
                    </span>
                  );
                },
              },
              ...shown.map((one): Column<LegOdds> =>
                chanceColumn(one, ask, (row) => row.legIndex === legIndex && one === trouble),
              ),
              {
                id: "more",
                head: <span title="Extra food that would be enough for nine hikes in ten">food for 9 in 10</span>,
                right: true,
                from: 861,
                cell: ({ foodShortKg }) =>
                  foodShortKg > 0.005 ? `+${say.g(1000 * foodShortKg)}` : <span className="text-muted">enough</span>,
              },
              {
                id: "heaviest",
                head: <span title="Heaviest on the leg: one hike in ten exceeds this">pack, 1 in 10</span>,
                right: true,
                from: 861,
                cell: ({ heaviestKg }) => say.kg(heaviestKg),
              },
              {
                id: "days",
                head: <span title="Eight hikes in ten fall in this range">days</span>,
                right: true,
                from: 561,
                cell: ({ days: [few, , many] }) => `${say.number(few, 1)}–${say.number(many, 1)}`,
              },
            ]}
          />
        )}
        <Reserves plan={plan} who={who} />
        <Fold title="What varies, and by how much" className="px-[18px] py-2 text-sm" titleClass="font-semibold">
          <Laws plan={plan} />
        </Fold>
        <p className="m-0 max-w-[90ch] px-[18px] py-2 text-xs text-muted">
          Each simulated hike goes slower or faster, hungrier or not, colder or warmer than planned. Dry sources, closed
          stops, late boxes, gear failures and illness each have their own chance. Every plan faces the same set of
          hikes. Simulated hikers never turn back, even when they run out. The spreads are judgements: this isn’t a
          forecast or a promise, and rare things do happen. Experimental.
        </p>
      </div>
      {odds && of && leg && legOdds && (
        <WentWrong plan={plan} who={who} leg={leg} odds={legOdds} trouble={trouble} runs={odds.runs} />
      )}
    </div>
  );
}

function chanceColumn(
  trouble: Trouble,
  ask: (row: LegOdds, trouble: Trouble) => void,
  isSelected: (row: LegOdds) => boolean,
): Column<LegOdds> {
  const { head, what } = TROUBLE_WORDS[trouble];
  return {
    id: trouble,
    head: <span title={what}>{head}</span>,
    right: true,
    ...(trouble === "gear" || trouble === "charge" || trouble === "box" ? { from: 561 } : {}),
    cell: (row) => {
      const one = row.chances[trouble];
      return (
        <button
          className={`cursor-pointer border-0 bg-transparent p-0 underline decoration-dotted underline-offset-2 ${
            one.low > WORTH_A_LOOK ? "font-semibold text-caution" : one.found === 0 ? "text-muted" : ""
          } ${isSelected(row) ? "bg-pine-wash!" : ""}`}
          title={intervalWords(one)}
          aria-label={`Leg ${row.legIndex + 1}, ${head}: ${chanceWords(one)}. What went wrong`}
          onClick={(event) => {
            event.stopPropagation();
            ask(row, trouble);
          }}
        >
          {chanceWords(one)}
        </button>
      );
    },
  };
}

function driversWords(drivers: readonly { what: keyof typeof VARIED_WORDS; share: number }[], say: Say): string {
  const shown = drivers
    .filter(({ share }) => share >= 0.05)
    .map(({ what, share }) => `${say.percent(100 * share)} ${VARIED_WORDS[what]}`);
  return shown.length > 0 ? `. The spread of arrival dates comes from ${shown.join(", ")}` : "";
}
