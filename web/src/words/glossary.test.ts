import { expect, test } from "vitest";
import { GLOSSARY } from "./glossary.ts";

test("each word stands once, in the order of the alphabet, with a meaning that is not the word itself", () => {
  const terms = GLOSSARY.map(([term]) => term);
  expect(new Set(terms).size).toBe(terms.length);
  expect(terms.toSorted((a, b) => a.localeCompare(b, "en"))).toEqual(terms);
  for (const [term, meaning] of GLOSSARY) {
    expect(meaning.length).toBeGreaterThan(8);
    expect(meaning.startsWith(term)).toBe(false);
    expect(meaning, term).toMatch(/^[^A-Z.].*[^.]$/);
  }
});

test("terms that stand on many screens are explained", () => {
  const terms = GLOSSARY.map(([term]) => term).join(" ");
  for (const term of [
    "local solar time",
    "bear canister",
    "one in ten",
    "R-value",
    "dry camp",
    "comfortable load",
    "kg·km",
  ])
    expect(terms).toContain(term);
});
