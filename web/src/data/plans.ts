/** Every read and write of plans. All edits go through `change`, so that each can be undone. */
import {
  applyChanges,
  changesBetween,
  sameTrack,
  PLAN_VERSION,
  PROFILE_VERSION,
  trackIdsOf,
  writePlanFile,
  type PlanChange,
  type Plan,
  type Problem,
  type Profile,
  type TrackPoints,
} from "@gepack/core";
import { liveQuery, type Subscription } from "dexie";
import { BALLAST, db, type HistoryRow, type PlanRow } from "./db.ts";
import { clearNote, pendingNotes } from "./note.ts";
import { freshId } from "../store/made.ts";

const MOST_STEPS = 300;
const MOST_PROFILES = 4;
const CURRENT = "currentPlan";

const NEWER = "A newer version of Gepack opened this plan in another tab. Reload the page to continue.";

/** What storage refused, as a sentence that says how to go on. */
export class StorageProblem extends Error {}

/** What would be stored could not be opened again. */
export function notAllowed(label: string, { sentence }: Problem): StorageProblem {
  return new StorageProblem(`Not saved: ${label}. ${sentence}`);
}

/** What an edit changes is not there any more. */
class NoPlace extends StorageProblem {}

/** What storage calls it: of many writes at once the names stand in the message. */
function namesIn(error: unknown): string {
  if (!(error instanceof Error)) return "";
  const inner = (error as { inner?: Error }).inner?.name ?? "";
  return `${error.name} ${inner} ${error.name === "BulkError" ? error.message : ""}`;
}

export async function guarded<T>(work: () => Promise<T>): Promise<T> {
  try {
    return await work();
  } catch (error) {
    const name = namesIn(error);
    if (/Quota/.test(name))
      throw new StorageProblem(
        "This device’s storage is full, so your change wasn’t saved. Export the plan, free some space, then try again.",
      );
    // What a browser says when the disk itself is full.
    if (/Abort/.test(name))
      throw new StorageProblem(
        "This device’s storage failed, usually because it’s full, so your change wasn’t saved. Export the plan, free some space, then try again.",
      );
    if (/MissingAPI|OpenFailed|InvalidState|Unknown|DatabaseClosed|Security/.test(name))
      throw new StorageProblem(
        "Your browser doesn’t let Gepack store anything (private window, storage turned off, or device full). Export the plan before you close this page.",
      );
    throw error;
  }
}

/** How an edit came to storage: the revision that holds it, and what another tab had changed meanwhile. */
export interface Stored {
  revision: number;
  /** Parts that are gone, so that nothing of them could be changed. */
  dropped: PlanChange[];
  /** Fields that this edit, the later one, took from another. */
  overwritten: PlanChange[];
}

/**
 * One labelled edit: the document and its undo step in one transaction. Its changes are made on what is stored, which
 * may be another document than the one they were made from: another tab was first. Rows are found by what names them.
 */
export function change(
  planId: string,
  label: string,
  changes: readonly PlanChange[],
  noteId?: string,
): Promise<Stored> {
  return guarded(async () => {
    const { refusedIn } = await import("./reading.ts");
    return db.transaction("rw", db.plans, db.history, async () => {
      const row = await db.plans.get(planId);
      if (!row)
        throw new NoPlace(
          "This plan was removed in another tab, so this change wasn’t saved. Export yours to keep it.",
        );
      if (row.doc.version > PLAN_VERSION) throw new StorageProblem(NEWER);
      const as = { revision: row.revision, dropped: [], overwritten: [] };
      if (noteId !== undefined && (await db.history.where({ noteId }).count()) > 0) return as;
      const { value: doc, dropped, overwritten } = applyChanges(row.doc, changes);
      const forward = changesBetween(row.doc, doc);
      if (forward.length === 0 && dropped.length > 0)
        throw new NoPlace("Another tab removed what this edit changes, so it wasn’t saved.");
      if (forward.length === 0) return as;
      // Two tabs may fill one list beyond its limit, though each alone does not.
      const problem = refusedIn(row.doc, doc);
      if (problem) throw notAllowed(label, problem);
      const inverse = changesBetween(doc, row.doc);
      await db.history.where({ planId, undone: 1 }).delete();
      await db.history.add({ planId, label, forward, inverse, undone: 0, ...(noteId === undefined ? {} : { noteId }) });
      const revision = await put(doc, row.revision);
      const steps = await db.history.where({ planId, undone: 0 }).primaryKeys();
      if (steps.length > MOST_STEPS) await db.history.bulkDelete(steps.slice(0, steps.length - MOST_STEPS));
      return { revision, dropped, overwritten };
    });
  });
}

