/** What a card starts with: the day after the last one, as it was planned. */
import {
  calendarDays,
  cardsOf,
  dayNumber,
  isoOfDay,
  isWalked,
  logDaySchema,
  nodeOf,
  walkedOf,
  type CalendarDay,
  type CardFigures,
  type LogDay,
  type Plan,
  type PlanResult,
  type WalkedM,
} from "@gepack/core";
import { cardPlace } from "../../edit/log.ts";

export interface NamedPlace {
  id: string;
  name: string;
  kind: "stop" | "camp" | "water";
  alongM: WalkedM;
  stopId?: string;
}

/** Places along the walk, in order. */
export function namedPlaces({ stops, camps, sources }: Plan, { profile }: PlanResult): NamedPlace[] {
  const at = (place: Parameters<typeof nodeOf>[1]): WalkedM => walkedOf(profile, nodeOf(profile, place));
  const walked = <T extends Parameters<typeof isWalked>[1]>(rows: readonly T[]): T[] =>
    rows.filter((row) => isWalked(profile, row));
  return [
    ...walked(stops).map((stop): NamedPlace => ({
      id: stop.id,
      name: stop.name,
      kind: "stop",
      alongM: at(stop),
      stopId: stop.id,
    })),
    ...walked(camps).map((camp): NamedPlace => ({ id: camp.id, name: camp.name, kind: "camp", alongM: at(camp) })),
    ...walked(sources).map((source): NamedPlace => ({
      id: source.id,
      name: source.name,
      kind: "water",
      alongM: at(source),
    })),
  ].sort((a, b) => a.alongM - b.alongM);
}

/** By two letters of its name or more, the nearest to where one may be first. */
export function findPlaces(places: readonly NamedPlace[], typed: string, nearM: number, most: number): NamedPlace[] {
  const words = typed.trim().toLowerCase();
  if (words.length < 2) return [];
  return places
    .filter(({ name }) => name.toLowerCase().includes(words))
    .sort((a, b) => Math.abs(a.alongM - nearM) - Math.abs(b.alongM - nearM))
    .slice(0, most);
}

/** The nearest to a point of the walk, in walking order. */
export function nearestPlaces(places: readonly NamedPlace[], alongM: number, most: number): NamedPlace[] {
  return [...places]
    .sort((a, b) => Math.abs(a.alongM - alongM) - Math.abs(b.alongM - alongM))
    .slice(0, most)
    .sort((a, b) => a.alongM - b.alongM);
}

/** So near a named place is that place. */
export const AT_PLACE_M = 250;

export function nameAt(places: readonly NamedPlace[], alongM: number): string | undefined {
  const near = places.filter((place) => Math.abs(place.alongM - alongM) <= AT_PLACE_M);
  return near.sort((a, b) => Math.abs(a.alongM - alongM) - Math.abs(b.alongM - alongM))[0]?.name;
}

export interface WaterAhead {
  distanceM: WalkedM;
  /** In each hiker's bottles. */
  litres: number[];
}

/** How far it is to the next water that the plan counts on, and what is carried to it; undefined at the end. */
export function waterAhead({ legs, packs, profile }: PlanResult, node: number): WaterAhead | undefined {
  const carries = legs.flatMap(({ hikers }) => hikers[0]!.carries);
  const next = carries.find(({ fromNode, toNode }) => fromNode <= node && toNode > node);
  if (!next) return undefined;
  return {
    distanceM: walkedOf(profile, next.toNode - node),
    litres: packs.map(({ waterKg }) => waterKg[node]!),
  };
}

/** Whether a date is walked on in the plan, and how. */
export const plannedOn = (days: readonly CalendarDay[], date: string): CalendarDay | undefined =>
  days.find((day) => day.date === date);

export interface Opened {
  card: LogDay;
  planned: CalendarDay | undefined;
  /** The evening before. */
  before: CardFigures | undefined;
}

/** The card of a date: the one that was kept, or a new one that ends where it was planned. */
export function openCard(plan: Plan, result: PlanResult, date: string, days = calendarDays(plan, result)): Opened {
  const cards = cardsOf(plan, result);
  const before = cards.findLast(({ card }) => card.date < date);
  const planned = plannedOn(days, date);
  const kept = plan.log.find((card) => card.date === date);
  if (kept) return { card: kept, planned, before };
  const fromM = before?.toM ?? (0 as WalkedM);
  const toM = Math.max(fromM, planned?.toM ?? fromM) as WalkedM;
  const stop = planned?.night === "stop" ? result.legs[planned.legIndex]!.toStopId : undefined;
  const card = logDaySchema.parse({
    id: `log-${date}`,
    date,
    ...cardPlace(result.profile, toM),
    ...(stop === undefined || stop.startsWith("@") ? {} : { stopId: stop }),
    night: planned?.night === "bed" || planned?.night === "stop" ? planned.night : "camp",
    area: before?.card.area ?? "",
  });
  return { card, planned, before };
}

/** The first day without a card after the last that has one. */
export function nextDate({ log, trip }: Plan): string {
  const last = log.at(-1)?.date;
  if (last === undefined || last < trip.startDate) return trip.startDate;
  return followingDate(last);
}

export const followingDate = (date: string): string => isoOfDay(dayNumber(date)! + 1);
