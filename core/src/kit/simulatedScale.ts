/**
 * A stand-in for a kitchen scale that could be asked: what is on it is a little off what is given of the piece, always
 * the same for the same name; the display rises, swings, settles, and drifts on. Simulated, and said so wherever it is
 * used; all of its constants are judgement [L].
 */

export interface ScaleReading {
  simulated: true;
  /** As shown, whole grams. */
  grams: number;
  /** It no longer moves by more than a gram. */
  settled: boolean;
}

export interface OnScale {
  name: string;
  /** What is given of the piece, grams. */
  listedG: number;
  /** Since it was laid on. */
  elapsedMs: number;
}

/** Pieces are seldom lighter than told. */
const OFF = { least: -0.02, most: 0.07 } as const;
const RISE_MS = 280;
const SWING_MS = 210;
const DRIFT_G_PER_S = 0.02;

/** What the piece weighs in truth. */
export function trueGrams({ name, listedG }: Pick<OnScale, "name" | "listedG">): number {
  return listedG * (1 + OFF.least + (OFF.most - OFF.least) * shareOf(name));
}

export function simulatedScale(on: OnScale): ScaleReading {
  const massG = trueGrams(on);
  const t = Math.max(0, on.elapsedMs);
  const left = Math.exp(-t / RISE_MS);
  const swinging = massG * left * Math.cos(t / SWING_MS);
  return {
    simulated: true,
    grams: Math.max(0, Math.round(massG - swinging + (DRIFT_G_PER_S * t) / 1000)),
    settled: massG * left < 1,
  };
}

/** 0 to 1, by the letters of a name (FNV-1a). */
function shareOf(name: string): number {
  let hash = 0x811c9dc5;
  for (const letter of name) hash = Math.imul(hash ^ letter.codePointAt(0)!, 0x01000193);
  return (hash >>> 0) / 0xffffffff;
}
