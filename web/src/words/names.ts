import { FINISH_ID, START_ID, type Plan } from "@gepack/core";

/** Name of a stop, the two ends of the trail included. */
export function stopName(plan: Plan, stopId: string): string {
  if (stopId === START_ID) return "Start";
  if (stopId === FINISH_ID) return "Finish";
  return plan.stops.find((stop) => stop.id === stopId)?.name ?? "(stop is gone)";
}
