import fc from "fast-check";
import { describe, expect, test } from "vitest";
import { hikerOf, planOf, sourceOf, stationOf, stopOf, trackNorth } from "../../test/fixtures.ts";
import { layGround, walkAll } from "../../test/ground.ts";
import { toblerMps } from "../models/time.ts";
import type { Plan } from "../plan/schema.ts";
import { daylight } from "../season/sun.ts";
import type { Profile } from "../track/profile.ts";
import { dayNumber } from "../units/day.ts";
import { models } from "../models/index.ts";
import { baseHours, baseHoursInput, turningNodes } from "./baseHours.ts";
import { partConditions } from "./conditions.ts";
import type { Ground } from "./ground.ts";
import type { Halt } from "./halts.ts";
import { heatSpeedFactor, loadSpeedFactor, slowdownPerKg } from "./slow.ts";
import { wantedHours } from "./today.ts";
import { blocksOf, type Walk } from "./walk.ts";

const START = dayNumber("2027-05-01")!;

interface Made {
  plan: Plan;
  profile: Profile;
  halts: readonly Halt[];
  ground: Ground;
  walk: Walk;
}

function walkOf(
  overrides: Record<string, unknown> = {},
  lengthM = 100_000,
  loadKg = 0,
  heightM: (m: number) => number = () => 100,
): Made {
  const plan = planOf(overrides);
  const { ground } = layGround(plan, [trackNorth({ lengthM, heightM })]);
  return { plan, profile: ground.profile, halts: ground.halts, ground, walk: walkAll(ground, loadKg) };
}

describe("halts", () => {
  test("a trail without stops has its two ends", () => {
    expect(walkOf().halts.map((halt) => halt.stopId)).toEqual(["@start", "@finish"]);
  });

  test("stops come in walking order, those not used are passed by", () => {
    const stops = [stopOf("b", 60_000), stopOf("x", 50_000, { use: false }), stopOf("a", 20_000)];
    expect(walkOf({ stops }).halts.map((halt) => halt.stopId)).toEqual(["@start", "a", "b", "@finish"]);
    const back = walkOf({ stops, trip: { name: "x", startDate: "2027-05-01", direction: "reverse" } });
    expect(back.halts.map((halt) => halt.stopId)).toEqual(["@finish", "b", "a", "@start"]);
  });

  test("a stop within a kilometre of an end is that end; of two on one node the first counts", () => {
    const stops = [stopOf("port", 800), stopOf("a", 40_000), stopOf("twin", 40_010), stopOf("cape", 99_500)];
    expect(walkOf({ stops }).halts.map((halt) => halt.stopId)).toEqual(["port", "a", "cape"]);
  });

  test("places at one point are one, with all that they offer, whichever comes first", () => {
    const hostel = stopOf("hostel", 50_000, { services: ["bed"] });
    const shop = stopOf("shop", 50_010, { services: ["shop-full", "socket"], closesH: 18 });
    for (const stops of [
      [hostel, shop],
      [shop, hostel],
    ]) {
      const { halts } = walkOf({ stops });
      expect(halts).toHaveLength(3);
      expect(halts[1]).toMatchObject({ hasBed: true, sellsFood: true, hasSocket: true, closesH: undefined });
    }
    // Far off the trail another one is no part of it.
    const town = { ...shop, offTrailM: 9000 };
    expect(walkOf({ stops: [hostel, town] }).halts[1]!.sellsFood).toBe(false);
  });

  test("a stop beyond the end of the track counts as the end", () => {
    expect(walkOf({ stops: [stopOf("far", 500_000)] }).halts.map((halt) => halt.stopId)).toEqual(["@start", "far"]);
  });

  test("the way off the trail: metres on foot, or hours of clock by ride, nothing on the trail", () => {
    const halt = (overrides: Record<string, unknown>): Halt =>
      walkOf({ stops: [stopOf("a", 50_000, overrides)] }).halts[1]!;
    expect(halt({ offTrailM: 9000 })).toMatchObject({ footM: 9000, rideH: 0 });
    expect(halt({ offTrailM: 9000, access: "hitch", rideMin: 30 })).toMatchObject({ footM: 0, rideH: 0.5 });
    expect(halt({ access: "hitch" })).toMatchObject({ footM: 0, rideH: 0 });
  });
});

