/** The trail itself: places on the Line's scale, their table, and where a recorded track comes in. */
import { useState } from "react";
import { ToggleGroup } from "radix-ui";
import { CheckList } from "../../ui/CheckList.tsx";
import { quantity } from "../../units/quantity.ts";
import { checkStation, distinct } from "../../words/checks/index.ts";
import type { ScreenProps } from "../Screen.tsx";
import { ImportPanel } from "./ImportPanel.tsx";
import { PlaceLanes } from "./PlaceLanes.tsx";
import { RoutePanel } from "./RoutePanel.tsx";
import { PlaceTable } from "./PlaceTable.tsx";
import { KINDS, type PlaceKind } from "./places.ts";

const MOST_CHECKS = 6;

export default function Trail({ plan, result }: ScreenProps) {
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
          <RoutePanel plan={plan} profile={profile} />
          <h2 className="m-0 mb-1 text-base font-bold">What is walked</h2>
          <p className="my-1" data-testid="walked-length">
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
          <div className="my-2">
            <CheckList
              checks={distinct(
                result.checks.filter((check) => checkStation(check) === "trail"),
                plan,
              ).slice(0, MOST_CHECKS)}
              plan={plan}
              result={result}
              withPlace
            />
          </div>
          <ImportPanel plan={plan} profile={profile} />
        </aside>
      </div>
    </div>
  );
}
