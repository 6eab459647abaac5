/** Fords at the day and hour of passage. */
import { defineCheck, type Severity } from "./check.ts";

/** What the lowest hour of the day lets through is a matter of waiting for it. */
function severityOf(level: number, lowest: number): Severity {
  if (level < 3) return "note";
  return lowest < 4 ? "caution" : "blocker";
}

const fordHigh = defineCheck({
  code: "ford-high",
  units: { ford: "name", level: "count", lowest: "count", flow: "%", depth: "m", at: "clock", low: "clock" },
  *find({ plan, fords }) {
    for (const passage of fords) {
      const { fordId, legIndex, atM, flow, depthM, clockH, course, lowClass } = passage;
      const level = passage.class;
      if (level < 2) continue;
      yield {
        severity: severityOf(level, lowClass),
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
