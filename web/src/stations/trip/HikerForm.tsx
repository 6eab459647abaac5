/** One hiker: body, pace, pack, food, stove, water. */
import type { ReactNode } from "react";
import type { Hiker, Plan } from "@gepack/core";
import { NameField } from "../../components/NameField.tsx";
import { Pick } from "../../components/Pick.tsx";
import { edit, useApp } from "../../store/app.ts";
import { counted, measured, percent, Rows, Section, type Row } from "./fields.tsx";
import { addHiker, MOST_HIKERS, removeHiker } from "./party.ts";

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
  percent("pace.speedFactor", "Own pace, of the model’s", 30, 200),
  counted("pace.hoursFreshH", "Walking hours, first day", "h", 1, 20, 1),
  counted("pace.hoursFitH", "Walking hours, in form", "h", 1, 20, 1),
  counted("pace.rampDays", "Days until in form", "days", 0, 120),
  counted("pace.startClockH", "Sets out at", "o’clock", 3, 12, 1),
  percent("pace.breakFraction", "Breaks, of walking time", 0, 100),
];
// prettier-ignore
const FOOD: Row[] = [
  counted("food.densityKcalPerG", "Energy density", "kcal/g", 1, 9, 2),
  percent("food.shortfallFraction", "Planned shortfall", -50, 70),
  percent("food.reserveFraction", "Food reserve", 0, 100),
  percent("food.proteinFraction", "Protein, of the energy", 0, 100),
  counted("food.coldKcalPer10K", "For 10 K of frost", "kcal", 0, 1000),
  counted("stove.boilsPerDay", "Boils a day", "", 0, 20, 1),
  measured("stove.boilL", "Water per boil", "volume", 0, 5),
  percent("stove.windExposure", "Fuel for wind and spill", 0, 100),
];
// prettier-ignore
const WATER: Row[] = [
  counted("water.ratePerKmL", "Water per km below 20 °C", "L/km", 0, 1, 3),
  counted("water.ratePerHourL", "Water per hour below 20 °C", "L/h", 0, 2, 2),
  measured("water.drinkAtSourceL", "Drunk at the source", "volume", 0, 1),
  percent("water.reserveFraction", "Water reserve", 0, 100),
  measured("water.dinnerL", "Dry camp: dinner", "volume", 0, 4),
  measured("water.nightL", "Dry camp: night", "volume", 0, 4),
  measured("water.breakfastL", "Dry camp: breakfast", "volume", 0, 4),
];
const LEAST_CHANCE = percent("water.leastChance", "Least chance of flow", 0, 100);

export function HikerForm({ plan }: { plan: Plan }) {
  const hikerIndex = useApp((state) => state.hikerIndex);
  const hiker = plan.hikers[hikerIndex]!;
  const change = (label: string, recipe: (hiker: Hiker) => void): void =>
    void edit(`${hiker.name.split(" ")[0]}: ${label.toLowerCase()}`, (draft) => {
      const target = draft.hikers.find((candidate) => candidate.id === hiker.id);
      if (target) recipe(target as Hiker);
    });
  const rows = (list: Row[]): ReactNode => (
    <Rows id={hiker.id} record={hiker} list={list} units={plan.trip.units} change={change} />
  );
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
          "Appetite",
          hiker.food.appetiteByWeek.every((share) => share === 1) ? "full" : "grows",
          { grows: "grows over four weeks", full: "full from the first day" },
          (h, v) => {
            h.food.appetiteByWeek = v === "full" ? [1, 1, 1, 1] : [0.75, 0.85, 0.95, 1];
          },
        )}
        {choice(
          "Cooks with",
          hiker.stove.fuel,
          {
            "gas-canister": "gas",
            "gas-heat-exchanger": "gas, heat-exchanger pot",
            alcohol: "alcohol",
            tablets: "tablets",
            "liquid-fuel": "white gas",
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
