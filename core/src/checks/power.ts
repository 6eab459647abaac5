/** Batteries that run low or flat before the next socket, and too few spare cells. */
import { isoOfDay } from "../units/day.ts";
import { defineCheck } from "./check.ts";

const LOW_FRACTION = 0.1;

const batteryFlat = defineCheck({
  code: "battery-flat",
  units: { day: "date", short: "Wh" },
  *find({ result }) {
    for (const [legIndex, { shortWh, flatDay, lowestDay }] of (result.power?.legs ?? []).entries())
      if (shortWh > 0)
        yield {
          severity: "caution",
          legIndex,
          atM: result.legs[legIndex]!.fromM,
          day: isoOfDay(flatDay ?? lowestDay),
          short: shortWh,
        };
  },
});

const batteryLow = defineCheck({
  code: "battery-low",
  units: { have: "%", day: "date" },
  *find({ result }) {
    for (const [legIndex, { shortWh, lowestFraction, lowestDay }] of (result.power?.legs ?? []).entries())
      if (shortWh <= 0 && lowestFraction < LOW_FRACTION)
        yield {
          severity: "note",
          legIndex,
          atM: result.legs[legIndex]!.fromM,
          have: 100 * lowestFraction,
          day: isoOfDay(lowestDay),
        };
  },
});

const spareCellsShort = defineCheck({
  code: "spare-cells-short",
  units: { deviceId: "name", device: "name", have: "count", limit: "count" },
  *find({ plan, result }) {
    for (const [legIndex, leg] of (result.power?.legs ?? []).entries())
      for (const { deviceId, haveSets, neededSets } of leg.spare)
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
