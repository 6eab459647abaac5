import { advice, mends } from "../../mends/mend.ts";
import { noShortfall } from "../../mends/way.ts";
import { checkWords } from "./words.ts";

export const bodyWords = checkWords({
  "deficit-adds-up": {
    mark: "deficit",
    station: "trip",
    sentence: (check, say) =>
      `Deficits add up to ${say.kcal(check.have)} by the finish, beyond ${say.kcal(check.limit)}: strength falls. About ${say.kg(check.lost)} of body mass would go, and it is guessed, not known.`,
    mends: (check, on) => mends(noShortfall(on, check.hikerId), advice("Eat more in town.")),
  },
  "fat-too-low": {
    mark: "body",
    station: "trip",
    sentence: (check, say) =>
      `Body fat would fall to ${say.percent(check.have)} by the finish; below ${say.percent(check.limit)} warmth and hormones fail. Take medical advice.`,
    mends: (check, on) => mends(noShortfall(on, check.hikerId)),
  },
  "food-too-dense": {
    mark: "menu",
    station: "trip",
    sentence: (check, say) =>
      `A menu of ${say.number(check.have, 1)} kcal/g is implausible: nuts and oil alone reach ${say.number(check.limit, 1)} kcal/g and more.`,
    mends: () => [advice("Enter the energy density of what you really eat.")],
  },
  "protein-low": {
    mark: "protein",
    station: "trip",
    sentence: (check, say) =>
      `The menu holds ${say.number(check.have, 1)} g of protein a day and kilogram of body; ${say.number(check.limit, 1)} g keep muscle on long walks.`,
    mends: () => [advice("Put more protein into the menu.")],
  },
  "energy-availability": {
    mark: "hungry",
    station: "trip",
    sentence: (check, say) =>
      `After the walking, ${say.kcal(check.have)} a kilogram of lean body are left a day from the fourth week on; below ${say.kcal(check.limit)} bones and hormones suffer. Take medical advice.`,
    mends: (check, on) => mends(noShortfall(on, check.hikerId), advice("Eat more, or walk less a day.")),
  },
});