describe("ways off the trail", () => {
  const off = (offTrailM: number, rest: Record<string, unknown> = {}) => ({
    stops: [stopOf("a", 20_000, { offTrailM, ...rest })],
  });
  const accessH = (overrides: Record<string, unknown>, loadKg: number): number =>
    walkAll(layGround(planOf(overrides), [trackNorth({ lengthM: 60_000 })]).ground, loadKg).parts.find(
      (part) => part.offTrailEndH > 0,
    )!.offTrailEndH;

  test("are walked at the hiker's own pace on the level, slower with the load", () => {
    // Tobler on the level, 5.04 km/h, times the own factor.
    expect(accessH(off(4000), 0)).toBeCloseTo(4 / (5.04 * 0.8), 2);
    const slow = { ...off(4000), hikers: [hikerOf({ pace: { speedFactor: 0.4 } })] };
    expect(accessH(slow, 0)).toBeCloseTo(4 / (5.04 * 0.4), 2);
    expect(accessH(off(4000), 20)).toBeCloseTo(4 / (5.04 * 0.8 * (1 - 20 * 0.007)), 2);
  });

  test("count in the day's hours: who would come too late in the day camps before the stop", () => {
    const days = (offTrailM: number) => walkOf(off(offTrailM)).walk.parts;
    const near = days(500);
    expect(near[0]).toMatchObject({ legIndex: 0, night: "stop" });
    const far = days(14_000);
    expect(far[0]!.night).toBe("camp");
    expect(far[0]!.walkH).toBeLessThan(far[0]!.budgetH + 1.01);
    expect(far.filter((part) => part.legIndex === 0)).toHaveLength(2);
    expect(far.every((part) => part.walkH < part.budgetH + 1.01)).toBe(true);
  });

  test("by ride take the clock, not the legs", () => {
    const parts = (rideMin: number) => walkOf(off(30_000, { access: "hitch", rideMin })).walk.parts;
    const [none, long] = [parts(0), parts(120)];
    expect(long[0]!.walkH).toBeCloseTo(none[0]!.walkH, 1);
    expect(long[0]!.endClockH - none[0]!.endClockH).toBeCloseTo(2, 1);
    expect(long[1]!.startClockH - none[1]!.startClockH).toBeCloseTo(2, 9);
  });

  test("climb on the way costs as its level metres do, each way its own", () => {
    const [climb, flat] = [accessH(off(4000, { accessClimbM: 300 }), 0), accessH(off(4000), 0)];
    // 300 m of climb are worth 2,376 level metres.
    expect(climb / flat).toBeCloseTo(6376 / 4000, 6);
    expect(accessH(off(4000, { backClimbM: 300 }), 0)).toBeCloseTo(flat, 9);
    const [, back] = walkOf(off(4000, { backClimbM: 300 })).walk.parts;
    const [, level] = walkOf(off(4000)).walk.parts;
    expect(back!.offTrailStartH / level!.offTrailStartH).toBeCloseTo(6376 / 4000, 2);
  });

  test("a shuttle is waited for; back it leaves at its own hours; who is too late camps before it", () => {
    const ride = { access: "shuttle", rideMin: 30, rideBackMin: 60 };
    const parts = (rest: Record<string, unknown>) => walkOf(off(30_000, { ...ride, ...rest })).walk.parts;
    const free = parts({});
    const reachesH = free[0]!.endClockH - 0.5;
    const waits = parts({ shuttleClocks: [reachesH + 2, 5], shuttleBackClocks: [9.5] });
    expect(waits[0]!.endClockH).toBeCloseTo(reachesH + 2.5, 9);
    expect([free[1]!.startClockH, waits[1]!.startClockH]).toEqual([8, 10.5]);
    const late = parts({ shuttleClocks: [8] });
    expect(late[0]!.night).toBe("camp");
    expect(late[1]!.night).toBe("stop");
  });
});

