/** Why the pack weighs what it weighs: pieces, food, water, fuel. */
import { models } from "../models/index.ts";
import type { Hiker, Plan } from "../plan/schema.ts";
import type { LegHiker, PlanResult } from "../result/result.ts";
import { leaf, named, product, quotient, sum, type Derivation } from "./derivation.ts";

const KG_PER_G = 0.001;

/** Every packed piece of the leg, by group. */
export function explainBase(plan: Plan, result: PlanResult, hiker: Hiker, row: LegHiker, legIndex: number): Derivation {
  const who = plan.hikers.indexOf(hiker);
  const groups = new Map<string, Derivation[]>();
  for (const [p, piece] of plan.kit.entries()) {
    if (piece.wear !== "packed" || result.carrier[p * result.legs.length + legIndex] !== who) continue;
    const massKg = (piece.massG * piece.quantity) / 1000;
    const pieces = groups.get(piece.group) ?? [];
    pieces.push(named(leaf("piece", massKg, "kg", piece.measured ? "weighed" : "as-stated"), piece.name));
    groups.set(piece.group, pieces);
  }
  const parts = [...groups].map(([group, pieces]) =>
    named(
      sum(
        "group",
        pieces.reduce((total, piece) => total + piece.value, 0),
        "kg",
        pieces.sort((a, b) => b.value - a.value),
      ),
      group,
    ),
  );
  return sum(
    "base",
    row.kit.baseKg,
    "kg",
    parts.sort((a, b) => b.value - a.value),
  );
}

export function explainStart(
  plan: Plan,
  result: PlanResult,
  hiker: Hiker,
  row: LegHiker,
  legIndex: number,
): Derivation {
  const water = explainCarry(hiker, row, 0);
  return sum("start", row.startKg, "kg", [
    explainBase(plan, result, hiker, row, legIndex),
    leaf("consumables", row.kit.consumableKg, "kg", "kit-list"),
    explainFood(hiker, row),
    { ...water, code: "water", unit: "kg", source: "one-litre-one-kilogram" },
    explainFuel(hiker, row),
    product("containers", row.fuel.containerKg, "kg", [
      leaf("container-count", row.fuel.containers, "count", "containers-bought"),
      leaf(
        "container-empty",
        row.fuel.containers > 0 ? row.fuel.containerKg / row.fuel.containers : 0,
        "kg",
        `fuel:${hiker.stove.fuel}`,
      ),
    ]),
  ]);
}

export function explainFuel(hiker: Hiker, row: LegHiker): Derivation {
  const { fuel } = row;
  return sum("fuel", fuel.startKg, "kg", [
    product("fuel-burnt", fuel.needG / 1000, "kg", [
      leaf("boils", fuel.boils, "count", "own-setting"),
      explainBoil(hiker, fuel.gramsPerBoil),
      leaf("kg-per-g", KG_PER_G, "share", "gram"),
    ]),
    leaf("fuel-beyond", fuel.startKg - fuel.needG / 1000, "kg", "whole-containers"),
  ]);
}

function explainBoil(hiker: Hiker, gramsPerBoil: number): Derivation {
  const { stove } = hiker;
  if (gramsPerBoil === 0 || stove.gramsPerBoil !== undefined)
    return leaf("grams-per-boil", gramsPerBoil, "g/boil", "own-measured");
  const school = models.fuel.orDefault(stove.fuel);
  const gramsPerKJ = 1 / (school.lowerHeatingMJPerKg * school.efficiency.planned);
  const wind = 1 + stove.windExposure;
  return product("grams-per-boil", gramsPerBoil, "g/boil", [
    leaf("boil-heat", gramsPerBoil / gramsPerKJ / wind, "kJ", "boil-heat"),
    leaf("grams-per-kj", gramsPerKJ, "g/kJ", `fuel:${school.id}`),
    leaf("wind-factor", wind, "share", "own-setting"),
  ]);
}

export function explainFood(hiker: Hiker, row: LegHiker): Derivation {
  const { food } = row;
  const covered = 1 - hiker.food.shortfallFraction;
  const eaten = quotient(
    "food-eaten",
    food.eatenKg,
    "kg",
    product("menu", food.menuKcal, "kcal", [
      product("meals-need", food.needKcal, "kcal", [
        leaf("meal-days", food.mealDays, "days", "meals-not-in-town"),
        leaf("need-per-day", food.mealDays > 0 ? food.needKcal / food.mealDays : 0, "kcal/day", "energy"),
      ]),
      leaf("appetite", food.needKcal > 0 ? food.menuKcal / food.needKcal / covered : 1, "share", "appetite-ramp"),
      leaf("covered", covered, "share", "own-setting"),
    ]),
    leaf("density", hiker.food.densityKcalPerG * 1000, "kcal/kg", "own-setting"),
  );
  return sum("food", food.startKg, "kg", [eaten, leaf("food-reserve", food.reserveKg, "kg", "own-setting")]);
}

export function explainCarry(hiker: Hiker, row: LegHiker, index: number): Derivation {
  const carry = row.carries[index];
  if (!carry) return leaf("carry", 0, "L", "days-planned");
  const perCampL = hiker.water.dinnerL + hiker.water.nightL + hiker.water.breakfastL;
  return sum("carry", carry.litres, "L", [
    explainDrinking(hiker, carry.walkingL, carry.distanceM / 1000, carry.walkH),
    product("carry-camps", carry.campL, "L", [
      leaf("dry-camps", carry.dryCamps, "count", "days-planned"),
      leaf("per-dry-camp", perCampL, "L/camp", "own-setting"),
    ]),
    leaf("carry-reserve", carry.reserveL, "L", "own-setting"),
    leaf("drunk-at-source", -carry.drunkL, "L", "own-setting"),
  ]);
}

/** By the school's own measure: distance or hours, its rate, and what the heat makes of it. */
function explainDrinking(hiker: Hiker, litres: number, km: number, walkH: number): Derivation {
  const school = models.water.orDefault(hiker.schools.water);
  const source = `water:${school.id}`;
  const own = hiker.water.measuredLph;
  if (own === undefined && school.kind === "distance") {
    const plainL = km * hiker.water.ratePerKmL;
    if (plainL <= 0) return leaf("carry-walking", litres, "L", source);
    const rate = [
      leaf("carry-km", km, "km", "track"),
      leaf("rate-per-km", hiker.water.ratePerKmL, "L/km", "own-setting"),
    ];
    if (!school.byHeat)
      return product(
        "carry-walking",
        litres,
        "L",
        [...rate, leaf("detours", litres / plainL, "share", "track")],
        source,
      );
    return product("carry-walking", litres, "L", [...rate, leaf("heat-factor", litres / plainL, "share", source)]);
  }
  if (walkH <= 0) return leaf("carry-walking", litres, "L", source);
  return product("carry-walking", litres, "L", [
    leaf("carry-hours", walkH, "h", "days-planned"),
    leaf("rate-per-hour", litres / walkH, "L/h", own === undefined ? source : "own-measured"),
  ]);
}
