/**
 * Writes demo/corvane.gpx and demo/corvane.gepack.json, byte for byte the same every time.
 * Places go into the plan where the application's own reader finds them on the recorded track.
 */
import { mkdirSync, writeFileSync } from "node:fs";
import {
  buildProfile,
  computePlan,
  locate,
  repairTracks,
  PLAN_VERSION,
  readGpx,
  readPlan,
  readPlanFile,
  startingFoods,
  startingMenus,
} from "@gepack/core";
import { alternateGpx, alternatePoints, FROM_KM, TO_KM } from "./generate/alternate.ts";
import { buildStations, FORECAST, READINGS } from "./generate/climate.ts";
import { EXAMPLE_PLANS } from "./generate/examples/index.ts";
import { onTheTrail } from "./generate/onTheTrail.ts";
import { shakedown } from "./generate/shakedown.ts";
import { flipFlop } from "./generate/flipFlop.ts";
import { buildDevices, buildKit, buildKitStory } from "./generate/kit.ts";
import { buildSources, CAMPS, STOPS, STRETCHES } from "./generate/places.ts";
import { seededRandom } from "./generate/random.ts";
import { recordGpx } from "./generate/recorder.ts";
import { buildLine, LENGTH_M, pointAt, trueClimbM } from "./generate/terrain.ts";

/** Another folder may be given, to compare. */
const given = process.argv[2];
const here = given ? new URL(`file://${given}/`) : new URL(".", import.meta.url);
const random = seededRandom(20270329);
const line = buildLine();
const waypoints = STOPS.filter((stop) => !stop.use)
  .slice(0, 3)
  .map((stop) => ({ name: stop.name, kind: "stop", ...pointAt(line, stop.km * 1000) }));
const gpx = recordGpx(line, random, waypoints);

const read = readGpx(gpx.text, "corvane", "corvane.gpx").value;
if (!read) throw new Error("The generated GPX does not read back.");
const profile = buildProfile(repairTracks([read.track]), false);
const round6 = (degrees: number): number => Math.round(degrees * 1e6) / 1e6;
const onTrack = (km: number): { trackM: number; lonDeg: number; latDeg: number } => {
  const { lonDeg, latDeg } = pointAt(line, km * 1000);
  return { trackM: Math.floor(locate(profile, lonDeg, latDeg).trackM), lonDeg: round6(lonDeg), latDeg: round6(latDeg) };
};
const atM = (km: number): number => onTrack(km).trackM;
const beside = alternateGpx(line);
const besideLengthM = buildProfile(repairTracks([readGpx(beside, "corrie-way", "").value!.track]), false).lengthM;
/** A place on the alternate, a fraction of its points from where it leaves. */
const onAlternate = (fraction: number): { trackM: number; alternateId: string; lonDeg: number; latDeg: number } => {
  const points = alternatePoints(line);
  const { lonDeg, latDeg } = points[Math.round(fraction * (points.length - 1))]!;
  return {
    trackM: Math.round(fraction * besideLengthM),
    alternateId: "corrie-way",
    lonDeg: round6(lonDeg),
    latDeg: round6(latDeg),
  };
};

