/**
 * What a waypoint is, from its own words: symbol, type, name, description. Whole words, longest first; the
 * name before the description, but a name that is only of a thing beside it (Elk Creek) gives way to a description of
 * food, post or beds. Names of one run of words are what their last word says (Spring Creek
 * Campground), in Romance languages what their first says (Refuge du Lac); what is joined by "with", a comma
 * or a stroke is both. Nothing known makes it *other*: never a stop by default.
 */
import { readRemarks, type Remarks } from "./remarks.ts";
import { unaccented } from "./unaccented.ts";
import {
  ENTRIES,
  JOINERS,
  NEGATIONS,
  ROMANCE,
  SEASONAL,
  UNKNOWN,
  type Meaning,
  type Offer,
  type WaypointKind,
} from "./words.ts";

export interface WaypointWords {
  name: string;
  description?: string;
  type?: string;
  symbol?: string;
}

export interface SortedKind extends Meaning {
  /** Not there all year. */
  seasonal?: true;
  unknown?: true;
  /** The word that decided, as the list has it; empty where none did. */
  word: string;
  /** 0 to 1. */
  sure: number;
  /** What its description says beyond its kind. */
  remarks: Remarks;
}

/** Names of towns end with these too. */
const BESIDE: ReadonlySet<WaypointKind> = new Set(["water", "ford", "landmark"]);

/** How far a word is believed, by where it stands. */
const SURE = { symbol: 0.95, type: 0.9, name: 0.9, description: 0.5 } as const;

/** Lower case without accents; what is no letter or figure parts words, and strong marks part runs of them. */
function plain(text: string): string {
  return unaccented(text)
    .replace(/[,;:/|+&()[\]–—.!?\n]|\s-\s/g, " | ")
    .replace(/[^\p{L}\p{N}|]+/gu, " ")
    .trim();
}

const list = (words: string): string[] => words.split(",").map((word) => plain(word.replace(/[~^]/, "")));

interface Term extends Meaning {
  word: string;
}

/** Meanings by their first word, the longest run first. */
class Lexicon {
  private readonly byFirst = new Map<string, Term[]>();
  private readonly endings: Term[] = [];
  /** These count only where a run starts with them. */
  private readonly atHead = new Set<Term>();

  constructor(entries: typeof ENTRIES) {
    for (const { words, ...meaning } of entries)
      for (const text of Object.values(words))
        for (const raw of text.split(",")) {
          const term = { ...meaning, word: plain(raw.replace(/[~^]/, "")) };
          if (raw.includes("^")) this.atHead.add(term);
          if (raw.includes("~")) this.endings.push(term);
          else this.add(term);
        }
    for (const terms of this.byFirst.values()) terms.sort((a, b) => b.word.length - a.word.length);
    this.endings.sort((a, b) => b.word.length - a.word.length);
  }

  private add(term: Term): void {
    const [first] = term.word.split(" ");
    const terms = this.byFirst.get(first!) ?? [];
    terms.push(term);
    this.byFirst.set(first!, terms);
  }

  /** Every meaning in a run of words, in order; no word counts twice. */
  find(words: readonly string[]): Term[] {
    const found: Term[] = [];
    for (let i = 0; i < words.length;) {
      const term =
        this.byFirst
          .get(words[i]!)
          ?.find((term) => (i === 0 || !this.atHead.has(term)) && startsAt(words, i, term.word)) ??
        this.endings.find(({ word }) => words[i]!.length > word.length + 1 && words[i]!.endsWith(word));
      if (term) found.push(term);
      i += term ? term.word.split(" ").length : 1;
    }
    return found;
  }
}

function startsAt(words: readonly string[], at: number, phrase: string): boolean {
  const wanted = phrase.split(" ");
  return wanted.every((word, k) => words[at + k] === word);
}

const lexicon = new Lexicon(ENTRIES);

/** A word that the hiker has added, before those of the list. */
export interface OwnWord {
  word: string;
  kind: WaypointKind;
}

let ownLexicon = { key: "", lexicon };

/** Made again only when the hiker's words change. */
function lexiconWith(own: readonly OwnWord[]): Lexicon {
  const usable = own.filter(({ word }) => plain(word) !== "");
  if (usable.length === 0) return lexicon;
  const key = JSON.stringify(usable);
  if (ownLexicon.key !== key) {
    const entries = usable.map(({ word, kind }) => ({ kind, words: { own: word.replaceAll(",", " ") } }));
    ownLexicon = { key, lexicon: new Lexicon([...entries, ...ENTRIES]) };
  }
  return ownLexicon.lexicon;
}

