/** Cold and heat: bag, pad and stove on the coldest night in ten, the hottest day in ten. */
import type { Plan } from "../plan/schema.ts";
import type { LegResult, TripFigures } from "../result/result.ts";
import { coldestCanisterC } from "../models/fuel.ts";
import { fluidAdvice, wbgtC } from "../models/heat.ts";
import { atNode, defineCheck, onLegs } from "./check.ts";

const SLACK = 0.05;
const FAR_TOO_COLD_K = 5;
const CANISTER_MIX = { isobutane: 0.8, propane: 0.2 } as const;
const ALCOHOL_LIGHTS_C = 0;
const HOT_CATEGORY = 3;
const WALKING_W = 425;

const nightBelowBag = defineCheck({
  code: "night-below-bag",
  units: { have: "C", limit: "C" },
  *find(context) {
    for (const { leg, row, where } of onLegs(context)) {
      const { warmth } = row;
      if (!warmth || warmth.marginK >= -SLACK) continue;
      const severity = warmth.marginK < -FAR_TOO_COLD_K ? "blocker" : "caution";
      const atM = atNode(context, leg.coldestCampNode);
      yield { severity, ...where, atM, have: warmth.bagC - warmth.extraK, limit: warmth.nightC };
    }
  },
});

const padTooThin = defineCheck({
  code: "pad-too-thin",
  units: { have: "R", limit: "R" },
  *find(context) {
    for (const { leg, row, where } of onLegs(context)) {
      const have = row.sleep.padR;
      if (leg.nightsOutside === 0 || have === 0 || have >= leg.padRNeeded - SLACK) continue;
      yield { severity: "caution", ...where, atM: atNode(context, leg.coldestCampNode), have, limit: leg.padRNeeded };
    }
  },
});

/** What a night in the open requires. A shelter may be anybody's. */
const SLEEP_ROLES = ["bag", "pad", "shelter"] as const;
/** Warmer nights than this are bearable without a bag; none is safe without shelter from rain. */
const MILD_NIGHT_C = 10;

const sleepKitMissing = defineCheck({
  code: "sleep-kit-missing",
  units: { role: "name", nights: "count", low: "C" },
  *find(context) {
    const { plan, result } = context;
    for (const { id } of plan.hikers)
      for (const role of SLEEP_ROLES) {
        const bare = result.legs.filter((leg) => leg.nightsOutside > 0 && !carried(plan, leg, id, role, result));
        const coldest = bare.reduce<LegResult | undefined>(
          (a, b) => (a && a.coldNightC <= b.coldNightC ? a : b),
          undefined,
        );
        if (!coldest) continue;
        const severity = role === "shelter" || coldest.coldNightC < MILD_NIGHT_C ? "blocker" : "caution";
        const nights = bare.reduce((sum, leg) => sum + leg.nightsOutside, 0);
        yield { severity, legIndex: coldest.index, hikerId: id, role, nights, low: coldest.coldNightC };
      }
  },
});

/** Does anybody carry such a piece on the leg that serves this hiker: their own, or one that is shared? */
function carried(plan: Plan, leg: LegResult, hikerId: string, role: string, { carrier, legs }: TripFigures): boolean {
  return plan.kit.some(
    (piece, p) =>
      piece.role === role &&
      (piece.shared || piece.ownerId === hikerId || role === "shelter") &&
      carrier[p * legs.length + leg.index]! >= 0,
  );
}

const stoveTooCold = defineCheck({
  code: "stove-too-cold",
  units: { have: "C", limit: "C" },
  *find(context) {
    for (const { hiker, leg, row, where } of onLegs(context)) {
      // No stove here minds warmer air than freezing; finding a canister's limit takes a while.
      if (row.fuel.boils === 0 || leg.nightsOutside === 0 || leg.coldNightC > 0) continue;
      const heightM = context.result.profile.heightM[leg.coldestCampNode]!;
      const { fuel } = hiker.stove;
      const limit = fuel.startsWith("gas")
        ? coldestCanisterC(CANISTER_MIX, heightM)
        : fuel === "alcohol"
          ? ALCOHOL_LIGHTS_C
          : -Infinity;
      if (leg.coldNightC < limit)
        yield { severity: "note", ...where, atM: atNode(context, leg.coldestCampNode), have: leg.coldNightC, limit };
    }
  },
});

const heatStress = defineCheck({
  code: "heat-stress",
  units: { have: "C", rest: "min", limit: "L" },
  *find({ result }) {
    for (const leg of result.legs) {
      const advice = fluidAdvice(wbgtC(leg.hotDayC, leg.hotHumidity), WALKING_W);
      if (!advice || advice.category < HOT_CATEGORY) continue;
      yield {
        severity: "caution",
        legIndex: leg.index,
        atM: leg.fromM,
        have: leg.hotDayC,
        rest: advice.restMin,
        limit: advice.litresPerH,
      };
    }
  },
});

const climateAssumed = defineCheck({
  code: "climate-assumed",
  units: {},
  *find(context) {
    if (context.season.assumed) yield { severity: "caution" };
  },
});

const climateSimulated = defineCheck({
  code: "climate-simulated",
  units: { have: "count" },
  *find({ plan }) {
    const have = plan.climate.stations.filter(({ simulated }) => simulated).length;
    if (have > 0) yield { severity: "note", have };
  },
});

export const coldChecks = [
  climateSimulated,
  nightBelowBag,
  padTooThin,
  sleepKitMissing,
  stoveTooCold,
  heatStress,
  climateAssumed,
] as const;
