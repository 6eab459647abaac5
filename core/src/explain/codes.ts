/** What a figure is made of and by which rule, as codes: the interface has the words for each of them, or does not compile. */
import type { Question } from "../models/index.ts";

/** A part of a figure. */
// prettier-ignore
export type DerivationCode =
  | "start" | "base" | "group" | "piece" | "consumables" | "food" | "food-eaten"
  | "food-for-later" | "food-reserve" | "menu" | "meals-need" | "meal-days" | "need-per-day" | "appetite"
  | "covered" | "density" | "own-density" | "menu-density" | "shop-density" | "water" | "fuel"
  | "fuel-cooking" | "fuel-simmering" | "fuel-melting" | "melted" | "kg-per-melted" | "fuel-for-later" | "fuel-beyond"
  | "containers" | "container-count" | "container-empty" | "boils" | "grams-per-boil" | "boil-heat" | "grams-per-kj"
  | "wind-factor" | "kg-per-g" | "carry" | "carry-walking" | "carry-km" | "rate-per-km" | "heat-factor"
  | "detours" | "carry-hours" | "rate-per-hour" | "carry-camps" | "dry-camps" | "per-dry-camp" | "carry-reserve"
  | "drunk-at-source" | "carry-in-hand" | "carry-past" | "camp-heat" | "energy" | "walking" | "walk-hours"
  | "walk-per-hour" | "own-cost" | "resting" | "thermic" | "cold" | "measured-energy" | "days"
  | "walk-hours-leg" | "trail-hours" | "leg-km" | "mean-speed" | "off-trail-hours" | "detour-hours" | "hours-per-day"
  | "arrival" | "start-date" | "days-before" | "zeros-before" | "nights-on-leg" | "zeros-on-leg" | "speed"
  | "plain-speed" | "own-factor" | "load-factor" | "surface-factor" | "heat-slow-factor" | "height-slow-factor" | "party-factor"
  | "night-factor" | "warmth" | "cold-night" | "mean-low" | "height-caution" | "one-in-ten" | "quantile"
  | "spread" | "kit-night" | "all-nights" | "clear-tail" | "bag-rating" | "bag-extras" | "pad"
  | "pad-resistance" | "r-per-rsi" | "pad-difference" | "skin" | "ground-warmer" | "ground-flux" | "snow-distance"
  | "snow-firm" | "snow-soft" | "wet-days" | "wet-day" | "uv" | "uv-sea" | "uv-height"
  | "uv-ground" | "ford-flow" | "ford-day" | "ford-melt" | "ford-base" | "ford-hour" | "battery"
  | "battery-stored" | "stored-wh" | "stored-before" | "solar-wh" | "used-wh" | "capacity-wh" | "battery-cold";

/** A rule that is no model of the registry. */
// prettier-ignore
export type RuleId =
  | "thermic" | "cold-allowance" | "own-setting" | "menus" | "burner-least" | "snow-or-ice" | "heat-rule"
  | "cautious-lapse" | "own-cost" | "own-measured" | "appetite-ramp" | "meals-not-in-town" | "boil-heat" | "one-litre-one-kilogram"
  | "containers-bought" | "whole-containers" | "weighed" | "as-stated" | "energy" | "gram" | "kit-list"
  | "days-planned" | "track" | "not-sold" | "thin-air" | "detour-rule" | "off-trail-pace" | "day-rules"
  | "load-slows" | "surface-table" | "party-slowest" | "stations-lapse" | "one-in-ten" | "stations" | "coldest-of-n"
  | "clear-tail" | "bag-rating" | "bag-extras" | "pad-mapping" | "pad-units" | "ground-snow" | "ground-bare"
  | "snow-degree-day" | "snow-by-hand" | "snow-crust" | "wet-days" | "uv-clear" | "uv-height" | "uv-snow"
  | "uv-bare" | "ford-melt" | "ford-base" | "ford-hour" | "batteries" | "battery-cold" | "solar";

/** A rule of its own, or `question:model` of the registry. */
export type SourceId = RuleId | `${Question}:${string}`;
