/** The trail itself: places on the Line's scale, their table, and where a recorded track comes in. */
import { lazy, Suspense, useState } from "react";
import { ToggleGroup } from "radix-ui";
import { remember, useSettings } from "../../store/settings.ts";
import { counted } from "../../words/counted.ts";
import { repairWords } from "../../words/repairs.ts";
import { useLooked } from "../../ui/useLooked.ts";
import { CheckList } from "../../ui/CheckList.tsx";
import { quantity } from "../../units/quantity.ts";
import { checkStation, distinct } from "../../words/checks/index.ts";
import type { ScreenProps } from "../Screen.tsx";
import { ImportPanel } from "./ImportPanel.tsx";
import { PlaceLanes } from "./PlaceLanes.tsx";
import { RoutePanel } from "./RoutePanel.tsx";
import { PlaceTable } from "./PlaceTable.tsx";
import { KINDS, type PlaceKind } from "./places.ts";
import { SheetDialog } from "./SheetDialog.tsx";

const MOST_CHECKS = 6;

/** With its drawing library it is larger than all the rest of the station. */
const TrailMap = lazy(() => import("../../map/TrailMap.tsx"));

export default function Trail({ plan, result }: ScreenProps) {
  const [kind, setKind] = useState<PlaceKind>("stops");
  const [chosen, setChosen] = useState<string>();
  const mapOpen = useSettings((state) => state.mapOpen);
  const [onMap, setOnMap] = useState(false);
  const [sheet, setSheet] = useState(false);
  const [offered, setOffered] = useState<File>();
  const choose = (nextKind: PlaceKind, id: string): void => {
    setKind(nextKind);
    setChosen(id);
    setOnMap(false);
  };
  useLooked("trail", ({ kind: looked, id }) => looked !== "kit" && choose(looked, id));
  const chooseOnMap = (nextKind: PlaceKind, id: string): void => {
    choose(nextKind, id);
    setOnMap(true);
  };
  const { profile } = result;
  const units = plan.trip.units;
  const { repairs } = profile;
  const gaps = repairs.gaps.length;
  const faults = [...(gaps > 0 ? [`${counted(gaps, "gap")} walked as straight lines`] : []), ...repairWords(repairs)];
  return (
    <div className="bg-sheet">
      <PlaceLanes plan={plan} result={result} chosen={chosen} onChoose={choose} />
      <div className="flex flex-wrap items-center gap-3 border-b border-rule px-[18px] py-1.5 text-sm">
        {plan.route.coarse ? (
          <span className="text-muted">
            No map: this trail was made from a table. Import its track to place it on the map.
          </span>
        ) : (
          <button className="btn" aria-expanded={mapOpen} onClick={() => remember("mapOpen", !mapOpen)}>
            {mapOpen ? "Hide map" : "Show map"}
          </button>
        )}
        <button className="btn" onClick={() => setSheet(true)}>
          Camp and water sheet
        </button>
        {sheet && <SheetDialog plan={plan} result={result} onClose={() => setSheet(false)} />}
      </div>
      {mapOpen && !plan.route.coarse && (
        <Suspense fallback={<p className="m-0 px-[18px] py-3 text-sm text-muted">Loading map…</p>}>
          <TrailMap plan={plan} result={result} chosen={chosen} onChoose={chooseOnMap} />
        </Suspense>
      )}
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
                  {KINDS[name].title} {plan[name].length}
                </ToggleGroup.Item>
              ))}
            </ToggleGroup.Root>
          </div>
          <PlaceTable
            kind={kind}
            plan={plan}
            result={result}
            chosen={chosen}
            still={onMap}
            onChoose={(id) => choose(kind, id)}
            onTable={setOffered}
          />
        </section>
        <aside aria-label="Track" className="min-w-0 text-sm">
          <RoutePanel plan={plan} profile={profile} />
          <h2 className="m-0 mb-1 text-base font-bold">Your route</h2>
          <p className="my-1" data-testid="walked-length">
            {quantity("distance", profile.lengthM, units)}, {quantity("height", profile.totalClimbM, units)} up,{" "}
            {quantity("height", profile.totalDescentM, units)} down, highest{" "}
            {quantity("height", profile.highestM, units)}.
          </p>
          {profile.hasHeights && (
            <p className="my-1 text-muted">
              Raw GPS elevations would add up to {quantity("height", profile.rawClimbM, units)} of climb;{" "}
              {quantity("height", Math.max(0, profile.rawClimbM - profile.totalClimbM), units)} of that is noise.
            </p>
          )}
          {faults.length > 0 && <p className="my-1 text-muted">Repaired: {faults.join(", ")}.</p>}
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
          <ImportPanel plan={plan} profile={profile} offered={offered} />
        </aside>
      </div>
    </div>
  );
}
