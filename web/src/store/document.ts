/**
 * Edits of the opened plan. The recipe of an edit runs once; what it changes is data from then on: shown, noted ahead,
 * stored, undone and redone. One that storage refuses is taken back and said.
 */
import {
  applyChanges,
  changesBetween,
  writePlanFile,
  type OpenInput,
  type Plan,
  type PlanFile,
  type PlanResult,
  type TrackPoints,
} from "@gepack/core";
import { produce, type Draft } from "immer";
import { clearNote, writeNote } from "../data/note.ts";
import { change, importPlan, step, storePlan, storeTracks, notAllowed, type Stored } from "../data/plans.ts";
import { useDocument } from "./documentState.ts";
import { made, type Made } from "./made.ts";
import { notify, report } from "./notices.ts";
import { selectPlan, useSelection } from "./selection.ts";
import { arrived, fail, sent, show, liveDocument } from "./liveDocument.ts";
import { calculator, forgetTrail, holdInMemory, keptTracks, takeTrail, tracksInMemory } from "./trail.ts";
import { markEdit } from "./secondClick.ts";

const set = useDocument.setState;
const get = useDocument.getState;

/** Storing waits for the figures: until they are there, the processor is theirs, and the note keeps the edit. */
const LONGEST_WAIT_MS = 1000;
let storing: Promise<unknown> = Promise.resolve();

/** One piece of work on storage after the other, each when what it stores is shown, or is long in coming. */
function inTurn<T>(shown: Promise<unknown>, work: () => Promise<T>): Promise<T> {
  const waited = new Promise((resolve) => setTimeout(resolve, LONGEST_WAIT_MS));
  const done = Promise.all([storing, Promise.race([shown, waited])]).then(work);
  storing = done.catch(() => {});
  return done;
}

/** What the next opening would refuse is refused now. The schema is fetched beside, and is there by the first edit. */
async function checked(label: string, before: Plan, after: Plan): Promise<void> {
  const { refusedIn } = await import("../data/reading.ts");
  const problem = refusedIn(before, after);
  if (problem) throw notAllowed(label, problem);
}

/** What an edit does to the draft of a plan; ids and the day it is are given to it. */
export type Recipe = (draft: Draft<Plan>, made: Made) => void;

const after = (plan: Plan, recipe: Recipe): Plan => produce(plan, (draft) => recipe(draft, made()));

/**
 * One undoable edit: on the screen as soon as it is computed, stored beside it. Resolves when it has come to its end;
 * false where it was taken back, so that what was typed for it stays.
 */
export async function edit(label: string, recipe: Recipe): Promise<boolean> {
  const from = liveDocument.latest;
  if (!from) return false;
  markEdit();
  const next = after(from, recipe);
  const changes = changesBetween(from, next);
  if (changes.length === 0) return true;
  const allowed = checked(label, from, next);
  // Whoever waits for it hears of it; until then it is nobody’s failure.
  allowed.catch(() => {});
  if (tracksInMemory())
    return show(next, label, allowed).then(
      () => true,
      (error: unknown) => {
        liveDocument.latest = without(next, from);
        return refused(error);
      },
    );
  const note = writeNote({ planId: from.id, label, changes });
  sent();
  const shown = show(next, label, allowed);
  set({ undoLabel: label, redoLabel: undefined });
  let stored = false;
  try {
    const store = (): Promise<Stored> => allowed.then(() => change(from.id, label, changes, note.id));
    const { revision, dropped, overwritten } = await inTurn(shown, store);
    stored = true;
    if (dropped.length > 0) notify(`${label}: another tab removed a part of it meanwhile; the rest is saved.`);
    else if (overwritten.length > 0) notify(`${label}: this replaced what another tab had just entered there.`);
    // The next revision is all ours; a later one holds another tab's edit as well, and is yet to be shown.
    if (revision === liveDocument.seenRevision + 1) liveDocument.seenRevision = revision;
    clearNote(note.id);
    await shown;
    return true;
  } catch (error) {
    // Storage refused it, or it cannot be computed: it is taken back, from under later edits too.
    clearNote(note.id);
    if (stored) await change(from.id, `Not saved: ${label}`, changesBetween(next, from)).catch(report);
    if (liveDocument.latest?.id === from.id) await show(without(next, from), `Not saved: ${label}`).catch(fail);
    // Said when all is as it was: what a field still holds would else be taken once more by a page that goes.
    return refused(error);
  } finally {
    arrived();
  }
}

