/** The pack under every pixel, taken apart by substance: what the upper lane of the Line draws. */
import type { PlanResult } from "@gepack/core";

/** Kilograms under every pixel; the four add up to what the pack weighs where it is heaviest under that pixel. */
export interface Stack {
  kit: Float64Array;
  food: Float64Array;
  water: Float64Array;
  /** With what it is in. */
  fuel: Float64Array;
  peakKg: number;
}

export const SUBSTANCES = ["kit", "food", "water", "fuel"] as const;

/** Of cells `fromCell` to `toCell` on so many pixels. */
export function packStack(
  { packs, legs }: PlanResult,
  hikerIndex: number,
  [fromCell, toCell]: readonly [number, number],
  pixels: number,
): Stack {
  const { loadKg, foodKg, waterKg } = packs[hikerIndex]!;
  const stack: Stack = {
    kit: new Float64Array(pixels),
    food: new Float64Array(pixels),
    water: new Float64Array(pixels),
    fuel: new Float64Array(pixels),
    peakKg: 0,
  };
  let leg = 0;
  for (let px = 0; px < pixels; px++) {
    const from = fromCell + Math.floor((px * (toCell - fromCell)) / pixels);
    const to = Math.max(from + 1, fromCell + Math.floor(((px + 1) * (toCell - fromCell)) / pixels));
    let heaviest = Math.min(from, loadKg.length - 1);
    for (let c = from; c < to && c < loadKg.length; c++) if (loadKg[c]! > loadKg[heaviest]!) heaviest = c;
    while (leg + 1 < legs.length && legs[leg]!.toNode <= heaviest) leg++;
    const { kit } = legs[leg]!.hikers[hikerIndex]!;
    const total = loadKg[heaviest]!;
    const kitKg = Math.min(total, kit.baseKg + kit.consumableKg);
    stack.kit[px] = kitKg;
    stack.food[px] = foodKg[heaviest]!;
    stack.water[px] = waterKg[heaviest]!;
    stack.fuel[px] = Math.max(0, total - kitKg - foodKg[heaviest]! - waterKg[heaviest]!);
    if (total > stack.peakKg) stack.peakKg = total;
  }
  return stack;
}

/** The highest value under every pixel. */
export function peakPerPixel(
  values: ArrayLike<number>,
  [from, to]: readonly [number, number],
  pixels: number,
): Float64Array {
  const peaks = new Float64Array(pixels);
  for (let px = 0; px < pixels; px++) {
    const first = from + Math.floor((px * (to - from)) / pixels);
    const end = Math.max(first + 1, from + Math.floor(((px + 1) * (to - from)) / pixels));
    let peak = -Infinity;
    for (let i = first; i < end && i < values.length; i++) if (values[i]! > peak) peak = values[i]!;
    peaks[px] = peak;
  }
  return peaks;
}
