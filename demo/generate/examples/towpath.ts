/** Parent and child, four weeks along a canal and through vineyards: a bed every night, closing times and rest days. */
import { PLAN_VERSION } from "@gepack/core";
import { kitOf, smallTrail, source, station, stop } from "../small.ts";

const LENGTH_M = 312_000;
const height = (m: number): number => {
  const locks = 40 * Math.floor(m / 26_000);
  return m < 190_000 ? 60 + locks : 60 + locks + 70 * (1 + Math.sin(m / 2600));
};
const NAMES = [
  "Reedham Lock", "Bargeman’s Rest", "Willow Basin", "Five Locks", "Towers Bridge", "Miller’s Quay", "Otter Lock", "Long Pound",
  "Chalk Cutting", "Weirside", "Summit Lock", "Tunnel House", "Vinney", "Upper Vinney", "Press Court", "Saint’s Well", "Ridge Terrace",
  "Cooper’s Yard", "Low Cellars", "Barrel Gate", "Harvest Cross", "Stonewall", "Old Winery",
]; // prettier-ignore
/** Rest days. */
const TWO_NIGHTS = new Set([4, 9, 14, 19]);

export function towpath(): Record<string, unknown> {
  return {
    format: "gepack-plan",
    version: PLAN_VERSION,
    id: "towpath",
    trip: {
      name: "The towpath",
      directionName: "upstream",
      startDate: "2027-07-05",
      finishBy: "2027-08-03",
      fictional: true,
    },
    trackIds: ["towpath"],
    hikers: [
      person("parent", "Ines Varga", {
        ageY: 43,
        sex: "female",
        heightCm: 169,
        bodyKg: 67,
        packComfortKg: 9,
        packVolumeL: 42,
      }),
      person("child", "Milo Varga", {
        ageY: 12,
        sex: "male",
        heightCm: 151,
        bodyKg: 41,
        packComfortKg: 4,
        packVolumeL: 20,
      }),
    ],
    dayRules: { sleepAt: "beds", arriveByClosing: true },
    resupply: { money: "crowns", mostFoodDays: 3, withinComfort: true },
    stops: NAMES.map((name, i) =>
      stop(
        `bed-${i + 1}`,
        name,
        13 * (i + 1),
        i % 3 === 1 ? ["shop-full", "bed", "socket", "laundry"] : ["shop-small", "bed", "socket", "meals"],
        TWO_NIGHTS.has(i) ? 2 : 1,
        {
          opensH: 8,
          closesH: i % 4 === 2 ? 17 : 19,
          closedOn: i % 5 === 0 ? ["mon"] : [],
          bedPrice: 24 + (i % 3) * 8,
          hours: i % 4 === 2 ? "the door shuts at five" : "the door shuts at seven",
        },
      ),
    ),
    sources: Array.from({ length: 60 }, (_, i) => source(i, 3 + i * 5.1, "tap", { reliable: true })),
    stretches: [
      {
        id: "tunnel",
        name: "Tunnel: over the hill, the towpath is shut",
        fromM: 152_000,
        toM: 154_000,
        kind: "hazard",
      },
    ],
    climate: {
      stations: [station("Weirside", 130, 240, 11, { dayK: 6 }), station("Harvest", 270, 520, 10, { dayK: 6.5 })],
    },
    kit: [
      ...kitOf(
        "parent",
        { style: "light", stove: false, without: ["Tarp", "Foam", "Quilt", "Jar", "Water bag", "Down"] },
        [
          { name: "Backpack of the child’s in rain: cover", massG: 60, gives: ["rain"] },
          { name: "Cards and a book", massG: 240 },
          { name: "Sheet sleeping bag", massG: 180, role: "bag", comfortC: 14, limitC: 10 },
          { name: "First aid for two", massG: 210 },
        ],
      ),
      {
        id: "child-1",
        name: "Day pack",
        group: "Pack",
        massG: 520,
        role: "pack",
        ownerId: "child",
        carrierId: "child",
        spans: whole(),
      },
      {
        id: "child-2",
        name: "Rain jacket, small",
        group: "Layers",
        massG: 210,
        gives: ["rain"],
        ownerId: "child",
        carrierId: "child",
        spans: whole(),
      },
      {
        id: "child-3",
        name: "Fleece, small",
        group: "Layers",
        massG: 190,
        role: "layer",
        ownerId: "child",
        carrierId: "child",
        spans: whole(),
      },
      {
        id: "child-4",
        name: "Bottle, 0.75 L",
        group: "Water",
        massG: 60,
        quantity: 2,
        role: "bottle",
        capacityL: 0.75,
        ownerId: "child",
        carrierId: "child",
        spans: whole(),
      },
      {
        id: "child-5",
        name: "Sheet sleeping bag, small",
        group: "Sleep",
        massG: 150,
        role: "bag",
        comfortC: 14,
        limitC: 10,
        ownerId: "child",
        carrierId: "child",
        spans: whole(),
      },
      {
        id: "child-6",
        name: "Shoes and clothes worn",
        group: "Worn",
        massG: 900,
        wear: "worn",
        role: "shoes",
        ownerId: "child",
        carrierId: "child",
        spans: whole(),
      },
    ],
    devices: [{ id: "phone", name: "Phone", ownerId: "parent", kind: "rechargeable", whPerDay: 6, mAh: 4500 }],
    tracks: [
      smallTrail("towpath", "The towpath", { lengthM: LENGTH_M, lonDeg: -151.4, latDeg: 42.1, height, spacingM: 300 }),
    ],
  };
}

const whole = (): object[] => [{ fromStopId: "@start", toStopId: "@finish" }];

function person(id: string, name: string, body: object): Record<string, unknown> {
  return {
    id,
    name,
    ...body,
    pace: { speedFactor: 0.68, hoursFreshH: 3.9, hoursFitH: 4.6, rampDays: 10, breakFraction: 0.35, startClockH: 9 },
    food: { densityKcalPerG: 2.6, shortfallFraction: 0, reserveFraction: 0, reserveDays: 0.3 },
    water: { ratePerKmL: 0.09, dinnerL: 0, nightL: 0.2, breakfastL: 0 },
    stove: { fuel: "none", boilsPerDay: 0, boilL: 0 },
  };
}
