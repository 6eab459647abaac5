import { readFileSync } from "node:fs";
import { expect, test } from "vitest";
import { PLAN_VERSION, readPlan } from "../index.ts";
import { migrate } from "./migrate.ts";
import { withRowIds } from "./rowIds.ts";

const stored = (version: number): Record<string, unknown> =>
  JSON.parse(readFileSync(new URL(`../../test/documents/version-${version}.json`, import.meta.url), "utf8")) as Record<
    string,
    unknown
  >;

test("a stored document of version 1 reads: its day rules and fractions under their new names, the rest as it was", () => {
  const old = stored(1);
  const { value, problems } = readPlan(structuredClone(old));
  expect(problems.map(({ severity }) => severity)).toEqual(["note"]);
  expect(value!.version).toBe(PLAN_VERSION);
  expect(value!.dayRules).toMatchObject({ startRule: "sunrise", darkFraction: 0.1, restEveryDays: 6 });
  expect(value!.hikers.map((hiker) => hiker.pace.breakFraction)).toEqual([0.35, 0.2]);
  expect(value).not.toHaveProperty("days");
  expect(value).toMatchObject({ ownNote: "kept", stops: old["stops"], kit: [{ id: "k" }] });
});

test("a stored document of version 2 walks its whole trail", () => {
  const old = stored(2);
  const { value, problems } = readPlan(structuredClone(old));
  expect(problems.map(({ severity }) => severity)).toEqual(["note"]);
  expect(value!.version).toBe(PLAN_VERSION);
  expect(value!.route).toEqual({ alternates: [], closures: [], sections: [], coarse: false, heightless: [] });
  expect(value).toMatchObject({ dayRules: old["dayRules"], stops: old["stops"], ownNote: "kept too" });
});

test("a stored document of version 3: a ride that was told is a shuttle, all else as it was", () => {
  const { value, problems } = readPlan(structuredClone(stored(3)));
  expect(problems.map(({ severity }) => severity)).toEqual(["note"]);
  expect(value!.version).toBe(PLAN_VERSION);
  expect(value!.stops).toMatchObject([
    { access: "shuttle", rideMin: 45, offTrailM: 9000, closesH: 18, closedOn: [], postHoldDays: 15 },
    { access: "foot", openFrom: "05-01", postTo: "10-31" },
  ]);
});

test("a stored document of version 4 has its fields under their new names, and nothing is lost", () => {
  const { value, problems } = readPlan(structuredClone(stored(4)));
  expect(problems.map(({ severity }) => severity)).toEqual(["note"]);
  expect(value).toMatchObject({
    version: PLAN_VERSION,
    ownNote: "kept as well",
    trip: { fictional: true },
    hikers: [{ menus: { defaultId: "m" }, water: { treatment: { method: "lamp", second: "boil" } } }],
    stops: [{ locked: true, accessClimbM: 120 }],
    sources: [{ contaminated: true }],
    stretches: [{ appliesTo: "sleeping" }, { snowDistanceM: 3000 }],
    kit: [{ listedG: 320 }],
    decisions: [{ id: "h", pieceIds: ["k"] }],
    savedLists: [{ id: "l" }],
    boxes: [{ lines: [{ decisionId: "h" }] }],
    log: [{ pieces: [{ what: "repaired" }] }],
  });
  const old = /"(held|keptKits|madeUp|usualId|way|foul|heldBy|snowWayM|wayClimbM|toldG|heldId|mended)":|"mended"/;
  expect(
    JSON.stringify({ ...value, menus: [], hikers: value!.hikers.map(({ menus, water }) => ({ menus, water })) }),
  ).not.toMatch(old);
});

test("a stored document of version 5: every row of a small list has an id, one that it had stays, and it reads the same twice", () => {
  const { value, problems } = readPlan(structuredClone(stored(5)));
  expect(problems.map(({ severity }) => severity)).toEqual(["note"]);
  expect(value).toMatchObject({
    version: PLAN_VERSION,
    ownNote: "still kept",
    hikers: [{ pace: { ramp: [{ id: "row-1", hoursH: 6 }, { id: "row-2" }] } }],
    sources: [
      {
        reports: [
          { id: "row-1-2", note: "seen from the road" },
          { id: "row-1", said: "flowing" },
        ],
      },
    ],
    kitStory: [{ id: "row-1", what: "Lighter pad" }],
    resupply: { postage: [{ id: "row-1", toKg: 5 }] },
    foods: [{ parts: [] }, { parts: [{ id: "oats", massG: 50 }] }],
    menus: [{ meals: { breakfast: [{ id: "oats" }, { id: "oats-2", grows: false }] } }],
  });
  expect(readPlan(structuredClone(stored(5))).value).toEqual(value);
  // What has all its ids is not made anew.
  expect(withRowIds(value!)).toBe(value);
  // Rows that were copied with their id are two rows.
  const [source] = value!.sources;
  const twice = { ...value!, sources: [{ ...source!, reports: [source!.reports[1]!, source!.reports[1]!] }] };
  const again = readPlan(JSON.parse(JSON.stringify(twice))).value!;
  expect(new Set(again.sources[0]!.reports.map(({ id }) => id)).size).toBe(2);
});

test.each([1])(
  "version %i: what is missing stays missing, and odd shapes are left for the schema to refuse",
  (version) => {
    expect(migrate({ format: "gepack-plan", version }, version)).toEqual({
      format: "gepack-plan",
      version: PLAN_VERSION,
      hikers: undefined,
      route: { alternates: [], closures: [], sections: [], coarse: false },
    });
    expect(migrate({ version, hikers: "nobody", days: 7 }, version)).toEqual({
      version: PLAN_VERSION,
      hikers: "nobody",
      dayRules: 7,
      route: { alternates: [], closures: [], sections: [], coarse: false },
    });
  },
);

test("a version without a way forward is a programmer's mistake", () => {
  expect(() => migrate({}, 0)).toThrow(/No migration from plan version 0/);
});
