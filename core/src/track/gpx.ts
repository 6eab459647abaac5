/**
 * GPX 1.0 and 1.1: tracks, else routes, come out as one run of points with segments, waypoints with their own
 * words. Elements of other namespaces (extensions of recorders) are passed over with all that is in them. A
 * point with a coordinate that is missing, not a number or out of range is left out and reported; a height
 * outside −500 to 9,000 m counts as missing. What is refused: see `XmlReader`.
 */
import { type ReadResult } from "../units/problem.ts";
import { Collected, type TrackFile, type TrackReader } from "./collect.ts";
import { localName, prefixOf, XmlReader, type XmlTag } from "./xml.ts";

const MAX_TEXT = 1000;
const MAX_NAME = 200;
/** Programs that give the root no namespace may give it to the elements. */
const GPX_NAMESPACE = /^http:\/\/www\.topografix\.com\/GPX\//;

export function gpxReader(trackId: string, fileName: string, keepTimes = false): TrackReader {
  /** Depth of the foreign element that holds the present one, 0 when none does. */
  let foreignFrom = 0;
  let namespaces = new Map<string, string>();
  let ownNamespace = "";
  let wantsText = false;
  let text = "";
  let title = "";

  let lonDeg = NaN;
  let latDeg = NaN;
  let heightM = NaN;
  let pointLine = 0;
  let partOf: "track" | "route" | undefined;
  let pointOf: "trkpt" | "rtept" | "wpt" | undefined;
  let words = { name: "", symbol: "", type: "", description: "" };

  /** Whether an element is GPX's own: by the namespace of the root, which its prefix must stand for. */
  const isForeign = (tag: XmlTag): boolean => {
    const prefix = prefixOf(tag.name);
    const declared = tag.attributes[prefix === "" ? "xmlns" : `xmlns:${prefix}`];
    const namespace = declared ?? namespaces.get(prefix) ?? (prefix === "" ? "" : undefined);
    if (namespace === ownNamespace) return false;
    return !(ownNamespace === "" && namespace !== undefined && GPX_NAMESPACE.test(namespace));
  };

  const open = (tag: XmlTag, depth: number): void => {
    if (depth === 1) {
      namespaces = namespacesOf(tag);
      ownNamespace = namespaces.get(prefixOf(tag.name)) ?? "";
      return;
    }
    if (foreignFrom > 0) return;
    if (isForeign(tag)) {
      foreignFrom = depth;
      return;
    }
    const name = localName(tag.name);
    if (name === "trk" || name === "rte") partOf = name === "trk" ? "track" : "route";
    switch (name) {
      case "trkpt":
      case "rtept":
      case "wpt":
        pointOf = name;
        pointLine = xml.line;
        lonDeg = coordinate(tag.attributes["lon"]);
        latDeg = coordinate(tag.attributes["lat"]);
        heightM = NaN;
        words = { name: "", symbol: "", type: "", description: "" };
        break;
      case "trk":
        found.beginPart();
        break;
      case "trkseg":
        found.tracks.openSegment();
        break;
      case "rte":
        found.beginPart("route");
        found.routes.openSegment();
        break;
      case "time":
        wantsText = found.wantsTime && pointOf !== undefined && pointOf !== "wpt";
        text = "";
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
  };
  const close = (tag: XmlTag, depth: number): void => {
    if (foreignFrom > 0) {
      if (depth <= foreignFrom) foreignFrom = 0;
      return;
    }
    const name = localName(tag.name);
    if (wantsText) {
      wantsText = false;
      takeText(name, text.trim());
    } else if (name === "trk" || name === "rte") partOf = undefined;
    else if (name === pointOf) {
      takePoint(name);
      pointOf = undefined;
    }
  };
  const takeText = (name: string, value: string): void => {
    const short = value.slice(0, MAX_NAME);
    if (name === "ele") heightM = found.height(value);
    else if (name === "time") found.time(value);
    else if (name === "name") {
      if (pointOf) words.name = short;
      else if (title === "") title = short;
      if (!pointOf && partOf) found.namePart({ name: short }, partOf);
    } else if (!pointOf) {
      if (name === "type" && partOf) found.namePart({ type: short }, partOf);
    } else if (name === "sym") words.symbol = short;
    else if (name === "type") words.type = short;
    // Comment and description are often one text twice.
    else if (!words.description.includes(value))
      words.description = [words.description, value].filter((one) => one !== "").join("; ");
  };
  const takePoint = (kind: "trkpt" | "rtept" | "wpt"): void => {
    if (kind === "wpt") found.waypoint(lonDeg, latDeg, words, pointLine);
    else found.point(kind === "trkpt" ? found.tracks : found.routes, lonDeg, latDeg, heightM, pointLine);
  };

  const xml = new XmlReader(
    { name: "GPX", versions: "GPX 1.0 or 1.1", root: "gpx" },
    {
      open,
      close,
      text: (chunk) => {
        if (wantsText && foreignFrom === 0 && text.length < MAX_TEXT) text += chunk;
      },
    },
  );
  const found = new Collected((sentence) => xml.fail(sentence), "line", keepTimes);
  return readerOf(xml, found, trackId, () => title || fileName);
}

/** What all readers of XML do alike. */
export function readerOf(xml: XmlReader, found: Collected, trackId: string, name: () => string): TrackReader {
  return {
    write: (chunk) => xml.write(chunk),
    failed: () => xml.failure !== undefined,
    pointCount: () => found.pointCount(),
    close() {
      xml.close(() => {
        const why = found.tooFew();
        if (why !== undefined) xml.fail(why, "file");
      });
      return xml.failure ? { value: undefined, problems: [xml.failure] } : found.take(trackId, name());
    },
  };
}

/** The whole text at once: for tests, scripts and the server. */
export function readGpx(text: string, trackId = "track", fileName = "track"): ReadResult<TrackFile> {
  const reader = gpxReader(trackId, fileName);
  reader.write(text);
  return reader.close();
}

export function coordinate(value: string | undefined): number {
  return value === undefined || value.trim() === "" ? NaN : Number(value);
}

/** Namespaces an element declares, by prefix; "" is the default one. */
function namespacesOf({ attributes }: XmlTag): Map<string, string> {
  const declared = Object.entries(attributes).filter(([name]) => name === "xmlns" || name.startsWith("xmlns:"));
  return new Map(declared.map(([name, namespace]) => [name.slice("xmlns:".length), namespace]));
}
