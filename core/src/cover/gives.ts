/** What a piece of kit is good for: as its owner says, or as its name does. */
import type { GIVES } from "../plan/ids.ts";
import type { Piece } from "../plan/schema.ts";

export type Give = (typeof GIVES)[number];

/** Words of names, whole or as their beginning; judgement [L], told as a guess and to be changed in the piece. */
const WORDS: Readonly<Record<Give, RegExp>> = {
  rain: /\b(rain (jacket|shell|coat|poncho)|poncho|waterproof (jacket|shell)|shell jacket)/i,
  wind: /\b(wind ?(shirt|jacket|shell|breaker)|rain (jacket|shell|coat)|poncho|shell jacket)/i,
  sun: /\b(sun|umbrella|parasol|sunglasses|cap\b)/i,
  "warm-layer": /\b(down jacket|down vest|puffy|fleece(?! liner)|jumper|sweater|wool(len)? (shirt|top)|insulated)/i,
  traction: /\b((micro|shoe)? ?spikes|crampons?|traction)/i,
  axe: /\bice ?axe\b/i,
  snowshoes: /\bsnow ?shoes?\b/i,
  insects: /\b(head ?net|insect|mosquito|repellent|midge)/i,
  light: /\b(head ?lamp|head ?torch|torch|lantern|flashlight)/i,
  papers: /\b(permit|papers)/i,
  deterrent: /\b((animal|bear) spray|bear bell)/i,
  shade: /\b(umbrella|parasol|sun ?hat|wide[- ]brim)/i,
  poles: /\b((trekking|walking|hiking) (poles?|sticks?)|poles\b)/i,
  navigation: /\b(maps?|compass|guide ?book|sat(ellite)? navigat|navigator|phone)\b/i,
};

const GUESSES = Object.entries(WORDS) as [Give, RegExp][];

/** By the name alone. */
export function guessGives(name: string): Give[] {
  return GUESSES.filter(([, words]) => words.test(name)).map(([give]) => give);
}

export function givesOf({ name, gives, role }: Pick<Piece, "name" | "gives" | "role">): readonly Give[] {
  if (gives) return gives;
  const guessed = guessGives(name);
  return role === "layer" && !guessed.includes("warm-layer") ? [...guessed, "warm-layer"] : guessed;
}
