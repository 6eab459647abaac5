import { addLiner, addPad } from "../../fixes/kit.ts";
import { advice, fixes } from "../../fixes/fix.ts";
import { setOutEarlier, simulateWeather } from "../../fixes/schedule.ts";
import { checkWords } from "./words.ts";

export const coldWords = checkWords({
  "night-below-bag": {
    mark: "cold",
    station: "kit",
    sentence: (check, say) =>
      `One night in ten drops to ${say.C(check.limit)} at the coldest camp; your sleeping bag, with what you wear in it, is good to ${say.C(check.have)}.`,
    fixes: (check, on) =>
      fixes(
        check.legIndex === undefined || check.hikerId === undefined
          ? undefined
          : addLiner(on, check.legIndex, check.hikerId, check.have - check.limit),
        advice("Carry the warmer sleeping bag on this leg."),
      ),
  },
  "pad-too-thin": {
    mark: "pad",
    station: "kit",
    sentence: (check, say) =>
      `The coldest camp needs pads of ${say.R(check.limit)}; yours add up to ${say.R(check.have)}.`,
    fixes: (check, on) =>
      fixes(
        check.legIndex === undefined || check.hikerId === undefined
          ? undefined
          : addPad(on, check.legIndex, check.hikerId, check.limit - check.have),
      ),
  },
  "sleep-kit-missing": {
    mark: "sleep",
    station: "kit",
    sentence: (check, say) =>
      `You carry no ${check.role === "bag" ? "sleeping bag" : check.role} for ${check.nights === 1 ? "a night" : `${say.number(check.nights)} nights`} outside; one night in ten drops to ${say.C(check.low)}.`,
    fixes: () => [advice("Add the item in Kit and set what it serves as, or sleep indoors.")],
  },
  "stove-too-cold": {
    mark: "stove",
    station: "legs",
    sentence: (check, say) =>
      `At ${say.C(check.have)}, the coldest night in ten, the stove may fail: it needs ${say.C(check.limit)} or warmer.`,
    fixes: () => [advice("Keep the gas canister warm in your sleeping bag.")],
  },
  "heat-stress": {
    mark: "heat",
    station: "legs",
    sentence: (check, say) =>
      `One day in ten reaches ${say.C(check.have)}: rest ${say.number(check.rest)} min of every hour and drink about ${say.L(check.limit)} an hour, not more.`,
    fixes: (_, on) => fixes(setOutEarlier(on), advice("Rest in the shade during the hot hours.")),
  },
  "climate-simulated": {
    mark: "season",
    station: "season",
    sentence: (check, say) =>
      `The weather for ${check.have === 1 ? "one station" : `${say.number(check.have)} stations`} is simulated from latitude, elevation and distance to the sea. It can be 4 °C off, with half or twice the rain.`,
    fixes: () => [
      advice("Enter averages from a climate table you trust in Season before you choose your sleep system."),
    ],
  },
  "climate-assumed": {
    mark: "season",
    station: "season",
    sentence: (_, say) =>
      `No weather station: nights of ${say.C(5)} and days of ${say.C(18)} are assumed all year. Real cold and heat on your trail will differ.`,
    fixes: (_, on) => fixes(simulateWeather(on), advice("Or add a weather station in Season.")),
  },
});