describe("days", () => {
  test("hours grow from fresh to fit and stay there", () => {
    const { hikers } = planOf({ hikers: [hikerOf({ pace: { hoursFreshH: 5, hoursFitH: 8, rampDays: 10 } })] });
    expect(
      [0, 5, 10, 50].map((day) =>
        wantedHours(
          hikers.map((hiker) => hiker.pace),
          day,
        ),
      ),
    ).toEqual([5, 6.5, 8, 8]);
    const steady = planOf({ hikers: [hikerOf({ pace: { hoursFreshH: 5, hoursFitH: 8, rampDays: 0 } })] });
    expect(wantedHours([steady.hikers[0]!.pace], 0)).toBe(8);
  });

  test("every cell takes Tobler's time at the load, cell by cell", () => {
    const { walk, profile, plan } = walkOf({}, 20_000, 14, () => 100);
    for (let c = 0; c < profile.cellCount; c++) {
      const grade = profile.gradeFraction[c]!;
      const mps = toblerMps(grade) * plan.hikers[0]!.pace.speedFactor * loadSpeedFactor(14, grade);
      expect(walk.cellH[c]).toBeCloseTo(profile.cellM / mps / 3600, 9);
    }
  });

  test("no day goes over its hours, but for the last push to a stop of at most an hour, and what is owed", () => {
    fc.assert(
      fc.property(
        fc.integer({ min: 3, max: 9 }),
        fc.integer({ min: 20_000, max: 90_000 }),
        fc.double({ min: 0, max: 25, noNaN: true }),
        (hours, stopM, loadKg) => {
          const { walk } = walkOf(
            { stops: [stopOf("a", stopM)], hikers: [hikerOf({ pace: { hoursFreshH: hours, hoursFitH: hours } })] },
            100_000,
            loadKg,
          );
          for (const part of walk.parts) {
            const most = part.night === "camp" ? part.budgetH : part.budgetH + 1.5;
            expect(part.walkH).toBeLessThanOrEqual(most + 1e-9);
          }
        },
      ),
      { numRuns: 60 },
    );
  });

  test("a long wanted day ends at dusk", () => {
    const { walk } = walkOf(
      { hikers: [hikerOf({ pace: { hoursFreshH: 20, hoursFitH: 20, breakFraction: 0 } })] },
      200_000,
    );
    const part = walk.parts[0]!;
    expect(part.endClockH).toBeLessThanOrEqual(part.sunsetH + 0.1);
    expect(part.walkH).toBeGreaterThan(10);
  });

  test("nobody sets out before sunrise", () => {
    const { walk } = walkOf({ hikers: [hikerOf({ pace: { startClockH: 3 } })] });
    expect(walk.parts[0]!.startClockH).toBeCloseTo(daylight(START, 0, 40).sunriseH, 1);
  });

  test("a stop meant to be passed through becomes the night when the day is over", () => {
    const pace = { hoursFreshH: 6, hoursFitH: 6 };
    const at = (stopM: number) =>
      walkOf({ stops: [stopOf("a", stopM, { nights: 0 })], hikers: [hikerOf({ pace })] }).walk.parts;
    expect(at(10_000)[0]!.night).toBe("none");
    expect(at(23_500)[0]!.night).toBe("stop");
  });

  test("a ramp of stages replaces fresh and fit, straight between its rows", () => {
    const ramp = [
      { tripDay: 2, hoursH: 4 },
      { tripDay: 12, hoursH: 9 },
    ];
    const { hikers } = planOf({ hikers: [hikerOf({ pace: { ramp } })] });
    expect(
      [0, 2, 7, 12, 90].map((day) =>
        wantedHours(
          hikers.map((hiker) => hiker.pace),
          day,
        ),
      ),
    ).toEqual([4, 4, 6.5, 9, 9]);
  });

  test("with frozen ends, days keep their camps at another load", () => {
    const { ground, walk: kept } = walkOf({}, 100_000, 5);
    // The first walk stands in the ground's working arrays, which the second one fills again.
    const walk = { ...kept, cellH: kept.cellH.slice() };
    const heavier = walkAll(ground, 20, [], walk.parts);
    expect(heavier.parts.map((part) => part.endNode)).toEqual(walk.parts.map((part) => part.endNode));
    expect(heavier.parts[0]!.walkH).toBeGreaterThan(walk.parts[0]!.walkH);
  });
});

