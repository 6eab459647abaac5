/** Filled bags against published rows, against every bag there is, and by the laws. */
import fc from "fast-check";
import { expect, test } from "vitest";
import { fillBag, type FillLimits, type Filled, type Portion } from "./fillBag.ts";
import { NO_FOOD } from "./figures.ts";

const portion = (
  [foodId, massG, energyKcal, proteinG, volumeL, price, waterL]: readonly [string, ...number[]],
  least: number,
  most: number,
): Portion => ({
  foodId,
  meal: "way",
  figures: {
    ...NO_FOOD,
    massG: massG!,
    energyKcal: energyKcal!,
    proteinG: proteinG!,
    volumeL: volumeL!,
    price: price!,
    waterL: waterL!,
  },
  minutes: 0,
  least,
  most,
});

// prettier-ignore
const TABLE: readonly Portion[] = [
  portion(["oats", 80, 305, 10, 0.2, 0.4, 0.2], 1, 4),
  portion(["noodles", 90, 400, 8, 0.25, 0.6, 0.45], 1, 4),
  portion(["potato", 100, 354, 8, 0.28, 0.7, 0.45], 0, 3),
  portion(["nut butter", 52, 300, 12, 0.05, 0.7, 0], 0, 5),
  portion(["nuts", 62, 360, 12, 0.11, 1.1, 0], 0, 5),
  portion(["chocolate", 51, 290, 4, 0.07, 0.9, 0], 0, 4),
  portion(["cheese", 63, 242, 15, 0.07, 1, 0], 0, 3),
  portion(["tortilla", 62, 190, 5, 0.1, 0.4, 0], 1, 6),
  portion(["jerky", 42, 164, 13, 0.1, 2.4, 0], 0, 3),
];

// prettier-ignore
test.each([
  [3000, 90, 1.5, 9, 5, 604],
  [3000, 120, 1.5, 9, 5, 677],
  [3000, 90, 1.5, 6.5, 6, 643],
  [4200, 110, 2.2, 14, 7, 821],
])("%i kcal, %i g protein, %f L, price %f, %i kinds weigh %i g", (energyKcal, proteinG, mostVolumeL, mostPrice, leastKinds, massG) => {
  const found = fillBag(TABLE, { least: "mass", energyKcal, proteinG, mostVolumeL, mostPrice, leastKinds });
  expect(found).toMatchObject({ proven: true });
  expect((found as Filled).figures.massG).toBeCloseTo(massG, 6);
});

test("it says what binds, and what would have to give where nothing does", () => {
  const wanted: FillLimits = {
    least: "mass",
    energyKcal: 3000,
    proteinG: 120,
    mostVolumeL: 1.5,
    mostPrice: 9,
    leastKinds: 5,
  };
  const found = fillBag(TABLE, wanted) as Filled;
  expect(found.binding).toContain("protein");
  expect(found.binding).not.toContain("volume");
  const none = fillBag(TABLE, { ...wanted, mostVolumeL: 0.9 });
  expect(none).toMatchObject({ impossible: expect.arrayContaining(["volume"]) });
  expect("mostEnergyKcal" in none && none.mostEnergyKcal).toBeLessThan(3000);
});

const small = fc.record({
  massG: fc.integer({ min: 1, max: 90 }),
  energyKcal: fc.integer({ min: 0, max: 400 }),
  proteinG: fc.integer({ min: 0, max: 20 }),
  fatG: fc.integer({ min: 0, max: 30 }),
  volumeL: fc.integer({ min: 1, max: 30 }).map((dL) => dL / 100),
  price: fc.integer({ min: 0, max: 30 }).map((tenths) => tenths / 10),
  boiledL: fc.constantFrom(0, 0.2, 0.4),
});
const foods = fc
  .array(
    fc.tuple(small, fc.integer({ min: 0, max: 1 }), fc.integer({ min: 1, max: 3 }), fc.integer({ min: 0, max: 9 })),
    {
      minLength: 2,
      maxLength: 5,
    },
  )
  .map((rows) =>
    rows.map(([figures, least, most, minutes], i): Portion => ({
      foodId: `f${i}`,
      meal: (["breakfast", "way", "dinner"] as const)[i % 3]!,
      figures: { ...NO_FOOD, ...figures },
      minutes,
      least,
      most,
    })),
  );
