/** Batteries that run low or flat before the next socket, and too few spare cells. */
import { isoOfDay } from "../units/day.ts";
import { defineCheck, type CheckContext } from "./check.ts";

const LOW_FRACTION = 0.1;

/** Every leg of every store, and whose it is where each has an own one. */
function* storeLegs({ result: { power } }: CheckContext) {
  for (const { hikerId, legs } of power?.stores ?? [])
    for (const [legIndex, leg] of legs.entries())
      yield { legIndex, whose: hikerId === undefined ? {} : { hikerId }, ...leg };
}

const batteryFlat = defineCheck({
  code: "battery-flat",
  units: { day: "date", short: "Wh" },
  *find(context) {
    const { result } = context;
    for (const { legIndex, whose, shortWh, flatDay, lowestDay } of storeLegs(context))
      if (shortWh > 0)
        yield {
          severity: "caution",
          legIndex,
          ...whose,
          atM: result.legs[legIndex]!.fromM,
          day: isoOfDay(flatDay ?? lowestDay),
          short: shortWh,
        };
  },
});

const batteryLow = defineCheck({
  code: "battery-low",
  units: { have: "%", day: "date" },
  *find(context) {
    const { result } = context;
    for (const { legIndex, whose, shortWh, lowestFraction, lowestDay } of storeLegs(context))
      if (shortWh <= 0 && lowestFraction < LOW_FRACTION)
        yield {
          severity: "note",
          legIndex,
          ...whose,
          atM: result.legs[legIndex]!.fromM,
          have: 100 * lowestFraction,
          day: isoOfDay(lowestDay),
        };
  },
});

const spareCellsShort = defineCheck({
  code: "spare-cells-short",
  units: { deviceId: "name", device: "name", have: "count", limit: "count" },
  *find(context) {
    const { plan, result } = context;
    for (const { legIndex, spare } of storeLegs(context))
      for (const { deviceId, haveSets, neededSets } of spare)
        yield {
          severity: "caution",
          legIndex,
          atM: result.legs[legIndex]!.fromM,
          deviceId,
          device: plan.devices.find((device) => device.id === deviceId)?.name ?? deviceId,
          have: haveSets,
          limit: neededSets,
        };
  },
});

export const powerChecks = [batteryFlat, batteryLow, spareCellsShort] as const;
