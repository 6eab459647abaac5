/**
 * Kit out of a table with columns of anybody's, found by their heads: grams, ounces, pounds or kilograms, in the head,
 * in a column of its own or beside the number; lines of totals are passed over, a line with a name alone is the group
 * of those after it. Line by line: what does not read is said and left out. And the kit into a table.
 */
import { asThousands, isAmbiguous, numberBy } from "../units/decimals.ts";
import { givesOf, guessGives } from "../cover/gives.ts";
import { ratingsOf } from "../cover/roles.ts";
import { KG_PER_LB } from "../units/constants.ts";
import { tidyNumbers } from "../units/number.ts";
import { onlyFirst, type Problem } from "../units/problem.ts";
import { pieceSchema } from "../plan/kitSchema.ts";
import { MOST_NAME } from "../plan/visible.ts";
import type { Hiker, Piece, Plan } from "../plan/schema.ts";
import { findTable, skippedTotal, TOTAL, type Columns, type Heads } from "./table.ts";

/** Each with what its head looks like; the first that fits a head names its column. */
const HEADS = [
  ["listed", /advertised|claimed|maker|listed|told|catalog|herstellerangabe/i],
  ["unit", /^(weight |mass )?units?$|^einheit$|^unité$|^unità$|^unidad$/i],
  ["pounds", /^(lbs?|pounds?)$/i],
  ["ounces", /^(oz|ounces?)$/i],
  [
    "total",
    /(total|gesamt|summe).*(weight|mass|gewicht|poids|peso|\bg\b|\bkg\b|\boz\b|\blbs?\b)|(weight|mass|gewicht|poids|peso).*(total|gesamt)|gesamtgewicht/i,
  ],
  ["loadLimit", /carries well|load limit/i],
  ["shared", /shared|gemeinsam|partagé|compartid|condivis/i],
  ["carrier", /carried by|carrier|getragen von/i],
  ["weighed", /^weighed|^measured|gewogen|pesé/i],
  ["perDay", /a day|per day/i],
  ["empty", /^empty/i],
  ["life", /lasts|life/i],
  ["walked", /^walked/i],
  ["nights", /nights before/i],
  ["bought", /bought|purchased|gekauft|kaufdatum/i],
  ["condition", /condition|zustand/i],
  ["travels", /^travels|by post and air/i],
  ["rides", /^rides|packed where/i],
  ["movable", /movable|may be moved/i],
  ["liked", /liked/i],
  ["shelf", /^shelf|at home|zu ?hause/i],
  ["limit", /\blimit/i],
  ["comfort", /comfort|komfort|confort/i],
  ["warmth", /adds in the bag|warmth/i],
  ["padR", /^r$|r.?value|r-wert/i],
  ["capacity", /capacity|holds|fassung/i],
  ["role", /serves as|^role$/i],
  ["gives", /covers|good for/i],
  [
    "quantity",
    /qty|quantity|\bcount\b|how many|pieces|anzahl|stück|menge|quantité|cantidad|quantità|aantal|antal|^ilość|^nombre$|^n$|^#$|^x$/i,
  ],
  ["status", /^status|^carry|^use$|^wo$|^where$|^packed$/i],
  ["worn", /^worn|getragen|porté|puesto|indossat/i],
  ["consumable", /consum|verbrauch|consomm/i],
  ["price", /price|cost|paid|preis|prix|precio|prezzo/i],
  ["notes", /^notes?$|remark|comment|description|bemerkung|notiz|remarque/i],
  ["owner", /owner|whose|belongs|hiker|besitzer/i],
  ["group", /group|category|categorie|catégorie|categoría|categoria|kategorie|type|section|gruppe/i],
  [
    "mass",
    /weight|\bwt\b|mass|gewicht|poids|peso|masse|\bvikt\b|\bwaga\b|\bg\b|\boz\b|\bgrams?\b|\bgramm\b|\bkg\b|\blbs?\b/i,
  ],
  ["volume", /litre|liter|volume|volumen/i],
  [
    "name",
    /name|item|piece|article|artikel|art[íi]culo|articolo|artigo|gear|kit|equipment|things?|what|gegenstand|ausrüstung|bezeichnung|objet|objeto|oggetto|material|utrustning|przedmiot/i,
  ],
] as const satisfies Heads<string>;
export type KitColumn = (typeof HEADS)[number][0];
export const KIT_COLUMNS: readonly KitColumn[] = HEADS.map(([key]) => key);

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
  columns: Columns<KitColumn>;
  pieces: Piece[];
  problems: Problem[];
  /** Its heads name what is needed. */
  isNamed?: boolean;
  /** A sign in it may part decimals or thousands, and nothing in the table tells which. */
  asksSign?: boolean;
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
const MOST_NOTES = 6;
const MOST_G = 50_000;
const YES = /^(y|yes|true|1|x|✓|✔|☑|ja|oui|sí|si|worn|consumable|shared|weighed)$/i;
/** What one cell says of how a piece is taken along. */
const STATUS: readonly (readonly [RegExp, Partial<Piece>])[] = [
  [/worn|wear|getragen|am körper|porté|puest|indossat/i, { wear: "worn" }],
  [/consum|verbrauch|consomm/i, { wear: "consumable" }],
  [/shared|gemeinsam|partag|compartid|condivis/i, { shared: true }],
  [/\bhome\b|shelf|left behind|zu ?hause|not taken|maison|\bcasa\b/i, { spans: [] }],
];

