/** One made-up walk in every format that is read, and what is no such file. */
import fc from "fast-check";
import { strToU8, zipSync } from "fflate";
import { describe, expect, test } from "vitest";
import { runs } from "../../test/arbitraryPlan.ts";
import { FitBaseType, FitEncoder } from "fit-file-parser";
import { readTrackFile } from "./readTrackFile.ts";

const POINTS = Array.from({ length: 40 }, (_, i) => ({ lat: 40 + i / 1000, lon: -150 - i / 2000, ele: 300 + i }));
const WATER = { lat: 40.01, lon: -150.005, name: "Heron spring", desc: "seasonal" };
const each = (line: (point: (typeof POINTS)[number]) => string, join = ""): string => POINTS.map(line).join(join);

const GPX = `<?xml version="1.0"?><gpx version="1.1"><wpt lat="${WATER.lat}" lon="${WATER.lon}"><name>${WATER.name}</name><desc>${WATER.desc}</desc></wpt><trk><name>Walk</name><trkseg>${each(({ lat, lon, ele }) => `<trkpt lat="${lat}" lon="${lon}"><ele>${ele}</ele></trkpt>`)}</trkseg></trk></gpx>`;
const KML = (line: string): string =>
  `<?xml version="1.0"?><kml xmlns="http://www.opengis.net/kml/2.2" xmlns:gx="urn:gx"><Document><name>Walk</name><Folder><name>Water</name><Placemark><name>${WATER.name}</name><description><![CDATA[<b>${WATER.desc}</b>]]></description><Point><coordinates>${WATER.lon},${WATER.lat},0</coordinates></Point></Placemark></Folder><Placemark><name>Day 1</name>${line}</Placemark></Document></kml>`;
const LINE = `<LineString><coordinates>\n${each(({ lat, lon, ele }) => `${lon},${lat},${ele}`, "\n ")}\n</coordinates></LineString>`;
const GX = `<gx:Track>${each(({ lat, lon, ele }) => `<when>2027-05-01T08:00:00Z</when><gx:coord>${lon} ${lat} ${ele}</gx:coord>`)}</gx:Track>`;
const TCX = `<?xml version="1.0"?><TrainingCenterDatabase><Courses><Course><Name>Walk</Name><Track>${each(({ lat, lon, ele }) => `<Trackpoint><Time>2027-05-01T08:00:00Z</Time><Position><LatitudeDegrees>${lat}</LatitudeDegrees><LongitudeDegrees>${lon}</LongitudeDegrees></Position><AltitudeMeters>${ele}</AltitudeMeters></Trackpoint>`)}<Trackpoint><Time>2027-05-01T09:00:00Z</Time></Trackpoint></Track><CoursePoint><Name>${WATER.name}</Name><Position><LatitudeDegrees>${WATER.lat}</LatitudeDegrees><LongitudeDegrees>${WATER.lon}</LongitudeDegrees></Position><PointType>Water</PointType><Notes>${WATER.desc}</Notes></CoursePoint></Course></Courses></TrainingCenterDatabase>`;
const GEOJSON = JSON.stringify({
  type: "FeatureCollection",
  features: [
    {
      type: "Feature",
      properties: { name: WATER.name, desc: WATER.desc },
      geometry: { type: "Point", coordinates: [WATER.lon, WATER.lat] },
    },
    {
      type: "Feature",
      properties: { name: "Walk" },
      geometry: { type: "LineString", coordinates: POINTS.map(({ lat, lon, ele }) => [lon, lat, ele]) },
    },
  ],
});
const CSV = `lat,lon,ele\n${each(({ lat, lon, ele }) => `${lat},${lon},${ele}`, "\n")}\n`;
const SEMICOLONS = `Breite;Länge;Höhe\r\n${each(({ lat, lon, ele }) => `${lat};${lon};${ele}`.replaceAll(".", ","), "\r\n")}`;

