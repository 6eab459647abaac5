/** The lists of a plan whose rows have an id. */
import type { Plan } from "./schema.ts";

/** The lists of the document whose rows have an id, by the name that edits and problems use. */
export const LISTS = {
  hikers: (plan: Plan) => plan.hikers,
  stops: (plan: Plan) => plan.stops,
  sources: (plan: Plan) => plan.sources,
  stretches: (plan: Plan) => plan.stretches,
  "climate.stations": (plan: Plan) => plan.climate.stations,
  "climate.forecasts": (plan: Plan) => plan.climate.forecasts,
  "climate.readings": (plan: Plan) => plan.climate.readings,
  kit: (plan: Plan) => plan.kit,
  decisions: (plan: Plan) => plan.decisions,
  savedLists: (plan: Plan) => plan.savedLists,
  boxes: (plan: Plan) => plan.boxes,
  camps: (plan: Plan) => plan.camps,
  pins: (plan: Plan) => plan.pins,
  log: (plan: Plan) => plan.log,
  devices: (plan: Plan) => plan.devices,
  foods: (plan: Plan) => plan.foods,
  menus: (plan: Plan) => plan.menus,
  "route.alternates": (plan: Plan) => plan.route.alternates,
  "route.closures": (plan: Plan) => plan.route.closures,
  "route.sections": (plan: Plan) => plan.route.sections,
} as const;
export type ListName = keyof typeof LISTS;

export interface Row {
  id: string;
}

export function rowsOf(plan: Plan, name: ListName): Row[] {
  return LISTS[name](plan);
}
