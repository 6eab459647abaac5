/** Words for what is asked of the kit, and where its pieces are. */
import { counted } from "./counted.ts";
import type {
  Cover,
  Demand,
  DemandKind,
  Give,
  PlanDecision,
  KitColumn,
  KitStyle,
  Piece,
  Plan,
  Ride,
  Whereabouts,
} from "@gepack/core";
import { firstName, stopName } from "./names.ts";
import type { Say } from "./say.ts";

export const DEMAND_WORDS: Readonly<Record<DemandKind, string>> = {
  night: "Coldest night",
  pad: "Cold ground",
  shelter: "Nights outdoors",
  "warm-layer": "Cool evenings",
  rain: "Rain",
  wind: "Cold wind",
  heat: "Heat",
  sun: "Sun",
  traction: "Snow underfoot",
  axe: "Steep snow",
  snowshoes: "Soft snow",
  ford: "Fords",
  insects: "Insects",
  animals: "Animals",
  light: "Darkness",
  power: "Power",
  navigation: "Faint trail",
  papers: "Permits",
  "food-store": "Bear canister",
  space: "Pack space",
  water: "Longest water carry",
};

/** What would meet it. */
export const ASKS_FOR: Readonly<Record<DemandKind, string>> = {
  night: "a warmer sleeping bag, or a liner or jacket worn in it",
  pad: "a thicker pad, or a second one",
  shelter: "a tent or tarp",
  "warm-layer": "a warm layer for camp",
  rain: "a rain shell",
  wind: "something windproof",
  heat: "an umbrella or a wide hat, and a midday rest",
  sun: "a hat, sunglasses or sunscreen",
  traction: "spikes",
  axe: "an ice axe, and the skill to use it",
  snowshoes: "snowshoes, or frozen mornings",
  ford: "poles, and crossing when the water is lowest",
  insects: "a head net or repellent",
  animals: "whatever the rangers there advise against animals",
  light: "a headlamp",
  power: "a larger power bank, a stop with a socket, or less use",
  navigation: "a map and compass, and the skill to use them",
  papers: "the permit papers",
  "food-store": "a bear canister",
  space: "a larger pack, or a shorter leg",
  water: "more bottle capacity",
};

export const GIVE_WORDS: Readonly<Record<Give, string>> = {
  rain: "keeps rain off",
  wind: "keeps wind off",
  sun: "keeps sun off",
  "warm-layer": "warm layer",
  traction: "grips on snow",
  axe: "ice axe",
  snowshoes: "snowshoes",
  insects: "insect protection",
  light: "light",
  papers: "papers",
  deterrent: "wildlife protection",
  shade: "shade",
  poles: "poles",
  navigation: "navigation",
};

/** The figure of a demand, as short as a cell of a lane is. */
export function demandFigure({ kind, amount, byHand }: Pick<Demand, "kind" | "amount" | "byHand">, say: Say): string {
  if (byHand) return "by you";
  switch (kind) {
    case "night":
    case "warm-layer":
    case "wind":
    case "heat":
      return say.C(amount);
    case "pad":
      return say.R(amount);
    case "water":
    case "food-store":
    case "space":
      return say.L(amount);
    case "power":
      return say.Wh(amount);
    case "traction":
    case "axe":
    case "snowshoes":
      return say.distance(amount);
    case "rain":
      return `${say.number(amount, 1)} wet days`;
    case "sun":
      return `UV index ${say.number(amount)}`;
    case "ford":
    case "insects":
      return `level ${say.number(amount)}`;
    case "animals":
    case "navigation":
      return counted(amount, "stretch", "stretches");
    case "papers":
      return counted(amount, "permit");
    case "shelter":
    case "light":
      return counted(amount, "night");
  }
}

/** The unit of a kind's figures, for the head of its lane. */
export function demandUnit(kind: DemandKind, say: Say): string {
  const words = demandFigure({ kind, amount: 2, byHand: false }, say);
  return words.replace(/[\d.,−]/g, "").trim();
}

/** The bare figure, where its unit stands at the head. */
export function demandNumber(demand: Pick<Demand, "kind" | "amount" | "byHand">, say: Say): string {
  return demand.byHand ? "✓" : demandFigure(demand, say).replace(/[^\d.,−]/g, "");
}

/** One demand with what meets it, as a sentence. */
export function coverSentence(cover: Cover, plan: Plan, say: Say): string {
  const names = cover.pieceIds.map((id) => plan.kit.find((piece) => piece.id === id)?.name ?? id);
  const by = names.length === 0 ? "nothing in the kit" : names.join(", ");
  const have = haveFigure(cover, say);
  if (cover.isMet) return `Covered by ${by}${have}.`;
  return `Not covered: ${by}${have}. You need ${ASKS_FOR[cover.kind]}.`;
}

