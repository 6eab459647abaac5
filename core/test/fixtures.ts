/** Small trails and plans for tests: heights by formula, everything else at its defaults. */
import { PLAN_VERSION, planSchema, type Plan, type TrackPoints } from "../src/index.ts";
import { withRowIds } from "../src/plan/rowIds.ts";

export interface TrackOptions {
  lengthM?: number;
  spacingM?: number;
  heightM?: (alongM: number) => number;
}

/** A straight line north from 40° N on the open ocean; metres along it are metres on the ground within 0.1 %. */
export function trackNorth({ lengthM = 100_000, spacingM = 100, heightM = () => 100 }: TrackOptions = {}): TrackPoints {
  const count = Math.round(lengthM / spacingM) + 1;
  const lonDeg = new Float64Array(count).fill(-150);
  const latDeg = new Float64Array(count);
  const heights = new Float32Array(count);
  for (let i = 0; i < count; i++) {
    // Metres per degree of latitude at 40 to 41° N, mean.
    latDeg[i] = 40 + (i * spacingM) / 111_040;
    heights[i] = heightM(i * spacingM);
  }
  return { id: "t", name: "North", lonDeg, latDeg, heightM: heights, segmentStarts: new Uint32Array([0]) };
}

/** A way beside `trackNorth`: it bows out to the east between two of its places. */
export function trackBeside(
  fromM: number,
  toM: number,
  { heightM = () => 100, spacingM = 100 }: Omit<TrackOptions, "lengthM"> = {},
): TrackPoints {
  const spanM = Math.max(1, toM - fromM);
  const count = Math.max(2, Math.round(spanM / spacingM) + 1);
  const t = Array.from({ length: count }, (_, i) => i / (count - 1));
  return {
    id: "beside",
    name: "Beside",
    lonDeg: Float64Array.from(t, (part) => -150 + 0.03 * Math.sin(Math.PI * part)),
    latDeg: Float64Array.from(t, (part) => 40 + (fromM + part * spanM) / 111_040),
    heightM: Float32Array.from(t, (part) => heightM(part * spanM)),
    segmentStarts: new Uint32Array([0]),
  };
}

type PlanInput = Record<string, unknown>;

/** A plan for one hiker on the track above, `overrides` laid over it. */
export function planOf(overrides: PlanInput = {}): Plan {
  return planSchema.parse(
    withRowIds({
      format: "gepack-plan",
      version: PLAN_VERSION,
      id: "p",
      trip: { name: "Test", startDate: "2027-05-01" },
      trackIds: ["t"],
      hikers: [hikerOf()],
      ...overrides,
    }),
  );
}

export function hikerOf(overrides: PlanInput = {}): PlanInput {
  return { id: "a", name: "A", ageY: 30, sex: "male", heightCm: 175, bodyKg: 70, ...overrides };
}

export function pieceOf(id: string, massG: number, overrides: PlanInput = {}): PlanInput {
  return {
    id,
    name: id,
    massG,
    ownerId: "a",
    carrierId: "a",
    spans: [{ fromStopId: "@start", toStopId: "@finish" }],
    ...overrides,
  };
}

export function stopOf(id: string, trackM: number, overrides: PlanInput = {}): PlanInput {
  return { id, name: id, trackM, ...overrides };
}

export function sourceOf(id: string, trackM: number, overrides: PlanInput = {}): PlanInput {
  return { id, name: id, trackM, ...overrides };
}

/** A station with the same figures all year. */
export function stationOf(lowC: number, highC: number, overrides: PlanInput = {}): PlanInput {
  return {
    id: "s",
    name: "s",
    trackM: 0,
    heightM: 100,
    lowC: Array(12).fill(lowC),
    highC: Array(12).fill(highC),
    lowSdK: 3,
    highSdK: 3,
    precipMm: Array(12).fill(60),
    wetDays: Array(12).fill(9),
    ...overrides,
  };
}
