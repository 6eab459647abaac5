/** What step three asks, and what its words stand for. */
import {
  sectionSchema,
  unitsSchema,
  type Hiker,
  type PaceSettings,
  type SeaWord,
  type Section,
  type Units,
} from "@gepack/core";
import { freshId } from "../store/made.ts";

export interface Answers extends Pick<Hiker, "name" | "sex" | "ageY" | "bodyKg" | "heightCm"> {
  /** Empty where nobody says: then the hiker is one. */
  hikerName: string;
  pace: PaceWord;
  startDate: string;
  sea: SeaWord;
}

export type UnitWord = "metric" | "imperial";

export const UNITS: Record<UnitWord, Units> = {
  metric: unitsSchema.parse({}),
  imperial: unitsSchema.parse({
    distance: "mi",
    height: "ft",
    mass: "lb",
    smallMass: "oz",
    temperature: "F",
    volume: "qt",
  }),
};

/** Miles where the device's language is that of a country that has them on its signs. */
export const usualUnits = (language: string): UnitWord => (/^en-(US|GB|LR)$/i.test(language) ? "imperial" : "metric");

/** By clock, waiting in it: so fast, and so long until something goes [L]. */
const RIDE_KMH = 40;
const WAIT_H = 1;

/** What is walked of a trail whose gaps are ridden over: the parts between them. */
export function partsBetween(
  gaps: readonly { atM: number; lengthM: number }[],
  { fromM, toM }: { fromM: number; toM: number },
): Section[] {
  const sections: Section[] = [];
  let start = fromM;
  let rideH = 0;
  const add = (endM: number): void => {
    if (endM - start < LEAST_PART_M) return;
    const name = `Part ${sections.length + 1}`;
    const transferH = sections.length === 0 ? {} : { transferH: Math.round(2 * (rideH + WAIT_H)) / 2 };
    sections.push(
      sectionSchema.parse({ id: freshId(), name, fromM: Math.round(start), toM: Math.round(endM), ...transferH }),
    );
  };
  for (const { atM, lengthM } of [...gaps].sort((a, b) => a.atM - b.atM)) {
    if (atM <= start || atM >= toM) continue;
    add(atM);
    start = atM + lengthM;
    rideH = lengthM / 1000 / RIDE_KMH;
  }
  add(toM);
  return sections;
}

const LEAST_PART_M = 500;

export type PaceWord = "easy" | "steady" | "brisk" | "fast";

interface Pace {
  word: string;
  settings: Pick<PaceSettings, "speedFactor" | "hoursFreshH" | "hoursFitH">;
}

/** Shares of the default school's speed, and hours of walking on the first day and in form. */
export const PACES: Record<PaceWord, Pace> = {
  easy: { word: "easy", settings: { speedFactor: 0.68, hoursFreshH: 4.5, hoursFitH: 5.5 } },
  steady: { word: "steady", settings: { speedFactor: 0.78, hoursFreshH: 5.5, hoursFitH: 7 } },
  brisk: { word: "brisk", settings: { speedFactor: 0.86, hoursFreshH: 6.5, hoursFitH: 8.5 } },
  fast: { word: "fast", settings: { speedFactor: 0.95, hoursFreshH: 8, hoursFitH: 10 } },
};
/** Tobler on the level. */
export const LEVEL_KMH = 5.04;

export const SEAS: readonly (readonly [SeaWord, string])[] = [
  ["coast", "on the coast"],
  ["near", "near the coast"],
  ["inland", "inland"],
  ["deep", "deep inland"],
];

/**
 * A first day at least two weeks off: the day of the year on which the track was recorded, else the first of May,
 * of November in the south.
 */
export function nextSeason(latDeg: number, today: Date, recorded?: string): string {
  const monthDay = recorded?.slice(5) ?? (latDeg < 0 ? "11-01" : "05-01");
  // A leap day is not in every year.
  const day = monthDay === "02-29" ? "02-28" : monthDay;
  const soon = new Date(today.getTime() + 14 * 86_400_000).toISOString().slice(0, 10);
  const year = Number(soon.slice(0, 4));
  return `${year}-${day}` >= soon ? `${year}-${day}` : `${year + 1}-${day}`;
}
