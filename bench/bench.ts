/**
 * CPU time on a generated trail of 4,300 km and 430,000 points, two hikers, 70 pieces of kit: least and
 * median, and the ratio of the least to one plain pass over the same arrays in the same run. Not a test:
 * machines differ.
 */
import { readFileSync } from "node:fs";
import {
  buildPantry,
  buildPlane,
  fillLeg,
  legBags,
  computePlan,
  coverOf,
  demandsOf,
  models,
  passages,
  readGpx,
  simulate,
  readPlan,
  searchStops,
  seasonOf,
  Session,
  swapRounds,
  treatedLegs,
  type Plan,
  type TrackM,
  type TrackPoints,
} from "@gepack/core";
import { hikerLoad } from "../core/src/load/load.ts";
import { levelHours } from "../core/src/walk/stride.ts";
import { provision } from "../core/src/provision/provision.ts";
import { SnowWater } from "../core/src/provision/snowWater.ts";
import type { HikerSupply } from "../core/src/provision/supply.ts";
import { repairTracks } from "../core/src/track/repair.ts";
import { buildProfile } from "../core/src/track/profile.ts";
import { baseHours, baseHoursInput } from "../core/src/walk/baseHours.ts";
import { packArrays, Workspace } from "../core/src/walk/workspace.ts";
import { sampleGround, sampleSources, sampling } from "../core/src/solve/sampled.ts";
import { partConditions } from "../core/src/walk/conditions.ts";
import { walkBlock } from "../core/src/walk/walk.ts";
import { layGround } from "../core/test/ground.ts";
import { crowdedRows } from "./crowded.ts";
import { gpxText, LENGTH_M, longTrack, measure, POINTS, RUNS, take, type Taken } from "./measure.ts";

const heap = (): number => {
  (globalThis as { gc?: () => void }).gc?.();
  return process.memoryUsage().heapUsed + process.memoryUsage().arrayBuffers;
};

/** The demo's hikers, kit and weather, its places stretched to the longer trail. */
function longPlan(demoLengthM: number): Plan {
  const stretch = LENGTH_M / demoLengthM;
  const raw = JSON.parse(readFileSync("demo/corvane.gepack.json", "utf8")) as Record<
    string,
    { trackM: number; fromM: number; toM: number }[]
  >;
  for (const part of ["stops", "sources"]) for (const row of raw[part]!) row.trackM = Math.round(row.trackM * stretch);
  for (const row of raw["stretches"]!) {
    row.fromM = Math.round(row.fromM * stretch);
    row.toM = Math.round(row.toM * stretch);
  }
  return readPlan(raw).value!;
}

const text = gpxText(longTrack());
const before = heap();
let track!: TrackPoints;
const read = measure(() => {
  track = readGpx(text, "corvane", "bench").value!.track;
}, 3);
const plan = longPlan(2_050_601);

// One plain pass over the arrays a compute has to look at, for scale.
const pass = (): number => {
  let sum = 0;
  for (let i = 0; i < track.lonDeg.length; i++) sum += track.lonDeg[i]! + track.latDeg[i]! + track.heightM[i]!;
  return sum;
};
let sink = 0;
const onePass = measure(() => void (sink += pass()), 101);

const cold = measureOnce(() => {
  const first = new Session();
  first.setTracks([track]);
  first.compute(plan);
});
function measureOnce(work: () => void): Taken {
  const before = process.cpuUsage();
  work();
  const { user, system } = process.cpuUsage(before);
  return { minMs: (user + system) / 1000, medianMs: (user + system) / 1000 };
}

const session = new Session();
session.setTracks([track]);
const result = session.compute(plan);
const whole = measure(() => {
  const fresh = new Session();
  fresh.setTracks([track]);
  fresh.compute(plan);
}, 9);

