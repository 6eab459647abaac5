import { advice, fixes } from "../../fixes/fix.ts";
import { holdLonger, moreNights } from "../../fixes/schedule.ts";
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
      `The box to ${check.stop} was mailed ${say.days(check.late)} after the last good date; it has a ${say.number(check.chance)} % chance of being there when you come.`,
    fixes: () => [advice("Call the counter, buy food for the next days, or take a rest day there.")],
  },
  "box-unsure": {
    mark: "box",
    station: "boxes",
    sentence: (check, say) =>
      `Mailed on ${say.date(check.date)}, the box to ${check.stop} has a ${say.number(check.chance)} % chance of being there when you come.${check.word === "" ? "" : ` Mailed when word comes from ${check.word}, it has ${say.number(check.wordChance)} %.`}`,
    fixes: (check, on) =>
      fixes(
        holdLonger(on, check.stopId),
        moreNights(on, check.stopId, 1),
        advice(
          check.word === ""
            ? "Mail it from the stop before, or buy food there."
            : `Leave the box packed at home, and send word when you reach ${check.word}.`,
        ),
      ),
  },
});
