import { walkEnds, type Hiker, type Plan } from "@gepack/core";

/** Name of a stop, the two ends of the trail included. */
export function stopName({ stops, trip }: Pick<Plan, "stops" | "trip">, stopId: string): string {
  const { firstId, lastId } = walkEnds(trip.direction);
  if (stopId === firstId) return "Start";
  if (stopId === lastId) return "Finish";
  return stops.find((stop) => stop.id === stopId)?.name ?? "(stop is gone)";
}

/** Name of a source; a stop’s tap has none. */
export function waterName(sourceId: string | undefined, plan: Plan): string {
  return plan.sources.find((source) => source.id === sourceId)?.name ?? "the stop’s tap";
}

export function firstName(hiker: Hiker): string {
  return hiker.name.split(" ")[0] ?? hiker.name;
}
