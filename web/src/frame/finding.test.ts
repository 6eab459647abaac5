import { expect, test } from "vitest";
import { bestOf, type Found } from "./finding.ts";
import { plain } from "./plain.ts";

const all: Found[] = [
  { id: "station kit", label: "Kit", kind: "station" },
  { id: "action undo", label: "Undo the last step", kind: "action" },
  { id: "stop hutte", label: "Hütte am Paß", kind: "stop" },
  { id: "piece quilt", label: "Summer quilt", kind: "piece" },
  { id: "piece bag", label: "Winter bag", kind: "piece" },
];
const names = (typed: string, recent: string[] = []): string[] => bestOf(all, typed, recent).map(({ id }) => id);

test("letters without accents, and parts of words in their order, find what has them", () => {
  expect(names("hutte")).toEqual(["stop hutte"]);
  expect(names("smqlt")).toEqual(["piece quilt"]);
  expect(names("nothing like it")).toEqual([]);
  expect(plain("Ängström")).toBe("angstrom");
});

test("without a word what was chosen last comes first, then stations and actions; places and pieces wait to be named", () => {
  expect(names("")).toEqual(["station kit", "action undo"]);
  expect(names("", ["piece bag", "gone"])).toEqual(["piece bag", "station kit", "action undo"]);
});

test("of two that fit, the one that was chosen before is nearer", () => {
  const two: Found[] = [
    { id: "a", label: "Bag of rice", kind: "food" },
    { id: "b", label: "Bag of nuts", kind: "food" },
  ];
  expect(bestOf(two, "bag", [])[0]!.id).toBe("a");
  expect(bestOf(two, "bag", ["b"])[0]!.id).toBe("b");
});

test("letters that are strewn over a name are left out beside a word that is there", () => {
  const two: Found[] = [
    { id: "need", label: "Trip: Need", kind: "settings" },
    { id: "land", label: "Flats Landing", kind: "stop, passed by" },
  ];
  expect(bestOf(two, "need", []).map(({ id }) => id)).toEqual(["need"]);
});