/** What has a column of its own and is one cell to one field: how it is written, and how it is read. */
const FIELDS: readonly (readonly [
  KitColumn,
  head: string,
  keyof Piece,
  kind: "number" | "km" | "text" | "words" | "yes",
])[] = [
  ["shared", "shared", "shared", "yes"],
  ["role", "serves as", "role", "text"],
  ["gives", "covers", "gives", "words"],
  ["capacity", "capacity, L", "capacityL", "number"],
  ["comfort", "comfort, °C", "comfortC", "number"],
  ["limit", "limit, °C", "limitC", "number"],
  ["padR", "R", "padR", "number"],
  ["warmth", "adds in the bag, K", "warmthK", "number"],
  ["price", "price", "price", "number"],
  ["weighed", "weighed", "measured", "yes"],
  ["perDay", "used a day, g", "perDayG", "number"],
  ["empty", "empty, g", "emptyG", "number"],
  ["life", "lasts, km", "meanLifeM", "km"],
  ["walked", "walked before, km", "wornM", "km"],
  ["nights", "nights before", "nightsBefore", "number"],
  ["loadLimit", "carries well, kg", "loadLimitKg", "number"],
  ["bought", "bought", "boughtOn", "text"],
  ["condition", "condition", "condition", "text"],
  ["travels", "travels", "travels", "text"],
  ["rides", "rides", "rides", "text"],
  ["movable", "movable", "movable", "yes"],
  ["liked", "liked, 1 to 5", "comfort", "number"],
  ["notes", "notes", "notes", "text"],
];

const WEIGHTS = ["mass", "pounds", "ounces", "total", "listed"] as const;

const hasNameAndMass = ({ name, mass, pounds, ounces, total }: Columns<KitColumn>): boolean =>
  name !== undefined && [mass, pounds, ounces, total].some((column) => column !== undefined);

