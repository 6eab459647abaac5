/** Who carries what of the shared pieces: the fairest split of a leg, by what each can carry. */
import { useState } from "react";
import { shareFairly, type LegResult, type Plan, type PlanResult, type ShareBy } from "@gepack/core";
import { takeCarriers } from "../../edit/kit.ts";
import { Pick } from "../../ui/Pick.tsx";
import { firstName, stopName } from "../../words/names.ts";
import { sayIn } from "../../words/say.ts";

const BY_WORDS: Readonly<Record<ShareBy, string>> = {
  body: "by body weight",
  comfort: "by comfortable load",
  equal: "equally",
};

export function Sharing({ plan, result, leg }: { plan: Plan; result: PlanResult; leg: LegResult }) {
  const say = sayIn(plan);
  const [by, setBy] = useState<ShareBy>("body");
  const found = shareFairly(plan, result, leg.index, by);
  if (!found)
    return (
      <p className="text-sm text-muted">
        Nothing to share on this leg. Mark an item “Shared by the party” in its dialog.
      </p>
    );
  const { changes, nowKg, thenKg, proven } = found;
  const nameOf = (id: string): string => firstName(plan.hikers.find((hiker) => hiker.id === id)!);
  return (
    <div className="py-2 text-sm">
      <div className="flex flex-wrap items-end gap-3">
        <Pick label="Share" value={by} options={Object.entries(BY_WORDS) as [ShareBy, string][]} onPick={setBy} />
        <p className="m-0 pb-1">
          Leaving {stopName(plan, leg.fromStopId)} on leg {leg.index + 1}:{" "}
          {plan.hikers.map((hiker, who) => (
            <span key={hiker.id} className="mr-3">
              {firstName(hiker)} <b>{say.kg(thenKg[who]!)}</b>{" "}
              <span className="text-muted">instead of {say.kg(nowKg[who]!)}</span>
            </span>
          ))}
        </p>
      </div>
      {changes.length === 0 ? (
        <p className="my-1">This is already as fair as it gets.</p>
      ) : (
        <>
          <ul aria-label="Items that change carrier" className="m-0 mt-1 list-none p-0">
            {changes.map(({ pieceId, carrierId }) => (
              <li key={pieceId}>
                {plan.kit.find(({ id }) => id === pieceId)!.name} to {nameOf(carrierId)}
              </li>
            ))}
          </ul>
          <button className="btn btn-strong mt-1" onClick={() => takeCarriers(changes, "Share fairly")}>
            Apply to the whole hike
          </button>
        </>
      )}
      <p className="mt-1 mb-0 max-w-[72ch] text-xs text-muted">
        {proven ? "Exact: no other split gives the most loaded hiker less." : "Best of many thousand splits tried."}{" "}
        Headlamp, rain shell and first aid stay with each person. Young people should carry less: see the cautions in
        Legs.
      </p>
    </div>
  );
}
