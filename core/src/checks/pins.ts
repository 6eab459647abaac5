/** Pinned nights that the walk does not keep: why, and by how much. */
import type { Pin } from "../plan/schema.ts";
import type { DayResult, TripFigures } from "../result/result.ts";
import { isWalked, nodeOf, nodesOn, walkedOf } from "../track/place.ts";
import { dayNumber } from "../units/day.ts";
import { defineCheck, type CheckContext } from "./check.ts";

type Why = "off-route" | "past" | "crossed" | "forbidden" | "late" | "early" | "passed";

const pinMissed = defineCheck({
  code: "pin-missed",
  units: { pinId: "name", pin: "name", why: "name", wanted: "date", comes: "date", days: "days" },
  *find(context) {
    for (const pin of context.plan.pins) {
      const found = faultOf(pin, context);
      if (!found) continue;
      const { why, day, days = 0 } = found;
      const { profile } = context.result;
      const atM = why === "off-route" ? undefined : walkedOf(profile, nodeOf(profile, pin));
      const comes = day?.date ?? context.plan.trip.startDate;
      const severity = pin.bed || pin.date !== undefined ? "caution" : "note";
      const where = { legIndex: day?.legIndex, atM };
      yield { severity, ...where, pinId: pin.id, pin: pin.name, why, wanted: pin.date ?? comes, comes, days };
    }
  },
});

interface Fault {
  why: Why;
  /** On which the place is come to. */
  day?: DayResult | undefined;
  /** Late or early by so many. */
  days?: number;
}

function faultOf(pin: Pin, { plan, result }: CheckContext): Fault | undefined {
  const { profile } = result;
  if (!isWalked(profile, pin)) return { why: "off-route" };
  const node = nodeOf(profile, pin);
  const day = dayAt(result, node);
  if (pin.date !== undefined && pin.date < plan.trip.startDate) return { why: "past", day };
  if (plan.pins.some((other) => crosses(pin, other, node, result))) return { why: "crossed", day };
  const forbidden = plan.stretches.some(
    (stretch) =>
      stretch.rule === "no-camping" && nodesOn(profile, stretch).some(([from, to]) => node > from && node < to),
  );
  if (forbidden && !pin.bed) return { why: "forbidden", day };
  if (!day || day.toNode !== node) return { why: "passed", day };
  if (pin.date === undefined) return undefined;
  const wanted = dayNumber(pin.date)!;
  const first = dayNumber(day.date)!;
  // A wait there may reach the date.
  if (wanted >= first && wanted <= first + day.zeroDays) return undefined;
  const days = first - wanted;
  return days > 0 ? { why: "late", day, days } : { why: "early", day, days: wanted - first - day.zeroDays };
}

/** The day that ends there, or passes. */
function dayAt({ days }: TripFigures, node: number): DayResult | undefined {
  return (
    days.find(({ toNode, night }) => toNode === node && night !== "none") ??
    days.find(({ fromNode, toNode }) => node > fromNode && node <= toNode)
  );
}

/** A later place on an earlier or the same date. */
function crosses(pin: Pin, other: Pin, node: number, { profile }: TripFigures): boolean {
  if (other.id === pin.id || pin.date === undefined || other.date === undefined) return false;
  if (!isWalked(profile, other)) return false;
  const there = nodeOf(profile, other);
  return (there < node && other.date >= pin.date) || (there > node && other.date <= pin.date);
}

export const pinChecks = [pinMissed] as const;
