import { addHardCanister } from "../../fixes/kit.ts";
import { advice, fixes } from "../../fixes/fix.ts";
import { noShortfall, useStopOnLeg } from "../../fixes/schedule.ts";
import { checkWords } from "./words.ts";

export const foodWords = checkWords({
  "food-below-resting": {
    mark: "energy",
    station: "food",
    sentence: (check, say) =>
      `The menu gives ${say.kcal(check.have)} a day, less than the ${say.kcal(check.limit)} your body needs at rest.`,
    fixes: (check, on) =>
      fixes(noShortfall(on, check.hikerId), advice("Get medical advice before you plan to eat this little.")),
  },
  "menu-below-need": {
    mark: "menu",
    station: "food",
    sentence: (check, say) =>
      `The menu on this leg covers ${say.percent(check.have)} of what you burn; below ${say.percent(check.limit)} you’ll feel it, and over weeks it wears you down.`,
    fixes: (check, on) =>
      fixes(
        noShortfall(on, check.hikerId),
        advice("Or set Appetite to “full from the first day” in Setup, Energy need."),
      ),
  },
  "canister-missing": {
    mark: "canister",
    station: "kit",
    sentence: () => "This leg requires a bear canister and you carry none.",
    fixes: (check, on) => {
      if (check.legIndex === undefined || check.hikerId === undefined) return [];
      const who = on.plan.hikers.findIndex((hiker) => hiker.id === check.hikerId);
      const { startKg: foodKg, bulkKgPerL } = on.result.legs[check.legIndex]!.hikers[who]!.food;
      return fixes(
        addHardCanister(on, check.legIndex, check.hikerId, foodKg / bulkKgPerL),
        advice("Check with the land manager which canisters are approved."),
      );
    },
  },
  "canister-if-camping": {
    mark: "canister",
    station: "legs",
    sentence: (check) =>
      `${check.stretch === "" ? "A stretch" : `“${check.stretch}”`} requires a bear canister only if you camp there, and your plan walks through.`,
    fixes: () => [advice("Plans change: if you might have to camp there, carry one.")],
  },
  "fire-ban": {
    mark: "ban",
    station: "legs",
    sentence: (check) =>
      `${check.stretch === "" ? "A fire ban" : `“${check.stretch}”`} applies on this leg on these dates; ${check.fuel === "alcohol" ? "an alcohol stove" : "a tablet stove"} has no shut-off valve, and most bans forbid it.`,
    fixes: () => [advice("Use gas or eat cold there; the land manager’s rules come first.")],
  },
  "food-over-canister": {
    mark: "canister",
    station: "food",
    sentence: (check, say) =>
      `Your food takes up ${say.L(check.have)}; the bear canister holds ${say.L(check.limit)}. Eat what doesn’t fit on the first days, or store it as the land manager requires.`,
    fixes: (check, on) =>
      fixes(
        check.legIndex === undefined ? undefined : useStopOnLeg(on, check.legIndex),
        advice("Take a larger bear canister."),
      ),
  },
  "food-melts": {
    mark: "melts",
    station: "food",
    sentence: (check, say) =>
      `${check.food} softens above ${say.C(check.limit)}; this leg has days of ${say.C(check.have)}.`,
    fixes: () => [advice("Pack it in the middle of the pack in something sealed, or eat something else on hot legs.")],
  },
  "food-spoils": {
    mark: "spoils",
    station: "food",
    sentence: (check, say) =>
      `${check.food} keeps about ${say.days(Math.round(check.limit * 10) / 10)} once open in this warmth; the leg takes ${say.days(Math.round(check.have))}.`,
    fixes: () => [
      advice("Eat it on the first days, then something dry. Don’t eat anything that smells or looks wrong."),
    ],
  },
  "cooked-without-stove": {
    mark: "uncooked",
    station: "food",
    sentence: (check) => `${check.food} needs boiling water, and you carry no stove.`,
    fixes: () => [advice("Choose a menu you can soak or eat as is, or add a stove in Fuel & power.")],
  },
  "salt-low": {
    mark: "salt",
    station: "food",
    sentence: (check, say) =>
      `The menu has ${say.number(check.have, 1)} g of sodium a day; in this heat people sweat out ${say.number(check.limit, 1)} g on average.`,
    fixes: () => [
      advice("Bring something salty. Salt doesn’t make up for drinking too much: drink to thirst."),
      advice("If you’re on a low-salt diet, ask your doctor first."),
    ],
  },
  "menu-not-sold": {
    mark: "shop",
    station: "food",
    sentence: (check, say) => `${check.food}: a shop of this size won’t have the ${say.g(check.have)} you need.`,
    fixes: () => [advice("Mail a box there (Stops), or fill the food bag with what is sold (Food).")],
  },
});
