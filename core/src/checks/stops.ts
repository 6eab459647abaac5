/** What a plan takes at its stops, against what they say they offer. */
import type { Stop } from "../plan/schema.ts";
import { defineCheck, type CheckContext, type OnLeg, onLegs } from "./check.ts";

type Service = Stop["services"][number];

const SELLS_FOOD: readonly Service[] = ["shop-small", "shop-full"];
/** Fuel, and small pieces of kit. */
const SELLS_GOODS: readonly Service[] = ["shop-small", "shop-full", "outfitter"];
const SLACK_KG = 0.05;

/** The stop a leg leaves, when it says what it offers; at the start all is brought from home. */
function stopLeft({ plan }: CheckContext, { leg }: OnLeg): Stop | undefined {
  if (leg.index === 0) return undefined;
  return plan.stops.find(({ id, services }) => id === leg.fromStopId && services.length > 0);
}

const offers = (stop: Stop, wanted: readonly Service[]): boolean => stop.services.some((one) => wanted.includes(one));

const foodNotSold = defineCheck({
  code: "food-not-sold",
  units: { stopId: "name", stop: "name", have: "kg" },
  *find(context) {
    for (const on of onLegs(context)) {
      const stop = stopLeft(context, on);
      const have = on.row.food.startKg;
      // A box by post is as good as a shop.
      if (!stop || have <= SLACK_KG || offers(stop, [...SELLS_FOOD, "post"])) continue;
      yield { severity: "blocker", ...on.where, atM: on.leg.fromM, stopId: stop.id, stop: stop.name, have };
    }
  },
});

const fuelNotSold = defineCheck({
  code: "fuel-not-sold",
  units: { stop: "name", have: "g" },
  *find(context) {
    for (const on of onLegs(context)) {
      const stop = stopLeft(context, on);
      const { bought, needG } = on.row.fuel;
      if (!stop || bought === 0 || needG === 0 || offers(stop, SELLS_GOODS)) continue;
      yield { severity: "caution", ...on.where, atM: on.leg.fromM, stop: stop.name, have: needG };
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
          begins === "bought" ? missing(stops.get(fromStopId), SELLS_GOODS, "bought") : undefined,
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

function missing(stop: Stop | undefined, wanted: readonly Service[], how: string) {
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

export const stopChecks = [foodNotSold, fuelNotSold, pieceNotThere, stopsSilent] as const;
