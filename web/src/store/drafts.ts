/** What is half done on a page: typed, pasted or looked at, and in no plan yet. A page with any of it does not go by itself. */
import { useEffect } from "react";

const drafts = new Set<symbol>();

export const hasDrafts = (): boolean => drafts.size > 0;

/** Counts while it is so, and the component is there. */
export function useDraft(isInHand: boolean): void {
  useEffect(() => {
    if (!isInHand) return;
    const mine = Symbol();
    drafts.add(mine);
    return () => void drafts.delete(mine);
  }, [isInHand]);
}

/** A field once what was typed is stored: empty, but for what has been typed since. */
export const emptied =
  (stored: string) =>
  (now: string): string =>
    now === stored ? "" : now;
