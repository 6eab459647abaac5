import fc from "fast-check";
import { describe, expect, test } from "vitest";
import { runs } from "../../test/arbitraryPlan.ts";
import { hikerOf, pieceOf, planOf, sourceOf, stationOf, stopOf, trackNorth } from "../../test/fixtures.ts";
import { computePlan, Session, WEEKDAYS, type Plan, type Resupply, type TrackPoints } from "../index.ts";
import type { FoodBy } from "../stops/stays.ts";
import { findChains, walkChain, type ChainQuestion } from "./labels.ts";
import { choiceCount, stopChoices } from "./choices.ts";
import { searchNodes } from "./nodes.ts";
import { figuresOf } from "./figures.ts";
import { FINE, nameSets, searchStops, takeSet, type SearchEnd, type StopSet } from "./search.ts";
import { EXACT, Steps } from "./steps.ts";

interface Case {
  plan: Plan;
  tracks: TrackPoints[];
}

const LENGTH_M = 150_000;

/** A trail with a few places to buy food, each with its own doors, ways and prices. */
const small = (most: number): fc.Arbitrary<Case> =>
  fc
    .record({
      waveM: fc.integer({ min: 2000, max: 20_000 }),
      climbM: fc.integer({ min: 0, max: 400 }),
      stops: fc.uniqueArray(
        fc.record({
          km: fc.integer({ min: 6, max: 144 }),
          offTrailM: fc.constantFrom(0, 0, 800, 4000),
          services: fc.subarray(["shop-small", "shop-full", "post", "bed"] as const),
          closedOn: fc.subarray([...WEEKDAYS], { maxLength: 3 }),
          closesH: fc.constantFrom(undefined, 12, 17),
          use: fc.boolean(),
          locked: fc.constantFrom(false, false, false, true),
          nights: fc.integer({ min: 0, max: 2 }),
          bedPrice: fc.integer({ min: 0, max: 40 }),
        }),
        { minLength: 1, maxLength: most, selector: ({ km }) => Math.round(km / 3) },
      ),
      mostFoodDays: fc.constantFrom(2.5, 4, 8, 20),
      withinComfort: fc.constantFrom(false, false, true),
    })
    .map(({ stops, waveM, climbM, ...limits }) => ({
      tracks: [trackNorth({ lengthM: LENGTH_M, heightM: (m) => 900 + climbM * Math.sin(m / waveM) })],
      plan: planOf({
        stops: stops.map(({ km, ...rest }, i) => stopOf(`s${i}`, km * 1000, rest)),
        sources: Array.from({ length: 15 }, (_, i) => sourceOf(`w${i}`, 5000 + i * 9500)),
        climate: { stations: [stationOf(4, 22)] },
        kit: [pieceOf("pack", 7000)],
        hikers: [hikerOf({ packComfortKg: 13 })],
        resupply: { smallShop: { priceOf1000Kcal: 9, densityFactor: 0.9 }, ...limits },
      }),
    }));

const sessionOf = ({ tracks }: Case): Session => {
  const session = new Session();
  session.setTracks(tracks);
  return session;
};
const stepsOf = (given: Case, grain = EXACT): Steps => {
  const laid = sessionOf(given).lay(given.plan);
  return new Steps(laid, searchNodes(laid), grain);
};
const questionOf = ({ resupply }: Plan, weights = { kgKm: 1, day: 40, money: 0.7, stop: 15 }): ChainQuestion => ({
  weights,
  limits: {
    foodDays: resupply.mostFoodDays,
    comfort: resupply.withinComfort,
    pack: false,
    canister: true,
    doors: true,
    waitNights: 1,
  },
  mostMoney: undefined,
  byCount: false,
});
const ends = (steps: Steps, question: ChainQuestion) => {
  const run = findChains(steps, question);
  for (;;) {
    const { value, done } = run.next();
    if (done) return value.ends;
  }
};

