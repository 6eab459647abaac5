/** Random plans and tracks that the schema accepts, sensible and absurd alike. */
import fc from "fast-check";
import {
  ACCESS,
  DEVICE_KINDS,
  GIVES,
  FOOD_BY,
  LACKS,
  models,
  PLAN_VERSION,
  planSchema,
  SERVICES,
  REPORTS,
  SOURCE_KINDS,
  STRETCH_KINDS,
  SURFACES,
  VARIED,
  WEEKDAYS,
  type Plan,
  type TrackPoints,
} from "../src/index.ts";
import { trackBeside, trackNorth } from "./fixtures.ts";
import { withRowIds } from "../src/plan/rowIds.ts";

const LENGTH_M = 60_000;
const anywhere = fc.integer({ min: 0, max: LENGTH_M + 20_000 });
const share = fc.double({ min: 0, max: 1, noNaN: true });
const amount = (min: number, max: number): fc.Arbitrary<number> => fc.double({ min, max, noNaN: true });
const stopIds = ["s0", "s1", "s2", "s3", "@start", "@finish", "gone"];

/** Mostly missing, sometimes there. */
const rarely = <T>(value: fc.Arbitrary<T>): fc.Arbitrary<T | undefined> =>
  fc.oneof({ weight: 2, arbitrary: fc.constant(undefined) }, { weight: 1, arbitrary: value });

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
      breakFraction: share,
      startClockH: amount(3, 12),
      ramp: fc.array(fc.record({ tripDay: amount(0, 60), hoursH: amount(1, 20) }), { maxLength: 3 }),
      ownFlatKmh: rarely(amount(1, 10)),
    }),
    food: fc.record({
      densityKcalPerG: amount(1, 9),
      shortfallFraction: amount(-0.5, 0.7),
      reserveFraction: share,
      wrapperFraction: amount(0, 0.3),
      measuredKcalPerDay: rarely(amount(1000, 10_000)),
      townExtraKcal: amount(0, 4000),
    }),
    water: fc.record({
      ratePerKmL: share,
      ratePerHourL: amount(0, 2),
      clothing: fc.constantFrom("light", "covered"),
      measuredLph: rarely(amount(0, 2)),
      drinkAtSourceL: share,
      reserveFraction: share,
      dinnerL: amount(0, 4),
      nightL: amount(0, 4),
      breakfastL: amount(0, 4),
      trust: fc.constantFrom("reliable", "chance", "all"),
      leastChance: share,
      past: fc.constantFrom("none", "none", "one", "chance"),
      dryChance: share,
    }),
    stove: fc.record({
      fuel: fc.constantFrom(...models.fuel.ids),
      boilsPerDay: amount(0, 20),
      boilL: amount(0, 5),
      windExposure: share,
      containerNetG: rarely(amount(20, 2000)),
      sizes: fc.constantFrom(["middle"], ["small", "middle", "large"], ["large"], []),
      exchange: fc.boolean(),
      simmerMinPerDay: rarely(amount(0, 240)),
    }),
    bodyFatFraction: rarely(amount(0.03, 0.6)),
    schools: fc.record({
      time: fc.constantFrom(...models.time.ids),
      effort: fc.constantFrom(...models.effort.ids),
      resting: fc.constantFrom(...models.resting.ids),
      water: fc.constantFrom(...models.water.ids),
      bodyMass: fc.constantFrom(...models.bodyMass.ids, "from-the-future"),
    }),
  });

const rows = (prefix: string, most: number, row: (i: number) => fc.Arbitrary<unknown>): fc.Arbitrary<unknown[]> =>
  fc
    .integer({ min: 0, max: most })
    .chain((count) => fc.tuple(...Array.from({ length: count }, (_, i) => row(i))))
    .map((list) => list.map((item, i) => ({ ...(item as object), id: `${prefix}${i}` })));

