import { advice } from "../../mends/mend.ts";
import { checkWords } from "./words.ts";

export const seasonWords = checkWords({
  "snow-underfoot": {
    mark: "snow",
    station: "season",
    sentence: (check, say) =>
      `Snow under foot on ${say.way(check.have)}${check.soft >= 1000 ? `, ${say.way(check.soft)} of it soft at the hour` : ""}. Where it is steep or icy it wants traction, an axe and the skill to use them.`,
    mends: () => [
      advice(
        "Read the avalanche bulletin and ask locally, go while the crust holds, and turn round in time. Or start later: see Season.",
      ),
    ],
  },
  "rain-assumed": {
    mark: "season",
    station: "season",
    sentence: (check) =>
      `${check.have === 1 ? "One station tells" : `${check.have} stations tell`} no rain: that of the latitude stands in, so snow and wet days may be twice or half as many.`,
    mends: () => [advice("Type rain and wet days of a climate table you trust in Season.")],
  },
});