function haveFigure({ kind, have, pieceIds }: Cover, say: Say): string {
  if (pieceIds.length === 0) return "";
  switch (kind) {
    case "night":
      return `, good to ${say.C(have)}`;
    case "pad":
      return `, ${say.R(have)}`;
    case "water":
    case "food-store":
    case "space":
      return `, ${say.L(have)}`;
    default:
      return "";
  }
}

/** What a figure in a demand's lane stands for. */
export const FIGURE_NOTES: Readonly<Record<DemandKind, string>> = {
  night: "coldest night your kit is judged by, at the leg’s coldest camp",
  pad: "R-value needed on the ground that night",
  shelter: "nights without a bed",
  "warm-layer": "average of the leg’s coldest day",
  rain: "expected wet days",
  wind: "wind chill on its coldest day",
  heat: "hottest day in ten",
  sun: "highest UV index at noon",
  traction: "walked on snow; a slope with no data is assumed steep",
  axe: "walked on snow; a slope with no data is assumed steep",
  snowshoes: "on soft snow",
  ford: "highest level at the hour you cross, of 4",
  insects: "level, 0 to 3",
  animals: "stretches known for wildlife",
  light: "nights outside",
  power: "needed on the leg",
  navigation: "stretches that are hard to follow",
  papers: "stretches with a permit",
  "food-store": "of food where rules require locked storage",
  space: "kit, food and water when leaving, against pack volume",
  water: "the largest water carry",
};

export function whereWords(where: Whereabouts, plan: Plan): string {
  switch (where.place) {
    case "pack": {
      const hiker = plan.hikers.find(({ id }) => id === where.hikerId);
      return hiker && plan.hikers.length > 1 ? `with ${firstName(hiker)}` : "in the pack";
    }
    case "home":
      return "at home";
    case "waits":
      return `waits at ${stopName(plan, where.stopId)}`;
    case "not-bought":
      return `to be bought at ${stopName(plan, where.stopId)}`;
    case "handed-over":
      return `handed over at ${stopName(plan, where.stopId)}`;
    case "thrown-away":
      return `left behind at ${stopName(plan, where.stopId)}`;
  }
}

export const RIDE_WORDS: Readonly<Record<Ride, string>> = {
  bottom: "at the bottom",
  core: "in the middle, by the back",
  top: "on top",
  lid: "in the lid",
  pockets: "in the side pockets",
  outside: "outside",
  body: "on the body",
};

/** A friend’s mark on an item. */
export const ADVICE_WORDS: Readonly<Record<NonNullable<Piece["verdict"]>, string>> = {
  keep: "keep",
  change: "swap",
  home: "leave",
};

export const STYLE_WORDS: Readonly<Record<KitStyle, string>> = {
  light: "light",
  usual: "standard",
  cold: "for the cold season",
};

/** What a table of kit may have columns for. */
export const COLUMN_WORDS: Readonly<Record<KitColumn, string>> = {
  name: "name",
  group: "group",
  mass: "weight",
  listed: "listed weight",
  pounds: "weight: pounds",
  ounces: "weight: ounces",
  total: "weight of all together",
  unit: "weight unit",
  quantity: "quantity",
  worn: "worn",
  consumable: "consumable",
  volume: "volume",
  price: "price",
  owner: "owner",
  carrier: "carried by",
  shared: "shared",
  status: "worn, shared or left at home",
  shelf: "left at home",
  weighed: "weighed",
  role: "kind of item",
  gives: "good for",
  capacity: "capacity",
  comfort: "comfort rating",
  limit: "limit rating",
  padR: "R-value",
  warmth: "warmth added in the bag",
  perDay: "grams used a day",
  empty: "grams when empty",
  life: "kilometres it lasts",
  walked: "kilometres so far",
  nights: "nights so far",
  loadLimit: "load it carries well",
  bought: "date bought",
  condition: "condition",
  travels: "mail and air",
  rides: "place in the pack",
  movable: "may be mailed",
  liked: "how you like it",
  notes: "notes",
};

type DecidedBy = NonNullable<PlanDecision["condition"]>["of"];

/** What a decision may hang on, as it stands in a list. */
export const DECIDED_WORDS: Readonly<Record<DecidedBy, string>> = {
  "night-below": "a night colder than",
  "snow-over": "more snow underfoot than",
  "carry-over": "a water carry over",
  "wet-over": "more wet days than",
  "wind-over": "wind over",
};

export function decisionFigure(of: DecidedBy, value: number, say: Say): string {
  switch (of) {
    case "night-below":
      return say.C(value);
    case "snow-over":
      return say.distance(1000 * value);
    case "carry-over":
      return say.L(value);
    case "wet-over":
      return say.days(Math.round(10 * value) / 10);
    case "wind-over":
      return `${say.number(value, 1)} m/s`;
  }
}