/** Where the way beside the trail runs; from and to one place it has no length. */
const BESIDE: [number, number][] = [
  [0, 9000],
  [12_000, 12_000],
  [20_000, 31_000],
];
const parts = fc.record({
  alternates: rows("alt", 2, () =>
    fc.record({
      name: fc.constant("beside"),
      leavesM: anywhere,
      rejoinsM: anywhere,
      chosen: fc.boolean(),
      trackId: fc.constantFrom("beside", "beside", "gone"),
    }),
  ),
  closures: rows("shut", 2, () =>
    fc.record({
      name: fc.constant("shut"),
      fromM: anywhere,
      toM: anywhere,
      holds: fc.boolean(),
      rideH: amount(0, 60),
      alternateId: rarely(fc.constantFrom("alt0", "alt1")),
    }),
  ),
  sections: rows("part", 3, () =>
    fc.record({ name: fc.constant("part"), fromM: anywhere, toM: anywhere, transferH: amount(0, 60) }),
  ),
});
/** Most plans walk the whole main trail. */
const route = fc.oneof({ weight: 2, arbitrary: fc.constant({}) }, { weight: 1, arbitrary: parts });
const alternateId = rarely(fc.constantFrom("alt0", "alt1"));

const stops = rows("s", 4, () =>
  fc.record({
    name: fc.string({ minLength: 1, maxLength: 8 }).map((text) => `${text}!`),
    trackM: anywhere,
    alternateId,
    offTrailM: fc.integer({ min: 0, max: 30_000 }),
    access: fc.constantFrom(...ACCESS),
    accessClimbM: rarely(amount(0, 900)),
    backClimbM: rarely(amount(0, 900)),
    rideMin: amount(0, 300),
    rideBackMin: rarely(amount(0, 300)),
    shuttleClocks: rarely(fc.array(amount(0, 24), { maxLength: 3 })),
    shuttleBackClocks: rarely(fc.array(amount(0, 24), { maxLength: 3 })),
    services: fc.subarray([...SERVICES]),
    lacks: fc.subarray([...LACKS], { maxLength: 2 }),
    use: fc.boolean(),
    nights: fc.integer({ min: 0, max: 4 }),
    opensH: rarely(amount(0, 24)),
    closesH: rarely(amount(0, 24)),
    closedOn: fc.subarray([...WEEKDAYS]),
    openFrom: rarely(fc.constantFrom("01-10", "05-15", "12-01")),
    openTo: rarely(fc.constantFrom("02-29", "09-30")),
    postClosedOn: fc.subarray([...WEEKDAYS]),
    postClosesH: rarely(amount(0, 24)),
    postHoldDays: fc.integer({ min: 1, max: 40 }),
    foodBy: rarely(fc.constantFrom(...FOOD_BY)),
    foodFromStopId: rarely(fc.constantFrom("s0", "s1")),
  }),
);
const supplier = fc.record({ densityFactor: amount(0.3, 2), priceOf1000Kcal: amount(0, 100) });
const resupply = rarely(fc.record({ smallShop: supplier, fullShop: supplier, posted: supplier }));
const camps = rows("p", 6, () =>
  fc.record({ name: fc.constant("camp"), trackM: anywhere, alternateId, hollow: fc.boolean() }),
);
const pins = rows("q", 4, () =>
  fc.record({
    trackM: anywhere,
    alternateId,
    date: rarely(fc.constantFrom("2027-01-03", "2027-04-02", "2027-06-24", "2028-03-02")),
    bed: fc.boolean(),
    nights: fc.integer({ min: 1, max: 3 }),
    overtimeH: amount(0, 6),
  }),
);
const log = rows("l", 6, () =>
  fc.record({
    date: fc.constantFrom("2027-01-01", "2027-01-02", "2027-01-04", "2027-04-02", "2027-06-21", "2027-06-24"),
    trackM: anywhere,
    alternateId,
    stopId: rarely(fc.constantFrom("s0", "s1")),
    night: fc.constantFrom("camp", "bed", "stop"),
    walkedH: rarely(amount(0, 20)),
    foodKg: rarely(amount(0, 20)),
    fuelG: rarely(amount(0, 2000)),
    drankL: rarely(amount(0, 15)),
    chargeFraction: rarely(amount(0, 1)),
  }),
);
const decisions = rows("h", 3, () =>
  fc.record({
    name: fc.constant("if it is so"),
    pieceIds: fc.subarray(["k0", "k1", "k2"]),
    otherwiseIds: fc.subarray(["k3", "k4"]),
    condition: rarely(
      fc.record({ of: fc.constantFrom("night-below", "snow-over", "carry-over"), limit: amount(-20, 20) }),
    ),
    counted: fc.boolean(),
    decided: rarely(fc.record({ on: fc.constant("2027-05-01"), taken: fc.boolean() })),
  }),
);
const devices = (hikers: string[]): fc.Arbitrary<unknown[]> =>
  rows("d", 4, () =>
    fc.record({
      name: fc.constant("device"),
      ownerId: fc.constantFrom(...hikers),
      pieceId: fc.constantFrom(undefined, "k0", "k1", "k2", "gone"),
      kind: fc.constantFrom(...DEVICE_KINDS),
      count: fc.integer({ min: 1, max: 4 }),
      whPerDay: amount(0, 60),
      mAh: amount(0, 40_000),
      daysPerSet: amount(0.1, 40),
      spareSets: fc.integer({ min: 0, max: 3 }),
      watts: amount(0, 60),
    }),
  );
