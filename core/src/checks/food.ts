/** Food on a leg: too little to live on, and where rules ask for a hard canister. */
import type { Plan, Stretch } from "../plan/schema.ts";
import { needsOf, restingKcalPerDay } from "../provision/needs.ts";
import type { LegResult, TripFigures } from "../result/result.ts";
import { nodeAt } from "../track/place.ts";
import { dayNumber, dayOfYear } from "../units/day.ts";
import { monthDayIndex, seasonHolds } from "../walk/terrain.ts";
import { atNode, defineCheck, onLegs } from "./check.ts";

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
      if (row.kit.canisterL === 0 && asksForCanister(context.plan, leg, context.result))
        yield { severity: "blocker", ...where, atM: leg.fromM };
  },
});

const foodOverCanister = defineCheck({
  code: "food-over-canister",
  units: { have: "L", limit: "L" },
  *find(context) {
    for (const { hiker, leg, row, where } of onLegs(context)) {
      const limit = row.kit.canisterL;
      if (limit === 0) continue;
      const entries = canisterStretches(context.plan, leg, context.result).map((stretch) =>
        Math.max(leg.fromNode, firstNode(stretch, context.result)),
      );
      if (entries.length === 0) continue;
      // The bag is fullest where the first of them begins.
      const entry = Math.min(...entries);
      const { reserveKg, forLaterKg, eatenKg } = row.food;
      const have =
        (reserveKg + forLaterKg + eatenKg * (1 - walkedShare(leg, entry, context.result))) / hiker.food.bulkKgPerL;
      if (have > limit) yield { severity: "caution", ...where, atM: atNode(context, entry), have, limit };
    }
  },
});

/** Without a valve nobody can shut them: most fire bans forbid them. */
const FORBIDDEN_BY_BANS: readonly string[] = ["alcohol", "tablets"];

const fireBan = defineCheck({
  code: "fire-ban",
  units: { fuel: "name", stretch: "name" },
  *find(context) {
    const { plan, result } = context;
    for (const { hiker, leg, row, where } of onLegs(context)) {
      const { fuel } = hiker.stove;
      if (row.fuel.boils === 0 || !FORBIDDEN_BY_BANS.includes(fuel)) continue;
      const ban = plan.stretches.find(
        (stretch) => stretch.rule === "fire-ban" && touches(stretch, leg, result) && holdsOn(stretch, leg),
      );
      if (ban) yield { severity: "blocker", ...where, atM: leg.fromM, fuel, stretch: ban.name };
    }
  },
});

function touches(stretch: Stretch, leg: LegResult, { profile }: TripFigures): boolean {
  const a = nodeAt(profile, stretch.fromM);
  const b = nodeAt(profile, stretch.toM);
  return Math.min(a, b) < leg.toNode && Math.max(a, b) > leg.fromNode;
}

/** Does the stretch's season meet the leg's days? */
function holdsOn({ fromMonthDay, toMonthDay }: Stretch, { startDate, endDate }: LegResult): boolean {
  if (fromMonthDay === undefined || toMonthDay === undefined) return true;
  const [from, to] = [monthDayIndex(fromMonthDay), monthDayIndex(toMonthDay)];
  const first = dayNumber(startDate) ?? 0;
  const last = dayNumber(endDate) ?? first;
  for (let day = first; day <= last; day++) if (seasonHolds(from, to, dayOfYear(day))) return true;
  return false;
}

function asksForCanister(plan: Plan, leg: LegResult, result: TripFigures): boolean {
  return canisterStretches(plan, leg, result).length > 0;
}

function canisterStretches({ stretches }: Plan, leg: LegResult, result: TripFigures): Stretch[] {
  return stretches.filter((stretch) => stretch.rule === "hard-canister" && touches(stretch, leg, result));
}

function firstNode({ fromM, toM }: Stretch, { profile }: TripFigures): number {
  return Math.min(nodeAt(profile, fromM), nodeAt(profile, toM));
}

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

export const foodChecks = [foodBelowResting, menuBelowNeed, canisterMissing, foodOverCanister, fireBan] as const;
