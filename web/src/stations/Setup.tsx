/** Start, hikers, pace, packs, food, water and units: what the rest follows from. */
import { format, parseISO } from "date-fns";
import { type ReactNode, useId } from "react";
import type { Hiker, Plan } from "@gepack/core";
import { NameField } from "../components/NameField.tsx";
import { NumberField } from "../components/NumberField.tsx";
import { Pick } from "../components/Pick.tsx";
import { edit, useApp } from "../store/app.ts";
import type { QuantityKind } from "../units/quantity.ts";
import { dayMonth } from "../units/quantity.ts";
import { CHECK_STATION, checkSentence, mendSentence, SEVERITY_WORD } from "../words/checks.ts";
import { turnRound } from "./direction.ts";
import { addHiker, MOST_HIKERS, removeHiker } from "./setup/party.ts";
import { Weather } from "./setup/Weather.tsx";
import { StationGate } from "./StationGate.tsx";

export default function Setup() {
  return (
    <StationGate>
      {(plan, result) => (
        <div className="mx-auto grid max-w-[1240px] gap-6 bg-paper px-[18px] py-5">
          {result.checks
            .filter((check) => CHECK_STATION[check.code] === "setup")
            .map((check, i) => (
              <p key={i} className="m-0 rounded bg-caution-wash px-3 py-2 text-sm">
                <b className="text-caution">{SEVERITY_WORD[check.severity]}.</b> {checkSentence(check, plan)}{" "}
                <span className="text-muted">{mendSentence(check)}</span>
              </p>
            ))}
          <TripForm plan={plan} finish={dayMonth(result.finishDate)} days={result.walkDays + result.zeroDays} />
          <HikerForm plan={plan} />
          <UnitsForm plan={plan} />
          <Weather plan={plan} result={result} />
        </div>
      )}
    </StationGate>
  );
}

function Section({ title, note, children }: { title: string; note?: string; children: ReactNode }) {
  return (
    <section aria-label={title}>
      <h2 className="m-0 mb-2 text-lg font-bold">{title}</h2>
      {note && <p className="mt-0 mb-2 max-w-[72ch] text-sm text-muted">{note}</p>}
      <div className="grid grid-cols-[repeat(auto-fill,minmax(172px,1fr))] items-start gap-x-5 gap-y-3">{children}</div>
    </section>
  );
}

function TripForm({ plan, finish, days }: { plan: Plan; finish: string; days: number }) {
  const { trip } = plan;
  return (
    <Section title="The trip" note={`As planned it ends on ${finish}, after ${days} days.`}>
      <NameField
        label="Name"
        value={trip.name}
        onCommit={(name) => void edit(`Name ${name}`, (draft) => void (draft.trip.name = name))}
      />
      <DateField
        label="Start"
        value={trip.startDate}
        required
        onCommit={(date) =>
          void edit(`Start ${dayMonth(date)}`, (draft) => {
            draft.trip.startDate = date;
          })
        }
      />
      <DateField
        label="Finish wanted by"
        value={trip.finishBy ?? ""}
        onCommit={(date) =>
          void edit("Finish wanted by", (draft) => {
            if (date) draft.trip.finishBy = date;
            else delete draft.trip.finishBy;
          })
        }
      />
      <Pick
        label="Direction"
        value={trip.direction}
        options={[
          ["forward", "as recorded"],
          ["reverse", "the other way"],
        ]}
        onPick={turnRound}
      />
    </Section>
  );
}

function DateField({
  label,
  value,
  required,
  onCommit,
}: {
  label: string;
  value: string;
  required?: boolean;
  onCommit: (date: string) => void;
}) {
  const id = useId();
  return (
    <div>
      <label htmlFor={id} className="text-sm font-semibold">
        {label}
      </label>
      <input
        id={id}
        key={value}
        type="date"
        className="field mt-1"
        defaultValue={value}
        min="1970-01-01"
        max="2199-12-31"
        aria-describedby={`${id}-long`}
        onChange={(event) => {
          const date = event.target.value;
          // While a year is being typed the field passes through years like 0002.
          if (date === "" ? !required && value !== "" : date >= "1970-01-01" && date !== value) onCommit(date);
        }}
      />
      <span id={`${id}-long`} className="mt-0.5 block text-xs text-muted">
        {value === "" ? "any day" : format(parseISO(value), "d MMMM yyyy")}
      </span>
    </div>
  );
}

