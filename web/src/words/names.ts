import { FINISH_ID, START_ID, type Hiker, type Plan } from "@gepack/core";

/** Name of a stop, the two ends of the trail included. */
export function stopName(plan: Pick<Plan, "stops">, stopId: string): string {
  if (stopId === START_ID) return "Start";
  if (stopId === FINISH_ID) return "Finish";
  return plan.stops.find((stop) => stop.id === stopId)?.name ?? "(stop is gone)";
}

/** Name of a source; a stop’s tap has none. */
export function waterName(sourceId: string | undefined, plan: Plan): string {
  return plan.sources.find((source) => source.id === sourceId)?.name ?? "the stop’s tap";
}

export function firstName(hiker: Hiker): string {
  return hiker.name.split(" ")[0] ?? hiker.name;
}
