/**
 * Steps of a search: leave a stop with food that came in one way, come to a later one and have it come there in
 * another. The ways between are remembered by stops, season and body, so that a thousand sets walk each of them once.
 */
import type { Plan } from "../plan/schema.ts";
import type { Laid } from "../session/session.ts";
import type { TripState } from "../solve/settle.ts";
import { houseOpening, inSeason, openDuring, postOpening, type Moment } from "../stops/openings.ts";
import { comesByPost, foodMoney, townMoney, type FoodBy } from "../stops/stays.ts";
import { densitiesOf, supplierOf } from "../walk/halts.ts";
import { ArcWalker, type Arc } from "./arcs.ts";
import type { SearchNode } from "./nodes.ts";

/** How finely ways are distinguished: the finer, the more of them are walked. */
export interface Grain {
  days: number;
  bodyKg: number;
  fuelG: number;
  /** Ways are no longer looked at that take so many more days of food than are allowed. */
  lookAheadDays: number;
}

/** Every state is its own: nothing is taken as anything else. */
export const EXACT: Grain = { days: 1, bodyKg: 0, fuelG: 0, lookAheadDays: Infinity };

/** What forbids a step. */
export type Bar = "food-days" | "canister" | "comfort" | "pack" | "closed" | "money";

export interface Step {
  arc: Arc;
  /** Nights at the stop that it comes to, those of waiting for a door among them. */
  nights: number;
  waits: number;
  money: number;
  after: KeyedState;
  /** No door opens there in the nights that one would wait. */
  shut: boolean;
}

export interface KeyedState {
  state: TripState;
  key: string;
}

/** What a set may not be. */
export interface Limits {
  foodDays: number;
  comfort: boolean;
  pack: boolean;
  /** The hard canister that is carried, where one is needed. */
  canister: boolean;
  /** Doors that are closed, and how many nights one waits for them. */
  doors: boolean;
  waitNights: number;
}

export class Steps {
  readonly nodes: readonly SearchNode[];
  private readonly plan: Plan;
  private readonly walker: ArcWalker;
  private readonly known = new Map<string, { arc: Arc; day: number }>();
  private readonly taken = new Map<string, Step>();

  constructor(
    laid: Laid,
    nodes: readonly SearchNode[],
    readonly grain: Grain,
  ) {
    this.plan = laid.plan;
    this.nodes = nodes;
    this.walker = new ArcWalker(laid, nodes);
  }

  get walked(): number {
    return this.walker.walked;
  }

  start(): TripState {
    return this.walker.start();
  }

  /** A state to set out in, with the key by which what follows from it is remembered. */
  stateAt(state: TripState): KeyedState {
    return { state, key: this.stateKey(state) };
  }

  /** From a node, with food that came there in one way, to another where it comes in the next. */
  step(from: number, by: FoodBy, before: KeyedState, to: number, nextBy: FoodBy, waitNights: number): Step {
    const key = `${from}${by}${to}${nextBy} ${before.state.walk.day} ${before.key}`;
    const known = this.taken.get(key);
    if (known) return known;
    const step = this.newStep(from, by, before, to, nextBy, waitNights);
    this.taken.set(key, step);
    return step;
  }

  private newStep(from: number, by: FoodBy, before: KeyedState, to: number, nextBy: FoodBy, waitNights: number): Step {
    const node = this.nodes[to]!;
    const arc = this.arc(from, by, before, to);
    const planned = arc.walksOn ? 0 : node.nights;
    const waits = this.waits(node, planned, nextBy, arc.arrives, waitNights);
    const nights = planned + (waits ?? 0);
    const { walk, supply } = arc.after;
    const after =
      waits === undefined || waits === 0
        ? arc.after
        : { walk: { ...walk, day: walk.day + waits, walkedDays: 0, underWay: undefined }, supply };
    const money = this.moneyOut(from, by, arc) + this.moneyIn(node, nights, to === this.nodes.length - 1);
    return { arc, nights, waits: waits ?? 0, money, after: this.stateAt(after), shut: waits === undefined };
  }

