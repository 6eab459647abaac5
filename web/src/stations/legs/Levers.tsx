/** What would help most: every single change tried as a plan of its own, with its price, taken in one step. */
import { useEffect, useRef } from "react";
import { LEVER_TARGETS, makeLever, type Lever, type LeverTarget, type Plan, type PulledRow } from "@gepack/core";
import { edit } from "../../store/document.ts";
import { calculator } from "../../store/trail.ts";
import { useSelection } from "../../store/selection.ts";
import { remember, useSettings } from "../../store/settings.ts";
import { Pick } from "../../ui/Pick.tsx";
import { Progress } from "../../ui/Progress.tsx";
import { Table } from "../../ui/Table.tsx";
import { checkMark, checkSentence } from "../../words/checks/index.ts";
import { leverWords, thinnerBy, TARGET_WORDS } from "../../words/levers.ts";
import { ofOne } from "../../words/names.ts";
import { shareWords } from "../../words/odds.ts";
import { sayIn, type Say } from "../../words/say.ts";
import { usePlanRun } from "../../worker/useLongRun.ts";
import type { ScreenProps } from "../Screen.tsx";

const ROWS_AT_FIRST = 40;

export function Levers({ plan, who }: ScreenProps & { who: number }) {
  const say = sayIn(plan);
  const hikerId = plan.hikers[who]!.id;
  const legIndex = useSelection((state) => state.legIndex);
  const target = useSettings((state) => state.leverTarget);
  const { rows, fraction, start, stop } = usePlanRun<PulledRow>(plan);
  const run = (): void =>
    start(
      () => ROWS_AT_FIRST,
      (now: Plan, onRow, signal) => calculator().pullLevers({ plan: now, who, target, legIndex }, onRow, signal),
    );
  // Its rows go with the plan that they are of: whoever took one by key is left at the way to the next.
  const again = useRef<HTMLButtonElement>(null);
  const take = (lever: Lever): void => {
    stop();
    void edit(leverWords(plan, lever), (draft) => makeLever(draft as Plan, hikerId, lever)).then(() =>
      again.current?.focus(),
    );
  };
  const ofLeg = target === "leg" ? legIndex : -1;
  useEffect(run, [who, target, ofLeg]); // eslint-disable-line react-hooks/exhaustive-deps
  const now = rows.find(({ lever }) => !lever)?.figures;
  const changes = rows.filter(({ lever }) => lever).toSorted((a, b) => b.gain - a.gain);
  return (
    <div data-testid="levers">
      <div className="flex flex-wrap items-center gap-3 border-b border-rule px-[18px] py-2 text-sm">
        <span className="flex items-center gap-2">
          Reduce{" "}
          <Pick<LeverTarget>
            bare
            label="Reduce"
            value={target}
            options={LEVER_TARGETS.map((one) => [one, TARGET_WORDS[one]] as const)}
            onPick={(target) => remember("leverTarget", target)}
          />
        </span>
        {fraction !== undefined && (
          <Progress label="Trying every change" fraction={rows.at(-1)?.fraction ?? 0} onStop={stop} />
        )}
        {fraction === undefined && (
          <button ref={again} className="btn" onClick={run}>
            Run again
          </button>
        )}
        {now && (
          <span data-testid="lever-now">
            Now: <b>{targetWords(target, now, say)}</b>
            {target === "heaviest" && `, leg ${now.heaviestLeg + 1}`}
            {!["days", "money"].includes(target) && ofOne(plan, who)}
          </span>
        )}
      </div>
      {changes.length > 0 && now && (
        <Table<PulledRow>
          label="Changes"
          rows={changes}
          idOf={({ lever }) => JSON.stringify(lever)}
          columns={[
            {
              id: "change",
              head: "change",
              names: true,
              wide: true,
              cell: ({ lever }) => lever && leverWords(plan, lever),
            },
            { id: "gain", head: "saves", right: true, cell: ({ gain }) => gainWords(target, gain, say) },
            {
              id: "days",
              head: "days",
              right: true,
              from: 561,
              cell: ({ figures }) => signed(figures.days - now.days, (value) => say.number(value)),
            },
            {
              id: "money",
              head: "cost",
              right: true,
              from: 861,
              cell: ({ figures }) => signed(figures.money - now.money, say.money),
            },
            {
              id: "kgkm",
              head: `total carried${ofOne(plan, who)}`,
              right: true,
              from: 861,
              cell: ({ figures }) => signed(figures.kgKm - now.kgKm, say.carried),
            },
            {
              id: "breaks",
              head: "new cautions",
              cell: ({ lever, breaks }) => <Price lever={lever} breaks={breaks} plan={plan} />,
            },
            {
              id: "take",
              head: "apply",
              unseen: true,
              cell: ({ lever }) =>
                lever && (
                  <button
                    className="btn min-h-[24px]! px-2! py-0!"
                    aria-label={`Apply: ${leverWords(plan, lever)}`}
                    onClick={() => take(lever)}
                  >
                    Apply
                  </button>
                ),
            },
          ]}
        />
      )}
      {now && fraction === undefined && changes.length === 0 && (
        <p className="m-0 px-[18px] py-2 text-sm text-muted">No single change reduces this.</p>
      )}
      <p className="m-0 max-w-[90ch] px-[18px] py-2 text-xs text-muted">
        Each change is calculated as a full plan with everything else unchanged; the last rows combine the best of
        different kinds. Changes that don’t help are left out; a new caution or a thinner margin is shown. Lighter isn’t
        always better: leaving rain gear, first aid, light or navigation at home is never suggested.
      </p>
    </div>
  );
}

/** What a change costs beside its figures: cautions that it breaks, and margins that are thinner after it. */
function Price({ lever, breaks, plan }: Pick<PulledRow, "lever" | "breaks"> & { plan: Plan }) {
  const thinner = lever ? thinnerBy(lever) : [];
  if (breaks.length === 0 && thinner.length === 0) return <span className="text-muted">none</span>;
  return (
    <span
      className={`inline-block min-w-[120px] ${breaks.some(({ severity }) => severity === "blocker") ? "text-danger" : "text-caution"}`}
    >
      <span title={breaks.map((check) => checkSentence(check, plan)).join("\n")}>
        {breaks.map(checkMark).join(", ")}
      </span>
      {thinner.length > 0 && `${breaks.length > 0 ? "; " : ""}${thinner.join(", ")}`}
    </span>
  );
}

function targetWords(target: LeverTarget, figures: PulledRow["figures"], say: Say): string {
  switch (target) {
    case "heaviest":
      return say.kg(figures.heaviestKg);
    case "leg":
      return say.kg(figures.legKg);
    case "mean":
      return say.kg(figures.meanKg);
    case "kg-km":
      return say.carried(figures.kgKm);
    case "days":
      return say.days(figures.days);
    case "money":
      return say.money(figures.money);
    default:
      return `${shareWords(figures.chance ?? 0)} at some point on the hike`;
  }
}

function gainWords(target: LeverTarget, gain: number, say: Say): string {
  switch (target) {
    case "heaviest":
    case "leg":
    case "mean":
      return say.g(1000 * gain);
    case "kg-km":
      return say.carried(gain);
    case "days":
      return say.days(Math.round(gain));
    case "money":
      return say.money(gain);
    default:
      return `${say.number(100 * gain, 1)} in 100`;
  }
}

function signed(value: number, say: (value: number) => string): string {
  const words = say(Math.abs(value));
  return /^0(\D|$)/.test(words) ? "–" : `${value < 0 ? "−" : "+"}${words}`;
}
