/**
 * Metabolic power of walking with a load, in watts, the resting part included: whoever adds resting
 * metabolism to these hours counts it twice.
 *
 * Letters follow the papers: W body kg, L load kg, V m/s, G grade in percent (signed, uphill positive),
 * i grade as a fraction, η terrain factor. 1 ml of oxygen is 20.92 J (5 kcal per litre).
 * Every school is clamped to the grades it was measured on and never falls below standing. Loads are
 * clamped to 70 kg: a plan that requires more is given so by a check, not by a number without end.
 */
import { defineSchool, measuredSchool, registryOf, type School } from "./school.ts";

export interface EffortInput {
  bodyKg: number;
  loadKg: number;
  speedMps: number;
  gradePercent: number;
  /** Terrain factor η: 1 on blacktop; see the table of surfaces. */
  terrain: number;
}

/** The walked cells that a school runs over: plain arrays with an element for each cell. */
export interface EffortCells {
  cellM: number;
  /** Hours on the cell. */
  cellH: Float64Array;
  gradePercent: Float64Array;
  /** Index into `terrain`. */
  surface: Uint8Array;
  /** η of every surface. */
  terrain: Float64Array;
  /** What the school's `slope` says of the cell's grade; undefined for schools without one. */
  slope: Float64Array | undefined;
}

export interface EffortSchool extends School {
  powerW: (input: EffortInput) => number;
  /** The part of the equation that depends on the grade alone, where it is dear: worked out once a trail. */
  slope?: (gradePercent: number) => number;
  /**
   * Power on cells `from` to `to` into `into`, for a pack of `loadKg` and `extraKg` worn. Every school has a loop
   * of its own: an indirect call a cell costs more than the equation.
   */
  fillW: (
    into: Float64Array,
    cells: EffortCells,
    from: number,
    to: number,
    bodyKg: number,
    loadKg: Float64Array,
    extraKg: number,
  ) => void;
}

export const HEAVIEST_LOAD_KG = 70;
export const J_PER_ML_OXYGEN = 20.92;
const MINUTE_S = 60;

// --- Pandolf, Givoni & Goldman 1977, J Appl Physiol 43(4):577-581, eq. 1 -----------------------------

/** The equation as printed: no limits, and nonsense downhill. M = 1.5 W + 2 (W+L)(L/W)² + η (W+L)(1.5 V² + 0.35 V G). */
export function pandolfRawW(W: number, L: number, V: number, G: number, eta: number): number {
  const ratio = L / W;
  return 1.5 * W + 2 * (W + L) * ratio * ratio + eta * (W + L) * (1.5 * V * V + 0.35 * V * G);
}

/**
 * Correction to take off Pandolf's figure downhill, G negative: itself negative on descents, so that
 * taking it off adds. Santee, Blanchard, Speckman, Gonzalez & Wallace 2003, USARIEM TN03-3.
 */
export function santeeCorrectionW(W: number, L: number, V: number, G: number, eta: number): number {
  const six = G + 6;
  return eta * ((G * (W + L) * V) / 3.5 - ((W + L) * six * six) / W + (25 - V * V));
}

/** The correction is not zero on the level: it fades in down to this grade, so that no step stands at 0 %; engineering. */
export const SANTEE_WHOLE_AT_PERCENT = -3;

/** Beyond −12 % the correction extrapolates steeply. */
export const PANDOLF_GRADES = [-12, 25] as const;

function pandolfSanteeW(W: number, load: number, V: number, grade: number, eta: number): number {
  const L = load < HEAVIEST_LOAD_KG ? load : HEAVIEST_LOAD_KG;
  const G = grade < -12 ? -12 : grade > 25 ? 25 : grade;
  const total = W + L;
  const ratio = L / W;
  const standing = 1.5 * W + 2 * total * ratio * ratio;
  let moving = total * V * (1.5 * V + 0.35 * G);
  if (G < 0) {
    const six = G + 6;
    const fade = G > SANTEE_WHOLE_AT_PERCENT ? G / SANTEE_WHOLE_AT_PERCENT : 1;
    moving -= fade * (total * ((G * V) / 3.5 - (six * six) / W) + 25 - V * V);
  }
  return moving > 0 ? standing + eta * moving : standing;
}

