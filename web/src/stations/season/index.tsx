/** Season: what it will be like when one gets there, and what another first day would change. */
import { useDeferredValue, useMemo, useState } from "react";
import { ToggleGroup } from "radix-ui";
import { legConditions, seasonOf } from "@gepack/core";
import { edit, endTrial, tryOut } from "../../store/document.ts";
import { report } from "../../store/notices.ts";
import { CheckList } from "../../ui/CheckList.tsx";
import { Pick } from "../../ui/Pick.tsx";
import { dayMonth } from "../../units/quantity.ts";
import { checkStation, distinct } from "../../words/checks/index.ts";
import type { ScreenProps } from "../Screen.tsx";
import { BestStart } from "./BestStart.tsx";
import { Conditions, Extremes } from "./Conditions.tsx";
import { PlaneView } from "./PlaneView.tsx";
import { SHOWN } from "./quantities.ts";
import { usePlane } from "./usePlane.ts";
import { Weather } from "./Weather.tsx";

const YEARS = [
  ["low", "little snow"],
  ["usual", "usual snow"],
  ["high", "much snow"],
] as const;
const WARMTHS = [
  ["cold", "cold year"],
  ["usual", "usual year"],
  ["warm", "warm year"],
] as const;
const SNOW_BY = [
  ["degree-day", "by the season"],
  ["by-hand", "by stretches alone"],
] as const;

export default function Season({ plan, result }: ScreenProps) {
  const [quantity, setQuantity] = useState<string>(SHOWN[0]!.id);
  const [allYear, setAllYear] = useState(false);
  const shown = SHOWN.find(({ id }) => id === quantity)!;
  const { climate, trip } = plan;
  const plane = usePlane(plan, result.profile);
  // The plane and the Line go first; rows follow when there is time.
  const settled = useDeferredValue(result);
  const facts = useMemo(() => seasonOf({ climate }, result.profile), [climate, result.profile]);
  const rows = useMemo(() => legConditions(plan, settled, facts), [plan, settled, facts]);
  const tryOn = (startDate: string): void => {
    tryOut((draft) => void (draft.trip.startDate = startDate)).catch(report);
  };
  const startOn = (startDate: string): void => {
    void edit(`Start on ${dayMonth(startDate)}`, (draft) => void (draft.trip.startDate = startDate));
  };
  const setClimate = (label: string, fields: Partial<typeof climate>): void =>
    void edit(label, (draft) => void Object.assign(draft.climate, fields));
  const units = trip.units;
  return (
    <div className="bg-sheet pb-6">
      <div className="flex flex-wrap items-center gap-x-4 gap-y-2 px-[18px] py-2 text-sm">
        <ToggleGroup.Root
          type="single"
          value={quantity}
          onValueChange={(value) => value !== "" && setQuantity(value)}
          aria-label="Quantity of the plane"
          className="flex flex-wrap gap-1"
        >
          {SHOWN.map(({ id, name }) => (
            <ToggleGroup.Item
              key={id}
              value={id}
              className="rounded border border-rule px-2.5 py-1 data-[state=on]:bg-pine data-[state=on]:font-bold data-[state=on]:text-on-pine"
            >
              {name}
            </ToggleGroup.Item>
          ))}
        </ToggleGroup.Root>
        <span className="flex items-center gap-1.5 whitespace-nowrap">
          Planned for
          <Pick
            bare
            label="Snow of the year"
            value={climate.snowYear}
            options={YEARS}
            onPick={(snowYear) => setClimate(`A year of ${YEARS.find(([id]) => id === snowYear)![1]}`, { snowYear })}
          />
          <Pick
            bare
            label="Warmth of the year"
            value={climate.warmth}
            options={WARMTHS}
            onPick={(warmth) => setClimate(`A ${WARMTHS.find(([id]) => id === warmth)![1]}`, { warmth })}
          />
        </span>
        <span className="flex items-center gap-1.5 whitespace-nowrap">
          Snow lies
          <Pick
            bare
            label="Where snow lies"
            value={climate.snowBy}
            options={SNOW_BY}
            onPick={(snowBy) => setClimate(`Snow ${SNOW_BY.find(([id]) => id === snowBy)![1]}`, { snowBy })}
          />
        </span>
        <label className="flex items-center gap-1.5">
          <input type="checkbox" checked={allYear} onChange={(event) => setAllYear(event.target.checked)} /> all year
        </label>
        <span className="text-muted">Drag the line, or ↑ ↓ by a day, Shift by a week</span>
      </div>
      <div className="px-[18px] pb-2">
        <Extremes plan={plan} result={settled} rows={rows} />
      </div>
      <PlaneView
        plan={plan}
        result={result}
        plane={plane}
        shown={shown}
        allYear={allYear}
        onMove={startOn}
        onTry={tryOn}
        onLeave={endTrial}
      />
      <div className="flex flex-wrap items-center gap-3 px-[18px] py-2 text-xs text-muted" data-testid="plane-legend">
        <span>{shown.say(shown.from, units)}</span>
        <span
          aria-hidden="true"
          className="inline-block h-[10px] w-[160px] border border-rule"
          style={{ background: `linear-gradient(to right, ${shown.colours.filter(Boolean).join(", ")})` }}
        />
        <span>{shown.say(shown.to, units)}</span>
        {shown.id !== "snowCover" && <span>dots: half of the ground under snow and more</span>}
        <span>dashed frames: rules, insects and hazards in their season</span>
      </div>
      <div className="px-[18px]">
        <BestStart plan={plan} onTake={startOn} />
        <Conditions plan={plan} result={settled} rows={rows} />
        <div className="my-3">
          <CheckList
            checks={distinct(
              result.checks.filter((check) => checkStation(check) === "season"),
              plan,
            )}
            plan={plan}
            result={result}
            withPlace
          />
        </div>
        <p className="my-2 max-w-[90ch] text-xs text-muted">
          From monthly means: a plan is not a forecast. Snow melts out some ten days earlier to twenty later than shown,
          ridges and gullies differ by weeks. Steep or icy snow needs traction, an axe and the skill to use them, slopes
          above and below it the avalanche bulletin; insects, wet days and light are expectations. Local advice and land
          managers come first.
        </p>
        <Weather plan={plan} result={result} />
      </div>
    </div>
  );
}
