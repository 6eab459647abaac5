/** The plan for any calendar (iCalendar): whole days, so that no watch contradicts; each kind can be had alone. */
import { createEvents, type EventAttributes } from "ics";
import {
  boxesOf,
  calendarDays,
  dayNumber,
  decisionsOf,
  isoOfDay,
  hoursOn,
  postOpening,
  stopFigures,
  type Plan,
  type PlanResult,
} from "@gepack/core";
import { boxName, wordWords } from "../words/boxes.ts";
import { NIGHT_WORDS, nightKind } from "../words/nights.ts";
import { sayIn } from "../words/say.ts";

interface Given {
  plan: Plan;
  result: PlanResult;
}

const EVENTS = {
  days: dayEvents,
  decisions: decisionEvents,
  boxes: boxEvents,
  counters: counterEvents,
  nights: bookedEvents,
};
export type CalendarKind = keyof typeof EVENTS;
export const CALENDAR_KINDS = Object.keys(EVENTS) as CalendarKind[];

export function calendarOf(plan: Plan, result: PlanResult, kinds: readonly CalendarKind[] = CALENDAR_KINDS): string {
  const events = kinds.flatMap((kind) => EVENTS[kind]({ plan, result }));
  const { error, value } = createEvents(events, { calName: lines(plan.trip.name).replaceAll("\n", " ") });
  if (!value) throw error ?? new Error("The calendar couldn’t be created.");
  return folded(value);
}

/** Lines of 75 octets at most (RFC 5545, 3.1), whatever letters are in them. */
function folded(text: string): string {
  const whole = text.replace(/\r\n[ \t]/g, "");
  return whole.split("\r\n").map(foldedLine).join("\r\n");
}

const MOST_OCTETS = 75;
const octets = (text: string): number => new TextEncoder().encode(text).length;

function foldedLine(line: string): string {
  const pieces = [""];
  for (const letter of line) {
    const room = pieces.length === 1 ? MOST_OCTETS : MOST_OCTETS - 1;
    if (octets(pieces.at(-1)! + letter) > room) pieces.push("");
    pieces[pieces.length - 1] += letter;
  }
  return pieces.join("\r\n ");
}

type Ymd = [number, number, number];
const ymd = (iso: string): Ymd => iso.split("-").map(Number) as Ymd;

/** A whole day; the same key is the same event when the file is read again. */
function wholeDay(plan: Plan, key: string, iso: string, title: string, description: string): EventAttributes {
  return {
    uid: `${plan.id}-${key.replace(/[^\w-]+/g, "-")}@gepack`,
    productId: "gepack",
    start: ymd(iso),
    end: ymd(isoOfDay(dayNumber(iso)! + 1)),
    title: lines(title).replaceAll("\n", " "),
    description: lines(description),
  };
}

/** A carriage return alone ends a line for some readers of calendars and for others not. */
const lines = (text: string): string => text.replace(/\r\n?/g, "\n");

function dayEvents({ plan, result }: Given): EventAttributes[] {
  const say = sayIn(plan);
  return calendarDays(plan, result).map((day) => {
    const where = day.place ?? `${NIGHT_WORDS[nightKind(day)]} at ${say.distance(day.toM)}`;
    const title = day.rests ? `Rest at ${where}` : `${say.distance(day.toM - day.fromM)} to ${where}`;
    const of = `Day ${day.tripDay} of ${plan.trip.name}`;
    const walked = `${of}, leg ${day.legIndex + 1}: ${say.height(day.climbM)} up, ${say.hours(day.walkH)} walking, ${say.clock(day.leavesH)} to ${say.clock(day.arrivesH)} local solar time. A plan, not a promise.`;
    return wholeDay(plan, day.date, day.date, title, day.rests ? `${of}.` : walked);
  });
}

/** By when what waits has to be decided. */
function decisionEvents({ plan, result }: Given): EventAttributes[] {
  return decisionsOf(plan, result).flatMap(({ choice, decideBy }) => {
    if (decideBy === undefined || choice.decided) return [];
    const pieces = plan.kit.flatMap(({ id, name }) => (choice.pieceIds.includes(id) ? [name] : [])).join(", ");
    const why = `Last day to send ${pieces} or keep it home in time.`;
    return [wholeDay(plan, choice.id, decideBy, `Decide: take it only if ${choice.name}`, why)];
  });
}

/** When boxes are to be sent, and from when they should be there. */
function boxEvents({ plan, result }: Given): EventAttributes[] {
  const say = sayIn(plan);
  return boxesOf(plan, result).flatMap((box) => {
    const name = boxName(box, plan);
    const earliest = isoOfDay(Math.max(box.earliestDay, box.sentDay + 1));
    return [
      wholeDay(
        plan,
        `${box.key}-send`,
        isoOfDay(box.sentDay),
        `Mail the box to ${name}`,
        `${say.kg(box.totalG / 1000)}. ${say.percent(100 * box.chance)} chance of being there in time. ${wordWords(box, plan, say)} ${box.row?.address ?? ""}`,
      ),
      wholeDay(
        plan,
        `${box.key}-fetch`,
        earliest,
        `The box to ${name} should be there`,
        `You arrive between ${say.date(earliest)} and ${say.date(isoOfDay(box.latestDay))}; it’s held for ${say.days(box.holdDays)}.`,
      ),
    ];
  });
}

/** On the days at a stop with something in the post: when its counter is open. */
function counterEvents({ plan, result }: Given): EventAttributes[] {
  const say = sayIn(plan);
  const awaited = new Set(boxesOf(plan, result).map(({ toStopId }) => toStopId));
  return stopFigures(plan, result)
    .filter(({ stop, arrives }) => awaited.has(stop.id) && arrives)
    .flatMap(({ stop, stay }) => {
      const days = Array.from({ length: stay.to.day - stay.from.day + 1 }, (_, i) => stay.from.day + i);
      const told = [stop.postOpensH, stop.postClosesH, stop.opensH, stop.closesH];
      const isTold = told.some((hour) => hour !== undefined);
      return days.map((day) => {
        const hours = hoursOn(postOpening(stop), day);
        const title = !isTold
          ? `Post office at ${stop.name}: opening hours not known`
          : hours
            ? `Post office at ${stop.name}: ${say.clock(hours.fromH)} to ${say.clock(hours.toH)}`
            : `Post office at ${stop.name}: closed`;
        const iso = isoOfDay(day);
        return wholeDay(
          plan,
          `${stop.id}-${iso}-counter`,
          iso,
          title,
          "Local time, from your plan; check with the post office.",
        );
      });
    });
}

/** Nights that are held on to on a date: beds booked, people met. */
function bookedEvents({ plan, result }: Given): EventAttributes[] {
  return calendarDays(plan, result).flatMap(({ date, place, pinId, rests }) => {
    const pin = rests ? undefined : plan.pins.find(({ id, date: pinDate }) => id === pinId && pinDate !== undefined);
    if (!pin) return [];
    const said = pin.name.trim() === "" ? "pinned night" : pin.name.trim();
    return [wholeDay(plan, `${pin.id}-pin`, date, `${said}: ${place ?? "on the trail"}`, "Pinned in the plan.")];
  });
}
