/**
 * Quantities at the edge of the interface: SI and field units inside, the hiker's units outside.
 * Typed text may carry any unit of its kind, also compound: `2 lb 3 oz`, `1.2kg`, `5 mi`, `30C`.
 */
import { KG_PER_LB, L_PER_US_GAL, M_PER_FT, M_PER_MI, readNumber, tidyNumbers, type Units } from "@gepack/core";

/** Inside unit of each kind: metres, metres, kilograms, grams, °C, litres, centimetres of a body. */
export type QuantityKind = UnitKind | "stature";
/** Those whose unit is chosen; a body’s height goes with the heights of the ground. */
export type UnitKind = "distance" | "height" | "mass" | "smallMass" | "temperature" | "volume";

interface Unit {
  symbol: string;
  /** Inside units in one of these. */
  size: number;
  names: readonly string[];
  digits: number;
}

const KILOGRAM: Unit[] = [
  { symbol: "kg", size: 1, names: ["kg", "kilo", "kilos"], digits: 1 },
  { symbol: "lb", size: KG_PER_LB, names: ["lb", "lbs", "pound", "pounds"], digits: 1 },
  { symbol: "g", size: 0.001, names: ["g", "gram", "grams"], digits: 0 },
  { symbol: "oz", size: KG_PER_LB / 16, names: ["oz", "ounce", "ounces"], digits: 1 },
  { symbol: "st", size: 14 * KG_PER_LB, names: ["st", "stone", "stones"], digits: 1 },
];
const METRE: Unit[] = [
  { symbol: "km", size: 1000, names: ["km"], digits: 1 },
  { symbol: "mi", size: M_PER_MI, names: ["mi", "mile", "miles"], digits: 1 },
  { symbol: "m", size: 1, names: ["m"], digits: 0 },
  { symbol: "ft", size: M_PER_FT, names: ["ft", "feet", "foot"], digits: 0 },
];
const LITRE: Unit[] = [
  { symbol: "L", size: 1, names: ["l", "litre", "litres", "liter", "liters"], digits: 1 },
  { symbol: "qt", size: L_PER_US_GAL / 4, names: ["qt", "quart", "quarts"], digits: 1 },
  { symbol: "ml", size: 0.001, names: ["ml"], digits: 0 },
  { symbol: "gal", size: L_PER_US_GAL, names: ["gal"], digits: 2 },
];

const CENTIMETRE: Unit[] = [
  { symbol: "cm", size: 1, names: ["cm"], digits: 0 },
  { symbol: "m", size: 100, names: ["m"], digits: 2 },
  { symbol: "ft", size: 100 * M_PER_FT, names: ["ft", "feet", "foot"], digits: 0 },
  { symbol: "in", size: (100 * M_PER_FT) / 12, names: ["in", "inch", "inches"], digits: 0 },
];
/** After so much of one unit a bare number is of the next smaller one: 5 ft 11, 11 st 4. */
const BELOW: Readonly<Record<string, string>> = { ft: "in", st: "lb", lb: "oz" };

const TABLES: Record<Exclude<QuantityKind, "temperature">, Unit[]> = {
  distance: METRE,
  height: METRE,
  mass: KILOGRAM,
  smallMass: KILOGRAM.map((unit) => ({ ...unit, size: unit.size * 1000 })),
  volume: LITRE,
  stature: CENTIMETRE,
};

function unitOf(kind: Exclude<QuantityKind, "temperature">, units: Units): Unit {
  const symbol = kind === "stature" ? (units.height === "ft" ? "in" : "cm") : units[kind];
  return TABLES[kind].find((unit) => unit.symbol === symbol)!;
}

export function unitSymbol(kind: QuantityKind, units: Units): string {
  return kind === "temperature" ? `°${units.temperature}` : unitOf(kind, units).symbol;
}

/** The number alone, in the hiker's unit. */
export function figure(kind: QuantityKind, value: number, units: Units, digits?: number): string {
  if (kind === "temperature") return fixed(units.temperature === "F" ? value * 1.8 + 32 : value, digits ?? 0);
  const unit = unitOf(kind, units);
  if (unit.symbol === "in") return feetAndInches(value / unit.size);
  return fixed(value / unit.size, digits ?? unit.digits);
}

function feetAndInches(inches: number): string {
  const whole = Math.round(inches);
  return `${Math.floor(whole / 12)} ft ${whole % 12}`;
}

/** Number and unit. */
export function quantity(kind: QuantityKind, value: number, units: Units, digits?: number): string {
  const text = figure(kind, value, units, digits);
  return kind === "temperature" ? `${text} ${unitSymbol(kind, units)}` : `${text} ${unitSymbol(kind, units)}`;
}

/** A formatter costs as much as hundreds of numbers: one for every count of digits. */
const formats = Array.from(
  { length: 7 },
  (_, digits) => new Intl.NumberFormat("en", { minimumFractionDigits: digits, maximumFractionDigits: digits }),
);

