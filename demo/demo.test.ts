import { comparisonTables, registryTables } from "./report.ts";
import { execFileSync } from "node:child_process";
import { mkdtempSync, readFileSync } from "node:fs";
import { tmpdir } from "node:os";
import { join } from "node:path";
import { beforeAll, describe, expect, test } from "vitest";
import {
  buildProfile,
  cardsOf,
  computePlan,
  fitLog,
  repairTracks,
  nodeOf,
  readGpx,
  readPlan,
  readPlanFile,
  type Plan,
  type PlanResult,
  type TrackM,
  type TrackPoints,
} from "@gepack/core";

const here = import.meta.dirname;
const read = (name: string, folder = here): string => readFileSync(join(folder, name), "utf8");
let track: TrackPoints;
let plan: Plan;
let result: PlanResult;

beforeAll(() => {
  track = readGpx(read("corvane.gpx"), "corvane", "corvane").value!.track;
  const reading = readPlan(JSON.parse(read("corvane.gepack.json")));
  expect(reading.problems).toEqual([]);
  plan = reading.value!;
  result = computePlan(plan, [track]);
});

test("the generator writes the committed files byte for byte", () => {
  const folder = mkdtempSync(join(tmpdir(), "gepack-demo-"));
  execFileSync(process.execPath, ["--import", "tsx", join(here, "generate.ts"), folder], { cwd: join(here, "..") });
  for (const name of [
    "corvane.gpx",
    "corvane-alternate.gpx",
    "on-the-trail.json",
    "corvane.gepack.json",
    "flip-flop.gepack.json",
    "truth.json",
  ])
    expect(read(name, folder) === read(name), name).toBe(true);
});

describe("the recorded track against the known truth", () => {
  const truth = JSON.parse(read("truth.json")) as { lengthM: number; climbM: number; points: number };

  test("about 41,000 points, length within 0.5 %, climb within 3 %", () => {
    const profile = buildProfile(repairTracks([track]), false);
    expect(track.lonDeg.length).toBe(truth.points);
    expect(Math.abs(truth.points - 41_000)).toBeLessThan(500);
    expect(Math.abs(profile.lengthM / truth.lengthM - 1)).toBeLessThan(0.005);
    expect(Math.abs(profile.totalClimbM / truth.climbM - 1)).toBeLessThan(0.03);
    expect(profile.rawClimbM / truth.climbM).toBeGreaterThan(1.4);
  });

  test("it has a real recorder's faults", () => {
    const { repairs } = repairTracks([track]);
    expect(repairs.gaps.length).toBe(3);
    expect(repairs.doubledPoints).toBeGreaterThan(100);
    expect(repairs.missingHeights).toBeGreaterThan(200);
    expect(repairs.spikedHeights).toBeGreaterThan(5);
  });
});

describe("the hike", () => {
  test("22 legs, a late July finish, settled", () => {
    expect(result.legs).toHaveLength(22);
    expect(result.settled).toBe(true);
    expect(result.finishDate >= "2027-07-15" && result.finishDate <= "2027-08-05").toBe(true);
    expect(plan.stops).toHaveLength(34);
  });

  test("a day that may end earlier for water has fewer nights without: by 1, 1.5 and 2 hours", () => {
    const dryOf = (campWindowH: number): number => {
      const { days } = computePlan({ ...plan, dayRules: { ...plan.dayRules, campWindowH } }, [track]);
      return days.filter(({ night, dry }) => night === "camp" && dry).length;
    };
    expect(plan.dayRules.campWindowH).toBe(1.5);
    expect(dryOf(1.5)).toBeLessThan(dryOf(1));
    expect(dryOf(2)).toBeLessThan(12);
  });

  test("the 52 km dry stretch is the longest, and asks for the largest carry", () => {
    const all = result.legs.flatMap((leg) => leg.hikers[0]!.carries);
    const largest = all.reduce((a, b) => (b.litres > a.litres ? b : a));
    expect(largest.legIndex).toBe(5);
    expect(largest.distanceM / 1000).toBeCloseTo(52, 0);
    expect(largest.dryCamps).toBeGreaterThan(0);
  });

  test("kit of over sixty pieces, changing hands at five stops and more, never in two places", () => {
    expect(plan.kit.length).toBeGreaterThan(60);
    const swaps = new Set(
      plan.kit
        .flatMap((piece) => piece.spans.flatMap((span) => [span.fromStopId, span.toStopId]))
        .filter((id) => !id.startsWith("@")),
    );
    expect(swaps.size).toBeGreaterThanOrEqual(5);
    expect(result.kitFaults).toEqual([]);
    const base = result.legs.map((leg) => leg.hikers[0]!.kit.baseKg);
    expect(base[8]! - base[7]!).toBeGreaterThan(1.5);
    expect(base[12]!).toBeLessThan(base[11]! - 1);
  });

  test("every place lies on the track, in the open ocean", () => {
    for (const stop of [...plan.stops, ...plan.sources]) {
      expect(stop.trackM).toBeLessThanOrEqual(result.profile.lengthM);
      expect(stop.latDeg! > 37 && stop.latDeg! < 53 && stop.lonDeg! < -140 && stop.lonDeg! > -156).toBe(true);
    }
  });

  test("starting ten days later, spring is warmer on the same leg", () => {
    const later = computePlan({ ...plan, trip: { ...plan.trip, startDate: "2027-04-08" } }, [track]);
    for (const i of [0, 5, 8, 12]) expect(later.legs[i]!.lowC).toBeGreaterThan(result.legs[i]!.lowC);
  });
});

