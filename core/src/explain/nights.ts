/** Why a night is warm enough or not, what pad it needs, and where the battery stands. */
import { ONE_IN_TEN, R_PER_RSI } from "../models/cold.ts";
import { CLEAR_TAIL_K } from "../models/coldNight.ts";
import { storeOf } from "../power/power.ts";
import type { LegResult } from "../result/result.ts";
import { padNeed } from "../warmth/night.ts";
import { leaf, product, quotient, sum, type Derivation } from "./derivation.ts";
import { defineFigure, type WhyContext } from "./figure.ts";

/** The coldest night in ten at the leg's coldest camp. */
function explainNight(leg: LegResult): Derivation {
  const { coldestLowC, coldestCautiousLowC, coldestSdK } = leg;
  return sum("cold-night", leg.coldNightC, "C", [
    leaf("mean-low", coldestLowC, "C", "stations-lapse"),
    leaf("height-caution", coldestCautiousLowC - coldestLowC, "K", "cautious-lapse"),
    product("one-in-ten", -ONE_IN_TEN * coldestSdK, "K", [
      leaf("quantile", -ONE_IN_TEN, "fraction", "one-in-ten"),
      leaf("spread", coldestSdK, "K", "stations"),
    ]),
  ]);
}

/** What bag and pad are judged by: that night, or the coldest of all. */
export function explainKitNight(leg: LegResult): Derivation {
  const night = explainNight(leg);
  if (leg.kitNightC === leg.coldNightC) return night;
  return sum("kit-night", leg.kitNightC, "C", [
    night,
    leaf("all-nights", leg.kitNightC - leg.coldNightC + CLEAR_TAIL_K, "K", "coldest-of-n"),
    leaf("clear-tail", -CLEAR_TAIL_K, "K", "clear-tail"),
  ]);
}

function explainWarmth(context: WhyContext): Derivation | undefined {
  const { warmth } = context.row;
  if (!warmth) return undefined;
  return sum("warmth", warmth.marginK, "K", [
    explainKitNight(context.leg),
    leaf("bag-rating", -warmth.bagC, "K", "bag-rating"),
    leaf("bag-extras", warmth.extraK, "K", "bag-extras"),
  ]);
}

function explainPad(context: WhyContext): Derivation {
  const { leg } = context;
  const { skinC, groundC, fluxWPerM2 } = padNeed(leg.kitNightC, leg.coldestOnSnow);
  if (groundC >= skinC) return leaf("pad", leg.padRNeeded, "R", "pad-mapping");
  return quotient(
    "pad",
    leg.padRNeeded,
    "R",
    product("pad-resistance", R_PER_RSI * (skinC - groundC), "R·W/m²K", [
      leaf("r-per-rsi", R_PER_RSI, "fraction", "pad-units"),
      sum("pad-difference", skinC - groundC, "K", [
        leaf("skin", skinC, "C", "pad-mapping"),
        negated(explainKitNight(leg)),
        leaf("ground-warmer", leg.kitNightC - groundC, "K", leg.coldestOnSnow ? "ground-snow" : "ground-bare"),
      ]),
    ]),
    leaf("ground-flux", fluxWPerM2, "W/m²", "pad-mapping"),
  );
}

/** The same tree with every sign turned; in a product one sign is enough. */
function negated(tree: Derivation): Derivation {
  const [first, ...rest] = tree.parts;
  const parts =
    tree.combine === "sum"
      ? tree.parts.map(negated)
      : first && tree.combine !== "leaf"
        ? [negated(first), ...rest]
        : [];
  return { ...tree, value: -tree.value, parts };
}

/** The lowest that the store stands on the leg, as a share that the cold lets out. */
function explainBattery({ result, hiker, leg: { index } }: WhyContext): Derivation | undefined {
  const store = result.power && storeOf(result.power, hiker.id);
  const leg = store?.legs[index];
  if (!store || !leg) return undefined;
  const day = store.days.find((row) => row.legIndex === index && row.usableFraction === leg.lowestFraction);
  if (!day || leg.capacityWh === 0) return leaf("battery", leg.lowestFraction, "fraction", "batteries");
  const stored = quotient(
    "battery-stored",
    day.leftWh / leg.capacityWh,
    "fraction",
    sum("stored-wh", day.leftWh, "Wh", [
      leaf("stored-before", day.leftWh + day.usedWh - day.solarWh, "Wh", "days-planned"),
      leaf("solar-wh", day.solarWh, "Wh", "solar"),
      leaf("used-wh", -day.usedWh, "Wh", "own-setting"),
    ]),
    leaf("capacity-wh", leg.capacityWh, "Wh", "batteries"),
  );
  const coldFraction = day.leftWh > 0 ? (leg.lowestFraction * leg.capacityWh) / day.leftWh : 0;
  return product("battery", leg.lowestFraction, "fraction", [
    stored,
    leaf("battery-cold", coldFraction, "fraction", "battery-cold"),
  ]);
}

export const nightFigures = [
  defineFigure({ id: "warmth", explain: explainWarmth }),
  defineFigure({ id: "pad", explain: explainPad }),
  defineFigure({ id: "battery", explain: explainBattery }),
] as const;
