/**
 * Lays the route of a plan: sections in their order, closures taken out, chosen alternates put in. What
 * comes out is one line to be measured like any recorded one, with the joints where it goes on elsewhere.
 */
import type { Alternate, Closure, Plan, Section } from "../plan/schema.ts";
import { distanceM, interpolate } from "./geodesic.ts";
import type { RepairedTrack } from "./repair.ts";
import { lengthOf, MAIN, plainRoute, type Route, type RouteJoint, type RoutePiece } from "./route.ts";

/** What the ground has to know of a route: names and notes may change without consequence. */
export interface RouteFacts {
  alternates: Pick<Alternate, "id" | "trackId" | "leavesM" | "rejoinsM" | "chosen">[];
  closures: Pick<Closure, "id" | "fromM" | "toM" | "alternateId" | "rideH">[];
  sections: Pick<Section, "id" | "fromM" | "toM" | "transferH">[];
}

/** Closures that do not hold and fields that change nothing are left out. */
export function routeFacts({ alternates, closures, sections }: Plan["route"]): RouteFacts {
  return {
    alternates: alternates.map(({ id, trackId, leavesM, rejoinsM, chosen }) => ({
      id,
      trackId,
      leavesM,
      rejoinsM,
      chosen,
    })),
    closures: closures
      .filter(({ holds }) => holds)
      .map(({ id, fromM, toM, alternateId, rideH }) => ({ id, fromM, toM, alternateId, rideH })),
    sections: sections.map(({ id, fromM, toM, transferH }) => ({ id, fromM, toM, transferH })),
  };
}

/** One text for one route: empty where the whole main trail is walked. */
export function routeKey(route: Plan["route"]): string {
  const { alternates, closures, sections } = routeFacts(route);
  const bears = alternates.length > 0 || closures.length > 0 || sections.length > 0;
  return bears ? JSON.stringify([alternates, closures, sections]) : "";
}

export interface Lines {
  main: RepairedTrack;
  /** By the alternate's id; one whose track is missing is not walked. */
  alternates: ReadonlyMap<string, RepairedTrack>;
}

export interface LaidTrack extends RepairedTrack {
  route: Route;
  /** Index of the first point after each joint. */
  jointStarts: number[];
}

/** Nearer than this two places are one. */
const TOUCH_M = 0.5;
/** A section that starts so near the end of the one before needs no transfer. */
const GOES_ON_M = 100;
/** Sections shorter than this are none. */
const LEAST_SECTION_M = 100;

interface Bypass {
  lowM: number;
  highM: number;
  by: { alternateId: string } | { closureId: string; hours: number };
}

export function layRoute(facts: RouteFacts, lines: Lines): LaidTrack {
  const { main } = lines;
  const mainLengthM = main.alongM.at(-1) ?? 0;
  const within = (metres: number): number => Math.max(0, Math.min(mainLengthM, metres));
  const alternates = facts.alternates.map(({ id, leavesM, rejoinsM }) => ({
    id,
    leavesM: within(Math.min(leavesM, rejoinsM)),
    rejoinsM: within(Math.max(leavesM, rejoinsM)),
    lengthM: lines.alternates.get(id)?.alongM.at(-1) ?? 0,
  }));
  const { bypasses, resting } = bypassesOf(facts, alternates, lines, within);
  const sections = facts.sections
    .map((section) => ({ ...section, fromM: within(section.fromM), toM: within(section.toM) }))
    .filter((section) => lengthOf(section) >= LEAST_SECTION_M);
  const plain = bypasses.length === 0 && sections.length === 0;
  if (plain) return { ...main, route: { ...plainRoute(mainLengthM, alternates), resting }, jointStarts: [] };

  const laid = new Laying(lines, alternates);
  const whole = [{ id: "", fromM: 0, toM: mainLengthM, transferH: 0 }];
  let endM: number | undefined;
  for (const section of sections.length > 0 ? sections : whole) {
    const { id, fromM, toM, transferH } = section;
    if (endM !== undefined && Math.abs(endM - fromM) > GOES_ON_M) laid.join("transfer", id, transferH);
    laid.section(fromM, toM, bypasses);
    endM = toM;
  }
  if (laid.lengthM < LEAST_SECTION_M) {
    // Closed from end to end there is no walk: the whole trail is, and it is said.
    const closed = facts.closures.map(({ id }) => ({ id, why: "nothing-left" as const }));
    const route = { ...plainRoute(mainLengthM, alternates), resting: [...resting, ...closed] };
    return { ...main, route, jointStarts: [] };
  }
  const { track, route, jointStarts } = laid.take();
  return { ...track, route: { ...route, mainLengthM, alternates, resting }, jointStarts };
}

