/** The pack: its weight against its comfort, its space, and legs that are too long to carry for. */
import { atNode, defineCheck, onLegs } from "./check.ts";

const LONGEST_LEG_DAYS = 10;
const FAR_OVER = 1.25;
/** Smaller differences are not worth a word. */
const SLACK_KG = 0.05;

const loadOverComfort = defineCheck({
  code: "load-over-comfort",
  units: { have: "kg", limit: "kg" },
  *find(context) {
    for (const { hiker, row, where } of onLegs(context)) {
      const limit = hiker.packComfortKg;
      if (row.heaviestKg <= limit + SLACK_KG) continue;
      const severity = row.heaviestKg > FAR_OVER * limit ? "blocker" : "caution";
      yield { severity, ...where, atM: atNode(context, row.heaviestNode), have: row.heaviestKg, limit };
    }
  },
});

/** What the pack that is carried was made for, by its maker's word. */
const loadOverPack = defineCheck({
  code: "load-over-pack",
  units: { have: "kg", limit: "kg", piece: "name" },
  *find(context) {
    const { plan, result } = context;
    const { legs, carrier } = result;
    const packs = plan.kit.flatMap((piece, p) => (piece.role === "pack" && piece.loadLimitKg ? [{ piece, p }] : []));
    if (packs.length === 0) return;
    for (const { leg, row, where } of onLegs(context)) {
      const who = plan.hikers.findIndex(({ id }) => id === row.hikerId);
      const on = packs.find(({ p }) => carrier[p * legs.length + leg.index] === who);
      const limit = on?.piece.loadLimitKg ?? Infinity;
      if (row.heaviestKg > limit + SLACK_KG)
        yield {
          severity: "caution",
          ...where,
          atM: atNode(context, row.heaviestNode),
          have: row.heaviestKg,
          limit,
          piece: on!.piece.name,
        };
    }
  },
});

const foodOverPack = defineCheck({
  code: "food-over-pack",
  units: { have: "L", limit: "L" },
  *find(context) {
    for (const { hiker, leg, row, where } of onLegs(context))
      if (row.volumeL > hiker.packVolumeL)
        yield { severity: "caution", ...where, atM: leg.fromM, have: row.volumeL, limit: hiker.packVolumeL };
  },
});

const legOverTenDays = defineCheck({
  code: "leg-over-ten-days",
  units: { have: "days", limit: "days" },
  *find({ result }) {
    for (const leg of result.legs) {
      const have = Math.max(...leg.hikers.map((hiker) => hiker.food.mealDays));
      if (have > LONGEST_LEG_DAYS)
        yield { severity: "caution", legIndex: leg.index, atM: leg.fromM, have, limit: LONGEST_LEG_DAYS };
    }
  },
});

export const loadChecks = [loadOverComfort, loadOverPack, foodOverPack, legOverTenDays] as const;
