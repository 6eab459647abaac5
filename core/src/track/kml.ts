/**
 * KML 2.x: lines (`LineString`, `gx:Track`) become the trail, segment by segment in the file's order; named
 * points become waypoints, with the name of their folder as a further word. Coordinates are read as they come,
 * however long their text. Points beside a line that are without a name, or a numbered series upon it, are the
 * line's own, written once more.
 */
import { type ReadResult } from "../units/problem.ts";
import { Collected, type TrackFile, type TrackReader, type Words } from "./collect.ts";
import { coordinate, readerOf } from "./gpx.ts";
import type { PointBuffer } from "./points.ts";
import { wordsOf } from "./words.ts";
import { localName, XmlReader } from "./xml.ts";

const MAX_TEXT = 1000;
const MAX_NAME = 200;
const MOST_DATA = 60;
const TEXTS: ReadonlySet<string> = new Set(["name", "description", "coord", "coordinates", "value"]);
/** Longer than any three numbers; what has no space for so long is no coordinate. */
const MAX_TUPLE = 200;

export function kmlReader(trackId: string, fileName: string): TrackReader {
  const folders: string[] = [];
  let title = "";
  let inPlacemark = false;
  /** The placemark has a line: further ones are pieces of the same. */
  let inLines = false;
  let geometry: "line" | "point" | undefined;
  let words = { name: "", symbol: "", type: "", description: "" };
  let point: Pick<NamedPoint, "lonDeg" | "latDeg" | "line"> | undefined;
  /** Kept until all lines are known. */
  const points: NamedPoint[] = [];
  let wants: "when" | "name" | "description" | "coordinates" | "coord" | "value" | "SimpleData" | undefined;
  /** Further properties of the placemark, and the name of the one being read. */
  let data: [string, string][] = [];
  let property = "";
  let text = "";
  let anyHeight = false;

  const take = (tuple: string, separator: RegExp): void => {
    const [lon, lat, height] = tuple.split(separator);
    const [lonDeg, latDeg] = [coordinate(lon), coordinate(lat)];
    if (geometry === "point") {
      point = { lonDeg, latDeg, line: xml.line };
      return;
    }
    const heightM = height === undefined ? NaN : found.height(height);
    if (heightM !== 0 && !Number.isNaN(heightM)) anyHeight = true;
    found.point(found.tracks, lonDeg, latDeg, heightM, xml.line);
  };
  /** All tuples that are whole; the rest waits for what follows. */
  const takeTuples = (whole: boolean): void => {
    const parts = text.split(/\s+/);
    text = whole ? "" : (parts.pop() ?? "").slice(0, MAX_TUPLE);
    for (const part of parts) if (part !== "") take(part, /,/);
  };

  const xml = new XmlReader(
    { name: "KML", versions: "KML", root: "kml" },
    {
      open: (tag) => {
        const name = localName(tag.name);
        if (name === "Folder" || name === "Document") folders.push("");
        else if (name === "Placemark") {
          inPlacemark = true;
          inLines = false;
          words = {
            name: "",
            symbol: "",
            type: folders.filter((folder) => folder !== "").at(-1) ?? "",
            description: "",
          };
          point = undefined;
          data = [];
        } else if (name === "Data" || name === "SimpleData") {
          property = tag.attributes["name"] ?? "";
          wants = name === "SimpleData" && inPlacemark ? name : wants;
          text = "";
        } else if (name === "LineString" || name === "Track") {
          geometry = "line";
          if (!inLines) found.beginPart();
          inLines = true;
          found.tracks.openSegment();
        } else if (name === "Point") geometry = "point";
        else if (name === "when" && geometry === "line" && found.wantsTime) {
          wants = name;
          text = "";
        } else if (TEXTS.has(name)) {
          // Outlines of areas are no trail.
          if (name.startsWith("coord") && geometry === undefined) return;
          wants = name as typeof wants;
          text = "";
        }
      },
      text: (chunk) => {
        if (wants === "coordinates") {
          text += chunk;
          takeTuples(false);
        } else if (wants && text.length < MAX_TEXT) text += chunk;
      },
      close: (tag) => {
        const name = localName(tag.name);
        if (wants === name) {
          const value = text.trim();
          if (name === "coordinates") takeTuples(true);
          else if (name === "coord") take(value, /\s+/);
          else if (name === "when") found.time(value);
          else if (name === "description") words.description = plainText(value);
          else if (name === "value" || name === "SimpleData") {
            if (inPlacemark && data.length < MOST_DATA) data.push([property, plainText(value)]);
          } else if (inPlacemark) words.name = value.slice(0, MAX_NAME);
          else {
            if (title === "") title = value.slice(0, MAX_NAME);
            if (folders.length > 0) folders[folders.length - 1] = value.slice(0, MAX_NAME);
          }
          wants = undefined;
        } else if (name === "LineString" || name === "Track" || name === "Point") geometry = undefined;
        else if (name === "Folder" || name === "Document") folders.pop();
        else if (name === "Placemark") {
          inPlacemark = false;
          if (inLines) found.namePart({ name: words.name, type: words.type });
          const { type, symbol, description } = wordsOf([["description", words.description], ...data]);
          words = { ...words, type: [words.type, type].filter((one) => one !== "").join("; "), symbol, description };
          if (point && words.name !== "") points.push({ ...point, words });
        } else if (name === "kml")
          for (const { lonDeg, latDeg, words: of, line } of placesAmong(points, found.tracks))
            found.waypoint(lonDeg, latDeg, of, line);
      },
    },
  );
  const found = new Collected((sentence) => xml.fail(sentence));
  const reader = readerOf(xml, found, trackId, () => title || fileName);
  return {
    ...reader,
    close(): ReadResult<TrackFile> {
      const reading = reader.close();
      // A line that is laid on the ground has zeros for heights: it has none.
      if (reading.value && !anyHeight) reading.value.track.heightM.fill(NaN);
      return reading;
    },
  };
}

