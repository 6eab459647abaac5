/** Boxes in the document: what the hiker adds to those that the plan makes, and how far each has come. */
import { z } from "zod";
import { amount, id, isoDate, name } from "./values.ts";

export const boxLineSchema = z.looseObject({
  id,
  name,
  massG: amount("g", 0, 50_000),
  /** The decision that it waits for: it goes in where that is taken. */
  decisionId: id.optional(),
});

/** The box to a stop: from home, or sent on from another stop. */
export const boxSchema = z.looseObject({
  id,
  toStopId: id,
  fromStopId: id.optional(),
  /** Of the box that is sent on from stop to stop, not of what else goes that way. */
  bounce: z.boolean().optional(),
  address: z.string().max(500).default(""),
  /** Besides what the plan puts in. */
  lines: z.array(boxLineSchema).max(200).default([]),
  /** The carton and what it is padded with. */
  cartonG: amount("g", 0, 5000).default(250),
  packedOn: isoDate.optional(),
  sentOn: isoDate.optional(),
  arrivedOn: isoDate.optional(),
  fetchedOn: isoDate.optional(),
});

/** A box with things that are never carried: opened at some stops, and sent on to the next of them. */
export const bounceSchema = z.looseObject({
  /** Without spans, so that no pack has them. */
  pieceIds: z.array(id).max(200).default([]),
  /** Where it is opened, in any order. */
  stopIds: z.array(id).max(400).default([]),
});

/** A parcel up to so many kilograms costs so much. */
export const postageSchema = z.looseObject({
  id,
  toKg: amount("kg", 0.01, 50),
  price: amount("money", 0, 10_000),
});

export type BoxRow = z.infer<typeof boxSchema>;
export type BoxLine = z.infer<typeof boxLineSchema>;