async function put(doc: Plan, after: number | undefined): Promise<number> {
  const revision = (after ?? 0) + 1;
  await db.plans.put({ id: doc.id, doc, updatedAt: Date.now(), revision, ballast: BALLAST });
  return revision;
}

/** A stored document with the parts it lacks at their defaults: nothing to undo. */
export function fillIn(doc: Plan): Promise<number> {
  return guarded(async () => put(doc, (await db.plans.get(doc.id))?.revision));
}

/** Stores what closing tabs left in notes. Changes that no longer fit, or that no longer read, go with their note. */
export async function storeNotes(): Promise<number> {
  let stored = 0;
  for (const note of pendingNotes()) {
    try {
      await change(note.planId, note.label, note.changes, note.id);
      stored++;
    } catch (error) {
      if (error instanceof StorageProblem && !(error instanceof NoPlace)) throw error;
    }
    clearNote(note.id);
  }
  return stored;
}

/** Undoes the last step or redoes the last undone one; answers its label. */
export function step(planId: string, direction: "undo" | "redo"): Promise<string | undefined> {
  return guarded(() =>
    db.transaction("rw", db.plans, db.history, async () => {
      const rows = await db.history.where({ planId, undone: direction === "undo" ? 0 : 1 }).sortBy("seq");
      const entry: HistoryRow | undefined = direction === "undo" ? rows.at(-1) : rows[0];
      const row = await db.plans.get(planId);
      if (!entry || !row) return undefined;
      if (row.doc.version > PLAN_VERSION) throw new StorageProblem(NEWER);
      const changes = direction === "undo" ? entry.inverse : entry.forward;
      const { value } = applyChanges(row.doc, changes);
      if (value === row.doc)
        throw new StorageProblem("This step no longer fits the plan, so it can’t be undone or redone.");
      await put(value, row.revision);
      await db.history.update(entry.seq, { undone: direction === "undo" ? 1 : 0 });
      return entry.label;
    }),
  );
}

/** Documents of an earlier version of the format are brought to the present one; their undo steps go. What is told of it. */
export function migrateStored(): Promise<string | undefined> {
  return guarded(async () => {
    const old = (await db.plans.toArray()).filter((row) => versionOf(row.doc) < PLAN_VERSION);
    if (old.length === 0) return undefined;
    let told: string | undefined;
    const { readPlan } = await import("./reading.ts");
    for (const row of old) {
      const { value, problems } = readPlan({ ...row.doc, ticks: await ticksBefore(row.id) });
      // What does not read stays as it is; opening it says so.
      if (!value) continue;
      await db.transaction("rw", db.plans, db.history, async () => {
        await db.history.where("[planId+undone]").between([row.id, 0], [row.id, 1], true, true).delete();
        await put(value, row.revision);
      });
      told ??= problems.find(({ severity }) => severity === "note")?.sentence;
    }
    return told;
  });
}

/** Until version 6 ticks stood beside the plan, among the settings. */
async function ticksBefore(planId: string): Promise<{ id: string }[]> {
  try {
    const kept = JSON.parse((await db.settings.get(`ticks ${planId}`))?.value ?? "[]") as unknown[];
    return kept.filter((key) => typeof key === "string").map((id) => ({ id }));
  } catch {
    return [];
  }
}

/** What is stored is no more to be trusted than a file: a damaged document has no version. */
function versionOf(doc: Plan | undefined): number {
  return typeof doc?.version === "number" ? doc.version : Infinity;
}

export interface OpenPlan {
  id: string;
  doc: Plan;
  revision: number;
  undoLabel: string | undefined;
  redoLabel: string | undefined;
}

/** Watches a plan and its undo steps, edits of other tabs included; undefined once it is gone. */
export function watchPlan(
  id: string,
  onChange: (open: OpenPlan | undefined) => void,
  onError: (error: unknown) => void,
): Subscription {
  return liveQuery(async () => {
    const row = await db.plans.get(id);
    if (!row) return undefined;
    const done = await db.history.where({ planId: id, undone: 0 }).last();
    const undone = await db.history.where({ planId: id, undone: 1 }).first();
    return { id, doc: row.doc, revision: row.revision ?? 0, undoLabel: done?.label, redoLabel: undone?.label };
  }).subscribe({ next: onChange, error: onError });
}

