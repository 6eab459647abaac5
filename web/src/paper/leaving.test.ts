/** The departure sheet of one hiker: that hiker's food, and apart from it what is bought for everyone. */
import { buildPantry, legBags, shoppingLists } from "@gepack/core";
import { expect, test } from "vitest";
import { demo } from "../../test/plans.ts";
import { sayIn } from "../words/say.ts";
import { leavingWords } from "./leaving.ts";

const grams = (text: string | undefined): number => Number((text ?? "").replace(/[^\d]/g, ""));

test("each hiker's own food sums up to its head, as Food has it; what is bought is for all, and sums up too", () => {
  const { plan, result } = demo();
  const pantry = buildPantry(plan.foods);
  const bags = plan.hikers.map((_, who) => legBags(plan, result, who, pantry));
  const shopping = shoppingLists(bags, plan.foods);
  expect(plan.hikers.length).toBeGreaterThan(1);
  let compared = 0;
  for (const [who, own] of bags.entries())
    for (const bag of own.slice(0, 8)) {
      const { legIndex } = bag;
      const list = shopping.find((one) => one.legIndex === legIndex);
      const { parts } = leavingWords({ plan, result, legIndex, who, shopping: list, bag, say: sayIn(plan) });
      const food = parts.find(({ name }) => name === "Food")!;
      const lines = food.lines.filter(({ of }) => of === "food");
      expect(lines.map(({ text }) => text)).toEqual(bag.items.map((item) => item.food.name));
      const [kg, kcal] = food.figure!.split(", ");
      // Heads are told to a tenth of a kilogram, lines to a gram.
      expect(Math.abs(lines.reduce((sum, { figure }) => sum + grams(figure), 0) / 1000 - parseFloat(kg!))).toBeLessThan(
        0.06,
      );
      expect(grams(kcal)).toBe(Math.round(bag.figures.energyKcal));
      const bought = parts.find(({ name }) => name === "Buy here, for everyone");
      expect(bought?.lines.map(({ text }) => text) ?? []).toEqual(list!.bought.map((item) => item.food.name));
      for (const { small } of bought?.lines ?? []) expect(small ?? "").not.toMatch(/^1 packs/);
      if (bought) {
        const sum = bought.lines.reduce((all, { figure }) => all + grams(figure), 0);
        expect(Math.abs(sum - grams(bought.figure))).toBeLessThan(bought.lines.length);
        compared++;
      }
    }
  expect(compared).toBeGreaterThan(3);
});
