/** The edits that the stations make, applied to a document without a browser. */
import { computePlan, deviceSchema, planSchema, type Plan, type PlanResult, type TrackPoints } from "@gepack/core";
import { produce, type Draft } from "immer";
import { beforeEach, describe, expect, test, vi } from "vitest";

let plan: Plan;
let labels: string[];
const selected: unknown[] = [];

vi.mock("../store/app.ts", () => ({
  edit: (label: string, recipe: (draft: Draft<Plan>) => void): Promise<void> => {
    labels.push(label);
    plan = produce(plan, recipe);
    return Promise.resolve();
  },
  select: (next: unknown) => selected.push(next),
}));

const { turnRound } = await import("./direction.ts");
const { addHiker, removeHiker } = await import("./setup/party.ts");
const { endAtM, moveSpanEnd, swapPoints } = await import("./spans.ts");
const { addPlace, movePlace, removePlace } = await import("./trail/places.ts");

const points = 1000;
const track: TrackPoints = {
  id: "t",
  name: "t",
  lonDeg: new Float64Array(points).fill(-150),
  latDeg: Float64Array.from({ length: points }, (_, i) => 40 + i * 0.0009),
  heightM: new Float32Array(points).fill(100),
  segmentStarts: new Uint32Array([0]),
};
const compute = (): PlanResult => computePlan(plan, [track]);
const piece = (id: string, spans: unknown[], rest: Record<string, unknown> = {}) => ({
  id,
  name: id,
  massG: 100,
  ownerId: "a",
  carrierId: "a",
  spans,
  ...rest,
});

beforeEach(() => {
  labels = [];
  plan = planSchema.parse({
    format: "gepack-plan",
    version: 1,
    id: "p",
    trip: { name: "Test", startDate: "2027-05-01", directionName: "northbound" },
    trackIds: ["t"],
    hikers: [
      { id: "a", name: "A", ageY: 30, sex: "male", heightCm: 175, bodyKg: 70 },
      { id: "b", name: "B", ageY: 30, sex: "female", heightCm: 165, bodyKg: 60 },
    ],
    stops: [
      { id: "one", name: "One", trackM: 30_000 },
      { id: "two", name: "Two", trackM: 60_000 },
      { id: "idle", name: "Idle", trackM: 50_000, use: false },
    ],
    sources: [{ id: "w", name: "Well", trackM: 20_000 }],
    stretches: [{ id: "x", name: "Snow", kind: "snow", fromM: 10_000, toM: 40_000 }],
    kit: [
      piece("axe", [{ fromStopId: "one", toStopId: "two", begins: "posted", ends: "sent-home" }]),
      piece("tent", [{ fromStopId: "@start", toStopId: "@finish" }], { shared: true }),
    ],
  });
});

const axe = () => plan.kit[0]!.spans[0]!;
const move = (end: "from" | "to", pointIndex: number) =>
  moveSpanEnd(plan, swapPoints(compute()), "axe", { spanIndex: 0, end }, pointIndex);

describe("moving the ends of spans", () => {
  test("the points are the ends of the trail and the stops in use", () => {
    expect(swapPoints(compute()).map((point) => point.id)).toEqual(["@start", "one", "two", "@finish"]);
  });

  test("to the end of the trail the piece is kept, to its beginning it comes from home", async () => {
    await move("to", 3);
    expect(axe()).toMatchObject({ toStopId: "@finish", ends: "kept" });
    await move("from", 0);
    expect(axe()).toMatchObject({ fromStopId: "@start", begins: "from-home" });
    expect(compute().kitFaults).toEqual([]);
  });

  test("back on the way, how it comes and goes is told again", async () => {
    await move("from", 0);
    await move("from", 1);
    expect(axe().begins).toBe("posted");
    await move("to", 3);
    await move("to", 2);
    expect(axe().ends).toBe("sent-home");
    expect(compute().kitFaults).toEqual([]);
  });

  test("an end never passes the other, and a move to where it is leaves no step", async () => {
    await move("from", 2);
    await move("from", 3);
    await move("to", 1);
    await move("to", 0);
    await move("to", 2);
    expect(labels).toEqual([]);
    expect(axe()).toMatchObject({ fromStopId: "one", toStopId: "two" });
  });

  test("a span that ends at a stop not in use is drawn where that stop lies, either way round", () => {
    const at = (): number => endAtM(swapPoints(compute()), plan, "idle");
    expect(at()).toBe(50_000);
    turnRound();
    expect(at()).toBeCloseTo(compute().profile.lengthM - 50_000, 3);
  });
});