describe("the route", () => {
  test("round the closed ledges by the valley: longer and lower, its spring and camp on the way", () => {
    const alternate = readGpx(read("corvane-alternate.gpx"), "corrie-way", "").value!.track;
    const closed = structuredClone(plan);
    closed.route.closures[0]!.holds = true;
    const round = computePlan(closed, [track, alternate]);
    expect(round.profile.route.resting).toEqual([]);
    expect(round.profile.joints).toEqual([]);
    const longerM = round.profile.lengthM - result.profile.lengthM;
    expect(longerM).toBeGreaterThan(1000);
    expect(longerM).toBeLessThan(12_000);
    const spring = closed.sources.find(({ id }) => id === "corrie-spring")!;
    const beside = nodeOf(result.profile, { trackM: 293_500 as TrackM });
    expect(round.profile.heightM[nodeOf(round.profile, spring)]).toBeLessThan(result.profile.heightM[beside]!);
    const fills = round.legs.flatMap((leg) => leg.hikers[0]!.carries.map((carry) => carry.fromSourceId));
    expect(fills).toContain("corrie-spring");
  });

  test("the second example is walked from its middle, north and then south", () => {
    const { plan: halves, tracks } = readPlanFile(JSON.parse(read("flip-flop.gepack.json"))).value!;
    const { legs, checks, profile } = computePlan(halves, tracks);
    expect(legs.map((leg) => leg.toStopId)).toEqual(["fold", "top-end", "kiln", "low-end"]);
    expect(legs[0]!.fromStopId).toBe("mid");
    expect(profile.joints).toMatchObject([{ kind: "transfer", id: "south", hours: 9 }]);
    expect(checks.filter(({ severity }) => severity === "blocker")).toEqual([]);
  });
});

test("docs/models.md holds the registry and the comparison as they are computed now", () => {
  const text = readFileSync(new URL("../docs/models.md", import.meta.url), "utf8");
  expect(text).toContain(registryTables());
  expect(text).toContain(comparisonTables());
});

test("the demo's batteries, fuel and warmth have something to say", () => {
  expect(plan.devices).toHaveLength(8);
  expect(result.power!.stores[0]!.legs.some((leg) => leg.shortWh > 0)).toBe(true);
  const tamsin = result.legs.map((leg) => leg.hikers[0]!);
  // Some legs are walked on the open canister alone, others want a new one.
  expect(new Set(tamsin.map((row) => row.fuel.containers)).size).toBeGreaterThan(1);
  expect(tamsin.some((row) => row.warmth!.marginK < 0)).toBe(true);
  expect(result.finish[0]!.body.bodyKg).toBeLessThan(62);
});

test("nineteen days on the trail: read as they were kept, slower than planned, behind, with a dry source and a broken shoe", () => {
  const kept = JSON.parse(read("on-the-trail.json")) as Pick<Plan, "log" | "plannedDays">;
  const walked = readPlan({ ...plan, ...kept });
  expect(walked.problems).toEqual([]);
  const there = computePlan(walked.value!, [track]);
  const cards = cardsOf(walked.value!, there);
  expect(cards).toHaveLength(19);
  expect(cards.flatMap(({ faults }) => faults)).toEqual([]);
  expect(cards.at(-1)!.aheadM!).toBeLessThan(-10_000);
  const pace = fitLog(walked.value!, there).find(({ what }) => what === "pace")!;
  expect(pace.factor).toBeLessThan(0.97);
  expect(kept.log.some(({ water }) => water.some(({ said }) => said === "dry"))).toBe(true);
  expect(kept.log.flatMap(({ pieces }) => pieces.map(({ what }) => what))).toEqual(["broken"]);
  // Every logged day ends where it did, and the finish is later than planned.
  for (const { card, toNode } of cards)
    expect(there.days.findLast(({ date }) => date === card.date)?.toNode ?? toNode, card.date).toBe(toNode);
  expect(there.finishDate > result.finishDate).toBe(true);
});