const limits = fc.record({
  least: fc.constantFrom("mass", "money", "cooking"),
  energyKcal: fc.integer({ min: 1, max: 2000 }),
  proteinG: fc.option(fc.integer({ min: 0, max: 60 }), { nil: undefined }),
  mostVolumeL: fc.option(
    fc.integer({ min: 10, max: 150 }).map((cL) => cL / 100),
    { nil: undefined },
  ),
  mostPrice: fc.option(fc.integer({ min: 1, max: 20 }), { nil: undefined }),
  leastKinds: fc.option(fc.integer({ min: 1, max: 4 }), { nil: undefined }),
  leastDinners: fc.option(fc.integer({ min: 1, max: 3 }), { nil: undefined }),
  mostFatFraction: fc.option(fc.constantFrom(0.4, 0.6, 0.8), { nil: undefined }),
  mealFractions: fc.option(fc.record({ breakfast: fc.constantFrom(0, 0.2), dinner: fc.constantFrom(0, 0.3) }), {
    nil: undefined,
  }),
}) as fc.Arbitrary<FillLimits>;

const costOf: Record<FillLimits["least"], (p: Portion) => number> = {
  mass: ({ figures }) => figures.massG,
  money: ({ figures }) => figures.price + 1e-4 * figures.massG,
  cooking: ({ figures, minutes }) => minutes + 10 * figures.boiledL + 1e-4 * figures.massG,
};

/** The least cost of all bags there are. */
function byEnumeration(portions: readonly Portion[], wanted: FillLimits): number {
  let best = Infinity;
  const counts = portions.map(() => 0);
  const total = (of: (p: Portion) => number): number => portions.reduce((sum, p, i) => sum + counts[i]! * of(p), 0);
  const holds = (): boolean =>
    total((p) => p.figures.energyKcal) >= wanted.energyKcal - 1e-7 &&
    total((p) => p.figures.proteinG) >= (wanted.proteinG ?? 0) - 1e-7 &&
    total((p) => p.figures.volumeL) <= (wanted.mostVolumeL ?? Infinity) + 1e-7 &&
    total((p) => p.figures.price) <= (wanted.mostPrice ?? Infinity) + 1e-7 &&
    counts.filter((count) => count > 0).length >= (wanted.leastKinds ?? 0) &&
    counts.filter((count, i) => count > 0 && portions[i]!.meal === "dinner").length >= (wanted.leastDinners ?? 0) &&
    9 * total((p) => p.figures.fatG) <=
      (wanted.mostFatFraction ?? Infinity) * total((p) => p.figures.energyKcal) + 1e-6 &&
    (["breakfast", "dinner"] as const).every(
      (meal) =>
        total((p) => (p.meal === meal ? p.figures.energyKcal : 0)) >=
        (wanted.mealFractions?.[meal] ?? 0) * wanted.energyKcal - 1e-7,
    );
  const from = (i: number): void => {
    if (i === portions.length) {
      if (holds()) best = Math.min(best, total(costOf[wanted.least]));
      return;
    }
    for (let count = portions[i]!.least; count <= portions[i]!.most; count++) {
      counts[i] = count;
      from(i + 1);
    }
    counts[i] = 0;
  };
  from(0);
  return best;
}

test("it is as good as the best of all bags, and says so where there is none", () => {
  fc.assert(
    fc.property(foods, limits, (portions, wanted) => {
      const found = fillBag(portions, wanted);
      const best = byEnumeration(portions, wanted);
      if ("impossible" in found) expect(best).toBe(Infinity);
      else {
        const cost = found.items.reduce(
          (sum, { foodId, count }) => sum + count * costOf[wanted.least](portions.find((p) => p.foodId === foodId)!),
          0,
        );
        expect(cost - best).toBeLessThan({ mass: 1, money: 0.01, cooking: 0.1 }[wanted.least]);
        expect(cost).toBeGreaterThan(best - 1e-6);
      }
    }),
  );
});

test("a limit that is loosened never makes it worse", () => {
  fc.assert(
    fc.property(foods, limits, (portions, wanted) => {
      const tight = fillBag(portions, { ...wanted, least: "mass" });
      const loose = fillBag(portions, {
        ...wanted,
        least: "mass",
        energyKcal: 0.8 * wanted.energyKcal,
        proteinG: undefined,
      });
      if ("impossible" in tight) return;
      expect("figures" in loose && loose.figures.massG).toBeLessThanOrEqual(tight.figures.massG + 1);
    }),
  );
});
