/**
 * Days out of recorded positions with times, a watch's every second or a tracker's every half hour: where each day ended,
 * how long was walked and rested. Days are those of the sun at the walker, from three in the night to three, reckoned on
 * from where the record starts, so that none is lost or doubled where the trail crosses the date line. A position that is
 * reached and left faster than anybody walks, while the way without it is walked, is a wrong fix and is left out. Where the
 * record is silent for longer than a rest, the hours of the distance between are taken from the day's own speed. All bounds are
 * judgement [L].
 */
import { distanceM } from "../track/geodesic.ts";
import { locate, nodeOf, walkedOf } from "../track/place.ts";
import type { Profile } from "../track/profile.ts";
import type { WalkedM } from "../units/lengths.ts";
import { isoOfDay } from "../units/day.ts";
import { FASTEST_MPS, SLOWEST_MPS, STEP_M, STEP_S, type PastWalk } from "../walk/pastWalk.ts";

export interface WalkedDay {
  date: string;
  /** Positions that count, and wrong ones that were left out. */
  fixes: number;
  flung: number;
  /** Along the walk at the first and the last position by the trail; undefined where none was by it. */
  fromM: WalkedM | undefined;
  toM: WalkedM | undefined;
  /** How far from the trail the record of the day ends. */
  endsOffM: number;
  /** Hours on the feet, and of rest between; undefined where one position alone is known. */
  walkedH: number | undefined;
  breakH: number | undefined;
  /** Without a position for so long, while the way went on. */
  silentH: number;
}

export interface WalkedRecord {
  /** In order. */
  days: WalkedDay[];
  /** Share of the positions that are away from the trail, and how far the nearest and the farthest are. */
  awayShare: number;
  nearestM: number;
  farthestM: number;
  /** No position has a time. */
  isUntimed: boolean;
}

/** Further from the trail one is not on it. */
export const AWAY_M = 1000;
const DAY_BEGINS_H = 3;
/** A silence longer than this is no rest. */
const SILENT_S = 1.5 * 3600;
/** Positions of a day of which the place is looked for, its ends among them. */
const MOST_LOCATED = 60;

interface Fix {
  lonDeg: number;
  latDeg: number;
  timeS: number;
}

export function walkedDays(walks: readonly PastWalk[], profile: Profile): WalkedRecord {
  const fixes = fixesOf(walks);
  const none = { days: [], awayShare: 0, nearestM: NaN, farthestM: NaN, isUntimed: true };
  if (fixes.length === 0) return none;
  const byDay = new Map<number, { kept: Fix[]; flung: number }>();
  const flung = flungOf(fixes);
  for (const [i, { day, ...fix }] of onOneCalendar(fixes).entries()) {
    const ofDay = byDay.get(day) ?? { kept: [], flung: 0 };
    byDay.set(day, ofDay);
    if (flung[i]) ofDay.flung++;
    else ofDay.kept.push(fix);
  }
  const offs: number[] = [];
  const days = [...byDay].flatMap(([day, { kept, flung: left }]): WalkedDay[] => {
    if (kept.length === 0) return [];
    const places = sampled(kept).map(({ lonDeg, latDeg }) => {
      const there = locate(profile, lonDeg, latDeg);
      offs.push(there.offM);
      return { offM: there.offM, alongM: walkedOf(profile, nodeOf(profile, there)) };
    });
    const near = places.filter(({ offM }) => offM <= AWAY_M);
    return [
      {
        date: isoOfDay(day),
        fixes: kept.length,
        flung: left,
        fromM: near[0]?.alongM,
        toM: near.at(-1)?.alongM,
        endsOffM: places.at(-1)!.offM,
        ...hoursOf(kept),
      },
    ];
  });
  return {
    days,
    awayShare: offs.filter((offM) => offM > AWAY_M).length / offs.length,
    nearestM: offs.reduce((least, offM) => Math.min(least, offM), Infinity),
    farthestM: offs.reduce((most, offM) => Math.max(most, offM), 0),
    isUntimed: false,
  };
}

