/**
 * The pipeline, remembered stage by stage, so that a piece of kit is changed without reading the track
 * again. The answer is always that of a fresh computation: the feedback starts from the same guess every
 * time, so a plan has one result, whatever was edited before.
 */
import { type Check } from "../checks/index.ts";
import { fordFacts, type FordPassage } from "../conditions/fords.ts";
import { kitFacts, type KitPlan, type PieceFacts } from "../kit/kit.ts";
import { logFacts } from "../walk/past.ts";
import { choiceOf, type HikerSchools } from "../models/hiker.ts";
import type { Plan } from "../plan/schema.ts";
import { bodyOf, needsOf } from "../provision/needs.ts";
import { withStoves } from "../provision/stoves.ts";
import { assembleCells } from "../result/assemble.ts";
import type { PlanFigures } from "../result/result.ts";
import { DiurnalTable } from "../season/diurnal.ts";
import { stationFacts, type Season } from "../season/season.ts";
import { DaylightTable } from "../season/sun.ts";
import { solveTrip, type TripInput } from "../solve/trip.ts";
import { routeFacts, routeKey } from "../track/lay.ts";
import { isWalked, type Placed } from "../track/place.ts";
import type { TrackPoints } from "../track/points.ts";
import { type Profile } from "../track/profile.ts";
import { dayNumber } from "../units/day.ts";
import { baseHoursInput, levelHoursPerM } from "../walk/baseHours.ts";
import { densitiesOf, haltStop, type Halt, type HaltStop } from "../walk/halts.ts";
import { pinFacts, type PlacedPin } from "../walk/pins.ts";
import { passedTaps } from "../walk/sources.ts";
import { type Terrain } from "../walk/terrain.ts";
import { keepEqual } from "./memo.ts";
import { rememberedStages } from "./stages.ts";

/** What `computePlan` answers. */
export interface PlanResult extends PlanFigures {
  fords: readonly FordPassage[];
  checks: Check[];
}

/** A plan before anybody has walked it: what its days and packs are worked out from. */
export interface Laid extends Pick<
  TripInput,
  "ground" | "sampled" | "sampling" | "sources" | "sampledSources" | "needs"
> {
  /** Its parts are the objects of before where their content is. */
  plan: Plan;
  profile: Profile;
  normals: Season;
  season: Season;
  terrain: Terrain;
  halts: Halt[];
  pins: PlacedPin[];
  schools: HikerSchools[];
  pieces: PieceFacts[];
  stops: HaltStop[];
  kit: KitPlan;
}

const NO_FORDS: readonly FordPassage[] = [];

export class Session {
  private tracks: readonly TrackPoints[] = [];
  private known: { profile: Profile; routeKey: string } | undefined;
  private plan: Plan | undefined;
  private picked: Record<string, unknown> = {};
  private stage = rememberedStages();
  private readonly sun = new DaylightTable();
  private readonly diurnal = new DiurnalTable();

  /** `onRound` is given again and again while a plan is being computed. */
  constructor(private readonly onRound?: () => void) {}

  setTracks(tracks: readonly TrackPoints[]): void {
    this.tracks = tracks;
    this.known = undefined;
  }

  /** The profile of a plan's route, where somebody has worked it out before: repair and measuring are spared. */
  setProfile(profile: Profile, route?: Plan["route"]): void {
    this.known = { profile, routeKey: route ? routeKey(route) : "" };
  }

  /** Is there a trail to compute this plan's route on? */
  hasTrail(plan: Pick<Plan, "trip" | "route">): boolean {
    return this.tracks.length > 0 || this.knownFor(plan) !== undefined;
  }

  private knownFor({ trip, route }: Pick<Plan, "trip" | "route">): Profile | undefined {
    const { known } = this;
    const fits = known?.profile.reversed === (trip.direction === "reverse") && known.routeKey === routeKey(route);
    return fits ? known.profile : undefined;
  }

  /** Throws only when no trail was set, or one longer than is computed: without one there is no plan. */
  compute(given: Plan): PlanResult {
    const { figures, checks } = this.assembled(this.lay(given));
    return { ...figures, checks: checks() };
  }

  /** The same without its checks, a third sooner: for comparisons that ask for none. */
  figures(given: Plan): Omit<PlanResult, "checks"> {
    return this.assembled(this.lay(given)).figures;
  }

