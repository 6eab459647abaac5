import { describe, expect, test } from "vitest";
import { keepsItsWord, openPlanWith, planNow, settled } from "../../test/openedPlan.ts";
import { planWith, someone } from "../../test/plans.ts";
import { TURNED, turnPlace } from "./turnPlace.ts";

const note = "closed until 15 May";
const plan = planWith({
  hikers: [someone],
  stops: [
    { id: "mill", name: "Mill", trackM: 20_000, services: ["shop-full"] },
    { id: "hut", name: "Hut", trackM: 40_000, offTrailM: 300, services: ["bed"], note },
  ],
});

describe("a place taken for another kind", () => {
  test.each(TURNED.filter((kind) => kind !== "stops"))(
    "a stop becomes one of the %s, with name, place and note",
    async (kind) => {
      await openPlanWith(plan);
      expect(await turnPlace("stops", "hut", "Hut", kind)).toBe(true);
      await settled();
      const now = planNow();
      expect(now.stops.map(({ name }) => name)).toEqual(["Mill"]);
      const [row] = now[kind];
      expect(row).toMatchObject({ name: "Hut", note });
      if (row && "fromM" in row) expect([row.fromM, row.toM]).toEqual([39_700, 40_300]);
      else expect(row!.trackM).toBe(40_000);
      await keepsItsWord();
    },
  );

  test("and back again, where it was", async () => {
    await openPlanWith(plan);
    await turnPlace("stops", "hut", "Hut", "stretches");
    await settled();
    await turnPlace("stretches", planNow().stretches[0]!.id, "Hut", "stops");
    await settled();
    expect(planNow().stops.at(-1)).toMatchObject({ name: "Hut", trackM: 40_000, note, services: [] });
    expect(planNow().stretches).toEqual([]);
    await keepsItsWord();
  });

  test("into what it is, or of what is gone, nothing is changed", async () => {
    await openPlanWith(plan);
    await turnPlace("stops", "hut", "Hut", "stops");
    await turnPlace("camps", "gone", "Gone", "stops");
    await settled();
    expect(planNow().stops).toHaveLength(2);
  });
});