describe("slow-downs", () => {
  test("load: 0.7 % per kg on the flat and downhill, 1 % from +10 %, never more than 45 %", () => {
    expect(slowdownPerKg(-0.2)).toBeCloseTo(0.007, 9);
    expect(slowdownPerKg(0.05)).toBeCloseTo(0.0085, 9);
    expect(slowdownPerKg(0.25)).toBeCloseTo(0.01, 9);
    expect(loadSpeedFactor(10, 0)).toBeCloseTo(0.93, 9);
    expect(loadSpeedFactor(10, 0, 2)).toBeCloseTo(0.86, 9);
    expect(loadSpeedFactor(80, 0.2)).toBe(0.55);
  });

  // Pandolf at constant power: 70 kg, 5 to 30 kg on the flat; our straight line beside it.
  test.each([
    [5, 0.9642],
    [10, 0.9274],
    [15, 0.8888],
    [20, 0.8474],
    [30, 0.7521],
  ])("%i kg on the flat is near constant power: %f", (kg, share) =>
    expect(Math.abs(loadSpeedFactor(kg, 0) - share)).toBeLessThan(0.04),
  );

  test("heat: 1 % per kelvin above 25 °C, at most 30 %", () => {
    expect(heatSpeedFactor(20, 25, 0.01)).toBe(1);
    expect(heatSpeedFactor(35, 25, 0.01)).toBeCloseTo(0.9, 9);
    expect(heatSpeedFactor(90, 25, 0.01)).toBe(0.7);
  });

  test("a hot afternoon is slower than the morning before it, at the same grade", () => {
    const { walk } = walkOf({ climate: { stations: [stationOf(20, 42)] } }, 30_000);
    const { startNode, endNode } = walk.parts[0]!;
    expect(walk.cellC[startNode]!).toBeLessThan(25);
    expect(walk.cellC[endNode - 1]!).toBeGreaterThan(38);
    expect(walk.cellH[endNode - 1]! / walk.cellH[startNode]!).toBeCloseTo(
      1 / heatSpeedFactor(walk.cellC[endNode - 1]!, 25, 0.01),
      6,
    );
  });
});

