import { describe, expect, test } from "vitest";
import { hikerOf, pieceOf, planOf, sourceOf, stationOf, stopOf, trackNorth } from "../../test/fixtures.ts";
import { checkFigures, computePlan, type Check, type CheckCode } from "../index.ts";

const flat = [trackNorth({ lengthM: 60_000 })];
const waters = [15, 30, 45].map((km) => sourceOf(`well${km}`, km * 1000));
const mild = { climate: { stations: [stationOf(8, 16)] } };
const sleepKit = [
  pieceOf("bag", 800, { role: "bag", comfortC: -5 }),
  pieceOf("mat", 400, { role: "pad", padR: 5 }),
  pieceOf("tarp", 400, { role: "shelter" }),
  pieceOf("everything else", 600, { gives: ["rain", "warm-layer", "light", "sun", "insects", "wind"] }),
];
const fed = { shortfallFraction: 0, appetiteByWeek: [1, 1, 1, 1] };
const bottles = pieceOf("bottles", 80, { role: "bottle", capacityL: 20 });
const found = (overrides: Record<string, unknown>, tracks = flat): Check[] =>
  computePlan(planOf({ ...mild, kit: [bottles], ...overrides }), tracks).checks;
const only = <Code extends CheckCode>(checks: Check[], code: Code) =>
  checks.find((check): check is Extract<Check, { code: Code }> => check.code === code);

test("a plain plan has nothing open", () => {
  expect(
    found({ kit: [bottles, ...sleepKit], sources: waters, hikers: [hikerOf({ packComfortKg: 20, food: fed })] }),
  ).toEqual([]);
});

