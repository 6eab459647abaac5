/** Which legs want each bank, by the plan without it: where it could stay at home, or be posted from and to. */
import type { BankLegs, Plan, PlanResult } from "@gepack/core";
import { calculator } from "../../store/trail.ts";
import { Progress } from "../../ui/Progress.tsx";
import { legList } from "../../words/counted.ts";
import { stopName } from "../../words/names.ts";
import { usePlanRun } from "../../worker/useLongRun.ts";

export function Banks({ plan, result }: { plan: Plan; result: PlanResult }) {
  const { rows, fraction, start, stop } = usePlanRun<BankLegs>(plan);
  const banks = plan.devices.filter(({ kind }) => kind === "bank");
  if (banks.length === 0) return null;
  const find = (): void =>
    start(
      () => banks.length,
      (now, onRow, signal) => calculator().bankLegs({ plan: now }, onRow, signal),
    );
  const name = (id: string): string => banks.find((device) => device.id === id)?.name ?? id;
  return (
    <div className="my-2 text-sm">
      <button className="btn" onClick={find} disabled={fraction !== undefined}>
        Which legs need the {banks.length === 1 ? "power bank" : "power banks"}
      </button>
      {fraction !== undefined && <Progress label="Testing power banks at home" fraction={fraction} onStop={stop} />}
      {rows.length > 0 && (
        <ul aria-label="Power banks by leg" className="my-2 list-none p-0">
          {rows.map((row) => (
            <li key={row.deviceId}>
              <b>{name(row.deviceId)}</b>: {wordsOf(row, plan, result)}
            </li>
          ))}
        </ul>
      )}
    </div>
  );
}

function wordsOf({ wantedOn, missingStill, idleOn }: BankLegs, plan: Plan, { legs }: PlanResult): string {
  const still = missingStill.length > 0 ? ` Even with it, there is too little on ${legList(missingStill)}.` : "";
  if (wantedOn.length === 0) return `no leg depends on it.${still}`;
  const from = stopName(plan, legs[wantedOn[0]!]!.fromStopId);
  const to = stopName(plan, legs[wantedOn.at(-1)!]!.toStopId);
  const idle = idleOn.length > 0 ? ` You could have it mailed to ${from} and send it home from ${to}.` : "";
  return `needed on ${legList(wantedOn)}.${idle}${still}`;
}
