import fc from "fast-check";
import { describe, expect, test } from "vitest";
import { hikerOf, pieceOf, planOf } from "../../test/fixtures.ts";
import { pieceSchema } from "../plan/kitSchema.ts";
import type { Piece } from "../plan/schema.ts";
import { kitTableRows, readKitTable, type NewPieces } from "./kitTable.ts";

const made = (): NewPieces => {
  let n = 0;
  return { idOf: () => `k${n++}`, hikerId: "a", fromStopId: "@start", toStopId: "@finish" };
};
const read = (text: string) =>
  readKitTable(
    text.split("\n").map((line) => line.split("|").map((cell) => cell.trim())),
    made(),
  );

describe("kit out of anybody's table", () => {
  test("grams in the head, groups, quantities, what is worn", () => {
    const { pieces, problems } = read(
      "Item|Category|Weight (g)|Qty|Worn\nTent|Shelter|842|1|\nSock|Clothes|48|3|\nHat|Clothes|60|1|yes",
    );
    expect(problems).toEqual([]);
    expect(pieces).toMatchObject([
      { id: "k0", name: "Tent", group: "Shelter", massG: 842, quantity: 1, wear: "packed", ownerId: "a" },
      { name: "Sock", quantity: 3 },
      { name: "Hat", wear: "worn" },
    ]);
    expect(pieces[0]!.spans).toMatchObject([{ fromStopId: "@start", toStopId: "@finish" }]);
  });

  test.each([
    ["name|weight\nA|1 lb 2 oz", 510.291],
    ["name|weight oz\nA|10", 283.495],
    ["name|mass|unit\nA|10|oz", 283.495],
    ["name|mass|unit\nA|0,5|kg", 500],
    ["name|mass\nA|250", 250],
    ["name|weight oz\nA|250 g", 250],
  ])("%s", (text, grams) => expect(read(text).pieces[0]!.massG).toBeCloseTo(grams, 2));

  test("whose it is, by a first name; who is not here is said, and the piece is the chosen one's", () => {
    const rows = ["name|g|whose", "Tent|900|Bo", "Mug|60|ann vale", "Cap|50|Cleo", "Map|40|"].map((row) =>
      row.split("|"),
    );
    const hikers = [
      { id: "a", name: "Ann Vale" },
      { id: "b", name: "Bo Reed" },
    ];
    const { pieces, problems } = readKitTable(rows, { ...made(), hikers });
    expect(pieces.map(({ ownerId, carrierId }) => ownerId + carrierId)).toEqual(["bb", "aa", "aa", "aa"]);
    expect(problems).toMatchObject([{ place: "line 4", severity: "note", sentence: expect.stringContaining("Cleo") }]);
  });

  test("totals are passed over, a name alone is the group of what follows, bad lines are said and lose no other", () => {
    const { pieces, problems } = read(
      "gear|weight\nSleep|\nQuilt|692\nTotal|692\nCook|\nPot|heavy\nStove|84 stone\nBoulder|60 kg\nSpoon|0\nSpoon|14\n|790",
    );
    expect(pieces.map(({ name, group, massG }) => [name, group, massG])).toEqual([
      ["Quilt", "Sleep", 692],
      ["Spoon", "Cook", 0],
      ["Spoon", "Cook", 14],
    ]);
    expect(problems.map(({ place, severity }) => `${place} ${severity}`)).toEqual([
      "line 4 note",
      "line 6 error",
      "line 7 error",
      "line 8 error",
      "line 9 note",
      "line 10 note",
      "line 11 note",
    ]);
    expect(problems[2]!.sentence).toMatch(/stone.*Use g, kg, oz or lb/);
    expect(problems[3]!.sentence).toMatch(/isn’t between 0 and 50 kg/);
  });

  test("without a column for the name or the mass it says what is needed", () => {
    const { pieces, problems } = read("colour|price\nred|3");
    expect(pieces).toEqual([]);
    expect(problems[0]).toMatchObject({ place: "line 1" });
    expect(problems[0]!.sentence).toMatch(/name.*weight/);
    expect(readKitTable([], made()).problems).toHaveLength(1);
  });

  test("a name says what a piece is good for", () => {
    expect(read("name|g\nRain jacket|200").pieces[0]!.gives).toEqual(["rain", "wind"]);
  });
});

