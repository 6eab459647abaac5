/**
 * What the log says of the hiker: y = ln(fact/plan) of every card, a normal prior about 0 with spread τ, days that differ by
 * σ and hang together by r. n_eff = n (1 − r)/(1 + r) with n the sum of the weights, older cards weighing half after thirty days;
 * posterior = n_eff ȳ / (n_eff + σ²/τ²), its spread σ / √(n_eff + σ²/τ²) [H]. σ² itself is drawn from the cards: (8 σ₀² + Σ w (y − ȳ)²) /
 * (8 + n − 1). τ, σ₀ and r are judgement [L]. Said to have changed where the posterior is beyond 1.645 spreads and 3 %.
 */
import { choiceOf, resolveHiker } from "../models/hiker.ts";
import { FITTED } from "../plan/ids.ts";
import type { Hiker, Plan } from "../plan/schema.ts";
import { storeOf } from "../power/power.ts";
import type { PlanFigures } from "../result/result.ts";
import { cardsOf, type CardFigures } from "./cards.ts";
import { campLitres, leftLess, partsOf, walkLitres } from "./dayFacts.ts";

export type Fitted = (typeof FITTED)[number];

interface Prior {
  tau: number;
  sigma: number;
  r: number;
}

export const PRIORS: Readonly<Record<Fitted, Prior>> = {
  pace: { tau: 0.1, sigma: 0.15, r: 0.3 },
  hours: { tau: 0.15, sigma: 0.2, r: 0.3 },
  breaks: { tau: 0.4, sigma: 0.4, r: 0.2 },
  food: { tau: 0.15, sigma: 0.25, r: 0.2 },
  litres: { tau: 0.3, sigma: 0.3, r: 0.3 },
  fuel: { tau: 0.3, sigma: 0.3, r: 0.2 },
  charge: { tau: 0.3, sigma: 0.3, r: 0.2 },
};

const PRIOR_DAYS = 8;
const HALF_AGE_DAYS = 30;
const Z_90 = 1.645;
const LEAST_CHANGE = 0.03;

export interface Observed {
  /** ln(fact/plan). */
  y: number;
  ageDays: number;
}

export interface Fit {
  what: Fitted;
  cards: number;
  /** Days that they are worth. */
  days: number;
  /** ln of the factor: the most likely, and its spread. */
  posterior: number;
  spread: number;
  factor: number;
  hasChanged: boolean;
}

export function fitOf(what: Fitted, observed: readonly Observed[]): Fit {
  const { tau, sigma, r } = PRIORS[what];
  const weights = observed.map(({ ageDays }) => 0.5 ** (Math.max(0, ageDays) / HALF_AGE_DAYS));
  const n = weights.reduce((sum, weight) => sum + weight, 0);
  const mean = n > 0 ? observed.reduce((sum, { y }, i) => sum + weights[i]! * y, 0) / n : 0;
  const squares = observed.reduce((sum, { y }, i) => sum + weights[i]! * (y - mean) ** 2, 0);
  const variance = n > 1 ? (PRIOR_DAYS * sigma ** 2 + squares) / (PRIOR_DAYS + n - 1) : sigma ** 2;
  const days = (n * (1 - r)) / (1 + r);
  const worth = days + variance / tau ** 2;
  const posterior = (days * mean) / worth;
  const spread = Math.sqrt(variance / worth);
  return {
    what,
    cards: observed.length,
    days,
    posterior,
    spread,
    factor: Math.exp(posterior),
    hasChanged: Math.abs(posterior) > Z_90 * spread && Math.abs(Math.expm1(posterior)) > LEAST_CHANGE,
  };
}

