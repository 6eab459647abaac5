/** Every text of the product against the rules of our language: docs/wording.md. */
import { expect, test } from "vitest";
import { sentencesOf, textsOf, wordCount, type Text } from "../../test/texts.ts";

/** Words that places are recognised by are not ours. */
const texts = textsOf(["web/src", "core/src"]).filter(({ at }) => !at.startsWith("core/src/places/words.ts"));
const MOST_WORDS = 20;

/** What puzzles a reader, and what to write: see the table of patterns in docs/wording.md. */
const PUZZLES =
  /\b(goes|go) first\b|\bin the mean\b|\bis had\b|\bto be had\b|\bstruck out\b|\bpass(ed|es)? (it |…)?by\b|\bunder foot\b|\bmade up\b|\bbeg[iau]n|\banew\b|\bmend(ed|s)?\b|\bposted\b|\bshut\b|\bwho (comes|finds|may|was|has|sleeps|carries)\b|\bone(’s|'s)\b|\btold\b|\bask(s|ed)? for\b|\bwant(s|ed)?\b|\blet the pin\b|\bhard canister\b|\bmass\b|\bsome \d|\bpieces?\b|\bspans?\b|\blevers?\b|\bschools?\b|\bblockers?\b|\badvertised\b|\bnormals\b|\bdemands?\b|\bhardly\b|\bshortfall\b|\bin hand\b|\bthe plane\b|\bburnt\b|\bstands\b|\blocal mean time\b/i;
/** Where such a word is the right one. */
const RIGHT_HERE = [
  /has no shut-off valve/, // a part of a stove
  /lean body mass/, // physiology's own term
  /Ask who was there last/, // an honest question
  /anyone who has it can read/,
  /until after you want to leave/,
];
const PROMISE = /\b(safe|safely|guaranteed|sure to)\b/i;

const shown = ({ at, text }: Text): string => `${at}: ${text}`;

test("texts are found: labels, sentences, papers and problems of the core", () => {
  expect(texts.length).toBeGreaterThan(4000);
  for (const part of ["web/src/words/checks/water.ts", "web/src/paper/", "web/src/frame/", "core/src/track/"])
    expect(
      texts.some(({ at }) => at.startsWith(part)),
      part,
    ).toBe(true);
});

test("no text needs a second reading", () => {
  const puzzling = texts.filter(({ text }) => PUZZLES.test(text) && !RIGHT_HERE.some((right) => right.test(text)));
  expect(puzzling.map(shown)).toEqual([]);
});

test("no text promises what only the trail can tell", () => {
  const promising = texts.filter(({ text }) => PROMISE.test(text) && !/isn’t safer/.test(text));
  expect(promising.map(shown)).toEqual([]);
});

test(`a sentence has ${MOST_WORDS} words at most`, () => {
  const long = texts.flatMap(({ at, text }) =>
    sentencesOf(text)
      .filter((sentence) => wordCount(sentence) > MOST_WORDS)
      .map((sentence) => `${at}: ${sentence}`),
  );
  expect(long).toEqual([]);
});

test("no sentence stands in two files", () => {
  const places = new Map<string, Set<string>>();
  for (const { at, text } of texts)
    for (const sentence of text.split(/(?<=[.!?])\s+/)) {
      if (!sentence.endsWith(".") || wordCount(sentence) < 7) continue;
      const files = places.get(sentence) ?? new Set();
      places.set(sentence, files.add(at.replace(/:\d+$/, "")));
    }
  const twice = [...places].filter(([, files]) => files.size > 1);
  expect(twice.map(([sentence, files]) => `${sentence} ${[...files].join(", ")}`)).toEqual([]);
});

test("apostrophes and quotation marks are those of print", () => {
  const typed = texts.filter(({ text }) => /[A-Za-z]'[a-z]|\.\.\./.test(text));
  expect(typed.map(shown)).toEqual([]);
});
