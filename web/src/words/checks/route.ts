import { advice, mends } from "../../mends/mend.ts";
import { walkAlternate } from "../../mends/route.ts";
import { checkWords } from "./words.ts";

const RESTS: Record<string, string> = {
  overlaps: "another alternate goes over the same ground",
  "no-track": "its track is not on this device",
  "nothing-left": "nothing of the trail would be left to walk",
};

export const routeWords = checkWords({
  "trail-coarse": {
    mark: "route",
    station: "trail",
    sentence: () => "The trail is made from a table: coarse between its rows, and it lies nowhere on the map.",
    mends: () => [advice("Take a recorded track when you find one: stops, kit and menus stay.")],
  },
  "route-part-rests": {
    mark: "route",
    station: "trail",
    sentence: (check) => `“${check.part}” is left out of account: ${RESTS[check.why] ?? check.why}.`,
    mends: () => [advice("Choose another alternate, or move where it leaves and rejoins.")],
  },
  "closure-ridden": {
    mark: "route",
    station: "trail",
    sentence: (check, say) =>
      `“${check.alternate}” does not go round all of “${check.closure}”: the rest is passed by a ride of ${say.hours(check.hours)}.`,
    mends: () => [
      advice(
        "Move where the alternate leaves and rejoins, or keep the ride. The land manager’s word on a closure goes first.",
      ),
    ],
  },
  "walked-twice": {
    mark: "route",
    station: "trail",
    sentence: (check, say) =>
      `The sections walk ${say.way(check.metres)} twice; places on it count where they are met first.`,
    mends: () => [advice("Let one of the sections begin where the other ends.")],
  },
  "kit-stop-off-route": {
    mark: "kit",
    station: "kit",
    sentence: (check) => `“${check.piece}” changes at ${check.stop}, which this route does not pass.`,
    mends: (check, on) =>
      mends(walkAlternate(on, check.stopId), advice("Or move the change to a stop that is on the route.")),
  },
});
