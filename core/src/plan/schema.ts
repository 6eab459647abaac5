/**
 * The plan document: one JSON object, format `gepack-plan`.
 *
 * Types, validation on import and on the server, and the JSON Schema in docs all come from here.
 * Every number is bounded so that no accepted document can make a later stage divide by zero or
 * answer NaN. Objects are loose: unknown keys are kept and written back.
 * Places are distances along the track as recorded, in metres (`trackM`), whatever the direction walked.
 */
import { z } from "zod";
import { dayNumber } from "../units/day.ts";

export const PLAN_FORMAT = "gepack-plan";
export const PLAN_VERSION = 1;

/** Stand-ins for the two ends of the walk, in walking order, where a stop id is asked for. */
export const START_ID = "@start";
export const FINISH_ID = "@finish";

const MAX_TRACK_M = 40_000_000;

const id = z.string().min(1).max(80);
const label = z.string().max(200);
const fraction = z.number().min(0).max(1);
const trackM = z.number().min(0).max(MAX_TRACK_M);
const celsius = z.number().min(-80).max(60);
const isoDate = z.string().refine((text) => dayNumber(text) !== undefined, "expected a day that exists, as YYYY-MM-DD");
const monthly = <T extends z.ZodType>(value: T) => z.array(value).length(12);

const place = { lonDeg: z.number().min(-180).max(180).optional(), latDeg: z.number().min(-90).max(90).optional() };

export const unitsSchema = z.looseObject({
  distance: z.enum(["km", "mi"]).default("km"),
  height: z.enum(["m", "ft"]).default("m"),
  mass: z.enum(["kg", "lb"]).default("kg"),
  smallMass: z.enum(["g", "oz"]).default("g"),
  temperature: z.enum(["C", "F"]).default("C"),
  volume: z.enum(["L", "qt"]).default("L"),
});

export const tripSchema = z.looseObject({
  name: label.min(1),
  /** `forward` walks the track as recorded. */
  direction: z.enum(["forward", "reverse"]).default("forward"),
  directionName: label.default(""),
  startDate: isoDate,
  finishBy: isoDate.optional(),
  madeUp: z.boolean().default(false),
  units: unitsSchema.prefault({}),
});

export const paceSchema = z.looseObject({
  /** Own speed as a share of the time model's. */
  speedFactor: z.number().min(0.3).max(2).default(0.8),
  /** Walking hours a day, breaks not counted, on the first day and once in form. */
  hoursFreshH: z.number().min(1).max(20).default(6),
  hoursFitH: z.number().min(1).max(20).default(7.5),
  /** Days of trail over which the hours grow from fresh to fit. */
  rampDays: z.number().min(0).max(120).default(21),
  /** Time standing or sitting, as a share of walking time. */
  breakShare: z.number().min(0).max(1).default(0.2),
  startClockH: z.number().min(3).max(12).default(7),
  /** Walking hours by stage: from the first row's day on, straight between rows. Replaces fresh and fit when given. */
  ramp: z
    .array(z.looseObject({ tripDay: z.number().min(0).max(2000), hoursH: z.number().min(1).max(20) }))
    .max(12)
    .default([]),
  /** Measured on oneself; for the time school `own-pace`. */
  ownFlatKmh: z.number().min(1).max(10).optional(),
  ownClimbMPerH: z.number().min(100).max(2000).optional(),
});

export const foodSchema = z.looseObject({
  densityKcalPerG: z.number().min(1).max(9).default(4.4),
  /** Bulk of packed food in kilograms per litre. */
  bulkKgPerL: z.number().min(0.1).max(1.5).default(0.5),
  /** Share of the need left uncovered on purpose; negative is a surplus. */
  shortfallFraction: z.number().min(-0.5).max(0.7).default(0.08),
  reserveFraction: fraction.default(0.08),
  wrapperFraction: z.number().min(0).max(0.3).default(0.03),
  /** Share of the need eaten in trail weeks 1, 2, 3 and from the fourth on. */
  appetiteByWeek: z.array(z.number().min(0.3).max(1.5)).length(4).default([0.75, 0.85, 0.95, 1]),
  /** Share of the menu's energy that is protein. */
  proteinFraction: fraction.default(0.15),
  /** Allowance per 10 K that the day's mean is below freezing. */
  coldKcalPer10K: z.number().min(0).max(1000).default(100),
  /** Own measured need of a walking day; replaces the energy models when given. */
  measuredKcalPerDay: z.number().min(1000).max(10_000).optional(),
});

