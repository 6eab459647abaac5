/** What one may do at a stop instead, each worked out by the whole plan, each to be taken. */
import { choiceCount, type Plan, type Stop, type StopChoice } from "@gepack/core";
import { setRow } from "../../edit/rows.ts";
import { calculator } from "../../store/trail.ts";
import { Progress } from "../../ui/Progress.tsx";
import { sayIn, type Say } from "../../words/say.ts";
import { CHOICE_WORDS } from "../../words/stops.ts";
import { usePlanRun } from "../../worker/useLongRun.ts";

export function Instead({ plan, stop }: { plan: Plan; stop: Stop }) {
  const say = sayIn(plan);
  const { rows, fraction, start, stop: giveUp } = usePlanRun<StopChoice>(plan);
  const run = (): void =>
    start(
      () => choiceCount(stop),
      (now, onRow, signal) => calculator().stopChoices({ plan: now, stopId: stop.id }, onRow, signal),
    );
  const [asItIs, ...others] = rows;
  return (
    <div className="my-2 border-t border-rule pt-2">
      <div className="flex flex-wrap items-center gap-2">
        <button className="btn" disabled={fraction !== undefined} onClick={run}>
          What else could you do here?
        </button>
        {fraction !== undefined && <Progress label="Calculating the options" fraction={fraction} onStop={giveUp} />}
      </div>
      {asItIs && (
        <ul className="m-0 mt-1 list-none p-0" data-testid="instead">
          {others.map((choice) => (
            <li key={choice.name} className="border-t border-rule py-1">
              <span className="flex flex-wrap items-center justify-between gap-x-2">
                <b>{CHOICE_WORDS[choice.name]}</b>
                <button
                  className="btn min-h-[24px]! px-1.5! py-0! text-xs!"
                  aria-label={`${CHOICE_WORDS[choice.name]}: apply`}
                  onClick={() =>
                    setRow("stops", stop.id, `${stop.name}: ${CHOICE_WORDS[choice.name].toLowerCase()}`, choice.change)
                  }
                >
                  Apply
                </button>
              </span>
              <span className="text-muted">{differs(choice, asItIs, say)}</span>
            </li>
          ))}
        </ul>
      )}
    </div>
  );
}

function cautionsMore(by: number): string[] {
  if (by === 0) return [];
  const many = Math.abs(by);
  return [`${many === 1 ? "a caution" : `${many} cautions`} ${by > 0 ? "more" : "fewer"}`];
}

function differs({ figures }: StopChoice, { figures: now }: StopChoice, say: Say): string {
  const change = (by: number, words: (value: number) => string, what = ""): string[] => {
    const shown = words(Math.abs(by));
    return shown === words(0) ? [] : [`${by > 0 ? "+" : "−"}${shown}${what}`];
  };
  const shown = [
    ...change(figures.days - now.days, say.days),
    ...change(figures.heaviestKg - now.heaviestKg, (kg) => say.kg(kg), " on the heaviest pack"),
    ...change(figures.kgKm - now.kgKm, say.carried),
    ...change(figures.money - now.money, say.money),
    ...cautionsMore(figures.blockers + figures.cautions - now.blockers - now.cautions),
  ];
  return shown.length === 0 ? "no noticeable change" : shown.join(", ");
}
