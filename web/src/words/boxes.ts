/** Words of boxes: where they come from, how far they are, what flies. */
import {
  isoOfDay,
  sendingDates,
  type BoxFault,
  type BoxRow,
  type PlannedBox,
  type Plan,
  type Refill,
  type Travels,
} from "@gepack/core";
import { stopName } from "./names.ts";
import type { Say } from "./say.ts";

export const TRAVEL_WORDS: Readonly<Record<Travels, string>> = {
  any: "cabin, hold or mail",
  cabin: "cabin only, or ground mail",
  hold: "hold only, or mail",
  neither: "not by air; most carriers refuse it",
};

export const STEPS = ["packedOn", "sentOn", "arrivedOn", "fetchedOn"] as const;
export type Step = (typeof STEPS)[number];

export const STEP_WORDS: Readonly<Record<Step, string>> = {
  packedOn: "packed",
  sentOn: "mailed",
  arrivedOn: "arrived",
  fetchedOn: "picked up",
};

/** How far it has come. */
export function stateWords(row: BoxRow | undefined, say: Say): string {
  const last = row && STEPS.toReversed().find((step) => row[step] !== undefined);
  return last ? `${STEP_WORDS[last]} on ${say.date(row[last]!)}` : "not packed yet";
}

type Named = Pick<PlannedBox, "toStopId" | "fromStopId" | "bounce">;

export function boxName({ toStopId, fromStopId, bounce }: Named, plan: Plan): string {
  const to = `${stopName(plan, toStopId)}${bounce ? ", bounce box" : ""}`;
  return fromStopId === undefined ? to : `${to}, forwarded from ${stopName(plan, fromStopId)}`;
}

export function sendWords(box: PlannedBox, say: Say): string {
  const { from, by } = sendingDates(box);
  if (box.fromStopId !== undefined) return `on ${say.date(by)}, while you are there`;
  return from === by ? `on ${say.date(by)}` : `${say.date(from)} to ${say.date(by)}`;
}

/** Who sends it on word from the trail rather than by the calendar. */
export function wordWords({ onWord }: PlannedBox, plan: Plan, say: Say): string {
  if (!onWord) return "";
  return `When word comes from ${stopName(plan, onWord.stopId)}, about ${say.date(isoOfDay(onWord.day))}, mail it (${say.percent(100 * onWord.chance)}).`;
}

export function arrivalWords({ earliestDay, latestDay }: PlannedBox, say: Say): string {
  return `${say.date(isoOfDay(earliestDay))} to ${say.date(isoOfDay(latestDay))}`;
}

const MOST_NAME = 150;

export function refillWords({ kind, pieceId, fromLeg, toLeg }: Refill, plan: Plan): string {
  const legs = fromLeg === toLeg ? `leg ${fromLeg + 1}` : `legs ${fromLeg + 1} to ${toLeg + 1}`;
  const name = (plan.kit.find(({ id }) => id === pieceId)?.name ?? "").slice(0, MOST_NAME);
  if (kind === "maps") return `maps of ${legs}`;
  return kind === "shoes" ? `next ${name}` : `refill for ${name}`;
}

/** What is wrong with it that no check tells. */
export function faultWords(fault: BoxFault): string | undefined {
  switch (fault.kind) {
    case "empty":
      return "This box is empty. Add something, or clear what you typed.";
    case "no-post":
      return "No post office is listed for this stop. Ask there, or send the box to another stop.";
    case "unsure":
    case "too-heavy":
    case "sent-late":
    case "not-by-post":
      return undefined;
  }
}
