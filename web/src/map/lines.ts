/** The walked line and the places on it as a map needs them: degrees, longitude first, without a leap at ±180°. */
import { bisectRight, ticks } from "d3-array";
import {
  isWalked,
  nodeOf,
  nodesOn,
  type LegResult,
  type Plan,
  type Profile,
  type Stretch,
  type TrackPoints,
} from "@gepack/core";

export type LonLat = [lonDeg: number, latDeg: number];

/** A piece of the line of one class: a band of height, or a leg. */
export interface Run {
  points: LonLat[];
  of: number;
}

/** The turn of a longitude that is nearest to another. */
export function nearLon(lonDeg: number, toDeg: number): number {
  return lonDeg + 360 * Math.round((toDeg - lonDeg) / 360);
}

/** Longitudes that go on over ±180° without a leap, from a first one. */
function unrolled(lonDeg: ArrayLike<number>, nearDeg = lonDeg[0] ?? 0): number[] {
  let last = nearDeg;
  return Array.from(lonDeg, (lon) => (last = nearLon(lon, last)));
}

/** The nodes' places in walking order. */
export function nodePlaces({ lonDeg, latDeg }: Profile): LonLat[] {
  return unrolled(lonDeg).map((lon, node): LonLat => [lon, latDeg[node]!]);
}

/** Pieces of the walked line: a new one wherever the class changes, and beyond a ride or transfer. */
export function runsOf(profile: Profile, places: readonly LonLat[], classOf: (node: number) => number): Run[] {
  const joints = new Set(profile.joints.map(({ node }) => node));
  const runs: Run[] = [];
  let run: Run | undefined;
  for (let node = 0; node < profile.cellCount; node++) {
    const of = classOf(node);
    if (!run || joints.has(node) || run.of !== of) runs.push((run = { points: [places[node]!], of }));
    // The cell before a joint ends at another place: nobody walks there.
    if (!joints.has(node + 1)) run.points.push(places[node + 1]!);
  }
  return runs.filter(({ points }) => points.length > 1);
}

/** A band of less than this share of the range is none. */
const LEAST_BAND_FRACTION = 0.04;

/** Where bands of height start, about `count` of them at round figures. */
export function heightEdges({ lowestM, highestM }: Profile, count: number): number[] {
  const least = LEAST_BAND_FRACTION * (highestM - lowestM);
  return ticks(lowestM, highestM, count).filter((edge) => edge > lowestM + least && edge < highestM - least);
}

export function heightClass({ heightM }: Profile, edges: readonly number[]): (node: number) => number {
  return (node) => bisectRight(edges as number[], (heightM[node]! + heightM[node + 1]!) / 2);
}

export function legClass(legs: readonly LegResult[]): (node: number) => number {
  const ends = legs.map(({ toNode }) => toNode);
  return (node) => Math.min(ends.length - 1, bisectRight(ends, node));
}

/** More points than this are not seen on any map. */
const MOST_POINTS = 20_000;

/** A line as it was recorded, thinned. */
export function trackPlaces({ lonDeg, latDeg }: TrackPoints, nearDeg: number): LonLat[] {
  const step = Math.max(1, Math.ceil(lonDeg.length / MOST_POINTS));
  const lon = unrolled(lonDeg, nearDeg);
  const last = lon.length - 1;
  return lon.flatMap((one, i): LonLat[] => (i % step === 0 || i === last ? [[one, latDeg[i]!]] : []));
}

/** Where stretches are on the walked line, apart in time as they are met. */
export function stretchLines(
  plan: Plan,
  profile: Profile,
  places: readonly LonLat[],
): { stretch: Stretch; points: LonLat[] }[] {
  return plan.stretches.flatMap((stretch) =>
    nodesOn(profile, stretch).flatMap(([from, to]) =>
      to > from ? [{ stretch, points: places.slice(from, to + 1) as LonLat[] }] : [],
    ),
  );
}

export const POINT_KINDS = ["stops", "sources", "camps"] as const;
export type PointKind = (typeof POINT_KINDS)[number];

export interface MapPlace {
  kind: PointKind;
  id: string;
  name: string;
  at: LonLat;
  /** Skipped, or water that is not trusted. */
  faint: boolean;
}

/** Places that are met, where they are; those without coordinates of their own where they are along the trail. */
export function placesOn(plan: Plan, profile: Profile, nodes: readonly LonLat[]): MapPlace[] {
  const rows = [
    ...plan.stops.map((row) => ({ row, kind: "stops" as const, faint: !row.use })),
    ...plan.sources.map((row) => ({ row, kind: "sources" as const, faint: !(row.counted ?? row.reliable) })),
    ...plan.camps.map((row) => ({ row, kind: "camps" as const, faint: false })),
  ];
  return rows
    .filter(({ row }) => isWalked(profile, row))
    .map(({ row, kind, faint }) => {
      const on = nodes[nodeOf(profile, row)]!;
      const { lonDeg, latDeg } = row;
      const at: LonLat = lonDeg === undefined || latDeg === undefined ? on : [nearLon(lonDeg, on[0]), latDeg];
      return { kind, id: row.id, name: row.name, at, faint };
    });
}
