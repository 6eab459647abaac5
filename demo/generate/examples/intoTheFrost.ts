/** A retired teacher southward through forest and lakes from August to November: all food dried at home and posted, swaps and boxes. */
import { PLAN_VERSION, startingFoods, startingMenus } from "@gepack/core";
import { kitOf, smallTrail, source, station, stop } from "../small.ts";

const LENGTH_M = 1_300_000;
const height = (m: number): number =>
  240 + 110 * Math.sin(m / 17_000) + 45 * Math.sin(m / 3700 + 1) + 12 * Math.sin(m / 900);
/** Post offices, kilometres between them. */
const NAMES = [
  "Alder Post",
  "Two Lakes",
  "Rapids",
  "Old Mill",
  "Long Ferry",
  "Birch Cross",
  "Timber Yard",
  "Heron Bay",
  "Charcoal Field",
  "Smithy",
  "Last Lock",
];
const WINTER_FROM = "post-6";

export function intoTheFrost(): Record<string, unknown> {
  const kit = kitOf("ada", { style: "usual", stove: true, without: ["Sleeping bag", "Down", "Sunscreen", "Long"] }, [
    { name: "Insect net", massG: 40, gives: ["insects"], spans: [{ fromStopId: "@start", toStopId: "post-3", begins: "from-home", ends: "sent-home" }] },
    { name: "Summer quilt", massG: 620, role: "bag", comfortC: 3, limitC: -2, volumeL: 6, spans: [{ fromStopId: "@start", toStopId: WINTER_FROM, begins: "from-home", ends: "sent-home" }] },
    { name: "Winter bag", massG: 1480, role: "bag", comfortC: -14, limitC: -21, volumeL: 13, spans: [{ fromStopId: WINTER_FROM, toStopId: "@finish", begins: "posted", ends: "kept" }] },
    { name: "Insulated pad", massG: 520, role: "pad", padR: 5.5, volumeL: 2, spans: [{ fromStopId: WINTER_FROM, toStopId: "@finish", begins: "posted", ends: "kept" }] },
    { name: "Down jacket, warm", massG: 430, role: "layer", warmthK: 4, gives: ["warm-layer"], volumeL: 4, spans: [{ fromStopId: "post-3", toStopId: "@finish", begins: "posted", ends: "kept" }] },
    { name: "Wool underwear", massG: 310, gives: ["warm-layer"], spans: [{ fromStopId: "post-3", toStopId: "@finish", begins: "posted", ends: "kept" }] },
    { name: "Spikes for ice", massG: 370, gives: ["traction"], spans: [{ fromStopId: "post-8", toStopId: "@finish", begins: "posted", ends: "kept" }] },
    { name: "Soft bottle, 1 L", massG: 34, role: "bottle", capacityL: 1 },
    { name: "Reading glasses, notebook", massG: 190 },
  ]); // prettier-ignore
  return {
    format: "gepack-plan",
    version: PLAN_VERSION,
    id: "into-the-frost",
    trip: {
      name: "Into the frost",
      directionName: "southward",
      startDate: "2027-08-19",
      finishBy: "2027-11-25",
      fictional: true,
    },
    trackIds: ["frost"],
    hikers: [
      {
        id: "ada",
        name: "Ada Lindqvist",
        ageY: 67,
        sex: "female",
        heightCm: 166,
        bodyKg: 65,
        sleeper: "cold",
        packComfortKg: 17,
        packVolumeL: 65,
        pace: {
          speedFactor: 0.72,
          hoursFreshH: 4.4,
          hoursFitH: 5.2,
          rampDays: 21,
          breakFraction: 0.3,
          startClockH: 7.5,
        },
        food: { densityKcalPerG: 4.3, shortfallFraction: 0.05, reserveDays: 1 },
        menus: { defaultId: "menu-cooked" },
        water: { ratePerKmL: 0.1 },
        stove: { fuel: "liquid-fuel", boilsPerDay: 3, boilL: 0.5 },
      },
    ],
    resupply: {
      money: "crowns",
      mostFoodDays: 12,
      mostParcelKg: 15,
      postage: [
        { toKg: 5, price: 12 },
        { toKg: 10, price: 18 },
        { toKg: 15, price: 25 },
      ],
    },
    stops: NAMES.map((name, i) =>
      stop(`post-${i + 1}`, name, 108 * (i + 1), ["post", "bed", "socket"], i % 3 === 2 ? 2 : 1, {
        foodBy: "drop",
        postOpensH: 9,
        postClosesH: 16,
        postClosedOn: ["sun"],
        postLeastDays: 3,
        postHoldDays: 30,
        bedPrice: 30,
      }),
    ),
    sources: Array.from({ length: 125 }, (_, i) =>
      source(i, 5 + i * 10.3, ["lake", "creek", "spring"][i % 3]!, { reliable: i % 9 !== 4 }),
    ),
    stretches: [
      {
        id: "midges",
        name: "Midges by the lakes",
        fromM: 30_000,
        toM: 300_000,
        kind: "insects",
        fromMonthDay: "06-15",
        toMonthDay: "09-05",
      },
      {
        id: "bog",
        name: "Great bog, boardwalk half sunk",
        fromM: 515_000,
        toM: 541_000,
        kind: "surface",
        surface: "bog",
      },
    ],
    climate: {
      stations: [
        station("Two Lakes", 216, 220, 2, { swingK: 13, wetDays: 11 }),
        station("Birch Cross", 650, 250, 2.5, { swingK: 13, wetDays: 11 }),
        station("Last Lock", 1190, 210, 3, { swingK: 12.5, wetDays: 12 }),
      ],
    },
    kit,
    devices: [
      { id: "phone", name: "Phone", ownerId: "ada", kind: "rechargeable", whPerDay: 2.2, mAh: 4200 },
      { id: "lamp", name: "Headlamp", ownerId: "ada", kind: "rechargeable", whPerDay: 0.9, mAh: 1400 },
      { id: "bank", name: "Power bank", ownerId: "ada", kind: "bank", mAh: 10_000, watts: 12 },
    ],
    foods: startingFoods(),
    menus: startingMenus(),
    tracks: [
      smallTrail("frost", "Into the frost", {
        lengthM: LENGTH_M,
        lonDeg: -146.2,
        latDeg: 64.5,
        height,
        southward: true,
        spacingM: 600,
      }),
    ],
  };
}
