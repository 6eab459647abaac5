/** The plane on a canvas: colours of one quantity from typed arrays, snow as dots over it. */
import { dayOfYear, PLANE_DAYS, type Plane } from "@gepack/core";
import type { Colours } from "../../map/colours.ts";
import type { Calendar } from "./calendar.ts";
import type { Shown } from "./quantities.ts";

const STEPS = 256;

/** Red, green, blue, opaque, for every step of a ramp. */
function rampOf({ colours }: Shown, resolve: Colours): Uint8ClampedArray {
  const canvas = document.createElement("canvas");
  canvas.width = STEPS;
  canvas.height = 1;
  const context = canvas.getContext("2d", { willReadFrequently: true })!;
  const gradient = context.createLinearGradient(0, 0, STEPS, 0);
  const stops = colours.filter((colour) => colour !== undefined);
  for (const [i, colour] of stops.entries()) gradient.addColorStop(i / (stops.length - 1), resolve(colour));
  context.fillStyle = gradient;
  context.fillRect(0, 0, STEPS, 1);
  return context.getImageData(0, 0, STEPS, 1).data;
}

/** An image with a pixel for every column and day of the calendar. */
export function planeImage(plane: Plane, shown: Shown, calendar: Calendar, resolve: Colours): HTMLCanvasElement {
  const days = calendar.toDay - calendar.fromDay;
  const canvas = document.createElement("canvas");
  canvas.width = plane.columns;
  canvas.height = days;
  const context = canvas.getContext("2d")!;
  const image = context.createImageData(plane.columns, days);
  const ramp = rampOf(shown, resolve);
  const values = plane.values[shown.id];
  for (let d = 0; d < days; d++) {
    const yearDay = dayOfYear(calendar.fromDay + d);
    for (let column = 0; column < plane.columns; column++) {
      const value = values[column * PLANE_DAYS + yearDay]!;
      // Where nothing is known the paper shows.
      if (Number.isNaN(value)) continue;
      const share = (value - shown.from) / (shown.to - shown.from);
      const step = 4 * Math.max(0, Math.min(STEPS - 1, Math.round(share * (STEPS - 1))));
      image.data.set(ramp.subarray(step, step + 4), 4 * (d * plane.columns + column));
    }
  }
  context.putImageData(image, 0, 0);
  return canvas;
}

const DOT_PX = 7;
const SNOWED = 0.5;

/** A dot wherever half of the ground is under snow. */
export function snowDots(
  context: CanvasRenderingContext2D,
  plane: Plane,
  calendar: Calendar,
  columnAt: (px: number) => number,
  [leftPx, rightPx]: readonly [number, number],
  colour: string,
): void {
  context.fillStyle = colour;
  for (let y = DOT_PX / 2; y < calendar.heightPx; y += DOT_PX) {
    const day = calendar.fromDay + Math.floor((y / calendar.heightPx) * (calendar.toDay - calendar.fromDay));
    for (let x = leftPx + DOT_PX / 2; x < rightPx; x += DOT_PX) {
      const column = Math.max(0, Math.min(plane.columns - 1, Math.floor(columnAt(x))));
      if (plane.values.snowCover[column * PLANE_DAYS + dayOfYear(day)]! < SNOWED) continue;
      context.beginPath();
      context.arc(x, y, 1.3, 0, 2 * Math.PI);
      context.fill();
    }
  }
}
