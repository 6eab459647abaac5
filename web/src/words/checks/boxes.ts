import { advice } from "../../fixes/fix.ts";
import { checkWords } from "./words.ts";

export const boxWords = checkWords({
  "box-too-heavy": {
    mark: "box",
    station: "boxes",
    sentence: (check, say) =>
      `The box to ${check.stop} weighs ${say.kg(check.have)}; the carrier’s limit is ${say.kg(check.limit)}.`,
    fixes: () => [
      advice("Split it into two boxes, buy some of the food there, or mail part of it to the stop before."),
    ],
  },
  "box-not-by-post": {
    mark: "box",
    station: "boxes",
    sentence: (check) => `“${check.piece}” is planned for the box to ${check.stop}, but most carriers refuse it.`,
    fixes: () => [
      advice("Buy it there, carry it, or ask the carrier whether it can go by ground."),
      advice("If you know better, set “Flight and mail” in the item."),
    ],
  },
  "box-sent-late": {
    mark: "box",
    station: "boxes",
    sentence: (check, say) =>
      `The box to ${check.stop} was mailed ${say.days(check.late)} after the last date that still works if you’re early; on your planned date it has a ${say.number(check.chance)} % chance of being there.`,
    fixes: () => [advice("Call the counter, buy food for the next days, or take a rest day there.")],
  },
});
