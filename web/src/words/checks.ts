/** The words for checks and their mends. The core answers codes and values. */
import type { Check, Figure, MendCode, Plan, Units } from "@gepack/core";
import { dayMonth, fixed, quantity } from "../units/quantity.ts";

function say(figure: Figure | undefined, units: Units): string {
  if (!figure) return "";
  const { value, unit } = figure;
  if (typeof value === "string") return unit === "date" ? dayMonth(value) : value;
  switch (unit) {
    case "kg":
      return quantity("mass", value, units);
    case "L":
      return quantity("volume", value, units);
    case "m":
      return quantity("distance", value, units, 0);
    case "C":
      return quantity("temperature", value, units);
    case "R":
      return `R ${fixed(value, 1)}`;
    case "kcal/day":
      return `${fixed(value, 0)} kcal a day`;
    case "days":
      return `${fixed(value, value % 1 === 0 ? 0 : 1)} days`;
    case "kcal":
    case "kcal/kg":
    case "Wh":
    case "min":
      return `${fixed(value, 0)} ${unit}`;
    case "kcal/g":
    case "g/kg":
      return `${fixed(value, 1)} ${unit}`;
    case "%":
      return `${fixed(value, 0)} %`;
    default:
      return fixed(value, 0);
  }
}

/** One word for a mark in a table. */
export const CHECK_MARK: Record<Check["code"], string> = {
  "load-over-comfort": "heavy",
  "carry-over-bottles": "bottles",
  "food-over-pack": "volume",
  "food-over-canister": "canister",
  "canister-missing": "canister",
  "leg-over-ten-days": "long",
  "night-below-bag": "cold",
  "pad-too-thin": "ground",
  "finish-late": "late",
  "food-below-resting": "hungry",
  "untrusted-water": "dry",
  "kit-piece-twice": "kit",
  "kit-piece-gap": "kit",
  "kit-stop-gone": "kit",
  "kit-stop-unused": "kit",
  "kit-role-gap": "kit",
  "climate-assumed": "season",
  "heights-missing": "heights",
  "not-settled": "rough",
  "drink-limit": "drink",
  "deficit-adds-up": "deficit",
  "fat-too-low": "body",
  "food-too-dense": "menu",
  "protein-low": "protein",
  "energy-availability": "hungry",
  "battery-flat": "battery",
  "spare-cells-short": "battery",
  "camp-forbidden": "camp",
  "heat-stress": "heat",
  "stove-too-cold": "stove",
  "outside-model": "model",
};

/** Which station a check belongs to, for the counts beside the names. */
export const CHECK_STATION: Record<Check["code"], "legs" | "kit" | "trail" | "setup"> = {
  "load-over-comfort": "legs",
  "carry-over-bottles": "legs",
  "food-over-pack": "legs",
  "food-over-canister": "legs",
  "canister-missing": "kit",
  "leg-over-ten-days": "legs",
  "night-below-bag": "kit",
  "pad-too-thin": "kit",
  "finish-late": "setup",
  "food-below-resting": "setup",
  "untrusted-water": "trail",
  "kit-piece-twice": "kit",
  "kit-piece-gap": "kit",
  "kit-stop-gone": "kit",
  "kit-stop-unused": "kit",
  "kit-role-gap": "kit",
  "climate-assumed": "setup",
  "heights-missing": "trail",
  "not-settled": "legs",
  "drink-limit": "legs",
  "deficit-adds-up": "setup",
  "fat-too-low": "setup",
  "food-too-dense": "setup",
  "protein-low": "setup",
  "energy-availability": "setup",
  "battery-flat": "legs",
  "spare-cells-short": "legs",
  "camp-forbidden": "legs",
  "heat-stress": "legs",
  "stove-too-cold": "legs",
  "outside-model": "setup",
};

