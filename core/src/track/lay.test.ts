/** Routes: what is walked of the lines that were recorded, against ground whose lengths are known. */
import fc from "fast-check";
import { describe, expect, test } from "vitest";
import { arbitraryPlan, runs } from "../../test/arbitraryPlan.ts";
import { planOf, stopOf, sourceOf, trackBeside, trackNorth } from "../../test/fixtures.ts";
import {
  computePlan,
  turnRound,
  type Plan,
  type PlanResult,
  type Profile,
  type TrackM,
  type WalkedM,
} from "../index.ts";
import { buildSeason, climateAt } from "../season/season.ts";
import { isWalked, nodeOf, nodesOn, placeAt, trackAt, walkedAt } from "./place.ts";
import { lengthOf } from "./route.ts";

const L = 60_000;
const main = trackNorth({ lengthM: L, heightM: (m) => 500 + m / 100 });
const beside = trackBeside(20_000, 30_000, { heightM: () => 700 });
const tracks = [main, beside];
const alternate = { id: "alt", name: "Beside", trackId: "beside", leavesM: 20_000, rejoinsM: 30_000, chosen: true };

function computed(route: object, rest: object = {}): { plan: Plan; result: PlanResult; profile: Profile } {
  const plan = planOf({ route, ...rest });
  const result = computePlan(plan, tracks);
  return { plan, result, profile: result.profile };
}
const whole = computePlan(planOf(), [main]);
const km = (trackM: number, alternateId?: string) => ({ trackM: (1000 * trackM) as TrackM, alternateId });
const at = (profile: Profile, place: ReturnType<typeof km>): number =>
  walkedAt(profile, place.trackM, place.alternateId);
/** Along the way beside, by its own points. */
const BESIDE_M = computePlan(planOf({ trackIds: ["beside"] }), [beside]).profile.lengthM;

test("a chosen alternate is walked in place of the main trail, one that rests changes nothing", () => {
  const { profile } = computed({ alternates: [alternate] });
  expect(profile.lengthM).toBeCloseTo(whole.profile.lengthM - 10_000 + BESIDE_M, -1);
  expect(profile.heightM[nodeOf(profile, km(5, "alt"))]).toBeCloseTo(700, 0);
  const resting = computed({ alternates: [{ ...alternate, chosen: false }] });
  expect(resting.result.legs).toEqual(whole.legs);
  expect(resting.profile.lengthM).toBe(whole.profile.lengthM);
});

test("places on an alternate live and rest with it, those it goes round the other way about", () => {
  const stops = [stopOf("on", 5000, { alternateId: "alt" }), stopOf("main", 25_000), stopOf("far", 45_000)];
  const sources = [sourceOf("spring", 6000, { alternateId: "alt" }), sourceOf("creek", 26_000)];
  const haltsOf = (chosen: boolean): string[] =>
    computed({ alternates: [{ ...alternate, chosen }] }, { stops, sources }).result.legs.map((leg) => leg.toStopId);
  expect(haltsOf(true)).toEqual(["on", "far", "@finish"]);
  expect(haltsOf(false)).toEqual(["main", "far", "@finish"]);
  const { profile } = computed({ alternates: [alternate] });
  expect([km(5, "alt"), km(25), km(19), km(31), km(5, "gone")].map((place) => isWalked(profile, place))).toEqual([
    true,
    false,
    true,
    true,
    false,
  ]);
  expect(at(profile, km(5, "alt"))).toBeCloseTo(25_000, -2);
  // What is not passed stands where the route leaves it out.
  expect(at(profile, km(21))).toBeCloseTo(20_000, -2);
  expect(at(profile, km(29))).toBeCloseTo(20_000 + BESIDE_M, -2);
});

