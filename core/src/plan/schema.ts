/**
 * The plan document: one JSON object, format `gepack-plan`.
 *
 * Types, validation on import and on the server, the JSON Schema in docs, and the bounds, units and defaults
 * of every field on the screen (see `fields.ts`) all come from here. Every number is bounded so that no
 * accepted document can make a later stage divide by zero or answer NaN. Objects are loose: unknown keys
 * are kept and written back. Places are distances along the track as recorded, in metres (`TrackM`).
 */
import { z } from "zod";
import { bounceSchema, boxSchema } from "./boxSchema.ts";
import { climateSchema } from "./climateSchema.ts";
import { learnedSchema, logDaySchema, plannedDaySchema, shakedownSchema } from "./logSchema.ts";
import {
  decisionSchema,
  keptKitSchema,
  kitRulesSchema,
  kitStorySchema,
  modificationSchema,
  pieceSchema,
  spanSchema,
} from "./kitSchema.ts";
import { oddsSchema } from "./oddsSchema.ts";
import {
  CAN_SIZES,
  CERTAINTIES,
  DEVICE_KINDS,
  FUELS,
  MURKS,
  ON_SNOW,
  PAST,
  TARGETS,
  TREATMENTS,
  MOST_HIKERS,
  PLAN_FORMAT,
  PLAN_VERSION,
  SOLAR_PLACES,
  SOLAR_TREES,
  SURFACES,
} from "./ids.ts";
import { fillSchema, menuChoiceSchema, menuSchema, pantryFoodSchema } from "./pantrySchema.ts";
import { resupplySchema } from "./resupplySchema.ts";
import { campSchema, pinSchema, sourceSchema, stopSchema, stretchSchema } from "./placesSchema.ts";
import { routeSchema } from "./routeSchema.ts";
import { amount, fraction, id, isoDate, label, name, whole } from "./values.ts";

export const unitsSchema = z.looseObject({
  distance: z.enum(["km", "mi"]).default("km"),
  height: z.enum(["m", "ft"]).default("m"),
  mass: z.enum(["kg", "lb"]).default("kg"),
  smallMass: z.enum(["g", "oz"]).default("g"),
  temperature: z.enum(["C", "F"]).default("C"),
  volume: z.enum(["L", "qt"]).default("L"),
});

export const tripSchema = z.looseObject({
  name,
  /** `forward` walks the track as recorded. */
  direction: z.enum(["forward", "reverse"]).default("forward"),
  directionName: label.default(""),
  startDate: isoDate,
  finishBy: isoDate.optional(),
  fictional: z.boolean().default(false),
  /** A variant of a trip: of the plan of that id, and what it is called. Tracks and pantry are the trip's. */
  variantOf: id.optional(),
  variantName: label.default(""),
  units: unitsSchema.prefault({}),
});

export const paceSchema = z.looseObject({
  /** Own speed as a fraction of the time model's. */
  speedFactor: fraction(0.3, 2).default(0.8),
  /** Own cost of walking as a multiple of the effort model's: on paths 10 to 30 % more is measured than on treadmills. */
  effortFactor: fraction(0.5, 2).default(1.1),
  /** Walking hours a day, breaks not counted, on the first day and once in form. */
  hoursFreshH: amount("h", 1, 20).default(6),
  hoursFitH: amount("h", 1, 20).default(7.5),
  /** Days of trail over which the hours grow from fresh to fit. */
  rampDays: amount("days", 0, 120).default(21),
  /** Time standing or sitting, as a fraction of walking time. */
  breakFraction: fraction().default(0.2),
  startClockH: amount("clock", 3, 12).default(7),
  /** Walking hours by stage: from the first row's day on, straight between rows. Replaces fresh and fit when given. */
  ramp: z
    .array(z.looseObject({ id, tripDay: amount("days", 0, 2000), hoursH: amount("h", 1, 20) }))
    .max(12)
    .default([]),
  /** Measured on oneself; for the time school `own-pace`. */
  ownFlatKmh: amount("km/h", 1, 10).optional(),
  ownClimbMPerH: amount("m/h", 100, 2000).optional(),
});

