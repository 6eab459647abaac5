import { addWaterBag } from "../../mends/kit.ts";
import { advice, mends } from "../../mends/mend.ts";
import { countOnSource, setOutEarlier, strikeSource } from "../../mends/way.ts";
import { checkWords } from "./words.ts";

export const waterWords = checkWords({
  "carry-over-bottles": {
    mark: "bottles",
    station: "legs",
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
    station: "legs",
    sentence: (check, say) =>
      `${say.L(check.have)} is more than a body should drink in these hours (${say.L(check.limit)}). Some of it is reserve; drink to thirst.`,
    mends: (_, on) => mends(setOutEarlier(on), advice("Walk in the cool hours.")),
  },
  "untrusted-water": {
    mark: "dry",
    station: "trail",
    sentence: (check, say, at) =>
      `${say.way(check.distance)} without trusted water; ${check.source}${at} may have some, and is not counted on.`,
    mends: (check, on) => mends(advice("Ask at the last stop whether it has water."), countOnSource(on, check.source)),
  },
  "source-decides": {
    mark: "decides",
    station: "trail",
    sentence: (check, say, at) =>
      `${check.source}${at} decides over ${say.L(check.have)}: its chance of flowing is ${say.percent(check.chance)}, and who finds it dry has to have them.`,
    mends: (check, on) =>
      mends(strikeSource(on, check.source), advice("Ask at the last stop, and carry past it when nobody knows.")),
  },
});
