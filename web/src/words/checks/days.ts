import { advice, mends } from "../../mends/mend.ts";
import { fewerZeros, startEarlier, useStopOnLeg } from "../../mends/way.ts";
import { checkWords } from "./words.ts";

export const daysWords = checkWords({
  "finish-late": {
    mark: "late",
    station: "trip",
    sentence: (check, say) =>
      `Arrival on ${say.date(check.have)} is ${say.days(check.late)} after the wanted ${say.date(check.limit)}.`,
    mends: (check, on) =>
      mends(startEarlier(on, check.late), fewerZeros(on), advice("Or walk more hours a day, in Trip, Days.")),
  },
  "camp-forbidden": {
    mark: "camp",
    station: "legs",
    sentence: (check, say) =>
      `The night of ${say.date(check.day)} falls where camping is forbidden, and no allowed place is in reach.`,
    mends: (check, on) =>
      mends(
        check.legIndex === undefined ? undefined : useStopOnLeg(on, check.legIndex),
        advice("Walk more hours that day, or list a camp before it."),
      ),
  },
  "heights-missing": {
    mark: "heights",
    station: "trail",
    sentence: () => "The track has no heights: climb, cold and pace are worked out as if it were flat.",
    mends: () => [advice("Use a track with heights.")],
  },
  "not-settled": {
    mark: "rough",
    station: "legs",
    sentence: (check, say) => `Weights still moved by ${say.g(check.move)} when the calculation stopped.`,
    mends: () => [],
  },
});
