/** Every single change of a plan tried by the true model, what it does to the hiker's target and what it costs. */
import type { Check } from "../checks/index.ts";
import type { Trouble } from "../odds/hikes.ts";
import { simulate } from "../odds/simulate.ts";
import { packTotals, tripTotals, type PackFigures, type TripTotals } from "../figures/headline.ts";
import type { Plan } from "../plan/schema.ts";
import type { LegResult, PlanFigures } from "../result/result.ts";
import type { PlanResult, Session } from "../session/session.ts";
import { isWalked, nodeOf } from "../track/place.ts";
import { leversOf, withLever, type Lever, type LeverField } from "./lever.ts";

/** What is to become less. */
export const LEVER_TARGETS = ["heaviest", "leg", "mean", "kg-km", "days", "money", "food", "water", "cold"] as const;
export type LeverTarget = (typeof LEVER_TARGETS)[number];

const CHANCES: Partial<Record<LeverTarget, Trouble>> = { food: "food", water: "water", cold: "cold" };

/** Of one hiker, but days and money, which are the party's. */
export interface LeverFigures extends TripTotals, Pick<PackFigures, "heaviestKg" | "heaviestLeg" | "meanKg" | "kgKm"> {
  /** Heaviest on the ground of the leg that is asked of. */
  legKg: number;
  /** Share of hikes in which it happens somewhere; where it is the target. */
  chance: number | undefined;
}

export interface Pulled {
  /** Undefined: the plan as it is. */
  lever: Lever | undefined;
  figures: LeverFigures;
  /** What the target becomes less by; its unit is the target's. */
  gain: number;
  /** Checks that it brings, of each kind the first. */
  breaks: Check[];
}

export interface LeverRequest {
  who: number;
  target: LeverTarget;
  legIndex: number;
}

/** What a row tells, and how far it is. */
export interface PulledRow extends Pulled {
  fraction: number;
}

const RUNS = 400;
const MOST_PAIRS = 3;
/** Not worth a line: grams, a tenth of a day, a unit of money, one hike of two hundred. */
const LEAST: Record<LeverTarget, number> = {
  heaviest: 0.01,
  leg: 0.01,
  mean: 0.005,
  "kg-km": 1,
  days: 0.5,
  money: 0.5,
  food: 0.005,
  water: 0.005,
  cold: 0.005,
};

/**
 * The plan as it is, then change after change by the true model, what promises most first; at the end the best of
 * different kinds in pairs.
 */
export function* pullLevers(
  plan: Plan,
  request: LeverRequest,
  { compute, figures: figuresOf }: Pick<Session, "compute" | "figures">,
): Generator<PulledRow> {
  const { who, target } = request;
  const hikerId = plan.hikers[who]!.id;
  const now = compute(plan);
  const leg = now.legs[Math.min(request.legIndex, now.legs.length - 1)]!;
  const figures = (of: Plan, result: PlanFigures): LeverFigures => figuresIn(of, result, who, target, leg);
  const base = figures(plan, now);
  // The leg whose pack is to be lighter, where it is one leg's.
  const lightened = target === "heaviest" ? now.legs[base.heaviestLeg] : target === "leg" ? leg : undefined;
  const levers = leversOf(plan, hikerId).filter((lever) => mayHelp(lever, plan, request, now, lightened));
  const all = levers.length + MOST_PAIRS + 1;
  let done = 1;
  yield { lever: undefined, figures: base, gain: 0, breaks: [], fraction: done / all };
  const pulled: (Pulled & { lever: Lever })[] = [];
  const tried = function* (lever: Lever): Generator<PulledRow> {
    const row = pull(lever);
    done = Math.min(done + 1, all);
    if (row.gain > LEAST[target]) yield { ...row, fraction: done / all };
    if (row.gain > LEAST[target] && row.lever.kind !== "both") pulled.push(row);
  };
  for (const lever of byPromise(plan, levers)) yield* tried(lever);
  for (const lever of pairsOf(pulled)) yield* tried(lever);

  function pull(lever: Lever): Pulled & { lever: Lever } {
    const other = withLever(plan, hikerId, lever);
    const then = figures(other, figuresOf(other));
    const gain = valueIn(base, target) - valueIn(then, target);
    // Of what helps nothing it is not asked what it breaks.
    return { lever, figures: then, gain, breaks: gain > LEAST[target] ? newChecks(now, compute(other)) : [] };
  }
}

/** Whether a change can be to the good of a target at all: what only works the other way is not tried. */
function mayHelp(
  lever: Lever,
  plan: Plan,
  { target, who }: Pick<LeverRequest, "target" | "who">,
  { profile }: PlanResult,
  leg: LegResult | undefined,
): boolean {
  const isWeight = ["heaviest", "leg", "mean", "kg-km"].includes(target);
  const isLess = (of: number): boolean => lever.kind === "figure" && lever.value < of;
  switch (lever.kind) {
    case "leave":
    case "swap":
    case "share":
    case "exchange":
    case "cold-food":
    case "dinner-at-water":
      return isWeight;
    case "use":
      return target === "food" || (isWeight && (leg === undefined || isOn(lever.stopId, plan, profile, leg)));
    case "pass":
    case "nights":
      return target === "days" || target === "money";
    case "food-by":
      return target === "money";
    case "hours":
      return isWeight || target === "days" || target === "food";
    case "start":
      return target !== "money" && target !== "days";
    case "trust":
    case "past":
      return isWeight || target === "water";
    case "figure": {
      if (lever.field === "reserve-days" || lever.field === "reserve-food") {
        const { reserveDays, reserveFraction } = plan.hikers[who]!.food;
        const less = isLess(lever.field === "reserve-days" ? reserveDays : reserveFraction);
        return target === "food" ? !less : isWeight && less;
      }
      if (lever.field === "reserve-water" || lever.field === "least-water") return isWeight || target === "water";
      return isWeight || (lever.field === "shortfall" && target === "money");
    }
    case "shop-at":
    case "mail-to":
    case "assume-water":
    case "both":
      return true;
  }
}