const days = fc.record({
  startRule: fc.constantFrom("clock", "sunrise"),
  darkFraction: share,
  endRule: fc.constantFrom("hours", "camp"),
  campWindowH: amount(0, 5),
  dinnerAtWater: fc.boolean(),
  sleepAt: fc.constantFrom("anywhere", "anywhere", "camps", "beds"),
  arriveByClosing: fc.boolean(),
  neroOutH: rarely(amount(0.5, 20)),
  restEveryDays: fc.integer({ min: 0, max: 10 }),
  nightSpeedFactor: amount(0.2, 1),
  heatSlowPerK: amount(0, 0.1),
  loadSlowness: amount(0, 3),
  detourMinPerLitreHour: amount(0, 60),
  heightSlowPerKm: amount(0, 0.3),
  onSnow: fc.constantFrom("foot", "snowshoes", "skis"),
  surfaceSpeed: fc.record({ bog: amount(0.1, 1.5) }, { requiredKeys: [] }),
});
const sources = rows("w", 12, () =>
  fc.record({
    name: fc.constant("water"),
    trackM: anywhere,
    alternateId,
    offTrailM: fc.integer({ min: 0, max: 3000 }),
    kind: fc.constantFrom(...SOURCE_KINDS),
    reliable: fc.boolean(),
    counted: rarely(fc.boolean()),
    chanceByMonth: fc.option(fc.array(share, { minLength: 12, maxLength: 12 }), { nil: undefined }),
    reports: fc.array(
      fc.record({
        date: fc.constantFrom("2026-03-01", "2027-01-01", "2027-03-30", "2027-06-23"),
        said: fc.constantFrom(...REPORTS),
      }),
      { maxLength: 2 },
    ),
    placedOn: rarely(fc.constantFrom("2026-01-01", "2027-03-31")),
    litres: rarely(amount(0, 500)),
  }),
);
const stretches = rows("x", 5, () =>
  fc.record({
    name: fc.constant("stretch"),
    alternateId,
    fromM: anywhere,
    toM: anywhere,
    kind: fc.constantFrom(...STRETCH_KINDS),
    past: rarely(fc.constantFrom("none", "one", "chance")),
    depthM: rarely(amount(0, 5)),
    speedMps: rarely(amount(0, 6)),
    refClockH: rarely(amount(0, 24)),
    glacier: fc.boolean(),
    surface: fc.constantFrom(...SURFACES),
    fromMonthDay: fc.constantFrom("10-01", "01-01"),
    toMonthDay: fc.constantFrom("06-30", "12-31"),
    rule: fc.constantFrom("hard-canister", "permit", "no-camping"),
    appliesTo: fc.constantFrom("carrying", "sleeping"),
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
const aDay = fc.constantFrom("2027-01-03", "2027-04-02", "2027-06-24", "2028-03-02");
const known = fc.record({
  snowYear: fc.constantFrom("low", "usual", "high"),
  snowBy: fc.constantFrom("degree-day", "degree-day", "by-hand"),
  warmth: fc.constantFrom("cold", "usual", "warm"),
  wetness: fc.constantFrom("dry", "usual", "wet"),
  nightBy: fc.constantFrom("one-in-ten", "coldest-of-all"),
  forecasts: rows("f", 2, () =>
    fc.record({
      name: fc.constant("forecast"),
      fromM: anywhere,
      toM: anywhere,
      heightM: fc.integer({ min: 0, max: 4000 }),
      issued: aDay,
      days: fc.array(
        fc.record({
          date: aDay,
          lowC: rarely(amount(-40, 30)),
          highC: rarely(amount(-30, 45)),
          wetChance: rarely(share),
          rainMm: rarely(amount(0, 60)),
          windMps: rarely(amount(0, 40)),
        }),
        { maxLength: 3 },
      ),
    }),
  ),
  readings: rows("r", 3, () =>
    fc.record({
      date: aDay,
      trackM: anywhere,
      heightM: fc.integer({ min: 0, max: 4000 }),
      lowC: rarely(amount(-40, 30)),
      highC: rarely(amount(-30, 45)),
    }),
  ),
});
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
      gives: rarely(fc.subarray([...GIVES], { maxLength: 3 })),
      movable: rarely(fc.boolean()),
      price: rarely(amount(0, 500)),
      rides: rarely(fc.constantFrom("bottom", "core", "top", "outside")),
      loadLimitKg: rarely(amount(5, 40)),
      capacityL: amount(0, 20),
      comfortC: amount(-30, 15),
      padR: amount(0, 8),
      verdict: rarely(fc.constantFrom("keep", "change", "home")),
      lesson: rarely(fc.constantFrom("Too warm.", "")),
      warmthK: amount(0, 10),
      spans: fc.array(
        fc.record({
          fromStopId: fc.constantFrom(...stopIds),
          toStopId: fc.constantFrom(...stopIds),
          begins: fc.constantFrom("from-home", "posted", "bought"),
          ends: fc.constantFrom("kept", "sent-home", "discarded"),
          carrierId: rarely(fc.constantFrom(...hikers)),
        }),
        { maxLength: 3 },
      ),
    }),
  );

