/**
 * The best sets of stops: where to buy, and where to walk past. Every set is a chain of the quick model (`arcs.ts`); what
 * is given of it is what `computePlan` says. Weighed are kilograms carried over kilometres, days, money and stops.
 */
import type { Plan, Resupply } from "../plan/schema.ts";
import type { Session } from "../session/session.ts";
import { foodByOf, type FoodBy } from "../stops/stays.ts";
import { figuresOf, type SetFigures } from "./figures.ts";
import { flipsOf, type Flip } from "./flips.ts";
import { chainOf, findChains, type Label, type Weights } from "./labels.ts";
import { searchNodes, type SearchNode } from "./nodes.ts";
import { EXACT, Steps, type Bar, type Grain, type Limits } from "./steps.ts";

/** What a set is the best of. */
export type SetName = "lightest" | "fewest" | "cheapest" | "fastest" | "balanced";

export interface SetStop {
  stopId: string;
  foodBy: FoodBy;
  nights: number;
}

export interface StopSet {
  stops: SetStop[];
  figures: SetFigures;
  /** What the quick model said of it. */
  quickKgKm: number;
  /** Every candidate put in or left out, alone. */
  flips: Flip[];
}

export type SearchEvent =
  | { kind: "progress"; fraction: number }
  | { kind: "now"; figures: SetFigures; candidates: string[] }
  | { kind: "set"; set: StopSet }
  | { kind: "end"; end: SearchEnd };

export interface SearchEnd {
  /** Chains that were looked at, and ways that were walked for them. */
  seen: number;
  walked: number;
  /** Every state was kept apart: no set is better by the quick model. */
  exact: boolean;
  /** The greatest difference of the quick model from the plan among the sets that are given, as a fraction. */
  errorFraction: number;
  /** By so much another set may be better, if no set is farther off than those: one too dear, the other too cheap. */
  gapFraction: number;
  /** Limits that no set keeps to, and what was taken in their place. */
  relaxed: Relaxed | undefined;
}

export interface Relaxed {
  /** Limits that were dropped. */
  bars: Bar[];
  /** The fewest days of food that do instead of those that were asked; undefined where these do. */
  foodDays: number | undefined;
}

const LIGHTEST: Weights = { kgKm: 1, day: 0, money: 0, stop: 0 };
/** So little that it only decides between equals. */
const TIE = 1e-3;

/** So many chains at most are all distinguished. */
const EXACT_CHAINS = 1500;
export const FINE: Grain = { days: 4, bodyKg: 1.5, fuelG: 1000, lookAheadDays: 1 };
const COARSE: Grain = { days: 14, bodyKg: 4, fuelG: 10_000, lookAheadDays: 1 };
const FINE_NODES = 42;
/** What a stop costs, in kg·km, from one end of the frontier to the other. */
const STOP_PRICES = [0, 8, 20, 40, 75, 130, 220, 400, 800, 5000];
/** Sets of the frontier that are given. */
const MOST_SETS = 11;

/** Tells how far it is, the plan as it is, set after set, and what is to be known of them all. */
export function* searchStops(
  session: Session,
  plan: Plan,
  options: Resupply = plan.resupply,
  grain?: Grain,
): Generator<SearchEvent> {
  const query: Plan = { ...plan, resupply: options };
  const figures = figuresOf(query, session.compute(query));
  const laid = session.lay(query);
  const nodes = searchNodes(laid);
  const candidates = nodes.slice(1, -1).map(({ stop }) => stop!.id);
  yield { kind: "now", figures, candidates };
  const steps = new Steps(laid, nodes, grain ?? grainFor(nodes));
  const search = new Search(steps, options);
  const shown = new Set<string>();
  let errorFraction = 0;
  for (const found of search.run()) {
    if (typeof found === "number") {
      yield { kind: "progress", fraction: found };
      continue;
    }
    const stops = setOf(nodes, found);
    // Of two that differ in how food comes alone the first is given.
    const places = stops.map(({ stopId }) => stopId).join(" ");
    if (shown.has(places)) continue;
    shown.add(places);
    const figures = figuresOf(query, session.compute(withSet(query, candidates, stops)));
    errorFraction = Math.max(errorFraction, Math.abs(found.kgKm / figures.kgKm - 1));
    yield { kind: "set", set: { stops, figures, quickKgKm: found.kgKm, flips: flipsOf(steps, found, search.limits) } };
  }
  const { seen, relaxed } = search;
  yield {
    kind: "end",
    end: {
      seen,
      walked: steps.walked,
      exact: steps.grain === EXACT,
      errorFraction,
      gapFraction: 2 * errorFraction,
      relaxed,
    },
  };
}