/** Messages 20 and 32 of the format's profile; degrees by semicircles, heights in fifths of a metre above −500 m. */
const FIT = ((): Uint8Array => {
  const file = new FitEncoder();
  const semicircles = (degrees: number): number => Math.round((degrees * 2 ** 31) / 180);
  const field = (number: number, size: number, baseType: number, value: number | Uint8Array) => ({
    number,
    size,
    baseType,
    value,
  });
  file.writeMessage(0, [field(0, 1, FitBaseType.Enum, 6)]);
  for (const [i, { lat, lon, ele }] of POINTS.entries())
    file.writeMessage(20, [
      field(253, 4, FitBaseType.Uint32, 1_100_000_000 + i),
      field(0, 4, FitBaseType.Sint32, semicircles(lat)),
      field(1, 4, FitBaseType.Sint32, semicircles(lon)),
      field(2, 2, FitBaseType.Uint16, 5 * (ele + 500)),
    ]);
  file.writeMessage(20, [field(253, 4, FitBaseType.Uint32, 1_100_000_999)]);
  const name = new Uint8Array(16);
  name.set(strToU8(WATER.name));
  file.writeMessage(32, [
    field(1, 4, FitBaseType.Uint32, 1_100_000_000),
    field(2, 4, FitBaseType.Sint32, semicircles(WATER.lat)),
    field(3, 4, FitBaseType.Sint32, semicircles(WATER.lon)),
    field(5, 1, FitBaseType.Enum, 3),
    field(6, 16, FitBaseType.String, name),
  ]);
  return new Uint8Array(file.close());
})();

const bytes = (text: string): Uint8Array => strToU8(text);
const FORMATS: readonly (readonly [string, Uint8Array, waypoint: boolean])[] = [
  ["GPX", bytes(GPX), true],
  ["KML with a line", bytes(KML(LINE)), true],
  ["KML with gx:Track", bytes(KML(GX)), true],
  ["KMZ", zipSync({ "doc.kml": strToU8(KML(LINE)), "images/a.png": new Uint8Array(9) }), true],
  ["TCX", bytes(TCX), true],
  ["GeoJSON", bytes(GEOJSON), true],
  ["FIT", FIT, true],
  ["CSV", bytes(CSV), false],
  ["CSV with semicolons and decimal commas", bytes(SEMICOLONS), false],
];

describe("the same walk, whatever it is written in", () => {
  test.each(FORMATS)("%s", (_, file, waypoint) => {
    const { value, problems } = readTrackFile(file, "t", "walk");
    expect(problems).toEqual([]);
    const { track, waypoints } = value!;
    expect(track.lonDeg).toHaveLength(POINTS.length);
    for (const [i, { lat, lon, ele }] of POINTS.entries()) {
      expect(track.latDeg[i]).toBeCloseTo(lat, 6);
      expect(track.lonDeg[i]).toBeCloseTo(lon, 6);
      expect(track.heightM[i]).toBeCloseTo(ele, 3);
    }
    expect(track.name).toMatch(/^walk$/i);
    expect(value!.parts).toMatchObject([{ from: 0 }]);
    if (!waypoint) return expect(waypoints).toEqual([]);
    expect(waypoints).toMatchObject([{ name: WATER.name }]);
    expect(waypoints[0]!.lonDeg).toBeCloseTo(WATER.lon, 6);
    expect(`${waypoints[0]!.description} ${waypoints[0]!.type}`).toMatch(/seasonal|water/);
  });

  test("several lines are several segments; a KML line on the ground has no heights; unnamed points beside it are its own", () => {
    const flat = LINE.replaceAll(/,3\d\d\b/g, ",0");
    const points = `<Placemark><Point><coordinates>-150,40,0</coordinates></Point></Placemark>`.repeat(5);
    const { value } = readTrackFile(
      bytes(KML(`<MultiGeometry>${flat}${flat}</MultiGeometry></Placemark>${points}<Placemark>`)),
    );
    expect(value!.track.segmentStarts).toHaveLength(2);
    expect([...value!.track.heightM].every(Number.isNaN)).toBe(true);
    expect(value!.waypoints).toHaveLength(1);
  });

  test("a KML line written once more as numbered points is no row of places; numbered places beside it are", () => {
    const numbered = (name: string, of: { lat: number; lon: number }[]): string =>
      of
        .map(
          ({ lat, lon }, i) =>
            `<Placemark><name>${name}${i}</name><Point><coordinates>${lon},${lat},9</coordinates></Point></Placemark>`,
        )
        .join("");
    const beside = POINTS.slice(0, 30).map(({ lat, lon }) => ({ lat: lat + 0.002, lon }));
    const file = KML(`${LINE}</Placemark>${numbered("Walk-", POINTS)}${numbered("Camp ", beside)}<Placemark>`);
    const { value } = readTrackFile(bytes(file));
    expect(value!.track.lonDeg).toHaveLength(POINTS.length);
    expect(value!.waypoints.map(({ name }) => name)).toEqual([WATER.name, ...beside.map((_, i) => `Camp ${i}`)]);
  });

  test("a KML outline of an area is no trail, a long run of coordinates is read in any chunks", () => {
    const area =
      "<Polygon><outerBoundaryIs><LinearRing><coordinates>1,1 2,2 3,3 1,1</coordinates></LinearRing></outerBoundaryIs></Polygon>";
    expect(readTrackFile(bytes(KML(area))).value!.track.lonDeg).toHaveLength(0);
    expect(readTrackFile(bytes(KML(area + LINE))).value!.track.lonDeg).toHaveLength(POINTS.length);
  });
});

