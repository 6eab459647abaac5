/**
 * Foods out of a table with columns of anybody's: found by their heads, per 100 g, per serving or per pack; energy in
 * kilocalories or kilojoules; either decimal sign. Line by line: what does not read is said and left out.
 */
import { asThousands, isAmbiguous, numberBy } from "../units/decimals.ts";
import { pantryFoodSchema, type Food } from "../plan/pantrySchema.ts";
import { KG_PER_LB } from "../units/constants.ts";
import { onlyFirst, type Problem } from "../units/problem.ts";
import { findTable, skippedTotal, TOTAL, type Columns, type FoundTable, type Heads } from "./table.ts";

/** The first that fits a head names its column. */
const HEADS = [
  ["total", /total.*(kcal|calor|energ)|(kcal|calor|energ).*total/i],
  ["quantity", /qty|quantity|\bcount\b|how many|anzahl|stück|menge|quantité|cantidad|quantità|^#$|^x$/i],
  ["kJ", /\bkj\b|kilojoule/i],
  ["kcal", /kcal|calor|energ|brennwert|énerg|valeur énerg/i],
  // Water of its own is no water to cook with.
  ["water", /(cooking|boiling|soaking) water|kochwasser|eau de cuisson/i],
  ["minutes", /minutes|boiling|kochzeit|cuisson/i],
  ["soak", /soak/i],
  ["keeps", /keeps|haltbar/i],
  ["melts", /melts/i],
  ["bulk", /bulk|kg\/L|density/i],
  ["meal", /^meal|mahlzeit|repas|comida|pasto/i],
  ["eaten", /^eaten|zubereit/i],
  ["where", /bought in|sold at/i],
  ["serving", /serving|portion|porción|porzione|ration\b/i],
  ["pack", /\bpack|package|\bnet\b|weight|mass|\bgram|gewicht|poids|peso|packung|paquet|paquete|confezione/i],
  ["protein", /protein|eiwei|protéin|proteín/i],
  ["fibre", /fib(re|er)|ballast|fibra/i],
  ["carbohydrate", /carb|kohlenhydr|glucid|hidrat/i],
  ["fat", /\bfat\b|fett|lipid|grass|grasa|\bgras\b/i],
  ["sodium", /sodium|natrium|sodio/i],
  ["salt", /\bsalt\b|salz|\bsel\b|\bsal\b|\bsale\b/i],
  ["price", /price|cost|preis|prix|precio|prezzo/i],
  ["tags", /\btags?\b|allerg/i],
  ["source", /^source|quelle/i],
  ["name", /name|food|item|product|lebensmittel|produkt|aliment|produit|producto|prodotto|\bnom\b|nombre|\bnome\b/i],
] as const satisfies Heads<string>;
export type FoodColumn = (typeof HEADS)[number][0];
export const FOOD_COLUMNS: readonly FoodColumn[] = HEADS.map(([key]) => key);

/** What is one cell to one field, and not by mass: how its column is headed, and what becomes of the cell. */
const FIELDS: readonly (readonly [FoodColumn, head: string, keyof Food, kind: "number" | "text"])[] = [
  ["bulk", "bulk, kg/L", "bulkKgPerL", "number"],
  ["water", "cooking water, L per 100 g", "waterL", "number"],
  ["minutes", "minutes of boiling", "minutes", "number"],
  ["eaten", "eaten", "eaten", "text"],
  ["soak", "soaks, h", "soakH", "number"],
  ["keeps", "keeps, days", "keepsDays", "number"],
  ["melts", "melts from, °C", "meltsC", "number"],
  ["meal", "meal", "meal", "text"],
  ["where", "bought in", "boughtIn", "text"],
  ["source", "source", "source", "text"],
];

export type Basis = "per-100" | "per-serving" | "per-pack";

export interface FoodTable {
  foods: Food[];
  basis: Basis;
  heads: readonly string[];
  columns: Columns<FoodColumn>;
  problems: Problem[];
  /** A sign in it may part decimals or thousands, and nothing in the table tells which. */
  asksSign?: boolean;
}

const KJ_PER_KCAL = 4.184;
const G_PER_OZ = (1000 * KG_PER_LB) / 16;
/** Sodium is so much of salt, by atomic masses. */
const SODIUM_OF_SALT = 22.99 / 58.44;
const MOST_ROWS = 5000;
const MOST_PROBLEMS = 12;
const MOST_NOTES = 6;
/** Rows that are no food. */
const AVERAGE = /^(average|mean|durchschnitt|mittelwert|moyenne|media|promedio|per day|pro tag)\b/i;

/** What somebody knows better than the table says. */
export interface FoodTold {
  basis?: Basis | undefined;
  columns?: Columns<FoodColumn> | undefined;
  /** The comma is its decimal sign. */
  comma?: boolean | undefined;
}

/** `idOf` gives each food an id of its own. The basis is guessed from the heads where none is given. */
export function readFoodTable(
  rows: readonly (readonly string[])[],
  idOf: () => string,
  told: FoodTold = {},
): FoodTable {
  const isEnough = ({ name, kcal, kJ, total }: Columns<FoodColumn>): boolean =>
    name !== undefined && [kcal, kJ, total].some((column) => column !== undefined);
  const table = findTable<FoodColumn>(rows, HEADS, isEnough, told.columns);
  const { heads, columns, body } = table;
  const problems: Problem[] = [];
  const say = (place: string, sentence: string, severity: Problem["severity"] = "error"): void => {
    // Notes leave room for what was lost.
    const isNote = severity === "note";
    const said = problems.filter((one) => (one.severity === "note") === isNote).length;
    if (said < (isNote ? MOST_NOTES : MOST_PROBLEMS)) problems.push({ severity, place, sentence });
  };
  const basis = told.basis ?? basisOf(heads);
  const none = { foods: [], basis, heads, columns, problems };
  if (!isEnough(columns)) {
    say(
      "line 1",
      "A row must name the columns: one for the name and one for the energy (kcal or kJ). Optional: protein, fat, carbohydrate, fibre, sodium or salt, serving, pack, price, tags.",
    );
    return none;
  }
  const needs = basis === "per-serving" ? "serving" : basis === "per-pack" ? "pack" : undefined;
  if (needs && columns[needs] === undefined) {
    say("line 1", `Figures per ${needs} need a column with the ${needs}’s grams.`);
    return none;
  }
  const foods: Food[] = [];
  let asksSign = false;
  for (const { line, cells } of body.slice(0, MOST_ROWS)) {
    if (cells.every((cell) => cell.trim() === "")) continue;
    const name = (cells[columns.name!] ?? "").trim();
    if (TOTAL.test(name) || AVERAGE.test(name)) {
      say(`line ${line}`, skippedTotal(name.slice(0, 40)), "note");
      continue;
    }
    const found = readRow(cells, table, basis, told.comma);
    if (typeof found === "string") say(`line ${line}`, found);
    else {
      asksSign ||= found.asksSign;
      for (const note of found.notes) say(`line ${line}`, note, "note");
      foods.push(pantryFoodSchema.parse({ ...found.food, id: idOf() }));
    }
  }
  if (body.length > MOST_ROWS) say(`line ${MOST_ROWS + 2}`, onlyFirst(MOST_ROWS));
  return { foods, basis, heads, columns, problems, ...(asksSign ? { asksSign } : {}) };
}

function basisOf(heads: readonly string[]): Basis {
  const text = heads.join(" ");
  if (/100\s*g/i.test(text)) return "per-100";
  return /serving|portion|porción|porzione/i.test(text)
    ? "per-serving"
    : /(per|pro|par|por) (pack|packung|paquet)/i.test(text)
      ? "per-pack"
      : "per-100";
}

/** A sentence where the row does not read. */
function readRow(
  row: readonly string[],
  { heads, columns, commas }: FoundTable<FoodColumn>,
  basis: Basis,
  comma: boolean | undefined,
): { food: Partial<Food>; asksSign: boolean; notes: string[] } | string {
  const textOf = (key: FoodColumn): string => (columns[key] === undefined ? "" : (row[columns[key]] ?? "")).trim();
  const name = textOf("name");
  if (name === "") return "This row has no name.";
  const wrong: string[] = [];
  let asksSign = false;
  const read = (key: FoodColumn, cell: string): number | undefined => {
    if (cell === "") return undefined;
    let sign = comma ?? commas[columns[key]!];
    const digits = cell.replace(/[^\d.,+\-−]/g, "");
    if (sign === undefined && isAmbiguous(digits)) {
      asksSign = true;
      // No food has a kilojoule and a half.
      if (key === "kJ" || key === "kcal" || key === "total") sign = asThousands(digits);
    }
    const value = numberBy(digits, sign);
    if (value === undefined) wrong.push(`“${cell.slice(0, 30)}” in column ${key} isn’t a number.`);
    else if (value < 0) wrong.push(`${key} is ${value}; it can’t be negative.`);
    return value;
  };
  const number = (key: FoodColumn): number | undefined => read(key, textOf(key));
  /** `1 cup (240 g)`, `2 oz`, `40`; ounces where the head says so. */
  const grams = (key: "serving" | "pack"): number | undefined => {
    const cell = textOf(key);
    const [, weight, unit] = /([\d.,]+)\s*(g|gr|grams?|gramm|grammes?|ml|oz|ounces?)\b/i.exec(cell) ?? [];
    const value = read(key, weight ?? cell);
    const isOunces =
      /^o/i.test(unit ?? "") || (unit === undefined && /\boz\b|ounce/i.test(heads[columns[key] ?? -1] ?? ""));
    return value === undefined ? undefined : value * (isOunces ? G_PER_OZ : 1);
  };
  const [portionG, packG] = [grams("serving"), grams("pack")];
  const basisG = basis === "per-100" ? 100 : basis === "per-serving" ? portionG : packG;
  const [kJ, total] = [number("kJ"), number("total")];
  const count = numberBy(textOf("quantity").replace(/[^\d.,]/g, ""), comma);
  const kcal =
    number("kcal") ?? (kJ === undefined ? (total === undefined ? undefined : total / (count || 1)) : kJ / KJ_PER_KCAL);
  const figures = {
    energyKcal: kcal,
    proteinG: number("protein"),
    fatG: number("fat"),
    carbohydrateG: number("carbohydrate"),
    fibreG: number("fibre"),
    sodiumMg: sodiumMg(number("sodium"), number("salt")),
    price: number("price"),
  };
  const notes: string[] = [];
  // What is not of the food itself is no reason to leave it out.
  const besides = FIELDS.flatMap(([key, head, field, kind]) => {
    const text = textOf(key);
    if (text === "") return [];
    const sign = comma ?? commas[columns[key]!];
    const value = kind === "number" ? numberBy(text.replace(/[^\d.,+\-−]/g, ""), sign) : text.slice(0, 200);
    const one = pantryFoodSchema.shape[field as keyof typeof pantryFoodSchema.shape].safeParse(value);
    if (one.success && value !== undefined) return [[field, one.data] as const];
    notes.push(`${name}: “${text.slice(0, 30)}” can’t be read as “${head}”.`);
    return [];
  });
  if (wrong.length > 0) return `${name}: ${wrong.join(" ")}`;
  if (!basisG) return `${name}: figures per ${basis === "per-pack" ? "pack" : "serving"} need its weight in grams.`;
  if (kcal === undefined) return `${name}: its energy is missing.`;
  const per100 = Object.fromEntries(
    Object.entries(figures).flatMap(([key, value]) => (value === undefined ? [] : [[key, (100 * value) / basisG]])),
  );
  const tags = textOf("tags")
    .split(/[,;]/)
    .flatMap((tag) => tag.trim() || []);
  const food = pantryFoodSchema.omit({ id: true }).safeParse({
    name: name.slice(0, 200),
    ...per100,
    ...(portionG ? { portionG } : {}),
    ...(packG ? { packG } : {}),
    tags: tags.slice(0, 12).map((tag) => tag.slice(0, 60)),
    source: "imported table",
    ...Object.fromEntries(besides),
  });
  if (food.success) return { food: food.data, asksSign, notes };
  const [issue] = food.error.issues;
  return `${name}: ${String(issue!.path[0])} of 100 g cannot be that (${issue!.message.toLowerCase()}); is the table per 100 g, per serving or per pack?`;
}

/** Tables give sodium in milligrams, or in grams where it is small. */
function sodiumMg(sodium: number | undefined, saltG: number | undefined): number | undefined {
  if (sodium !== undefined) return sodium < 20 && !Number.isInteger(sodium) ? 1000 * sodium : sodium;
  return saltG === undefined ? undefined : 1000 * SODIUM_OF_SALT * saltG;
}

/** The same columns out, per 100 g, for a spreadsheet; the reader above reads all of it back. */
export function foodTableRows(foods: readonly Food[]): string[][] {
  const FIGURES = [
    ["kcal per 100 g", "energyKcal"],
    ["protein g", "proteinG"],
    ["fat g", "fatG"],
    ["carbohydrate g", "carbohydrateG"],
    ["fibre g", "fibreG"],
    ["sodium mg", "sodiumMg"],
    ["serving g", "portionG"],
    ["pack g", "packG"],
    ["price", "price"],
  ] as const;
  const text = (value: unknown): string => (value === undefined ? "" : String(value as string | number));
  return [
    ["name", ...FIGURES.map(([head]) => head), "tags", ...FIELDS.map(([, head]) => head)],
    ...foods.map((food) => [
      food.name,
      ...FIGURES.map(([, field]) => text(food[field])),
      food.tags.join(", "),
      ...FIELDS.map(([, , field]) => text(food[field])),
    ]),
  ];
}
