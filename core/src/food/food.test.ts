/** Foods, mixes and menus: figures add up, whatever they are made of. */
import fc from "fast-check";
import { describe, expect, test } from "vitest";
import { MEALS } from "../plan/ids.ts";
import { pantryFoodSchema, type Food } from "../plan/pantrySchema.ts";
import { partsOfMixes, soldAt } from "./mixes.ts";
import { buildPantry, holdsItself } from "./figures.ts";
import { dayMenu, menuFigures, menuOn, menuPlan, MOST_SCALE } from "./menu.ts";
import { startingFoods, startingMenus } from "./starting.ts";

const food = (id: string, fields: Partial<Food>): Food => pantryFoodSchema.parse({ id, name: id, ...fields });

describe("the pantry one begins with", () => {
  const foods = startingFoods();
  const singles = foods.filter(({ parts }) => parts.length === 0);

  test("holds at least 80 foods and 10 mixes, each once, all that its mixes and menus name", () => {
    expect(singles.length).toBeGreaterThanOrEqual(80);
    expect(foods.length - singles.length).toBeGreaterThanOrEqual(10);
    const ids = new Set(foods.map(({ id }) => id));
    expect(ids.size).toBe(foods.length);
    const named = [
      ...foods.flatMap(({ parts }) => parts.map(({ foodId }) => foodId)),
      ...startingMenus().flatMap(({ meals }) => MEALS.flatMap((meal) => meals[meal].map(({ foodId }) => foodId))),
    ];
    expect(named.filter((id) => !ids.has(id))).toEqual([]);
  });

  test.each(singles.map((row) => [row.name, row] as const))("%s: its energy is that of its nutrients", (_, row) => {
    const { energyKcal, proteinG, fatG, carbohydrateG, fibreG } = row;
    const atwater = 4 * proteinG + 9 * fatG + 4 * carbohydrateG + 2 * fibreG;
    // A tenth and ten kilocalories: tables round, and some fibre is counted in.
    expect(Math.abs(atwater - energyKcal)).toBeLessThan(0.1 * energyKcal + 10);
    expect(proteinG + fatG + carbohydrateG + fibreG).toBeLessThanOrEqual(101);
  });

  test.each(startingMenus().map((menu) => [menu.name, menu] as const))("%s feeds a day as days are fed", (_, menu) => {
    const { energyKcal, meals, shares } = dayMenu(menuFigures(menu, buildPantry(foods)), 3000);
    const massG = meals.breakfast.massG + meals.way.massG + meals.dinner.massG;
    expect(energyKcal).toBeCloseTo(3000, 6);
    expect(energyKcal / massG).toBeGreaterThan(4);
    expect(energyKcal / massG).toBeLessThan(5);
    expect(shares.breakfast).toBeGreaterThan(0.12);
    expect(shares.dinner).toBeGreaterThan(0.2);
    expect(shares.way).toBeGreaterThan(0.35);
  });
});

describe("mixes", () => {
  test("are the sum of their parts, by the gram, and a mix of mixes as well", () => {
    const foods = [
      food("a", { energyKcal: 400, proteinG: 10, bulkKgPerL: 0.5, price: 1 }),
      food("b", { energyKcal: 100, proteinG: 30, bulkKgPerL: 1, price: 3 }),
      food("ab", {
        parts: [
          { id: "a", foodId: "a", massG: 30 },
          { id: "b", foodId: "b", massG: 10 },
        ],
        eaten: "boiled",
        waterL: 0.3,
      }),
      food("abb", {
        parts: [
          { id: "ab", foodId: "ab", massG: 40 },
          { id: "b", foodId: "b", massG: 40 },
        ],
      }),
    ];
    const pantry = buildPantry(foods);
    const ab = pantry.get("ab")!;
    expect(ab.energyKcal).toBeCloseTo((30 * 4 + 10 * 1) / 40, 12);
    expect(ab.volumeL).toBeCloseTo((0.03 / 0.5 + 0.01 / 1) / 40, 12);
    expect(ab.boiledL).toBeCloseTo(0.003, 12);
    const abb = pantry.get("abb")!;
    expect(80 * abb.proteinG).toBeCloseTo(30 * 0.1 + 50 * 0.3, 12);
    expect(80 * abb.price).toBeCloseTo(0.3 + 1.5, 12);
    // How its parts would be cooked is not how the mix is.
    expect(abb.boiledL).toBe(0);
  });

  test("that hold themselves are named, and have figures all the same", () => {
    const foods = [
      food("x", { energyKcal: 400 }),
      food("m", {
        parts: [
          { id: "n", foodId: "n", massG: 10 },
          { id: "x", foodId: "x", massG: 10 },
        ],
      }),
      food("n", {
        parts: [
          { id: "m", foodId: "m", massG: 10 },
          { id: "gone", foodId: "gone", massG: 5 },
        ],
      }),
    ];
    expect(foods.filter((row) => holdsItself(row, foods)).map(({ id }) => id)).toEqual(["m", "n"]);
    expect(startingFoods().filter((row) => holdsItself(row, startingFoods()))).toEqual([]);
    for (const figures of buildPantry(foods).values())
      for (const value of Object.values(figures)) expect(Number.isFinite(value)).toBe(true);
  });
});

