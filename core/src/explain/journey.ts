/** Why the leg takes so long, and what it burns: days, date, energy, the speed on one cell. */
import type { LegResult, PlanFigures } from "../result/result.ts";
import { dayNumber } from "../units/day.ts";
import { baseHours, baseHoursInput } from "../walk/baseHours.ts";
import { heatSpeedFactor, heightSpeedFactor, loadSpeedFactor } from "../walk/slow.ts";
import { speedFactors, SURFACE_FACTORS } from "../walk/surfaces.ts";
import { leaf, named, product, quotient, sum, type Derivation } from "./derivation.ts";
import { defineFigure, schoolsOf, sourceOf, type WhyContext } from "./figure.ts";

function explainDays({ leg, schools }: WhyContext): Derivation {
  const toStopsH = leg.walkH - leg.trailH - leg.detourH;
  const km = leg.distanceM / 1000;
  return quotient(
    "days",
    leg.dayCount,
    "days",
    sum("walk-hours-leg", leg.walkH, "h", [
      quotient(
        "trail-hours",
        leg.trailH,
        "h",
        leaf("leg-km", km, "km", "track"),
        leaf("mean-speed", leg.trailH > 0 ? km / leg.trailH : 0, "km/h", sourceOf("time", schools.time)),
      ),
      leaf("off-trail-hours", toStopsH, "h", "off-trail-pace"),
      leaf("detour-hours", leg.detourH, "h", "detour-rule"),
    ]),
    leaf("hours-per-day", leg.dayCount > 0 ? leg.walkH / leg.dayCount : 0, "h", "day-rules"),
  );
}

/** Dates are day numbers since 1970; adding days to a date gives a date. */
function explainArrival({ plan, result, leg }: WhyContext): Derivation {
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

function explainEnergy({ row, schools, hiker }: WhyContext): Derivation {
  const { energy } = row;
  const { effortFactor } = hiker.pace;
  const parts = [
    product("walking", energy.walkKcal, "kcal/day", [
      leaf("walk-hours", energy.walkH, "h", "days-planned"),
      leaf(
        "walk-per-hour",
        energy.walkH > 0 ? energy.walkKcal / energy.walkH / effortFactor : 0,
        "kcal",
        sourceOf("effort", schools.effort),
      ),
      leaf("own-cost", effortFactor, "fraction", "own-cost"),
    ]),
    leaf("resting", energy.restKcal, "kcal/day", sourceOf("resting", schools.resting)),
    leaf("thermic", energy.thermicKcal, "kcal/day", "thermic"),
    leaf("cold", energy.coldKcal, "kcal/day", "cold-allowance"),
  ];
  if (energy.measuredKcal !== 0) parts.push(leaf("measured-energy", energy.measuredKcal, "kcal/day", "own-measured"));
  return sum("energy", energy.totalKcal, "kcal/day", parts);
}

/** The slowest cell of a leg, where no other is needed. */
function slowestCell(result: PlanFigures, leg: LegResult): number {
  let slowest = leg.fromNode;
  for (let c = leg.fromNode; c < leg.toNode; c++) if (result.cellH[c]! > result.cellH[slowest]!) slowest = c;
  return slowest;
}

/** One hiker's speed on a cell by day, km/h, as if they walked alone, in its factors. */
function speedAlone({ plan, result }: WhyContext, who: number, cell: number) {
  const hiker = plan.hikers[who]!;
  const { profile } = result;
  const { dayRules } = plan;
  const base = baseHoursInput(hiker, schoolsOf(hiker).time, profile);
  const own = base.speedFactor;
  const surface = result.surface[cell]!;
  const day = result.days.findLast(({ fromNode }) => fromNode <= cell);
  const factors = {
    plainKmh: profile.cellM / 1000 / baseHours(base)[cell]! / own,
    own,
    load: loadSpeedFactor(result.packs[who]!.loadKg[cell]!, profile.gradeFraction[cell]!, dayRules.loadSlowness),
    surface: speedFactors(dayRules.surfaceSpeed, dayRules.onSnow)[surface]!,
    heat: heatSpeedFactor(result.cellC[cell]!, dayRules.heatSlowFromC, dayRules.heatSlowPerK),
    height: heightSpeedFactor(profile.heightM[cell]!, day?.slowPerM ?? 0),
  };
  return { ...factors, kmh: Object.values(factors).reduce((speed, factor) => speed * factor, 1) };
}

/** The party's speed on a cell, from this hiker's own: who is faster waits. */
function explainSpeed(context: WhyContext): Derivation | undefined {
  const { plan, result, leg, who, schools } = context;
  const cell = context.cell ?? slowestCell(result, leg);
  if (result.cellH[cell] === undefined) return undefined;
  const speedKmh = result.profile.cellM / 1000 / result.cellH[cell]!;
  const everybody = plan.hikers.map((_, h) => speedAlone(context, h, cell));
  const alone = everybody[who]!;
  const slowestKmh = Math.min(...everybody.map(({ kmh }) => kmh));
  // By day or in the dark: whichever is nearer, the other cannot be meant.
  const { nightSpeedFactor } = plan.dayRules;
  const inTheDark = Math.abs(speedKmh / slowestKmh - nightSpeedFactor) < Math.abs(speedKmh / slowestKmh - 1);
  return product("speed", speedKmh, "km/h", [
    leaf("plain-speed", alone.plainKmh, "km/h", sourceOf("time", schools.time)),
    leaf("own-factor", alone.own, "fraction", "own-setting"),
    leaf("load-factor", alone.load, "fraction", "load-slows"),
    named(
      leaf("surface-factor", alone.surface, "fraction", "surface-table"),
      SURFACE_FACTORS[result.surface[cell]!]!.id,
    ),
    leaf("heat-slow-factor", alone.heat, "fraction", "day-rules"),
    leaf("height-slow-factor", alone.height, "fraction", "thin-air"),
    leaf("party-factor", slowestKmh / alone.kmh, "fraction", "party-slowest"),
    leaf("night-factor", inTheDark ? nightSpeedFactor : 1, "fraction", "day-rules"),
  ]);
}

export const journeyFigures = [
  defineFigure({ id: "energy", explain: explainEnergy }),
  defineFigure({ id: "days", explain: explainDays }),
  defineFigure({ id: "arrival", explain: explainArrival }),
  defineFigure({ id: "speed", explain: explainSpeed }),
] as const;
