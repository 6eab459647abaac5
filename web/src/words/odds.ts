/** Chances as people read them right: so many in a hundred, or one in so many, and never “never” (less than the least that so many hikes can show); what went wrong, in words. */
import type { Chance, Hike, Plan, Trouble, TrustGroup, Varied } from "@gepack/core";
import { stopName, waterName } from "./names.ts";
import { sayIn } from "./say.ts";
import { fixed } from "../units/quantity.ts";

export function chanceWords({ found, runs, high }: Chance): string {
  if (found === 0) return `< 1 in ${roundDown(1 / high)}`;
  return shareWords(found / runs);
}

/** A share of hikes that is not nothing. */
export function shareWords(share: number): string {
  if (share < 0.015) return share > 0 ? `1 in ${roundDown(1 / share)}` : "almost never";
  if (share > 0.985) return "almost always";
  return `${Math.round(100 * share)} in 100`;
}

/** What is sure to 95 in 100. */
export function intervalWords({ found, runs, low, high }: Chance): string {
  const per100 = (share: number): string => fixed(100 * share, share < 0.1 ? 1 : 0);
  return `${fixed(found, 0)} of ${fixed(runs, 0)} hikes: between ${per100(low)} and ${per100(high)} in 100`;
}

/** One or two digits that count. */
function roundDown(value: number): number {
  const size = 10 ** Math.max(0, Math.floor(Math.log10(value)) - 1);
  return Math.floor(value / size) * size;
}

export const TROUBLE_WORDS: Record<Trouble, { title: string; head: string; what: string; caution: string }> = {
  food: {
    title: "Out of food",
    head: "out of food",
    what: "You’re half a day of food short or more before the leg ends, even on rations cut by a tenth.",
    caution: "Running short means a hungry day; worse is an emergency. Know where you can leave the trail.",
  },
  fuel: {
    title: "Out of fuel",
    head: "of fuel",
    what: "The fuel runs out before the leg ends.",
    caution: "If you boil your drinking water or melt snow, fuel is water.",
  },
  charge: {
    title: "Out of battery",
    head: "of battery",
    what: "The batteries run flat before the leg ends.",
    caution: "Don’t rely on batteries alone for navigation and calling for help.",
  },
  water: {
    title: "Out of water",
    head: "of water",
    what: "A source you count on is dry, and two hours after your bottles are empty there’s still no water.",
    caution: "Thirst ends hikes and lives. Ask who was there last, and carry past anything that may be dry.",
  },
  cold: {
    title: "A night too cold",
    head: "cold night",
    what: "A night is colder than your sleep system is good for.",
    caution: "Sleeping bag ratings are no promise; wet kit and tired people get colder.",
  },
  shut: {
    title: "Closed on arrival",
    head: "closed",
    what: "The shop or post office is closed until after you want to leave, or is unexpectedly closed.",
    caution: "Call ahead before you rely on it.",
  },
  box: {
    title: "Missing box",
    head: "missing box",
    what: "A box hasn’t arrived, is lost, or was sent back.",
    caution: "Ask them to hold it longer.",
  },
  gear: {
    title: "Gear failure",
    head: "gear",
    what: "A pack, shelter, sleeping bag, pad, stove or light fails, or shoes wear out.",
    caution: "Carry what repairs it, or know where to replace it.",
  },
};

export const VARIED_WORDS: Record<Varied, string> = {
  pace: "pace",
  energy: "hunger",
  thirst: "thirst",
  fuel: "fuel used",
  charge: "battery used",
  weather: "nights and rain",
  snow: "the year’s snow",
  sources: "sources",
  stops: "opening hours",
  boxes: "boxes",
  illness: "illness",
  gear: "gear",
};

export const TRUST_WORDS: Record<TrustGroup, string> = {
  model: "how it’s calculated",
  person: "you",
  weather: "weather and snow",
  sources: "water along the trail",
};

/** What a simulated hike met, in one sentence. */
export function hikeWords(plan: Plan, hike: Hike): string {
  const say = sayIn(plan);
  const parts: string[] = [];
  const pace = Math.round(100 * (hike.pace - 1));
  if (pace !== 0) parts.push(`${Math.abs(pace)} % ${pace < 0 ? "slower" : "faster"}`);
  const energy = Math.round(100 * (hike.energy - 1));
  if (energy !== 0) parts.push(`${Math.abs(energy)} % ${energy > 0 ? "hungrier" : "less hungry"}`);
  if (hike.illDays > 0) parts.push(`${say.days(hike.illDays)} lost to illness`);
  if (hike.snowYear !== "usual") parts.push(hike.snowYear === "high" ? "a high snow year" : "a low snow year");
  parts.push(`${say.days(hike.wetDays)} with rain`);
  const dry = hike.drySourceIds.slice(0, 3).map((id) => waterName(id, plan));
  if (dry.length > 0) parts.push(`dry: ${dry.join(", ")}${hike.drySourceIds.length > 3 ? " and more" : ""}`);
  return `${parts.join(", ")}; finish on ${say.date(hike.finish)}`;
}

/** What of a leg of such a hike was its trouble. */
export function troubleWords(plan: Plan, hike: Hike, trouble: Trouble, legIndex: number, toStopId: string): string {
  const say = sayIn(plan);
  const leg = hike.legs[legIndex];
  if (!leg) return "";
  const late = Math.round(leg.lateDays);
  const when = late === 0 ? "on the planned day" : `${say.days(Math.abs(late))} ${late > 0 ? "late" : "early"}`;
  if (trouble === "food")
    return `${say.kg(Math.max(0, -leg.foodLeftKg))} short of food, ${say.number(leg.days, 1)} days on the leg`;
  if (trouble === "cold" && leg.nightK !== undefined) return `a night ${say.degrees(-leg.nightK)} too cold`;
  if (trouble === "shut" || trouble === "box") return `at ${stopName(plan, toStopId)} ${when}`;
  return `${say.number(leg.days, 1)} days on the leg, ${when}`;
}
