/** What a search for stops may choose among: candidates in walking order, and what stays as it is between them. */
import { RIDE, TRANSFER } from "../plan/ids.ts";
import type { Stop } from "../plan/schema.ts";
import type { Laid } from "../session/session.ts";
import type { FoodBy } from "../stops/stays.ts";
import { isWalked, nodesOn } from "../track/place.ts";
import { dayOfYear } from "../units/day.ts";
import { buildHalts, densitiesOf, haltStop, offers, SELLS_FOOD, type Halt } from "../walk/halts.ts";
import { holdsOn } from "../walk/terrain.ts";

/** Where a leg of a search may start and end. */
export interface SearchNode {
  halt: Halt;
  /** Undefined at an end of the trail where no stop is. */
  stop: Stop | undefined;
  /** How food may come there. */
  modes: readonly FoodBy[];
  nights: number;
  /** Held by the hiker: no set goes without it. */
  locked: boolean;
  /** Halts that stay as they are between the node before it and this one: rides, stops passed through, beds. */
  fixedBefore: readonly Halt[];
}

/** The start, the candidates and the finish. */
export function searchNodes({ plan, profile }: Laid): SearchNode[] {
  const { hikers } = plan;
  const walked = plan.stops.filter((stop) => isWalked(profile, stop));
  const byUse = [...walked.filter(({ use }) => use), ...walked.filter(({ use }) => !use)];
  const halts = buildHalts({
    // A stop is weighed with a night there: who only passes through is not in the choice.
    stops: byUse.map((stop) => ({
      ...haltStop(stop),
      use: true,
      nights: stop.use ? stop.nights : Math.max(1, stop.nights),
    })),
    profile,
    fuels: hikers.map(({ stove }) => stove.fuel),
    densities: densitiesOf(plan.resupply),
    walkOnBeforeH: plan.dayRules.walkOnBeforeH,
  });
  const stops = new Map(plan.stops.map((stop) => [stop.id, stop]));
  const joints = new Set(profile.joints.map(({ node }) => node));
  const nodes: SearchNode[] = [];
  let fixedBefore: Halt[] = [];
  for (const [at, halt] of halts.entries()) {
    const stop = stops.get(halt.stopId);
    const isEnd = at === 0 || at === halts.length - 1;
    if (!isEnd && stop?.use === false && (stop.locked || !halt.sellsFood)) continue;
    const stays = joints.has(halt.node) || halt.nights === 0 || !halt.sellsFood || stop === undefined;
    if (!isEnd && (stays || halt.stopId.startsWith(RIDE) || halt.stopId.startsWith(TRANSFER))) {
      if (stop?.use !== false) fixedBefore.push(halt);
      continue;
    }
    nodes.push({
      halt,
      stop,
      modes: at === 0 ? ["buy"] : modesOf(stop),
      nights: halt.nights,
      locked: isEnd || (stop !== undefined && stop.locked && stop.use),
      fixedBefore,
    });
    fixedBefore = [];
  }
  return nodes;
}

/** The hiker's choice; else whatever the stop allows. */
function modesOf(stop: Stop | undefined): FoodBy[] {
  if (!stop) return ["buy"];
  if (stop.foodBy !== undefined) return [stop.foodBy];
  const modes: FoodBy[] = [];
  if (offers(stop, SELLS_FOOD)) modes.push("buy");
  if (stop.services.includes("post")) modes.push("drop");
  return modes.length > 0 ? modes : ["buy"];
}

/** The first node between two on which a hard canister is needed on a day, for all who carry food through. */
export function canisterEntry({ plan, profile }: Laid) {
  const rules = plan.stretches
    .filter(({ rule, appliesTo }) => rule === "hard-canister" && appliesTo === "carrying")
    .map((stretch) => ({ stretch, spans: nodesOn(profile, stretch) }));
  return (fromNode: number, toNode: number, day: number): number | undefined => {
    let first: number | undefined;
    for (const { stretch, spans } of rules) {
      if (!holdsOn(stretch, dayOfYear(day))) continue;
      for (const [from, to] of spans)
        if (to > fromNode && from < toNode) first = Math.min(first ?? Infinity, Math.max(from, fromNode));
    }
    return first;
  };
}
