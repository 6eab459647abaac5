import fc from "fast-check";
import { describe, expect, test } from "vitest";
import { hikerOf, pieceOf, planOf, stopOf, trackNorth } from "../../test/fixtures.ts";
import { computePlan, readPlan, readPlanFile, writePlanFile } from "../index.ts";

const good = (): Record<string, unknown> =>
  JSON.parse(JSON.stringify(planOf({ stops: [stopOf("m", 40_000)], kit: [pieceOf("tent", 900)] }))) as Record<
    string,
    unknown
  >;
const firstProblem = (data: unknown): { place: string; sentence: string } => {
  const { value, problems } = readPlan(data);
  expect(value).toBeUndefined();
  return problems[0]!;
};
const withPart = (part: string, value: unknown) => ({ ...good(), [part]: value });

const stretchOf = (overrides: object) => ({ id: "x", name: "Snow", kind: "snow", fromM: 10, toM: 20, ...overrides });
const deviceOf = (overrides: object) => ({ id: "d", name: "Phone", ownerId: "a", kind: "rechargeable", ...overrides });

test("a file from before days, camps, devices and measured values reads as it is, at the defaults", () => {
  const old = good();
  for (const part of ["dayRules", "camps", "devices"]) delete old[part];
  const { value } = readPlan(old);
  expect(value).toMatchObject({ camps: [], devices: [], dayRules: { sleepAt: "anywhere", restEveryDays: 0 } });
  expect(value!.hikers[0]!.schools.bodyMass).toBe("forbes-dynamic");
});

describe("mended, with a sentence", () => {
  test("a stretch that ends before it begins is turned round", () => {
    const { value, problems } = readPlan(withPart("stretches", [stretchOf({ fromM: 900, toM: 300 })]));
    expect(value!.stretches[0]).toMatchObject({ fromM: 300, toM: 900 });
    expect(problems).toMatchObject([
      { severity: "caution", place: "stretches[0]", sentence: expect.stringContaining("swapped") as string },
    ]);
  });

  test("a finish wanted before the start is kept, and said", () => {
    const { value, problems } = readPlan(
      withPart("trip", { name: "x", startDate: "2027-05-01", finishBy: "2027-04-01" }),
    );
    expect(value!.trip.finishBy).toBe("2027-04-01");
    expect(problems[0]).toMatchObject({ severity: "caution", place: "trip.finishBy" });
    expect(problems[0]!.sentence).toMatch(/2027-04-01, is before the start, 2027-05-01/);
  });
});

