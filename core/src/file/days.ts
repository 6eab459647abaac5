/** The days of a plan as a calendar has them: a row a date, rest days among them, and their table as CSV. */
import { csvText } from "./csvText.ts";
import type { Plan } from "../plan/schema.ts";
import type { DayResult, TripFigures } from "../result/result.ts";
import { isWalked, nodeOf, walkedOf, type Placed } from "../track/place.ts";
import type { WalkedM } from "../units/lengths.ts";
import { dayNumber, isoOfDay } from "../units/day.ts";

export interface CalendarDay {
  date: string;
  /** From 1. */
  tripDay: number;
  legIndex: number;
  fromM: WalkedM;
  toM: WalkedM;
  climbM: number;
  descentM: number;
  walkH: number;
  /** Local mean time; past 24 on the day after. */
  leavesH: number;
  arrivesH: number;
  /** Light left on arriving, less than nothing in the dark. */
  lightLeftH: number;
  /** `end` is the last. */
  night: "camp" | "bed" | "stop" | "end";
  rests: boolean;
  dry: boolean;
  /** Where dinner is cooked before a dry camp, metres along the trail; undefined where it is eaten in camp. */
  dinnerM: number | undefined;
  /** What melting snow and ice takes of the day, of whom it takes most. */
  meltH: number;
  coldNightC: number;
  wetChance: number;
  heightM: number;
  /** What is there: a stop, a listed camp or a source; undefined in the open. */
  place: string | undefined;
  pinId: string | undefined;
}

type Walked = Pick<TripFigures, "days" | "legs" | "profile">;

export function calendarDays(plan: Plan, result: Walked): CalendarDay[] {
  const { days, profile } = result;
  const first = dayNumber(plan.trip.startDate)!;
  const nameAt = placeNames(plan, result);
  const rows: CalendarDay[] = [];
  for (let i = 0; i < days.length; i++) {
    const parts = [days[i]!];
    while (days[i + 1]?.date === days[i]!.date) parts.push(days[++i]!);
    const last = parts.at(-1)!;
    const day = walkedDay(parts, profile);
    const at = { tripDay: dayNumber(last.date)! - first + 1, place: nameAt(last) };
    rows.push({ ...day, ...at, night: i === days.length - 1 ? "end" : nightOf(last) });
    for (let rest = 1; rest <= last.zeroDays; rest++) {
      const date = isoOfDay(dayNumber(last.date)! + rest);
      const still = { date, fromM: day.toM, climbM: 0, descentM: 0, walkH: 0, lightLeftH: 0 };
      rows.push({ ...day, ...at, ...still, tripDay: at.tripDay + rest, night: nightOf(last), rests: true });
    }
  }
  return rows;
}

function nightOf({ night }: DayResult): CalendarDay["night"] {
  return night === "none" ? "end" : night;
}

type Day = Omit<CalendarDay, "tripDay" | "place" | "night">;

function walkedDay(parts: readonly DayResult[], profile: Walked["profile"]): Day {
  const [first, last] = [parts[0]!, parts.at(-1)!];
  let climbM = 0;
  let descentM = 0;
  for (let c = first.fromNode; c < last.toNode; c++) {
    climbM += profile.climbM[c]!;
    descentM += profile.descentM[c]!;
  }
  return {
    date: last.date,
    legIndex: last.legIndex,
    fromM: walkedOf(profile, first.fromNode),
    toM: walkedOf(profile, last.toNode),
    climbM,
    descentM,
    walkH: parts.reduce((sum, { walkH }) => sum + walkH, 0),
    leavesH: first.startClockH,
    arrivesH: last.endClockH,
    lightLeftH: last.sunsetH - last.endClockH,
    rests: false,
    dry: last.dry,
    meltH: Math.max(0, ...last.meltH.map((_, who) => parts.reduce((sum, { meltH }) => sum + meltH[who]!, 0))),
    dinnerM: last.dinnerNode === undefined ? undefined : walkedOf(profile, last.dinnerNode),
    coldNightC: last.coldNightC,
    wetChance: last.wetChance,
    heightM: profile.heightM[last.toNode]!,
    pinId: last.pinId,
  };
}

/** So near a night is at a place. */
const AT_PLACE_M = 400;

function placeNames(
  { stops, camps, sources }: Plan,
  { legs, profile }: Walked,
): (day: DayResult) => string | undefined {
  const reach = Math.ceil(AT_PLACE_M / profile.cellM);
  const placed = (rows: readonly (Placed & { name: string })[]) =>
    rows.filter((row) => isWalked(profile, row)).map((row) => ({ name: row.name, node: nodeOf(profile, row) }));
  // What is slept in goes before what is drunk from.
  const known = [placed([...stops, ...camps]), placed(sources)];
  return ({ night, legIndex, toNode }) => {
    if (night === "stop") {
      const stopId = legs[legIndex]!.toStopId;
      const name = stops.find(({ id }) => id === stopId)?.name;
      if (name !== undefined) return name;
    }
    for (const rows of known) {
      const near = rows.filter(({ node }) => Math.abs(node - toNode) <= reach);
      if (near.length > 0)
        return near.reduce((a, b) => (Math.abs(b.node - toNode) < Math.abs(a.node - toNode) ? b : a)).name;
    }
    return undefined;
  };
}

const clock = (hours: number): string => {
  const minutes = Math.round(hours * 60);
  return `${String(Math.floor(minutes / 60) % 24).padStart(2, "0")}:${String(minutes % 60).padStart(2, "0")}`;
};

/** Kilometres, metres and local mean time, whatever the units of the screen. */
export function writeDaysCsv(plan: Plan, result: Walked): string {
  const { hasHeights } = result.profile;
  // What is not known is left out.
  const metres = (value: number): number | string => (hasHeights ? Math.round(value) : "");
  const data = calendarDays(plan, result).map((day) => ({
    date: day.date,
    day: day.tripDay,
    leg: day.legIndex + 1,
    "from km": (day.fromM / 1000).toFixed(1),
    "to km": (day.toM / 1000).toFixed(1),
    km: ((day.toM - day.fromM) / 1000).toFixed(1),
    "climb m": metres(day.climbM),
    "descent m": metres(day.descentM),
    hours: day.walkH.toFixed(1),
    "leaves (local solar time)": day.rests ? "" : clock(day.leavesH),
    "arrives (local solar time)": day.rests ? "" : clock(day.arrivesH),
    night: day.rests ? `rest, ${day.night}` : day.night,
    place: day.place ?? "",
    "height m": metres(day.heightM),
    "1-in-10 low C": day.coldNightC.toFixed(0),
    dry: day.dry ? "dry" : "",
  }));
  return csvText(
    Object.keys(data[0] ?? {}),
    data.map((row) => Object.values(row)),
  );
}
