import { advice, fixes } from "../../fixes/fix.ts";
import { noShortfall } from "../../fixes/schedule.ts";
import { checkWords } from "./words.ts";

export const bodyWords = checkWords({
  "deficit-adds-up": {
    mark: "deficit",
    station: "trip",
    sentence: (check, say) =>
      `Your calorie deficit adds up to ${say.kcal(check.have)} by the finish, more than ${say.kcal(check.limit)}: you’ll lose strength. Estimated weight loss: about ${say.kg(check.lost)} (an estimate, not a measurement).`,
    fixes: (check, on) => fixes(noShortfall(on, check.hikerId), advice("Eat more in town.")),
  },
  "fat-too-low": {
    mark: "body",
    station: "trip",
    sentence: (check, say) =>
      `Your body fat would fall to ${say.percent(check.have)} by the finish; below ${say.percent(check.limit)} you can’t stay warm and hormones suffer. Get medical advice.`,
    fixes: (check, on) => fixes(noShortfall(on, check.hikerId)),
  },
  "food-too-dense": {
    mark: "menu",
    station: "trip",
    sentence: (check, say) =>
      `${say.number(check.have, 1)} kcal/g is too high for a menu: only nuts and oil reach ${say.number(check.limit, 1)} kcal/g or more.`,
    fixes: () => [advice("Enter the energy density of the food you actually eat.")],
  },
  "protein-low": {
    mark: "protein",
    station: "trip",
    sentence: (check, say) =>
      `The menu has ${say.number(check.have, 1)} g of protein per kg of body weight a day; ${say.number(check.limit, 1)} g keeps muscle on long hikes.`,
    fixes: () => [advice("Add protein to the menu.")],
  },
  "energy-availability": {
    mark: "energy",
    station: "trip",
    sentence: (check, say) =>
      `From week 4, ${say.kcal(check.have)} per kg of lean body mass are left each day after walking; below ${say.kcal(check.limit)}, bones and hormones suffer. Get medical advice.`,
    fixes: (check, on) => fixes(noShortfall(on, check.hikerId), advice("Eat more, or walk less each day.")),
  },
});
