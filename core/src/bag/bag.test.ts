/** The bag of a leg holds what the plan carries, to the gram, and what is bought is eaten, left or carried on. */
import fc from "fast-check";
import { beforeAll, describe, expect, test } from "vitest";
import { arbitraryPlan, runs } from "../../test/arbitraryPlan.ts";
import { hikerOf, planOf, stopOf, trackNorth } from "../../test/fixtures.ts";
import { fillBag, type Filled } from "../food/fillBag.ts";
import { buildPantry } from "../food/figures.ts";
import { startingFoods, startingMenus } from "../food/starting.ts";
import { computePlan, type PlanResult } from "../session/session.ts";
import type { Plan } from "../plan/schema.ts";
import { fillLeg, legFill, menuOfBag, priceOfVariety } from "./fillLeg.ts";
import { legBags, shoppingLists, type LegBag } from "./legBag.ts";

const foods = startingFoods();
const menus = startingMenus();
const pantry = buildPantry(foods);

const withMenus = (overrides: Record<string, unknown> = {}): Plan =>
  planOf({
    foods,
    menus,
    hikers: [hikerOf({ menus: { defaultId: "menu-cooked" } })],
    stops: [
      stopOf("small", 70_000, { nights: 1, services: ["shop-small", "bed", "meals"] }),
      stopOf("bare", 130_000, { nights: 1, services: ["bed"] }),
      stopOf("full", 190_000, { nights: 1, services: ["shop-full", "bed", "meals"] }),
    ],
    ...overrides,
  });
const track = trackNorth({ lengthM: 260_000 });

function addsUp(plan: Plan, result: PlanResult, who = 0): LegBag[] {
  const bags = legBags(plan, result, who, pantry);
  for (const bag of bags) {
    const { food } = result.legs[bag.legIndex]!.hikers[who]!;
    expect(bag.figures.massG / 1000).toBeCloseTo(food.startKg, 6);
    expect(bag.eaten.massG / 1000).toBeCloseTo(food.eatenKg, 6);
    // The like of it that a shop sells is less dense by a factor: more of it for the same energy.
    expect(bag.eaten.energyKcal * food.densityFactor).toBeCloseTo(food.menuKcal, 3);
    if (food.eatenKg > 0) expect(food.eatenKg / food.bulkKgPerL).toBeCloseTo(bag.eaten.volumeL, 6);
    for (const { massG, leftG, boughtG, boxG, nowhereG } of bag.items) {
      expect(leftG + boughtG + boxG + nowhereG).toBeCloseTo(massG, 6);
      expect(Math.min(leftG, boughtG, boxG, nowhereG)).toBeGreaterThanOrEqual(0);
    }
  }
  return bags;
}

