import { addWaterBag } from "../../fixes/kit.ts";
import { advice, fixes } from "../../fixes/fix.ts";
import { assumeWater, countOnSource, dropAssumedWater, setOutEarlier, strikeSource } from "../../fixes/schedule.ts";
import type { Treatment } from "@gepack/core";
import { METHOD_WORDS } from "../water.ts";
import { checkWords } from "./words.ts";

export const waterWords = checkWords({
  "carry-over-bottles": {
    mark: "bottles",
    station: "water",
    sentence: (check, say, at) =>
      `You need ${say.L(check.have)} of water for ${say.distance(check.distance)}${at}; your bottles hold ${say.L(check.limit)}.`,
    fixes: (check, on) =>
      fixes(
        check.legIndex === undefined || check.hikerId === undefined
          ? undefined
          : addWaterBag(on, check.legIndex, check.hikerId, check.have - check.limit),
        advice("Ask locally about the sources you skip, or camp at the last one and cross early."),
      ),
  },
  "water-unknown": {
    mark: "unknown",
    station: "water",
    sentence: (check, say, at) =>
      `${say.L(check.have)} to carry for ${say.distance(check.distance)}${at}. Perhaps your file doesn’t list the water there.`,
    fixes: (check, on) =>
      fixes(
        advice("Look at a map, a guide or ask locally, and add the sources you find."),
        check.legIndex === undefined ? undefined : assumeWater(on, check.legIndex),
      ),
  },
  "water-assumed": {
    mark: "assumed",
    station: "water",
    sentence: (check) =>
      `${check.have === 1 ? "1 source is" : `${check.have} sources are`} assumed. Your life depends on water: find out where it is before you go.`,
    fixes: (_, on) => fixes(dropAssumedWater(on)),
  },
  "drink-limit": {
    mark: "drink",
    station: "water",
    sentence: (check, say) =>
      `${say.L(check.have)} is more than you should drink in these hours (${say.L(check.limit)}). Part of it is reserve; drink to thirst.`,
    fixes: (_, on) => fixes(setOutEarlier(on), advice("Walk in the cool hours.")),
  },
  "untrusted-water": {
    mark: "dry",
    station: "water",
    sentence: (check, say, at) =>
      `${say.distance(check.distance)} without water you can count on; ${check.source}${at} may have some, but isn’t counted.`,
    fixes: (check, on) => fixes(advice("Ask at the last stop whether it has water."), countOnSource(on, check.source)),
  },
  "source-decides": {
    mark: "source",
    station: "water",
    sentence: (check, say, at) =>
      `${check.source}${at} is ${say.percent(check.chance)} likely to be flowing. If it’s dry, you need ${say.L(check.have)} left to reach the next water.`,
    fixes: (check, on) =>
      fixes(strikeSource(on, check.source), advice("Ask at the last stop; if nobody knows, carry past it.")),
  },
  "cache-short": {
    mark: "cache",
    station: "water",
    sentence: (check, say, at) =>
      `${check.source}${at} holds ${say.L(check.limit)}, but the plan takes ${say.L(check.have)} there.`,
    fixes: () => [advice("Stock more, or carry past it. Pack out the empty bottles.")],
  },
  "filter-frost": {
    mark: "frost",
    station: "water",
    sentence: (check, say) =>
      `${check.nights === 1 ? "A night" : `${check.nights} nights`} outside below freezing (${say.C(check.have)} one night in ten): a wet filter that freezes can break without showing it.`,
    fixes: () => [
      advice("Sleep with it in a bag in your quilt; if it froze, replace it."),
      advice("Carry drops or tablets as a backup."),
    ],
  },
  "treatment-used-up": {
    mark: "treatment",
    station: "water",
    sentence: (check, say) =>
      `The ${METHOD_WORDS[check.method as Treatment["method"]]} would exceed its ${say.L(check.limit)} on this leg: start the leg with a new one.`,
    fixes: () => [advice("Send a new one ahead or buy it at the stop before; its label says how long it lasts.")],
  },
  "contaminated-water": {
    mark: "contaminated",
    station: "water",
    sentence: (check, _say, at) =>
      `${check.source}${at} needs double treatment, and you only have ${METHOD_WORDS[check.method as Treatment["method"]]}.`,
    fixes: () => [
      advice("Add a second method under Water treatment, or carry past it: hollow-fibre filters don’t stop viruses."),
    ],
  },
  "treating-long": {
    mark: "treating",
    station: "water",
    sentence: (check, say) =>
      `Treating water takes ${say.number(check.have)} min a day, more than your planned breaks (${say.number(check.limit)} min).`,
    fixes: () => [
      advice("Let silt settle and backflush the filter, let drops work while you walk, or plan longer breaks."),
    ],
  },
});
