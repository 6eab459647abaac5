/** What the screens share: the opened plan, its result, the selection. Edits go to the data layer. */
import {
  EXPLAINED,
  planSchema,
  readPlanFile,
  START_ID,
  FINISH_ID,
  writePlanFile,
  type Explained,
  type Plan,
  type PlanFile,
  type PlanResult,
  type TrackPoints,
} from "@gepack/core";
import type { Draft } from "immer";
import { create } from "zustand";
import {
  askToPersist,
  change,
  importPlan,
  readSetting,
  step,
  StorageProblem,
  storePlan,
  storeTracks,
  tracksOf,
  watchPlan,
  writeSetting,
} from "../data/plans.ts";
import { startCore, type CoreClient } from "../worker/client.ts";

export type Theme = "light" | "dark" | "system";

export interface AppState {
  status: "opening" | "ready" | "failed";
  failure: string | undefined;
  plan: Plan | undefined;
  result: PlanResult | undefined;
  /** The result before the last edit, and what that edit was: shown beside the new one. */
  before: PlanResult | undefined;
  lastLabel: string | undefined;
  computing: boolean;
  undoLabel: string | undefined;
  redoLabel: string | undefined;
  legIndex: number;
  hikerIndex: number;
  why: Explained;
  theme: Theme;
  welcomed: boolean;
  /** A sentence from outside the hiker's own action: a worker restarted, storage refused. */
  notice: string | undefined;
}

export const useApp = create<AppState>(() => ({
  status: "opening",
  failure: undefined,
  plan: undefined,
  result: undefined,
  before: undefined,
  lastLabel: undefined,
  computing: false,
  undoLabel: undefined,
  redoLabel: undefined,
  legIndex: 0,
  hikerIndex: 0,
  why: "start",
  theme: "system",
  welcomed: true,
  notice: undefined,
}));

const set = useApp.setState;
const get = useApp.getState;
let core: CoreClient | undefined;
let tracksKey = "";
let memoryOnly: { plan: Plan; tracks: TrackPoints[] } | undefined;

function coreClient(): CoreClient {
  core ??= startCore(() => set({ notice: "The calculation stopped and was started again. Your edit is kept." }));
  return core;
}

let begun = false;

/** Called by every island; the first call opens the stored plan, or the demo on the first visit. */
export function begin(): void {
  if (begun) return;
  begun = true;
  readLocation();
  window.addEventListener("popstate", readLocation);
  void open();
}

