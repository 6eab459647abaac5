/**
 * Foods out of a table with columns of anybody's: found by their heads, per 100 g, per serving or per pack; energy in
 * kilocalories or kilojoules; either decimal sign. Line by line: what does not read is said and left out.
 */
import { pantryFoodSchema, type Food } from "../plan/pantrySchema.ts";
import { readNumber, tidyNumbers } from "../units/number.ts";
import { onlyFirst, type Problem } from "../units/problem.ts";

type Key =
  | "name"
  | "kcal"
  | "kJ"
  | "protein"
  | "fat"
  | "carbohydrate"
  | "fibre"
  | "sodium"
  | "salt"
  | "price"
  | "serving"
  | "pack"
  | "tags";

/** The first that fits a head names its column. */
const HEADS: readonly (readonly [Key, RegExp])[] = [
  ["kJ", /\bkj\b|kilojoule/i],
  ["kcal", /kcal|calor|energ|brennwert/i],
  ["serving", /serving|portion/i],
  ["pack", /\bpack|package|\bnet\b|weight|mass|\bgram|gewicht/i],
  ["protein", /protein|eiwei/i],
  ["fibre", /fib(re|er)|ballast/i],
  ["carbohydrate", /carb|kohlenhydr|glucid/i],
  ["fat", /\bfat\b|fett|lipid|gras/i],
  ["sodium", /sodium|natrium/i],
  ["salt", /\bsalt\b|salz|\bsel\b/i],
  ["price", /price|cost|preis|prix/i],
  ["tags", /\btags?\b|allerg/i],
  ["name", /name|food|item|product|lebensmittel/i],
];

export type Basis = "per-100" | "per-serving" | "per-pack";

export interface FoodTable {
  foods: Food[];
  basis: Basis;
  problems: Problem[];
}

const KJ_PER_KCAL = 4.184;
/** Sodium is so much of salt, by atomic masses. */
const SODIUM_OF_SALT = 22.99 / 58.44;
const MOST_ROWS = 5000;
const MOST_PROBLEMS = 12;

/** `idOf` gives each food an id of its own. The basis is guessed from the heads where none is given. */
export function readFoodTable(rows: readonly (readonly string[])[], idOf: () => string, given?: Basis): FoodTable {
  const [heads, ...body] = rows;
  const problems: Problem[] = [];
  const say = (place: string, sentence: string): void => {
    if (problems.length < MOST_PROBLEMS) problems.push({ severity: "error", place, sentence });
  };
  const columns = columnsOf(heads ?? []);
  const basis = given ?? basisOf(heads ?? []);
  const none = { foods: [], basis, problems };
  if (columns.name === undefined || (columns.kcal === undefined && columns.kJ === undefined)) {
    say(
      "line 1",
      "The first row must name the columns: one for the name and one for the energy (kcal or kJ). Optional: protein, fat, carbohydrate, fibre, sodium or salt, serving, pack, price, tags.",
    );
    return none;
  }
  const needs = basis === "per-serving" ? "serving" : basis === "per-pack" ? "pack" : undefined;
  if (needs && columns[needs] === undefined) {
    say("line 1", `Figures per ${needs} need a column with the ${needs}’s grams.`);
    return none;
  }
  const foods: Food[] = [];
  for (const [i, row] of body.slice(0, MOST_ROWS).entries()) {
    if (row.every((cell) => cell.trim() === "")) continue;
    const found = readRow(row, columns, basis);
    if (typeof found === "string") say(`line ${i + 2}`, found);
    else foods.push(pantryFoodSchema.parse({ ...found, id: idOf() }));
  }
  if (body.length > MOST_ROWS) say(`line ${MOST_ROWS + 2}`, onlyFirst(MOST_ROWS));
  return { foods, basis, problems };
}

type Columns = Partial<Record<Key, number>>;

function columnsOf(heads: readonly string[]): Columns {
  const columns: Columns = {};
  for (const [i, head] of heads.entries()) {
    const key = HEADS.find(([, words]) => words.test(head))?.[0];
    if (key && columns[key] === undefined) columns[key] = i;
  }
  return columns;
}

