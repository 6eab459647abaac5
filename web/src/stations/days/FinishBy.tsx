/** What it takes to be at the finish, or a stop, by a date: hours, an earlier start, rest days; each to be taken. */
import { useState } from "react";
import { comesOn, makeChange, type Plan, type PlanResult, type FinishOption } from "@gepack/core";
import { edit } from "../../store/document.ts";
import { calculator } from "../../store/trail.ts";
import { DateField } from "../../ui/DateField.tsx";
import { Panel } from "../../ui/Panel.tsx";
import { Pick } from "../../ui/Pick.tsx";
import { Progress } from "../../ui/Progress.tsx";
import { sayIn, type Say } from "../../words/say.ts";
import { stopName } from "../../words/names.ts";
import { usePlanRun } from "../../worker/useLongRun.ts";

const FINISH = "finish";
/** Hours, start and rest days. */
const KINDS = 3;

export function FinishBy({ plan, result }: { plan: Plan; result: PlanResult }) {
  const say = sayIn(plan);
  const [goal, setGoal] = useState(FINISH);
  const [typed, setTyped] = useState<string>();
  const { rows: found, fraction, start, stop, clear } = usePlanRun<FinishOption>(plan);
  const stopId = goal === FINISH ? {} : { stopId: goal };
  const comes = comesOn(result, { ...stopId, date: "" });
  const date = typed ?? (goal === FINISH ? plan.trip.finishBy : undefined) ?? comes;
  const run = (): void =>
    start(
      () => KINDS,
      (now, onRow, signal) => calculator().finishOptions({ plan: now, goal: { ...stopId, date } }, onRow, signal),
    );
  const stops = result.legs.slice(0, -1).map(({ toStopId }) => toStopId);
  return (
    <Panel title="Arrive by a date">
      <div className="flex flex-wrap items-end gap-3 text-sm">
        <Pick
          label="Where"
          value={goal}
          options={[[FINISH, "the finish"], ...stops.map((id) => [id, stopName(plan, id)] as const)]}
          onPick={(next) => {
            clear();
            setTyped(undefined);
            setGoal(next);
          }}
        />
        <DateField
          label="by"
          value={date}
          near={comes}
          required
          onCommit={(iso) => {
            clear();
            setTyped(iso);
          }}
        />
        <button className="btn" disabled={fraction !== undefined || comes <= date} onClick={run}>
          Show what it takes
        </button>
        {fraction !== undefined && <Progress label="Searching" fraction={fraction} onStop={stop} />}
        <span className="text-muted">
          As planned, you arrive on {say.date(comes)}
          {comes <= date ? ", in time." : "."}
        </span>
      </div>
      {found.length > 0 && (
        <ul className="m-0 mt-2 list-none p-0 text-sm" data-testid="ways">
          {found.map((option) => (
            <li key={option.kind} className="flex flex-wrap items-center gap-3 border-t border-rule py-1">
              <span className="min-w-[230px]">{optionWords(option, say)}</span>
              {option.comes !== undefined && option.heaviestKg !== undefined && (
                <>
                  <span className="figure text-muted">
                    arrive {say.date(option.comes)}, heaviest pack {say.kg(option.heaviestKg)}
                  </span>
                  <button
                    className="btn"
                    onClick={() =>
                      void edit(optionWords(option, say), (draft) => makeChange(draft as Plan, option.change))
                    }
                  >
                    Apply
                  </button>
                </>
              )}
            </li>
          ))}
        </ul>
      )}
    </Panel>
  );
}

function optionWords({ kind: option, by, comes, change }: FinishOption, say: Say): string {
  if (comes === undefined)
    return {
      hours: `Even ${by} more hours a day aren’t enough`,
      start: `Even starting ${by} days earlier isn’t enough`,
      zeros: by === 0 ? "There are no rest days to drop" : "Dropping every rest day isn’t enough",
    }[option];
  return {
    hours: `Walk ${say.number(by, 2)} h more a day`,
    start: `Start on ${say.date(change.startDate ?? "")}, ${say.days(by)} earlier`,
    zeros: by === 1 ? "Drop one rest day" : `Drop ${by} rest days`,
  }[option];
}
