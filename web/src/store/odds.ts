/** The odds that were worked out last: of which plan, and for whom. Whoever draws arrivals reads them here. */
import { create } from "zustand";
import type { Odds, Plan } from "@gepack/core";

interface OddsState {
  plan: Plan | undefined;
  who: number;
  odds: Odds | undefined;
}

const useOdds = create<OddsState>(() => ({ plan: undefined, who: 0, odds: undefined }));

export function keepOdds(plan: Plan, who: number, odds: Odds): void {
  useOdds.setState({ plan, who, odds });
}

/** While the plan is the one that they are of. */
export function useOddsOf(plan: Plan): Odds | undefined {
  return useOdds((state) => (state.plan === plan ? state.odds : undefined));
}
