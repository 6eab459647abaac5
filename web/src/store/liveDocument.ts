/**
 * The document that stands: the newest with every edit in it, how it is computed and comes to the screen, and whether
 * all of it has come to storage. Plan and result change together: no screen ever sees one without the other.
 */
import type { Plan, PlanResult } from "@gepack/core";
import { keepShown } from "../data/shown.ts";
import { useDocument, type DocumentState } from "./documentState.ts";
import { sentenceOf } from "./notices.ts";
import { keepWithin } from "./selection.ts";
import { calculator, giveTrail, tracksInMemory } from "./trail.ts";

const set = useDocument.setState;
const get = useDocument.getState;

export const liveDocument: {
  /** The document with every edit in it, those included that are still being computed. */
  latest: Plan | undefined;
  /** The newest revision in storage that is known to be in `latest`, and edits on their way there. */
  seenRevision: number;
  writing: number;
  /** What stands under a trial. */
  underTrial: Pick<DocumentState, "plan" | "result"> | undefined;
} = { latest: undefined, seenRevision: 0, writing: 0, underTrial: undefined };

/** Is an edit on its way to storage, or a plan to its figures? */
export function isBusy(): boolean {
  return liveDocument.writing > 0 || get().computing;
}

/** Nothing is on the screen, and why. */
export function fail(error: unknown): void {
  set({ status: "failed", computing: false, failure: sentenceOf(error) });
}

/** An answer that comes sooner than this needs no word that it is on its way. */
const SLOW_MS = 150;

/** The document with every edit so far; what is shown may wait for its figures still. */
export function latestPlan(): Plan | undefined {
  return liveDocument.latest;
}

/** The document with every edit so far and its result, as soon as both are shown. */
export function whenShown(): Promise<{ plan: Plan; result: PlanResult }> {
  return new Promise((resolve) => {
    const look = (): boolean => {
      const { plan, result, status } = get();
      if (!plan || !result || (plan !== liveDocument.latest && status !== "failed")) return false;
      resolve({ plan, result });
      return true;
    };
    if (look()) return;
    const stop = useDocument.subscribe(() => void (look() && stop()));
  });
}

/** So long after the last figures they are kept for the next opening. */
const KEEP_SHOWN_MS = 4000;
let keeping: ReturnType<typeof setTimeout> | undefined;

function keepSoon(): void {
  clearTimeout(keeping);
  keeping = setTimeout(() => {
    const { plan, result } = get();
    if (isBusy() || liveDocument.underTrial || plan !== liveDocument.latest) return keepSoon();
    if (plan && result && !tracksInMemory()) void keepShown(plan.id, liveDocument.seenRevision, result).catch(() => {});
  }, KEEP_SHOWN_MS);
}

/** Parts of a document that no figure comes from. */
const WITHOUT_FIGURES: ReadonlySet<string> = new Set<keyof Plan>(["ticks", "kitStory", "savedLists"]);

const haveSameFigures = (a: Plan, b: Plan): boolean =>
  (Object.keys(b) as (keyof Plan)[]).every((key) => a[key] === b[key] || WITHOUT_FIGURES.has(key));

/** Computes a document and shows both, once it is allowed; what is newer meanwhile comes first. */
export async function show(plan: Plan, label?: string, allowed?: Promise<void>): Promise<void> {
  const shown = get();
  const isSettled = shown.result !== undefined && shown.plan !== plan && shown.plan === liveDocument.latest;
  if (isSettled && shown.plan && haveSameFigures(shown.plan, plan)) {
    liveDocument.latest = plan;
    liveDocument.underTrial = undefined;
    keepSoon();
    set({ plan, before: undefined });
    return allowed;
  }
  // The very document that is shown is computed again where it was opened as it was left: that is no edit.
  const edited =
    shown.plan?.id === plan.id && shown.result !== undefined && (shown.plan !== plan || label !== undefined);
  liveDocument.latest = plan;
  const slow = setTimeout(() => set({ computing: true }), SLOW_MS);
  try {
    await giveTrail(plan);
    const [result] = await Promise.all([calculator().compute(plan), allowed]);
    if (!result) return;
    keepWithin(result.legs.length, plan.hikers.length);
    // What was tried meanwhile is over.
    liveDocument.underTrial = undefined;
    keepSoon();
    const { result: before, undoLabel, lastLabel } = get();
    set({
      plan,
      result,
      computing: false,
      status: "ready",
      failure: undefined,
      damaged: undefined,
      before: edited ? before : undefined,
      lastLabel: edited ? (label ?? undoLabel ?? lastLabel) : undefined,
    });
  } finally {
    clearTimeout(slow);
    if (liveDocument.latest === plan) set({ computing: false });
  }
}

const handlers: (() => void)[] = [];

/** Called whenever the last piece of writing has arrived. */
export function whenAllArrived(handler: () => void): void {
  handlers.push(handler);
}

/** A piece of writing is on its way; until it has come to its end nothing says that all is kept. */
export function sent(): void {
  liveDocument.writing++;
  set({ storing: true });
}

/** A piece of writing has come to its end; with the last one, what storage told meanwhile is looked at. */
export function arrived(): void {
  liveDocument.writing--;
  if (liveDocument.writing > 0) return;
  set({ storing: false });
  for (const handler of handlers) handler();
}
