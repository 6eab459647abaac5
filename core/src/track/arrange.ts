/**
 * Many tracks as one trail: put in order by their nearest ends, turned round where that fits. Only where the order
 * they came in leaves long gaps and another leaves much shorter ones; what is in order stays as it is. Greedy:
 * from one piece the chain grows at both its ends by whichever piece is nearest.
 */
import { distanceM } from "./geodesic.ts";
import type { TrackPoints } from "./points.ts";

interface Point {
  lonDeg: number;
  latDeg: number;
}

/** A piece by its ends, as it is in a chain. */
export interface Placed {
  id: number;
  first: Point;
  last: Point;
  /** How much of the trail it is: points. */
  size: number;
  turned: boolean;
}

export interface Arranged {
  track: TrackPoints;
  /** Nothing was moved: the pieces lay in order. */
  asRecorded: boolean;
  pieces: number;
  turned: number;
  /** The longest straight line between two pieces, metres. */
  longestGapM: number;
}

/** Gaps this long in all are walked as they are recorded. */
const GAPS_BORNE_M = 2000;
/** Another order has to leave so much less. */
const WORTH_IT = 0.5;
/** More pieces are a recorder's pauses, in their order. */
const MOST_PIECES = 1000;

const between = (a: Point, b: Point): number => distanceM(a.lonDeg, a.latDeg, b.lonDeg, b.latDeg);
const begin = ({ first, last, turned }: Placed): Point => (turned ? last : first);
const end = ({ first, last, turned }: Placed): Point => (turned ? first : last);
const sum = (values: readonly number[]): number => values.reduce((total, one) => total + one, 0);

/** Straight lines from each piece to the next. */
export function gapsOf(chain: readonly Placed[]): number[] {
  return chain.slice(1).map((piece, i) => between(end(chain[i]!), begin(piece)));
}

/** The pieces in the order to walk them; the very list where it is the order already. */
export function chainOf(pieces: readonly Placed[]): readonly Placed[] {
  const recordedM = sum(gapsOf(pieces));
  if (recordedM <= GAPS_BORNE_M || pieces.length < 2 || pieces.length > MOST_PIECES) return pieces;
  const chain = grow(pieces);
  if (sum(gapsOf(chain)) > WORTH_IT * recordedM) return pieces;
  // As most of it was recorded, so it is walked.
  const size = (turned: boolean): number =>
    sum(chain.filter((piece) => piece.turned === turned).map((piece) => piece.size));
  if (size(true) <= size(false)) return chain;
  return chain.reverse().map((piece) => ({ ...piece, turned: !piece.turned }));
}

/** The segments of one track. */
export function arrangeTrack(track: TrackPoints): Arranged {
  const { segmentStarts, lonDeg, latDeg } = track;
  const point = (i: number): Point => ({ lonDeg: lonDeg[i]!, latDeg: latDeg[i]! });
  const pieces = [...segmentStarts].map((from, id): Placed => {
    const last = (segmentStarts[id + 1] ?? lonDeg.length) - 1;
    return { id, first: point(from), last: point(last), size: last - from, turned: false };
  });
  const chain = chainOf(pieces);
  const asRecorded = chain === pieces;
  return {
    track: asRecorded ? track : inOrder(track, chain),
    asRecorded,
    pieces: chain.length,
    turned: chain.filter(({ turned }) => turned).length,
    longestGapM: Math.max(0, ...gapsOf(chain)),
  };
}

function grow(pieces: readonly Placed[]): Placed[] {
  const chain = [pieces[0]!];
  const left = new Set(pieces.slice(1));
  while (left.size > 0) {
    let best: { atM: number; piece: Placed; placed: Placed; behind: boolean } | undefined;
    const [head, tail] = [begin(chain[0]!), end(chain.at(-1)!)];
    for (const piece of left)
      for (const turned of [false, true]) {
        const placed = { ...piece, turned };
        const behindM = between(tail, begin(placed));
        const aheadM = between(end(placed), head);
        const atM = Math.min(behindM, aheadM);
        if (!best || atM < best.atM) best = { atM, piece, placed, behind: behindM <= aheadM };
      }
    left.delete(best!.piece);
    if (best!.behind) chain.push(best!.placed);
    else chain.unshift(best!.placed);
  }
  return chain;
}

/** The segments of a track in another order. */
function inOrder(track: TrackPoints, chain: readonly Placed[]): TrackPoints {
  const order = chain.map(({ id, turned }) => {
    const from = track.segmentStarts[id]!;
    const to = track.segmentStarts[id + 1] ?? track.lonDeg.length;
    const indices = Array.from({ length: to - from }, (_, i) => from + i);
    return turned ? indices.reverse() : indices;
  });
  const indices = order.flat();
  let at = 0;
  const starts = order.map((piece) => {
    const start = at;
    at += piece.length;
    return start;
  });
  return {
    ...track,
    lonDeg: Float64Array.from(indices, (i) => track.lonDeg[i]!),
    latDeg: Float64Array.from(indices, (i) => track.latDeg[i]!),
    heightM: Float32Array.from(indices, (i) => track.heightM[i]!),
    segmentStarts: Uint32Array.from(starts),
  };
}

/** Several tracks as one, in the order given; a joined one is called as the first. */
export function joinTracks(tracks: readonly TrackPoints[]): TrackPoints {
  const [first] = tracks;
  if (!first) throw new Error("joinTracks: no track given.");
  if (tracks.length === 1) return first;
  const count = tracks.reduce((total, track) => total + track.lonDeg.length, 0);
  const whole = {
    ...first,
    lonDeg: new Float64Array(count),
    latDeg: new Float64Array(count),
    heightM: new Float32Array(count),
  };
  const starts: number[] = [];
  let at = 0;
  for (const { lonDeg, latDeg, heightM, segmentStarts } of tracks) {
    whole.lonDeg.set(lonDeg, at);
    whole.latDeg.set(latDeg, at);
    whole.heightM.set(heightM, at);
    for (const start of segmentStarts) starts.push(at + start);
    at += lonDeg.length;
  }
  return { ...whole, segmentStarts: Uint32Array.from(starts) };
}
