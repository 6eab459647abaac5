/** What is selected, on every station and in the address: plan, leg, hiker, the figure asked why, the zoom of the Line. */
import { EXPLAINED, type Explained } from "@gepack/core";
import { create } from "zustand";

export interface Selection {
  /** The plan that this tab has open; another tab may have another. */
  planId: string | undefined;
  legIndex: number;
  hikerIndex: number;
  why: Explained;
  /** The leg that the Line and all under it is zoomed to, with its neighbours; the whole trail without. */
  zoomLeg: number | undefined;
  /** A date of the hike; none where it is not one. */
  day: string | undefined;
}

export const useSelection = create<Selection>(() => ({
  planId: undefined,
  legIndex: 0,
  hikerIndex: 0,
  why: "start",
  zoomLeg: undefined,
  day: undefined,
}));

/** Selecting another leg while zoomed takes the zoom along. */
export function select(next: Partial<Selection>): void {
  const zoomed = useSelection.getState().zoomLeg !== undefined;
  const follows = zoomed && next.legIndex !== undefined && !("zoomLeg" in next);
  useSelection.setState(follows ? { ...next, zoomLeg: next.legIndex } : next);
  const url = new URL(window.location.href);
  url.search = searchOf(useSelection.getState(), url.searchParams);
  window.history.replaceState(window.history.state, "", url);
}

/** The selection as a query, other parameters kept: leg and hiker from 1. */
export function searchOf(selection: Selection, kept: URLSearchParams = new URLSearchParams()): string {
  const { planId, legIndex, hikerIndex, why, zoomLeg, day } = selection;
  const query = new URLSearchParams(kept);
  if (planId !== undefined) query.set("plan", planId);
  query.set("leg", String(legIndex + 1));
  query.set("hiker", String(hikerIndex + 1));
  query.set("why", why);
  if (zoomLeg === undefined) query.delete("zoom");
  else query.set("zoom", "leg");
  if (day === undefined) query.delete("day");
  else query.set("day", day);
  return `?${query.toString()}`;
}

export function readLocation(): void {
  const query = new URLSearchParams(window.location.search);
  const whole = (name: string): number => Math.max(0, Math.floor(Number(query.get(name) ?? 1) || 1) - 1);
  const legIndex = whole("leg");
  useSelection.setState(({ planId }) => ({
    planId: query.get("plan") ?? planId,
    legIndex,
    hikerIndex: whole("hiker"),
    why: EXPLAINED.find((figure) => figure === query.get("why")) ?? "start",
    zoomLeg: query.get("zoom") === "leg" ? legIndex : undefined,
    day: query.get("day") ?? undefined,
  }));
}

/** A plan in this tab; where there was another, it is seen from its beginning. */
export function selectPlan(planId: string): void {
  const before = useSelection.getState().planId;
  const isAnother = before !== undefined && before !== planId;
  select({ planId, ...(isAnother ? { legIndex: 0, zoomLeg: undefined, day: undefined } : {}) });
}

/** Keeps the selection within a plan of so many legs and hikers. */
export function keepWithin(legs: number, hikers: number): void {
  const { legIndex, hikerIndex, zoomLeg } = useSelection.getState();
  const leg = Math.min(legIndex, legs - 1);
  const hiker = Math.min(hikerIndex, hikers - 1);
  if (leg !== legIndex || hiker !== hikerIndex || (zoomLeg !== undefined && zoomLeg >= legs))
    useSelection.setState({ legIndex: leg, hikerIndex: hiker, zoomLeg: zoomLeg === undefined ? undefined : leg });
}
