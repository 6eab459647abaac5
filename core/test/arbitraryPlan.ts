/** Random plans and tracks that the schema accepts, sensible and absurd alike. */
import fc from "fast-check";
import { planSchema, SERVICES, SOURCE_KINDS, SURFACES, type Plan, type TrackPoints } from "../src/index.ts";
import { trackNorth } from "./fixtures.ts";

const LENGTH_M = 60_000;
const anywhere = fc.integer({ min: 0, max: LENGTH_M + 20_000 });
const share = fc.double({ min: 0, max: 1, noNaN: true });
const amount = (min: number, max: number): fc.Arbitrary<number> => fc.double({ min, max, noNaN: true });
const stopIds = ["s0", "s1", "s2", "s3", "@start", "@finish", "gone"];

const track: fc.Arbitrary<TrackPoints> = fc
  .record({
    lengthM: fc.integer({ min: 150, max: LENGTH_M }),
    waveM: fc.integer({ min: 400, max: 20_000 }),
    hillM: fc.integer({ min: 0, max: 1500 }),
    blind: fc.boolean(),
  })
  .map(({ lengthM, waveM, hillM, blind }) =>
    trackNorth({
      lengthM,
      spacingM: 75,
      heightM: (m) => (blind && m % 3000 < 1000 ? NaN : 800 + hillM * Math.sin(m / waveM)),
    }),
  );

const hiker = (id: string): fc.Arbitrary<unknown> =>
  fc.record({
    id: fc.constant(id),
    name: fc.constant(id),
    ageY: fc.integer({ min: 10, max: 100 }),
    sex: fc.constantFrom("female", "male"),
    heightCm: amount(100, 230),
    bodyKg: amount(30, 250),
    sleeper: fc.constantFrom("cold", "warm"),
    packComfortKg: amount(1, 60),
    packVolumeL: amount(5, 150),
    pace: fc.record({
      speedFactor: amount(0.3, 2),
      hoursFreshH: amount(1, 20),
      hoursFitH: amount(1, 20),
      rampDays: amount(0, 120),
      breakShare: share,
      startClockH: amount(3, 12),
    }),
    food: fc.record({
      densityKcalPerG: amount(1, 9),
      shortfallFraction: amount(-0.5, 0.7),
      reserveFraction: share,
      wrapperFraction: amount(0, 0.3),
    }),
    water: fc.record({
      ratePerKmL: share,
      drinkAtSourceL: share,
      reserveFraction: share,
      dinnerL: amount(0, 4),
      nightL: amount(0, 4),
      breakfastL: amount(0, 4),
      trust: fc.constantFrom("reliable", "chance", "all"),
      leastChance: share,
    }),
    stove: fc.record({
      fuel: fc.constantFrom("gas-canister", "gas-heat-exchanger", "alcohol", "tablets", "none"),
      boilsPerDay: amount(0, 20),
      boilL: amount(0, 5),
    }),
  });

const rows = (prefix: string, most: number, row: (i: number) => fc.Arbitrary<unknown>): fc.Arbitrary<unknown[]> =>
  fc
    .integer({ min: 0, max: most })
    .chain((count) => fc.tuple(...Array.from({ length: count }, (_, i) => row(i))))
    .map((list) => list.map((item, i) => ({ ...(item as object), id: `${prefix}${i}` })));

const stops = rows("s", 4, () =>
  fc.record({
    name: fc.string({ minLength: 1, maxLength: 8 }),
    trackM: anywhere,
    offTrailM: fc.integer({ min: 0, max: 30_000 }),
    access: fc.constantFrom("foot", "ride"),
    services: fc.subarray([...SERVICES]),
    use: fc.boolean(),
    nights: fc.integer({ min: 0, max: 4 }),
  }),
);
const sources = rows("w", 12, () =>
  fc.record({
    name: fc.constant("water"),
    trackM: anywhere,
    kind: fc.constantFrom(...SOURCE_KINDS),
    reliable: fc.boolean(),
    chanceByMonth: fc.option(fc.array(share, { minLength: 12, maxLength: 12 }), { nil: undefined }),
  }),
);
const stretches = rows("x", 5, () =>
  fc.record({
    name: fc.constant("stretch"),
    fromM: anywhere,
    toM: anywhere,
    kind: fc.constantFrom("surface", "snow", "rule", "hazard", "insects", "dry"),
    surface: fc.constantFrom(...SURFACES),
    fromMonthDay: fc.constantFrom("10-01", "01-01"),
    toMonthDay: fc.constantFrom("06-30", "12-31"),
    rule: fc.constantFrom("hard-canister", "permit"),
  }),
);
const stations = rows("c", 3, () =>
  fc.record({
    name: fc.constant("station"),
    trackM: anywhere,
    heightM: fc.integer({ min: 0, max: 4000 }),
    lowC: fc.array(amount(-40, 20), { minLength: 12, maxLength: 12 }),
    highC: fc.array(amount(-20, 45), { minLength: 12, maxLength: 12 }),
    lowSdK: amount(0, 8),
    highSdK: amount(0, 8),
  }),
);
const kit = (hikers: string[]): fc.Arbitrary<unknown[]> =>
  rows("k", 8, () =>
    fc.record({
      name: fc.constant("piece"),
      massG: amount(0, 4000),
      quantity: fc.integer({ min: 1, max: 4 }),
      wear: fc.constantFrom("packed", "worn", "consumable"),
      volumeL: amount(0, 20),
      ownerId: fc.constantFrom(...hikers),
      carrierId: fc.constantFrom(...hikers),
      shared: fc.boolean(),
      role: fc.constantFrom(undefined, "pack", "bag", "pad", "shoes", "bottle", "hard-canister"),
      capacityL: amount(0, 20),
      comfortC: amount(-30, 15),
      padR: amount(0, 8),
      warmthK: amount(0, 10),
      spans: fc.array(
        fc.record({
          fromStopId: fc.constantFrom(...stopIds),
          toStopId: fc.constantFrom(...stopIds),
          begins: fc.constantFrom("from-home", "posted", "bought"),
          ends: fc.constantFrom("kept", "sent-home", "discarded"),
        }),
        { maxLength: 3 },
      ),
    }),
  );

export interface PlanCase {
  plan: Plan;
  tracks: TrackPoints[];
}

export const arbitraryPlan: fc.Arbitrary<PlanCase> = fc
  .record({
    track,
    hikers: fc.oneof(fc.tuple(hiker("a")), fc.tuple(hiker("a"), hiker("b"))),
    stops,
    sources,
    stretches,
    stations,
    kit: kit(["a"]),
    direction: fc.constantFrom("forward", "reverse"),
    startDate: fc.constantFrom("2027-01-01", "2027-03-29", "2027-06-21", "2028-02-29", "2027-12-31"),
    finishBy: fc.option(fc.constant("2027-05-05"), { nil: undefined }),
  })
  .map((drawn) => ({
    tracks: [drawn.track],
    plan: planSchema.parse({
      format: "gepack-plan",
      version: 1,
      id: "random",
      trackIds: ["t"],
      trip: { name: "Random", startDate: drawn.startDate, direction: drawn.direction, finishBy: drawn.finishBy },
      hikers: drawn.hikers,
      stops: drawn.stops,
      sources: drawn.sources,
      stretches: drawn.stretches,
      climate: { stations: drawn.stations },
      kit: drawn.kit,
    }),
  }));
