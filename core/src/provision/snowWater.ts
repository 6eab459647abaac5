/**
 * Snow by the way as water [L]: it is there where three tenths of the ground around are white, it runs on days whose
 * melt is 3 mm and more, and on others it has to be melted on a stove. Water that is under a closed cover is reached
 * through it: as snow, until it runs.
 */
import { degreeDayFactor, positiveDegrees } from "../models/snow.ts";
import { isSnow } from "../walk/surfaces.ts";
import type { PartConditions } from "../walk/conditions.ts";
import type { Ground } from "../walk/ground.ts";
import type { Block, DayPart, Walk } from "../walk/walk.ts";
import { dayOfYear } from "../units/day.ts";

const AROUND_M = 300;
const COVER_FROM = 0.3;
const CLOSED_FROM = 0.8;
const RUNS_FROM_MM = 3;
/** A drink is taken so often where it runs, and at each so manieth of those places where it takes a stove. */
export const SNOW_EVERY_M = 5_000;
export const MELTED_EACH = 3;

export class SnowWater {
  /** White cells before each node of the block. */
  private constructor(
    private readonly whiteBefore: Int32Array,
    private readonly fromNode: number,
    private readonly around: number,
    private readonly south: boolean,
  ) {}

  /** Undefined where nothing of the block is white: there is nothing to ask. */
  static of({ profile, halts }: Ground, block: Block, { surface }: Pick<Walk, "surface">): SnowWater | undefined {
    const fromNode = halts[block.firstLeg]!.node;
    const toNode = halts[block.endLeg]!.node;
    const whiteBefore = new Int32Array(toNode - fromNode + 1);
    for (let c = fromNode; c < toNode; c++)
      whiteBefore[c - fromNode + 1] = whiteBefore[c - fromNode]! + Number(isSnow(surface[c]!));
    if (whiteBefore[whiteBefore.length - 1] === 0) return undefined;
    const around = Math.max(1, Math.round(AROUND_M / profile.cellM));
    return new SnowWater(whiteBefore, fromNode, around, profile.latDeg[0]! < 0);
  }

  private shareAt(node: number): number {
    const at = node - this.fromNode;
    const from = Math.max(0, at - this.around);
    const to = Math.min(this.whiteBefore.length - 1, at + this.around);
    return to > from ? (this.whiteBefore[to]! - this.whiteBefore[from]!) / (to - from) : 0;
  }

  isSnowAt(node: number): boolean {
    return this.shareAt(node) >= COVER_FROM;
  }

  /** A cover that nothing shows through. */
  closedAt(node: number): boolean {
    return this.shareAt(node) >= CLOSED_FROM;
  }

  /** Does meltwater run on this day? */
  runs(part: Pick<DayPart, "day">, { walking }: Pick<PartConditions, "walking">): boolean {
    const meanC = (walking.lowC + walking.highC) / 2;
    const degrees = positiveDegrees(meanC, walking.lowSdK);
    return degreeDayFactor(dayOfYear(part.day), this.south) * degrees >= RUNS_FROM_MM;
  }
}