/** Does a stop are on a leg? */
function isOn(stopId: string, { stops }: Plan, profile: PlanResult["profile"], leg: LegResult): boolean {
  const stop = stops.find(({ id }) => id === stopId);
  if (!stop || !isWalked(profile, stop)) return false;
  const node = nodeOf(profile, stop);
  return node > leg.fromNode && node < leg.toNode;
}

export function figuresIn(
  plan: Plan,
  result: PlanFigures,
  who: number,
  target: LeverTarget,
  request: Pick<LegResult, "fromNode" | "toNode">,
): LeverFigures {
  // On the same ground, be it one leg or two.
  const onGround = result.legs.filter((leg) => leg.fromNode < request.toNode && leg.toNode > request.fromNode);
  const trouble = CHANCES[target];
  const found = trouble && simulate(plan, result, { runs: RUNS, who }).somewhere[trouble];
  const { heaviestKg, heaviestLeg, meanKg, kgKm } = packTotals(plan, result).hikers[who]!;
  return {
    ...tripTotals(plan, result),
    heaviestKg,
    heaviestLeg,
    legKg: Math.max(0, ...onGround.map((leg) => leg.hikers[who]!.heaviestKg)),
    meanKg,
    kgKm,
    chance: found && found.found / found.runs,
  };
}

export function valueIn(figures: LeverFigures, target: LeverTarget): number {
  switch (target) {
    case "heaviest":
      return figures.heaviestKg;
    case "leg":
      return figures.legKg;
    case "mean":
      return figures.meanKg;
    case "kg-km":
      return figures.kgKm;
    case "days":
      return figures.days;
    case "money":
      return figures.money;
    default:
      return figures.chance ?? 0;
  }
}

/** Legs are given by where they end: another stop moves their numbers. */
export function newChecks(before: PlanResult, after: PlanResult): Pulled["breaks"] {
  const key = ({ legs }: PlanResult, { code, legIndex, hikerId }: Check): string =>
    `${code} ${legIndex === undefined ? "" : legs[legIndex]?.toStopId} ${hikerId}`;
  const old = new Set(before.checks.map((check) => key(before, check)));
  const found = new Map<string, Pulled["breaks"][number]>();
  for (const check of after.checks)
    if (check.severity !== "note" && !old.has(key(after, check)) && !found.has(check.code))
      found.set(check.code, check);
  return [...found.values()];
}

/** Kilograms that a change may be worth where its own mass does not say [L]: the order of trying, and nothing else. */
const PROMISE_KG: Partial<Record<Lever["kind"] | LeverField, number>> = {
  use: 3,
  "cold-food": 2,
  "reserve-water": 1,
  "drink-at-source": 0.5,
  hours: 0.5,
  trust: 0.4,
  past: 0.4,
  "dinner-at-water": 0.4,
  density: 0.3,
  "reserve-days": 0.25,
  shortfall: 0.2,
};
const OTHER_KG = 0.05;

function byPromise({ kit }: Plan, levers: readonly Lever[]): Lever[] {
  const massKg = (pieceId: string): number => {
    const piece = kit.find(({ id }) => id === pieceId);
    return piece ? (piece.massG * piece.quantity) / 1000 : 0;
  };
  const promise = (lever: Lever): number => {
    if (lever.kind === "leave") return massKg(lever.pieceId);
    if (lever.kind === "swap") return massKg(lever.pieceId) - massKg(lever.otherId);
    return PROMISE_KG[kindOf(lever)] ?? OTHER_KG;
  };
  return levers
    .map((lever, i) => ({ lever, i, worth: promise(lever) }))
    .sort((a, b) => b.worth - a.worth || a.i - b.i)
    .map(({ lever }) => lever);
}

/** The best three of different kinds that break nothing, two and two. */
function pairsOf(pulled: readonly (Pulled & { lever: Lever })[]): Lever[] {
  const best: Lever[] = [];
  for (const { lever, breaks } of [...pulled].sort((a, b) => b.gain - a.gain)) {
    const kind = kindOf(lever);
    if (breaks.length === 0 && best.length < 3 && best.every((one) => kindOf(one) !== kind)) best.push(lever);
  }
  const [a, b, c] = best;
  const pairs: [Lever | undefined, Lever | undefined][] = [
    [a, b],
    [a, c],
    [b, c],
  ];
  return pairs.flatMap(([first, second]): Lever[] => (first && second ? [{ kind: "both", first, second }] : []));
}

const kindOf = (lever: Lever): Lever["kind"] | LeverField => (lever.kind === "figure" ? lever.field : lever.kind);
