/** Hours over cells: the hot loop of the walk. Clock: hours of local mean time. */
import { HIGH_LAPSE_K_PER_M } from "../models/cold.ts";
import { STEPS_PER_H } from "../season/diurnal.ts";
import type { Detour, DetourSources } from "./detours.ts";
import type { Ground } from "./ground.ts";
import type { Halt } from "./halts.ts";
import { loadSpeedFactor, SLOWEST_BY_HEAT, SLOWEST_BY_HEIGHT, SLOWEST_BY_LOAD, THIN_AIR_FROM_M } from "./slow.ts";
import { BY_THE_HOUR, seasonHolds } from "./terrain.ts";
import type { Today } from "./today.ts";

/** So much longer than meant a day may be that reaches its stop. */
export const PUSH_ON_H = 1;
/** No crust carries to the end of a day. */
const MIDNIGHT_H = 24;
/** Civil twilight: so long before sunrise and after sunset one still sees the ground. */
const TWILIGHT_H = 0.5;

/** Hours over cells as if all were plain trail in the cool of the day: the slowest hiker's at the load carried. */
function partyHours(ground: Ground, loadKg: readonly Float64Array[], from: number, to: number): Float64Array {
  const { slowPerKg, baseH } = ground;
  const hours = ground.workspace.plainH;
  for (let h = 0; h < baseH.length; h++) {
    const base = baseH[h]!;
    const load = loadKg[h]!;
    const first = h === 0;
    for (let c = from; c < to; c++) {
      const own = base[c]! / Math.max(SLOWEST_BY_LOAD, 1 - slowPerKg[c]! * load[c]!);
      if (first || own > hours[c]!) hours[c] = own;
    }
  }
  return hours;
}

/** Hours for a side trip: the slowest hiker's on the level, with the load at that cell. */
export function levelHours(
  { levelHPerM, rules, profile }: Pick<Ground, "levelHPerM" | "rules" | "profile">,
  loadKg: readonly Float64Array[],
  distanceM: number,
  cell: number,
): number {
  if (distanceM === 0) return 0;
  const within = Math.min(Math.max(0, cell), profile.cellCount - 1);
  let slowest = 0;
  for (const [h, perM] of levelHPerM.entries())
    slowest = Math.max(slowest, perM / loadSpeedFactor(loadKg[h]![within]!, 0, rules.loadSlowness));
  return slowest * distanceM;
}

/** Walks the cells of one day, and keeps what it found. Kept free of closures: `advance` is the hot loop. */
export class Stride {
  readonly cellH: Float64Array;
  readonly cellC: Float64Array;
  readonly surface: Uint8Array;
  readonly plainH: Float64Array;
  /** Hours of clock for an hour of walking: the breaks are spread evenly. */
  readonly clockPerH: number;
  private readonly loadKg: readonly Float64Array[];
  /** Ways to water, in walking order. */
  private readonly detours: readonly Detour[];

  constructor(
    readonly ground: Ground,
    loadKg: readonly Float64Array[],
    from: number,
    to: number,
    detours: DetourSources,
  ) {
    const { workspace } = ground;
    this.loadKg = loadKg;
    this.cellH = workspace.cellH;
    this.cellC = workspace.cellC;
    this.surface = workspace.surface;
    this.plainH = partyHours(ground, loadKg, from, to);
    this.detours = detours.map(({ id, node, offTrailM }) => {
      const distanceM = 2 * offTrailM;
      return { sourceId: id, node, distanceM, walkH: this.detourHours(distanceM, node) };
    });
    this.clockPerH = 1 + Math.max(...ground.paces.map((pace) => pace.breakFraction));
  }

  /**
   * At least one cell, until `roomH` hours are used up or `lastNode` is reached, with the water that is fetched
   * along the trail; answers the node where it stands. Water that is too far for the rest of the day is left for
   * the next: one camps before it.
   */
  advance(today: Today, fromNode: number, lastNode: number, fromClockH: number, roomH: number): number {
    let node = fromNode;
    let clockH = fromClockH;
    let leftH = roomH;
    for (const detour of this.detours) {
      if (detour.node <= fromNode) continue;
      if (detour.node > lastNode) break;
      const reached = this.onTrail(today, node, detour.node, clockH, leftH);
      if (reached < detour.node) return reached;
      const hours = this.cellHours(node, reached);
      if (hours + detour.walkH > leftH + PUSH_ON_H && reached - 1 > fromNode) return reached - 1;
      leftH -= hours + detour.walkH;
      clockH += (hours + detour.walkH) * this.clockPerH;
      node = reached;
      if (leftH <= 0) return node;
    }
    return node < lastNode ? this.onTrail(today, node, lastNode, clockH, leftH) : node;
  }