test("an alternate recorded the other way round, or met from behind, is walked from its right end", () => {
  const turned = { ...beside, lonDeg: beside.lonDeg.toReversed(), latDeg: beside.latDeg.toReversed() };
  turned.heightM = Float32Array.from(beside.heightM, (_, i) => 600 + 2 * i).toReversed();
  const profile = computePlan(planOf({ route: { alternates: [alternate] } }), [main, turned]).profile;
  expect(profile.lengthM).toBeCloseTo(whole.profile.lengthM - 10_000 + BESIDE_M, -1);
  expect(at(profile, km(1, "alt"))).toBeCloseTo(20_000 + BESIDE_M - 1000, -2);
  const reverse = computePlan(
    planOf({ route: { alternates: [alternate] }, trip: { name: "R", startDate: "2027-05-01", direction: "reverse" } }),
    tracks,
  ).profile;
  expect(at(reverse, km(1, "alt"))).toBeCloseTo(30_000 + BESIDE_M - 1000, -2);
});

test("from and to one place it is a side trip", () => {
  const loop = { ...alternate, leavesM: 20_000, rejoinsM: 20_000 };
  const { profile } = computed({ alternates: [loop] });
  // There along the way, and straight back.
  expect(profile.lengthM).toBeCloseTo(whole.profile.lengthM + BESIDE_M + 10_000, -2);
});

test("a straight way leads from one line to the other where they do not meet", () => {
  const { profile } = computed({ alternates: [{ ...alternate, leavesM: 18_000, rejoinsM: 33_000 }] });
  expect(profile.lengthM).toBeCloseTo(whole.profile.lengthM - 15_000 + BESIDE_M + 5000, -1);
  expect(profile.route.pieces.filter(({ line }) => line === undefined).map(lengthOf)[0]).toBeCloseTo(2000, -1);
});

describe("closures", () => {
  const closure = { id: "shut", name: "Shut", fromM: 40_000, toM: 48_000, rideH: 3 };
  test("without a way round it is passed by a ride: its hours go by, food is carried past, no climb is made up", () => {
    const { result, profile } = computed({ closures: [closure] });
    expect(profile.lengthM).toBeCloseTo(whole.profile.lengthM - 8000, -1);
    expect(result.legs.map((leg) => leg.toStopId)).toEqual(["@ride:shut", "@finish"]);
    const [before, after] = result.legs.map((leg) => leg.hikers[0]!);
    expect(before!.food.forLaterKg).toBeGreaterThan(0.9 * after!.food.eatenKg);
    // The trail rises by 600 m, 80 of them closed.
    expect(profile.totalClimbM).toBeCloseTo(520, -1);
    const parts = result.days.filter((day) => Math.abs(day.toNode - profile.joints[0]!.node) < 2);
    expect(parts.length).toBeGreaterThan(0);
  });
  test("one that does not hold is walked", () => {
    expect(computed({ closures: [{ ...closure, holds: false }] }).result.legs).toEqual(whole.legs);
  });
  test("its alternate is walked though it was not chosen, and what that leaves is ridden and said", () => {
    const route = {
      alternates: [{ ...alternate, chosen: false }],
      closures: [{ ...closure, fromM: 22_000, toM: 34_000, alternateId: "alt" }],
    };
    const { result, profile } = computed(route);
    expect(profile.lengthM).toBeCloseTo(whole.profile.lengthM - 14_000 + BESIDE_M, -1);
    expect(result.checks.find(({ code }) => code === "closure-ridden")).toMatchObject({ closure: "Shut", hours: 3 });
    const round = computed({ ...route, closures: [{ ...route.closures[0]!, toM: 29_000 }] });
    expect(round.profile.joints).toEqual([]);
  });
  test("closed from end to end, the whole is shown and that is said", () => {
    const { result, profile } = computed({ closures: [{ ...closure, fromM: 0, toM: L + 9000 }] });
    expect(profile.lengthM).toBe(whole.profile.lengthM);
    expect(result.checks.find(({ code }) => code === "route-part-rests")).toMatchObject({ part: "Shut" });
  });
});

