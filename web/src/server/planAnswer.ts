/** A computed plan in the words of the endpoint: per leg and hiker, units in the names. */
import { boxesOf, calendarDays, checkFigures, isoOfDay, sendingDates, type Plan, type PlanResult } from "@gepack/core";
import { isAction } from "../fixes/fix.ts";
import { checkFixes, checkSentence } from "../words/checks/index.ts";
import { stopName } from "../words/names.ts";

export function planAnswer(plan: Plan, result: PlanResult): unknown {
  const sourceName = (id: string | undefined): string | null =>
    plan.sources.find((source) => source.id === id)?.name ?? null;
  const km = (m: number): number => round(m / 1000, 3);
  const share = (value: number | undefined): number | null => (value === undefined ? null : round(value, 3));
  return {
    name: plan.trip.name,
    startDate: plan.trip.startDate,
    finishDate: result.finishDate,
    walkDays: result.walkDays,
    zeroDays: result.zeroDays,
    rounds: result.rounds,
    settled: result.settled,
    hikers: plan.hikers.map((hiker, h) => ({
      hikerId: hiker.id,
      name: hiker.name,
      schools: result.schools[h],
      finishBodyKg: round(result.finish[h]!.body.bodyKg, 1),
      deficitKcal: round(result.finish[h]!.deficitKcal, 0),
    })),
    legs: result.legs.map((leg) => ({
      number: leg.index + 1,
      from: { name: stopName(plan, leg.fromStopId), km: km(leg.fromM) },
      to: { name: stopName(plan, leg.toStopId), km: km(leg.toM) },
      distanceKm: km(leg.distanceM),
      climbM: round(leg.climbM, 0),
      descentM: round(leg.descentM, 0),
      days: round(leg.dayCount, 2),
      campNights: leg.campNights,
      zeroDays: leg.zeroDays,
      startDate: leg.startDate,
      endDate: leg.endDate,
      lowC: round(leg.lowC, 1),
      highC: round(leg.highC, 1),
      coldNightC: round(leg.coldNightC, 1),
      hotDayC: round(leg.hotDayC, 1),
      lowestBatteryFraction: share(lowest(result, leg.index)),
      hikers: leg.hikers.map((row, h) => {
        const carry = row.carries[row.largestCarry];
        const longest = row.carries.reduce((a, b) => Math.max(a, b.distanceM), 0);
        return {
          hikerId: row.hikerId,
          name: plan.hikers[h]!.name,
          energyKcalPerDay: round(row.energy.totalKcal, 0),
          foodKg: round(row.food.startKg, 3),
          mealDays: round(row.food.mealDays, 2),
          longestDryKm: km(longest),
          largestCarry: carry
            ? {
                litres: round(carry.litres, 2),
                fromKm: km(carry.fromNode * result.profile.cellM),
                from: sourceName(carry.fromSourceId),
                distanceKm: km(carry.distanceM),
                dryCamps: carry.dryCamps,
                mostL: round(carry.mostL, 1),
              }
            : null,
          fillUps: row.carries.map((one) => ({
            atKm: km(one.fromNode * result.profile.cellM),
            source: sourceName(one.fromSourceId),
            litres: round(one.litres, 2),
          })),
          boils: round(row.fuel.boils, 1),
          fuelG: round(row.fuel.startKg * 1000, 0),
          containers: row.fuel.containers,
          containersG: round(row.fuel.containerKg * 1000, 0),
          warmthMarginK: row.warmth ? round(row.warmth.marginK, 1) : null,
          bodyKg: round(row.body.bodyKg, 1),
          baseKg: round(row.kit.baseKg, 3),
          wornKg: round(row.kit.wornKg, 3),
          leavingKg: round(row.startKg, 3),
          heaviestKg: round(row.heaviestKg, 3),
          heaviestAtKm: km(row.heaviestNode * result.profile.cellM),
          meanKg: round(row.meanKg, 3),
          arrivingKg: round(row.endKg, 3),
        };
      }),
    })),
    days: calendarDays(plan, result).map((day) => ({
      date: day.date,
      day: day.tripDay,
      leg: day.legIndex + 1,
      fromKm: km(day.fromM),
      toKm: km(day.toM),
      climbM: round(day.climbM, 0),
      walkH: round(day.walkH, 2),
      rests: day.rests,
      night: day.night,
      place: day.place ?? null,
      coldNightC: round(day.coldNightC, 1),
    })),
    boxes: boxesOf(plan, result).map((box) => {
      const { from, by } = sendingDates(box);
      return {
        to: stopName(plan, box.toStopId),
        sentOnFrom: box.fromStopId === undefined ? null : stopName(plan, box.fromStopId),
        leg: box.legIndex + 1,
        massG: round(box.totalG, 0),
        foodG: round(box.foodG, 0),
        pieces: box.pieces.map(({ name }) => name),
        postage: round(box.price, 2),
        sendFrom: from,
        sendBy: by,
        fetchedFrom: isoOfDay(box.earliestDay),
        fetchedTo: isoOfDay(box.latestDay),
        chance: round(box.chance, 3),
        faults: box.faults.map(({ kind }) => kind),
      };
    }),
    checks: result.checks.map((check) => ({
      code: check.code,
      severity: check.severity,
      leg: check.legIndex === undefined ? null : check.legIndex + 1,
      hikerId: check.hikerId ?? null,
      atKm: check.atM === undefined ? null : km(check.atM),
      figures: checkFigures(check),
      sentence: checkSentence(check, plan),
      fixes: checkFixes(check, { plan, result }).map((fix) => (isAction(fix) ? fix.button : fix.advice)),
    })),
    caution:
      "A plan is not a forecast. Water sources may be dry; local rules, land managers, rescue services and medical advice come first.",
  };
}

function round(value: number, digits: number): number {
  const scale = 10 ** digits;
  return Math.round(value * scale) / scale;
}

/** Of all stores. */
function lowest({ power }: PlanResult, leg: number): number | undefined {
  return power && Math.min(...power.stores.map(({ legs }) => legs[leg]!.lowestFraction));
}
