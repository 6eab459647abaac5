/** The trail itself: places on the Line's scale, their table, and where a recorded track comes in. */
import { useState } from "react";
import { ToggleGroup } from "radix-ui";
import type { Plan, PlanResult } from "@gepack/core";
import { quantity } from "../units/quantity.ts";
import { CHECK_STATION, checkSentence, distinct, mendSentence, SEVERITY_WORD } from "../words/checks.ts";
import { turnRound } from "./direction.ts";
import { StationGate } from "./StationGate.tsx";
import { ImportPanel } from "./trail/ImportPanel.tsx";
import { PlaceLanes } from "./trail/PlaceLanes.tsx";
import { PlaceTable } from "./trail/PlaceTable.tsx";
import { KINDS, type PlaceKind } from "./trail/places.ts";

export default function Trail() {
  return <StationGate>{(plan, result) => <TrailStation plan={plan} result={result} />}</StationGate>;
}

function TrailStation({ plan, result }: { plan: Plan; result: PlanResult }) {
  const [kind, setKind] = useState<PlaceKind>("stops");
  const [chosen, setChosen] = useState<string>();
  const { profile } = result;
  const units = plan.trip.units;
  const { mended } = profile;
  const faults = [
    mended.gaps.length > 0 && `${mended.gaps.length} gaps walked as straight lines`,
    mended.doubledPoints > 0 && `${mended.doubledPoints} doubled points dropped`,
    mended.flungPoints > 0 && `${mended.flungPoints} flung points dropped`,
    mended.missingHeights > 0 && `${mended.missingHeights} heights filled in`,
    mended.spikedHeights > 0 && `${mended.spikedHeights} spiked heights mended`,
  ].filter((text) => text !== false);
  return (
    <div className="bg-sheet">
      <PlaceLanes
        plan={plan}
        result={result}
        chosen={chosen}
        onChoose={(nextKind, id) => {
          setKind(nextKind);
          setChosen(id);
        }}
      />
      <div className="grid grid-cols-1 gap-x-8 px-[18px] py-3 min-[1000px]:grid-cols-[minmax(0,1fr)_370px]">
        <section aria-label="Places" className="min-w-0">
          <div className="mb-2 flex flex-wrap items-center gap-3">
            <ToggleGroup.Root
              type="single"
              value={kind}
              onValueChange={(value) => value !== "" && setKind(value as PlaceKind)}
              aria-label="Kind of place"
              className="flex overflow-hidden rounded border border-rule"
            >
              {(Object.keys(KINDS) as PlaceKind[]).map((name) => (
                <ToggleGroup.Item
                  key={name}
                  value={name}
                  className="px-3 py-1 text-sm data-[state=on]:bg-pine data-[state=on]:font-bold data-[state=on]:text-on-pine"
                >
                  {KINDS[name].title} <span className="opacity-80">{plan[name].length}</span>
                </ToggleGroup.Item>
              ))}
            </ToggleGroup.Root>
          </div>
          <PlaceTable kind={kind} plan={plan} result={result} chosen={chosen} onChoose={setChosen} />
        </section>
        <aside aria-label="Track" className="min-w-0 text-sm">
          <h2 className="m-0 mb-1 text-base font-bold">The recorded track</h2>
          <p className="my-1">
            {quantity("distance", profile.lengthM, units)}, {quantity("height", profile.totalClimbM, units)} up,{" "}
            {quantity("height", profile.totalDescentM, units)} down, highest{" "}
            {quantity("height", profile.highestM, units)}.
          </p>
          {profile.hasHeights && (
            <p className="my-1 text-muted">
              Every small step of the recorder’s heights would add up to {quantity("height", profile.rawClimbM, units)}{" "}
              of climb; {quantity("height", Math.max(0, profile.rawClimbM - profile.totalClimbM), units)} of that is
              noise.
            </p>
          )}
          {faults.length > 0 && <p className="my-1 text-muted">Mended: {faults.join(", ")}.</p>}
          <button className="btn mt-1" onClick={turnRound}>
            Walk it the other way
          </button>
          {distinct(
            result.checks.filter((check) => CHECK_STATION[check.code] === "trail"),
            plan,
          )
            .slice(0, 6)
            .map((check, i) => (
              <p key={i} className="my-2 rounded bg-caution-wash px-3 py-2">
                <b className="text-caution">
                  {SEVERITY_WORD[check.severity]}
                  {check.legIndex === undefined ? "" : `, leg ${check.legIndex + 1}`}.
                </b>{" "}
                {checkSentence(check, plan)} <span className="text-muted">{mendSentence(check)}</span>
              </p>
            ))}
          <ImportPanel plan={plan} />
        </aside>
      </div>
    </div>
  );
}
