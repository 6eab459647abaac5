/** The rules of a day: hours by stage, light, camps, rest, and what slows the walk. */
import { X } from "lucide-react";
import { surfacesBy, type DayRules, type Hiker, type Plan, type Surface } from "@gepack/core";
import { setFields } from "../../edit/rows.ts";
import { edit } from "../../store/document.ts";
import { FieldNumber, Fields } from "../../ui/FieldNumber.tsx";
import { OptionalNumber } from "../../ui/OptionalNumber.tsx";
import { Panel } from "../../ui/Panel.tsx";
import { Pick } from "../../ui/Pick.tsx";
import { Sentences, type Sentence } from "../../ui/Sentences.tsx";
import { Table, type Column } from "../../ui/Table.tsx";
import { fixed } from "../../units/quantity.ts";
import { TOGETHER } from "../../words/cautions.ts";
import type { ScreenProps } from "../Screen.tsx";
import { OwnPace } from "./OwnPace.tsx";
import { RampCurve, type RampPoint } from "./RampCurve.tsx";
import { changeHiker } from "../../ui/HikerFields.tsx";
import { type Made } from "../../store/made.ts";
import { AddButton } from "../../ui/AddButton.tsx";

const LIGHT: Sentence[] = [
  {
    text: "At most {darkFraction} of the day’s hours may be in the dark.",
    labels: { darkFraction: "In the dark, at most" },
  },
];
const CAMP: Sentence[] = [
  {
    text: "A day may end up to {campWindowH} early or {campAheadH} late to reach water or a listed camp.",
    labels: { campWindowH: "May end early by", campAheadH: "May end late by" },
  },
  {
    text: "A rest day after every {restEveryDays} of walking; 0 for none.",
    labels: { restEveryDays: "Days between rest days, 0 for none" },
  },
];
const WATER: Sentence[] = [
  {
    text: "Take a detour to off-trail water if it costs less than {detourMinPerLitreHour} per litre you’d otherwise carry for an hour, and always if your bottles would run out.",
    labels: { detourMinPerLitreHour: "Detour minutes per litre-hour saved" },
  },
];
const SLOW: Sentence[] = [
  {
    text: "In the dark you walk at {nightSpeedFactor} of daytime speed.",
    labels: { nightSpeedFactor: "Speed in the dark" },
  },
  {
    text: "Above {heatSlowFromC} you slow by {heatSlowPerK} per kelvin, at most 30 %.",
    labels: { heatSlowFromC: "Heat slows from", heatSlowPerK: "Slowdown per kelvin" },
  },
  {
    text: "Above 2,000 m you slow by {heightSlowPerKm} per 1,000 m; half that after two weeks up there (experimental).",
    labels: { heightSlowPerKm: "Slowdown per 1,000 m above 2,000 m" },
  },
  {
    text: "The load slows you by {loadSlowness} of what the model says.",
    labels: { loadSlowness: "Share of the model’s load slowdown" },
  },
];

type ChangeRules = (label: string, recipe: (rules: DayRules) => void) => void;
const change: ChangeRules = (label, recipe) =>
  void edit(`Days: ${label.toLowerCase()}`, (draft) => recipe(draft.dayRules as DayRules));

