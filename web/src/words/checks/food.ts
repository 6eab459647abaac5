import { addHardCanister } from "../../mends/kit.ts";
import { advice, mends } from "../../mends/mend.ts";
import { noShortfall, useStopOnLeg } from "../../mends/way.ts";
import { checkWords } from "./words.ts";

export const foodWords = checkWords({
  "food-below-resting": {
    mark: "hungry",
    station: "food",
    sentence: (check, say) =>
      `The menu gives ${say.kcal(check.have)} a day, less than the ${say.kcal(check.limit)} a body needs at rest.`,
    mends: (check, on) =>
      mends(noShortfall(on, check.hikerId), advice("Take medical advice before you plan so little.")),
  },
  "menu-below-need": {
    mark: "menu",
    station: "food",
    sentence: (check, say) =>
      `The menu of this leg covers ${say.percent(check.have)} of what is burned; under ${say.percent(check.limit)} it is felt, and over weeks it wears one down.`,
    mends: (check, on) =>
      mends(noShortfall(on, check.hikerId), advice("Or let the appetite come at once, in Trip, Need and stove.")),
  },
  "canister-missing": {
    mark: "canister",
    station: "kit",
    sentence: () => "A hard food canister is required on this leg and none is carried.",
    mends: (check, on) => {
      if (check.legIndex === undefined || check.hikerId === undefined) return [];
      const who = on.plan.hikers.findIndex((hiker) => hiker.id === check.hikerId);
      const { startKg: foodKg, bulkKgPerL } = on.result.legs[check.legIndex]!.hikers[who]!.food;
      return mends(
        addHardCanister(on, check.legIndex, check.hikerId, foodKg / bulkKgPerL),
        advice("The land manager says which canisters are allowed."),
      );
    },
  },
  "canister-not-asked": {
    mark: "canister",
    station: "legs",
    sentence: (check) =>
      `${check.stretch === "" ? "A stretch" : `“${check.stretch}”`} asks a hard canister only of who sleeps there, and this plan walks through: none is needed for it.`,
    mends: () => [advice("Plans change on the way: who may have to sleep there carries one.")],
  },
  "fire-ban": {
    mark: "ban",
    station: "legs",
    sentence: (check) =>
      `${check.stretch === "" ? "A fire ban" : `“${check.stretch}”`} lies on this leg in these days, and ${check.fuel === "alcohol" ? "an alcohol stove" : "a stove for tablets"} has no valve to shut: most bans forbid it.`,
    mends: () => [advice("Take gas or cold meals there; what the land manager says goes first.")],
  },
  "food-over-canister": {
    mark: "canister",
    station: "food",
    sentence: (check, say) =>
      `The food takes ${say.L(check.have)}; the hard canister holds ${say.L(check.limit)}. What does not fit has to be eaten on the first days or stored as the land manager says.`,
    mends: (check, on) =>
      mends(
        check.legIndex === undefined ? undefined : useStopOnLeg(on, check.legIndex),
        advice("Take a larger canister."),
      ),
  },
});
