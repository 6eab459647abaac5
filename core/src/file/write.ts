/** Writing the plan file: apart from reading it, which brings the schema along. */
import type { Plan } from "../plan/schema.ts";
import type { TrackPoints } from "../track/points.ts";

/** The plan with its tracks as one JSON value. */
export function writePlanFile(plan: Plan, tracks: readonly TrackPoints[]): Record<string, unknown> {
  return { ...plan, tracks: tracks.map(trackAsFeature) };
}

export function trackAsFeature(track: TrackPoints): Record<string, unknown> {
  const segments: number[][][] = [];
  const starts = track.segmentStarts;
  for (let s = 0; s < starts.length; s++) {
    const segment: number[][] = [];
    const end = starts[s + 1] ?? track.lonDeg.length;
    for (let i = starts[s]!; i < end; i++) {
      const height = track.heightM[i]!;
      segment.push(
        height === height
          ? [track.lonDeg[i]!, track.latDeg[i]!, shortFloat32(height)]
          : [track.lonDeg[i]!, track.latDeg[i]!],
      );
    }
    segments.push(segment);
  }
  return {
    type: "Feature",
    id: track.id,
    properties: { name: track.name },
    geometry: { type: "MultiLineString", coordinates: segments },
  };
}

/** The shortest decimal that reads back to the same 32-bit float: 12.3, not 12.300000190734863. */
export function shortFloat32(value: number): number {
  for (let digits = 4; digits < 9; digits++) {
    const short = Number(value.toPrecision(digits));
    if (Math.fround(short) === value) return short;
  }
  return value;
}
