import { describe, expect, test } from "vitest";
import { planOf, stationOf, stopOf, trackNorth } from "../../test/fixtures.ts";
import { computePlan } from "../session/session.ts";
import { givenUp, switchOffs } from "./switchOff.ts";

const tracks = [trackNorth({ lengthM: 240_000 })];
const device = (id: string, whPerDay: number, more: Record<string, unknown> = {}) => ({
  id,
  name: id,
  ownerId: "h",
  kind: "rechargeable",
  mAh: 3000,
  whPerDay,
  ...more,
});
const planWith = (devices: Record<string, unknown>[]) =>
  planOf({
    devices,
    climate: { stations: [stationOf(8, 20)] },
    stops: [stopOf("s", 20_000, { nights: 1, services: ["socket", "bed", "shop-full"] })],
  });
const rowsOf = (plan: ReturnType<typeof planWith>) => [...switchOffs(plan, (other) => computePlan(other, tracks))];

describe("what is given up first", () => {
  test("the most thirsty without ranks; with ranks those alone, in their order", () => {
    const { devices } = planWith([device("a", 1), device("b", 9), device("c", 4), device("bank", 0, { kind: "bank" })]);
    expect(givenUp(devices).map(({ id }) => id)).toEqual(["b", "c", "a"]);
    const ranked = planWith([device("a", 1, { offRank: 2 }), device("b", 9), device("c", 4, { offRank: 1 })]).devices;
    expect(givenUp(ranked).map(({ id }) => id)).toEqual(["c", "a"]);
  });

  test("as many as it takes until no leg runs flat, and each less than before", () => {
    const rows = rowsOf(planWith([device("phone", 6), device("camera", 5), device("lamp", 0.5)]));
    expect(rows.length).toBeGreaterThan(1);
    expect(rows[0]!.deviceIds).toEqual([]);
    expect(rows[0]!.flatLegs).toEqual([1]);
    for (let i = 1; i < rows.length; i++) expect(rows[i]!.shortWh).toBeLessThan(rows[i - 1]!.shortWh);
    expect(rows.at(-1)!.flatLegs).toEqual([]);
    expect(rows.at(-1)!.deviceIds[0]).toBe("phone");
  });

  test("where all lasts nothing is given up", () => {
    expect(rowsOf(planWith([device("lamp", 0.1)]))).toEqual([{ deviceIds: [], flatLegs: [], shortWh: 0 }]);
  });
});