export const waterSchema = z.looseObject({
  /** Litres per kilometre below 20 °C. 0.125 is 1 L per 8 km. */
  ratePerKmL: z.number().min(0).max(1).default(0.125),
  /** Litres per walking hour below 20 °C, for the school that counts hours. */
  ratePerHourL: z.number().min(0).max(2).default(0.4),
  clothing: z.enum(["light", "covered"]).default("light"),
  /** Own measured litres per walking hour; replaces the water models when given. */
  measuredLph: z.number().min(0).max(2).optional(),
  drinkAtSourceL: z.number().min(0).max(1).default(0.5),
  reserveFraction: fraction.default(0.15),
  dinnerL: z.number().min(0).max(4).default(0.5),
  nightL: z.number().min(0).max(4).default(0.5),
  breakfastL: z.number().min(0).max(4).default(0.4),
  trust: z.enum(["reliable", "chance", "all"]).default("chance"),
  /** With trust `chance`: the least chance of flow in the month that still counts. */
  leastChance: fraction.default(0.7),
});

export const stoveSchema = z.looseObject({
  fuel: z
    .enum(["gas-canister", "gas-heat-exchanger", "alcohol", "tablets", "liquid-fuel", "none"])
    .default("gas-canister"),
  boilsPerDay: z.number().min(0).max(20).default(2),
  boilL: z.number().min(0).max(5).default(0.5),
  /** 0 sheltered and still, 1 open to wind; the planned fifth covers wind and spill behind a shield. */
  windExposure: fraction.default(0.2),
  waterC: z.number().min(0).max(40).default(10),
  /** Own measured figure; replaces the model when given. */
  gramsPerBoil: z.number().min(0).max(500).optional(),
  /** What the fuel is carried in, net and empty; the model's own where missing. */
  containerNetG: z.number().min(20).max(2000).optional(),
  containerEmptyG: z.number().min(0).max(1000).optional(),
});

export const hikerSchema = z.looseObject({
  id,
  name: label.min(1),
  ageY: z.number().min(10).max(100),
  sex: z.enum(["female", "male"]),
  heightCm: z.number().min(100).max(230),
  bodyKg: z.number().min(30).max(250),
  /** Estimated from build where missing. */
  bodyFatFraction: z.number().min(0.03).max(0.6).optional(),
  sleeper: z.enum(["cold", "warm"]).default("cold"),
  packComfortKg: z.number().min(1).max(60).default(15),
  packVolumeL: z.number().min(5).max(150).default(55),
  pace: paceSchema.prefault({}),
  food: foodSchema.prefault({}),
  water: waterSchema.prefault({}),
  stove: stoveSchema.prefault({}),
  /** Chosen model per question; ids of the model registry. */
  schools: z
    .looseObject({
      time: z.string().default("tobler"),
      effort: z.string().default("pandolf-santee"),
      resting: z.string().default("mifflin-st-jeor"),
      water: z.string().default("heat-and-distance"),
      bodyMass: z.string().default("forbes-dynamic"),
    })
    .prefault({}),
});

export const SERVICES = ["shop-small", "shop-full", "post", "outfitter", "bed", "laundry", "socket"] as const;

export const stopSchema = z.looseObject({
  id,
  name: label.min(1),
  trackM,
  ...place,
  offTrailM: z.number().min(0).max(200_000).default(0),
  /** On foot the way to the stop is walked; by ride it costs an hour each way. */
  access: z.enum(["foot", "ride"]).default("foot"),
  services: z.array(z.enum(SERVICES)).default([]),
  /** Does this plan resupply here? */
  use: z.boolean().default(true),
  /** Nights spent here: 0 passes through, 2 is one zero day. */
  nights: z.number().int().min(0).max(30).default(1),
  hours: label.default(""),
  /** Hour of the day after which nobody is there; never where missing. */
  closesH: z.number().min(0).max(24).optional(),
  note: z.string().max(2000).default(""),
});

