/** What is done at every used stop: coming and going, how food comes, what it costs, when its box is to be sent. */
import type { Plan, Resupply, Stop } from "../plan/schema.ts";
import type { LegResult, TripFigures } from "../result/result.ts";
import { dayNumber } from "../units/day.ts";
import { offers, supplierOf } from "../walk/halts.ts";
import type { Stay } from "./openings.ts";
import {
  arrivalSdDays,
  arrivalSpreadDays,
  chanceOver,
  postagePrice,
  sendingDays,
  type Sending,
  type Service,
} from "./post.ts";

export type FoodBy = NonNullable<Stop["foodBy"]>;

/** For all hikers, in the plan's money. */
export interface StopMoney {
  food: number;
  parcel: number;
  beds: number;
  rides: number;
}

export interface StopBox {
  sending: Sending;
  /** Sent from a stop along the trail, on the day of being there, with the chance that it is there in time. */
  sentDay: number | undefined;
  chance: number;
}

export interface StopFigures {
  stop: Stop;
  /** The leg that leaves it; undefined at the finish. */
  leaves: LegResult | undefined;
  /** Undefined at the start. */
  arrives: LegResult | undefined;
  stay: Stay;
  nights: number;
  foodBy: FoodBy;
  money: StopMoney;
  /** Where food comes by post. */
  box: StopBox | undefined;
}

/** How food comes where nothing is chosen: bought, or posted where there is no shop. */
export function foodByOf(stop: Pick<Stop, "services" | "foodBy">): FoodBy {
  return stop.foodBy ?? (supplierOf(stop) === "posted" ? "drop" : "buy");
}

export function comesByPost(foodBy: FoodBy): boolean {
  return foodBy === "drop" || foodBy === "bounce" || foodBy === "ahead";
}

export function serviceTo(stop: Pick<Stop, "postLeastDays">, { transitQ, lostFraction }: Resupply): Service {
  return { leastDays: stop.postLeastDays, q: transitQ, lostFraction };
}

type PlannedLegs = Pick<TripFigures, "legs" | "days">;

/** Used stops of the plan in walking order. */
export function stopFigures(plan: Plan, result: PlannedLegs): StopFigures[] {
  const { legs } = result;
  const stops = new Map(plan.stops.map((stop) => [stop.id, stop]));
  const figures: StopFigures[] = [];
  for (let at = 0; at <= legs.length; at++) {
    const arrives = legs[at - 1];
    const leaves = legs[at];
    const stop = stops.get(leaves?.fromStopId ?? arrives!.toStopId);
    if (stop) figures.push(figuresOf(plan, result, { stop, arrives, leaves }, figures));
  }
  return figures;
}

function figuresOf(
  plan: Plan,
  result: PlannedLegs,
  { stop, arrives, leaves }: Pick<StopFigures, "stop" | "arrives" | "leaves">,
  before: readonly StopFigures[],
): StopFigures {
  const stay = stayOf(result, arrives, leaves);
  const nights = Math.max(0, stay.to.day - stay.from.day);
  const foodBy = foodByOf(stop);
  const leftHere = leaves?.foodSold === true;
  const box =
    leftHere && arrives && comesByPost(foodBy) ? boxOf(plan, result, { stop, foodBy, stay }, before) : undefined;
  return {
    stop,
    arrives,
    leaves,
    stay,
    nights,
    foodBy,
    money: moneyOf(plan, result, { stop, leaves, arrives, nights }),
    box,
  };
}

function stayOf({ days }: PlannedLegs, arrives: LegResult | undefined, leaves: LegResult | undefined): Stay {
  const last = arrives && days.findLast(({ legIndex }) => legIndex === arrives.index);
  const first = leaves && days.find(({ legIndex }) => legIndex === leaves.index);
  const to = first && { day: dayNumber(first.date)!, clockH: first.startClockH };
  const from = last && { day: dayNumber(last.date)!, clockH: last.endClockH };
  // At the start one has had time; after the finish there is all of it.
  return { from: from ?? { day: to!.day - 1, clockH: 0 }, to: to ?? { day: from!.day + 1, clockH: 24 } };
}

/** Of the legs that live out of what is taken here: this one, and those after it whose stops have none. */
function kcalTaken({ legs }: PlannedLegs, leaves: LegResult): number {
  let kcal = 0;
  for (let at = leaves.index; at < legs.length; at++) {
    if (at > leaves.index && legs[at]!.foodSold) break;
    for (const { food } of legs[at]!.hikers) kcal += food.menuKcal;
  }
  return kcal;
}

const NO_MONEY: StopMoney = { food: 0, parcel: 0, beds: 0, rides: 0 };