// --- Looney, Santee, Hansen, Bonventre, Chalmers & Potter 2019, Med Sci Sports Exerc 51(9):1954-1960 ---

/** Unloaded, W/kg: 1.44 + 1.94 S^0.43 + 0.24 S⁴ + 0.34 S G (1 − 1.05^(1 − 1.1^(G+32))). */
export function lcdaWPerKg(S: number, G: number): number {
  return 1.44 + 1.94 * S ** 0.43 + 0.24 * S ** 4 + 0.34 * S * G * (1 - 1.05 ** (1 - 1.1 ** (G + 32)));
}

/**
 * With a load: M = 1.44 W + 2 (W+L)(L/W)² + η (W+L)(LCDA − 1.44); downhill η holds for the level part
 * alone. The load terms are ours (engineering): they are within the published models' spread.
 */
function lcdaW(W: number, load: number, V: number, grade: number, slope: number, eta: number): number {
  const L = load < HEAVIEST_LOAD_KG ? load : HEAVIEST_LOAD_KG;
  const total = W + L;
  const ratio = L / W;
  const standing = 1.44 * W + 2 * total * ratio * ratio;
  const square = V * V;
  const level = 1.94 * V ** 0.43 + 0.24 * square * square;
  const climbing = V * slope;
  const moving = total * (grade < 0 ? eta * level + climbing : eta * (level + climbing));
  return moving > 0 ? standing + moving : standing;
}

/** 0.34 G (1 − 1.05^(1 − 1.1^(G+32))), W/kg per m/s. */
function lcdaSlope(gradePercent: number): number {
  const G = gradePercent < -40 ? -40 : gradePercent > 45 ? 45 : gradePercent;
  return 0.34 * G * (1 - 1.05 ** (1 - 1.1 ** (G + 32)));
}

// --- Minetti, Moia, Roi, Susta & Ferretti 2002, J Appl Physiol 93:1039-1046 ---------------------------

/** Walking, J per kg and metre along the slope, net of standing; i a signed fraction. */
export function minettiJPerKgM(i: number): number {
  return ((((280.5 * i - 58.7) * i - 76.8) * i + 51.9) * i + 19.6) * i + 2.5;
}

function minettiSlope(gradePercent: number): number {
  return minettiJPerKgM((gradePercent < -45 ? -45 : gradePercent > 45 ? 45 : gradePercent) / 100);
}

function minettiW(W: number, load: number, V: number, jPerKgM: number, eta: number): number {
  const L = load < HEAVIEST_LOAD_KG ? load : HEAVIEST_LOAD_KG;
  return 1.44 * W + eta * (W + L) * V * jPerKgM;
}

// --- ACSM, Guidelines for Exercise Testing and Prescription -------------------------------------------

/** Walking, ml O₂ per kg and minute; S in metres a MINUTE, i a fraction: 3.5 + 0.1 S + 1.8 S i. */
export function acsmVo2(speedMPerMin: number, i: number): number {
  return 3.5 + 0.1 * speedMPerMin + 1.8 * speedMPerMin * i;
}

function acsmW(W: number, load: number, V: number, grade: number, eta: number): number {
  const L = load < HEAVIEST_LOAD_KG ? load : HEAVIEST_LOAD_KG;
  const i = (grade < 0 ? 0 : grade > 25 ? 25 : grade) / 100;
  return ((W + L) * (3.5 + eta * (acsmVo2(V * MINUTE_S, i) - 3.5)) * J_PER_ML_OXYGEN) / MINUTE_S;
}

// --- Ludlow & Weyand 2017, J Appl Physiol 123:1288-1302 -----------------------------------------------

