/**
 * Models beyond what they were measured on, asked in one place for all questions: what the hike holds of
 * every quantity against the ranges of the hiker's schools.
 */
import type { HikerSchools } from "../models/hiker.ts";
import type { Hiker } from "../plan/schema.ts";
import type { TripFigures } from "../result/result.ts";
import { defineCheck } from "./check.ts";

/** Part of the trail that may be beyond a model's grades before it is said. */
const MUCH_OF_IT = 0.1;
/** A part of the whole trail is given well enough by every eighth cell. */
const SAMPLE_CELLS = 8;

/** A quantity of the hike beyond a range: the value that is given, or nothing. */
type Beyond = (low: number, high: number) => number | undefined;

/** The least and the most of a quantity. */
const within =
  (values: readonly number[]): Beyond =>
  (low, high) => {
    const least = Math.min(...values);
    const most = Math.max(...values);
    return least < low ? least : most > high ? most : undefined;
  };

/** The part of the distance that is beyond, in percent. */
function shareOfDistance(values: Float64Array, times: number): Beyond {
  return (low, high) => {
    let beyond = 0;
    let outside = 0;
    for (let c = 0; c < values.length; c += SAMPLE_CELLS) {
      outside++;
      const value = times * values[c]!;
      if (value < low || value > high) beyond++;
    }
    return beyond > MUCH_OF_IT * outside ? Math.round((100 * beyond) / outside) : undefined;
  };
}

/** What the hike holds of every quantity that a school may have a range for. */
function quantities(hiker: Hiker, who: number, { legs, profile, finish }: TripFigures): Record<string, Beyond> {
  const rows = legs.map((leg) => leg.hikers[who]!);
  const cooked = legs.filter((_, i) => rows[i]!.fuel.boils > 0);
  return {
    gradeFraction: shareOfDistance(profile.gradeFraction, 1),
    gradePercent: shareOfDistance(profile.gradeFraction, 100),
    loadKg: within(rows.map((row) => row.heaviestKg)),
    ageY: within([hiker.ageY]),
    ...(hiker.bodyFatFraction === undefined ? {} : { bodyFatFraction: within([hiker.bodyFatFraction]) }),
    fatKg: within([...rows.map((row) => row.body.fatKg), finish[who]!.body.fatKg]),
    temperatureC: within(legs.map((leg) => leg.highC)),
    volumeL: within(cooked.length > 0 ? [hiker.stove.boilL] : []),
    heightM: within(cooked.map((leg) => profile.heightM[leg.coldestCampNode]!)),
  };
}

const QUESTIONS = ["time", "effort", "resting", "water", "bodyMass", "fuel"] as const satisfies (keyof HikerSchools)[];

const outsideModel = defineCheck({
  code: "outside-model",
  units: { model: "name", quantity: "name", have: "count", low: "count", high: "count" },
  *find({ plan, result, schools }) {
    for (const [who, hiker] of plan.hikers.entries()) {
      const figures = quantities(hiker, who, result);
      for (const question of QUESTIONS) {
        const school = schools[who]![question];
        for (const [quantity, [low, high]] of Object.entries(school.validity.ranges)) {
          const have = figures[quantity]?.(low, high);
          if (have !== undefined)
            yield { severity: "note", hikerId: hiker.id, model: school.name, quantity, have, low, high };
        }
      }
    }
  },
});

export const modelChecks = [outsideModel] as const;
