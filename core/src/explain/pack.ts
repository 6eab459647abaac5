/** Why the pack weighs what it weighs: pieces, food, water, fuel. */
import type { WaterSchool } from "../models/water.ts";
import type { WaterSettings } from "../plan/schema.ts";
import type { Carry } from "../provision/water.ts";
import { leaf, named, product, quotient, sum, type Derivation } from "./derivation.ts";
import { defineFigure, sourceOf, type WhyContext } from "./figure.ts";

const KG_PER_G = 0.001;

/** Every packed piece of the leg, by group. */
function explainBase({ plan, result, leg, row, who }: WhyContext): Derivation {
  const groups = new Map<string, Derivation[]>();
  for (const [p, piece] of plan.kit.entries()) {
    if (piece.wear !== "packed" || result.carrier[p * result.legs.length + leg.index] !== who) continue;
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

function explainStart(context: WhyContext): Derivation {
  const { row, schools } = context;
  const water = explainCarry(context, 0);
  return sum("start", row.startKg, "kg", [
    explainBase(context),
    leaf("consumables", row.kit.consumableKg, "kg", "kit-list"),
    explainFood(context),
    { ...water, code: "water", unit: "kg", source: "one-litre-one-kilogram" },
    explainFuel(context),
    product("containers", row.fuel.containerKg, "kg", [
      leaf("container-count", row.fuel.containers, "count", "containers-bought"),
      leaf(
        "container-empty",
        row.fuel.containers > 0 ? row.fuel.containerKg / row.fuel.containers : 0,
        "kg",
        sourceOf("fuel", schools.fuel),
      ),
    ]),
  ]);
}

function explainFuel(context: WhyContext): Derivation {
  const { fuel } = context.row;
  const cooking = product("fuel-cooking", (fuel.needG - fuel.simmerG - fuel.meltG) / 1000, "kg", [
    leaf("boils", fuel.boils, "count", "own-setting"),
    explainBoil(context, fuel.gramsPerBoil),
    leaf("kg-per-g", KG_PER_G, "fraction", "gram"),
  ]);
  const melting = product("fuel-melting", fuel.meltG / 1000, "kg", [
    leaf("melted", fuel.meltL, "L", "snow-or-ice"),
    leaf("kg-per-melted", fuel.meltL > 0 ? fuel.meltG / fuel.meltL / 1000 : 0, "kg/L", "boil-heat"),
  ]);
  return sum("fuel", fuel.startKg, "kg", [
    cooking,
    ...(fuel.simmerG > 0 ? [leaf("fuel-simmering", fuel.simmerG / 1000, "kg", "burner-least")] : []),
    ...(fuel.meltG > 0 ? [melting] : []),
    ...(fuel.laterG > 0 ? [leaf("fuel-for-later", fuel.laterG / 1000, "kg", "not-sold")] : []),
    leaf("fuel-beyond", fuel.startKg - (fuel.needG + fuel.laterG) / 1000, "kg", "whole-containers"),
  ]);
}

function explainBoil({ hiker, schools }: WhyContext, gramsPerBoil: number): Derivation {
  const { stove } = hiker;
  const school = schools.fuel;
  if (gramsPerBoil === 0 || school.measured) return leaf("grams-per-boil", gramsPerBoil, "g/boil", "own-measured");
  const gramsPerKJ = 1 / (school.lowerHeatingMJPerKg * school.efficiency.planned);
  const wind = 1 + stove.windExposure;
  return product("grams-per-boil", gramsPerBoil, "g/boil", [
    leaf("boil-heat", gramsPerBoil / gramsPerKJ / wind, "kJ", "boil-heat"),
    leaf("grams-per-kj", gramsPerKJ, "g/kJ", sourceOf("fuel", school)),
    leaf("wind-factor", wind, "fraction", "own-setting"),
  ]);
}

function explainFood({ hiker, row }: WhyContext): Derivation {
  const { food } = row;
  const covered = 1 - hiker.food.shortfallFraction;
  const byMenu = food.proteinG !== undefined && food.eatenKg > 0;
  const ownKcalPerKg = byMenu ? food.menuKcal / food.eatenKg / food.densityFactor : hiker.food.densityKcalPerG * 1000;
  const eaten = quotient(
    "food-eaten",
    food.eatenKg,
    "kg",
    product("menu", food.menuKcal, "kcal", [
      product("meals-need", food.needKcal, "kcal", [
        leaf("meal-days", food.mealDays, "days", "meals-not-in-town"),
        leaf("need-per-day", food.mealDays > 0 ? food.needKcal / food.mealDays : 0, "kcal/day", "energy"),
      ]),
      leaf("appetite", food.needKcal > 0 ? food.menuKcal / food.needKcal / covered : 1, "fraction", "appetite-ramp"),
      leaf("covered", covered, "fraction", "own-setting"),
    ]),
    product("density", ownKcalPerKg * food.densityFactor, "kcal/kg", [
      food.proteinG === undefined
        ? leaf("own-density", ownKcalPerKg, "kcal/kg", "own-setting")
        : leaf("menu-density", ownKcalPerKg, "kcal/kg", "menus"),
      leaf("shop-density", food.densityFactor, "fraction", "own-setting"),
    ]),
  );
  return sum("food", food.startKg, "kg", [
    eaten,
    ...(food.forLaterKg > 0 ? [leaf("food-for-later", food.forLaterKg, "kg", "not-sold")] : []),
    leaf("food-reserve", food.reserveKg, "kg", "own-setting"),
  ]);
}

function explainCarry({ hiker, row, schools }: WhyContext, index: number): Derivation {
  const carry = row.carries[index];
  if (!carry) return leaf("carry", 0, "L", "days-planned");
  const perCampL = carry.dryCamps > 0 ? carry.campL / carry.dryCamps / carry.campHeat : 0;
  return sum("carry", carry.litres, "L", [
    explainDrinking(hiker.water, schools.water, carry, row.body.bodyKg),
    product("carry-camps", carry.campL, "L", [
      leaf("dry-camps", carry.dryCamps, "count", "days-planned"),
      leaf("per-dry-camp", perCampL, "L/camp", "own-setting"),
      leaf("camp-heat", carry.campHeat, "fraction", "heat-rule"),
    ]),
    leaf("carry-reserve", carry.reserveL, "L", "own-setting"),
    leaf("drunk-at-source", -carry.drunkL, "L", "own-setting"),
    leaf("carry-in-hand", carry.handL, "L", "own-setting"),
    ...(carry.pastL > 0 ? [leaf("carry-past", carry.pastL, "L", "own-setting")] : []),
  ]);
}

/** By the school's own measure: distance or hours, its rate, and what the heat makes of it. */
function explainDrinking(own: WaterSettings, school: WaterSchool, carry: Carry, bodyKg: number): Derivation {
  const { walkingL, walkH } = carry;
  const km = carry.distanceM / 1000;
  const source = sourceOf("water", school);
  const rule = school.rule?.(own, bodyKg);
  const byHours = rule?.isLarger === true && rule.perHourL * walkH > rule.perKmL * km;
  if (rule && rule.perKmL > 0 && !byHours) {
    const plainL = km * rule.perKmL;
    if (plainL <= 0) return leaf("carry-walking", walkingL, "L", source);
    const parts = [leaf("carry-km", km, "km", "track"), leaf("rate-per-km", rule.perKmL, "L/km", "own-setting")];
    if (rule.byHeat) {
      parts.push(leaf("heat-factor", walkingL / plainL, "fraction", source));
      return product("carry-walking", walkingL, "L", parts);
    }
    parts.push(leaf("detours", walkingL / plainL, "fraction", "track"));
    return product("carry-walking", walkingL, "L", parts, source);
  }
  if (walkH <= 0) return leaf("carry-walking", walkingL, "L", source);
  return product("carry-walking", walkingL, "L", [
    leaf("carry-hours", walkH, "h", "days-planned"),
    leaf("rate-per-hour", walkingL / walkH, "L/h", source),
  ]);
}

export const packFigures = [
  defineFigure({ id: "start", explain: explainStart }),
  defineFigure({ id: "base", explain: explainBase }),
  defineFigure({ id: "food", explain: explainFood }),
  defineFigure({
    id: "carry",
    explain: (context) => explainCarry(context, context.carryIndex ?? context.row.largestCarry),
  }),
  defineFigure({ id: "fuel", explain: explainFuel }),
] as const;