test("places alone are read, and are no track", () => {
  const gpx = `<gpx version="1.1"><wpt lat="1" lon="2"><name>Well</name></wpt></gpx>`;
  for (const file of [bytes(gpx), bytes('{"type":"Point","coordinates":[2,1]}')]) {
    const { value } = readTrackFile(file);
    expect(value!.waypoints).toMatchObject([{ lonDeg: 2, latDeg: 1 }]);
    expect([value!.track.lonDeg.length, value!.parts.length]).toEqual([0, 0]);
  }
});

describe("what is refused says why, and reads nothing half", () => {
  const bomb = zipSync({ "doc.kml": new Uint8Array(301_000_000) });
  test.each([
    ["nothing", new Uint8Array(), /The file is empty/],
    ["words", bytes("just words"), /not an XML file/],
    ["an entity bomb in KML", bytes(`<!DOCTYPE kml [<!ENTITY a "b">]>${KML(LINE)}`), /declares a document type/],
    ["a KML cut short", bytes(KML(LINE).slice(0, 900)), /XML is broken/],
    ["a TCX of deep elements", bytes(`<TrainingCenterDatabase>${"<a>".repeat(200)}`), /nested more than 100 deep/],
    ["GeoJSON cut short", bytes(GEOJSON.slice(0, 300)), /not well-formed JSON/],
    ["JSON that is none", bytes('{"a": 1}'), /isn’t GeoJSON/],
    ["GeoJSON of nothing", bytes('{"type":"FeatureCollection","features":[]}'), /no track or route points/],
    ["a FIT file cut short", FIT.slice(0, 300), /Couldn’t read the FIT file/],
    ["a packed file without KML", zipSync({ "a.txt": strToU8("hello") }), /no .kml file inside/],
    [
      "an archive in an archive",
      zipSync({ "a.kmz": zipSync({ "doc.kml": strToU8(KML(LINE)) }) }),
      /no .kml file inside/,
    ],
    ["a packed bomb", bomb, /over 300 MB/],
    [
      "a packed file cut short",
      zipSync({ "doc.kml": strToU8(KML(LINE)) }).slice(0, 60),
      /Couldn’t unpack|cut off|no track|not an XML|empty|no \.kml|not well-formed/,
    ],
    ["a table of one point", bytes("lat,lon\n40,-150\n"), /only one track point/],
    ["a table of words", bytes("lat,lon\nnorth,west\nup,down\n"), /usable coordinates/],
  ])("%s", (_, file, sentence) => {
    const { value, problems } = readTrackFile(file);
    expect(value).toBeUndefined();
    expect(problems[0]!.sentence).toMatch(sentence);
  });
});

