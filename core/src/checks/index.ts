/** The map of the checks: a new one is a member of one of these lists. */
import { legBags } from "../bag/legBag.ts";
import { boxesOf } from "../boxes/boxes.ts";
import { buildPantry } from "../food/figures.ts";
import { bodyChecks } from "./body.ts";
import { boxChecks } from "./boxes.ts";
import type { CheckContext, CheckOf, FigureUnit, Finding } from "./check.ts";
import { coldChecks } from "./cold.ts";
import { daysChecks } from "./days.ts";
import { foodChecks } from "./food.ts";
import { fordChecks } from "./fords.ts";
import { kitChecks } from "./kit.ts";
import { loadChecks } from "./load.ts";
import { menuChecks } from "./menu.ts";
import { modelChecks } from "./models.ts";
import { pinChecks } from "./pins.ts";
import { powerChecks } from "./power.ts";
import { routeChecks } from "./route.ts";
import { seasonChecks } from "./season.ts";
import { stopChecks } from "./stops.ts";
import { stretchChecks } from "./stretches.ts";
import { waterChecks } from "./water.ts";

export const CHECKS = [
  ...loadChecks,
  ...waterChecks,
  ...foodChecks,
  ...menuChecks,
  ...coldChecks,
  ...kitChecks,
  ...daysChecks,
  ...pinChecks,
  ...stopChecks,
  ...boxChecks,
  ...stretchChecks,
  ...routeChecks,
  ...seasonChecks,
  ...fordChecks,
  ...powerChecks,
  ...bodyChecks,
  ...modelChecks,
] as const;

/** Any check that can be found, distinguished by its code. */
export type Check = CheckOf<(typeof CHECKS)[number]>;
export type CheckCode = Check["code"];

/** Reads a computed plan and says what falls short on which leg for whom, leg by leg. */
export function findChecks(given: Omit<CheckContext, "bags" | "boxes">): Check[] {
  const { plan, result } = given;
  const pantry = buildPantry(plan.foods);
  const bags = plan.hikers.map(({ menus }, who) =>
    menus.defaultId === undefined ? [] : legBags(plan, result, who, pantry),
  );
  const context: CheckContext = { ...given, bags, boxes: boxesOf(plan, result) };
  const found: Check[] = [];
  for (const { code, find } of CHECKS)
    for (const finding of find(context) as Iterable<Finding<Record<string, never>>>)
      found.push({ legIndex: undefined, hikerId: undefined, atM: undefined, ...finding, code } as unknown as Check);
  // What holds for the whole trip comes after the legs.
  return found.sort((a, b) => (a.legIndex ?? Infinity) - (b.legIndex ?? Infinity) || 0);
}

/** The figures of a check by name, each with its unit, for who knows no codes. */
export function checkFigures(check: Check): Record<string, { value: number | string; unit: FigureUnit }> {
  const units: Readonly<Record<string, FigureUnit>> = CHECKS.find((kind) => kind.code === check.code)!.units;
  const values = check as unknown as Record<string, number | string>;
  return Object.fromEntries(Object.entries(units).map(([name, unit]) => [name, { value: values[name]!, unit }]));
}
