/** Friends in the southern summer, a glacier range in two halves: food storage, fords by the hour, what waits on the snow. */
import { PLAN_VERSION } from "@gepack/core";
import { kitOf, smallTrail, source, station, stop } from "../small.ts";

const LENGTH_M = 268_000;
const MID_M = 134_000;
const height = (m: number): number =>
  620 + 1330 * Math.sin((Math.PI * m) / LENGTH_M) ** 2 + 320 * Math.sin(m / 6100) + 90 * Math.sin(m / 1600 + 2);
const spans = [{ fromStopId: "@start", toStopId: "@finish" }];

export function twoHalves(): Record<string, unknown> {
  const kit = kitOf("rua", { style: "usual", stove: true, without: ["Long"] }, [
    { id: "canister", name: "Bear canister", massG: 1050, role: "hard-canister", capacityL: 12, volumeL: 12 },
    { id: "spikes", name: "Spikes", massG: 380, gives: ["traction"], spans: [...spans] },
    { id: "axe", name: "Light axe", massG: 290, gives: ["axe"], spans: [...spans] },
    { name: "Insect net", massG: 35, gives: ["insects"] },
    { name: "Poles", massG: 420, quantity: 1, gives: ["poles"] },
    { name: "Map and compass", massG: 120, gives: ["navigation"] },
    { name: "Permit", massG: 10, gives: ["papers"] },
  ]);
  const idOf = (name: string): string => String(kit.find((piece) => piece["name"] === name)?.["id"]);
  return {
    format: "gepack-plan",
    version: PLAN_VERSION,
    id: "two-halves",
    trip: { name: "Two halves", directionName: "the lower half first", startDate: "2027-12-27", fictional: true },
    trackIds: ["range"],
    route: {
      sections: [
        { id: "lower", name: "Lower half, to the north end", fromM: MID_M, toM: LENGTH_M },
        { id: "upper", name: "Upper half, to the south end", fromM: MID_M, toM: 0, transferH: 7, transferCost: 40 },
      ],
    },
    hikers: [
      {
        id: "rua",
        name: "Rua Teller",
        ageY: 33,
        sex: "male",
        heightCm: 181,
        bodyKg: 77,
        packComfortKg: 18,
        packVolumeL: 70,
        pace: { speedFactor: 0.8, hoursFreshH: 6, hoursFitH: 7, rampDays: 10, startClockH: 6.5 },
        food: { densityKcalPerG: 4.5, reserveDays: 1 },
        stove: { fuel: "gas-canister", boilsPerDay: 3, boilL: 0.5 },
      },
    ],
    resupply: { money: "crowns", mostFoodDays: 8 },
    stops: [
      stop("north-hut", "Cairn Hut", 205, ["shop-small", "bed"]),
      stop("mid", "Saddle Lodge", 134, ["shop-small", "bed", "post", "socket"], 2, {
        foodBy: "visitor",
        note: "A friend comes for the second half, and brings the food for it: plan the rest from here as a variant, and add the friend.",
      }),
      stop("south-hut", "Gorge Hut", 66, ["bed", "post"], 1, { foodBy: "drop" }),
    ],
    sources: Array.from({ length: 34 }, (_, i) =>
      source(i, 3 + i * 7.8, ["creek", "spring", "lake"][i % 3]!, { reliable: true }),
    ),
    stretches: [
      {
        id: "store",
        name: "Food in a bear canister",
        fromM: 40_000,
        toM: 120_000,
        kind: "rule",
        rule: "hard-canister",
      },
      { id: "permit", name: "Upper half by permit", fromM: 0, toM: MID_M, kind: "rule", rule: "permit" },
      {
        id: "saddle-snow",
        name: "Old snow on the saddle",
        fromM: 127_000,
        toM: 141_000,
        kind: "snow",
        surface: "firm-snow",
        fromMonthDay: "10-01",
        toMonthDay: "01-20",
      },
      ford("ford-milk", "Milk river", 58, { depthM: 0.55, speedMps: 1.5, basinKm2: 60, glacier: true }),
      ford("ford-slate", "Slate river", 96, { depthM: 0.4, speedMps: 1.2, basinKm2: 34, glacier: true }),
      ford("ford-north", "North fork", 226, { depthM: 0.35, speedMps: 1, basinKm2: 40, glacier: false }),
    ],
    climate: {
      stations: [
        station("Saddle Lodge", 134, 1700, 3.5, { southern: true, swingK: 6, dayK: 5.5, wetDays: 12 }),
        station("North end", 262, 650, 9, { southern: true, swingK: 6, dayK: 6, wetDays: 10 }),
      ],
    },
    kit,
    decisions: [
      {
        id: "snow",
        name: "if the hut tells of hard snow on the saddle",
        pieceIds: [idOf("Spikes"), idOf("Light axe")],
        condition: { of: "snow-over", limit: 500 },
        counted: true,
      },
    ],
    devices: [
      { id: "phone", name: "Phone", ownerId: "rua", kind: "rechargeable", whPerDay: 4, mAh: 4500 },
      { id: "bank", name: "Power bank", ownerId: "rua", kind: "bank", mAh: 10_000, watts: 12 },
    ],
    tracks: [
      smallTrail("range", "Two halves", { lengthM: LENGTH_M, lonDeg: -132.5, latDeg: -46.4, height, spacingM: 300 }),
    ],
  };
}

const ford = (id: string, name: string, km: number, more: object) => ({
  id,
  name,
  fromM: km * 1000,
  toM: km * 1000 + 60,
  kind: "ford",
  refMonthDay: "01-10",
  refClockH: 15,
  snowDistanceM: 6000,
  ...more,
});
