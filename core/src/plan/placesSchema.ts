/** What is along the trail in the document: stops, water, stretches, camps. */
import { z } from "zod";
import {
  ACCESS,
  FOOD_BY,
  LACKS,
  PAST,
  REPORTS,
  RULES,
  SERVICES,
  SOURCE_KINDS,
  STRETCH_KINDS,
  SURFACES,
  WEEKDAYS,
} from "./ids.ts";
import {
  amount,
  distance,
  fraction,
  id,
  isoDate,
  label,
  line,
  monthDay,
  monthly,
  name,
  note,
  place,
  trackM,
  whole,
} from "./values.ts";

const clock = amount("clock", 0, 24);
const money = amount("money", 0, 1_000_000);
const weekdays = z.array(z.enum(WEEKDAYS)).max(7).default([]);
/** Hours at which something leaves; at any without. */
const departures = z.array(clock).max(24).default([]);

export const stopSchema = z.looseObject({
  id,
  name,
  trackM,
  ...place,
  offTrailM: distance(200_000).default(0),
  /** On foot the way to the stop is walked; a ride takes its minutes, waiting for one in them, and no legs. */
  access: z.enum(ACCESS).default("foot"),
  /** On foot: climb towards the stop, and along the trail back to the trail. */
  accessClimbM: amount("m", 0, 5000).default(0),
  backClimbM: amount("m", 0, 5000).default(0),
  rideMin: amount("min", 0, 1440).default(60),
  /** Back to the trail, where that is another. */
  rideBackMin: amount("min", 0, 1440).optional(),
  /** For one way and one person. */
  ridePrice: money.default(0),
  shuttleClocks: departures,
  shuttleBackClocks: departures,
  services: z.array(z.enum(SERVICES)).default([]),
  lacks: z.array(z.enum(LACKS)).default([]),
  /** Does this plan resupply here? */
  use: z.boolean().default(true),
  /** Whether a search may change that. */
  locked: z.boolean().default(false),
  /** Nights spent here: 0 passes through, 2 is one zero day. */
  nights: whole("", 0, 30).default(1),
  /** Over the hour of the plan: come to before it, one walks on; 0 to sleep there whenever one comes. */
  walkOnBeforeH: amount("clock", 0, 24).optional(),
  /** A person's night in a bed there. */
  bedPrice: money.default(0),
  /** Opening hours in words. */
  hours: label.default(""),
  /** Where both are missing it never closes; an opening after the closing runs through midnight. */
  opensH: clock.optional(),
  closesH: clock.optional(),
  closedOn: weekdays,
  /** Open from this day of the year to that one, inclusive; all year without. */
  openFrom: monthDay.optional(),
  openTo: monthDay.optional(),
  /** The same for its post counter, where that is less. */
  postOpensH: clock.optional(),
  postClosesH: clock.optional(),
  postClosedOn: weekdays,
  postFrom: monthDay.optional(),
  postTo: monthDay.optional(),
  /** It sends boxes back after so many days, and asks this for each. */
  postHoldDays: whole("days", 1, 365).default(15),
  postFee: money.default(0),
  /** Fewest working days of a parcel to it. */
  postLeastDays: whole("days", 0, 60).default(2),
  /** How food for the way on comes; without, it is bought where there is a shop, and posted where there is none. */
  foodBy: z.enum(FOOD_BY).optional(),
  /** Where it is bought, to be posted ahead, or where a bounce box was sent on. */
  foodFromStopId: id.optional(),
  note,
  /** Who said all that, and when. */
  infoFrom: label.default(""),
  infoDate: isoDate.optional(),
});

export const sourceSchema = z.looseObject({
  id,
  name,
  trackM,
  ...place,
  kind: z.enum(SOURCE_KINDS).default("spring"),
  reliable: z.boolean().default(true),
  /** Whether it runs is not told: neither sure nor seasonal. */
  unknown: z.boolean().optional(),
  /** Nobody has told of it: it stands for water that the file does not know, until somebody does. */
  assumed: z.boolean().optional(),
  /** Chance of finding water, January to December. */
  chanceByMonth: monthly(fraction()).optional(),
  /** Your own judgement, over every school of trust: counted on, or struck out. */
  counted: z.boolean().optional(),
  offTrailM: distance(20_000).default(0),
  /** Below camps, houses or cattle: it is treated a second way as well. */
  contaminated: z.boolean().default(false),
  /** What was seen there, and by whom it was given. */
  reports: z
    .array(z.looseObject({ id, date: isoDate, said: z.enum(REPORTS), note: label.default("") }))
    .max(500)
    .default([]),
  /** A cache: from when on it is there, and how much is in it. */
  placedOn: isoDate.optional(),
  litres: amount("L", 0, 500).optional(),
  note: z.string().max(2000).optional(),
});

export const stretchSchema = z.looseObject({
  id,
  name: label,
  fromM: trackM,
  toM: trackM,
  ...line,
  kind: z.enum(STRETCH_KINDS),
  /** What is walked on, for kinds `surface` and `snow`. */
  surface: z.enum(SURFACES).optional(),
  /** Season in which the stretch applies, as month-day, inclusive; all year without. */
  fromMonthDay: monthDay.optional(),
  toMonthDay: monthDay.optional(),
  rule: z.enum(RULES).optional(),
  /** Of a dry stretch: what is carried past water that may be dry, for all; each hiker's own way without. */
  past: z.enum(PAST).optional(),
  /** Whom a rule of food storage holds for: who carries food through, or only who sleeps there. */
  appliesTo: z.enum(["carrying", "sleeping"]).default("carrying"),
  /** A ford, measured: how deep and how fast it was on a day of the year at an hour. */
  depthM: amount("m deep", 0, 5).optional(),
  speedMps: amount("m/s", 0, 6).optional(),
  refMonthDay: monthDay.optional(),
  refClockH: amount("clock", 0, 24).optional(),
  /** What drains to the ford, the water's way down from the snow, and whether a glacier feeds it. */
  basinKm2: amount("km²", 0.1, 100_000).optional(),
  snowDistanceM: distance(500_000).optional(),
  glacier: z.boolean().default(false),
  note,
});

export const campSchema = z.looseObject({
  id,
  name,
  trackM,
  ...place,
  /** In a hollow or on a valley floor, where cold air pools. */
  hollow: z.boolean().default(false),
  note,
});

/** A night that the hiker holds on to: a day ends here, on a date where one is given. */
export const pinSchema = z.looseObject({
  id,
  /** What is said of it: "booked", "meet the others". */
  name: label.default(""),
  trackM,
  ...place,
  date: isoDate.optional(),
  /** A bed waits there: it is no camp. */
  bed: z.boolean().default(false),
  /** 2 is a rest day there. */
  nights: whole("", 1, 30).default(1),
  /** The day may be made so much longer for it. */
  overtimeH: amount("h", 0, 6).default(3),
});

export type Pin = z.infer<typeof pinSchema>;
export type Stop = z.infer<typeof stopSchema>;
export type Source = z.infer<typeof sourceSchema>;
export type ReportWord = Source["reports"][number]["said"];
export type Stretch = z.infer<typeof stretchSchema>;
export type Camp = z.infer<typeof campSchema>;
