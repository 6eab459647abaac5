/** Words for water: what was seen, how it is treated, what is counted on. */
import type { ReportWord, Treatment } from "@gepack/core";

export const REPORT_WORDS: Readonly<Record<ReportWord, string>> = {
  flowing: "flowing",
  trickle: "a trickle",
  dry: "dry",
};

export const WAY_WORDS: Readonly<Record<Treatment["way"], string>> = {
  none: "nothing",
  filter: "filter",
  dioxide: "chlorine dioxide",
  chlorine: "chlorine",
  lamp: "lamp",
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
export const WAY_NOTES: Readonly<Record<Treatment["way"], string>> = {
  none: "Untreated water has made many hikers ill far from help.",
  filter: "Hollow fibres stop no viruses: below camps, huts and houses take drops or boil as well.",
  dioxide: "Follow the label, never less; cloudy water is filtered first, or takes twice as long.",
  chlorine: "It does not stop Cryptosporidium. Follow the label, never less.",
  lamp: "Clear water only; it needs charge, and says nothing of a bottle’s threads.",
  boil: "A rolling boil. Its fuel is not in the plan unless the menu boils it.",
};

export const TRUST_WORDS = {
  reliable: "reliable sources",
  chance: "sources likely to flow",
  all: "all sources",
} as const;

export const PAST_WORDS = {
  none: "no further than the next",
  one: "past one that may be dry",
  chance: "until all are hardly ever dry",
} as const;
