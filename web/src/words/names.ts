import { RIDE, SNOW_ID, TAP, TRANSFER, walkEnds, type Hiker, type Plan } from "@gepack/core";

/** Name of a stop, the two ends of the trail and places between the parts of a route included. */
export function stopName({ stops, trip, route }: Pick<Plan, "stops" | "trip" | "route">, stopId: string): string {
  const { firstId, lastId } = walkEnds(trip.direction);
  if (stopId === firstId) return "Start";
  if (stopId === lastId) return "Finish";
  if (stopId.startsWith(TRANSFER)) return `Transfer at ${named(route.sections, stopId.slice(TRANSFER.length))}`;
  if (stopId.startsWith(RIDE)) return `Ride past ${named(route.closures, stopId.slice(RIDE.length))}`;
  return stops.find((stop) => stop.id === stopId)?.name ?? "(stop no longer exists)";
}

function named(rows: readonly { id: string; name: string }[], id: string): string {
  return rows.find((row) => row.id === id)?.name ?? id;
}

/** Name of a source; the tap of a stop that is passed by has the stop’s, that of one where one stops has none. */
export function waterName(sourceId: string | undefined, plan: Plan): string {
  if (sourceId === SNOW_ID) return "snow along the trail";
  if (sourceId?.startsWith(TAP)) return plan.stops.find(({ id }) => id === sourceId.slice(TAP.length))?.name ?? "a tap";
  return plan.sources.find((source) => source.id === sourceId)?.name ?? "the stop’s tap";
}

export function firstName(hiker: Hiker): string {
  const [first = hiker.name, second = ""] = hiker.name.split(" ");
  // Who is called by a number is given from the others by it.
  return /^\d+$/.test(second) ? `${first} ${second}` : first;
}

/** Whose a figure is, where several walk: of all together, or of one. */
export function ofAll({ hikers }: Pick<Plan, "hikers">): string {
  return hikers.length < 2 ? "" : hikers.length === 2 ? ", both hikers" : ", all hikers";
}

export function ofOne({ hikers }: Pick<Plan, "hikers">, who: number): string {
  return hikers.length < 2 ? "" : `, ${firstName(hikers[who]!)}`;
}

/** Choices of the document whose code is no word of ours. */
const SPOKEN: Readonly<Record<string, string>> = {
  "shop-small": "small shop",
  "shop-full": "full shop",
  post: "post office",
  "own-diet": "special diet",
  "hard-canister": "bear canister",
  "faint-path": "faint trail",
  trickle: "trickling",
};

/** A choice of the document in words: a service, a surface, a rule. */
export const spoken = (code: string): string => SPOKEN[code] ?? code.replaceAll("-", " ");
