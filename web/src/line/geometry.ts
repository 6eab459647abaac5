/** Where things stand on the Line, in pixels from its top. */
export const TITLE_Y = 18;
export const LOAD = { top: 28, bottom: 88 } as const;
export const HEIGHT = { top: 92, bottom: 132 } as const;
export const LEGS = { top: 136, height: 20 } as const;
export const WATER_Y = 164;
export const AXIS_Y = 182;
export const DATES_Y = 198;
export const TOTAL_PX = 206;

/** Kilograms at the top of the pack's lane: what is drawn, the comfort, and a little air. */
export function topKg(peakKg: number, comfortKg: number): number {
  return Math.max(peakKg, comfortKg, 1) * 1.08;
}

export function loadY(kg: number, top: number): number {
  return LOAD.bottom - (kg / top) * (LOAD.bottom - LOAD.top);
}
