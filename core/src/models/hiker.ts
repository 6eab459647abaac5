/**
 * A hiker resolved once into the schools they walk, burn and drink by. A measured value is a school like
 * any other: whoever comes after asks no more which it was. An id that this version does not know is answered
 * by the default.
 */
import type { Hiker } from "../plan/schema.ts";
import { bodyMass, type BodyMassSchool } from "./bodyMass.ts";
import { day, effort, ownDay, type DaySchool, type EffortSchool } from "./effort.ts";
import { fuel, ownFuel, type FuelSchool } from "./fuel.ts";
import { resting, type RestingSchool } from "./resting.ts";
import { standIn, type Registry } from "./school.ts";
import { time, type TimeSchool } from "./time.ts";
import { ownWater, water, type WaterSchool } from "./water.ts";

export interface HikerSchools {
  time: TimeSchool;
  effort: EffortSchool;
  resting: RestingSchool;
  /** What the whole day makes of the sum of both. */
  day: DaySchool;
  water: WaterSchool;
  bodyMass: BodyMassSchool;
  fuel: FuelSchool;
}

/** What decides the schools of a hiker, and nothing else of them. */
export interface SchoolChoice {
  schools: Hiker["schools"];
  fuel: Hiker["stove"]["fuel"];
  measuredKcalPerDay: number | undefined;
  measuredLph: number | undefined;
  gramsPerBoil: number | undefined;
  boilL: number;
}

export function choiceOf({ schools, food, water: drinking, stove }: Hiker): SchoolChoice {
  return {
    schools,
    fuel: stove.fuel,
    measuredKcalPerDay: food.measuredKcalPerDay,
    measuredLph: drinking.measuredLph,
    gramsPerBoil: stove.gramsPerBoil,
    boilL: stove.boilL,
  };
}

function chosen<S extends { id: string }>(registry: Registry<S>, id: string): S {
  return registry.find(id) ?? registry.all[0];
}

export function resolveHiker(choice: SchoolChoice): HikerSchools {
  const { schools, measuredKcalPerDay, measuredLph, gramsPerBoil } = choice;
  const byEffort = chosen(effort, schools.effort);
  const byRest = chosen(resting, schools.resting);
  const stove = chosen(fuel, choice.fuel);
  const wholeDay = measuredKcalPerDay === undefined ? day : ownDay(measuredKcalPerDay);
  return {
    time: chosen(time, schools.time),
    // A measured day keeps both for the way it is shared out over the hours, and answers for its sum itself.
    effort: wholeDay.measured ? standIn(byEffort, wholeDay) : byEffort,
    resting: wholeDay.measured ? standIn(byRest, wholeDay) : byRest,
    day: wholeDay,
    water: measuredLph === undefined ? chosen(water, schools.water) : ownWater(measuredLph),
    bodyMass: chosen(bodyMass, schools.bodyMass),
    fuel: gramsPerBoil === undefined || stove.id === "none" ? stove : ownFuel(stove, gramsPerBoil, choice.boilL),
  };
}