/** What a tab opens: the plan that it names, else the one opened last, else the one changed last; undefined without any. */
export function planToOpen(named: string | undefined): Promise<string | undefined> {
  return guarded(async () => {
    for (const id of [named, (await db.settings.get(CURRENT))?.value])
      if (id !== undefined && (await db.plans.get(id))) return id;
    return (await newestPlan())?.id;
  });
}

async function newestPlan(): Promise<PlanRow | undefined> {
  const rows = await db.plans.toArray();
  return rows.reduce<PlanRow | undefined>((a, b) => (a && a.updatedAt >= b.updatedAt ? a : b), undefined);
}

/** The tracks of a plan, those that are there and whole. */
export function tracksOf(plan: Plan): Promise<TrackPoints[]> {
  return guarded(async () => (await db.tracks.bulkGet(trackIdsOf(plan))).filter((track) => isTrack(track)));
}

function isTrack(track: TrackPoints | undefined): track is TrackPoints {
  if (!(track?.lonDeg instanceof Float64Array && track.latDeg instanceof Float64Array)) return false;
  if (!(track.heightM instanceof Float32Array && track.segmentStarts instanceof Uint32Array)) return false;
  const points = track.lonDeg.length;
  return points >= 2 && track.latDeg.length === points && track.heightM.length === points;
}

/** What is stored of a plan, as it is: for one that cannot be opened. */
export function rawPlan(id: string): Promise<string> {
  return guarded(async () => {
    const row = await db.plans.get(id);
    const main = Array.isArray(row?.doc?.trackIds) ? row.doc.trackIds : [];
    const alternates = Array.isArray(row?.doc?.route?.alternates) ? row.doc.route.alternates : [];
    const ids = [...main, ...alternates.map((alternate) => alternate?.trackId)].filter((id) => typeof id === "string");
    const tracks = (await db.tracks.bulkGet(ids)).filter((track) => isTrack(track));
    return JSON.stringify(writePlanFile(row?.doc as Plan, tracks));
  });
}

/** Stores a whole plan with its tracks. */
export function storePlan(plan: Plan, tracks: readonly TrackPoints[]): Promise<number> {
  return guarded(() =>
    db.transaction("rw", db.plans, db.tracks, db.history, async () => {
      await db.tracks.bulkPut([...tracks]);
      await db.history.where("[planId+undone]").between([plan.id, 0], [plan.id, 1], true, true).delete();
      const revision = await put(plan, (await db.plans.get(plan.id))?.revision);
      return revision;
    }),
  );
}

/**
 * Takes a plan from a file. A plan of the same id on this device is changed by one step that can be
 * undone; a stored track of the same id but other points keeps its place, and the file's gets a new id.
 */
export function importPlan(plan: Plan, tracks: readonly TrackPoints[]): Promise<void> {
  return guarded(async () => {
    const renamed = new Map<string, string>();
    for (const track of tracks) {
      const stored = await db.tracks.get(track.id);
      if (stored && !sameTrack(stored, track)) renamed.set(track.id, `${track.id}-${freshId()}`);
    }
    const idNow = (id: string): string => renamed.get(id) ?? id;
    const alternates = plan.route.alternates.map((alternate) => ({ ...alternate, trackId: idNow(alternate.trackId) }));
    const doc = { ...plan, trackIds: plan.trackIds.map(idNow), route: { ...plan.route, alternates } };
    const kept = tracks.map((track) => ({ ...track, id: idNow(track.id) }));
    const stored = await db.plans.get(plan.id);
    if (stored === undefined) return void (await storePlan(doc, kept));
    await db.tracks.bulkPut(kept);
    await change(plan.id, `Import ${plan.trip.name}`, changesBetween(stored.doc, doc));
  });
}

/** The trail of a plan as it was measured before; undefined when it has not been, or otherwise than today. */
export function profileOf(key: string): Promise<Profile | undefined> {
  return guarded(async () => {
    const row = await db.profiles.get({ key });
    return row?.version === PROFILE_VERSION && isProfile(row.profile) ? row.profile : undefined;
  });
}

