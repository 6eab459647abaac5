/**
 * Kit as people type it: a line a piece, `2x bottle 1 L 38g`, `quilt 20F 680 g`, `poles (worn)`, `stove 73`, with headings
 * and totals among them. Nothing is dropped: what has no weight is kept with none, and told.
 */
import { guessGives } from "../cover/gives.ts";
import { guessRole, RATING, ratingsOf, type Ratings } from "../cover/roles.ts";
import { pieceSchema } from "../plan/kitSchema.ts";
import type { Piece } from "../plan/schema.ts";
import { MOST_NAME } from "../plan/visible.ts";
import { readNumber, tidyNumbers } from "../units/number.ts";
import { onlyFirst, type Problem } from "../units/problem.ts";
import { gramsOf, type KitTable, type NewPieces } from "./kitTable.ts";
import { skippedTotal, TOTAL } from "./table.ts";

/** What a line says of a piece. */
export interface KitLine {
  name: string;
  /** Undefined where it says none. */
  massG: number | undefined;
  quantity: number;
  wear: Piece["wear"];
  shared: boolean;
  atHome: boolean;
  price: number | undefined;
  ratings: Ratings;
}

const MASS = /(\d[\d.,]*)\s*(kilograms?|kg|grams?|gramm|gr|g|ounces?|oz|pounds?|lbs?)(?![\p{L}])/iu;
const MASSES = new RegExp(`${MASS.source}(?:\\s*,?\\s*${MASS.source})?`, "giu");
const OTHER_UNITS = /\d+(?:[.,]\d+)?\s*(?:mAh|Wh|W|V|mm|cm|m|in|lm|lumens?|%|h|d|days?)(?![\p{L}])/giu;
const PRICE = /(?:[$€£]\s*(\d[\d.,]*))|(?:(\d[\d.,]*)\s*(?:€|\$|£|eur|usd|gbp|chf|kr)(?![\p{L}]))/iu;
const FLAGS = {
  worn: /[([]?\b(?:worn|wearing|getragen|angezogen|porté|puesto|indossato|gedragen|vestido|bärs)\b[)\]]?/iu,
  consumable: /[([]?\b(?:consumables?|verbrauch|consommable|consumible)\b[)\]]?/iu,
  shared: /[([]?\b(?:shared|geteilt|gemeinsam|partagé|compartido|condiviso|gedeeld|delad)\b[)\]]?/iu,
  atHome: /[([]?\b(?:left at home|at home|stays home|zu ?hause|daheim|not taken)\b[)\]]?/iu,
} as const;
const COUNTS = [
  /^(\d{1,3})\s*[x×]\s*(?=\S)/iu,
  // `pegs 8 x 11`: so many of so much.
  /(?<![\d.,])(\d{1,2})\s*[x×]\s*(?=\d[\d.,]*\s*(?:kg|g|oz|lbs?)?\s*$)/iu,
  /[\s(][x×]\s?(\d{1,3})(?![\d.,\p{L}]|\s*(?:kg|g|oz|lb))\)?/iu,
  /(?<![\d.,])(\d{1,3})\s*(?:stk\.?|stück|pcs|pc|pieces)(?![\p{L}])/iu,
  /\((\d{1,2})\)/u,
] as const;
const BARE = /(?:^|[\s,;:=\t–-])(\d[\d.,]*)\s*$/u;

const numberOf = (text: string): number | undefined => readNumber(tidyNumbers(text))[0];

/** A line longer than this is no piece of kit any more. */
const MOST_LINE = 500;

/** `bareUnit` is what a number without a unit is in; a sentence where a weight is out of bounds. */
export function readKitLine(line: string, bareUnit = "g"): KitLine | string {
  let rest = line
    .slice(0, MOST_LINE)
    .trim()
    .replace(/^(?:[-*•–—·▪]|\d{1,2}[.)]|\[[ xX]?\])\s+/u, "")
    .replace(/https?:\/\/\S+/gu, "")
    .replace(/\t+/gu, " ");
  const take = (pattern: RegExp): RegExpExecArray | undefined => {
    const found = pattern.exec(rest);
    if (!found) return undefined;
    rest = `${rest.slice(0, found.index)} ${rest.slice(found.index + found[0].length)}`.trim();
    return found;
  };
  const flagged = (flag: keyof typeof FLAGS): boolean => take(FLAGS[flag]) !== undefined;
  const [worn, consumable, shared, atHome] = [
    flagged("worn"),
    flagged("consumable"),
    flagged("shared"),
    flagged("atHome"),
  ];
  const priced = take(PRICE);
  let counted: RegExpExecArray | undefined;
  for (const pattern of COUNTS) counted ??= take(pattern);
  const told = [...rest.matchAll(MASSES)].at(-1);
  let typed: string | undefined;
  if (told) {
    typed = told[0];
    rest = `${rest.slice(0, told.index)} ${rest.slice(told.index + typed.length)}`;
  } else {
    // Numbers that are something else, blanked at their place.
    const blank = (text: string, pattern: RegExp): string => text.replace(pattern, (found) => "_".repeat(found.length));
    let plain = blank(rest, OTHER_UNITS);
    for (const pattern of Object.values(RATING)) plain = blank(plain, pattern);
    const bare = BARE.exec(plain);
    if (bare) {
      typed = bare[1]!;
      rest = rest.slice(0, rest.length - bare[0].length);
    }
  }
  const massG = typed === undefined ? undefined : gramsOf(typed, "", bareUnit);
  if (typeof massG === "string") return massG;
  const name = rest.replace(/\s+/gu, " ").replace(/^[\s,;:|=()–-]+|[\s,;:|=(–-]+$/gu, "");
  const price = priced && numberOf(priced[1] ?? priced[2]!);
  return {
    name,
    massG,
    quantity: Math.min(200, Math.max(1, Number(counted?.[1] ?? 1))),
    wear: worn ? "worn" : consumable ? "consumable" : "packed",
    shared,
    atHome,
    price: price === undefined ? undefined : Math.min(100_000, price),
    ratings: ratingsOf(name),
  };
}

