/**
 * The tracks that files hold, as one trail: which of them make it, in what order and direction, which go beside
 * it, and which only walk the same ground once more. Proposed from their ends and overlaps; whoever knows better
 * changes the choices and has it laid again.
 */
import { arrangeTrack, chainOf, gapsOf, joinTracks, type Placed } from "./arrange.ts";
import type { TrackFile } from "./collect.ts";
import { distanceM } from "./geodesic.ts";
import type { TrackPoints } from "./points.ts";

/** A track of a file by itself. */
export interface Part {
  track: TrackPoints;
  /** The file says that it is no part of the main trail. */
  isBeside: boolean;
}

export type PartRole = "trail" | "alternate" | "left";

/** One part, at its place in the order. */
export interface PartChoice {
  part: number;
  role: PartRole;
  turned: boolean;
}

/** More tracks than this are a recorder's pauses. */
const MOST_PARTS = 60;
/** What is within this of another track touches it. */
const TOUCHES_M = 2000;
/** Within this it is the same ground. */
const SAME_GROUND_M = 150;
/** So much of a track has to be the same ground. */
const MOSTLY = 0.9;
const SAMPLES = 200;
const BESIDE = /\b(alternat\w*|alternativ\w*|variante?n?|side ?trip|bypass|detour|umleitung|abstecher)\b/i;

export function partsOfFile({ track, parts }: TrackFile): Part[] {
  if (parts.length < 2 || parts.length > MOST_PARTS) return track.lonDeg.length < 2 ? [] : [{ track, isBeside: false }];
  return parts.flatMap(({ name, type, from }, i) => {
    const to = parts[i + 1]?.from ?? track.lonDeg.length;
    if (to - from < 2) return [];
    const starts = [...track.segmentStarts].filter((start) => start > from && start < to).map((start) => start - from);
    const own: TrackPoints = {
      id: `${track.id}-${i + 1}`,
      name: name || track.name,
      lonDeg: track.lonDeg.slice(from, to),
      latDeg: track.latDeg.slice(from, to),
      heightM: track.heightM.slice(from, to),
      segmentStarts: Uint32Array.from([0, ...starts]),
    };
    return [{ track: own, isBeside: BESIDE.test(`${name} ${type}`) }];
  });
}

/** Roles, order and direction for tracks of which nothing is known but where they are. */
export function proposeChoices(parts: readonly Part[]): PartChoice[] {
  const all = parts.map((_, index) => index);
  if (parts.length === 1) return [{ part: 0, role: "trail", turned: false }];
  const samples = parts.map(({ track }) => sampled(track));
  const role = new Map<number, PartRole>();
  const inTrail = new Set(all.filter((index) => !parts[index]!.isBeside));
  if (inTrail.size === 0) for (const index of all) inTrail.add(index);
  const pieces = (which: Iterable<number>) => [...which].map((index) => endsOf(parts[index]!.track, index));
  const gapsM = (which: Iterable<number>): number => gapsOf(chainOf(pieces(which))).reduce((sum, gap) => sum + gap, 0);
  const near = (index: number, at: number, within: number): boolean =>
    [...inTrail].some((other) => other !== index && distanceTo(samples[index]!, at, samples[other]!) <= within);
  // The shortest first: what is left at the end is the trail.
  const shortest = [...inTrail].sort((a, b) => samples[a]!.lengthM - samples[b]!.lengthM);
  for (const index of shortest) {
    if (inTrail.size === 1) break;
    const own = samples[index]!;
    const last = own.lonDeg.length - 1;
    if (!near(index, 0, TOUCHES_M) || !near(index, last, TOUCHES_M)) continue;
    const others = [...inTrail].filter((other) => other !== index);
    // Without it the trail is as whole as with it.
    if (gapsM(others) > gapsM(inTrail) + TOUCHES_M) continue;
    const same = own.lonDeg.reduce((count, _, at) => count + (near(index, at, SAME_GROUND_M) ? 1 : 0), 0);
    const closesLoop = same < MOSTLY * own.lonDeg.length && isOtherHalf(index, others, parts);
    if (closesLoop) continue;
    inTrail.delete(index);
    role.set(index, same >= MOSTLY * own.lonDeg.length ? "left" : "alternate");
  }
  const chain = chainOf(pieces(inTrail));
  const rest = all.filter((index) => !inTrail.has(index));
  return [
    ...chain.map(({ id, turned }): PartChoice => ({ part: id, role: "trail", turned })),
    ...rest.map((part): PartChoice => ({ part, role: role.get(part) ?? "alternate", turned: false })),
  ];
}

