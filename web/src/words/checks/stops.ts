import { passStop } from "../../mends/way.ts";
import { advice, mends } from "../../mends/mend.ts";
import { checkWords } from "./words.ts";

export const stopWords = checkWords({
  "food-not-sold": {
    mark: "shop",
    station: "trail",
    sentence: (check, say) =>
      `${check.stop} sells no food and takes no post; this plan takes ${say.kg(check.have)} there.`,
    mends: (check, on) =>
      mends(passStop(on, check.stopId), advice("Then the food comes from the stop before. Or say what it offers.")),
  },
  "fuel-not-sold": {
    mark: "fuel",
    station: "trail",
    sentence: (check, say) => `${check.stop} sells no fuel; the leg after it burns ${say.g(check.have)}.`,
    mends: () => [advice("Carry a fuller container from the stop before; most fuel may not be posted.")],
  },
  "piece-not-there": {
    mark: "post",
    station: "kit",
    sentence: (check) => `“${check.piece}” is to be ${check.how} at ${check.stop}, which offers nothing for that.`,
    mends: () => [advice("Move the swap to a stop with a post counter or a shop.")],
  },
  "stops-silent": {
    mark: "offers",
    station: "trail",
    sentence: (check, say) =>
      check.have === 1
        ? `${check.stop} does not say what it offers; food and fuel are taken there all the same.`
        : `${say.number(check.have)} stops, ${check.stop} first, do not say what they offer; food and fuel are taken there all the same.`,
    mends: () => [advice("Tick what they offer in Trail, under Stops.")],
  },
});
