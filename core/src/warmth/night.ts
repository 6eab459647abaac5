/**
 * A sleep kit against a night: how cold it reaches, what is to spare, which pad the ground requires.
 * Bags as rated by ISO 23537-1: comfort, or limit for warm sleepers. Damp or hungry, allow 3 to 5 K more.
 */
import { groundC, GROUND_FLUX, padRFor, SKIN_C } from "../models/cold.ts";
import type { SleepKit } from "./sleep.ts";

/** What liners, covers and clothes worn in a bag may add in all, kelvin. */
export const MOST_EXTRA_K = 8;

/** The night of the leg with least warmth to spare. */
export interface NightWarmth {
  /** Negative is too cold. */
  marginK: number;
  /** Coldest night in ten at that camp, what the bag is rated for, and what is worn in it, as far as it counts. */
  nightC: number;
  bagC: number;
  extraK: number;
}

/** Undefined without a bag. */
export function nightWarmth({ bagC, extraK }: SleepKit, nightC: number): NightWarmth | undefined {
  if (bagC === undefined) return undefined;
  const counted = Math.min(MOST_EXTRA_K, extraK);
  return { marginK: nightC - (bagC - counted), nightC, bagC, extraK: counted };
}

/** What a pad needs on a night, with what it follows from. */
export interface PadNeed {
  r: number;
  skinC: number;
  groundC: number;
  /** Heat let into the ground, W/m². */
  fluxWPerM2: number;
}

export function padNeed(nightC: number, onSnow: boolean): PadNeed {
  const under = groundC(nightC, onSnow);
  const fluxWPerM2 = GROUND_FLUX.planned;
  return { r: padRFor(under, fluxWPerM2), skinC: SKIN_C, groundC: under, fluxWPerM2 };
}
