/** The edits that the stations make, applied to a document without a browser. */
import {
  calendarDays,
  computePlan,
  deviceSchema,
  removeHiker,
  walkedAt,
  type Plan,
  type PlanResult,
  type WalkedM,
} from "@gepack/core";
import { afterEach, beforeEach, describe, expect, test } from "vitest";
import { keepsItsWord, labels, openPlanWith, planNow } from "../../test/openedPlan.ts";
import { pieceOf, planWith, someone, straightTrack } from "../../test/plans.ts";

import { turnRound } from "./direction.ts";
import { middleOf, walkInHalves } from "./route.ts";
import { newHiker } from "./people.ts";
import { letGo, moveNight, pinNight, restThere, setOwnHours } from "./pins.ts";
import { takeNotices } from "../store/notices.ts";
import { edit } from "../store/document.ts";
import { addRow, addRows, editRow, moveRow, removeRows, setRow } from "./rows.ts";
import { endAtM, moveSpanEnd, nearestPoint, swapPoints } from "../stations/kit/spans.ts";
import { addPlace, movePlace, pastePlaces, placeName, removePlaces } from "../stations/trail/places.ts";

const track = straightTrack();
const compute = (): PlanResult => computePlan(planNow(), [track]);

beforeEach(() =>
  openPlanWith(
    planWith({
      trip: { name: "Test", startDate: "2027-05-01", directionName: "northbound" },
      hikers: [someone, { ...someone, id: "b", name: "B", sex: "female", bodyKg: 60 }],
      stops: [
        { id: "one", name: "One", trackM: 30_000 },
        { id: "two", name: "Two", trackM: 60_000 },
        { id: "idle", name: "Idle", trackM: 50_000, use: false },
      ],
      sources: [{ id: "w", name: "Well", trackM: 20_000 }],
      menus: [{ id: "soaked", name: "Soaked" }],
      stretches: [{ id: "x", name: "Snow", kind: "snow", fromM: 10_000, toM: 40_000 }],
      kit: [
        pieceOf("axe", { spans: [{ fromStopId: "one", toStopId: "two", begins: "posted", ends: "sent-home" }] }),
        pieceOf("tent", { shared: true }),
      ],
    }),
  ),
);
afterEach(keepsItsWord);

const stop = (id: string) => planNow().stops.find((row) => row.id === id)!;
const placed = () => ({ ...planNow(), profile: compute().profile });
const axe = () => planNow().kit[0]!.spans[0]!;
const move = (end: "from" | "to", pointIndex: number) =>
  moveSpanEnd(placed(), swapPoints(planNow(), compute()), planNow().kit[0], { spanIndex: 0, end }, pointIndex);

describe("moving the ends of spans", () => {
  test("the points are the ends of the trail and the stops in use", () => {
    expect(swapPoints(planNow(), compute()).map((point) => point.id)).toEqual(["@start", "one", "two", "@finish"]);
  });

  test("to the end of the trail the piece is kept, to its beginning it comes from home", async () => {
    await move("to", 3);
    expect(axe()).toMatchObject({ toStopId: "@finish", ends: "kept" });
    await move("from", 0);
    expect(axe()).toMatchObject({ fromStopId: "@start", begins: "from-home" });
    expect(compute().kitFaults).toEqual([]);
  });

  test("back on the way, how it comes and goes is told again", async () => {
    await move("from", 0);
    await move("from", 1);
    expect(axe().begins).toBe("posted");
    await move("to", 3);
    await move("to", 2);
    expect(axe().ends).toBe("sent-home");
    expect(compute().kitFaults).toEqual([]);
  });

  test("an end never passes the other, and a move to where it is leaves no step", async () => {
    await move("from", 2);
    await move("from", 3);
    await move("to", 1);
    await move("to", 0);
    await move("to", 2);
    expect(await labels()).toEqual([]);
    expect(axe()).toMatchObject({ fromStopId: "one", toStopId: "two" });
  });

  test("a span that ends at a stop not in use is drawn where that stop lies, either way round", () => {
    const at = (): number => endAtM(swapPoints(planNow(), compute()), placed(), "idle");
    expect(nearestPoint(swapPoints(planNow(), compute()), 44_000)).toBe(1);
    expect(at()).toBe(50_000);
    turnRound();
    expect(at()).toBeCloseTo(compute().profile.lengthM - 50_000, 3);
  });
});

