/**
 * The opened plan and its result. An edit is computed from the edited document at once, and stored beside
 * it; one that storage refuses is taken back and said. Plan and result change together: no screen ever
 * sees one without the other.
 */
import {
  keepEqual,
  PLAN_VERSION,
  writePlanFile,
  type OpenInput,
  type Plan,
  type PlanFile,
  type PlanResult,
  type TrackPoints,
} from "@gepack/core";
import { enablePatches, produceWithPatches, type Draft } from "immer";
import { fetchDemo } from "../data/demo.ts";
import { clearNote, writeNote } from "../data/note.ts";
import {
  askToPersist,
  change,
  fillIn,
  importPlan,
  nameOf,
  migrateStored,
  step,
  StorageProblem,
  storeNotes,
  storePlan,
  storeTracks,
  watchPlan,
  type OpenPlan,
} from "../data/plans.ts";
import { keepShown, shownOf } from "../data/shown.ts";
import { useDocument, type DocumentState } from "./documentState.ts";
import { notify, report, sentenceOf } from "./notices.ts";
import { answered } from "./patience.ts";
import { keepWithin, readLocation, useSelection } from "./selection.ts";
import { reloadBetweenEdits, watchVersion } from "./reload.ts";
import { readSettings } from "./settings.ts";
import { calculator, forgetTrail, giveTrail, holdInMemory, keptTracks, takeTrail, tracksInMemory } from "./trail.ts";

enablePatches();

const set = useDocument.setState;
const get = useDocument.getState;

/** The document with every edit in it, those included that are still being computed. */
let latest: Plan | undefined;
/** The newest revision in storage that is known to be in `latest`, and edits on their way there. */
let seenRevision = 0;
let writing = 0;
/** What storage told while edits were on their way: looked at when they have arrived. */
let putOff: OpenPlan | undefined;
/** What storage told is looked at one after the other. */
let following: Promise<void> = Promise.resolve();
let begun = false;

/** Called by every island; the first call opens the stored plan, or the demo on the first visit. */
export function begin(): void {
  if (begun) return;
  begun = true;
  readLocation();
  window.addEventListener("popstate", readLocation);
  window.addEventListener("pagehide", takeFieldInHand);
  watchVersion(isBusy);
  // It is fetched while storage and the trail are being read.
  calculator();
  void open();
}

/** Is an edit on its way to storage, or a plan to its figures? */
function isBusy(): boolean {
  return writing > 0 || get().computing;
}

/** The page goes: what is typed in a field and not left yet is taken as if it were left. */
function takeFieldInHand(): void {
  if (document.activeElement instanceof HTMLElement) document.activeElement.blur();
}

async function open(): Promise<void> {
  try {
    await answered(Promise.all([readSettings(), storeNotes().then(migrateStored)]));
    watchPlan(
      (opened) => {
        following = following.then(() => (opened ? follow(opened) : openDemo())).catch(fail);
      },
      (error) => void openWithoutStorage(error),
    );
    void askToPersist();
  } catch (error) {
    await openWithoutStorage(error);
  }
}

/** Storage refused: the demo opens in memory, says so, and can still be exported. */
async function openWithoutStorage(error: unknown): Promise<void> {
  if (get().plan) {
    set({ kept: false });
    return notify("The browser’s storage stopped answering. Export the plan, then reload the page.");
  }
  try {
    const demo = await fetchDemo(tellBytes);
    holdInMemory(demo.tracks);
    set({ kept: false });
    notify(
      error instanceof StorageProblem
        ? error.message
        : "The browser refuses to store data; export the plan before you close the page.",
    );
    await show(demo.plan);
  } catch (failure) {
    fail(failure);
  }
}

function fail(error: unknown): void {
  set({ status: "failed", computing: false, failure: sentenceOf(error) });
}

/** The plan kept on this device could not be opened: nothing of another one stays on the screen. */
function failToOpen({ id, doc }: OpenPlan, why: string): void {
  latest = undefined;
  set({
    status: "failed",
    computing: false,
    plan: undefined,
    result: undefined,
    failure: why,
    damaged: { id, name: nameOf(doc) },
  });
}

