/** Edits of kit and boxes: what they leave is always a document that can be read again. */
import { pieceSchema, planSchema, type PlanDecision, type Piece, type Plan } from "@gepack/core";
import { produce, type Draft } from "immer";
import { beforeEach, expect, test, vi } from "vitest";
import { pieceOf, planWith, someone } from "../../test/plans.ts";

let plan: Plan;

vi.mock("../store/document.ts", () => ({
  edit: (_: string, recipe: (draft: Draft<Plan>) => void): Promise<void> => {
    plan = produce(plan, recipe);
    return Promise.resolve();
  },
}));

const kit = await import("./kit.ts");
const stops = await import("./stops.ts");
const { changeBox, markBox } = await import("./boxes.ts");

beforeEach(() => {
  plan = planWith({
    hikers: [someone],
    stops: [{ id: "one", name: "One", trackM: 30_000 }],
    kit: [pieceOf("tent", { role: "shelter" }), pieceOf("tarp", { role: "shelter", spans: [] })],
  });
});

const readable = (): boolean => planSchema.safeParse(plan).success;
const spans = (): number[] => plan.kit.map((piece) => piece.spans.length);

test("on the shelf and along again; what goes along somewhere stays as it is", () => {
  kit.leaveAtHome(["tent"], "left");
  expect(spans()).toEqual([0, 0]);
  kit.takeAlong(["tent", "tarp"], "taken");
  expect(spans()).toEqual([1, 1]);
  const span = { fromStopId: "one", toStopId: "@finish", begins: "posted", ends: "kept" } as const;
  kit.setPieces(["tarp"], "set", (piece) => (piece.spans = [span]));
  kit.takeAlong(["tarp"], "again");
  expect(plan.kit[1]!.spans).toEqual([span]);
});

test("an alternative is taken with its reason, told in words that are not too long for the document", () => {
  kit.takeAlternative("tent", "tarp", "x".repeat(450), "y".repeat(900));
  expect(spans()).toEqual([0, 1]);
  expect(plan.kitStory[0]!.what).toHaveLength(300);
  expect(plan.kitStory[0]!.why).toHaveLength(500);
  expect(readable()).toBe(true);
});

test("of very many kept lists the oldest goes; a name that nobody sees becomes one that is seen", () => {
  kit.keepList("\u200b");
  for (let i = 0; i < 45; i++) kit.keepList(`list ${i}`);
  expect(plan.savedLists).toHaveLength(40);
  expect(plan.savedLists[0]!.name).toBe("list 5");
  expect(plan.savedLists.at(-1)!.pieces.map(({ id }) => id)).toEqual(["tent"]);
  expect(readable()).toBe(true);
  kit.keepList("   ");
  expect(plan.savedLists.at(-1)!.name).toBe("List");
});

test("a decision is added, taken with a reason, opened again; more than the document takes are not added", () => {
  const choice: PlanDecision = {
    id: "h",
    name: "if there is ice",
    pieceIds: ["tent"],
    otherwiseIds: [],
    counted: true,
  };
  kit.hold(choice);
  kit.decide(choice, false, "none was seen");
  expect(plan.decisions[0]!.decided).toMatchObject({ taken: false, why: "none was seen" });
  expect(plan.kitStory[0]).toMatchObject({ what: "if there is ice: not taken along", why: "none was seen" });
  kit.decide(choice, undefined, "");
  expect(plan.decisions[0]).not.toHaveProperty("decided");
  for (let i = 0; i < 210; i++) kit.hold({ ...choice, id: `h${i}` });
  expect(plan.decisions).toHaveLength(200);
  expect(readable()).toBe(true);
});

test("a box has a row from the first thing that is typed; sent means packed, and not packed means not sent", () => {
  const box = { toStopId: "one", fromStopId: undefined };
  changeBox(box, "address", (row) => void (row.address = "Counter"));
  changeBox(box, "carton", (row) => void (row.cartonG = 300));
  markBox(box, "One", "arrivedOn", "2027-05-20");
  expect(plan.boxes).toHaveLength(1);
  expect(plan.boxes[0]).toMatchObject({
    address: "Counter", cartonG: 300, packedOn: "2027-05-20", sentOn: "2027-05-20", arrivedOn: "2027-05-20",
  }); // prettier-ignore
  markBox(box, "One", "sentOn", undefined);
  expect(plan.boxes[0]).not.toHaveProperty("arrivedOn");
  expect(plan.boxes[0]).toMatchObject({ packedOn: "2027-05-20" });
  changeBox({ toStopId: "one", fromStopId: "two" }, "another way", () => {});
  expect(plan.boxes.map(({ fromStopId }) => fromStopId)).toEqual([undefined, "two"]);
  expect(readable()).toBe(true);
});

test("a table beside the kit, or in the place of the kit of those whose pieces it tells", () => {
  const other = { ...someone, id: "other", name: "Other" };
  plan = planWith({
    hikers: [someone, other],
    kit: [pieceOf("tent"), pieceOf("lamp", { ownerId: "other", carrierId: "other" })],
    devices: [{ id: "d", name: "Lamp", ownerId: "other", kind: "rechargeable", pieceId: "lamp" }],
  });
  const read = (...of: Parameters<typeof pieceOf>): Piece => pieceSchema.parse(pieceOf(...of));
  const names = (): string[] => plan.kit.map(({ id }) => id);
  kit.importKit([read("new")], false);
  expect(names()).toEqual(["tent", "lamp", "new"]);
  kit.importKit([read("torch", { ownerId: "other", carrierId: "other" })], true);
  expect(names()).toEqual(["tent", "new", "torch"]);
  expect(plan.devices[0]!.pieceId).toBeUndefined();
  expect(readable()).toBe(true);
});

test("many stops offer more and are used in one step; one passed through is given its night", () => {
  plan = planWith({
    hikers: [someone],
    stops: ["one", "two", "three"].map((id, i) => ({ id, name: id, trackM: 10_000 * (i + 1), use: false, nights: 0 })),
  });
  stops.changeStops(["one", "three"], { offers: "post", use: true });
  stops.changeStops(["one"], { offers: "post" });
  expect(plan.stops.map(({ services, use, nights }) => [services.join(), use, nights])).toEqual([
    ["post", true, 1],
    ["", false, 0],
    ["post", true, 1],
  ]);
});
