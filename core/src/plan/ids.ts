/** Names and lists that the document's format fixes; apart from the schema, so that a page can have them without it. */

export const PLAN_FORMAT = "gepack-plan";
export const PLAN_VERSION = 6;

/** Stand-ins for the two ends of the track as recorded, where a stop id is needed. */
export const START_ID = "@start";
export const FINISH_ID = "@finish";
/** Start the ids of halts that no stop is: at the transfer to a section, on the ride past a closure. */
export const TRANSFER = "@transfer:";
export const RIDE = "@ride:";
/** Snow by the way, where it is all the water for a while. */
export const SNOW_ID = "@snow";
/** The ends in walking order. */
export function walkEnds(direction: "forward" | "reverse"): { firstId: string; lastId: string } {
  return direction === "forward" ? { firstId: START_ID, lastId: FINISH_ID } : { firstId: FINISH_ID, lastId: START_ID };
}

export const SERVICES = ["shop-small", "shop-full", "meals", "post", "outfitter", "bed", "laundry", "socket"] as const;
/** What a shop may be out of. */
export const LACKS = ["gas", "alcohol", "liquid-fuel", "tablets", "dried-meals", "own-diet"] as const;
/** How food for the way on comes to a stop. */
export const FOOD_BY = ["buy", "drop", "bounce", "ahead", "visitor"] as const;
/** The way between the trail and a stop. */
export const ACCESS = ["foot", "hitch", "shuttle"] as const;
/** How a food is eaten, and where it is available at the least. */
export const EATEN = ["cold", "soaked", "boiled"] as const;
export const BOUGHT_IN = ["shop-small", "shop-full", "home"] as const;
export const MEALS = ["breakfast", "way", "dinner", "drinks"] as const;
export const WEEKDAYS = ["mon", "tue", "wed", "thu", "fri", "sat", "sun"] as const;
export const SOURCE_KINDS = ["spring", "creek", "lake", "tank", "cache", "tap", "snow"] as const;
export const REPORTS = ["flowing", "trickle", "dry"] as const;
export const CAN_SIZES = ["small", "middle", "large"] as const;
export const PAST = ["share", "none", "one", "chance"] as const;
export const TREATMENTS = ["none", "filter", "dioxide", "chlorine", "lamp", "boil"] as const;
export const MURKS = ["clear", "cloudy", "silty", "glacial"] as const;
export const TARGETS = ["giardia", "cryptosporidium"] as const;
// prettier-ignore
export const STRETCH_KINDS = [
  "surface", "snow", "rule", "hazard", "insects", "dry", "ford", "ticks", "animals", "faint-path",
] as const;
export const RULES = ["hard-canister", "fire-ban", "permit", "no-camping"] as const;
export const DEVICE_KINDS = ["rechargeable", "spare-cells", "bank", "solar"] as const;
export const SOLAR_PLACES = ["pack", "camp"] as const;
export const SOLAR_TREES = ["open", "scattered", "forest"] as const;
export const CERTAINTIES = ["mean", "95", "99"] as const;
export const ROLES = ["pack", "shelter", "bag", "pad", "shoes", "bottle", "hard-canister", "stove", "layer"] as const;
/** What a piece is good for beside its role. */
// prettier-ignore
export const GIVES = [
  "rain", "wind", "sun", "warm-layer", "traction", "axe", "snowshoes", "insects", "light", "papers", "deterrent",
  "shade", "poles", "navigation",
] as const;
// prettier-ignore
export const DEMANDS = [
  "night", "pad", "shelter", "warm-layer", "rain", "wind", "heat", "sun", "traction", "axe", "snowshoes", "ford",
  "insects", "animals", "light", "power", "navigation", "papers", "food-store", "space", "water",
] as const;
/** What may be otherwise on a simulated hike. */
// prettier-ignore
export const VARIED = [
  "pace", "energy", "thirst", "fuel", "charge", "weather", "snow", "sources", "stops", "boxes", "illness", "gear",
] as const;
/** What a card of the log says of a night and of a piece. */
export const FITTED = ["pace", "hours", "breaks", "food", "litres", "fuel", "charge"] as const;
export const LOGGED_NIGHTS = ["camp", "bed", "stop"] as const;
export const PIECE_EVENTS = ["broken", "repaired", "bought", "sent", "swapped", "lost"] as const;
export const WEARS = ["packed", "worn", "consumable"] as const;
export const CONDITIONS = ["new", "good", "worn", "failing"] as const;
export const VERDICTS = ["keep", "change", "home"] as const;
/** Where a piece rides, from the bottom of the pack up, then outside of it. */
export const RIDES = ["bottom", "core", "top", "lid", "pockets", "outside", "body"] as const;
/** Any way; by land post and in the cabin alone; by post and in the hold; by neither. */
export const TRAVELS = ["any", "cabin", "hold", "neither"] as const;
/** What of the figures a decision may hang on: coldest night, snow under foot, longest carry, wet days, wind. */
export const DECIDED_BY = ["night-below", "snow-over", "carry-over", "wet-over", "wind-over"] as const;
export const SPAN_BEGINS = ["from-home", "posted", "bought", "handed-over"] as const;
export const SPAN_ENDS = ["kept", "sent-home", "sent-forward", "handed-over", "discarded"] as const;
export const FUELS = ["gas-canister", "gas-heat-exchanger", "alcohol", "tablets", "liquid-fuel", "none"] as const;

// prettier-ignore
export const SURFACES = [
  "road", "trail", "light-brush", "heavy-brush", "scree", "bog", "sand", "firm-snow", "soft-snow",
] as const;

/** What the feet stand on where snow is soft. */
export const ON_SNOW = ["foot", "snowshoes", "skis"] as const;

/** A party has so many at most. */
export const MOST_HIKERS = 6;

/** Water at a stop that is passed by: this, and the stop's id. */
export const TAP = "@tap:";
