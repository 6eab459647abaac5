/** Two botanists with a plant press, nineteen days over salt pans: caches laid by truck, sun, and nights near freezing. */
import { PLAN_VERSION } from "@gepack/core";
import { kitOf, smallTrail, source, station, stop } from "../small.ts";

const LENGTH_M = 296_000;
const height = (m: number): number => (Math.sin(m / 19_000) > 0.2 ? 310 + 55 * Math.abs(Math.sin(m / 700)) : 305);
const dunes = [[22, 58], [141, 177], [258, 290]] as const; // prettier-ignore

export function pansAndDunes(): Record<string, unknown> {
  return {
    format: "gepack-plan",
    version: PLAN_VERSION,
    id: "pans-and-dunes",
    trip: { name: "Pans and dunes", directionName: "out to the far well", startDate: "2027-10-04", fictional: true },
    trackIds: ["pans"],
    hikers: [
      botanist("oren", "Oren Tal", {
        ageY: 52,
        sex: "male",
        heightCm: 178,
        bodyKg: 78,
        packComfortKg: 26,
        packVolumeL: 85,
      }),
      botanist("lise", "Lise Amsel", {
        ageY: 47,
        sex: "female",
        heightCm: 170,
        bodyKg: 63,
        packComfortKg: 22,
        packVolumeL: 75,
      }),
    ],
    dayRules: { startRule: "sunrise", heatSlowFromC: 24 },
    resupply: { money: "crowns", mostFoodDays: 11, mostParcelKg: 25 },
    stops: [
      stop("station", "Pan station", 148, ["shop-small", "post", "bed", "socket"], 2, {
        foodBy: "drop",
        note: "The truck brings the boxes on Fridays.",
        postLeastDays: 6,
        postHoldDays: 40,
      }),
    ],
    sources: [
      ...[24, 49, 73, 98, 122, 171, 196, 221, 246, 271].map((km, i) =>
        source(i, km, "cache", {
          name: `Cache ${i + 1}`,
          reliable: true,
          litres: 26,
          chanceByMonth: Array<number>(12).fill(0.93),
          placedOn: "2027-09-28",
        }),
      ),
      source(20, 61, "tank", { name: "Rusty tank", reliable: false, chanceByMonth: Array<number>(12).fill(0.4) }),
      source(21, 210, "spring", {
        name: "Bitter seep",
        reliable: false,
        chanceByMonth: Array<number>(12).fill(0.35),
        contaminated: true,
      }),
    ],
    stretches: [
      ...dunes.map(([from, to], i) => ({
        id: `dunes-${i}`,
        name: "Dunes",
        fromM: from * 1000,
        toM: to * 1000,
        kind: "surface",
        surface: "sand",
      })),
      {
        id: "dry",
        name: "The pans: no water but the caches",
        fromM: 2000,
        toM: 146_000,
        kind: "dry",
        past: "none",
        fromMonthDay: "01-01",
        toMonthDay: "01-02",
      },
      {
        id: "permit",
        name: "Reserve: collecting by permit",
        fromM: 60_000,
        toM: 240_000,
        kind: "rule",
        rule: "permit",
      },
    ],
    climate: { stations: [station("Pan station", 148, 305, 17, { swingK: 8, dayK: 12, wetDays: 1 })] },
    kit: [
      ...kitOf("oren", { style: "usual", stove: true, without: ["Tent", "Long", "Backpack"] }, [
        { name: "Expedition pack", massG: 2200, role: "pack", loadLimitKg: 28 },
        { name: "Plant press with papers", massG: 2100, volumeL: 6 },
        { name: "Tarp for two", massG: 760, role: "shelter", shared: true, volumeL: 3 },
        { name: "Water bags, 5 L", massG: 60, quantity: 3, role: "bottle", capacityL: 5 },
        { name: "Sun umbrella", massG: 220, gives: ["shade", "sun"] },
        { name: "Compass and map sheets", massG: 180, gives: ["navigation"] },
        { name: "Permit", massG: 10, gives: ["papers"] },
      ]),
      ...kitOf("lise", { style: "usual", stove: false, without: ["Tent", "Long", "Jar", "Backpack"] }, [
        { name: "Large pack", massG: 1900, role: "pack", loadLimitKg: 25 },
        { name: "Hand lens, knife, labels", massG: 260 },
        { name: "Water bags, 5 L", massG: 60, quantity: 3, role: "bottle", capacityL: 5 },
        { name: "Sun umbrella", massG: 220, gives: ["shade", "sun"] },
        { name: "Permit", massG: 10, gives: ["papers"] },
      ]),
    ],
    devices: [
      { id: "phone", name: "Phone", ownerId: "oren", kind: "rechargeable", whPerDay: 4, mAh: 4200 },
      { id: "camera", name: "Camera", ownerId: "lise", kind: "rechargeable", whPerDay: 3, mAh: 1800, offRank: 1 },
      { id: "panel", name: "Solar panel", ownerId: "lise", kind: "solar", watts: 7, place: "pack", trees: "open" },
      { id: "bank", name: "Power bank", ownerId: "oren", kind: "bank", mAh: 10_000, watts: 12 },
    ],
    tracks: [
      smallTrail("pans", "Pans and dunes", { lengthM: LENGTH_M, lonDeg: -147.6, latDeg: 31.5, height, spacingM: 300 }),
    ],
  };
}

function botanist(id: string, name: string, body: object): Record<string, unknown> {
  return {
    id,
    name,
    ...body,
    pace: { speedFactor: 0.78, hoursFreshH: 5, hoursFitH: 5.4, rampDays: 8, breakFraction: 0.4, startClockH: 6.5 },
    food: { densityKcalPerG: 4.5, reserveDays: 1 },
    water: {
      measuredLph: 0.5,
      dinnerL: 0.8,
      nightL: 0.6,
      breakfastL: 0.6,
      reserveFraction: 0.2,
      drinkAtSourceL: 1,
      trust: "chance",
      leastChance: 0.9,
    },
    stove: id === "oren" ? { fuel: "alcohol", boilsPerDay: 4, boilL: 0.5 } : { fuel: "none", boilsPerDay: 0, boilL: 0 },
  };
}