  private onTrail(today: Today, fromNode: number, lastNode: number, fromClockH: number, roomH: number): number {
    const { cellH, cellC, surface, plainH, clockPerH } = this;
    const { bare, snow, snowFromDay, snowToDay } = this.ground.terrain;
    const { slowness, rules } = this.ground;
    const { heightM } = this.ground.profile;
    const { yearDay, highAtSeaC, rangeK, belowHigh, slowPerM } = today;
    const dawnH = Math.min(today.lightFromH, today.sunriseH - TWILIGHT_H);
    const duskH = Math.max(today.lightToH, today.sunsetH + TWILIGHT_H);
    const bySun = today.daylightH < 24;
    const inTheDark = 1 / rules.nightSpeedFactor;
    const warmC = rules.heatSlowFromC;
    const { heatSlowPerK } = rules;
    const lastStep = belowHigh.length - 1;
    let usedH = 0;
    // The sign makes it a number for good: an argument could be anything, and would be boxed on every cell.
    let clockH = +fromClockH;
    let airAtSeaC = 0;
    // The air is looked up again at every quarter of an hour, not on every cell: half the time of this loop.
    let nextLookH = -1;
    let c = fromNode;
    for (; c < lastNode; c++) {
      if (clockH >= nextLookH) {
        const step = Math.floor(clockH * STEPS_PER_H);
        airAtSeaC = highAtSeaC - rangeK * belowHigh[step < lastStep ? step : lastStep]!;
        nextLookH = (step + 1) / STEPS_PER_H;
      }
      const coat = snow[c]!;
      let underfoot = bare[c]!;
      if (coat >= 0 && seasonHolds(snowFromDay[c]!, snowToDay[c]!, yearDay))
        underfoot = coat === BY_THE_HOUR ? today.snowUnderfoot(heightM[c]!, clockH, c) : coat;
      const airC = airAtSeaC - heightM[c]! * HIGH_LAPSE_K_PER_M;
      let hours = plainH[c]! * slowness[underfoot]!;
      if (airC > warmC) {
        const cooled = 1 - heatSlowPerK * (airC - warmC);
        hours /= cooled > SLOWEST_BY_HEAT ? cooled : SLOWEST_BY_HEAT;
      }
      const height = heightM[c]!;
      if (height > THIN_AIR_FROM_M) {
        const kept = 1 - slowPerM * (height - THIN_AIR_FROM_M);
        hours /= kept > SLOWEST_BY_HEIGHT ? kept : SLOWEST_BY_HEIGHT;
      }
      if (bySun && (clockH < dawnH || clockH > duskH)) hours *= inTheDark;
      usedH += hours;
      if (usedH > roomH && c > fromNode) break;
      clockH += hours * clockPerH;
      surface[c] = underfoot;
      cellH[c] = hours;
      cellC[c] = airC;
    }
    return c;
  }

  /** On the trail and to the water fetched beyond `fromNode` up to `toNode`. */
  hours(fromNode: number, toNode: number): number {
    let hours = this.cellHours(fromNode, toNode);
    for (const { node, walkH } of this.detours) if (node > fromNode && node <= toNode) hours += walkH;
    return hours;
  }

  private cellHours(fromNode: number, toNode: number): number {
    const { cellH } = this;
    let hours = 0;
    for (let c = fromNode; c < toNode; c++) hours += cellH[c]!;
    return hours;
  }

  detoursBetween(fromNode: number, toNode: number): Detour[] {
    return this.detours.filter(({ node }) => node > fromNode && node <= toNode);
  }

  /** Hours on foot from the trail to a stop, and back. */
  hoursThere({ thereM }: Halt, cell: number): number {
    return this.detourHours(thereM, cell);
  }

  hoursBack({ backM }: Halt, cell: number): number {
    return this.detourHours(backM, cell);
  }

  private detourHours(distanceM: number, cell: number): number {
    return levelHours(this.ground, this.loadKg, distanceM, cell);
  }

  /** Does snow lie at a node? */
  hasSnow({ yearDay }: Today, node: number): boolean {
    const { snow, snowFromDay, snowToDay } = this.ground.terrain;
    return snow[node]! >= 0 && seasonHolds(snowFromDay[node]!, snowToDay[node]!, yearDay);
  }

  /** About the hours from node to node, by the ground alone; Infinity from `mostH` on. */
  hoursAhead(today: Today, fromNode: number, toNode: number, mostH: number): number {
    const { bare, snow, snowFromDay, snowToDay } = this.ground.terrain;
    const { slowness } = this.ground;
    const { heightM } = this.ground.profile;
    let hours = 0;
    for (const { node, walkH } of this.detours) if (node > fromNode && node <= toNode) hours += walkH;
    for (let c = fromNode; c < toNode; c++) {
      if (hours > mostH) return Infinity;
      const coat = snow[c]!;
      const holds = coat >= 0 && seasonHolds(snowFromDay[c]!, snowToDay[c]!, today.yearDay);
      const snowed = coat === BY_THE_HOUR && holds ? today.snowUnderfoot(heightM[c]!, MIDNIGHT_H, c) : coat;
      hours += this.plainH[c]! * slowness[holds ? snowed : bare[c]!]!;
    }
    return hours;
  }
}
