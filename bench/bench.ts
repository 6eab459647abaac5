/**
 * Medians on a generated trail of 4,300 km and 430,000 points, two hikers, 70 pieces of kit: each with
 * its ratio to one plain pass over the same arrays in the same run. Not a test: machines differ.
 */
import { readFileSync } from "node:fs";
import { models, readGpx, readPlan, Session, type Plan, type TrackPoints } from "@gepack/core";
import { hikerLoad } from "../core/src/load/load.ts";
import { provision, type HikerSupply } from "../core/src/provision/provision.ts";
import { mendTracks } from "../core/src/track/mend.ts";
import { buildProfile } from "../core/src/track/profile.ts";
import { baseHours, baseHoursInput } from "../core/src/walk/baseHours.ts";
import { packArrays, Workspace } from "../core/src/walk/workspace.ts";
import { sampleGround, sampling } from "../core/src/solve/sampled.ts";
import { partConditions } from "../core/src/walk/conditions.ts";
import { walkBlock } from "../core/src/walk/walk.ts";
import { layGround } from "../core/test/ground.ts";

const LENGTH_M = 4_300_000;
const POINTS = 430_000;
const RUNS = 15;

const heap = (): number => {
  (globalThis as { gc?: () => void }).gc?.();
  return process.memoryUsage().heapUsed + process.memoryUsage().arrayBuffers;
};

function median(work: () => void, runs = RUNS): number {
  const times: number[] = [];
  for (let i = 0; i < runs; i++) {
    const start = performance.now();
    work();
    times.push(performance.now() - start);
  }
  return times.sort((a, b) => a - b)[runs >> 1]!;
}

function gpxText(): string {
  const rows: string[] = ['<?xml version="1.0"?><gpx version="1.1"><trk><name>Bench</name><trkseg>'];
  for (let i = 0; i < POINTS; i++) {
    const m = (i / (POINTS - 1)) * LENGTH_M;
    const lat = 20 + m / 111_040;
    const lon = -150 + 0.01 * Math.sin(m / 40_000);
    const height = 900 + 700 * Math.sin(m / 150_000) + 120 * Math.sin(m / 3000) + 3 * Math.sin(i * 12.9898);
    rows.push(`<trkpt lat="${lat.toFixed(6)}" lon="${lon.toFixed(6)}"><ele>${height.toFixed(1)}</ele></trkpt>`);
  }
  rows.push("</trkseg></trk></gpx>");
  return rows.join("\n");
}

