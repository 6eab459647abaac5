/** Places of a file with what is written of them, as parts of a plan; what is asked because nobody wrote it. */
import { sortWaypoint, type Located, type TrackM } from "@gepack/core";
import { describe, expect, test } from "vitest";
import {
  answered,
  askedRows,
  assumedSources,
  dryWays,
  partsOf,
  rowsOf,
  withAssumedShops,
  type FoundRow,
} from "./found.ts";

interface Given {
  name: string;
  km: number;
  note?: string;
  offM?: number;
  symbol?: string;
}

function rowsFor(places: readonly Given[]): FoundRow[] {
  const points = places.map(({ name, note = "", symbol = "" }) => ({ name, symbol, type: "", description: note }));
  const located = places.map(({ km, offM = 0 }): Located => ({ trackM: (1000 * km) as TrackM, offM }));
  return rowsOf(
    points,
    points.map((words) => sortWaypoint(words)),
    located,
  );
}

const partOf = (given: Omit<Given, "km">) => partsOf(rowsFor([{ km: 10, ...given }]));

describe("what is written of a place is in the plan", () => {
  test("season, hours, days of rest and note of a stop; a ride where it is far", () => {
    const note = "store and post, closed until 15 May, closed Sundays, open 9–12, bus 3x a day";
    const [stop] = partOf({ name: "Marlow", note, offM: 3000 }).stops;
    expect(stop).toMatchObject({
      name: "Marlow",
      use: true,
      openFrom: "05-15",
      openTo: "12-31",
      opensH: 9,
      closesH: 12,
      closedOn: ["sun"],
      access: "shuttle",
      offTrailM: 3000,
      note,
    });
    expect(stop!.services.toSorted()).toEqual(["post", "shop-small"]);
    expect(partOf({ name: "Marlow", note, offM: 400 }).stops[0]!.access).toBe("foot");
  });

  test("hours of the post are those of its counter alone", () => {
    const [stop] = partOf({ name: "Tarrant village", note: "post 9–12" }).stops;
    expect(stop).toMatchObject({ postOpensH: 9, postClosesH: 12 });
    expect(stop!.opensH).toBeUndefined();
  });

  test("water that dries up has a chance by month, and keeps its note", () => {
    const [source] = partOf({ name: "Heron spring", note: "often dry after July" }).sources;
    expect(source!.chanceByMonth![5]).toBe(0.9);
    expect(source!.chanceByMonth![8]).toBe(0.2);
    expect(source!.note).toBe("often dry after July");
    expect(partOf({ name: "Heron spring" }).sources[0]!.chanceByMonth).toBeUndefined();
  });

  test("a house without a shop is there and not used", () => {
    expect(partOf({ name: "Red hut", note: "beds, meals" }).stops[0]).toMatchObject({ use: false, nights: 1 });
  });
});

describe("what the files do not say", () => {
  const rows = rowsFor([
    { name: "Marlow", km: 60 },
    { name: "Red hut", km: 130 },
    { name: "Store", km: 90 },
    { name: "WP 17", km: 30 },
    { name: "Bleak house", km: 150, note: "no shop" },
    { name: "Windy Pass", km: 170 },
  ]);

  test("is asked of places that may have food, by the days that hang on them, and of nothing else", () => {
    const asked = askedRows(rows, 200_000);
    expect(asked.map(({ row }) => row.point.name)).toEqual(["Red hut", "Marlow"]);
    // 40 km after the store, 70 before the finish; 60 from the start, 30 to the store.
    expect(asked[0]!.days).toBeCloseTo(40 / 22, 6);
    expect(asked[1]!.days).toBeCloseTo(30 / 22, 6);
  });

  test("an answer makes a stop of it, no answer leaves it; the question stays to be answered otherwise", () => {
    const take = (food: "shop-small" | "none") =>
      rows.map((row) => (row.point.name === "Marlow" ? answered(row, food) : row));
    const yes = take("shop-small");
    expect(partsOf(yes).stops.find(({ name }) => name === "Marlow")).toMatchObject({
      use: true,
      services: ["shop-small"],
    });
    expect(askedRows(yes, 200_000).map(({ row }) => row.point.name)).toContain("Marlow");
    const no = yes.map((row) => (row.point.name === "Marlow" ? answered(row, "none") : row));
    expect(partsOf(no).stops.map(({ name }) => name)).not.toContain("Marlow");
    const post = rows.map((row) => (row.point.name === "Red hut" ? answered(row, "post") : row));
    expect(
      partsOf(post)
        .stops.find(({ name }) => name === "Red hut")!
        .services.toSorted(),
    ).toEqual(["bed", "post"]);
  });

  test("before more than a week of food a place that may have a shop is taken to have it, unless somebody says no", () => {
    const towns = rowsFor([
      { name: "Marlow", km: 90 },
      { name: "Tarrant", km: 200 },
      { name: "Ashby", km: 210 },
      { name: "Creek", km: 100 },
      { name: "WP 4", km: 250 },
    ]);
    const names = (rows: readonly FoundRow[], lengthM: number) =>
      partsOf(withAssumedShops(rows, lengthM)).stops.map(({ name, infoFrom }) => `${name} ${infoFrom}`);
    expect(names(towns, 150_000)).toEqual([]);
    // The middle of 400 km first; a place 10 km behind it would change nothing.
    expect(names(towns, 400_000)).toEqual(["Marlow assumed", "Tarrant assumed"]);
    const no = towns.map((row) => (row.point.name === "Tarrant" ? answered(row, "none") : row));
    expect(names(no, 400_000)).toEqual(["Marlow assumed", "Ashby assumed"]);
    const out = towns.map((row) => ({ ...row, isLeftOut: true }));
    expect(names(out, 400_000)).toEqual([]);
  });

  test("dry ways are between waters and houses that have some, on the ground that is walked", () => {
    const wet = rowsFor([
      { name: "Spring", km: 10 },
      { name: "Hut", km: 40, note: "beds" },
      { name: "Old tank (dry)", km: 50 },
      { name: "Creek", km: 52 },
    ]);
    expect(dryWays(wet, { fromM: 0, toM: 60_000 })).toEqual([[10_000, 40_000]]);
    expect(dryWays(wet, { fromM: 20_000, toM: 38_000 })).toEqual([[20_000, 38_000]]);
    // A file that has water every 20 km knows its trail: only what is far longer is asked about.
    const even = rowsFor([20, 40, 60, 80, 100].map((km) => ({ name: "Creek", km })));
    expect(dryWays(even, { fromM: 0, toM: 130_000 })).toEqual([]);
    expect(dryWays(even, { fromM: 0, toM: 150_000 })).toEqual([[100_000, 150_000]]);
    expect(assumedSources([[10_000, 40_000]], 10_000).map(({ trackM, assumed }) => [trackM, assumed])).toEqual([
      [20_000, true],
      [30_000, true],
    ]);
  });
});
