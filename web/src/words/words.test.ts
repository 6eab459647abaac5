import { withArticle } from "./counted.ts";
import { EXPLAINED, explain, type Check, type CheckCode, type Derivation } from "@gepack/core";
import { describe, expect, test } from "vitest";
import { demo } from "../../test/plans.ts";
import { isAction } from "../fixes/fix.ts";
import { STATIONS } from "../stations/registry.ts";
import { checkMark, checkFixes, checkSentence, checkStation, distinct } from "./checks/index.ts";
import { DERIVATION_LABEL, sourceWords } from "./derivations.ts";
import { firstName, stopName } from "./names.ts";

const { plan, result } = demo();

test("a model's source names its valid range", () => {
  expect(sourceWords("effort:minetti")).toMatch(/2002.*treadmill/);
});

test("every part and source of every explanation has words", () => {
  const walk = (node: Derivation): void => {
    expect(DERIVATION_LABEL, node.code).toHaveProperty(node.code);
    if (node.source) expect(sourceWords(node.source), node.source).toMatch(/^\S.*[.]$/);
    node.parts.forEach(walk);
  };
  for (const leg of result.legs)
    for (const { hikerId } of leg.hikers)
      for (const figure of EXPLAINED) walk(explain(plan, result, { legIndex: leg.index, hikerId, figure })!);
});

const WHERE = { severity: "caution", legIndex: 0, hikerId: "jory", atM: 12_000 };