/** The newest document without what an edit made of the one before it. */
function without(next: Plan, from: Plan): Plan {
  const { latest } = liveDocument;
  if (latest === next || !latest) return from;
  return applyChanges(latest, changesBetween(next, from)).value;
}

/** An edit was taken back: fields show what holds again. */
function refused(error: unknown): false {
  set(({ refusals }) => ({ refusals: refusals + 1 }));
  report(error);
  return false;
}

/**
 * The plan as an edit would make it, on the screen and nowhere else, until `endTrial`: for what is dragged. Of
 * trials that come faster than answers the newest is shown, and none beside an edit.
 */
export async function tryOut(recipe: Recipe): Promise<void> {
  const from = liveDocument.latest;
  if (!from) return;
  const next = after(from, recipe);
  const { plan, result: shown } = get();
  liveDocument.underTrial ??= { plan, result: shown };
  const trial = liveDocument.underTrial;
  const result = await calculator().compute(next);
  if (result && liveDocument.latest === from && liveDocument.underTrial === trial) set({ plan: next, result });
}

/** What was there before the trial is shown again. */
export function endTrial(): void {
  if (liveDocument.underTrial) set(liveDocument.underTrial);
  liveDocument.underTrial = undefined;
}

export async function undoRedo(direction: "undo" | "redo"): Promise<void> {
  if (!liveDocument.latest || tracksInMemory()) return;
  try {
    await storing;
    const label = await step(liveDocument.latest.id, direction);
    if (label !== undefined) set({ lastLabel: `${direction === "undo" ? "Undid" : "Redid"}: ${label}` });
  } catch (error) {
    report(error);
  }
}

/** Shows a plan that came from outside, and stores it. */
export async function takePlan({ plan, tracks }: PlanFile): Promise<void> {
  takeTrail(plan, tracks);
  const before = {
    latest: liveDocument.latest,
    tracks: tracksInMemory(),
    shown: get(),
    selected: useSelection.getState(),
  };
  if (before.tracks) holdInMemory(tracks);
  if (before.shown.plan) useSelection.setState({ legIndex: 0, zoomLeg: undefined });
  sent();
  try {
    await show(plan);
    liveDocument.seenRevision = before.tracks ? 0 : await storePlan(plan, tracks);
  } catch (error) {
    // It cannot be computed, or storage refused it: the plan of before is shown again, nothing of it was touched.
    forgetTrail();
    liveDocument.latest = before.latest;
    holdInMemory(before.tracks);
    set(before.shown);
    useSelection.setState(before.selected);
    throw error;
  } finally {
    arrived();
  }
  if (!before.tracks) selectPlan(plan.id);
  set({ before: undefined, lastLabel: undefined });
}

/** Takes a plan from a file: a step of its own when the plan is here already, a new trip otherwise. */
export async function takeImport(file: PlanFile): Promise<void> {
  if (tracksInMemory()) return takePlan(file);
  await importPlan(file.plan, file.tracks);
  selectPlan(file.plan.id);
}

/** An edit that brings a track with it. */
export async function editWithTrack(label: string, track: TrackPoints, recipe: Recipe): Promise<boolean> {
  try {
    const inMemory = tracksInMemory();
    if (inMemory) holdInMemory([...inMemory, track]);
    else await storeTracks([track]);
    return await edit(label, recipe);
  } catch (error) {
    return refused(error);
  }
}

/** What files for other programs are made of: the plan as it is computed, and its tracks. */
export async function forOthers(): Promise<(OpenInput & { result: PlanResult }) | undefined> {
  const { plan, result } = get();
  if (!plan || !result) return undefined;
  return { plan, result, tracks: await keptTracks(plan) };
}

/** The whole plan as one file's text. */
export async function exportText(): Promise<string | undefined> {
  if (!liveDocument.latest) return undefined;
  return JSON.stringify(writePlanFile(liveDocument.latest, await keptTracks(liveDocument.latest)));
}
