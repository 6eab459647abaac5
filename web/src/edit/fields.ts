/** Numbers of the document by their path, with bounds, unit and default as the schema says them. */
import { mostRows as mostRowsOf, numberField, type NumberField as Field } from "@gepack/core";
import type { QuantityKind } from "../units/quantity.ts";

/** How a number of the document is shown and typed. */
export interface Shown {
  min: number;
  max: number;
  kind: QuantityKind | undefined;
  suffix: string;
  digits: number;
  /** What is shown for one inside: 100 for fractions, which are shown in percent. */
  times: number;
  whole: boolean;
}

const KINDS: Record<string, QuantityKind> = {
  kg: "mass",
  g: "smallMass",
  L: "volume",
  C: "temperature",
  cm: "stature",
};
/** Digits after the point, by unit; none where it is not named. */
// prettier-ignore
const DIGITS: Record<string, number> = {
  h: 1, days: 1, clock: 1, "km/h": 1, "L/km": 3, "L/h": 2, "kcal/g": 2, "g/boil": 1, "kg/L": 2, K: 1, R: 1, Wh: 1, "m/s": 2, "m deep": 2, "": 1,
  "g/100 g": 1, "L/100 g": 2, "money/100 g": 2, "g/kg": 1, min: 0,
};
const SUFFIX: Record<string, string> = {
  fraction: "%",
  clock: "o’clock",
  R: "",
  "m deep": "m",
  "g/100 g": "g",
  "kcal/100 g": "kcal",
  "mg/100 g": "mg",
  "L/100 g": "L",
  "money/100 g": "",
};

const known = new Map<string, Shown>();

export function shownField(path: string): Shown {
  const found = known.get(path);
  if (found) return found;
  const shown = asShown(numberField(path));
  known.set(path, shown);
  return shown;
}

function asShown({ min, max, unit, isDistance, whole }: Field): Shown {
  const kind = unit === "m" ? (isDistance ? "distance" : "height") : KINDS[unit];
  const inPercent = unit === "fraction";
  const times = inPercent ? 100 : 1;
  return {
    min: min * times,
    max: max * times,
    kind,
    suffix: SUFFIX[unit] ?? unit,
    digits: whole ? 0 : inPercent ? (max <= 0.2 ? 1 : 0) : (DIGITS[unit] ?? 0),
    times,
    whole,
  };
}

const limits = new Map<string, number>();

/** So many rows a list of the document takes. */
export function mostRows(list: string): number {
  const most = limits.get(list) ?? mostRowsOf(list);
  limits.set(list, most);
  return most;
}

/** The record that holds the last key of a path, and that key. */
export function placeIn(record: object, path: string): [Record<string, unknown>, string] {
  const keys = path.split(".");
  const last = keys.pop()!;
  return [keys.reduce((inner, key) => inner[key] as Record<string, unknown>, record as Record<string, unknown>), last];
}