test("thousands of mixes in one another, and mixes of forty mixes each, are worked out all the same", () => {
  const chain = Array.from({ length: 5000 }, (_, i) =>
    food(`c${i}`, i === 4999 ? { energyKcal: 400 } : { parts: [{ id: "p", foodId: `c${i + 1}`, massG: 10 }] }),
  );
  expect(buildPantry(chain).get("c4990")!.energyKcal).toBeCloseTo(4, 9);
  const wide = Array.from({ length: 8 }, (_, level) =>
    Array.from({ length: 40 }, (_, i) =>
      food(
        `w${level}-${i}`,
        level === 7
          ? { energyKcal: 100 }
          : { parts: Array.from({ length: 40 }, (_, k) => ({ id: `p${k}`, foodId: `w${level + 1}-${k}`, massG: 5 })) },
      ),
    ),
  ).flat();
  expect(buildPantry(wide).get("w0-0")!.energyKcal).toBeCloseTo(1, 9);
  expect(soldAt(wide, "smallShop").has("w0-0")).toBe(false);
  expect(partsOfMixes(wide).get("w0-0")!.size).toBe(40);
});

describe("a menu's day", () => {
  const foods = [food("fat", { energyKcal: 800 }), food("bread", { energyKcal: 250 }), food("tea", {})];
  const items = fc.array(
    fc.record({
      id: fc.uuid(),
      foodId: fc.constantFrom("fat", "bread", "tea", "gone"),
      massG: fc.integer({ min: 0, max: 300 }),
      grows: fc.boolean(),
    }),
    { maxLength: 4 },
  );
  const menus = fc.record({ breakfast: items, way: items, dinner: items, drinks: items });

  test("meets the need where something grows and it is not far beyond, and its meals add up", () => {
    fc.assert(
      fc.property(menus, fc.integer({ min: 500, max: 6000 }), (meals, needKcal) => {
        const figures = menuFigures({ id: "m", name: "m", meals }, buildPantry(foods));
        const { energyKcal, scale, meals: eaten, shares } = dayMenu(figures, needKcal);
        const { fixed, growing } = figures.all;
        const least = fixed.energyKcal;
        const most = fixed.energyKcal + MOST_SCALE * growing.energyKcal;
        expect(energyKcal).toBeCloseTo(Math.min(most, Math.max(least, needKcal)), 6);
        expect(scale).toBeGreaterThanOrEqual(0);
        const sum = eaten.breakfast.massG + eaten.way.massG + eaten.dinner.massG;
        expect(sum).toBeCloseTo(fixed.massG + scale * growing.massG, 6);
        if (energyKcal > 0) expect(shares.breakfast + shares.way + shares.dinner).toBeCloseTo(1, 9);
      }),
    );
  });

  test("a day's own menu goes before its leg's, then one without a flame, of a dry camp, of a cold day, and the usual one", () => {
    const row = (id: string) => ({
      id,
      name: id,
      meals: { breakfast: [], way: [{ id: "fat", foodId: "fat", massG: 100, grows: true }], dinner: [], drinks: [] },
    });
    const menus = ["u", "c", "l", "d", "n", "y"].map(row);
    const plan = menuPlan({
      choice: {
        defaultId: "u",
        coldId: "c",
        coldBelowC: 3,
        noFlameId: "n",
        dryCampId: "y",
        legs: [{ fromStopId: "s", menuId: "l" }],
        days: [{ date: "2027-05-01", menuId: "d" }],
      },
      menus,
      foods,
    })!;
    const may1 = 20_939;
    const on = (fromStopId: string, day: number, meanC: number, noFlame = false, dryCamp = false): string =>
      menuOn(plan, { fromStopId, day, meanC, noFlame, dryCamp }).id;
    expect(on("s", may1, 0, true, true)).toBe("d");
    expect(on("s", may1 + 1, 0, true, true)).toBe("l");
    expect(on("t", may1 + 1, 0, true, true)).toBe("n");
    expect(on("t", may1 + 1, 0, false, true)).toBe("y");
    expect(on("t", may1 + 1, 3)).toBe("c");
    expect(on("t", may1 + 1, 3.1)).toBe("u");
    // A menu that feeds nobody is none.
    expect(
      menuPlan({ choice: { defaultId: "gone", coldBelowC: 3, legs: [], days: [] }, menus, foods }),
    ).toBeUndefined();
  });
});
