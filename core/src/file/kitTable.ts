/**
 * Kit out of a table with columns of anybody's, found by their heads: grams, ounces, pounds or kilograms, in the head,
 * in a column of its own or beside the number; lines of totals are passed over, a line with a name alone is the group
 * of those after it. Line by line: what does not read is said and left out. And the kit into a table.
 */
import { givesOf, guessGives } from "../cover/gives.ts";
import { ratingsOf } from "../cover/roles.ts";
import { KG_PER_LB } from "../units/constants.ts";
import { readNumber, tidyNumbers } from "../units/number.ts";
import { onlyFirst, type Problem } from "../units/problem.ts";
import { pieceSchema } from "../plan/kitSchema.ts";
import { MOST_NAME } from "../plan/visible.ts";
import type { Hiker, Piece, Plan } from "../plan/schema.ts";

export const KIT_COLUMNS = [
  "name", "group", "mass", "told", "unit", "quantity", "worn", "consumable", "volume", "price", "owner", "notes",
] as const; // prettier-ignore
export type KitColumn = (typeof KIT_COLUMNS)[number];

/** The first that fits a head names its column. */
const HEADS: readonly (readonly [KitColumn, RegExp])[] = [
  ["unit", /^units?$|^einheit$/i],
  ["quantity", /qty|quantity|count|how many|pieces|anzahl|^n$|^#$/i],
  ["worn", /^worn/i],
  ["consumable", /consum/i],
  ["price", /price|cost|paid|preis|prix/i],
  ["notes", /^notes?$|remark|comment|description/i],
  ["owner", /owner|whose|belongs|hiker|besitzer/i],
  ["told", /advertised|claimed|maker|listed|told|catalog/i],
  ["group", /group|category|categorie|type|section|gruppe/i],
  ["mass", /weight|mass|gewicht|poids|peso|\bg\b|\boz\b|\bgrams?\b|\bkg\b|\blbs?\b/i],
  ["volume", /litre|liter|volume/i],
  ["name", /name|item|piece|article|gear|what|gegenstand/i],
];

const GRAMS: Readonly<Record<string, number>> = {
  g: 1,
  gram: 1,
  grams: 1,
  kg: 1000,
  oz: (KG_PER_LB * 1000) / 16,
  ounce: (KG_PER_LB * 1000) / 16,
  ounces: (KG_PER_LB * 1000) / 16,
  lb: KG_PER_LB * 1000,
  lbs: KG_PER_LB * 1000,
  pound: KG_PER_LB * 1000,
  pounds: KG_PER_LB * 1000,
};

export interface KitTable {
  /** The first line, and which column was read as what. */
  heads: readonly string[];
  columns: Partial<Record<KitColumn, number>>;
  pieces: Piece[];
  problems: Problem[];
}

/** Whose it is, and where it is carried until somebody says otherwise. */
export interface NewPieces {
  idOf: () => string;
  hikerId: string;
  /** Who else a column may name; a first name is enough. */
  hikers?: readonly Pick<Hiker, "id" | "name">[];
  fromStopId: string;
  toStopId: string;
}

const MOST_ROWS = 2000;
const MOST_PROBLEMS = 12;
const MOST_G = 50_000;
export const TOTAL = /^(grand |sub)?-?\s*(total|sum|summe|base ?weight|skin.?out|pack weight)\b/i;
export const skippedTotal = (text: string): string => `“${text}” looks like a total and was skipped.`;
const YES = /^(y|yes|true|1|x|✓|worn|consumable|ja)$/i;

/** `mapped` is where the columns are, for who knows better than their heads. */
export function readKitTable(
  rows: readonly (readonly string[])[],
  made: NewPieces,
  mapped?: Partial<Record<KitColumn, number>>,
): KitTable {
  const [heads = [], ...body] = rows;
  const problems: Problem[] = [];
  const say = (place: string, sentence: string, severity: Problem["severity"] = "error"): void => {
    if (problems.length < MOST_PROBLEMS) problems.push({ severity, place, sentence });
  };
  const columns = mapped ?? columnsOf(heads);
  if (columns.name === undefined || columns.mass === undefined) {
    say(
      "line 1",
      "The first row must name the columns: one for the name and one for the weight. Optional: group, unit, quantity, worn, consumable, volume, owner.",
    );
    return { heads, columns, pieces: [], problems };
  }
  const headUnitOf = (key: "mass" | "told"): string | undefined =>
    Object.keys(GRAMS).find((unit) => new RegExp(`\\b${unit}\\b`, "i").test(heads[columns[key] ?? -1] ?? ""));
  const [massUnit, listedUnit] = [headUnitOf("mass"), headUnitOf("told")];
  const groupOf = (typed: string, place: string): string => {
    if (typed.length > MOST_NAME)
      say(place, `The group “${typed.slice(0, 20)}…” has ${typed.length} letters; it was cut to ${MOST_NAME}.`, "note");
    return typed.slice(0, MOST_NAME);
  };
  const pieces: Piece[] = [];
  let group = "";
  for (const [i, row] of body.slice(0, MOST_ROWS).entries()) {
    const cell = (key: KitColumn): string => (columns[key] === undefined ? "" : (row[columns[key]] ?? "")).trim();
    const name = cell("name");
    const typed = cell("told");
    // What was never weighed weighs what is given of it.
    const isWeighed = cell("mass") !== "";
    const mass = isWeighed ? cell("mass") : typed;
    const place = `line ${i + 2}`;
    if (name === "" && mass === "") continue;
    if (TOTAL.test(name) || (name === "" && mass !== "")) {
      say(place, skippedTotal(name || mass), "note");
      continue;
    }
    if (mass === "") {
      if (columns.group === undefined) group = name;
      else say(place, `“${name.slice(0, 40)}” has no weight.`);
      continue;
    }
    const grams = gramsOf(mass, cell("unit"), isWeighed ? massUnit : listedUnit);
    if (typeof grams === "string") {
      say(place, grams);
      continue;
    }
    if (grams === 0) say(place, `“${name.slice(0, 40)}” has weight 0; imported anyway. Weigh it.`, "note");
    if (pieces.some((piece) => piece.name === name))
      say(place, `“${name.slice(0, 40)}” is already in the list; both were imported.`, "note");
    const [count] = readNumber(tidyNumbers(cell("quantity")));
    const [volumeL] = readNumber(tidyNumbers(cell("volume").replace(/[^\d.,]/g, "")));
    const [price] = readNumber(tidyNumbers(cell("price").replace(/[^\d.,]/g, "")));
    const listedG = !isWeighed || typed === "" ? undefined : gramsOf(typed, cell("unit"), listedUnit);
    if (typeof listedG === "string") say(place, `Listed: ${listedG}`);
    const gives = guessGives(name);
    const owner = cell("owner");
    const ownerId = owner === "" ? made.hikerId : hikerNamed(owner, made.hikers ?? []);
    if (ownerId === undefined)
      say(
        place,
        `No hiker is called “${owner.slice(0, 40)}”; “${name.slice(0, 40)}” goes to the selected hiker.`,
        "note",
      );
    pieces.push(
      pieceSchema.parse({
        id: made.idOf(),
        name: name.slice(0, MOST_NAME),
        group: groupOf((columns.group === undefined ? group : cell("group")) || "Other", place),
        massG: grams,
        quantity: count === undefined ? 1 : Math.min(200, Math.max(1, Math.round(count))),
        wear: YES.test(cell("worn")) ? "worn" : YES.test(cell("consumable")) ? "consumable" : "packed",
        volumeL: volumeL === undefined ? 0 : Math.min(150, Math.max(0, volumeL)),
        ownerId: ownerId ?? made.hikerId,
        carrierId: ownerId ?? made.hikerId,
        ...(price === undefined ? {} : { price: Math.min(100_000, Math.max(0, price)) }),
        ...(typeof listedG === "number" ? { listedG, measured: true } : {}),
        ...(cell("notes") === "" ? {} : { notes: cell("notes").slice(0, 2000) }),
        ...(gives.length > 0 ? { gives } : {}),
        ...ratingsOf(name),
        spans: [{ fromStopId: made.fromStopId, toStopId: made.toStopId }],
      }),
    );
  }
  if (body.length > MOST_ROWS) say(`line ${MOST_ROWS + 2}`, onlyFirst(MOST_ROWS));
  return { heads, columns, pieces, problems };
}

function hikerNamed(typed: string, hikers: readonly Pick<Hiker, "id" | "name">[]): string | undefined {
  const wanted = typed.toLowerCase();
  const named = (name: string): boolean => name.toLowerCase() === wanted || name.toLowerCase().split(" ")[0] === wanted;
  return hikers.find(({ name }) => named(name))?.id;
}

function columnsOf(heads: readonly string[]): Partial<Record<KitColumn, number>> {
  const columns: Partial<Record<KitColumn, number>> = {};
  for (const [i, head] of heads.entries()) {
    const key = HEADS.find(([, words]) => words.test(head.trim()))?.[0];
    if (key && columns[key] === undefined) columns[key] = i;
  }
  return columns;
}

/** The unit beside the number comes first, then that of the line, then the head's; grams where nobody says. */
export function gramsOf(cell: string, rowUnit: string, headUnit: string | undefined): number | string {
  const parts = [...tidyNumbers(cell).matchAll(/([-−+]?[\d.,]+)\s*([a-z]*)/giu)];
  if (parts.length === 0) return `“${cell.slice(0, 30)}” isn’t a weight.`;
  let grams = 0;
  for (const [, number, own] of parts) {
    const unit = (own || rowUnit || headUnit || "g").toLowerCase();
    const [value] = readNumber(number!);
    const size = GRAMS[unit];
    if (size === undefined) return `“${unit.slice(0, 12)}” isn’t a weight unit. Use g, kg, oz or lb.`;
    if (value === undefined) return `“${cell.slice(0, 30)}” isn’t a weight.`;
    grams += value * size;
  }
  if (grams < 0 || grams > MOST_G) return `${cell.slice(0, 30)} isn’t between 0 and 50 kg.`;
  return grams;
}

/** With heads in the first row; what the reader above understands among it. */
export function kitTableRows({ kit, hikers }: Pick<Plan, "kit" | "hikers">): (string | number)[][] {
  const nameOf = (hikerId: string): string => hikers.find(({ id }) => id === hikerId)?.name ?? "";
  const heads = [
    "name", "group", "weight, g", "listed weight, g", "quantity", "worn", "consumable", "volume, L", "owner", "carried by", "shared", "serves as",
    "covers", "capacity, L", "comfort, °C", "limit, °C", "R", "adds in the bag, K", "price", "notes",
  ]; // prettier-ignore
  const yes = (is: boolean): string => (is ? "yes" : "");
  return [
    heads,
    ...kit.map((piece) => [
      piece.name,
      piece.group,
      piece.massG,
      piece.listedG ?? "",
      piece.quantity,
      yes(piece.wear === "worn"),
      yes(piece.wear === "consumable"),
      piece.volumeL,
      nameOf(piece.ownerId),
      nameOf(piece.carrierId),
      yes(piece.shared),
      piece.role ?? "",
      givesOf(piece).join(" "),
      piece.capacityL ?? "",
      piece.comfortC ?? "",
      piece.limitC ?? "",
      piece.padR ?? "",
      piece.warmthK ?? "",
      piece.price ?? "",
      piece.notes ?? "",
    ]),
  ];
}
