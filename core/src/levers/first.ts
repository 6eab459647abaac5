/** The choices that change a first plan most: food and water that may be where the files name none, tried as whole plans. */
import type { Plan } from "../plan/schema.ts";
import type { LegResult } from "../result/result.ts";
import { guessSea } from "../season/simulated.ts";
import type { PlanResult, Session } from "../session/session.ts";
import { isWalked, nodeOf, placeAt, walkedOf } from "../track/place.ts";
import type { WalkedM } from "../units/lengths.ts";
import { assumedBetween, assumedEveryM } from "../water/assumed.ts";
import { withLever, type Lever } from "./lever.ts";
import { figuresIn, newChecks } from "./pull.ts";
import type { Check } from "../checks/index.ts";

export interface FirstChoice {
  lever: Lever;
  /** The leg that it lightens, as the plan stands. */
  legIndex: number;
  beforeKg: number;
  afterKg: number;
  /** Checks of a kind that the plan had nowhere before. */
  breaks: Check[];
  /** The way without water, in walking order, where it is about one. */
  dry: { fromM: WalkedM; toM: WalkedM } | undefined;
}

/** So many of the heaviest legs are looked at, and so many stops on each: each is a plan of its own. */
const MOST_LEGS = 4;
const MOST_STOPS = 2;
const MOST_CHOICES = 3;
/** Less is no choice that changes a plan. */
const LEAST_KG = 0.5;
/** On a leg so long a house is rather sent a box; on a shorter one somebody there sells food [L]. */
const REMOTE_DAYS = 4;
/** A carry that is worth asking about. */
const LONG_L = 3.5;

/** Water on the longest dry way of a leg for one hiker, at steps that are usual in the region; none where it is short. */
export function waterOn(
  { sources }: Plan,
  { profile, legs }: PlanResult,
  legIndex: number,
  who: number,
): Lever | undefined {
  const row = legs[legIndex]?.hikers[who];
  const carry = row?.carries[row.largestCarry];
  if (!carry) return undefined;
  const [from, to] = [walkedOf(profile, carry.fromNode), walkedOf(profile, carry.toNode)];
  const everyM = assumedEveryM(profile.latDeg[carry.fromNode]!, guessSea(profile));
  const taken = new Set(sources.map(({ id }) => id));
  const places = assumedBetween(from, to, everyM)
    .map((m) => placeAt(profile, m as WalkedM))
    .map((place) => ({
      ...place,
      id: `assumed-${place.alternateId ?? "main"}-${Math.round(place.trackM)}`.slice(0, 80),
    }))
    .filter(({ id }) => !taken.has(id));
  return places.length === 0 ? undefined : { kind: "assume-water", places };
}

/** Stops on a leg that are not used, the nearest to its middle first, each by what it would have to have. */
function stopsOn({ stops }: Plan, { profile }: PlanResult, leg: LegResult): Lever[] {
  const middle = (leg.fromNode + leg.toNode) / 2;
  return stops
    .filter((stop) => !stop.use && !stop.locked && isWalked(profile, stop))
    .map((stop) => ({ stop, node: nodeOf(profile, stop) }))
    .filter(({ node }) => node > leg.fromNode && node < leg.toNode)
    .sort((a, b) => Math.abs(a.node - middle) - Math.abs(b.node - middle))
    .slice(0, MOST_STOPS)
    .map(({ stop: { id: stopId, services } }): Lever => {
      if (services.some((one) => one.startsWith("shop") || one === "post")) return { kind: "use", stopId };
      return { kind: services.includes("bed") && leg.dayCount >= REMOTE_DAYS ? "mail-to" : "shop-at", stopId };
    });
}

/** Choice after choice that lightens a pack, as each is computed. `bestChoices` picks those that are shown. */
export function* firstChoices(
  plan: Plan,
  who: number,
  { compute, figures }: Pick<Session, "compute" | "figures">,
): Generator<FirstChoice> {
  const hikerId = plan.hikers[who]!.id;
  const now = compute(plan);
  const known = new Set(now.checks.map(({ code }) => code));
  const kgOf = (leg: LegResult): number => leg.hikers[who]!.heaviestKg;
  const heaviest = [...now.legs].sort((a, b) => kgOf(b) - kgOf(a)).slice(0, MOST_LEGS);
  for (const leg of heaviest) {
    const row = leg.hikers[who]!;
    const isDry = (row.carries[row.largestCarry]?.litres ?? 0) > LONG_L;
    const water = isDry ? waterOn(plan, now, leg.index, who) : undefined;
    for (const lever of [...stopsOn(plan, now, leg), ...(water ? [water] : [])]) {
      const other = withLever(plan, hikerId, lever);
      const afterKg = figuresIn(other, figures(other), who, "leg", leg).legKg;
      if (kgOf(leg) - afterKg < LEAST_KG) continue;
      const carry = lever === water ? row.carries[row.largestCarry] : undefined;
      const dry = carry && { fromM: walkedOf(now.profile, carry.fromNode), toM: walkedOf(now.profile, carry.toNode) };
      yield {
        lever,
        legIndex: leg.index,
        beforeKg: kgOf(leg),
        afterKg,
        dry,
        breaks: newChecks(now, compute(other)).filter(({ code }) => !known.has(code)),
      };
    }
  }
}

/** The best of each leg and kind, by what they lighten. */
export function bestChoices(found: readonly FirstChoice[]): FirstChoice[] {
  const taken = new Set<string>();
  return [...found]
    .sort((a, b) => b.beforeKg - b.afterKg - (a.beforeKg - a.afterKg))
    .filter(({ legIndex, lever }) => {
      const key = `${legIndex} ${lever.kind === "assume-water"}`;
      if (taken.has(key)) return false;
      taken.add(key);
      return true;
    })
    .slice(0, MOST_CHOICES);
}
