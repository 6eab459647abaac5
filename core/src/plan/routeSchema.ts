/** The route of the document: which ground is walked, and in which order. */
import { z } from "zod";
import { amount, id, name, note, trackM } from "./values.ts";

/** Another way that leaves the main trail and comes back to it; from and to the same place it is a side trip. */
export const alternateSchema = z.looseObject({
  id,
  name,
  /** The recorded track of it, in either direction. */
  trackId: id,
  leavesM: trackM,
  rejoinsM: trackM,
  /** Walked in place of the main trail. */
  chosen: z.boolean().default(false),
  note,
});

/** A stretch of the main trail that cannot be walked: gone round by an alternate, or past by a ride. */
export const closureSchema = z.looseObject({
  id,
  name,
  fromM: trackM,
  toM: trackM,
  /** Counts now. */
  holds: z.boolean().default(true),
  alternateId: id.optional(),
  /** By clock, waiting in it, where no alternate goes round. */
  rideH: amount("h", 0, 240).default(2),
  note,
});

/** One of the parts that a hike is walked in, in the order of the list; from beyond its end it is walked against the track. */
export const sectionSchema = z.looseObject({
  id,
  name,
  fromM: trackM,
  toM: trackM,
  /** From the end of the part before to the start of this one. */
  transferH: amount("h", 0, 2400).default(8),
  transferCost: amount("money", 0, 1_000_000).default(0),
});

/** Which ground is walked, and in which order. Without sections the whole main trail. */
export const routeSchema = z.looseObject({
  alternates: z.array(alternateSchema).max(200).default([]),
  closures: z.array(closureSchema).max(200).default([]),
  sections: z.array(sectionSchema).max(40).default([]),
  /** The main trail was made from a table: it is nowhere, and its climbs are the table's. */
  coarse: z.boolean().default(false),
  /** Stretches of the main trail that its file knows no heights of. */
  heightless: z
    .array(z.looseObject({ fromM: trackM, toM: trackM }))
    .max(200)
    .default([]),
});

export type Alternate = z.infer<typeof alternateSchema>;
export type Closure = z.infer<typeof closureSchema>;
export type Section = z.infer<typeof sectionSchema>;
