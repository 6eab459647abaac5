/** Hours over every cell on plain trail without a load: the hiker's time school at the hiker's own pace. */
import { OWN_PACE_ID, type Section, type TimeSchool, type Walker } from "../models/time.ts";
import type { Hiker } from "../plan/schema.ts";
import type { Profile } from "../track/profile.ts";

const SLOWEST_MPS = 0.15;
/** A section of a rule that does not add up cell by cell ends where the profile turns by this much. */
export const SECTION_TURN_M = 50;

export interface BaseHoursInput extends Walker {
  school: TimeSchool;
  /** Own speed as a fraction of the school's. */
  speedFactor: number;
  profile: Profile;
}

/** What the hours of a hiker on bare ground depend on, and nothing else of them. */
export function baseHoursInput(hiker: Hiker, school: TimeSchool, profile: Profile): BaseHoursInput {
  const { speedFactor, ownFlatKmh, ownClimbMPerH } = hiker.pace;
  // A measured pace is taken as measured; all others are multiplied by the hiker's own factor.
  const own = school.id === OWN_PACE_ID ? 1 : speedFactor;
  return { school, sex: hiker.sex, speedFactor: own, ownFlatKmh, ownClimbMPerH, profile };
}

export function baseHours({ school, speedFactor, profile, ...walker }: BaseHoursInput): Float64Array {
  const hours = school.wholeSections ? sectionHours(school, walker, profile) : cellHours(school, walker, profile);
  const perFactor = 1 / speedFactor;
  const mostH = profile.cellM / SLOWEST_MPS / 3600;
  for (let c = 0; c < hours.length; c++) hours[c] = Math.min(mostH, hours[c]! * perFactor);
  return hours;
}

/** Hours for a metre of level trail without a load, at the hiker's own pace: the side trips are walked by it. */
export function levelHoursPerM(input: Omit<BaseHoursInput, "profile">): number {
  const { school, speedFactor, sex, ownFlatKmh, ownClimbMPerH } = input;
  const walker = { sex, ownFlatKmh, ownClimbMPerH };
  const section: Section = { distanceM: 1000, climbM: 0, descentM: 0 };
  const { speedMps } = school;
  const perM = speedMps
    ? 1 / speedMps({ ...walker, gradeFraction: 0 }) / 3600
    : school.sectionH(section, walker) / 1000;
  return Math.min(1 / SLOWEST_MPS / 3600, perM / speedFactor);
}

function cellHours(school: TimeSchool, walker: Walker, profile: Profile): Float64Array {
  const hours = new Float64Array(profile.cellCount);
  const { gradeFraction, climbM, descentM, cellM } = profile;
  const { speedMps } = school;
  if (speedMps) {
    const input = { ...walker, gradeFraction: 0 };
    for (let c = 0; c < hours.length; c++) {
      input.gradeFraction = gradeFraction[c]!;
      hours[c] = cellM / Math.max(SLOWEST_MPS, speedMps(input)) / 3600;
    }
    return hours;
  }
  const section: Section = { distanceM: cellM, climbM: 0, descentM: 0 };
  for (let c = 0; c < hours.length; c++) {
    section.climbM = climbM[c]!;
    section.descentM = descentM[c]!;
    hours[c] = school.sectionH(section, walker);
  }
  return hours;
}

/** The section's hours, spread evenly over its cells. */
function sectionHours(school: TimeSchool, walker: Walker, profile: Profile): Float64Array {
  const hours = new Float64Array(profile.cellCount);
  const turns = turningNodes(profile.heightM, SECTION_TURN_M);
  for (let i = 0; i + 1 < turns.length; i++) {
    const from = turns[i]!;
    const to = turns[i + 1]!;
    const section: Section = { distanceM: (to - from) * profile.cellM, climbM: 0, descentM: 0 };
    for (let c = from; c < to; c++) {
      section.climbM += profile.climbM[c]!;
      section.descentM += profile.descentM[c]!;
    }
    hours.fill(school.sectionH(section, walker) / (to - from), from, to);
  }
  return hours;
}

/** Nodes where the profile turns by at least `turnM`, both ends included. */
export function turningNodes(heightM: Float64Array, turnM: number): number[] {
  const last = heightM.length - 1;
  const turns = [0];
  let extreme = 0;
  let rising: boolean | undefined;
  for (let node = 1; node <= last; node++) {
    const h = heightM[node]!;
    const from = heightM[extreme]!;
    if (rising === undefined) {
      if (Math.abs(h - from) >= turnM) {
        rising = h > from;
        extreme = node;
      }
    } else if (rising ? h >= from : h <= from) extreme = node;
    else if (Math.abs(h - from) >= turnM) {
      if (extreme > turns.at(-1)!) turns.push(extreme);
      rising = !rising;
      extreme = node;
    }
  }
  if (last > turns.at(-1)!) turns.push(last);
  return turns;
}