describe("on a trail with a small shop, none, and a full one", () => {
  let plan: Plan;
  let result: PlanResult;
  let bags: LegBag[];
  beforeAll(() => {
    plan = withMenus();
    result = computePlan(plan, [track]);
    bags = addsUp(plan, result);
  });

  test("every leg has a bag, and what no shop brings lies in it before", () => {
    expect(bags.map(({ supplier }) => supplier)).toEqual(["home", "smallShop", "posted", "fullShop"]);
    const [, before, bare] = bags as [LegBag, LegBag, LegBag];
    expect(result.legs[2]!.foodSold).toBe(false);
    expect(before.figures.massG).toBeGreaterThan(bare.figures.massG);
    // Nothing is bought where nothing is sold: all of it was there.
    for (const { massG, leftG } of bare.items) expect(leftG).toBeCloseTo(massG, 9);
  });

  test("what a small shop does not have is named, and the box of another stop brings it all", () => {
    const missing = bags[1]!.items.filter(({ nowhereG }) => nowhereG > 0).map(({ food }) => food.id);
    expect(missing).toContain("mix-lentil-rice");
    // Its parts are all on the shelf.
    expect(missing).not.toContain("mix-porridge");
    expect(missing).not.toContain("flat-bread");
    const posted = withMenus({
      stops: [stopOf("small", 70_000, { nights: 1, services: ["shop-small", "post", "bed"], foodBy: "drop" })],
    });
    const [, box] = legBags(posted, computePlan(posted, [track]), 0, pantry);
    expect(box!.items.every(({ boughtG, nowhereG }) => boughtG === 0 && nowhereG === 0)).toBe(true);
  });

  test("lists sum over hikers, in whole packs, and cost what the items cost", () => {
    const lists = shoppingLists([bags, bags], foods);
    const [small] = lists.filter(({ stopId }) => stopId === "small");
    const bread = small!.bought.find(({ food }) => food.id === "flat-bread")!;
    const once = bags[1]!.items.find(({ food }) => food.id === "flat-bread")!;
    expect(bread.massG).toBeCloseTo(2 * once.boughtG, 9);
    expect(bread.packs).toBe(Math.ceil((2 * once.boughtG) / bread.food.packG!));
    expect(bread.price).toBeCloseTo((2 * once.boughtG * bread.food.price) / 100, 9);
    // A mix is bought as its parts: as much in all.
    const porridge = bags[1]!.items.find(({ food }) => food.id === "mix-porridge")!;
    expect(small!.mixes).toContainEqual({ id: "mix-porridge", massG: expect.closeTo(2 * porridge.boughtG, 6) });
    const boughtG = bags[1]!.items.reduce((sum, item) => sum + item.boughtG, 0);
    expect(small!.bought.reduce((sum, item) => sum + item.massG, 0)).toBeCloseTo(2 * boughtG, 6);
    expect(small!.bought.map(({ food }) => food.id)).not.toContain("mix-porridge");
  });

  test("in the first week, without appetite, less is wanted of the bag than is burned, and a menu that grows holds it", () => {
    const hungry = (appetiteByWeek: number[]) =>
      computePlan(withMenus({ hikers: [hikerOf({ menus: { defaultId: "menu-cooked" }, food: { appetiteByWeek } })] }), [
        track,
      ]).legs[0]!.hikers[0]!.food;
    const { shortfallFraction } = plan.hikers[0]!.food;
    for (const appetite of [0.75, 1]) {
      const food = hungry([appetite, 1, 1, 1]);
      expect(food.wantedKcal / food.needKcal).toBeCloseTo(appetite * (1 - shortfallFraction), 6);
      expect(food.menuKcal).toBeCloseTo(food.wantedKcal, 3);
    }
  });

  test("a filled bag is met by the menu made of it", () => {
    const filled = fillLeg(plan, result, 0, 3, pantry) as Filled;
    expect(filled.gap).toBeLessThan(10);
    const { mealDays, menuKcal } = result.legs[3]!.hikers[0]!.food;
    const menu = menuOfBag("filled", "Filled", filled, foods, mealDays);
    const taken = withMenus({
      menus: [...menus, menu],
      hikers: [hikerOf({ menus: { defaultId: "menu-cooked", legs: [{ fromStopId: "full", menuId: "filled" }] } })],
    });
    const after = computePlan(taken, [track]);
    const [bag] = addsUp(taken, after).filter(({ legIndex }) => legIndex === 3);
    expect(after.legs[3]!.hikers[0]!.food.menuKcal).toBeCloseTo(menuKcal, -2);
    expect(new Set(bag!.items.map(({ food }) => food.id))).toEqual(new Set(filled.items.map(({ foodId }) => foodId)));
    // Lighter than what it takes the place of.
    expect(bag!.figures.massG).toBeLessThan(bags[3]!.figures.massG);
  });

  test("a filled bag of five days has three kinds of dinner and no food more than twice a day; what that weighs is told", () => {
    const fill = legFill(plan, result, 0, 3, pantry);
    const filled = fillBag(fill.portions, fill.limits) as Filled;
    const { mealDays } = result.legs[3]!.hikers[0]!.food;
    const dinners = filled.items.filter(({ foodId }) => foods.find(({ id }) => id === foodId)!.meal === "dinner");
    expect(dinners.length).toBeGreaterThanOrEqual(Math.ceil((3 / 5) * Math.min(5, mealDays)));
    for (const { count } of filled.items) expect(count).toBeLessThanOrEqual(Math.ceil(2 * mealDays));
    const dull = fillBag(
      fill.portions.map((portion) => ({ ...portion, most: Infinity })),
      { ...fill.limits, leastDinners: undefined },
    ) as Filled;
    expect(priceOfVariety(fill, filled)).toBeCloseTo(filled.figures.massG - dull.figures.massG, 6);
    expect(priceOfVariety(fill, filled)).toBeGreaterThan(0);
    expect(priceOfVariety({ ...fill, limits: { ...fill.limits, least: "money" } }, filled)).toBeUndefined();
  });

  test("only what is sold, may be cooked and is eaten goes in; a canister holds it", () => {
    const picky = withMenus({
      hikers: [
        hikerOf({
          menus: { defaultId: "menu-cooked" },
          stove: { fuel: "none" },
          fill: { without: ["nuts"] },
        }),
      ],
    });
    const { portions, leftOut } = legFill(picky, computePlan(picky, [track]), 0, 1, pantry);
    const why = new Map(leftOut.map((row) => [row.food.id, row.why]));
    expect(why.get("jerky")).toBe("not-sold");
    expect(why.get("oats")).toBe("no-stove");
    expect(why.get("peanuts")).toBe("tag");
    expect(portions.map(({ foodId }) => foodId)).toContain("crackers");
    const limits = legFill(plan, result, 0, 3, pantry).limits;
    const tight = fillBag(legFill(plan, result, 0, 3, pantry).portions, { ...limits, mostVolumeL: 0.5 });
    expect(tight).toMatchObject({ impossible: expect.arrayContaining(["volume"]) });
  });
});