test("a group of hundreds of letters is cut, and said in a sentence", () => {
  const { pieces, problems } = readKitTable(
    [
      ["Name", "Group", "Grams"],
      ["Tent", "x".repeat(450), "900"],
    ],
    made(),
  );
  expect(pieces.map(({ name, group }) => [name, group.length])).toEqual([["Tent", 200]]);
  expect(problems[0]).toMatchObject({
    place: "line 2",
    sentence: expect.stringMatching(/^The group “x+…” has 450 letters/) as string,
  });
});

describe("what is written out reads back", () => {
  const back = (kit: Record<string, unknown>[]): [Piece[], Piece[]] => {
    const plan = planOf({
      kit,
      hikers: [hikerOf({ id: "a", name: "Ann Vale" }), hikerOf({ id: "b", name: "Bo Reed" })],
    });
    const { pieces, problems } = readKitTable(
      kitTableRows(plan).map((row) => row.map(String)),
      { ...made(), hikers: plan.hikers },
    );
    expect(problems).toEqual([]);
    return [plan.kit, pieces];
  };

  /** Of every field of the schema one value that is not its default; what a row of a table cannot hold is named here. */
  const NOT_IN_A_ROW = ["id", "spans", "advice", "modifications", "verdict", "lesson"];
  const full = pieceSchema.parse({
    id: "x", name: "=Quilt, two persons", group: "Sleep", massG: 842.5, quantity: 2, measured: true, listedG: 800, wear: "consumable",
    volumeL: 3.6, ownerId: "a", carrierId: "b", shared: true, role: "bag", gives: ["rain", "wind"], movable: false, meanLifeM: 640_000,
    wornM: 12_500, perDayG: 4, capacityL: 2.5, comfortC: -2.5, limitC: -9, padR: 4.2, warmthK: 1.5, price: 129.5, boughtOn: "2026-05-01",
    condition: "good", comfort: 4, nightsBefore: 31, notes: "Mend the zip; 1.250 threads", rides: "bottom", emptyG: 20, travels: "hold",
    loadLimitKg: 11, spans: [{ fromStopId: "@start", toStopId: "@finish" }],
  }); // prettier-ignore

  test("every field of an item, and none is forgotten here", () => {
    const fields = Object.keys(pieceSchema.shape).filter((key) => !NOT_IN_A_ROW.includes(key));
    expect(fields.filter((key) => full[key] === undefined)).toEqual([]);
    const [[given], [read]] = back([full]);
    for (const key of fields) expect([key, read![key]]).toEqual([key, given![key]]);
  });

  test("what an item has not, and what stays at home", () => {
    const [given, read] = back([
      pieceOf("hat", 60, { wear: "worn", movable: true }),
      pieceOf("chair", 900, { spans: [] }),
    ]);
    for (const [i, piece] of given.entries()) {
      expect(read[i]).toMatchObject({ ...piece, id: read[i]!.id });
    }
    expect(read[1]!.spans).toEqual([]);
  });
});

