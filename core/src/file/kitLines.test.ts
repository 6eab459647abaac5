/** Lists as people keep them, each line with its truth. */
import { describe, expect, test } from "vitest";
import { readKitLine, readKitLines } from "./kitLines.ts";
import type { NewPieces } from "./kitTable.ts";

const made = (): NewPieces => {
  let n = 0;
  return { idOf: () => `k${n++}`, hikerId: "a", fromStopId: "@start", toStopId: "@finish" };
};
const LB = 453.59237;

describe("a line", () => {
  // prettier-ignore
  test.each([
    ["tent 2lb 3oz", { name: "tent", massG: 2 * LB + (3 * LB) / 16, ratings: { role: "shelter" } }],
    ["quilt 20F 680 g", { name: "quilt 20F", massG: 680, ratings: { role: "bag", comfortC: -6.7 } }],
    ["stove 73", { name: "stove", massG: 73, ratings: { role: "stove" } }],
    ["2x bottle 1 L 38g", { name: "bottle 1 L", massG: 38, quantity: 2, ratings: { role: "bottle", capacityL: 1 } }],
    ["bag -12C", { name: "bag -12C", massG: undefined, ratings: { role: "bag", comfortC: -12 } }],
    ["sleeping bag −12 °C, 1.240 kg", { massG: 1240, ratings: { role: "bag", comfortC: -12 } }],
    ["pad R 4.2", { name: "pad R 4.2", massG: undefined, ratings: { role: "pad", padR: 4.2 } }],
    ["Sleeping pad R4.2 - 410 g", { name: "Sleeping pad R4.2", massG: 410, ratings: { padR: 4.2 } }],
    ["poles (worn)", { name: "poles", massG: undefined, wear: "worn" }],
    ["- rain jacket 198 g worn", { name: "rain jacket", massG: 198, wear: "worn" }],
    ["[x] Kocher 85 g", { name: "Kocher", massG: 85, ratings: { role: "stove" } }],
    ["Schlafsack 0 °C 850 g", { massG: 850, ratings: { role: "bag", comfortC: 0 } }],
    ["Zelt, geteilt, 1,2 kg", { name: "Zelt", massG: 1200, shared: true, ratings: { role: "shelter" } }],
    ["Rucksack 45 L: 980 g", { name: "Rucksack 45 L", massG: 980, ratings: { role: "pack" } }],
    ["power bank 10000 mAh 180 g", { name: "power bank 10000 mAh", massG: 180, ratings: {} }],
    ["headlamp 400 lumens 72", { massG: 72 }],
    ["tent stakes x8 96 g", { name: "tent stakes", massG: 96, quantity: 8, ratings: {} }],
    ["Socken (3) 48 g", { name: "Socken", massG: 48, quantity: 3 }],
    ["Hering 6 Stück 12g", { name: "Hering", massG: 12, quantity: 6 }],
    ["sac de couchage 900 g", { ratings: { role: "bag" }, massG: 900 }],
    ["mochila 1.1 kg", { ratings: { role: "pack" }, massG: 1100 }],
    ["trail runners 310 g worn", { wear: "worn", ratings: { role: "shoes" } }],
    ["fuel bottle 30 g", { ratings: {} }],
    ["pack liner 42", { name: "pack liner", massG: 42, ratings: {} }],
    ["wool shirt $70 150 g", { name: "wool shirt", massG: 150, price: 70 }],
    ["camera 400 g at home", { name: "camera", atHome: true }],
    ["sunscreen 90g consumable", { wear: "consumable", massG: 90 }],
    ["bear canister 11.5 L 1160 g", { ratings: { role: "hard-canister", capacityL: 11.5 } }],
    ["10.5 oz fleece", { name: "fleece", massG: (10.5 * LB) / 16 }],
    ["water bladder 2000ml 75g", { ratings: { role: "bottle", capacityL: 2 }, massG: 75 }],
  ])("%s", (line, truth) => {
    const read = readKitLine(line);
    const { massG, ...rest } = truth as { massG?: number } & Record<string, unknown>;
    expect(read).toMatchObject(rest);
    const found = (read as { massG: number | undefined }).massG;
    if ("massG" in truth && massG === undefined) expect(found).toBeUndefined();
    else if (massG !== undefined) expect(found).toBeCloseTo(massG, 6);
  });

  test("ratings that no piece can have stay words; a hostile line is read in no time and stores nothing odd", () => {
    const odd = [
      "quilt 9000F 680 g",
      "bottle 5000 L 38 g",
      "\u200b 5 g",
      `x${" ".repeat(200_000)}y`,
      `${"1,".repeat(90_000)} g`,
    ];
    const { pieces } = readKitLines(odd.join("\n"), made());
    expect(pieces.slice(0, 2).map(({ comfortC, capacityL }) => [comfortC, capacityL])).toEqual([
      [undefined, undefined],
      [undefined, undefined],
    ]);
    expect(pieces.some(({ name }) => name === "\u200b")).toBe(false);
    for (const { name } of pieces) expect(name.length).toBeLessThanOrEqual(500);
  });

  test("a weight out of bounds is a sentence", () => {
    expect(readKitLine("anvil 60 kg")).toMatch(/50 kg/);
  });
});

describe("a list", () => {
  test("headings are groups, totals and empty lines are none, and what has no weight is kept and told", () => {
    const { pieces, problems } = readKitLines(
      ["# Shelter", "Tent 842 g", "", "SLEEP", "quilt 20F 680g", "pad R 4", "Kitchen:", "pot 90", "Total 1612 g"].join(
        "\n",
      ),
      made(),
    );
    expect(pieces.map(({ name, group, massG }) => [name, group, massG])).toEqual([
      ["Tent", "Shelter", 842],
      ["quilt 20F", "Sleep", 680],
      ["pad R 4", "Sleep", 0],
      ["pot", "Kitchen", 90],
    ]);
    expect(problems.map(({ place, severity }) => [place, severity])).toEqual([
      ["line 6", "caution"],
      ["line 9", "note"],
    ]);
  });

  test("numbers without a unit are in what most others are in; what stays at home is on the shelf", () => {
    const { pieces } = readKitLines("tent 31 oz\nquilt 24 oz\nstove 2.6\nchair 16 oz at home", made());
    expect(pieces[2]!.massG).toBeCloseTo((2.6 * LB) / 16, 6);
    expect(pieces.map(({ spans }) => spans.length)).toEqual([1, 1, 1, 0]);
  });

  test("twenty-five pasted lines are twenty-five pieces", () => {
    const text = Array.from({ length: 25 }, (_, i) => `thing ${String.fromCharCode(97 + i)} ${10 + i} g`).join("\r\n");
    const { pieces, problems } = readKitLines(text, made());
    expect(pieces).toHaveLength(25);
    expect(problems).toEqual([]);
  });
});
