/** What the bottles have to hold, on a leg and ever; the lightest that do; what one dry source would want. */
import {
  bottlesLess,
  bottlesOf,
  leastBottles,
  litreKgKm,
  type LegResult,
  type Plan,
  type PlanResult,
} from "@gepack/core";
import { waterName } from "../../words/names.ts";
import type { Say } from "../../words/say.ts";
import { worstOf } from "./rows.ts";

interface Given {
  plan: Plan;
  result: PlanResult;
  leg: LegResult;
  who: number;
  say: Say;
}

export function capacityWords(given: Given): string {
  const { plan, result, leg, who, say } = given;
  const ever = result.legs.reduce((a, b) => (mostOf(b, who) > mostOf(a, who) ? b : a), leg);
  const worst = worstOf(leg.hikers[who]!.carries);
  const { bottleL } = leg.hikers[who]!.kit;
  const here = `Your bottles hold ${say.L(bottleL)}; this leg needs up to ${say.L(mostOf(leg, who))}`;
  const all =
    ever === leg ? ", the most on the hike" : `, the hike up to ${say.L(mostOf(ever, who))} on leg ${ever.index + 1}`;
  const dry = worst?.ifDry
    ? ` Worst case if one source is dry: without ${waterName(worst.toSourceId, plan)} you need ${say.L(worst.ifDry.litres)}.`
    : "";
  return `${here}${all}.${dry}${bottleWords(given)}${lessWords(given)}`;
}

function mostOf({ hikers }: LegResult, who: number): number {
  return Math.max(0, ...hikers[who]!.carries.map(({ litres }) => litres));
}

/** Of all bottles that the hiker lists, on this leg or not. */
function bottleWords({ plan, result, leg, who, say }: Given): string {
  const hiker = plan.hikers[who]!;
  const own = bottlesOf(plan, hiker.id);
  const litre = litreKgKm(plan, result, hiker.id);
  if (litre === undefined) return "";
  const perLitre = ` One litre of bottle capacity carried over the whole hike costs ${say.carried(litre)}.`;
  const least = leastBottles(own, mostOf(leg, who));
  if (!least) return ` All of them together hold less than that.${perLitre}`;
  const names = [...new Set(least.pieceIds)].map((id) => {
    const times = least.pieceIds.filter((other) => other === id).length;
    const name = own.find((piece) => piece.id === id)!.name;
    return times > 1 ? `${times} × ${name}` : name;
  });
  return ` Lightest combination that holds it: ${names.join(", ")}, ${say.g(least.massG)}.${perLitre}`;
}

/** The bottle that would be missed least. */
function lessWords({ plan, result, who, say }: Given): string {
  const [least, ...others] = bottlesLess(plan, result, plan.hikers[who]!.id).sort(
    (a, b) => a.shortOn.length - b.shortOn.length,
  );
  if (!least || others.length === 0) return "";
  const { name, massG } = plan.kit.find(({ id }) => id === least.pieceId)!;
  const legs = least.shortOn.map((leg) => leg + 1).join(", ");
  if (least.shortOn.length === 0)
    return ` You could leave one ${name} (${say.g(massG)}) at home: every leg still has enough capacity.`;
  return ` Without one ${name} (${say.g(massG)}) your bottles would be too small on leg ${legs}.`;
}
