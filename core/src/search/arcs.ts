/**
 * One way from a stop to a later one without any between that a search may choose, walked by the real pipeline on the
 * sampled ground: the same schools, days and rules, on every eighth cell. What is not in it: the second answer that the
 * heavy side may have, and fuel carried past a stop that sells none (it is taken as bought there).
 */
import { buildKit, type KitLeg } from "../kit/kit.ts";
import type { HikerLoad } from "../load/load.ts";
import type { Laid } from "../session/session.ts";
import { sampledNode } from "../solve/sampled.ts";
import { heavyGuess, settle, span, type Guess, type SettleInput, type TripState } from "../solve/settle.ts";
import { startState } from "../solve/trip.ts";
import type { Moment } from "../stops/openings.ts";
import type { Ground } from "../walk/ground.ts";
import type { Halt } from "../walk/halts.ts";
import { stateUnderWay, walksOn } from "../walk/walk.ts";
import { canisterEntry, type SearchNode } from "./nodes.ts";

/** What a way comes to, all hikers and all its legs together. */
export interface Arc {
  kgKm: number;
  /** Most of any hiker and leg. */
  foodDays: number;
  /** The most that a hiker is above the own comfort, and the bag above the pack's room; none below. */
  overComfortKg: number;
  overPackL: number;
  overCanisterL: number;
  menuKcal: number;
  arrives: Moment;
  /** Come to so early that the rule says to shop and walk on. */
  walksOn: boolean;
  after: TripState;
}

const SETTLE_KG = 0.02;

export class ArcWalker {
  private readonly kit = new Map<string, readonly (readonly KitLeg[])[]>();
  /** The packs that each way first came to, on its cells. */
  private readonly packs = new Map<string, Float64Array[]>();
  /** Legs walked so far. */
  walked = 0;

  private readonly canisterFrom: ReturnType<typeof canisterEntry>;

  constructor(
    private readonly laid: Laid,
    private readonly nodes: readonly SearchNode[],
  ) {
    this.canisterFrom = canisterEntry(laid);
  }

  start(): TripState {
    return startState(this.laid.needs, this.laid.ground.startDay);
  }

  walk(from: number, to: number, before: TripState, nights: number, density: number): Arc {
    this.walked++;
    const { laid, nodes } = this;
    const { needs, sampling, sampledSources } = laid;
    const last = to === nodes.length - 1;
    const haltsBetween = this.haltsBetween(from, to).map((halt, i, all) => ({
      ...halt,
      node: sampledNode(sampling, halt.node),
      ...(i === 0 ? { sellsFood: true, sellsFuel: true, foodDensity: density } : {}),
      ...(i === all.length - 1 ? { nights } : {}),
    }));
    const first = from === 0 ? 0 : 1;
    // The walk tells the start and the finish of a trip by their place in the list.
    const halts = [
      ...(first === 1 ? [haltsBetween[0]!] : []),
      ...haltsBetween,
      ...(last ? [] : [haltsBetween.at(-1)!]),
    ];
    const ground: Ground = { ...laid.sampled, halts };
    const block = { firstLeg: first, endLeg: first + haltsBetween.length - 1 };
    const kit = this.kitOf(from, to);
    const input: SettleInput = { ground, block, before, needs, kit, sources: sampledSources };
    const { walk, supplies, loads, after: rested } = settle(input, this.guess(input, `${from} ${to}`), SETTLE_KG);
    this.keep(`${from} ${to}`, loads, haltsBetween[0]!.node, haltsBetween.at(-1)!.node);
    const { plan } = laid;
    const onward = walksOn(ground, block, walk.parts);
    const after = onward ? { ...rested, walk: stateUnderWay(ground, block, before.walk, walk) } : rested;
    const arc: Arc = {
      kgKm: 0,
      foodDays: 0,
      overComfortKg: 0,
      overPackL: 0,
      overCanisterL: 0,
      menuKcal: 0,
      arrives: { day: walk.parts.at(-1)!.day, clockH: walk.parts.at(-1)!.endClockH },
      walksOn: onward,
      after,
    };
    const canisterNode = this.canisterFrom(nodes[from]!.halt.node, nodes[to]!.halt.node, before.walk.day);
    for (const [h, { legs, foodKg, waterKg }] of loads.entries()) {
      const { packComfortKg, packVolumeL } = plan.hikers[h]!;
      for (const [leg, load] of legs.entries()) {
        const at = haltsBetween[leg]!;
        const to = haltsBetween[leg + 1]!;
        const legKit = kit[leg]![h]!;
        const cellsM = (to.node - at.node) * ground.profile.cellM;
        arc.kgKm += (load.meanKg * cellsM + load.startKg * at.footM + load.endKg * to.footM) / 1000;
        arc.overComfortKg = Math.max(arc.overComfortKg, load.heaviestKg - packComfortKg);
        arc.menuKcal += supplies[h]!.food[leg]!.menuKcal;
        const { startKg, mealDays, bulkKgPerL } = supplies[h]!.food[leg]!;
        arc.foodDays = Math.max(arc.foodDays, mealDays);
        const firstL = startKg / bulkKgPerL - legKit.canisterL;
        let bagL = firstL;
        for (let c = at.node; c < to.node; c++)
          bagL = Math.max(bagL, Math.max(0, foodKg[c]! / bulkKgPerL - legKit.canisterL) + waterKg[c]!);
        const volumeL = legKit.volumeL + legKit.canisterVolumeL + Math.max(0, bagL);
        arc.overPackL = Math.max(arc.overPackL, volumeL - packVolumeL);
        if (canisterNode === undefined || legKit.canisterL === 0) continue;
        const entry = Math.max(at.node, sampledNode(sampling, canisterNode));
        if (entry < to.node)
          arc.overCanisterL = Math.max(arc.overCanisterL, foodKg[entry]! / bulkKgPerL - legKit.canisterL);
      }
    }
    return arc;
  }

  /** From the heavy side at first; from then on from the packs that it came to on another day. */
  private guess(input: SettleInput, key: string): Guess {
    const known = this.packs.get(key);
    if (!known) return heavyGuess(input);
    const { from } = span(input.ground, input.block);
    const loadKg = input.ground.workspace.hikers.map(({ guessKg }, h) => {
      guessKg.set(known[h]!, from);
      return guessKg;
    });
    return { loadKg, detours: [] };
  }

  private keep(key: string, loads: readonly HikerLoad[], from: number, to: number): void {
    const { packs } = this;
    if (!packs.has(key))
      packs.set(
        key,
        loads.map(({ loadKg }) => loadKg.slice(from, to)),
      );
  }

  /** The halts from one node to another, with what stays between. */
  haltsBetween(from: number, to: number): Halt[] {
    const haltsBetween = [this.nodes[from]!.halt];
    for (let n = from + 1; n <= to; n++)
      haltsBetween.push(...this.nodes[n]!.fixedBefore, ...(n === to ? [this.nodes[n]!.halt] : []));
    return haltsBetween;
  }

  private kitOf(from: number, to: number): readonly (readonly KitLeg[])[] {
    const key = `${from} ${to}`;
    let kit = this.kit.get(key);
    if (!kit) {
      const { pieces, stops, profile, plan } = this.laid;
      const hikerIds = plan.hikers.map(({ id }) => id);
      kit = buildKit({ pieces, hikerIds, stops, profile, halts: this.haltsBetween(from, to) }).legs;
      this.kit.set(key, kit);
    }
    return kit;
  }
}
