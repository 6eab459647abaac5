/** The route: alternates that are chosen and not walked, closures that are still met. */
import { nodeOf, walkedOf } from "../track/place.ts";
import { MAIN } from "../track/route.ts";
import type { TrackM } from "../units/lengths.ts";
import { defineCheck } from "./check.ts";

const partRests = defineCheck({
  code: "route-part-rests",
  units: { part: "name", why: "name" },
  *find({ plan: { route }, result }) {
    for (const { id, why } of result.profile.route.resting) {
      const part = [...route.alternates, ...route.closures].find((one) => one.id === id)?.name ?? id;
      yield { severity: "caution", part, why };
    }
  },
});

/** An alternate that goes round a closure has to leave before it and rejoin behind it. */
const closureRidden = defineCheck({
  code: "closure-ridden",
  units: { closure: "name", alternate: "name", hours: "h" },
  *find({ plan, result: { profile, legs } }) {
    for (const { id, kind, hours, node } of profile.joints) {
      const closure = kind === "ride" ? plan.route.closures.find((one) => one.id === id) : undefined;
      const alternate = plan.route.alternates.find((one) => one.id === closure?.alternateId);
      const legIndex = legs.findIndex((leg) => leg.toNode >= node);
      if (closure && alternate)
        yield { severity: "caution", legIndex, closure: closure.name, alternate: alternate.name, hours };
    }
  },
});

/** Sections that walk the same ground twice: places there count where it is walked first. */
const walkedTwice = defineCheck({
  code: "walked-twice",
  units: { metres: "m" },
  *find({ result }) {
    const pieces = result.profile.route.pieces.filter(({ line }) => line === MAIN);
    let metres = 0;
    for (const [i, one] of pieces.entries())
      for (const other of pieces.slice(0, i)) {
        const low = Math.max(Math.min(one.fromM, one.toM), Math.min(other.fromM, other.toM));
        const high = Math.min(Math.max(one.fromM, one.toM), Math.max(other.fromM, other.toM));
        metres += Math.max(0, high - low);
      }
    if (metres > LEAST_TWICE_M) yield { severity: "caution", metres };
  },
});

const LEAST_TWICE_M = 500;

const trailCoarse = defineCheck({
  code: "trail-coarse",
  units: {},
  *find({ plan }) {
    if (plan.route.coarse) yield { severity: "note" };
  },
});

const heightsUnknown = defineCheck({
  code: "heights-unknown",
  units: { distance: "m" },
  *find({ plan, result: { profile, legs } }) {
    const nodes = plan.route.heightless
      .filter(({ fromM, toM }) => toM > fromM)
      .map(({ fromM, toM }) => [fromM, toM].map((m) => nodeOf(profile, { trackM: m as TrackM })).sort((a, b) => a - b));
    for (const { index: legIndex, fromNode, toNode } of legs) {
      const covered = nodes.reduce((sum, [from, to]) => {
        const [first, last] = [Math.max(from!, fromNode), Math.min(to!, toNode)];
        return last > first ? sum + walkedOf(profile, last) - walkedOf(profile, first) : sum;
      }, 0);
      if (covered > LEAST_HEIGHTLESS_M) yield { severity: "caution", legIndex, distance: covered };
    }
  },
});

const LEAST_HEIGHTLESS_M = 1000;

export const routeChecks = [trailCoarse, heightsUnknown, partRests, closureRidden, walkedTwice] as const;
