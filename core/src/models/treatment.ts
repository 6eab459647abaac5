/** Making water safe to drink: how long it takes. None of it removes chemicals, salt or the poisons of algae. */
import type { MURKS, TARGETS } from "../plan/ids.ts";
import { clamp } from "../units/constants.ts";

export type Murk = (typeof MURKS)[number];
/** Litres of the murk of a water after which a filter runs at half its clean flow: judgement [L]. */
const HALVES_L: Readonly<Record<Murk, number>> = { clear: 60, cloudy: 20, silty: 5, glacial: 2 };

export interface Filtered {
  minutes: number;
  /** Back-flushes at half flow, along the trail through. */
  flushes: number;
}

/**
 * Cake law of filtration: dV/dt = Q0/(1 + V/Vc) [H form], V since the last flush, so that V litres take
 * (V + V²/(2 Vc))/Q0. It is flushed when V = Vc, at half of the clean flow.
 */
export function filterMinutes(litres: number, cleanLpm: number, murk: Murk): Filtered {
  const halvesL = HALVES_L[murk];
  const wanted = Math.max(0, litres);
  const flow = Math.max(0.05, cleanLpm);
  const minutesOf = (volumeL: number): number => (volumeL + volumeL ** 2 / (2 * halvesL)) / flow;
  // What ends just when it clogs is flushed before the next.
  const flushes = Math.max(0, Math.ceil(wanted / halvesL - 1e-9) - 1);
  return { minutes: flushes * minutesOf(halvesL) + minutesOf(wanted - flushes * halvesL), flushes };
}

/** Chlorine dioxide against Giardia, 3-log, mg/L × min by °C (EPA 1991) [H]. */
const GIARDIA_CT: readonly (readonly [celsius: number, ct: number])[] = [
  [1, 63],
  [5, 26],
  [10, 23],
  [15, 19],
  [20, 15],
  [25, 11],
];
export type Target = (typeof TARGETS)[number];
const DOSE_MG_PER_L: Readonly<Record<Target, number>> = { giardia: 2, cryptosporidium: 4 };
/** What stays of the dose while it works. */
const LEFT_OF_DOSE = 0.5;
/** On labels; they come first. */
const LABEL_MIN: Readonly<Record<Target, number>> = { giardia: 30, cryptosporidium: 240 };
const CHLORINE_MIN = 30;

/** mg/L × min. Between the rows of the table that of the colder; below the first, twice it. */
export function dioxideCt(waterC: number, target: Target): number {
  // EPA 2006, 3-log.
  if (target === "cryptosporidium") return 3 / (0.001506 * 1.09116 ** waterC);
  const row = GIARDIA_CT.findLast(([celsius]) => celsius <= waterC);
  return row ? row[1] : 2 * GIARDIA_CT[0]![1];
}

/** Minutes of contact with chlorine dioxide: the label's, or more in the cold. */
export function dioxideMinutes(waterC: number, target: Target): number {
  return Math.max(LABEL_MIN[target], dioxideCt(waterC, target) / (LEFT_OF_DOSE * DOSE_MG_PER_L[target]));
}

/** Chlorine: the label's half hour, twice that for every 10 K under 20 °C. It does not stop Cryptosporidium. */
export function chlorineMinutes(waterC: number): number {
  return CHLORINE_MIN * 2 ** (Math.max(0, 20 - clamp(waterC, 0, 40)) / 10);
}

/** A lamp, clear water only. */
export const LAMP_MIN_PER_L = 1.5;

/** At a rolling boil (CDC): a minute, three above 2,000 m. */
export function boilMinutes(heightM: number): number {
  return heightM > 2000 ? 3 : 1;
}
