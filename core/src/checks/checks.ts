/** Reads a computed plan and says what falls short on which leg for whom. */
import { FINISH_ID, type Hiker, type Plan, type Source } from "../plan/schema.ts";
import { restingKcalPerDay } from "../provision/energy.ts";
import { trusted, type PlacedSource } from "../walk/camps.ts";
import type { Check, Figure } from "../result/check.ts";
import type { LegHiker, LegResult, PlanResult } from "../result/result.ts";
import { dayNumber, monthOfDay } from "../units/day.ts";
import type { KitFault } from "../kit/kit.ts";
import { nodeAt } from "../track/place.ts";
import type { Add } from "./add.ts";
import { bodyChecks } from "./body.ts";
import { campChecks, heatCheck, powerChecks, stoveCheck, validityChecks } from "./gear.ts";

const LONGEST_LEG_DAYS = 10;
/** A dry stretch this long that has untrusted water in it is worth saying so. */
const LONG_DRY_M = 25_000;

type Result = Omit<PlanResult, "checks">;

export function findChecks(
  plan: Plan,
  result: Result,
  sources: readonly PlacedSource[],
  climateAssumed: boolean,
): Check[] {
  const checks: Check[] = [];
  const add: Add = (code, severity, where, figures, mends) => {
    checks.push({ code, severity, legIndex: where.legIndex, hikerId: where.hikerId, atM: where.atM, figures, mends });
  };

  for (const leg of result.legs) {
    const mealDays = Math.max(...leg.hikers.map((hiker) => hiker.food.mealDays));
    if (mealDays > LONGEST_LEG_DAYS)
      add(
        "leg-over-ten-days",
        "caution",
        { legIndex: leg.index, atM: leg.fromM },
        { have: { value: mealDays, unit: "days" }, limit: { value: LONGEST_LEG_DAYS, unit: "days" } },
        ["add-stop", "post-food"],
      );
    for (const [h, row] of leg.hikers.entries()) hikerChecks(plan.hikers[h]!, leg, row, result, plan, sources, add);
    campChecks(leg, result, add);
    heatCheck(leg, add);
  }
  for (const [h, hiker] of plan.hikers.entries()) {
    bodyChecks(hiker, h, result, add);
    validityChecks(hiker, h, result, add);
  }
  powerChecks(plan, result, add);
  for (const fault of result.kitFaults) kitCheck(plan, fault, add);

  const wanted = plan.trip.finishBy;
  if (wanted !== undefined) {
    const late = (dayNumber(result.finishDate) ?? 0) - (dayNumber(wanted) ?? 0);
    if (late > 0)
      add(
        "finish-late",
        "caution",
        {},
        {
          have: { value: result.finishDate, unit: "date" },
          limit: { value: wanted, unit: "date" },
          late: { value: late, unit: "days" },
        },
        ["start-earlier", "more-hours", "fewer-zeros"],
      );
  }
  if (climateAssumed) add("climate-assumed", "caution", {}, {}, ["add-stations"]);
  if (!result.profile.hasHeights) add("heights-missing", "caution", {}, {}, []);
  if (!result.settled) add("not-settled", "note", {}, { move: { value: result.lastMoveG, unit: "g" } }, []);
  return checks;
}

