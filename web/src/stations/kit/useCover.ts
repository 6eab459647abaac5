/** What is asked of the kit and what meets it, a moment behind the edits, so that typing does not wait for it. */
import { useDeferredValue, useMemo } from "react";
import type { Cover, Idle } from "@gepack/core";
import { coversOf } from "../worked.ts";
import type { ScreenProps } from "../Screen.tsx";

export interface KitCover extends ScreenProps {
  covers: readonly Cover[];
  idle: readonly Idle[];
}

export function useCover({ plan: newest, result: newestResult }: ScreenProps): KitCover {
  const pair = useMemo(() => ({ plan: newest, result: newestResult }), [newest, newestResult]);
  const { plan, result } = useDeferredValue(pair);
  return useMemo(() => ({ plan, result, ...coversOf({ plan, result }) }), [plan, result]);
}
