/** Edits of kit and boxes: what they leave is always a document that can be read again. */
import { pieceSchema, type PlanDecision, type Piece } from "@gepack/core";
import { afterEach, beforeEach, expect, test } from "vitest";
import { keepsItsWord, openPlanWith, planNow } from "../../test/openedPlan.ts";
import { pieceOf, planWith, someone } from "../../test/plans.ts";

import * as kit from "./kit.ts";
import * as stops from "./stops.ts";
import { changeBox, markBox } from "./boxes.ts";

beforeEach(async () => {
  await openPlanWith(
    planWith({
      hikers: [someone],
      stops: [
        { id: "one", name: "One", trackM: 30_000 },
        { id: "two", name: "Two", trackM: 60_000 },
      ],
      kit: [pieceOf("tent", { role: "shelter" }), pieceOf("tarp", { role: "shelter", spans: [] })],
    }),
  );
});

afterEach(keepsItsWord);

const spans = (): number[] => planNow().kit.map((piece) => piece.spans.length);

test("on the shelf and along again; what goes along somewhere stays as it is", () => {
  kit.leaveAtHome(["tent"], "left");
  expect(spans()).toEqual([0, 0]);
  kit.takeAlong(["tent", "tarp"], "taken");
  expect(spans()).toEqual([1, 1]);
  const span = { fromStopId: "one", toStopId: "@finish", begins: "posted", ends: "kept" } as const;
  kit.setPieces(["tarp"], "set", (piece) => (piece.spans = [span]));
  kit.takeAlong(["tarp"], "again");
  expect(planNow().kit[1]!.spans).toEqual([span]);
});

test("an alternative is taken with its reason, told in words that are not too long for the document", () => {
  kit.takeAlternative("tent", "tarp", "x".repeat(450), "y".repeat(900));
  expect(spans()).toEqual([0, 1]);
  expect(planNow().kitStory[0]!.what).toHaveLength(300);
  expect(planNow().kitStory[0]!.why).toHaveLength(500);
});

test("of very many kept lists the oldest goes; a name that nobody sees is refused", async () => {
  const unseen = kit.keepList("\u200b");
  for (let i = 0; i < 45; i++) kit.keepList(`list ${i}`);
  expect(planNow().savedLists).toHaveLength(40);
  expect(planNow().savedLists[0]!.name).toBe("list 5");
  expect(
    planNow()
      .savedLists.at(-1)!
      .pieces.map(({ id }) => id),
  ).toEqual(["tent"]);
  expect(await unseen).toBe(false);
});

test("a decision is added, taken with a reason, opened again; more than the document takes are refused", async () => {
  const choice: PlanDecision = {
    id: "h",
    name: "if there is ice",
    pieceIds: ["tent"],
    otherwiseIds: [],
    counted: true,
  };
  kit.hold(choice);
  kit.decide(choice, false, "none was seen");
  expect(planNow().decisions[0]!.decided).toMatchObject({ taken: false, why: "none was seen" });
  expect(planNow().kitStory[0]).toMatchObject({ what: "if there is ice: not taken along", why: "none was seen" });
  kit.decide(choice, undefined, "");
  expect(planNow().decisions[0]).not.toHaveProperty("decided");
  for (let i = 0; i < 199; i++) kit.hold({ ...choice, id: `h${i}` });
  expect(await kit.hold({ ...choice, id: "more" })).toBe(false);
  expect(planNow().decisions).toHaveLength(200);
});

test("a box has a row from the first thing that is typed; sent means packed, and not packed means not sent", () => {
  const box = { key: "home one", toStopId: "one", fromStopId: undefined, bounce: false };
  changeBox(box, "address", (row) => void (row.address = "Counter"));
  changeBox(box, "carton", (row) => void (row.cartonG = 300));
  markBox(box, "One", "arrivedOn", "2027-05-20");
  expect(planNow().boxes).toHaveLength(1);
  expect(planNow().boxes[0]).toMatchObject({
    address: "Counter", cartonG: 300, packedOn: "2027-05-20", sentOn: "2027-05-20", arrivedOn: "2027-05-20",
  }); // prettier-ignore
  markBox(box, "One", "sentOn", undefined);
  expect(planNow().boxes[0]).not.toHaveProperty("arrivedOn");
  expect(planNow().boxes[0]).toMatchObject({ packedOn: "2027-05-20" });
  changeBox({ ...box, key: "two one", fromStopId: "two" }, "another way", () => {});
  changeBox({ ...box, key: "home one bounce", bounce: true }, "sent on", () => {});
  expect(planNow().boxes.map(({ fromStopId }) => fromStopId)).toEqual([undefined, "two", undefined]);
  expect(planNow().boxes.map(({ id }) => id)).toEqual(["box-home-one", "box-two-one", "box-home-one-bounce"]);
  // Ids of stops may be long; boxes that differ at their end alone are two.
  const long = (end: string) => ({ ...box, key: `${"x".repeat(79)} ${end}`, fromStopId: "two", toStopId: "two" });
  changeBox(long("one"), "long", () => {});
  changeBox({ ...long("two"), bounce: true }, "long too", () => {});
  const ids = planNow().boxes.map(({ id }) => id);
  expect(new Set(ids).size).toBe(5);
  expect(Math.max(...ids.map(({ length }) => length))).toBe(80);
});

test("a table beside the kit, or in the place of the kit of those whose pieces it tells", async () => {
  const other = { ...someone, id: "other", name: "Other" };
  await openPlanWith(
    planWith({
      hikers: [someone, other],
      kit: [pieceOf("tent"), pieceOf("lamp", { ownerId: "other", carrierId: "other" })],
      devices: [{ id: "d", name: "Lamp", ownerId: "other", kind: "rechargeable", pieceId: "lamp" }],
    }),
  );
  const read = (...of: Parameters<typeof pieceOf>): Piece => pieceSchema.parse(pieceOf(...of));
  const names = (): string[] => planNow().kit.map(({ id }) => id);
  kit.importKit([read("new")], false);
  expect(names()).toEqual(["tent", "lamp", "new"]);
  kit.importKit([read("torch", { ownerId: "other", carrierId: "other" })], true);
  expect(names()).toEqual(["tent", "new", "torch"]);
  expect(planNow().devices[0]!.pieceId).toBeUndefined();
});

test("many stops offer more and are used in one step; one passed through is given its night", async () => {
  await openPlanWith(
    planWith({
      hikers: [someone],
      stops: ["one", "two", "three"].map((id, i) => ({
        id,
        name: id,
        trackM: 10_000 * (i + 1),
        use: false,
        nights: 0,
      })),
    }),
  );
  stops.changeStops(["one", "three"], { offers: "post", use: true });
  stops.changeStops(["one"], { offers: "post" });
  expect(planNow().stops.map(({ services, use, nights }) => [services.join(), use, nights])).toEqual([
    ["post", true, 1],
    ["", false, 0],
    ["post", true, 1],
  ]);
});
