import fc from "fast-check";
import { describe, expect, test } from "vitest";
import { hikerSchema, type Hiker } from "../plan/schema.ts";
import { hikerOf, pieceOf, planOf, sourceOf, stationOf, stopOf, trackNorth } from "../../test/fixtures.ts";
import { computePlan } from "../session/session.ts";
import { trusted } from "../walk/sources.ts";
import type { DayPart } from "../walk/walk.ts";
import { choiceOf, resolveHiker } from "../models/hiker.ts";
import { dayEnergy as energyOf } from "./energy.ts";
import { needsOf, restingKcalPerDay as restingOf } from "./needs.ts";
import { appetite, MEAL_SHARES, partMeals, type PartOfDay } from "./food.ts";
import { carryLitres, mostLitres, sunFraction } from "./water.ts";

const hiker = (overrides: Record<string, unknown> = {}): Hiker => hikerSchema.parse(hikerOf(overrides));

const restingKcalPerDay = (who: Hiker, bodyKg: number): number =>
  restingOf(needsOf(who, resolveHiker(choiceOf(who))), bodyKg);

const dayEnergy = (who: Hiker, day: number, leg: number, walkH: number, walkKcal: number, meanC: number) =>
  energyOf(needsOf(who, resolveHiker(choiceOf(who))), restingKcalPerDay(who, who.bodyKg), {
    day,
    legIndex: leg,
    walkH,
    walkKcal,
    meanC,
    fullH: 8,
  });

describe("energy of a day", () => {
  test("a hand-worked day: 8 h at 2,400 kcal, the other hours at rest, digestion once", () => {
    // Mifflin 1,648.75 kcal; 8 h awake at 1.2 and 8 h asleep at 1.0 of 68.698 kcal/h = 1,209.08.
    const day = dayEnergy(hiker(), 20_000, 0, 8, 2400, 12);
    expect(day.restKcal).toBeCloseTo(((1.6 * 1.3 + 6.4 * 1.6 + 8) * 1648.75) / 24, 1);
    expect(day.thermicKcal).toBeCloseTo(379.59, 1);
    expect(day.coldKcal).toBe(0);
    expect(day.totalKcal).toBeCloseTo(4175.53, 1);
  });

  test("resting cost is not counted for the hours walked", () => {
    const short = dayEnergy(hiker(), 0, 0, 2, 0, 10).restKcal;
    const long = dayEnergy(hiker(), 0, 0, 10, 0, 10).restKcal;
    // Eight hours less at camp, of which 1.6 are breaks instead of it.
    expect(short - long).toBeCloseTo(((9.6 * 1.6 - 1.6 * 1.3) * 1648.75) / 24, 3);
  });

  test("a day off the trail is about one and a half times rest, digestion in it", () => {
    expect(dayEnergy(hiker(), 0, 0, 0, 0, 10).totalKcal / 1648.75).toBeCloseTo(1.54, 2);
  });

  test("the cold allowance is 100 kcal per 10 K below freezing", () => {
    expect(dayEnergy(hiker(), 0, 0, 8, 2000, -15).coldKcal).toBeCloseTo(150, 9);
  });

  test("the allowance is one's own, and so may the whole day be", () => {
    expect(dayEnergy(hiker({ food: { coldKcalPer10K: 250 } }), 0, 0, 8, 2000, -10).coldKcal).toBe(250);
    const measured = hiker({ food: { measuredKcalPerDay: 3300 } });
    const whole = dayEnergy(measured, 0, 0, 8, 2400, 12);
    expect(whole.totalKcal).toBeCloseTo(3300, 9);
    expect(whole.walkKcal + whole.restKcal + whole.thermicKcal + whole.measuredKcal).toBeCloseTo(3300, 9);
    // A rest day stays the models', half a day is between.
    expect(dayEnergy(measured, 0, 0, 0, 0, 12).measuredKcal).toBe(0);
    expect(Math.abs(dayEnergy(measured, 0, 0, 4, 1200, 12).measuredKcal)).toBeGreaterThan(0);
  });

  test("cold adds to the day, and half a day walked is half measured", () => {
    const [cold, mild] = [-15, 5].map((meanC) => dayEnergy(hiker(), 0, 0, 8, 2000, meanC).totalKcal);
    expect(cold! - mild!).toBeCloseTo(150, 9);
    const half = dayEnergy(hiker({ food: { measuredKcalPerDay: 3300 } }), 0, 0, 4, 1200, 12);
    const model = half.totalKcal - half.measuredKcal;
    expect(half.totalKcal).toBeCloseTo((model + 3300) / 2, 9);
  });

  test("another resting school, another figure", () => {
    const lean = hiker({ bodyFatFraction: 0.1, schools: { resting: "cunningham-1980" } });
    expect(restingKcalPerDay(lean, 70)).toBeCloseTo(500 + 22 * 63, 6);
  });

  test("walking twenty hours still leaves a day of 24", () => {
    expect(dayEnergy(hiker(), 0, 0, 20, 5000, 5).restKcal).toBeCloseTo((4 * 1.3 * 1648.75) / 24, 6);
  });
});

