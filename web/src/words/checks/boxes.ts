import { advice } from "../../mends/mend.ts";
import { checkWords } from "./words.ts";

export const boxWords = checkWords({
  "box-too-heavy": {
    mark: "box",
    station: "boxes",
    sentence: (check, say) =>
      `The box to ${check.stop} weighs ${say.kg(check.have)}; the carrier takes ${say.kg(check.limit)}.`,
    mends: () => [advice("Send it in two, buy a part of the food there, or post it to the stop before as well.")],
  },
  "box-not-by-post": {
    mark: "box",
    station: "boxes",
    sentence: (check) => `“${check.piece}” is to come in the box to ${check.stop}, and most carriers refuse it.`,
    mends: () => [
      advice("Buy it there, carry it on, or ask the carrier for its rules on sending it by land."),
      advice("Where you know better, say in the piece how it may travel."),
    ],
  },
  "box-sent-late": {
    mark: "box",
    station: "boxes",
    sentence: (check, say) =>
      `The box to ${check.stop} was sent ${say.days(check.late)} after the last good day for who comes early; as planned it is there with a chance of ${say.number(check.chance)} %.`,
    mends: () => [advice("Ring the counter, buy food to go on with, or take a rest day there.")],
  },
});
