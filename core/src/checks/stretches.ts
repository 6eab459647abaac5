/** Stretches of the trail: what is given before them. */
import type { Stretch } from "../plan/schema.ts";
import { firstNode, holdsOn, touches } from "../result/stretches.ts";
import { nodesOn, walkedOf } from "../track/place.ts";
import { defineCheck } from "./check.ts";

const ruleAhead = defineCheck({
  code: "rule-ahead",
  units: { kind: "name", stretch: "name", more: "name" },
  *find({ plan, result }) {
    for (const stretch of plan.stretches) {
      const kind = lineOf(stretch);
      if (kind === undefined) continue;
      const leg = result.legs.find((one) => touches(stretch, one, result) && holdsOn(stretch, one));
      if (!leg) continue;
      const atM = walkedOf(result.profile, firstNode(stretch, leg, result));
      yield { severity: "note", legIndex: leg.index, atM, kind, stretch: stretch.name, more: stretch.note };
    }
  },
});

/** Ticks quest between such daily means (Perret and others 2000 for the lower [M]), and not high up [L]. */
const TICK_C = { from: 7, to: 22 } as const;
const TICK_MOST_M = 2000;

const ticks = defineCheck({
  code: "ticks",
  units: { stretch: "name", days: "count" },
  *find({ plan, result }) {
    for (const stretch of plan.stretches) {
      if (stretch.kind !== "ticks") continue;
      for (const leg of result.legs) {
        if (!touches(stretch, leg, result) || !holdsOn(stretch, leg)) continue;
        const met = result.days.filter(({ legIndex, lowC, highC, fromNode, toNode }) => {
          const meanC = (lowC + highC) / 2;
          const heightM = result.profile.heightM[(fromNode + toNode) >> 1]!;
          const inside = nodesOn(result.profile, stretch).some(([from, to]) => from < toNode && to > fromNode);
          return (
            legIndex === leg.index && inside && meanC >= TICK_C.from && meanC <= TICK_C.to && heightM < TICK_MOST_M
          );
        });
        const days = new Set(met.map(({ date }) => date)).size;
        if (days === 0) continue;
        const atM = walkedOf(result.profile, firstNode(stretch, leg, result));
        yield { severity: "note", legIndex: leg.index, atM, stretch: stretch.name, days };
      }
    }
  },
});

type RuleAhead = "permit" | "own-rule" | "hazard" | "insects" | "animals" | "faint-path";

/** What is given before a stretch; undefined for those that have an effect or a check of their own. */
function lineOf({ kind, rule }: Stretch): RuleAhead | undefined {
  if (kind === "hazard" || kind === "insects" || kind === "animals" || kind === "faint-path") return kind;
  if (kind !== "rule") return undefined;
  return rule === "permit" ? "permit" : rule === undefined ? "own-rule" : undefined;
}

export const stretchChecks = [ruleAhead, ticks] as const;