describe("meals out of the bag", () => {
  const part = (overrides: Partial<DayPart>): DayPart => ({
    legIndex: 0,
    day: 0,
    startNode: 0,
    endNode: 10,
    startClockH: 7,
    endClockH: 16,
    walkH: 7,
    offTrailStartH: 0,
    offTrailEndH: 0,
    detours: [],
    budgetH: 7,
    slowPerM: 0,
    sunriseH: 6,
    forbiddenCamp: false,
    dinnerNode: undefined,
    daylightH: 13,
    sunsetH: 19,
    night: "camp",
    zeroDays: 0,
    ...overrides,
  });
  const first = (dayWalkH: number, breakfastInTown = false, dinnerInTown = false): PartOfDay => ({
    firstOfDay: true,
    breakfastInTown,
    dinnerInTown,
    walkedBeforeH: 0,
    dayWalkH,
    shares: MEAL_SHARES,
  });
  const total = (meals: { breakfastFraction: number; dayFraction: number; dinnerFraction: number }): number =>
    meals.breakfastFraction + meals.dayFraction + meals.dinnerFraction;

  test("a day from camp to camp is a whole day's food", () => {
    expect(total(partMeals(part({}), first(7)))).toBeCloseTo(1, 9);
    expect(total(partMeals(part({ walkH: 3 }), first(3)))).toBeCloseTo(1, 9);
  });

  test("town's breakfast and dinner are not carried", () => {
    expect(partMeals(part({}), first(7, true)).breakfastFraction).toBe(0);
    // A stop that feeds nobody is a camp to the stomach.
    expect(partMeals(part({ night: "stop" }), first(7)).dinnerFraction).toBe(0.35);
    expect(partMeals(part({ night: "stop" }), first(7, false, true)).dinnerFraction).toBe(0);
  });

  test("arriving early, part of the day's food is eaten in town", () => {
    const arriving = (walkH: number, startClockH = 7) =>
      partMeals(part({ night: "stop", walkH, startClockH }), first(walkH, false, true)).dayFraction;
    expect(arriving(3.5)).toBeCloseTo(0.225, 9);
    expect(arriving(0.1)).toBeCloseTo(0.45 / 70, 9);
    // By night one eats as by day, and nobody eats more than the day's share.
    expect(arriving(6.4, 3)).toBeCloseTo((0.45 * 6.4) / 7, 9);
    expect(arriving(20)).toBeCloseTo(0.45, 9);
  });

  test("two parts of one day share its food and never eat it twice", () => {
    const before = partMeals(part({ night: "none", walkH: 4 }), first(8));
    const after = partMeals(part({ walkH: 4 }), { ...first(8), firstOfDay: false, walkedBeforeH: 4 });
    expect(total(before) + total(after)).toBeCloseTo(1, 9);
  });

  test("appetite grows by the week", () => {
    expect(
      [0, 6, 7, 14, 21, 200].map((day) =>
        appetite(hiker({ food: { appetiteByWeek: [0.75, 0.85, 0.95, 1] } }).food, day),
      ),
    ).toEqual([0.75, 0.75, 0.85, 0.95, 1, 1]);
  });
});

