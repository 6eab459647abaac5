/** What goes out is read by somebody else's readers as well, and what they read of a file is what is read here. */
import { gpx, kml, tcx } from "@tmcw/togeojson";
import { DOMParser, type Document } from "@xmldom/xmldom";
import { expect, test } from "vitest";
import { planOf, sourceOf, stationOf, stopOf, trackNorth } from "../../test/fixtures.ts";
import { computePlan } from "../session/session.ts";
import { readTrackFile } from "../track/readTrackFile.ts";
import { writeGpx } from "./open.ts";

interface Feature {
  properties: Record<string, unknown> | null;
  geometry: { type: string; coordinates: unknown } | null;
}

const dom = (text: string): Document => new DOMParser().parseFromString(text, "text/xml");
const read = (by: typeof gpx, text: string): Feature[] => by(dom(text) as never).features as unknown as Feature[];
const ours = (text: string) => readTrackFile(new TextEncoder().encode(text)).value!;

const points = Array.from({ length: 50 }, (_, i) => [-150 - i / 777, 40 + i / 900, 300 + i / 7] as const);

/** The track as degrees and metres, rounded as far as its file has them. */
const lineOf = ({ track }: ReturnType<typeof ours>): number[][] =>
  Array.from(track.lonDeg, (lon, i) => [lon, track.latDeg[i]!, track.heightM[i]!]);

function expectSame(line: number[][], theirs: number[][]): void {
  expect(line).toHaveLength(theirs.length);
  for (const [i, [lon, lat, height]] of theirs.entries()) {
    expect(line[i]![0]).toBeCloseTo(lon!, 7);
    expect(line[i]![1]).toBeCloseTo(lat!, 7);
    expect(line[i]![2]).toBeCloseTo(height!, 3);
  }
}

const KML = `<kml xmlns="http://www.opengis.net/kml/2.2"><Document><Placemark><name>Way</name><LineString><coordinates>${points.map((point) => point.join(",")).join(" ")}</coordinates></LineString></Placemark><Placemark><name>Cold spring</name><Point><coordinates>-150.01,40.01,0</coordinates></Point></Placemark></Document></kml>`;
const TCX = `<TrainingCenterDatabase><Courses><Course><Name>Way</Name><Track>${points.map(([lon, lat, height]) => `<Trackpoint><Position><LatitudeDegrees>${lat}</LatitudeDegrees><LongitudeDegrees>${lon}</LongitudeDegrees></Position><AltitudeMeters>${height}</AltitudeMeters></Trackpoint>`).join("")}</Track></Course></Courses></TrainingCenterDatabase>`;

test.each([
  ["KML", KML, kml],
  ["TCX", TCX, tcx],
])("%s: the line that two readers read is one", (_, text, by) => {
  const theirs = read(by, text).find(({ geometry }) => geometry?.type === "LineString")!;
  expectSame(lineOf(ours(text)), theirs.geometry!.coordinates as number[][]);
});

test("a written GPX: tracks, places, names with markup, as another reader reads them", () => {
  const tracks = [trackNorth({ lengthM: 30_000, heightM: (m) => 300 + 50 * Math.sin(m / 700) })];
  const plan = planOf({
    stops: [stopOf("m", 12_000, { name: 'Mill <town> & "inn"', services: ["shop-full"] })],
    sources: [sourceOf("w", 20_000, { name: "Quelle über'm Tal" })],
    climate: { stations: [stationOf(8, 18)] },
  });
  const result = computePlan(plan, tracks);
  const features = read(gpx, writeGpx({ plan, result, tracks }));
  const line = features.find(({ geometry }) => geometry?.type === "LineString")!;
  const { track } = { track: tracks[0]! };
  expectSame(
    Array.from(track.lonDeg, (lon, i) => [lon, track.latDeg[i]!, track.heightM[i]!]),
    line.geometry!.coordinates as number[][],
  );
  const places = features.filter(({ geometry }) => geometry?.type === "Point");
  expect(places.map(({ properties }) => properties!["name"])).toEqual(['Mill <town> & "inn"', "Quelle über'm Tal"]);
  expect(places[0]!.properties!["desc"]).toContain("shop-full");
});