const odds = fc.record({
  fixed: fc.uniqueArray(fc.constantFrom(...VARIED)),
  paceHike: rarely(amount(0, 0.5)),
  nightLikeness: rarely(amount(0, 0.95)),
  illnessPerDay: rarely(amount(0, 0.2)),
  illnessDays: rarely(amount(1, 30)),
  lowSnowFraction: rarely(amount(0, 0.5)),
  failuresPer1000Km: rarely(amount(0, 1)),
});

const PARTIES: string[][] = [["a"], ["a", "b"], ["a", "b", "c"]];

export interface PlanCase {
  plan: Plan;
  tracks: TrackPoints[];
}

/** So many random plans; fewer where `RUNS` says so. */
export const runs = (most: number): number => Math.min(most, Number(process.env["RUNS"] ?? most));

export const arbitraryPlan: fc.Arbitrary<PlanCase> = fc
  .record({
    track,
    party: fc
      .constantFrom(...PARTIES)
      .chain((ids) => fc.record({ hikers: fc.tuple(...ids.map(hiker)), kit: kit(ids), devices: devices(ids) })),
    stops,
    resupply,
    sources,
    stretches,
    stations,
    known,
    camps,
    pins,
    log,
    days,
    decisions,
    bounce: rarely(fc.record({ pieceIds: fc.subarray(["k1", "k2"]), stopIds: fc.subarray(["s0", "s1", "s2"]) })),
    odds: rarely(odds),
    direction: fc.constantFrom("forward", "reverse"),
    route,
    beside: fc.constantFrom(...BESIDE),
    startDate: fc.constantFrom("2027-01-01", "2027-03-29", "2027-06-21", "2028-02-29", "2027-12-31"),
    finishBy: fc.option(fc.constant("2027-05-05"), { nil: undefined }),
  })
  .map((drawn) => ({
    tracks: [drawn.track, trackBeside(...drawn.beside)],
    plan: planSchema.parse(
      withRowIds({
        format: "gepack-plan",
        version: PLAN_VERSION,
        id: "random",
        trackIds: ["t"],
        trip: { name: "Random", startDate: drawn.startDate, direction: drawn.direction, finishBy: drawn.finishBy },
        hikers: drawn.party.hikers,
        route: drawn.route,
        stops: drawn.stops,
        resupply: drawn.resupply,
        sources: drawn.sources,
        stretches: drawn.stretches,
        climate: { stations: drawn.stations, ...drawn.known },
        kit: drawn.party.kit,
        decisions: drawn.decisions,
        bounce: drawn.bounce,
        camps: drawn.camps,
        pins: drawn.pins,
        log: drawn.log,
        shakedowns: drawn.log.length > 2 ? [{ planId: "before", name: "Before", days: 4, on: "2027-02-01" }] : [],
        dayRules: drawn.days,
        devices: drawn.party.devices,
        odds: drawn.odds,
      }),
    ),
  }));
