/** The figures that a hiker may measure: where each lives, what it replaces, what is allowed. */
import type { Hiker, Question, SchoolFigures } from "@gepack/core";
import { fixed } from "../../units/quantity.ts";

export interface MeasuredField {
  label: string;
  suffix: string;
  min: number;
  max: number;
  digits: number;
  /** What the buttons say. */
  take: string;
  drop: string;
  get: (hiker: Hiker) => number | undefined;
  set: (hiker: Hiker, value: number | undefined) => void;
  /** What it begins with: what the plan says so far, where that is known. */
  start: (figures: (id: string) => SchoolFigures | undefined) => number;
  /** Asked for only then. */
  when?: (hiker: Hiker) => boolean;
}

/** Sets a figure, or takes it out of the document. */
function put<T extends object, K extends keyof T>(record: T, key: K, value: T[K] | undefined): void {
  if (value === undefined) delete record[key];
  else record[key] = value;
}

const back = "Back to the models";

export const MEASURED: Partial<Record<Question, MeasuredField[]>> = {
  time: [
    {
      label: "Own pace on the level",
      suffix: "km/h",
      min: 1,
      max: 10,
      digits: 1,
      take: "I measured my pace…",
      drop: back,
      get: (hiker) => hiker.pace.ownFlatKmh,
      set: (hiker, value) => {
        put(hiker.pace, "ownFlatKmh", value);
        hiker.schools.time = value === undefined ? "tobler" : "own-pace";
      },
      start: () => 4.2,
    },
    {
      label: "Own rate of climb",
      suffix: "m/h",
      min: 100,
      max: 2000,
      digits: 0,
      take: "And my rate of climb…",
      drop: "Forget it",
      get: (hiker) => hiker.pace.ownClimbMPerH,
      set: (hiker, value) => put(hiker.pace, "ownClimbMPerH", value),
      start: () => 500,
      when: (hiker) => hiker.pace.ownFlatKmh !== undefined,
    },
  ],
  effort: [
    {
      label: "Own need of a walking day",
      suffix: "kcal",
      min: 1000,
      max: 10_000,
      digits: 0,
      take: "I measured my kcal a day…",
      drop: back,
      get: (hiker) => hiker.food.measuredKcalPerDay,
      set: (hiker, value) => put(hiker.food, "measuredKcalPerDay", value),
      start: (figures) => figures("pandolf-santee")?.kcalPerDay ?? 3000,
    },
  ],
  water: [
    {
      label: "Own litres per walking hour",
      suffix: "L/h",
      min: 0,
      max: 2,
      digits: 2,
      take: "I measured my litres an hour…",
      drop: back,
      get: (hiker) => hiker.water.measuredLph,
      set: (hiker, value) => put(hiker.water, "measuredLph", value),
      start: (figures) => figures("heat-and-distance")?.litresPerHour ?? 0.4,
    },
  ],
  fuel: [
    {
      label: "Own grams per boil",
      suffix: "g",
      min: 0,
      max: 500,
      digits: 1,
      take: "I weighed my fuel per boil…",
      drop: back,
      get: (hiker) => hiker.stove.gramsPerBoil,
      set: (hiker, value) => put(hiker.stove, "gramsPerBoil", value),
      start: () => 10,
      when: (hiker) => hiker.stove.fuel !== "none",
    },
  ],
};

/** The measured figure that stands in for the schools of a question, in words. */
export function replacedBy(question: Question, hiker: Hiker): string | undefined {
  const { food, water, stove } = hiker;
  if ((question === "effort" || question === "resting") && food.measuredKcalPerDay !== undefined)
    return `your ${fixed(food.measuredKcalPerDay, 0)} kcal of a walking day replace effort and resting.`;
  if (question === "water" && water.measuredLph !== undefined)
    return `your ${fixed(water.measuredLph, 2)} L an hour replace the schools.`;
  if (question === "fuel" && stove.gramsPerBoil !== undefined)
    return `your ${fixed(stove.gramsPerBoil, 1)} g a boil replace the heat sums.`;
  return undefined;
}
