/** Nights of the log as readings of your own thermometer: they tell the normals' error, as others do. */
import type { Plan, ThermometerReading } from "../plan/schema.ts";
import type { PlanFigures } from "../result/result.ts";
import { trackAt } from "../track/place.ts";
import type { CardFigures } from "./cards.ts";

/** A card of a fault is no reading, nor a night in a bed or in town; without heights there is none. */
export function logReadings(
  { climate }: Plan,
  { profile }: PlanFigures,
  cards: readonly CardFigures[],
): ThermometerReading[] {
  if (!profile.hasHeights) return [];
  const known = new Set(climate.readings.map(({ id }) => id));
  return cards.flatMap(({ card, toM, toHeightM, faults }): ThermometerReading[] => {
    const { lowC, highC, night, date } = card;
    const id = `of-${card.id}`.slice(0, 80);
    if (faults.length > 0 || night !== "camp" || (lowC === undefined && highC === undefined) || known.has(id))
      return [];
    const measured = { ...(lowC === undefined ? {} : { lowC }), ...(highC === undefined ? {} : { highC }) };
    return [{ id, date, trackM: trackAt(profile, toM), heightM: Math.round(toHeightM), ...measured }];
  });
}

export interface NightBias {
  nights: number;
  /** Own low less the mean low of the plan there, and the spread of that mean, kelvin. */
  meanK: number;
  spreadK: number;
}

/** How much warmer or colder the nights were than the plan has them on average. */
export function nightBias({ days }: PlanFigures, cards: readonly CardFigures[]): NightBias | undefined {
  const off = cards.flatMap(({ card, faults }) => {
    const planned = days.findLast(({ date }) => date === card.date);
    return card.lowC !== undefined && planned && card.night === "camp" && faults.length === 0
      ? [card.lowC - planned.lowC]
      : [];
  });
  if (off.length < 2) return undefined;
  const meanK = off.reduce((sum, one) => sum + one, 0) / off.length;
  const variance = off.reduce((sum, one) => sum + (one - meanK) ** 2, 0) / (off.length - 1);
  return { nights: off.length, meanK, spreadK: Math.sqrt(variance / off.length) };
}