export const foodSchema = z.looseObject({
  densityKcalPerG: amount("kcal/g", 1, 9).default(4.4),
  /** Bulk of packed food in kilograms per litre. */
  bulkKgPerL: amount("kg/L", 0.1, 1.5).default(0.5),
  /** Fraction of the need left uncovered on purpose; negative is a surplus. */
  shortfallFraction: fraction(-0.5, 0.7).default(0),
  reserveFraction: fraction().default(0.08),
  /** Reserve at least so many days of food, where the fraction is less. */
  reserveDays: amount("days", 0, 5).default(0.5),
  wrapperFraction: fraction(0, 0.3).default(0.03),
  /** Fraction of the need eaten in trail weeks 1, 2, 3 and from the fourth on. */
  appetiteByWeek: z.array(fraction(0.3, 1.5)).length(4).default([1, 1, 1, 1]),
  /** Fraction of the menu's energy that is protein. */
  proteinFraction: fraction().default(0.15),
  /** What is burned awake and off the feet as a multiple of rest: in breaks, and at camp or in town. */
  breakFactor: fraction(1, 3).default(1.3),
  campFactor: fraction(1, 3).default(1.6),
  /** In town one eats so much more than one burns, a night or rest day, until what is missing is made up. */
  townExtraKcal: amount("kcal", 0, 4000).default(1000),
  /** Allowance per 10 K that the day's mean is below freezing. */
  coldKcalPer10K: amount("kcal", 0, 1000).default(100),
  /** Own measured need of a walking day; replaces the energy models when given. */
  measuredKcalPerDay: amount("kcal", 1000, 10_000).optional(),
});

export const waterSchema = z.looseObject({
  /** Litres per kilometre below 20 °C. 0.125 is 1 L per 8 km. */
  ratePerKmL: amount("L/km", 0, 1).default(0.125),
  /** Litres per walking hour below 20 °C, for the school that counts hours. */
  ratePerHourL: amount("L/h", 0, 2).default(0.4),
  clothing: z.enum(["light", "covered"]).default("light"),
  /** Own measured litres per walking hour; replaces the water models when given. */
  measuredLph: amount("L/h", 0, 2).optional(),
  drinkAtSourceL: amount("L", 0, 1).default(0.5),
  /** Never less than this on leaving a source, however near the next is. */
  leastL: amount("L", 0, 3).default(0.5),
  reserveFraction: fraction().default(0.15),
  dinnerL: amount("L", 0, 4).default(0.5),
  nightL: amount("L", 0, 4).default(0.5),
  breakfastL: amount("L", 0, 4).default(0.4),
  trust: z.enum(["reliable", "chance", "all"]).default("chance"),
  /** With trust `chance`: the least chance of flow in the month that still counts. */
  leastChance: fraction().default(0.75),
  /**
   * What is carried past a source that may be dry: a share by its chance, nothing, to the one after it, or until all
   * are hardly ever dry.
   */
  past: z.enum(PAST).default("share"),
  /** With `chance`: that all the sources one counts on may be dry; a fifth of it on hot days. */
  dryChance: fraction().default(0.05),
  treatment: z
    .looseObject({
      method: z.enum(TREATMENTS).default("filter"),
      /** And contaminated water like this as well. */
      second: z.enum(TREATMENTS).default("none"),
      /** Of a clean filter. */
      flowLpm: amount("L/min", 0.05, 20).default(1.5),
      murk: z.enum(MURKS).default("clear"),
      /** What chemicals are to stop. */
      target: z.enum(TARGETS).default("giardia"),
      /** Litres that the filter, the lamp or the bottle of drops lasts, and those before this hike. */
      lifeL: amount("L", 1, 100_000).default(1000),
      usedL: amount("L", 0, 100_000).default(0),
    })
    .prefault({}),
});

export const stoveSchema = z.looseObject({
  fuel: z.enum(FUELS).default("gas-canister"),
  boilsPerDay: amount("", 0, 20).default(2),
  boilL: amount("L", 0, 5).default(0.5),
  /** 0 sheltered and still, 1 open to wind; the planned fifth covers wind and spill behind a shield. */
  windExposure: fraction().default(0.2),
  waterC: amount("C", 0, 40).default(10),
  /** Own measured figure; replaces the model when given. */
  gramsPerBoil: amount("g/boil", 0, 500).optional(),
  /** Kept boiling so long on a day on which is cooked. */
  simmerMinPerDay: amount("min", 0, 240).default(0),
  /** Whose stove the food is cooked on, and whose fuel; the own one where missing. */
  cooksOn: id.optional(),
  /** Canisters that are sold along the trail; of own sizes below there is one. */
  sizes: z.array(z.enum(CAN_SIZES)).max(3).default(["middle"]),
  /** A part-full canister is left behind where new ones alone are lighter. */
  exchange: z.boolean().default(false),
  /** What the fuel is carried in, net and empty; the model's own where missing. */
  containerNetG: amount("g", 20, 2000).optional(),
  containerEmptyG: amount("g", 0, 1000).optional(),
});

