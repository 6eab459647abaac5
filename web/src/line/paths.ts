/** Per-pixel summaries of the bulk arrays, as SVG paths. */
import { area, line } from "d3-shape";

/** The highest value under every pixel: what matters of a load. */
export function peakPerPixel(values: ArrayLike<number>, count: number, pixels: number): Float64Array {
  const peaks = new Float64Array(pixels);
  for (let x = 0; x < pixels; x++) {
    const from = Math.floor((x / pixels) * count);
    const to = Math.max(from + 1, Math.floor(((x + 1) / pixels) * count));
    let peak = -Infinity;
    for (let i = from; i < to && i < count; i++) if (values[i]! > peak) peak = values[i]!;
    peaks[x] = peak;
  }
  return peaks;
}

export function linePath(values: Float64Array, x0: number, y: (value: number) => number): string {
  return (
    line<number>(
      (_, i) => x0 + i,
      (value) => Math.round(y(value) * 10) / 10,
    )(values as unknown as number[]) ?? ""
  );
}

export function areaPath(values: Float64Array, x0: number, bottom: number, y: (value: number) => number): string {
  return (
    area<number>(
      (_, i) => x0 + i,
      bottom,
      (value) => Math.round(y(value) * 10) / 10,
    )(values as unknown as number[]) ?? ""
  );
}