test("of two alternates over the same ground the first is walked, and the other said to rest; a missing track too", () => {
  const { result, profile } = computed({
    alternates: [alternate, { ...alternate, id: "b", name: "B", leavesM: 25_000, rejoinsM: 40_000 }],
  });
  expect(profile.lengthM).toBeCloseTo(whole.profile.lengthM - 10_000 + BESIDE_M, -1);
  expect(result.checks.find(({ code }) => code === "route-part-rests")).toMatchObject({ part: "B", why: "overlaps" });
  const gone = computed({ alternates: [{ ...alternate, trackId: "gone" }] });
  expect(gone.profile.route.resting).toEqual([{ id: "alt", why: "no-track" }]);
});

describe("sections", () => {
  const flip = [
    { id: "north", name: "North part", fromM: 30_000, toM: 60_000 },
    { id: "south", name: "South part", fromM: 30_000, toM: 0, transferH: 20 },
  ];
  test("a flip-flop walks each in its own direction, with the transfer between them", () => {
    const { result, profile } = computed({ sections: flip }, { stops: [stopOf("m", 45_000), stopOf("s", 10_000)] });
    expect(result.legs.map((leg) => leg.toStopId)).toEqual(["m", "@transfer:south", "s", "@finish"]);
    expect(at(profile, km(45))).toBeCloseTo(15_000, -2);
    expect(at(profile, km(10))).toBeCloseTo(50_000, -2);
    // 600 m up in all, of which half are walked downhill.
    expect(profile.totalClimbM).toBeCloseTo(300, -1);
    expect(profile.totalDescentM).toBeCloseTo(300, -1);
    const arrival = result.days.findLast((day) => day.legIndex === 1)!;
    expect(arrival.zeroDays).toBe(1);
    expect(result.legs[2]!.startDate > result.legs[1]!.endDate).toBe(true);
  });
  test("a stop at the transfer is the halt, whichever of the two ends it is at", () => {
    // The second is the town one sets out from, too.
    for (const trackM of [59_800, 30_300]) {
      const { result } = computed({ sections: flip }, { stops: [stopOf("town", trackM, { nights: 3 })] });
      expect(result.legs.map((leg) => leg.toStopId)).toEqual(["town", "@finish"]);
      expect(result.days.findLast((day) => day.legIndex === 0)!.zeroDays).toBe(2);
    }
  });
  test("sections that follow each other are the whole trail", () => {
    const sections = [
      { id: "a", name: "A", fromM: 0, toM: 30_000 },
      { id: "b", name: "B", fromM: 30_000, toM: L + 5000 },
    ];
    const { result } = computed({ sections });
    expect(result.legs[0]!.hikers[0]!.startKg).toBeCloseTo(whole.legs[0]!.hikers[0]!.startKg, 2);
    expect(result.legs).toHaveLength(1);
  });
  test("one section cuts the ends off", () => {
    const { profile } = computed({ sections: [{ id: "a", name: "A", fromM: 10_000, toM: 25_000 }] });
    expect(profile.lengthM).toBeCloseTo(15_000, 0);
    expect(profile.heightM[0]).toBeCloseTo(600, 0);
    expect(isWalked(profile, km(9))).toBe(false);
    expect(trackAt(profile, 5000 as WalkedM)).toBeCloseTo(15_000, 0);
  });
  test("the weather at a place is that of the place, whenever it is walked", () => {
    const station = (id: string, trackM: number, lowC: number) => ({
      id,
      name: id,
      trackM,
      heightM: 100,
      lowC: Array(12).fill(lowC),
      highC: Array(12).fill(lowC + 10),
      lowSdK: 0,
      highSdK: 0,
    });
    const climate = { stations: [station("s", 0, 20), station("n", 60_000, 0)] };
    const stations = planOf({ climate }).climate.stations;
    const [turned, plain] = [computed({ sections: flip }).profile, whole.profile].map((profile) => ({
      profile,
      season: buildSeason({ stations, profile, warmth: "usual" }),
    }));
    for (const place of [2, 18, 31, 58].map((metres) => km(metres))) {
      const [a, b] = [turned!, plain!].map(({ profile, season }) =>
        climateAt(season, walkedAt(profile, place.trackM), 400, 20_000),
      );
      expect(a!.lowC).toBeCloseTo(b!.lowC, 6);
    }
  });
  test("ground walked twice is said", () => {
    const { result } = computed({ sections: [flip[0]!, { ...flip[1]!, fromM: 40_000 }] });
    expect(result.checks.find(({ code }) => code === "walked-twice")).toMatchObject({ metres: 10_000 });
  });
});