  private arc(from: number, by: FoodBy, { state: before, key: stateKey }: KeyedState, to: number): Arc {
    const { stop } = this.nodes[from]!;
    const density =
      stop && from > 0 ? densitiesOf(this.plan.resupply)[supplierOf({ services: stop.services, foodBy: by })] : 1;
    const { day } = before.walk;
    const key = `${from} ${to} ${density} ${stateKey}`;
    let known = this.known.get(key);
    if (!known) {
      known = { arc: this.walker.walk(from, to, before, this.nodes[to]!.nights, density), day };
      this.known.set(key, known);
    }
    return known.day === day ? known.arc : moved(known.arc, day - known.day);
  }

  /** States that are taken as one another have one key. */
  private stateKey({ walk, supply }: TripState): string {
    const { days, bodyKg, fuelG } = this.grain;
    if (bodyKg === 0) return JSON.stringify([walk, supply]);
    const { restEveryDays } = this.plan.dayRules;
    const hours = walk.underWay ? Math.round(walk.underWay.usedH) : "";
    const bodies = supply.map((one) => `${Math.round(one.bodyKg / bodyKg)}:${Math.round(one.openFuelG / fuelG)}`);
    return `${Math.floor(walk.day / days)} ${restEveryDays > 0 ? walk.walkedDays : ""} ${hours} ${bodies.join(" ")}`;
  }

  /** Nights of waiting until the door that is wanted opens; undefined where that takes too many, or the house is closed up. */
  private waits(
    { stop, halt }: SearchNode,
    nights: number,
    by: FoodBy,
    arrives: Moment,
    most: number,
  ): number | undefined {
    if (!stop) return 0;
    const house = houseOpening(stop);
    if (!inSeason(house, arrives.day)) return undefined;
    if (by === "visitor") return 0;
    const opening = comesByPost(by) ? postOpening(stop) : house;
    for (let waits = 0; waits <= most; waits++) {
      const leavesH = nights + waits === 0 ? arrives.clockH + halt.passH : LEAVES_BY_H;
      const to = { day: arrives.day + nights + waits, clockH: leavesH };
      if (openDuring(opening, { from: arrives, to })) return waits;
    }
    return undefined;
  }

  private moneyOut(from: number, by: FoodBy, { menuKcal }: Arc): number {
    const { stop } = this.nodes[from]!;
    if (!stop) return 0;
    const { food, parcel } = foodMoney(this.plan.resupply, stop, by, menuKcal, from === 0);
    return food + parcel;
  }

  private moneyIn({ stop }: SearchNode, nights: number, last: boolean): number {
    if (!stop) return 0;
    const people = this.plan.hikers.length;
    const { beds, rides } = townMoney(stop, { nights: last ? 0 : nights, rideCount: last ? 1 : 2, people });
    return beds + rides;
  }
}

/** Who slept there leaves so late that a shop has opened. */
const LEAVES_BY_H = 11;
/** Rounding of the sampled ground is not what a limit is broken by. */
const SLACK = 0.02;

/** What stands against a step. */
export function barOf({ arc, shut }: Step, { foodDays, comfort, pack, canister, doors }: Limits): Bar | undefined {
  if (arc.foodDays > foodDays + SLACK) return "food-days";
  if (canister && arc.overCanisterL > SLACK) return "canister";
  if (comfort && arc.overComfortKg > SLACK) return "comfort";
  if (pack && arc.overPackL > SLACK) return "pack";
  return doors && shut ? "closed" : undefined;
}

/** The same way so many days later: within a few of them the season is as good as the same. */
function moved(arc: Arc, days: number): Arc {
  const { walk, supply } = arc.after;
  return {
    ...arc,
    arrives: { day: arc.arrives.day + days, clockH: arc.arrives.clockH },
    after: { walk: { ...walk, day: walk.day + days }, supply },
  };
}
