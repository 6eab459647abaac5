/**
 * A stand-in for a satellite tracker that walks a trail: positions every twenty minutes by day and every four hours by
 * night, with the gaps and wrong positions that trackers have. Simulated, and said so wherever it is used. Always the same
 * for the same trail and first day, so that what is asked again is answered again. All of its numbers are judgement [L].
 */
import { distanceM } from "../track/geodesic.ts";
import { uniform } from "../units/draws.ts";
import type { TrackPoints } from "../track/points.ts";

export interface TrackerFix {
  /** UTC. */
  time: string;
  lonDeg: number;
  latDeg: number;
}

export interface TrackerAnswer {
  simulated: true;
  /** Of the tracker, UTC: no position is later. */
  clock: string;
  fixes: TrackerFix[];
}

export interface Tracked {
  track: Pick<TrackPoints, "lonDeg" | "latDeg">;
  /** Day number on which it leaves. */
  startDay: number;
  /** Where along the trail it leaves. */
  fromM?: number;
  /** UTC seconds: later than the first, not later than the second. */
  sinceS: number;
  untilS: number;
}

const FIX_S = 20 * 60;
const NIGHT_FIX_S = 4 * 3600;
const LEAVES_H = 7.5;
const STOPS_H = 17;
/** Hours at noon in which it is still. */
const NOON = { from: 12, to: 13.25 } as const;
const KMH = { least: 2.4, most: 3.4 } as const;
/** Of positions those that never come and those that are wrong; of days those with a valley without sky. */
const LOST_SHARE = 0.06;
const WRONG_SHARE = 0.02;
const SILENT_SHARE = 0.25;
const SILENT_H = 3.5;
const WRONG_DEG = 0.35;
const NOISE_DEG = 0.00012;
const DAY_S = 86_400;
/** The same tracker for everybody. */
const SEED = 17;

const share = (of: number, quantity: number): number => uniform(SEED, of, quantity, 0);

/** No answer is longer than so many days. */
const MOST_TRACKER_DAYS = 40;

export function simulatedTracker({ track, startDay, fromM = 0, sinceS, untilS }: Tracked): TrackerAnswer {
  const along = alongOf(track);
  const zoneS = Math.round((track.lonDeg[0]! / 15) * 3600);
  const fixes: TrackerFix[] = [];
  const lastDay = Math.floor((untilS + zoneS) / DAY_S);
  const firstDay = Math.max(startDay, Math.floor((sinceS + zoneS) / DAY_S), lastDay - MOST_TRACKER_DAYS);
  let walkedM = fromM;
  for (let day = startDay; day < firstDay; day++) walkedM += dayDistanceM(day, STOPS_H);
  for (let day = firstDay; day <= lastDay; day++) {
    const silentFrom = share(day, 1) < SILENT_SHARE ? 9 + 4 * share(day, 2) : Infinity;
    for (let s = 0; s < DAY_S; s += FIX_S) {
      const timeS = day * DAY_S + s - zoneS;
      const hour = s / 3600;
      const isNight = hour < LEAVES_H - 0.5 || hour > STOPS_H + 0.5;
      if (timeS <= sinceS || timeS > untilS || (isNight && s % NIGHT_FIX_S !== 0)) continue;
      if (share(timeS, 3) < LOST_SHARE || (hour >= silentFrom && hour < silentFrom + SILENT_H)) continue;
      const [lonDeg, latDeg] = placeAt(track, along, walkedM + dayDistanceM(day, hour));
      const flung = share(timeS, 4) < WRONG_SHARE ? WRONG_DEG : NOISE_DEG;
      fixes.push({
        time: new Date(timeS * 1000).toISOString(),
        lonDeg: round(lonDeg + flung * (2 * share(timeS, 5) - 1)),
        latDeg: round(latDeg + flung * (2 * share(timeS, 6) - 1)),
      });
    }
    walkedM += dayDistanceM(day, STOPS_H);
  }
  return { simulated: true, clock: new Date(untilS * 1000).toISOString(), fixes };
}

const round = (degrees: number): number => Number(degrees.toFixed(5));

/** Metres walked on a day until an hour of it. */
function dayDistanceM(day: number, hour: number): number {
  const kmh = KMH.least + (KMH.most - KMH.least) * share(day, 0);
  const until = Math.min(STOPS_H, Math.max(LEAVES_H, hour));
  const still = Math.max(0, Math.min(until, NOON.to) - NOON.from);
  return 1000 * kmh * (until - LEAVES_H - still);
}

/** Metres from the first point to each. */
function alongOf({ lonDeg, latDeg }: Tracked["track"]): Float64Array {
  const along = new Float64Array(lonDeg.length);
  for (let i = 1; i < along.length; i++)
    along[i] = along[i - 1]! + distanceM(lonDeg[i - 1]!, latDeg[i - 1]!, lonDeg[i]!, latDeg[i]!);
  return along;
}

/** At the trail's end it stays. */
function placeAt(
  { lonDeg, latDeg }: Tracked["track"],
  along: Float64Array,
  metres: number,
): [lon: number, lat: number] {
  let [low, high] = [0, along.length - 1];
  while (low < high) {
    const middle = (low + high) >> 1;
    if (along[middle]! < metres) low = middle + 1;
    else high = middle;
  }
  return [lonDeg[low]!, latDeg[low]!];
}