/** A figure of the hiker: where it lives in the document, what it is called, what is allowed. */
interface Row {
  path: string;
  label: string;
  min: number;
  max: number;
  kind?: QuantityKind;
  suffix?: string;
  digits?: number;
  /** Shown in percent, kept as a fraction. */
  percent?: boolean;
}

const measured = (path: string, label: string, kind: QuantityKind, min: number, max: number): Row => ({
  path,
  label,
  kind,
  min,
  max,
});
const counted = (path: string, label: string, suffix: string, min: number, max: number, digits = 0): Row => ({
  path,
  label,
  suffix,
  min,
  max,
  digits,
});
const percent = (path: string, label: string, min: number, max: number): Row => ({
  path,
  label,
  suffix: "%",
  min,
  max,
  digits: 0,
  percent: true,
});

// prettier-ignore
const BODY: Row[] = [
  counted("ageY", "Age", "y", 10, 100),
  counted("heightCm", "Height", "cm", 100, 230),
  measured("bodyKg", "Body mass", "mass", 30, 250),
  measured("packComfortKg", "Pack carries in comfort", "mass", 1, 60),
  measured("packVolumeL", "Pack volume", "volume", 5, 150),
];
// prettier-ignore
const PACE: Row[] = [
  percent("pace.speedFactor", "Own pace, of Tobler’s", 30, 200),
  counted("pace.hoursFreshH", "Walking hours, first day", "h", 1, 20, 1),
  counted("pace.hoursFitH", "Walking hours, in form", "h", 1, 20, 1),
  counted("pace.rampDays", "Days until in form", "days", 0, 120),
  percent("pace.breakShare", "Breaks, of walking time", 0, 100),
];
// prettier-ignore
const FOOD: Row[] = [
  counted("food.densityKcalPerG", "Energy density", "kcal/g", 1, 9, 2),
  percent("food.shortfallFraction", "Planned shortfall", -50, 70),
  percent("food.reserveFraction", "Food reserve", 0, 100),
  counted("stove.boilsPerDay", "Boils a day", "", 0, 20, 1),
  measured("stove.boilL", "Water per boil", "volume", 0, 5),
];
// prettier-ignore
const WATER: Row[] = [
  counted("water.ratePerKmL", "Water per km below 20 °C", "L/km", 0, 1, 3),
  measured("water.drinkAtSourceL", "Drunk at the source", "volume", 0, 1),
  percent("water.reserveFraction", "Water reserve", 0, 100),
  measured("water.dinnerL", "Dry camp: dinner", "volume", 0, 4),
  measured("water.nightL", "Dry camp: night", "volume", 0, 4),
  measured("water.breakfastL", "Dry camp: breakfast", "volume", 0, 4),
];
const LEAST_CHANCE = percent("water.leastChance", "Least chance of flow", 0, 100);

/** The record that holds the last key of a path, and that key. */
function place(hiker: Hiker, path: string): [Record<string, unknown>, string] {
  const keys = path.split(".");
  const last = keys.pop()!;
  return [keys.reduce((record, key) => record[key] as Record<string, unknown>, hiker as Record<string, unknown>), last];
}

