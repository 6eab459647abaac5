/**
 * The bag that fills itself: whole portions of foods, so that a target of energy is met at the least mass, money or
 * cooking within limits. An integer programme; `proven` says whether its search came to the end: then no bag is better
 * by a gram, a hundredth of money or a tenth of a minute.
 */
import { NO_FOOD, plusFood, type FoodFigures } from "./figures.ts";
import { solveWhole } from "./integerProgram.ts";
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
  sodiumMg?: number | undefined;
  /** Shares of the energy that each meal brings at the least. */
  mealFractions?: Partial<Record<DayMeal, number>> | undefined;
  mostFatFraction?: number | undefined;
  mostVolumeL?: number | undefined;
  mostPrice?: number | undefined;
  mostWaterL?: number | undefined;
  mostBoiledL?: number | undefined;
  leastKinds?: number | undefined;
  /** Kinds among the dinners. */
  leastDinners?: number | undefined;
}

export const LIMITS = [
  "energy",
  "protein",
  "sodium",
  "breakfast",
  "way",
  "dinner",
  "fat",
  "volume",
  "price",
  "water",
  "boils",
  "kinds",
  "dinners",
  "portions",
] as const;
export type Limit = (typeof LIMITS)[number];

export interface Filled {
  items: { foodId: string; count: number }[];
  figures: FoodFigures;
  minutes: number;
  /** Limits that cost something, by their dual prices where portions need not be whole. */
  binding: Limit[];
  /** Nothing is better within the limits, but for the grain; else by no more than the gap. */
  proven: boolean;
  gap: number;
}

export interface Impossible {
  /** Limits of which giving up any one alone makes it possible. */
  impossible: Limit[];
  /** The most energy within all the others. */
  mostEnergyKcal: number;
}

// Atwater's factor, as on labels.
const KCAL_PER_G_FAT = 9;

/** A bound on a sum over portions. */
interface Rule {
  limit: Limit;
  min?: number;
  max?: number;
  of: (portion: Portion) => number;
  /** Of each kind that is there, however many portions there are of it. */
  byKind?: true;
}

export function fillBag(portions: readonly Portion[], limits: FillLimits): Filled | Impossible {
  const rules = rulesOf(limits);
  const best = solved(portions, limits.least, rules);
  if (!best) return impossible(portions, limits.least, rules);
  return {
    items: portions.flatMap(({ foodId }, i) => (best.counts[i]! > 0 ? [{ foodId, count: best.counts[i]! }] : [])),
    figures: portions.reduce((sum, { figures }, i) => plusFood(sum, figures, best.counts[i]), NO_FOOD),
    minutes: portions.reduce((sum, { minutes }, i) => sum + minutes * best.counts[i]!, 0),
    binding: best.binding,
    proven: best.gap === 0,
    gap: best.gap,
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
  least("sodium", limits.sodiumMg, ({ figures }) => figures.sodiumMg);
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
  const kinds = (limit: Limit, min: number | undefined, of: Rule["of"]): void =>
    void (min !== undefined && min > 0 && rules.push({ limit, min, of, byKind: true }));
  kinds("kinds", limits.leastKinds, () => 1);
  kinds("dinners", limits.leastDinners, ({ meal }) => (meal === "dinner" ? 1 : 0));
  return rules;
}

interface Solved {
  /** Parallel to the portions. */
  counts: number[];
  cost: number;
  gap: number;
  binding: Limit[];
}

/** Mass breaks ties of money and of cooking, so that nothing is carried for nothing. */
const TIE = 1e-4;
const COST: Readonly<Record<Least, (portion: Portion) => number>> = {
  mass: ({ figures }) => figures.massG,
  money: ({ figures }) => figures.price + TIE * figures.massG,
  cooking: ({ figures, minutes }) => minutes + 10 * figures.boiledL + TIE * figures.massG,
};

/** A gram, a hundredth of money, a tenth of a minute: what differs by less is equal. */
const GRAIN: Readonly<Record<Least, number>> = { mass: 1, money: 0.01, cooking: 0.1 };
const MOST_NODES = 2500;
const DEAR = 1e-6;
/** No bag of one food is larger. */
const MOST_PORTIONS = 1000;

/** Undefined where nothing keeps to the rules. */
function solved(portions: readonly Portion[], least: Least, rules: readonly Rule[]): Solved | undefined {
  const cost = portions.map(COST[least]);
  const kinds = rules.filter(({ byKind }) => byKind);
  // A kind counts, by a column of its own, where there is one of it.
  const wide = kinds.length > 0 ? 2 * portions.length : portions.length;
  const row = (of: (i: number) => number): number[] => Array.from({ length: wide }, (_, i) => of(i));
  const rows = rules
    .filter(({ byKind }) => !byKind)
    .map(({ min, max, of }) => {
      const sign = max === undefined ? 1 : -1;
      const sums = row((i) => (i < portions.length ? sign * of(portions[i]!) : 0));
      return { of: sums, atLeast: sign * (min ?? max!) };
    });
  for (const { of, min } of kinds)
    rows.push({ of: row((i) => (i < portions.length ? 0 : of(portions[i - portions.length]!))), atLeast: min! });
  const counted = (i: number): boolean => kinds.some(({ of }) => of(portions[i]!) > 0);
  for (let k = 0; kinds.length > 0 && k < portions.length; k++)
    if (counted(k)) rows.push({ of: row((i) => (i === k ? 1 : i === portions.length + k ? -1 : 0)), atLeast: 0 });
  const answer = solveWhole({
    cost: row((i) => cost[i] ?? 0),
    least: row((i) => portions[i]?.least ?? 0),
    most: row((i) =>
      i < portions.length ? Math.min(portions[i]!.most, MOST_PORTIONS) : Number(counted(i - portions.length)),
    ),
    rows: rows.map(normal),
    grain: GRAIN[least],
    mostNodes: MOST_NODES,
  });
  if (!answer) return undefined;
  const named = [...rules.filter(({ byKind }) => !byKind), ...kinds];
  const dear = named.flatMap(({ limit }, r) => (limit !== "energy" && answer.duals[r]! > DEAR ? [limit] : []));
  const capped = portions.some((_, i) => answer.atMost[i]);
  return {
    counts: answer.values.slice(0, portions.length),
    cost: answer.cost,
    gap: answer.gap,
    binding: capped ? [...dear, "portions"] : dear,
  };
}

/** Sums of kilocalories beside sums of litres: each row by its largest number. */
function normal({ of, atLeast }: { of: number[]; atLeast: number }): { of: number[]; atLeast: number } {
  const largest = Math.max(...of.map(Math.abs)) || 1;
  return { of: of.map((value) => value / largest), atLeast: atLeast / largest };
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
