/** Where a day ends. */
import { CAMP_NEAR_M, firstAbove, lastAtMost } from "./camps.ts";
import { PUSH_ON_H, type Stride } from "./stride.ts";
import type { Today } from "./today.ts";

/** How far beyond the day's end a stretch without camping is walked out of. */
const MOST_OVERTIME_H = 3;

/** Where to camp when the hours end at `endNode`: at most `windowH` earlier, later only to leave a stretch without camping. */
export function campNode(stride: Stride, today: Today, startNode: number, endNode: number, stopNode: number): number {
  const { ground } = stride;
  const { camps, rules, profile } = ground;
  if (rules.sleepAt === "beds") return bedNode(stride, today, startNode, endNode, stopNode) ?? endNode;
  const walkedH = stride.hours(startNode, endNode);
  const windowH = Math.min(rules.campWindowH, walkedH / 2);
  const earliest = backBy(stride, startNode, endNode, windowH);
  let camp = endNode;
  if (rules.sleepAt !== "anywhere") {
    let listed = lastAtMost(camps.listed, endNode);
    // None in the window: the last one that leaves half a day's walk behind.
    const halfway = backBy(stride, startNode, endNode, walkedH / 2);
    if (listed < earliest && listed < halfway) listed = -1;
    if (listed > startNode) camp = listed;
  } else if (rules.endRule === "camp") {
    const reach = Math.round(CAMP_NEAR_M / profile.cellM);
    const wet = camps.wet.lastWithin(earliest, Math.min(endNode + reach, stopNode), today.day);
    // Water at hand where the hours end: no reason to stop short of it, not even for a listed camp.
    const good = wet >= endNode ? endNode : Math.max(wet, lastAtMost(camps.listed, endNode));
    if (good >= earliest && good > startNode) camp = good;
  }
  if (camps.forbidden[camp] === 0) return camp;
  const halfway = backBy(stride, startNode, camp, walkedH / 2);
  for (let node = camp - 1; node > startNode && node >= halfway; node--) if (camps.forbidden[node] === 0) return node;
  let overH = 0;
  for (let node = camp; node < stopNode && overH <= MOST_OVERTIME_H; node++) {
    if (camps.forbidden[node] === 0) return node;
    overH += stride.plainH[node]!;
  }
  return overH <= MOST_OVERTIME_H ? stopNode : camp;
}

/**
 * The bed for the night when the hours end at `endNode`: within the window before it, else the next one within
 * an hour, else the last one behind, else one for which the day is stretched. Undefined where none is in reach.
 */
function bedNode(stride: Stride, today: Today, startNode: number, endNode: number, stopNode: number) {
  const { camps, rules } = stride.ground;
  const last = lastAtMost(camps.listed, endNode);
  const behind = last > startNode ? last : undefined;
  if (behind !== undefined && behind >= backBy(stride, startNode, endNode, rules.campWindowH)) return behind;
  const next = Math.min(stopNode, firstAbove(camps.listed, endNode) ?? stopNode);
  const aheadH =
    camps.beds.has(next) || next < stopNode ? stride.hoursAhead(today, endNode, next, MOST_OVERTIME_H) : Infinity;
  if (aheadH <= PUSH_ON_H) return next;
  if (behind !== undefined) return behind;
  return aheadH <= MOST_OVERTIME_H ? next : undefined;
}

/** The node that is some walking hours before `endNode`, never before the one after `startNode`. */
function backBy(stride: Stride, startNode: number, endNode: number, hours: number): number {
  let node = endNode;
  for (let left = hours; node > startNode + 1; node--) {
    left -= stride.cellH[node - 1]!;
    if (left < 0) break;
  }
  return node;
}