function HikerForm({ plan }: { plan: Plan }) {
  const hikerIndex = useApp((state) => state.hikerIndex);
  const hiker = plan.hikers[hikerIndex]!;
  const change = (label: string, recipe: (hiker: Hiker) => void): void =>
    void edit(`${hiker.name.split(" ")[0]}: ${label.toLowerCase()}`, (draft) => {
      const target = draft.hikers.find((candidate) => candidate.id === hiker.id);
      if (target) recipe(target as Hiker);
    });
  const rows = (list: Row[]): ReactNode =>
    list.map(({ path, label, percent: inPercent, ...rest }) => {
      const times = inPercent ? 100 : 1;
      const [record, key] = place(hiker, path);
      const commit = (value: number): void =>
        change(label, (target) => {
          const [into, name] = place(target, path);
          into[name] = value / times;
        });
      return (
        <NumberField
          key={`${hiker.id} ${path}`}
          label={label}
          value={Number(record[key]) * times}
          units={plan.trip.units}
          onCommit={commit}
          {...rest}
        />
      );
    });
  const choice = <T extends string>(
    label: string,
    value: T,
    options: Record<T, string>,
    set: (hiker: Hiker, value: T) => void,
  ) => (
    <Pick
      label={label}
      value={value}
      options={Object.entries(options) as [T, string][]}
      onPick={(picked) => change(label, (target) => set(target, picked))}
    />
  );
  return (
    <>
      <Section
        title={hiker.name}
        note="Everybody walks together: the slower pace and the shorter day count. Choose the other hiker in the bar at the top."
      >
        <NameField
          label="Name"
          value={hiker.name}
          onCommit={(name) => change("name", (target) => void (target.name = name))}
        />
        {choice("Sex, for the equations", hiker.sex, { female: "female", male: "male" }, (h, v) => {
          h.sex = v;
        })}
        {rows(BODY)}
        {choice("Sleeps", hiker.sleeper, { cold: "cold: comfort rating", warm: "warm: limit rating" }, (h, v) => {
          h.sleeper = v;
        })}
      </Section>
      <div className="-mt-3 flex gap-2">
        <button className="btn" disabled={plan.hikers.length >= MOST_HIKERS} onClick={() => addHiker(plan)}>
          Add hiker
        </button>
        {plan.hikers.length > 1 && (
          <button className="btn" onClick={() => removeHiker(plan, hiker.id)}>
            Remove {hiker.name}
          </button>
        )}
      </div>
      <Section title="Pace">{rows(PACE)}</Section>
      <Section
        title="Food and stove"
        note="A shortfall means losing weight on purpose. Long ones cost muscle and warmth; take medical advice."
      >
        {rows(FOOD)}
        {choice(
          "Cooks with",
          hiker.stove.fuel,
          {
            "gas-canister": "gas",
            "gas-heat-exchanger": "gas, heat-exchanger pot",
            alcohol: "alcohol",
            tablets: "tablets",
            none: "no stove",
          },
          (h, v) => {
            h.stove.fuel = v;
          },
        )}
      </Section>
      <Section
        title="Water"
        note="Any source may be dry today: ask locally, and treat what you drink. Drinking far beyond thirst is dangerous too."
      >
        {rows(WATER)}
        {choice(
          "Counts on",
          hiker.water.trust,
          { reliable: "reliable sources only", chance: "sources likely to flow that month", all: "all sources" },
          (h, v) => {
            h.water.trust = v;
          },
        )}
        {hiker.water.trust === "chance" && rows([LEAST_CHANCE])}
      </Section>
    </>
  );
}

const PRESETS = {
  metric: { distance: "km", height: "m", mass: "kg", smallMass: "g", temperature: "C", volume: "L" },
  imperial: { distance: "mi", height: "ft", mass: "lb", smallMass: "oz", temperature: "F", volume: "qt" },
  mixed: { distance: "mi", height: "ft", mass: "kg", smallMass: "g", temperature: "F", volume: "L" },
} as const;
const UNIT_CHOICES = {
  distance: ["km", "mi"],
  height: ["m", "ft"],
  mass: ["kg", "lb"],
  smallMass: ["g", "oz"],
  temperature: ["C", "F"],
  volume: ["L", "qt"],
} as const;
const UNIT_NAMES = {
  distance: "Distance",
  height: "Height",
  mass: "Pack weight",
  smallMass: "Kit weight",
  temperature: "Temperature",
  volume: "Water",
} as const;

function UnitsForm({ plan }: { plan: Plan }) {
  const { units } = plan.trip;
  const names = Object.keys(UNIT_CHOICES) as (keyof typeof UNIT_CHOICES)[];
  const preset = (Object.keys(PRESETS) as (keyof typeof PRESETS)[]).find((key) =>
    names.every((name) => PRESETS[key][name] === units[name]),
  );
  return (
    <Section
      title="Units"
      note="Shown and typed in these; any unit may be typed behind a number: 2 lb 3 oz, 1.2 kg, 5 mi, 30C."
    >
      <Pick
        label="All at once"
        value={preset ?? "own"}
        options={[
          ["metric", "metric"],
          ["imperial", "imperial"],
          ["mixed", "mixed: miles with grams"],
          ...(preset ? [] : [["own", "own mix"] as const]),
        ]}
        onPick={(picked) =>
          void edit("Units", (draft) => {
            if (picked !== "own") Object.assign(draft.trip.units, PRESETS[picked]);
          })
        }
      />
      {names.map((name) => (
        <Pick<string>
          key={name}
          label={UNIT_NAMES[name]}
          value={units[name]}
          options={UNIT_CHOICES[name].map((unit) => [unit, name === "temperature" ? `°${unit}` : unit])}
          onPick={(unit) => void edit("Units", (draft) => void Object.assign(draft.trip.units, { [name]: unit }))}
        />
      ))}
    </Section>
  );
}
