/** Six days and nights along a winter coast, from lighthouse to lighthouse: hours in the dark, moon, lamps and banks. */
import { PLAN_VERSION } from "@gepack/core";
import { kitOf, smallTrail, source, station, stop } from "../small.ts";

const LENGTH_M = 420_000;
const LIGHTS = ["Sill Light", "Harrow Light", "Gannet Light", "Long Bar Light", "Widow Light"];
const height = (m: number): number => 28 + 16 * Math.sin(m / 3100) + 9 * Math.sin(m / 900 + 1);

export function sixLights(): Record<string, unknown> {
  return {
    format: "gepack-plan",
    version: PLAN_VERSION,
    id: "six-lights",
    trip: {
      name: "Six lights",
      directionName: "with the wind",
      startDate: "2027-01-19",
      finishBy: "2027-01-25",
      fictional: true,
    },
    trackIds: ["six-lights"],
    hikers: [
      {
        id: "maren",
        name: "Maren Solvik",
        ageY: 29,
        sex: "female",
        heightCm: 174,
        bodyKg: 64,
        sleeper: "warm",
        packComfortKg: 9,
        packVolumeL: 35,
        pace: {
          speedFactor: 1.05,
          hoursFreshH: 14.5,
          hoursFitH: 14.5,
          rampDays: 0,
          breakFraction: 0.12,
          startClockH: 5,
        },
        food: { densityKcalPerG: 4.9, shortfallFraction: 0.25, reserveDays: 0.5, appetiteByWeek: [0.9, 0.9, 0.95, 1] },
        water: { ratePerKmL: 0.08 },
        stove: { fuel: "none", boilsPerDay: 0, boilL: 0 },
      },
    ],
    dayRules: { darkFraction: 1, nightSpeedFactor: 0.9, sleepAt: "beds", neroOutH: 14.5, campWindowH: 3 },
    stops: LIGHTS.map((name, i) =>
      stop(`light-${i + 1}`, name, 70 * (i + 1), i === 2 ? ["bed", "socket"] : ["bed"], 1, {
        foodBy: "visitor",
        note: "Food lies in a locker of the keeper’s; the door is on the latch.",
      }),
    ),
    sources: Array.from({ length: 40 }, (_, i) => source(i, 6 + i * 10.4, ["tap", "creek"][i % 2]!)),
    stretches: [
      { id: "sand", name: "Long Bar sands", fromM: 232_000, toM: 268_000, kind: "surface", surface: "sand" },
      {
        id: "bar",
        name: "Tidal bar: cross within three hours of low water",
        fromM: 301_000,
        toM: 303_000,
        kind: "hazard",
      },
    ],
    climate: {
      stations: [
        station("Harrow", 140, 10, 8, { swingK: 5, dayK: 2.5, wetDays: 15 }),
        station("Widow", 350, 15, 7, { swingK: 5, dayK: 2.5, wetDays: 16 }),
      ],
    },
    kit: kitOf("maren", { style: "light", stove: false, without: ["Tarp", "Sunscreen"] }, [
      { name: "Storm bag, shared by nobody", massG: 290, role: "shelter", volumeL: 1 },
      { name: "Second head lamp", massG: 78, gives: ["light"] },
      { name: "Reflecting vest", massG: 60 },
      { name: "Rain trousers", massG: 150, gives: ["rain"] },
    ]),
    devices: [
      { id: "lamp", name: "Headlamp", ownerId: "maren", kind: "rechargeable", whPerDay: 6.5, mAh: 2200, offRank: 3 },
      {
        id: "phone",
        name: "Phone with the map",
        ownerId: "maren",
        kind: "rechargeable",
        whPerDay: 5,
        mAh: 4200,
        offRank: 2,
      },
      { id: "beacon", name: "Position beacon", ownerId: "maren", kind: "rechargeable", whPerDay: 1.2, mAh: 1200 },
      { id: "bank", name: "Power bank", ownerId: "maren", kind: "bank", mAh: 10_000, watts: 12 },
    ],
    tracks: [
      smallTrail("six-lights", "Six lights", { lengthM: LENGTH_M, lonDeg: -141, latDeg: 43.2, height, spacingM: 300 }),
    ],
  };
}
