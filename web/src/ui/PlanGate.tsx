import { type ReactNode, useEffect } from "react";
import type { Plan, PlanResult } from "@gepack/core";
import { begin } from "../store/opening.ts";
import { useDocument } from "../store/documentState.ts";

/** Shows what needs a plan once there is one with its result. */
export function PlanGate({ children }: { children: (plan: Plan, result: PlanResult) => ReactNode }) {
  const plan = useDocument((state) => state.plan);
  const result = useDocument((state) => state.result);
  useEffect(begin, []);
  return plan && result ? children(plan, result) : null;
}
