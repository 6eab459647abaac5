/**
 * Your own pace out of recorded walks: how fast on which slope, how long one stands, how long one walks a day, and
 * all that against a time school. What is no walking is left out: standing (under 0.25 m/s), riding and flung points
 * (over 3 m/s), nights (a silence of four hours). What one carried on those walks is not known, and neither is the ground.
 */
import { gradeOf, type Section, type TimeSchool, type Walker } from "../models/time.ts";
import { distanceM } from "../track/geodesic.ts";
import type { TrackPoints } from "../track/points.ts";

export interface PastWalk {
  track: Pick<TrackPoints, "lonDeg" | "latDeg" | "heightM" | "segmentStarts">;
  /** Seconds since 1970, NaN where a point has none. */
  timesS: Float64Array;
}

export interface SlopePace {
  /** Of the class, percent: from and to. */
  fromPercent: number;
  toPercent: number;
  distanceM: number;
  walkH: number;
}

export interface PastPace {
  distanceM: number;
  climbM: number;
  /** Walking, and standing or sitting between, hours. */
  walkH: number;
  breakH: number;
  days: number;
  /** Classes with something in them, from the steepest descent to the steepest climb. */
  bySlope: SlopePace[];
  /** Own speed as a fraction of the school's, and its 90 % range; undefined where there is too little to say. */
  factor: { value: number; low: number; high: number } | undefined;
  /** Metres left out as rides or flung points. */
  leftOutM: number;
  /** No point of the files has a time. */
  untimed: boolean;
}

/** A step is as long as tells more than noise. */
export const STEP_M = 30;
export const STEP_S = 120;
export const SLOWEST_MPS = 0.25;
export const FASTEST_MPS = 3;
const NIGHT_S = 4 * 3600;
/** Pieces on which slope is given. */
const PIECE_M = 200;
const CLASSES = [-100, -20, -10, -5, 5, 10, 20, 100] as const;
/** Blocks of walking that are taken as one reading each. */
const BLOCK_H = 1;
const LEAST_BLOCKS = 4;
const LEAST_WALK_H = 3;
/** One hour is like the one before it (judgement [L]). */
const CORRELATION = 0.3;
const Z = 1.645;

interface Piece {
  distanceM: number;
  riseM: number;
  walkS: number;
}

/** All walks together. */
export function pastPace(walks: readonly PastWalk[], school: TimeSchool, walker: Walker): PastPace {
  const tally = { breakS: 0, leftOutM: 0, days: 0, timed: false };
  const pieces = walks.flatMap((walk) => piecesOf(walk, tally));
  const walkS = pieces.reduce((sum, piece) => sum + piece.walkS, 0);
  return {
    distanceM: pieces.reduce((sum, piece) => sum + piece.distanceM, 0),
    climbM: pieces.reduce((sum, piece) => sum + Math.max(0, piece.riseM), 0),
    walkH: walkS / 3600,
    breakH: tally.breakS / 3600,
    days: tally.days,
    bySlope: slopes(pieces),
    factor: factorOf(pieces, school, walker),
    leftOutM: tally.leftOutM,
    untimed: !tally.timed,
  };
}

interface Tally {
  breakS: number;
  leftOutM: number;
  days: number;
  timed: boolean;
}

function piecesOf({ track, timesS }: PastWalk, tally: Tally): Piece[] {
  const { lonDeg, latDeg, heightM, segmentStarts } = track;
  const starts = new Set(segmentStarts);
  const pieces: Piece[] = [];
  let piece: Piece = { distanceM: 0, riseM: 0, walkS: 0 };
  /** Where the step began; none before the first point with a time. */
  let from = -1;
  let walkedM = 0;
  let walkedToday = false;
  for (let i = 0; i < timesS.length; i++) {
    // The way goes on over points without a time.
    if (i > 0) walkedM += distanceM(lonDeg[i - 1]!, latDeg[i - 1]!, lonDeg[i]!, latDeg[i]!);
    if (Number.isNaN(timesS[i]!)) continue;
    tally.timed = true;
    if (from < 0 || timesS[i]! <= timesS[from]!) {
      from = i;
      walkedM = 0;
      continue;
    }
    const seconds = timesS[i]! - timesS[from]!;
    const cut = starts.has(i);
    if (walkedM < STEP_M && seconds < STEP_S && !cut) continue;
    const speed = walkedM / seconds;
    if (seconds >= NIGHT_S) walkedToday = false;
    else if (speed > FASTEST_MPS) tally.leftOutM += walkedM;
    else if (speed < SLOWEST_MPS || cut) tally.breakS += walkedToday ? seconds : 0;
    else {
      if (!walkedToday) tally.days++;
      walkedToday = true;
      const rise = heightM[i]! - heightM[from]!;
      piece.distanceM += walkedM;
      piece.walkS += seconds;
      piece.riseM += Number.isFinite(rise) ? rise : 0;
      if (piece.distanceM >= PIECE_M) {
        pieces.push(piece);
        piece = { distanceM: 0, riseM: 0, walkS: 0 };
      }
    }
    from = i;
    walkedM = 0;
  }
  if (piece.distanceM >= STEP_M) pieces.push(piece);
  return pieces;
}

function slopes(pieces: readonly Piece[]): SlopePace[] {
  const classes = CLASSES.slice(1).map((toPercent, i): SlopePace => ({
    fromPercent: CLASSES[i]!,
    toPercent,
    distanceM: 0,
    walkH: 0,
  }));
  for (const { distanceM: metres, riseM, walkS } of pieces) {
    const percent = (100 * riseM) / metres;
    const found = classes.find(({ toPercent }) => percent < toPercent) ?? classes.at(-1)!;
    found.distanceM += metres;
    found.walkH += walkS / 3600;
  }
  return classes.filter(({ distanceM: metres }) => metres > 0);
}

/** The school's hours over your own, hour by hour of walking: their mean, and how far it can be trusted. */
function factorOf(pieces: readonly Piece[], school: TimeSchool, walker: Walker): PastPace["factor"] {
  const logs: number[] = [];
  let own = 0;
  let theirs = 0;
  let allOwn = 0;
  let allTheirs = 0;
  for (const { distanceM: metres, riseM, walkS } of pieces) {
    const section = { distanceM: metres, climbM: Math.max(0, riseM), descentM: Math.max(0, -riseM) };
    own += walkS / 3600;
    theirs += schoolHours(school, section, walker);
    if (own < BLOCK_H) continue;
    logs.push(Math.log(theirs / own));
    allOwn += own;
    allTheirs += theirs;
    own = theirs = 0;
  }
  if (logs.length < LEAST_BLOCKS || allOwn < LEAST_WALK_H) return undefined;
  const value = allTheirs / allOwn;
  const mean = logs.reduce((sum, log) => sum + log, 0) / logs.length;
  const variance = logs.reduce((sum, log) => sum + (log - mean) ** 2, 0) / (logs.length - 1);
  const worth = (logs.length * (1 - CORRELATION)) / (1 + CORRELATION);
  const spread = Z * Math.sqrt(variance / worth);
  return { value, low: value * Math.exp(-spread), high: value * Math.exp(spread) };
}

function schoolHours({ speedMps, sectionH }: TimeSchool, section: Section, walker: Walker): number {
  if (!speedMps) return sectionH(section, walker);
  return section.distanceM / speedMps({ ...walker, gradeFraction: gradeOf(section) }) / 3600;
}