const joiners = new Set(list(JOINERS));
const romance = new Set(list(ROMANCE));
const negations = Object.entries(NEGATIONS).map(([kind, words]) => [kind as WaypointKind, list(words)] as const);
const seasonal = list(SEASONAL);
const unknown = list(UNKNOWN);

/** The runs of a text: between strong marks and joining words. */
function runsOf(text: string): string[][] {
  const runs: string[][] = [[]];
  for (const word of text.split(" ")) {
    if (word === "|" || joiners.has(word)) runs.push([]);
    else if (word !== "") runs.at(-1)!.push(word);
  }
  return runs.filter((run) => run.length > 0);
}

/** What each run is: its head. */
function heads(text: string, by: Lexicon): Term[] {
  return runsOf(text).flatMap((run) => {
    const found = by.find(run);
    if (found.length === 0) return [];
    return [run.some((word) => romance.has(word)) ? found[0]! : found.at(-1)!];
  });
}

const has = (text: string, phrase: string): boolean => ` ${text} `.includes(` ${phrase} `);

export function sortWaypoint(
  { name, description = "", type = "", symbol = "" }: WaypointWords,
  own: readonly OwnWord[] = [],
): SortedKind[] {
  const by = lexiconWith(own);
  const texts = { symbol: plain(symbol), type: plain(type), name: plain(name), description: plain(description) };
  const all = Object.values(texts).join(" | ");
  const isSaid = (phrases: readonly string[]): boolean => phrases.some((phrase) => has(all, phrase));
  const flow = isSaid(seasonal) ? { seasonal: true as const } : isSaid(unknown) ? { unknown: true as const } : {};
  // What is often dry is not dry.
  const firm = seasonal.reduce((text, phrase) => ` ${text} `.replaceAll(` ${phrase} `, " "), all);
  const denied = new Map(
    negations.flatMap(([kind, phrases]) => {
      const phrase = phrases.find((one) => has(firm, one));
      return phrase === undefined ? [] : [[kind, phrase] as const];
    }),
  );
  const remarks = readRemarks(description);
  const found = new Map<WaypointKind, SortedKind>();
  const take = (term: Meaning & { word: string }, sure: number): void => {
    if (denied.has(term.kind)) return;
    const before = found.get(term.kind);
    if (!before) return void found.set(term.kind, { ...term, sure, remarks });
    const offers = [...new Set([...(before.offers ?? []), ...(term.offers ?? [])])] as Offer[];
    if (offers.length > 0) before.offers = offers;
    // A plain "water" is given better by what follows.
    if (before.water === undefined && term.water !== undefined) before.water = term.water;
    // What was laid there ends, whatever else the symbol says.
    if (term.water === "cache") before.water = "cache";
  };
  // Said in so many words, as our own files do.
  if (texts.type === "stop") take({ kind: "stop", word: "stop" }, SURE.type);
  for (const field of ["symbol", "type"] as const) for (const term of heads(texts[field], by)) take(term, SURE[field]);
  const isMarked = found.size > 0;
  for (const term of heads(texts.name, by)) take(term, SURE.name);
  if (isStopBy(remarks) && (found.size === 0 || (!isMarked && [...found.keys()].every((kind) => BESIDE.has(kind))))) {
    found.clear();
    take({ kind: "stop", word: remarks.offers.join(", ") }, SURE.description);
  }
  // Beside a place that has its kind, a pass or a junction is only where it is.
  if (found.size > 1) found.delete("landmark");
  const known = found.size > 0;
  for (const term of heads(texts.description, by)) {
    if (known && term.kind !== "water") continue;
    take(term, SURE.description);
    if (!known) break;
  }
  if (found.size === 0) {
    const [word] = denied.values();
    return [{ kind: "other", word: word ?? "", sure: word === undefined ? 0 : SURE.name, remarks }];
  }
  const stop = found.get("stop");
  if (stop) withOffers(stop);
  return [...found.values()].map((one) => (one.kind === "water" ? { ...one, ...flow } : one));
}

const STOCKS: readonly Offer[] = ["shop-small", "shop-full", "post"];

/** Where food for the way on can be had, or food and a bed, one stops. */
const isStopBy = ({ offers }: Remarks): boolean =>
  offers.some((offer) => STOCKS.includes(offer)) || (offers.includes("meals") && offers.includes("bed"));

/** What its words promise, with what the description adds and takes away. */
function withOffers(stop: SortedKind): void {
  const { offers, without } = stop.remarks;
  const all = new Set([...(stop.offers ?? []), ...offers].filter((offer) => !without.includes(offer)));
  if (all.has("shop-full")) all.delete("shop-small");
  if (all.size > 0 || stop.offers) stop.offers = [...all];
}