/** From end to end of one other track, and about as long: a loop in two halves, not a way round. */
function isOtherHalf(index: number, others: readonly number[], parts: readonly Part[]): boolean {
  const own = endsOf(parts[index]!.track, index);
  return others.some((other) => {
    const { first, last } = endsOf(parts[other]!.track, other);
    const meets = (a: Point, b: Point): boolean => apart(a, b) <= TOUCHES_M;
    return (meets(own.first, first) && meets(own.last, last)) || (meets(own.first, last) && meets(own.last, first));
  });
}

export interface ArrangedParts {
  /** The chosen tracks as one, in their order. */
  track: TrackPoints;
  alternates: TrackPoints[];
  /** Straight lines between one track of the trail and the next, and the parts they are between. */
  gaps: { lengthM: number; before: number; after: number }[];
}

/** Lays the tracks as they are chosen; at least one has to be of the trail. */
export function arrangeParts(parts: readonly Part[], choices: readonly PartChoice[], id: string): ArrangedParts {
  const trail = choices.filter(({ role }) => role === "trail");
  const laid = trail.map(({ part, turned }) => (turned ? turnedTrack(parts[part]!.track) : parts[part]!.track));
  const gaps = laid.slice(1).map((track, i) => {
    const from = laid[i]!;
    const end = from.lonDeg.length - 1;
    const lengthM = distanceM(from.lonDeg[end]!, from.latDeg[end]!, track.lonDeg[0]!, track.latDeg[0]!);
    return { lengthM, before: trail[i]!.part, after: trail[i + 1]!.part };
  });
  const whole = laid.length === 1 ? arrangeTrack(laid[0]!).track : joinTracks(laid);
  return {
    track: { ...whole, id },
    alternates: choices.filter(({ role }) => role === "alternate").map(({ part }) => parts[part]!.track),
    gaps,
  };
}

export function turnedTrack(track: TrackPoints): TrackPoints {
  const count = track.lonDeg.length;
  const starts = [...track.segmentStarts].slice(1).map((start) => count - start);
  return {
    ...track,
    lonDeg: track.lonDeg.toReversed(),
    latDeg: track.latDeg.toReversed(),
    heightM: track.heightM.toReversed(),
    segmentStarts: Uint32Array.from([0, ...starts.reverse()]),
  };
}

interface Point {
  lonDeg: number;
  latDeg: number;
}

const apart = (a: Point, b: Point): number => distanceM(a.lonDeg, a.latDeg, b.lonDeg, b.latDeg);

function endsOf({ lonDeg, latDeg }: TrackPoints, id: number): Placed {
  const last = lonDeg.length - 1;
  return {
    id,
    first: { lonDeg: lonDeg[0]!, latDeg: latDeg[0]! },
    last: { lonDeg: lonDeg[last]!, latDeg: latDeg[last]! },
    size: lonDeg.length,
    turned: false,
  };
}

interface Samples {
  lonDeg: number[];
  latDeg: number[];
  lengthM: number;
}

/** Points at even distances, enough to tell where a track runs. */
function sampled({ lonDeg, latDeg }: TrackPoints): Samples {
  const along = [0];
  for (let i = 1; i < lonDeg.length; i++)
    along.push(along[i - 1]! + distanceM(lonDeg[i - 1]!, latDeg[i - 1]!, lonDeg[i]!, latDeg[i]!));
  const lengthM = along.at(-1)!;
  const indices: number[] = [];
  for (let i = 0, step = 0; i < along.length; i++)
    if (along[i]! >= (step * lengthM) / SAMPLES) {
      indices.push(i);
      while (step <= SAMPLES && along[i]! >= (step * lengthM) / SAMPLES) step++;
    }
  if (indices.at(-1) !== along.length - 1) indices.push(along.length - 1);
  return { lonDeg: indices.map((i) => lonDeg[i]!), latDeg: indices.map((i) => latDeg[i]!), lengthM };
}

const M_PER_DEG = 111_200;

/** From one sample to the line through another track's, flat about it; far off, only as far as to know that. */
function distanceTo(from: Samples, at: number, to: Samples): number {
  const [lon, lat] = [from.lonDeg[at]!, from.latDeg[at]!];
  const perLon = M_PER_DEG * Math.cos((lat * Math.PI) / 180);
  let best = Infinity;
  let [ax, ay] = [0, 0];
  for (let i = 0; i < to.lonDeg.length; i++) {
    const around = ((((to.lonDeg[i]! - lon + 180) % 360) + 360) % 360) - 180;
    const [bx, by] = [around * perLon, (to.latDeg[i]! - lat) * M_PER_DEG];
    if (i > 0) {
      const [dx, dy] = [bx - ax, by - ay];
      const square = dx * dx + dy * dy;
      const t = square > 0 ? Math.max(0, Math.min(1, -(ax * dx + ay * dy) / square)) : 0;
      best = Math.min(best, Math.hypot(ax + t * dx, ay + t * dy));
    }
    [ax, ay] = [bx, by];
  }
  return best;
}