function hikerChecks(
  hiker: Hiker,
  leg: LegResult,
  row: LegHiker,
  result: Result,
  plan: Plan,
  sources: readonly PlacedSource[],
  add: Add,
): void {
  const where = { legIndex: leg.index, hikerId: hiker.id };
  const atM = (node: number): number => node * result.profile.cellM;

  if (row.heaviestKg > hiker.packComfortKg + 0.05)
    add(
      "load-over-comfort",
      row.heaviestKg > 1.25 * hiker.packComfortKg ? "blocker" : "caution",
      { ...where, atM: atM(row.heaviestNode) },
      { have: { value: row.heaviestKg, unit: "kg" }, limit: { value: hiker.packComfortKg, unit: "kg" } },
      ["lighten-kit", "add-stop", "stronger-pack"],
    );

  const carry = row.carries[row.largestCarry];
  if (carry && carry.litres > row.kit.bottleL + 0.05)
    add(
      "carry-over-bottles",
      "blocker",
      { ...where, atM: atM(carry.fromNode) },
      {
        have: { value: carry.litres, unit: "L" },
        limit: { value: row.kit.bottleL, unit: "L" },
        distance: { value: carry.distanceM, unit: "m" },
      },
      ["more-bottles", "trust-source", "split-carry"],
    );
  if (carry && carry.litres > carry.mostL)
    add(
      "drink-limit",
      "note",
      { ...where, atM: atM(carry.fromNode) },
      { have: { value: carry.litres, unit: "L" }, limit: { value: carry.mostL, unit: "L" } },
      ["walk-cool-hours"],
    );
  untrustedWater(hiker, leg, row, sources, result, add);

  if (row.volumeL > hiker.packVolumeL)
    add(
      "food-over-pack",
      "caution",
      { ...where, atM: leg.fromM },
      { have: { value: row.volumeL, unit: "L" }, limit: { value: hiker.packVolumeL, unit: "L" } },
      ["bigger-pack", "add-stop", "lighten-kit"],
    );
  if (needsCanister(plan, leg, result)) {
    const foodL = row.food.startKg / hiker.food.bulkKgPerL;
    if (row.kit.canisterL === 0)
      add("canister-missing", "blocker", { ...where, atM: leg.fromM }, {}, ["carry-canister"]);
    else if (foodL > row.kit.canisterL)
      add(
        "food-over-canister",
        "caution",
        { ...where, atM: leg.fromM },
        { have: { value: foodL, unit: "L" }, limit: { value: row.kit.canisterL, unit: "L" } },
        ["bigger-canister", "add-stop"],
      );
  }

  if (leg.campNights > 0) {
    const campM = atM(leg.coldestCampNode);
    const bagC = row.kit.bagC === undefined ? undefined : row.kit.bagC - row.kit.bagExtraK;
    if (bagC !== undefined && leg.coldNightC < bagC - 0.05)
      add(
        "night-below-bag",
        bagC - leg.coldNightC > 5 ? "blocker" : "caution",
        { ...where, atM: campM },
        { have: { value: bagC, unit: "C" }, limit: { value: leg.coldNightC, unit: "C" } },
        ["warmer-bag", "add-liner"],
      );
    if (row.kit.padR > 0 && row.kit.padR < leg.padRNeeded - 0.05)
      add(
        "pad-too-thin",
        "caution",
        { ...where, atM: campM },
        { have: { value: row.kit.padR, unit: "R" }, limit: { value: leg.padRNeeded, unit: "R" } },
        ["add-pad"],
      );
  }

  const resting = restingKcalPerDay(hiker, row.body.bodyKg);
  const menuPerDay = row.food.mealDays > 0 ? row.food.menuKcal / row.food.mealDays : Infinity;
  if (menuPerDay < resting)
    add(
      "food-below-resting",
      "blocker",
      { ...where, atM: leg.fromM },
      { have: { value: menuPerDay, unit: "kcal/day" }, limit: { value: resting, unit: "kcal/day" } },
      ["less-shortfall"],
    );
  stoveCheck(hiker, leg, row, result, add);
}

/** The largest dry stretch of the leg, when it holds water the hiker does not count on. */
function untrustedWater(
  hiker: Hiker,
  leg: LegResult,
  row: LegHiker,
  sources: readonly PlacedSource[],
  result: Result,
  add: Add,
): void {
  const carry = row.carries.reduce<LegHiker["carries"][number] | undefined>(
    (a, b) => (a && a.distanceM >= b.distanceM ? a : b),
    undefined,
  );
  if (!carry || carry.distanceM < LONG_DRY_M) return;
  const month = monthOfDay(dayNumber(leg.startDate) ?? 0);
  const passed: Source[] = sources
    .filter(({ source, node }) => node > carry.fromNode && node < carry.toNode && !trusted(source, hiker, month))
    .map(({ source }) => source);
  const first = passed[0];
  if (!first) return;
  add(
    "untrusted-water",
    "note",
    { legIndex: leg.index, hikerId: hiker.id, atM: nodeAt(result.profile, first.trackM) * result.profile.cellM },
    { distance: { value: carry.distanceM, unit: "m" }, source: { value: first.name, unit: "name" } },
    ["ask-about-source"],
  );
}

function needsCanister(plan: Plan, leg: LegResult, result: Result): boolean {
  return plan.stretches.some((stretch) => {
    if (stretch.rule !== "hard-canister") return false;
    const a = nodeAt(result.profile, stretch.fromM);
    const b = nodeAt(result.profile, stretch.toM);
    return Math.min(a, b) < leg.toNode && Math.max(a, b) > leg.fromNode;
  });
}

function kitCheck(plan: Plan, fault: KitFault, add: Add): void {
  if (fault.kind === "role-gap") {
    add(
      "kit-role-gap",
      "blocker",
      { legIndex: fault.legIndex, hikerId: fault.hikerId },
      { role: { value: fault.role, unit: "name" } },
      ["add-piece", "fix-span"],
    );
    return;
  }
  const piece = plan.kit.find((candidate) => candidate.id === fault.pieceId);
  const figures: Record<string, Figure> = { piece: { value: piece?.name ?? fault.pieceId, unit: "name" } };
  if ("stopId" in fault) {
    const stop = plan.stops.find((candidate) => candidate.id === fault.stopId);
    figures["stop"] = { value: stop?.name ?? (fault.stopId === FINISH_ID ? "finish" : fault.stopId), unit: "name" };
  }
  const codes = {
    "piece-twice": "kit-piece-twice",
    "piece-gap": "kit-piece-gap",
    "stop-gone": "kit-stop-gone",
    "stop-unused": "kit-stop-unused",
  } as const;
  add(
    codes[fault.kind],
    fault.kind === "stop-unused" ? "caution" : "blocker",
    { legIndex: fault.legIndex, hikerId: piece?.carrierId },
    figures,
    fault.kind === "stop-unused" ? ["use-stop", "fix-span"] : ["fix-span"],
  );
}
