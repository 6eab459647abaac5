/**
 * What is left of a hike from the start of a leg on, as a hike of its own: for who is joined there by another, sends
 * somebody home, or plans the rest again. The ground, the date, the form of the walkers, their bodies and what is in
 * the packs go on as they were; what is left of fuel, charge and hunger does not, nor does getting used to height.
 */
import { walkEnds } from "../plan/ids.ts";
import type { Hiker, Piece, Plan, Section, Span } from "../plan/schema.ts";
import type { PlanFigures } from "../result/result.ts";
import { lengthOf, mainBeside } from "../track/route.ts";
import type { TrackM } from "../units/lengths.ts";
import { dayNumber } from "../units/day.ts";
import { wantedHours } from "../walk/today.ts";

const WEEK_DAYS = 7;

/** `name` is that of the one section of a trail that had none. */
export function restFrom(
  plan: Plan,
  result: Pick<PlanFigures, "legs" | "profile" | "carrier">,
  legIndex: number,
  name: string,
): Plan {
  const leg = result.legs[legIndex]!;
  const walkedDays = dayNumber(leg.startDate)! - dayNumber(plan.trip.startDate)!;
  return {
    ...plan,
    trip: { ...plan.trip, startDate: leg.startDate },
    route: { ...plan.route, sections: sectionsLeft(plan, result, leg.fromM, name) },
    hikers: plan.hikers.map((hiker, h) => goneOn(hiker, walkedDays, leg.hikers[h]!.body.bodyKg)),
    kit: plan.kit.map((piece, p) => ({ ...piece, spans: spansLeft(plan, result, legIndex, piece, p) })),
    // What was walked before is the other plan's to remember.
    log: [],
  };
}

/** Sections stand in the order of the recording, and are walked from the other end where the hike is. */
function sectionsLeft(
  { route, trip }: Plan,
  { profile }: Pick<PlanFigures, "profile">,
  fromM: number,
  name: string,
): Section[] {
  const isTurned = trip.direction === "reverse";
  const { mainLengthM } = profile.route;
  const whole: Section = {
    id: "rest",
    name,
    fromM: 0 as TrackM,
    toM: mainLengthM as TrackM,
    transferH: 0,
    transferCost: 0,
  };
  const sections = route.sections.length > 0 ? route.sections : [whole];
  const laidM = isTurned ? profile.lengthM - fromM : fromM;
  const cutM = Math.round(mainBeside(profile.route, laidM)) as TrackM;
  const at = sectionAt(sections, cutM, laidM);
  const cut = sections[at]!;
  return isTurned
    ? [...sections.slice(0, at), { ...cut, toM: cutM }]
    : [{ ...cut, fromM: cutM, transferH: 0, transferCost: 0 }, ...sections.slice(at + 1)];
}

/** Of the sections that a place is on, the one that is walked about there; of two that meet there, the later. */
function sectionAt(sections: readonly Section[], cutM: number, laidM: number): number {
  let best = { index: 0, offM: Infinity };
  let beginsM = 0;
  for (const [index, section] of sections.entries()) {
    const { fromM, toM } = section;
    const isOn = cutM >= Math.min(fromM, toM) && cutM <= Math.max(fromM, toM);
    const offM = Math.abs(beginsM + Math.abs(cutM - fromM) - laidM);
    if (isOn && offM <= best.offM) best = { index, offM };
    beginsM += lengthOf(section);
  }
  return best.index;
}

/** A hiker after so many days: as fit, as hungry and as light as on that day. */
function goneOn(hiker: Hiker, days: number, bodyKg: number): Hiker {
  const { pace, food } = hiker;
  const ahead = pace.ramp
    .filter(({ tripDay }) => tripDay > days)
    .map((row) => ({ ...row, tripDay: row.tripDay - days }));
  const hoursH = Math.round(10 * wantedHours([pace], days)) / 10;
  const last = food.appetiteByWeek.length - 1;
  return {
    ...hiker,
    bodyKg: Math.round(10 * bodyKg) / 10,
    pace: {
      ...pace,
      hoursFreshH: hoursH,
      rampDays: Math.max(0, pace.rampDays - days),
      ramp: pace.ramp.length > 0 ? [{ ...pace.ramp[0]!, id: "rest", tripDay: 0, hoursH }, ...ahead] : [],
    },
    food: {
      ...food,
      appetiteByWeek: food.appetiteByWeek.map(
        (_, week) => food.appetiteByWeek[Math.min(last, week + Math.floor(days / WEEK_DAYS))]!,
      ),
    },
  };
}

/** As the piece is carried on the legs that are left; how it came and goes is kept where it does so there. */
function spansLeft(
  { trip }: Plan,
  { legs, carrier }: Pick<PlanFigures, "legs" | "carrier">,
  legIndex: number,
  piece: Piece,
  row: number,
): Span[] {
  const { firstId, lastId } = walkEnds(trip.direction);
  const carrierOn = (leg: number): number => carrier[row * legs.length + leg] ?? -1;
  const spans: Span[] = [];
  for (let from = legIndex; from < legs.length; from++) {
    if (carrierOn(from) < 0) continue;
    let to = from;
    while (to + 1 < legs.length && carrierOn(to + 1) === carrierOn(from)) to++;
    const fromStopId = from === legIndex ? firstId : legs[from]!.fromStopId;
    const toStopId = to === legs.length - 1 ? lastId : legs[to]!.toStopId;
    const begun = piece.spans.find((span) => span.fromStopId === legs[from]!.fromStopId);
    const ended = piece.spans.find((span) => span.toStopId === toStopId);
    const base = begun ?? ended ?? piece.spans[0];
    if (base)
      spans.push({
        ...base,
        fromStopId,
        toStopId,
        begins: from === legIndex ? "from-home" : base.begins,
        ends: (ended ?? base).ends,
      });
    from = to;
  }
  return spans;
}
