/** Kit in the document: pieces and their spans, what waits to be decided, kits kept to compare with. */
import { z } from "zod";
import {
  CONDITIONS,
  DEMANDS,
  GIVES,
  DECIDED_BY,
  RIDES,
  ROLES,
  SPAN_BEGINS,
  SPAN_ENDS,
  TRAVELS,
  VERDICTS,
  WEARS,
} from "./ids.ts";
import { amount, celsius, distance, fraction, id, isoDate, label, name, stopId, whole } from "./values.ts";

/** A change made to a piece, or thought of. */
export const modificationSchema = z.looseObject({
  what: name,
  /** Less than nothing where it adds. */
  savedG: amount("g", -20_000, 20_000),
  /** The mass of the piece is that with it. */
  done: z.boolean().default(false),
});

export const spanSchema = z.looseObject({
  fromStopId: stopId,
  toStopId: stopId,
  /** How the piece comes into the pack, and where it goes after. */
  begins: z.enum(SPAN_BEGINS).default("from-home"),
  ends: z.enum(SPAN_ENDS).default("kept"),
  carrierId: id.optional(),
});

/** A mark of somebody who read the list. */
export const adviceSchema = z.looseObject({
  from: label,
  said: z.enum(VERDICTS),
  remark: z.string().max(500).default(""),
  on: isoDate,
});

export const pieceSchema = z.looseObject({
  id,
  name,
  group: label.default("Other"),
  massG: amount("g", 0, 50_000),
  quantity: whole("", 1, 200).default(1),
  measured: z.boolean().default(false),
  /** Of one, as its maker tells it, where it was weighed since. */
  listedG: amount("g", 0, 50_000).optional(),
  wear: z.enum(WEARS).default("packed"),
  volumeL: amount("L", 0, 150).default(0),
  ownerId: id,
  carrierId: id,
  /** Whether the whole party sleeps in or drinks from it. */
  shared: z.boolean().default(false),
  role: z.enum(ROLES).optional(),
  /** What it is good for; by its name where nobody says. */
  gives: z.array(z.enum(GIVES)).max(12).optional(),
  /** Whether a search may move its spans; by what it is good for where nobody says. */
  movable: z.boolean().optional(),
  /** Shoes: metres of even trail that a pair lasts on average, and those before this hike. */
  meanLifeM: distance(10_000_000).default(800_000),
  wornM: distance(10_000_000).default(0),
  /** Of what is used by the day. */
  perDayG: amount("g", 0, 1000).optional(),
  /** Bottles and hard canisters: what they hold. */
  capacityL: amount("L", 0, 150).optional(),
  comfortC: celsius.optional(),
  limitC: celsius.optional(),
  padR: amount("R", 0, 20).optional(),
  /** Kelvin that a liner, cover or jacket worn in the bag adds. */
  warmthK: amount("K", 0, 10).optional(),
  spans: z.array(spanSchema).max(40),

  /** What it was paid for, when, and how it is. */
  price: amount("money", 0, 100_000).optional(),
  boughtOn: isoDate.optional(),
  condition: z.enum(CONDITIONS).optional(),
  /** After a hike: what is to become of it, and what it taught. */
  verdict: z.enum(VERDICTS).optional(),
  lesson: z.string().max(1000).optional(),
  /** As its owner likes it, 1 to 5. */
  comfort: whole("", 1, 5).optional(),
  /** Nights slept in or with it before this hike. */
  nightsBefore: whole("nights", 0, 10_000).optional(),
  notes: z.string().max(2000).optional(),
  /** What friends said of it, each by name. */
  advice: z.array(adviceSchema).max(20).optional(),
  modifications: z.array(modificationSchema).max(40).optional(),
  /** Where it rides; by what it is where nobody says. */
  rides: z.enum(RIDES).optional(),
  /** Of what is used by the day: the tube or bag that is left. */
  emptyG: amount("g", 0, 50_000).optional(),
  /** What of post and aircraft takes it; by its name where nobody says. Carriers and countries have rules of their own. */
  travels: z.enum(TRAVELS).optional(),
  /** Packs: what they carry well by their maker. */
  loadLimitKg: amount("kg", 1, 80).optional(),
});

/** A piece or a swap that waits for how something turns out: these pieces come if so, those if not. */
export const decisionSchema = z.looseObject({
  id,
  /** In words: “if the June reports speak of ice”. */
  name,
  pieceIds: z.array(id).max(40).default([]),
  otherwiseIds: z.array(id).max(40).default([]),
  /** What the plan's own figures have to say of something on the legs of these pieces. */
  condition: z.looseObject({ of: z.enum(DECIDED_BY), limit: z.number().min(-100).max(10_000) }).optional(),
  /** Whether the plan counts on it until it is decided. */
  counted: z.boolean().default(true),
  decided: z.looseObject({ on: isoDate, taken: z.boolean(), why: z.string().max(500).default("") }).optional(),
});

/** A kit as it was on a day, to be compared with. */
export const keptKitSchema = z.looseObject({
  id,
  name,
  on: isoDate,
  pieces: z
    .array(
      z.looseObject({
        id,
        name,
        group: label.default("Other"),
        massG: amount("g", 0, 50_000),
        quantity: whole("", 1, 200).default(1),
        wear: z.enum(WEARS).default("packed"),
        hikerId: id,
      }),
    )
    .max(2000),
});

/** Why something of the kit was changed, to be read afterwards. */
export const kitStorySchema = z.looseObject({
  id,
  on: isoDate,
  what: z.string().min(1).max(300),
  why: z.string().max(500).default(""),
});

/** A demand of the season, wanted or not on the leg out of a stop, whatever the figures say. */
export const ownDemandSchema = z.looseObject({
  kind: z.enum(DEMANDS),
  fromStopId: stopId,
  wanted: z.boolean(),
});

/** What the kit is needed, and what moving pieces by post costs (judgement [L]). */
export const kitRulesSchema = z.looseObject({
  demands: z.array(ownDemandSchema).max(2000).default([]),
  /** Of one piece sent one way: so much, and so much a kilogram. */
  movePrice: amount("money", 0, 10_000).default(4),
  movePricePerKg: amount("money", 0, 10_000).default(6),
  /** That a pair of shoes may be worn out before the next is there. */
  wearChance: fraction(0.001, 0.9).default(0.2),
  /** From a stop home and from home to a stop. */
  homeDays: whole("days", 0, 120).default(6),
  sendDays: whole("days", 0, 120).default(6),
});
