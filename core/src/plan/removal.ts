/** Rows that go out of a plan, which is changed in place: every reference to them is followed, and what was theirs goes too. */
import { LISTS, rowsOf, type ListName } from "./lists.ts";
import { REFERENCES } from "./references.ts";
import type { Hiker, Plan } from "./schema.ts";

/**
 * Takes a row out of the plan, which is changed in place, and follows every reference to it. Without an
 * heir the rows that must name somebody keep nobody: give one.
 */
export function removeRow(plan: Plan, list: ListName, id: string, heirId?: string): void {
  const rows = rowsOf(plan, list);
  const index = rows.findIndex((row) => row.id === id);
  if (index < 0) return;
  rows.splice(index, 1);
  for (const reference of REFERENCES) {
    if (reference.to !== list) continue;
    for (const link of reference.links(plan))
      if (link.id === id)
        link.point(reference.onRemove === "clear" ? undefined : (heirId ?? reference.otherwise?.(link, plan)));
  }
}

/** The used stop nearest to one that goes: what changed there changes here. */
export function nearestUsedStop(plan: Plan, stopId: string): string | undefined {
  const gone = plan.stops.find((stop) => stop.id === stopId);
  if (!gone) return undefined;
  let best: Plan["stops"][number] | undefined;
  for (const stop of plan.stops)
    if (
      stop.id !== stopId &&
      stop.use &&
      (!best || Math.abs(stop.trackM - gone.trackM) < Math.abs(best.trackM - gone.trackM))
    )
      best = stop;
  return best?.id;
}

/** All tracks that a plan names, the main trail's first. */
export function trackIdsOf({ trackIds, route }: Pick<Plan, "trackIds" | "route">): string[] {
  return [...new Set([...trackIds, ...route.alternates.map(({ trackId }) => trackId)])];
}

/** An alternate goes, and what is on it with it. */
export function removeAlternate(plan: Plan, alternateId: string): void {
  for (const list of ["stops", "sources", "camps", "pins", "stretches"] as const)
    for (const { id, alternateId: on } of [...LISTS[list](plan)])
      if (on === alternateId) removeRow(plan, list, id, list === "stops" ? nearestUsedStop(plan, id) : undefined);
  removeRow(plan, "route.alternates", alternateId);
}

/** Somebody leaves: their own kit and devices go, and what the others share stays with the first who stays. */
export function removeHiker(plan: Plan, hikerId: string): void {
  const stays: Hiker | undefined = plan.hikers.find((hiker) => hiker.id !== hikerId);
  if (!stays || !plan.hikers.some((hiker) => hiker.id === hikerId)) return;
  for (const piece of [...plan.kit]) if (piece.ownerId === hikerId && !piece.shared) removeRow(plan, "kit", piece.id);
  // A device that was a piece of theirs has lost it by now; one that is a shared piece stays.
  for (const device of [...plan.devices])
    if (device.ownerId === hikerId && device.pieceId === undefined) removeRow(plan, "devices", device.id);
  removeRow(plan, "hikers", hikerId, stays.id);
}
