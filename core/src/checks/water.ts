/** Water: more than the bottles hold, more than a body should drink, and water skipped. */
import { rowOf } from "../plan/rowOf.ts";
import { nodeOf, walkedOf } from "../track/place.ts";
import { dayNumber } from "../units/day.ts";
import { flowChance, trusted, type PlacedSource } from "../walk/sources.ts";
import { treatedLegs, methodsFor } from "../water/treat.ts";
import { atNode, defineCheck, onLegs } from "./check.ts";

const SLACK_L = 0.05;
/** A dry stretch this long that has untrusted water in it is worth saying so. */
const LONG_DRY_M = 25_000;

const carryOverBottles = defineCheck({
  code: "carry-over-bottles",
  units: { have: "L", limit: "L", distance: "m" },
  *find(context) {
    for (const { row, where } of onLegs(context)) {
      const carry = row.carries[row.largestCarry];
      if (!carry || carry.litres <= row.kit.bottleL + SLACK_L) continue;
      yield {
        severity: "blocker",
        ...where,
        atM: atNode(context, carry.fromNode),
        have: carry.litres,
        limit: row.kit.bottleL,
        distance: carry.distanceM,
      };
    }
  },
});

/** Nobody plans to carry more: rather the file knows no water there [L]. */
const UNLIKELY_L = 10;

const waterUnknown = defineCheck({
  code: "water-unknown",
  units: { have: "L", distance: "m" },
  *find(context) {
    const asked = new Set<number>();
    for (const { row, where } of onLegs(context)) {
      const carry = row.carries[row.largestCarry];
      if (!carry || carry.litres <= UNLIKELY_L || asked.has(where.legIndex)) continue;
      asked.add(where.legIndex);
      const atM = atNode(context, carry.fromNode);
      yield { severity: "caution", legIndex: where.legIndex, atM, have: carry.litres, distance: carry.distanceM };
    }
  },
});

const waterAssumed = defineCheck({
  code: "water-assumed",
  units: { have: "count" },
  *find({ plan }) {
    const have = plan.sources.filter(({ assumed }) => assumed).length;
    if (have > 0) yield { severity: "caution", have };
  },
});

const drinkLimit = defineCheck({
  code: "drink-limit",
  units: { have: "L", limit: "L" },
  *find(context) {
    for (const { row, where } of onLegs(context)) {
      const carry = row.carries[row.largestCarry];
      if (carry && carry.litres > carry.mostL)
        yield {
          severity: "note",
          ...where,
          atM: atNode(context, carry.fromNode),
          have: carry.litres,
          limit: carry.mostL,
        };
    }
  },
});

const untrustedWater = defineCheck({
  code: "untrusted-water",
  units: { distance: "m", source: "name" },
  *find(context) {
    const { plan, result, sources } = context;
    for (const { hiker, leg, row, where } of onLegs(context)) {
      const longest = row.carries.reduce((a, b) => (b.distanceM > a.distanceM ? b : a), row.carries[0]!);
      if (!longest || longest.distanceM < LONG_DRY_M) continue;
      const day = dayNumber(leg.startDate) ?? 0;
      const passed = sources.find(
        (source) =>
          source.node > longest.fromNode && source.node < longest.toNode && !trusted(source, hiker.water, day),
      );
      const source = rowOf(plan.sources, passed?.id);
      if (!source) continue;
      const atM = atNode(context, nodeOf(result.profile, source));
      yield { severity: "note", ...where, atM, distance: longest.distanceM, source: source.name };
    }
  },
});

/** Litres by which a source that is dry would change what has to be carried to it: more than this is named. */
const DECIDES_L = 2;
/** A source with this chance of flowing, or more, is taken as sure. */
const SURE_CHANCE = 0.95;

const sourceDecides = defineCheck({
  code: "source-decides",
  units: { have: "L", source: "name", chance: "%" },
  *find(context) {
    const { plan, result, sources } = context;
    const byId = new Map(sources.map((source) => [source.id, source]));
    for (const leg of result.legs) {
      const day = dayNumber(leg.startDate) ?? 0;
      // One source a leg, for whoever it means most to.
      let most = { have: DECIDES_L, chance: 1, hikerId: "", source: undefined as PlacedSource | undefined };
      for (const { hikerId, carries } of leg.hikers)
        for (const [i, carry] of carries.entries()) {
          const source = carry.toSourceId === undefined ? undefined : byId.get(carry.toSourceId);
          const beyond = carries[i + 1];
          if (!source || !beyond) continue;
          const chance = flowChance(source, day);
          // Without it the way beyond is walked on what was carried to it, and nothing is drunk there.
          const have = beyond.litres + beyond.drunkL;
          if (chance < SURE_CHANCE && have > most.have) most = { have, chance, hikerId, source };
        }
      const { have, chance, hikerId, source } = most;
      const name = rowOf(plan.sources, source?.id)?.name;
      if (!source || name === undefined) continue;
      const atM = walkedOf(result.profile, source.node);
      yield { severity: "note", legIndex: leg.index, hikerId, atM, have, source: name, chance: 100 * chance };
    }
  },
});

