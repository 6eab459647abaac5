/** Why a night is warm enough or not, what pad it wants, and where the battery stands. */
import { GROUND_FLUX, groundC, MOST_EXTRA_K, ONE_IN_TEN, R_PER_RSI } from "../models/cold.ts";
import type { LegHiker, LegResult, PlanResult } from "../result/result.ts";
import { leaf, product, quotient, sum, type Derivation } from "./derivation.ts";

const SKIN_C = 33;

/** The coldest night in ten at the leg's coldest camp. */
function explainNight(result: PlanResult, leg: LegResult): Derivation {
  const night = result.days.find((day) => day.legIndex === leg.index && day.toNode === leg.coldestCampNode);
  const meanC = night?.lowC ?? leg.coldNightC;
  return sum("cold-night", leg.coldNightC, "C", [
    leaf("mean-low", meanC, "C", "stations-lapse"),
    product("one-in-ten", leg.coldNightC - meanC, "K", [
      leaf("quantile", -ONE_IN_TEN, "share", "one-in-ten"),
      leaf("spread", (meanC - leg.coldNightC) / ONE_IN_TEN, "K", "stations"),
    ]),
  ]);
}

export function explainWarmth(result: PlanResult, leg: LegResult, row: LegHiker): Derivation | undefined {
  const { warmth } = row;
  if (!warmth) return undefined;
  return sum("warmth", warmth.marginK, "K", [
    explainNight(result, leg),
    leaf("bag-rating", -warmth.bagC, "K", "bag-rating"),
    leaf("bag-extras", Math.min(MOST_EXTRA_K, warmth.extraK), "K", "bag-extras"),
  ]);
}

export function explainPad(result: PlanResult, leg: LegResult): Derivation {
  const ground = groundC(leg.coldNightC, leg.coldestOnSnow);
  if (ground >= SKIN_C) return leaf("pad", leg.padRNeeded, "R", "pad-mapping");
  return quotient(
    "pad",
    leg.padRNeeded,
    "R",
    product("pad-resistance", R_PER_RSI * (SKIN_C - ground), "R·W/m²K", [
      leaf("r-per-rsi", R_PER_RSI, "share", "pad-units"),
      sum("pad-difference", SKIN_C - ground, "K", [
        leaf("skin", SKIN_C, "C", "pad-mapping"),
        { ...explainNight(result, leg), ...negated(explainNight(result, leg)) },
        leaf("ground-warmer", leg.coldNightC - ground, "K", leg.coldestOnSnow ? "ground-snow" : "ground-bare"),
      ]),
    ]),
    leaf("ground-flux", GROUND_FLUX.planned, "W/m²", "pad-mapping"),
  );
}

/** The same tree with every sign turned; in a product one sign is enough. */
function negated(tree: Derivation): Derivation {
  const [first, ...rest] = tree.parts;
  const parts =
    tree.combine === "sum"
      ? tree.parts.map(negated)
      : first && tree.combine !== "leaf"
        ? [negated(first), ...rest]
        : [];
  return { ...tree, value: -tree.value, parts };
}

/** The lowest that the party's store stands on the leg, as a share that the cold lets out. */
export function explainBattery(result: PlanResult, legIndex: number): Derivation | undefined {
  const { power } = result;
  const leg = power?.legs[legIndex];
  if (!power || !leg) return undefined;
  const day = power.days.find((row) => row.legIndex === legIndex && row.usableShare === leg.lowestShare);
  if (!day || leg.capacityWh === 0) return leaf("battery", leg.lowestShare, "share", "batteries");
  const stored = quotient(
    "battery-stored",
    day.leftWh / leg.capacityWh,
    "share",
    sum("stored-wh", day.leftWh, "Wh", [
      leaf("stored-before", day.leftWh + day.usedWh - day.solarWh, "Wh", "days-planned"),
      leaf("solar-wh", day.solarWh, "Wh", "solar"),
      leaf("used-wh", -day.usedWh, "Wh", "own-setting"),
    ]),
    leaf("capacity-wh", leg.capacityWh, "Wh", "batteries"),
  );
  const coldShare = day.leftWh > 0 ? (leg.lowestShare * leg.capacityWh) / day.leftWh : 0;
  return product("battery", leg.lowestShare, "share", [
    stored,
    leaf("battery-cold", coldShare, "share", "battery-cold"),
  ]);
}
