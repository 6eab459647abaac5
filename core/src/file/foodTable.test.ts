import { describe, expect, test } from "vitest";
import { startingFoods } from "../food/starting.ts";
import { foodTableRows, readFoodTable } from "./foodTable.ts";

const ids = () => {
  let n = 0;
  return () => `f${n++}`;
};
const read = (rows: string[][], basis?: Parameters<typeof readFoodTable>[2]) => readFoodTable(rows, ids(), basis);

describe("a table of foods", () => {
  test("per 100 g, with other heads, comma decimals and kilojoules", () => {
    const { foods, problems } = read([
      ["Product", "Energy (kJ)", "Protein [g]", "of which Fat", "Salt"],
      ["Oat bar", "1 841", "8,5", "17,2", "0,4"],
    ]);
    expect(problems).toEqual([]);
    expect(foods[0]).toMatchObject({ id: "f0", name: "Oat bar", proteinG: 8.5, fatG: 17.2 });
    expect(foods[0]!.energyKcal).toBeCloseTo(440, 0);
    expect(foods[0]!.sodiumMg).toBeCloseTo(157.4, 1);
  });

  test("kilocalories go before kilojoules where both stand", () => {
    const { foods } = read([
      ["Food", "kJ per 100 g", "kcal per 100 g"],
      ["Rice", "1500", "355"],
    ]);
    expect(foods[0]!.energyKcal).toBe(355);
  });

  test("per serving and per pack are brought to 100 g by their grams", () => {
    const serving = read([
      ["name", "serving g", "calories", "protein"],
      ["Nut bar", "40", "208", "5.6"],
    ]);
    expect(serving.basis).toBe("per-serving");
    expect(serving.foods[0]).toMatchObject({ energyKcal: 520, portionG: 40 });
    expect(serving.foods[0]!.proteinG).toBeCloseTo(14, 9);
    const pack = read(
      [
        ["name", "weight g", "kcal"],
        ["Noodles", "90", "405"],
      ],
      "per-pack",
    );
    expect(pack.foods[0]).toMatchObject({ energyKcal: 450, packG: 90 });
  });

  // prettier-ignore
  test.each([
    [["", "300"], "line 2", /no name/],
    [["Air", ""], "line 2", /energy is missing/],
    [["Cold fusion", "abc"], "line 2", /“abc” in column kcal isn’t a number/],
    [["Ice", "-5"], "line 2", /can’t be negative/],
    [["Lead", "2000"], "line 2", /per 100 g, per serving or per pack/],
  ])("%j is said and the next line is read all the same", (row, place, words) => {
    const { foods, problems } = read([["name", "kcal"], row, ["Bread", "250"]]);
    expect(problems).toHaveLength(1);
    expect(problems[0]).toMatchObject({ place, sentence: expect.stringMatching(words) });
    expect(foods.map(({ name }) => name)).toEqual(["Bread"]);
  });

  test("a serving without grams, heads that name nothing, and nothing at all are said", () => {
    expect(
      read([
        ["name", "serving", "kcal"],
        ["Bar", "", "200"],
      ]).problems[0]!.sentence,
    ).toMatch(/need its weight in grams/);
    expect(
      read([
        ["a", "b"],
        ["1", "2"],
      ]).problems[0]!.sentence,
    ).toMatch(/first row must name/);
    expect(read([]).problems).toHaveLength(1);
    expect(
      read(
        [
          ["name", "kcal"],
          ["Bar", "200"],
        ],
        "per-serving",
      ).problems[0]!.sentence,
    ).toMatch(/column with the serving/);
  });

  test("what is written is read again as it was", () => {
    const foods = startingFoods().filter(({ parts }) => parts.length === 0);
    const again = readFoodTable(foodTableRows(foods), ids());
    expect(again.problems).toEqual([]);
    expect(
      again.foods.map(({ name, energyKcal, fatG, sodiumMg, packG, tags }) => ({
        name,
        energyKcal,
        fatG,
        sodiumMg,
        packG,
        tags,
      })),
    ).toEqual(
      foods.map(({ name, energyKcal, fatG, sodiumMg, packG, tags }) => ({
        name,
        energyKcal,
        fatG,
        sodiumMg,
        packG,
        tags,
      })),
    );
  });
});
