/** FIT: the records of an activity or a course that have a position, and a course's points as waypoints. */
import FitParser, { type ParsedFit } from "fit-file-parser";
import { type ReadResult, refused } from "../units/problem.ts";
import { Collected, type TrackFile } from "./collect.ts";

class Refused extends Error {}

export function readFit(
  bytes: Uint8Array,
  trackId = "track",
  fileName = "track",
  keepTimes = false,
): ReadResult<TrackFile> {
  const parsed = parse(bytes);
  if (typeof parsed === "string")
    return refused(
      "file",
      `Couldn’t read the FIT file: ${parsed.replace(/\.$/, "")}. It may be cut off; copy it again.`,
    );
  const found = new Collected(
    (sentence) => {
      throw new Refused(sentence);
    },
    "position",
    keepTimes,
  );
  try {
    for (const [i, record] of (parsed.records ?? []).entries()) {
      // A record without a position is a heart beat, not a fault.
      if (record.position_lat === undefined || record.position_long === undefined) continue;
      if (found.wantsTime && record.timestamp !== undefined) found.time(String(record.timestamp));
      const height = record.enhanced_altitude ?? record.altitude;
      const heightM = height === undefined ? NaN : found.height(String(height));
      found.point(found.tracks, record.position_long, record.position_lat, heightM, i + 1);
    }
    for (const [i, point] of (parsed.course_points ?? []).entries())
      found.waypoint(
        point.position_long ?? NaN,
        point.position_lat ?? NaN,
        { name: text(point.name), symbol: "", type: text(point.type), description: "" },
        i + 1,
      );
    const why = found.tooFew();
    if (why !== undefined) return refused("file", why);
  } catch (error) {
    if (error instanceof Refused) return refused("file", error.message);
    throw error;
  }
  return found.take(trackId, fileName);
}

const text = (value: unknown): string => (typeof value === "string" ? value.slice(0, 200) : "");

/** The parser answers at once; what is wrong comes as a word or is thrown. */
function parse(bytes: Uint8Array): ParsedFit | string {
  let answer: ParsedFit | string = "it has no end";
  try {
    const content = bytes.slice().buffer;
    new FitParser({ force: false, lengthUnit: "m", mode: "list" }).parse(content, (error, data) => {
      answer = error ?? data ?? "it is empty";
    });
  } catch (error) {
    answer = error instanceof Error ? error.message : String(error);
  }
  return answer;
}
