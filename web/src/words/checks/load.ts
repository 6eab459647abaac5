import { useStopOnLeg } from "../../fixes/schedule.ts";
import { advice, fixes } from "../../fixes/fix.ts";
import { checkWords } from "./words.ts";

export const loadWords = checkWords({
  "load-over-comfort": {
    mark: "heavy",
    station: "legs",
    sentence: (check, say, at) =>
      `Your pack reaches ${say.kg(check.have)}${at}; it’s comfortable up to ${say.kg(check.limit)}.`,
    fixes: (check, on) =>
      fixes(
        check.legIndex === undefined ? undefined : useStopOnLeg(on, check.legIndex),
        advice("Leave some kit behind or send it home, or use a pack that carries more."),
      ),
  },
  "load-over-pack": {
    mark: "overload",
    station: "kit",
    sentence: (check, say, at) =>
      `Your pack reaches ${say.kg(check.have)}${at}; ${check.piece} is rated for ${say.kg(check.limit)}.`,
    fixes: () => [advice("Carry less here, or use a pack rated for more: seams and hips fail before the hike does.")],
  },
  "food-over-pack": {
    mark: "volume",
    station: "legs",
    sentence: (check, say) => `Kit and food take up ${say.L(check.have)}; the pack holds ${say.L(check.limit)}.`,
    fixes: (check, on) =>
      fixes(
        check.legIndex === undefined ? undefined : useStopOnLeg(on, check.legIndex),
        advice("Take a larger pack or less kit."),
      ),
  },
  "leg-over-ten-days": {
    mark: "long",
    station: "legs",
    sentence: (check, say) =>
      `${say.days(check.have)} of food in one leg: more than ${say.days(check.limit)} is hard to carry and hard to keep eating.`,
    fixes: (check, on) =>
      fixes(
        check.legIndex === undefined ? undefined : useStopOnLeg(on, check.legIndex),
        advice("Mail food ahead to a stop in between."),
      ),
  },
});
