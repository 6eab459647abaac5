/** Fixes of the walk itself: stops, sources, dates, hours, what is planned to be missed. */
import { firstName } from "../words/names.ts";
import {
  dayNumber,
  guessSea,
  isoOfDay,
  isWalked,
  nodeOf,
  removeRow,
  makeLever,
  simulatedStations,
  waterOn,
  type Hiker,
  type Plan,
} from "@gepack/core";
import { mostRows } from "../edit/fields.ts";
import { counted } from "../words/counted.ts";
import { dayMonth } from "../units/quantity.ts";
import { useStop } from "./kit.ts";
import type { Action, FixContext } from "./fix.ts";

/** The stop skipped on a leg that is nearest to its middle. */
export function useStopOnLeg(on: FixContext, legIndex: number): Action | undefined {
  const leg = on.result.legs[legIndex]!;
  const middle = (leg.fromNode + leg.toNode) / 2;
  const passed = on.plan.stops
    .filter((stop) => !stop.use && isWalked(on.result.profile, stop))
    .map((stop) => ({ stop, node: nodeOf(on.result.profile, stop) }))
    .filter(({ node }) => node > leg.fromNode && node < leg.toNode)
    .sort((a, b) => Math.abs(a.node - middle) - Math.abs(b.node - middle))[0];
  return passed && useStop(on, passed.stop.id);
}

/** Your own judgement of a source: it is counted on, whatever the school of trust says. */
export function countOnSource(on: FixContext, name: string): Action | undefined {
  return judgeSource(on, name, true, `Count on ${name}`);
}

export function strikeSource(on: FixContext, name: string): Action | undefined {
  return judgeSource(on, name, false, `Plan as if ${name} were dry`);
}

/** Sources that stand for those the file does not know, on the longest dry way of a leg. */
export function assumeWater({ plan, result }: FixContext, legIndex: number): Action | undefined {
  const litres = (who: number): number => {
    const row = result.legs[legIndex]!.hikers[who]!;
    return row.carries[row.largestCarry]?.litres ?? 0;
  };
  const who = plan.hikers.map((_, i) => i).reduce((a, b) => (litres(b) > litres(a) ? b : a));
  const lever = waterOn(plan, result, legIndex, who);
  if (lever?.kind !== "assume-water" || plan.sources.length + lever.places.length > mostRows("sources"))
    return undefined;
  return {
    button: `Assume ${counted(lever.places.length, "source")} here`,
    label: "Assume water",
    recipe: (draft) => makeLever(draft as Plan, plan.hikers[who]!.id, lever),
  };
}

/** Once somebody has told where there is water. */
export function dropAssumedWater({ plan }: FixContext): Action | undefined {
  if (!plan.sources.some(({ assumed }) => assumed)) return undefined;
  return {
    button: "Remove assumed water",
    label: "Remove assumed water",
    recipe: (draft) => {
      for (const { id, assumed } of [...draft.sources]) if (assumed) removeRow(draft, "sources", id);
    },
  };
}

function judgeSource({ plan }: FixContext, name: string, counted: boolean, words: string): Action | undefined {
  const source = plan.sources.find((candidate) => candidate.name === name);
  if (!source) return undefined;
  return {
    button: words,
    label: words,
    recipe: (draft) => {
      const target = draft.sources.find((candidate) => candidate.id === source.id);
      if (target) target.counted = counted;
    },
  };
}

/** Stations along the trail from latitude, height and a guess of the sea. */
export function simulateWeather({ result }: FixContext): Action {
  const { profile } = result;
  return {
    button: "Fill in simulated weather",
    label: "Simulated weather",
    recipe: (draft) => void draft.climate.stations.push(...simulatedStations(profile, guessSea(profile))),
  };
}

const EARLIEST_H = 3;
const EARLIER_H = 1.5;

/** The whole party sets out earlier, into the cool of the morning. */
export function setOutEarlier({ plan }: FixContext): Action | undefined {
  const now = Math.max(...plan.hikers.map((hiker) => hiker.pace.startClockH));
  const then = Math.max(EARLIEST_H, now - EARLIER_H);
  if (then >= now) return undefined;
  const clock = `${Math.floor(then)}:${String(Math.round((then % 1) * 60)).padStart(2, "0")}`;
  return {
    button: `Start each day at ${clock}`,
    label: `Start each day at ${clock}`,
    recipe: (draft) => {
      for (const hiker of draft.hikers) hiker.pace.startClockH = Math.min(hiker.pace.startClockH, then);
      if (draft.dayRules.darkFraction < 0.2) draft.dayRules.darkFraction = 0.2;
    },
  };
}

/** The start moves by as many days as one is late. */
export function startEarlier(on: FixContext, days: number): Action | undefined {
  return startLater(on, -Math.ceil(days));
}

/** More than two months are another hike. */
const MOST_LATER_DAYS = 60;

export function startLater({ plan }: FixContext, days: number): Action | undefined {
  const start = dayNumber(plan.trip.startDate);
  if (start === undefined || days > MOST_LATER_DAYS) return undefined;
  const date = isoOfDay(start + days);
  return {
    button: `Start on ${dayMonth(date)}`,
    label: `Start ${dayMonth(date)}`,
    recipe: (draft) => void (draft.trip.startDate = date),
  };
}

