/** Food on a leg: too little to live on, and where rules ask for a hard canister. */
import { FORBIDDEN_BY_BANS } from "../models/fuel.ts";
import type { Plan, Stretch } from "../plan/schema.ts";
import { needsOf, restingKcalPerDay } from "../provision/needs.ts";
import type { LegResult, TripFigures } from "../result/result.ts";
import { atNode, defineCheck, onLegs } from "./check.ts";
import { firstNode, holdsOn, meetsDay, sleepsIn, touches } from "../result/stretches.ts";

const foodBelowResting = defineCheck({
  code: "food-below-resting",
  units: { have: "kcal/day", limit: "kcal/day" },
  *find(context) {
    for (const { hiker, who, leg, row, where } of onLegs(context)) {
      if (row.food.mealDays <= 0) continue;
      const have = row.food.menuKcal / row.food.mealDays;
      const limit = restingKcalPerDay(needsOf(hiker, context.schools[who]!), row.body.bodyKg);
      if (have < limit) yield { severity: "blocker", ...where, atM: leg.fromM, have, limit };
    }
  },
});

/** A menu under these shares of the need is felt, and wears one down. */
const MENU_NOTE = 0.8;
const MENU_CAUTION = 0.7;

const menuBelowNeed = defineCheck({
  code: "menu-below-need",
  units: { have: "%", limit: "%" },
  *find(context) {
    for (const { id } of context.plan.hikers) {
      const shares = [...onLegs(context)]
        .filter(({ row }) => row.hikerId === id && row.food.needKcal > 0)
        .map(({ row, leg, where }) => ({ share: row.food.menuKcal / row.food.needKcal, leg, where }));
      const least = shares.reduce<(typeof shares)[number] | undefined>(
        (a, b) => (a && a.share <= b.share ? a : b),
        undefined,
      );
      if (!least || least.share >= MENU_NOTE - 1e-6) continue;
      const severity = least.share < MENU_CAUTION - 1e-6 ? "caution" : "note";
      yield { severity, ...least.where, atM: least.leg.fromM, have: 100 * least.share, limit: 100 * MENU_NOTE };
    }
  },
});

const canisterMissing = defineCheck({
  code: "canister-missing",
  units: {},
  *find(context) {
    for (const { leg, row, where } of onLegs(context))
      if (row.kit.canisterL === 0 && canisterStretches(context.plan, leg, context.result).length > 0)
        yield { severity: "blocker", ...where, atM: leg.fromM };
  },
});

const foodOverCanister = defineCheck({
  code: "food-over-canister",
  units: { have: "L", limit: "L" },
  *find(context) {
    for (const { leg, row, where } of onLegs(context)) {
      const limit = row.kit.canisterL;
      if (limit === 0) continue;
      const entries = canisterStretches(context.plan, leg, context.result).map((stretch) =>
        firstNode(stretch, leg, context.result),
      );
      if (entries.length === 0) continue;
      // The bag is fullest where the first of them starts.
      const entry = Math.min(...entries);
      const { reserveKg, forLaterKg, eatenKg } = row.food;
      const have =
        (reserveKg + forLaterKg + eatenKg * (1 - walkedShare(leg, entry, context.result))) / row.food.bulkKgPerL;
      if (have > limit) yield { severity: "caution", ...where, atM: atNode(context, entry), have, limit };
    }
  },
});

const fireBan = defineCheck({
  code: "fire-ban",
  units: { fuel: "name", stretch: "name" },
  *find(context) {
    const { plan, result } = context;
    for (const { hiker, who, leg, where } of onLegs(context)) {
      const { fuel } = hiker.stove;
      if (!FORBIDDEN_BY_BANS.includes(fuel)) continue;
      const cooked = result.days.filter((day) => day.legIndex === leg.index && day.fuelKg[who]! > 0);
      const ban = plan.stretches.find(
        (stretch) => stretch.rule === "fire-ban" && cooked.some((day) => meetsDay(stretch, day, result)),
      );
      if (ban) yield { severity: "blocker", ...where, atM: leg.fromM, fuel, stretch: ban.name };
    }
  },
});

/** Those that ask for a canister on a leg: of stretches that ask only who sleeps there, where somebody does. */
function canisterStretches(plan: Plan, leg: LegResult, result: TripFigures): Stretch[] {
  return storageStretches(plan, leg, result).filter(
    (stretch) => stretch.appliesTo === "carrying" || sleepsIn(stretch, leg, result),
  );
}

function storageStretches({ stretches }: Plan, leg: LegResult, result: TripFigures): Stretch[] {
  return stretches.filter(
    (stretch) => stretch.rule === "hard-canister" && touches(stretch, leg, result) && holdsOn(stretch, leg),
  );
}

const canisterNotAsked = defineCheck({
  code: "canister-if-camping",
  units: { stretch: "name" },
  *find(context) {
    const { plan, result } = context;
    for (const leg of result.legs)
      for (const stretch of storageStretches(plan, leg, result))
        if (stretch.appliesTo === "sleeping" && !sleepsIn(stretch, leg, result))
          yield { severity: "note", legIndex: leg.index, atM: leg.fromM, stretch: stretch.name };
  },
});

/** The part of the leg's walking hours that is done on reaching a node: as much is eaten of what the leg eats. */
function walkedShare(leg: LegResult, node: number, { days }: TripFigures): number {
  let before = 0;
  for (const day of days) {
    if (day.legIndex !== leg.index || day.fromNode >= node) continue;
    const part = Math.min(1, (node - day.fromNode) / Math.max(1, day.toNode - day.fromNode));
    before += part * day.walkH;
  }
  return leg.walkH > 0 ? before / leg.walkH : 0;
}

export const foodChecks = [
  foodBelowResting,
  menuBelowNeed,
  canisterMissing,
  canisterNotAsked,
  foodOverCanister,
  fireBan,
] as const;
