import { useStopOnLeg } from "../../mends/way.ts";
import { advice, mends } from "../../mends/mend.ts";
import { checkWords } from "./words.ts";

export const loadWords = checkWords({
  "load-over-comfort": {
    mark: "heavy",
    station: "legs",
    sentence: (check, say, at) =>
      `The pack reaches ${say.kg(check.have)}${at}; it carries ${say.kg(check.limit)} in comfort.`,
    mends: (check, on) =>
      mends(
        check.legIndex === undefined ? undefined : useStopOnLeg(on, check.legIndex),
        advice("Leave or send home some kit, or take a pack that carries more."),
      ),
  },
  "load-over-pack": {
    mark: "strap",
    station: "kit",
    sentence: (check, say, at) =>
      `The pack reaches ${say.kg(check.have)}${at}; ${check.piece} is made for ${say.kg(check.limit)}.`,
    mends: () => [
      advice("Carry less here, or a pack that is made for more: seams and hips give way before the hike does."),
    ],
  },
  "food-over-pack": {
    mark: "volume",
    station: "legs",
    sentence: (check, say) => `Kit and food need ${say.L(check.have)} of space; the pack holds ${say.L(check.limit)}.`,
    mends: (check, on) =>
      mends(
        check.legIndex === undefined ? undefined : useStopOnLeg(on, check.legIndex),
        advice("Take a larger pack, or less kit."),
      ),
  },
  "leg-over-ten-days": {
    mark: "long",
    station: "legs",
    sentence: (check, say) =>
      `${say.days(check.have)} of food in one leg; more than ${say.days(check.limit)} is hard to carry and to stomach.`,
    mends: (check, on) =>
      mends(
        check.legIndex === undefined ? undefined : useStopOnLeg(on, check.legIndex),
        advice("Post food ahead to a stop between."),
      ),
  },
});
