/** Batteries, stoves in the cold, heat, camps where none may be, and models beyond what they were measured on. */
import { coldestCanisterC } from "../models/fuel.ts";
import { fluidAdvice, wbgtC } from "../models/heat.ts";
import { models } from "../models/index.ts";
import { outsideOf } from "../models/school.ts";
import type { Hiker, Plan } from "../plan/schema.ts";
import type { LegHiker, LegResult, PlanResult } from "../result/result.ts";
import { isoOfDay } from "../units/day.ts";
import type { Add } from "./add.ts";

const LOW_BATTERY = 0.1;
const CANISTER_MIX = { isobutane: 0.8, propane: 0.2 } as const;
const AFTERNOON_HUMIDITY = 0.4;
const HOT_CATEGORY = 3;
const WALKING_W = 425;
/** Share of a leg that may lie beyond a model's grades before it is said. */
const SOME_OF_THE_WAY = 0.1;
/** A share of the whole trail is told well enough by every eighth cell. */
const SAMPLE_CELLS = 8;

export function powerChecks(plan: Plan, result: Omit<PlanResult, "checks">, add: Add): void {
  for (const [legIndex, leg] of (result.power?.legs ?? []).entries()) {
    const where = { legIndex, atM: result.legs[legIndex]!.fromM };
    if (leg.shortWh > 0 || leg.lowestShare < LOW_BATTERY)
      add(
        "battery-flat",
        leg.shortWh > 0 ? "caution" : "note",
        where,
        {
          have: { value: leg.lowestShare * 100, unit: "%" },
          day: { value: isoOfDay(leg.flatDay ?? leg.lowestDay), unit: "date" },
          short: { value: leg.shortWh, unit: "Wh" },
        },
        ["bigger-bank", "use-less-power"],
      );
    for (const spare of leg.spare)
      add(
        "spare-cells-short",
        "caution",
        where,
        {
          piece: {
            value: plan.devices.find((device) => device.id === spare.deviceId)?.name ?? spare.deviceId,
            unit: "name",
          },
          have: { value: spare.haveSets, unit: "count" },
          limit: { value: spare.neededSets, unit: "count" },
        },
        ["more-cells"],
      );
  }
}

export function campChecks(leg: LegResult, result: Omit<PlanResult, "checks">, add: Add): void {
  const camp = result.days.find((day) => day.legIndex === leg.index && day.forbiddenCamp);
  if (!camp) return;
  const atM = camp.toNode * result.profile.cellM;
  add("camp-forbidden", "blocker", { legIndex: leg.index, atM }, { day: { value: camp.date, unit: "date" } }, [
    "more-hours",
    "use-stop",
  ]);
}

export function heatCheck(leg: LegResult, add: Add): void {
  const advice = fluidAdvice(wbgtC(leg.hotDayC, AFTERNOON_HUMIDITY), WALKING_W);
  if (!advice || advice.category < HOT_CATEGORY) return;
  add(
    "heat-stress",
    "caution",
    { legIndex: leg.index, atM: leg.fromM },
    {
      have: { value: leg.hotDayC, unit: "C" },
      rest: { value: advice.restMin, unit: "min" },
      limit: { value: advice.litresPerH, unit: "L" },
    },
    ["walk-cool-hours"],
  );
}

export function stoveCheck(
  hiker: Hiker,
  leg: LegResult,
  row: LegHiker,
  result: Omit<PlanResult, "checks">,
  add: Add,
): void {
  // No stove here minds warmer air than freezing; finding a canister's limit takes a while.
  if (row.fuel.boils === 0 || leg.campNights === 0 || leg.coldNightC > 0) return;
  const heightM = result.profile.heightM[leg.coldestCampNode]!;
  const gas = hiker.stove.fuel.startsWith("gas");
  const limitC = gas ? coldestCanisterC(CANISTER_MIX, heightM) : hiker.stove.fuel === "alcohol" ? 0 : undefined;
  if (limitC === undefined || leg.coldNightC >= limitC) return;
  add(
    "stove-too-cold",
    "note",
    { legIndex: leg.index, hikerId: hiker.id, atM: leg.coldestCampNode * result.profile.cellM },
    { have: { value: leg.coldNightC, unit: "C" }, limit: { value: limitC, unit: "C" } },
    ["warm-canister"],
  );
}

/** Once for the trip and question: which figure left the range that the school was measured in. */
export function validityChecks(hiker: Hiker, who: number, result: Omit<PlanResult, "checks">, add: Add): void {
  const { profile, legs } = result;
  const schools = result.schools[who]!;
  const note = (name: string, quantity: string, value: number): void =>
    add(
      "outside-model",
      "note",
      { hikerId: hiker.id },
      {
        model: { value: name, unit: "name" },
        quantity: { value: quantity, unit: "name" },
        have: { value, unit: "count" },
      },
      ["other-school"],
    );
  // What was measured replaces the schools, and their limits with them.
  if (hiker.water.measuredLph === undefined) {
    const water = models.water.get(schools.water);
    const highsC = legs.map((leg) => leg.highC);
    for (const temperatureC of [Math.min(...highsC), Math.max(...highsC)])
      for (const reason of outsideOf(water.validity.ranges)({ temperatureC }))
        note(water.name, reason.quantity, Math.round(reason.value));
  }
  if (hiker.food.measuredKcalPerDay !== undefined) return;
  const effort = models.effort.get(schools.effort);
  const heaviestKg = Math.max(...legs.map((leg) => leg.hikers[who]!.heaviestKg));
  const base = { bodyKg: hiker.bodyKg, loadKg: heaviestKg, speedMps: 1, gradePercent: 0, terrain: 1 };
  for (const reason of effort.outside(base)) note(effort.name, reason.quantity, reason.value);
  const [low, high] = effort.validity.ranges["gradePercent"] ?? [-Infinity, Infinity];
  const { gradeFraction, cellCount } = profile;
  let beyond = 0;
  let asked = 0;
  for (let c = 0; c < cellCount; c += SAMPLE_CELLS) {
    asked++;
    if (100 * gradeFraction[c]! < low || 100 * gradeFraction[c]! > high) beyond++;
  }
  if (beyond > SOME_OF_THE_WAY * asked) note(effort.name, "gradePercent", Math.round((100 * beyond) / asked));
  const resting = models.resting.get(schools.resting);
  for (const reason of resting.outside(hiker)) note(resting.name, reason.quantity, reason.value);
}
