/**
 * A push reader for GPX 1.0 and 1.1: text goes in by chunks, so that a worker can show progress and
 * be cancelled between them; tracks, else routes, come out as one run of points with segments.
 *
 * Refused: anything with a document type declaration (the way entity bombs and external entities
 * come in), roots other than gpx, and files that are not well-formed. A point with a coordinate that
 * is missing, not a number or out of range is left out and reported; a height outside −500 to 9,000 m
 * counts as missing.
 */
import { SaxesParser, type SaxesTagPlain } from "saxes";
import { type Problem, type Reading } from "../units/problem.ts";
import { PointBuffer, type TrackPoints, type Waypoint } from "./points.ts";

export interface GpxFile {
  track: TrackPoints;
  waypoints: Waypoint[];
  /** Whether the points came from `trk` or, for want of one, from `rte`. */
  from: "track" | "route";
}

const MAX_POINTS = 5_000_000;
const MAX_WAYPOINTS = 20_000;
const MAX_REPORTED = 20;
const MAX_TEXT = 1000;

export interface GpxReader {
  write(chunk: string): void;
  close(): Reading<GpxFile>;
  /** Points taken so far, for progress. */
  pointCount(): number;
  /** True once nothing that follows can change the answer. */
  failed(): boolean;
}

export function gpxReader(trackId: string, fileName: string): GpxReader {
  const problems: Problem[] = [];
  const tracks = new PointBuffer();
  const routes = new PointBuffer();
  const waypoints: Waypoint[] = [];
  let failure: Problem | undefined;
  let badPoints = 0;
  let badHeights = 0;
  let sawRoot = false;
  let depth = 0;
  let wantsText = false;
  let text = "";
  let title = "";
  let seenBytes = 0;

  let lonDeg = NaN;
  let latDeg = NaN;
  let heightM = NaN;
  let pointLine = 0;
  let pointOf: "trkpt" | "rtept" | "wpt" | undefined;
  let waypointName = "";
  let waypointKind = "";

  const parser = new SaxesParser({ xmlns: false, position: true });

  const fail = (sentence: string, place = `line ${parser.line}`): void => {
    failure ??= { severity: "error", place, sentence };
  };

  parser.on("error", (error) => {
    const reason = error.message.replace(/^\S*?\d+:\d+:\s*/, "").replace(/\.$/, "");
    fail(
      sawRoot
        ? `The file is not well-formed XML here: ${reason}. It may have been cut short; export it again from its source.`
        : "This is not an XML file. A GPX 1.0 or 1.1 file is expected.",
    );
  });

  parser.on("doctype", () => {
    fail(
      "The file declares a document type. GPX files have none, and entities defined in one are not read; remove the <!DOCTYPE …> part.",
    );
  });

  parser.on("opentag", (tag: SaxesTagPlain) => {
    if (failure) return;
    const name = localName(tag.name);
    depth++;
    if (depth === 1) {
      sawRoot = true;
      if (name !== "gpx")
        fail(`The root element is <${clip(tag.name)}>, where <gpx> is expected. Choose a GPX 1.0 or 1.1 file.`);
      return;
    }
    switch (name) {
      case "trkpt":
      case "rtept":
      case "wpt":
        pointOf = name;
        pointLine = parser.line;
        lonDeg = coordinate(tag.attributes["lon"]);
        latDeg = coordinate(tag.attributes["lat"]);
        heightM = NaN;
        waypointName = "";
        waypointKind = "";
        break;
      case "trkseg":
        tracks.openSegment();
        break;
      case "rte":
        routes.openSegment();
        break;
      case "ele":
      case "name":
      case "type":
      case "sym":
        wantsText = true;
        text = "";
        break;
    }
  });

  parser.on("text", (chunk) => {
    if (wantsText && text.length < MAX_TEXT) text += chunk;
  });
  parser.on("cdata", (chunk) => {
    if (wantsText && text.length < MAX_TEXT) text += chunk;
  });

  parser.on("closetag", (tag: SaxesTagPlain) => {
    if (failure) return;
    depth--;
    const name = localName(tag.name);
    if (wantsText) {
      wantsText = false;
      takeText(name, text.trim().slice(0, 200));
    } else if (name === pointOf) {
      takePoint(name);
      pointOf = undefined;
    }
  });

  function takeText(name: string, value: string): void {
    if (name === "ele") {
      const height = value === "" ? NaN : Number(value);
      if (height >= -500 && height <= 9000) heightM = height;
      else if (value !== "") badHeights++;
    } else if (name === "name") {
      if (pointOf) waypointName = value;
      else if (title === "") title = value;
    } else if (pointOf && waypointKind === "") waypointKind = value;
  }

  function takePoint(kind: "trkpt" | "rtept" | "wpt"): void {
    if (!(Math.abs(lonDeg) <= 180 && Math.abs(latDeg) <= 90)) {
      badPoints++;
      if (badPoints <= MAX_REPORTED)
        problems.push({
          severity: "caution",
          place: `line ${pointLine}`,
          sentence: "Left out a point whose lat or lon is missing, not a number, or outside −90 to 90 and −180 to 180.",
        });
      return;
    }
    if (kind === "wpt") {
      if (waypoints.length < MAX_WAYPOINTS)
        waypoints.push({ name: waypointName || "Unnamed waypoint", lonDeg, latDeg, kind: waypointKind });
      return;
    }
    const into = kind === "trkpt" ? tracks : routes;
    if (into.count >= MAX_POINTS)
      return fail(`The file has more than ${MAX_POINTS.toLocaleString("en")} points, the most that is read.`);
    into.push(lonDeg, latDeg, heightM);
  }

  return {
    write(chunk) {
      seenBytes += chunk.length;
      if (!failure) parser.write(chunk);
    },
    failed: () => failure !== undefined,
    pointCount: () => tracks.count || routes.count,
    close() {
      if (!failure && seenBytes === 0) fail("The file is empty. A GPX 1.0 or 1.1 file is expected.", "file");
      if (!failure) parser.close();
      if (!failure && !sawRoot) fail("This is not an XML file. A GPX 1.0 or 1.1 file is expected.", "file");
      const from = tracks.count > 0 ? "track" : "route";
      const points = from === "track" ? tracks : routes;
      if (!failure && points.count < 2)
        fail(
          points.count === 0 && badPoints > 0
            ? `None of the file's ${badPoints} points has usable coordinates.`
            : `The file has ${points.count === 0 ? "no track or route points" : "a track of one point"}. At least two points make a trail.`,
          "file",
        );
      if (failure) return { value: undefined, problems: [failure] };
      if (badPoints > MAX_REPORTED)
        problems.push({
          severity: "caution",
          place: "file",
          sentence: `Left out ${badPoints} points with unusable coordinates in all.`,
        });
      if (badHeights > 0)
        problems.push({
          severity: "caution",
          place: "file",
          sentence: `${badHeights} heights were not numbers between −500 and 9,000 m and count as missing.`,
        });
      return { value: { track: points.take(trackId, title || fileName), waypoints, from }, problems };
    },
  };
}

/** The whole text at once: for tests, scripts and the server. */
export function readGpx(text: string, trackId = "track", fileName = "track"): Reading<GpxFile> {
  const reader = gpxReader(trackId, fileName);
  reader.write(text);
  return reader.close();
}

function coordinate(value: string | undefined): number {
  return value === undefined || value.trim() === "" ? NaN : Number(value);
}

function localName(name: string): string {
  const colon = name.indexOf(":");
  return colon < 0 ? name : name.slice(colon + 1);
}

function clip(text: string): string {
  return text.length > 40 ? `${text.slice(0, 40)}…` : text;
}