export const hikerSchema = z.looseObject({
  id,
  name,
  ageY: amount("y", 10, 100),
  sex: z.enum(["female", "male"]),
  heightCm: amount("cm", 100, 230),
  bodyKg: amount("kg", 30, 250),
  /** Estimated from build where missing. */
  bodyFatFraction: fraction(0.03, 0.6).optional(),
  sleeper: z.enum(["cold", "warm"]).default("cold"),
  packComfortKg: amount("kg", 1, 60).default(15),
  packVolumeL: amount("L", 5, 150).default(55),
  pace: paceSchema.prefault({}),
  food: foodSchema.prefault({}),
  menus: menuChoiceSchema.prefault({}),
  fill: fillSchema.prefault({}),
  water: waterSchema.prefault({}),
  stove: stoveSchema.prefault({}),
  /** Chosen model per question; ids of the model registry. */
  schools: z
    .looseObject({
      time: z.string().default("tobler"),
      effort: z.string().default("pandolf-santee"),
      resting: z.string().default("mifflin-st-jeor"),
      water: z.string().default("distance-or-hours"),
      bodyMass: z.string().default("forbes-dynamic"),
    })
    .prefault({}),
});

/** The party's rules for a day: everybody walks together. */
export const dayRulesSchema = z.looseObject({
  startRule: z.enum(["clock", "sunrise"]).default("clock"),
  /** Fraction of the wanted hours that may be walked in the dark. */
  darkFraction: fraction().default(0),
  /** `camp` ends at water, a listed camp or another good place, so much before or after its hours do. */
  endRule: z.enum(["hours", "camp"]).default("camp"),
  campWindowH: amount("h", 0, 5).default(1.5),
  campAheadH: amount("h", 0, 5).default(1.5),
  /** Before a night without water dinner is cooked at the last water of the day, and one walks on after it. */
  dinnerAtWater: z.boolean().default(false),
  sleepAt: z.enum(["anywhere", "camps", "beds"]).default("anywhere"),
  /** Reach a stop before it closes, or camp before it and come in the morning. */
  arriveByClosing: z.boolean().default(false),
  /** Hours walked on the day of leaving a stop slept at; the usual ones where missing. */
  neroOutH: amount("h", 0.5, 20).optional(),
  /** Stops of one night that are come to before this hour are shopped at, and walked on from; slept at where missing. */
  walkOnBeforeH: amount("clock", 0, 24).optional(),
  /** Own hours of single days, by date. */
  ownHours: z
    .array(z.looseObject({ date: isoDate, hoursH: amount("h", 0.5, 22) }))
    .max(400)
    .default([]),
  /** A rest day after so many days of walking; 0 for none but the stops' own. */
  restEveryDays: whole("days", 0, 60).default(0),
  /** Water off the trail is walked to where the way takes fewer minutes than this for every litre and hour of carrying it spares. */
  detourMinPerLitreHour: amount("min", 0, 60).default(4),
  nightSpeedFactor: fraction(0.2, 1).default(0.8),
  heatSlowFromC: amount("C", 0, 45).default(25),
  /** Fraction of speed lost per kelvin above that, at most 30 %. */
  heatSlowPerK: fraction(0, 0.1).default(0.01),
  /** Fraction of speed lost per 1,000 m above 2,000 m by who is not used to it; half of that after two weeks up there. */
  heightSlowPerKm: fraction(0, 0.3).default(0.06),
  /** Multiplies what the load takes off the speed. */
  loadSlowness: fraction(0, 3).default(1),
  /** How snow is walked on: snowshoes and skis sink in less. */
  onSnow: z.enum(ON_SNOW).default("foot"),
  /** Above it wind packs half of what would be powder; none is told, and all of it is powder, without. */
  treeLineM: amount("m", 0, 6000).optional(),
  /** Own speed factors of surfaces, over those of the table. */
  surfaceSpeed: z.partialRecord(z.enum(SURFACES), fraction(0.1, 1.5)).default({}),
});

export const deviceSchema = z.looseObject({
  id,
  name,
  ownerId: id,
  kind: z.enum(DEVICE_KINDS),
  /** The piece of kit it is: it works on the legs on which that is carried; everywhere without. */
  pieceId: id.optional(),
  count: whole("", 1, 20).default(1),
  /** Rechargeable: what it takes, a day. */
  whPerDay: amount("Wh", 0, 500).default(0),
  /** And beside that for every hour walked. */
  whPerWalkH: amount("Wh/h", 0, 100).default(0),
  /** Rechargeable and bank: cells. */
  mAh: amount("mAh", 0, 200_000).default(0),
  /** Spare cells: days one set lasts, and sets carried from each stop. */
  daysPerSet: amount("days", 0.1, 1000).default(10),
  spareSets: whole("", 0, 50).default(0),
  /** The piece of kit that the spare sets are: as many as that is times on the legs on which it is carried. */
  cellsPieceId: id.optional(),
  /** That the spare sets last: on average of days, or more surely. */
  spareCertainty: z.enum(CERTAINTIES).default("mean"),
  /** When charge runs short: 1 is switched off first. Whoever has no rank stays on where others have one. */
  offRank: whole("", 1, 20).optional(),
  /** Bank: what it takes from the wall. Solar: rated panel. */
  watts: amount("W", 0, 200).default(0),
  /** Solar: on the pack all day or laid out at camp, and what mostly stands over it. */
  place: z.enum(SOLAR_PLACES).default("pack"),
  trees: z.enum(SOLAR_TREES).default("open"),
});

