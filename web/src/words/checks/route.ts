import { advice, fixes } from "../../fixes/fix.ts";
import { walkAlternate } from "../../fixes/route.ts";
import { checkWords } from "./words.ts";

const RESTS: Record<string, string> = {
  overlaps: "another alternate covers the same ground",
  "no-track": "its track is not on this device",
  "nothing-left": "nothing of the trail would be left to walk",
};

export const routeWords = checkWords({
  "trail-coarse": {
    mark: "route",
    station: "trail",
    sentence: () => "This trail was made from a table: coarse between rows, and not placed on the map.",
    fixes: () => [advice("Import a recorded track when you find one; stops, kit and menus stay.")],
  },
  "heights-unknown": {
    mark: "route",
    station: "trail",
    sentence: (check, say) =>
      `${say.distance(check.distance)} of this leg have no elevations, so its climb isn’t known. Days may be longer than shown.`,
    fixes: () => [advice("Import a track with elevations in Trail; stops, kit and menus stay.")],
  },
  "route-part-rests": {
    mark: "route",
    station: "trail",
    sentence: (check) => `“${check.part}” is ignored: ${RESTS[check.why] ?? check.why}.`,
    fixes: () => [advice("Choose another alternate, or change where it leaves and rejoins.")],
  },
  "closure-ridden": {
    mark: "route",
    station: "trail",
    sentence: (check, say) =>
      `“${check.alternate}” doesn’t bypass all of “${check.closure}”: a ride of ${say.hours(check.hours)} covers the rest.`,
    fixes: () => [
      advice("Change where the alternate leaves and rejoins, or keep the ride. The land manager decides on closures."),
    ],
  },
  "walked-twice": {
    mark: "route",
    station: "trail",
    sentence: (check, say) =>
      `Your sections walk ${say.distance(check.metres)} twice; places there count the first time you reach them.`,
    fixes: () => [advice("Start one section where the other ends.")],
  },
  "kit-stop-off-route": {
    mark: "kit",
    station: "kit",
    sentence: (check) => `“${check.piece}” changes at ${check.stop}, which isn’t on this route.`,
    fixes: (check, on) => fixes(walkAlternate(on, check.stopId), advice("Or move the change to a stop on the route.")),
  },
});
