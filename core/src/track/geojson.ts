/** GeoJSON (RFC 7946): lines become the trail in the file's order, points with their properties waypoints. */
import { type ReadResult, refused } from "../units/problem.ts";
import { Collected, type TrackFile } from "./collect.ts";
import { wordsOf } from "./words.ts";

class Refused extends Error {}

type Json = Record<string, unknown>;
const isObject = (value: unknown): value is Json =>
  typeof value === "object" && value !== null && !Array.isArray(value);
const text = (value: unknown): string => (typeof value === "string" ? value.slice(0, 1000) : "");
const MAX_NESTED = 20;

function hasLine(shape: unknown, nested = 0): boolean {
  if (!isObject(shape) || nested > MAX_NESTED) return false;
  const { type, geometries } = shape;
  if (type === "LineString" || type === "MultiLineString") return true;
  return Array.isArray(geometries) && geometries.some((one) => hasLine(one, nested + 1));
}

export function readGeoJson(source: string, trackId = "track", fileName = "track"): ReadResult<TrackFile> {
  let data: unknown;
  try {
    data = JSON.parse(source);
  } catch (error) {
    const reason = error instanceof Error ? error.message.replace(/\.$/, "") : "it ends too early";
    return refused("file", `This is not well-formed JSON: ${reason}. It may be cut off; export it again.`);
  }
  const found = new Collected((sentence) => {
    throw new Refused(sentence);
  }, "position");
  let title = "";
  let position = 0;
  const numbers = (value: unknown): [number, number, number] => {
    position++;
    if (!Array.isArray(value)) return [NaN, NaN, NaN];
    const [lon, lat, height] = value as unknown[];
    const number = (one: unknown): number => (typeof one === "number" ? one : NaN);
    return [number(lon), number(lat), typeof height === "number" ? found.height(String(height)) : NaN];
  };
  const line = (coordinates: unknown): void => {
    if (!Array.isArray(coordinates)) return;
    found.tracks.openSegment();
    for (const one of coordinates) {
      const [lon, lat, height] = numbers(one);
      found.point(found.tracks, lon, lat, height, position);
    }
  };
  const geometry = (shape: unknown, properties: Json, nested: number): void => {
    if (!isObject(shape) || nested > MAX_NESTED) return;
    const { type, coordinates, geometries } = shape;
    if (type === "LineString") line(coordinates);
    else if (type === "MultiLineString" && Array.isArray(coordinates)) coordinates.forEach(line);
    else if (type === "Point" || (type === "MultiPoint" && Array.isArray(coordinates)))
      for (const one of type === "Point" ? [coordinates] : (coordinates as unknown[])) {
        const [lon, lat] = numbers(one);
        found.waypoint(lon, lat, wordsOf(Object.entries(properties)), position);
      }
    else if (type === "GeometryCollection" && Array.isArray(geometries))
      for (const one of geometries) geometry(one, properties, nested + 1);
  };
  const feature = (value: unknown): void => {
    if (!isObject(value)) return;
    const properties = isObject(value["properties"]) ? value["properties"] : {};
    const shape = value["geometry"];
    if (title === "" && isObject(shape) && String(shape["type"]).endsWith("LineString"))
      title = text(properties["name"]);
    if (hasLine(shape)) {
      found.beginPart();
      found.namePart({
        name: text(properties["name"] ?? properties["title"]).slice(0, 200),
        type: text(properties["type"] ?? properties["kind"]).slice(0, 200),
      });
    }
    geometry(shape, properties, 0);
  };
  try {
    if (!isObject(data) || typeof data["type"] !== "string")
      return refused(
        "file",
        "This JSON isn’t GeoJSON: expected an object with a type, such as a FeatureCollection or a line.",
      );
    if (data["type"] === "FeatureCollection") {
      title = text(data["name"]);
      if (Array.isArray(data["features"])) data["features"].forEach(feature);
    } else if (data["type"] === "Feature") feature(data);
    else geometry(data, {}, 0);
    const why = found.tooFew();
    if (why !== undefined) return refused("file", why);
  } catch (error) {
    if (error instanceof Refused) return refused("file", error.message);
    throw error;
  }
  return found.take(trackId, title || fileName);
}