/** Every set of candidates and every way in which food may come to them, one after the other. */
function* everyChain(steps: Steps): Generator<{ node: number; by: FoodBy }[]> {
  const last = steps.nodes.length - 1;
  const grow = function* (node: number): Generator<{ node: number; by: FoodBy }[]> {
    if (node === last) return yield* steps.nodes[last]!.modes.map((by) => [{ node, by }]);
    for (const rest of grow(node + 1)) {
      if (!steps.nodes[node]!.locked) yield rest;
      for (const by of steps.nodes[node]!.modes) yield [{ node, by }, ...rest];
    }
  };
  for (const rest of grow(1)) yield [{ node: 0, by: steps.nodes[0]!.modes[0]! }, ...rest];
}

const SIX_HOURS = { ownFlatKmh: 4, ownClimbMPerH: 400, hoursFreshH: 6, hoursFitH: 6, breakFraction: 0, startClockH: 8 };

/** Six hours of four kilometres from eight o'clock: 54 km is come to on the third day after an hour and a half. */
test.each([
  [undefined, 1],
  [12, 0],
  [9, 1],
] as const)(
  "a way that comes early (rule: before %s) sleeps %d nights and goes on the same day",
  (walkOnBeforeH, nights) => {
    const plan = planOf({
      hikers: [hikerOf({ schools: { time: "own-pace" }, pace: SIX_HOURS })],
      stops: [stopOf("town", 54_000, { services: ["shop-full", "bed"], bedPrice: 30, closesH: 20 })],
      sources: Array.from({ length: 11 }, (_, i) => sourceOf(`w${i}`, (i + 1) * 12_000)),
      climate: { stations: [stationOf(6, 16)] },
      dayRules: { loadSlowness: 0, walkOnBeforeH },
    });
    const steps = stepsOf({ plan, tracks: [trackNorth({ lengthM: 140_000 })] });
    const into = steps.step(0, "buy", steps.stateAt(steps.start()), 1, "buy", 1);
    expect([into.nights, into.waits]).toEqual([nights, 0]);
    const on = steps.step(1, "buy", into.after, 2, "buy", 1);
    // 86 km at 24 a day: 18 of them on the third day and the rest on three more, or four days from the fourth on.
    expect(on.arc.arrives.day - into.arc.arrives.day).toBe(nights === 0 ? 3 : 4);
  },
);

describe("against every set there is", () => {
  test("the best chain, and the best of every number of legs, is that of trying them all", () => {
    fc.assert(
      fc.property(small(5), (given) => {
        const steps = stepsOf(given);
        const question = questionOf(given.plan);
        const allowed = [...everyChain(steps)]
          .map((chain) => walkChain(steps, chain, question))
          .filter(({ bars }) => bars.length === 0)
          .map(({ end }) => end);
        const least = Math.min(...allowed.map(({ cost }) => cost));
        const [best] = ends(steps, question);
        expect(best === undefined).toBe(allowed.length === 0);
        if (best) expect(best.cost).toBeCloseTo(least, 9);
        const byCount = ends(steps, { ...question, byCount: true });
        expect(byCount.map(({ count }) => count)).toEqual(
          [...new Set(allowed.map(({ count }) => count))].sort((a, b) => a - b),
        );
        for (const { count, cost } of byCount)
          expect(cost).toBeCloseTo(Math.min(...allowed.filter((end) => end.count === count).map((end) => end.cost)), 9);
      }),
      { numRuns: runs(200) },
    );
  }, 120_000);

  test("on a hike of a week taking like states for one another costs a tenth at most, and next to nothing mostly", () => {
    const excess: number[] = [];
    fc.assert(
      fc.property(small(7), (given) => {
        const question = questionOf(given.plan);
        const [exact] = ends(stepsOf(given), question);
        const [merged] = ends(stepsOf(given, FINE), question);
        if (!exact || !merged) return;
        const steps = stepsOf(given);
        const chain: { node: number; by: FoodBy }[] = [];
        for (let label: typeof merged | undefined = merged; label; label = label.before) chain.unshift(label);
        const { cost } = walkChain(steps, chain, question).end;
        expect(cost).toBeLessThanOrEqual(exact.cost * 1.1);
        excess.push(cost / exact.cost - 1);
      }),
      { numRuns: runs(40) },
    );
    expect(excess.length).toBeGreaterThan(5);
    expect(excess.reduce((a, b) => a + b, 0) / excess.length).toBeLessThan(0.01);
  }, 120_000);

  test("by the plan itself no set is lighter by more than four hundredths", () => {
    fc.assert(
      fc.property(small(4), ({ plan, tracks }) => {
        const given = {
          tracks,
          plan: { ...plan, resupply: { ...plan.resupply, mostFoodDays: 30, withinComfort: false } },
        };
        const { sets, candidates } = found(given);
        const lightest = Math.min(...sets.map(({ figures }) => figures.kgKm));
        const session = sessionOf(given);
        const steps = stepsOf(given);
        for (const chain of everyChain(steps)) {
          if (walkChain(steps, chain, questionOf(given.plan)).bars.length > 0) continue;
          const other = structuredClone(given.plan);
          const set = chain.slice(1, -1).map(({ node, by }) => {
            const { stop, nights } = steps.nodes[node]!;
            return { stopId: stop!.id, foodBy: by, nights };
          });
          takeSet(other.stops, candidates, set);
          expect(lightest).toBeLessThanOrEqual(figuresOf(other, session.compute(other)).kgKm * 1.04);
        }
      }),
      { numRuns: runs(20) },
    );
  }, 120_000);
});

