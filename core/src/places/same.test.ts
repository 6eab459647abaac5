import { expect, test } from "vitest";
import type { Waypoint } from "../track/points.ts";
import { joinPlaces } from "./same.ts";

/** A degree of latitude is 111.2 km. */
const at = (name: string, northM: number, words: Partial<Waypoint> = {}): Waypoint => ({
  name,
  lonDeg: 9,
  latDeg: 46 + northM / 111_200,
  symbol: "",
  type: "",
  description: "",
  ...words,
});

test("named alike and within 300 m it is one place, with the words of both; farther off it is another", () => {
  const { places, again } = joinPlaces([
    [at("Heron Spring", 0, { description: "good flow" }), at("Mill", 5000, { symbol: "Bed" })],
    [
      at("HERON-SPRING", 250, { type: "water", description: "dry after July" }),
      at("Mill", 5400),
      at("Elm creek", 7000),
      at("", 0),
    ],
  ]);
  expect(again).toBe(1);
  expect(places.map(({ name }) => name)).toEqual(["Heron Spring", "Mill", "Mill", "Elm creek", ""]);
  expect(places[0]).toMatchObject({ latDeg: 46, type: "water", description: "good flow; dry after July" });
});

test("what both files say is said once; within one file two of a name are two, and each is found again once", () => {
  const both = [at("Spring", 0, { description: "box of stone" }), at("Spring", 100, { description: "trough" })];
  const { places, again } = joinPlaces([both, both]);
  expect(again).toBe(2);
  expect(places).toEqual(both);
  expect(joinPlaces([both]).places).toEqual(both);
});