/** What falls short, with its figures. */
export function checkSentence(check: Check, plan: Plan): string {
  const units = plan.trip.units;
  const of = (name: string): string => say(check.figures[name], units);
  const at = check.atM === undefined ? "" : ` at ${quantity("distance", check.atM, units, 0)}`;
  switch (check.code) {
    case "load-over-comfort":
      return `The pack reaches ${of("have")}${at}; it carries ${of("limit")} in comfort.`;
    case "carry-over-bottles":
      return `${of("have")} of water are wanted for ${of("distance")}${at}; the bottles hold ${of("limit")}.`;
    case "food-over-pack":
      return `Kit and food need ${of("have")} of space; the pack holds ${of("limit")}.`;
    case "food-over-canister":
      return `The food takes ${of("have")}; the hard canister holds ${of("limit")}. What does not fit has to be eaten on the first days or stored as the land manager says.`;
    case "canister-missing":
      return "A hard food canister is required on this leg and none is carried.";
    case "leg-over-ten-days":
      return `${of("have")} of food in one leg; more than ${of("limit")} is hard to carry and to stomach.`;
    case "night-below-bag":
      return `One night in ten falls to ${of("limit")} at the coldest camp; the bag with what is worn in it reaches ${of("have")}.`;
    case "pad-too-thin":
      return `The ground at the coldest camp asks for ${of("limit")}; the pads add up to ${of("have")}.`;
    case "finish-late":
      return `Arrival on ${of("have")} is ${of("late")} after the wanted ${of("limit")}.`;
    case "food-below-resting":
      return `The menu gives ${of("have")}, less than the ${of("limit")} a body needs at rest.`;
    case "untrusted-water":
      return `${of("distance")} without trusted water; ${of("source")}${at} may have some, and is not counted on.`;
    case "kit-piece-twice":
      return `“${of("piece")}” is in two places at once: two of its spans overlap.`;
    case "kit-piece-gap":
      return `“${of("piece")}” is nowhere for a while: its span does not say how it comes into the pack or where it goes.`;
    case "kit-stop-gone":
      return `“${of("piece")}” changes at a stop that is gone (${of("stop")}).`;
    case "kit-stop-unused":
      return `“${of("piece")}” changes at ${of("stop")}, where this plan does not stop.`;
    case "kit-role-gap":
      return `No ${of("role")} on this leg.`;
    case "climate-assumed":
      return "No climate station: 5 °C nights and 18 °C days are assumed the whole year. Cold and heat on your trail will differ.";
    case "heights-missing":
      return "The track has no heights: climb, cold and pace are worked out as if it were flat.";
    case "not-settled":
      return `Weights still moved by ${fixed(Number(check.figures["move"]?.value ?? 0), 0)} g when the calculation stopped.`;
    case "drink-limit":
      return `${of("have")} is more than a body should drink in these hours (${of("limit")}). Some of it is reserve; drink to thirst.`;
    case "deficit-adds-up":
      return `Deficits add up to ${of("have")} by the finish, beyond ${of("limit")}: strength falls. About ${of("lost")} of body mass would go, and it is guessed, not known.`;
    case "fat-too-low":
      return `Body fat would fall to ${of("have")} by the finish; below ${of("limit")} warmth and hormones fail. Take medical advice.`;
    case "food-too-dense":
      return `A menu of ${of("have")} is implausible: nuts and oil alone reach ${of("limit")} and more.`;
    case "protein-low":
      return `The menu holds ${of("have")} of protein a day and kilogram of body; ${of("limit")} keeps muscle on long walks.`;
    case "energy-availability":
      return `After the walking, ${of("have")} of lean body is left a day from the fourth week on; below ${of("limit")} bones and hormones suffer. Take medical advice.`;
    case "battery-flat":
      return Number(check.figures["short"]?.value ?? 0) > 0
        ? `The batteries are flat on ${of("day")}: ${of("short")} are missing until the next socket.`
        : `The batteries fall to ${of("have")} on ${of("day")}.`;
    case "spare-cells-short":
      return `“${of("piece")}” wants ${of("limit")} spare sets on this leg and has ${of("have")}.`;
    case "camp-forbidden":
      return `The night of ${of("day")} falls where camping is forbidden, and no allowed place is in reach.`;
    case "heat-stress":
      return `A hot day in ten reaches ${of("have")}: rest ${of("rest")} of every hour and drink about ${of("limit")} an hour, not more.`;
    case "stove-too-cold":
      return `On the coldest night in ten, ${of("have")}, the stove may fail: it wants ${of("limit")}.`;
    case "outside-model":
      return `“${of("model")}” was not measured for this: ${QUANTITY_WORD[String(check.figures["quantity"]?.value)] ?? of("quantity")} ${of("have")}. Its figures are flagged, not hidden.`;
  }
}

/** Inputs of the models in plain words. */
const QUANTITY_WORD: Record<string, string> = {
  loadKg: "load in kilograms",
  gradePercent: "share of the way on slopes beyond it, in percent,",
  temperatureC: "day highs in °C",
  ageY: "age",
  bodyFatFraction: "share of body fat",
  speedMps: "speed in m/s",
};

export const MEND_WORDS: Record<MendCode, string> = {
  "add-stop": "Use another stop on the way",
  "post-food": "post food ahead to a stop between",
  "lighten-kit": "leave or send home some kit",
  "stronger-pack": "take a pack that carries more",
  "more-bottles": "add a bottle or water bag for this leg",
  "trust-source": "ask locally about the sources passed by",
  "split-carry": "camp at the last source and cross early",
  "bigger-pack": "take a larger pack",
  "bigger-canister": "take a larger canister",
  "carry-canister": "add a hard canister from the stop before",
  "warmer-bag": "carry the warmer bag on this leg",
  "add-liner": "add a liner",
  "add-pad": "add a second pad",
  "start-earlier": "start earlier",
  "more-hours": "walk more hours a day",
  "fewer-zeros": "take fewer zeros",
  "less-shortfall": "plan less shortfall",
  "fix-span": "move the span's end",
  "use-stop": "stop there, or move the swap",
  "add-piece": "add the piece",
  "add-stations": "add a weather station in Setup",
  "walk-cool-hours": "walk in the cool hours",
  "ask-about-source": "ask at the last stop whether it has water",
  "own-menu": "enter the energy density of what you really eat",
  "more-protein": "put more protein into the menu",
  "bigger-bank": "carry a larger bank on this leg",
  "use-less-power": "use the devices less",
  "more-cells": "carry another set of cells",
  "warm-canister": "keep the canister warm in the sleeping bag",
  "other-school": "choose another school in Setup, Models",
};

export function mendSentence(check: Check): string {
  if (check.mends.length === 0) return "";
  const words = check.mends.map((mend) => MEND_WORDS[mend]);
  const text = words.length > 1 ? `${words.slice(0, -1).join(", ")} or ${words.at(-1)}` : words[0]!;
  return `${text[0]!.toUpperCase()}${text.slice(1)}.`;
}

/** A sharp word for severity, never colour alone. */
export const SEVERITY_WORD: Record<Check["severity"], string> = {
  blocker: "Blocker",
  caution: "Caution",
  note: "Note",
};

/** One check for each sentence: what holds for both hikers alike is said once. */
export function distinct(checks: readonly Check[], plan: Plan): Check[] {
  return [...new Map(checks.map((check) => [`${check.legIndex} ${checkSentence(check, plan)}`, check])).values()];
}