function grainFor(nodes: readonly SearchNode[]): Grain {
  let chains = 1;
  for (const { modes, locked } of nodes.slice(1, -1)) chains *= modes.length + (locked ? 0 : 1);
  if (chains <= EXACT_CHAINS) return EXACT;
  return nodes.length <= FINE_NODES ? FINE : COARSE;
}

/** How far the search is, from 0 to 1, and chains that are the best of something. */
type Found = number | Label;

class Search {
  limits: Limits;
  seen = 0;
  relaxed: Relaxed | undefined;
  private mostMoney: number | undefined;
  private runs = 0;
  private readonly few: boolean;

  constructor(
    private readonly steps: Steps,
    private readonly options: Resupply,
  ) {
    const { mostFoodDays, withinComfort, withinPack, mostWaitNights, mostMoney } = options;
    this.mostMoney = mostMoney;
    this.few = steps.nodes.length <= FINE_NODES;
    this.limits = {
      foodDays: mostFoodDays,
      comfort: withinComfort,
      pack: withinPack,
      canister: true,
      doors: true,
      waitNights: mostWaitNights,
    };
  }

  *run(): Generator<Found> {
    const { dayKgKm, moneyKgKm, stopKgKm } = this.options;
    const balance = { kgKm: 1, day: dayKgKm, money: moneyKgKm, stop: stopKgKm };
    let [best] = yield* this.chains(balance);
    if (!best) {
      yield* this.relax();
      [best] = yield* this.chains(balance);
    }
    if (!best) return;
    yield best;
    for (const weights of [
      { kgKm: TIE, day: 0, money: 1, stop: 0 },
      { kgKm: TIE, day: 1000, money: 0, stop: 0 },
    ])
      yield* yield* this.chains(weights);
    yield* yield* this.frontier();
  }

  /** The lightest for every number of legs, thinned; of many candidates those that some price of a stop makes the best. */
  private *frontier(): Generator<Found, Label[]> {
    if (this.few) return thinned(yield* this.chains(LIGHTEST, true));
    const ends: Label[] = [];
    for (const stop of STOP_PRICES) ends.push(...(yield* this.chains({ ...LIGHTEST, stop })));
    return ends;
  }

  private *chains(weights: Weights, byCount = false): Generator<Found, Label[]> {
    const { limits, mostMoney } = this;
    const run = findChains(this.steps, { weights, limits, mostMoney, byCount });
    // The first run walks nearly all ways; those after it look them up.
    const runs = this.few ? 4 : 3 + STOP_PRICES.length;
    const at = this.runs++;
    const from = at === 0 ? 0 : Math.min(0.95, FIRST_PART + ((1 - FIRST_PART) * at) / runs);
    const part = at === 0 ? FIRST_PART : (1 - FIRST_PART) / runs;
    for (;;) {
      const { value, done } = run.next();
      if (done) {
        this.seen += value.seen;
        return value.ends;
      }
      yield Math.min(1, from + part * value);
    }
  }

  /** No set keeps to the limits: the fewest more days of food that do, with as few of the other limits dropped as possible. */
  private *relax(): Generator<Found> {
    const { limits: query, mostMoney } = this;
    for (const { bars, more } of attempts()) {
      const limits = bars.reduce((kept, bar) => ({ ...kept, ...WITHOUT[bar] }), query);
      this.mostMoney = bars.includes("money") ? undefined : mostMoney;
      this.limits = { ...limits, foodDays: query.foodDays + more };
      const ends = yield* this.chains(LIGHTEST, this.few);
      if (ends.length === 0) continue;
      const foodDays = more > 0 ? Math.min(...ends.map(mostFoodDays)) : undefined;
      if (foodDays !== undefined) this.limits = { ...limits, foodDays };
      this.relaxed = { bars: [...bars], foodDays };
      return;
    }
    this.limits = query;
    this.relaxed = { bars: [...WITHOUT_DOORS], foodDays: undefined };
  }
}

