/** What to switch off so that the charge lasts: devices dropped one after the other, each step by the true model. */
import type { Device, Plan } from "../plan/schema.ts";
import type { TripFigures } from "../result/result.ts";

export interface SwitchedOff {
  /** In the order in which they are dropped; none in the first row. */
  deviceIds: string[];
  /** Legs on which something is missing still, and how much in all. */
  flatLegs: number[];
  shortWh: number;
}

/** Of a usual day; so many hours are walked [L]. */
function usedWh({ whPerDay, whPerWalkH }: Device): number {
  const WALKED_H = 7;
  return whPerDay + WALKED_H * whPerWalkH;
}

/** Missing by leg, in all stores. */
export function shortByLeg({ power, legs }: TripFigures): number[] {
  const stores = power?.stores ?? [];
  return legs.map(({ index }) => stores.reduce((sum, store) => sum + store.legs[index]!.shortWh, 0));
}

/**
 * In the order of their ranks, where any has one: the others stay on. Without ranks those that take most come first.
 */
export function givenUp(devices: readonly Device[]): Device[] {
  const using = devices.filter((device) => device.kind === "rechargeable" && usedWh(device) > 0);
  const ranked = using.filter(({ offRank }) => offRank !== undefined);
  if (ranked.length > 0) return ranked.sort((a, b) => a.offRank! - b.offRank!);
  return using.sort((a, b) => b.count * usedWh(b) - a.count * usedWh(a));
}

/** Until nothing is missing, or nothing is left to be dropped. */
export function* switchOffs(plan: Plan, compute: (plan: Plan) => TripFigures): Generator<SwitchedOff> {
  const order = givenUp(plan.devices);
  for (let k = 0; k <= order.length; k++) {
    const off = new Set(order.slice(0, k).map(({ id }) => id));
    const devices = plan.devices.map((device) =>
      off.has(device.id) ? { ...device, whPerDay: 0, whPerWalkH: 0 } : device,
    );
    const shortWh = shortByLeg(compute({ ...plan, devices }));
    const flatLegs = shortWh.flatMap((short, leg) => (short > 0 ? [leg] : []));
    yield { deviceIds: [...off], flatLegs, shortWh: shortWh.reduce((sum, short) => sum + short, 0) };
    if (flatLegs.length === 0) return;
  }
}
