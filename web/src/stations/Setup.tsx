/** Start, hikers, pace, packs, food, water and units: what the rest follows from. */
import { format, parseISO } from "date-fns";
import type { ReactNode } from "react";
import type { Hiker, Plan } from "@gepack/core";
import { NumberField } from "../components/NumberField.tsx";
import { edit, useApp } from "../store/app.ts";
import type { QuantityKind } from "../units/quantity.ts";
import { dayMonth } from "../units/quantity.ts";
import { CHECK_STATION, checkSentence, mendSentence, SEVERITY_WORD } from "../words/checks.ts";
import { StationGate } from "./StationGate.tsx";

export default function Setup() {
  return (
    <StationGate>
      {(plan, result) => (
        <div className="mx-auto grid max-w-[1240px] gap-6 bg-paper px-[18px] py-5">
          {result.checks.filter((check) => CHECK_STATION[check.code] === "setup").map((check, i) => (
            <p key={i} className="m-0 rounded bg-caution-wash px-3 py-2 text-sm"><b className="text-caution">{SEVERITY_WORD[check.severity]}.</b> {checkSentence(check, plan)} <span className="text-muted">{mendSentence(check)}</span></p>
          ))}
          <TripForm plan={plan} finish={dayMonth(result.finishDate)} days={result.walkDays + result.zeroDays} />
          <HikerForm plan={plan} />
          <UnitsForm plan={plan} />
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
      <label className="text-sm font-semibold">Name
        <input key={trip.name} className="field mt-1 font-normal" defaultValue={trip.name} maxLength={200}
          onBlur={(event) => {
            const name = event.target.value.trim();
            if (name && name !== trip.name) void edit(`Name ${name}`, (draft) => { draft.trip.name = name; });
          }} />
      </label>
      <DateField label="Start" value={trip.startDate} required onCommit={(date) => void edit(`Start ${dayMonth(date)}`, (draft) => { draft.trip.startDate = date; })} />
      <DateField label="Finish wanted by" value={trip.finishBy ?? ""} onCommit={(date) => void edit("Finish wanted by", (draft) => { if (date) draft.trip.finishBy = date; else delete draft.trip.finishBy; })} />
      <label className="text-sm font-semibold">Direction
        <select className="field mt-1 font-normal" value={trip.direction} onChange={(event) => void edit("Direction", (draft) => { draft.trip.direction = event.target.value as "forward" | "reverse"; draft.trip.directionName = opposite(draft.trip.directionName); })}>
          <option value="forward">as recorded</option>
          <option value="reverse">the other way</option>
        </select>
      </label>
    </Section>
  );
}

function opposite(name: string): string {
  return { northbound: "southbound", southbound: "northbound", eastbound: "westbound", westbound: "eastbound" }[name] ?? name;
}

function DateField({ label, value, required, onCommit }: { label: string; value: string; required?: boolean; onCommit: (date: string) => void }) {
  return (
    <label className="text-sm font-semibold">{label}
      <input key={value} type="date" className="field mt-1 font-normal" defaultValue={value} min="1970-01-01" max="2199-12-31"
        onChange={(event) => {
          const date = event.target.value;
          // While a year is being typed the field passes through years like 0002.
          if (date === "" ? !required && value !== "" : date >= "1970-01-01" && date !== value) onCommit(date);
        }} />
      <span className="mt-0.5 block text-xs font-normal text-muted">{value === "" ? "any day" : format(parseISO(value), "d MMMM yyyy")}</span>
    </label>
  );
}

interface Row {
  label: string;
  kind?: QuantityKind;
  suffix?: string;
  /** Percent shown, fraction kept. */
  percent?: boolean;
  min: number;
  max: number;
  digits?: number;
  get: (hiker: Hiker) => number;
  set: (hiker: Hiker, value: number) => void;
}

const BODY: Row[] = [
  { label: "Age", suffix: "y", min: 10, max: 100, digits: 0, get: (h) => h.ageY, set: (h, v) => { h.ageY = v; } },
  { label: "Height", suffix: "cm", min: 100, max: 230, digits: 0, get: (h) => h.heightCm, set: (h, v) => { h.heightCm = v; } },
  { label: "Body mass", kind: "mass", min: 30, max: 250, get: (h) => h.bodyKg, set: (h, v) => { h.bodyKg = v; } },
  { label: "Pack carries in comfort", kind: "mass", min: 1, max: 60, get: (h) => h.packComfortKg, set: (h, v) => { h.packComfortKg = v; } },
  { label: "Pack volume", kind: "volume", min: 5, max: 150, get: (h) => h.packVolumeL, set: (h, v) => { h.packVolumeL = v; } },
];
const PACE: Row[] = [
  { label: "Own pace, of Tobler’s", suffix: "%", percent: true, min: 30, max: 200, digits: 0, get: (h) => h.pace.speedFactor, set: (h, v) => { h.pace.speedFactor = v; } },
  { label: "Walking hours, first day", suffix: "h", min: 1, max: 20, digits: 1, get: (h) => h.pace.hoursFreshH, set: (h, v) => { h.pace.hoursFreshH = v; } },
  { label: "Walking hours, in form", suffix: "h", min: 1, max: 20, digits: 1, get: (h) => h.pace.hoursFitH, set: (h, v) => { h.pace.hoursFitH = v; } },
  { label: "Days until in form", suffix: "days", min: 0, max: 120, digits: 0, get: (h) => h.pace.rampDays, set: (h, v) => { h.pace.rampDays = v; } },
  { label: "Breaks, of walking time", suffix: "%", percent: true, min: 0, max: 100, digits: 0, get: (h) => h.pace.breakShare, set: (h, v) => { h.pace.breakShare = v; } },
];
const FOOD: Row[] = [
  { label: "Energy density", suffix: "kcal/g", min: 1, max: 9, digits: 2, get: (h) => h.food.densityKcalPerG, set: (h, v) => { h.food.densityKcalPerG = v; } },
  { label: "Planned shortfall", suffix: "%", percent: true, min: -50, max: 70, digits: 0, get: (h) => h.food.shortfallFraction, set: (h, v) => { h.food.shortfallFraction = v; } },
  { label: "Food reserve", suffix: "%", percent: true, min: 0, max: 100, digits: 0, get: (h) => h.food.reserveFraction, set: (h, v) => { h.food.reserveFraction = v; } },
  { label: "Boils a day", min: 0, max: 20, digits: 1, get: (h) => h.stove.boilsPerDay, set: (h, v) => { h.stove.boilsPerDay = v; } },
  { label: "Water per boil", kind: "volume", min: 0, max: 5, get: (h) => h.stove.boilL, set: (h, v) => { h.stove.boilL = v; } },
];
const WATER: Row[] = [
  { label: "Water per km below 20 °C", suffix: "L/km", min: 0, max: 1, digits: 3, get: (h) => h.water.ratePerKmL, set: (h, v) => { h.water.ratePerKmL = v; } },
  { label: "Drunk at the source", kind: "volume", min: 0, max: 1, get: (h) => h.water.drinkAtSourceL, set: (h, v) => { h.water.drinkAtSourceL = v; } },
  { label: "Water reserve", suffix: "%", percent: true, min: 0, max: 100, digits: 0, get: (h) => h.water.reserveFraction, set: (h, v) => { h.water.reserveFraction = v; } },
  { label: "Dry camp: dinner", kind: "volume", min: 0, max: 4, get: (h) => h.water.dinnerL, set: (h, v) => { h.water.dinnerL = v; } },
  { label: "Dry camp: night", kind: "volume", min: 0, max: 4, get: (h) => h.water.nightL, set: (h, v) => { h.water.nightL = v; } },
  { label: "Dry camp: breakfast", kind: "volume", min: 0, max: 4, get: (h) => h.water.breakfastL, set: (h, v) => { h.water.breakfastL = v; } },
];

function HikerForm({ plan }: { plan: Plan }) {
  const hikerIndex = useApp((state) => state.hikerIndex);
  const hiker = plan.hikers[hikerIndex]!;
  const change = (label: string, recipe: (hiker: Hiker) => void): void =>
    void edit(`${hiker.name.split(" ")[0]}: ${label.toLowerCase()}`, (draft) => {
      const target = draft.hikers.find((candidate) => candidate.id === hiker.id);
      if (target) recipe(target as Hiker);
    });
  const rows = (list: Row[]): ReactNode =>
    list.map((row) => {
      const times = row.percent ? 100 : 1;
      return (
        <NumberField key={`${hiker.id} ${row.label}`} label={row.label} kind={row.kind} units={plan.trip.units} min={row.min} max={row.max} value={row.get(hiker) * times}
          {...(row.digits === undefined ? {} : { digits: row.digits })} {...(row.suffix === undefined ? {} : { suffix: row.suffix })} onCommit={(value) => change(row.label, (target) => row.set(target, value / times))} />
      );
    });
  const choice = <T extends string>(label: string, value: T, options: Record<T, string>, set: (hiker: Hiker, value: T) => void): ReactNode => (
    <label key={label} className="text-sm font-semibold">{label}
      <select className="field mt-1 font-normal" value={value} onChange={(event) => change(label, (target) => set(target, event.target.value as T))}>
        {Object.entries<string>(options).map(([key, text]) => <option key={key} value={key}>{text}</option>)}
      </select>
    </label>
  );
  return (
    <>
      <Section title={hiker.name} note="Everybody walks together: the slower pace and the shorter day count. Choose the other hiker in the bar at the top.">
        <label className="text-sm font-semibold">Name
          <input key={hiker.name} className="field mt-1 font-normal" defaultValue={hiker.name} maxLength={200} onBlur={(event) => { const name = event.target.value.trim(); if (name && name !== hiker.name) change("name", (target) => { target.name = name; }); }} />
        </label>
        {choice("Sex, for the equations", hiker.sex, { female: "female", male: "male" }, (h, v) => { h.sex = v; })}
        {rows(BODY)}
        {choice("Sleeps", hiker.sleeper, { cold: "cold: comfort rating", warm: "warm: limit rating" }, (h, v) => { h.sleeper = v; })}
      </Section>
      <Section title="Pace">{rows(PACE)}</Section>
      <Section title="Food and stove" note="A shortfall means losing weight on purpose. Long ones cost muscle and warmth; take medical advice.">
        {rows(FOOD)}
        {choice("Cooks with", hiker.stove.fuel, { "gas-canister": "gas", "gas-heat-exchanger": "gas, heat-exchanger pot", alcohol: "alcohol", tablets: "tablets", none: "no stove" }, (h, v) => { h.stove.fuel = v; })}
      </Section>
      <Section title="Water" note="Any source may be dry today: ask locally, and treat what you drink. Drinking far beyond thirst is dangerous too.">
        {rows(WATER)}
        {choice("Counts on", hiker.water.trust, { reliable: "reliable sources only", chance: "sources likely to flow that month", all: "all sources" }, (h, v) => { h.water.trust = v; })}
        {hiker.water.trust === "chance" && rows([{ label: "Least chance of flow", suffix: "%", percent: true, min: 0, max: 100, digits: 0, get: (h) => h.water.leastChance, set: (h, v) => { h.water.leastChance = v; } }])}
      </Section>
    </>
  );
}

const PRESETS = {
  metric: { distance: "km", height: "m", mass: "kg", smallMass: "g", temperature: "C", volume: "L" },
  imperial: { distance: "mi", height: "ft", mass: "lb", smallMass: "oz", temperature: "F", volume: "qt" },
  mixed: { distance: "mi", height: "ft", mass: "kg", smallMass: "g", temperature: "F", volume: "L" },
} as const;
const UNIT_CHOICES = { distance: ["km", "mi"], height: ["m", "ft"], mass: ["kg", "lb"], smallMass: ["g", "oz"], temperature: ["C", "F"], volume: ["L", "qt"] } as const;
const UNIT_NAMES = { distance: "Distance", height: "Height", mass: "Pack weight", smallMass: "Kit weight", temperature: "Temperature", volume: "Water" } as const;

function UnitsForm({ plan }: { plan: Plan }) {
  const { units } = plan.trip;
  const names = Object.keys(UNIT_CHOICES) as (keyof typeof UNIT_CHOICES)[];
  const preset = (Object.keys(PRESETS) as (keyof typeof PRESETS)[]).find((key) => names.every((name) => PRESETS[key][name] === units[name]));
  return (
    <Section title="Units" note="Shown and typed in these; any unit may be typed behind a number: 2 lb 3 oz, 1.2 kg, 5 mi, 30C.">
      <label className="text-sm font-semibold">All at once
        <select className="field mt-1 font-normal" value={preset ?? "own"} onChange={(event) => void edit("Units", (draft) => { Object.assign(draft.trip.units, PRESETS[event.target.value as keyof typeof PRESETS] ?? {}); })}>
          <option value="metric">metric</option>
          <option value="imperial">imperial</option>
          <option value="mixed">mixed: miles with grams</option>
          {!preset && <option value="own">own mix</option>}
        </select>
      </label>
      {names.map((name) => (
        <label key={name} className="text-sm font-semibold">{UNIT_NAMES[name]}
          <select className="field mt-1 font-normal" value={units[name]} onChange={(event) => void edit("Units", (draft) => { (draft.trip.units as Record<string, unknown>)[name] = event.target.value; })}>
            {UNIT_CHOICES[name].map((unit) => <option key={unit} value={unit}>{name === "temperature" ? `°${unit}` : unit}</option>)}
          </select>
        </label>
      ))}
    </Section>
  );
}