/** One finding of every kind of check, with figures that could be. */
const FINDINGS: { [Code in CheckCode]: Omit<Extract<Check, { code: Code }>, "code" | keyof typeof WHERE> } = {
  "load-over-comfort": { have: 16.52, limit: 15 },
  "load-over-pack": { have: 14.2, limit: 12, piece: "Light pack" },
  "food-over-pack": { have: 61, limit: 55 },
  "leg-over-ten-days": { have: 11, limit: 10 },
  "water-unknown": { have: 14, distance: 62_000 },
  "water-assumed": { have: 3 },
  "carry-over-bottles": { have: 6.2, limit: 4, distance: 30_000 },
  "drink-limit": { have: 9, limit: 7 },
  "untrusted-water": { distance: 40_000, source: "Old tank" },
  "cache-short": { have: 9.2, limit: 6, source: "Halfway cache" },
  "kit-uncovered": { demand: "traction", legs: 3 },
  "filter-frost": { nights: 3, have: -4.2 },
  "treatment-used-up": { limit: 1000, method: "filter" },
  "contaminated-water": { source: "Mill pond", method: "filter" },
  "treating-long": { have: 140, limit: 95 },
  "source-decides": { have: 5.8, source: "Heron wash", chance: 72 },
  "food-below-resting": { have: 1200, limit: 1500 },
  "canister-missing": {},
  "fire-ban": { fuel: "alcohol", stretch: "Dry hills" },
  "food-over-canister": { have: 14, limit: 11.5 },
  "food-melts": { food: "Milk chocolate", have: 33, limit: 28 },
  "food-spoils": { food: "Flat bread", have: 6, limit: 2.1 },
  "cooked-without-stove": { food: "Rolled oats" },
  "salt-low": { have: 2.1, limit: 3.4 },
  "menu-not-sold": { food: "Rice, lentil and onion", have: 870 },
  "night-below-bag": { have: 1, limit: -3 },
  "pad-too-thin": { have: 2, limit: 4.4 },
  "sleep-kit-missing": { role: "bag", nights: 3, low: -4 },
  "stove-too-cold": { have: -9, limit: -5 },
  "heat-stress": { have: 36, limit: 0.9, rest: 20 },
  "climate-assumed": {},
  "climate-simulated": { have: 4 },
  "kit-piece-twice": { pieceId: "tent", piece: "Tent" },
  "kit-piece-gap": { pieceId: "tent", piece: "Tent" },
  "kit-stop-gone": { pieceId: "tent", piece: "Tent", stopId: "zzz", stop: "zzz" },
  "kit-stop-unused": { pieceId: "tent", piece: "Tent", stopId: "sael", stop: "Sael" },
  "kit-stop-off-route": { pieceId: "tent", piece: "Tent", stopId: "sael", stop: "Sael" },
  "trail-coarse": {},
  "heights-unknown": { distance: 37_000 },
  "route-part-rests": { part: "High way", why: "overlaps" },
  "closure-ridden": { closure: "Burnt wood", alternate: "High way", hours: 3 },
  "walked-twice": { metres: 12_000 },
  "snow-underfoot": { have: 42_000, soft: 12_000, late: 66_000 },
  "shoes-worn-out": { pieceId: "shoes", piece: "Trail shoes", have: 1_400_000, chance: 92 },
  "deep-snow": { have: 8_000 },
  "wet-cold": { have: 4, days: 2.5, wind: 5.6, legs: 3, loss: 455 },
  "sun-strong": { have: 11, over: "snow", reddens: 15 },
  "forecast-unused": { forecast: "Ivory week", why: "old", days: 3 },
  "reading-height": { day: "2027-05-05", have: 2400, limit: 900 },
  "ford-high": { ford: "Cold fork", level: 3, lowest: 2, flow: 84, depth: 0.7, at: 15.5, low: 6 },
  ticks: { stretch: "Low meadows", days: 2 },
  "stop-out-of-season": { stopId: "sael", stop: "Sael", day: "2027-05-05", opens: "2027-06-01", wait: 27 },
  "post-out-of-season": { stopId: "sael", stop: "Sael", day: "2027-05-05", opens: "2027-05-15", wait: 10 },
  "rain-assumed": { have: 3 },
  "kit-role-gap": { role: "shoes" },
  "finish-late": { have: "2027-08-07", limit: "2027-08-05", late: 2 },
  "pin-missed": { pinId: "p", pin: "Hut", why: "late", wanted: "2027-05-05", comes: "2027-05-07", days: 2 },
  "camp-forbidden": { day: "2027-05-05" },
  "bed-missing": { have: 2, day: "2027-05-05" },
  "high-sleep": { have: 3400, gain: 900 },
  "canister-if-camping": { stretch: "Long meadow" },
  "rule-ahead": { kind: "permit", stretch: "High park", more: "At the ranger post." },
  "long-days": { have: 16, limit: 12, days: 3 },
  "short-sleep": { have: 3.2, limit: 6, days: 1 },
  "shop-shut": {
    stopId: "sael",
    stop: "Sael",
    day: "2027-05-05",
    comesH: 18.2,
    opens: "2027-05-07",
    opensH: 9,
    wait: 1,
  },
  "counter-shut": {
    stopId: "sael",
    stop: "Sael",
    day: "2027-05-05",
    comesH: 18.2,
    opens: "2027-05-06",
    opensH: 9,
    wait: 0,
  },
  "box-unsure": { stopId: "sael", stop: "Sael", date: "2027-05-05", chance: 82, word: "Hask", wordChance: 98 },
  "box-too-heavy": { stop: "Sael", have: 22.4, limit: 20 },
  "box-not-by-post": { stop: "Sael", piece: "Fuel" },
  "box-sent-late": { stop: "Sael", late: 3, chance: 61 },
  "stop-in-the-morning": { stopId: "sael", stop: "Sael", day: "2027-05-05", comesH: 10.4, have: 2.2 },
  "box-from-nowhere": { stopId: "sael", stop: "Sael" },
  "ride-gone": { stopId: "sael", stop: "Sael", comesH: 18.2, last: 17 },
  "heights-missing": {},
  "not-settled": { move: 12 },
  "food-not-sold": { stopId: "sael", stop: "Sael", from: "Dorn", have: 3.2 },
  "fuel-not-sold": { stopId: "sael", stop: "Sael", from: "", have: 120 },
  "piece-not-there": { piece: "Tent", stop: "Sael", how: "posted" },
  "stops-silent": { have: 2, stop: "Sael" },
  "menu-below-need": { have: 65, limit: 80 },
  "battery-flat": { day: "2027-05-05", short: 0.3 },
  "battery-low": { day: "2027-05-05", have: 12 },
  "spare-cells-short": { deviceId: "lamp", device: "Lamp", have: 0, limit: 1 },
  "deficit-adds-up": { have: 61_000, limit: 50_000, lost: 6 },
  "fat-too-low": { have: 4, limit: 6 },
  "food-too-dense": { have: 7.4, limit: 6 },
  "protein-low": { have: 0.9, limit: 1.2 },
  "energy-availability": { have: 24, limit: 30 },
  "outside-model": { model: "Tobler", quantity: "loadKg", have: 31, low: 2, high: 25 },
};
const made = (code: CheckCode, rest: object = {}): Check =>
  ({ ...WHERE, ...FINDINGS[code], ...rest, code }) as unknown as Check;
