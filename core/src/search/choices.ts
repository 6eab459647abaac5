/** What one may do at a stop instead, each by the true model: stay a night more, walk on the same day, pass by, come by. */
import type { Plan } from "../plan/schema.ts";
import type { PlanResult } from "../session/session.ts";
import { figuresOf, type SetFigures } from "./figures.ts";

export type ChoiceName = "as-it-is" | "hold" | "through" | "past" | "use";

export interface StopChoice {
  name: ChoiceName;
  /** What of the stop is changed. */
  change: { use: boolean; nights: number };
  figures: SetFigures;
}

/** The plan as it is first, then one choice after the other. */
export function* stopChoices(plan: Plan, stopId: string, compute: (plan: Plan) => PlanResult): Generator<StopChoice> {
  const stop = plan.stops.find(({ id }) => id === stopId);
  if (!stop) return;
  const { use, nights } = stop;
  const choices: [ChoiceName, StopChoice["change"]][] = [["as-it-is", { use, nights }]];
  if (use) {
    choices.push(["hold", { use, nights: nights + 1 }]);
    if (nights > 0) choices.push(["through", { use, nights: 0 }]);
    choices.push(["past", { use: false, nights }]);
  } else choices.push(["use", { use: true, nights: Math.max(1, nights) }]);
  for (const [name, change] of choices) {
    const stops = plan.stops.map((one) => (one.id === stopId ? { ...one, ...change } : one));
    const other = { ...plan, stops };
    yield { name, change, figures: figuresOf(other, compute(other)) };
  }
}

/** How many choices there are, so that one can tell how far it is. */
export function choiceCount({ use, nights }: { use: boolean; nights: number }): number {
  return use ? (nights > 0 ? 4 : 3) : 2;
}
