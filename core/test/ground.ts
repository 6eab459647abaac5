/** The ground of a plan, as the session lays it, for tests that look inside the pipeline. */
import { buildKit, kitFacts, type KitPlan } from "../src/kit/kit.ts";
import type { Plan, TrackPoints } from "../src/index.ts";
import { choiceOf, resolveHiker } from "../src/models/hiker.ts";
import { needsOf, type HikerNeeds } from "../src/provision/needs.ts";
import { DiurnalTable } from "../src/season/diurnal.ts";
import { buildSeason, seasonWith } from "../src/season/season.ts";
import { buildSnow, snowDays } from "../src/season/snow.ts";
import { DaylightTable } from "../src/season/sun.ts";
import { sampleGround, sampleSources, sampling } from "../src/solve/sampled.ts";
import type { TripState } from "../src/solve/settle.ts";
import { solveBlock, solveTrip, startState, type TripInput } from "../src/solve/trip.ts";
import { repairTracks } from "../src/track/repair.ts";
import { buildProfile } from "../src/track/profile.ts";
import { dayNumber } from "../src/units/day.ts";
import { baseHours, baseHoursInput, levelHoursPerM } from "../src/walk/baseHours.ts";
import { buildCamps } from "../src/walk/camps.ts";
import { placeSources, type PlacedSource } from "../src/walk/sources.ts";
import { buildGround, effortSlopes, gradePercents, slowPerKg, type Ground } from "../src/walk/ground.ts";
import { buildHalts } from "../src/walk/halts.ts";
import { buildPast, haltsAsWalked, logFacts } from "../src/walk/past.ts";
import { pinFacts, placePins } from "../src/walk/pins.ts";
import { buildTerrain } from "../src/walk/terrain.ts";
import type { DetourSources } from "../src/walk/detours.ts";
import { walkBlock, type DayPart } from "../src/walk/walk.ts";
import { Workspace } from "../src/walk/workspace.ts";

/** A party that cooks on gas, and food as dense everywhere. */
export const ORDINARY = { fuels: ["gas-canister"], densities: { smallShop: 1, fullShop: 1, posted: 1 } } as const;

export interface Laid {
  ground: Ground;
  kit: KitPlan;
  sources: PlacedSource[];
  needs: HikerNeeds[];
  start: TripState;
}

export function layGround(plan: Plan, tracks: TrackPoints[]): Laid {
  const profile = buildProfile(repairTracks(tracks), plan.trip.direction === "reverse");
  const { stops, stretches, hikers, dayRules } = plan;
  const planned = buildHalts({ stops, profile, ...ORDINARY });
  const startDay = dayNumber(plan.trip.startDate)!;
  const past = buildPast({ log: plan.log.map(logFacts), profile, halts: planned, startDay });
  const halts = haltsAsWalked({ halts: planned, past });
  const sources = placeSources({ sources: plan.sources, stretches, profile, wetness: plan.climate.wetness, past });
  const schools = hikers.map((hiker) => resolveHiker(choiceOf(hiker)));
  const { stations, warmth, wetness, snowBy, snowYear, forecasts, readings } = plan.climate;
  const normals = buildSeason({ stations, profile, warmth, wetness });
  const season = seasonWith({ season: normals, forecasts, readings });
  const depths = snowBy === "degree-day" ? buildSnow({ season: normals, profile, year: snowYear }) : undefined;
  const snow = depths && snowDays({ profile, snow: depths });
  const ground = buildGround({
    profile,
    terrain: buildTerrain({ profile, stretches, snow, depths }),
    halts,
    startDay,
    rules: dayRules,
    season,
    camps: buildCamps({
      stretches,
      camps: plan.camps,
      stops,
      sleepAt: dayRules.sleepAt,
      waters: hikers.map((hiker) => hiker.water),
      profile,
      sources,
    }),
    pins: placePins({ pins: plan.pins.map(pinFacts), profile }),
    past,
    slowPerKg: slowPerKg({ profile, loadSlowness: dayRules.loadSlowness }),
    paces: hikers.map((hiker) => hiker.pace),
    baseH: hikers.map((hiker, h) => baseHours(baseHoursInput(hiker, schools[h]!.time, profile))),
    levelHPerM: hikers.map((hiker, h) => levelHoursPerM(baseHoursInput(hiker, schools[h]!.time, profile))),
    slopes: schools.map(({ effort }) => effortSlopes({ profile, effort })),
    gradePercent: gradePercents({ profile }),
    sun: new DaylightTable(),
    diurnal: new DiurnalTable(),
    workspace: new Workspace(profile.cellCount, hikers.length),
  });
  const hikerIds = hikers.map((hiker) => hiker.id);
  const needs = hikers.map((hiker, h) => needsOf(hiker, schools[h]!, undefined, undefined, undefined, hikers));
  return {
    ground,
    kit: buildKit({ pieces: kitFacts(plan), hikerIds, stops, profile, halts }),
    sources,
    needs,
    start: startState(needs, startDay),
  };
}

/** What a trip is solved from on laid ground. */
export function tripInput({ ground, kit, sources, needs }: Laid, solve: TripInput["solve"] = solveBlock): TripInput {
  const sample = sampling({ cellCount: ground.profile.cellCount });
  const workspace = new Workspace(sample.count, needs.length);
  const sampledSources = sampleSources({ sources, sampling: sample });
  return {
    ground,
    sampled: sampleGround({ ground, sampling: sample, sources: sampledSources, workspace }),
    sampling: sample,
    sources,
    sampledSources,
    needs,
    kitLegs: kit.legs,
    solve,
  };
}

export { solveTrip };

/** The whole trail walked at one load everywhere, as if it were one block; arrays are the ground's own. */
export function walkAll(ground: Ground, loadKg: number, detours?: DetourSources, frozen?: readonly DayPart[]) {
  const load = new Float64Array(ground.profile.cellCount).fill(loadKg);
  const before = { day: ground.startDay, walkedDays: 0, fromStop: false, nightsUp: 0 };
  return walkBlock(
    ground,
    { firstLeg: 0, endLeg: ground.halts.length - 1 },
    before,
    ground.paces.map(() => load),
    detours,
    frozen,
  );
}
