/**
 * A stand-in for a post office that could be asked: days along the trail by what kind of place a parcel goes to and how far.
 * Simulated, and said so wherever it is used; the four services are judgement [L].
 */
import type { Stop } from "../plan/schema.ts";
import { meanTransitDays } from "./post.ts";

export const POST_PLACES = ["town", "village", "outpost", "abroad"] as const;
export type PostPlace = (typeof POST_PLACES)[number];

export interface SimulatedTransit {
  simulated: true;
  /** Fewest working days, chance of each further one in two stages, and the mean of both. */
  leastDays: number;
  q: number;
  meanDays: number;
}

const SERVICES: Readonly<Record<PostPlace, { leastDays: number; q: number }>> = {
  town: { leastDays: 1, q: 0.2 },
  village: { leastDays: 2, q: 0.35 },
  outpost: { leastDays: 3, q: 0.5 },
  abroad: { leastDays: 6, q: 0.65 },
};

const NEAR_KM = 500;
/** A day more for every further thousand kilometres started. */
const KM_PER_DAY = 1000;

export function simulatedTransit({ to, distanceKm }: { to: PostPlace; distanceKm: number }): SimulatedTransit {
  const { leastDays, q } = SERVICES[to];
  const days = leastDays + Math.max(0, Math.ceil((distanceKm - NEAR_KM) / KM_PER_DAY));
  return { simulated: true, leastDays: days, q, meanDays: meanTransitDays({ leastDays: days, q }) };
}

export function postPlaceOf({ services }: Pick<Stop, "services">): PostPlace {
  if (services.includes("shop-full")) return "town";
  return services.includes("shop-small") ? "village" : "outpost";
}
