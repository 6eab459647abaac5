/** What a piece of kit is, and what it is rated, by its name: a guess, to be changed in the piece. */
import { pieceSchema } from "../plan/kitSchema.ts";
import type { Piece } from "../plan/schema.ts";
import { readNumber, tidyNumbers } from "../units/number.ts";

export type Ratings = Partial<Pick<Piece, "role" | "comfortC" | "padR" | "capacityL">>;

type Role = NonNullable<Piece["role"]>;

/** Nouns in the commonest languages of trails; the first that fits. What goes with a thing is not the thing. */
const ROLE_WORDS: readonly (readonly [Role, RegExp, RegExp])[] = [
  ["hard-canister", /\b(bear (can|canister|keg)|hard canister)\b/i, /\bspray\b/i],
  ["pad", /sleeping (pad|mat)|\bpad\b|\bmat\b|mattress|isomatte|luftmatratze|\bmatte\b|matelas|esterilla|colchoneta|materassin|\bmatje\b|slaapmat|liggunderlag|\bcolchão/i, /\bsit|sitz|pump|repair|clean/i],
  ["bag", /sleeping bag|\bquilt\b|schlafsack|sac de couchage|\bduvet\b|saco de dorm|sacco a pelo|slaapzak|sovsäck|soveposer?\b|saco-cama/i, /liner|inlet|cover|inner|compression|stuff|packsack/i],
  ["shelter", /\btent\b|\btarp\b|\bbivy\b|\bbivvy\b|hammock|\bshelter\b|\bzelt\b|\btente\b|\btienda\b|\btenda\b|\btält\b|hängematte/i, /stake|peg\b|pegs|footprint|ground ?sheet|guy|\bpoles?\b|repair|hering|piquet|straps|bag\b/i],
  ["pack", /back ?pack|rucksack|\bpack\b|sac à dos|mochila|\bzaino\b|rugzak|ryggsäck|ryggsekk/i, /liner|cover|hülle|fanny|hip|towel|power|battery|ice|first|rain/i],
  ["shoes", /trail runners?|\bshoes?\b|\bboots?\b|schuhe|chaussures|zapatillas|\bbotas\b|\bscarp(e|oni)\b|schoenen|\bskor\b|sapatos|wanderstiefel/i, /lace|insole|camp|water|snow|spray|wax|shower|sandal/i],
  ["stove", /\bstove\b|\bburner\b|\bcooker\b|kocher|réchaud|hornillo|fornell|\bbrander\b|spritkök|fogareiro/i, /wind|screen|fuel|base|stand|pot/i],
  ["bottle", /\bbottles?\b|water (bag|bladder|sack)|\bbladder\b|hydration|flasche|bouteille|gourde|botella|bottigli|borraccia|fles\b|flaska|garrafa|trinkblase|reservoir/i, /soap|fuel|alcohol|\bgas\b|spray|oil|brush|pee|holder|filter|carrier/i],
]; // prettier-ignore

export function guessRole(name: string): Role | undefined {
  return ROLE_WORDS.find(([, is, not]) => is.test(name) && !not.test(name))?.[0];
}

/** A bag with a temperature is slept in: `bag -12C`. */
const WARM_BAG = /^(?:\w+ )?bag\b/i;

/** How names tell ratings. */
export const RATING = {
  celsius: /([-−–+]?\d+(?:[.,]\d+)?)\s*°?\s*([CF])(?![\p{L}])/u,
  r: /\bR\s*-?\s*(?:value)?\s*[:=]?\s*(\d+(?:[.,]\d+)?)/iu,
  litres: /(\d+(?:[.,]\d+)?)\s*(ml|cl|litres?|liters?|l)(?![\p{L}])/iu,
} as const;
const numberOf = (text: string): number | undefined => readNumber(tidyNumbers(text))[0];

/** What a name says of itself: role, and the ratings of that role. */
export function ratingsOf(name: string): Ratings {
  const role = guessRole(name) ?? (WARM_BAG.test(name) && RATING.celsius.test(name) ? "bag" : undefined);
  const ratings: Ratings = role === undefined ? {} : { role };
  const degrees = RATING.celsius.exec(name);
  const value = degrees ? numberOf(degrees[1]!.replace("–", "-")) : undefined;
  if (role === "bag" && value !== undefined)
    ratings.comfortC = Math.round(10 * (degrees![2] === "F" ? (value - 32) / 1.8 : value)) / 10;
  const r = RATING.r.exec(name);
  if (role === "pad" && r) ratings.padR = Math.min(20, numberOf(r[1]!) ?? 0);
  const litres = RATING.litres.exec(name);
  const amount = litres ? numberOf(litres[1]!) : undefined;
  if ((role === "bottle" || role === "hard-canister") && amount !== undefined) {
    const unit = litres![2]!.toLowerCase();
    ratings.capacityL = amount * (unit === "ml" ? 0.001 : unit === "cl" ? 0.01 : 1);
  }
  // What no piece can be rated is no rating: the words stay in the name.
  return Object.fromEntries(
    Object.entries(ratings).filter(
      ([key, rating]) => pieceSchema.shape[key as keyof Ratings].safeParse(rating).success,
    ),
  ) as Ratings;
}