/** `mapped` is where the columns are, and `comma` the decimal sign, for who knows better than the table says. */
export function readKitTable(
  rows: readonly (readonly string[])[],
  made: NewPieces,
  mapped?: Columns<KitColumn>,
  comma?: boolean,
): KitTable {
  const { heads, columns, body, commas } = findTable<KitColumn>(rows, HEADS, hasNameAndMass, mapped);
  const problems: Problem[] = [];
  const say = (place: string, sentence: string, severity: Problem["severity"] = "error"): void => {
    // Notes leave room for what was lost.
    const isNote = severity === "note";
    const said = problems.filter((one) => (one.severity === "note") === isNote).length;
    if (said < (isNote ? MOST_NOTES : MOST_PROBLEMS)) problems.push({ severity, place, sentence });
  };
  if (!hasNameAndMass(columns)) {
    say(
      "line 1",
      "A row must name the columns: one for the name and one for the weight. Optional: group, unit, quantity, worn, consumable, volume, owner.",
    );
    return { heads, columns, pieces: [], problems };
  }
  const signOf = (key: KitColumn): boolean | undefined => comma ?? commas[columns[key] ?? -1];
  const headUnitOf = (key: KitColumn): string | undefined =>
    Object.keys(GRAMS).find((unit) => new RegExp(`\\b${unit}\\b`, "i").test(heads[columns[key] ?? -1] ?? ""));
  const groupOf = (typed: string, place: string): string => {
    if (typed.length > MOST_NAME)
      say(place, `The group “${typed.slice(0, 20)}…” has ${typed.length} letters; it was cut to ${MOST_NAME}.`, "note");
    return typed.slice(0, MOST_NAME);
  };
  const isOfAll = [columns.mass, columns.pounds, columns.ounces].every((column) => column === undefined);
  const pieces: Piece[] = [];
  let group = "";
  let asksSign = false;
  for (const { line, cells } of body.slice(0, MOST_ROWS)) {
    const cell = (key: KitColumn): string => (columns[key] === undefined ? "" : (cells[columns[key]] ?? "")).trim();
    const number = (key: KitColumn): number | undefined => numberBy(cell(key).replace(/[^\d.,+\-−]/g, ""), signOf(key));
    const place = `line ${line}`;
    const typed = cell("name");
    // `2x bottle`: as many as that, where no column says.
    const [, times, rest] = /^(\d{1,3})\s*[x×]\s+(.+)$/.exec(typed) ?? [];
    const name = columns.quantity === undefined && rest !== undefined ? rest : typed;
    const count = columns.quantity === undefined && times !== undefined ? Number(times) : number("quantity");
    const quantity = count === undefined ? 1 : Math.min(200, Math.max(1, Math.round(count)));
    // Of one, as it was weighed; of all, where no column has that of one, or sums of groups would be items; or as listed.
    const own: KitColumn | undefined = WEIGHTS.find((key) => cell(key) !== "" && (key !== "total" || isOfAll));
    if (name === "" && own === undefined) continue;
    if (TOTAL.test(name) || (name === "" && own !== undefined)) {
      say(place, skippedTotal(name || cell(own!)), "note");
      continue;
    }
    if (own === undefined) {
      if (columns.group === undefined) group = name;
      else say(place, `“${name.slice(0, 40)}” has no weight.`);
      continue;
    }
    const weigh = (key: KitColumn, unit = headUnitOf(key)): number | string => {
      let sign = signOf(key);
      if (sign === undefined && isAmbiguous(cell(key))) {
        asksSign = true;
        // Nobody lists a gram and a quarter.
        if (/^(g|grams?|)$/i.test(cell("unit") || unit || "") && !/[a-z]/i.test(cell(key)))
          sign = asThousands(cell(key));
      }
      return gramsOf(cell(key), cell("unit"), unit, sign);
    };
    let grams = weigh(own, own === "pounds" ? "lb" : own === "ounces" ? "oz" : undefined);
    // Pounds and ounces of two columns are one mass.
    if (own === "pounds" && cell("ounces") !== "") {
      const ounces = weigh("ounces", "oz");
      grams = typeof grams === "string" ? grams : typeof ounces === "string" ? ounces : grams + ounces;
    }
    if (typeof grams === "string") {
      say(place, grams);
      continue;
    }
    if (own === "total") grams /= quantity;
    if (grams === 0) say(place, `“${name.slice(0, 40)}” has weight 0; imported anyway. Weigh it.`, "note");
    if (pieces.some((piece) => piece.name === name))
      say(place, `“${name.slice(0, 40)}” is already in the list; both were imported.`, "note");
    const listedG = own === "listed" || cell("listed") === "" ? undefined : weigh("listed");
    if (typeof listedG === "string") say(place, `Listed: ${listedG}`);
    const gives = guessGives(name);
    const hiker = (key: "owner" | "carrier", otherwise: string): string => {
      const called = cell(key);
      const id = called === "" ? otherwise : hikerNamed(called, made.hikers ?? []);
      if (id === undefined)
        say(
          place,
          `No hiker is called “${called.slice(0, 40)}”; “${name.slice(0, 40)}” goes to the selected hiker.`,
          "note",
        );
      return id ?? otherwise;
    };
    const ownerId = hiker("owner", made.hikerId);
    const said = STATUS.flatMap(([fits, fields]) => (fits.test(cell("status")) ? [fields] : []));
    pieces.push(
      pieceSchema.parse({
        id: made.idOf(),
        name: name.slice(0, MOST_NAME),
        group: groupOf((columns.group === undefined ? group : cell("group")) || "Other", place),
        massG: Math.min(MOST_G, grams),
        quantity,
        wear: YES.test(cell("worn")) ? "worn" : YES.test(cell("consumable")) ? "consumable" : "packed",
        volumeL: Math.min(150, Math.max(0, number("volume") ?? 0)),
        ownerId,
        carrierId: hiker("carrier", ownerId),
        ...(typeof listedG === "number" ? { listedG, measured: true } : {}),
        ...(gives.length > 0 ? { gives } : {}),
        ...ratingsOf(name),
        ...fieldsOf(cell, number, (sentence) => say(place, sentence, "note")),
        spans: YES.test(cell("shelf")) ? [] : [{ fromStopId: made.fromStopId, toStopId: made.toStopId }],
        ...Object.assign({}, ...said),
      }),
    );
  }
  if (body.length > MOST_ROWS) say(`line ${MOST_ROWS + 2}`, onlyFirst(MOST_ROWS));
  return { heads, columns, pieces, problems, isNamed: true, ...(asksSign ? { asksSign } : {}) };
}

