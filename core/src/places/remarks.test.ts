/** Remarks as people write them; what each must be read as, and what it must not. */
import { describe, expect, test } from "vitest";
import { chanceDrying, readRemarks, type Remarks } from "./remarks.ts";

const says = (text: string): Partial<Remarks> => readRemarks(text);

describe("what is there", () => {
  test.each([
    ["holds parcels for hikers", "post"],
    ["Will accept resupply boxes", "post"],
    ["takes mail", "post"],
    ["Store and post.", "shop-small post"],
    ["Mail drop possible, laundry", "post laundry"],
    ["nimmt Pakete an; Dorfladen", "post shop-small"],
    ["garde les colis", "post"],
    ["small shop, some food", "shop-small"],
    ["Supermarket, bakery, post office", "post shop-full"],
    ["staffed hut with 40 beds, half board", "meals bed"],
    ["outfitter, no mail", "outfitter"],
    ["power outlets at the desk", "socket"],
    ["", ""],
    ["a nice view", ""],
    ["room for three tents", ""],
    ["presa sul fiume; prise d’eau", ""],
    ["fence post by the gate", ""],
    ["signpost, turn left", ""],
    ["no shop, no parcels", ""],
    ["does not hold packages", ""],
    ["no longer accepts boxes; meals", "meals"],
    ["store 3 mi down the road", ""],
    ["towards the shop", ""],
  ])("%s: %s", (text, offers) => {
    expect(says(text).offers!.toSorted()).toEqual(offers === "" ? [] : offers.split(" ").toSorted());
  });

  test("what is said not to be there is known as such", () => {
    expect(says("no services").without).toEqual(expect.arrayContaining(["shop-small", "shop-full", "post", "meals"]));
    expect(says("kein Laden").without).toContain("shop-small");
    expect(says("store 3 mi east")).toMatchObject({ foodElsewhere: true, offers: [] });
    expect(says("store").foodElsewhere).toBeUndefined();
  });

  test("a bus is a ride, a bus stop is a place", () => {
    expect(says("bus 3x a day").ride).toBe(true);
    expect(says("at the bus stop").ride).toBeUndefined();
    expect(says("no bus").ride).toBeUndefined();
  });
});

describe("seasons", () => {
  test.each([
    ["closed until 15 May", "05-15", "12-31"],
    ["closed until May 15", "05-15", "12-31"],
    ["June to September", "06-01", "09-30"],
    ["open mid-June – late September", "06-15", "09-30"],
    ["Open from 1st July until 10 Sept.", "07-01", "09-10"],
    ["closed November to March", "04-01", "10-31"],
    ["closes 30 September", "01-01", "09-29"],
    ["open until October", "01-01", "10-31"],
    ["Mitte Juni bis Anfang Oktober bewirtschaftet", "06-15", "10-10"],
    ["geschlossen bis 1. Juni", "06-01", "12-31"],
    ["ouvert de juin à septembre", "06-01", "09-30"],
    ["abierto de mayo a octubre", "05-01", "10-31"],
    ["aperto da giugno a settembre", "06-01", "09-30"],
  ])("%s: %s to %s", (text, openFrom, openTo) => {
    expect(says(text)).toMatchObject({ openFrom, openTo });
  });

  test.each(["may be closed", "marsh to decide", "room 5 to 9", "dry June to September", "augustus"])(
    "%s is no season",
    (text) => {
      expect(says(text).openFrom).toBeUndefined();
    },
  );
});

describe("hours and days", () => {
  test.each([
    ["open 9–12", 9, 12],
    ["9-12", 9, 12],
    ["9:30 to 17:00", 9.5, 17],
    ["8 am to 5 pm daily", 8, 17],
    ["Mo-Fr 09:00-12:00", 9, 12],
    ["8h-19h", 8, 19],
    ["8 to 6 pm", 8, 18],
  ])("%s: %s to %s", (text, opensH, closesH) => {
    expect(says(text)).toMatchObject({ opensH, closesH });
  });

  test.each(["12-20 km", "4 to 6 tents", "sites 3-9", "route 9-12 b", "18-9", "open 3 - 5 days", "grades 5.6-5.9"])(
    "%s: no hours",
    (text) => {
      expect(says(text).opensH).toBeUndefined();
    },
  );

  test("the post has its own hours; a shop its day of rest", () => {
    expect(says("post 9–12")).toMatchObject({ opensH: 9, closesH: 12, postHours: true });
    expect(says("closed Sundays and Mondays").closedOn).toEqual(["mon", "sun"]);
    expect(says("sonntags geschlossen").closedOn).toEqual(["sun"]);
    expect(says("open Sundays").closedOn).toEqual([]);
  });
});

describe("water that dries up", () => {
  test.each([
    ["often dry after July", 7],
    ["dries up in August", 8],
    ["usually dry by late June", 6],
    ["flows until September", 9],
    ["trocken ab August", 8],
    ["à sec en août", 8],
    ["dry July to September", 7],
  ])("%s: month %i", (text, month) => {
    expect(says(text).driesIn).toBe(month);
  });

  test("a course of months: sure before, turning, as good as dry, and back", () => {
    expect(chanceDrying(7)).toEqual([0.9, 0.9, 0.9, 0.9, 0.9, 0.9, 0.5, 0.2, 0.2, 0.2, 0.5, 0.9]);
    expect(chanceDrying(11)).toEqual([0.2, 0.2, 0.5, 0.9, 0.9, 0.9, 0.9, 0.9, 0.9, 0.9, 0.5, 0.2]);
    expect(says("dry creek bed").driesIn).toBeUndefined();
  });
});

test("odd text does no harm, however long", () => {
  for (const text of [
    "\u0000",
    "((((",
    "1".repeat(5000),
    "holds ".repeat(2000),
    "june ".repeat(2000),
    "- ".repeat(3000),
  ])
    expect(says(text).offers).toEqual([]);
});
