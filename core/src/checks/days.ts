/** Days and dates: late at the finish, nights where none may be, and whether the figures can be relied on. */
import { dayNumber } from "../units/day.ts";
import { atNode, defineCheck } from "./check.ts";

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

export const daysChecks = [finishLate, campForbidden, heightsMissing, notSettled] as const;
