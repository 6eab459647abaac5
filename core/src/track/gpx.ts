/**
 * A push reader for GPX 1.0 and 1.1: text goes in by chunks, so that a worker can show progress and
 * be cancelled between them; tracks, else routes, come out as one run of points with segments.
 *
 * Refused, at the first of them without reading on: anything with a document type declaration (the way
 * entity bombs and external entities come in), roots other than gpx, elements nested deeper than any GPX
 * file nests them, and files that are not well-formed. Elements of other namespaces (extensions of
 * recorders) are passed over with all that is in them. A point with a coordinate that
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
/** A file that begins with so many points of no use has none; the rest is not read. */
const MOST_BAD_FIRST = 1000;
const MAX_TEXT = 1000;
/** Extensions nest some ten levels; a thousand and more only come from who means harm. */
const MAX_DEPTH = 100;
const MAX_ATTRIBUTES = 200;
/** Programs that give the root no namespace may give it to the elements. */
const GPX_NAMESPACE = /^http:\/\/www\.topografix\.com\/GPX\//;

export interface GpxReader {
  write(chunk: string): void;
  close(): Reading<GpxFile>;
  /** Points taken so far, for progress. */
  pointCount(): number;
  /** True once nothing that follows can change the answer. */
  failed(): boolean;
}

/** Ends the parsing where it stands; what was wrong is in `failure`. */
class Stop extends Error {}

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
  /** Depth of the foreign element that holds the present one, 0 when none does. */
  let foreignFrom = 0;
  let namespaces = new Map<string, string>();
  let ownNamespace = "";
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
  let words = { symbol: "", type: "", description: "" };

  const parser = new SaxesParser({ xmlns: false, position: true });

  const fail = (sentence: string, place = `line ${parser.line}`): never => {
    failure ??= { severity: "error", place, sentence };
    throw new Stop();
  };

  /** Runs a piece of parsing up to its end or its first fault. */
  const attempt = (parse: () => void): void => {
    if (failure) return;
    try {
      parse();
    } catch (error) {
      if (!(error instanceof Stop)) throw error;
    }
  };

  /** Whether an element is GPX's own: by the namespace of the root, which its prefix must stand for. */
  const isForeign = (tag: SaxesTagPlain): boolean => {
    const prefix = prefixOf(tag.name);
    const declared = tag.attributes[prefix === "" ? "xmlns" : `xmlns:${prefix}`];
    const namespace = declared ?? namespaces.get(prefix) ?? (prefix === "" ? "" : undefined);
    if (namespace === ownNamespace) return false;
    return !(ownNamespace === "" && namespace !== undefined && GPX_NAMESPACE.test(namespace));
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

  let attributes = 0;
  parser.on("opentagstart", () => {
    attributes = 0;
  });
  parser.on("attribute", () => {
    if (++attributes > MAX_ATTRIBUTES)
      fail(`An element has more than ${MAX_ATTRIBUTES} attributes here; none of a GPX file has. Export it again.`);
  });

  parser.on("opentag", (tag: SaxesTagPlain) => {
    const name = localName(tag.name);
    depth++;
    if (depth === 1) {
      sawRoot = true;
      if (name !== "gpx")
        fail(`The root element is <${clip(tag.name)}>, where <gpx> is expected. Choose a GPX 1.0 or 1.1 file.`);
      namespaces = namespacesOf(tag);
      ownNamespace = namespaces.get(prefixOf(tag.name)) ?? "";
      return;
    }
    if (depth > MAX_DEPTH)
      fail(`Elements are nested more than ${MAX_DEPTH} deep here; no GPX file nests them so. Export it again.`);
    if (foreignFrom > 0) return;
    if (isForeign(tag)) {
      foreignFrom = depth;
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
        words = { symbol: "", type: "", description: "" };
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
      case "desc":
      case "cmt":
        wantsText = true;
        text = "";
        break;
    }
  });

  parser.on("text", (chunk) => {
    if (wantsText && foreignFrom === 0 && text.length < MAX_TEXT) text += chunk;
  });
  parser.on("cdata", (chunk) => {
    if (wantsText && foreignFrom === 0 && text.length < MAX_TEXT) text += chunk;
  });

  parser.on("closetag", (tag: SaxesTagPlain) => {
    depth--;
    if (foreignFrom > 0) {
      if (depth < foreignFrom) foreignFrom = 0;
      return;
    }
    const name = localName(tag.name);
    if (wantsText) {
      wantsText = false;
      takeText(name, text.trim());
    } else if (name === pointOf) {
      takePoint(name);
      pointOf = undefined;
    }
  });

  function takeText(name: string, value: string): void {
    const short = value.slice(0, 200);
    if (name === "ele") {
      const height = value === "" ? NaN : Number(value);
      if (height >= -500 && height <= 9000) heightM = height;
      else if (value !== "") badHeights++;
    } else if (name === "name") {
      if (pointOf) waypointName = short;
      else if (title === "") title = short;
    } else if (!pointOf) return;
    else if (name === "sym") words.symbol = short;
    else if (name === "type") words.type = short;
    else if (words.description === "") words.description = value;
  }

  function takePoint(kind: "trkpt" | "rtept" | "wpt"): void {
    if (!(Math.abs(lonDeg) <= 180 && Math.abs(latDeg) <= 90)) {
      badPoints++;
      if (badPoints === MOST_BAD_FIRST && tracks.count + routes.count + waypoints.length === 0)
        fail(`None of the file's first ${MOST_BAD_FIRST} points has usable coordinates.`);
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
        waypoints.push({ name: waypointName || "Unnamed waypoint", lonDeg, latDeg, ...words });
      return;
    }
    const into = kind === "trkpt" ? tracks : routes;
    if (into.count >= MAX_POINTS)
      fail(`The file has more than ${MAX_POINTS.toLocaleString("en")} points, the most that is read.`);
    into.push(lonDeg, latDeg, heightM);
  }

  function tooFew(): string {
    const count = tracks.count || routes.count;
    if (count === 0 && badPoints > 0) return `None of the file's ${badPoints} points has usable coordinates.`;
    return `The file has ${count === 0 ? "no track or route points" : "a track of one point"}. At least two points make a trail.`;
  }

  return {
    write(chunk) {
      seenBytes += chunk.length;
      attempt(() => parser.write(chunk));
    },
    failed: () => failure !== undefined,
    pointCount: () => tracks.count || routes.count,
    close() {
      const from = tracks.count > 0 ? "track" : "route";
      attempt(() => {
        if (seenBytes === 0) fail("The file is empty. A GPX 1.0 or 1.1 file is expected.", "file");
        parser.close();
        if (!sawRoot) fail("This is not an XML file. A GPX 1.0 or 1.1 file is expected.", "file");
        if ((from === "track" ? tracks : routes).count < 2) fail(tooFew(), "file");
      });
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
      return {
        value: { track: (from === "track" ? tracks : routes).take(trackId, title || fileName), waypoints, from },
        problems,
      };
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

function prefixOf(name: string): string {
  const colon = name.indexOf(":");
  return colon < 0 ? "" : name.slice(0, colon);
}

/** Namespaces an element declares, by prefix; "" is the default one. */
function namespacesOf({ attributes }: SaxesTagPlain): Map<string, string> {
  const declared = Object.entries(attributes).filter(([name]) => name === "xmlns" || name.startsWith("xmlns:"));
  return new Map(declared.map(([name, namespace]) => [name.slice("xmlns:".length), namespace]));
}

function clip(text: string): string {
  return text.length > 40 ? `${text.slice(0, 40)}…` : text;
}
