/** Weather of the Corvane Traverse: stations, a forecast, and what a thermometer read. Kilometres are true ones. */
import { hundredth, tenth } from "./round.ts";
import { heightM, LENGTH_M, REGIONS } from "./terrain.ts";

/** Afternoon humidity in winter and summer, cloud in winter and summer, wind at the walker in m/s. */
const SKY: Record<string, readonly [number, number, number, number, number]> = {
  dunmere: [0.7, 0.6, 0.55, 0.4, 2.5],
  "red-stair": [0.45, 0.28, 0.35, 0.2, 1.5],
  hask: [0.4, 0.2, 0.3, 0.15, 1.8],
  ivory: [0.6, 0.45, 0.55, 0.4, 1.5],
  sael: [0.75, 0.6, 0.65, 0.5, 1],
  northmoor: [0.8, 0.7, 0.75, 0.65, 2],
  ferrin: [0.8, 0.7, 0.7, 0.6, 3],
};

/** Weather of a region: sea-level mean of the year, half the yearly range, half the daily range, spread. */
const CLIMATE: Record<string, readonly [number, number, number, number]> = {
  dunmere: [14, 6, 4.5, 2.6],
  "red-stair": [18.5, 9, 8.5, 3.4],
  hask: [20, 10.5, 11, 3.6],
  ivory: [16, 9, 7, 3.6],
  sael: [12, 8.5, 6, 3.1],
  northmoor: [10, 7.5, 5, 2.9],
  ferrin: [9.5, 6, 4, 2.6],
};
/** Rain and snow of a winter's and of a summer's month, mm, at the station. */
const RAIN: Record<string, readonly [number, number]> = {
  dunmere: [60, 10],
  "red-stair": [35, 8],
  hask: [25, 12],
  ivory: [62, 30],
  sael: [95, 60],
  northmoor: [120, 90],
  ferrin: [110, 80],
};
const PLACES = ["south", "middle", "north"] as const;

export function buildStations(): {
  id: string;
  name: string;
  km: number;
  heightM: number;
  lowC: number[];
  highC: number[];
  lowSdK: number;
  highSdK: number;
  humidity: number[];
  cloud: number[];
  windMps: number;
  precipMm: number[];
  wetDays: number[];
}[] {
  return REGIONS.flatMap((region) =>
    PLACES.map((place, i) => {
      const km = tenth(region.fromKm + ((i + 0.5) / 3) * (region.toKm - region.fromKm));
      const [seaC, yearK, dayK, spreadK] = CLIMATE[region.id]!;
      // Weather huts stand below the trail, in the valleys.
      const stationM = Math.round(Math.max(4, heightM(Math.min(LENGTH_M, km * 1000)) - 0.18 * heightM(km * 1000)));
      const monthMean = (m: number): number =>
        seaC - 0.0058 * stationM - yearK * Math.cos((2 * Math.PI * (m - 0.6)) / 12);
      const months = Array.from({ length: 12 }, (_, m) => monthMean(m));
      const [wetWinter, wetSummer, greyWinter, greySummer, windMps] = SKY[region.id]!;
      const yearly = (winter: number, summer: number): number[] =>
        months.map((_, m) =>
          hundredth(winter + (summer - winter) * (0.5 - 0.5 * Math.cos((2 * Math.PI * (m - 0.6)) / 12))),
        );
      const [rainWinter, rainSummer] = RAIN[region.id]!;
      const precipMm = yearly(rainWinter, rainSummer).map(Math.round);
      return {
        id: `${region.id}-${place}`,
        name: `${region.name} ${place}`,
        km,
        heightM: stationM,
        lowC: months.map((c) => tenth(c - dayK)),
        highC: months.map((c) => tenth(c + dayK)),
        lowSdK: spreadK,
        highSdK: tenth(spreadK * 1.15),
        humidity: yearly(wetWinter, wetSummer),
        cloud: yearly(greyWinter, greySummer),
        windMps,
        precipMm,
        wetDays: precipMm.map((mm) => tenth(mm / (5 + 0.02 * mm))),
      };
    }),
  );
}

/** A week's forecast as it was given on its first day, for the canyon at 900 m. */
export const FORECAST = {
  id: "red-stair-week",
  name: "Red Stair week",
  fromKm: 240,
  toKm: 400,
  heightM: 900,
  issued: "2027-04-10",
  days: [
    { date: "2027-04-10", lowC: 8, highC: 24, wetChance: 0.05, rainMm: 0, windMps: 4 },
    { date: "2027-04-11", lowC: 9, highC: 26, wetChance: 0.05, rainMm: 0, windMps: 4 },
    { date: "2027-04-12", lowC: 10, highC: 27, wetChance: 0.1, rainMm: 0, windMps: 6 },
    { date: "2027-04-13", lowC: 6, highC: 18, wetChance: 0.7, rainMm: 9, windMps: 11 },
    { date: "2027-04-14", lowC: 2, highC: 13, wetChance: 0.6, rainMm: 5, windMps: 9 },
    { date: "2027-04-15", lowC: 1, highC: 15, wetChance: 0.2, rainMm: 1, windMps: 6 },
    { date: "2027-04-16", lowC: 3, highC: 18, wetChance: 0.1, rainMm: 0, windMps: 4 },
  ],
} as const;

/** Five nights' own thermometer on the flats: a little colder than the normals. */
export const READINGS = [
  { id: "night-1", date: "2027-03-30", km: 38, heightM: 20, lowC: 5.5 },
  { id: "night-2", date: "2027-04-01", km: 76, heightM: 40, lowC: 4.2, highC: 15.5 },
  { id: "night-3", date: "2027-04-04", km: 128, heightM: 70, lowC: 5.8 },
  { id: "night-4", date: "2027-04-06", km: 168, heightM: 160, lowC: 3.9, highC: 14 },
  { id: "night-5", date: "2027-04-08", km: 214, heightM: 420, lowC: 3.1 },
] as const;
