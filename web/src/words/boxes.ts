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
  any: "any way",
  cabin: "in the cabin, or by land post",
  hold: "in the hold, or by post",
  neither: "neither by air nor by most posts",
};

export const STEPS = ["packedOn", "sentOn", "arrivedOn", "fetchedOn"] as const;
export type Step = (typeof STEPS)[number];

export const STEP_WORDS: Readonly<Record<Step, string>> = {
  packedOn: "packed",
  sentOn: "sent",
  arrivedOn: "arrived",
  fetchedOn: "fetched",
};

/** How far it has come. */
export function stateWords(row: BoxRow | undefined, say: Say): string {
  const last = row && STEPS.toReversed().find((step) => row[step] !== undefined);
  return last ? `${STEP_WORDS[last]} on ${say.date(row[last]!)}` : "to be packed";
}

export function boxName({ toStopId, fromStopId }: Pick<PlannedBox, "toStopId" | "fromStopId">, plan: Plan): string {
  const to = stopName(plan, toStopId);
  return fromStopId === undefined ? to : `${to}, sent on from ${stopName(plan, fromStopId)}`;
}

export function sendWords(box: PlannedBox, say: Say): string {
  const { from, by } = sendingDates(box);
  if (box.fromStopId !== undefined) return `on ${say.date(by)}, while you are there`;
  if (from === by) return `on ${say.date(by)}`;
  return from < by ? `${say.date(from)} to ${say.date(by)}` : `by ${say.date(by)}`;
}

export function arrivalWords({ earliestDay, latestDay }: PlannedBox, say: Say): string {
  return `${say.date(isoOfDay(earliestDay))} to ${say.date(isoOfDay(latestDay))}`;
}

const MOST_NAME = 150;

export function refillWords({ kind, pieceId, fromLeg, toLeg }: Refill, plan: Plan): string {
  const legs = fromLeg === toLeg ? `leg ${fromLeg + 1}` : `legs ${fromLeg + 1} to ${toLeg + 1}`;
  const name = (plan.kit.find(({ id }) => id === pieceId)?.name ?? "").slice(0, MOST_NAME);
  if (kind === "maps") return `maps of ${legs}`;
  return kind === "shoes" ? `next ${name}` : `refill of ${name}`;
}

/** What is wrong with it that no check tells. */
export function faultWords(fault: BoxFault, box: PlannedBox, say: Say): string | undefined {
  const { from, by } = sendingDates(box);
  switch (fault.kind) {
    case "empty":
      return "There is nothing in it: take out what you typed, or put something in.";
    case "no-post":
      return "The stop does not say that it has a post counter: ask there, or send it to another.";
    case "no-window":
      return `No one day is right: for who comes early it is to be sent by ${say.date(by)}, for who comes late not before ${say.date(from)}. Ask the counter to hold it longer, or somebody at home to send it on the day.`;
    case "unsure":
      return `Sent while you are there, it is waiting when you come with a chance of ${say.percent(100 * box.chance)}: it is held ${say.days(box.holdDays)} only, or the way is too short for it. Ask for longer, or send it on from a later stop.`;
    case "too-heavy":
    case "sent-late":
    case "not-by-post":
      return undefined;
  }
}
