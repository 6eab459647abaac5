/** Each station in plain words: what it does, what it takes for granted, what it cannot know. */
import type { StationId } from "../stations/registry.ts";

export interface HowWords {
  does: string;
  assumes: readonly string[];
  caution: string;
}

export const HOW_IT_WORKS: Record<StationId, HowWords> = {
  trail: {
    does: "Measures your track and holds what lies on it: stops, water, camps, stretches with a surface, a rule or a hazard. Everything else is worked out along this line.",
    assumes: [
      "Heights are smoothed, for recorders climb where nobody does; the climb told is that of the smoothed line.",
      "A place lies at its distance along the track; of a new track it is found again by where it lies on the map.",
      "Of alternates and closures only what is chosen is walked.",
    ],
    caution: "A track is where somebody walked once. Signs, closures and land managers go first.",
  },
  season: {
    does: "Brings temperatures, rain, light, snow, insects and streams to every place on the day that you pass it, and moves your first day.",
    assumes: [
      "Means of weather stations, carried up and down by fixed lapse rates, with the usual spread of single nights and days.",
      "A forecast counts less the further ahead it lies; your own thermometer’s readings shift what follows.",
      "Snow by degree days: where it lies in a low, usual or high year.",
    ],
    caution: "A climate is no forecast. Fords, avalanches and storms are judged on the spot.",
  },
  days: {
    does: "Cuts the walk into days by your hours, the light, camps, beds and closing times, and says where each night falls.",
    assumes: [
      "Your pace is the time model’s times your own factor, slower with load, snow, heat, height and dark.",
      "Hours grow from fresh to fit; a night you pin is held as long as the overtime allows it.",
    ],
    caution: "An hour is easily lost. Do not walk into the dark to keep a plan.",
  },
  stops: {
    does: "Says what each stop is for: food bought or posted, nights, money, when its box is sent; and searches for better sets of stops.",
    assumes: [
      "Shops sell what their size usually has; prices and densities are yours to set.",
      "The search walks the real days on every eighth cell; what it proposes is worked out in full.",
      "The party is the same all through a plan: where somebody joins or goes home, the rest is planned as a variant.",
    ],
    caution: "Ask whether it is open before you rely on it.",
  },
  food: {
    does: "Works out what the bag must hold for every leg, out of menus or by its density, and what that is in kilocalories, protein and grams.",
    assumes: [
      "Need is what you burn at rest, walking with this load on this ground, and in the cold; appetite grows over weeks.",
      "What is not eaten is made up in town.",
    ],
    caution: "Tables are means of many people: yours may be a fifth off. Losing much weight fast is for a doctor.",
  },
  water: {
    does: "Finds where to fill up and with how much: to the next source that you count on, with what camp takes.",
    assumes: [
      "Litres by hour or distance, heat and your own measure; a source has its chance of the month and of what was seen there.",
    ],
    caution: "A source that flowed last week may be dry. Carry past what is doubtful; treat what others drink.",
  },
  power: {
    does: "Adds up what devices use and what banks, panels and sockets give, day by day.",
    assumes: ["Cold takes from what a battery gives; a panel on the pack gets part of the sun there is."],
    caution: "Way and help should not hang on one battery.",
  },
  kit: {
    does: "Says where each piece is carried, what the season asks for, what nothing asks for, and what it weighs.",
    assumes: [
      "What asks for a piece are thresholds by judgement, which you can lift or set.",
      "Sleep kit is judged by the coldest night in ten, or of all nights.",
    ],
    caution: "Lighter is not safer. Keep what stops you getting lost, cold, wet or untreated.",
  },
  legs: {
    does: "Shows the pack leaving every stop and why; how sure it is (Odds), what would help most (Levers), and plans side by side (Variants).",
    assumes: [
      "Weights feed back: a heavier pack is slower and hungrier, until all fits together.",
      "Odds walk a thousand hikes by laws that you can change; levers are each a whole plan.",
    ],
    caution: "Loads near the limit hurt knees and judgement. What is rare happens too.",
  },
  boxes: {
    does: "Puts together what is posted, where and when, what may be posted at all, and the label and list of each box.",
    assumes: ["Parcels take a least time and a tail of late ones; a counter holds a box for so many days."],
    caution: "Carriers’ and countries’ rules go first, for fuel, batteries, food and blades above all.",
  },
  log: {
    does: "Keeps the day in one hand, says what is left and whether it lasts, and learns your own figures from it.",
    assumes: [
      "One day says little: what is proposed is weighed against what is usual of people.",
      "Days that are kept stay as they were; the rest of the plan goes on from there.",
    ],
    caution: "Turn back while what is left lasts for the way back.",
  },
  trip: {
    does: "Holds dates, people, units, money and which model answers which question.",
    assumes: ["Each model says where it holds; beyond that it is marked."],
    caution: "A chosen model is a judgement. Compare them before you trust one.",
  },
};