export const SOURCE_KINDS = ["spring", "creek", "lake", "tank", "cache", "tap", "snow"] as const;

export const sourceSchema = z.looseObject({
  id,
  name: label.min(1),
  trackM,
  ...place,
  kind: z.enum(SOURCE_KINDS).default("spring"),
  reliable: z.boolean().default(true),
  /** Chance of finding water, January to December. */
  chanceByMonth: monthly(fraction).optional(),
  offTrailM: z.number().min(0).max(20_000).default(0),
});

export const SURFACES = [
  "road",
  "trail",
  "light-brush",
  "heavy-brush",
  "scree",
  "bog",
  "sand",
  "firm-snow",
  "soft-snow",
] as const;

export const stretchSchema = z.looseObject({
  id,
  name: label,
  fromM: trackM,
  toM: trackM,
  kind: z.enum(["surface", "snow", "rule", "hazard", "insects", "dry"]),
  /** What is walked on, for kinds `surface` and `snow`. */
  surface: z.enum(SURFACES).optional(),
  /** Season in which the stretch applies, as month-day, inclusive; all year without. */
  fromMonthDay: z
    .string()
    .regex(/^\d{2}-\d{2}$/, "expected MM-DD")
    .optional(),
  toMonthDay: z
    .string()
    .regex(/^\d{2}-\d{2}$/, "expected MM-DD")
    .optional(),
  rule: z.enum(["hard-canister", "fire-ban", "permit", "no-camping"]).optional(),
  note: z.string().max(2000).default(""),
});

export const stationSchema = z.looseObject({
  id,
  name: label.min(1),
  trackM,
  heightM: z.number().min(-430).max(8900),
  /** Mean daily minimum and maximum of each month, January to December. */
  lowC: monthly(celsius),
  highC: monthly(celsius),
  /** Spread of single nights and days about those means. */
  lowSdK: z.number().min(0).max(20),
  highSdK: z.number().min(0).max(20),
  /** Afternoon humidity and cloud cover of each month, 0 to 1; wind at the walker. */
  humidity: monthly(fraction).optional(),
  cloud: monthly(fraction).optional(),
  windMps: z.number().min(0).max(20).default(1.5),
});

export const campSchema = z.looseObject({
  id,
  name: label.min(1),
  trackM,
  ...place,
  /** In a hollow or on a valley floor, where cold air pools. */
  hollow: z.boolean().default(false),
  note: z.string().max(2000).default(""),
});

/** The party's rules for a day: everybody walks together. */
export const daysSchema = z.looseObject({
  startRule: z.enum(["clock", "sunrise"]).default("clock"),
  /** Share of the wanted hours that may be walked in the dark. */
  darkShare: fraction.default(0),
  /** `camp` ends up to the window earlier where water or a listed camp is. */
  endRule: z.enum(["hours", "camp"]).default("camp"),
  campWindowH: z.number().min(0).max(5).default(1),
  sleepAt: z.enum(["anywhere", "camps", "beds"]).default("anywhere"),
  /** Reach a stop before it closes, or camp before it and come in the morning. */
  arriveByClosing: z.boolean().default(false),
  /** Hours walked on the day of leaving a stop slept at; the usual ones where missing. */
  neroOutH: z.number().min(0.5).max(20).optional(),
  /** A rest day after so many days of walking; 0 for none but the stops' own. */
  restEveryDays: z.number().int().min(0).max(60).default(0),
  nightSpeedFactor: z.number().min(0.2).max(1).default(0.8),
  heatSlowFromC: z.number().min(0).max(45).default(25),
  /** Share of speed lost per kelvin above that, at most 30 %. */
  heatSlowPerK: z.number().min(0).max(0.1).default(0.01),
  /** Multiplies what the load takes off the speed. */
  loadSlowness: z.number().min(0).max(3).default(1),
  /** Own speed factors of surfaces, over those of the table. */
  surfaceSpeed: z.partialRecord(z.enum(SURFACES), z.number().min(0.1).max(1.5)).default({}),
});

