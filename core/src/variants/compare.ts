/** Variants of a trip side by side: the figures of each, and where they differ in legs, stops and kit. */
import { packTotals, tripTotals, type PackFigures, type TripTotals } from "../figures/headline.ts";
import { simulate } from "../odds/simulate.ts";
import type { Piece, Plan, Stop } from "../plan/schema.ts";
import type { PlanResult } from "../session/session.ts";
import { foodByOf } from "../stops/stays.ts";

/** Packs, food and chances are one hiker's; the rest is the party's. */
export interface VariantFigures extends TripTotals, Pick<PackFigures, "heaviestKg" | "meanKg" | "kgKm" | "foodKg"> {
  startDate: string;
  legs: number;
  /** All packed and not used up, leaving the start. */
  baseKg: number;
  blockers: number;
  cautions: number;
  /** Shares of hikes: out of food, without water, a night too cold somewhere; and arrivals of one in ten and nine in ten. */
  foodChance: number;
  waterChance: number;
  coldChance: number;
  arrives: [string, string];
}

export interface VariantLeg {
  fromStopId: string;
  toStopId: string;
  startKg: number;
  heaviestKg: number;
  days: number;
}

export interface VariantReport {
  figures: VariantFigures;
  legs: VariantLeg[];
}

const RUNS = 400;

export function tellVariant(plan: Plan, result: PlanResult, who: number): VariantReport {
  const { heaviestKg, meanKg, kgKm, foodKg } = packTotals(plan, result).hikers[who]!;
  const numberOf = (severity: "blocker" | "caution"): number =>
    result.checks.filter((check) => check.severity === severity).length;
  const rows = result.legs.map((leg) => ({ leg, row: leg.hikers[who]! }));
  const odds = simulate(plan, result, { runs: RUNS, who });
  const share = (trouble: "food" | "water" | "cold"): number => odds.somewhere[trouble].found / odds.runs;
  return {
    figures: {
      ...tripTotals(plan, result),
      startDate: plan.trip.startDate,
      legs: rows.length,
      heaviestKg,
      meanKg,
      kgKm,
      foodKg,
      baseKg: rows[0]!.row.kit.baseKg,
      blockers: numberOf("blocker"),
      cautions: numberOf("caution"),
      foodChance: share("food"),
      waterChance: share("water"),
      coldChance: share("cold"),
      arrives: [odds.finish[0], odds.finish[2]],
    },
    legs: rows.map(({ leg, row }) => ({
      fromStopId: leg.fromStopId,
      toStopId: leg.toStopId,
      startKg: row.startKg,
      heaviestKg: row.heaviestKg,
      days: leg.dayCount,
    })),
  };
}

export interface Difference {
  /** What differs: a stop or a piece by its name. */
  part: "stop" | "piece";
  id: string;
  name: string;
  /** As it is in each variant, in their order; undefined where it is not there, or not along. */
  values: (string | undefined)[];
}

/** Stops and pieces that are not the same in all of them; what is given of each are facts, not words. */
export function differencesOf(plans: readonly Plan[]): Difference[] {
  return [
    ...rowsOf("stop", plans, ({ stops }) => stops, stopFacts),
    ...rowsOf("piece", plans, ({ kit }) => kit, pieceFacts),
  ];
}

function rowsOf<Row extends { id: string; name: string }>(
  part: Difference["part"],
  plans: readonly Plan[],
  list: (plan: Plan) => readonly Row[],
  facts: (row: Row) => string | undefined,
): Difference[] {
  const names = new Map<string, string>();
  for (const plan of plans) for (const { id, name } of list(plan)) if (!names.has(id)) names.set(id, name);
  const byId = plans.map((plan) => new Map(list(plan).map((row) => [row.id, row])));
  return [...names].flatMap(([id, name]) => {
    const values = byId.map((rows) => {
      const row = rows.get(id);
      return row && facts(row);
    });
    return new Set(values).size > 1 ? [{ part, id, name, values }] : [];
  });
}

/** Used or not, nights, how food comes: of a stop that is passed nothing else counts. */
function stopFacts(stop: Stop): string | undefined {
  return stop.use ? `${stop.nights} ${foodByOf(stop)}` : undefined;
}

/** Mass and legs; of what stays on the shelf nothing. */
function pieceFacts({ massG, quantity, spans }: Piece): string | undefined {
  if (spans.length === 0) return undefined;
  return `${massG * quantity} ${spans.map(({ fromStopId, toStopId }) => `${fromStopId}>${toStopId}`).join(",")}`;
}
