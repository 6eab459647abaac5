/** The two lanes of bulk, drawn on a canvas: the pack stacked by substance, the height under it. */
import { useEffect, useRef } from "react";
import type { PlanResult } from "@gepack/core";
import { useThemeName } from "../ui/useThemeName.ts";
import { HEIGHT, LOAD, loadY, TOTAL_PX } from "./geometry.ts";
import { peakPerPixel, SUBSTANCES, type Stack } from "./stack.ts";
import type { LineFrame } from "./scale.ts";

interface Props {
  result: PlanResult;
  frame: LineFrame;
  stack: Stack;
  top: number;
}

export function LineCanvas({ result, frame, stack, top }: Props) {
  const canvas = useRef<HTMLCanvasElement>(null);
  const theme = useThemeName();
  const { x, widthPx, domain } = frame;
  useEffect(() => {
    const context = canvas.current?.getContext("2d");
    if (!canvas.current || !context) return;
    const scale = window.devicePixelRatio || 1;
    canvas.current.width = Math.round(widthPx * scale);
    canvas.current.height = Math.round(TOTAL_PX * scale);
    context.scale(scale, scale);
    const colours = getComputedStyle(document.documentElement);
    const colour = (name: string): string => colours.getPropertyValue(`--${name}`).trim();
    const x0 = x(domain[0]);
    drawHeight(context, result, domain, x0, stack.kit.length, colour("ground"));
    drawStack(context, stack, x0, top, colour);
    drawSkyline(context, stack, x0, top, colour("ink"));
  }, [result, x, widthPx, domain, stack, top, theme]);
  return (
    <canvas
      ref={canvas}
      aria-hidden="true"
      className="pointer-events-none absolute top-0 left-0"
      style={{ width: widthPx, height: TOTAL_PX }}
    />
  );
}

function drawHeight(
  context: CanvasRenderingContext2D,
  { profile }: PlanResult,
  [fromM, toM]: readonly [number, number],
  x0: number,
  pixels: number,
  fill: string,
): void {
  const nodes = [fromM / profile.cellM, toM / profile.cellM] as const;
  const heights = peakPerPixel(profile.heightM, [Math.round(nodes[0]), Math.round(nodes[1]) + 1], pixels);
  const range = Math.max(1, profile.highestM - profile.lowestM);
  context.fillStyle = fill;
  for (let px = 0; px < pixels; px++) {
    const tall = 2 + ((heights[px]! - profile.lowestM) / range) * (HEIGHT.bottom - HEIGHT.top - 2);
    context.fillRect(x0 + px, HEIGHT.bottom - tall, 1, tall);
  }
}

/** Kit, food, water, fuel, from the bottom up. */
function drawStack(
  context: CanvasRenderingContext2D,
  stack: Stack,
  x0: number,
  top: number,
  colour: (name: string) => string,
): void {
  const pixels = stack.kit.length;
  const below = new Float64Array(pixels);
  for (const substance of SUBSTANCES) {
    context.fillStyle = colour(substance);
    const kg = stack[substance];
    for (let px = 0; px < pixels; px++) {
      if (kg[px]! <= 0) continue;
      const y = loadY(below[px]! + kg[px]!, top);
      context.fillRect(x0 + px, y, 1, loadY(below[px]!, top) - y);
      below[px]! += kg[px]!;
    }
  }
}

/** A thin edge along the top, so that the whole weight is read in any light. */
function drawSkyline(context: CanvasRenderingContext2D, stack: Stack, x0: number, top: number, ink: string): void {
  context.strokeStyle = ink;
  context.lineWidth = 0.8;
  context.beginPath();
  for (let px = 0; px < stack.kit.length; px++) {
    const kg = stack.kit[px]! + stack.food[px]! + stack.water[px]! + stack.fuel[px]!;
    const y = Math.max(LOAD.top - 3, loadY(kg, top));
    if (px === 0) context.moveTo(x0, y);
    else context.lineTo(x0 + px, y);
  }
  context.stroke();
}
