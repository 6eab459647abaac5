/** The sentence under a figure of the Why panel: what it is, and what belongs beside it. */
import {
  isoOfDay,
  type Carry,
  type Derivation,
  type Explained,
  type LegHiker,
  type Plan,
  type PlanResult,
} from "@gepack/core";
import { dayMonth, fixed, quantity } from "../units/quantity.ts";
import { derivationLabel } from "./derivations.ts";
import { stopName, waterName } from "./names.ts";

/** Why a leg may have no such figure. */
export const NOTHING: Partial<Record<Explained, string>> = {
  warmth: "No camp on this leg, or no sleeping bag in the kit: nothing to compare.",
  battery: "No devices yet. Add them in Setup, Power.",
};

export function headline(
  why: Explained,
  tree: Derivation,
  plan: Plan,
  result: PlanResult,
  legIndex: number,
  row: LegHiker,
  carryIndex: number,
): string {
  const units = plan.trip.units;
  const leg = result.legs[legIndex]!;
  const kg = (value: number): string => quantity("mass", value, units);
  const km = (node: number): string => quantity("distance", node * result.profile.cellM, units, 0);
  switch (why) {
    case "start":
      return `Leaving ${stopName(plan, leg.fromStopId)}. At most ${kg(row.heaviestKg)} at ${km(row.heaviestNode)}, on average ${kg(row.meanKg)}, arriving with ${kg(row.endKg)}. Worn beside it ${kg(row.kit.wornKg)}.`;
    case "carry": {
      const carry = row.carries[carryIndex];
      if (!carry) return `${derivationLabel(tree)}.`;
      return `${carryPlace(carry, plan, result)} At least ${quantity("volume", carry.litres, units)} when leaving; not more than ${quantity("volume", carry.mostL, units)} drunk in that time.`;
    }
    case "fuel":
      return row.fuel.boils === 0
        ? "No stove, no fuel."
        : `${row.fuel.containers} in the pack on leaving, ${row.fuel.bought} of them new. ${row.fuel.openLasts ? "The open one lasts the leg." : "The open one alone does not last the leg."}`;
    case "warmth":
      return `${row.warmth && row.warmth.marginK < 0 ? "Too cold" : "To spare"} at the coldest camp, ${km(leg.coldestCampNode)}, on the coldest night in ten.`;
    case "pad":
      return `Your pads add up to R ${fixed(row.kit.padR, 1)}.`;
    case "battery": {
      const { flatDay, lowestDay, shortWh } = result.power!.legs[legIndex]!;
      return flatDay === undefined
        ? `At its lowest on ${dayMonth(isoOfDay(lowestDay))}, for the whole party.`
        : `Flat from ${dayMonth(isoOfDay(flatDay))} on, for the whole party: ${fixed(shortWh, 0)} Wh are missing.`;
    }
    case "energy":
      return `${derivationLabel(tree)}, on average of the leg’s days. Body mass on leaving ${kg(row.body.bodyKg)}, by the model.`;
    default:
      return `${derivationLabel(tree)}.`;
  }
}

function carryPlace(carry: Carry, plan: Plan, result: PlanResult): string {
  const units = plan.trip.units;
  return `From ${waterName(carry.fromSourceId, plan)} at ${quantity("distance", carry.fromNode * result.profile.cellM, units, 0)}, ${quantity("distance", carry.distanceM, units, 0)} to ${waterName(carry.toSourceId, plan)}.`;
}
