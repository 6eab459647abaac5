/** The kinds of value that the document is made of: bounded numbers with their unit, names, days, places on the trail. */
import { z } from "zod";
import { dayNumber } from "../units/day.ts";
import type { TrackM } from "../units/lengths.ts";
import { isVisible, MOST_NAME, UNSEEN } from "./visible.ts";

const MAX_TRACK_M = 40_000_000;

/** A bounded number with the unit it is in; screens and docs read both from here. */
export const amount = (unit: string, min: number, max: number): z.ZodNumber =>
  z.number().min(min).max(max).meta({ unit });
export const whole = (unit: string, min: number, max: number): z.ZodNumber =>
  z.number().int().min(min).max(max).meta({ unit });
/** A share, kept as a fraction and shown in percent. */
export const fraction = (min = 0, max = 1): z.ZodNumber => amount("fraction", min, max);
/** A length that the hiker reads in kilometres or miles; other metres are heights. */
export const distance = (max: number): z.ZodNumber =>
  z.number().min(0).max(max).meta({ unit: "m", quantity: "distance" });

/** Ids with `@` stand for the ends of the trail. */
export const id = z
  .string()
  .min(1)
  .max(80)
  .refine((text) => !text.startsWith("@"), "expected an id that doesn’t start with @");
/** As `id`, and the ends of the trail. */
export const stopId = z.string().min(1).max(80);
export const label = z.string().max(MOST_NAME);
export const name = label.min(1).refine(isVisible, UNSEEN);
export const note = z.string().max(2000).default("");
// The brand lives in the compiler alone: in the document it is a plain number.
export const trackM = distance(MAX_TRACK_M) as unknown as z.ZodType<TrackM, number>;
export const celsius = amount("C", -80, 60);
/** Within these years every day that a trip can come to has a name. */
const FIRST_YEAR = "1900";
const LAST_YEAR = "2200";
const MONTH_DAYS = "((0[13578]|1[02])-(0[1-9]|[12]\\d|3[01])|(0[469]|11)-(0[1-9]|[12]\\d|30)|02-(0[1-9]|1\\d|2[0-8]))";
const LEAP_YEARS = "((19|20|21)(0[48]|[2468][048]|[13579][26])|2000)";
const DATE_PATTERN = `^(((19|20|21)\\d\\d|2200)-${MONTH_DAYS}|${LEAP_YEARS}-02-29)$`;

export const isoDate = z
  .string()
  .refine((text) => dayNumber(text) !== undefined, "expected a real date, as YYYY-MM-DD")
  .refine(
    (text) => dayNumber(text) === undefined || (text.slice(0, 4) >= FIRST_YEAR && text.slice(0, 4) <= LAST_YEAR),
    `expected a year from ${FIRST_YEAR} to ${LAST_YEAR}`,
  )
  // The same for whoever reads the published schema: no 30 February, and a 29th in leap years alone.
  .meta({ pattern: DATE_PATTERN });
// 2028 has a 29 February.
export const monthDay = z
  .string()
  .refine((text) => dayNumber(`2028-${text}`) !== undefined, "expected a day of the year, as MM-DD");
export const monthly = <T extends z.ZodType>(value: T) => z.array(value).length(12);

/** The alternate that a place is on: its distance is along that one. Along the main trail without. */
export const line = { alternateId: id.optional() };
export const place = {
  ...line,
  lonDeg: z.number().min(-180).max(180).optional(),
  latDeg: z.number().min(-90).max(90).optional(),
};
