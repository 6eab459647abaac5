/** The weather of every day part: at its middle for the walking, at its camp for the night. */
import { POOLING_K } from "../models/cold.ts";
import { climateAt, skyAt, wetChanceAt, type Climate, type Sky } from "../season/season.ts";
import { walkedOf } from "../track/place.ts";
import type { Ground } from "./ground.ts";
import type { DayPart } from "./walk.ts";

export interface PartConditions {
  walking: Climate;
  /** At the end of the part: the night, when there is one; colder in a hollow. */
  night: Climate;
  meanC: number;
  /** Halfway from the day's high to the night's low: what a camp's evening, night and morning are drunk by. */
  eveningC: number;
  sky: Sky;
  /** Chance that the day is wet. */
  wetChance: number;
}

export function partConditions(ground: Ground, parts: readonly DayPart[]): PartConditions[] {
  const { profile, season, camps } = ground;
  return parts.map((part) => {
    const mid = (part.startNode + part.endNode) >> 1;
    const walking = climateAt(season, walkedOf(profile, mid), profile.heightM[mid]!, part.day);
    const night = climateAt(season, walkedOf(profile, part.endNode), profile.heightM[part.endNode]!, part.day);
    if (part.night === "camp" && camps.hollow.has(part.endNode)) {
      night.lowC -= POOLING_K;
      night.coldLowC -= POOLING_K;
      night.coldNightC -= POOLING_K;
    }
    const sky = skyAt(season, walkedOf(profile, mid), part.day);
    const wetChance = wetChanceAt(season, walkedOf(profile, part.endNode), part.day);
    const eveningC = (night.highC + night.lowC) / 2;
    return { walking, night, meanC: (walking.highC + night.lowC) / 2, eveningC, sky, wetChance };
  });
}
