/**
 * Walking time without rests. Two kinds of school, one answer: slope laws give a speed for a grade,
 * rules give hours for distance and climb; both give hours for a row of sections.
 *
 * Grades are signed fractions, uphill positive. All of it is for fit, lightly loaded walkers: load,
 * surface, snow, night and heat come on top, and every hiker's own factor.
 */
import { clamp } from "../units/constants.ts";
import { defineSchool, registryOf, type School, type Validity } from "./school.ts";

/** A piece of the distance. Climb and descent are both positive; the grade is their difference over the distance. */
export interface Section {
  distanceM: number;
  climbM: number;
  descentM: number;
}

/** Who walks, and on what. */
export interface Walker {
  sex?: "female" | "male" | undefined;
  offPath?: boolean | undefined;
  /** Measured on oneself: speed on the level, and metres climbed in an hour of steady climbing. */
  ownFlatKmh?: number | undefined;
  ownClimbMPerH?: number | undefined;
}

export interface TimeSchool extends School {
  kind: "slope-law" | "rule";
  /** Rules that do not add up cell by cell want sections that end where the profile turns. */
  wholeSections: boolean;
  /** Hours for one section. */
  sectionH: (section: Section, walker: Walker) => number;
  /** Slope laws only. */
  speedMps?: (input: { gradeFraction: number } & Walker) => number;
}

const SECONDS_PER_HOUR = 3600;
const SLOWEST_MPS = 0.05;

export function gradeOf(section: Section): number {
  return section.distanceM > 0 ? (section.climbM - section.descentM) / section.distanceM : 0;
}

/** Tobler 1993, NCGIA Technical Report 93-1, from Imhof's data: 6 exp(−3.5 |S + 0.05|) km/h; off path × 0.6. */
export function toblerMps(gradeFraction: number): number {
  return (6 / 3.6) * Math.exp(-3.5 * Math.abs(gradeFraction + 0.05));
}

/** Irmischer & Clarke 2018, Cartogr Geogr Inf Sci 45(2):177, m/s; women × 0.95. */
export function irmischerClarkeMps(gradeFraction: number, walker: Walker): number {
  const x = 100 * gradeFraction + (walker.offPath ? 2 : 5);
  const mps = 0.11 + (walker.offPath ? 0.67 : 1) * Math.exp(-(x * x) / (2 * 30 * 30));
  return walker.sex === "female" ? 0.95 * mps : mps;
}

/** Minutes per kilometre as a polynomial of the slope in percent, −40 to 40; Swiss trail signs. */
// prettier-ignore
const SWISS = [
  14.271, 0.36992, 0.025922, -1.4384e-3, 3.2105e-5, 8.1542e-6, -9.0261e-8, -2.0757e-8, 1.0192e-10, 2.8588e-11,
  -5.7466e-14, -2.1842e-14, 1.5176e-17, 8.6894e-18, -1.3584e-21, -1.4026e-21,
];

export function swissMps(gradeFraction: number): number {
  const s = clamp(100 * gradeFraction, -40, 40);
  let minutesPerKm = 0;
  for (let k = SWISS.length - 1; k >= 0; k--) minutesPerKm = minutesPerKm * s + SWISS[k]!;
  return 1000 / (60 * minutesPerKm);
}

const NAISMITH_KMH = 5;
const NAISMITH_CLIMB_M_PER_H = 600;

/** 5 km/h and 600 m of climb an hour: the metric form of Naismith 1892, Scottish Mountaineering Club J 2:136. */
export function naismithH({ distanceM, climbM }: Section): number {
  return distanceM / 1000 / NAISMITH_KMH + climbM / NAISMITH_CLIMB_M_PER_H;
}

const FIVE_DEGREES = Math.tan((5 * Math.PI) / 180);
const TWELVE_DEGREES = Math.tan((12 * Math.PI) / 180);

/** Langmuir 1984: 10 min off per 300 m of descent between 5° and 12°, 10 min on beyond 12°; nothing below 5°. */
export function langmuirH(section: Section): number {
  const down = -gradeOf(section);
  const perM = 10 / 60 / 300;
  const credit = down > TWELVE_DEGREES ? perM : down >= FIVE_DEGREES ? -perM : 0;
  return naismithH(section) + credit * section.descentM;
}

/** Aitken 1977: 5 km/h on paths, 4 km/h elsewhere, and Naismith's climb. */
export function aitkenH({ distanceM, climbM }: Section, walker: Walker): number {
  return distanceM / 1000 / (walker.offPath ? 4 : 5) + climbM / NAISMITH_CLIMB_M_PER_H;
}

/** DIN 33466: 4 km/h across, 300 m/h up, 500 m/h down; the larger of the two times and half the smaller. */
export function din33466H({ distanceM, climbM, descentM }: Section): number {
  const across = distanceM / 4000;
  const upDown = climbM / 300 + descentM / 500;
  return Math.max(across, upDown) + Math.min(across, upDown) / 2;
}

/** Munter: units of km + hm/100, 4 an hour going up, 6 an hour on the flat and down. */
export function munterH(section: Section): number {
  const goesUp = section.climbM > section.descentM;
  const units = section.distanceM / 1000 + (goesUp ? section.climbM : section.descentM) / 100;
  return units / (goesUp ? 4 : 6);
}

