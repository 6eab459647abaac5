/** What is asked of the kit and what meets it, a moment behind the edits, so that typing does not wait for it. */
import { useDeferredValue, useMemo } from "react";
import { coverOf, demandsOf, idlePieces, legAsks, seasonOf, type Cover, type Idle } from "@gepack/core";
import type { ScreenProps } from "../Screen.tsx";

export interface KitCover extends ScreenProps {
  covers: readonly Cover[];
  idle: readonly Idle[];
}

export function useCover({ plan: newest, result: newestResult }: ScreenProps): KitCover {
  const pair = useMemo(() => ({ plan: newest, result: newestResult }), [newest, newestResult]);
  const { plan, result } = useDeferredValue(pair);
  const { climate } = plan;
  const { profile } = result;
  const facts = useMemo(() => seasonOf({ climate }, profile), [climate, profile]);
  return useMemo(() => {
    const covers = coverOf(plan, result, demandsOf(plan, result, legAsks(result, result.fords, facts)));
    return { plan, result, covers, idle: idlePieces(plan, result, covers) };
  }, [plan, result, facts]);
}
