/**
 * Side trips to water, there and back: made by the whole party where the water is fetched, and part
 * of its day. Which of them pay is decided with the water (see `provision/payingWater.ts`).
 */
import type { PlacedSource } from "./sources.ts";

/** One detour as it was walked. */
export interface Detour {
  sourceId: string;
  node: number;
  /** There and back. */
  distanceM: number;
  walkH: number;
}

/** Sources the party walks to, in walking order, one for each node. */
export type DetourSources = readonly Pick<PlacedSource, "id" | "node" | "offTrailM">[];

/** Several hikers' wishes as one list: who goes goes with all. */
export function allDetours(wishes: readonly DetourSources[]): DetourSources {
  const byNode = new Map<number, DetourSources[number]>();
  for (const wish of wishes) for (const source of wish) if (!byNode.has(source.node)) byNode.set(source.node, source);
  return [...byNode.values()].sort((a, b) => a.node - b.node);
}

export function sameDetours(a: DetourSources, b: DetourSources): boolean {
  return a.length === b.length && a.every((source, i) => source.id === b[i]!.id);
}
