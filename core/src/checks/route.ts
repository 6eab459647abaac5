/** The route: alternates that are chosen and not walked, closures that are still met. */
import { MAIN } from "../track/route.ts";
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

export const routeChecks = [trailCoarse, partRests, closureRidden, walkedTwice] as const;