interface Found {
  candidates: string[];
  sets: StopSet[];
  end: SearchEnd;
  fractions: number[];
}

function found(given: Case, options: Partial<Resupply> = {}): Found {
  const sets: StopSet[] = [];
  const fractions: number[] = [];
  let end: SearchEnd | undefined;
  let candidates: string[] = [];
  for (const event of searchStops(sessionOf(given), given.plan, { ...given.plan.resupply, ...options })) {
    if (event.kind === "now") ({ candidates } = event);
    else if (event.kind === "set") sets.push(event.set);
    else if (event.kind === "progress") fractions.push(event.fraction);
    else if (event.kind === "end") end = event.end;
  }
  return { candidates, sets, end: end!, fractions };
}

const VILLAGE = ["shop-small", "post", "bed"];
const wide = (stops: unknown[], overrides: Record<string, unknown> = {}): Case => ({
  tracks: [trackNorth({ lengthM: 400_000, heightM: (m) => 900 + 300 * Math.sin(m / 6000) })],
  plan: planOf({
    stops,
    sources: Array.from({ length: 40 }, (_, i) => sourceOf(`w${i}`, 4000 + i * 9900)),
    climate: { stations: [stationOf(4, 22)] },
    kit: [pieceOf("pack", 7000)],
    resupply: { mostFoodDays: 12 },
    ...overrides,
  }),
});
const row = (count: number, overrides: Record<string, unknown> = {}) =>
  Array.from({ length: count }, (_, i) =>
    stopOf(`s${i}`, Math.round(((i + 1) * 400_000) / (count + 1)), {
      services: VILLAGE,
      use: i % 2 === 0,
      ...overrides,
    }),
  );