test("bags add up on any plan", () => {
  fc.assert(
    fc.property(arbitraryPlan, fc.constantFrom(...menus.map(({ id }) => id)), ({ plan: any, tracks }, defaultId) => {
      const plan: Plan = {
        ...any,
        foods,
        menus,
        hikers: any.hikers.map((hiker) => ({ ...hiker, menus: { ...hiker.menus, defaultId } })),
      };
      const result = computePlan(plan, tracks);
      for (let who = 0; who < plan.hikers.length; who++) addsUp(plan, result, who);
    }),
    { numRuns: runs(40) },
  );
});

const anyItems = fc.array(
  fc.record({
    id: fc.uuid(),
    foodId: fc.constantFrom("gone", ...foods.map(({ id }) => id)),
    massG: fc.oneof(fc.integer({ min: 0, max: 400 }), fc.constantFrom(1e-6, 5000)),
    grows: fc.boolean(),
  }),
  { maxLength: 4 },
);
const anyMenus = fc
  .array(fc.record({ breakfast: anyItems, way: anyItems, dinner: anyItems, drinks: anyItems }), {
    minLength: 1,
    maxLength: 3,
  })
  .map((rows) => rows.map((meals, i) => ({ id: `m${i}`, name: `m${i}`, meals })));

test("any menus at all give a plan with figures, and its bags add up", () => {
  fc.assert(
    fc.property(
      arbitraryPlan,
      anyMenus,
      fc.integer({ min: -20, max: 20 }),
      ({ plan: any, tracks }, own, coldBelowC) => {
        const eats = {
          defaultId: "m0",
          coldId: own.at(-1)!.id,
          coldBelowC,
          noFlameId: own.at(-1)!.id,
          dryCampId: own.at(-1)!.id,
          legs: [],
          days: [{ date: "2027-03-30", menuId: "m0" }],
        };
        const plan: Plan = {
          ...any,
          foods,
          menus: own,
          hikers: any.hikers.map((hiker) => ({ ...hiker, menus: eats })),
        };
        const result = computePlan(plan, tracks);
        for (const { hikers } of result.legs)
          for (const { food, startKg, volumeL, fuel } of hikers)
            for (const value of [food.startKg, food.bulkKgPerL, startKg, volumeL, fuel.needG])
              expect(Number.isFinite(value) && value >= 0).toBe(true);
        for (let who = 0; who < plan.hikers.length; who++) addsUp(plan, result, who);
      },
    ),
    { numRuns: runs(40) },
  );
});