describe("somebody more", () => {
  test("eats and cooks as the first does, whose own measured figures stay the first’s", () => {
    editRow("hikers", "a", "own figures", (row) => {
      Object.assign(row.food, { measuredKcalPerDay: 3000, shortfallFraction: 0 });
      Object.assign(row.menus, { defaultId: "soaked" });
      Object.assign(row.stove, { fuel: "none", gramsPerBoil: 9 });
    });
    const hiker = newHiker(planNow());
    expect(hiker.name).toBe("Hiker 3");
    expect(hiker).toMatchObject({
      food: { shortfallFraction: 0 },
      menus: { defaultId: "soaked" },
      stove: { fuel: "none" },
    });
    expect([hiker.food.measuredKcalPerDay, hiker.stove.gramsPerBoil]).toEqual([undefined, undefined]);
    expect(hiker.bodyKg).toBe(75);
  });
});

describe("two halves", () => {
  test("the trail is parted at the stop nearest to its middle, and in the middle where none is near", () => {
    const { profile } = compute();
    expect(middleOf(planNow(), profile)).toBe(50_000);
    const far = { ...planNow(), stops: planNow().stops.filter(({ trackM }) => trackM < 40_000) };
    expect(middleOf(far, profile)).toBeCloseTo(profile.lengthM / 2, 0);
  });

  test("both are walked outward from there, all of the ground once", async () => {
    const { profile } = compute();
    walkInHalves(profile.lengthM, middleOf(planNow(), profile));
    expect(await labels()).toEqual(["Split into two halves"]);
    const { legs, profile: walked } = compute();
    expect(walked.lengthM).toBeCloseTo(profile.lengthM, -2);
    expect(legs.map(({ fromStopId }) => fromStopId)).toEqual([
      "@start",
      "two",
      expect.stringMatching(/^@transfer:/),
      "one",
    ]);
  });
});

describe("turning round", () => {
  test("direction and its name change, and back", () => {
    turnRound();
    expect(planNow().trip).toMatchObject({ direction: "reverse", directionName: "southbound" });
    turnRound();
    expect(planNow().trip).toMatchObject({ direction: "forward", directionName: "northbound" });
  });

  test("a name without an opposite stays", () => {
    edit("Name", (draft) => void (draft.trip.directionName = "clockwise"));
    turnRound();
    expect(planNow().trip.directionName).toBe("clockwise");
  });
});

