/** The settled trip as one result. */
import type { KitPlan } from "../kit/kit.ts";
import type { HikerSchools } from "../models/hiker.ts";
import type { Power } from "../power/power.ts";
import type { PackCells, Trip } from "../solve/trip.ts";
import type { Profile } from "../track/profile.ts";
import { sum, type BlockFigures } from "./block.ts";
import type { CellFigures, Schools, TripFigures } from "./result.ts";

export interface AssembleInput extends Trip {
  profile: Profile;
  kit: KitPlan;
  /** Legs and days of every block of the trip. */
  figures: readonly BlockFigures[];
  schools: readonly HikerSchools[];
  power: Power | undefined;
}

/** Everything but the cells, and the checks, which read it. */
export function assemble({ profile, kit, figures, schools, power, ...trip }: AssembleInput): TripFigures {
  const legs = figures.flatMap((block) => block.legs);
  const days = figures.flatMap((block) => block.days);
  const last = trip.blocks.at(-1)!.after;
  return {
    legs,
    days,
    schools: schools.map(idsOf),
    finish: last.supply.map(({ bodyKg, fatKg, deficitKcal }) => ({ body: { bodyKg, fatKg }, deficitKcal })),
    power,
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

/** In arrays made for this answer alone: whoever gets them may hand them on. */
export function assembleCells({ blocks }: Trip, { cellCount }: Profile, hikerCount: number): CellFigures {
  const cells = (of: (block: Trip["blocks"][number]) => Float32Array): Float32Array =>
    joined(blocks.map(of), new Float32Array(cellCount));
  const pack = (h: number, part: keyof PackCells): Float32Array => cells((block) => block.packs[h]![part]);
  return {
    packs: Array.from({ length: hikerCount }, (_, h) => ({
      loadKg: pack(h, "loadKg"),
      foodKg: pack(h, "foodKg"),
      waterKg: pack(h, "waterKg"),
    })),
    cellH: cells((block) => block.cellH),
    cellC: cells((block) => block.cellC),
    surface: joined(
      blocks.map((block) => block.surface),
      new Uint8Array(cellCount),
    ),
  };
}

/** The schools that answered. */
function idsOf({ time, effort, resting, water, bodyMass, fuel }: HikerSchools): Schools {
  return {
    time: time.id,
    effort: effort.id,
    resting: resting.id,
    water: water.id,
    bodyMass: bodyMass.id,
    fuel: fuel.id,
  };
}

/** One array after the other: the blocks are end to end. */
function joined<T extends Float32Array | Uint8Array>(pieces: readonly T[], into: T): T {
  let at = 0;
  for (const piece of pieces) {
    into.set(piece, at);
    at += piece.length;
  }
  return into;
}
