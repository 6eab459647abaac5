/**
 * Kit lists as tables in many layouts, each with what is true of it: titles, units in heads, cells or columns, sections,
 * totals in eight languages, each against total, worn by tick, word or status. At least 95 rows of 100 have to be right.
 */
import { describe, expect, test } from "vitest";
import { tableRows } from "../places/mileTable.ts";
import { readKitTable, type NewPieces } from "./kitTable.ts";

const LB = 453.59237;
const OZ = LB / 16;

/** Name, grams of one, how many, and what is said of it. */
type Truth = readonly [
  name: string,
  massG: number,
  quantity?: number,
  said?: "worn" | "consumable" | "shared" | "home",
];
interface Layout {
  layout: string;
  text: string;
  truth: readonly Truth[];
}

const LAYOUTS: readonly Layout[] = [
  {
    layout: "grams in the head, a tick for worn",
    text: "Item,Category,Weight (g),Qty,Worn\nTent,Shelter,842,1,\nSock,Clothes,48,3,\nHat,Clothes,60,1,x",
    truth: [
      ["Tent", 842],
      ["Sock", 48, 3],
      ["Hat", 60, 1, "worn"],
    ],
  },
  {
    layout: "a title and a date above, tabs, ounces",
    text: "Summer kit 2027\nlast weighed in May\n\nItem\tOunces\tNotes\nTarp\t11.2\tgreen\nBivy\t6\t\nStakes\t2.4\tset of 6",
    truth: [
      ["Tarp", 11.2 * OZ],
      ["Bivy", 6 * OZ],
      ["Stakes", 2.4 * OZ],
    ],
  },
  {
    layout: "pounds and ounces in two columns",
    text: "Gear,lb,oz,Total\nPack,2,3.5,\nTent,1,14,\nSpoon,0,0.6,\nTotal,3,18.1,",
    truth: [
      ["Pack", 2 * LB + 3.5 * OZ],
      ["Tent", LB + 14 * OZ],
      ["Spoon", 0.6 * OZ],
    ],
  },
  {
    layout: "German, decimal commas, Stück, Gesamt",
    text: "Gegenstand;Gewicht (g);Stück;Gesamt;Bemerkung\nZelt;1.080,5;1;1.080,5;\nHering;11;8;88;\nSocken;62,5;2;125;Wolle\nGesamt;;;1.293,5;",
    truth: [
      ["Zelt", 1080.5],
      ["Hering", 11, 8],
      ["Socken", 62.5, 2],
    ],
  },
  {
    layout: "total of a row before that of one",
    text: "Item,Total weight (g),Quantity,Weight each (g)\nGuy line,36,6,6\nPeg,88,8,11\nTarp,420,1,420",
    truth: [
      ["Guy line", 6, 6],
      ["Peg", 11, 8],
      ["Tarp", 420],
    ],
  },
  {
    layout: "only the total of a row, with a quantity",
    text: "Item,Qty,Total (g)\nGuy line,6,36\nPeg,8,88\nTarp,1,420",
    truth: [
      ["Guy line", 6, 6],
      ["Peg", 11, 8],
      ["Tarp", 420],
    ],
  },
  {
    layout: "units in a column of their own",
    text: "name,weight,unit,worn,consumable\nTent,2.1,lb,,\nFuel,110,g,,1\nShirt,5.2,oz,1,\nFood bag,0.04,kg,,",
    truth: [
      ["Tent", 2.1 * LB],
      ["Fuel", 110, 1, "consumable"],
      ["Shirt", 5.2 * OZ, 1, "worn"],
      ["Food bag", 40],
    ],
  },
  {
    layout: "units in the cells, one unlike the others",
    text: "Thing|Weight\nQuilt|560 g\nPad|12 oz\nPack|1 lb 15 oz\nChair|0.9 kg",
    truth: [
      ["Quilt", 560],
      ["Pad", 12 * OZ],
      ["Pack", LB + 15 * OZ],
      ["Chair", 900],
    ],
  },
  {
    layout: "sections as rows, subtotals after each",
    text: "Item\tg\nSHELTER\t\nTent\t900\nPegs\t90\nSubtotal\t990\nSLEEP\t\nQuilt\t600\nPad\t350\nSubtotal\t950\nGrand total\t1940",
    truth: [
      ["Tent", 900],
      ["Pegs", 90],
      ["Quilt", 600],
      ["Pad", 350],
    ],
  },
  {
    layout: "French",
    text: "Objet;Poids (g);Quantité;Porté\nTente;1150;1;\nDuvet;720;1;\nChaussettes;55;2;oui\nSous-total;1980;;\nTotal;1980;;",
    truth: [
      ["Tente", 1150],
      ["Duvet", 720],
      ["Chaussettes", 55, 2, "worn"],
    ],
  },
  {
    layout: "Spanish, kilograms with commas",
    text: "Artículo;Peso (kg);Cantidad\nTienda;1,15;1\nSaco;0,86;1\nPiqueta;0,012;8\nPeso total;2,106;",
    truth: [
      ["Tienda", 1150],
      ["Saco", 860],
      ["Piqueta", 12, 8],
    ],
  },
  {
    layout: "Italian",
    text: "Oggetto,Peso g,Quantità\nTenda,1200,1\nSacco a pelo,910,1\nPicchetti,11,8\nTotale,2198,",
    truth: [
      ["Tenda", 1200],
      ["Sacco a pelo", 910],
      ["Picchetti", 11, 8],
    ],
  },
  {
    layout: "Dutch",
    text: "Artikel;Gewicht;Aantal\nTent;1100 g;1\nSlaapzak;780 g;1\nHaring;10 g;6\nTotaal;1940 g;",
    truth: [
      ["Tent", 1100],
      ["Slaapzak", 780],
      ["Haring", 10, 6],
    ],
  },
  {
    layout: "a status column",
    text: "Item,Weight g,Status\nPoles,380,worn\nGas,230,consumable\nChair,500,left at home\nPot,105,packed\nTent,1200,shared",
    truth: [
      ["Poles", 380, 1, "worn"],
      ["Gas", 230, 1, "consumable"],
      ["Chair", 500, 1, "home"],
      ["Pot", 105],
      ["Tent", 1200, 1, "shared"],
    ],
  },
  {
    layout: "heads again on the second page, the big three summed",
    text: "Item,Weight (oz)\nPack,32\nTent,30\nBag,29\nBig three total,91\nItem,Weight (oz)\nStove,2.6\nPot,3.7\nCarried,97.3",
    truth: [
      ["Pack", 32 * OZ],
      ["Tent", 30 * OZ],
      ["Bag", 29 * OZ],
      ["Stove", 2.6 * OZ],
      ["Pot", 3.7 * OZ],
    ],
  },
  {
    layout: "category first, its name only on its first row; prices and links",
    text: "Category,Item,Price,Link,Weight\nKitchen,Stove,45,https://example.org/a,73\n,Pot,30,,105\n,Spoon,,,9\nSleep,Quilt,320,,560",
    truth: [
      ["Stove", 73],
      ["Pot", 105],
      ["Spoon", 9],
      ["Quilt", 560],
    ],
  },
  {
    layout: "counts before the names",
    text: "Item,g\n2x bottle 1 L,38\n8 x peg,11\nLiner,140",
    truth: [
      ["bottle 1 L", 38, 2],
      ["peg", 11, 8],
      ["Liner", 140],
    ],
  },
  {
    layout: "points for thousands beside commas for decimals",
    text: "Item;Gewicht in g\nRucksack;1.250\nZelt;1.571\nKarte;354,5\nLöffel;9,5",
    truth: [
      ["Rucksack", 1250],
      ["Zelt", 1571],
      ["Karte", 354.5],
      ["Löffel", 9.5],
    ],
  },
  {
    layout: "grams and ounces both",
    text: "Item,oz,g\nTent,30,850\nPad,12.3,349\nBag,21,595",
    truth: [
      ["Tent", 850],
      ["Pad", 349],
      ["Bag", 595],
    ],
  },
  {
    layout: "Swedish, weights before the names",
    text: "Vikt (g)\tUtrustning\tAntal\n1100\tTält\t1\n12\tTältpinne\t8\n640\tSovsäck\t1\nSumma\t\t",
    truth: [
      ["Tält", 1100],
      ["Tältpinne", 12, 8],
      ["Sovsäck", 640],
    ],
  },
  {
    layout: "empty columns between, lines of Windows, a mark at the start",
    text: "\uFEFFItem,,Weight (g),,Notes\r\nTent,,900,,\r\nPegs,,90,,bent\r\n,,,,\r\nTowel,,35,,\r\n",
    truth: [
      ["Tent", 900],
      ["Pegs", 90],
      ["Towel", 35],
    ],
  },
];

