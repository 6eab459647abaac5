/** The trip's name, dates and direction, and the units everything is shown in. */
import { format, parseISO } from "date-fns";
import { useId } from "react";
import type { Plan } from "@gepack/core";
import { NameField } from "../../components/NameField.tsx";
import { Pick } from "../../components/Pick.tsx";
import { edit } from "../../store/app.ts";
import { dayMonth } from "../../units/quantity.ts";
import { turnRound } from "../direction.ts";
import { Section } from "./fields.tsx";

export function TripForm({ plan, finish, days }: { plan: Plan; finish: string; days: number }) {
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

export function UnitsForm({ plan }: { plan: Plan }) {
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
