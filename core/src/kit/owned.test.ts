import { expect, test } from "vitest";
import { pieceOf } from "../../test/fixtures.ts";
import { ownedPieces } from "./owned.ts";

const spans = [{ fromStopId: "@start", toStopId: "@finish", begins: "from-home", ends: "kept" }] as const;
const me = { hikerId: "me", spans: [...spans] };

test("of every piece the last that is known; what went along last goes along, the rest lies on the shelf", () => {
  const trips = [
    { hikers: [{ id: "a" }], kit: [pieceOf("tent", 1200), pieceOf("axe", 400), pieceOf("mug", 90, { ownerId: "b" })] },
    {
      hikers: [{ id: "x" }],
      kit: [
        pieceOf("tent", 1164, {
          ownerId: "x",
          carrierId: "y",
          measured: true,
          spans: [{ fromStopId: "s", toStopId: "t" }],
        }),
        pieceOf("pot", 120, { ownerId: "y", shared: true }),
        pieceOf("book", 300, { ownerId: "x", spans: [] }),
      ],
    },
  ];
  const pieces = ownedPieces(trips, me);
  expect(pieces.map(({ id, massG, spans: { length } }) => [id, massG, length])).toEqual([
    ["tent", 1164, 1],
    ["pot", 120, 1],
    ["axe", 400, 0],
    ["book", 300, 0],
  ]);
  expect(pieces[0]).toMatchObject({ ownerId: "me", carrierId: "me", measured: true, spans });
});

test("what a verdict leaves at home lies on the shelf of the next trip, its lesson with it", () => {
  const kit = [pieceOf("tent", 1200), pieceOf("axe", 400, { verdict: "home", lesson: "Never held." })];
  const pieces = ownedPieces([{ hikers: [{ id: "a" }], kit }], me);
  expect(pieces.map(({ id, spans: { length } }) => [id, length])).toEqual([
    ["tent", 1],
    ["axe", 0],
  ]);
  expect(pieces[1]).toMatchObject({ verdict: "home", lesson: "Never held." });
});

test("a stored part of the wrong kind is passed over, and loses nothing of the others", () => {
  const trips = [
    { hikers: "nobody", kit: 7 },
    { hikers: [null], kit: [pieceOf("stray", 1)] },
    { hikers: [{ id: "a" }], kit: [{ id: "broken", massG: "much" }, pieceOf("tent", 1200)] },
    {},
  ];
  expect(ownedPieces(trips, me).map(({ id }) => id)).toEqual(["tent"]);
  expect(ownedPieces([], me)).toEqual([]);
});

test("of more pieces than a plan takes those that went along stay", () => {
  const shelf = Array.from({ length: 2100 }, (_, i) => pieceOf(`p${i}`, 1, { spans: [] }));
  const pieces = ownedPieces([{ hikers: [{ id: "a" }], kit: [...shelf, pieceOf("tent", 1200)] }], me);
  expect(pieces).toHaveLength(2000);
  expect(pieces[0]!.id).toBe("tent");
});
