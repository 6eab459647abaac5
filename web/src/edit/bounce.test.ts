/** Edits of the bounce box: what is in it is in no pack, and comes back as it is taken out. */
import { afterEach, beforeEach, expect, test } from "vitest";
import { keepsItsWord, openPlanWith, planNow } from "../../test/openedPlan.ts";
import { pieceOf, planWith, someone } from "../../test/plans.ts";
import { removeRows } from "./rows.ts";
import { bouncePiece, dropBounce, openBounceAt, startBounce } from "./bounce.ts";

beforeEach(async () => {
  const post = { services: ["post"], nights: 1 };
  await openPlanWith(
    planWith({
      hikers: [someone],
      stops: [
        { id: "one", name: "One", trackM: 30_000, ...post },
        { id: "two", name: "Two", trackM: 60_000, ...post },
        { id: "three", name: "Three", trackM: 70_000, services: ["bed"], nights: 1 },
        { id: "four", name: "Four", trackM: 80_000, ...post, use: false },
      ],
      kit: [pieceOf("tent"), pieceOf("wall", { name: "Wall charger" }), pieceOf("shirt", { name: "Town shirt" })],
    }),
  );
});

afterEach(keepsItsWord);

const carried = (): string[] => planNow().kit.flatMap(({ id, spans }) => (spans.length > 0 ? [id] : []));

test("made by one button, it is opened at each post where one sleeps, and holds what is of use in towns", () => {
  startBounce();
  startBounce();
  expect(planNow().bounce).toEqual({ pieceIds: ["wall", "shirt"], stopIds: ["one", "two"] });
  expect(carried()).toEqual(["tent"]);
  openBounceAt("one", "One", false);
  openBounceAt("three", "Three", true);
  openBounceAt("three", "Three", true);
  expect(planNow().bounce!.stopIds).toEqual(["two", "three"]);
  bouncePiece("shirt", "Town shirt", false);
  expect(carried()).toEqual(["tent", "shirt"]);
  dropBounce();
  expect(planNow().bounce).toBeUndefined();
  expect(carried()).toEqual(["tent", "wall", "shirt"]);
});

test("a stop or a piece that goes leaves it", () => {
  startBounce();
  removeRows("stops", ["one"], "Remove One");
  removeRows("kit", ["wall"], "Remove the charger");
  expect(planNow().bounce).toEqual({ pieceIds: ["shirt"], stopIds: ["two"] });
});
