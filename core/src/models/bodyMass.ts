/**
 * Body mass over weeks of a daily balance. A lean walker loses more kilograms per kilocalorie than the
 * old rule says, because more of the loss is lean tissue. Kilograms and kilocalories.
 */
import { defineSchool, registryOf, type School } from "./school.ts";

export interface MassState {
  bodyKg: number;
  fatKg: number;
}

export interface BodyMassSchool extends School {
  /** One day's balance, intake less expenditure. */
  step: (state: MassState, balanceKcal: number) => MassState;
}

/** Hall and others 2011, Lancet 378:826: 39.5 and 7.6 MJ per kg. */
export const FAT_KCAL_PER_KG = 9440;
export const LEAN_KCAL_PER_KG = 1820;
/** Wishnofsky 1958, Am J Clin Nutr 6:542, 3500 kcal a pound, rounded as it is used. */
export const RULE_KCAL_PER_KG = 7700;
/** Forbes 1987/2000: FFM = 10.4 ln(FM) + constant. */
const FORBES_KG = 10.4;
const FORBES_ENERGY_KG = (FORBES_KG * LEAN_KCAL_PER_KG) / FAT_KCAL_PER_KG;
const LEAST_FAT_KG = 0.5;
const LEAST_BODY_KG = 25;
const MOST_BODY_KG = 300;

/** Lean share of a change in body mass, and of the energy it holds, at a fat mass. */
export const leanFractionOfMass = (fatKg: number): number => FORBES_KG / (FORBES_KG + fatKg);
export const leanFractionOfEnergy = (fatKg: number): number => FORBES_ENERGY_KG / (FORBES_ENERGY_KG + fatKg);

/** Kilocalories in the next kilogram lost at a fat mass. */
export function kcalPerKgLost(fatKg: number): number {
  const lean = leanFractionOfMass(fatKg);
  return lean * LEAN_KCAL_PER_KG + (1 - lean) * FAT_KCAL_PER_KG;
}

/** Fat can give 290 kJ per kg and day: Alpert 2005, J Theor Biol 233:1. Beyond it, lean tissue goes. */
export const FAT_SUPPLY_KCAL_PER_KG_DAY = 69.31;

/** Principal branch of Lambert's W for x ≥ 0, by Newton's steps from a logarithm. */
export function lambertW(x: number): number {
  let w = x < 3 ? x / (1 + x) : Math.log(x) - Math.log(Math.log(x));
  for (let i = 0; i < 40; i++) {
    const e = Math.exp(w);
    const next = w - (w * e - x) / (e * (w + 1));
    if (Math.abs(next - w) < 1e-14 * (1 + Math.abs(w))) return next;
    w = next;
  }
  return w;
}

/** Fat after a large change of body mass: Hall 2007, Br J Nutr 97:1059. */
export function forbesFatKg(fatKg: number, changeKg: number): number {
  return FORBES_KG * lambertW((fatKg / FORBES_KG) * Math.exp((fatKg + changeKg) / FORBES_KG));
}

/** A plan may ask for anything: the body stays one that can be counted with, and a check says the rest. */
function within(bodyKg: number, fatKg: number): MassState {
  const body = Math.min(MOST_BODY_KG, Math.max(LEAST_BODY_KG, bodyKg));
  return { bodyKg: body, fatKg: Math.min(0.7 * body, Math.max(LEAST_FAT_KG, fatKg)) };
}

function forbesStep({ bodyKg, fatKg }: MassState, balanceKcal: number): MassState {
  const lean = leanFractionOfEnergy(fatKg);
  const fatChange = ((1 - lean) * balanceKcal) / FAT_KCAL_PER_KG;
  const leanChange = (lean * balanceKcal) / LEAN_KCAL_PER_KG;
  return within(bodyKg + fatChange + leanChange, fatKg + fatChange);
}

/** The rule takes a kilogram for fat alone. */
function ruleStep({ bodyKg, fatKg }: MassState, balanceKcal: number): MassState {
  const change = balanceKcal / RULE_KCAL_PER_KG;
  return within(bodyKg + change, fatKg + change);
}

export const bodyMass = registryOf<BodyMassSchool>("bodyMass", [
  defineSchool({
    id: "forbes-dynamic",
    name: "Forbes, day by day",
    source: "Forbes 1987/2000; energy of tissue from Hall and others 2011, Lancet 378:826",
    confidence: "high",
    validity: {
      words:
        "From under-feeding; exercise with enough protein spares lean tissue, so the loss is probably a little high.",
      ranges: { fatKg: [4, 60] },
    },
    step: forbesStep,
  }),
  defineSchool({
    id: "rule-7700",
    name: "7,700 kcal a kilogram",
    source: "Wishnofsky 1958, Am J Clin Nutr 6:542",
    confidence: "high",
    validity: { words: "Ignores lean tissue; lean hikers lose more.", ranges: { fatKg: [30, 80] } },
    step: ruleStep,
  }),
]);