/** What the columns of single fields say, as far as a field may be that; what it may not is said. */
function fieldsOf(
  cell: (key: KitColumn) => string,
  number: (key: KitColumn) => number | undefined,
  say: (sentence: string) => void,
): Partial<Piece> {
  const fields: Record<string, unknown> = {};
  for (const [key, head, field, kind] of FIELDS) {
    const text = cell(key);
    if (text === "") continue;
    const figure = kind === "number" ? number(key) : kind === "km" ? 1000 * (number(key) ?? NaN) : undefined;
    const value =
      kind === "yes"
        ? YES.test(text)
        : kind === "words"
          ? text.split(/[\s,;]+/)
          : kind === "text"
            ? text.slice(0, MOST_NOTE)
            : figure;
    const read = pieceSchema.shape[field as keyof typeof pieceSchema.shape].safeParse(value);
    if (read.success) fields[field] = read.data;
    else say(`“${text.slice(0, 30)}” can’t be read as “${head}”.`);
  }
  return fields as Partial<Piece>;
}

const MOST_NOTE = 2000;

function hikerNamed(typed: string, hikers: readonly Pick<Hiker, "id" | "name">[]): string | undefined {
  const wanted = typed.toLowerCase();
  const named = (name: string): boolean => name.toLowerCase() === wanted || name.toLowerCase().split(" ")[0] === wanted;
  return hikers.find(({ name }) => named(name))?.id;
}

/** The unit beside the number comes first, then that of the line, then the head's; grams where nobody says. */
export function gramsOf(cell: string, rowUnit: string, headUnit: string | undefined, comma?: boolean): number | string {
  const parts = [...tidyNumbers(cell).matchAll(/([-−+]?[\d.,]+)\s*([a-z]*)/giu)];
  if (parts.length === 0) return `“${cell.slice(0, 30)}” isn’t a weight.`;
  let grams = 0;
  for (const [, number, own] of parts) {
    const unit = (own || rowUnit || headUnit || "g").toLowerCase();
    const value = numberBy(number!, comma);
    const size = GRAMS[unit];
    if (size === undefined) return `“${unit.slice(0, 12)}” isn’t a weight unit. Use g, kg, oz or lb.`;
    if (value === undefined) return `“${cell.slice(0, 30)}” isn’t a weight.`;
    grams += value * size;
  }
  if (grams < 0 || grams > MOST_G) return `${cell.slice(0, 30)} isn’t between 0 and 50 kg.`;
  return grams;
}

/** With heads in the first row; the reader above reads all of it back. */
export function kitTableRows({ kit, hikers }: Pick<Plan, "kit" | "hikers">): (string | number)[][] {
  const nameOf = (hikerId: string): string => hikers.find(({ id }) => id === hikerId)?.name ?? "";
  const yes = (is: boolean): string => (is ? "yes" : "");
  const written = (piece: Piece, field: keyof Piece, kind: (typeof FIELDS)[number][3]): string | number => {
    const value = field === "gives" ? givesOf(piece) : piece[field];
    if (value === undefined) return "";
    if (kind === "yes") return value === true ? "yes" : field === "movable" ? "no" : "";
    return kind === "words"
      ? (value as string[]).join(" ")
      : kind === "km"
        ? Number(value) / 1000
        : (value as string | number);
  };
  return [
    [
      "name", "group", "weight, g", "listed weight, g", "quantity", "worn", "consumable", "volume, L", "owner", "carried by", "shelf",
      ...FIELDS.map(([, head]) => head),
    ], // prettier-ignore
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
      yes(piece.spans.length === 0),
      ...FIELDS.map(([, , field, kind]) => written(piece, field, kind)),
    ]),
  ];
}