describe("what is told of a set", () => {
  const given = wide(row(7));
  const { sets, end, fractions, candidates } = found(given);

  test("is what computing the plan with it says, to ten grams", () => {
    expect(sets.length).toBeGreaterThan(4);
    for (const { stops, figures } of sets) {
      const plan = structuredClone(given.plan);
      takeSet(plan.stops, candidates, stops);
      const result = computePlan(plan, given.tracks);
      expect(result.legs).toHaveLength(stops.length + 1);
      for (const [i, leg] of result.legs.entries())
        expect(figures.legs[i]!.startKg).toBeCloseTo(leg.hikers[0]!.startKg, 2);
      expect(figures.finishDate).toBe(result.finishDate);
      expect(figures.kgKm).toBeCloseTo(figuresOf(plan, result).kgKm, 1);
    }
  });

  test("the quick model is within three hundredths of it, and says how far off it is", () => {
    const errors = sets.map(({ quickKgKm, figures }) => Math.abs(quickKgKm / figures.kgKm - 1));
    expect(Math.max(...errors)).toBeLessThan(0.03);
    expect(end.errorFraction).toBe(Math.max(...errors));
    expect(end.gapFraction).toBe(2 * end.errorFraction);
    expect(end).toMatchObject({ exact: false, relaxed: undefined });
    expect(candidates).toEqual(given.plan.stops.map(({ id }) => id));
  });

  test("more stops are lighter and fewer are quicker, up to a point; progress never goes back", () => {
    const names = nameSets(sets, given.plan.resupply);
    const of = (name: string) => sets[names.findIndex((all) => all.includes(name as "lightest"))]!;
    expect(of("fewest").figures.legs.length).toBe(Math.min(...sets.map(({ figures }) => figures.legs.length)));
    expect(of("lightest").figures.kgKm).toBe(Math.min(...sets.map(({ figures }) => figures.kgKm)));
    expect(of("fastest").figures.days).toBeLessThanOrEqual(of("lightest").figures.days);
    expect(of("cheapest").figures.money).toBeLessThanOrEqual(of("balanced").figures.money);
    expect(of("lightest").figures.legs.length).toBeGreaterThan(of("fewest").figures.legs.length);
    expect(fractions.every((fraction, i) => fraction >= (fractions[i - 1] ?? 0) && fraction <= 1)).toBe(true);
  });

  test("every candidate has its why: what leaving it out or putting it in would change", () => {
    const [set] = sets;
    expect(set!.flips.map(({ stopId }) => stopId)).toEqual(given.plan.stops.map(({ id }) => id));
    for (const { isIn, stopId } of set!.flips) expect(isIn).toBe(set!.stops.some((stop) => stop.stopId === stopId));
    // Leaving one out merges two legs into a longer one.
    const out = set!.flips.find(({ isIn }) => isIn)!;
    expect(out.foodDays).toBeGreaterThan(Math.max(...set!.figures.legs.map(({ foodDays }) => foodDays)) * 0.9);
  });
});

describe("limits", () => {
  const least = (given: Case, options: Partial<Resupply> = {}) =>
    Math.min(...found(given, options).sets.map(({ quickKgKm }) => quickKgKm));

  test("relaxing one never makes the best worse, and neither does a stop more", () => {
    const given = wide(row(5));
    const days = [5, 7, 9, 12].map((mostFoodDays) => least(given, { mostFoodDays }));
    for (const [i, kgKm] of days.entries()) if (i > 0) expect(kgKm).toBeLessThanOrEqual(days[i - 1]! + 1e-6);
    const more = wide([...row(5), stopOf("more", 230_000, { services: VILLAGE, use: false })]);
    expect(least(more)).toBeLessThanOrEqual(least(given) + 1e-6);
  });

  test("are kept: days of food, money, what is locked and what is left out for good", () => {
    const given = wide(row(7));
    for (const { figures } of found(given, { mostFoodDays: 5 }).sets)
      for (const { foodDays } of figures.legs) expect(foodDays).toBeLessThan(5.3);
    const dear = found(given).sets.map(({ figures }) => figures.money);
    const mostMoney = (Math.min(...dear) + Math.max(...dear)) / 2;
    for (const { figures } of found(given, { mostMoney }).sets) expect(figures.money).toBeLessThan(mostMoney * 1.03);
    const locked = row(7).map((stop, i) => (i === 2 || i === 3 ? { ...stop, locked: true } : stop));
    for (const { stops } of found(wide(locked)).sets) {
      expect(stops.some(({ stopId }) => stopId === "s2")).toBe(true);
      expect(stops.some(({ stopId }) => stopId === "s3")).toBe(false);
    }
  });

  test("a house that is shut all season is in no set; a shop that is shut on the day is waited for, or not used", () => {
    const shut = row(5).map((stop, i) => (i === 2 ? { ...stop, openFrom: "11-01", openTo: "11-30" } : stop));
    for (const { stops } of found(wide(shut)).sets) expect(stops.map(({ stopId }) => stopId)).not.toContain("s2");
    const sevenDays = row(5, { closedOn: WEEKDAYS.filter((day) => day !== "wed") });
    const waiting = found(wide(sevenDays), { mostWaitNights: 7 }).sets;
    expect(waiting.some(({ stops }) => stops.some(({ nights }) => nights > 1))).toBe(true);
    for (const { stops } of found(wide(sevenDays), { mostWaitNights: 0 }).sets)
      for (const { nights } of stops) expect(nights).toBe(1);
  });

  test("where no set keeps to them, the fewest days of food that do; then without the canister", () => {
    const bare = wide([stopOf("a", 200_000, { services: VILLAGE })]);
    const { end, sets } = found(bare, { mostFoodDays: 3 });
    expect(end.relaxed!.bars).toEqual([]);
    expect(end.relaxed!.foodDays).toBeGreaterThan(7);
    expect(Math.max(...sets[0]!.figures.legs.map(({ foodDays }) => foodDays))).toBeCloseTo(end.relaxed!.foodDays!, 0);
    const rule = {
      stretches: [{ id: "r", name: "r", kind: "rule", rule: "hard-canister", fromM: 0, toM: 400_000 }],
      kit: [pieceOf("can", 1000, { role: "hard-canister", capacityL: 4 })],
    };
    expect(found(wide(row(3), rule)).end.relaxed).toEqual({ bars: ["canister"], foodDays: undefined });
  });
});

