/**
 * Resting metabolism, kcal a day. Equations in the papers' units: W kg, H cm, A years, FFM kg.
 * Typical error ±10 % for four people in five. For hours that are not walked: walking power holds rest already.
 */
import { clamp } from "../units/constants.ts";
import { defineSchool, registryOf, type School } from "./school.ts";

export interface RestingInput {
  bodyKg: number;
  heightCm: number;
  ageY: number;
  sex: "female" | "male";
  /** Share of body mass that is fat; estimated from the body's build when missing. */
  bodyFatFraction?: number | undefined;
}

export interface RestingSchool extends School {
  energyKcalPerDay: (input: RestingInput) => number;
}

/** No regression here turns so low for a living body that the schema accepts, but for the very old and light. */
const LEAST_KCAL = 600;

/**
 * Fat as a share of body mass from build alone: Deurenberg, Weststrate & Seidell 1991, Br J Nutr 65:105:
 * 1.20 BMI + 0.23 A − 10.8 (men) − 5.4 percent; ±4 points, worse for the trained. Held to 5–55 %.
 */
export function estimatedFatFraction(body: RestingInput): number {
  const heightM = body.heightCm / 100;
  const percent = (1.2 * body.bodyKg) / (heightM * heightM) + 0.23 * body.ageY - (body.sex === "male" ? 10.8 : 0) - 5.4;
  return clamp(percent / 100, 0.05, 0.55);
}

/** Kilograms of body that are not fat. */
export function fatFreeKg(body: RestingInput): number {
  return body.bodyKg * (1 - (body.bodyFatFraction ?? estimatedFatFraction(body)));
}

function mifflin({ bodyKg, heightCm, ageY, sex }: RestingInput): number {
  return 10 * bodyKg + 6.25 * heightCm - 5 * ageY + (sex === "male" ? 5 : -161);
}

function harrisBenedict1919({ bodyKg, heightCm, ageY, sex }: RestingInput): number {
  return sex === "male"
    ? 66.473 + 13.7516 * bodyKg + 5.0033 * heightCm - 6.755 * ageY
    : 655.0955 + 9.5634 * bodyKg + 1.8496 * heightCm - 4.6756 * ageY;
}

function rozaShizgal1984({ bodyKg, heightCm, ageY, sex }: RestingInput): number {
  return sex === "male"
    ? 88.362 + 13.397 * bodyKg + 4.799 * heightCm - 5.677 * ageY
    : 447.593 + 9.247 * bodyKg + 3.098 * heightCm - 4.33 * ageY;
}

/** Slope and constant on body mass by age band: 18–30, 30–60, over 60. */
const HENRY = {
  male: [
    [16, 545],
    [14.2, 593],
    [13.5, 514],
  ],
  female: [
    [13.1, 558],
    [9.74, 694],
    [10.1, 569],
  ],
} as const;

function henry2005({ bodyKg, ageY, sex }: RestingInput): number {
  const [slope, constant] = HENRY[sex][ageY < 30 ? 0 : ageY < 60 ? 1 : 2];
  return slope * bodyKg + constant;
}

/** An equation that never says less than a living body needs. */
const atLeast =
  (equation: (input: RestingInput) => number) =>
  (input: RestingInput): number =>
    Math.max(LEAST_KCAL, equation(input));

const needsFat = "Needs your body fat percentage; otherwise it’s estimated from build, ±4 points.";

export const resting = registryOf<RestingSchool>("resting", [
  defineSchool({
    id: "mifflin-st-jeor",
    name: "Mifflin–St Jeor 1990",
    source: "Mifflin, St Jeor and others 1990, Am J Clin Nutr 51:241",
    confidence: "high",
    validity: { words: "498 people of 19 to 78 years.", ranges: { ageY: [19, 78] } },
    energyKcalPerDay: atLeast(mifflin),
  }),
  defineSchool({
    id: "harris-benedict-1919",
    name: "Harris–Benedict 1919",
    source: "Harris & Benedict 1919, Carnegie Institution Publication 279",
    confidence: "high",
    validity: { words: "239 people, mostly young and lean; reads about 5 % high today.", ranges: { ageY: [16, 63] } },
    energyKcalPerDay: atLeast(harrisBenedict1919),
  }),
  defineSchool({
    id: "harris-benedict-1984",
    name: "Harris–Benedict, revised 1984",
    source: "Roza & Shizgal 1984, Am J Clin Nutr 40:168",
    confidence: "high",
    validity: {
      words: "The 1919 data with others added; not to be mixed with the 1919 figures.",
      ranges: { ageY: [16, 80] },
    },
    energyKcalPerDay: atLeast(rozaShizgal1984),
  }),
  defineSchool({
    id: "cunningham-1980",
    name: "Cunningham 1980",
    source: "Cunningham 1980, Am J Clin Nutr 33:2372",
    confidence: "high",
    validity: { words: `For trained, lean people. ${needsFat}`, ranges: { bodyFatFraction: [0.05, 0.4] } },
    energyKcalPerDay: atLeast((body) => 500 + 22 * fatFreeKg(body)),
  }),
  defineSchool({
    id: "katch-mcardle",
    name: "Cunningham 1991 (Katch–McArdle)",
    source: "Cunningham 1991, Am J Clin Nutr 54:963; textbooks print it as Katch–McArdle",
    confidence: "medium",
    validity: { words: needsFat, ranges: { bodyFatFraction: [0.05, 0.5] } },
    energyKcalPerDay: atLeast((body) => 370 + 21.6 * fatFreeKg(body)),
  }),
  defineSchool({
    id: "oxford-2005",
    name: "Oxford 2005, by body weight",
    source: "Henry 2005, Public Health Nutr 8(7A):1133",
    confidence: "medium",
    validity: { words: "10,552 values from many countries; jumps at 30 and 60 years.", ranges: { ageY: [18, 100] } },
    energyKcalPerDay: atLeast(henry2005),
  }),
]);
