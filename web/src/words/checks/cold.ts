import { addLiner, addPad } from "../../mends/kit.ts";
import { advice, mends } from "../../mends/mend.ts";
import { setOutEarlier, simulateWeather } from "../../mends/way.ts";
import { checkWords } from "./words.ts";

export const coldWords = checkWords({
  "night-below-bag": {
    mark: "cold",
    station: "kit",
    sentence: (check, say) =>
      `One night in ten falls to ${say.C(check.limit)} at the coldest camp; the bag with what is worn in it reaches ${say.C(check.have)}.`,
    mends: (check, on) =>
      mends(
        check.legIndex === undefined || check.hikerId === undefined
          ? undefined
          : addLiner(on, check.legIndex, check.hikerId, check.have - check.limit),
        advice("Carry the warmer bag on this leg."),
      ),
  },
  "pad-too-thin": {
    mark: "ground",
    station: "kit",
    sentence: (check, say) =>
      `The ground at the coldest camp asks for ${say.R(check.limit)}; the pads add up to ${say.R(check.have)}.`,
    mends: (check, on) =>
      mends(
        check.legIndex === undefined || check.hikerId === undefined
          ? undefined
          : addPad(on, check.legIndex, check.hikerId, check.limit - check.have),
      ),
  },
  "sleep-kit-missing": {
    mark: "sleep",
    station: "kit",
    sentence: (check, say) =>
      `No ${check.role === "bag" ? "sleeping bag" : check.role} is carried for ${check.nights === 1 ? "a night" : `${say.number(check.nights)} nights`} in the open; one in ten of the coldest falls to ${say.C(check.low)}.`,
    mends: () => [advice("Add the piece in Kit, with its role, or sleep at beds.")],
  },
  "stove-too-cold": {
    mark: "stove",
    station: "legs",
    sentence: (check, say) =>
      `On the coldest night in ten, ${say.C(check.have)}, the stove may fail: it wants ${say.C(check.limit)}.`,
    mends: () => [advice("Keep the canister warm in the sleeping bag.")],
  },
  "heat-stress": {
    mark: "heat",
    station: "legs",
    sentence: (check, say) =>
      `A hot day in ten reaches ${say.C(check.have)}: rest ${say.number(check.rest)} min of every hour and drink about ${say.L(check.limit)} an hour, not more.`,
    mends: (_, on) => mends(setOutEarlier(on), advice("Rest in the shade through the hot hours.")),
  },
  "climate-simulated": {
    mark: "season",
    station: "season",
    sentence: (check, say) =>
      `The weather of ${check.have === 1 ? "one station" : `${say.number(check.have)} stations`} is simulated from latitude, height and the sea: 4 °C more or less, and twice or half the rain, are normal.`,
    mends: () => [advice("Type the means of a climate table you trust in Season, before you choose what to sleep in.")],
  },
  "climate-assumed": {
    mark: "season",
    station: "season",
    sentence: (_, say) =>
      `No climate station: nights of ${say.C(5)} and days of ${say.C(18)} are assumed the whole year. Cold and heat on your trail will differ.`,
    mends: (_, on) => mends(simulateWeather(on), advice("Or add a weather station in Season.")),
  },
});