/** What storage holds now: own edits come back here, and those of other tabs arrive. */
async function follow(opened: OpenPlan): Promise<void> {
  const { id, doc, revision, undoLabel, redoLabel } = opened;
  const same = latest?.id === id;
  if (same && doc.version > PLAN_VERSION) return reloadBetweenEdits(isBusy);
  const asLeft = same ? undefined : shownOf(id, revision);
  if (!same && !(await isWhole(opened))) return;
  // While own edits are on their way, what comes back is older than what is shown.
  putOff = same && writing > 0 ? opened : undefined;
  if (putOff || (same && revision < seenRevision)) return;
  set({ undoLabel, redoLabel });
  if (same && revision === seenRevision && get().result) return;
  seenRevision = revision;
  // What is equal keeps its old object: what was drawn and computed from it rests.
  const kept = same && latest ? keepEqual(latest, doc) : doc;
  if (kept === latest && get().result) return;
  const left = await asLeft?.catch(() => undefined);
  if (left) showAsLeft(kept, left);
  try {
    await show(kept);
  } catch (error) {
    failToOpen(opened, sentenceOf(error));
  }
}

/** Reads a stored document like a file. One that had to be mended is stored so, and comes back by itself. */
async function isWhole(opened: OpenPlan): Promise<boolean> {
  const { value, problems } = await calculator().readStored({ doc: opened.doc });
  const [first] = problems;
  if (!value) {
    failToOpen(opened, `${first?.place ?? "file"}: ${first?.sentence ?? "It cannot be read."}`);
    return false;
  }
  if (keepEqual(opened.doc, value) === opened.doc) return true;
  if (first) {
    notify(`The stored plan was mended. ${first.place}: ${first.sentence}`);
    await change(opened.id, "Mend the stored plan", () => value);
  } else await fillIn(value);
  return false;
}

/** What stands under a trial. */
let underTrial: Pick<DocumentState, "plan" | "result"> | undefined;

/** An answer that comes sooner than this needs no word that it is on its way. */
const SLOW_MS = 150;

/** The document with every edit so far; what is shown may wait for its figures still. */
export function latestPlan(): Plan | undefined {
  return latest;
}

/** The document with every edit so far and its result, as soon as both are shown. */
export function whenShown(): Promise<{ plan: Plan; result: PlanResult }> {
  return new Promise((resolve) => {
    const look = (): boolean => {
      const { plan, result, status } = get();
      if (!plan || !result || (plan !== latest && status !== "failed")) return false;
      resolve({ plan, result });
      return true;
    };
    if (look()) return;
    const stop = useDocument.subscribe(() => void (look() && stop()));
  });
}

/** The figures with which the page was left stand there at once. */
function showAsLeft(plan: Plan, result: PlanResult): void {
  latest = plan;
  keepWithin(result.legs.length, plan.hikers.length);
  set({
    plan,
    result,
    status: "ready",
    failure: undefined,
    damaged: undefined,
    before: undefined,
    lastLabel: undefined,
  });
}

/** So long after the last figures they are kept for the next opening. */
const KEEP_SHOWN_MS = 4000;
let keeping: ReturnType<typeof setTimeout> | undefined;

function keepSoon(): void {
  clearTimeout(keeping);
  keeping = setTimeout(() => {
    const { plan, result } = get();
    if (isBusy() || underTrial || plan !== latest) return keepSoon();
    if (plan && result && !tracksInMemory()) void keepShown(plan.id, seenRevision, result).catch(() => {});
  }, KEEP_SHOWN_MS);
}

/** Computes a document and shows both; what is newer meanwhile goes first. */
async function show(plan: Plan, label?: string): Promise<void> {
  const shown = get();
  // The very document that is shown is computed anew where it was opened as it was left: that is no edit.
  const edited =
    shown.plan?.id === plan.id && shown.result !== undefined && (shown.plan !== plan || label !== undefined);
  latest = plan;
  const slow = setTimeout(() => set({ computing: true }), SLOW_MS);
  try {
    await giveTrail(plan);
    const result = await calculator().compute(plan);
    if (!result) return;
    keepWithin(result.legs.length, plan.hikers.length);
    // What was tried meanwhile is over.
    underTrial = undefined;
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
    if (latest === plan) set({ computing: false });
  }
}

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

/** A piece of writing is on its way; until it has come to its end nothing says that all is kept. */
function sent(): void {
  writing++;
  set({ storing: true });
}

/** A piece of writing has come to its end; with the last one, what storage told meanwhile is looked at. */
function arrived(): void {
  writing--;
  if (writing === 0) set({ storing: false });
  if (writing === 0 && putOff) void follow(putOff).catch(fail);
}

