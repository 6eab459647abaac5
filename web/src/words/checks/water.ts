import { addWaterBag } from "../../mends/kit.ts";
import { advice, mends } from "../../mends/mend.ts";
import { countOnSource, setOutEarlier, strikeSource } from "../../mends/way.ts";
import type { Treatment } from "@gepack/core";
import { WAY_WORDS } from "../water.ts";
import { checkWords } from "./words.ts";

export const waterWords = checkWords({
  "carry-over-bottles": {
    mark: "bottles",
    station: "water",
    sentence: (check, say, at) =>
      `${say.L(check.have)} of water are wanted for ${say.way(check.distance)}${at}; the bottles hold ${say.L(check.limit)}.`,
    mends: (check, on) =>
      mends(
        check.legIndex === undefined || check.hikerId === undefined
          ? undefined
          : addWaterBag(on, check.legIndex, check.hikerId, check.have - check.limit),
        advice("Ask locally about the sources passed by, or camp at the last one and cross early."),
      ),
  },
  "drink-limit": {
    mark: "drink",
    station: "water",
    sentence: (check, say) =>
      `${say.L(check.have)} is more than a body should drink in these hours (${say.L(check.limit)}). Some of it is reserve; drink to thirst.`,
    mends: (_, on) => mends(setOutEarlier(on), advice("Walk in the cool hours.")),
  },
  "untrusted-water": {
    mark: "dry",
    station: "water",
    sentence: (check, say, at) =>
      `${say.way(check.distance)} without trusted water; ${check.source}${at} may have some, and is not counted on.`,
    mends: (check, on) => mends(advice("Ask at the last stop whether it has water."), countOnSource(on, check.source)),
  },
  "source-decides": {
    mark: "decides",
    station: "water",
    sentence: (check, say, at) =>
      `${check.source}${at} decides over ${say.L(check.have)}: its chance of flowing is ${say.percent(check.chance)}, and who finds it dry has to have them.`,
    mends: (check, on) =>
      mends(strikeSource(on, check.source), advice("Ask at the last stop, and carry past it when nobody knows.")),
  },
  "cache-short": {
    mark: "cache",
    station: "water",
    sentence: (check, say, at) =>
      `${check.source}${at} holds ${say.L(check.limit)}, and ${say.L(check.have)} are to be taken there.`,
    mends: () => [advice("Lay more, or carry past it. Take the empty bottles out.")],
  },
  "filter-frost": {
    mark: "frost",
    station: "water",
    sentence: (check, say) =>
      `${check.nights === 1 ? "A night" : `${check.nights} nights`} outside with frost, ${say.C(check.have)} in one of ten: a wet filter that freezes may be broken without a sign.`,
    mends: () => [
      advice("Take it into the quilt with you, in a bag; after a freeze it is replaced."),
      advice("Carry drops or tablets as a second way."),
    ],
  },
  "treatment-used-up": {
    mark: "used",
    station: "water",
    sentence: (check, say) =>
      `The ${WAY_WORDS[check.way as Treatment["way"]]} would be past its ${say.L(check.limit)} on this leg: a new one is wanted where it begins.`,
    mends: () => [advice("Send a new one ahead, or buy it at the stop before; its label says how long it lasts.")],
  },
  "foul-water": {
    mark: "foul",
    station: "water",
    sentence: (check, _say, at) =>
      `${check.source}${at} is foul and treated one way only: ${WAY_WORDS[check.way as Treatment["way"]]}.`,
    mends: () => [advice("Name a second way under Treating it, or carry past it: hollow fibres stop no viruses.")],
  },
  "treating-long": {
    mark: "treating",
    station: "water",
    sentence: (check, say) =>
      `Treating takes ${say.number(check.have)} minutes a day at the water, and the breaks that are planned are ${say.number(check.limit)}.`,
    mends: () => [advice("Let silt settle and flush the filter, take drops while you walk, or plan longer breaks.")],
  },
});
