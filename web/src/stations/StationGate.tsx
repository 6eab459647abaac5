import { type ReactNode, useEffect } from "react";
import type { Plan, PlanResult } from "@gepack/core";
import { begin, useApp } from "../store/app.ts";

/** Shows a station once there is a plan with its result. */
export function StationGate({ children }: { children: (plan: Plan, result: PlanResult) => ReactNode }) {
  const { plan, result } = useApp();
  useEffect(begin, []);
  return plan && result ? children(plan, result) : null;
}
