import { describe, expect, test } from "vitest";
import { hikerOf, pieceOf, planOf, stopOf } from "../../test/fixtures.ts";
import { nearestUsedStop, readPlan, removeHiker, removeRow, type Plan } from "../index.ts";
import { LISTS, type ListName } from "./lists.ts";
import { REFERENCES } from "./references.ts";

const party = (): Plan =>
  planOf({
    hikers: [hikerOf(), hikerOf({ id: "b", name: "B" })],
    stops: [stopOf("s", 20_000), stopOf("t", 50_000), stopOf("u", 40_000, { use: false })],
    kit: [
      pieceOf("tent", 900, { shared: true, carrierId: "b" }),
      pieceOf("bank", 300, { ownerId: "b", carrierId: "a" }),
      pieceOf("axe", 300, { spans: [{ fromStopId: "s", toStopId: "t", carrierId: "b" }] }),
    ],
    devices: [
      { id: "d", name: "Bank", ownerId: "b", kind: "bank", pieceId: "bank" },
      { id: "e", name: "Phone", ownerId: "b", kind: "rechargeable" },
    ],
  });

/** Every id that names a row which is not there. */
const dangling = (plan: Plan): string[] =>
  REFERENCES.flatMap(({ to, besides, links }) => {
    const known = new Set([...LISTS[to](plan).map((row) => row.id), ...besides]);
    return links(plan).flatMap(({ place, id }) => (known.has(id) ? [] : [place]));
  });

describe("removing a row follows every reference to it", () => {
  test("a piece: the device that was it works everywhere from then on", () => {
    const plan = party();
    removeRow(plan, "kit", "bank");
    expect(plan.kit.map((piece) => piece.id)).toEqual(["tent", "axe"]);
    expect(plan.devices[0]).not.toHaveProperty("pieceId");
    expect(dangling(plan)).toEqual([]);
  });

  test("a stop: what changed there changes at the nearest used one, or at the ends", () => {
    const plan = party();
    expect(nearestUsedStop(plan, "s")).toBe("t");
    removeRow(plan, "stops", "s", nearestUsedStop(plan, "s"));
    expect(plan.kit[2]!.spans[0]).toMatchObject({ fromStopId: "t", toStopId: "t" });
    expect(nearestUsedStop(plan, "t")).toBeUndefined();
    removeRow(plan, "stops", "t");
    expect(plan.kit[2]!.spans[0]).toMatchObject({ fromStopId: "@start", toStopId: "@finish" });
    expect(dangling(plan)).toEqual([]);
  });

  test("a hiker: their own goes, what is shared is carried by who stays", () => {
    const plan = party();
    removeHiker(plan, "b");
    expect(plan.kit.map((piece) => piece.id)).toEqual(["tent", "axe"]);
    expect(plan.kit[0]).toMatchObject({ ownerId: "a", carrierId: "a" });
    expect(plan.kit[1]!.spans[0]!.carrierId).toBe("a");
    expect(plan.devices).toEqual([]);
    expect(dangling(plan)).toEqual([]);
    removeHiker(plan, "a");
    expect(plan.hikers).toHaveLength(1);
  });

  test("whatever row goes, no list is left with a name of nobody", () => {
    for (const list of Object.keys(LISTS) as ListName[])
      for (const { id } of LISTS[list](party())) {
        const plan = party();
        if (list === "hikers") removeHiker(plan, id);
        else removeRow(plan, list, id);
        expect(
          LISTS[list](plan).some((row) => row.id === id),
          `${list} ${id}`,
        ).toBe(false);
        expect(dangling(plan), `${list} ${id}`).toEqual([]);
      }
  });
});

describe("reading checks every reference", () => {
  const read = (change: (plan: Plan) => void) => {
    const plan = party();
    change(plan);
    return readPlan(JSON.parse(JSON.stringify(plan)));
  };

  test.each<[string, (plan: Plan) => void]>([
    ["kit[0].ownerId", (plan) => (plan.kit[0]!.ownerId = "x")],
    ["kit[1].carrierId", (plan) => (plan.kit[1]!.carrierId = "x")],
    ["kit[2].spans[0].carrierId", (plan) => (plan.kit[2]!.spans[0]!.carrierId = "x")],
    ["kit[2].spans[0].toStopId", (plan) => (plan.kit[2]!.spans[0]!.toStopId = "x")],
    ["devices[1].ownerId", (plan) => (plan.devices[1]!.ownerId = "x")],
  ])("%s naming nobody is refused", (place, change) => {
    const { value, problems } = read(change);
    expect(value).toBeUndefined();
    expect(problems.map((problem) => problem.place)).toEqual([place]);
    expect(problems[0]!.sentence).toMatch(/"x".*not in (hikers|stops)/);
  });

  test("a device naming a piece that is gone is mended, and said", () => {
    const { value, problems } = read((plan) => (plan.devices[0]!.pieceId = "gone"));
    expect(value!.devices[0]).not.toHaveProperty("pieceId");
    expect(problems).toMatchObject([{ severity: "caution", place: "devices[0].pieceId" }]);
  });
});
