/** Season: what it will be like when one gets there, and what another first day would change. */
import { useDeferredValue, useState } from "react";
import { ToggleGroup } from "radix-ui";
import { dayNumber, isoOfDay } from "@gepack/core";
import { movingStart, startOn } from "../../edit/startDate.ts";
import { edit, endTrial, tryOut } from "../../store/document.ts";
import { report } from "../../store/notices.ts";
import { remember, useSettings } from "../../store/settings.ts";
import { conditionsOf } from "../worked.ts";
import { CheckList } from "../../ui/CheckList.tsx";
import { checkStation, distinct } from "../../words/checks/index.ts";
import type { ScreenProps } from "../Screen.tsx";
import { BestStart } from "./BestStart.tsx";
import { Choices } from "./Choices.tsx";
import { Conditions, Extremes } from "./Conditions.tsx";
import { Forecasts } from "./Forecasts.tsx";
import { LegWhys } from "./LegWhys.tsx";
import { PassageLanes } from "./PassageLanes.tsx";
import { PlaneView } from "./PlaneView.tsx";
import { SHOWN } from "./quantities.ts";
import { Readings } from "./Readings.tsx";
import { usePlane } from "./usePlane.ts";
import { Weather } from "./Weather.tsx";

export default function Season({ plan, result }: ScreenProps) {
  const quantity = useSettings(({ planeShows }) => planeShows);
  const [allYear, setAllYear] = useState(false);
  const shown = SHOWN.find(({ id }) => id === quantity) ?? SHOWN[0]!;
  const { climate, trip } = plan;
  const plane = usePlane(plan, result.profile);
  // The plane and the Line come first; rows follow when there is time.
  const settled = useDeferredValue(result);
  const rows = conditionsOf({ plan, result: settled });
  const tryOn = (startDate: string): void => {
    tryOut((draft) => void (draft.trip.startDate = startDate)).catch(report);
  };
  const stepBy = (byDays: number): void => {
    const words = `Start ${Math.abs(byDays) === 1 ? "a day" : "a week"} ${byDays < 0 ? "earlier" : "later"}`;
    const later = (date: string): string => isoOfDay(dayNumber(date)! + byDays);
    movingStart(plan, later(trip.startDate), () =>
      edit(words, ({ trip: moved }) => void (moved.startDate = later(moved.startDate))),
    );
  };
  const units = trip.units;
  return (
    <div className="bg-sheet pb-6">
      <div className="flex flex-wrap items-center gap-x-4 gap-y-2 px-[18px] py-2 text-sm">
        <ToggleGroup.Root
          type="single"
          value={shown.id}
          onValueChange={(value) => value !== "" && remember("planeShows", value)}
          aria-label="Colour the chart by"
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
        <Choices climate={climate} />
        <label className="flex items-center gap-1.5">
          <input type="checkbox" checked={allYear} onChange={(event) => setAllYear(event.target.checked)} /> all year
        </label>
        <span className="text-muted">Drag the line, or press ↑ ↓ for a day, with Shift for a week</span>
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
        onMove={(date) => startOn(plan, date)}
        onStep={stepBy}
        onTry={tryOn}
        onLeave={endTrial}
      />
      <PassageLanes plan={plan} result={settled} rows={rows} />
      <div className="flex flex-wrap items-center gap-3 px-[18px] py-2 text-xs text-muted" data-testid="plane-legend">
        <span>{shown.say(shown.from, units)}</span>
        <span
          aria-hidden="true"
          className="inline-block h-[10px] w-[160px] border border-rule"
          style={{ background: `linear-gradient(to right, ${shown.colours.filter(Boolean).join(", ")})` }}
        />
        <span>{shown.say(shown.to, units)}</span>
        {shown.id !== "snowCover" && <span>dots: at least half the ground under snow</span>}
        <span>dashed frames: seasonal rules, insects and hazards</span>
        <span>hatched: a stop or its post office is closed</span>
        <span>dashed line: coldest night your sleep system handles</span>
      </div>
      <div className="px-[18px]">
        <BestStart plan={plan} onTake={(date) => startOn(plan, date)} />
        <Conditions plan={plan} result={settled} rows={rows} />
        <LegWhys plan={plan} result={settled} />
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
          Based on monthly averages: a plan isn’t a forecast. Snow may melt out 10 days earlier to 20 days later than
          shown; ridges and gullies differ by weeks. Steep or icy snow needs traction, an ice axe and the skill to use
          them; on and below steep slopes, read the avalanche bulletin. Insects, wet days and daylight are expectations.
          Local advice and land managers come first.
        </p>
        <Forecasts plan={plan} result={result} />
        <Readings plan={plan} result={result} />
        <Weather plan={plan} result={result} />
      </div>
    </div>
  );
}
