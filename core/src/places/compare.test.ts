import { expect, test } from "vitest";
import { comparePlaces, type KnownPlace } from "./compare.ts";

const place = (id: string, list: string, name: string, trackM: number, facts = ""): KnownPlace => ({
  id,
  list,
  name,
  trackM,
  facts,
});

const known = [
  place("a", "sources", "Heron Spring", 1000),
  place("b", "sources", "Elm creek", 1040),
  place("c", "sources", "Old tank", 9000, "reliable"),
  place("d", "sources", "Far well", 30_000),
  place("e", "stops", "Mill", 12_000),
];

test("the same name nearby is the same place, whatever its case and marks; on the spot another name too", () => {
  const found = [
    { list: "sources", name: "HERON-SPRING", trackM: 1060, facts: "" },
    { list: "sources", name: "creek", trackM: 1030, facts: "" },
    { list: "sources", name: "Old tank", trackM: 11_500, facts: "reliable" },
  ];
  const { known: matches, changed, gone } = comparePlaces(known, found);
  expect(matches.map((match) => match?.id)).toEqual(["a", "b", "c"]);
  expect(changed).toEqual([false, false, true]);
  // The file says nothing of stops: none is gone.
  expect(gone.map(({ id }) => id)).toEqual(["d"]);
});

test("what is told otherwise has changed; far off it is another place; a place is matched once", () => {
  const found = [
    { list: "sources", name: "Old tank", trackM: 9000, facts: "dry" },
    { list: "sources", name: "Old tank", trackM: 9010, facts: "reliable" },
    { list: "sources", name: "Far well", trackM: 40_000, facts: "" },
    { list: "stops", name: "Heron Spring", trackM: 1000, facts: "" },
  ];
  const { known: matches, changed } = comparePlaces(known, found);
  expect(matches.map((match) => match?.id)).toEqual(["c", undefined, undefined, undefined]);
  expect(changed).toEqual([true, false, false, false]);
});
