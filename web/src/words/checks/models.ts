import { advice } from "../../fixes/fix.ts";
import type { Say } from "../say.ts";
import { checkWords } from "./words.ts";

type Show = (value: number, say: Say) => string;

interface Quantity {
  /** Of what a school was measured. */
  of: string;
  show: Show;
  /** What is said of a quantity that is beyond on a part of the distance, whose percent is given. */
  shareOfDistance?: boolean;
}

const percentOf: Show = (fraction, say) => say.percent(100 * fraction);

const QUANTITIES: Record<string, Quantity> = {
  loadKg: { of: "loads", show: (kg, say) => say.kg(kg) },
  gradePercent: { of: "slopes", show: (percent, say) => say.percent(percent), shareOfDistance: true },
  gradeFraction: { of: "slopes", show: percentOf, shareOfDistance: true },
  temperatureC: { of: "days", show: (celsius, say) => say.C(celsius) },
  ageY: { of: "ages", show: (years, say) => `${say.number(years)} y` },
  bodyFatFraction: { of: "body fat", show: percentOf },
  fatKg: { of: "body fat", show: (kg, say) => say.kg(kg) },
  heightM: { of: "camps", show: (metres, say) => say.height(metres) },
  volumeL: { of: "boils", show: (litres, say) => say.L(litres) },
};

export const modelWords = checkWords({
  "outside-model": {
    mark: "model",
    station: "trip",
    sentence: ({ model, quantity, have, low, high }, say) => {
      const { of, show, shareOfDistance } = QUANTITIES[quantity] ?? {
        of: quantity,
        show: (value: number) => `${value}`,
      };
      const beyond = shareOfDistance
        ? `${say.percent(have)} of your distance is outside that`
        : `here it is ${show(have, say)}`;
      return `“${model}” was measured for ${of} from ${show(low, say)} to ${show(high, say)}; ${beyond}. Its figures are marked, not hidden.`;
    },
    fixes: () => [advice("Choose another model in Setup, Models.")],
  },
});
