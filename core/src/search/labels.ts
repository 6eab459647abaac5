/**
 * The best chain of stops from the start to the finish, node after node: of the ways to a stop on one day in one state
 * the cheapest stays. With a grain that tells every state apart nothing is lost by that; with a coarser one what is
 * merged is merged by judgement: what follows from a merged state is the same for all in it, so the chain is the best of that model.
 */
import type { FoodBy } from "../stops/stays.ts";
import { barOf, type Bar, type KeyedState, type Limits, type Step, type Steps } from "./steps.ts";

/** What is made least: each in kg·km. */
export interface Weights {
  kgKm: number;
  day: number;
  money: number;
  stop: number;
}

/** One way to a node, with food that comes there in one way. */
export interface Label {
  node: number;
  by: FoodBy;
  state: KeyedState;
  /** Legs so far. */
  count: number;
  cost: number;
  kgKm: number;
  money: number;
  before: Label | undefined;
  step: Step | undefined;
}

export interface ChainQuestion {
  weights: Weights;
  limits: Limits;
  mostMoney: number | undefined;
  /** Keep the best of every number of legs. */
  byCount: boolean;
}

export interface Chains {
  /** At the finish, the cheapest first; by count where that was asked. */
  ends: Label[];
  /** Chains that were looked at. */
  seen: number;
}

/** Yields after every node, so that whoever asks can tell how far it is, and stop. */
export function* findChains(steps: Steps, question: ChainQuestion): Generator<number, Chains> {
  const { nodes } = steps;
  const { weights, limits, mostMoney, byCount } = question;
  const last = nodes.length - 1;
  const at: Map<string, Label>[] = nodes.map(() => new Map());
  let seen = 0;
  at[0]!.set("", beginning(steps, nodes[0]!.modes[0]!));
  for (let from = 0; from < last; from++) {
    for (const label of at[from]!.values()) {
      for (let to = from + 1; to <= last; to++) {
        let foodDays = 0;
        for (const by of nodes[to]!.modes) {
          const step = steps.step(from, label.by, label.state, to, by, limits.waitNights);
          foodDays = step.arc.foodDays;
          seen++;
          const money = label.money + step.money;
          if (barOf(step, limits) !== undefined || (mostMoney !== undefined && money > mostMoney)) continue;
          const next = reached(label, to, by, step, weights, to === last);
          const key = `${by} ${next.state.key} ${next.state.state.walk.day}${byCount ? ` ${next.count}` : ""}`;
          const known = at[to]!.get(key);
          if (!known || next.cost < known.cost) at[to]!.set(key, next);
        }
        // No set goes without what is held, and further on is further still: but for a dinner in town, or a side trip.
        if (nodes[to]!.locked || foodDays > limits.foodDays + steps.grain.lookAheadDays) break;
      }
    }
    yield (from + 1) / last;
  }
  return { ends: endsOf([...at[last]!.values()], byCount), seen };
}

function beginning(steps: Steps, by: FoodBy): Label {
  const state = steps.stateAt(steps.start());
  return { node: 0, by, state, count: 0, cost: 0, kgKm: 0, money: 0, before: undefined, step: undefined };
}

function reached(label: Label, to: number, by: FoodBy, step: Step, weights: Weights, last: boolean): Label {
  const days = step.after.state.walk.day - label.state.state.walk.day;
  const cost =
    label.cost +
    weights.kgKm * step.arc.kgKm +
    weights.day * days +
    weights.money * step.money +
    (last ? 0 : weights.stop);
  return {
    node: to,
    by,
    state: step.after,
    count: label.count + 1,
    cost,
    kgKm: label.kgKm + step.arc.kgKm,
    money: label.money + step.money,
    before: label,
    step,
  };
}

/** Ties go to fewer stops. */
function endsOf(labels: Label[], byCount: boolean): Label[] {
  labels.sort((a, b) => a.cost - b.cost || a.count - b.count);
  if (!byCount) return labels.slice(0, 1);
  const best = new Map<number, Label>();
  for (const label of labels) if (!best.has(label.count)) best.set(label.count, label);
  return [...best.values()].sort((a, b) => a.count - b.count);
}

/** The labels of a chain, the start's first. */
export function chainOf(end: Label): Label[] {
  const chain: Label[] = [];
  for (let label: Label | undefined = end; label; label = label.before) chain.push(label);
  return chain.reverse();
}

/** A chain that is given, walked with the same steps; its bars are given and not kept to. */
export function walkChain(
  steps: Steps,
  chain: readonly { node: number; by: FoodBy }[],
  { weights, limits }: Pick<ChainQuestion, "weights" | "limits">,
): { end: Label; bars: { step: Step; node: number; bar: Bar }[] } {
  const last = steps.nodes.length - 1;
  let label = beginning(steps, chain[0]!.by);
  const bars: { step: Step; node: number; bar: Bar }[] = [];
  for (const { node, by } of chain.slice(1)) {
    const step = steps.step(label.node, label.by, label.state, node, by, limits.waitNights);
    const bar = barOf(step, limits);
    if (bar) bars.push({ step, node, bar });
    label = reached(label, node, by, step, weights, node === last);
  }
  return { end: label, bars };
}