/** An edit as the worker gets it: the parts that changed are new objects, the others are those of before. */
function edit(part: "kit" | "hikers" | "trip", change: (copy: Plan, i: number) => void): Taken {
  let i = 0;
  return take<Plan>(
    (edited) => void session.compute(edited),
    () => {
      const copy = { ...plan, [part]: structuredClone(plan[part]) };
      change(copy, ++i);
      return copy;
    },
    RUNS,
  );
}
const lastLeg = { fromStopId: result.legs.at(-1)!.fromStopId, toStopId: "@finish" };
const efforts = models.effort.ids;
const times = models.time.ids;
const edits: [string, Taken, number][] = [
  ["kit edit on all legs", edit("kit", (copy, i) => void (copy.kit[0]!.massG += 7 * i)), 7],
  [
    "kit edit on one leg",
    // A piece that is carried on one leg alone: the other legs are taken from memory.
    edit("kit", (copy, i) => {
      const spans = [{ ...lastLeg, begins: "posted" as const, ends: "kept" as const }];
      copy.kit.push({ ...copy.kit[0]!, id: "bench", massG: 100 + i, spans });
    }),
    2,
  ],
  ["date edit", edit("trip", (copy, i) => void (copy.trip.startDate = dayOf(i))), 10],
  ["food edit", edit("hikers", (copy, i) => void (copy.hikers[0]!.food.densityKcalPerG += 0.01 * (i % 90))), 10],
  [
    "effort school edit",
    edit("hikers", (copy, i) => void (copy.hikers[0]!.schools.effort = efforts[i % efforts.length]!)),
    12,
  ],
  ["time school edit", edit("hikers", (copy, i) => void (copy.hikers[0]!.schools.time = times[i % times.length]!)), 12],
  ["nothing changed", edit("trip", () => {}), 0.5],
];
function dayOf(i: number): string {
  return `2027-${i % 56 < 28 ? "04" : "05"}-${String(1 + (i % 28)).padStart(2, "0")}`;
}

// Where the time goes: the stages one by one, on the whole trail as one round each.
const laid = layGround(plan, [track]);
const { ground, kit, start } = laid;
const cells = ground.profile.cellCount;
const sample = sampling({ cellCount: cells });
const sampledSources = sampleSources({ sources: laid.sources, sampling: sample });
const sampledSpace = new Workspace(sample.count, plan.hikers.length);
const load = plan.hikers.map(() => new Float64Array(cells).fill(9));
const block = { firstLeg: 0, endLeg: ground.halts.length - 1 };
let walk = walkBlock(ground, block, start.walk, load);
const cellPass = (): number => {
  let sum = 0;
  for (let c = 0; c < cells; c++) sum += ground.profile.heightM[c]! * ground.profile.gradeFraction[c]!;
  return sum;
};
const cellsOnce = measure(() => void (sink += cellPass()), 101);
const stages: [string, Taken][] = [
  ["mend and profile", measure(() => void buildProfile(repairTracks([track]), false), 5)],
  [
    "base hours of a time school, a hiker",
    measure(() => void baseHours(baseHoursInput(plan.hikers[0]!, laid.needs[0]!.schools.time, ground.profile))),
  ],
  [
    "sample the ground",
    measure(() => void sampleGround({ ground, sampling: sample, sources: sampledSources, workspace: sampledSpace })),
  ],
  ["walk, one round", measure(() => void (walk = walkBlock(ground, block, start.walk, load)))],
];
const conditions = partConditions(ground, walk.parts);
const snow = SnowWater.of(ground, block, walk);
const drinkL = new Float64Array(cells + 1);
const supplied = (h: number): HikerSupply =>
  provision({
    needs: laid.needs[h]!,
    ground,
    slope: ground.slopes[h],
    block,
    walk,
    conditions,
    sources: laid.sources,
    snow,
    loadKg: load[h]!,
    wornKg: kit.legs.map((leg) => leg[h]!.wornKg),
    bottleL: kit.legs.map((leg) => leg[h]!.bottleL),
    walkedTo: [],
    detourH: (distanceM, cell) => levelHours(ground, load, distanceM, cell),
    before: start.supply[h]!,
    cooksFor: [],
    drinkL,
  });
