/** What stations work out of a plan and its figures for themselves: kept while both are, for whoever comes back to them. */
import {
  coverOf,
  demandsOf,
  idlePieces,
  legAsks,
  legConditions,
  memo,
  seasonOf,
  type Plan,
  type PlanResult,
  type Profile,
} from "@gepack/core";

interface Pair {
  plan: Plan;
  result: PlanResult;
}

const season = memo(({ climate, profile }: { climate: Plan["climate"]; profile: Profile }) =>
  seasonOf({ climate }, profile),
);
const factsOf = ({ plan, result }: Pair): ReturnType<typeof season> =>
  season({ climate: plan.climate, profile: result.profile });

/** What is met on each leg. */
export const conditionsOf = memo((pair: Pair) => legConditions(pair.plan, pair.result, factsOf(pair)));

/** What is asked of the kit and what meets it. */
export const coversOf = memo((pair: Pair) => {
  const { plan, result } = pair;
  const covers = coverOf(plan, result, demandsOf(plan, result, legAsks(result, result.fords, factsOf(pair))));
  return { covers, idle: idlePieces(plan, result, covers) };
});