/** What one measures on oneself; the defaults are ours until one has. */
export const OWN_PACE_ID = "own-pace";
export const OWN_FLAT_KMH = 4.2;
export const OWN_CLIMB_M_PER_H = 500;

export function ownPaceH({ distanceM, climbM }: Section, walker: Walker): number {
  return distanceM / 1000 / (walker.ownFlatKmh ?? OWN_FLAT_KMH) + climbM / (walker.ownClimbMPerH ?? OWN_CLIMB_M_PER_H);
}

type Head = Pick<TimeSchool, "id" | "name" | "source" | "confidence" | "validity">;

/** A rule gives hours for a section. */
function rule(head: Head, sectionH: TimeSchool["sectionH"], wholeSections = false): TimeSchool {
  return defineSchool({ ...head, kind: "rule" as const, wholeSections, sectionH });
}

/** A slope law gives a speed for a grade, and so hours for a section. */
function slopeLaw(head: Head, speedMps: (input: { gradeFraction: number } & Walker) => number): TimeSchool {
  const sectionH = (section: Section, walker: Walker): number =>
    section.distanceM /
    Math.max(SLOWEST_MPS, speedMps({ ...walker, gradeFraction: gradeOf(section) })) /
    SECONDS_PER_HOUR;
  return defineSchool({ ...head, kind: "slope-law" as const, wholeSections: false, sectionH, speedMps });
}

const toSixtyPercent: Validity["ranges"] = { gradeFraction: [-0.6, 0.6] };
const toFortyPercent: Validity["ranges"] = { gradeFraction: [-0.4, 0.4] };

export const time = registryOf<TimeSchool>("time", [
  slopeLaw(
    {
      id: "tobler",
      name: "Tobler’s slope law",
      source: "Tobler 1993, NCGIA Technical Report 93-1, from Imhof’s data",
      confidence: "high",
      validity: { words: "Grades to ±60 %; fastest at −5 %; × 0.6 off path.", ranges: toSixtyPercent },
    },
    ({ gradeFraction, offPath }) => toblerMps(gradeFraction) * (offPath ? 0.6 : 1),
  ),
  rule(
    {
      id: "naismith",
      name: "Naismith’s rule",
      source: "Naismith 1892, Scottish Mountaineering Club Journal 2:136; metric form",
      confidence: "high",
      validity: { words: "5 km/h and 600 m of climb an hour; descents cost nothing.", ranges: toFortyPercent },
    },
    naismithH,
  ),
  rule(
    {
      id: "langmuir",
      name: "Naismith with Langmuir’s descents",
      source: "Langmuir 1984, Mountaincraft and Leadership",
      confidence: "high",
      validity: {
        words: "Descents of 5 to 12 degrees save time, steeper ones cost it; nothing below 5 degrees.",
        ranges: toFortyPercent,
      },
    },
    langmuirH,
  ),
  rule(
    {
      id: "aitken",
      name: "Aitken’s correction",
      source: "Aitken 1977, Wilderness areas in Scotland",
      confidence: "medium",
      validity: { words: "5 km/h on paths, 4 km/h elsewhere, and Naismith’s climb.", ranges: toFortyPercent },
    },
    aitkenH,
  ),
  rule(
    {
      id: "din33466",
      name: "Alpine clubs (DIN 33466)",
      source: "DIN 33466, trail signs of the alpine clubs",
      confidence: "high",
      validity: {
        words: "For whole sections: 4 km/h, 300 m/h up, 500 m/h down, the smaller time halved.",
        ranges: toFortyPercent,
      },
    },
    din33466H,
    true,
  ),
  rule(
    {
      id: "munter",
      name: "Munter’s units",
      source: "Munter, 3×3 Lawinen; recalled in the version with 6 units an hour on the flat",
      confidence: "experimental",
      validity: { words: "Other versions take 4 units an hour on the flat.", ranges: toFortyPercent },
    },
    munterH,
    true,
  ),
  slopeLaw(
    {
      id: "swiss-polynomial",
      name: "Swiss trail-sign polynomial",
      source: "Swiss hiking federation, walking time on trail signs; degree 15",
      confidence: "medium",
      validity: { words: "Slopes of −40 to +40 %; 4.2 km/h on the level.", ranges: toFortyPercent },
    },
    ({ gradeFraction }) => swissMps(gradeFraction),
  ),
  slopeLaw(
    {
      id: "irmischer-clarke",
      name: "Irmischer & Clarke",
      source: "Irmischer & Clarke 2018, Cartogr Geogr Inf Sci 45:177",
      confidence: "medium",
      validity: {
        words: "Navigation courses of cadets; almost no slower on moderate slopes. Women × 0.95.",
        ranges: toFortyPercent,
      },
    },
    ({ gradeFraction, ...walker }) => irmischerClarkeMps(gradeFraction, walker),
  ),
  rule(
    {
      id: OWN_PACE_ID,
      name: "Your measured pace",
      source: "Your own speed on the level and rate of climb",
      confidence: "high",
      validity: { words: "As good as what you measured, with a pack like this one.", ranges: toFortyPercent },
    },
    ownPaceH,
  ),
]);
