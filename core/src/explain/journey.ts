/** Why the leg takes so long, and what it burns: days, date, energy, the speed on one cell. */
import { models } from "../models/index.ts";
import type { Hiker, Plan } from "../plan/schema.ts";
import type { LegHiker, LegResult, PlanResult } from "../result/result.ts";
import { dayNumber } from "../units/day.ts";
import { baseHours, speedFactorOf } from "../walk/baseHours.ts";
import { heatSpeedFactor, loadSpeedFactor } from "../walk/slow.ts";
import { speedFactors, SURFACE_FACTORS } from "../walk/surfaces.ts";
import { leaf, named, product, quotient, sum, type Derivation } from "./derivation.ts";

export function explainDays(hiker: Hiker, leg: LegResult): Derivation {
  const offTrailH = leg.walkH - leg.trailH;
  const km = leg.distanceM / 1000;
  return quotient(
    "days",
    leg.days,
    "days",
    sum("walk-hours-leg", leg.walkH, "h", [
      quotient(
        "trail-hours",
        leg.trailH,
        "h",
        leaf("leg-km", km, "km", "track"),
        leaf("mean-speed", leg.trailH > 0 ? km / leg.trailH : 0, "km/h", `time:${hiker.schools.time}`),
      ),
      leaf("off-trail-hours", offTrailH, "h", "off-trail-pace"),
    ]),
    leaf("hours-per-day", leg.days > 0 ? leg.walkH / leg.days : 0, "h", "day-rules"),
  );
}

/** Dates are day numbers since 1970; adding days to a date gives a date. */
export function explainArrival(plan: Plan, result: PlanResult, leg: LegResult): Derivation {
  const start = dayNumber(plan.trip.startDate) ?? 0;
  const left = dayNumber(leg.startDate) ?? 0;
  const arrived = dayNumber(leg.endDate) ?? 0;
  const before = result.legs.slice(0, leg.index);
  const zerosBefore = before.reduce((total, earlier) => total + earlier.zeroDays, 0);
  const last = result.days.filter((day) => day.legIndex === leg.index).at(-1);
  const restInCamp = leg.zeroDays - (last?.night === "stop" ? last.zeroDays : 0);
  return sum("arrival", arrived, "date", [
    leaf("start-date", start, "date", "own-setting"),
    leaf("days-before", left - start - zerosBefore, "days", "days-planned"),
    leaf("zeros-before", zerosBefore, "days", "day-rules"),
    leaf("nights-on-leg", arrived - left - restInCamp, "days", "days-planned"),
    leaf("zeros-on-leg", restInCamp, "days", "day-rules"),
  ]);
}

export function explainEnergy(hiker: Hiker, row: LegHiker): Derivation {
  const { energy } = row;
  const parts = [
    product("walking", energy.walkKcal, "kcal/day", [
      leaf("walk-hours", energy.walkH, "h", "days-planned"),
      leaf(
        "walk-per-hour",
        energy.walkH > 0 ? energy.walkKcal / energy.walkH : 0,
        "kcal",
        `effort:${hiker.schools.effort}`,
      ),
    ]),
    leaf("resting", energy.restKcal, "kcal/day", `resting:${hiker.schools.resting}`),
    leaf("thermic", energy.thermicKcal, "kcal/day", "thermic"),
    leaf("cold", energy.coldKcal, "kcal/day", "cold-allowance"),
  ];
  if (energy.measuredKcal !== 0) parts.push(leaf("measured-energy", energy.measuredKcal, "kcal/day", "own-measured"));
  return sum("energy", energy.totalKcal, "kcal/day", parts);
}

/** The slowest cell of a leg, where no other is asked for. */
export function slowestCell(result: PlanResult, leg: LegResult): number {
  let slowest = leg.fromNode;
  for (let c = leg.fromNode; c < leg.toNode; c++) if (result.cellH[c]! > result.cellH[slowest]!) slowest = c;
  return slowest;
}

/** The party's speed on a cell, from this hiker's own: who is faster waits. */
export function explainSpeed(plan: Plan, result: PlanResult, hiker: Hiker, cell: number): Derivation {
  const { profile } = result;
  const kmPerCell = profile.cellM / 1000;
  const speedKmh = kmPerCell / result.cellH[cell]!;
  const who = plan.hikers.indexOf(hiker);
  const grade = profile.gradeFraction[cell]!;
  const own = speedFactorOf(hiker);
  const plainKmh = kmPerCell / baseHours(hiker, profile)[cell]! / own;
  const byLoad = loadSpeedFactor(result.loadKg[who]![cell]!, grade, plan.days.loadSlowness);
  const surface = result.surface[cell]!;
  const bySurface = speedFactors(plan.days.surfaceSpeed)[surface]!;
  const byHeat = heatSpeedFactor(result.cellC[cell]!, plan.days.heatSlowFromC, plan.days.heatSlowPerK);
  const alone = plainKmh * own * byLoad * bySurface * byHeat;
  return product("speed", speedKmh, "km/h", [
    leaf("plain-speed", plainKmh, "km/h", `time:${models.time.orDefault(hiker.schools.time).id}`),
    leaf("own-factor", own, "share", "own-setting"),
    leaf("load-factor", byLoad, "share", "load-slows"),
    named(leaf("surface-factor", bySurface, "share", "surface-table"), SURFACE_FACTORS[surface]!.id),
    leaf("heat-slow-factor", byHeat, "share", "day-rules"),
    leaf("party-night-factor", speedKmh / alone, "share", "party-slowest"),
  ]);
}
