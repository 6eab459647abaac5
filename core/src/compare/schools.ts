/** The same hike by every school of a question: how much does the choice matter? */
import { packTotals } from "../figures/headline.ts";
import { models, type Question } from "../models/index.ts";
import type { Hiker, Plan } from "../plan/schema.ts";
import type { PlanFigures } from "../result/result.ts";

export interface SchoolFigures {
  question: Question;
  id: string;
  walkDays: number;
  finishDate: string;
  /** Mean of the walking days. */
  kcalPerDay: number;
  /** Of all legs. */
  foodKg: number;
  /** Mean litres drunk in a walking hour, and the largest carry. */
  litresPerHour: number;
  largestCarryL: number;
  fuelKg: number;
  heaviestKg: number;
  heaviestLeg: number;
  finishBodyKg: number;
}

/** Every school of a question for one hiker, the rest of the plan unchanged. `compute` is a session's. */
export function* compareSchools(
  plan: Plan,
  hikerId: string,
  question: Question,
  compute: (plan: Plan) => PlanFigures,
): Generator<SchoolFigures> {
  for (const { id } of models[question].all) {
    const other = withSchool(plan, hikerId, question, id);
    yield figuresOf(question, id, hikerId, other, compute(other));
  }
}

/** The plan with one hiker's school changed; measured values that would hide it are left out. */
export function withSchool(plan: Plan, hikerId: string, question: Question, id: string): Plan {
  const changed = (hiker: Hiker): Hiker => {
    if (question === "fuel") return { ...hiker, stove: stoveOf(hiker, id as Hiker["stove"]["fuel"]) };
    return {
      ...hiker,
      schools: { ...hiker.schools, [question]: id },
      water: question === "water" ? { ...hiker.water, measuredLph: undefined } : hiker.water,
      food:
        question === "effort" || question === "resting" ? { ...hiker.food, measuredKcalPerDay: undefined } : hiker.food,
    };
  };
  return { ...plan, hikers: plan.hikers.map((hiker) => (hiker.id === hikerId ? changed(hiker) : hiker)) };
}

/** Another stove; who boiled nothing so far starts with two boils of half a litre a day. */
export function stoveOf({ stove }: Hiker, fuel: Hiker["stove"]["fuel"]): Hiker["stove"] {
  const rest = { ...stove };
  delete rest.gramsPerBoil;
  if (fuel === stove.fuel) return rest;
  // Own container sizes belong to the system they were given for.
  delete rest.containerNetG;
  delete rest.containerEmptyG;
  return { ...rest, fuel, boilsPerDay: stove.boilsPerDay || 2, boilL: stove.boilL || 0.5 };
}

export function figuresOf(
  question: Question,
  id: string,
  hikerId: string,
  plan: Plan,
  result: PlanFigures,
): SchoolFigures {
  const who = plan.hikers.findIndex((hiker) => hiker.id === hikerId);
  const rows = result.legs.map((leg) => leg.hikers[who]!);
  const total = (values: readonly number[]): number => values.reduce((sum, value) => sum + value, 0);
  // A day that passes through a stop has two parts, and one need.
  const energies = [...new Map(result.days.map((day) => [day.date, day.energyKcal[who]!])).values()];
  const carries = rows.flatMap((row) => row.carries);
  const { foodKg, fuelKg, heaviestKg, heaviestLeg, mostWaterL } = packTotals(plan, result).hikers[who]!;
  const walkH = total(carries.map((carry) => carry.walkH));
  return {
    question,
    id,
    walkDays: result.walkDays,
    finishDate: result.finishDate,
    kcalPerDay: total(energies) / energies.length,
    foodKg,
    litresPerHour: walkH > 0 ? total(carries.map((carry) => carry.walkingL)) / walkH : 0,
    largestCarryL: mostWaterL,
    fuelKg,
    heaviestKg,
    heaviestLeg,
    finishBodyKg: result.finish[who]!.body.bodyKg,
  };
}