/** How the party's charge is counted. */
export const chargeSchema = z.looseObject({
  /** One store for all, or each hiker lives out of the own devices and banks. */
  stores: z.enum(["shared", "own"]).default("shared"),
  /** `daylight` gives a share of the daylight hours, wherever the panel is. */
  solar: z.enum(["radiation", "daylight"]).default("radiation"),
});

export const planSchema = z.looseObject({
  format: z.literal(PLAN_FORMAT),
  version: z.literal(PLAN_VERSION),
  id,
  trip: tripSchema,
  /** Of the main trail. */
  trackIds: z.array(id).max(50).default([]),
  route: routeSchema.prefault({}),
  hikers: z.array(hikerSchema).min(1).max(MOST_HIKERS),
  stops: z.array(stopSchema).max(2000).default([]),
  sources: z.array(sourceSchema).max(20_000).default([]),
  stretches: z.array(stretchSchema).max(2000).default([]),
  climate: climateSchema.prefault({}),
  /** All that is owned: what has no span stays on the shelf at home. */
  kit: z.array(pieceSchema).max(2000).default([]),
  decisions: z.array(decisionSchema).max(200).default([]),
  savedLists: z.array(keptKitSchema).max(40).default([]),
  kitStory: z.array(kitStorySchema).max(1000).default([]),
  kitRules: kitRulesSchema.prefault({}),
  /** Lines ticked off on lists, by list and line. */
  ticks: z
    .array(z.looseObject({ id: z.string().min(1).max(400) }))
    .max(5000)
    .default([]),
  boxes: z.array(boxSchema).max(400).default([]),
  bounce: bounceSchema.optional(),
  camps: z.array(campSchema).max(5000).default([]),
  pins: z.array(pinSchema).max(500).default([]),
  log: z.array(logDaySchema).max(1000).default([]),
  /** As the plan stood when the log was started. */
  plannedDays: z.array(plannedDaySchema).max(2000).default([]),
  learned: z.array(learnedSchema).max(20).default([]),
  shakedowns: z.array(shakedownSchema).max(20).default([]),
  dayRules: dayRulesSchema.prefault({}),
  resupply: resupplySchema.prefault({}),
  devices: z.array(deviceSchema).max(60).default([]),
  charge: chargeSchema.prefault({}),
  odds: oddsSchema.prefault({}),
  /** What the menus are made of, copied from the pantry. */
  foods: z.array(pantryFoodSchema).max(5000).default([]),
  menus: z.array(menuSchema).max(200).default([]),
});

export type { ClimateStation, Forecast, ForecastDay, ThermometerReading } from "./climateSchema.ts";
export type { Camp, Pin, ReportWord, Source, Stop, Stretch } from "./placesSchema.ts";
export type { FillSettings, Food, Meal, Menu, MenuChoice, MenuItem } from "./pantrySchema.ts";
export type { Resupply } from "./resupplySchema.ts";
export type { Alternate, Closure, Section } from "./routeSchema.ts";
export type Plan = z.infer<typeof planSchema>;
export type Hiker = z.infer<typeof hikerSchema>;
export type PaceSettings = z.infer<typeof paceSchema>;
export type FoodSettings = z.infer<typeof foodSchema>;
export type WaterSettings = z.infer<typeof waterSchema>;
export type StoveSettings = z.infer<typeof stoveSchema>;
export type Piece = z.infer<typeof pieceSchema>;
export type Modification = z.infer<typeof modificationSchema>;
export type { OddsLaws } from "./oddsSchema.ts";
export type { LogDay, PlannedDay } from "./logSchema.ts";
export type PlanDecision = z.infer<typeof decisionSchema>;
export type KeptKit = z.infer<typeof keptKitSchema>;
export type KitStory = z.infer<typeof kitStorySchema>;
export type Span = z.infer<typeof spanSchema>;
export type DayRules = z.infer<typeof dayRulesSchema>;
export type Device = z.infer<typeof deviceSchema>;
export type Units = z.infer<typeof unitsSchema>;
export type Surface = (typeof SURFACES)[number];
export type OnSnow = (typeof ON_SNOW)[number];
