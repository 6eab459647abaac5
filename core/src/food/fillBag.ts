/**
 * The bag that fills itself: whole portions of foods, so that a target of energy is met at the least mass, money or
 * cooking within limits. An integer programme, solved exactly by branch and bound (Land & Doig 1960) on the simplex;
 * `proven` says whether the search came to its end.
 */
import { solve } from "yalps";
import { NO_FOOD, plusFood, type FoodFigures } from "./figures.ts";
import { DAY_MEALS, type DayMeal } from "./menu.ts";

/** A portion of a food, and how many there may be. */
export interface Portion {
  foodId: string;
  meal: DayMeal;
  figures: FoodFigures;
  minutes: number;
  /** There already, or wished for; and the most of it. */
  least: number;
  most: number;
}

export const LEAST = ["mass", "money", "cooking"] as const;
export type Least = (typeof LEAST)[number];

/** What is not named is not limited. */
export interface FillLimits {
  least: Least;
  energyKcal: number;
  proteinG?: number | undefined;
  /** Shares of the energy that each meal brings at the least. */
  mealFractions?: Partial<Record<DayMeal, number>> | undefined;
  mostFatFraction?: number | undefined;
  mostVolumeL?: number | undefined;
  mostPrice?: number | undefined;
  mostWaterL?: number | undefined;
  mostBoiledL?: number | undefined;
  leastKinds?: number | undefined;
}

export const LIMITS = [
  "energy",
  "protein",
  "breakfast",
  "way",
  "dinner",
  "fat",
  "volume",
  "price",
  "water",
  "boils",
  "kinds",
  "portions",
] as const;
export type Limit = (typeof LIMITS)[number];

export interface Filled {
  items: { foodId: string; count: number }[];
  figures: FoodFigures;
  minutes: number;
  /** Limits without which it would be better yet. */
  binding: Limit[];
  /** Nothing is better within the limits. */
  proven: boolean;
}

export interface Impossible {
  /** Limits of which giving up any one alone makes it possible. */
  impossible: Limit[];
  /** The most energy within all the others. */
  mostEnergyKcal: number;
}

// Atwater's factor, as on labels.
const KCAL_PER_G_FAT = 9;
const PATIENCE_MS = 2500;
/** A gram, a hundredth of money or a tenth of a minute better is better. */
const BETTER = 1e-3;

/** A bound on a sum over portions. */
interface Rule {
  limit: Limit;
  min?: number;
  max?: number;
  of: (portion: Portion) => number;
}

export function fillBag(portions: readonly Portion[], limits: FillLimits): Filled | Impossible {
  const rules = rulesOf(limits);
  const best = solved(portions, limits.least, rules);
  if (!best) return impossible(portions, limits.least, rules);
  const binding = rules.filter((rule) => {
    if (rule.limit === "energy" || slackOf(rule, best.counts, portions) > largestStep(rule, portions)) return false;
    const without = solved(
      portions,
      limits.least,
      rules.filter((other) => other !== rule),
    );
    return without !== undefined && without.cost < best.cost - BETTER;
  });
  const free = portions.map((portion) => ({ ...portion, most: Infinity }));
  const capped = portions.some(({ most }, i) => best.counts[i]! >= most);
  const uncapped = capped ? solved(free, limits.least, rules) : undefined;
  return {
    items: portions.flatMap(({ foodId }, i) => (best.counts[i]! > 0 ? [{ foodId, count: best.counts[i]! }] : [])),
    figures: portions.reduce((sum, { figures }, i) => plusFood(sum, figures, best.counts[i]), NO_FOOD),
    minutes: portions.reduce((sum, { minutes }, i) => sum + minutes * best.counts[i]!, 0),
    binding: [
      ...binding.map(({ limit }) => limit),
      ...(uncapped && uncapped.cost < best.cost - BETTER ? (["portions"] as const) : []),
    ],
    proven: best.proven,
  };
}

/** Every limit as a bound on a sum. */
function rulesOf(limits: FillLimits): Rule[] {
  const rules: Rule[] = [];
  const least = (limit: Limit, min: number | undefined, of: Rule["of"]): void =>
    void (min !== undefined && min > 0 && rules.push({ limit, min, of }));
  const most = (limit: Limit, max: number | undefined, of: Rule["of"]): void =>
    void (max !== undefined && rules.push({ limit, max, of }));
  least("energy", limits.energyKcal, ({ figures }) => figures.energyKcal);
  least("protein", limits.proteinG, ({ figures }) => figures.proteinG);
  for (const meal of DAY_MEALS)
    least(meal, (limits.mealFractions?.[meal] ?? 0) * limits.energyKcal, (portion) =>
      portion.meal === meal ? portion.figures.energyKcal : 0,
    );
  const { mostFatFraction } = limits;
  // A share of what is in the bag, not of the target: Σ (9 fat − share · kcal) ≤ 0.
  if (mostFatFraction !== undefined)
    most("fat", 0, ({ figures }) => KCAL_PER_G_FAT * figures.fatG - mostFatFraction * figures.energyKcal);
  most("volume", limits.mostVolumeL, ({ figures }) => figures.volumeL);
  most("price", limits.mostPrice, ({ figures }) => figures.price);
  most("water", limits.mostWaterL, ({ figures }) => figures.waterL);
  most("boils", limits.mostBoiledL, ({ figures }) => figures.boiledL);
  least("kinds", limits.leastKinds, () => 0);
  return rules;
}

