import { passStop, startLater } from "../../mends/way.ts";
import { advice, mends } from "../../mends/mend.ts";
import { checkWords } from "./words.ts";

/** Another start walks other days: so many in hand, or one comes a day too early again. */
const IN_HAND_DAYS = 2;

export const stopWords = checkWords({
  "stop-out-of-season": {
    mark: "season",
    station: "season",
    sentence: (check, say) =>
      `${check.stop} is closed on ${say.date(check.day)}, when you come; it opens on ${say.date(check.opens)}, ${say.days(check.wait)} later.`,
    mends: (check, on) =>
      mends(
        startLater(on, check.wait + IN_HAND_DAYS),
        passStop(on, check.stopId),
        advice("Ask there before you count on it: seasons move with the snow."),
      ),
  },
  "post-out-of-season": {
    mark: "post",
    station: "season",
    sentence: (check, say) =>
      `The post at ${check.stop} is closed on ${say.date(check.day)}, when you come; it opens on ${say.date(check.opens)}, ${say.days(check.wait)} later.`,
    mends: (check, on) =>
      mends(startLater(on, check.wait + IN_HAND_DAYS), advice("Send to the stop before or after it.")),
  },
  "food-not-sold": {
    mark: "shop",
    station: "trail",
    sentence: (check, say) =>
      `${check.stop} sells no food and takes no post: ${say.kg(check.have)} for the leg after it is carried from ${check.from || "the start"}.`,
    mends: (check, on) => mends(passStop(on, check.stopId), advice("Say in Trail what it offers, if it has more.")),
  },
  "fuel-not-sold": {
    mark: "fuel",
    station: "trail",
    sentence: (check, say) =>
      `${check.stop} sells no fuel: ${say.g(check.have)} for the leg after it is carried from ${check.from || "the start"}.`,
    mends: () => [advice("Most fuel may not be posted. Say in Trail what the stop offers, if it has more.")],
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
