/**
 * How far a figure may be trusted: what its spread comes from. The person, the weather and what is along the trail each
 * varied alone in the same hikes; the schools of each question side by side, one as likely as the other [L]. Shares of
 * variances that are taken apart add up only where nothing works on anything else: they are given as shares of their sum.
 */
import { variance } from "simple-statistics";
import { withSchool } from "../compare/schools.ts";
import type { Explained } from "../explain/explain.ts";
import { models } from "../models/index.ts";
import type { Plan } from "../plan/schema.ts";
import type { LegResult, PlanFigures } from "../result/result.ts";
import { dayNumber } from "../units/day.ts";
import { prepare, walkHikes, type Varied } from "./hikes.ts";
import type { Hikes } from "./record.ts";

export const TRUST_GROUPS = ["model", "person", "weather", "sources"] as const;
export type TrustGroup = (typeof TRUST_GROUPS)[number];

const VARIED_BY: Record<Exclude<TrustGroup, "model">, readonly Varied[]> = {
  person: ["pace", "energy", "thirst", "fuel", "charge", "illness"],
  weather: ["weather", "snow"],
  sources: ["sources"],
};
const QUESTIONS = ["time", "effort", "resting", "water"] as const;

interface TrustRow {
  figure: Explained;
  unit: "kg" | "L" | "g" | "days" | "K";
  ofHikes: (hikes: Hikes, leg: number) => number;
  ofLeg: (leg: LegResult, who: number) => number;
}

const TRUST_ROWS: readonly TrustRow[] = [
  {
    figure: "start",
    unit: "kg",
    ofHikes: (h, i) => h.heaviestKg[i]!,
    ofLeg: (leg, who) => leg.hikers[who]!.heaviestKg,
  },
  { figure: "food", unit: "kg", ofHikes: (h, i) => h.eatenKg[i]!, ofLeg: (leg, who) => leg.hikers[who]!.food.eatenKg },
  {
    figure: "carry",
    unit: "L",
    ofHikes: (h, i) => h.wantedL[i]!,
    ofLeg: (leg, who) => leg.hikers[who]!.carries[leg.hikers[who]!.largestCarry]?.walkingL ?? 0,
  },
  { figure: "fuel", unit: "g", ofHikes: (h, i) => h.burntG[i]!, ofLeg: (leg, who) => leg.hikers[who]!.fuel.needG },
  { figure: "days", unit: "days", ofHikes: (h, i) => h.days[i]!, ofLeg: (leg) => leg.dayCount },
  { figure: "arrival", unit: "days", ofHikes: (h, i) => h.lateDays[i]!, ofLeg: (leg) => dayNumber(leg.endDate)! },
  {
    figure: "warmth",
    unit: "K",
    ofHikes: (h, i) => h.nightK[i]!,
    ofLeg: (leg, who) => leg.hikers[who]!.warmth?.marginK ?? 0,
  },
];

export interface Trust {
  legIndex: number;
  figure: Explained;
  unit: TrustRow["unit"];
  /** Standard deviation of all together. */
  sd: number;
  /** Of each, and their sum is 1; all nothing where nothing varies. */
  shares: Record<TrustGroup, number>;
}

/** Runs are fewer than for chances: a spread is known sooner. */
const RUNS = 300;

function trustSteps(): number {
  return QUESTIONS.reduce((sum, question) => sum + models[question].all.length, 0) + Object.keys(VARIED_BY).length;
}

/** Each step of the distance, and with the last all figures of all legs. */
export function* trustOf(
  plan: Plan,
  result: PlanFigures,
  who: number,
  compute: (plan: Plan) => PlanFigures,
): Generator<{ done: number; trust?: Trust[] }> {
  const all = trustSteps() + 1;
  let done = 0;
  const sums = result.legs.map(() => TRUST_ROWS.map(() => ({ model: 0, person: 0, weather: 0, sources: 0 })));
  for (const [group, varied] of Object.entries(VARIED_BY) as [keyof typeof VARIED_BY, readonly Varied[]][]) {
    const does = varied.filter((one) => !plan.odds.fixed.includes(one));
    const hikes = walkHikes(prepare(plan, result, { runs: RUNS, who, varied: does }));
    for (const [l, row] of sums.entries())
      for (const [t, { ofHikes }] of TRUST_ROWS.entries())
        row[t]![group] = spreadOf(Array.from({ length: RUNS }, (_, run) => ofHikes(hikes, run * hikes.legCount + l)));
    yield { done: ++done / all };
  }
  const hikerId = plan.hikers[who]!.id;
  for (const question of QUESTIONS) {
    const bySchool: LegResult[][] = [];
    for (const { id } of models[question].all) {
      bySchool.push(compute(withSchool(plan, hikerId, question, id)).legs);
      yield { done: ++done / all };
    }
    for (const [l, row] of sums.entries())
      for (const [t, { ofLeg }] of TRUST_ROWS.entries())
        row[t]!.model += spreadOf(bySchool.flatMap((legs) => (legs[l] ? [ofLeg(legs[l], who)] : [])));
  }
  const trust = result.legs.flatMap(({ index }) =>
    TRUST_ROWS.map(({ figure, unit }, t): Trust => {
      const parts = sums[index]![t]!;
      const all = TRUST_GROUPS.reduce((sum, group) => sum + parts[group], 0);
      const share = (group: TrustGroup): number => (all > 0 ? parts[group] / all : 0);
      return {
        legIndex: index,
        figure,
        unit,
        sd: Math.sqrt(all),
        shares: {
          model: share("model"),
          person: share("person"),
          weather: share("weather"),
          sources: share("sources"),
        },
      };
    }),
  );
  yield { done: 1, trust };
}

const spreadOf = (values: number[]): number => (values.length > 1 ? variance(values) : 0);