function isProfile(profile: Profile | undefined): boolean {
  const nodes = (profile?.cellCount ?? NaN) + 1;
  return [profile?.heightM, profile?.lonDeg, profile?.latDeg].every((array) => array?.length === nodes);
}

/** Keeps a measured trail; the oldest go, for they are only there to save time. */
export function keepProfile(key: string, profile: Profile): Promise<void> {
  return guarded(() =>
    db.transaction("rw", db.profiles, async () => {
      await db.profiles.where({ key }).delete();
      const others = await db.profiles.orderBy("seq").primaryKeys();
      await db.profiles.bulkDelete(others.slice(0, Math.max(0, others.length - MOST_PROFILES + 1)));
      await db.profiles.add({ key, version: PROFILE_VERSION, profile, ballast: BALLAST });
    }),
  );
}

export function storeTracks(tracks: readonly TrackPoints[]): Promise<void> {
  return guarded(async () => void (await db.tracks.bulkPut([...tracks])));
}

export function listPlans(): Promise<{ id: string; name: string; updatedAt: number }[]> {
  return guarded(async () =>
    (await db.plans.toArray()).map(({ id, doc, updatedAt }) => ({ id, name: nameOf(doc), updatedAt })),
  );
}

/** A name to call a stored plan by, whatever became of it. */
export function nameOf(doc: Plan | undefined): string {
  const { name, variantName }: { name?: unknown; variantName?: unknown } = doc?.trip ?? {};
  if (typeof name !== "string" || name === "") return "Unnamed plan";
  return typeof variantName === "string" && variantName !== "" ? `${name}, ${variantName}` : name;
}

export interface Variant {
  id: string;
  doc: Plan;
  updatedAt: number;
}

/** The plan a variant is of; its own where it is none. */
export const tripIdOf = ({ id, trip }: Plan): string => trip.variantOf ?? id;

/** The variants of a trip, itself among them: first the trip, then in the order of their names. */
export function watchVariants(
  tripId: string,
  onChange: (variants: Variant[]) => void,
  onError: (error: unknown) => void,
): Subscription {
  return liveQuery(async () => {
    const rows = await db.plans.toArray();
    return rows
      .filter(({ doc }) => doc?.trip !== undefined && versionOf(doc) === PLAN_VERSION && tripIdOf(doc) === tripId)
      .map(({ id, doc, updatedAt }) => ({ id, doc, updatedAt }))
      .sort((a, b) => Number(b.id === tripId) - Number(a.id === tripId) || nameOf(a.doc).localeCompare(nameOf(b.doc)));
  }).subscribe({ next: onChange, error: onError });
}

/** A document with the steps that lead to it. */
export interface WithSteps {
  doc: Plan;
  steps?: HistoryRow[];
}

/** Stores a document beside the others; the opened one stays open. */
export function storeVariant({ doc, steps = [] }: WithSteps): Promise<void> {
  return guarded(() =>
    db.transaction("rw", db.plans, db.history, async () => {
      await put(doc, (await db.plans.get(doc.id))?.revision);
      await db.history.bulkPut(steps);
    }),
  );
}

/** Takes a variant and its undo steps away; what it was, to be put back. */
export function removeVariant(id: string): Promise<WithSteps | undefined> {
  return guarded(() =>
    db.transaction("rw", db.plans, db.history, async () => {
      const row = await db.plans.get(id);
      const steps = db.history.where("[planId+undone]").between([id, 0], [id, 1], true, true);
      const gone = row && { doc: row.doc, steps: await steps.toArray() };
      await steps.delete();
      await db.plans.delete(id);
      return gone;
    }),
  );
}

/** A tab that names no plan opens this one. */
export const rememberOpened = (id: string): Promise<void> => writeSetting(CURRENT, id);

export function readSetting(key: string): Promise<string | undefined> {
  return guarded(async () => (await db.settings.get(key))?.value);
}

export function writeSetting(key: string, value: string): Promise<void> {
  return guarded(async () => void (await db.settings.put({ key, value, ballast: BALLAST })));
}

/** Asks the browser not to clear the data on its own. */
export async function askToPersist(): Promise<void> {
  if (typeof navigator.storage?.persist === "function" && !(await navigator.storage.persisted()))
    await navigator.storage.persist();
}
