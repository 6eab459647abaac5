/** Parts of one variant of a trip taken over into another: the rest stays, and nothing points to what is not there. */
import { LISTS } from "../plan/lists.ts";
import { REFERENCES } from "../plan/references.ts";
import type { Plan } from "../plan/schema.ts";

export const VARIANT_PARTS = ["kit", "stops", "menus", "days"] as const;
export type VariantPart = (typeof VARIANT_PARTS)[number];

/** Changes the plan in place. People, trail, log and what was decided stay its own. */
export function takePart(plan: Plan, from: Plan, part: VariantPart): void {
  const other = structuredClone(from);
  if (part === "kit") {
    plan.kit = other.kit;
    plan.decisions = other.decisions;
    plan.kitRules = other.kitRules;
  } else if (part === "stops") {
    const known = new Map(plan.stops.map((stop) => [stop.id, stop]));
    plan.stops = other.stops.map((stop) => ({ ...known.get(stop.id), ...stop }));
    plan.resupply = other.resupply;
  } else if (part === "menus") {
    plan.foods = other.foods;
    plan.menus = other.menus;
    for (const hiker of plan.hikers) {
      const same = other.hikers.find(({ id }) => id === hiker.id);
      if (same) Object.assign(hiker, { menus: same.menus, fill: same.fill, food: same.food });
    }
  } else {
    plan.dayRules = other.dayRules;
    plan.trip.startDate = other.trip.startDate;
    for (const hiker of plan.hikers) {
      const same = other.hikers.find(({ id }) => id === hiker.id);
      if (same) hiker.pace = same.pace;
    }
  }
  repairLinks(plan);
}

/** Whatever names a row that is not there names what replaces it, as if the row had been removed. */
function repairLinks(plan: Plan): void {
  for (const reference of REFERENCES) {
    const ids = new Set(LISTS[reference.to](plan).map(({ id }) => id));
    const [heir] = ids;
    for (const link of reference.links(plan))
      if (!ids.has(link.id) && !reference.besides.includes(link.id))
        link.point(reference.onRemove === "clear" ? undefined : (reference.otherwise?.(link, plan) ?? heir));
  }
}
