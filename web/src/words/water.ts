/** Words for water: what was seen, how it is treated, what is counted on. */
import type { ReportWord, Treatment } from "@gepack/core";

export const REPORT_WORDS: Readonly<Record<ReportWord, string>> = {
  flowing: "flowing",
  trickle: "trickling",
  dry: "dry",
};

export const METHOD_WORDS: Readonly<Record<Treatment["method"], string>> = {
  none: "untreated",
  filter: "filter",
  dioxide: "chlorine dioxide",
  chlorine: "chlorine",
  lamp: "UV light",
  boil: "boiling",
};

export const MURK_WORDS: Readonly<Record<Treatment["murk"], string>> = {
  clear: "clear",
  cloudy: "slightly cloudy",
  silty: "silty",
  glacial: "glacial",
};

export const TARGET_WORDS: Readonly<Record<Treatment["target"], string>> = {
  giardia: "bacteria, viruses, Giardia",
  cryptosporidium: "Cryptosporidium too",
};

/** What stands beside each way. */
export const METHOD_NOTES: Readonly<Record<Treatment["method"], string>> = {
  none: "Untreated water has made many hikers ill far from help.",
  filter: "Hollow-fibre filters don’t stop viruses: downstream of camps, huts and houses, also use drops or boil.",
  dioxide: "Follow the label, never use less; filter cloudy water first, or wait twice as long.",
  chlorine: "It doesn’t stop Cryptosporidium. Follow the label, never use less.",
  lamp: "Clear water only; it needs battery charge, and doesn’t treat the bottle’s threads.",
  boil: "Bring to a rolling boil. Its fuel isn’t in the plan unless the menu boils it.",
};

export const TRUST_WORDS = {
  reliable: "reliable sources",
  chance: "sources likely to flow",
  all: "all sources",
} as const;

export const PAST_WORDS = {
  share: "past doubtful ones, by their chance",
  none: "only to the next source",
  one: "past one that may be dry",
  chance: "until one that’s almost never dry",
} as const;