/** Which stretches of the main trail are not walked, and what is done instead; none is over another. */
function bypassesOf(
  facts: RouteFacts,
  alternates: Route["alternates"],
  lines: Lines,
  within: (metres: number) => number,
): { bypasses: Bypass[]; resting: Route["resting"] } {
  const bypasses: Bypass[] = [];
  const resting: Route["resting"] = [];
  const roundBy = new Set(facts.closures.map(({ alternateId }) => alternateId));
  // What a closure is gone round by comes first: a chosen one may rest, a closed way cannot be walked.
  const wanted = [
    ...facts.alternates.filter(({ id }) => roundBy.has(id)),
    ...facts.alternates.filter(({ id, chosen }) => chosen && !roundBy.has(id)),
  ];
  for (const { id } of wanted) {
    const { leavesM: lowM, rejoinsM: highM } = alternates.find((one) => one.id === id)!;
    if (!lines.alternates.has(id)) resting.push({ id, why: "no-track" });
    else if (bypasses.some((other) => other.lowM < highM && other.highM > lowM)) resting.push({ id, why: "overlaps" });
    else bypasses.push({ lowM, highM, by: { alternateId: id } });
  }
  for (const { id, fromM, toM, rideH } of facts.closures) {
    let parts: [number, number][] = [[within(Math.min(fromM, toM)), within(Math.max(fromM, toM))]];
    for (const { lowM, highM } of bypasses)
      parts = parts.flatMap(([a, b]): [number, number][] =>
        highM <= a || lowM >= b
          ? [[a, b]]
          : (
              [
                [a, lowM],
                [highM, b],
              ] satisfies [number, number][]
            ).filter(([from, to]) => to - from > TOUCH_M),
      );
    for (const [lowM, highM] of parts)
      if (highM - lowM > TOUCH_M) bypasses.push({ lowM, highM, by: { closureId: id, hours: rideH } });
  }
  return { bypasses: bypasses.sort((a, b) => a.lowM - b.lowM || a.highM - b.highM), resting };
}

/** Points as they are laid, piece by piece. */
class Laying {
  private readonly lon: number[] = [];
  private readonly lat: number[] = [];
  private readonly height: number[] = [];
  private readonly along: number[] = [];
  private readonly pieces: RoutePiece[] = [];
  private readonly joints: RouteJoint[] = [];
  private readonly jointStarts: number[] = [];
  private atM = 0;
  /** A joint that waits for the piece after it. */
  private waiting: Omit<RouteJoint, "atM"> | undefined;

  constructor(
    private readonly lines: Lines,
    private readonly alternates: Route["alternates"],
  ) {}

  get lengthM(): number {
    return this.atM;
  }

  /** The next piece starts elsewhere. Before the first piece there is nothing to leave. */
  join(kind: RouteJoint["kind"], id: string, hours: number): void {
    if (this.pieces.length === 0) return;
    this.waiting = { kind, id, hours: hours + (this.waiting?.hours ?? 0) };
  }

  /** The main trail from one place to another with what is between gone round; nothing is, where only a part of it is between. */
  section(fromM: number, toM: number, bypasses: readonly Bypass[]): void {
    const forward = toM >= fromM;
    const [lowM, highM] = [Math.min(fromM, toM), Math.max(fromM, toM)];
    const inside = bypasses.flatMap((bypass): Bypass[] => {
      if ("alternateId" in bypass.by) return bypass.lowM >= lowM && bypass.highM <= highM ? [bypass] : [];
      const cut = { ...bypass, lowM: Math.max(lowM, bypass.lowM), highM: Math.min(highM, bypass.highM) };
      return cut.highM > cut.lowM ? [cut] : [];
    });
    let hereM = fromM;
    for (const { lowM: a, highM: b, by } of forward ? inside : inside.reverse()) {
      const [leaveM, reachM] = forward ? [a, b] : [b, a];
      this.line(MAIN, hereM, leaveM);
      if ("alternateId" in by) this.alternate(by.alternateId, leaveM, reachM);
      else this.join("ride", by.closureId, by.hours);
      hereM = reachM;
    }
    this.line(MAIN, hereM, toM);
  }

  private alternate(id: string, leaveM: number, reachM: number): void {
    const line = this.lines.alternates.get(id)!;
    const { leavesM } = this.alternates.find((one) => one.id === id)!;
    const { main } = this.lines;
    const lengthM = line.alongM.at(-1)!;
    const [leave, reach] = [pointAt(main, leaveM), pointAt(main, reachM)];
    const [first, last] = [pointAt(line, 0), pointAt(line, lengthM)];
    const asRecordedM = apart(leave, first) + apart(last, reach);
    const turnedM = apart(leave, last) + apart(first, reach);
    // From and to one place both fit alike: it is walked as it was recorded by who walks the trail so.
    const recorded = asRecordedM === turnedM ? leaveM <= leavesM : asRecordedM < turnedM;
    const [fromM, toM] = recorded ? [0, lengthM] : [lengthM, 0];
    if (this.pieces.length === 0) this.put(leave);
    this.link(leave, pointAt(line, fromM));
    this.line(id, fromM, toM);
    this.link(pointAt(line, toM), reach);
  }

