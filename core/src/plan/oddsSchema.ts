/** How far what is met along the trail may be from what was planned: the laws of a simulated hike. */
import { z } from "zod";
import { VARIED } from "./ids.ts";
import { amount, fraction } from "./values.ts";

/** Spreads are of the logarithm: 0.1 is about a tenth either way in two hikes of three. Defaults: pace, food, weather and wear by the literature, the rest judgement [L]. */
export const oddsSchema = z.looseObject({
  /** What is as planned in every hike. */
  fixed: z.array(z.enum(VARIED)).max(VARIED.length).default([]),
  paceHike: fraction(0, 0.5).default(0.08),
  paceDay: fraction(0, 0.5).default(0.1),
  energyHike: fraction(0, 0.5).default(0.1),
  energyDay: fraction(0, 0.5).default(0.1),
  /** Of what a hike takes more or less food than planned, so much is noticed and bought after two resupplies. */
  noticed: fraction().default(0.75),
  /** So much less a day is eaten by who runs short, and is no hunger yet. */
  shortRations: fraction(0, 0.5).default(0.1),
  thirstHike: fraction(0, 0.5).default(0.15),
  thirstDay: fraction(0, 0.5).default(0.15),
  fuelHike: fraction(0, 0.5).default(0.15),
  fuelDay: fraction(0, 0.5).default(0.15),
  chargeHike: fraction(0, 0.5).default(0.1),
  chargeDay: fraction(0, 0.5).default(0.3),
  /** What a day of your own is like the day before, and a night like the night before. */
  dayLikeness: fraction(0, 0.95).default(0.3),
  nightLikeness: fraction(0, 0.95).default(0.7),
  /** Years in which all sources are good or bad together. */
  commonDrought: fraction().default(0.3),
  /** A stop that should be open is not. */
  shutFraction: fraction(0, 0.5).default(0.02),
  illnessPerDay: fraction(0, 0.2).default(0.006),
  illnessDays: amount("days", 1, 30).default(2.5),
  /** Of each piece that one depends on; shoes wear out by their own law. */
  failuresPer1000Km: amount("", 0, 1).default(0.01),
  lowSnowFraction: fraction(0, 0.5).default(0.2),
  highSnowFraction: fraction(0, 0.5).default(0.2),
});

export type OddsLaws = z.infer<typeof oddsSchema>;
