/** The weather of every day part: at its middle for the walking, at its camp for the night. */
import type { Profile } from "../track/profile.ts";
import { climateAt, HIGH_LAPSE_K_PER_M, type Climate, type Season } from "../season/season.ts";
import type { DayPart } from "./walk.ts";

export interface PartConditions {
  midHeightM: number;
  walking: Climate;
  /** At the end of the part: the night, when there is one. */
  night: Climate;
  meanC: number;
}

export function partConditions(profile: Profile, season: Season, parts: readonly DayPart[]): PartConditions[] {
  return parts.map((part) => {
    const mid = (part.startNode + part.endNode) >> 1;
    const midHeightM = profile.heightM[mid]!;
    const walking = climateAt(season, mid * profile.cellM, midHeightM, part.day);
    const night = climateAt(season, part.endNode * profile.cellM, profile.heightM[part.endNode]!, part.day);
    return { midHeightM, walking, night, meanC: (walking.highC + night.lowC) / 2 };
  });
}

/** Day high on a cell of the part. */
export function cellHighC(conditions: PartConditions, heightM: number): number {
  return conditions.walking.highC - (heightM - conditions.midHeightM) * HIGH_LAPSE_K_PER_M;
}