let supply = supplied(0);
const into = packArrays(cells);
const kitLegs = kit.legs.map((leg) => leg[0]!);
stages.push(
  ["energy, food, water and fuel, a hiker and round", measure(() => void (supply = supplied(0)))],
  [
    "the pack on every cell, a hiker and round",
    measure(() => void hikerLoad({ wrapperFraction: 0.03, parts: walk.parts, supply, kitLegs, into })),
  ],
);
const PLANE_COLUMNS = 520;
stages.push(
  ["season and snow of the year", measure(() => void seasonOf(plan, ground.profile), 9)],
  [
    `the plane, ${PLANE_COLUMNS} places and 366 days`,
    measure(() => void buildPlane(plan, ground.profile, PLANE_COLUMNS), 9),
  ],
);
const eaters = plan.hikers.map((_, who) => who);
const byMenus = session.compute(plan);
const foodPantry = buildPantry(plan.foods);
stages.push(
  ["a thousand hikes", measure(() => void simulate(plan, result, { runs: 1000 }), 3)],
  ["ten thousand hikes", measure(() => void simulate(plan, result, { runs: 10_000 }), 1)],
);
stages.push(
  ["fill the bag of a leg", measure(() => void fillLeg(plan, byMenus, 0, 9, foodPantry), 3)],
  [
    "bags of all legs, every hiker",
    measure(() => void eaters.map((who) => legBags(plan, byMenus, who, foodPantry)), 9),
  ],
);
const demo = readPlan(JSON.parse(readFileSync("demo/corvane.gepack.json", "utf8"))).value!;
const demoTrack = readGpx(readFileSync("demo/corvane.gpx", "utf8"), "corvane", "corvane").value!.track;
const demoNow = computePlan(demo, [demoTrack]);
/** So many pieces that each is there four times and more. */
const crowded: Plan = {
  ...demo,
  kit: Array.from({ length: 500 }, (_, i) => ({ ...demo.kit[i % demo.kit.length]!, id: `piece-${i}` })),
};
const crowdedNow = computePlan(crowded, [demoTrack]);
stages.push(
  [
    "treating and its time on all legs, every hiker",
    measure(() => void eaters.map((who) => treatedLegs(plan, byMenus, who)), 9),
  ],
  ["chance of every source on its day", measure(() => void passages(plan, byMenus), 9)],
  ["demands and cover of the demo’s legs", measure(() => void coverOf(demo, demoNow, demandsOf(demo, demoNow)), 9)],
  ["the same with 500 pieces", measure(() => void coverOf(crowded, crowdedNow, demandsOf(crowded, crowdedNow)), 9)],
  [
    "swaps of the demo by search, till they rest",
    measure(() => void [...swapRounds(demo, demoNow, (other) => computePlan(other, [demoTrack]))], 3),
  ],
  ["the demo anew, if dry at every source, charge and fuel", measure(() => void computePlan(demo, [demoTrack]), 5)],
);
/** So many places to choose from, evenly along the trail, each with a shop and a counter; limits as they come. */
function searchPlan(count: number): Plan {
  const [row] = plan.stops;
  const stops = Array.from({ length: count }, (_, i) => ({
    ...row!,
    id: `c${i}`,
    trackM: (((i + 0.7) * LENGTH_M) / count) as TrackM,
    use: i % 3 === 0,
    nights: 1,
    services: ["shop-small" as const, "post" as const, "bed" as const],
  }));
  return { ...plan, stops, pins: [], kit: plan.kit.map((piece) => ({ ...piece, spans: [] })) };
}
/** Until the first set is given, and until the last. */
for (const count of [34, 200]) {
  const wanted = searchPlan(count);
  session.compute(wanted);
  const events = searchStops(session, wanted);
  const first = measureOnce(() => {
    for (const event of events) if (event.kind === "set") break;
  });
  stages.push([`the first set of ${count} stops`, first]);
  const all = measureOnce(() => {
    for (const event of searchStops(session, wanted)) if (event.kind === "end") break;
  });
  stages.push([`all sets of ${count} stops`, all]);
}
const memoryMB = (heap() - before) / 1e6;

const row = (name: string, { minMs, medianMs }: Taken, target?: number): string =>
  `${name.padEnd(50)}${minMs.toFixed(2).padStart(9)}${medianMs.toFixed(2).padStart(10)}${(minMs / onePass.minMs).toFixed(1).padStart(9)}${target === undefined ? "" : `   target ${target}`}`;
console.log(
  `${POINTS.toLocaleString("en")} points, ${(result.profile.lengthM / 1000).toFixed(0)} km, ${result.profile.cellCount.toLocaleString("en")} cells, ${plan.hikers.length} hikers, ${result.legs.length} legs, ${result.rounds} rounds, settled: ${result.settled}`,
);
console.log(`${"".padEnd(50)}${"least ms".padStart(9)}${"median".padStart(10)}${"× pass".padStart(9)}`);
console.log(row("one pass over the points", onePass));
console.log(row("one pass over the cells", cellsOnce));
console.log(row(`read GPX (${(text.length / 1e6).toFixed(0)} MB)`, read));
console.log(row("whole compute, cold", cold, 90));
console.log(row("whole compute, warm", whole, 35));
for (const [name, taken, target] of edits) console.log(row(name, taken, target));
console.log("\nWhere the time goes");
for (const [name, taken] of stages) console.log(row(name, taken));
console.log(`memory held: ${memoryMB.toFixed(0)} MB${Number.isFinite(sink) ? "" : "!"}`);
for (const [name, taken, target] of crowdedRows(plan, track)) console.log(row(name, taken, target));