describe("places", () => {
  test("added ones lie on the trail, with coordinates and defaults", () => {
    const { profile } = compute();
    for (const kind of ["stops", "sources", "camps", "stretches"] as const)
      addPlace(kind, planNow(), profile, 45_000 as WalkedM);
    expect(planNow().stops.at(-1)).toMatchObject({
      name: "Stop 4",
      trackM: 45_000,
      use: true,
      nights: 1,
      lonDeg: -150,
    });
    expect(planNow().stops.at(-1)!.latDeg).toBeCloseTo(40.405, 2);
    expect(planNow().camps.at(-1)).toMatchObject({ name: "Camp 1", trackM: 45_000, hollow: false });
    movePlace("camps", planNow().camps[0]!.id, "Camp 1", "trackM", profile, 12_000);
    expect(planNow().camps[0]!.trackM).toBe(12_000);
    removePlaces("camps", planNow().camps);
    expect(planNow().camps).toEqual([]);
    expect(planNow().sources.at(-1)).toMatchObject({ name: "Source 2", trackM: 45_000, reliable: true });
    expect(planNow().stretches.at(-1)).toMatchObject({ fromM: 45_000, toM: 55_000 });
    expect(compute().legs).toHaveLength(4);
  });

  test("moved ones stay on the trail and take their coordinates along", () => {
    const { profile } = compute();
    movePlace("stops", "one", "One", "trackM", profile, 500_000);
    expect(planNow().stops[0]!.trackM).toBe(Math.round(profile.lengthM));
    movePlace("sources", "w", "Well", "trackM", profile, -5);
    expect(planNow().sources[0]).toMatchObject({ trackM: 0, lonDeg: -150 });
    movePlace("stretches", "x", "Snow, end", "toM", profile, 25_000);
    expect(planNow().stretches[0]).toMatchObject({ fromM: 10_000, toM: 25_000 });
  });

  test("walked the other way, a place dragged forward moves back along the track", () => {
    turnRound();
    const { profile } = compute();
    movePlace("stops", "one", "One", "trackM", profile, 10_000);
    expect(planNow().stops[0]!.trackM).toBeCloseTo(profile.lengthM - 10_000, -1);
  });

  test("removing a stop hands its swaps to the nearest that stays", () => {
    removePlaces("stops", [stop("two")]);
    expect(axe()).toMatchObject({ fromStopId: "one", toStopId: "one" });
    removePlaces("stops", [stop("one")]);
    expect(axe()).toMatchObject({ fromStopId: "@start", toStopId: "@finish" });
    expect(compute().kitFaults.some((fault) => fault.kind === "stop-gone")).toBe(false);
  });

  test("several go in one step, each reference followed", async () => {
    removePlaces("stops", [stop("one"), stop("two")]);
    expect(await labels()).toEqual(["Remove 2 stops"]);
    expect(planNow().stops.map((row) => row.id)).toEqual(["idle"]);
    expect(axe()).toMatchObject({ fromStopId: "@start", toStopId: "@finish" });
  });

  test("rows of a spreadsheet come in as one step; what does not read is listed and left out", async () => {
    const { profile } = compute();
    const cells = [["Spring", "12.5"], ["Far spring", "900 km"], ["", "3"], ["Tank", "5 mi"], ["No place"]];
    const { added, unread } = pastePlaces("sources", planNow(), profile, cells);
    expect([added, unread]).toEqual([2, ["Far spring, 900 km", ", 3", "No place"]]);
    expect(
      planNow()
        .sources.slice(1)
        .map((row) => [row.name, row.trackM]),
    ).toEqual([
      ["Spring", 12_500],
      ["Tank", 8047],
    ]);
    expect(await labels()).toEqual(["Paste 2 water"]);
  });

  test("a new name is one step of that place alone", () => {
    placeName("sources", "w", "Deep well");
    expect(planNow().sources[0]!.name).toBe("Deep well");
    expect(walkedAt(compute().profile, planNow().sources[0]!.trackM)).toBe(20_000);
  });

  test("sources and stretches go without a trace", () => {
    removePlaces("sources", planNow().sources);
    removePlaces("stretches", planNow().stretches);
    expect([planNow().sources, planNow().stretches]).toEqual([[], []]);
  });
});

describe("rows of any list", () => {
  test("an edit finds its row by id, wherever it is by then", () => {
    moveRow("stops", "one", 2, "Move");
    setRow("stops", "one", "Nights", { nights: 3, closesH: 17 });
    expect(planNow().stops.map((row) => [row.id, row.nights])).toEqual([
      ["two", 1],
      ["idle", 1],
      ["one", 3],
    ]);
  });

  test("a field that becomes undefined is gone from the document", () => {
    setRow("stops", "one", "Closes", { closesH: 17 });
    setRow("stops", "one", "Closes", { closesH: undefined });
    expect(planNow().stops[0]).not.toHaveProperty("closesH");
  });

  test("an edit of a row that is gone leaves no step and throws nothing", async () => {
    editRow("sources", "nobody", "Lost", (row) => void (row.name = "x"));
    removeRows("kit", ["nobody"], "Lost");
    moveRow("kit", "nobody", 0, "Lost");
    expect(await labels()).toEqual([]);
  });

  test("a row moves within its list, and no further than its ends", () => {
    moveRow("kit", "axe", 99, "Down");
    expect(planNow().kit.map((row) => row.id)).toEqual(["tent", "axe"]);
    moveRow("kit", "axe", -5, "Up");
    expect(planNow().kit.map((row) => row.id)).toEqual(["axe", "tent"]);
  });

  test("a piece that goes leaves no device that names it", () => {
    const lamp = { id: "lamp", name: "Lamp", ownerId: "a", kind: "rechargeable", pieceId: "axe" };
    addRow("devices", "Add", deviceSchema.parse(lamp));
    removeRows("kit", ["axe"], "Remove axe");
    expect(planNow().devices[0]).not.toHaveProperty("pieceId");
    expect(compute().legs).toHaveLength(3);
  });
});

