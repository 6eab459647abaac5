/** How a plan comes to the screen: from storage, as the page was left, or the demo; and what storage tells later. */
import { changesBetween, keepEqual, PLAN_VERSION, type Plan, type PlanResult } from "@gepack/core";
import { fetchDemo } from "../data/demo.ts";
import {
  askToPersist,
  change,
  fillIn,
  migrateStored,
  nameOf,
  planToOpen,
  rememberOpened,
  StorageProblem,
  storeNotes,
  watchPlan,
  type OpenPlan,
} from "../data/plans.ts";
import { shownOf } from "../data/shown.ts";
import { takePlan } from "./document.ts";
import { useDocument } from "./documentState.ts";
import { notify, sentenceOf } from "./notices.ts";
import { answered } from "./patience.ts";
import { reloadBetweenEdits, watchVersion } from "./reload.ts";
import { keepWithin, readLocation, selectPlan, useSelection } from "./selection.ts";
import { readSettings } from "./settings.ts";
import { fail, isBusy, latestPlan, show, liveDocument, whenAllArrived } from "./liveDocument.ts";
import { calculator, holdInMemory } from "./trail.ts";
import { refuseSecondClicks } from "./secondClick.ts";

const set = useDocument.setState;
const get = useDocument.getState;

/** What storage told while edits were on their way: looked at when they have arrived. */
let putOff: OpenPlan | undefined;
/** What storage told is looked at one after the other. */
let following: Promise<void> = Promise.resolve();
let begun = false;
/** The first paint comes first. */
const SCHEMA_AFTER_MS = 1500;

/** Called by every island; the first call opens the stored plan, or the demo on the first visit. */
export function begin(): void {
  if (begun) return;
  begun = true;
  readLocation();
  window.addEventListener("popstate", readLocation);
  window.addEventListener("pagehide", takeFieldInHand);
  watchVersion(isBusy);
  refuseSecondClicks();
  whenAllArrived(() => void (putOff && follow(putOff).catch(fail)));
  // For whoever looks at a page from outside: the document with every edit in it, and whether one is on its way.
  Object.assign(window, { gepack: { plan: latestPlan, isBusy } });
  // It is fetched while storage and the trail are being read.
  calculator();
  void open();
}

/** The page goes: what is typed in a field and not left yet is taken as if it were left. */
function takeFieldInHand(): void {
  if (document.activeElement instanceof HTMLElement) document.activeElement.blur();
}

async function open(): Promise<void> {
  try {
    const [, moved] = await answered(Promise.all([readSettings(), storeNotes().then(migrateStored)]));
    if (moved !== undefined) notify(moved);
    useSelection.subscribe(({ planId }) => watch(planId));
    await openLast();
    void askToPersist();
    setTimeout(() => void import("../data/reading.ts"), SCHEMA_AFTER_MS);
  } catch (error) {
    await openWithoutStorage(error);
  }
}

/** The plan that the address names, else the one opened last; the demo where there is none. */
async function openLast(): Promise<void> {
  const { planId } = useSelection.getState();
  const id = await planToOpen(planId);
  if (id === undefined) return openDemo();
  if (planId !== undefined && id !== planId)
    notify("The plan in this page’s address isn’t on this device, so your last one is open.");
  selectPlan(id);
}

let watched: { id: string; watching: ReturnType<typeof watchPlan> } | undefined;

/** This tab shows that plan from now on. */
function watch(id: string | undefined): void {
  if (id === undefined || watched?.id === id) return;
  watched?.watching.unsubscribe();
  const next = (opened: OpenPlan | undefined): void => {
    following = following.then(() => (watched?.id !== id ? undefined : opened ? follow(opened) : gone(id))).catch(fail);
  };
  watched = { id, watching: watchPlan(id, next, (error) => void openWithoutStorage(error)) };
  void rememberOpened(id).catch(() => {});
}

/** It was removed elsewhere: what is on the screen stays there, for it may hold what nobody else has. */
async function gone(id: string): Promise<void> {
  if (liveDocument.latest?.id === id)
    return notify("Another tab removed this plan. Export it to keep it, or open another one from the menu.");
  if (watched?.id === id) await openLast();
}

/** Storage refused: the demo opens in memory, says so, and can still be exported. */
async function openWithoutStorage(error: unknown): Promise<void> {
  if (get().plan) {
    set({ kept: false });
    return notify("The browser’s storage stopped responding. Export the plan, then reload the page.");
  }
  try {
    const demo = await fetchDemo(tellBytes);
    holdInMemory(demo.tracks);
    set({ kept: false });
    notify(
      error instanceof StorageProblem
        ? error.message
        : "Your browser refuses to store data. Export the plan before you close the page.",
    );
    await show(demo.plan);
  } catch (failure) {
    fail(failure);
  }
}

/** The plan kept on this device could not be opened: nothing of another one stays on the screen. */
function failToOpen({ id, doc }: OpenPlan, why: string): void {
  liveDocument.latest = undefined;
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
  const same = liveDocument.latest?.id === id;
  if (same && doc.version > PLAN_VERSION) return reloadBetweenEdits(isBusy);
  const asLeft = same ? undefined : shownOf(id, revision);
  if (!same && !(await isWhole(opened))) return;
  // While own edits are on their way, what comes back is older than what is shown.
  putOff = same && liveDocument.writing > 0 ? opened : undefined;
  if (putOff || (same && revision < liveDocument.seenRevision)) return;
  set({ undoLabel, redoLabel });
  if (same && revision === liveDocument.seenRevision && get().result) return;
  liveDocument.seenRevision = revision;
  // What is equal keeps its old object: what was drawn and computed from it rests.
  const kept = same && liveDocument.latest ? keepEqual(liveDocument.latest, doc) : doc;
  if (kept === liveDocument.latest && get().result) return;
  const left = await asLeft?.catch(() => undefined);
  if (left) showAsLeft(kept, left);
  try {
    await show(kept);
  } catch (error) {
    failToOpen(opened, sentenceOf(error));
  }
}

/** Reads a stored document like a file. One that had to be repaired is stored so, and comes back by itself. */
async function isWhole(opened: OpenPlan): Promise<boolean> {
  const { value, problems } = await calculator().readStored({ doc: opened.doc });
  const [first] = problems;
  if (!value) {
    failToOpen(opened, `${first?.place ?? "file"}: ${first?.sentence ?? "It cannot be read."}`);
    return false;
  }
  if (keepEqual(opened.doc, value) === opened.doc) return true;
  if (first) {
    notify(`The saved plan was repaired. ${first.place}: ${first.sentence}`);
    await change(opened.id, "Repair the saved plan", changesBetween(opened.doc, value));
  } else await fillIn(value);
  return false;
}

/** The figures with which the page was left stand there at once. */
function showAsLeft(plan: Plan, result: PlanResult): void {
  liveDocument.latest = plan;
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

function tellBytes(readBytes: number): void {
  set({ readBytes });
}

/** Opens the demo as it was shipped; a changed demo is replaced. It is on the screen before it is stored. */
export async function openDemo(): Promise<void> {
  const demo = await fetchDemo(tellBytes);
  await takePlan(demo);
}
