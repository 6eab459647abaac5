import { describe, expect, test } from "vitest";
import { startingFoods } from "../food/starting.ts";
import { pantryFoodSchema } from "../plan/pantrySchema.ts";
import { foodTableRows, readFoodTable, type Basis, type FoodTold } from "./foodTable.ts";

const ids = () => {
  let n = 0;
  return () => `f${n++}`;
};
const read = (rows: string[][], basis?: Basis) => readFoodTable(rows, ids(), { basis });
const lines = (text: string, told: FoodTold = {}) =>
  readFoodTable(
    text.split("\n").map((line) => line.split("|")),
    ids(),
    told,
  );

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
    ).toMatch(/row must name/);
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

  /** Of every field of the schema one value that is not its default; an id, and the parts of a mix, no row can hold. */
  test("every field that is written is read again, and none is forgotten", () => {
    const fields = Object.keys(pantryFoodSchema.shape).filter((key) => key !== "id" && key !== "parts");
    const full = pantryFoodSchema.parse({
      id: "x", name: "Soup, dried", energyKcal: 361.5, proteinG: 12.25, fatG: 7, carbohydrateG: 60, fibreG: 4.5, sodiumMg: 1800, bulkKgPerL: 0.3,
      portionG: 75, packG: 300, price: 1.2, waterL: 0.4, minutes: 5, eaten: "boiled", soakH: 0.5, keepsDays: 90, meltsC: 28, meal: "dinner",
      boughtIn: "shop-small", tags: ["salty", "soup"], source: "its label",
    }); // prettier-ignore
    const blank = pantryFoodSchema.parse({ id: "y", name: "y" });
    expect(fields.filter((key) => JSON.stringify(full[key]) === JSON.stringify(blank[key]))).toEqual([]);
    const foods = [full, ...startingFoods().filter(({ parts }) => parts.length === 0)];
    const again = readFoodTable(foodTableRows(foods), ids());
    expect(again.problems).toEqual([]);
    for (const [i, food] of foods.entries())
      for (const key of fields) expect([food.name, key, again.foods[i]![key]]).toEqual([food.name, key, food[key]]);
  });
});

describe("tables of foods as people keep them", () => {
  test("the decimal sign is the column's, else the table's; where nothing tells it is asked", () => {
    expect(lines("Produkt|kJ|Fett\nHafer|1.571|7,1").foods[0]!.energyKcal).toBeCloseTo(375.5, 1);
    expect(lines("Produkt|kJ\nHafer|1.571\nMus|2580,5").foods[0]!.energyKcal).toBeCloseTo(375.5, 1);
    const unsure = "Product|kJ\nOats|1.571";
    expect(lines(unsure).asksSign).toBe(true);
    expect(lines(unsure).foods[0]!.energyKcal).toBeCloseTo(375.5, 1);
    expect(lines(unsure, { comma: true }).foods[0]!.energyKcal).toBeCloseTo(375.5, 1);
  });

  test("heads under a title, totals and averages that are no food", () => {
    const { foods, problems } = lines(
      "Food for five days|\n|\nItem|kcal per 100 g\nOats|370\nTotal|370\nAverage|370\nItem|kcal per 100 g\nNuts|600",
    );
    expect(foods.map(({ name }) => name)).toEqual(["Oats", "Nuts"]);
    expect(problems.map(({ place, severity }) => [place, severity])).toEqual([
      ["line 5", "note"],
      ["line 6", "note"],
    ]);
  });

  test.each([
    ["Aliment|Énergie kcal pour 100 g|Protéines|Lipides|Glucides\nAvoine|370|13|7|60"],
    ["Lebensmittel|Brennwert kcal je 100 g|Eiweiß|Fett|Kohlenhydrate\nHafer|370|13|7|60"],
    ["Alimento|Energía kcal por 100 g|Proteínas|Grasas|Hidratos\nAvena|370|13|7|60"],
    ["Prodotto|Energia kcal per 100 g|Proteine|Grassi|Carboidrati\nAvena|370|13|7|60"],
  ])("%s", (text) => {
    expect(lines(text).foods[0]).toMatchObject({ energyKcal: 370, proteinG: 13, fatG: 7, carbohydrateG: 60 });
  });

  test("servings in cups with their grams, in ounces of the head; the energy of several", () => {
    const cup = lines("Food|Serving|Calories\nGranola|1 cup (120 g)|540").foods[0]!;
    expect(cup).toMatchObject({ portionG: 120, energyKcal: 450 });
    const ounces = lines("Food|Serving oz|Calories\nNuts|1|170").foods[0]!;
    expect(ounces.portionG).toBeCloseTo(28.35, 2);
    expect(ounces.energyKcal).toBeCloseTo(599.7, 0);
    const several = lines("Food|Qty|Serving g|Total calories\nBar|4|50|1000").foods[0]!;
    expect(several).toMatchObject({ energyKcal: 500, portionG: 50 });
  });

  test("the water in a food is not water to cook it with, and an odd cell beside the figures loses no food", () => {
    const { foods, problems } = lines(
      "Food|kcal per 100 g|Water g|keeps, days|Country|meal\nOats|370|8|unlimited|Norway|supper\nNuts|600|4|90|Chile|way",
    );
    expect(foods.map(({ name, waterL, keepsDays, meal }) => [name, waterL, keepsDays, meal])).toEqual([
      ["Oats", 0, 365, "way"],
      ["Nuts", 0, 90, "way"],
    ]);
    expect(problems.map(({ severity, sentence }) => [severity, /unlimited|supper/.exec(sentence)?.[0]])).toEqual([
      ["note", "unlimited"],
      ["note", "supper"],
    ]);
  });
});