interface Solved {
  /** Parallel to the portions. */
  counts: number[];
  cost: number;
  proven: boolean;
}

/** Mass breaks ties of money and of cooking, so that nothing is carried for nothing. */
const TIE = 1e-4;
const COST: Readonly<Record<Least, (portion: Portion) => number>> = {
  mass: ({ figures }) => figures.massG,
  money: ({ figures }) => figures.price + TIE * figures.massG,
  cooking: ({ figures, minutes }) => minutes + 10 * figures.boiledL + TIE * figures.massG,
};

/** Undefined where nothing keeps to the rules. */
function solved(portions: readonly Portion[], least: Least, rules: readonly Rule[]): Solved | undefined {
  const cost = COST[least];
  const constraints = new Map<string, { min?: number; max?: number }>();
  const variables = new Map<string, Map<string, number>>();
  const kinds = rules.find(({ limit }) => limit === "kinds");
  for (const { limit, min, max } of rules)
    constraints.set(limit, { ...(min === undefined ? {} : { min }), ...(max === undefined ? {} : { max }) });
  const integers = new Set<string>();
  const binaries = new Set<string>();
  for (const [i, portion] of portions.entries()) {
    const row = new Map([
      ["cost", cost(portion)],
      [`count ${i}`, 1],
    ]);
    for (const { limit, of } of rules) {
      const value = of(portion);
      if (value !== 0) row.set(limit, value);
    }
    const { least: from, most: to } = portion;
    if (from > 0 || Number.isFinite(to))
      constraints.set(`count ${i}`, { min: from, ...(Number.isFinite(to) ? { max: to } : {}) });
    variables.set(`${i}`, row);
    integers.add(`${i}`);
    if (!kinds) continue;
    // A kind counts where there is one of it.
    row.set(`kind ${i}`, 1);
    constraints.set(`kind ${i}`, { min: 0 });
    variables.set(
      `kind ${i}`,
      new Map([
        ["kinds", 1],
        [`kind ${i}`, -1],
      ]),
    );
    binaries.add(`kind ${i}`);
  }
  const solution = solve(
    { direction: "minimize", objective: "cost", constraints, variables, integers, binaries },
    { tolerance: 0, timeout: PATIENCE_MS, maxIterations: Infinity },
  );
  if (Number.isNaN(solution.result)) return undefined;
  const counts = portions.map(() => 0);
  for (const [key, value] of solution.variables) if (!key.startsWith("kind")) counts[Number(key)] = Math.round(value);
  const total = portions.reduce((sum, portion, i) => sum + counts[i]! * cost(portion), 0);
  return { counts, cost: total, proven: solution.status === "optimal" };
}

/** How far a sum is from its bound. */
function slackOf({ limit, min, max, of }: Rule, counts: readonly number[], portions: readonly Portion[]): number {
  const sum =
    limit === "kinds"
      ? counts.filter((count) => count > 0).length
      : portions.reduce((all, portion, i) => all + counts[i]! * of(portion), 0);
  return Math.min(min === undefined ? Infinity : sum - min, max === undefined ? Infinity : max - sum);
}

/** Further than one portion away a bound cannot hold anything back. */
function largestStep({ limit, of }: Rule, portions: readonly Portion[]): number {
  return limit === "kinds" ? 1 : Math.max(...portions.map((portion) => Math.abs(of(portion))));
}

function impossible(portions: readonly Portion[], least: Least, rules: readonly Rule[]): Impossible {
  const given = rules.filter(
    (rule) =>
      solved(
        portions,
        least,
        rules.filter((other) => other !== rule),
      ) !== undefined,
  );
  const free = portions.map((portion) => ({ ...portion, most: Infinity }));
  const capped = portions.some(({ most }) => Number.isFinite(most));
  const energy = rules.find(({ limit }) => limit === "energy")!;
  const rest = rules.filter((rule) => rule !== energy);
  return {
    impossible: [
      ...given.map(({ limit }) => limit),
      ...(capped && solved(free, least, rules) ? (["portions"] as const) : []),
    ],
    mostEnergyKcal: mostEnergy(portions, rest),
  };
}

/** The most energy that the rules let in; 0 where they contradict each other without it. */
function mostEnergy(portions: readonly Portion[], rules: readonly Rule[]): number {
  const dearer = portions.map((portion) => ({
    ...portion,
    figures: { ...portion.figures, massG: -portion.figures.energyKcal },
  }));
  const found = solved(dearer, "mass", rules);
  return found ? portions.reduce((sum, { figures }, i) => sum + found.counts[i]! * figures.energyKcal, 0) : 0;
}
