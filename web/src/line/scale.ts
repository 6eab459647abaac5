/** The one x-scale: the Line and every lane of every station use it, so that they agree to the pixel. */
import { scaleLinear, type ScaleLinear } from "d3-scale";

export const GUTTER_PX = 220;
const RIGHT_PX = 20;
const SMALL_PX = 720;
const SMALL_GUTTER_PX = 12;

export function gutterPx(widthPx: number): number {
  return widthPx < SMALL_PX ? SMALL_GUTTER_PX : GUTTER_PX;
}

/** Metres in walking order → pixels from the left edge of the window. */
export function lineScale(lengthM: number, widthPx: number): ScaleLinear<number, number> {
  return scaleLinear(
    [0, Math.max(1, lengthM)],
    [gutterPx(widthPx), Math.max(widthPx - RIGHT_PX, gutterPx(widthPx) + 50)],
  );
}
