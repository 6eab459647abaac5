import { meetDemand, postAndSendHome, takeFromShelf, useStop } from "../../mends/kit.ts";
import { advice, mends } from "../../mends/mend.ts";
import type { DemandKind } from "@gepack/core";
import { ASKS_FOR, DEMAND_WORDS } from "../kit.ts";
import { checkWords } from "./words.ts";

export const kitWords = checkWords({
  "kit-piece-twice": {
    mark: "kit",
    station: "kit",
    sentence: (check) => `“${check.piece}” is in two places at once: two of its spans overlap.`,
    mends: () => [advice("Move the end of one of its spans.")],
  },
  "kit-piece-gap": {
    mark: "kit",
    station: "kit",
    sentence: (check) =>
      `“${check.piece}” is nowhere for a while: its span does not say how it comes into the pack or where it goes.`,
    mends: (check, on) => mends(postAndSendHome(on, check.pieceId), advice("Or move the span’s end.")),
  },
  "kit-stop-gone": {
    mark: "kit",
    station: "kit",
    sentence: (check) => `“${check.piece}” changes at a stop that is gone (${check.stop}).`,
    mends: () => [advice("Move the span’s end to a stop that is there.")],
  },
  "kit-stop-unused": {
    mark: "kit",
    station: "kit",
    sentence: (check) => `“${check.piece}” changes at ${check.stop}, where this plan does not stop.`,
    mends: (check, on) => mends(useStop(on, check.stopId), advice("Or move the swap to another stop.")),
  },
  "kit-role-gap": {
    mark: "kit",
    station: "kit",
    sentence: (check) => `No ${check.role} on this leg.`,
    mends: (check, on) =>
      mends(takeFromShelf(on, check.role, check.hikerId), advice("Add the piece, or move a span’s end.")),
  },
  "kit-uncovered": {
    mark: "cover",
    station: "kit",
    sentence: (check, _say, at) =>
      `${DEMAND_WORDS[check.demand as DemandKind]}: no piece for it${at}${check.legs > 1 ? ` and on ${check.legs - 1} more ${check.legs === 2 ? "leg" : "legs"}` : ""}.`,
    mends: (check, on) => [
      ...(check.hikerId === undefined ? [] : meetDemand(on, check.demand as DemandKind, check.hikerId)),
      advice(`Take ${ASKS_FOR[check.demand as DemandKind]}, or lift the demand under Demands where you know better.`),
    ],
  },
});
