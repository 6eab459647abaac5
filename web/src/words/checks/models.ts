import { advice } from "../../mends/mend.ts";
import { checkWords } from "./words.ts";

/** Inputs of the models in plain words. */
const QUANTITY_WORD: Record<string, string> = {
  loadKg: "a load in kilograms of",
  gradePercent: "slopes beyond it on so many percent of the way:",
  gradeFraction: "slopes beyond it on so many percent of the way:",
  temperatureC: "day highs in °C of",
  ageY: "an age of",
  bodyFatFraction: "a fraction of body fat of",
  fatKg: "body fat in kilograms of",
  heightM: "camps at a height in metres of",
  volumeL: "boils in litres of",
};

export const modelWords = checkWords({
  "outside-model": {
    mark: "model",
    station: "trip",
    sentence: (check, say) => {
      const quantity = QUANTITY_WORD[check.quantity] ?? check.quantity;
      const have = say.number(check.have, Number.isInteger(check.have) ? 0 : 1);
      return `“${check.model}” was not measured for this: ${quantity} ${have}. Its figures are flagged, not hidden.`;
    },
    mends: () => [advice("Choose another school in Trip, Models.")],
  },
});