describe("water", () => {
  test("24 km without a camp, by hand: 3 L and 15 % reserve, half a litre drunk before", () => {
    const need = carryLitres(hiker().water, 24 * 0.125, 0);
    expect(need).toMatchObject({ campL: 0, drunkL: 0.5 });
    expect(need.litres).toBeCloseTo(2.95, 9);
  });

  test("a dry camp adds dinner, night and breakfast, and their reserve", () => {
    const [dry, wet] = [carryLitres(hiker().water, 3, 1), carryLitres(hiker().water, 3, 0)];
    expect(dry.campL).toBeCloseTo(1.4, 9);
    expect(dry.litres - wet.litres).toBeCloseTo(1.4 * 1.15, 9);
  });

  test("before leaving no more is drunk than the whole way wants, camp and reserve with it", () => {
    const thirsty = { ...hiker().water, drinkAtSourceL: 5, leastL: 0 };
    expect(carryLitres(thirsty, 1, 0)).toMatchObject({ litres: 0 });
    expect(carryLitres(thirsty, 1, 0).drunkL).toBeCloseTo(1.15, 9);
    expect(carryLitres(thirsty, 1, 1).drunkL).toBeCloseTo(2.4 * 1.15, 9);
  });

  test("never less than the least is in hand, and hot evenings want more", () => {
    const own = hiker().water;
    expect(carryLitres(own, 0.2, 0)).toMatchObject({ litres: 0.5, handL: 0.5 });
    expect(carryLitres(own, 4, 0).handL).toBe(0);
    expect(carryLitres(own, 0, 1, 2).campL).toBeCloseTo(2.8, 9);
  });

  test("a longer stretch never lowers the carry, and none is negative", () => {
    const litres = fc.double({ min: 0, max: 20, noNaN: true });
    fc.assert(
      fc.property(litres, litres, fc.integer({ min: 0, max: 3 }), (need, more, camps) => {
        const carry = carryLitres(hiker().water, need, camps).litres;
        return carry >= 0 && carryLitres(hiker().water, need + more, camps).litres >= carry - 1e-12;
      }),
    );
  });

  test("the most to drink: 1.42 L an hour and 11.36 L a day, less for small people", () => {
    expect(mostLitres(90, 4, 0)).toBeCloseTo(5.678, 3);
    expect(mostLitres(90, 24, 0)).toBeCloseTo(11.356, 3);
    expect(mostLitres(49, 4, 0)).toBeCloseTo(5.678 * 0.7, 3);
  });

  test("the most to drink over nights: a third of a day's each, and a day's more for every one", () => {
    expect(mostLitres(90, 4, 1)).toBeCloseTo(5.678 + 11.356 / 3, 2);
    expect(mostLitres(90, 30, 2)).toBeCloseTo(3 * 11.356, 2);
    expect(mostLitres(90, 0, 0)).toBeCloseTo(5.678 / 8, 3);
  });

  test("trust: reliable only, by the month's chance, or all", () => {
    const source = {
      id: "w",
      kind: "creek" as const,
      reliable: false,
      offTrailM: 0,
      chanceByMonth: [0.9, 0.9, 0.9, 0.9, 0.7, 0.5, 0.2, 0.1, 0.2, 0.5, 0.8, 0.9],
    };
    const by = (trust: string, yearDay: number): boolean => trusted(source, hiker({ water: { trust } }).water, yearDay);
    const may = 136;
    const june = 166;
    expect([by("reliable", 0), by("all", 220), by("chance", may - 15), by("chance", june)]).toEqual([
      false,
      true,
      true,
      false,
    ]);
    const plain = { ...source, chanceByMonth: undefined };
    expect(trusted({ ...plain, reliable: true }, hiker().water, 7)).toBe(true);
    // Your own judgement of a source outranks every school.
    expect(
      [true, false].map((counted) => trusted({ ...source, counted }, { trust: "all", leastChance: 1 }, 0)),
    ).toEqual([true, false]);
  });
});