/** A number with thin grouping and a true minus sign; never "−0". */
export function fixed(value: number, digits: number): string {
  const text = formats[Math.min(digits, formats.length - 1)]!.format(Math.abs(value));
  return value < 0 && Number(text.replaceAll(",", "")) !== 0 ? `−${text}` : text;
}

/** A number as it is kept and written to files: rounded, not a text. */
export const rounded = (value: number, digits: number): number => Number(value.toFixed(digits));

/** A coordinate of a drawing, to a tenth of a pixel. */
export const toPx = (value: number): string => value.toFixed(1);

/** What was typed; `or` where it can be read in another way as well. */
export type Parsed = { value: number; or?: number } | { error: string };

function readings(values: readonly number[]): Parsed {
  const [value, or] = values;
  return { value: value!, ...(or === undefined ? {} : { or }) };
}

/** Reads typed text into the inside unit; a bare number is in the hiker's own unit. */
export function parseQuantity(kind: QuantityKind, text: string, units: Units): Parsed {
  const tidy = tidyNumbers(kind === "stature" ? text.replace(/''|["″”]/g, "in").replace(/['′’]/g, "ft") : text)
    .toLowerCase()
    .replaceAll("°", "");
  const allowed = kind === "temperature" ? "C, F" : TABLES[kind].map((unit) => unit.symbol).join(", ");
  const bad = {
    error: `“${text.trim().slice(0, 30)}” isn’t clear. Type a number, with a unit if you like: ${allowed}.`,
  };
  if (tidy === "") return { error: `Type a number, with a unit if you like: ${allowed}.` };
  if (kind === "temperature") {
    const [, number, scale] = /^([-+\d.,]+)\s*([cf]?)$/.exec(tidy) ?? [];
    const values = readNumber(number ?? "");
    if (values.length === 0) return bad;
    const inF = (scale || units.temperature.toLowerCase()) === "f";
    return readings(values.map((value) => (inF ? (value - 32) / 1.8 : value)));
  }
  const own = unitOf(kind, units);
  const parts = [...tidy.matchAll(/([-+]?[\d.,]+)\s*([a-z]*)\s*/g)];
  if (parts.length === 0 || parts.map((part) => part[0]).join("") !== tidy) return bad;
  let totals = [0];
  let before: Unit | undefined;
  for (const [, number, name] of parts) {
    const alone = parts.length === 1;
    const values = readNumber(number!);
    const implied = alone ? ownOf(kind, own, values[0] ?? 0) : before && BELOW[before.symbol];
    const unit =
      typeof implied === "object" && name === ""
        ? implied
        : TABLES[kind].find(({ names }) => names.includes(name === "" ? String(implied) : name!));
    before = unit;
    if (!unit || values.length === 0) return bad;
    totals = alone ? values.map((value) => value * unit.size) : [totals[0]! + values[0]! * unit.size];
  }
  return readings(totals);
}

/** Of a bare number: the hiker’s own unit, but nobody is 6 inches or 1.8 cm tall. */
function ownOf(kind: QuantityKind, own: Unit, value: number): Unit {
  if (kind !== "stature") return own;
  const of = (symbol: string): Unit => CENTIMETRE.find((unit) => unit.symbol === symbol)!;
  if (value < 3) return of("m");
  return value < 9 ? of("ft") : value < 100 ? of("in") : of("cm");
}

/** Reads a number that has one unit only, which may be typed along. */
export function parsePlain(text: string, suffix = ""): Parsed {
  const tidy = tidyNumbers(text);
  const number =
    suffix !== "" && tidy.toLowerCase().endsWith(suffix.toLowerCase()) ? tidy.slice(0, -suffix.length) : tidy;
  const values = readNumber(number.trim());
  return values.length > 0 ? readings(values) : { error: `“${text.trim().slice(0, 30)}” is not a number.` };
}

const MONTHS = [
  "January",
  "February",
  "March",
  "April",
  "May",
  "June",
  "July",
  "August",
  "September",
  "October",
  "November",
  "December",
];

/** `3 May` of an ISO date; `3 May 2028` where that is not the year one would think of. */
export function dayMonth(isoDate: string, ofYear?: string): string {
  const [year, month, day] = isoDate.split("-").map(Number);
  const words = `${day} ${(MONTHS[month! - 1] ?? "").slice(0, 3)}`;
  return ofYear === undefined || isoDate.startsWith(ofYear) ? words : `${words} ${year}`;
}

/** What a field says where more than one value may be meant. */
export const twoReadings = (text: string): string => `“${text.trim().slice(0, 30)}” can be read in two ways.`;

/** What a field allows, said alike in all of them: `Enter 1 to 12 h.` */
export function boundsWords(least: string, most: string, unit = ""): string {
  return `Enter ${least} to ${most}${unit === "" ? "" : ` ${unit}`}.`;
}