/** What food weighs in a parcel whose list is not written yet, and what it is packed in [L]. */
const KCAL_PER_KG = 4200;
const CARTON_KG = 0.25;

/** Food for the way on, packed at home where one starts, and its parcel. */
export function foodMoney(
  resupply: Resupply,
  stop: Stop,
  foodBy: FoodBy,
  kcal: number,
  atStart: boolean,
): Pick<StopMoney, "food" | "parcel"> {
  if (foodBy === "visitor") return { food: 0, parcel: 0 };
  const supplier = atStart ? "posted" : supplierOf({ services: stop.services, foodBy });
  return {
    food: (kcal / 1000) * resupply[supplier].priceOf1000Kcal,
    parcel: !atStart && comesByPost(foodBy) ? postagePrice(resupply, CARTON_KG + kcal / KCAL_PER_KG) + stop.postFee : 0,
  };
}

/** Beds for the nights there, and rides for one or two ways. */
export function townMoney(
  stop: Stop,
  { nights, rideCount, people }: { nights: number; rideCount: number; people: number },
): Pick<StopMoney, "beds" | "rides"> {
  return {
    beds: offers(stop, ["bed"]) ? stop.bedPrice * nights * people : 0,
    rides: stop.access === "foot" ? 0 : stop.ridePrice * rideCount * people,
  };
}

function moneyOf(
  { resupply, hikers }: Plan,
  result: PlannedLegs,
  { stop, leaves, arrives, nights }: Pick<StopFigures, "stop" | "leaves" | "arrives" | "nights">,
): StopMoney {
  const foodBy = foodByOf(stop);
  const rideCount = Number(arrives !== undefined) + Number(leaves !== undefined && arrives !== undefined);
  const fares = townMoney(stop, { nights: leaves && arrives ? nights : 0, rideCount, people: hikers.length });
  if (!leaves?.foodSold) return { ...NO_MONEY, ...fares };
  return { ...fares, ...foodMoney(resupply, stop, foodBy, kcalTaken(result, leaves), arrives === undefined) };
}

/** When a box to a stop is to be sent, from home or by whoever comes to `sender` along the trail, and how sure it is. */
export interface BoxSending extends StopBox {
  /** So many days before and after the plan that one may come for it. */
  earlyDays: number;
  lateDays: number;
  /** Sent from home on a day; and when one comes to a place on the way, and gives word there or sends it oneself. */
  chanceOn: (sentDay: number) => number;
  chanceFrom: (sentDay: number, wordDay?: number) => number;
}

export function sendingTo(
  { resupply, trip }: Plan,
  { days }: Pick<PlannedLegs, "days">,
  { stop, stay }: Pick<StopFigures, "stop" | "stay">,
  sender: Pick<StopFigures, "stay"> | undefined,
): BoxSending {
  const service = serviceTo(stop, resupply);
  const plannedDay = stay.from.day;
  const walkedTo = (day: number): number => days.filter(({ date }) => dayNumber(date)! < day).length;
  const walked = walkedTo(plannedDay);
  const sdDays = arrivalSdDays(walked);
  const lateDays = arrivalSpreadDays(walked);
  const earlyDays = Math.min(lateDays, plannedDay - dayNumber(trip.startDate)!);
  const holdDays = stop.postHoldDays;
  const sending = sendingDays({ ...service, arrival: { plannedDay, sdDays }, holdDays });
  /** Who sends, or gives word, along the trail comes as much earlier or later as they do themselves. */
  const chanceFrom = (sentDay: number, wordDay = sentDay): number =>
    chanceOver(service, { sentDay, holdDays }, { plannedDay, sdDays: arrivalSdDays(walked - walkedTo(wordDay)) });
  const sentDay = sender?.stay.from.day;
  return {
    sending,
    sentDay,
    chance: sentDay === undefined ? sending.chance : chanceFrom(sentDay),
    chanceOn: (day) => chanceOver(service, { sentDay: day, holdDays }, { plannedDay, sdDays }),
    chanceFrom,
    earlyDays,
    lateDays,
  };
}

function boxOf(
  plan: Plan,
  result: PlannedLegs,
  at: Pick<StopFigures, "stop" | "foodBy" | "stay">,
  before: readonly StopFigures[],
): StopBox {
  const isFromHome = at.foodBy === "drop";
  const { sending, sentDay, chance } = sendingTo(
    plan,
    result,
    at,
    isFromHome ? undefined : before.find((one) => one.stop.id === at.stop.foodFromStopId),
  );
  return { sending, sentDay, chance };
}

export function moneyTotal(money: StopMoney): number {
  return money.food + money.parcel + money.beds + money.rides;
}