/** Minimum mechanics, ml O₂ per kg of body and load and minute, resting 3.5; V m/s, G percent ≥ 0. */
export function ludlowWeyandVo2(V: number, G: number): number {
  return 3.5 + 3.28 + 0.32 * G + (1 + 0.19 * G) * 2.66 * V * V;
}

function ludlowWeyandW(W: number, load: number, V: number, grade: number, eta: number): number {
  const L = load < HEAVIEST_LOAD_KG ? load : HEAVIEST_LOAD_KG;
  const G = grade < 0 ? 0 : grade > 25 ? 25 : grade;
  return ((W + L) * (3.5 + eta * (ludlowWeyandVo2(V, G) - 3.5)) * J_PER_ML_OXYGEN) / MINUTE_S;
}

type EffortFunctions = Pick<EffortSchool, "powerW" | "slope" | "fillW">;

export const effort = registryOf<EffortSchool>("effort", [
  defineSchool<EffortFunctions>({
    id: "pandolf-santee",
    name: "Pandolf with Santee downhill",
    source: "Pandolf, Givoni & Goldman 1977, J Appl Physiol 43:577; downhill Santee and others 2003, USARIEM TN03-3",
    confidence: "high",
    validity: {
      words:
        "Loads to 70 kg, to 2.2 m/s, −12 to +25 %; measured cost is often 10 to 30 % higher. Young men, treadmill and field.",
      ranges: { speedMps: [0, 2.2], gradePercent: PANDOLF_GRADES, loadKg: [0, HEAVIEST_LOAD_KG] },
    },
    powerW: ({ bodyKg, loadKg, speedMps, gradePercent, terrain }) =>
      pandolfSanteeW(bodyKg, loadKg, speedMps, gradePercent, terrain),
    fillW: (into, cells, from, to, bodyKg, loadKg, extraKg) => {
      const { cellH, gradePercent, surface, terrain } = cells;
      const metresPerS = cells.cellM / 3600;
      for (let c = from; c < to; c++)
        into[c] = pandolfSanteeW(
          bodyKg,
          loadKg[c]! + extraKg,
          metresPerS / cellH[c]!,
          gradePercent[c]!,
          terrain[surface[c]!]!,
        );
    },
  }),
  defineSchool<EffortFunctions>({
    id: "lcda",
    name: "LCDA graded walking, load added",
    source: "Looney and others 2019, Med Sci Sports Exerc 51:1954 and 51:346; load terms ours",
    confidence: "high",
    validity: {
      words: "Measured without a load, up to 2 m/s, −40 to +45 %; the load terms are our addition, ±15 %.",
      ranges: { speedMps: [0, 2], gradePercent: [-40, 45], loadKg: [0, 30] },
    },
    powerW: ({ bodyKg, loadKg, speedMps, gradePercent, terrain }) =>
      lcdaW(bodyKg, loadKg, speedMps, gradePercent, lcdaSlope(gradePercent), terrain),
    slope: lcdaSlope,
    fillW: (into, cells, from, to, bodyKg, loadKg, extraKg) => {
      const { cellH, gradePercent, slope, surface, terrain } = cells;
      const metresPerS = cells.cellM / 3600;
      for (let c = from; c < to; c++)
        into[c] = lcdaW(
          bodyKg,
          loadKg[c]! + extraKg,
          metresPerS / cellH[c]!,
          gradePercent[c]!,
          slope![c]!,
          terrain[surface[c]!]!,
        );
    },
  }),
  defineSchool<EffortFunctions>({
    id: "minetti",
    name: "Minetti slope cost",
    source: "Minetti and others 2002, J Appl Physiol 93:1039; standing 1.44 W/kg added",
    confidence: "high",
    validity: {
      words: "Unloaded mountain runners on a treadmill, −45 to +45 %; reads high on the level.",
      ranges: { gradePercent: [-45, 45], loadKg: [0, 10] },
    },
    powerW: ({ bodyKg, loadKg, speedMps, gradePercent, terrain }) =>
      minettiW(bodyKg, loadKg, speedMps, minettiSlope(gradePercent), terrain),
    slope: minettiSlope,
    fillW: (into, cells, from, to, bodyKg, loadKg, extraKg) => {
      const { cellH, slope, surface, terrain } = cells;
      const metresPerS = cells.cellM / 3600;
      for (let c = from; c < to; c++)
        into[c] = minettiW(bodyKg, loadKg[c]! + extraKg, metresPerS / cellH[c]!, slope![c]!, terrain[surface[c]!]!);
    },
  }),
  defineSchool<EffortFunctions>({
    id: "acsm",
    name: "ACSM walking equation",
    source: "ACSM, Guidelines for Exercise Testing and Prescription",
    confidence: "high",
    validity: {
      words: "50 to 100 m a minute, level and uphill, no load term; descents count as level, which is too much.",
      ranges: { speedMps: [50 / MINUTE_S, 100 / MINUTE_S], gradePercent: [0, 25], loadKg: [0, 10] },
    },
    powerW: ({ bodyKg, loadKg, speedMps, gradePercent, terrain }) =>
      acsmW(bodyKg, loadKg, speedMps, gradePercent, terrain),
    fillW: (into, cells, from, to, bodyKg, loadKg, extraKg) => {
      const { cellH, gradePercent, surface, terrain } = cells;
      const metresPerS = cells.cellM / 3600;
      for (let c = from; c < to; c++)
        into[c] = acsmW(bodyKg, loadKg[c]! + extraKg, metresPerS / cellH[c]!, gradePercent[c]!, terrain[surface[c]!]!);
    },
  }),
  defineSchool<EffortFunctions>({
    id: "ludlow-weyand",
    name: "Ludlow & Weyand minimum mechanics",
    source: "Ludlow & Weyand 2017, J Appl Physiol 123:1288",
    confidence: "medium",
    validity: {
      words:
        "Level and uphill to 1.6 m/s, loads counted as body weight; the published descent factor is left out, so descents count as level.",
      ranges: { speedMps: [0.4, 1.6], gradePercent: [0, 25], loadKg: [0, 30] },
    },
    powerW: ({ bodyKg, loadKg, speedMps, gradePercent, terrain }) =>
      ludlowWeyandW(bodyKg, loadKg, speedMps, gradePercent, terrain),
    fillW: (into, cells, from, to, bodyKg, loadKg, extraKg) => {
      const { cellH, gradePercent, surface, terrain } = cells;
      const metresPerS = cells.cellM / 3600;
      for (let c = from; c < to; c++)
        into[c] = ludlowWeyandW(
          bodyKg,
          loadKg[c]! + extraKg,
          metresPerS / cellH[c]!,
          gradePercent[c]!,
          terrain[surface[c]!]!,
        );
    },
  }),
]);

/** What a whole day burns, from the sum of walking, rest, digestion and cold. */
export interface DaySchool extends School {
  /** `walkedFraction` is the day's walking as a fraction of a full day's. */
  totalKcal: (modelKcal: number, walkedFraction: number) => number;
}

/** The sum as it is. */
export const day: DaySchool = defineSchool({
  id: "sum",
  name: "Walking, rest, digestion and cold",
  source: "The sum of its parts",
  confidence: "high",
  validity: { words: "As good as its parts.", ranges: {} },
  totalKcal: (modelKcal: number) => modelKcal,
});

/** A full day of walking as the hiker has found it; a shorter one is as much nearer to the sum. */
export function ownDay(kcalPerDay: number): DaySchool {
  return measuredSchool("own-day", "Your measured day", {
    totalKcal: (modelKcal: number, walkedFraction: number) =>
      modelKcal + (kcalPerDay - modelKcal) * Math.min(1, walkedFraction),
  });
}