/** The demo's hikers, kit and weather, its places stretched to the longer trail. */
function longPlan(demoLengthM: number): Plan {
  const stretch = LENGTH_M / demoLengthM;
  const raw = JSON.parse(readFileSync(new URL("../demo/corvane.gepack.json", import.meta.url), "utf8")) as Record<
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

const text = gpxText();
const before = heap();
let track!: TrackPoints;
const readMs = median(() => {
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
const passMs = median(() => void (sink += pass()), 101);

const firstStart = performance.now();
const session = new Session();
session.setTracks([track]);
const result = session.compute(plan);
const firstMs = performance.now() - firstStart;
const freshMs = median(() => {
  const fresh = new Session();
  fresh.setTracks([track]);
  fresh.compute(plan);
}, 7);

const edited = (change: (plan: Plan, i: number) => void): number => {
  let i = 0;
  return median(() => {
    const copy = structuredClone(plan);
    change(copy, ++i);
    const start = performance.now();
    session.compute(copy);
    inner.push(performance.now() - start);
  });
};
const lastLeg = { fromStopId: result.legs.at(-1)!.fromStopId, toStopId: "@finish" };
const inner: number[] = [];
const timed = (change: (plan: Plan, i: number) => void): number => {
  inner.length = 0;
  edited(change);
  return inner.sort((a, b) => a - b)[inner.length >> 1]!;
};
const kitMs = timed((copy, i) => void (copy.kit[0]!.massG += 7 * i));
const dateMs = timed((copy, i) => void (copy.trip.startDate = `2027-04-${String(1 + (i % 28)).padStart(2, "0")}`));
const oneLegMs = timed((copy, i) => {
  // A piece that is carried on one leg alone: the other blocks are taken from memory.
  copy.kit.push({
    ...copy.kit[0]!,
    id: "bench",
    massG: 100 + i,
    spans: [{ ...lastLeg, begins: "posted", ends: "kept" }],
  });
});
const foodMs = timed((copy, i) => void (copy.hikers[0]!.food.densityKcalPerG += 0.01 * i));
const efforts = models.effort.ids;
const schoolMs = timed((copy, i) => void (copy.hikers[0]!.schools.effort = efforts[i % efforts.length]!));
const times = models.time.ids;
const timeMs = timed((copy, i) => void (copy.hikers[0]!.schools.time = times[i % times.length]!));
const sameMs = timed(() => {});

// Where the time goes: the stages one by one, on the whole trail as one round each.
const laid = layGround(plan, [track]);
const { ground, kit, start } = laid;
const cells = ground.profile.cellCount;
const sample = sampling({ cellCount: cells });
const sampledSpace = new Workspace(sample.count, plan.hikers.length);
const load = plan.hikers.map(() => new Float64Array(cells).fill(9));
const whole = { firstLeg: 0, endLeg: ground.halts.length - 1 };
let walk = walkBlock(ground, whole, start.walk, load);
const cellPass = (): number => {
  let sum = 0;
  for (let c = 0; c < cells; c++) sum += ground.profile.heightM[c]! * ground.profile.gradeFraction[c]!;
  return sum;
};
const cellPassMs = median(() => void (sink += cellPass()), 101);
const stages: [string, number][] = [
  ["mend and profile", median(() => void buildProfile(mendTracks([track]), false), 5)],
  [
    "base hours of a time school, a hiker",
    median(() => void baseHours(baseHoursInput(plan.hikers[0]!, laid.needs[0]!.schools.time, ground.profile))),
  ],
  ["sample the ground", median(() => void sampleGround({ ground, sampling: sample, workspace: sampledSpace }))],
  ["walk, one round", median(() => void (walk = walkBlock(ground, whole, start.walk, load)))],
];
const conditions = partConditions(ground, walk.parts);
const drinkL = new Float64Array(cells + 1);
const supplied = (h: number): HikerSupply =>
  provision({
    needs: laid.needs[h]!,
    ground,
    slope: ground.slopes[h],
    block: whole,
    walk,
    conditions,
    sources: laid.sources,
    loadKg: load[h]!,
    wornKg: kit.legs.map((leg) => leg[h]!.wornKg),
    before: start.supply[h]!,
    drinkL,
  });
let supply = supplied(0);
const into = packArrays(cells);
const kitLegs = kit.legs.map((leg) => leg[0]!);
stages.push(
  ["energy, food, water and fuel, a hiker and round", median(() => void (supply = supplied(0)))],
  [
    "the pack on every cell, a hiker and round",
    median(() => void hikerLoad({ wrapperFraction: 0.03, parts: walk.parts, supply, kitLegs, into })),
  ],
  ["names of the parts, kit, result and checks", sameMs],
);
const memoryMB = (heap() - before) / 1e6;

const row = (name: string, ms: number, target: string): string =>
  `${name.padEnd(50)}${ms.toFixed(2).padStart(9)} ms ${(ms / passMs).toFixed(1).padStart(7)} × points ${(ms / cellPassMs).toFixed(0).padStart(7)} × cells   ${target}`;
console.log(
  `${POINTS.toLocaleString("en")} points, ${(result.profile.lengthM / 1000).toFixed(0)} km, ${result.profile.cellCount.toLocaleString("en")} cells, ${plan.hikers.length} hikers, ${result.legs.length} legs, ${result.rounds} rounds, settled: ${result.settled}`,
);
console.log(row("one pass over the points", passMs, ""));
console.log(row("one pass over the cells", cellPassMs, ""));
console.log(row(`read GPX (${(text.length / 1e6).toFixed(0)} MB)`, readMs, "target 4,000 ms"));
console.log(row("first compute, cold", firstMs, "target 400 ms"));
console.log(row("whole compute, warm", freshMs, ""));
console.log(row("kit edit on all legs", kitMs, "target 10 ms"));
console.log(row("kit edit on one leg", oneLegMs, "target 10 ms"));
console.log(row("date edit", dateMs, "target 120 ms"));
console.log(row("food edit", foodMs, "target 60 ms"));
console.log(row("effort school edit", schoolMs, "target 60 ms"));
console.log(row("time school edit", timeMs, "target 60 ms"));
console.log("\nWhere the time goes");
for (const [name, ms] of stages) console.log(row(name, ms, ""));
console.log(`memory held: ${memoryMB.toFixed(0)} MB${Number.isFinite(sink) ? "" : "!"}`);