/** A piece of what a line says; on the shelf where it stays at home. */
export function pieceOfLine(line: KitLine, group: string, made: NewPieces): Piece {
  const { name, massG = 0, quantity, wear, shared, atHome, price, ratings } = line;
  const gives = guessGives(name);
  return pieceSchema.parse({
    id: made.idOf(),
    name: name.slice(0, MOST_NAME),
    group: group.slice(0, MOST_NAME) || "Other",
    massG,
    quantity,
    // Shoes that nobody says are packed are walked in.
    wear: ratings.role === "shoes" && wear === "packed" ? "worn" : wear,
    shared,
    ownerId: made.hikerId,
    carrierId: made.hikerId,
    ...(price === undefined ? {} : { price }),
    ...(gives.length > 0 ? { gives } : {}),
    ...ratings,
    spans: atHome ? [] : [{ fromStopId: made.fromStopId, toStopId: made.toStopId }],
  });
}

const MOST_LINES = 2000;
const MOST_PROBLEMS = 12;

/** A heading names what follows: with a colon or a mark, or in capitals. */
function headingOf(line: string): string | undefined {
  const text = line.slice(0, MOST_LINE).trim();
  const marked = /^(?:#+|==+)\s*(.+?)\s*=*$/u.exec(text)?.[1] ?? /^(.+?)\s*:$/u.exec(text)?.[1];
  if (marked !== undefined) return marked;
  return /\d/u.test(text) || text.length < 3 || text !== text.toUpperCase() || text === text.toLowerCase()
    ? undefined
    : text.charAt(0) + text.slice(1).toLowerCase();
}

/** A line of words above weighed ones, first of all or after a gap, is what they are called; a thing is a thing. */
function opensPart(lines: readonly string[], i: number): boolean {
  const [before = "", line, after = ""] = [lines[i - 1], lines[i]!, lines[i + 1]];
  if (/\d/u.test(line) || before.trim() !== "" || !/\d/u.test(after)) return false;
  return (
    guessRole(line) === undefined &&
    guessGives(line).length === 0 &&
    !Object.values(FLAGS).some((flag) => flag.test(line))
  );
}

/** A whole list; `rows` of a table that names no columns are such lines, too. */
export function readKitLines(text: string, made: NewPieces): KitTable {
  const problems: Problem[] = [];
  const say = (place: string, sentence: string, severity: Problem["severity"]): void => {
    if (problems.length < MOST_PROBLEMS) problems.push({ severity, place, sentence });
  };
  const lines = text.split(/\r\n?|\n/u);
  const bareUnit = usualUnit(text);
  const pieces: Piece[] = [];
  let group = "";
  for (const [i, line] of lines.slice(0, MOST_LINES).entries()) {
    const place = `line ${i + 1}`;
    if (!/[\p{L}\d]/u.test(line)) continue;
    const heading = headingOf(line) ?? (opensPart(lines, i) ? line.trim() : undefined);
    if (heading !== undefined) {
      group = heading;
      continue;
    }
    const read = readKitLine(line, bareUnit);
    if (typeof read === "string") {
      say(place, read, "error");
      continue;
    }
    if (TOTAL.test(read.name) || !/[\p{L}\p{N}]/u.test(read.name)) {
      say(place, skippedTotal(line.trim().slice(0, 40)), "note");
      continue;
    }
    if (read.massG === undefined)
      say(place, `“${read.name.slice(0, 40)}” has no weight; imported with 0. Weigh it.`, "caution");
    pieces.push(pieceOfLine(read, group, made));
  }
  if (lines.length > MOST_LINES) say(`line ${MOST_LINES + 1}`, onlyFirst(MOST_LINES), "error");
  return { heads: [], columns: {}, pieces, problems };
}

/** What most numbers with a unit are in is what the others are in; grams where nobody says. */
function usualUnit(text: string): string {
  const ounces = text.match(/\d\s*oz(?![\p{L}])/giu)?.length ?? 0;
  const grams = text.match(/\d\s*(?:g|gr|grams?|kg)(?![\p{L}])/giu)?.length ?? 0;
  return ounces > grams ? "oz" : "g";
}
