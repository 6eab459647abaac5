/** Food lists in many layouts, each with what is true of it: energy and protein of 100 g. */
import { describe, expect, test } from "vitest";
import { tableRows } from "../places/mileTable.ts";
import { readFoodTable } from "./foodTable.ts";

const OZ_G = 28.349523125;
const KJ = 1 / 4.184;

/** Name, kilocalories and protein of 100 g. */
type Truth = readonly [name: string, energyKcal: number, proteinG?: number];
interface Layout {
  layout: string;
  text: string;
  truth: readonly Truth[];
}

const LAYOUTS: readonly Layout[] = [
  {
    layout: "per 100 g",
    text: "Food,kcal per 100 g,Protein g,Fat g\nOats,372,13.5,7\nPeanut butter,598,25,50\nRice,355,7.1,0.6",
    truth: [
      ["Oats", 372, 13.5],
      ["Peanut butter", 598, 25],
      ["Rice", 355, 7.1],
    ],
  },
  {
    layout: "per serving, grams beside",
    text: "Item,Serving (g),Calories,Protein\nNut bar,40,208,5.6\nTortilla,62,186,5\nCocoa,25,98,1.5",
    truth: [
      ["Nut bar", 520, 14],
      ["Tortilla", 300, 8.0645],
      ["Cocoa", 392, 6],
    ],
  },
  {
    layout: "per serving, a cup with its grams",
    text: "Product\tServing size\tCalories per serving\nGranola\t1 cup (110 g)\t495\nMilk powder\t1/3 cup (24 g)\t119\nCouscous\t2 oz\t201.5",
    truth: [
      ["Granola", 450],
      ["Milk powder", 495.833],
      ["Couscous", (100 * 201.5) / (2 * OZ_G)],
    ],
  },
  {
    layout: "per pack",
    text: "Name,Net weight g,kcal per pack\nNoodles,90,405\nPotato mash,112,420",
    truth: [
      ["Noodles", 450],
      ["Potato mash", 375],
    ],
  },
  {
    layout: "ounces in the head",
    text: "Food,Serving (oz),Calories per serving\nJerky,1,82\nCheese,1.5,170",
    truth: [
      ["Jerky", (100 * 82) / OZ_G],
      ["Cheese", (100 * 170) / (1.5 * OZ_G)],
    ],
  },
  {
    layout: "German, kilojoules with points for thousands",
    text: "Lebensmittel;Brennwert kJ/100 g;Eiweiß;Fett\nHaferflocken;1.571;13,5;7,0\nNussmus;2.505;25,0;50,1\nReis;1.486;7,1;0,6",
    truth: [
      ["Haferflocken", 1571 * KJ, 13.5],
      ["Nussmus", 2505 * KJ, 25],
      ["Reis", 1486 * KJ, 7.1],
    ],
  },
  {
    layout: "French",
    text: "Aliment;Énergie (kcal pour 100 g);Protéines;Glucides;Lipides\nFlocons d’avoine;372;13,5;59;7\nRiz;355;7,1;79;0,6\nTotal;727;;;",
    truth: [
      ["Flocons d’avoine", 372, 13.5],
      ["Riz", 355, 7.1],
    ],
  },
  {
    layout: "Spanish, by portion",
    text: "Alimento,Porción (g),Kcal por porción,Proteínas\nBarrita,40,208,5.6\nArroz,80,284,5.7",
    truth: [
      ["Barrita", 520, 14],
      ["Arroz", 355, 7.125],
    ],
  },
  {
    layout: "Italian",
    text: "Prodotto;Energia kcal/100 g;Proteine;Grassi\nAvena;372;13,5;7\nRiso;355;7,1;0,6\nMedia;363,5;;",
    truth: [
      ["Avena", 372, 13.5],
      ["Riso", 355, 7.1],
    ],
  },
  {
    layout: "titles above, an average and a total below",
    text: "What we ate in May\n\nFood\tkcal/100g\tProtein\nOats\t372\t13.5\nRice\t355\t7.1\nAverage\t363\t\nTotal\t727\t20.6",
    truth: [
      ["Oats", 372, 13.5],
      ["Rice", 355, 7.1],
    ],
  },
  {
    layout: "kilojoules and kilocalories both",
    text: "Food,kJ per 100 g,kcal per 100 g,Protein\nOats,1556,372,13.5\nRice,1485,355,7.1",
    truth: [
      ["Oats", 372, 13.5],
      ["Rice", 355, 7.1],
    ],
  },
  {
    layout: "salt, fibre and price, a column of water in the food",
    text: "Food,Water,kcal per 100 g,Protein,Fibre,Salt,Price\nTuna in oil,61,198,29,0,1,2.4\nOats,9,372,13.5,10,0.02,1.1",
    truth: [
      ["Tuna in oil", 198, 29],
      ["Oats", 372, 13.5],
    ],
  },
  {
    layout: "energy times quantity",
    text: "Item,Qty,Pack g,Total kcal per pack\nNoodles,2,90,810\nBar,6,40,1248",
    truth: [
      ["Noodles", 450],
      ["Bar", 520],
    ],
  },
  {
    layout: "units in the cells",
    text: "Food|Energy per 100 g|Protein\nOats|372 kcal|13.5 g\nRice|355 kcal|7.1 g",
    truth: [
      ["Oats", 372, 13.5],
      ["Rice", 355, 7.1],
    ],
  },
  {
    layout: "meals as rows of their own, heads again",
    text: "Food,kcal per 100 g,Protein\nBreakfast,,\nOats,372,13.5\nFood,kcal per 100 g,Protein\nDinner,,\nRice,355,7.1",
    truth: [
      ["Oats", 372, 13.5],
      ["Rice", 355, 7.1],
    ],
  },
  {
    layout: "in quotes, lines of Windows, a mark at the start",
    text: '\uFEFF"Food","Calories (kcal/100 g)","Protein (g)"\r\n"Oats, rolled","372","13.5"\r\n"Rice ""long""","355","7.1"\r\n',
    truth: [
      ["Oats, rolled", 372, 13.5],
      ['Rice "long"', 355, 7.1],
    ],
  },
];

const shown = (name: string, energyKcal: number, proteinG: number): string =>
  `${name} ${Math.round(energyKcal)} ${proteinG.toFixed(1)}`;

describe("food lists by many hands", () => {
  const read = LAYOUTS.map(({ layout, text, truth }) => {
    let n = 0;
    const { foods, problems } = readFoodTable(tableRows(text), () => `f${n++}`);
    const is = foods.map(({ name, energyKcal, proteinG }) => shown(name, energyKcal, proteinG));
    return { layout, is, should: truth.map(([name, kcal, protein = 0]) => shown(name, kcal, protein)), problems };
  });

  test("at least 95 rows of 100 are right at once", () => {
    const all = read.flatMap(({ should }) => should);
    const wrong = read.flatMap(({ layout, is, should }) =>
      should.filter((row) => !is.includes(row)).map((row) => `${layout}: ${row} of ${is.join(", ")}`),
    );
    expect(1 - wrong.length / all.length, wrong.join("\n")).toBeGreaterThanOrEqual(0.95);
  });

  test.each(read)("$layout: nothing comes that is not there, and nothing is lost without a word", (one) => {
    expect(one.is.filter((row) => !one.should.includes(row))).toEqual([]);
    expect(one.should.length - one.is.length).toBeLessThanOrEqual(one.problems.length);
  });
});