const cacheShort = defineCheck({
  code: "cache-short",
  units: { have: "L", limit: "L", source: "name" },
  *find(context) {
    const { plan, result } = context;
    for (const { id, name, kind, litres: limit } of plan.sources) {
      if (kind !== "cache" || limit === undefined) continue;
      for (const leg of result.legs) {
        const taken = leg.hikers.flatMap(({ carries }) => carries.filter(({ fromSourceId }) => fromSourceId === id));
        const have = taken.reduce((sum, { litres, drunkL }) => sum + litres + drunkL, 0);
        if (have <= limit + SLACK_L) continue;
        const atM = atNode(context, taken[0]!.fromNode);
        yield { severity: "caution", legIndex: leg.index, atM, have, limit, source: name };
      }
    }
  },
});

/** A wet filter that froze may be broken without a sign. */
const filterFrost = defineCheck({
  code: "filter-frost",
  units: { nights: "count", have: "C" },
  *find(context) {
    for (const { hiker, leg, where } of onLegs(context)) {
      if (hiker.water.treatment.method !== "filter") continue;
      const cold = context.result.days.filter((day) => day.legIndex === leg.index && day.outside && day.coldNightC < 0);
      if (cold.length === 0) continue;
      yield {
        severity: "note",
        ...where,
        nights: cold.length,
        have: Math.min(...cold.map(({ coldNightC }) => coldNightC)),
      };
    }
  },
});

const treatmentUsedUp = defineCheck({
  code: "treatment-used-up",
  units: { limit: "L", method: "name" },
  *find({ plan, result }) {
    for (const [who, { id: hikerId, water }] of plan.hikers.entries())
      for (const { legIndex, renewed } of treatedLegs(plan, result, who))
        if (renewed)
          yield {
            severity: "caution",
            legIndex,
            hikerId,
            atM: result.legs[legIndex]!.fromM,
            limit: water.treatment.lifeL,
            method: water.treatment.method,
          };
  },
});

/** What is filled below camps, houses or cattle and treated one way only. */
const foulWater = defineCheck({
  code: "contaminated-water",
  units: { source: "name", method: "name" },
  *find(context) {
    const { plan } = context;
    for (const { hiker, row, where } of onLegs(context)) {
      const { treatment } = hiker.water;
      const carry = row.carries.find(
        (one) => rowOf(plan.sources, one.fromSourceId)?.contaminated && methodsFor(one, plan, treatment).length < 2,
      );
      const source = rowOf(plan.sources, carry?.fromSourceId);
      if (!carry || !source) continue;
      yield {
        severity: "caution",
        ...where,
        atM: atNode(context, carry.fromNode),
        source: source.name,
        method: treatment.method,
      };
    }
  },
});

/** Standing at the water longer than the breaks that are planned. */
const treatingLong = defineCheck({
  code: "treating-long",
  units: { have: "min", limit: "min" },
  *find(context) {
    const { plan, result } = context;
    for (const [who, { id: hikerId, pace }] of plan.hikers.entries())
      for (const { legIndex, handsOnMinutes } of treatedLegs(plan, result, who)) {
        const days = result.days.filter((day) => day.legIndex === legIndex);
        const breaks = 60 * pace.breakFraction * days.reduce((sum, { walkH }) => sum + walkH, 0);
        const perDay = Math.max(1, result.legs[legIndex]!.dayCount);
        if (handsOnMinutes <= breaks) continue;
        const atM = result.legs[legIndex]!.fromM;
        yield { severity: "note", legIndex, hikerId, atM, have: handsOnMinutes / perDay, limit: breaks / perDay };
      }
  },
});

export const waterChecks = [
  carryOverBottles,
  waterUnknown,
  waterAssumed,
  drinkLimit,
  untrustedWater,
  sourceDecides,
  cacheShort,
  filterFrost,
  treatmentUsedUp,
  foulWater,
  treatingLong,
] as const;
