/** The record of the hike: a card a day, and what was planned when the first was kept. */
import { z } from "zod";
import { FITTED, LOGGED_NIGHTS, PIECE_EVENTS, REPORTS } from "./ids.ts";
import { amount, celsius, distance, fraction, id, isoDate, label, name, place, trackM, whole } from "./values.ts";

export const loggedWaterSchema = z.looseObject({ sourceId: id, said: z.enum(REPORTS) });

export const loggedPieceSchema = z.looseObject({
  pieceId: id,
  what: z.enum(PIECE_EVENTS),
  note: z.string().max(500).default(""),
});

/** One day as it was. What is not given is not known: nothing of it counts as nothing. */
export const logDaySchema = z.looseObject({
  id,
  date: isoDate,
  /** Where it ended. */
  trackM,
  ...place,
  /** The stop that it ended at. */
  stopId: id.optional(),
  night: z.enum(LOGGED_NIGHTS).default("camp"),
  /** On the feet, breaks not. */
  walkedH: amount("h", 0, 24).optional(),
  breakH: amount("h", 0, 24).optional(),
  weather: label.default(""),
  area: label.default(""),
  lowC: celsius.optional(),
  highC: celsius.optional(),
  water: z.array(loggedWaterSchema).max(200).default([]),
  /** Left in the evening, of the first hiker. */
  foodKg: amount("kg", 0, 100).optional(),
  fuelG: amount("g", 0, 20_000).optional(),
  chargeFraction: fraction().optional(),
  /** Drunk that day, all of it, of the first hiker. */
  drankL: amount("L", 0, 40).optional(),
  bodyKg: amount("kg", 20, 300).optional(),
  /** 1 poor to 5 fine. */
  felt: whole("", 1, 5).optional(),
  pieces: z.array(loggedPieceSchema).max(100).default([]),
  money: amount("money", 0, 1_000_000).optional(),
  notes: z.string().max(4000).default(""),
});

/** A day of the plan as it stood when the log was started. */
export const plannedDaySchema = z.looseObject({
  date: isoDate,
  /** Along the walk. */
  toM: distance(40_000_000),
  walkH: amount("h", 0, 48),
});

/** What was learnt from the log and taken: the plan’s own figures are multiplied by it already. */
export const learnedSchema = z.looseObject({ what: z.enum(FITTED), factor: amount("", 0.1, 10) });

/** A trip before this one whose log was learnt from. */
export const shakedownSchema = z.looseObject({ planId: id, name, days: whole("days", 1, 1000), on: isoDate });

export type LogDay = z.infer<typeof logDaySchema>;
export type PlannedDay = z.infer<typeof plannedDaySchema>;
