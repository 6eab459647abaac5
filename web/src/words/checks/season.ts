import { advice } from "../../mends/mend.ts";
import { checkWords } from "./words.ts";

const FORD_WORDS = ["a step over", "easy", "with caution", "dangerous", "not to be crossed"];

export const seasonWords = checkWords({
  "snow-underfoot": {
    mark: "snow",
    station: "season",
    sentence: (check, say) => {
      const soft = check.soft >= 1000 ? `, ${say.way(check.soft)} of it soft at the hour` : "";
      const late = check.late - check.have >= 1000 ? `, up to ${say.way(check.late)} if it melts three weeks late` : "";
      return `Snow under foot on ${say.way(check.have)}${soft}${late}. Where it is steep or icy it wants traction, an axe and the skill to use them.`;
    },
    mends: () => [
      advice(
        "Read the avalanche bulletin and ask locally, go while the crust holds, and turn round in time. Or start later: see Season.",
      ),
    ],
  },
  "wet-cold": {
    mark: "wet",
    station: "season",
    sentence: (check, say) =>
      `Rain on days of ${say.C(check.have)} in the mean and less: ${say.days(Math.round(10 * check.days) / 10)} to expect on ${check.legs === 1 ? "one leg" : `${check.legs} legs`}, in wind up to ${say.number(check.wind, 1)} m/s. Wet clothes lose some ${say.number(check.loss)} W there; a walker makes 240 W, and less when tired.`,
    mends: () => [
      advice(
        "Keep a dry layer sealed, eat on the way, stop early, and watch each other: shivering, stumbling and mumbling come first.",
      ),
    ],
  },
  "sun-strong": {
    mark: "sun",
    station: "season",
    sentence: (check, say) =>
      `Ultraviolet index up to ${say.number(check.have)} at a clear noon, over ${check.over}: fair skin reddens in ${say.number(check.reddens)} min.`,
    mends: (check) => [
      advice(
        check.over === "snow"
          ? "Dark glasses with side pieces, cream under chin and nose, sleeves and a brim: snow blindness takes hours to come and days to go."
          : "Sleeves, a brim, cream, and shade at noon.",
      ),
    ],
  },
  "forecast-unused": {
    mark: "forecast",
    station: "season",
    sentence: (check) => {
      const days = check.days === 1 ? "One day" : `${check.days} days`;
      const why = {
        before: "lie before its issue and tell nothing",
        outside: "lie outside the hike",
        old: "look more than ten days ahead and count for little",
      };
      return `${days} of the forecast “${check.forecast}” ${why[check.why as keyof typeof why] ?? check.why}.`;
    },
    mends: () => [advice("Put in its issue date and days as they are told, or take a newer one.")],
  },
  "reading-height": {
    mark: "reading",
    station: "season",
    sentence: (check, say) =>
      `The reading of ${say.date(check.day)} is told for ${say.height(check.have)}, where the trail lies at ${say.height(check.limit)}. It is brought to the trail’s heights as the normals are.`,
    mends: () => [advice("Correct its height or its place if one of them is a slip.")],
  },
  "ford-high": {
    mark: "ford",
    station: "season",
    sentence: (check, say) => {
      const depth = check.depth > 0 ? `some ${say.number(check.depth, 1)} m deep` : "not measured";
      const level = FORD_WORDS[check.level] ?? `level ${check.level}`;
      const lowest = check.lowest < check.level ? `, ${FORD_WORDS[check.lowest]} then` : "";
      return `“${check.ford}” at ${say.clock(check.at)}: ${level}, ${depth}, at ${say.percent(check.flow)} of the melt’s yearly peak. Lowest about ${say.clock(check.low)}${lowest}.`;
    },
    mends: () => [
      advice(
        "Cross wide and shallow with the belt open, look downstream first, wait for the low hour or turn back. Rain beats the clock; large rivers are not low at dawn. Local advice goes first.",
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
