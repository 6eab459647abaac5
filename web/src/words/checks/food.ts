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
      mends(noShortfall(on, check.hikerId), advice("Or let the appetite come at once, in Trip, Need.")),
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
  "food-melts": {
    mark: "melts",
    station: "food",
    sentence: (check, say) =>
      `${check.food}: soft from ${say.C(check.limit)} on, and days of ${say.C(check.have)} come on this leg.`,
    mends: () => [advice("Pack it in the middle of the bag, in something tight, or eat another on hot legs.")],
  },
  "food-spoils": {
    mark: "spoils",
    station: "food",
    sentence: (check, say) =>
      `${check.food}: open, it keeps some ${say.days(Math.round(check.limit * 10) / 10)} in the warmth of this leg of ${say.days(Math.round(check.have))}.`,
    mends: () => [
      advice("Eat it on the first days and something dry after them; what smells or looks wrong is not eaten."),
    ],
  },
  "cooked-without-stove": {
    mark: "uncooked",
    station: "food",
    sentence: (check) => `${check.food}: made with boiling water, and no stove is carried.`,
    mends: () => [advice("Choose a menu that is soaked or eaten as it is, or a stove in Power.")],
  },
  "salt-low": {
    mark: "salt",
    station: "food",
    sentence: (check, say) =>
      `The menu brings ${say.number(check.have, 1)} g of sodium a day; sweat in this warmth may take ${say.number(check.limit, 1)} g in the mean of people.`,
    mends: () => [
      advice("Take something salty on the way. Salt does not make up for drinking too much: drink to thirst."),
      advice("Who was told to eat little salt asks a doctor first."),
    ],
  },
  "menu-not-sold": {
    mark: "unsold",
    station: "food",
    sentence: (check, say) =>
      `${check.food}: ${say.g(check.have)} that a shop like the one at this stop does not have.`,
    mends: () => [advice("Send a box there, in Stops, or fill the bag from what is sold, in Food.")],
  },
});
