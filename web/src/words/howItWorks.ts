/** Each station in plain words: what it does, what it takes for granted, what it cannot know. */
import type { StationId } from "../stations/registry.ts";
import { KEEP_VITAL, LOAD_HURTS } from "./cautions.ts";

export interface HowWords {
  does: string;
  assumes: readonly string[];
  caution: string;
}

export const HOW_IT_WORKS: Record<StationId, HowWords> = {
  trail: {
    does: "Measures your track and holds what is along it: stops, water, camps, and stretches with a surface, rule or hazard. Everything else is worked out along this line.",
    assumes: [
      "Elevations are smoothed, because GPS noise adds climb that isn’t there; the climb shown is from the smoothed line.",
      "A place is stored by its distance along the track; on a new track it’s found again by its position on the map.",
      "Only the alternates and closures you choose are used.",
    ],
    caution: "A track is where someone once walked. Signs, closures and land managers come first.",
  },
  season: {
    does: "Shows temperature, rain, daylight, snow, insects and stream levels for each place on the day you pass it. Drag your hike to another start date.",
    assumes: [
      "Averages from weather stations, adjusted for elevation by fixed lapse rates, with the usual spread of single nights and days.",
      "A forecast counts less the further ahead it looks; your own thermometer readings shift the days that follow.",
      "Snow from degree days: where it lies in a low, usual or high snow year.",
    ],
    caution: "Climate isn’t a forecast. Judge fords, avalanches and storms on the spot.",
  },
  days: {
    does: "Splits the hike into days by your hours, the light, camps, beds and closing times, and shows where you’ll sleep.",
    assumes: [
      "Your pace is the time model times your own factor, slower with load, snow, heat, elevation and darkness.",
      "Hours grow as you get fit; a pinned night is kept as long as the overtime you allow reaches it.",
    ],
    caution: "An hour is easily lost. Don’t walk into the dark to keep to a plan.",
  },
  stops: {
    does: "Shows what each stop is for: food bought or mailed, nights, cost, when to send its box; and searches for better sets of stops.",
    assumes: [
      "Shops stock what a shop of their size usually has; prices and energy densities are yours to set.",
      "The search walks the real days on every eighth grid point; what it suggests is recalculated in full.",
      "The party stays the same for the whole plan. If someone joins or goes home, plan the rest as a variant.",
    ],
    caution: "Check that it’s open before you rely on it.",
  },
  food: {
    does: "Works out how much food each leg needs, from menus or energy density, in kilocalories, protein and grams.",
    assumes: [
      "Your need is what you burn at rest, walking with this load on this ground, and in the cold; appetite grows over weeks.",
      "What you don’t eat on trail you make up in town.",
    ],
    caution: "Tables are averages over many people; yours may be 20 % off. If you lose weight fast, see a doctor.",
  },
  water: {
    does: "Finds where to fill up and how much: enough for the next source you count on, plus what camp needs.",
    assumes: [
      "Litres by hour or distance, heat and your own figures; a source’s chance comes from the month and from reports.",
    ],
    caution:
      "A source that flowed last week may be dry. Carry past doubtful ones, and treat water that others drink upstream.",
  },
  power: {
    does: "Adds up what devices use and what power banks, panels and sockets give, day by day.",
    assumes: ["Cold reduces what a battery gives; a panel on your pack gets only part of the sun."],
    caution: "Don’t rely on one battery for both navigation and calling for help.",
  },
  kit: {
    does: "Shows where each item is carried, what the season requires, what isn’t needed, and what it weighs.",
    assumes: [
      "Requirements come from thresholds we judged sensible; you can waive or add any of them.",
      "Your sleep system is judged by the coldest night in ten, or by all nights.",
    ],
    caution: `Lighter isn’t safer. ${KEEP_VITAL}`,
  },
  legs: {
    does: "Shows your pack weight leaving every stop and why; how sure it is (Odds), what would help most (What helps), and plans side by side (Variants).",
    assumes: [
      "Weights feed back: a heavier pack makes you slower and hungrier, until all figures agree.",
      "Odds simulates a thousand hikes with assumptions you can change; What helps recalculates the whole plan for each change.",
    ],
    caution: `${LOAD_HURTS} Rare things happen too.`,
  },
  boxes: {
    does: "Shows what to mail, where and when, and what may be mailed at all. Prints a label and a list for each box.",
    assumes: ["Parcels take a minimum time and some are late; a counter holds a box for a limited number of days."],
    caution: "Carriers’ and countries’ rules come first, above all for fuel, batteries, food and blades.",
  },
  log: {
    does: "Records your day with one hand, shows what’s left and whether it lasts, and learns your own figures.",
    assumes: [
      "One day says little: suggestions are weighed against what is usual for people.",
      "Saved days stay as they were; the rest of the plan continues from there.",
    ],
    caution: "Turn back while you still have enough for the way back.",
  },
  trip: {
    does: "Holds the dates, people, units, currency and the model used for each question.",
    assumes: ["Each model states where it’s valid; outside that range it’s marked."],
    caution: "Choosing a model is a judgement. Compare them before you trust one.",
  },
};
