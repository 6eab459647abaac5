/** The rules of a day: hours by stage, light, camps, rest, and what slows the walk. */
import { Plus, X } from "lucide-react";
import { SURFACE_TABLE, type DayRules, type Hiker, type Plan, type PlanResult, type Surface } from "@gepack/core";
import { NumberField } from "../../components/NumberField.tsx";
import { OptionalNumber } from "../../components/OptionalNumber.tsx";
import { Pick } from "../../components/Pick.tsx";
import { edit } from "../../store/app.ts";
import { fixed } from "../../units/quantity.ts";
import { counted, measured, percent, Rows, Section, type Row } from "./fields.tsx";

const LIGHT: Row[] = [percent("darkFraction", "In the dark, at most", 0, 100)];
const CAMP: Row[] = [counted("campWindowH", "Up to so much earlier", "h", 0, 5, 1)];
const REST: Row[] = [counted("restEveryDays", "Rest after days walked, 0 for none", "days", 0, 60)];
const SLOW: Row[] = [
  percent("nightSpeedFactor", "Speed in the dark", 20, 100),
  measured("heatSlowFromC", "Heat slows from", "temperature", 0, 45),
  { ...percent("heatSlowPerK", "Slower by, a kelvin", 0, 10), digits: 1 },
  percent("loadSlowness", "What the load takes, of the model’s", 0, 300),
];

export function Days({ plan, result }: { plan: Plan; result: PlanResult }) {
  const { units } = plan.trip;
  const rules = plan.days;
  const change = (label: string, recipe: (rules: DayRules) => void): void =>
    void edit(`Days: ${label.toLowerCase()}`, (draft) => recipe(draft.days as DayRules));
  const rows = (list: Row[]) => <Rows id="days" record={rules} list={list} units={units} change={change} />;
  const walked = result.days.filter((day) => day.walkH > 0);
  const longest = Math.max(...walked.map((day) => day.walkH));
  return (
    <>
      <p className="m-0 max-w-[72ch] text-sm text-muted">
        As planned: {result.walkDays} days of walking, {result.zeroDays} rest days, the longest day {fixed(longest, 1)}{" "}
        h. Everybody walks together: the slower pace and the shorter day count. Tired, in the dark and in the heat
        people err: keep a margin.
      </p>
      {plan.hikers.map((hiker) => (
        <Ramp key={hiker.id} hiker={hiker} plan={plan} />
      ))}
      <Section
        title="Setting out"
        note="By the clock, but not before there is light, unless hours in the dark are allowed. Each hiker’s hour is set with the hiker."
      >
        <Pick
          label="Start of the day"
          value={rules.startRule}
          options={[
            ["clock", "by the clock"],
            ["sunrise", "at sunrise"],
          ]}
          onPick={(picked) => change("start of the day", (target) => void (target.startRule = picked))}
        />
        {rows(LIGHT)}
        <OptionalNumber
          label="Hours on the day out of a stop"
          value={rules.neroOutH}
          start={4}
          units={units}
          suffix="h"
          min={0.5}
          max={20}
          digits={1}
          take="Short day out of stops…"
          drop="As usual"
          onChange={(value) =>
            change("day out of a stop", (target) => {
              if (value === undefined) delete target.neroOutH;
              else target.neroOutH = value;
            })
          }
        />
      </Section>
      <Section
        title="Ending the day"
        note="Nobody camps on a stretch whose rule forbids it, if an allowed place is in reach: the day ends before it, or after it. Who would come to a stop after closing camps before it and comes in the morning."
      >
        <Pick
          label="The day ends"
          value={rules.endRule}
          options={[
            ["camp", "at water nearby"],
            ["hours", "on the hour"],
          ]}
          onPick={(picked) => change("end of the day", (target) => void (target.endRule = picked))}
        />
        {rows(CAMP)}
        <Pick
          label="Nights"
          value={rules.sleepAt}
          options={[
            ["anywhere", "anywhere allowed"],
            ["camps", "at listed camps"],
            ["beds", "at beds in reach"],
          ]}
          onPick={(picked) => change("nights", (target) => void (target.sleepAt = picked))}
        />
        <Pick
          label="Closing time at stops"
          value={rules.arriveByClosing ? "yes" : "no"}
          options={[
            ["no", "comes as it comes"],
            ["yes", "before closing"],
          ]}
          onPick={(picked) => change("closing time", (target) => void (target.arriveByClosing = picked === "yes"))}
        />
        {rows(REST)}
      </Section>
      <Section
        title="What slows the walk"
        note="Factors multiply. Night and heat are stated engineering values without a published source; set your own."
      >
        {rows(SLOW)}
      </Section>
      <Surfaces rules={rules} plan={plan} change={change} />
    </>
  );
}

