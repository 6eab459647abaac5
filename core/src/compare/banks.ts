/** Which legs want each bank: those that run flat without it, by the true model. */
import type { Plan } from "../plan/schema.ts";
import type { TripFigures } from "../result/result.ts";
import { shortByLeg } from "./switchOff.ts";

export interface BankLegs {
  deviceId: string;
  /** Legs on which something is missing without it, and with it there. */
  wantedOn: number[];
  missingStill: number[];
  /** It is in the pack on them, and nobody would miss it. */
  idleOn: number[];
}

/** Of banks that are pieces of kit the legs on which they are carried; others are always there. */
export function* bankLegs(plan: Plan, now: TripFigures, compute: (plan: Plan) => TripFigures): Generator<BankLegs> {
  const flat = (figures: TripFigures): Set<number> =>
    new Set(shortByLeg(figures).flatMap((shortWh, leg) => (shortWh > 0 ? [leg] : [])));
  const flatNow = flat(now);
  for (const { id: deviceId, kind, pieceId } of plan.devices) {
    if (kind !== "bank") continue;
    const without = flat(compute({ ...plan, devices: plan.devices.filter(({ id }) => id !== deviceId) }));
    const piece = plan.kit.findIndex(({ id }) => id === pieceId);
    const isCarried = (leg: number): boolean => piece < 0 || now.carrier[piece * now.legs.length + leg]! >= 0;
    const carriedOn = now.legs.map(({ index }) => index).filter(isCarried);
    // Charge that one leg leaves is there on the next, so that it may be wanted on one and missed on another.
    const wantedOn = [...without].filter((leg) => !flatNow.has(leg)).sort((a, b) => a - b);
    yield {
      deviceId,
      wantedOn,
      missingStill: [...flatNow].filter((leg) => carriedOn.includes(leg)).sort((a, b) => a - b),
      idleOn: carriedOn.filter((leg) => !without.has(leg)),
    };
  }
}