/** In the order of their times, of two at the same moment the first. */
function fixesOf(walks: readonly PastWalk[]): Fix[] {
  const all = walks.flatMap(({ track, timesS }) =>
    Array.from(timesS, (timeS, i): Fix => ({ lonDeg: track.lonDeg[i]!, latDeg: track.latDeg[i]!, timeS })),
  );
  return all
    .filter(({ timeS }) => Number.isFinite(timeS))
    .sort((a, b) => a.timeS - b.timeS)
    .filter(({ timeS }, i, sorted) => i === 0 || timeS > sorted[i - 1]!.timeS);
}

/** With the day of the sun, the longitude followed without a leap. */
function onOneCalendar(fixes: readonly Fix[]): (Fix & { day: number })[] {
  let lonDeg = fixes[0]!.lonDeg;
  return fixes.map((fix) => {
    lonDeg += ((((fix.lonDeg - lonDeg) % 360) + 540) % 360) - 180;
    return { ...fix, day: Math.floor((fix.timeS / 3600 + lonDeg / 15 - DAY_BEGINS_H) / 24) };
  });
}

const apartM = (a: Fix, b: Fix): number => distanceM(a.lonDeg, a.latDeg, b.lonDeg, b.latDeg);
const isRun = (a: Fix, b: Fix): boolean => apartM(a, b) > FASTEST_MPS * Math.abs(b.timeS - a.timeS);

/** Out and back by more than this, for one position alone, is a wrong one. */
const SPIKE_M = 5000;
const SPIKE_RATIO = 5;

/** Which positions are wrong, over the whole record: the last of a day has a neighbour in the next. */
function flungOf(fixes: readonly Fix[]): boolean[] {
  const flung: boolean[] = [];
  let before: Fix | undefined;
  for (const [i, fix] of fixes.entries()) {
    const after = fixes[i + 1];
    flung.push(isFlung(before, fix, after, fixes[i + 2]));
    if (!flung[i]) before = fix;
  }
  return flung;
}

/** At either end of the record the two on the other side have to agree. */
function isFlung(before: Fix | undefined, fix: Fix, after: Fix | undefined, next: Fix | undefined): boolean {
  if (!before) return after !== undefined && next !== undefined && isRun(fix, after) && !isRun(after, next);
  if (!after) return isRun(before, fix);
  const there = apartM(before, fix) + apartM(fix, after);
  if (there > SPIKE_M + SPIKE_RATIO * apartM(before, after)) return true;
  return isRun(before, fix) && !isRun(before, after);
}

function sampled<T>(rows: readonly T[]): T[] {
  if (rows.length <= MOST_LOCATED) return [...rows];
  return Array.from(
    { length: MOST_LOCATED },
    (_, i) => rows[Math.round((i * (rows.length - 1)) / (MOST_LOCATED - 1))]!,
  );
}

function hoursOf(fixes: readonly Fix[]): Pick<WalkedDay, "walkedH" | "breakH" | "silentH"> {
  let [walkS, doneM, restS, pendingS, silentS, silentM] = [0, 0, 0, 0, 0, 0];
  let from = fixes[0]!;
  for (const fix of fixes.slice(1)) {
    const metres = apartM(from, fix);
    const seconds = fix.timeS - from.timeS;
    if (metres < STEP_M && seconds < STEP_S) continue;
    const speed = metres / seconds;
    const isMoving = speed >= SLOWEST_MPS && speed <= FASTEST_MPS;
    from = fix;
    if (!isMoving) {
      // A rest is one between two walks: before the first and after the last the day has not started, and is over.
      if (walkS + silentM > 0) pendingS += seconds;
      continue;
    }
    restS += pendingS;
    pendingS = 0;
    if (seconds > SILENT_S) {
      silentS += seconds;
      silentM += metres;
    } else {
      walkS += seconds;
      doneM += metres;
    }
  }
  if (walkS === 0 && silentS === 0) return { walkedH: fixes.length > 1 ? 0 : undefined, breakH: undefined, silentH: 0 };
  const overS = doneM > 0 ? Math.min(silentS, (silentM * walkS) / doneM) : silentS;
  return { walkedH: (walkS + overS) / 3600, breakH: (restS + silentS - overS) / 3600, silentH: silentS / 3600 };
}
