/** What to switch off so that the charge lasts: step by step, by the plan itself. */
import type { Plan, SwitchedOff } from "@gepack/core";
import { calculator } from "../../store/trail.ts";
import { Progress } from "../../ui/Progress.tsx";
import { legList } from "../../words/counted.ts";
import { sayIn } from "../../words/say.ts";
import { usePlanRun } from "../../worker/useLongRun.ts";

export function SwitchOff({ plan }: { plan: Plan }) {
  const say = sayIn(plan);
  const { rows, fraction, start, stop } = usePlanRun<SwitchedOff>(plan);
  const find = (): void =>
    start(
      ({ devices }) => devices.length + 1,
      (now, onRow, signal) => calculator().switchOffs({ plan: now }, onRow, signal),
    );
  const name = (id: string): string => plan.devices.find((device) => device.id === id)?.name ?? id;
  return (
    <div className="my-2 text-sm">
      <button className="btn" onClick={find} disabled={fraction !== undefined || plan.devices.length === 0}>
        What to turn off to make it
      </button>
      {fraction !== undefined && <Progress label="Testing devices off" fraction={fraction} onStop={stop} />}
      {rows.length > 0 && (
        <ol aria-label="Turned off" className="my-2 pl-6">
          {rows.map(({ deviceIds, flatLegs, shortWh }) => (
            <li key={deviceIds.length}>
              {deviceIds.length === 0 ? "Now" : `Without ${deviceIds.map(name).join(", ")}`}:{" "}
              {flatLegs.length === 0 ? (
                <b className="text-pine">the rest lasts.</b>
              ) : (
                `${say.number(shortWh)} Wh short, on ${legList(flatLegs)}.`
              )}
            </li>
          ))}
        </ol>
      )}
    </div>
  );
}