test("a span that names a stop off the route says so", () => {
  const stops = [stopOf("off", 25_000), stopOf("on", 45_000)];
  const kit = [
    { id: "axe", name: "Axe", massG: 400, ownerId: "a", carrierId: "a" },
    { id: "net", name: "Net", massG: 100, ownerId: "a", carrierId: "a" },
  ].map((piece, i) => ({
    ...piece,
    spans: [{ fromStopId: ["off", "on"][i], toStopId: "@finish", begins: "posted" }],
  }));
  const { result } = computed({ alternates: [alternate] }, { stops, kit });
  expect(result.kitFaults).toEqual([{ kind: "stop-off-route", pieceId: "axe", legIndex: 1, stopId: "off" }]);
  expect(computed({}, { stops, kit }).result.kitFaults).toEqual([]);
});

test("turned round twice it is the plan it was", () => {
  fc.assert(
    fc.property(arbitraryPlan, ({ plan, tracks: on }) => {
      const twice = structuredClone(plan);
      turnRound(twice);
      const once = computePlan(twice, on);
      turnRound(twice);
      expect(twice.trip.direction).toBe(plan.trip.direction);
      const { profile } = computePlan(plan, on);
      expect(once.profile.lengthM).toBeCloseTo(profile.lengthM, 6);
      expect(once.profile.totalClimbM).toBeCloseTo(profile.totalDescentM, -1);
      expect(computePlan(twice, on).profile).toEqual(profile);
    }),
    { numRuns: 60, endOnFailure: true },
  );
});

test("every place of a walk is found again where it is, on any route", () => {
  fc.assert(
    fc.property(arbitraryPlan, fc.double({ min: 0, max: 1, noNaN: true }), ({ plan, tracks: on }, part) => {
      const { profile } = computePlan(plan, on);
      const { pieces, lengthM, joints } = profile.route;
      expect(pieces.reduce((sum, piece) => sum + lengthOf(piece), 0)).toBeCloseTo(lengthM, 3);
      expect(profile.joints).toHaveLength(joints.length);
      const walkedM = (part * lengthM) as WalkedM;
      const place = placeAt(profile, walkedM);
      const routeM = profile.reversed ? lengthM - walkedM : walkedM;
      const onLink = pieces.some(
        (piece) => piece.line === undefined && routeM >= piece.atM && routeM <= piece.atM + lengthOf(piece),
      );
      if (onLink) return;
      expect(isWalked(profile, place)).toBe(true);
      // Ground that is walked twice is found where it is walked first.
      const again = walkedAt(profile, place.trackM, place.alternateId);
      const [a, b] = profile.reversed ? [lengthM - again, lengthM - walkedM] : [again, walkedM];
      expect(a).toBeLessThanOrEqual(b + 0.01);
      if (plan.route.sections.length < 2) expect(again).toBeCloseTo(walkedM, 3);
    }),
    { numRuns: runs(300), endOnFailure: true },
  );
});

test("a stretch is every part of it that is walked", () => {
  const { profile } = computed({ alternates: [alternate] });
  const stretch = { fromM: 15_000 as TrackM, toM: 35_000 as TrackM };
  const metres = nodesOn(profile, stretch).map(([a, b]) =>
    [a, b].map((node) => Math.round((node * profile.cellM) / 1000)),
  );
  expect(metres).toEqual([
    [15, 20],
    [20 + Math.round(BESIDE_M / 1000), 25 + Math.round(BESIDE_M / 1000)],
  ]);
  expect(nodesOn(profile, { ...stretch, alternateId: "gone" })).toEqual([]);
});