test("two thousand mutated files of every format: read or refused with a sentence, never thrown", () => {
  for (const [name, file] of FORMATS)
    fc.assert(
      fc.property(
        fc.array(fc.record({ at: fc.nat(), byte: fc.nat(255), how: fc.constantFrom("set", "cut", "double") }), {
          minLength: 1,
          maxLength: 6,
        }),
        (edits) => {
          let mutated = file.slice();
          for (const { at, byte, how } of edits) {
            const i = at % Math.max(1, mutated.length);
            if (how === "set") mutated[i] = byte;
            else if (how === "cut") mutated = mutated.slice(0, i);
            else mutated = new Uint8Array([...mutated.slice(0, i), ...mutated.slice(i >> 1)]).slice(0, 20_000);
          }
          const { value, problems } = readTrackFile(mutated);
          if (!value) expect(problems[0]?.sentence, name).toMatch(/^.{10,}[.]$/s);
          else
            for (const degrees of [value.track.latDeg, value.track.lonDeg])
              expect(degrees.every(Number.isFinite)).toBe(true);
        },
      ),
      { numRuns: runs(2000), endOnFailure: true },
    );
});

describe("places with whatever properties they have", () => {
  const waypointOf = (text: string) => {
    return readTrackFile(strToU8(text)).value!.waypoints[0]!;
  };
  const feature = (properties: Record<string, unknown>): string =>
    JSON.stringify({
      type: "FeatureCollection",
      features: [{ type: "Feature", properties, geometry: { type: "Point", coordinates: [7, 46] } }],
    });

  test("GeoJSON: every text is read, ids and styles are not, yes and no are words", () => {
    const { name, type, description } = waypointOf(
      feature({
        title: "Fell Lodge",
        info: "closed until 15 May",
        shop: "yes",
        post: false,
        beds: 12,
        "marker-color": "#f00",
        id: "a7",
      }),
    );
    expect(name).toBe("Fell Lodge");
    expect(type).toBe("");
    expect(description).toBe("closed until 15 May; shop; no post; beds: 12");
  });

  test("KML: extended data and the lines of a description", () => {
    const kml = (inner: string): string =>
      `<?xml version="1.0"?><kml xmlns="http://www.opengis.net/kml/2.2"><Document><Placemark><name>Karlow hut</name>${inner}<Point><coordinates>7,46</coordinates></Point></Placemark></Document></kml>`;
    expect(
      waypointOf(
        kml(
          '<description>&lt;p&gt;Beds&lt;/p&gt;&lt;br/&gt;meals</description><ExtendedData><Data name="remarks"><value>holds parcels</value></Data><SchemaData><SimpleData name="laundry">yes</SimpleData></SchemaData></ExtendedData>',
        ),
      ).description,
    ).toBe("Beds; meals; holds parcels; laundry");
  });

  test("CSV: rows with names are places, rows without are a track", () => {
    const { name, description, type } = waypointOf(
      "lat,lon,name,kind,notes,opening_hours\n46,7,Orla,town,store and post,9-12\n46.1,7,Sael,hut,,",
    );
    expect({ name, type, description }).toEqual({
      name: "Orla",
      type: "town",
      description: "store and post; opening hours: 9-12",
    });
    expect(readTrackFile(strToU8("lat,lon\n46,7\n46.1,7\n")).value!.track.lonDeg).toHaveLength(2);
  });

  test("GPX: comment and description are one text where they say different things", () => {
    const gpx = (cmt: string, desc: string): string =>
      `<gpx version="1.1"><wpt lat="46" lon="7"><name>A</name><cmt>${cmt}</cmt><desc>${desc}</desc></wpt></gpx>`;
    expect(waypointOf(gpx("takes mail", "hut")).description).toBe("takes mail; hut");
    expect(waypointOf(gpx("hut", "hut")).description).toBe("hut");
  });
});
