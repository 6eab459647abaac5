/** The screen of a station: the `index.tsx` of its folder, in a chunk of its own. */
import { useEffect, useState, type ComponentType } from "react";
import type { Plan, PlanResult } from "@gepack/core";
import { Drawn } from "../ui/Drawn.tsx";
import { PlanGate } from "../ui/PlanGate.tsx";

export interface ScreenProps {
  plan: Plan;
  result: PlanResult;
}

const SCREENS = import.meta.glob<{ default: ComponentType<ScreenProps> }>("./*/index.tsx");

export default function Screen({ id }: { id: string }) {
  const [found, setFound] = useState<{ id: string; Screen: ComponentType<ScreenProps> }>();
  useEffect(() => {
    void SCREENS[`./${id}/index.tsx`]?.().then((module) => setFound({ id, Screen: module.default }));
  }, [id]);
  if (found?.id !== id) return null;
  return (
    <PlanGate>
      {(plan, result) => (
        <Drawn what="This page" of={result}>
          <found.Screen plan={plan} result={result} />
        </Drawn>
      )}
    </PlanGate>
  );
}
