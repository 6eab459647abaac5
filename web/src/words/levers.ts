/** Changes that could be taken, in words: what is done, for a list and for the undo step. */
import { type Lever, type LeverField, type LeverTarget, type Plan } from "@gepack/core";
import { stopName } from "./names.ts";
import { sayIn, type Say } from "./say.ts";

export const TARGET_WORDS: Record<LeverTarget, string> = {
  heaviest: "the heaviest pack",
  leg: "this leg’s pack",
  mean: "the average pack",
  "kg-km": "total carried, kg·km",
  days: "days",
  money: "money",
  food: "running out of food",
  water: "running out of water",
  cold: "a night too cold",
};

const FIELD_WORDS: Record<LeverField, (value: number, say: Say) => string> = {
  density: (value, say) => `Food of ${say.number(value, 1)} kcal/g`,
  shortfall: (value, say) => `Eat ${say.percent(100 * value)} less than you burn`,
  "reserve-days": (value, say) => `${say.days(value)} of food in reserve`,
  "reserve-food": (value, say) => `${say.percent(100 * value)} of the food as reserve`,
  "reserve-water": (value, say) => `${say.percent(100 * value)} of the water as reserve`,
  "least-water": (value, say) => `Leave each source with at least ${say.L(value, 1)}`,
  "drink-at-source": (value, say) => `Drink ${say.L(value, 1)} at each source`,
  boils: (value, say) => `${say.number(value)} boils a day`,
};

const TRUST = {
  all: "Count on every source",
  chance: "Count on sources by their likelihood",
  reliable: "Count on reliable sources only",
} as const;
const PAST = {
  share: "Carry past a doubtful source by how doubtful it is",
  none: "Don’t carry water past doubtful sources",
  one: "Carry past a doubtful source to the next one",
  chance: "Carry past doubtful sources to one that is almost never dry",
} as const;

const MARGIN = {
  water: "thinner water margin",
  food: "thinner food margin",
} as const;
const FIELD_MARGIN: Partial<Record<LeverField, keyof typeof MARGIN>> = {
  "reserve-water": "water",
  "least-water": "water",
  "reserve-food": "food",
  "reserve-days": "food",
  shortfall: "food",
};

/** What is thinner after a change that breaks no caution: a margin is there to be needed. */
export function thinnerBy(lever: Lever): string[] {
  switch (lever.kind) {
    case "figure": {
      const margin = FIELD_MARGIN[lever.field];
      return margin ? [MARGIN[margin]] : [];
    }
    case "trust":
    case "past":
      return [MARGIN.water];
    case "assume-water":
      return [MARGIN.water];
    case "both":
      return [...new Set([...thinnerBy(lever.first), ...thinnerBy(lever.second)])];
    default:
      return [];
  }
}

export function leverWords(plan: Plan, lever: Lever): string {
  const say = sayIn(plan);
  const piece = (id: string): string => plan.kit.find((one) => one.id === id)?.name ?? "(item no longer exists)";
  switch (lever.kind) {
    case "leave":
      return `Leave at home: ${piece(lever.pieceId)}`;
    case "swap":
      return `${piece(lever.otherId)} instead of ${piece(lever.pieceId)}`;
    case "share":
      return `Share ${piece(lever.pieceId)}; leave ${piece(lever.insteadId)} at home`;
    case "pass":
      return `Skip ${stopName(plan, lever.stopId)}`;
    case "use":
      return `Stop at ${stopName(plan, lever.stopId)}`;
    case "nights":
      return `${lever.nights === 1 ? "One night" : `${lever.nights} nights`} at ${stopName(plan, lever.stopId)}`;
    case "food-by":
      return `${stopName(plan, lever.stopId)}: ${lever.foodBy === "buy" ? "buy food there" : "mail food there"}`;
    case "hours":
      return `Half an hour more walking every day`;
    case "start":
      return `Start on ${say.date(lever.date)}`;
    case "figure":
      return FIELD_WORDS[lever.field](lever.value, say);
    case "trust":
      return TRUST[lever.trust];
    case "past":
      return PAST[lever.past];
    case "shop-at":
      return `Buy food at ${stopName(plan, lever.stopId)}`;
    case "mail-to":
      return `Mail food to ${stopName(plan, lever.stopId)}`;
    case "assume-water":
      return `Assume water at ${say.number(lever.places.length)} more places`;
    case "cold-food":
      return "Don’t cook: leave stove, pot and fuel at home";
    case "exchange":
      return "Leave part-full gas canisters behind if a new one alone is lighter";
    case "dinner-at-water":
      return "Before a dry camp, have dinner at the last water";
    case "both":
      return `${leverWords(plan, lever.first)}, and ${lowered(leverWords(plan, lever.second))}`;
  }
}

const lowered = (words: string): string => words.charAt(0).toLowerCase() + words.slice(1);
