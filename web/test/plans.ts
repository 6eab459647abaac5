/** Plans for the tests of the web: the demo computed once, and a short straight trail that is easy to reckon on. */
import { readFileSync } from "node:fs";
import {
  computePlan,
  PLAN_VERSION,
  planSchema,
  withRowIds,
  readGpx,
  readPlan,
  type Plan,
  type PlanResult,
  type TrackPoints,
} from "@gepack/core";

const demoFile = (name: string): string => readFileSync(new URL(`../../demo/${name}`, import.meta.url), "utf8");

export const demoTrack = (): TrackPoints => readGpx(demoFile("corvane.gpx"), "corvane", "corvane").value!.track;

export function demo(): { plan: Plan; result: PlanResult } {
  const plan = readPlan(JSON.parse(demoFile("corvane.gepack.json"))).value!;
  return { plan, result: computePlan(plan, [demoTrack()]) };
}

/** Points due north, 100 m apart, at 100 m above the sea. */
export function straightTrack(points = 1000, id = "t"): TrackPoints {
  return {
    id,
    name: id,
    lonDeg: new Float64Array(points).fill(-150),
    latDeg: Float64Array.from({ length: points }, (_, i) => 40 + i * 0.0009),
    heightM: new Float32Array(points).fill(100),
    segmentStarts: new Uint32Array([0]),
  };
}

export const someone = { id: "a", name: "A", ageY: 30, sex: "male", heightCm: 175, bodyKg: 70 };

/** A plan on that trail; what is not given is as a new document has it. */
export function planWith(parts: Record<string, unknown> = {}): Plan {
  return planSchema.parse(
    withRowIds({
      format: "gepack-plan",
      version: PLAN_VERSION,
      id: "p",
      trip: { name: "Test", startDate: "2027-05-01" },
      trackIds: ["t"],
      hikers: [someone],
      ...parts,
    }),
  );
}

export const wholeHike = [{ fromStopId: "@start", toStopId: "@finish" }];

export function pieceOf(id: string, rest: Record<string, unknown> = {}): Record<string, unknown> {
  return { id, name: id, massG: 100, ownerId: "a", carrierId: "a", spans: wholeHike, ...rest };
}