/** Hours by stage of the hike: first day and form, or as many stages as wanted. */
function Ramp({ hiker, plan }: { hiker: Hiker; plan: Plan }) {
  const { ramp, hoursFreshH, hoursFitH, rampDays } = hiker.pace;
  const { units } = plan.trip;
  const change = (label: string, recipe: (pace: Hiker["pace"]) => void): void =>
    void edit(`${hiker.name.split(" ")[0]}: ${label}`, (draft) => {
      const target = draft.hikers.find((candidate) => candidate.id === hiker.id);
      if (target) recipe(target.pace as Hiker["pace"]);
    });
  const begin = (): void =>
    change("hours by stage", (pace) => {
      pace.ramp = [
        { tripDay: 0, hoursH: hoursFreshH },
        { tripDay: Math.max(1, rampDays), hoursH: hoursFitH },
      ];
    });
  const set = (index: number, key: "tripDay" | "hoursH", value: number): void =>
    change("hours by stage", (pace) => {
      pace.ramp[index]![key] = value;
      pace.ramp.sort((a, b) => a.tripDay - b.tripDay);
    });
  const add = (): void =>
    change("add a stage", (pace) => {
      const last = pace.ramp.at(-1)!;
      pace.ramp.push({ tripDay: Math.min(2000, last.tripDay + 14), hoursH: last.hoursH });
    });
  return (
    <section aria-label={`Hours of ${hiker.name}`}>
      <h2 className="m-0 mb-1 text-lg font-bold">Hours of {hiker.name}</h2>
      {ramp.length === 0 ? (
        <p className="m-0 text-sm">
          {fixed(hoursFreshH, 1)} h on the first day, {fixed(hoursFitH, 1)} h from day {rampDays} on, straight between.{" "}
          <button className="btn ml-1" onClick={begin}>
            Set hours by stage
          </button>
        </p>
      ) : (
        <>
          <ol className="m-0 flex list-none flex-wrap gap-3 p-0">
            {ramp.map((stage, i) => (
              <li key={i} className="flex items-end gap-1.5 rounded border border-rule bg-sheet px-2 py-1.5">
                <NumberField
                  label="From day"
                  value={stage.tripDay}
                  units={units}
                  min={0}
                  max={2000}
                  digits={0}
                  className="w-[72px]"
                  onCommit={(value) => set(i, "tripDay", Math.round(value))}
                />
                <NumberField
                  label="Hours"
                  value={stage.hoursH}
                  units={units}
                  min={1}
                  max={20}
                  digits={1}
                  className="w-[72px]"
                  onCommit={(value) => set(i, "hoursH", value)}
                />
                <button
                  className="btn"
                  aria-label={`Remove the stage from day ${stage.tripDay}`}
                  onClick={() => change("remove a stage", (pace) => void pace.ramp.splice(i, 1))}
                >
                  <X size={14} aria-hidden="true" />
                </button>
              </li>
            ))}
          </ol>
          <button className="btn mt-2" onClick={add} disabled={ramp.length >= 12}>
            <Plus size={15} aria-hidden="true" /> Add stage
          </button>
        </>
      )}
    </section>
  );
}

const SURFACE_NAME: Record<Surface, string> = {
  trail: "Trail",
  road: "Road",
  "light-brush": "Light brush",
  "heavy-brush": "Heavy brush",
  scree: "Scree",
  bog: "Bog",
  sand: "Sand",
  "firm-snow": "Firm snow",
  "soft-snow": "Soft snow",
};

function Surfaces({
  rules,
  plan,
  change,
}: {
  rules: DayRules;
  plan: Plan;
  change: (label: string, recipe: (rules: DayRules) => void) => void;
}) {
  return (
    <section aria-label="Surfaces">
      <h2 className="m-0 mb-1 text-lg font-bold">Underfoot</h2>
      <p className="mt-0 mb-2 max-w-[72ch] text-sm text-muted">
        Speed is a share of that on plain trail. The cost factor goes into the effort models: Soule & Goldman 1972, snow
        by Pandolf and others 1976; scree is ours.
      </p>
      <table className="border-collapse text-sm">
        <thead>
          <tr className="border-b border-rule text-left text-xs text-muted">
            <th className="py-1 pr-6 font-medium">Surface</th>
            <th className="py-1 pr-6 text-right font-medium">Cost factor</th>
            <th className="py-1 text-right font-medium">Speed, %</th>
          </tr>
        </thead>
        <tbody>
          {SURFACE_TABLE.map(({ id, terrainFactor, speedFactor }) => (
            <tr key={id} className="border-b border-rule">
              <td className="py-0.5 pr-6">{SURFACE_NAME[id]}</td>
              <td className="figure py-0.5 pr-6 text-right">{fixed(terrainFactor, 2)}</td>
              <td className="py-0.5">
                <NumberField
                  bare
                  className="w-[72px]"
                  label={`Speed on ${SURFACE_NAME[id].toLowerCase()}`}
                  value={100 * (rules.surfaceSpeed[id] ?? speedFactor)}
                  units={plan.trip.units}
                  min={10}
                  max={150}
                  digits={0}
                  onCommit={(value) =>
                    change(`speed on ${SURFACE_NAME[id]}`, (target) => {
                      if (Math.abs(value / 100 - speedFactor) < 1e-9) delete target.surfaceSpeed[id];
                      else target.surfaceSpeed[id] = value / 100;
                    })
                  }
                />
              </td>
            </tr>
          ))}
        </tbody>
      </table>
    </section>
  );
}