describe("rules of the day", () => {
  const pace = { hoursFreshH: 8, hoursFitH: 8, breakFraction: 0.2, startClockH: 7 };
  const of = (days: Record<string, unknown>, more: Record<string, unknown> = {}, lengthM = 150_000): Made =>
    walkOf({ dayRules: { endRule: "hours", ...days }, hikers: [hikerOf({ pace })], ...more }, lengthM);

  test("a record walker goes sixteen hours, by night too, slower in the dark", () => {
    const fast = { hoursFreshH: 16, hoursFitH: 16, breakFraction: 0.1, startClockH: 4, speedFactor: 1 };
    const { walk } = of({ darkFraction: 0.5 }, { hikers: [hikerOf({ pace: fast })] }, 400_000);
    const day = walk.parts[1]!;
    expect(day.walkH).toBeGreaterThan(15.7);
    expect(day.endClockH).toBeGreaterThan(day.sunsetH + 1);
    expect(day.endClockH).toBeLessThanOrEqual(24.01);
    const noon = walk.cellH[day.startNode + 200]!;
    expect(walk.cellH[day.endNode - 1]! / noon).toBeCloseTo(1 / 0.8, 6);
    // Without leave to walk in the dark the day is as long as the light.
    const careful = of({}, { hikers: [hikerOf({ pace: fast })] }, 400_000).walk.parts[1]!;
    expect(careful.endClockH).toBeLessThanOrEqual(careful.sunsetH + 0.1);
  });

  test("a pilgrim walks about five hours from bed to bed", () => {
    const beds = Array.from({ length: 12 }, (_, i) =>
      stopOf(`b${i}`, 11_000 * (i + 1), { use: false, services: ["bed"] }),
    );
    const short = { ...pace, hoursFreshH: 5, hoursFitH: 5 };
    const { walk, profile } = of({ sleepAt: "beds" }, { stops: beds, hikers: [hikerOf({ pace: short })] });
    const nights = walk.parts.filter((part) => part.night === "bed");
    expect(nights.length).toBeGreaterThan(5);
    for (const night of nights) {
      expect(night.walkH).toBeLessThanOrEqual(6 + 1e-9);
      if (night.endNode * profile.cellM < 132_500)
        expect(
          Math.abs(((night.endNode * profile.cellM) / 11_000) % 1) < 0.02 ||
            ((night.endNode * profile.cellM) / 11_000) % 1 > 0.98,
        ).toBe(true);
    }
  });

  test("the day ends at water within the window before and after its hours", () => {
    const plain = of({}).walk.parts[0]!;
    const at = (m: number) =>
      of({ endRule: "camp", campWindowH: 1 }, { sources: [sourceOf("w", m)] }).walk.parts[0]!.endNode;
    const endM = plain.endNode * 100;
    expect(at(endM - 2500)).toBe(plain.endNode - 25);
    expect(at(endM - 9000)).toBe(plain.endNode);
    expect(at(endM + 600)).toBe(plain.endNode + 6);
    // At hand from where the hours end.
    expect(at(endM + 200)).toBe(plain.endNode);
  });

  test("a listed camp nearby is taken, a hollow makes its night colder", () => {
    const end = of({}).walk.parts[0]!.endNode;
    const camps = (m: number, hollow: boolean) => [{ id: "c", name: "Camp", trackM: m, hollow }];
    const listed = of({ endRule: "camp" }, { camps: camps(100 * end - 500, true) });
    expect(listed.walk.parts[0]!.endNode).toBe(end - 5);
    const night = (made: Made): number => partConditions(made.ground, made.walk.parts)[0]!.night.coldNightC;
    const open = of({ endRule: "camp" }, { camps: camps(100 * end - 500, false) });
    expect(night(open) - night(listed)).toBeCloseTo(4, 9);
    // Only listed ones, when asked: also one that leaves half the day.
    const far = of({ sleepAt: "camps" }, { camps: camps(60 * end, false) });
    expect(far.walk.parts[0]!.endNode).toBe(Math.round(0.6 * end));
  });

  test("nobody camps where it is forbidden: stop short, or walk out", () => {
    const end = of({}).walk.parts[0]!.endNode * 100;
    const camp = (fromM: number, toM: number) =>
      of({}, { stretches: [{ id: "x", name: "x", kind: "rule", rule: "no-camping", fromM, toM }] }).walk.parts[0]!;
    const short = camp(end - 3000, end + 60_000);
    expect(short.endNode * 100).toBeLessThan(end - 3000);
    expect(short.forbiddenCamp).toBe(false);
    const out = camp(0, end + 2000);
    expect(out.endNode * 100).toBeGreaterThan(end + 2000);
    expect(out.forbiddenCamp).toBe(false);
    // Too long to leave: said, not hidden.
    expect(camp(0, 150_000).forbiddenCamp).toBe(true);
  });

  test("who comes after closing time camps before the stop and comes in the morning", () => {
    const stop = (closesH?: number) => stopOf("a", 28_000, closesH === undefined ? {} : { closesH });
    const late = of({ arriveByClosing: true }, { stops: [stop(14)] }).walk.parts;
    expect(of({ arriveByClosing: true }, { stops: [stop()] }).walk.parts[0]!.night).toBe("stop");
    expect(late[0]!).toMatchObject({ night: "camp", endNode: 260 });
    expect(late[1]!.night).toBe("stop");
    expect(late[1]!.endClockH).toBeLessThan(9);
    // The same stop, when nobody asked.
    expect(of({}, { stops: [stop(14)] }).walk.parts[0]!.night).toBe("stop");
  });

  test("a rest day after so many days, at a stop when one comes in time", () => {
    const worked = (parts: Walk["parts"]): number[] => {
      const rows: number[] = [];
      let days = 0;
      for (const part of parts) {
        days++;
        if (part.zeroDays > 0) {
          rows.push(days);
          days = 0;
        }
      }
      return rows;
    };
    expect(worked(of({ restEveryDays: 3 }, {}, 400_000).walk.parts).every((days) => days === 3)).toBe(true);
    const { parts } = of({ restEveryDays: 4 }, { stops: [stopOf("a", 75_000)] }, 150_000).walk;
    expect(parts.find((part) => part.night === "stop")!.zeroDays).toBe(1);
  });

  test("a short day out of the stop, when asked for", () => {
    const { parts } = of({ neroOutH: 3 }, { stops: [stopOf("a", 25_000)] }).walk;
    expect(parts[0]!.walkH).toBeGreaterThan(5);
    expect(parts[1]!.walkH).toBeLessThanOrEqual(3);
    expect(parts[2]!.walkH).toBeGreaterThan(5);
  });

  test("setting out at sunrise", () => {
    const { parts } = of({ startRule: "sunrise" }).walk;
    expect(parts[0]!.startClockH).toBeCloseTo(parts[0]!.sunriseH, 9);
  });

  test("blocks run from planned night to planned night", () => {
    const stops = [stopOf("a", 20_000), stopOf("b", 40_000, { nights: 0 }), stopOf("c", 60_000)];
    expect(blocksOf(of({}, { stops }).halts)).toEqual([
      { firstLeg: 0, endLeg: 1 },
      { firstLeg: 1, endLeg: 3 },
      { firstLeg: 3, endLeg: 4 },
    ]);
  });
});

