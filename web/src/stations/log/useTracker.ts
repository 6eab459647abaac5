/** Follows the simulated tracker: its clock runs faster than ours, and what it told is read as days. */
import { useEffect, useState } from "react";
import { dayNumber, isoOfDay, walkedDays, type Profile, type TrackerFix, type WalkedRecord } from "@gepack/core";
import { askTracker } from "../../data/tracker.ts";
import { notify } from "../../store/notices.ts";

const ASK_MS = 2000;

export interface Tracker {
  record: WalkedRecord;
  clock: string;
  positions: number;
}

interface Following {
  start: string;
  fromM: number;
  speed: number;
  begunS: number;
}

export function useTracker(profile: Profile) {
  const [following, setFollowing] = useState<Following>();
  const [tracker, setTracker] = useState<Tracker>();
  useEffect(() => {
    if (!following) return;
    const { start } = following;
    const fixes: TrackerFix[] = [];
    let since = `${isoOfDay(dayNumber(start)! - 1)}T12:00:00Z`;
    let timer: ReturnType<typeof setTimeout> | undefined;
    let isOver = false;
    const ask = async (): Promise<void> => {
      const answer = await askTracker({ ...following, since });
      if (isOver) return;
      if (!answer) {
        notify("The tracker isn’t responding. What it has sent so far is kept; try again when you’re online.");
        return setFollowing(undefined);
      }
      fixes.push(...answer.fixes);
      since = fixes.at(-1)?.time ?? since;
      const record = walkedDays([walkOf(fixes)], profile);
      // The nights before it leaves are no days of its.
      const days = record.days.filter(({ date }) => date >= start);
      setTracker({ record: { ...record, days }, clock: answer.clock, positions: fixes.length });
      timer = setTimeout(() => void ask(), ASK_MS);
    };
    void ask();
    return () => {
      isOver = true;
      clearTimeout(timer);
    };
  }, [following, profile]);
  return {
    told: tracker,
    isFollowing: following !== undefined,
    follow: (start: string, fromM: number, speed: number): void => {
      setTracker(undefined);
      setFollowing({ start, fromM, speed, begunS: Math.round(Date.now() / 1000) });
    },
    stop: () => setFollowing(undefined),
    clear: () => {
      setFollowing(undefined);
      setTracker(undefined);
    },
  };
}

function walkOf(fixes: readonly TrackerFix[]): Parameters<typeof walkedDays>[0][number] {
  return {
    track: {
      lonDeg: Float64Array.from(fixes, ({ lonDeg }) => lonDeg),
      latDeg: Float64Array.from(fixes, ({ latDeg }) => latDeg),
      heightM: new Float32Array(fixes.length).fill(NaN),
      segmentStarts: Uint32Array.of(0),
    },
    timesS: Float64Array.from(fixes, ({ time }) => Date.parse(time) / 1000),
  };
}
