/** The stages of the pipeline in their order, each with its memory. */
import { findChecks } from "../checks/index.ts";
import { fordPassages } from "../conditions/fords.ts";
import { buildKit } from "../kit/kit.ts";
import { menuPlan } from "../food/menu.ts";
import { buildPast, haltsAsWalked } from "../walk/past.ts";
import { resolveHiker } from "../models/hiker.ts";
import { devicesCarried, powerOf } from "../power/power.ts";
import { waterByMenu, type HikerNeeds } from "../provision/needs.ts";
import { assemble } from "../result/assemble.ts";
import { blockFigures } from "../result/block.ts";
import { buildSeason, seasonWith } from "../season/season.ts";
import { buildSnow, snowDays } from "../season/snow.ts";
import { sampleGround, sampleSources, sampling } from "../solve/sampled.ts";
import { solveBlock } from "../solve/trip.ts";
import { layRoute, type LaidTrack, type Lines, type RouteFacts } from "../track/lay.ts";
import { repairTracks, type RepairedTrack } from "../track/repair.ts";
import type { TrackPoints } from "../track/points.ts";
import { buildProfile, type Profile } from "../track/profile.ts";
import { baseHours } from "../walk/baseHours.ts";
import { buildCamps } from "../walk/camps.ts";
import { placeSources } from "../walk/sources.ts";
import { buildGround, effortSlopes, gradePercents, slowPerKg } from "../walk/ground.ts";
import { buildHalts } from "../walk/halts.ts";
import { placePins } from "../walk/pins.ts";
import { buildTerrain } from "../walk/terrain.ts";
import { Workspace } from "../walk/workspace.ts";
import { sleepKits } from "../warmth/sleep.ts";
import { memo, memoEach, memoEqual } from "./memo.ts";

export function rememberedStages() {
  const workspaceOf = ({ cellCount, hikerCount }: { cellCount: number; hikerCount: number }): Workspace =>
    new Workspace(cellCount, hikerCount);
  return {
    lines: memo(linesOf),
    laid: memo(laidOf),
    profile: memo(profileOf),
    terrain: memo(buildTerrain),
    season: memo(buildSeason),
    seasonWith: memo(seasonWith),
    snow: memo(buildSnow),
    usualSnow: memo(buildSnow),
    snowDays: memo(snowDays),
    fords: memo(fordPassages),
    halts: memoEqual(buildHalts),
    sources: memoEqual(placeSources),
    camps: memo(buildCamps),
    pins: memoEqual(placePins),
    past: memoEqual(buildPast),
    haltsAsWalked: memoEqual(haltsAsWalked),
    schools: memoEach(resolveHiker),
    baseH: memoEach(baseHours),
    slopes: memoEach(effortSlopes),
    slowPerKg: memo(slowPerKg),
    gradePercent: memo(gradePercents),
    workspace: memo(workspaceOf),
    ground: memo(buildGround),
    sampling: memo(sampling),
    sampledWorkspace: memo(workspaceOf),
    sampled: memo(sampleGround),
    sampledSources: memo(sampleSources),
    menus: memoEach(menuPlan),
    water: memoEach(waterByMenu),
    needs: memoEach((needs: HikerNeeds) => needs),
    kit: memoEqual(buildKit),
    sleep: memoEqual(sleepKits),
    block: memoEach(solveBlock),
    blockFigures: memoEach(blockFigures),
    devicesCarried: memo(devicesCarried),
    power: memo(powerOf),
    assemble: memo(assemble),
    checks: memo(findChecks),
  };
}

interface LinesInput {
  tracks: readonly TrackPoints[];
  trackIds: readonly string[];
  alternates: readonly Pick<RouteFacts["alternates"][number], "id" | "trackId">[];
}

/** The main trail is what the plan names; all that no alternate is, where it names nothing that is there. */
function linesOf({ tracks, trackIds, alternates }: LinesInput): Lines {
  const named = trackIds.flatMap((id) => tracks.find((track) => track.id === id) ?? []);
  const main = named.length > 0 ? named : tracks.filter(({ id }) => !alternates.some(({ trackId }) => trackId === id));
  const lines = alternates.flatMap(({ id, trackId }): [string, RepairedTrack][] => {
    const track = tracks.find((candidate) => candidate.id === trackId);
    return track ? [[id, repairTracks([track])]] : [];
  });
  return { main: repairTracks(main.length > 0 ? main : tracks), alternates: new Map(lines) };
}

function laidOf({ lines, route }: { lines: Lines; route: RouteFacts }): LaidTrack {
  return layRoute(route, lines);
}

function profileOf({ laid, reversed }: { laid: LaidTrack; reversed: boolean }): Profile {
  return buildProfile(laid, reversed);
}