function basisOf(heads: readonly string[]): Basis {
  const text = heads.join(" ");
  if (/100\s*g/i.test(text)) return "per-100";
  return /per\s+(serving|portion)|serving|portion/i.test(text)
    ? "per-serving"
    : /per\s+pack/i.test(text)
      ? "per-pack"
      : "per-100";
}

/** A sentence where the row does not read. */
function readRow(row: readonly string[], columns: Columns, basis: Basis): Partial<Food> | string {
  const name = (row[columns.name!] ?? "").trim();
  if (name === "") return "This row has no name.";
  const wrong: string[] = [];
  const number = (key: Key): number | undefined => {
    const cell = (columns[key] === undefined ? "" : (row[columns[key]] ?? "")).trim();
    if (cell === "") return undefined;
    const [value] = readNumber(tidyNumbers(cell.replace(/[^\d.,+\-−]/g, "")));
    if (value === undefined) wrong.push(`“${cell.slice(0, 30)}” in column ${key} isn’t a number.`);
    else if (value < 0) wrong.push(`${key} is ${value}; it can’t be negative.`);
    return value;
  };
  const grams = basis === "per-100" ? 100 : number(basis === "per-serving" ? "serving" : "pack");
  const kJ = number("kJ");
  const kcal = number("kcal") ?? (kJ === undefined ? undefined : kJ / KJ_PER_KCAL);
  const portionG = number("serving");
  const packG = number("pack");
  const salt = number("salt");
  const figures = {
    energyKcal: kcal,
    proteinG: number("protein"),
    fatG: number("fat"),
    carbohydrateG: number("carbohydrate"),
    fibreG: number("fibre"),
    sodiumMg: sodiumMg(number("sodium"), salt),
    price: number("price"),
  };
  if (wrong.length > 0) return `${name}: ${wrong.join(" ")}`;
  if (!grams) return `${name}: figures per ${basis === "per-pack" ? "pack" : "serving"} need its weight in grams.`;
  if (kcal === undefined) return `${name}: its energy is missing.`;
  const per100 = Object.fromEntries(
    Object.entries(figures).flatMap(([key, value]) => (value === undefined ? [] : [[key, (100 * value) / grams]])),
  );
  const tags = (columns.tags === undefined ? "" : (row[columns.tags] ?? ""))
    .split(/[,;]/)
    .flatMap((tag) => tag.trim() || []);
  const read = pantryFoodSchema.omit({ id: true }).safeParse({
    name: name.slice(0, 200),
    ...per100,
    ...(portionG ? { portionG } : {}),
    ...(packG ? { packG } : {}),
    tags: tags.slice(0, 12).map((tag) => tag.slice(0, 60)),
    source: "imported table",
  });
  if (read.success) return read.data;
  const [issue] = read.error.issues;
  return `${name}: ${String(issue!.path[0])} of 100 g cannot be that (${issue!.message.toLowerCase()}); is the table per 100 g, per serving or per pack?`;
}

/** Tables give sodium in milligrams, or in grams where it is small. */
function sodiumMg(sodium: number | undefined, saltG: number | undefined): number | undefined {
  if (sodium !== undefined) return sodium < 20 && !Number.isInteger(sodium) ? 1000 * sodium : sodium;
  return saltG === undefined ? undefined : 1000 * SODIUM_OF_SALT * saltG;
}

/** The same columns out, per 100 g, for a spreadsheet. */
export function foodTableRows(foods: readonly Food[]): string[][] {
  const heads = [
    "name",
    "kcal per 100 g",
    "protein g",
    "fat g",
    "carbohydrate g",
    "fibre g",
    "sodium mg",
    "serving g",
    "pack g",
    "price",
    "tags",
  ];
  return [
    heads,
    ...foods.map((food) => [
      food.name,
      ...[food.energyKcal, food.proteinG, food.fatG, food.carbohydrateG, food.fibreG, food.sodiumMg, food.portionG].map(
        String,
      ),
      food.packG === undefined ? "" : String(food.packG),
      String(food.price),
      food.tags.join(", "),
    ]),
  ];
}