interface NamedPoint {
  lonDeg: number;
  latDeg: number;
  words: Words;
  line: number;
}

/** A series of so many, of which so much is on a line's own points, is the line. */
const SERIES = 20;
const ON_LINE_FRACTION = 0.9;

/** Without series of one name with running numbers that are on the lines point by point. */
function placesAmong(points: readonly NamedPoint[], lines: PointBuffer): readonly NamedPoint[] {
  const stemOf = ({ words }: NamedPoint): string => words.name.replace(/\d+$/, "");
  const series = new Map<string, NamedPoint[]>();
  for (const point of points) {
    const stem = stemOf(point);
    const of = series.get(stem);
    if (of) of.push(point);
    else series.set(stem, [point]);
  }
  const long = [...series.values()].filter((of) => of.length >= SERIES);
  if (long.length === 0 || lines.count === 0) return points;
  const key = (lonDeg: number, latDeg: number): string => `${lonDeg.toFixed(5)} ${latDeg.toFixed(5)}`;
  const vertices = new Set<string>();
  lines.forEach((lonDeg, latDeg) => vertices.add(key(lonDeg, latDeg)));
  const isLine = (of: readonly NamedPoint[]): boolean =>
    of.filter(({ lonDeg, latDeg }) => vertices.has(key(lonDeg, latDeg))).length >= ON_LINE_FRACTION * of.length;
  const written = new Set(long.filter(isLine).map((of) => stemOf(of[0]!)));
  return points.filter((point) => !written.has(stemOf(point)));
}

/** Descriptions are often pages of markup. */
function plainText(html: string): string {
  return html
    .replace(/<(?:br|\/p|\/div|\/tr|\/li)\b[^>]*>/gi, "; ")
    .replace(/<[^>]*>/g, " ")
    .replace(/\s+/g, " ")
    .split(/(?: ?;)+ ?/)
    .filter((part) => part !== "")
    .join("; ")
    .trim();
}