describe("each check: when it holds, with its figures, and when it does not", () => {
  test("snow under foot at its dates, by the leg; rain that stations do not tell", () => {
    const cold = { climate: { stations: [stationOf(-6, 2)] } };
    const snowed = only(found(cold), "snow-underfoot");
    expect(snowed).toMatchObject({ severity: "caution", legIndex: 0 });
    expect(snowed!.have).toBeGreaterThan(40_000);
    expect(snowed!.soft).toBeLessThanOrEqual(snowed!.have);
    expect(only(found({ climate: { ...cold.climate, snowBy: "by-hand" } }), "snow-underfoot")).toBeUndefined();
    const unlisted = {
      climate: { stations: [stationOf(8, 16, { precipMm: undefined }), stationOf(8, 16, { id: "b" })] },
    };
    expect(only(found(unlisted), "rain-assumed")).toMatchObject({ severity: "note", have: 1 });
    expect(only(found({ climate: { ...unlisted.climate, snowBy: "by-hand" } }), "rain-assumed")).toBeUndefined();
  });

  test("load over the pack's comfort", () => {
    const check = only(
      found({ hikers: [hikerOf({ packComfortKg: 5 })], kit: [bottles, pieceOf("anvil", 8000)] }),
      "load-over-comfort",
    )!;
    expect(check).toMatchObject({ severity: "blocker", legIndex: 0, hikerId: "a" });
    expect(check.limit).toBe(5);
    expect(checkFigures(check)["limit"]).toEqual({ value: 5, unit: "kg" });
  });

  test("carry over the bottles' capacity, where it begins", () => {
    const kit = [pieceOf("bottle", 40, { role: "bottle", capacityL: 1 })];
    const check = only(found({ kit, sources: [sourceOf("w", 10_000)] }), "carry-over-bottles")!;
    expect(check.severity).toBe("blocker");
    expect(check.atM).toBeCloseTo(10_000, -2);
    expect(
      only(
        found({ kit, sources: Array.from({ length: 59 }, (_, i) => sourceOf(`w${i}`, (i + 1) * 1000)) }),
        "carry-over-bottles",
      ),
    ).toBeUndefined();
  });

  test("food and kit over the pack's volume", () => {
    expect(only(found({ kit: [bottles, pieceOf("pillow", 100, { volumeL: 70 })] }), "food-over-pack")).toBeDefined();
  });

  test("a hard canister where the rule asks for one, and large enough", () => {
    const stretches = [{ id: "r", name: "r", fromM: 20_000, toM: 30_000, kind: "rule", rule: "hard-canister" }];
    const canister = (capacityL: number) => pieceOf("canister", 900, { role: "hard-canister", capacityL });
    expect(only(found({ stretches }), "canister-missing")?.severity).toBe("blocker");
    expect(only(found({ stretches, kit: [bottles, canister(1)] }), "food-over-canister")).toBeDefined();
    const roomy = found({ stretches, kit: [bottles, canister(30)] });
    expect([only(roomy, "canister-missing"), only(roomy, "food-over-canister")]).toEqual([undefined, undefined]);
  });

  test("a rule of food storage may hold only for who sleeps there: who walks through is told so", () => {
    const meadow = (appliesTo: string, fromM: number, toM: number, season = {}) => [
      { id: "r", name: "Meadow", fromM, toM, kind: "rule", rule: "hard-canister", appliesTo, ...season },
    ];
    const codes = (...given: Parameters<typeof meadow>): string[] =>
      found({ stretches: meadow(...given) }).flatMap(({ code }) => (code.startsWith("canister") ? [code] : []));
    // Days of some 25 km: nobody sleeps in the first 5 km, somebody does in 40.
    expect(codes("carrying", 1000, 5000)).toEqual(["canister-missing"]);
    expect(codes("sleeping", 1000, 5000)).toEqual(["canister-if-camping"]);
    expect(codes("sleeping", 10_000, 50_000)).toEqual(["canister-missing"]);
    expect(codes("carrying", 1000, 5000, { fromMonthDay: "08-01", toMonthDay: "09-01" })).toEqual([]);
  });

  test("permits, hazards, insects and rules in one's own words are told before their stretch, in their season", () => {
    const ahead = (rest: Record<string, unknown>) =>
      only(
        found({ stretches: [{ id: "r", name: "R", fromM: 20_000, toM: 30_000, note: "n", ...rest }] }),
        "rule-ahead",
      );
    expect(ahead({ kind: "rule", rule: "permit" })).toMatchObject({ kind: "permit", stretch: "R", more: "n" });
    expect(ahead({ kind: "rule" })).toMatchObject({ kind: "own-rule", severity: "note", legIndex: 0 });
    expect(ahead({ kind: "hazard" })?.atM).toBeCloseTo(20_000, -2);
    expect(ahead({ kind: "insects", fromMonthDay: "04-01", toMonthDay: "06-01" })?.kind).toBe("insects");
    expect(ahead({ kind: "insects", fromMonthDay: "07-01", toMonthDay: "08-01" })).toBeUndefined();
    expect(ahead({ kind: "rule", rule: "no-camping" })).toBeUndefined();
    expect(ahead({ kind: "surface", surface: "sand" })).toBeUndefined();
  });

  test("nights without a bed, for who sleeps in beds", () => {
    const stops = [stopOf("m", 30_000, { nights: 0, services: ["bed", "shop-small"] })];
    const beds = { dayRules: { sleepAt: "beds" }, stops };
    const check = only(
      found({ ...beds, hikers: [hikerOf({ pace: { hoursFreshH: 3, hoursFitH: 3 } })] }),
      "bed-missing",
    );
    // A camp, and then the day is stretched to the bed.
    expect(check).toMatchObject({ severity: "caution", legIndex: 0, have: 1 });
    expect(only(found({ stops }), "bed-missing")).toBeUndefined();
    const reached = hikerOf({ pace: { hoursFreshH: 8, hoursFitH: 8 } });
    expect(only(found({ ...beds, hikers: [reached] }), "bed-missing")).toBeUndefined();
  });

  test("nights above 2,500 m: a note, and a caution more than 500 m above the highest before", () => {
    const high = (heightM: (m: number) => number) =>
      found({}, [trackNorth({ lengthM: 60_000, heightM })]).filter((check) => check.code === "high-sleep");
    expect(high(() => 2400)).toEqual([]);
    expect(high(() => 2800)).toMatchObject([{ severity: "note" }]);
    expect(high(() => 3400)).toMatchObject([{ severity: "caution" }]);
    // By 400 m a night.
    expect(high((m) => 2300 + m / 60)).toMatchObject([{ severity: "note" }]);
  });

  test("the canister holds what is left where its stretch begins, not the whole leg's food", () => {
    const canister = pieceOf("canister", 900, { role: "hard-canister", capacityL: 0.5 });
    const rule = (fromM: number) =>
      only(
        found({
          kit: [bottles, canister],
          stretches: [{ id: "r", name: "r", fromM, toM: 59_000, kind: "rule", rule: "hard-canister" }],
        }),
        "food-over-canister",
      )!;
    const [whole, half, late] = [rule(0), rule(30_000), rule(50_000)];
    expect(half.have).toBeLessThan(0.8 * whole.have);
    expect(late.have).toBeLessThan(half.have);
    expect(late.atM).toBeCloseTo(50_000, -2);
  });

  test("a leg over ten days of food", () => {
    const long = [trackNorth({ lengthM: 320_000 })];
    expect(only(found({}, long), "leg-over-ten-days")).toBeDefined();
    expect(only(found({ stops: [stopOf("m", 160_000)] }, long), "leg-over-ten-days")).toBeUndefined();
  });

  test("a night colder than the bag with what is worn in it, and a pad too thin for the ground", () => {
    const cold = { climate: { snowBy: "by-hand", stations: [stationOf(-8, 6)] } };
    const bag = (comfortC: number) => pieceOf("bag", 800, { role: "bag", comfortC });
    expect(only(found({ ...cold, kit: [bottles, bag(-2)] }), "night-below-bag")?.severity).toBe("blocker");
    expect(only(found({ ...cold, kit: [bottles, bag(-9)] }), "night-below-bag")?.severity).toBe("caution");
    expect(
      only(found({ ...cold, kit: [bottles, bag(-9), pieceOf("liner", 100, { warmthK: 4 })] }), "night-below-bag"),
    ).toBeUndefined();
    expect(
      only(found({ ...cold, kit: [bottles, pieceOf("mat", 200, { role: "pad", padR: 2 })] }), "pad-too-thin"),
    ).toBeDefined();
    expect(
      only(found({ ...cold, kit: [bottles, pieceOf("mat", 600, { role: "pad", padR: 6 })] }), "pad-too-thin"),
    ).toBeUndefined();
  });

  test("arrival after the wanted day, counted", () => {
    const trip = { name: "x", startDate: "2027-05-01", finishBy: "2027-05-02" };
    expect(only(found({ trip }), "finish-late")?.late).toBe(1);
    expect(only(found({ trip: { ...trip, finishBy: "2027-05-03" } }), "finish-late")).toBeUndefined();
  });

  test("food under resting needs", () => {
    expect(
      only(found({ hikers: [hikerOf({ food: { shortfallFraction: 0.7 } })] }), "food-below-resting")?.severity,
    ).toBe("blocker");
  });

  test("untrusted water inside a long dry stretch is named", () => {
    const sources = [
      sourceOf("w1", 5000),
      sourceOf("maybe", 30_000, { chanceByMonth: Array<number>(12).fill(0.4) }),
      sourceOf("w2", 55_000),
    ];
    expect(only(found({ sources }), "untrusted-water")?.source).toBe("maybe");
    expect(
      only(found({ sources: sources.map((source) => ({ ...source, chanceByMonth: undefined })) }), "untrusted-water"),
    ).toBeUndefined();
  });

  test("a source that may be dry and decides over litres is named, with its chance", () => {
    const sources = (chance: number) => [
      sourceOf("w1", 5000),
      sourceOf("wash", 25_000, { chanceByMonth: Array(12).fill(chance) }),
      sourceOf("w2", 55_000),
    ];
    const check = only(found({ sources: sources(0.8) }), "source-decides")!;
    expect(check).toMatchObject({ severity: "note", source: "wash", chance: 80 });
    expect(check.have).toBeGreaterThan(3);
    expect(check.atM).toBeCloseTo(25_000, -2);
    expect(only(found({ sources: sources(0.99) }), "source-decides")).toBeUndefined();
    // One that is not counted on decides nothing.
    expect(only(found({ sources: sources(0.3) }), "source-decides")).toBeUndefined();
  });

  test("no stations, no heights", () => {
    const blind = trackNorth({ lengthM: 60_000, heightM: () => NaN });
    const codes = computePlan(
      planOf({
        kit: [bottles, ...sleepKit],
        sources: waters,
        hikers: [hikerOf({ packComfortKg: 20, food: fed, water: { treatment: { method: "lamp" } } })],
      }),
      [blind],
    ).checks.map((check) => check.code);
    expect(codes).toEqual(["climate-assumed", "heights-missing"]);
  });

  test("a shortfall kept up for months: deficits, too little left after walking, fat", () => {
    const long = [trackNorth({ lengthM: 1_200_000, spacingM: 400 })];
    const stops = Array.from({ length: 11 }, (_, i) => stopOf(`s${i}`, 100_000 * (i + 1)));
    const thin = hikerOf({ bodyFatFraction: 0.08, food: { shortfallFraction: 0.3, townExtraKcal: 0 } });
    const checks = found({ stops, hikers: [thin] }, long);
    expect(only(checks, "deficit-adds-up")?.severity).toBe("caution");
    expect(only(checks, "energy-availability")?.limit).toBe(30);
    expect(only(checks, "fat-too-low")?.severity).toBe("blocker");
    const fed = found(
      { stops, hikers: [hikerOf({ food: { shortfallFraction: -0.05, appetiteByWeek: [1, 1, 1, 1] } })] },
      long,
    );
    for (const code of ["deficit-adds-up", "energy-availability", "fat-too-low"] as const)
      expect(only(fed, code)).toBeUndefined();
  });

  test("a menu too dense to be one, and one with little protein", () => {
    expect(only(found({ hikers: [hikerOf({ food: { densityKcalPerG: 6 } })] }), "food-too-dense")).toBeDefined();
    expect(only(found({ hikers: [hikerOf({ food: { proteinFraction: 0.06 } })] }), "protein-low")).toBeDefined();
  });

  test("heat: rest and water by the fluid table, silent in the cool", () => {
    const check = only(found({ climate: { stations: [stationOf(22, 36)] } }), "heat-stress")!;
    expect(check.severity).toBe("caution");
    expect(check.rest).toBeGreaterThanOrEqual(20);
    expect(only(found({}), "heat-stress")).toBeUndefined();
  });

  test("gas gives out in hard frost, white gas does not; alcohol already at freezing", () => {
    const frost = { climate: { stations: [stationOf(-14, -4)] } };
    const stove = (fuel: string) => found({ ...frost, hikers: [hikerOf({ stove: { fuel } })] });
    expect(only(stove("gas-canister"), "stove-too-cold")?.limit).toBeCloseTo(-12.7, 0);
    expect(only(stove("alcohol"), "stove-too-cold")?.limit).toBe(0);
    expect(only(stove("liquid-fuel"), "stove-too-cold")).toBeUndefined();
  });

  test("heat asks what the air's moisture is", () => {
    const station = (humidity: number) => ({
      climate: { stations: [stationOf(16, 24, { highSdK: 1, humidity: Array(12).fill(humidity) })] },
    });
    expect(only(found(station(0.3)), "heat-stress")).toBeUndefined();
    expect(only(found(station(0.9)), "heat-stress")?.severity).toBe("caution");
  });

  test("nights in the open without bag, pad or shelter are counted; another's shelter does, another's bag does not", () => {
    const cold = { climate: { snowBy: "by-hand", stations: [stationOf(-8, 6)] } };
    const missing = (overrides: Record<string, unknown>) =>
      found({ ...cold, ...overrides }).filter((check) => check.code === "sleep-kit-missing");
    expect(missing({}).map((check) => [check.role, check.severity, check.nights])).toEqual([
      ["bag", "blocker", 2],
      ["pad", "blocker", 2],
      ["shelter", "blocker", 2],
    ]);
    expect(missing({ kit: [bottles, ...sleepKit] })).toEqual([]);
    const two = { hikers: [hikerOf(), hikerOf({ id: "b", name: "B" })], kit: [bottles, ...sleepKit] };
    expect(missing(two).map((check) => [check.hikerId, check.role])).toEqual([
      ["b", "bag"],
      ["b", "pad"],
    ]);
    const oneDay = [trackNorth({ lengthM: 15_000 })];
    expect(only(found(cold, oneDay), "sleep-kit-missing")).toBeUndefined();
  });

  test("days of twenty hours, and what sleep they leave; zeros give it back", () => {
    const long = [trackNorth({ lengthM: 250_000 })];
    const pace = { hoursFreshH: 17, hoursFitH: 17, startClockH: 4, breakFraction: 0.1 };
    const rules = { dayRules: { darkFraction: 1, endRule: "hours" } };
    const checks = found({ hikers: [hikerOf({ pace })], ...rules }, long);
    expect(only(checks, "long-days")).toMatchObject({ severity: "caution", limit: 12 });
    expect(only(checks, "long-days")!.have).toBeCloseTo(17, 0);
    expect(only(checks, "long-days")!.days).toBeGreaterThanOrEqual(2);
    expect(only(checks, "short-sleep")!.have).toBeLessThan(6);
    const usual = found({}, long);
    expect([only(usual, "long-days"), only(usual, "short-sleep")]).toEqual([undefined, undefined]);
  });

  test("a fire ban on the way and a stove that is one; gas is not", () => {
    const ban = (season: Record<string, string>) => [
      { id: "r", name: "Dry hills", fromM: 20_000, toM: 30_000, kind: "rule", rule: "fire-ban", ...season },
    ];
    const stove = (fuel: string, season: Record<string, string> = {}) =>
      only(found({ hikers: [hikerOf({ stove: { fuel } })], stretches: ban(season) }), "fire-ban");
    expect(stove("alcohol")).toMatchObject({ severity: "blocker", fuel: "alcohol", stretch: "Dry hills" });
    expect(stove("tablets")?.severity).toBe("blocker");
    expect(stove("gas-canister")).toBeUndefined();
    expect(stove("alcohol", { fromMonthDay: "07-01", toMonthDay: "09-30" })).toBeUndefined();
    expect(stove("alcohol", { fromMonthDay: "04-01", toMonthDay: "09-30" })).toBeDefined();
  });

  test("what a stop does not offer is not assumed: food, fuel, post; silence is noted", () => {
    const hikers = [hikerOf({ food: fed, stove: { fuel: "alcohol" } })];
    const at = (services: string[]) => ({
      stops: [stopOf("m", 30_000, { services, nights: 2 })],
      kit: [bottles, ...sleepKit],
      hikers,
    });
    const codes = (services: string[]) => found(at(services)).map((check) => check.code);
    expect(codes(["bed"])).toEqual(["food-not-sold", "fuel-not-sold"]);
    expect(codes(["post", "bed"])).toEqual(["fuel-not-sold"]);
    expect(codes(["shop-small"])).toEqual([]);
    expect(codes([])).toEqual(["stops-silent"]);
    expect(only(found(at(["bed"])), "food-not-sold")).toMatchObject({ severity: "note", legIndex: 1, stop: "m" });
    const swap = (begins: string, ends: string) => [
      pieceOf("axe", 400, { spans: [{ fromStopId: "m", toStopId: "@finish", begins, ends: "kept" }] }),
      pieceOf("net", 40, { spans: [{ fromStopId: "@start", toStopId: "m", begins: "from-home", ends }] }),
    ];
    const pieces = (services: string[], begins: string, ends: string) =>
      found({ ...at(services), kit: [bottles, ...sleepKit, ...swap(begins, ends)] }).flatMap((check) =>
        check.code === "piece-not-there" ? [`${check.piece} ${check.how}`] : [],
      );
    expect(pieces(["shop-small"], "posted", "sent-home")).toEqual(["axe posted", "net sent"]);
    expect(pieces(["bed", "post"], "bought", "sent-home")).toEqual(["axe bought"]);
    expect(pieces(["shop-small", "post"], "bought", "sent-home")).toEqual([]);
  });

  test("a menu far under the need is said once, on its worst leg", () => {
    const menu = (shortfallFraction: number) =>
      only(
        found({ hikers: [hikerOf({ food: { shortfallFraction, appetiteByWeek: [1, 1, 1, 1] } })] }),
        "menu-below-need",
      );
    expect(menu(0.1)).toBeUndefined();
    expect(menu(0.25)?.severity).toBe("note");
    expect(menu(0.35)).toMatchObject({ severity: "caution", limit: 80 });
    expect(menu(0.35)!.have).toBeCloseTo(65, 6);
  });

  test("a camp where none may be", () => {
    const stretches = [{ id: "r", name: "r", fromM: 0, toM: 60_000, kind: "rule", rule: "no-camping" }];
    expect(only(found({ stretches }), "camp-forbidden")?.severity).toBe("blocker");
  });

  test("a figure outside its model is flagged: age, load", () => {
    expect(only(found({ hikers: [hikerOf({ ageY: 90 })] }), "outside-model")?.quantity).toBe("ageY");
    const dry = { schools: { water: "heat-balance" } };
    const frost = found({ hikers: [hikerOf(dry)], climate: { stations: [stationOf(-8, 4)] } });
    expect(only(frost, "outside-model")?.quantity).toBe("temperatureC");
    expect(only(found({ hikers: [hikerOf(dry)] }), "outside-model")).toBeUndefined();
    const school = { schools: { effort: "minetti" }, packComfortKg: 40 };
    const heavy = found({ hikers: [hikerOf(school)], kit: [bottles, pieceOf("anvil", 15_000)] });
    expect(only(heavy, "outside-model")?.quantity).toBe("loadKg");
  });

  test("kit faults become checks with the piece's name", () => {
    const spans = [{ fromStopId: "@start", toStopId: "gone", ends: "sent-home" }];
    const check = only(found({ kit: [bottles, pieceOf("axe", 300, { spans })] }), "kit-stop-gone")!;
    expect(check.piece).toBe("axe");
  });
});
