/** Swaps that meet every demand with the least carried: found by search, taken whole or piece by piece. */
import {
  MOST_SWAP_ROUNDS,
  type FoundSwaps,
  type PieceSwap,
  type Plan,
  type PlanResult,
  type SwapReason,
} from "@gepack/core";
import { takeSwaps } from "../../edit/kit.ts";
import { calculator } from "../../store/trail.ts";
import { RecordField } from "../../ui/FieldNumber.tsx";
import { Progress } from "../../ui/Progress.tsx";
import { editPart } from "../../edit/rows.ts";
import { counted } from "../../words/counted.ts";
import { DEMAND_WORDS, demandFigure } from "../../words/kit.ts";
import { firstName, stopName } from "../../words/names.ts";
import { sayIn, type Say } from "../../words/say.ts";
import { usePlanRun } from "../../worker/useLongRun.ts";

interface Props {
  plan: Plan;
  result: PlanResult;
}

const RULES = [
  ["movePrice", "Mailing an item one way"],
  ["movePricePerKg", "plus per kg"],
  ["homeDays", "From a stop home"],
  ["sendDays", "From home to a stop"],
] as const;

export function SwapPanel({ plan, result }: Props) {
  const say = sayIn(plan);
  const { rows, fraction, start, stop } = usePlanRun<FoundSwaps>(plan);
  const found = rows.at(-1);
  const find = (): void =>
    start(
      () => MOST_SWAP_ROUNDS,
      (now, onRow, signal) => calculator().searchSwaps({ plan: now }, onRow, signal),
    );
  return (
    <div className="py-2 text-sm">
      <p className="mt-0 mb-2 max-w-[72ch] text-muted">
        Moves sleeping bags, liners, pads, jackets, snow gear, bear canisters and large bottles. Every requirement above
        is then covered with the least carrying and mailing. Shelter, rain shell, light, documents, shoes and worn items
        stay. Items on your shelf may be brought along. You can lock an item in its dialog.
      </p>
      <div className="mb-2 grid grid-cols-[repeat(auto-fill,minmax(172px,1fr))] items-start gap-x-5 gap-y-3">
        {RULES.map(([path, label]) => (
          <RecordField
            key={path}
            of="kitRules"
            path={path}
            label={label}
            record={plan.kitRules}
            units={plan.trip.units}
            change={(label, recipe) => editPart("kitRules", label, recipe)}
          />
        ))}
        <RecordField
          of="resupply"
          path="moneyKgKm"
          label="Weight worth one unit of currency"
          record={plan.resupply}
          units={plan.trip.units}
          change={(label, recipe) => editPart("resupply", label, recipe)}
        />
      </div>
      <div className="flex flex-wrap items-center gap-3">
        <button className="btn btn-strong" onClick={find} disabled={fraction !== undefined || plan.kit.length === 0}>
          Find swaps
        </button>
        {fraction !== undefined && <Progress label="Searching for swaps" fraction={fraction} onStop={stop} />}
      </div>
      {found && fraction === undefined && <Found plan={plan} result={result} found={found} say={say} />}
    </div>
  );
}