/** The share of the work that the first run is. */
const FIRST_PART = 0.6;

type Givable = Exclude<Bar, "food-days">;
/** In this order: what is most easily repaired first; who walks on a day more need not stand before a closed door. */
const GIVEN_UP: readonly (readonly Givable[])[] = [[], ["canister"], ["canister", "comfort", "pack", "money"]];
const WITHOUT_DOORS: readonly Givable[] = ["canister", "comfort", "pack", "money", "closed"];

function* attempts(): Generator<{ bars: readonly Givable[]; more: number }> {
  for (const more of MORE_FOOD_DAYS) for (const bars of GIVEN_UP) yield { bars, more };
  for (const more of MORE_FOOD_DAYS) yield { bars: WITHOUT_DOORS, more };
}

const WITHOUT: Readonly<Record<Givable, Partial<Limits>>> = {
  canister: { canister: false },
  comfort: { comfort: false },
  pack: { pack: false },
  closed: { doors: false },
  money: {},
};
const MORE_FOOD_DAYS = [0, 1, 2, 4, 7, 12, 20] as const;

function mostFoodDays(end: Label): number {
  return Math.max(...chainOf(end).map(({ step }) => step?.arc.foodDays ?? 0));
}

/** What each set is the best of, by their own figures; the fewer legs where two are as good. */
export function nameSets(
  sets: readonly Pick<StopSet, "figures">[],
  { dayKgKm, moneyKgKm, stopKgKm }: Resupply,
): SetName[][] {
  const worth: Record<SetName, (figures: SetFigures) => number> = {
    fewest: ({ legs, kgKm }) => legs.length + TIE * 1e-6 * kgKm,
    balanced: ({ kgKm, days, money, legs }) => kgKm + dayKgKm * days + moneyKgKm * money + stopKgKm * (legs.length - 1),
    lightest: ({ kgKm }) => kgKm,
    cheapest: ({ money, kgKm }) => money + TIE * TIE * kgKm,
    fastest: ({ days, kgKm }) => days + TIE * 1e-6 * kgKm,
  };
  const names = sets.map((): SetName[] => []);
  for (const name of Object.keys(worth) as SetName[]) {
    let best = -1;
    for (const [i, { figures }] of sets.entries())
      if (best < 0 || worth[name](figures) < worth[name](sets[best]!.figures)) best = i;
    names[best]?.push(name);
  }
  return names;
}

/** The frontier thinned evenly, its ends kept. */
function thinned(byCount: readonly Label[]): Label[] {
  const { length } = byCount;
  if (length <= MOST_SETS) return [...byCount];
  const picked = new Set(Array.from({ length: MOST_SETS }, (_, i) => Math.round((i * (length - 1)) / (MOST_SETS - 1))));
  return byCount.filter((_, i) => picked.has(i));
}

function setOf(nodes: readonly SearchNode[], end: Label): SetStop[] {
  return chainOf(end).flatMap(({ node, by, step }) => {
    const { stop } = nodes[node]!;
    const isEnd = node === 0 || node === nodes.length - 1;
    return stop && step && !isEnd ? [{ stopId: stop.id, foodBy: by, nights: step.nights }] : [];
  });
}

function withSet(plan: Plan, candidates: readonly string[], set: readonly SetStop[]): Plan {
  const stops = plan.stops.map((stop) => ({ ...stop }));
  takeSet(stops, candidates, set);
  return { ...plan, stops };
}

/** Changes the stops in place: those of the set are used, the other candidates of the search skipped. */
export function takeSet(stops: Plan["stops"], candidates: readonly string[], set: readonly SetStop[]): void {
  const used = new Map(set.map((one) => [one.stopId, one]));
  for (const stop of stops) {
    if (!candidates.includes(stop.id)) continue;
    const one = used.get(stop.id);
    stop.use = one !== undefined;
    if (!one) continue;
    stop.nights = one.nights;
    if (foodByOf(stop) !== one.foodBy) stop.foodBy = one.foodBy;
  }
}
