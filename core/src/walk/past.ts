/**
 * Nights that have been: where and when each logged day ended. They are as they were, whatever pace, rules and stops say
 * of them; between two of them that are days apart the way is spread evenly, as before a pin with a date.
 */
import type { LogDay } from "../plan/logSchema.ts";
import { isWalked, nodeOf } from "../track/place.ts";
import type { Profile } from "../track/profile.ts";
import { dayNumber } from "../units/day.ts";
import type { Halt } from "./halts.ts";
import type { PlacedPin } from "./pins.ts";

export interface Past {
  /** In walking order, each with its day and the further nights there. */
  nights: readonly PlacedPin[];
  /** Day number to the node that the day ended at. */
  endNode: ReadonlyMap<number, number>;
  /** The last day that is known; −Infinity without a log. */
  lastDay: number;
}

export type LogFacts = Pick<LogDay, "id" | "date" | "trackM" | "alternateId" | "stopId" | "night">;

export function logFacts({ id, date, trackM, alternateId, stopId, night }: LogDay): LogFacts {
  return { id, date, trackM, alternateId, stopId, night };
}

export interface PastInput {
  log: readonly LogFacts[];
  profile: Profile;
  halts: readonly Halt[];
  /** Nothing was walked before it. */
  startDay: number;
}

/** Any number of days may be between two nights. */
const ANY_H = 24;

/**
 * Cards in the order of their days. Of two on one day the last holds; a card off the route, before the start or at the start
 * itself tells nothing of the walk; one that is behind the night before is a day that was not walked on.
 */
export function buildPast({ log, profile, halts, startDay }: PastInput): Past {
  const byDay = new Map<number, LogFacts>();
  for (const card of log) {
    const day = dayNumber(card.date)!;
    if (day >= startDay && isWalked(profile, card)) byDay.set(day, card);
  }
  const nights: PlacedPin[] = [];
  const endNode = new Map<number, number>();
  let lastDay = -Infinity;
  for (const [day, card] of [...byDay].sort(([a], [b]) => a - b)) {
    const cardNode = halts.find(({ stopId }) => stopId === card.stopId)?.node ?? nodeOf(profile, card);
    const before = nights.at(-1);
    const node = Math.max(cardNode, before?.node ?? 0);
    lastDay = day;
    if (node === 0) continue;
    if (before && node === before.node) before.zeroDays = day - before.day!;
    else nights.push({ id: card.id, node, day, bed: card.night === "bed", zeroDays: 0, overtimeH: ANY_H });
    endNode.set(day, node);
  }
  return { nights, endNode, lastDay };
}

/** Stops that were come to have the nights that were spent there; at the last of them the plan may go on resting. */
export function haltsAsWalked({ halts, past }: { halts: Halt[]; past: Past }): Halt[] {
  const last = past.nights.at(-1);
  if (!last) return halts;
  return halts.map((halt, i) => {
    if (i === 0 || i === halts.length - 1 || halt.node > last.node || halt.stopId.startsWith("@")) return halt;
    const night = past.nights.find(({ node }) => node === halt.node);
    const spent = night ? 1 + night.zeroDays : 0;
    const nights = halt.node === last.node ? Math.max(halt.nights, spent) : spent;
    return nights === halt.nights && halt.walkOnBeforeH === undefined
      ? halt
      : { ...halt, nights, walkOnBeforeH: undefined };
  });
}
