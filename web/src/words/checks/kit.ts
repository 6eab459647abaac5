import { meetDemand, nextPairs, postAndSendHome, takeFromShelf, useStop } from "../../fixes/kit.ts";
import { advice, fixes } from "../../fixes/fix.ts";
import type { DemandKind } from "@gepack/core";
import { ASKS_FOR, DEMAND_WORDS } from "../kit.ts";
import { checkWords } from "./words.ts";

export const kitWords = checkWords({
  "kit-piece-twice": {
    mark: "kit",
    station: "kit",
    sentence: (check) => `“${check.piece}” is in two places at once: it’s listed twice on some legs.`,
    fixes: () => [advice("Change where one of the two ends.")],
  },
  "kit-piece-gap": {
    mark: "kit",
    station: "kit",
    sentence: (check) =>
      `“${check.piece}” goes missing for a while: nothing says how it gets into your pack or where it goes.`,
    fixes: (check, on) => fixes(postAndSendHome(on, check.pieceId), advice("Or change where it ends.")),
  },
  "kit-stop-gone": {
    mark: "kit",
    station: "kit",
    sentence: (check) => `“${check.piece}” changes at ${check.stop}, a stop that no longer exists.`,
    fixes: () => [advice("Choose a stop that exists.")],
  },
  "kit-stop-unused": {
    mark: "kit",
    station: "kit",
    sentence: (check) => `“${check.piece}” changes at ${check.stop}, where you don’t stop.`,
    fixes: (check, on) => fixes(useStop(on, check.stopId), advice("Or move the swap to another stop.")),
  },
  "kit-role-gap": {
    mark: "kit",
    station: "kit",
    sentence: (check) => `No ${check.role} on this leg.`,
    fixes: (check, on) =>
      fixes(takeFromShelf(on, check.role, check.hikerId), advice("Add the item, or extend where one is carried.")),
  },
  "shoes-worn-out": {
    mark: "shoes",
    station: "kit",
    sentence: (check, say) =>
      `“${check.piece}” would be worn like ${say.distance(check.have)} on even trail: ${say.percent(check.chance)} likely to wear out before you change them.`,
    fixes: (check, on) => fixes(nextPairs(on, check.pieceId), advice("Or send a pair ahead: see Wear in Kit.")),
  },
  "kit-uncovered": {
    mark: "missing",
    station: "kit",
    sentence: (check, _say, at) =>
      `${DEMAND_WORDS[check.demand as DemandKind]}: nothing in your kit covers it${at}${check.legs > 1 ? ` and on ${check.legs - 1} more ${check.legs === 2 ? "leg" : "legs"}` : ""}.`,
    fixes: (check, on) => [
      ...(check.hikerId === undefined ? [] : meetDemand(on, check.demand as DemandKind, check.hikerId)),
      advice(`Take ${ASKS_FOR[check.demand as DemandKind]}, or waive it under Requirements if you know better.`),
    ],
  },
});