const CODES = Object.keys(FINDINGS) as CheckCode[];

describe("checks in words", () => {
  test.each(CODES)("%s has a mark, a station that is there and whole sentences", (code) => {
    const check = made(code);
    expect(checkMark(check)).toMatch(/^[a-z]+$/);
    expect(STATIONS.map(({ id }) => id)).toContain(checkStation(check));
    const sentences = [
      checkSentence(check, plan),
      ...checkFixes(check, { plan, result }).flatMap((fix) => ("advice" in fix ? [fix.advice] : [])),
    ];
    for (const sentence of sentences) {
      expect(sentence, code).toMatch(/^[A-Z0-9“−].*[.]$/);
      expect(sentence, code).not.toMatch(/undefined|NaN| {2}|\( *\)| [,.]/);
    }
  });

  test.each(CODES)("%s: every figure it has shows in its sentence", (code) => {
    const before = checkSentence(made(code), plan);
    for (const [name, value] of Object.entries(FINDINGS[code])) {
      if (["pieceId", "stopId", "deviceId", "pinId", "quantity"].includes(name)) continue;
      const other = typeof value === "number" ? value * 3 + 7 : /^\d{4}-/.test(String(value)) ? "2027-11-11" : "Other";
      expect(checkSentence(made(code, { [name]: other }), plan), `${code}.${name}`).not.toBe(before);
    }
  });

  test.each(CODES)("%s: a mend that is a button says what it does, and changes the plan in place", (code) => {
    for (const fix of checkFixes(made(code), { plan, result })) {
      if (!isAction(fix)) continue;
      expect(fix.button).toMatch(/^[A-Z].*[^.]$/);
      const changed = structuredClone(plan);
      fix.recipe(changed as never, { newId: () => "new", today: "2027-01-01" });
      expect(changed, fix.button).not.toEqual(plan);
    }
  });

  test("figures carry the hiker's units, dates are written out, one is not several", () => {
    expect(checkSentence(made("load-over-comfort"), plan)).toBe(
      "Your pack reaches 16.5 kg at 12 km; it’s comfortable up to 15.0 kg.",
    );
    expect(checkSentence(made("finish-late"), plan)).toBe("You arrive on 7 Aug, 2 days after your target of 5 Aug.");
    expect(checkSentence(made("battery-flat"), plan)).toContain("less than 1 Wh short");
    const imperial = structuredClone(plan);
    imperial.trip.units.mass = "lb";
    expect(checkSentence(made("load-over-comfort"), imperial)).toContain("36.4 lb");
  });

  test("what holds for both hikers alike is said once", () => {
    const one = made("climate-assumed");
    expect(distinct([one, { ...one, hikerId: "tamsin" }], plan)).toHaveLength(1);
  });

  test.each(CODES)("%s never promises safety", (code) => {
    for (const severity of ["blocker", "caution", "note"])
      expect(checkSentence(made(code, { severity }), plan)).not.toMatch(/\bsafe\b/i);
    for (const fix of checkFixes(made(code), { plan, result }))
      expect("advice" in fix ? fix.advice : fix.button).not.toMatch(/\bsafe\b/i);
  });
});

test("hikers are called by their first names, and by a number that tells them apart", () => {
  const called = (name: string): string => firstName({ ...plan.hikers[0]!, name });
  expect(["Tamsin Okafor", "Bo", "Hiker", "Hiker 2", ""].map(called)).toEqual(["Tamsin", "Bo", "Hiker", "Hiker 2", ""]);
});

test("the ends of the trail and a stop that is gone have names", () => {
  expect([stopName(plan, "@start"), stopName(plan, "sael"), stopName(plan, "zzz")]).toEqual([
    "Start",
    "Sael",
    "(stop no longer exists)",
  ]);
});

test("a piece stands in a sentence with its article, and what is worn in pairs without", () => {
  expect(["Ice axe", "Rain jacket", "Snowshoes", "Compass"].map(withArticle)).toEqual([
    "an ice axe",
    "a rain jacket",
    "snowshoes",
    "a compass",
  ]);
});