  /** Straight from one line to the other. */
  private link(from: Point, to: Point): void {
    const lengthM = apart(from, to);
    if (lengthM < TOUCH_M) return;
    this.open();
    this.pieces.push({ line: undefined, fromM: 0, toM: lengthM, atM: this.atM });
    this.put(from);
    this.atM += lengthM;
    this.put(to);
  }

  private line(id: string, fromM: number, toM: number): void {
    const lengthM = Math.abs(toM - fromM);
    if (lengthM === 0) return;
    this.open();
    const line = id === MAIN ? this.lines.main : this.lines.alternates.get(id)!;
    this.pieces.push({ line: id, fromM, toM, atM: this.atM });
    const beginM = this.atM;
    this.put(pointAt(line, fromM));
    const { alongM } = line;
    const forward = toM > fromM;
    const first = forward ? indexAbove(alongM, fromM) : indexAbove(alongM, fromM - TOUCH_M) - 1;
    for (
      let i = first;
      forward ? i < alongM.length && alongM[i]! < toM : i >= 0 && alongM[i]! > toM;
      i += forward ? 1 : -1
    ) {
      this.atM = beginM + Math.abs(alongM[i]! - fromM);
      this.put({ lonDeg: line.lonDeg[i]!, latDeg: line.latDeg[i]!, heightM: line.heightM[i]! });
    }
    this.atM = beginM + lengthM;
    this.put(pointAt(line, toM));
  }

  private open(): void {
    if (!this.waiting) return;
    this.joints.push({ ...this.waiting, atM: this.atM });
    this.jointStarts.push(this.lon.length);
    this.waiting = undefined;
  }

  private put({ lonDeg, latDeg, heightM }: Point): void {
    this.lon.push(lonDeg);
    this.lat.push(latDeg);
    this.height.push(heightM);
    this.along.push(this.atM);
  }

  take(): { track: RepairedTrack; route: Pick<Route, "pieces" | "joints" | "lengthM">; jointStarts: number[] } {
    const walked = [this.lines.main, ...this.walkedAlternates()];
    const sum = (pick: (line: RepairedTrack) => number): number =>
      walked.reduce((total, line) => total + pick(line), 0);
    return {
      track: {
        lonDeg: Float64Array.from(this.lon),
        latDeg: Float64Array.from(this.lat),
        heightM: Float64Array.from(this.height),
        alongM: Float64Array.from(this.along),
        hasHeights: walked.some((line) => line.hasHeights),
        repairs: {
          doubledPoints: sum(({ repairs: mended }) => mended.doubledPoints),
          flungPoints: sum(({ repairs: mended }) => mended.flungPoints),
          missingHeights: sum(({ repairs: mended }) => mended.missingHeights),
          spikedHeights: sum(({ repairs: mended }) => mended.spikedHeights),
          spacingM: Math.max(...walked.map(({ repairs: mended }) => mended.spacingM)),
          gaps: walked.flatMap(({ repairs: mended }) => mended.gaps),
          heightless: walked.flatMap(({ repairs: mended }) => mended.heightless),
        },
      },
      route: { pieces: this.pieces, joints: this.joints, lengthM: this.atM },
      jointStarts: this.jointStarts,
    };
  }

  private walkedAlternates(): RepairedTrack[] {
    return [...this.lines.alternates]
      .filter(([id]) => this.pieces.some(({ line }) => line === id))
      .map(([, line]) => line);
  }
}

interface Point {
  lonDeg: number;
  latDeg: number;
  heightM: number;
}

const apart = (a: Point, b: Point): number => distanceM(a.lonDeg, a.latDeg, b.lonDeg, b.latDeg);

/** The point so far along a line, between two of its own where it must be. */
export function pointAt({ lonDeg, latDeg, heightM, alongM }: RepairedTrack, metres: number): Point {
  const next = Math.min(alongM.length - 1, Math.max(1, indexAbove(alongM, metres)));
  const last = Math.max(0, next - 1);
  const spanM = alongM[next]! - alongM[last]!;
  const t = spanM > 0 ? Math.max(0, Math.min(1, (metres - alongM[last]!) / spanM)) : 0;
  const [lon, lat] = interpolate([lonDeg[last]!, latDeg[last]!], [lonDeg[next]!, latDeg[next]!], t);
  return { lonDeg: lon, latDeg: lat, heightM: heightM[last]! + t * (heightM[next]! - heightM[last]!) };
}

/** Index of the first value above a limit, of an ascending list; its length where none is. */
function indexAbove(ascending: Float64Array, limit: number): number {
  let low = 0;
  let high = ascending.length;
  while (low < high) {
    const middle = (low + high) >> 1;
    if (ascending[middle]! <= limit) low = middle + 1;
    else high = middle;
  }
  return low;
}
