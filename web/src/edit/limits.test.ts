/** Whatever the interface's own edits do to a list or a text: what cannot be opened again is neither shown nor stored. */
import { LISTS, mostRows, numberField, planSchema, readPlan, simulatedStations, type ListName } from "@gepack/core";
import { afterEach, beforeEach, describe, expect, test } from "vitest";
import { z } from "zod";
import { keepsItsWord, labels, openPlanWith, planNow, settled } from "../../test/openedPlan.ts";
import { pieceOf, planWith, someone } from "../../test/plans.ts";
import { edit } from "../store/document.ts";
import { useDocument } from "../store/documentState.ts";
import { dismissNotice, useNotice } from "../store/notices.ts";
import { addRow, addRows, setRow } from "./rows.ts";

const ZEROS = Array<number>(12).fill(0);
/** A row of each list, as little of it as there can be. */
const ROWS: Readonly<Record<ListName, object>> = {
  hikers: { ...someone },
  stops: { name: "S", trackM: 1000, use: false },
  sources: { name: "W", trackM: 1000 },
  stretches: { name: "X", fromM: 0, toM: 10, kind: "hazard" },
  "climate.stations": { name: "N", trackM: 0, heightM: 0, lowC: ZEROS, highC: ZEROS, lowSdK: 3, highSdK: 3 },
  "climate.forecasts": { name: "F", fromM: 0, toM: 10, heightM: 0, issued: "2027-04-01", days: [] },
  "climate.readings": { date: "2027-04-01", trackM: 0, heightM: 0 },
  kit: pieceOf("k", { spans: [] }),
  decisions: { name: "D" },
  savedLists: { name: "L", on: "2027-04-01", pieces: [] },
  boxes: { toStopId: "one" },
  camps: { name: "C", trackM: 1000 },
  pins: { name: "P", trackM: 1000 },
  log: { date: "2027-04-01", trackM: 0 },
  devices: { name: "V", ownerId: "a", kind: "bank" },
  foods: { name: "O", energyKcal: 100 },
  menus: { name: "M" },
  "route.alternates": { name: "A", trackId: "t", leavesM: 0, rejoinsM: 10 },
  "route.closures": { name: "K", fromM: 0, toM: 10, holds: false },
  "route.sections": { name: "H", fromM: 0, toM: 1000 },
};
const NAMES = Object.keys(ROWS) as ListName[];
/** Lists that are filled as well: to compute thousands of rows says nothing more of the limit. */
const FILLED = NAMES.filter((name) => mostRows(name) <= 500);

function schemaOf(name: string): z.ZodType {
  let inner: z.ZodType = planSchema;
  for (const key of name.split(".")) inner = (unwrapped(inner) as z.ZodObject).shape[key] as z.ZodType;
  return (unwrapped(inner) as z.ZodArray).element as z.ZodType;
}

function unwrapped(schema: z.ZodType): z.ZodType {
  const wrap = schema instanceof z.ZodDefault || schema instanceof z.ZodPrefault || schema instanceof z.ZodOptional;
  return wrap ? unwrapped(schema.def.innerType as z.ZodType) : schema;
}

const rowOf = (name: ListName, i: number): never =>
  schemaOf(name).parse({ ...ROWS[name], id: `row-${i}`, ...(name === "log" ? { date: dateOf(i) } : {}) }) as never;
const dateOf = (i: number): string => new Date(Date.UTC(2027, 3, 1 + i)).toISOString().slice(0, 10);
const rowsNow = (name: ListName): { id: string }[] => LISTS[name](planNow());

beforeEach(async () => {
  dismissNotice();
  await openPlanWith(
    planWith({
      hikers: [someone],
      stops: [{ id: "one", name: "One", trackM: 30_000 }],
      kit: [pieceOf("tent"), pieceOf("tarp")],
    }),
  );
});
afterEach(keepsItsWord);

test("of every list with ids a row is known here", () => {
  expect(Object.keys(ROWS).sort()).toEqual(Object.keys(LISTS).sort());
});

test.each(NAMES)("%s: more than the most is refused with a sentence, and nothing changes", async (name) => {
  const most = mostRows(name);
  const there = rowsNow(name).length;
  const rows = Array.from({ length: most - there + 1 }, (_, i) => rowOf(name, i));
  expect(await addRows(name, "Fill", rows)).toBe(false);
  expect(useNotice.getState().notice).toMatch(new RegExp(`^Not saved: Fill\\. .*at most ${most} entries`));
  expect(rowsNow(name)).toHaveLength(there);
  expect(await labels()).toEqual([]);
});

test.each(FILLED)("%s: filled to the brim it takes no more, and the same row twice is once", async (name) => {
  const most = mostRows(name);
  const rows = Array.from({ length: most - rowsNow(name).length }, (_, i) => rowOf(name, i));
  expect(await addRows(name, "Fill", rows)).toBe(true);
  expect(await addRow(name, "Again", rows.at(-1)!)).toBe(true);
  expect(await addRow(name, "More", rowOf(name, most + 1))).toBe(false);
  expect(rowsNow(name)).toHaveLength(most);
  expect(await labels()).toEqual(["Fill"]);
});

describe("texts", () => {
  const ODD = [
    "",
    " ",
    "\u200b",
    "\u2060\u200b",
    "\r",
    "a\rb",
    "a\u0000b",
    "é\u0301",
    "\u202eabc",
    "🥾".repeat(90),
    "x".repeat(300),
    "x".repeat(5000),
  ];
  /** Every text of a row that is no choice and no id. */
  const textsOf = (name: ListName): string[] =>
    Object.entries((unwrapped(schemaOf(name)) as z.ZodObject).shape).flatMap(([key, schema]) =>
      unwrapped(schema as z.ZodType) instanceof z.ZodString && !/^id$|Id$/.test(key) ? [key] : [],
    );

  test.each(NAMES)("%s: odd letters are kept as they are, or refused", async (name) => {
    await addRow(name, "Add", rowOf(name, 0));
    for (const key of textsOf(name))
      for (const text of ODD) {
        const before = planNow();
        const isStored = await setRow(name, "row-0", key, { [key]: text } as never);
        const now = rowsNow(name).find(({ id }) => id === "row-0")! as unknown as Record<string, unknown>;
        if (isStored) expect(now[key]).toBe(text);
        else expect(planNow()).toBe(before);
        const reread = readPlan(JSON.parse(JSON.stringify(planNow())));
        expect(reread.value, `${key} ${JSON.stringify(text)}`).toEqual(planNow());
      }
  });
});

test("a number that is none, or beyond its bounds, is refused: what is shown stays", async () => {
  const { max } = numberField("hikers.bodyKg");
  for (const bodyKg of [NaN, Infinity, max + 1, -1])
    expect(await setRow("hikers", "a", "Mass", { bodyKg })).toBe(false);
  expect(planNow().hikers[0]!.bodyKg).toBe(someone.bodyKg);
});

test("clicks that come while the first is still being stored add up, and none is done twice", async () => {
  const { profile } = useDocument.getState().result!;
  const stations = simulatedStations(profile, "inland");
  const clicks = Array.from({ length: 3 }, () => addRows("climate.stations", "Fill in", stations));
  expect(await Promise.all(clicks)).toEqual([true, true, true]);
  expect(planNow().climate.stations).toHaveLength(stations.length);
  const more = Array.from({ length: 4 }, (_, i) =>
    edit("Postage", ({ resupply }) => void resupply.postage.push({ id: `p${i}`, toKg: 1 + i, price: 4 })),
  );
  await Promise.all(more);
  await settled();
  expect(planNow().resupply.postage).toHaveLength(4);
});