let n = 0;
const made: NewPieces = { idOf: () => `k${n++}`, hikerId: "a", fromStopId: "@start", toStopId: "@finish" };
const shown = (name: string, massG: number, quantity: number, said: string): string =>
  `${name.toLowerCase()} ${massG.toFixed(1)} ${quantity} ${said}`;

describe("kit tables by many hands", () => {
  const read = LAYOUTS.map(({ layout, text, truth }) => {
    const { pieces, problems } = readKitTable(tableRows(text), made);
    const is = pieces.map(({ name, massG, quantity, wear, shared, spans }) => {
      const said = spans.length === 0 ? "home" : wear !== "packed" ? wear : shared ? "shared" : "";
      return shown(name, massG, quantity, said);
    });
    const should = truth.map(([name, massG, quantity = 1, said = ""]) => shown(name, massG, quantity, said));
    return { layout, is, should, problems };
  });

  test("at least 95 rows of 100 are right at once", () => {
    const all = read.flatMap(({ should }) => should);
    const wrong = read.flatMap(({ layout, is, should }) =>
      should.filter((row) => !is.includes(row)).map((row) => `${layout}: ${row}`),
    );
    expect(1 - wrong.length / all.length, wrong.join("\n")).toBeGreaterThanOrEqual(0.95);
  });

  test.each(read)("$layout: nothing comes that is not there, and nothing is lost without a word", (one) => {
    expect(one.is.filter((row) => !one.should.includes(row))).toEqual([]);
    expect(one.should.length - one.is.length).toBeLessThanOrEqual(one.problems.length);
  });
});
