/**
 * Small edits move figures by small amounts: the start by a day, the hours by a tenth, the water by 200 m. What
 * jumps further has a cause that the result itself names: another number of nights, a camp that became dry,
 * water that was trusted or walked to and now is not, a container more, a meal eaten before it was heaviest.
 */
import fc from "fast-check";
import { expect, test } from "vitest";
import { planOf, pieceOf, sourceOf, stationOf, stopOf, trackNorth } from "../../test/fixtures.ts";
import { runs } from "../../test/arbitraryPlan.ts";
import { dayNumber, isoOfDay } from "../units/day.ts";
import { computePlan, type LegHiker, type LegResult, type Plan, type PlanResult, type TrackPoints } from "../index.ts";

const MOST = { litres: 0.5, kg: 0.5, days: 0.5 } as const;

interface Case {
  plan: Plan;
  tracks: TrackPoints[];
}

/** Plans as hikers make them: shops every two to five days, water every hour to half a day, some of it off the trail. */
const sensible: fc.Arbitrary<Case> = fc
  .record({
    stopKms: fc.array(fc.integer({ min: 35, max: 110 }), { minLength: 1, maxLength: 3 }),
    restKm: fc.integer({ min: 30, max: 90 }),
    gapsKm: fc.array(fc.double({ min: 2, max: 24, noNaN: true }), { minLength: 30, maxLength: 60 }),
    offTrail: fc.array(fc.constantFrom(0, 0, 0, 0, 100, 300, 900), { minLength: 60, maxLength: 60 }),
    fickle: fc.array(fc.boolean(), { minLength: 60, maxLength: 60 }),
    hillM: fc.integer({ min: 0, max: 500 }),
    hoursH: fc.integer({ min: 60, max: 90 }),
    lowC: fc.integer({ min: -5, max: 14 }),
    startDay: fc.integer({ min: 1, max: 28 }),
    month: fc.integer({ min: 3, max: 9 }),
  })
  .map(({ stopKms, restKm, gapsKm, offTrail, fickle, hillM, hoursH, lowC, startDay, month }) => {
    let km = 0;
    const stops = stopKms.map((gap, i) =>
      stopOf(`s${i}`, 1000 * (km += gap), { services: ["shop-full", "bed"], nights: 1 + (i % 2) }),
    );
    const lengthM = 1000 * (km + restKm);
    let along = 0;
    const sources = gapsKm
      .map((gap, i) =>
        sourceOf(`w${i}`, 1000 * (along += gap), {
          offTrailM: offTrail[i]!,
          ...(fickle[i]! ? { chanceByMonth: [0.9, 0.9, 0.9, 0.9, 0.85, 0.75, 0.6, 0.5, 0.6, 0.75, 0.85, 0.9] } : {}),
        }),
      )
      .filter(({ trackM }) => (trackM as number) < lengthM);
    const hours = { hoursFreshH: hoursH / 10, hoursFitH: hoursH / 10 };
    const plan = planOf({
      trip: { name: "T", startDate: `2027-0${month}-${String(startDay).padStart(2, "0")}` },
      hikers: [{ id: "a", name: "A", ageY: 30, sex: "male", heightCm: 175, bodyKg: 70, pace: hours }],
      stops,
      sources,
      climate: { stations: [stationOf(lowC, lowC + 12)] },
      kit: [pieceOf("pack", 6000), pieceOf("bottles", 100, { role: "bottle", capacityL: 6 })],
    });
    return { plan, tracks: [trackNorth({ lengthM, heightM: (m) => 600 + hillM * Math.sin(m / 3000) })] };
  });

const startBy = (days: number) => (plan: Plan) =>
  void (plan.trip.startDate = isoOfDay(dayNumber(plan.trip.startDate)! + days));

const edits: readonly ((plan: Plan) => void)[] = [
  startBy(1),
  startBy(-1),
  ({ hikers }) => hikers.forEach(({ pace }) => ((pace.hoursFreshH += 0.1), (pace.hoursFitH += 0.1))),
  ({ hikers }) => hikers.forEach(({ pace }) => ((pace.hoursFreshH -= 0.1), (pace.hoursFitH -= 0.1))),
  ({ sources }) => sources.forEach((source) => void (source.trackM = (source.trackM + 200) as typeof source.trackM)),
  ({ sources }) =>
    sources.forEach((source) => void (source.trackM = Math.max(0, source.trackM - 200) as typeof source.trackM)),
];

const largest = ({ carries, largestCarry }: LegHiker) => carries[largestCarry];

/** What jumped, with by how much. */
function jumps(a: LegResult, b: LegResult): string[] {
  const [rowA, rowB] = [a.hikers[0]!, b.hikers[0]!];
  const found = (name: string, from: number, to: number, most: number): string[] =>
    Math.abs(to - from) > most ? [`${name} ${from.toFixed(2)} to ${to.toFixed(2)}`] : [];
  return [
    ...found("largest carry", largest(rowA)?.litres ?? 0, largest(rowB)?.litres ?? 0, MOST.litres),
    ...found("start", rowA.startKg, rowB.startKg, MOST.kg),
    ...found("heaviest", rowA.heaviestKg, rowB.heaviestKg, MOST.kg),
    ...found("food", rowA.food.startKg, rowB.food.startKg, MOST.kg),
    ...found("days", a.dayCount, b.dayCount, MOST.days),
  ];
}

/** Why it may have: what the result itself tells apart. */
function causes(before: PlanResult, after: PlanResult, leg: number): string[] {
  const [a, b] = [before.legs[leg]!, after.legs[leg]!];
  const [rowA, rowB] = [a.hikers[0]!, b.hikers[0]!];
  // Dinner is eaten at a camp: past it the pack is lighter by one.
  const eaten = ({ days }: PlanResult, { heaviestNode }: LegHiker): number =>
    days.filter(({ legIndex, night, toNode }) => legIndex === leg && night === "camp" && toNode <= heaviestNode).length;
  const waters = ({ carries }: LegHiker): string => carries.map(({ toSourceId }) => toSourceId).join(" ");
  const dry = ({ carries }: LegHiker): number[] => carries.map(({ dryCamps }) => dryCamps);
  const found: string[] = [];
  if (a.campNights !== b.campNights) found.push("nights");
  if (waters(rowA) !== waters(rowB)) found.push("water");
  else if (dry(rowA).some((camps, i) => Math.abs(camps - dry(rowB)[i]!) > 0.15)) found.push("dry camp");
  if (rowA.fuel.containerKg !== rowB.fuel.containerKg) found.push("container");
  if (eaten(before, rowA) !== eaten(after, rowB)) found.push("meal");
  return found;
}

test("no leg figure jumps without a cause that the result names", () => {
  let calls = 0;
  let jumped = 0;
  fc.assert(
    fc.property(sensible, ({ plan, tracks }) => {
      const before = computePlan(plan, tracks);
      for (const edit of edits) {
        const changed = structuredClone(plan);
        edit(changed);
        const after = computePlan(changed, tracks);
        for (const [i, leg] of before.legs.entries()) {
          const moved = jumps(leg, after.legs[i]!);
          calls++;
          if (moved.length === 0) continue;
          jumped++;
          const named = causes(before, after, i);
          expect(named, `${edit.toString()} on leg ${i}: ${moved.join(", ")}`).not.toEqual([]);
        }
      }
    }),
    { numRuns: runs(200), endOnFailure: true },
  );
  // A few in a hundred do, and what does is mostly a camp that came away from its water.
  expect(calls).toBeGreaterThan(runs(200) * 10);
  expect(jumped / calls).toBeLessThan(0.06);
});
