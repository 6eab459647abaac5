/** The settled trip as one result. */
import type { KitPlan } from "../kit/kit.ts";
import type { SolvedBlock, Trip } from "../load/trip.ts";
import { models } from "../models/index.ts";
import type { Device, Hiker, Plan } from "../plan/schema.ts";
import { powerOf } from "../power/power.ts";
import type { Season } from "../season/season.ts";
import type { Profile } from "../track/profile.ts";
import type { Halt } from "../walk/halts.ts";
import { blockDays, blockLegs, sum } from "./block.ts";
import type { DayResult, LegResult, PlanResult, Schools } from "./result.ts";

/** What a block alone says: it follows from the block's own input, and is kept beside it. */
interface BlockResult {
  legs: LegResult[];
  days: DayResult[];
}
export type BlockResults = WeakMap<SolvedBlock, BlockResult>;

/** Everything but the checks, which read it. Blocks that were told before are not told again. */
export function assemble(
  plan: Plan,
  profile: Profile,
  season: Season,
  halts: readonly Halt[],
  kit: KitPlan,
  trip: Trip,
  told: BlockResults,
): Omit<PlanResult, "checks"> {
  const parts = trip.blocks.flatMap((block) => block.parts);
  const conditions = trip.blocks.flatMap((block) => block.conditions);
  const results = trip.blocks.map((block) => {
    const known = told.get(block);
    if (known) return known;
    const result = {
      legs: blockLegs(plan, profile, halts, kit, block),
      days: blockDays(plan, kit, block),
    };
    told.set(block, result);
    return result;
  });
  const legs = results.flatMap((result) => result.legs);
  const days = results.flatMap((result) => result.days);
  const last = trip.blocks.at(-1)!.after;
  return {
    legs,
    days,
    loadKg: plan.hikers.map((_, h) =>
      joined(
        trip.blocks.map((block) => block.loadKg[h]!),
        new Float32Array(profile.cellCount),
      ),
    ),
    cellH: joined(
      trip.blocks.map((block) => block.cellH),
      new Float32Array(profile.cellCount),
    ),
    cellC: joined(
      trip.blocks.map((block) => block.cellC),
      new Float32Array(profile.cellCount),
    ),
    surface: joined(
      trip.blocks.map((block) => block.surface),
      new Uint8Array(profile.cellCount),
    ),
    schools: plan.hikers.map(schoolsOf),
    finish: last.supply.map(({ bodyKg, fatKg, deficitKcal }) => ({ body: { bodyKg, fatKg }, deficitKcal })),
    power: powerOf({ plan, carried: carriedOn(plan, kit), profile, season, halts, parts, conditions }),
    profile,
    carrier: kit.carrier,
    kitFaults: kit.faults,
    finishDate: days.at(-1)!.date,
    walkDays: new Set(days.map((day) => day.date)).size,
    zeroDays: sum(days.map((day) => day.zeroDays)),
    rounds: trip.rounds,
    settled: trip.settled,
    lastMoveG: trip.lastMoveG,
  };
}

/** A device that is a piece of kit works where the piece is carried. */
function carriedOn(plan: Plan, kit: KitPlan): (device: Device, legIndex: number) => boolean {
  const pieceOf = new Map(plan.kit.map((piece, p) => [piece.id, p]));
  const legCount = kit.legs.length;
  return (device, legIndex) => {
    const piece = device.pieceId === undefined ? undefined : pieceOf.get(device.pieceId);
    return piece === undefined || kit.carrier[piece * legCount + legIndex]! >= 0;
  };
}

/** The schools that answered: an id that this version does not know has become the default. */
function schoolsOf({ schools, stove }: Hiker): Schools {
  return {
    time: models.time.orDefault(schools.time).id,
    effort: models.effort.orDefault(schools.effort).id,
    resting: models.resting.orDefault(schools.resting).id,
    water: models.water.orDefault(schools.water).id,
    bodyMass: models.bodyMass.orDefault(schools.bodyMass).id,
    fuel: stove.fuel,
  };
}

/** One array after the other: the blocks lie end to end. */
function joined<T extends Float32Array | Uint8Array>(pieces: readonly T[], into: T): T {
  let at = 0;
  for (const piece of pieces) {
    into.set(piece, at);
    at += piece.length;
  }
  return into;
}