/** One undoable edit: on the screen as soon as it is computed, stored beside it. Resolves when it is stored. */
export async function edit(label: string, recipe: (draft: Draft<Plan>) => void): Promise<void> {
  const from = latest;
  if (!from) return;
  const [next, forward, inverse] = produceWithPatches(from, recipe);
  if (forward.length === 0) return;
  if (tracksInMemory())
    return show(next, label).catch((error: unknown) => {
      if (latest === next) latest = from;
      refused(error);
    });
  const note = writeNote({ planId: from.id, label, forward, inverse });
  sent();
  const shown = show(next, label);
  set({ undoLabel: label, redoLabel: undefined });
  let stored = false;
  try {
    const revision = await inTurn(shown, () => change(from.id, label, recipe, note.id));
    stored = true;
    // The next revision is all ours; a later one holds another tab's edit as well, and is yet to be shown.
    if (revision === seenRevision + 1) seenRevision = revision;
    clearNote(note.id);
    await shown;
  } catch (error) {
    // Storage refused it, or it cannot be computed: it is taken back, unless a later edit stands on it already.
    clearNote(note.id);
    if (latest === next) {
      if (stored) await step(from.id, "undo").catch(report);
      await show(from, `Not kept: ${label}`).catch(fail);
    }
    // Said when all is as it was: what a field still holds would else be taken once more by a page that goes.
    refused(error);
  } finally {
    arrived();
  }
}

/** An edit was taken back: fields show what holds again. */
function refused(error: unknown): void {
  set(({ refusals }) => ({ refusals: refusals + 1 }));
  report(error);
}

/**
 * The plan as an edit would make it, on the screen and nowhere else, until `endTrial`: for what is dragged. Of
 * trials that come faster than answers the newest is shown, and none beside an edit.
 */
export async function tryOut(recipe: (draft: Draft<Plan>) => void): Promise<void> {
  const from = latest;
  if (!from) return;
  const [next] = produceWithPatches(from, recipe);
  const { plan, result: shown } = get();
  underTrial ??= { plan, result: shown };
  const trial = underTrial;
  const result = await calculator().compute(next);
  if (result && latest === from && underTrial === trial) set({ plan: next, result });
}

/** What was there before the trial is shown again. */
export function endTrial(): void {
  if (underTrial) set(underTrial);
  underTrial = undefined;
}

export async function undoRedo(direction: "undo" | "redo"): Promise<void> {
  if (!latest || tracksInMemory()) return;
  try {
    await storing;
    const label = await step(latest.id, direction);
    if (label !== undefined) set({ lastLabel: `${direction === "undo" ? "Undid" : "Redid"}: ${label}` });
  } catch (error) {
    report(error);
  }
}

function tellBytes(readBytes: number): void {
  set({ readBytes });
}

/** Opens the demo as it was shipped; a changed demo is replaced. It is on the screen before it is stored. */
export async function openDemo(): Promise<void> {
  const demo = await fetchDemo(tellBytes);
  await takePlan(demo);
}

/** Shows a plan that came from outside, and stores it. */
export async function takePlan({ plan, tracks }: PlanFile): Promise<void> {
  takeTrail(plan, tracks);
  const before = { latest, tracks: tracksInMemory(), shown: get(), selected: useSelection.getState() };
  if (before.tracks) holdInMemory(tracks);
  if (before.shown.plan) useSelection.setState({ legIndex: 0, zoomLeg: undefined });
  sent();
  try {
    await show(plan);
    seenRevision = before.tracks ? 0 : await storePlan(plan, tracks);
  } catch (error) {
    // It cannot be computed, or storage refused it: the plan of before is shown again, nothing of it was touched.
    forgetTrail();
    latest = before.latest;
    holdInMemory(before.tracks);
    set(before.shown);
    useSelection.setState(before.selected);
    throw error;
  } finally {
    arrived();
  }
  set({ before: undefined, lastLabel: undefined });
}

/** Takes a plan from a file: a step of its own when the plan is here already, a new trip otherwise. */
export async function takeImport(file: PlanFile): Promise<void> {
  if (tracksInMemory()) return takePlan(file);
  await importPlan(file.plan, file.tracks);
}

/** An edit that brings a track with it. */
export async function editWithTrack(
  label: string,
  track: TrackPoints,
  recipe: (draft: Draft<Plan>) => void,
): Promise<void> {
  try {
    const held = tracksInMemory();
    if (held) holdInMemory([...held, track]);
    else await storeTracks([track]);
    await edit(label, recipe);
  } catch (error) {
    report(error);
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
  if (!latest) return undefined;
  return JSON.stringify(writePlanFile(latest, await keptTracks(latest)));
}
