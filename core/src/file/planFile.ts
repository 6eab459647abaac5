/**
 * The one file that holds everything: the plan document with its tracks inside, as GeoJSON features
 * of type MultiLineString (longitude, latitude, height in metres; no third number where unknown).
 * What is written reads back to the same numbers, to the bit.
 */
import { z } from "zod";
import { placeOf, readPlan, sentenceOf } from "../plan/read.ts";
import type { Plan } from "../plan/schema.ts";
import { tooLong } from "../track/limit.ts";
import { repairTracks } from "../track/repair.ts";
import { PointBuffer, type TrackPoints } from "../track/points.ts";
import { type ReadResult, refused } from "../units/problem.ts";

/** Longitude, latitude, and a height where it is known. */
const position = z
  .tuple([z.number().min(-180).max(180), z.number().min(-90).max(90)], z.number().min(-500).max(9000))
  .meta({ maxItems: 3 });
/** Two points in all, be they in one line or in two. */
const TWO_POINTS = { anyOf: [{ minItems: 2 }, { contains: { minItems: 2 } }] };
const trackFeature = <Segment extends z.ZodType>(segment: Segment) =>
  z.looseObject({
    type: z.literal("Feature"),
    id: z.string().min(1).max(80),
    properties: z.looseObject({ name: z.string().max(200).default("") }),
    geometry: z.looseObject({ type: z.literal("MultiLineString"), coordinates: z.array(segment).meta(TWO_POINTS) }),
  });
/** Fifty of the main trail, two hundred of alternates. */
const MOST_TRACKS = 250;
export const tracksSchema = z.array(trackFeature(z.array(position))).max(MOST_TRACKS);
/** The same without the points, which come by the million and are looked at one by one. */
const trackHead = trackFeature(z.unknown());

const MAX_POINTS = 5_000_000;

export interface PlanFile {
  plan: Plan;
  tracks: TrackPoints[];
}

/** Accepts a parsed JSON value; `tracks` may be absent when the caller has them already. */
export function readPlanFile(data: unknown): ReadResult<PlanFile> {
  const { value: document, problems } = readPlan(data);
  if (!document) return { value: undefined, problems };
  const { tracks: given, ...plan } = document as Plan & { tracks?: unknown };
  if (given === undefined) return { value: { plan: plan as Plan, tracks: [] }, problems };
  const parsed = z.array(trackHead).max(MOST_TRACKS).safeParse(given, { reportInput: true });
  if (!parsed.success) {
    const issue = parsed.error.issues[0]!;
    return refused(placeOf(["tracks", ...issue.path]), `${sentenceOf(issue)}.`);
  }
  const tracks: TrackPoints[] = [];
  for (const [t, feature] of parsed.data.entries()) {
    if (tracks.some((track) => track.id === feature.id))
      return refused(
        `tracks[${t}].id`,
        `The id ${JSON.stringify(feature.id)} is used twice; each track needs its own.`,
      );
    const points = new PointBuffer();
    for (const [s, segment] of feature.geometry.coordinates.entries()) {
      const place = `tracks[${t}].geometry.coordinates[${s}]`;
      if (!Array.isArray(segment)) return refused(place, "Expected a list of points.");
      points.openSegment();
      for (const [i, point] of (segment as unknown[]).entries()) {
        if (!isPosition(point))
          return refused(
            `${place}[${i}]`,
            "Expected longitude −180 to 180, latitude −90 to 90 and, if known, height −500 to 9,000 m.",
          );
        if (points.count === MAX_POINTS)
          return refused(`tracks[${t}]`, `More than ${MAX_POINTS.toLocaleString("en")} points, the most that is read.`);
        points.push(point[0], point[1], point[2] ?? NaN);
      }
    }
    if (points.count < 2) return refused(`tracks[${t}]`, "A trail needs at least two points.");
    tracks.push(points.take(feature.id, feature.properties.name));
  }
  const isMissing = (id: string): boolean => !tracks.some((track) => track.id === id);
  const missing = plan.trackIds.find(isMissing);
  if (missing !== undefined)
    return refused("trackIds", `Names the track ${JSON.stringify(missing)}, which is not in tracks.`);
  // The trail is walked without them.
  for (const { name, trackId } of (plan as Plan).route.alternates)
    if (isMissing(trackId))
      problems.push({
        severity: "caution",
        place: "route.alternates",
        sentence: `The alternate “${name}” is ignored: its track ${JSON.stringify(trackId)} is not in the file.`,
      });
  const refusal = tooLong(repairTracks(tracks.filter((track) => plan.trackIds.includes(track.id))));
  if (refusal !== undefined) return refused("tracks", refusal);
  return { value: { plan: plan as Plan, tracks }, problems };
}

function isPosition(point: unknown): point is [lonDeg: number, latDeg: number, heightM?: number] {
  if (!Array.isArray(point) || point.length < 2 || point.length > 3) return false;
  const [lonDeg, latDeg, heightM] = point as unknown[];
  if (typeof lonDeg !== "number" || typeof latDeg !== "number") return false;
  if (!(Math.abs(lonDeg) <= 180 && Math.abs(latDeg) <= 90)) return false;
  return heightM === undefined || (typeof heightM === "number" && heightM >= -500 && heightM <= 9000);
}
