/** CPU time to read the long trail from each format, as a ratio to GPX in the same run; and a long mile table. */
import { FitBaseType, FitEncoder } from "fit-file-parser";
import { strToU8, zipSync } from "fflate";
import { guessColumns, readMileTable, tableRows } from "@gepack/core";
import { readTrackFile } from "../core/src/track/readTrackFile.ts";
import { gpxText, longTrack, measure, POINTS, type Taken } from "./measure.ts";

const points = longTrack();
const kml = `<kml><Document><Placemark><name>Bench</name><LineString><coordinates>${points.map(({ lat, lon, heightM }) => `${lon},${lat},${heightM}`).join("\n")}</coordinates></LineString></Placemark></Document></kml>`;
const tcx = `<TrainingCenterDatabase><Courses><Course><Name>Bench</Name><Track>${points.map(({ lat, lon, heightM }) => `<Trackpoint><Position><LatitudeDegrees>${lat}</LatitudeDegrees><LongitudeDegrees>${lon}</LongitudeDegrees></Position><AltitudeMeters>${heightM}</AltitudeMeters></Trackpoint>`).join("\n")}</Track></Course></Courses></TrainingCenterDatabase>`;
const geojson = `{"type":"LineString","coordinates":[${points.map(({ lat, lon, heightM }) => `[${lon},${lat},${heightM}]`).join(",")}]}`;
const csv = `lat,lon,ele\n${points.map(({ lat, lon, heightM }) => `${lat},${lon},${heightM}`).join("\n")}`;

function fit(): Uint8Array {
  const file = new FitEncoder();
  const semicircles = (degrees: number): number => Math.round((degrees * 2 ** 31) / 180);
  const field = (number: number, size: number, baseType: number, value: number) => ({ number, size, baseType, value });
  file.writeMessage(0, [field(0, 1, FitBaseType.Enum, 6)]);
  for (const { lat, lon, heightM } of points)
    file.writeMessage(20, [
      field(0, 4, FitBaseType.Sint32, semicircles(Number(lat))),
      field(1, 4, FitBaseType.Sint32, semicircles(Number(lon))),
      field(2, 2, FitBaseType.Uint16, Math.round(5 * (Number(heightM) + 500))),
    ]);
  return new Uint8Array(file.close());
}

const formats: [string, Uint8Array][] = [
  ["GPX", strToU8(gpxText(points))],
  ["KML", strToU8(kml)],
  ["KMZ", zipSync({ "doc.kml": strToU8(kml) })],
  ["TCX", strToU8(tcx)],
  ["GeoJSON", strToU8(geojson)],
  ["FIT", fit()],
  ["CSV of points", strToU8(csv)],
];
const FEW = 3;
let gpx: Taken | undefined;
console.log(`\n${POINTS.toLocaleString("en")} points from each format`);
console.log(`${"".padEnd(28)}${"MB".padStart(7)}${"least ms".padStart(11)}${"× GPX".padStart(8)}`);
for (const [name, bytes] of formats) {
  let read = 0;
  const taken = measure(() => void (read = readTrackFile(bytes).value?.track.lonDeg.length ?? 0), FEW);
  gpx ??= taken;
  const right = read === POINTS ? "" : `   read ${read} points!`;
  console.log(
    `${name.padEnd(28)}${(bytes.length / 1e6).toFixed(1).padStart(7)}${taken.minMs.toFixed(0).padStart(11)}${(taken.minMs / gpx.minMs).toFixed(2).padStart(8)}${right}`,
  );
}
const ROWS = 20_000;
const table = `km,name,kind,height m\n${Array.from({ length: ROWS }, (_, i) => `${(i / 5).toFixed(1)},Place ${i},${["water", "camp", "town"][i % 3]},${800 + (i % 900)}`).join("\n")}`;
const tabled = measure(() => {
  const rows = tableRows(table);
  if (readMileTable(rows, guessColumns(rows)).rows.length !== ROWS) throw new Error("A row was not read.");
}, FEW);
console.log(
  `${`Mile table, ${ROWS.toLocaleString("en")} rows`.padEnd(28)}${(table.length / 1e6).toFixed(1).padStart(7)}${tabled.minMs.toFixed(0).padStart(11)}${(tabled.minMs / gpx!.minMs).toFixed(2).padStart(8)}`,
);