describe("refused with a place and a sentence", () => {
  test.each([
    ["not an object", [], "file", /JSON object/],
    ["null", null, "file", /JSON object/],
    ["another format", { format: "other", version: 1 }, "format", /found "other"/],
    ["a newer version", { ...good(), version: 7 }, "version", /newer Gepack \(file version 7/],
    ["no version", { format: "gepack-plan" }, "version", /whole number/],
    ["a missing part", { ...good(), hikers: undefined }, "hikers", /missing/],
    [
      "a missing weight",
      withPart("kit", [pieceOf("x", undefined as never)]),
      "kit[0].massG",
      /missing: expected a number/,
    ],
    [
      "a name that is a list",
      withPart("trip", { name: [], startDate: "2027-05-01" }),
      "trip.name",
      /a text, found \[\]/,
    ],
    ["a year beyond calendars", withPart("trip", { name: "x", startDate: "9999-12-31" }), "trip.startDate", /2200/],
    [
      "a month nobody has",
      withPart("stretches", [stretchOf({ fromMonthDay: "99-99" })]),
      "stretches[0].fromMonthDay",
      /MM-DD, found "99-99"/,
    ],
    ["a stop called as an end", withPart("stops", [stopOf("@start", 5)]), "stops[0].id", /doesn’t start with @/],
    ["a missing name", withPart("trip", { startDate: "2027-05-01" }), "trip.name", /missing/],
    [
      "a day that does not exist",
      withPart("trip", { name: "x", startDate: "2027-02-30" }),
      "trip.startDate",
      /YYYY-MM-DD/,
    ],
    ["a negative weight", withPart("kit", [pieceOf("tent", -5)]), "kit[0].massG", /at least 0, found -5/],
    [
      "a weight that is no number",
      withPart("kit", [pieceOf("tent", "5" as never)]),
      "kit[0].massG",
      /Expected a number, found "5"/,
    ],
    [
      "a span to a stop that is gone",
      withPart("kit", [pieceOf("axe", 300, { spans: [{ fromStopId: "@start", toStopId: "lost" }] })]),
      "kit[0].spans[0].toStopId",
      /"lost", which is not in stops/,
    ],
    ["an owner who is not there", withPart("kit", [pieceOf("axe", 300, { ownerId: "z" })]), "kit[0].ownerId", /"z"/],
    ["a rule nobody knows", withPart("dayRules", { sleepAt: "hotels" }), "dayRules.sleepAt", /anywhere/],
    ["a day of thirty hours", withPart("dayRules", { neroOutH: 30 }), "dayRules.neroOutH", /20/],
    ["a surface nobody knows", withPart("dayRules", { surfaceSpeed: { lava: 0.5 } }), "dayRules.surfaceSpeed", /lava/],
    [
      "a stage of no hours",
      withPart("hikers", [hikerOf({ pace: { ramp: [{ tripDay: 0, hoursH: 0 }] } })]),
      "hikers[0].pace.ramp[0].hoursH",
      /1/,
    ],
    [
      "a measured need nobody has",
      withPart("hikers", [hikerOf({ food: { measuredKcalPerDay: 90_000 } })]),
      "hikers[0].food.measuredKcalPerDay",
      /10000/,
    ],
    ["a device of a kind nobody knows", withPart("devices", [deviceOf({ kind: "fusion" })]), "devices[0].kind", /bank/],
    ["a device of somebody else", withPart("devices", [deviceOf({ ownerId: "z" })]), "devices[0].ownerId", /"z"/],
    ["a battery without end", withPart("devices", [deviceOf({ mAh: 1e9 })]), "devices[0].mAh", /200000/],
    ["a place beyond any trail", withPart("stops", [stopOf("m", 1e9)]), "stops[0].trackM", /40000000/],
    [
      "eleven months",
      withPart("climate", {
        stations: [
          {
            id: "s",
            name: "s",
            trackM: 0,
            heightM: 0,
            lowC: Array(11).fill(0),
            highC: Array(12).fill(9),
            lowSdK: 1,
            highSdK: 1,
          },
        ],
      }),
      "climate.stations[0].lowC",
      /12/,
    ],
  ])("%s", (_, data, place, sentence) => {
    const problem = firstProblem(data);
    expect(problem.place).toBe(place);
    expect(problem.sentence).toMatch(sentence);
  });

  test("a long list of faults is cut and counted", () => {
    const { problems } = readPlan(
      withPart(
        "kit",
        Array.from({ length: 50 }, (_, i) => pieceOf(`p${i}`, -1)),
      ),
    );
    expect(problems).toHaveLength(13);
    expect(problems.at(-1)!.sentence).toContain("38 more");
  });

  test("whatever JSON comes, it is read or refused, never thrown", () => {
    fc.assert(
      fc.property(
        fc.jsonValue(),
        fc.constantFrom("trip", "hikers", "stops", "kit", "climate", "sources"),
        (junk, part) => {
          const { value, problems } = readPlan(withPart(part, junk));
          expect(value !== undefined || problems.length > 0).toBe(true);
          expect(readPlan(junk).problems.length).toBeGreaterThan(0);
        },
      ),
      { numRuns: 500 },
    );
  });
});

describe("accepted", () => {
  test("unknown keys are kept, deep ones too", () => {
    const plan = readPlan({
      ...good(),
      weather: { mood: "fair" },
      stops: [{ ...stopOf("m", 1), baker: "early" }],
    }).value!;
    expect(plan["weather"]).toEqual({ mood: "fair" });
    expect(plan.stops[0]!["baker"]).toBe("early");
  });

  test("markup in a name is only a name", () => {
    expect(
      readPlan(withPart("stops", [stopOf("m", 1, { name: "<script>alert(1)</script>" })])).value!.stops[0]!.name,
    ).toBe("<script>alert(1)</script>");
  });

  test("what is left out gets its default", () => {
    expect(readPlan(good()).value!.hikers[0]!.food.densityKcalPerG).toBe(4.4);
  });
});

describe("the one file", () => {
  const track = trackNorth({ lengthM: 20_000, heightM: (m) => 300 + 1.23 * Math.sin(m / 777) });
  track.heightM[7] = NaN;
  track.segmentStarts = new Uint32Array([0, 50]);

  test("plan and track come back to the bit, and to the same result", () => {
    const plan = planOf({ kit: [pieceOf("tent", 900)] });
    const { value } = readPlanFile(JSON.parse(JSON.stringify(writePlanFile(plan, [track]))));
    expect(value!.plan).toEqual(plan);
    expect(value!.tracks).toEqual([track]);
    expect(computePlan(value!.plan, value!.tracks)).toEqual(computePlan(plan, [track]));
  });

  test("any 32-bit height survives", () => {
    fc.assert(
      fc.property(fc.float({ min: -500, max: 9000, noNaN: true }), (height) => {
        const one = { ...track, heightM: track.heightM.slice() };
        one.heightM[0] = height;
        const back = readPlanFile(JSON.parse(JSON.stringify(writePlanFile(planOf(), [one])))).value!;
        expect(back.tracks[0]!.heightM[0]! - height).toBe(0);
      }),
    );
  });

  test.each([
    ["a track that is no feature", { tracks: [{ type: "Point" }] }, /tracks\[0\]/],
    [
      "a coordinate out of range",
      {
        tracks: [
          {
            type: "Feature",
            id: "t",
            properties: {},
            geometry: {
              type: "MultiLineString",
              coordinates: [
                [
                  [0, 95],
                  [0, 1],
                ],
              ],
            },
          },
        ],
      },
      /coordinates\[0\]\[0\]/,
    ],
    [
      "a track of one point",
      {
        tracks: [
          { type: "Feature", id: "t", properties: {}, geometry: { type: "MultiLineString", coordinates: [[[0, 1]]] } },
        ],
      },
      /tracks\[0\]/,
    ],
    [
      "a track the plan does not have",
      {
        tracks: [
          {
            type: "Feature",
            id: "u",
            properties: {},
            geometry: {
              type: "MultiLineString",
              coordinates: [
                [
                  [0, 1],
                  [0, 2],
                ],
              ],
            },
          },
        ],
      },
      /trackIds/,
    ],
  ])("refused: %s", (_, part, place) => {
    const { value, problems } = readPlanFile({ ...good(), ...part });
    expect(value).toBeUndefined();
    expect(problems[0]!.place).toMatch(place);
  });
});

test("an alternate whose track is not in the file rests, and that is said", () => {
  const alternate = { id: "a", name: "High way", trackId: "gone", leavesM: 0, rejoinsM: 5000, chosen: true };
  const file = writePlanFile(planOf({ route: { alternates: [alternate] } }), [trackNorth()]);
  const { value, problems } = readPlanFile(file);
  expect(value!.plan.route.alternates).toHaveLength(1);
  expect(problems).toMatchObject([
    { severity: "caution", sentence: expect.stringContaining("“High way” is ignored") as string },
  ]);
});

test("two tracks of one id are refused", () => {
  const file = writePlanFile(planOf(), [trackNorth()]) as unknown as { tracks: { id: string }[] };
  const { problems } = readPlanFile({ ...file, tracks: [file.tracks[0], file.tracks[0]] });
  expect(problems[0]).toMatchObject({ place: "tracks[1].id" });
});

test("a plan on a trail around the world and back is refused, in a file and where it is computed", () => {
  const far = {
    ...trackNorth(),
    lonDeg: Float64Array.from({ length: 400 }, (_, i) => (i * 37) % 180),
    latDeg: Float64Array.from({ length: 400 }, (_, i) => ((i * 53) % 120) - 60),
    heightM: new Float32Array(400),
  };
  const { problems } = readPlanFile(writePlanFile(planOf(), [far]));
  expect(problems[0]).toMatchObject({ place: "tracks" });
  expect(problems[0]!.sentence).toMatch(/km long/);
  expect(() => computePlan(planOf(), [far])).toThrow(/up to 20,000 km/);
});