export function Rules({ plan, lengthDays }: Pick<ScreenProps, "plan"> & { lengthDays: number }) {
  const { units } = plan.trip;
  const rules = plan.dayRules;
  const sentences = (list: Sentence[]) => (
    <Sentences of="dayRules" record={rules} list={list} units={units} change={change} />
  );
  return (
    <>
      <p className="m-0 max-w-[72ch] text-sm text-muted">
        {TOGETHER} Tired people, and people in the dark or heat, make mistakes: keep a margin.
      </p>
      {plan.hikers.map((hiker) => (
        <div key={hiker.id} className="grid gap-2">
          <Ramp hiker={hiker} plan={plan} lengthDays={lengthDays} />
          <OwnPace hiker={hiker} plan={plan} />
        </div>
      ))}
      <div>
        <Fields
          title="Starting the day"
          note="Clock time, but never before first light unless hours in the dark are allowed. Set each hiker’s time with the hiker."
        >
          <Pick
            label="Day starts"
            value={rules.startRule}
            options={[
              ["clock", "at a set time"],
              ["sunrise", "at sunrise"],
            ]}
            onPick={(picked) => change("day starts", (target) => void (target.startRule = picked))}
          />
          <OptionalNumber
            path="dayRules.neroOutH"
            label="Hours on the day you leave a stop"
            value={rules.neroOutH}
            start={4}
            units={units}
            take="Shorter day after a stop…"
            drop="Use the usual hours"
            onChange={(value) =>
              change("day you leave a stop", (target) => void setFields(target, { neroOutH: value }))
            }
          />
        </Fields>
        <div className="mt-2">{sentences(LIGHT)}</div>
      </div>
      <div>
        <Fields
          title="Ending the day"
          note="You won’t camp where it’s forbidden if a legal site is in reach. The day ends before or after that stretch. If you’d reach a stop after closing time, you camp short of it and walk in next morning."
        >
          <Pick
            label="Day ends"
            value={rules.endRule}
            options={[
              ["camp", "near water"],
              ["hours", "after its hours"],
            ]}
            onPick={(picked) => change("end of the day", (target) => void (target.endRule = picked))}
          />
          <Pick
            label="Nights"
            value={rules.sleepAt}
            options={[
              ["anywhere", "anywhere legal"],
              ["camps", "at listed camps"],
              ["beds", "in beds within reach"],
            ]}
            onPick={(picked) => change("nights", (target) => void (target.sleepAt = picked))}
          />
          <Pick
            label="Dinner before a dry camp"
            value={rules.dinnerAtWater ? "water" : "camp"}
            options={[
              ["camp", "in camp"],
              ["water", "at the last water, then walk on"],
            ]}
            onPick={(picked) =>
              change("dinner before a dry camp", (target) => void (target.dinnerAtWater = picked === "water"))
            }
          />
          <Pick
            label="Closing times at stops"
            value={rules.arriveByClosing ? "yes" : "no"}
            options={[
              ["no", "ignore them"],
              ["yes", "arrive before closing"],
            ]}
            onPick={(picked) => change("closing time", (target) => void (target.arriveByClosing = picked === "yes"))}
          />
          <OptionalNumber
            path="dayRules.walkOnBeforeH"
            label="Walk on from a stop reached before"
            value={rules.walkOnBeforeH}
            start={12}
            units={units}
            take="Walk on from stops reached early…"
            drop="Sleep at every stop"
            onChange={(value) =>
              change("stops reached early", (target) => void setFields(target, { walkOnBeforeH: value }))
            }
          />
        </Fields>
        <div className="mt-2">{sentences([...CAMP, ...WATER])}</div>
      </div>
      <Panel
        title="What slows you down"
        note="Factors multiply. Night and heat are engineering values without a published source; set your own."
      >
        {sentences(SLOW)}
      </Panel>
      <Surfaces plan={plan} />
    </>
  );
}

