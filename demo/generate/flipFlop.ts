/** A second, small made-up example: a ridge walked in two halves from the town in its middle. */
import { PLAN_VERSION } from "@gepack/core";
import { smallTrail, source, station, stop } from "./small.ts";

const LENGTH_M = 236_000;
const START = { lonDeg: -148, latDeg: 46 };

const height = (m: number): number =>
  420 + 380 * Math.sin((Math.PI * m) / LENGTH_M) + 190 * Math.sin(m / 5200) + 60 * Math.sin(m / 1700 + 1);

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
      fictional: true,
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
    tracks: [smallTrail("tarrow", "Tarrow Ridge", { lengthM: LENGTH_M, ...START, height })],
  };
}