test("what one may do at a stop instead, each as the plan would have it", () => {
  const given = wide([
    stopOf("a", 120_000, { services: VILLAGE }),
    stopOf("b", 250_000, { services: VILLAGE, use: false }),
  ]);
  const session = sessionOf(given);
  const choices = (id: string) => [...stopChoices(given.plan, id, (other) => session.compute(other))];
  const used = choices("a");
  expect(used.map(({ name }) => name)).toEqual(["as-it-is", "hold", "through", "past"]);
  expect(choiceCount(given.plan.stops[0]!)).toBe(4);
  const [asItIs, hold, through, past] = used.map(({ figures }) => figures);
  expect(asItIs!.kgKm).toBe(figuresOf(given.plan, computePlan(given.plan, given.tracks)).kgKm);
  expect(hold!.days).toBe(asItIs!.days + 1);
  expect(through!.days).toBeLessThanOrEqual(asItIs!.days);
  expect(past!.heaviestKg).toBeGreaterThan(asItIs!.heaviestKg);
  expect(past!.legs).toHaveLength(1);
  const unused = choices("b");
  expect(unused.map(({ name }) => name)).toEqual(["as-it-is", "use"]);
  expect(choiceCount(given.plan.stops[1]!)).toBe(2);
  expect(unused[1]!.figures.legs).toHaveLength(3);
  expect(choices("nobody")).toEqual([]);
});

describe("odd trails", () => {
  test("without a candidate the one leg is the one set", () => {
    const { sets, end, candidates } = found(wide([]), { mostFoodDays: 20 });
    expect(sets.map(({ stops }) => stops)).toEqual([[]]);
    expect([candidates, end.exact]).toEqual([[], true]);
  });

  test("stops passed through, beds without a shop and rides stay as they are", () => {
    const given = wide(
      [
        stopOf("through", 90_000, { services: VILLAGE, nights: 0 }),
        stopOf("town", 180_000, { services: VILLAGE }),
        stopOf("hut", 250_000, { services: ["bed"] }),
        stopOf("unused hut", 300_000, { services: ["bed"], use: false }),
      ],
      { route: { closures: [{ id: "shut", name: "Shut", fromM: 320_000, toM: 330_000, rideH: 2 }] } },
    );
    const { sets, candidates } = found(given, { mostFoodDays: 20 });
    expect(candidates).toEqual(["town"]);
    expect(sets.length).toBeGreaterThan(0);
    for (const { stops, figures, quickKgKm } of sets) {
      // With the one passed through, the hut, and the ride.
      expect(figures.legs).toHaveLength(stops.length + 4);
      expect(Math.abs(quickKgKm / figures.kgKm - 1)).toBeLessThan(0.03);
    }
  });

  test("of a shop and a counter at one place each is weighed, and the plan says which", () => {
    const stops = [stopOf("a", 200_000, { services: ["shop-small", "post"], locked: true })];
    const given = (priceOf1000Kcal: number) =>
      wide(stops, { resupply: { mostFoodDays: 15, smallShop: { priceOf1000Kcal } } });
    const cheapest = (found: Found, plan: Plan) =>
      found.sets[nameSets(found.sets, plan.resupply).findIndex((names) => names.includes("cheapest"))]!;
    const by = (price: number) => cheapest(found(given(price)), given(price).plan).stops[0]!.foodBy;
    expect([by(1), by(40)]).toEqual(["buy", "drop"]);
  });
});