function Found({ plan, result, found, say }: Props & { found: FoundSwaps; say: Say }) {
  const { swaps, now, then } = found;
  const { changes, unmet } = swaps;
  return (
    <section aria-label="Swaps found" className="mt-2">
      {changes.length === 0 ? (
        <p>No better arrangement exists for these requirements and prices.</p>
      ) : (
        <>
          <p className="my-1 max-w-[80ch]" data-testid="swaps-say">
            All packs over the whole hike <b>{say.carried(then.kgKm)}</b> instead of {say.carried(now.kgKm)}; the
            heaviest {say.kg(then.heaviestKg)} instead of {say.kg(now.heaviestKg)}; postage {say.money(swaps.thenMoney)}{" "}
            instead of {say.money(swaps.nowMoney)}; finish on {say.date(then.finishDate)}
            {then.finishDate === now.finishDate ? ", as before" : ` instead of ${say.date(now.finishDate)}`}.{" "}
            {found.settled
              ? `Settled after ${counted(found.rounds, "round")}.`
              : "The days didn’t settle: check the requirements again after applying."}
            {!swaps.proven && " Too many items depend on each other; some were left unchanged."}
          </p>
          <button
            className="btn btn-strong my-1"
            onClick={() =>
              takeSwaps(
                changes,
                `Swaps for ${changes.length} items`,
                `${say.carried(then.kgKm)} instead of ${say.carried(now.kgKm)} over the hike`,
              )
            }
          >
            Apply all {changes.length}
          </button>
          <ul aria-label="Swaps by item" className="m-0 list-none p-0">
            {changes.map((change) => (
              <Change key={change.pieceId} plan={plan} result={result} change={change} say={say} />
            ))}
          </ul>
        </>
      )}
      {unmet.length > 0 && (
        <p className="my-1 text-caution">
          None of these items can cover:{" "}
          {unmet
            .map(
              (demand) =>
                `${DEMAND_WORDS[demand.kind].toLowerCase()} on leg ${demand.legIndex + 1} (${demandFigure({ ...demand, byHand: false }, say)}, ${firstName(plan.hikers[demand.who]!)})`,
            )
            .join("; ")}
          . This is the closest they get.
        </p>
      )}
    </section>
  );
}

function Change({ plan, result, change, say }: Props & { change: PieceSwap; say: Say }) {
  const piece = plan.kit.find(({ id }) => id === change.pieceId)!;
  const owner = plan.hikers.find(({ id }) => id === piece.ownerId);
  return (
    <li className="grid grid-cols-[1fr_auto] items-start gap-x-3 border-t border-rule py-1">
      <div>
        <b>{piece.name}</b>
        {owner && plan.hikers.length > 1 && <span className="text-muted">, {firstName(owner)}</span>}:{" "}
        {legsOf(change.then)} <span className="text-muted">instead of {legsOf(change.now)}</span>
        <ul className="m-0 list-none p-0 text-muted">
          {change.reasons.map((reason) => (
            <li key={reason.fromLeg}>{reasonWords(reason, plan, result, say)}</li>
          ))}
          {change.reasons.length === 0 && <li>No leg needs it.</li>}
        </ul>
      </div>
      <button
        className="btn min-h-[24px]! px-2! py-0!"
        aria-label={`Apply the swap of ${piece.name}`}
        onClick={() =>
          takeSwaps(
            [change],
            `${piece.name}: moved as suggested`,
            change.reasons
              .map((reason) => reasonWords(reason, plan, result, say))
              .join(" ")
              .slice(0, 500),
          )
        }
      >
        Apply
      </button>
    </li>
  );
}

function legsOf(carried: readonly boolean[]): string {
  const runs: string[] = [];
  for (let leg = 0; leg < carried.length; leg++) {
    if (!carried[leg] || carried[leg - 1]) continue;
    let end = leg;
    while (carried[end + 1]) end++;
    runs.push(end === leg ? `${leg + 1}` : `${leg + 1}–${end + 1}`);
  }
  if (runs.length === 0) return "not carried";
  return `${runs.length === 1 && !runs[0]!.includes("–") ? "leg" : "legs"} ${runs.join(", ")}`;
}

function reasonWords(
  { fromLeg, toLeg, needed, bridged }: SwapReason,
  plan: Plan,
  { legs }: PlanResult,
  say: Say,
): string {
  const from = stopName(plan, legs[fromLeg]!.fromStopId);
  const to = stopName(plan, legs[toLeg]!.toStopId);
  const wants = needed.map(
    (demand) =>
      `${DEMAND_WORDS[demand.kind].toLowerCase()} ${demandFigure({ ...demand, byHand: false }, say)} on leg ${demand.legIndex + 1}`,
  );
  const why = wants.length > 0 ? `first needed for ${wants.join(" and ")}` : "not needed";
  const kept = bridged.map((leg) => leg + 1).join(", ");
  const stays =
    bridged.length > 0
      ? `; carried through leg ${kept} because mailing costs more there or no post office is open`
      : "";
  return `${from} to ${to}: ${why}${stays}.`;
}
