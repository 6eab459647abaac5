/**
 * Keeps the inputs and outputs of the stages that an edit may leave alone, so that a piece of kit is
 * changed without reading the track again. The answer is always that of a fresh computation: the
 * feedback starts from the same guess every time, so a plan has one result, whatever was edited before.
 */
import { findChecks } from "./checks/checks.ts";
import { buildKit, type KitPlan } from "./kit/kit.ts";
import { BlockMemory, solveTrip } from "./load/trip.ts";
import type { Plan } from "./plan/schema.ts";
import { assemble, type BlockResults } from "./result/assemble.ts";
import type { PlanResult } from "./result/result.ts";
import { DaylightTable } from "./season/sun.ts";
import { buildSeason, type Season } from "./season/season.ts";
import { mendTracks } from "./track/mend.ts";
import { nodeAt, walkedAt } from "./track/place.ts";
import type { TrackPoints } from "./track/points.ts";
import { buildProfile, type Profile } from "./track/profile.ts";
import { dayNumber } from "./units/day.ts";
import { baseHours } from "./walk/baseHours.ts";
import { buildCamps, type CampGround, type PlacedSource } from "./walk/camps.ts";
import { coarseGround, type CoarseGround } from "./walk/coarse.ts";
import { buildGround, type WalkGround } from "./walk/ground.ts";
import { buildHalts, type Halt } from "./walk/halts.ts";
import { buildTerrain, type Terrain } from "./walk/terrain.ts";

/** One remembered answer, kept while its key stays the same. */
class Kept<T> {
  private key: string | undefined;
  private value: T | undefined;

  get(key: string, make: () => T): T {
    if (this.key !== key || this.value === undefined) {
      this.value = make();
      this.key = key;
    }
    return this.value;
  }
}

/** Short names for parts of a document: a part with the same content has the same name as last time. */
class PartNames {
  private readonly last = new Map<string, { json: string; serial: number }>();

  key(name: string, part: unknown): string {
    const json = JSON.stringify(part);
    const before = this.last.get(name);
    if (before?.json === json) return `${name}${before.serial}`;
    const serial = (before?.serial ?? 0) + 1;
    this.last.set(name, { json, serial });
    return `${name}${serial}`;
  }
}

export class Session {
  private tracks: readonly TrackPoints[] = [];
  private trackVersion = 0;
  private readonly parts = new PartNames();
  private readonly profile = new Kept<Profile>();
  private readonly terrain = new Kept<Terrain>();
  private readonly season = new Kept<Season>();
  private readonly halts = new Kept<Halt[]>();
  private readonly sources = new Kept<PlacedSource[]>();
  private readonly camps = new Kept<CampGround>();
  private readonly pace: Kept<Float64Array>[] = [];
  private readonly ground = new Kept<{ fine: WalkGround; coarse: CoarseGround; serial: string }>();
  private readonly blocks = new BlockMemory();
  private readonly told: BlockResults = new WeakMap();
  private grounds = 0;
  private readonly sun = new DaylightTable();
  private readonly kit = new Kept<KitPlan>();

  setTracks(tracks: readonly TrackPoints[]): void {
    this.tracks = tracks;
    this.trackVersion++;
  }

  /** Throws only when no tracks were set: without a trail there is no plan. */
  compute(plan: Plan): PlanResult {
    if (this.tracks.length === 0)
      throw new Error("Session.compute: no track. Call setTracks with at least one track first.");
    const names = new Map<keyof Plan, string>();
    const key = (part: keyof Plan): string => {
      const name = names.get(part) ?? this.parts.key(String(part), plan[part]);
      names.set(part, name);
      return name;
    };
    const trackKey = `${this.trackVersion} ${plan.trip.direction}`;
    const profile = this.profile.get(trackKey, () =>
      buildProfile(mendTracks(this.tracks), plan.trip.direction === "reverse"),
    );
    const terrainKey = `${trackKey} ${key("stretches")}`;
    const terrain = this.terrain.get(terrainKey, () => buildTerrain(profile, plan.stretches));
    const seasonKey = `${trackKey} ${key("climate")}`;
    const season = this.season.get(seasonKey, () =>
      buildSeason(plan.climate.stations, (trackM) => walkedAt(profile, trackM)),
    );
    const stopsKey = `${trackKey} ${key("stops")}`;
    const halts = this.halts.get(stopsKey, () => buildHalts(plan, profile));
    const sourcesKey = `${trackKey} ${key("sources")}`;
    const sources = this.sources.get(sourcesKey, () => placeSources(plan, profile));
    const startDay = dayNumber(plan.trip.startDate) ?? 0;
    const campsKey = `${stopsKey} ${terrainKey} ${sourcesKey} ${key("camps")} ${key("days")} ${key("hikers")}`;
    const camps = this.camps.get(campsKey, () => buildCamps(plan, profile, sources));
    const baseH = plan.hikers.map((hiker, h) => {
      this.pace[h] ??= new Kept();
      const { pace, schools, sex } = hiker;
      const paceKey = `${trackKey} ${schools.time} ${pace.speedFactor} ${pace.ownFlatKmh} ${pace.ownClimbMPerH} ${sex}`;
      return this.pace[h].get(paceKey, () => baseHours(hiker, profile));
    });
    const ground = this.ground.get(`${campsKey} ${startDay} ${seasonKey}`, () => {
      const fine = buildGround({ plan, profile, terrain, halts, startDay, season, sun: this.sun, camps, baseH });
      return { fine, coarse: coarseGround(fine), serial: String(++this.grounds) };
    });
    const kit = this.kit.get(`${stopsKey} ${key("hikers")} ${key("kit")}`, () => buildKit(plan, profile, halts));

    const trip = solveTrip(ground.fine, ground.coarse, kit, sources, this.blocks, ground.serial);
    const result = assemble(plan, profile, season, halts, kit, trip, this.told);
    return { ...result, checks: findChecks(plan, result, sources, season.assumed) };
  }
}

function placeSources(plan: Plan, profile: Profile): PlacedSource[] {
  return plan.sources
    .map((source) => ({ source, node: nodeAt(profile, source.trackM) }))
    .sort((a, b) => a.node - b.node);
}

/** The door: one plan and its tracks in, one result out. Pure and deterministic. */
export function computePlan(plan: Plan, tracks: readonly TrackPoints[]): PlanResult {
  const session = new Session();
  session.setTracks(tracks);
  return session.compute(plan);
}
