/** The climate of the document: stations, the kind of year, what was forecast and what was read. */
import { z } from "zod";
import { amount, celsius, fraction, id, isoDate, monthly, name, trackM } from "./values.ts";

export const climateStationSchema = z.looseObject({
  id,
  name,
  trackM,
  heightM: amount("m", -430, 8900),
  /** Mean daily minimum and maximum of each month, January to December. */
  lowC: monthly(celsius),
  highC: monthly(celsius),
  /** Spread of single nights and days about those means. */
  lowSdK: amount("K", 0, 20),
  highSdK: amount("K", 0, 20),
  /** Afternoon humidity and cloud cover of each month, 0 to 1; wind at the walker. */
  humidity: monthly(fraction()).optional(),
  cloud: monthly(fraction()).optional(),
  windMps: amount("m/s", 0, 20).default(1.5),
  /** Rain and melted snow of each month, and its days with 1 mm or more; those of the latitude where missing. */
  precipMm: monthly(amount("mm", 0, 3000)).optional(),
  wetDays: monthly(amount("d", 0, 31)).optional(),
  /** Filled in from latitude, height and the sea, until your own figures take its place. */
  simulated: z.boolean().default(false),
});

/** Further out nobody forecasts. */
export const MOST_FORECAST_DAYS = 15;

export const forecastDaySchema = z.looseObject({
  date: isoDate,
  lowC: celsius.optional(),
  highC: celsius.optional(),
  /** Chance of a wet day, and the rain that is given, mm. */
  wetChance: fraction().optional(),
  rainMm: amount("mm", 0, 1000).optional(),
  windMps: amount("m/s", 0, 60).optional(),
});

/** What was forecast for a stretch of the trail: it stands over the normals, the less the further ahead it looked. */
export const forecastSchema = z.looseObject({
  id,
  name,
  fromM: trackM,
  toM: trackM,
  /** The height it was made for. */
  heightM: amount("m", -430, 8900),
  issued: isoDate,
  days: z.array(forecastDaySchema).max(MOST_FORECAST_DAYS),
});

/** Your own thermometer, out of the sun and off the ground. */
export const readingSchema = z.looseObject({
  id,
  date: isoDate,
  trackM,
  heightM: amount("m", -430, 8900),
  lowC: celsius.optional(),
  highC: celsius.optional(),
});

export const climateSchema = z.looseObject({
  stations: z.array(climateStationSchema).max(200).default([]),
  /** Where snow is: by degree days from the stations, or where stretches say so alone. */
  snowBy: z.enum(["degree-day", "by-hand"]).default("degree-day"),
  /** The year that is planned for. */
  snowYear: z.enum(["low", "usual", "high"]).default("usual"),
  warmth: z.enum(["cold", "usual", "warm"]).default("usual"),
  wetness: z.enum(["dry", "usual", "wet"]).default("usual"),
  /** The night that bag and pad are judged by: one in ten, or the coldest of all of a leg's in one hike of ten. */
  nightBy: z.enum(["one-in-ten", "coldest-of-all"]).default("one-in-ten"),
  forecasts: z.array(forecastSchema).max(50).default([]),
  readings: z.array(readingSchema).max(500).default([]),
});

export type ClimateStation = z.infer<typeof climateStationSchema>;
export type Forecast = z.infer<typeof forecastSchema>;
export type ForecastDay = z.infer<typeof forecastDaySchema>;
export type ThermometerReading = z.infer<typeof readingSchema>;