describe("tables as people keep them", () => {
  const grams = (text: string): number[] => read(text).pieces.map(({ massG }) => Math.round(massG * 100) / 100);

  test("the decimal sign is the column's, else the table's; where nothing tells it is asked", () => {
    expect(grams("name|g\nTent|1.250\nMug|354,5")).toEqual([1250, 354.5]);
    expect(grams("name|g\nTent|1,250\nMug|354.5")).toEqual([1250, 354.5]);
    expect(grams("name|kg\nTent|1,250\nMug|0,354")).toEqual([1250, 354]);
    // By another column of the same hand.
    expect(grams("name|g|price\nTent|1.250|99,90\nMug|354|9,50")).toEqual([1250, 354]);
    const unsure = "name|g\nTent|1.250\nMug|354";
    expect(read(unsure).asksSign).toBe(true);
    // Until it is told, of grams the likelier: nobody lists a gram and a quarter. Of kilograms it is the fraction.
    expect(grams(unsure)).toEqual([1250, 354]);
    expect(grams("name|kg\nTent|1.250")).toEqual([1250]);
    expect(read("name|g\nTent|1250\nMug|354").asksSign).toBeUndefined();
    const rows = unsure.split("\n").map((line) => line.split("|"));
    const told = [true, false].map((comma) => readKitTable(rows, made(), undefined, comma).pieces[0]!.massG);
    expect(told).toEqual([1250, 1.25]);
  });

  test("heads stand where they stand, and may be said again", () => {
    const { pieces, problems } = read(
      "Packing list 2027||\nfor the coast||\n||\nItem|Category|Weight (g)\nTent|Shelter|842\nItem|Category|Weight (g)\nMug|Kitchen|60",
    );
    expect(problems).toEqual([]);
    expect(pieces.map(({ name, group, massG }) => [name, group, massG])).toEqual([
      ["Tent", "Shelter", 842],
      ["Mug", "Kitchen", 60],
    ]);
  });

  test("pounds and ounces of two columns are one weight; a weight of all is that of one times as many", () => {
    expect(grams("Item|lb|oz\nTent|2|3\nMug||3.5\nPack|2|")).toEqual([992.23, 99.22, 907.18]);
    expect(read("item|qty|total weight g\nSock|3|150").pieces[0]).toMatchObject({ massG: 50, quantity: 3 });
    expect(read("item|qty|weight each g|total g\nSock|3|50|150").pieces[0]).toMatchObject({ massG: 50, quantity: 3 });
    expect(read("item|g\n2x Bottle|38").pieces[0]).toMatchObject({ name: "Bottle", massG: 38, quantity: 2 });
  });

  test.each([
    "Gesamt",
    "Zwischensumme",
    "Sous-total",
    "Total",
    "Totale",
    "Suma",
    "Carried",
    "Big three total",
    "Grand Total",
    "Totaal",
  ])("%s is no item", (total) => expect(read(`name|g\nTent|842\n${total}|842`).pieces).toHaveLength(1));

  test("one column says how each is taken along", () => {
    const { pieces } = read(
      "Artikel|Gewicht g|Stück|Status\nHose|300|1|getragen\nGas|230|1|Verbrauch\nZelt|900|1|gemeinsam\nStuhl|800|1|zu Hause\nTopf|100|2|",
    );
    expect(pieces.map(({ wear, shared, spans, quantity }) => [wear, shared, spans.length, quantity])).toEqual([
      ["worn", false, 1, 1],
      ["consumable", false, 1, 1],
      ["packed", true, 1, 1],
      ["packed", false, 0, 1],
      ["packed", false, 1, 2],
    ]);
  });

  test("sums of groups are no items, a price is no weight, a pocket is not at home; notes leave room for what is lost", () => {
    const { pieces } = read(
      "item|weight g|total g|total price|status\nSleep||1200||\nQuilt|692||150|\nMap|40||5|left pocket",
    );
    expect(pieces.map(({ name, massG, group, spans }) => [name, massG, group, spans.length])).toEqual([
      ["Quilt", 692, "Sleep", 1],
      ["Map", 40, "Sleep", 1],
    ]);
    const odd = Array.from({ length: 20 }, (_, i) => `Thing ${i}|10|castle`).join("\n");
    expect(read(`name|g|serves as\n${odd}\nLost|heavy|`).problems.at(-1)).toMatchObject({ severity: "error" });
  });

  test("what a field cannot be is said, and the item is kept", () => {
    const { pieces, problems } = read("name|g|serves as|R\nWidget|900|castle|4\nPad|400|pad|99");
    expect(pieces.map(({ role, padR }) => [role, padR])).toEqual([
      [undefined, 4],
      ["pad", undefined],
    ]);
    expect(problems.map(({ place, severity }) => [place, severity])).toEqual([
      ["line 2", "note"],
      ["line 3", "note"],
    ]);
  });
});

test("no table whatever breaks it, and every piece it gives is one", () => {
  const cell = fc.oneof(fc.string(), fc.constantFrom("name", "weight", "1 lb", "-4", "9e9", "total", ""));
  fc.assert(
    fc.property(fc.array(fc.array(cell, { maxLength: 5 }), { maxLength: 8 }), (rows) => {
      const { pieces, problems } = readKitTable([["name", "weight", "qty"], ...rows], made());
      for (const { massG, quantity } of pieces) {
        expect(massG).toBeGreaterThanOrEqual(0);
        expect(massG).toBeLessThanOrEqual(50_000);
        expect(quantity).toBeGreaterThanOrEqual(1);
      }
      for (const { sentence } of problems) expect(sentence.length).toBeGreaterThan(5);
    }),
  );
});
