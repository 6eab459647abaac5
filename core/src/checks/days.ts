/** Days and dates: late at the finish, nights where none may be, and whether the figures can be relied on. */
import type { LegResult } from "../result/result.ts";
import { dayNumber } from "../units/day.ts";
import type { WalkedM } from "../units/lengths.ts";
import { atNode, defineCheck, type CheckContext } from "./check.ts";

const finishLate = defineCheck({
  code: "finish-late",
  units: { have: "date", limit: "date", late: "days" },
  *find({ plan, result }) {
    const limit = plan.trip.finishBy;
    if (limit === undefined) return;
    const late = (dayNumber(result.finishDate) ?? 0) - (dayNumber(limit) ?? 0);
    if (late > 0) yield { severity: "caution", have: result.finishDate, limit, late };
  },
});

const campForbidden = defineCheck({
  code: "camp-forbidden",
  units: { day: "date" },
  *find(context) {
    for (const leg of context.result.legs) {
      const camp = context.result.days.find((day) => day.legIndex === leg.index && day.forbiddenCamp);
      if (camp) yield { severity: "blocker", legIndex: leg.index, atM: atNode(context, camp.toNode), day: camp.date };
    }
  },
});

/** Days longer, and nights shorter, than bodies bear for long (Belenky and others 2003, J Sleep Res 12:1, for the sleep). */
const LONG_DAY_H = 12;
const SHORT_SLEEP_H = 6;
/** What making camp, eating and packing take off a night, evening and morning together; engineering. */
const CAMP_CHORES_H = 2;
const SLACK_H = 0.05;

const longDays = defineCheck({
  code: "long-days",
  units: { have: "h", limit: "h", days: "days" },
  *find(context) {
    for (const { leg, days } of daysByLeg(context)) {
      const long = days.filter(({ walkH }) => walkH > LONG_DAY_H + SLACK_H);
      if (long.length === 0) continue;
      const longest = long.reduce((a, b) => (b.walkH > a.walkH ? b : a));
      const [legIndex, limit] = [leg.index, LONG_DAY_H];
      yield { severity: "caution", legIndex, atM: longest.atM, have: longest.walkH, limit, days: long.length };
    }
  },
});

const shortSleep = defineCheck({
  code: "short-sleep",
  units: { have: "h", limit: "h", days: "days" },
  *find(context) {
    for (const { leg, days } of daysByLeg(context)) {
      const short = days.filter(({ sleepH }) => sleepH < SHORT_SLEEP_H - SLACK_H);
      if (short.length === 0) continue;
      const shortest = short.reduce((a, b) => (b.sleepH < a.sleepH ? b : a));
      const [legIndex, limit] = [leg.index, SHORT_SLEEP_H];
      yield { severity: "caution", legIndex, atM: shortest.atM, have: shortest.sleepH, limit, days: short.length };
    }
  },
});

interface WholeDay {
  walkH: number;
  /** Between the evening's chores and the morning's. */
  sleepH: number;
  atM: WalkedM;
}

/** Calendar days, whatever stops were passed on them, at the leg in which each ends. */
function* daysByLeg(context: CheckContext): Generator<{ leg: LegResult; days: WholeDay[] }> {
  const { legs, days } = context.result;
  const whole = new Map<number, WholeDay[]>();
  let walkH = 0;
  for (const [i, day] of days.entries()) {
    walkH += day.walkH;
    if (day.night === "none") continue;
    const next = days[i + 1];
    const awayH = next && day.zeroDays === 0 ? 24 + next.startClockH - day.endClockH : Infinity;
    const ofLeg = whole.get(day.legIndex) ?? [];
    ofLeg.push({ walkH, sleepH: awayH - CAMP_CHORES_H, atM: atNode(context, day.toNode) });
    whole.set(day.legIndex, ofLeg);
    walkH = 0;
  }
  for (const leg of legs) yield { leg, days: whole.get(leg.index) ?? [] };
}

const heightsMissing = defineCheck({
  code: "heights-missing",
  units: {},
  *find({ result }) {
    if (!result.profile.hasHeights) yield { severity: "caution" };
  },
});

const notSettled = defineCheck({
  code: "not-settled",
  units: { move: "g" },
  *find({ result }) {
    if (!result.settled) yield { severity: "note", move: result.lastMoveG };
  },
});

const bedMissing = defineCheck({
  code: "bed-missing",
  units: { have: "count", day: "date" },
  *find(context) {
    const { plan, result } = context;
    if (plan.dayRules.sleepAt !== "beds") return;
    const bedless = new Set(
      plan.stops.filter(({ services }) => services.length > 0 && !services.includes("bed")).map(({ id }) => id),
    );
    for (const { index, toStopId } of result.legs) {
      const nights = result.days.filter(
        ({ legIndex, night }) =>
          legIndex === index && (night === "camp" || (night === "stop" && bedless.has(toStopId))),
      );
      const first = nights[0];
      if (!first) continue;
      const atM = atNode(context, first.toNode);
      yield { severity: "caution", legIndex: index, atM, have: nights.length, day: first.date };
    }
  },
});

/** From here on height itself makes some ill, and so much a night more is the usual advice (Luks and others 2019, Wilderness Environ Med 30:S3). */
const HIGH_SLEEP_M = 2500;
const MOST_GAIN_M = 500;

const highSleep = defineCheck({
  code: "high-sleep",
  units: { have: "m", gain: "m" },
  *find(context) {
    const { legs, days, profile } = context.result;
    let highestM = HIGH_SLEEP_M;
    for (const leg of legs) {
      let worst: { have: number; gain: number; node: number } | undefined;
      for (const { legIndex, night, toNode } of days) {
        if (legIndex !== leg.index || night === "none") continue;
        const have = profile.heightM[toNode]!;
        const gain = have - highestM;
        if (gain > (worst?.gain ?? 0)) worst = { have, gain, node: toNode };
        highestM = Math.max(highestM, have);
      }
      if (!worst) continue;
      const severity = worst.gain > MOST_GAIN_M ? "caution" : "note";
      const { have, gain } = worst;
      yield { severity, legIndex: leg.index, atM: atNode(context, worst.node), have, gain };
    }
  },
});

export const daysChecks = [
  highSleep,
  bedMissing,
  finishLate,
  campForbidden,
  longDays,
  shortSleep,
  heightsMissing,
  notSettled,
] as const;
