/** What a plan takes at its stops, against what they say they offer. */
import type { Stop } from "../plan/schema.ts";
import {
  hoursBetween,
  houseOpening,
  inSeason,
  nextOpen,
  openDuring,
  postOpening,
  type Opening,
} from "../stops/openings.ts";
import { stopFigures, type StopFigures } from "../stops/stays.ts";
import { isoOfDay } from "../units/day.ts";
import { offers, SELLS_GOODS } from "../walk/halts.ts";
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

/** Used stops of the plan that one comes to, with all that is done there. */
function* arrivals({ plan, result }: CheckContext) {
  for (const at of stopFigures(plan, result))
    if (at.arrives) {
      const where = { legIndex: at.arrives.index, atM: at.arrives.toM, stopId: at.stop.id, stop: at.stop.name };
      yield { ...at, where, day: at.arrives.endDate };
    }
}

/** The first day from one on that a season holds. */
function inSeasonAgain(opening: Opening, from: number): number {
  let day = from;
  while (day < from + 366 && !inSeason(opening, day)) day++;
  return day;
}

const stopOutOfSeason = defineCheck({
  code: "stop-out-of-season",
  units: { stopId: "name", stop: "name", day: "date", opens: "date", wait: "days" },
  *find(context) {
    for (const { stop, where, day, stay } of arrivals(context)) {
      const opening = houseOpening(stop);
      if (inSeason(opening, stay.from.day)) continue;
      const opens = inSeasonAgain(opening, stay.from.day);
      yield { severity: "blocker", ...where, day, opens: isoOfDay(opens), wait: opens - stay.from.day };
    }
  },
});

/** Stops where a piece of kit is to be fetched from the post or left with it. */
function postedKit({ plan }: CheckContext): ReadonlySet<string> {
  return new Set(
    plan.kit.flatMap(({ spans }) =>
      spans.flatMap(({ begins, ends, fromStopId, toStopId }) => [
        ...(begins === "posted" ? [fromStopId] : []),
        ...(ends === "sent-home" || ends === "sent-forward" ? [toStopId] : []),
      ]),
    ),
  );
}

/** Stops one comes to whose counter is wanted: for the food, or for kit. */
function* counters(context: CheckContext) {
  const posted = postedKit(context);
  for (const at of arrivals(context))
    if (at.stop.services.includes("post") && (posted.has(at.stop.id) || at.box !== undefined)) yield at;
}

const postOutOfSeason = defineCheck({
  code: "post-out-of-season",
  units: { stopId: "name", stop: "name", day: "date", opens: "date", wait: "days" },
  *find(context) {
    for (const { stop, where, day, stay } of counters(context)) {
      // A house that is closed is given as one.
      const opening = postOpening(stop);
      if (inSeason(opening, stay.from.day) || !inSeason(houseOpening(stop), stay.from.day)) continue;
      const opens = inSeasonAgain(opening, stay.from.day);
      yield { severity: "caution", ...where, day, opens: isoOfDay(opens), wait: opens - stay.from.day };
    }
  },
});

/** Who slept there waits so long in the morning for a door to open rather than a day. */
const LEAVES_LATER_H = 3;

/** A door that one needs and does not find open, with the nights that would do it. */
function shut(opening: Opening, { stay, nights }: Pick<StopFigures, "stay" | "nights">) {
  if (!inSeason(opening, stay.from.day) || openDuring(opening, stay)) return undefined;
  const next = nextOpen(opening, stay.from);
  if (!next) return undefined;
  const late = nights > 0 && hoursBetween(stay.to, next) <= LEAVES_LATER_H;
  return {
    severity: late ? ("note" as const) : ("caution" as const),
    comesH: stay.from.clockH % 24,
    opens: isoOfDay(next.day),
    opensH: next.clockH,
    wait: late ? 0 : Math.max(1, next.day - stay.to.day + (next.clockH > stay.to.clockH ? 1 : 0)),
  };
}

const SHUT = {
  stopId: "name",
  stop: "name",
  day: "date",
  comesH: "clock",
  opens: "date",
  opensH: "clock",
  wait: "days",
} as const;

const shopShut = defineCheck({
  code: "shop-shut",
  units: SHUT,
  *find(context) {
    for (const { stop, where, day, ...at } of arrivals(context)) {
      if (at.foodBy !== "buy" || at.leaves?.foodSold !== true) continue;
      const found = shut(houseOpening(stop), at);
      if (found) yield { ...where, day, ...found };
    }
  },
});

const counterShut = defineCheck({
  code: "counter-shut",
  units: SHUT,
  *find(context) {
    for (const { stop, where, day, ...at } of counters(context)) {
      const found = shut(postOpening(stop), at);
      if (found) yield { ...where, day, ...found };
    }
  },
});

/** Bought ahead or bounced: from a stop that is used, and before this one. */
const boxFromNowhere = defineCheck({
  code: "box-from-nowhere",
  units: { stopId: "name", stop: "name" },
  *find(context) {
    const passed = new Set<string>();
    for (const { stop, foodBy, leaves, where } of arrivals(context)) {
      const sent = foodBy === "ahead" || foodBy === "bounce";
      const from = stop.foodFromStopId;
      const start = context.result.legs[0]!.fromStopId;
      if (sent && leaves && (from === undefined || (from !== start && !passed.has(from))))
        yield { severity: "caution", ...where };
      passed.add(stop.id);
    }
  },
});

/** Come to so early after so little walking, one may as well shop, eat and walk on [L]. */
const MORNING_H = 12;
const SHORT_WALK_H = 3;

const stopInTheMorning = defineCheck({
  code: "stop-in-the-morning",
  units: { stopId: "name", stop: "name", day: "date", comesH: "clock", have: "h" },
  *find(context) {
    for (const { where, day, stay, nights, leaves } of arrivals(context)) {
      if (!leaves || nights !== 1 || stay.from.clockH >= MORNING_H) continue;
      const walked = context.result.days.filter((one) => one.date === day);
      const have = walked.reduce((sum, { walkH }) => sum + walkH, 0);
      if (have < SHORT_WALK_H) yield { severity: "note", ...where, day, comesH: stay.from.clockH, have };
    }
  },
});

const rideGone = defineCheck({
  code: "ride-gone",
  units: { stopId: "name", stop: "name", comesH: "clock", last: "clock" },
  *find(context) {
    for (const { stop, where, stay } of arrivals(context)) {
      if (stop.access !== "shuttle" || stop.offTrailM === 0 || stop.shuttleClocks.length === 0) continue;
      const reachesH = stay.from.clockH - stop.rideMin / 60;
      const last = Math.max(...stop.shuttleClocks);
      if (reachesH > last + 0.01) yield { severity: "caution", ...where, comesH: reachesH, last };
    }
  },
});

export const stopChecks = [
  stopOutOfSeason,
  postOutOfSeason,
  shopShut,
  counterShut,
  boxFromNowhere,
  rideGone,
  stopInTheMorning,
  foodNotSold,
  fuelNotSold,
  pieceNotThere,
  stopsSilent,
] as const;