  /** A plan's ground, kit and needs: all that its days and packs are worked out from. */
  lay(given: Plan): Laid {
    this.plan = this.plan ? keepEqual(this.plan, given) : given;
    const plan = this.part("plan with stoves", withStoves(this.plan));
    const { stage } = this;
    const { trip, hikers, dayRules: rules } = plan;
    const profile = this.profileFor(plan);
    const walked = <T extends Placed>(places: readonly T[]): T[] => places.filter((place) => isWalked(profile, place));
    const allStops = this.part("stops", plan.stops.map(haltStop));
    const stops = this.part("walked stops", walked(allStops));
    const stretches = plan.stretches;
    const { climate } = plan;
    const normals = stage.season({
      profile,
      stations: this.part("stations", climate.stations.map(stationFacts)),
      warmth: climate.warmth,
      wetness: climate.wetness,
    });
    const season = stage.seasonWith({
      season: normals,
      forecasts: climate.forecasts,
      readings: climate.readings,
    });
    const depths =
      climate.snowBy === "degree-day" ? stage.snow({ season: normals, profile, year: climate.snowYear }) : undefined;
    const snow = depths && stage.snowDays({ profile, snow: depths });
    const terrain = stage.terrain({ profile, stretches, snow, depths });
    const planned = stage.halts({
      stops,
      profile,
      fuels: this.part(
        "fuels",
        hikers.map(({ stove }) => stove.fuel),
      ),
      densities: this.part("densities", densitiesOf(plan.resupply)),
      walkOnBeforeH: rules.walkOnBeforeH,
    });
    const past = stage.past({
      log: this.part("log", plan.log.map(logFacts)),
      profile,
      halts: planned,
      startDay: dayNumber(trip.startDate) ?? 0,
    });
    const halts = stage.haltsAsWalked({ halts: planned, past });
    const sources = stage.sources({
      sources: this.part("walked sources", walked(plan.sources)),
      taps: this.part("taps", passedTaps(walked(plan.stops))),
      stretches,
      profile,
      wetness: climate.wetness,
      past,
    });
    const menus = hikers.map((hiker, h) =>
      stage.menus({ choice: hiker.menus, menus: plan.menus, foods: plan.foods }, h),
    );
    const waters = this.part(
      "waters",
      hikers.map(({ water }, h) => stage.water({ water, menus: menus[h] }, h)),
    );
    const camps = stage.camps({
      stretches,
      camps: this.part(
        "camps",
        walked(plan.camps).map(({ trackM, alternateId, hollow }) => ({ trackM, alternateId, hollow })),
      ),
      stops,
      sleepAt: rules.sleepAt,
      waters,
      profile,
      sources,
    });
    const pins = stage.pins({ pins: this.part("pins", walked(plan.pins).map(pinFacts)), profile });
    const schools = hikers.map((hiker, h) => stage.schools(choiceOf(hiker), h));
    const ground = stage.ground({
      profile,
      terrain,
      halts,
      startDay: dayNumber(trip.startDate) ?? 0,
      rules,
      season,
      camps,
      pins,
      past,
      slowPerKg: stage.slowPerKg({ profile, loadSlowness: rules.loadSlowness }),
      paces: hikers.map((hiker) => hiker.pace),
      baseH: hikers.map((hiker, h) => stage.baseH(baseHoursInput(hiker, schools[h]!.time, profile), h)),
      levelHPerM: this.part(
        "level",
        hikers.map((hiker, h) => levelHoursPerM(baseHoursInput(hiker, schools[h]!.time, profile))),
      ),
      slopes: schools.map(({ effort }, h) => stage.slopes({ profile, effort }, h)),
      gradePercent: stage.gradePercent({ profile }),
      sun: this.sun,
      diurnal: this.diurnal,
      workspace: stage.workspace({ cellCount: profile.cellCount, hikerCount: hikers.length }),
    });
    const sample = stage.sampling({ cellCount: profile.cellCount });
    const sampledSpace = stage.sampledWorkspace({ cellCount: sample.count, hikerCount: hikers.length });
    const sampledSources = stage.sampledSources({ sources, sampling: sample });
    const pieces = this.part("pieces", kitFacts(plan));
    const hikerIds = hikers.map((hiker) => hiker.id);
    const kit = stage.kit({ pieces, hikerIds, stops: allStops, profile, halts });
    const needs = hikers.map((hiker, h) =>
      stage.needs(needsOf(hiker, schools[h]!, this.part(`body ${h}`, bodyOf(hiker)), waters[h], menus[h], hikers), h),
    );
    const sampled = stage.sampled({ ground, sampling: sample, sources: sampledSources, workspace: sampledSpace });
    return {
      plan,
      profile,
      normals,
      season,
      terrain,
      halts,
      pins,
      schools,
      ground,
      sampled,
      sampling: sample,
      sources,
      sampledSources,
      needs,
      pieces,
      stops: allStops,
      kit,
    };
  }

