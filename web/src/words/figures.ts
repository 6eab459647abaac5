/**
 * The words of every figure that can be asked why: its name on a button, the sentence under it, what stands
 * where a leg has none, and the caution that belongs beside it. A figure without words does not compile.
 */
import {
  isoOfDay,
  storeOf,
  type Carry,
  type Derivation,
  type Explained,
  type Hiker,
  type LegHiker,
  type LegResult,
  type Plan,
  type PlanResult,
} from "@gepack/core";
import { KEEP_VITAL, LOAD_HURTS } from "./cautions.ts";
import { derivationLabel } from "./derivations.ts";
import { stopName, waterName } from "./names.ts";
import { sayIn, type Say } from "./say.ts";

/** What is asked, of whom, on which leg. */
export interface FigureContext {
  plan: Plan;
  result: PlanResult;
  leg: LegResult;
  row: LegHiker;
  hiker: Hiker;
  carryIndex: number;
}

interface FigureWords {
  tab: string;
  caution: string;
  /** Under the figure; its label where there is nothing more to say. */
  headline?: (context: FigureContext, say: Say) => string;
  /** A warning in red beside it. */
  warning?: (context: FigureContext, say: Say) => string | undefined;
  /** Why a leg may have no such figure. */
  nothing?: string;
}

const km = ({ result }: FigureContext, node: number, say: Say): string => say.distance(node * result.profile.cellM);

export const FIGURE_WORDS: Record<Explained, FigureWords> = {
  start: {
    tab: "Pack",
    caution: `${LOAD_HURTS} Rules of thumb aren’t medical advice.`,
    headline: (context, say) =>
      `Leaving ${stopName(context.plan, context.leg.fromStopId)}. Heaviest ${say.kg(context.row.heaviestKg)} at ${km(context, context.row.heaviestNode, say)}, average ${say.kg(context.row.meanKg)}, on arrival ${say.kg(context.row.endKg)}. Worn in addition: ${say.kg(context.row.kit.wornKg)}.`,
    warning: ({ row, hiker }, say) => {
      const overKg = row.startKg - hiker.packComfortKg;
      return overKg > 0.05 ? `${say.kg(overKg)} over your comfortable load.` : undefined;
    },
  },
  base: {
    tab: "Base",
    caution: `You can’t use what you left at home. ${KEEP_VITAL}`,
  },
  food: {
    tab: "Food",
    caution: "Long deficits cost muscle and warmth. If you lose weight fast, eat more and get medical advice.",
  },
  carry: {
    tab: "Carry",
    caution:
      "Any source may be dry today: ask locally. Treat what you drink. Drinking far beyond thirst is dangerous too.",
    headline: (context, say) => {
      const carry = context.row.carries[context.carryIndex];
      if (!carry) return "Water to carry.";
      return `${carryPlace(carry, context, say)} At least ${say.L(carry.litres)} when leaving; drink no more than ${say.L(carry.mostL)} in that time.`;
    },
  },
  fuel: {
    tab: "Fuel",
    caution: "Stoves burn oxygen and give off carbon monoxide: never use one in a closed tent. Fire bans come first.",
    headline: ({ row: { fuel } }) =>
      fuel.boils === 0
        ? "No stove, no fuel."
        : `${fuel.containers} in the pack when leaving, ${fuel.bought} of them new. ${fuel.openLasts ? "The open one lasts the leg." : "The open one won’t last the leg on its own."}`,
  },
  energy: {
    tab: "Energy",
    caution: "People differ by 25 % and more. Measure yourself on a trial hike.",
    headline: ({ row }, say) =>
      `Average per day on this leg. Modelled body weight when leaving: ${say.kg(row.body.bodyKg)}.`,
  },
  days: {
    tab: "Days",
    caution: "Weather, fords and snow set the pace on the day. Turn back in time.",
  },
  arrival: {
    tab: "Arrival",
    caution: "A plan is not a forecast. Tell someone when to raise the alarm, and keep spare days.",
  },
  speed: {
    tab: "Speed",
    caution: "Average over 100 m, on the day you pass. Snow, fords and scree can stop you altogether.",
  },
  warmth: {
    tab: "Warmth",
    caution:
      "One night in ten is colder than this, and valleys colder still. Damp down, hunger and a thin pad make it worse.",
    headline: (context, say) =>
      `${context.row.warmth && context.row.warmth.marginK < 0 ? "Too cold" : "Margin"} at the coldest camp, ${km(context, context.leg.coldestCampNode, say)}, on the coldest night in ten.`,
    nothing: "No camp on this leg, or no sleeping bag in your kit: nothing to compare.",
  },
  pad: {
    tab: "Pad",
    caution: "Cold from below is what wakes most people. The conversion is a rule of thumb.",
    headline: ({ row }, say) => `Your pads add up to ${say.R(row.sleep.padR)}.`,
  },
  battery: {
    tab: "Battery",
    caution: "Don’t stake a rescue call on one battery: keep one device charged and warm.",
    headline: ({ result, row, leg }, say) => {
      const store = storeOf(result.power!, row.hikerId)!;
      const { flatDay, lowestDay, shortWh } = store.legs[leg.index]!;
      const whose = store.hikerId === undefined ? ", for the whole party" : "";
      if (flatDay === undefined) return `Lowest on ${say.date(isoOfDay(lowestDay))}${whose}.`;
      const missing = shortWh < 1 ? "less than 1 Wh is" : `${say.number(shortWh)} Wh are`;
      return `Flat from ${say.date(isoOfDay(flatDay))}${whose}: ${missing} short.`;
    },
    nothing: "No devices yet. Add them in Fuel & power.",
  },
};

export function headline(why: Explained, tree: Derivation, context: FigureContext): string {
  return FIGURE_WORDS[why].headline?.(context, sayIn(context.plan)) ?? `${derivationLabel(tree)}.`;
}

function carryPlace(carry: Carry, context: FigureContext, say: Say): string {
  const from = waterName(carry.fromSourceId, context.plan);
  return `From ${from} at ${km(context, carry.fromNode, say)}, ${say.distance(carry.distanceM)} to ${waterName(carry.toSourceId, context.plan)}.`;
}