test("more load never takes less time over the same days, heat and dark left out", () => {
  const flatRules = { endRule: "hours", nightSpeedFactor: 1, heatSlowPerK: 0 };
  fc.assert(
    fc.property(
      fc.double({ min: 0, max: 30, noNaN: true }),
      fc.double({ min: 0, max: 20, noNaN: true }),
      fc.constantFrom("tobler", "naismith", "langmuir", "din33466", "munter", "swiss-polynomial", "irmischer-clarke"),
      (loadKg, more, time) => {
        const hikers = [hikerOf({ schools: { time } })];
        const { ground, walk } = walkOf(
          { days: flatRules, hikers },
          30_000,
          loadKg,
          (m) => 500 + 200 * Math.sin(m / 900),
        );
        const { parts } = walk;
        const light = parts.map((part) => part.walkH);
        const heavy = walkAll(ground, loadKg + more, [], parts).parts.map((part) => part.walkH);
        for (const [i, hours] of heavy.entries()) expect(hours).toBeGreaterThanOrEqual(light[i]! - 1e-9);
      },
    ),
    { numRuns: 60 },
  );
});

test("whole-section rules are spread over sections that end where the profile turns by fifty metres", () => {
  const wave = (m: number): number => 300 + 150 * Math.sin(m / 2000);
  const { profile } = walkOf({}, 40_000, 0, wave);
  const turns = turningNodes(profile.heightM, 50);
  expect([turns[0], turns.at(-1)]).toEqual([0, profile.cellCount]);
  // A turn at every crest and hollow of the wave, π·2000 m apart.
  expect(turns.length - 1).toBe(7);
  for (const node of turns.slice(1, -1)) expect(Math.abs(Math.cos((node * profile.cellM) / 2000))).toBeLessThan(0.2);
  const hiker = planOf({ hikers: [hikerOf({ schools: { time: "din33466" }, pace: { speedFactor: 1 } })] }).hikers[0]!;
  const hours = baseHours(baseHoursInput(hiker, models.time.get("din33466"), profile));
  const { sectionH } = models.time.get("din33466");
  const [from, to] = [turns[1]!, turns[2]!];
  const section = { distanceM: (to - from) * profile.cellM, climbM: 0, descentM: 0 };
  for (let c = from; c < to; c++) {
    section.climbM += profile.climbM[c]!;
    section.descentM += profile.descentM[c]!;
  }
  let sum = 0;
  for (let c = from; c < to; c++) sum += hours[c]!;
  expect(sum).toBeCloseTo(sectionH(section, {}), 9);
});