/** Of all that the cards tell something of, in the order of `FITTED`. */
export function fitLog(plan: Plan, result: PlanFigures): Fit[] {
  const cards = cardsOf(plan, result).filter(({ faults }) => faults.length === 0);
  const last = cards.at(-1)?.day ?? 0;
  return FITTED.flatMap((what) => {
    const taken = learnedOf(plan, what);
    const observed = cards.flatMap((figures, i): Observed[] => {
      const y = ratioOf(what, figures, cards[i - 1], { plan, result });
      // Against the plan as it was before anything was learnt: else the same cards would be counted twice.
      return y !== undefined && Number.isFinite(y) ? [{ y: y + Math.log(taken), ageDays: last - figures.day }] : [];
    });
    return observed.length > 0 ? [fitOf(what, observed)] : [];
  });
}

/** The factor that the plan has in it already. */
export function learnedOf({ learned }: Pick<Plan, "learned">, what: Fitted): number {
  return learned.find((one) => one.what === what)?.factor ?? 1;
}

/** Less ground than this says nothing of a pace, and fewer hours are a nero. */
const LEAST_GROUND_H = 1;
/** A plan that has less than this of something is no measure of it. */
const LEAST_PLAN = { kg: 0.05, g: 2, L: 0.5, Wh: 1, breaks: 0.02 } as const;

/** ln(fact/plan) of a card; undefined where it says nothing of the kind. */
function ratioOf(
  what: Fitted,
  { card, sinceDays, groundH, wantedH }: CardFigures,
  before: CardFigures | undefined,
  { plan, result }: { plan: Plan; result: PlanFigures },
): number | undefined {
  if (sinceDays !== 1) return undefined;
  const { walkedH = 0 } = card;
  switch (what) {
    case "pace":
      // The plan's hours for this ground over those that it took: a higher factor is faster.
      return walkedH > 0 && groundH >= LEAST_GROUND_H ? Math.log(groundH / walkedH) : undefined;
    case "hours":
      return walkedH >= LEAST_GROUND_H && !endsAtStop(card.night) ? logRatio(walkedH, wantedH, 0) : undefined;
    case "breaks": {
      const { breakFraction } = plan.hikers[0]!.pace;
      if (walkedH < LEAST_GROUND_H || card.breakH === undefined) return undefined;
      return logRatio(card.breakH / walkedH, breakFraction, LEAST_PLAN.breaks);
    }
    case "food":
      return logRatio(leftLess(before?.card.foodKg, card.foodKg), eatenOn(result, card.date), LEAST_PLAN.kg);
    case "litres": {
      if (card.drankL === undefined || endsAtStop(card.night)) return undefined;
      return logRatio(card.drankL - campLitres(plan), walkLitres(partsOf(result, card.date)), LEAST_PLAN.L);
    }
    case "fuel": {
      const planned = 1000 * partsOf(result, card.date).reduce((sum, { fuelKg }) => sum + fuelKg[0]!, 0);
      return logRatio(leftLess(before?.card.fuelG, card.fuelG), planned, LEAST_PLAN.g);
    }
    case "charge": {
      const store = result.power && storeOf(result.power, plan.hikers[0]!.id);
      const at = result.days.findIndex(({ date }) => date === card.date);
      const day = store?.days[at];
      if (!store || !day || day.wallWh > 0 || day.solarWh > 0) return undefined;
      const went = leftLess(before?.card.chargeFraction, card.chargeFraction);
      const { capacityWh } = store.legs[day.legIndex]!;
      return logRatio(went === undefined ? undefined : went * capacityWh, day.usedWh, LEAST_PLAN.Wh);
    }
  }
}

function logRatio(fact: number | undefined, planned: number, least: number): number | undefined {
  return fact !== undefined && fact > 0 && planned > least ? Math.log(fact / planned) : undefined;
}

/** A day that ends in town is as long as the way to it. */
const endsAtStop = (night: string): boolean => night === "stop";

/** Of the leg's food, the share of that day by its need. */
function eatenOn({ days, legs }: PlanFigures, date: string): number {
  const of = partsOf({ days }, date);
  const [first] = of;
  if (!first || of.length !== 1) return 0;
  const leg = days.filter(({ legIndex }) => legIndex === first.legIndex);
  const need = leg.reduce((sum, { energyKcal }) => sum + energyKcal[0]!, 0);
  return need > 0 ? (legs[first.legIndex]!.hikers[0]!.food.eatenKg * first.energyKcal[0]!) / need : 0;
}