test("the sun on a walker: none by night, most about noon, the mean of a whole day 2/π", () => {
  const part = (startClockH: number, endClockH: number) => ({ startClockH, endClockH, sunriseH: 6, daylightH: 12 });
  expect(sunFraction(part(20, 23))).toBe(0);
  expect(sunFraction(part(11.9, 12.1))).toBeCloseTo(1, 3);
  expect(sunFraction(part(6, 18))).toBeCloseTo(2 / Math.PI, 9);
  expect(sunFraction({ ...part(6, 18), daylightH: 0 })).toBe(0);
  expect(sunFraction(part(9, 9))).toBeCloseTo(Math.SQRT1_2, 9);
});

describe("water that is snow or ice", () => {
  const frost = { climate: { stations: [stationOf(-12, -2)] } };
  const everyTwoKm = (kind: string) =>
    Array.from({ length: 29 }, (_, i) => sourceOf(`w${i}`, 2000 * (i + 1), { kind }));
  const fuelOf = (overrides: Record<string, unknown>) =>
    computePlan(planOf({ ...frost, ...overrides }), [trackNorth({ lengthM: 60_000 })]).legs[0]!.hikers[0]!.fuel;

  test("snow is melted: a boil takes twice the gas, and what is drunk on the way is melted, too", () => {
    const spring = fuelOf({ sources: everyTwoKm("spring") });
    const snow = fuelOf({ sources: everyTwoKm("snow") });
    expect(spring.meltG).toBe(0);
    expect(snow.gramsPerBoil / spring.gramsPerBoil).toBeGreaterThan(1.7);
    // On the way and in camp, all of it: what the pot boils is melted in the boil.
    const { hikers, campNights } = computePlan(planOf({ ...frost, sources: everyTwoKm("snow") }), [
      trackNorth({ lengthM: 60_000 }),
    ]).legs[0]!;
    const drunkL = hikers[0]!.carries.filter(({ isIce }) => isIce).reduce((sum, { walkingL }) => sum + walkingL, 0);
    const boiledL = (snow.boils / (campNights + 1)) * 0.5 * campNights;
    expect(snow.meltL).toBeGreaterThan(drunkL + 1.4 * campNights - boiledL - 0.6);
    expect(snow.meltL).toBeLessThan(drunkL + 1.4 * campNights);
    // A litre from −10 °C to the boil, with the planned fifth for wind: 40 g of gas.
    expect(snow.meltG / snow.meltL).toBeCloseTo(40, -0.5);
    expect(snow.needG).toBeCloseTo(snow.boils * snow.gramsPerBoil + snow.meltG, 9);
  });

  test("lakes freeze on days without thaw, springs do not; no stove melts nothing", () => {
    expect(fuelOf({ sources: everyTwoKm("lake") }).meltL).toBeGreaterThan(5);
    const thaw = { climate: { stations: [stationOf(-4, 6)] } };
    expect(fuelOf({ ...thaw, sources: everyTwoKm("lake") }).meltL).toBe(0);
    const cold = { hikers: [hikerOf({ stove: { fuel: "none" } })] };
    expect(fuelOf({ ...cold, sources: everyTwoKm("snow") }).needG).toBe(0);
  });

  test("grams that were weighed for a boil of water grow for snow as the heat does", () => {
    const own = { hikers: [hikerOf({ stove: { gramsPerBoil: 9 } })] };
    expect(fuelOf({ ...own, sources: everyTwoKm("spring") }).gramsPerBoil).toBeCloseTo(9, 9);
    expect(fuelOf({ ...own, sources: everyTwoKm("snow") }).gramsPerBoil).toBeGreaterThan(15);
  });
});

