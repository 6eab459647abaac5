/** The ground of a plan, as the session lays it, for tests that look inside the pipeline. */
import { startState } from "../src/load/trip.ts";
import { buildKit, type KitPlan } from "../src/kit/kit.ts";
import type { TripState } from "../src/load/settle.ts";
import type { Plan, TrackPoints } from "../src/index.ts";
import { buildSeason } from "../src/season/season.ts";
import { DaylightTable } from "../src/season/sun.ts";
import { mendTracks } from "../src/track/mend.ts";
import { nodeAt, walkedAt } from "../src/track/place.ts";
import { buildProfile } from "../src/track/profile.ts";
import { dayNumber } from "../src/units/day.ts";
import { baseHours } from "../src/walk/baseHours.ts";
import { buildCamps, type PlacedSource } from "../src/walk/camps.ts";
import { buildGround, type WalkGround } from "../src/walk/ground.ts";
import { buildHalts } from "../src/walk/halts.ts";
import { buildTerrain } from "../src/walk/terrain.ts";
import { walkBlock, type DayPart } from "../src/walk/walk.ts";

export interface Laid {
  ground: WalkGround;
  kit: KitPlan;
  sources: PlacedSource[];
  start: TripState;
}

export function layGround(plan: Plan, tracks: TrackPoints[]): Laid {
  const profile = buildProfile(mendTracks(tracks), plan.trip.direction === "reverse");
  const halts = buildHalts(plan, profile);
  const startDay = dayNumber(plan.trip.startDate)!;
  const sources = plan.sources
    .map((source) => ({ source, node: nodeAt(profile, source.trackM) }))
    .sort((a, b) => a.node - b.node);
  const ground = buildGround({
    plan,
    profile,
    terrain: buildTerrain(profile, plan.stretches),
    halts,
    startDay,
    season: buildSeason(plan.climate.stations, (trackM) => walkedAt(profile, trackM)),
    sun: new DaylightTable(),
    camps: buildCamps(plan, profile, sources),
    baseH: plan.hikers.map((hiker) => baseHours(hiker, profile)),
  });
  return { ground, kit: buildKit(plan, profile, halts), sources, start: startState(plan.hikers, startDay) };
}

/** The whole trail walked at one load everywhere, as if it were one block; arrays are the ground's own. */
export function walkAll(ground: WalkGround, loadKg: number, frozen?: readonly DayPart[]) {
  const load = new Float64Array(ground.profile.cellCount).fill(loadKg);
  const before = { day: ground.startDay, walkedDays: 0, fromStop: false };
  return walkBlock(
    ground,
    { firstLeg: 0, endLeg: ground.halts.length - 1 },
    before,
    ground.hikers.map(() => load),
    frozen,
  );
}