describe("the party", () => {
  const leave = (id: string): void => void edit("Leave", (draft) => removeHiker(draft as Plan, id));

  test("who leaves takes the own kit along; the shared tent changes hands", () => {
    leave("a");
    expect(planNow().hikers.map((hiker) => hiker.id)).toEqual(["b"]);
    expect(planNow().kit.map((row) => [row.id, row.ownerId, row.carrierId])).toEqual([["tent", "b", "b"]]);
    expect(compute().legs[0]!.hikers[0]!.kit.baseKg).toBeCloseTo(0.1, 9);
  });

  test("devices leave with their owner, but for what is part of a shared piece", () => {
    const device = { ownerId: "a", kind: "bank" as const, mAh: 5000 };
    addRows("devices", "Add", [
      deviceSchema.parse({ ...device, id: "own", name: "own" }),
      deviceSchema.parse({ ...device, id: "in-tent", name: "light", pieceId: "tent" }),
    ]);
    leave("a");
    expect(planNow().devices.map((row) => [row.id, row.ownerId])).toEqual([["in-tent", "b"]]);
  });

  test("the last hiker cannot leave", () => {
    leave("a");
    leave("b");
    expect(planNow().hikers).toHaveLength(1);
  });
});

describe("nights that are held on to", () => {
  const days = () => calendarDays(planNow(), compute());
  const camp = () => days().find(({ night, rests }) => night === "camp" && !rests)!;
  const { profile } = { profile: computePlan(planWith({ hikers: [someone] }), [track]).profile };

  test("a night moved on and back is one pin at the nearest listed place, with the hours it may add", async () => {
    const day = camp();
    moveNight(planNow(), profile, day, day.toM + 3000);
    expect(planNow().pins).toHaveLength(1);
    expect(planNow().pins[0]).toMatchObject({ overtimeH: 3, nights: 1, bed: false });
    const pinned = days().find(({ pinId }) => pinId === planNow().pins[0]!.id)!;
    moveNight(planNow(), profile, pinned, 20_400);
    expect(planNow().pins).toHaveLength(1);
    // The well is 400 m off.
    expect(Math.abs(planNow().pins[0]!.trackM - 20_000)).toBeLessThan(60);
    expect(planNow().pins[0]!.overtimeH).toBe(pinned.toM < 20_400 ? 3 : 0.5);
    letGo(planNow().pins[0]!);
    expect(planNow().pins).toEqual([]);
    expect(await labels()).toHaveLength(3);
  });

  test("a rest day at a stop is a night of it, at a camp a pin’s; one that a rule makes is told", () => {
    const at = days().find(({ night }) => night === "stop")!;
    restThere(compute(), planNow(), at, 1);
    expect(stop("one").nights).toBe(2);
    restThere(compute(), planNow(), at, -1);
    expect(stop("one").nights).toBe(1);
    takeNotices();
    restThere(compute(), planNow(), at, -1);
    expect(stop("one").nights).toBe(1);
    expect(takeNotices().map(({ message }) => message)).toEqual(["A rule adds this rest day."]);
    restThere(compute(), planNow(), camp(), 1);
    expect(planNow().pins[0]).toMatchObject({ nights: 2 });
    const rests = days().find(({ rests: still, pinId }) => still && pinId !== undefined)!;
    restThere(compute(), planNow(), rests, -1);
    expect(planNow().pins[0]).toMatchObject({ nights: 1 });
  });

  test("a booked night has its date and bed; hours of one day come, change and go", () => {
    const day = camp();
    pinNight(profile, day, { date: day.date, bed: true }, "A bed booked");
    expect(planNow().pins[0]).toMatchObject({ date: day.date, bed: true });
    setOwnHours(day.date, 4);
    setOwnHours(day.date, 5);
    expect(planNow().dayRules.ownHours).toEqual([{ date: day.date, hoursH: 5 }]);
    setOwnHours(day.date, undefined);
    expect(planNow().dayRules.ownHours).toEqual([]);
  });
});