const kit = buildKit();
const plan = {
  format: "gepack-plan",
  version: PLAN_VERSION,
  id: "corvane",
  trip: {
    name: "Corvane Traverse",
    direction: "forward",
    directionName: "northbound",
    startDate: "2027-03-29",
    finishBy: "2027-08-05",
    fictional: true,
    units: { distance: "km", height: "m", mass: "kg", smallMass: "g", temperature: "C", volume: "L" },
  },
  trackIds: ["corvane"],
  hikers: [
    {
      id: "tamsin",
      name: "Tamsin Okafor",
      ageY: 34,
      sex: "female",
      heightCm: 168,
      bodyKg: 62,
      sleeper: "cold",
      packComfortKg: 13.5,
      packVolumeL: 50,
      pace: { speedFactor: 0.77, hoursFreshH: 5.5, hoursFitH: 7.2, rampDays: 21, breakFraction: 0.25, startClockH: 7 },
      food: {
        densityKcalPerG: 4.45,
        bulkKgPerL: 0.5,
        shortfallFraction: 0.08,
        appetiteByWeek: [0.92, 0.95, 0.98, 1],
        reserveFraction: 0.08,
        wrapperFraction: 0.03,
      },
      menus: { defaultId: "menu-cooked", coldId: "menu-cold" },
      water: { ratePerKmL: 0.11, dinnerL: 0.5, nightL: 0.3, breakfastL: 0.4, reserveFraction: 0.1 },
      stove: { fuel: "gas-canister", boilsPerDay: 2, boilL: 0.5, containerNetG: 110, containerEmptyG: 102 },
    },
    {
      id: "jory",
      name: "Jory Lindqvist",
      ageY: 41,
      sex: "male",
      heightCm: 183,
      bodyKg: 84,
      sleeper: "warm",
      packComfortKg: 17,
      packVolumeL: 60,
      pace: { speedFactor: 0.8, hoursFreshH: 6, hoursFitH: 7.8, rampDays: 18, breakFraction: 0.25, startClockH: 7 },
      food: {
        densityKcalPerG: 4.7,
        bulkKgPerL: 0.55,
        shortfallFraction: 0.12,
        appetiteByWeek: [0.92, 0.95, 0.98, 1],
        reserveFraction: 0.08,
        wrapperFraction: 0.03,
      },
      menus: { defaultId: "menu-soaked" },
      water: { ratePerKmL: 0.125, dinnerL: 0.4, nightL: 0.4, breakfastL: 0.3, reserveFraction: 0.1 },
      stove: { fuel: "none", boilsPerDay: 0, boilL: 0 },
    },
  ],
  route: {
    alternates: [
      {
        id: "corrie-way",
        name: "Corrie valley way",
        trackId: "corrie-way",
        leavesM: atM(FROM_KM),
        rejoinsM: atM(TO_KM),
        note: "Round the Red Stair ledges: longer, lower, with water.",
      },
    ],
    closures: [
      {
        id: "rockfall",
        name: "Rockfall on the Red Stair",
        fromM: atM(287),
        toM: atM(300),
        holds: false,
        alternateId: "corrie-way",
        rideH: 3,
        note: "Shut after heavy rain. Ask at the ranger post.",
      },
    ],
    sections: [],
  },
  resupply: {
    money: "crowns",
    mostFoodDays: 11,
    mostParcelKg: 6,
    postage: [
      { toKg: 1, price: 6 },
      { toKg: 2, price: 8 },
      { toKg: 5, price: 13 },
      { toKg: 10, price: 19 },
    ],
  },
  stops: STOPS.map(({ km, ...stop }) => ({ ...stop, ...onTrack(km) })),
  sources: [
    ...buildSources(random).map(({ km, ...source }) => ({ ...source, ...onTrack(km) })),
    { id: "corrie-spring", name: "Corrie spring", kind: "spring", reliable: true, ...onAlternate(0.4) },
  ],
  stretches: STRETCHES.map(({ fromKm, toKm, ...stretch }) => ({ ...stretch, fromM: atM(fromKm), toM: atM(toKm) })),
  pins: [{ id: "weir-bed", name: "Bunk booked at the Weir house", bed: true, ...onTrack(1588) }],
  camps: [
    ...CAMPS.map(({ km, ...camp }) => ({ ...camp, ...onTrack(km) })),
    { id: "corrie-camp", name: "Corrie meadow", hollow: true, ...onAlternate(0.55) },
  ],
  climate: {
    stations: buildStations().map(({ km, ...station }) => ({ ...station, trackM: atM(km) })),
    forecasts: [FORECAST].map(({ fromKm, toKm, ...rest }) => ({ ...rest, fromM: atM(fromKm), toM: atM(toKm) })),
    readings: READINGS.map(({ km, ...reading }) => ({ ...reading, trackM: atM(km) })),
  },
  kit,
  ...buildKitStory(kit),
  devices: buildDevices(kit),
  foods: startingFoods(),
  menus: startingMenus(),
};

const { value, problems } = readPlanFile(plan);
// The plan file names the track that comes as GPX beside it.
if (!value && problems.some((problem) => problem.place !== "trackIds"))
  throw new Error(JSON.stringify(problems, null, 2));

writeFileSync(new URL("corvane.gpx", here), gpx.text);
writeFileSync(new URL("corvane.gepack.json", here), `${JSON.stringify(plan, null, 1)}\n`);
writeFileSync(new URL("corvane-alternate.gpx", here), beside);
const example = readPlanFile(flipFlop());
if (!example.value) throw new Error(JSON.stringify(example.problems, null, 2));
writeFileSync(new URL("flip-flop.gepack.json", here), `${JSON.stringify(flipFlop())}\n`);
mkdirSync(new URL("examples/", here), { recursive: true });
for (const made of EXAMPLE_PLANS) {
  const { value, problems } = readPlanFile(made);
  if (!value) throw new Error(JSON.stringify(problems, null, 2));
  writeFileSync(new URL(`examples/${value.plan.id}.gepack.json`, here), `${JSON.stringify(made)}\n`);
}
const rest = readPlan(plan).value!;
const besideTrack = readGpx(beside, rest.route.alternates[0]!.trackId, "corvane-alternate.gpx").value!.track;
const planned = computePlan(rest, [read.track, besideTrack]);
writeFileSync(new URL("on-the-trail.json", here), `${JSON.stringify(onTheTrail(rest, planned), null, 1)}\n`);
const before = shakedown(rest);
const walked = readPlanFile(before);
if (!walked.value) throw new Error(JSON.stringify(walked.problems, null, 2));
writeFileSync(new URL("shakedown.gepack.json", here), `${JSON.stringify(before)}\n`);
writeFileSync(
  new URL("truth.json", here),
  `${JSON.stringify({ lengthM: LENGTH_M, climbM: Math.round(trueClimbM()), points: gpx.points }, null, 1)}\n`,
);
