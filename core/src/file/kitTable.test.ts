import fc from "fast-check";
import { describe, expect, test } from "vitest";
import { pieceOf, planOf } from "../../test/fixtures.ts";
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

test("what is written out reads back: names, groups, grams, how many and how they are carried", () => {
  const kit = [
    pieceOf("tent, two persons", 842.5, { group: "Shelter", volumeL: 3.6, shared: true }),
    pieceOf("=SUM(A1)", 3, { quantity: 2, wear: "worn" }),
    pieceOf("gas", 230, { wear: "consumable" }),
  ];
  const plan = planOf({ kit });
  const { pieces, problems } = readKitTable(
    kitTableRows(plan).map((row) => row.map(String)),
    { ...made(), hikerId: "nobody", hikers: plan.hikers },
  );
  expect(problems).toEqual([]);
  for (const [i, piece] of plan.kit.entries()) {
    const { name, group, massG, quantity, wear, volumeL, ownerId } = piece;
    expect(pieces[i]).toMatchObject({ name, group, massG, quantity, wear, volumeL, ownerId });
  }
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