async function open(): Promise<void> {
  try {
    set({
      theme: ((await readSetting("theme")) as Theme | undefined) ?? "system",
      welcomed: (await readSetting("welcomed")) === "yes",
    });
    watchPlan(
      (opened) => {
        if (opened) void show(opened.doc, opened.undoLabel, opened.redoLabel);
        else void openDemo().catch(fail);
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
  if (get().plan) return;
  try {
    memoryOnly = await fetchDemo();
    set({
      notice:
        error instanceof StorageProblem
          ? error.message
          : "The browser refuses to store data; export the plan before you close the page.",
    });
    coreClient().setTracks(memoryOnly.tracks);
    await show(memoryOnly.plan, undefined, undefined);
  } catch (failure) {
    fail(failure);
  }
}

function fail(error: unknown): void {
  set({ status: "failed", failure: error instanceof Error ? error.message : String(error) });
}

async function show(plan: Plan, undoLabel: string | undefined, redoLabel: string | undefined): Promise<void> {
  const client = coreClient();
  const edited = get().plan !== undefined && get().plan?.id === plan.id;
  set({ undoLabel, redoLabel });
  const key = plan.trackIds.join(" ");
  const changedTrack = key !== tracksKey;
  if (changedTrack && !memoryOnly) {
    const tracks = await tracksOf(plan);
    if (tracks.length === 0)
      return fail(new Error("The plan's track is missing from this device's storage. Import the plan file again."));
    client.setTracks(tracks);
    tracksKey = key;
  }
  if (edited && get().result && JSON.stringify(get().plan) === JSON.stringify(plan)) return;
  set({ computing: true });
  const before = get().result;
  try {
    const result = await client.compute(plan);
    if (!result) return;
    // Plan and result change together: no screen ever sees one without the other.
    set({
      plan,
      result,
      computing: false,
      status: "ready",
      before: edited ? before : undefined,
      lastLabel: edited ? (undoLabel ?? get().lastLabel) : undefined,
      legIndex: Math.min(get().legIndex, result.legs.length - 1),
      hikerIndex: Math.min(get().hikerIndex, plan.hikers.length - 1),
    });
  } catch (error) {
    set({ computing: false });
    fail(error);
  }
}

/** One undoable edit. Resolves when it is stored. */
export async function edit(label: string, recipe: (draft: Draft<Plan>) => void): Promise<void> {
  const plan = get().plan;
  if (!plan) return;
  try {
    if (memoryOnly) {
      const { produce } = await import("immer");
      memoryOnly = { ...memoryOnly, plan: produce(plan, recipe) };
      await show(memoryOnly.plan, undefined, undefined);
      return;
    }
    set({ lastLabel: label });
    await change(plan.id, label, recipe);
  } catch (error) {
    report(error);
  }
}

export async function undoRedo(direction: "undo" | "redo"): Promise<void> {
  const plan = get().plan;
  if (!plan || memoryOnly) return;
  try {
    const label = await step(plan.id, direction);
    if (label !== undefined) set({ lastLabel: `${direction === "undo" ? "Undid" : "Redid"}: ${label}` });
  } catch (error) {
    report(error);
  }
}

function report(error: unknown): void {
  set({ notice: error instanceof Error ? error.message : String(error) });
}

async function fetchDemo(): Promise<PlanFile> {
  const [planResponse, gpxResponse] = await Promise.all([
    fetch("/demo/corvane.gepack.json"),
    fetch("/demo/corvane.gpx"),
  ]);
  if (!planResponse.ok || !gpxResponse.ok) throw new Error("The demo's files could not be read. Reload the page.");
  const gpx = await coreClient().readTrack(await gpxResponse.blob(), "corvane.gpx", "corvane", () => {});
  const { value, problems } = readPlanFile(
    await planResponse.json().then((data: object) => ({ ...data, trackIds: [] })),
  );
  if (gpx === "cancelled" || !gpx.value || !value)
    throw new Error(`The demo does not read: ${problems[0]?.sentence ?? "its track"}`);
  return { plan: { ...value.plan, trackIds: ["corvane"] }, tracks: [gpx.value.file.track] };
}

/** Opens the demo as it was shipped; a changed demo is replaced. */
export async function openDemo(): Promise<void> {
  const demo = await fetchDemo();
  await takePlan(demo);
}

/** Stores and opens a plan that came from outside. */
export async function takePlan({ plan, tracks }: PlanFile): Promise<void> {
  tracksKey = "";
  if (get().plan) set({ result: undefined, before: undefined, lastLabel: undefined, legIndex: 0 });
  await storePlan(plan, tracks);
}

/** Takes a plan from a file: a step of its own when the plan is here already, a new trip otherwise. */
export async function takeImport({ plan, tracks }: PlanFile): Promise<void> {
  if (memoryOnly) {
    memoryOnly = { plan, tracks };
    coreClient().setTracks(tracks);
    return show(plan, undefined, undefined);
  }
  await importPlan(plan, tracks);
}

/** A new trip on a track: one hiker, no stops yet, everything else at its defaults. */
export async function startTrip(
  track: TrackPoints,
  places: Pick<Plan, "stops" | "sources">,
  startDate: string,
): Promise<void> {
  const units = get().plan?.trip.units;
  const plan = planSchema.parse({
    format: "gepack-plan",
    version: 1,
    id: `trip-${crypto.randomUUID()}`,
    trip: { name: track.name || "My trip", startDate, units },
    trackIds: [track.id],
    hikers: [{ id: "me", name: "Me", ageY: 35, sex: "female", heightCm: 170, bodyKg: 68 }],
    ...places,
    kit: STARTER_KIT,
  });
  await takePlan({ plan, tracks: [track] });
}

const wholeWay = [{ fromStopId: START_ID, toStopId: FINISH_ID }];
/** A few pieces with honest masses, so that the first figures of an own trip mean something. */
const STARTER_KIT = [
  { id: "k1", name: "Backpack", group: "Pack", massG: 1000, role: "pack" },
  { id: "k2", name: "Tent", group: "Shelter", massG: 1100, role: "shelter", volumeL: 4 },
  {
    id: "k3",
    name: "Sleeping bag, comfort 0 °C",
    group: "Sleep",
    massG: 850,
    role: "bag",
    comfortC: 0,
    limitC: -6,
    volumeL: 7,
  },
  { id: "k4", name: "Pad, R 3.5", group: "Sleep", massG: 420, role: "pad", padR: 3.5, volumeL: 1.5 },
  { id: "k5", name: "Clothes carried", group: "Clothes", massG: 1100, volumeL: 6 },
  { id: "k6", name: "Clothes and shoes worn", group: "Clothes", massG: 1500, wear: "worn", role: "shoes" },
  { id: "k7", name: "Bottles, 1 L", group: "Water", massG: 40, quantity: 3, role: "bottle", capacityL: 1 },
  { id: "k8", name: "Stove and pot", group: "Kitchen", massG: 230, role: "stove", volumeL: 1 },
  { id: "k9", name: "Repair, care and electronics", group: "Small things", massG: 900, volumeL: 2 },
].map((piece) => ({ ...piece, ownerId: "me", carrierId: "me", spans: wholeWay }));

/** Takes another track for the opened plan, as one undoable edit. */
export async function replaceTrack(track: TrackPoints, relocate: (draft: Draft<Plan>) => void): Promise<void> {
  try {
    await storeTracks([track]);
    await edit(`Use the track ${track.name}`, (draft) => {
      draft.trackIds = [track.id];
      relocate(draft);
    });
  } catch (error) {
    report(error);
  }
}

/** The whole plan as one file's text. */
export async function exportText(): Promise<string | undefined> {
  const plan = get().plan;
  if (!plan) return undefined;
  const tracks = memoryOnly ? memoryOnly.tracks : await tracksOf(plan);
  return JSON.stringify(writePlanFile(plan, tracks));
}

export const compareSchoolsOf: CoreClient["compareSchools"] = (...args) => coreClient().compareSchools(...args);
export const stopComparing = (): void => coreClient().stopComparing();
export const readTrackFile: CoreClient["readTrack"] = (...args) => coreClient().readTrack(...args);
export const locateOn: CoreClient["locateOn"] = (track, places) => coreClient().locateOn(track, places);
export const cancelReading = (): void => coreClient().cancelReading();
export const readPlanBlob: CoreClient["readPlan"] = (file) => coreClient().readPlan(file);

export function welcome(): void {
  set({ welcomed: true });
  void writeSetting("welcomed", "yes").catch(() => {});
}

export function chooseTheme(theme: Theme): void {
  set({ theme });
  void writeSetting("theme", theme).catch(() => {});
}

export function dismissNotice(): void {
  set({ notice: undefined });
}

/** Selection lives in the URL as well: leg from 1, the hiker's id, the figure asked why. */
export function select(next: Partial<Pick<AppState, "legIndex" | "hikerIndex" | "why">>): void {
  set(next);
  const { legIndex, hikerIndex, why } = get();
  const url = new URL(window.location.href);
  url.searchParams.set("leg", String(legIndex + 1));
  url.searchParams.set("hiker", String(hikerIndex + 1));
  url.searchParams.set("why", why);
  window.history.replaceState(window.history.state, "", url);
}

function readLocation(): void {
  const query = new URLSearchParams(window.location.search);
  const whole = (name: string): number => Math.max(0, Math.floor(Number(query.get(name) ?? 1) || 1) - 1);
  const why = query.get("why");
  // Before there is a result nothing can be told; `show` keeps both within the plan.
  const { result, plan } = get();
  set({
    legIndex: Math.min(whole("leg"), (result?.legs.length ?? Infinity) - 1),
    hikerIndex: Math.min(whole("hiker"), (plan?.hikers.length ?? Infinity) - 1),
    why: EXPLAINED.find((figure) => figure === why) ?? "start",
  });
}
