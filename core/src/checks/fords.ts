/** Fords at the day and hour of passage. */
import { defineCheck } from "./check.ts";

const SEVERITY = { 2: "note", 3: "caution", 4: "blocker" } as const;

const fordHigh = defineCheck({
  code: "ford-high",
  units: { ford: "name", level: "count", lowest: "count", flow: "%", depth: "m", at: "clock", low: "clock" },
  *find({ plan, fords }) {
    for (const passage of fords) {
      const { fordId, legIndex, atM, flow, depthM, clockH, course, lowClass } = passage;
      const level = passage.class;
      if (level < 2) continue;
      yield {
        severity: SEVERITY[level as keyof typeof SEVERITY],
        legIndex,
        atM,
        ford: plan.stretches.find(({ id }) => id === fordId)?.name ?? "",
        level,
        lowest: lowClass,
        flow: 100 * flow,
        // Nothing where it was not measured.
        depth: depthM ?? 0,
        at: clockH,
        low: course.lowClockH,
      };
    }
  },
});

export const fordChecks = [fordHigh] as const;
