/** The figures that a hiker may measure: where each lives, what it replaces, what it starts with. */
import type { Hiker, Question, SchoolFigures } from "@gepack/core";
import { placeIn } from "../../edit/fields.ts";
import { fixed } from "../../units/quantity.ts";

export interface MeasuredField {
  /** Within the hiker. */
  path: string;
  label: string;
  /** What the buttons say. */
  take: string;
  drop: string;
  /** What it starts with: what the plan says so far, where that is known. */
  start: (figures: (id: string) => SchoolFigures | undefined) => number;
  /** The school that uses it, and the one that comes back when it goes. */
  school?: { question: "time"; withIt: string; without: string };
  /** Asked for only then. */
  when?: (hiker: Hiker) => boolean;
}

const back = "Use the models again";

export const MEASURED: Partial<Record<Question, MeasuredField[]>> = {
  time: [
    {
      path: "pace.ownFlatKmh",
      label: "Your pace on the level",
      take: "Enter my measured pace…",
      drop: back,
      start: () => 4.2,
      school: { question: "time", withIt: "own-pace", without: "tobler" },
    },
    {
      path: "pace.ownClimbMPerH",
      label: "Your rate of climb",
      take: "Enter my measured rate of climb…",
      drop: "Remove",
      start: () => 500,
      when: (hiker) => hiker.pace.ownFlatKmh !== undefined,
    },
  ],
  effort: [
    {
      path: "food.measuredKcalPerDay",
      label: "Your kcal on a walking day",
      take: "Enter my measured kcal a day…",
      drop: back,
      start: (figures) => figures("pandolf-santee")?.kcalPerDay ?? 3000,
    },
  ],
  water: [
    {
      path: "water.measuredLph",
      label: "Your litres per walking hour",
      take: "Enter my measured litres per hour…",
      drop: back,
      start: (figures) => figures("heat-and-distance")?.litresPerHour ?? 0.4,
    },
  ],
  fuel: [
    {
      path: "stove.gramsPerBoil",
      label: "Your grams per boil",
      take: "Enter my measured fuel per boil…",
      drop: back,
      start: () => 10,
      when: (hiker) => hiker.stove.fuel !== "none",
    },
  ],
};

export function measuredValue(hiker: Hiker, { path }: MeasuredField): number | undefined {
  const [record, key] = placeIn(hiker, path);
  return record[key] as number | undefined;
}

/** Sets a figure, or takes it out of the document. */
export function setMeasured(hiker: Hiker, { path, school }: MeasuredField, value: number | undefined): void {
  const [record, key] = placeIn(hiker, path);
  if (value === undefined) delete record[key];
  else record[key] = value;
  if (school) hiker.schools[school.question] = value === undefined ? school.without : school.withIt;
}

/** The measured figure that replaces the schools of a question, in words. */
export function replacedBy(question: Question, hiker: Hiker): string | undefined {
  const { food, water, stove } = hiker;
  if ((question === "effort" || question === "resting") && food.measuredKcalPerDay !== undefined)
    return `your ${fixed(food.measuredKcalPerDay, 0)} kcal per walking day replace the effort and resting models.`;
  if (question === "water" && water.measuredLph !== undefined)
    return `your ${fixed(water.measuredLph, 2)} L per hour replace the models.`;
  if (question === "fuel" && stove.gramsPerBoil !== undefined)
    return `your ${fixed(stove.gramsPerBoil, 1)} g per boil replace the heat calculation.`;
  return undefined;
}
