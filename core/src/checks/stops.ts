/** What a plan takes at its stops, against what they say they offer. */
import type { Stop, Stretch } from "../plan/schema.ts";
import { dayNumber, dayOfYear, isoOfDay } from "../units/day.ts";
import { offers, SELLS_GOODS } from "../walk/halts.ts";
import { holdsOn } from "../walk/terrain.ts";
import { defineCheck, type CheckContext, type OnLeg, onLegs } from "./check.ts";

const SLACK_KG = 0.05;

/** The last leg before this one that left a stop with a wanted quality: from there it is carried. */
function broughtFrom({ plan, result }: CheckContext, { leg }: OnLeg, sold: "foodSold" | "fuelSold") {
  const from = result.legs.slice(0, leg.index).findLast((before) => before[sold]);
  const name = (stopId: string | undefined): string => plan.stops.find(({ id }) => id === stopId)?.name ?? "";
  return { stopId: leg.fromStopId, stop: name(leg.fromStopId), from: name(from?.fromStopId) };
}

const foodNotSold = defineCheck({
  code: "food-not-sold",
  units: { stopId: "name", stop: "name", from: "name", have: "kg" },
  *find(context) {
    for (const on of onLegs(context)) {
      const have = on.row.food.eatenKg;
      if (on.leg.foodSold || have <= SLACK_KG) continue;
      yield { severity: "note", ...on.where, atM: on.leg.fromM, have, ...broughtFrom(context, on, "foodSold") };
    }
  },
});

const fuelNotSold = defineCheck({
  code: "fuel-not-sold",
  units: { stopId: "name", stop: "name", from: "name", have: "g" },
  *find(context) {
    for (const on of onLegs(context)) {
      const have = on.row.fuel.needG;
      if (on.leg.fuelSold || have === 0) continue;
      yield { severity: "note", ...on.where, atM: on.leg.fromM, have, ...broughtFrom(context, on, "fuelSold") };
    }
  },
});

const pieceNotThere = defineCheck({
  code: "piece-not-there",
  units: { piece: "name", stop: "name", how: "name" },
  *find({ plan, result }) {
    const stops = new Map(plan.stops.filter(({ services }) => services.length > 0).map((stop) => [stop.id, stop]));
    for (const piece of plan.kit)
      for (const { fromStopId, toStopId, begins, ends } of piece.spans) {
        const found = [
          begins === "posted" ? missing(stops.get(fromStopId), ["post"], "posted") : undefined,
          begins === "bought" ? missing(stops.get(fromStopId), [...SELLS_GOODS], "bought") : undefined,
          ends === "sent-home" || ends === "sent-forward" ? missing(stops.get(toStopId), ["post"], "sent") : undefined,
        ];
        for (const one of found)
          if (one)
            yield {
              severity: "caution",
              hikerId: piece.carrierId,
              legIndex: result.legs.find(({ fromStopId: id }) => id === one.stopId)?.index,
              piece: piece.name,
              stop: one.stop,
              how: one.how,
            };
      }
  },
});

function missing(stop: Stop | undefined, wanted: Stop["services"], how: string) {
  if (!stop || offers(stop, wanted)) return undefined;
  return { stopId: stop.id, stop: stop.name, how };
}

const stopsSilent = defineCheck({
  code: "stops-silent",
  units: { have: "count", stop: "name" },
  *find({ plan, result }) {
    const used = new Set(result.legs.map(({ fromStopId }) => fromStopId));
    const silent = plan.stops.filter(({ id, services }) => used.has(id) && services.length === 0);
    if (silent.length > 0) yield { severity: "note", have: silent.length, stop: silent[0]!.name };
  },
});

type Opening = Pick<Stretch, "fromMonthDay" | "toMonthDay">;

/** The first day from one on that a season holds, as a date. */
function opensAgain(opening: Opening, from: number): string {
  let day = from;
  while (day < from + 366 && !holdsOn(opening, dayOfYear(day))) day++;
  return isoOfDay(day);
}

/** Used stops of the plan with the date of coming to each. */
function* arrivals({ plan, result }: CheckContext) {
  for (const leg of result.legs) {
    const stop = plan.stops.find(({ id }) => id === leg.toStopId);
    if (stop) yield { stop, leg, day: dayNumber(leg.endDate)!, leaves: result.legs[leg.index + 1] };
  }
}

const stopOutOfSeason = defineCheck({
  code: "stop-out-of-season",
  units: { stopId: "name", stop: "name", day: "date", opens: "date", wait: "days" },
  *find(context) {
    for (const { stop, leg, day } of arrivals(context)) {
      const opening = { fromMonthDay: stop.openFrom, toMonthDay: stop.openTo };
      if (holdsOn(opening, dayOfYear(day))) continue;
      const opens = opensAgain(opening, day);
      const where = { legIndex: leg.index, atM: leg.toM, stopId: stop.id, stop: stop.name };
      yield { severity: "blocker", ...where, day: leg.endDate, opens, wait: dayNumber(opens)! - day };
    }
  },
});

/** Where something is posted, or nothing but the post brings food. */
const postOutOfSeason = defineCheck({
  code: "post-out-of-season",
  units: { stopId: "name", stop: "name", day: "date", opens: "date", wait: "days" },
  *find(context) {
    const posted = new Set(
      context.plan.kit.flatMap(({ spans }) =>
        spans.flatMap(({ begins, ends, fromStopId, toStopId }) => [
          ...(begins === "posted" ? [fromStopId] : []),
          ...(ends === "sent-home" || ends === "sent-forward" ? [toStopId] : []),
        ]),
      ),
    );
    for (const { stop, leg, day, leaves } of arrivals(context)) {
      // A house that is closed is told as one.
      if (stop.postFrom === undefined && stop.postTo === undefined) continue;
      const opening = { fromMonthDay: stop.postFrom, toMonthDay: stop.postTo };
      const wanted = posted.has(stop.id) || (leaves?.foodSold === true && !offers(stop, SHOPS));
      if (!stop.services.includes("post") || !wanted || holdsOn(opening, dayOfYear(day))) continue;
      const opens = opensAgain(opening, day);
      const where = { legIndex: leg.index, atM: leg.toM, stopId: stop.id, stop: stop.name };
      yield { severity: "caution", ...where, day: leg.endDate, opens, wait: dayNumber(opens)! - day };
    }
  },
});

const SHOPS: Stop["services"] = ["shop-small", "shop-full"];

export const stopChecks = [
  stopOutOfSeason,
  postOutOfSeason,
  foodNotSold,
  fuelNotSold,
  pieceNotThere,
  stopsSilent,
] as const;
