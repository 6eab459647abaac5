import { advice, fixes } from "../../fixes/fix.ts";
import { walkSnowOn } from "../../fixes/schedule.ts";
import { checkWords } from "./words.ts";

const FORD_WORDS = ["step across", "easy", "cross with care", "dangerous", "don’t cross"];

export const seasonWords = checkWords({
  "snow-underfoot": {
    mark: "snow",
    station: "season",
    sentence: (check, say) => {
      const soft = check.soft >= 1000 ? `, ${say.distance(check.soft)} of it soft when you get there` : "";
      const late =
        check.late - check.have >= 1000 ? `, up to ${say.distance(check.late)} if it melts three weeks late` : "";
      return `Snow underfoot for ${say.distance(check.have)}${soft}${late}. Where it’s steep or icy you need traction, an ice axe and the skill to use them.`;
    },
    fixes: () => [
      advice(
        "Read the avalanche bulletin and ask locally, go while the crust holds, and turn back in time. Or start later: see Season.",
      ),
    ],
  },
  "deep-snow": {
    mark: "deep",
    station: "season",
    sentence: (check, say) =>
      `For ${say.distance(check.have)} you sink into snow to mid-calf or deeper. On foot nobody keeps that up for long.`,
    fixes: (_, on) => fixes(walkSnowOn(on, "snowshoes"), walkSnowOn(on, "skis")),
  },
  "wet-cold": {
    mark: "wet",
    station: "season",
    sentence: (check, say) =>
      `Rain on days averaging ${say.C(check.have)} or less: expect ${say.days(Math.round(10 * check.days) / 10)} on ${check.legs === 1 ? "one leg" : `${check.legs} legs`}, with wind up to ${say.number(check.wind, 1)} m/s. In wet clothes you lose about ${say.number(check.loss)} W; walking makes 240 W, and less when you’re tired.`,
    fixes: () => [
      advice(
        "Keep a dry layer sealed, eat as you go and stop early. Watch each other: shivering, stumbling and mumbling come first.",
      ),
    ],
  },
  "sun-strong": {
    mark: "sun",
    station: "season",
    sentence: (check, say) =>
      `UV index up to ${say.number(check.have)} at noon under clear sky, over ${check.over}: fair skin burns in ${say.number(check.reddens)} min.`,
    fixes: (check) => [
      advice(
        check.over === "snow"
          ? "Wear dark glasses with side shields, sunscreen under chin and nose, sleeves and a brim. Snow blindness takes hours to show and days to heal."
          : "Wear sleeves, a brim and sunscreen, and rest in the shade at noon.",
      ),
    ],
  },
  "forecast-unused": {
    mark: "forecast",
    station: "season",
    sentence: (check) => {
      const days = check.days === 1 ? "One day" : `${check.days} days`;
      const why = {
        before: "can’t be used: dated before the forecast was issued",
        outside: "can’t be used: outside your hike",
        old: "will count for little: more than ten days ahead",
      };
      return `${days} of the forecast “${check.forecast}” ${why[check.why as keyof typeof why] ?? check.why}.`;
    },
    fixes: () => [advice("Correct the issue date or the days, or use a newer forecast.")],
  },
  "reading-height": {
    mark: "reading",
    station: "season",
    sentence: (check, say) =>
      `Your reading of ${say.date(check.day)} is for ${say.height(check.have)}, but the trail there is at ${say.height(check.limit)}. It’s adjusted to the trail’s elevation like the climate averages.`,
    fixes: () => [advice("Correct its elevation or place if one of them is wrong.")],
  },
  "ford-high": {
    mark: "ford",
    station: "season",
    sentence: (check, say) => {
      const depth = check.depth > 0 ? `about ${say.number(check.depth, 1)} m deep` : "depth not measured";
      const level = FORD_WORDS[check.level] ?? `level ${check.level}`;
      const lowest = check.lowest < check.level ? `, ${FORD_WORDS[check.lowest]} then` : "";
      return `“${check.ford}” at ${say.clock(check.at)}: ${level}, ${depth}, at ${say.percent(check.flow)} of the year’s melt peak. Lowest around ${say.clock(check.low)}${lowest}.`;
    },
    fixes: () => [
      advice(
        "Cross where it’s wide and shallow, with your hip belt undone. Check downstream first. Wait for low water or turn back. Rain overrides the clock; large rivers aren’t low at dawn. Local advice comes first.",
      ),
    ],
  },
  "rain-assumed": {
    mark: "season",
    station: "season",
    sentence: (check) =>
      `${check.have === 1 ? "One station has" : `${check.have} stations have`} no rain data: averages for the latitude are used, so snow and wet days may be half or double.`,
    fixes: () => [advice("Enter rain and wet days from a climate table you trust in Season.")],
  },
});
