/** Snow under foot at the dates of passage, and a season that is not known well. */
import { defineCheck } from "./check.ts";

/** Less is stepped round or over. */
const LEAST_SNOW_M = 1000;

const snowUnderfoot = defineCheck({
  code: "snow-underfoot",
  units: { have: "m", soft: "m" },
  *find({ result }) {
    for (const { index, snowM, softSnowM } of result.legs)
      if (snowM >= LEAST_SNOW_M) yield { severity: "caution", legIndex: index, have: snowM, soft: softSnowM };
  },
});

/** Without rain nobody knows how much snow falls: that of the latitude stands in. */
const rainAssumed = defineCheck({
  code: "rain-assumed",
  units: { have: "count" },
  *find({ plan }) {
    const { stations, snowBy } = plan.climate;
    const without = stations.filter(({ precipMm }) => precipMm === undefined).length;
    if (snowBy === "degree-day" && without > 0) yield { severity: "note", have: without };
  },
});

export const seasonChecks = [snowUnderfoot, rainAssumed] as const;