  private assembled(laid: Laid): { figures: Omit<PlanResult, "checks">; checks: () => Check[] } {
    const { stage } = this;
    const { plan, profile, normals, season, terrain, halts, pins, schools, sources, pieces, kit } = laid;
    const { hikers, climate, stretches } = plan;
    const hikerIds = hikers.map((hiker) => hiker.id);
    const trail = solveTrip({
      ground: laid.ground,
      sampled: laid.sampled,
      sampling: laid.sampling,
      sources,
      sampledSources: laid.sampledSources,
      needs: laid.needs,
      kitLegs: kit.legs,
      onRound: this.onRound,
      solve: (input, key) =>
        stage.block(
          {
            ...input,
            block: this.part(`block ${key}`, input.block),
            before: this.part(`before ${key}`, input.before),
            passed: this.part(`passed ${key}`, input.passed),
          },
          key,
        ),
    });
    const sleep = stage.sleep({
      pieces,
      carrier: kit.carrier,
      legCount: kit.legs.length,
      hikers: this.part(
        "sleepers",
        hikers.map(({ id, sleeper }) => ({ id, sleeper })),
      ),
    });
    const figures = trail.blocks.map((block, index) =>
      stage.blockFigures(
        {
          block,
          profile,
          halts,
          hikerIds,
          sleep,
          nightBy: climate.nightBy,
          terrain,
          pins,
          onSnow: plan.dayRules.onSnow,
        },
        index,
      ),
    );
    const power = stage.power({
      devices: plan.devices,
      charge: plan.charge,
      hikerIds,
      ...stage.devicesCarried({ pieces, carrier: kit.carrier, legCount: kit.legs.length }),
      profile,
      season,
      halts,
      parts: trail.blocks.flatMap((block) => block.parts),
      conditions: trail.blocks.flatMap((block) => block.conditions),
    });
    const fords = this.part("fords", fordFacts(stretches));
    const bodyMKg = Math.min(...hikers.map(({ heightCm, bodyKg }) => (heightCm / 100) * bodyKg));
    const snowOf = { season: normals, profile };
    const passages =
      fords.length === 0
        ? NO_FORDS
        : stage.fords({
            fords,
            profile,
            snow: stage.snow({ ...snowOf, year: climate.snowYear }),
            usual:
              climate.snowYear === "usual"
                ? stage.snow({ ...snowOf, year: "usual" })
                : stage.usualSnow({ ...snowOf, year: "usual" }),
            blocks: trail.blocks,
            bodyMKg,
          });
    const assembled = stage.assemble({ ...trail, profile, kit, figures, schools, power });
    return {
      figures: { ...assembled, ...assembleCells(trail, profile, hikers.length), fords: passages },
      checks: () =>
        stage.checks({
          plan,
          result: assembled,
          schools,
          sources,
          season,
          snow: climate.snowBy === "degree-day" ? stage.snow({ ...snowOf, year: climate.snowYear }) : undefined,
          fords: passages,
        }),
    };
  }

  private profileFor(plan: Plan): Profile {
    const known = this.knownFor(plan);
    if (known) return known;
    if (this.tracks.length === 0)
      throw new Error("Session.compute: no track. Call setTracks with at least one track first.");
    const route = this.part("route", routeFacts(plan.route));
    const alternates = this.part(
      "alternate tracks",
      route.alternates.map(({ id, trackId }) => ({ id, trackId })),
    );
    const lines = this.stage.lines({ tracks: this.tracks, trackIds: plan.trackIds, alternates });
    return this.stage.profile({ laid: this.stage.laid({ lines, route }), reversed: plan.trip.direction === "reverse" });
  }

  /** A part of the plan, picked again: the object of last time while its content is equal. */
  private part<T>(name: string, value: T): T {
    const before = this.picked[name] as T | undefined;
    const now = before === undefined ? value : keepEqual(before, value);
    this.picked[name] = now;
    return now;
  }
}

/** The door: one plan and its tracks in, one result out. Pure and deterministic. */
export function computePlan(plan: Plan, tracks: readonly TrackPoints[]): PlanResult {
  const session = new Session();
  session.setTracks(tracks);
  return session.compute(plan);
}