/** The stop is skipped: the legs before and after it become one. */
export function passStop({ plan }: FixContext, stopId: string): Action | undefined {
  const stop = plan.stops.find((candidate) => candidate.id === stopId && candidate.use);
  if (!stop) return undefined;
  return {
    button: `Skip ${stop.name}`,
    label: `Skip ${stop.name}`,
    recipe: (draft) => {
      const target = draft.stops.find((candidate) => candidate.id === stopId);
      if (target) target.use = false;
    },
  };
}

/** Shop, eat and charge there, and sleep further on. */
export function walkOn({ plan }: FixContext, stopId: string): Action | undefined {
  const stop = plan.stops.find((candidate) => candidate.id === stopId && candidate.use && candidate.nights > 0);
  if (!stop) return undefined;
  const words = `Walk on from ${stop.name} the same day`;
  return {
    button: words,
    label: words,
    recipe: (draft) => {
      const target = draft.stops.find((candidate) => candidate.id === stopId);
      if (target) target.nights = 0;
    },
  };
}

/** The same at every stop that is come to in the morning. */
export function walkOnEverywhere({ plan }: FixContext): Action | undefined {
  if (plan.dayRules.walkOnBeforeH !== undefined) return undefined;
  const words = "Walk on from all stops you reach before noon";
  return {
    button: words,
    label: words,
    recipe: (draft) => {
      draft.dayRules.walkOnBeforeH = NOON_H;
    },
  };
}

const NOON_H = 12;

/** Snowshoes and skis sink in less. */
export function walkSnowOn({ plan }: FixContext, onSnow: "snowshoes" | "skis"): Action | undefined {
  if (plan.dayRules.onSnow === onSnow) return undefined;
  const words = onSnow === "skis" ? "Walk snow on skis" : "Walk snow on snowshoes";
  return {
    button: words,
    label: words,
    recipe: (draft) => {
      draft.dayRules.onSnow = onSnow;
    },
  };
}

/** So many nights more at a stop, until a door opens. */
export function moreNights({ plan }: FixContext, stopId: string, nights: number): Action | undefined {
  const stop = plan.stops.find((candidate) => candidate.id === stopId && candidate.use);
  if (!stop) return undefined;
  const words = nights === 1 ? `One more night at ${stop.name}` : `${nights} more nights at ${stop.name}`;
  return {
    button: words,
    label: words,
    recipe: (draft) => {
      const target = draft.stops.find((candidate) => candidate.id === stopId);
      if (target) target.nights += nights;
    },
  };
}

/** Who asks gets a parcel held for a month at most counters. */
const ASKED_HOLD_DAYS = 30;

export function holdLonger({ plan }: FixContext, stopId: string): Action | undefined {
  const stop = plan.stops.find(({ id }) => id === stopId);
  if (!stop || stop.postHoldDays >= ASKED_HOLD_DAYS) return undefined;
  const words = `Ask ${stop.name} to hold boxes ${ASKED_HOLD_DAYS} days`;
  return {
    button: words,
    label: words,
    recipe: (draft) => {
      const target = draft.stops.find(({ id }) => id === stopId);
      if (target) target.postHoldDays = ASKED_HOLD_DAYS;
    },
  };
}

/** A pinned night is dropped. */
export function unpin({ plan }: FixContext, pinId: string): Action | undefined {
  if (!plan.pins.some(({ id }) => id === pinId)) return undefined;
  return {
    button: "Unpin",
    label: "Unpin",
    recipe: (draft) => void (draft.pins = draft.pins.filter(({ id }) => id !== pinId)),
  };
}

/** A rest day less, at the stop that has most of them. */
export function fewerZeros({ plan }: FixContext): Action | undefined {
  const longest = plan.stops.filter((stop) => stop.use && stop.nights > 1).sort((a, b) => b.nights - a.nights)[0];
  if (!longest) return undefined;
  return {
    button: `One rest day fewer at ${longest.name}`,
    label: `One rest day fewer at ${longest.name}`,
    recipe: (draft) => {
      const target = draft.stops.find((stop) => stop.id === longest.id);
      if (target) target.nights -= 1;
    },
  };
}

/** What is burned is eaten. */
export function noShortfall({ plan }: FixContext, hikerId: string | undefined): Action | undefined {
  const hiker: Hiker | undefined = plan.hikers.find((candidate) => candidate.id === hikerId);
  if (!hiker || hiker.food.shortfallFraction <= 0) return undefined;
  return {
    button: "Plan without a calorie deficit",
    label: `${firstName(hiker)}: no calorie deficit`,
    recipe: (draft) => {
      const target = draft.hikers.find((candidate) => candidate.id === hikerId);
      if (target) target.food.shortfallFraction = 0;
    },
  };
}

export function moreSpareCells({ plan }: FixContext, deviceId: string, sets: number): Action | undefined {
  const device = plan.devices.find((candidate) => candidate.id === deviceId);
  if (!device) return undefined;
  return {
    button: `Carry ${sets} spare ${sets === 1 ? "set" : "sets"}`,
    label: `${device.name}: ${sets} spare sets`,
    recipe: (draft) => {
      const target = draft.devices.find((candidate) => candidate.id === deviceId);
      if (!target) return;
      target.spareSets = sets;
      const cells = draft.kit.find(({ id }) => id === target.cellsPieceId);
      if (cells) cells.quantity = sets;
    },
  };
}
