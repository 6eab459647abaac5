/**
 * Many tracks in one file, as one trail: put in order by their nearest ends, turned round where that fits. Only
 * where the file's own order leaves long gaps and another leaves much shorter ones; a file that is in order
 * stays as it is. Greedy: from one piece the chain grows at both its ends by whichever piece lies nearest.
 */
import { distanceM } from "./geodesic.ts";
import type { TrackPoints } from "./points.ts";

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

interface Piece {
  from: number;
  to: number;
  turned: boolean;
}

export function arrangeTrack(track: TrackPoints): Arranged {
  const { segmentStarts, lonDeg, latDeg } = track;
  const pieces = [...segmentStarts].map((from, i): Piece => ({
    from,
    to: (segmentStarts[i + 1] ?? lonDeg.length) - 1,
    turned: false,
  }));
  const between = (a: number, b: number): number => distanceM(lonDeg[a]!, latDeg[a]!, lonDeg[b]!, latDeg[b]!);
  const first = ({ from, to, turned }: Piece): number => (turned ? to : from);
  const last = ({ from, to, turned }: Piece): number => (turned ? from : to);
  const gaps = (chain: readonly Piece[]): number[] =>
    chain.slice(1).map((piece, i) => between(last(chain[i]!), first(piece)));
  const sum = (values: readonly number[]): number => values.reduce((total, one) => total + one, 0);
  const told = (chain: readonly Piece[]): Omit<Arranged, "track" | "asRecorded"> => ({
    pieces: chain.length,
    turned: chain.filter(({ turned }) => turned).length,
    longestGapM: Math.max(0, ...gaps(chain)),
  });
  const recordedM = sum(gaps(pieces));
  const asRecorded = { track, asRecorded: true, ...told(pieces) };
  if (recordedM <= GAPS_BORNE_M || pieces.length < 2 || pieces.length > MOST_PIECES) return asRecorded;

  let chain = grow(pieces, between, first, last);
  if (sum(gaps(chain)) > WORTH_IT * recordedM) return asRecorded;
  // As most of it was recorded, so it is walked.
  const points = (turned: boolean): number =>
    sum(chain.filter((piece) => piece.turned === turned).map(({ from, to }) => to - from));
  if (points(true) > points(false)) chain = chain.reverse().map((piece) => ({ ...piece, turned: !piece.turned }));
  return { track: joined(track, chain), asRecorded: false, ...told(chain) };
}

function grow(
  pieces: readonly Piece[],
  between: (a: number, b: number) => number,
  first: (piece: Piece) => number,
  last: (piece: Piece) => number,
): Piece[] {
  const chain = [pieces[0]!];
  const left = new Set(pieces.slice(1));
  while (left.size > 0) {
    let best: { atM: number; piece: Piece; placed: Piece; behind: boolean } | undefined;
    const [head, tail] = [first(chain[0]!), last(chain.at(-1)!)];
    for (const piece of left)
      for (const turned of [false, true]) {
        const placed = { ...piece, turned };
        const behindM = between(tail, first(placed));
        const aheadM = between(last(placed), head);
        const atM = Math.min(behindM, aheadM);
        if (!best || atM < best.atM) best = { atM, piece, placed, behind: behindM <= aheadM };
      }
    left.delete(best!.piece);
    if (best!.behind) chain.push(best!.placed);
    else chain.unshift(best!.placed);
  }
  return chain;
}

function joined(track: TrackPoints, chain: readonly Piece[]): TrackPoints {
  const order = chain.flatMap(({ from, to, turned }) => {
    const indices = Array.from({ length: to - from + 1 }, (_, i) => from + i);
    return [turned ? indices.reverse() : indices];
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
  const count = tracks.reduce((sum, track) => sum + track.lonDeg.length, 0);
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
