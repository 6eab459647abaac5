/** Pieces that wait for how something turns out: which of them the plan counts on. */
import type { PlanDecision, Plan } from "../plan/schema.ts";

/** As it was decided; as the plan counts on it until then. */
export const isTaken = ({ decided, counted }: Pick<PlanDecision, "decided" | "counted">): boolean =>
  decided?.taken ?? counted;

/** Ids of pieces that no pack has as things stand: of choices not taken, and of what comes where those are not. */
export function leftOut({ decisions }: Pick<Plan, "decisions">): Set<string> {
  return new Set(decisions.flatMap((choice) => (isTaken(choice) ? choice.otherwiseIds : choice.pieceIds)));
}

/** Ids of pieces that are not free to be moved about: those of choices still open, and those left out. */
export function waiting(plan: Pick<Plan, "decisions">): Set<string> {
  const open = plan.decisions.filter(({ decided }) => !decided);
  return new Set([...leftOut(plan), ...open.flatMap(({ pieceIds, otherwiseIds }) => [...pieceIds, ...otherwiseIds])]);
}