describe("a night at a stop", () => {
  const cold = { climate: { stations: [stationOf(-4, 6)] } };
  const bag = { kit: [pieceOf("bag", 800, { role: "bag", comfortC: 0 })] };
  const legOf = (services: string[]) =>
    computePlan(planOf({ ...cold, ...bag, stops: [stopOf("m", 15_000, { services })] }), [
      trackNorth({ lengthM: 40_000 }),
    ]).legs[0]!;

  test("without shop: dinner and its boil come out of the bag", () => {
    const [fed, unfed] = [legOf(["shop-small", "bed"]), legOf(["post", "bed"])];
    expect(fed.hikers[0]!.fuel.boils).toBe(0);
    expect(unfed.hikers[0]!.fuel.boils).toBe(1);
    expect(unfed.hikers[0]!.food.mealDays - fed.hikers[0]!.food.mealDays).toBeGreaterThan(0.35);
  });

  test("without bed: it is a night outside, and its cold is judged", () => {
    const [bed, floor, silent] = [legOf(["shop-small", "bed"]), legOf(["shop-small"]), legOf([])];
    expect([bed, floor, silent].map((leg) => leg.nightsOutside)).toEqual([0, 1, 0]);
    expect(bed.hikers[0]!.warmth).toBeUndefined();
    expect(floor.hikers[0]!.warmth!.marginK).toBeLessThan(0);
  });
});

describe("in town", () => {
  const long = [trackNorth({ lengthM: 400_000, spacingM: 500 })];
  const finish = (food: Record<string, unknown>, nights = 2) =>
    computePlan(
      planOf({
        stops: [stopOf("a", 130_000, { nights }), stopOf("b", 260_000, { nights })],
        hikers: [hikerOf({ food: { appetiteByWeek: [0.7, 0.7, 0.7, 0.7], ...food } })],
        climate: { stations: [stationOf(8, 18)] },
      }),
      long,
    ).finish[0]!;

  test("a deficit is made up by so much a night and rest day, never beyond it", () => {
    const never = finish({ townExtraKcal: 0 });
    const some = finish({ townExtraKcal: 1000 });
    // Two nights at each of two stops; the body that is heavier again burns a little more.
    expect(never.deficitKcal - some.deficitKcal).toBeGreaterThan(3900);
    expect(never.deficitKcal - some.deficitKcal).toBeLessThan(4100);
    expect(some.body.bodyKg).toBeGreaterThan(never.body.bodyKg + 0.3);
    // A month in town makes up all of it: what is missing then is the last leg's.
    const all = finish({ townExtraKcal: 4000 }, 30);
    const last = finish({ townExtraKcal: 4000 }, 29);
    expect(all.deficitKcal).toBeGreaterThan(0);
    expect(all.deficitKcal).toBeCloseTo(last.deficitKcal, -3);
  });

  test("who lacks nothing eats no more", () => {
    const fed = { appetiteByWeek: [1, 1, 1, 1], shortfallFraction: 0 };
    expect(finish({ ...fed, townExtraKcal: 3000 }).body.bodyKg).toBeCloseTo(70, 6);
  });
});

test("food and water take room together: the pack is fullest where both are", () => {
  const room = (sources: Record<string, unknown>[]): number =>
    computePlan(planOf({ sources, climate: { stations: [stationOf(8, 18)] } }), [trackNorth({ lengthM: 60_000 })])
      .legs[0]!.hikers[0]!.volumeL;
  const near = [5, 10, 15, 20, 25, 30, 35, 40, 45, 50, 55].map((km) => sourceOf(`w${km}`, km * 1000));
  // Without water along the trail all of it is in the pack at the start.
  const [dry, wet] = [room([]), room(near)];
  expect(dry - wet).toBeGreaterThan(5);
  // With the next water near there is still what is in hand.
  const { food, carries } = computePlan(planOf({ sources: near, climate: { stations: [stationOf(8, 18)] } }), [
    trackNorth({ lengthM: 60_000 }),
  ]).legs[0]!.hikers[0]!;
  expect(wet).toBeGreaterThan(food.startKg / 0.5);
  expect(wet).toBeLessThan(food.startKg / 0.5 + carries[0]!.litres + 0.1);
});