describe("turning round", () => {
  test("direction and its name change, and back", () => {
    turnRound();
    expect(plan.trip).toMatchObject({ direction: "reverse", directionName: "southbound" });
    turnRound();
    expect(plan.trip).toMatchObject({ direction: "forward", directionName: "northbound" });
  });

  test("a name without an opposite stays", () => {
    plan = produce(plan, (draft) => void (draft.trip.directionName = "clockwise"));
    turnRound();
    expect(plan.trip.directionName).toBe("clockwise");
  });
});

describe("places", () => {
  test("added ones lie on the trail, with coordinates and defaults", () => {
    const { profile } = compute();
    for (const kind of ["stops", "sources", "camps", "stretches"] as const) addPlace(kind, plan, profile, 45_000);
    expect(plan.stops.at(-1)).toMatchObject({ name: "Stop 4", trackM: 45_000, use: true, nights: 1, lonDeg: -150 });
    expect(plan.stops.at(-1)!.latDeg).toBeCloseTo(40.405, 2);
    expect(plan.camps.at(-1)).toMatchObject({ name: "Camp 1", trackM: 45_000, hollow: false });
    movePlace("camps", plan.camps[0]!.id, "Camp 1", "trackM", profile, 12_000);
    expect(plan.camps[0]!.trackM).toBe(12_000);
    removePlace("camps", plan.camps[0]!.id, "Camp 1");
    expect(plan.camps).toEqual([]);
    expect(plan.sources.at(-1)).toMatchObject({ name: "Source 2", trackM: 45_000, reliable: true });
    expect(plan.stretches.at(-1)).toMatchObject({ fromM: 45_000, toM: 55_000 });
    expect(compute().legs).toHaveLength(4);
  });

  test("moved ones stay on the trail and take their coordinates along", () => {
    const { profile } = compute();
    movePlace("stops", "one", "One", "trackM", profile, 500_000);
    expect(plan.stops[0]!.trackM).toBe(Math.round(profile.lengthM));
    movePlace("sources", "w", "Well", "trackM", profile, -5);
    expect(plan.sources[0]).toMatchObject({ trackM: 0, lonDeg: -150 });
    movePlace("stretches", "x", "Snow, end", "toM", profile, 25_000);
    expect(plan.stretches[0]).toMatchObject({ fromM: 10_000, toM: 25_000 });
  });

  test("walked the other way, a place dragged forward moves back along the track", () => {
    turnRound();
    const { profile } = compute();
    movePlace("stops", "one", "One", "trackM", profile, 10_000);
    expect(plan.stops[0]!.trackM).toBeCloseTo(profile.lengthM - 10_000, -1);
  });

  test("removing a stop hands its swaps to the nearest that stays", () => {
    removePlace("stops", "two", "Two");
    expect(axe()).toMatchObject({ fromStopId: "one", toStopId: "one" });
    removePlace("stops", "one", "One");
    expect(axe()).toMatchObject({ fromStopId: "@start", toStopId: "@finish" });
    expect(compute().kitFaults.some((fault) => fault.kind === "stop-gone")).toBe(false);
  });

  test("sources and stretches go without a trace", () => {
    removePlace("sources", "w", "Well");
    removePlace("stretches", "x", "Snow");
    expect([plan.sources, plan.stretches]).toEqual([[], []]);
  });
});

describe("the party", () => {
  test("a hiker joins with a body and defaults", () => {
    addHiker(plan);
    expect(plan.hikers).toHaveLength(3);
    expect(compute().legs[0]!.hikers).toHaveLength(3);
  });

  test("who leaves takes the own kit along; the shared tent changes hands", () => {
    removeHiker(plan, "a");
    expect(plan.hikers.map((hiker) => hiker.id)).toEqual(["b"]);
    expect(plan.kit.map((row) => [row.id, row.ownerId, row.carrierId])).toEqual([["tent", "b", "b"]]);
    expect(compute().legs[0]!.hikers[0]!.kit.baseKg).toBeCloseTo(0.1, 9);
  });

  test("devices leave with their owner, but for what is part of a shared piece", () => {
    const device = { ownerId: "a", kind: "bank" as const, mAh: 5000 };
    plan = {
      ...plan,
      devices: [
        deviceSchema.parse({ ...device, id: "own", name: "own" }),
        deviceSchema.parse({ ...device, id: "in-tent", name: "light", pieceId: "tent" }),
      ],
    };
    removeHiker(plan, "a");
    expect(plan.devices.map((row) => [row.id, row.ownerId])).toEqual([["in-tent", "b"]]);
  });

  test("the last hiker cannot leave", () => {
    removeHiker(plan, "a");
    removeHiker(plan, "b");
    expect(plan.hikers).toHaveLength(1);
  });
});