/** Hours by stage of the hike: first day and form, or as many stages as wanted. */
function Ramp({ hiker, plan, lengthDays }: { hiker: Hiker; plan: Plan; lengthDays: number }) {
  const { ramp, hoursFreshH, hoursFitH, rampDays } = hiker.pace;
  const { units } = plan.trip;
  const change = (label: string, recipe: (pace: Hiker["pace"], made: Made) => void): void =>
    changeHiker(hiker)(label, (target, made) => recipe(target.pace, made));
  const begin = (): void =>
    change("hours by phase", (pace, { newId }) => {
      pace.ramp = [
        { id: newId(), tripDay: 0, hoursH: hoursFreshH },
        { id: newId(), tripDay: Math.max(1, rampDays), hoursH: hoursFitH },
      ];
    });
  const set = (id: string, key: "tripDay" | "hoursH", value: number): void =>
    change("hours by phase", (pace) => {
      const stage = pace.ramp.find((one) => one.id === id);
      if (stage) stage[key] = value;
      pace.ramp.sort((a, b) => a.tripDay - b.tripDay);
    });
  const points =
    ramp.length > 0
      ? ramp.map(({ tripDay, hoursH }) => ({ day: tripDay, hoursH }))
      : [
          { day: 0, hoursH: hoursFreshH },
          { day: rampDays, hoursH: hoursFitH },
        ];
  const movePoint = (index: number, { day, hoursH }: RampPoint): void =>
    change("hours by phase", (pace) => {
      if (ramp.length > 0) {
        const stage = pace.ramp.find(({ id }) => id === ramp[index]!.id);
        if (stage) Object.assign(stage, { tripDay: Math.min(2000, day), hoursH });
        pace.ramp.sort((a, b) => a.tripDay - b.tripDay);
      } else if (index === 0) pace.hoursFreshH = hoursH;
      else {
        pace.hoursFitH = hoursH;
        pace.rampDays = Math.min(120, day);
      }
    });
  const add = (): void =>
    change("add a phase", (pace, { newId }) => {
      const last = pace.ramp.at(-1)!;
      pace.ramp.push({ id: newId(), tripDay: Math.min(2000, last.tripDay + 14), hoursH: last.hoursH });
    });
  return (
    <section aria-label={`Hours for ${hiker.name}`}>
      <h2 className="m-0 mb-1 text-lg font-bold">Hours for {hiker.name}</h2>
      <RampCurve label={`Hours for ${hiker.name}`} points={points} lengthDays={lengthDays} onMove={movePoint} />
      {ramp.length === 0 ? (
        <p className="m-0 text-sm">
          {fixed(hoursFreshH, 1)} h on the first day, {fixed(hoursFitH, 1)} h from day {rampDays}, rising evenly.{" "}
          <button className="btn ml-1" onClick={begin}>
            Set hours by phase
          </button>
        </p>
      ) : (
        <>
          <ol className="m-0 flex list-none flex-wrap gap-3 p-0">
            {ramp.map((stage) => (
              <li key={stage.id} className="flex items-end gap-1.5 rounded border border-rule bg-sheet px-2 py-1.5">
                <FieldNumber
                  path="hikers.pace.ramp.tripDay"
                  label="From day"
                  value={stage.tripDay}
                  units={units}
                  className="w-[72px]"
                  onCommit={(value) => set(stage.id, "tripDay", Math.round(value))}
                />
                <FieldNumber
                  path="hikers.pace.ramp.hoursH"
                  label="Hours"
                  value={stage.hoursH}
                  units={units}
                  className="w-[72px]"
                  onCommit={(value) => set(stage.id, "hoursH", value)}
                />
                <button
                  className="btn"
                  aria-label={`Remove the phase from day ${stage.tripDay}`}
                  onClick={() =>
                    change("remove a phase", (pace) => {
                      pace.ramp = pace.ramp.filter(({ id }) => id !== stage.id);
                    })
                  }
                >
                  <X size={14} aria-hidden="true" />
                </button>
              </li>
            ))}
          </ol>
          <AddButton list="hikers.pace.ramp" rows={ramp} className="mt-2" onClick={add}>
            Add phase
          </AddButton>
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

type SurfaceRow = ReturnType<typeof surfacesBy>[number];

function Surfaces({ plan }: { plan: Plan }) {
  const columns: Column<SurfaceRow>[] = [
    { id: "surface", head: "Surface", names: true, cell: ({ id }) => SURFACE_NAME[id] },
    { id: "cost", head: "Energy factor", right: true, cell: ({ terrainFactor }) => fixed(terrainFactor, 2) },
    {
      id: "speed",
      head: "Speed, %",
      right: true,
      cell: ({ id, speedFactor }) => (
        <FieldNumber
          bare
          className="w-[72px]"
          path="dayRules.surfaceSpeed.*"
          label={`Speed on ${SURFACE_NAME[id].toLowerCase()}`}
          value={plan.dayRules.surfaceSpeed[id] ?? speedFactor}
          units={plan.trip.units}
          onCommit={(value) =>
            change(`speed on ${SURFACE_NAME[id]}`, (rules) => {
              if (Math.abs(value - speedFactor) < 1e-9) delete rules.surfaceSpeed[id];
              else rules.surfaceSpeed[id] = value;
            })
          }
        />
      ),
    },
  ];
  return (
    <Panel
      title="Ground"
      note="Speed is relative to a plain trail. The energy factor feeds the effort models: Soule & Goldman 1972, snow by Pandolf and others 1976; scree is our own."
    >
      <div className="grid max-w-[420px] gap-2">
        <Pick
          label="On snow"
          value={plan.dayRules.onSnow}
          options={[
            ["foot", "on foot"],
            ["snowshoes", "on snowshoes"],
            ["skis", "on skis"],
          ]}
          onPick={(picked) => change("on snow", (rules) => void (rules.onSnow = picked))}
        />
        <OptionalNumber
          path="dayRules.treeLineM"
          label="Tree line, above which wind packs half the powder"
          value={plan.dayRules.treeLineM}
          start={2000}
          units={plan.trip.units}
          take="Wind packs snow above the tree line…"
          drop="No tree line"
          onChange={(treeLineM) => change("tree line", (rules) => void setFields(rules, { treeLineM }))}
        />
        <Table label="Surfaces" columns={columns} rows={surfacesBy(plan.dayRules.onSnow)} idOf={({ id }) => id} />
      </div>
    </Panel>
  );
}
