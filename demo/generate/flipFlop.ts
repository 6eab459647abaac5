/** A second, small made-up example: a ridge walked in two halves from the town in its middle. */
import { PLAN_VERSION } from "@gepack/core";

const LENGTH_M = 236_000;
const SPACING_M = 150;
const M_PER_DEG = 111_200;
const START = { lonDeg: -148, latDeg: 46 };

const height = (m: number): number =>
  420 + 380 * Math.sin((Math.PI * m) / LENGTH_M) + 190 * Math.sin(m / 5200) + 60 * Math.sin(m / 1700 + 1);

function points(): [number, number, number][] {
  const rows: [number, number, number][] = [];
  let { lonDeg, latDeg } = START;
  for (let m = 0; m <= LENGTH_M; m += SPACING_M) {
    rows.push([Number(lonDeg.toFixed(6)), Number(latDeg.toFixed(6)), Number(height(m).toFixed(1))]);
    const bearing = 0.5 * Math.sin(m / 21_000) + 0.25 * Math.sin(m / 6100);
    latDeg += (SPACING_M * Math.cos(bearing)) / M_PER_DEG;
    lonDeg += (SPACING_M * Math.sin(bearing)) / (M_PER_DEG * Math.cos((latDeg * Math.PI) / 180));
  }
  return rows;
}

const stop = (id: string, name: string, km: number, services: string[], nights = 1) => ({
  id,
  name,
  trackM: km * 1000,
  services,
  nights,
});
const source = (i: number, km: number, kind: string) => ({
  id: `w${i}`,
  name: `${["Bracken", "Marl", "Sallow", "Peat"][i % 4]!} ${kind}`,
  trackM: Math.round(km * 1000),
  kind,
  reliable: i % 5 !== 1,
});
const piece = (id: string, name: string, massG: number, rest: object = {}) => ({
  id,
  name,
  massG,
  group: "All",
  ownerId: "wren",
  carrierId: "wren",
  spans: [{ fromStopId: "@start", toStopId: "@finish" }],
  ...rest,
});
const station = (id: string, km: number, heightM: number, meanC: number) => ({
  id,
  name: id,
  trackM: km * 1000,
  heightM,
  lowC: months(meanC - 5),
  highC: months(meanC + 5),
  lowSdK: 3.2,
  highSdK: 3.6,
});
const months = (meanC: number): number[] =>
  Array.from({ length: 12 }, (_, m) => Math.round(10 * (meanC - 7.5 * Math.cos((2 * Math.PI * (m - 0.6)) / 12))) / 10);

/** One plan file, its track in it. */
export function flipFlop(): Record<string, unknown> {
  return {
    format: "gepack-plan",
    version: PLAN_VERSION,
    id: "tarrow",
    trip: {
      name: "Tarrow Ridge in two halves",
      directionName: "north, then south",
      startDate: "2027-05-24",
      madeUp: true,
    },
    trackIds: ["tarrow"],
    route: {
      sections: [
        { id: "north", name: "North half", fromM: 121_000, toM: LENGTH_M },
        { id: "south", name: "South half", fromM: 121_000, toM: 0, transferH: 9, transferCost: 46 },
      ],
    },
    hikers: [{ id: "wren", name: "Wren Adair", ageY: 38, sex: "female", heightCm: 171, bodyKg: 66 }],
    stops: [
      stop("low-end", "Tarrow Foot", 0, ["shop-small", "bed"]),
      stop("kiln", "Kiln Bridge", 62, ["shop-small", "bed", "post"]),
      stop("mid", "Marlow Cross", 121, ["shop-full", "bed", "post", "socket"]),
      stop("fold", "High Fold", 178, ["shop-small", "bed"]),
      stop("top-end", "Tarrow Head", 235.9, ["bed"]),
    ],
    sources: Array.from({ length: 26 }, (_, i) => source(i, 4 + i * 8.9, ["spring", "creek", "lake"][i % 3]!)),
    climate: { stations: [station("South hut", 30, 460, 9), station("North hut", 200, 520, 7.5)] },
    kit: [
      piece("pack", "Backpack", 1050, { role: "pack" }),
      piece("tent", "Tent", 1150, { role: "shelter", volumeL: 4 }),
      piece("bag", "Sleeping bag", 900, { role: "bag", comfortC: -2, limitC: -8, volumeL: 7 }),
      piece("pad", "Pad", 430, { role: "pad", padR: 3.6, volumeL: 2 }),
      piece("clothes", "Clothes carried", 1200, { volumeL: 6 }),
      piece("worn", "Clothes and shoes worn", 1500, { wear: "worn", role: "shoes" }),
      piece("bottle", "Bottle, 1 L", 40, { quantity: 4, role: "bottle", capacityL: 1 }),
      piece("stove", "Stove and pot", 230, { role: "stove", volumeL: 1 }),
    ],
    tracks: [
      {
        type: "Feature",
        id: "tarrow",
        properties: { name: "Tarrow Ridge" },
        geometry: { type: "MultiLineString", coordinates: [points()] },
      },
    ],
  };
}