const asLearned = ({ what, factor }: Pick<Fit, "what" | "factor">) => ({ what, factor: within(factor, 0.1, 10) });

const within = (value: number, low: number, high: number): number => Math.min(high, Math.max(low, value));

/** The plan with what was learnt of the first hiker; the past stays as the log has it. */
export function withFits(
  plan: Plan,
  result: Pick<PlanFigures, "legs" | "days">,
  fits: readonly Pick<Fit, "what" | "factor">[],
): Plan {
  const factor = (what: Fitted): number => {
    const fit = fits.find((one) => one.what === what);
    return fit ? fit.factor / learnedOf(plan, what) : 1;
  };
  const learned = [
    ...plan.learned.filter(({ what }) => !fits.some((fit) => fit.what === what)),
    ...fits.map(asLearned),
  ];
  const [pace, hours, breaks, food, fuel] = [factor("pace"), factor("hours"), factor("breaks"), factor("food"), factor("fuel")]; // prettier-ignore
  const boilG = plan.hikers[0]!.stove.gramsPerBoil ?? result.legs[0]?.hikers[0]!.fuel.gramsPerBoil ?? 0;
  return {
    ...plan,
    learned,
    devices: withUse(plan, factor("charge")),
    hikers: plan.hikers.map((hiker, h) => {
      // All walk together: pace and hours are the party's; what is eaten and burnt was the first your.
      const walked = {
        ...hiker,
        pace: {
          ...hiker.pace,
          speedFactor: within(hiker.pace.speedFactor * pace, 0.3, 2),
          hoursFreshH: within(hiker.pace.hoursFreshH * hours, 1, 20),
          hoursFitH: within(hiker.pace.hoursFitH * hours, 1, 20),
          breakFraction: within(hiker.pace.breakFraction * breaks, 0, 1),
          ramp: hiker.pace.ramp.map((row) => ({ ...row, hoursH: within(row.hoursH * hours, 1, 20) })),
        },
      };
      if (h > 0) return walked;
      return {
        ...walked,
        water: withLitres(hiker, result, factor("litres")),
        food: {
          ...hiker.food,
          appetiteByWeek: hiker.food.appetiteByWeek.map((share) => within(share * food, 0.3, 1.5)),
        },
        stove: fuel === 1 || boilG <= 0 ? hiker.stove : { ...hiker.stove, gramsPerBoil: within(boilG * fuel, 0, 500) },
      };
    }),
  };
}

/** Field rules by their rates; a balance gives way to the litres an hour that were found. */
function withLitres(hiker: Hiker, { days }: Pick<PlanFigures, "days">, factor: number): Hiker["water"] {
  const { water } = hiker;
  const rates = {
    ratePerKmL: within(water.ratePerKmL * factor, 0, 1),
    ratePerHourL: within(water.ratePerHourL * factor, 0, 2),
  };
  if (factor === 1) return water;
  if (water.measuredLph !== undefined) return { ...water, measuredLph: within(water.measuredLph * factor, 0, 2) };
  if (resolveHiker(choiceOf(hiker)).water.rule) return { ...water, ...rates };
  const walkH = days.reduce((sum, day) => sum + day.walkH, 0);
  const litres = days.reduce((sum, { walkL }) => sum + walkL[0]!, 0);
  return walkH > 0 ? { ...water, measuredLph: within((factor * litres) / walkH, 0, 2) } : water;
}

/** Of the store that the first hiker lives out of. */
function withUse({ devices, charge, hikers }: Plan, factor: number): Plan["devices"] {
  if (factor === 1) return devices;
  return devices.map((device) =>
    charge.stores === "shared" || device.ownerId === hikers[0]!.id
      ? {
          ...device,
          whPerDay: within(device.whPerDay * factor, 0, 500),
          whPerWalkH: within(device.whPerWalkH * factor, 0, 100),
        }
      : device,
  );
}
