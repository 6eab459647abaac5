/** The trail under the opened plan: its tracks, from storage or from memory where nothing is kept, and who computes on it. */
import { routeKey, trackIdsOf, type Plan, type Profile, type TrackPoints } from "@gepack/core";
import { keepProfile, profileOf, tracksOf } from "../data/plans.ts";
import { startCalculator, type Calculator } from "../worker/calculator.ts";
import { useDocument } from "./documentState.ts";
import { notify } from "./notices.ts";

/** Tracks of a plan that storage does not keep. */
let inMemory: readonly TrackPoints[] | undefined;
let trailKey = "";
let started: Calculator | undefined;

export function calculator(): Calculator {
  started ??= startCalculator({
    onRestart: () => notify("The calculation stopped and was restarted. Your edit is saved."),
    onProfile: (key, profile) => {
      if (!inMemory) void keepProfile(key, profile).catch(() => {});
    },
  });
  return started;
}

/** The tracks of a plan that lives in this page alone; undefined where storage keeps it. */
export const tracksInMemory = (): readonly TrackPoints[] | undefined => inMemory;

export function holdInMemory(tracks: readonly TrackPoints[] | undefined): void {
  inMemory = tracks;
}

/** A plan that brings its tracks. */
export function takeTrail(plan: Plan, tracks: readonly TrackPoints[]): void {
  trailKey = keyOf(plan);
  calculator().setTrail({
    key: trailKey,
    profile: undefined,
    route: plan.route,
    tracks: () => Promise.resolve(tracks),
  });
}

/** The next plan gives its trail again. */
export function forgetTrail(): void {
  trailKey = "";
}

const keyOf = (plan: Plan): string => `${trackIdsOf(plan).join(" ")} ${plan.trip.direction}${routeKey(plan.route)}`;

/** The calculator gets the trail of a plan, if it has another. */
export async function giveTrail(plan: Plan): Promise<void> {
  const key = keyOf(plan);
  if (key === trailKey) return;
  const profile = shownProfile(key) ?? (inMemory ? undefined : await profileOf(key).catch(() => undefined));
  calculator().setTrail({ key, profile, route: plan.route, tracks: () => tracksFor(plan) });
  trailKey = key;
}

/** The trail on the screen, when it is the one asked for. */
function shownProfile(key: string): Profile | undefined {
  const { plan, result } = useDocument.getState();
  return plan && keyOf(plan) === key ? result?.profile : undefined;
}

async function tracksFor(plan: Plan): Promise<readonly TrackPoints[]> {
  const tracks = await keptTracks(plan);
  if (!tracks.some(({ id }) => plan.trackIds.includes(id)))
    throw new Error("The plan’s track is missing from this device. Import the plan file again.");
  return tracks;
}

/** All tracks of a plan as they are kept. */
export async function keptTracks(plan: Plan): Promise<readonly TrackPoints[]> {
  return inMemory ?? (await tracksOf(plan));
}

/** The tracks of the main trail of the opened plan. */
export async function mainTracks(): Promise<TrackPoints[]> {
  const { plan } = useDocument.getState();
  if (!plan) return [];
  const tracks = await allTracks();
  return plan.trackIds.flatMap((id) => tracks.find((track) => track.id === id) ?? []);
}

/** Those of its alternates as well. */
export async function allTracks(): Promise<readonly TrackPoints[]> {
  const { plan } = useDocument.getState();
  return plan ? tracksFor(plan) : [];
}