export const DEVICE_KINDS = ["rechargeable", "spare-cells", "bank", "solar"] as const;

export const deviceSchema = z.looseObject({
  id,
  name: label.min(1),
  ownerId: id,
  kind: z.enum(DEVICE_KINDS),
  /** The piece of kit it is: it works on the legs on which that is carried; everywhere without. */
  pieceId: id.optional(),
  count: z.number().int().min(1).max(20).default(1),
  /** Rechargeable: what it takes, a day. */
  whPerDay: z.number().min(0).max(500).default(0),
  /** Rechargeable and bank: cells. */
  mAh: z.number().min(0).max(200_000).default(0),
  /** Spare cells: days one set lasts, and sets carried from each stop. */
  daysPerSet: z.number().min(0.1).max(1000).default(10),
  spareSets: z.number().int().min(0).max(50).default(0),
  /** Bank: what it takes from the wall. Solar: rated panel. */
  watts: z.number().min(0).max(200).default(0),
});

export const ROLES = ["pack", "shelter", "bag", "pad", "shoes", "bottle", "hard-canister", "stove", "layer"] as const;

export const spanSchema = z.looseObject({
  fromStopId: id,
  toStopId: id,
  /** How the piece comes into the pack, and where it goes after. */
  begins: z.enum(["from-home", "posted", "bought", "handed-over"]).default("from-home"),
  ends: z.enum(["kept", "sent-home", "sent-forward", "handed-over", "discarded"]).default("kept"),
  carrierId: id.optional(),
});

export const pieceSchema = z.looseObject({
  id,
  name: label.min(1),
  group: label.default("Other"),
  massG: z.number().min(0).max(50_000),
  quantity: z.number().int().min(1).max(200).default(1),
  measured: z.boolean().default(false),
  wear: z.enum(["packed", "worn", "consumable"]).default("packed"),
  volumeL: z.number().min(0).max(150).default(0),
  ownerId: id,
  carrierId: id,
  /** Whether the whole party sleeps in or drinks from it. */
  shared: z.boolean().default(false),
  role: z.enum(ROLES).optional(),
  /** Bottles and hard canisters: what they hold. */
  capacityL: z.number().min(0).max(150).optional(),
  comfortC: celsius.optional(),
  limitC: celsius.optional(),
  padR: z.number().min(0).max(20).optional(),
  /** Kelvin that a liner, cover or jacket worn in the bag adds. */
  warmthK: z.number().min(0).max(10).optional(),
  spans: z.array(spanSchema).max(40),
});

export const planSchema = z.looseObject({
  format: z.literal(PLAN_FORMAT),
  version: z.literal(PLAN_VERSION),
  id,
  trip: tripSchema,
  trackIds: z.array(id).max(50).default([]),
  hikers: z.array(hikerSchema).min(1).max(6),
  stops: z.array(stopSchema).max(2000).default([]),
  sources: z.array(sourceSchema).max(20_000).default([]),
  stretches: z.array(stretchSchema).max(2000).default([]),
  climate: z.looseObject({ stations: z.array(stationSchema).max(200).default([]) }).prefault({}),
  kit: z.array(pieceSchema).max(2000).default([]),
  camps: z.array(campSchema).max(5000).default([]),
  days: daysSchema.prefault({}),
  devices: z.array(deviceSchema).max(60).default([]),
});

export type Plan = z.infer<typeof planSchema>;
export type Hiker = z.infer<typeof hikerSchema>;
export type Stop = z.infer<typeof stopSchema>;
export type Source = z.infer<typeof sourceSchema>;
export type Stretch = z.infer<typeof stretchSchema>;
export type Station = z.infer<typeof stationSchema>;
export type Piece = z.infer<typeof pieceSchema>;
export type Span = z.infer<typeof spanSchema>;
export type Camp = z.infer<typeof campSchema>;
export type DayRules = z.infer<typeof daysSchema>;
export type Device = z.infer<typeof deviceSchema>;
export type Units = z.infer<typeof unitsSchema>;
export type Surface = (typeof SURFACES)[number];
